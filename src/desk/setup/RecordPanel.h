// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace mivanta {

class Prompts;

/// Records what an output or a live input shows, and says what is being recorded.
class RecordPanel : public QWidget {
    Q_OBJECT
public:
    RecordPanel(Session& session, Prompts& prompts, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    struct Row {
        RecordingId id;
        QWidget* widget;
        QLabel* text;
    };
    void buildForm();
    void fill();
    void showRunning();
    void showFolder();
    [[nodiscard]] Recordings::What chosen() const;
    [[nodiscard]] QString nameOf(const message::Recording& recording) const;
    Row makeRow(const message::Recording& recording);

    Session& m_session;
    Prompts& m_prompts;
    QComboBox* m_what;
    QCheckBox* m_heard;
    QPushButton* m_begin;
    QLabel* m_folder;
    QVBoxLayout* m_list;
    std::vector<Row> m_rows;
};

} // namespace mivanta
