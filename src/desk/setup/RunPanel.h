// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QPlainTextEdit;
class QPushButton;

namespace mivanta {

class Prompts;

/// How services are run: the house card, saved call-outs, what a take and a click do, and the record of what
/// was on screen.
class RunPanel : public QWidget {
    Q_OBJECT
public:
    RunPanel(Session& session, Prompts& prompts, QWidget* parent = nullptr);

private:
    void change(const std::function<void(RunSettings&)>& work);
    void refresh();
    void choosePicture();
    void sendRecord();

    Session& m_session;
    Prompts& m_prompts;
    QPlainTextEdit* m_card;
    QPushButton* m_picture;
    QPushButton* m_noPicture;
    QPlainTextEdit* m_callOuts;
    QCheckBox* m_opens;
    QCheckBox* m_click;
    QCheckBox* m_runOnly;
    QCheckBox* m_autostart;
};

} // namespace mivanta
