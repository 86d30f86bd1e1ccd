// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/PictureView.h"
#include "desk/kit/Prompts.h"
#include "session/Session.h"

class QCheckBox;
class QHBoxLayout;
class QLabel;
class QListWidget;
class QPushButton;
class QVBoxLayout;

namespace mivanta {

class LiveForm;

/// The live inputs of this computer: a list, what the chosen one shows now, and how it is set up. They are
/// open while this is seen.
class LivePanel : public QWidget {
    Q_OBJECT
public:
    LivePanel(Session& session, ThumbnailStore& thumbnails, Prompts& prompts, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    QHBoxLayout* buildButtons(Prompts& prompts);
    QVBoxLayout* buildChosen(ThumbnailStore& thumbnails, Prompts& prompts);
    [[nodiscard]] LiveInputId chosen() const;
    void choose(LiveInputId id);
    void refresh();
    void showChosen();
    void showPicture(LiveInputId id);
    void showState(LiveInputId id);
    [[nodiscard]] QString outputsInItself(const LiveInput& input) const;
    void makeWords();

    Session& m_session;
    QLabel* m_empty;
    QListWidget* m_list;
    QWidget* m_side; ///< of the chosen one
    QPushButton* m_remove;
    PictureView* m_picture;
    QLabel* m_state;
    QCheckBox* m_underWords;
    QImage m_words; ///< as they would stand over it
    LiveForm* m_form;
};

} // namespace mivanta
