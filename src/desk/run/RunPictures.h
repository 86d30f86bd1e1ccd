// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/PictureView.h"
#include "session/Session.h"

namespace mivanta {

/// The outputs as they really are, from the player: the main one large, the others small beside what is next.
/// A right click on one freezes it or gives it a curtain of its own.
class RunPictures : public QWidget {
    Q_OBJECT
public:
    RunPictures(Session& session, ThumbnailStore& thumbnails, QWidget* parent = nullptr);
    /// The output in the large picture; empty when there is none.
    [[nodiscard]] const QString& mainName() const { return m_main; }
    /// Of one output, or of all; where it opens is up to the caller.
    void openMenu(const QString& output, QPoint at);
    void showFrames();

protected:
    void showEvent(QShowEvent* event) override;

private:
    void outputsChanged();
    void refresh();
    void showFrame(const QString& output);
    void makeMenu(PictureView* view, const QString& output);
    [[nodiscard]] QString labelOf(const QString& output) const;
    [[nodiscard]] QString stateOf(const QString& name) const;

    Session& m_session;
    ThumbnailStore& m_thumbnails;
    PictureView* m_large;
    PictureView* m_next;
    QWidget* m_small;
    std::vector<std::pair<QString, PictureView*>> m_others; ///< by output
    QString m_main;
};

} // namespace mivanta
