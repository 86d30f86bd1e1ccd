// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/WordsInService.h"
#include "desk/kit/Style.h"
#include "desk/song/SongEditor.h"
#include "desk/song/WordsPreview.h"
#include "session/Session.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>

namespace mivanta {

WordsInService::WordsInService(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session) {
    setObjectName(QStringLiteral("words-in-service"));
    m_heading = new QLabel(this);
    m_heading->setObjectName(QStringLiteral("words-in-service-heading"));
    m_heading->setWordWrap(true);
    auto* back = new QPushButton(tr("Back to the order"), this);
    back->setObjectName(QStringLiteral("words-in-service-back"));
    back->setProperty("main", true);
    back->setToolTip(tr("The changes are in the service already (Esc)"));
    connect(back, &QPushButton::clicked, this, &WordsInService::left);
    auto* escape = new QShortcut(Qt::Key_Escape, this, back, &QPushButton::click);
    escape->setContext(Qt::WidgetWithChildrenShortcut);
    auto* both = new QPushButton(tr("Back, and put it into the library, too"), this);
    both->setObjectName(QStringLiteral("words-in-service-both"));
    both->setToolTip(tr("The library's song becomes as it is here; the version before is kept there"));
    connect(both, &QPushButton::clicked, this, [this] {
        const ItemId item = m_item; // leaving forgets it
        Q_EMIT left();
        Q_EMIT libraryToo(item);
    });
    auto* strip = new QHBoxLayout;
    strip->setContentsMargins(spaced(4), spaced(2), spaced(4), spaced(2));
    strip->addWidget(m_heading, 1);
    strip->addWidget(both);
    strip->addWidget(back);
    m_editor = new SongEditor(m_draft, tools.prompts, tools.speller, this);
    const auto takeThemes = [this] { m_editor->setThemes(m_session.book().themes()); };
    connect(&m_session.book(), &SlideBook::themesChanged, this, takeThemes);
    takeThemes();
    m_editor->setForService();
    auto* side = new QWidget(this);
    side->setMinimumWidth(spaced(64));
    m_preview = new WordsPreview(m_session.book(), tools.thumbnails, side);
    auto* sideColumn = new QVBoxLayout(side);
    sideColumn->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    sideColumn->addWidget(m_preview);
    sideColumn->addStretch(1);
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    row->addWidget(m_editor, 10);
    row->addWidget(side, 5);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(strip);
    column->addLayout(row, 1);
    connect(&m_draft, &SongDraft::loaded, this,
            [this] { m_preview->setSong(m_draft.record(), WordsPreview::Shows::Another); });
    connect(&m_draft, &SongDraft::changed, this, [this] {
        m_preview->setSong(m_draft.record(), WordsPreview::Shows::Same);
        keep();
    });
    connect(m_editor, &SongEditor::placeChanged, m_preview, &WordsPreview::showPlace);
    connect(m_editor, &SongEditor::sheetWanted, this,
            [this, &sender = tools.sender](SendWay way, const ChartOptions& options) {
                if (const auto& song = m_draft.record())
                    sender.sendSongs(way, {*song}, song->title, options);
            });
}

void WordsInService::setItem(const ItemId& id) {
    const Item* item = m_session.document().service().item(id);
    const Song* song = item ? item->song() : nullptr;
    if (!song)
        return;
    m_item = id;
    m_visit = m_session.document().startVisit();
    m_heading->setText(tr("Changed for this service only. The song in the library stays as it is."));
    m_draft.load(*song);
    m_editor->setView(SongEditor::PartsView);
}

void WordsInService::keep() {
    m_session.document().change(m_item, songItem(*m_draft.record()),
                                tr("changing %1 here").arg(m_draft.record()->title), m_visit);
}

void WordsInService::undo() {
    m_editor->undo();
}

void WordsInService::redo() {
    m_editor->redo();
}

} // namespace mivanta

#include "moc_WordsInService.cpp"
