// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/PictureView.h"
#include "desk/kit/Prompts.h"
#include "session/Session.h"
#include <QScrollArea>

class QComboBox;
class QGridLayout;
class QHBoxLayout;
class QLabel;
class QPushButton;

namespace mivanta {

class HallView;
class LivePanel;
class OutputForm;
class RunKeys;
class ScreenForm;

/// The outputs: what each shows now, where it goes, and what it is set to.
class SetupDesk : public QScrollArea {
    Q_OBJECT
public:
    SetupDesk(Session& session, ThumbnailStore& thumbnails, Prompts& prompts, RunKeys& keys,
              QWidget* parent = nullptr);

    /// Brings what sets live inputs up into sight, and the keys there.
    void showLiveInputs();

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    struct OutputCard {
        QString name;
        QFrame* frame;
        PictureView* picture;
        QLabel* where;
        QComboBox* place;
        QLabel* facts;
    };
    QHBoxLayout* buildButtons(Prompts& prompts);
    void rebuild();
    OutputCard makeCard(const Output& output);
    void refresh();
    void showChosen();
    void fillPlaces(const OutputCard& card, const Output& output) const;
    void placeChosen(const QString& output, int index);
    void rename(const QString& name);

    Session& m_session;
    ThumbnailStore& m_thumbnails;
    QLabel* m_monitors;
    QPushButton* m_remove;
    QGridLayout* m_grid;
    std::vector<OutputCard> m_cards;
    HallView* m_hall;
    LivePanel* m_live;
    OutputForm* m_form;
    ScreenForm* m_screen;
    QString m_chosen;              ///< the output that is set up at the side
    std::optional<Output> m_shown; ///< as it is shown there
};

} // namespace mivanta
