// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QComboBox>

namespace mivanta {

/// Chooses what a theme is tried on: the items of the service, the longest song of the library, or words of
/// our own.
class ThemeSample : public QComboBox {
    Q_OBJECT
public:
    explicit ThemeSample(Session& session, QWidget* parent = nullptr);
    /// What is chosen now; never empty.
    [[nodiscard]] const Item& item() const { return m_item; }

Q_SIGNALS:
    void sampleChanged();

protected:
    void showEvent(QShowEvent* event) override;

private:
    void fill();
    void take(int index);
    void loadLongest();

    Session& m_session;
    Item m_item;
};

} // namespace mivanta
