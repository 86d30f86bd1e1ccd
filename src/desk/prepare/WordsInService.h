// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "desk/kit/Tools.h"
#include "session/library/RecordDraft.h"
#include <QWidget>

class QLabel;

namespace mivanta {

class SongEditor;
class WordsPreview;

/// The editor on a song as it stands in this service. Every change is in the service at once, all of one
/// visit as one step of its undo; the library's song stays as it is.
class WordsInService : public QWidget {
    Q_OBJECT
public:
    WordsInService(const Tools& tools, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void undo();
    void redo();

Q_SIGNALS:
    void left();
    /// The song is to be in the library as it is here; behind left().
    void libraryToo(const mivanta::ItemId& id);

private:
    void keep();

    Session& m_session;
    SongDraft m_draft;
    SongEditor* m_editor;
    WordsPreview* m_preview;
    QLabel* m_heading;
    ItemId m_item;
    int m_visit = 0;
};

} // namespace mivanta
