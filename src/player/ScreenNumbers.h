// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"
#include <QRasterWindow>
#include <QTimer>
#include <memory>
#include <vector>

namespace mivanta {

/// A large number in the middle of every monitor, for some seconds, so that one knows which is which. What
/// the outputs show is not touched. Lives on the GUI thread.
class ScreenNumbers {
public:
    ScreenNumbers();
    ~ScreenNumbers();
    /// In the order of the monitors, from 1; what was shown before goes.
    void show(const std::vector<Monitor>& monitors);
    [[nodiscard]] size_t count() const { return m_windows.size(); }

private:
    class Number;
    std::vector<std::unique_ptr<Number>> m_windows;
    QTimer m_over;
};

} // namespace mivanta
