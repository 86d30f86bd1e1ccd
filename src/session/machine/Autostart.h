// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QStringList>

namespace mivanta {

/// Whether the desktop starts this program when somebody logs in: a file in its autostart folder (Desktop
/// Application Autostart Specification). For computers in a booth, which log in by themselves.
class Autostart {
public:
    /// `folder`: where the desktop looks; empty = the usual one.
    explicit Autostart(QString program, QStringList arguments, const QString& folder = {});

    [[nodiscard]] bool isOn() const;
    Result<void> set(bool on) const;
    /// As a desktop entry has it, with everything quoted that has to be.
    [[nodiscard]] QString execLine() const;

private:
    QString m_program;
    QStringList m_arguments;
    QString m_path;
};

} // namespace mivanta
