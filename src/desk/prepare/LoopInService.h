// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSlider;
class QSpinBox;

namespace mivanta {

class LoopMembersTable;
class LoopPreview;
class LoopTimelineView;
class Prompts;
class ThumbnailStore;

/// What can be changed about a loop: its rule, drawn as it goes by, and its members.
class LoopInService : public QWidget {
    Q_OBJECT
public:
    LoopInService(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();
    /// The loop as it would go by; as refresh() has worked it out last.
    [[nodiscard]] const LoopPlan& plan() const { return m_plan; }

Q_SIGNALS:
    void memberWanted(const mivanta::ItemId& member); ///< to be chosen on the sheet

private:
    [[nodiscard]] const Item* item() const;
    void buildTimeline();
    void buildForm();
    [[nodiscard]] QWidget* rowOf(std::initializer_list<QWidget*> fields);
    void connectFields();
    void change(const QString& what, const std::function<void(LoopItem&)>& work, int visit = 0);
    void takeUntil();
    void takeBegins();
    void takeThen();
    void takeFolder();
    void arm();
    void complain(const QString& text);
    void refreshUntil(const LoopItem& rule);
    void refreshThen(const Item& loop);
    void refreshBegins(const Item& loop);

    Session& m_session;
    Prompts& m_prompts;
    ItemId m_item;
    int m_visit = 0;
    LoopPlan m_plan;
    LoopTimelineView* m_timeline;
    QSlider* m_zoom;
    QLabel* m_rounds;
    QLabel* m_chain; ///< what comes by itself behind it, with its times
    QPushButton* m_play;
    LoopPreview* m_preview;
    QLineEdit* m_title;
    QSpinBox* m_seconds;
    QCheckBox* m_shuffled;
    LoopMembersTable* m_members;
    QComboBox* m_until;
    QLineEdit* m_untilValue;
    QComboBox* m_ending;
    QComboBox* m_then;
    QLineEdit* m_begins;
    QCheckBox* m_byItself;
    QPushButton* m_arm;
    QCheckBox* m_atStart;
    QPushButton* m_folder;
    QLabel* m_wrong;
};

} // namespace mivanta
