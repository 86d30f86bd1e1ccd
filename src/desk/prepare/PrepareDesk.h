// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"
#include "desk/parts/FindPanel.h"
#include "desk/prepare/Bench.h"
#include "desk/prepare/OrderSheet.h"

class QAction;

namespace mivanta {

/// Where a service is put together: the order sheet, the chosen item's bench, and Find.
class PrepareDesk : public QWidget {
    Q_OBJECT
public:
    /// `fileActions` go to the row over the sheet, before those of the sheet itself.
    PrepareDesk(Session& session, Prompts& prompts, ThumbnailStore& thumbnails,
                const std::vector<QAction*>& fileActions, QWidget* parent = nullptr);

    void focusFind();
    /// Loads the song and puts it where the mark is.
    void addSong(const SongId& id);
    void selectItem(const ItemId& id);

Q_SIGNALS:
    void openInLibrary(const mivanta::SongId& id);

private:
    QWidget* buildSheetColumn(const std::vector<QAction*>& fileActions);
    QWidget* buildFindColumn(ThumbnailStore& thumbnails);
    QAction* sheetAction(const QString& name, const QString& iconName, const QString& text,
                         const QString& tip);
    void addSongs(const std::vector<SongId>& ids, int at);
    void addHeading();
    void rename();
    void previewFound();

    Session& m_session;
    Prompts& m_prompts;
    OrderSheet* m_sheet;
    Bench* m_bench;
    FindPanel* m_find;
    PictureView* m_preview;
};

} // namespace mivanta
