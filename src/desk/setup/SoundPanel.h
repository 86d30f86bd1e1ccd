// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLabel;

namespace mivanta {

/// Where all that sounds is heard, and a tone to try it with.
class SoundPanel : public QWidget {
    Q_OBJECT
public:
    explicit SoundPanel(Session& session, QWidget* parent = nullptr);

private:
    void refresh();

    Session& m_session;
    QComboBox* m_device;
    QLabel* m_state;
};

} // namespace mivanta
