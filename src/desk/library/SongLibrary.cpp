// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/SongLibrary.h"
#include "core/song/PartEdits.h"
#include "desk/find/FindPanel.h"
#include "desk/find/PastedLines.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/Style.h"
#include "desk/library/BringingIn.h"
#include "desk/library/ImportReview.h"
#include "desk/library/LibraryList.h"
#include "desk/library/RecordHistory.h"
#include "desk/library/SeveralSongs.h"
#include "desk/library/SungFacts.h"
#include "desk/song/OrderEdit.h"
#include "desk/song/SongEditor.h"
#include "desk/song/WholePaste.h"
#include <QApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedLayout>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kOrderTyping = 2'000'000; ///< behind the typing places of the editor
} // namespace

SongLibrary::SongLibrary(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_sender(tools.sender),
      m_editing(m_draft, tools.session.library(), tools.session.unsavedFile(RecordKind<Song>::unsavedName()),
                [this](const QString& title) { return m_prompts.unsavedRecord(title); }),
      m_speller(tools.speller) {
    setObjectName(QStringLiteral("song-library"));
    m_pages = new QStackedLayout(this);
    m_review = new ImportReview(this);
    m_history = new RecordHistory<Song>(m_editing, m_draft, m_session.library(), this);
    m_history->setObjectName(QStringLiteral("song-history"));
    m_pages->addWidget(buildSongs(tools.thumbnails));
    m_pages->addWidget(m_review);
    m_pages->addWidget(m_history);
    connectOrder();
    connectList();
    connectEditor();
    connectBringingIn();
    showDraft(WordsPreview::Shows::Another);
}

/// The list, and beside it the editor with the preview, or what can be done with several songs.
QWidget* SongLibrary::buildSongs(ThumbnailStore& thumbnails) {
    auto* songs = new QWidget(this);
    m_list = new LibraryList(m_session, m_prompts, songs);
    m_find = &m_list->find();
    auto* one = new QWidget(songs);
    m_editor = new SongEditor(m_draft, m_prompts, m_speller, this); // its keys are the desk's
    const auto takeThemes = [this] { m_editor->setThemes(m_session.book().themes()); };
    connect(&m_session.book(), &SlideBook::themesChanged, this, takeThemes);
    takeThemes();
    auto* oneRow = new QHBoxLayout(one);
    oneRow->setContentsMargins(0, 0, 0, 0);
    oneRow->setSpacing(0);
    oneRow->addWidget(m_editor, 10);
    oneRow->addWidget(buildSide(thumbnails), 5);
    m_several = new SeveralSongs(m_session, songs);
    m_several->setSendMenu(m_list->sendMenu());
    auto* beside = new QWidget(songs);
    m_beside = new QStackedLayout(beside);
    m_beside->addWidget(one);
    m_beside->addWidget(m_several);
    m_nothing = new EmptyState(tr("No songs yet"),
                               tr("Songs come from files (ChordPro, text, tables, text documents and "
                                  "slides), or are written here. Files can "
                                  "be dropped anywhere on this desk."),
                               beside);
    m_nothing->addAction(QStringLiteral("empty-bring-in"), tr("Bring in song files\u2026 (Ctrl+I)"),
                         tr("Nothing is added before you have seen it"), [this] { bringInFiles(); });
    m_nothing->addAction(QStringLiteral("empty-bring-in-folder"),
                         tr("Bring in a folder\u2026 (Ctrl+Shift+I)"), tr("With the folders inside it"),
                         [this] { bringInFolder(); });
    m_nothing->addAction(QStringLiteral("empty-new-song"), tr("New song (Ctrl+Shift+N)"),
                         tr("Write one, or paste one from an e-mail"), [this] { newSong(); });
    auto* row = new QHBoxLayout(songs);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(m_list, 5);
    row->addWidget(beside, 15);
    return songs;
}

void SongLibrary::connectList() {
    using By = RecordEditing<Song>::By;
    connect(m_find, &FindPanel::currentChanged, this, [this] { currentChanged(By::Person); });
    connect(m_find, &FindPanel::refilled, this, [this] { currentChanged(By::List); });
    connect(m_find, &FindPanel::chosen, this, &SongLibrary::addToService);
    connect(m_find, &FindPanel::selectionChanged, this, &SongLibrary::selectionChanged);
    connect(m_several, &SeveralSongs::left, m_find, &FindPanel::selectOnlyCurrent);
    connect(m_several, &SeveralSongs::addToService, this, [this](const std::vector<SongId>& ids) {
        Q_EMIT addToService({ids.begin(), ids.end()});
    });
    connect(m_list, &LibraryList::sendWanted, this, [this](SendWay way, const std::vector<SongId>& ids) {
        const auto send = [this, way, ids] {
            const bool isOne = ids.size() == 1 && m_draft.record();
            m_sender.sendFromLibrary(way, ids, isOne ? m_draft.record()->title : tr("Songs"));
        };
        settle(send); // what is written is what is stored
    });
    connect(m_list, &LibraryList::stopWanted, this, [this] {
        m_session.library().cancelImport();
        m_sender.cancel();
    });
    connect(&m_sender, &Sender::progress, m_list, &LibraryList::showProgress);
    connect(&m_sender, &Sender::finished, m_list, &LibraryList::hideProgress);
    connect(&m_sender, &Sender::failed, m_list, &LibraryList::hideProgress);
    connect(m_list, &LibraryList::newWanted, this, &SongLibrary::newSong);
    m_find->setPasteOffers(PastedLines::NewSong);
    connect(m_find, &FindPanel::newSongWanted, this, &SongLibrary::newSongFrom);
    connect(m_find, &FindPanel::counted, this, [this](int songs) {
        m_isEmpty = songs == 0 && m_find->isAskingForAll();
        m_nothing->setVisible(m_isEmpty && !m_draft.record());
    });
    connect(m_list, &LibraryList::showWanted, this, &SongLibrary::showSong);
}

void SongLibrary::connectEditor() {
    connect(&m_draft, &SongDraft::loaded, this, [this] {
        showDraft(WordsPreview::Shows::Another);
        chooseEdited();
    });
    connect(&m_draft, &SongDraft::changed, this, [this] { showDraft(WordsPreview::Shows::Same); });
    connect(m_editor, &SongEditor::saveWanted, this, &SongLibrary::saveSong);
    connect(m_editor, &SongEditor::historyWanted, this, &SongLibrary::showHistory);
    connect(m_editor, &SongEditor::sheetWanted, this, [this](SendWay way, const ChartOptions& options) {
        if (const auto& song = m_draft.record())
            m_sender.sendSongs(way, {*song}, song->title, options);
    });
    connect(m_editor, &SongEditor::deleteWanted, &m_editing, [this] { m_editing.putInBin(); });
    connect(&m_editing, &EditingSignals::problem, &m_session, &Session::problem);
    connect(&m_editing, &EditingSignals::notice, &m_session, &Session::notice);
    connect(&m_editing, &EditingSignals::untitled, m_editor, &SongEditor::focusTitle);
    connect(&m_editing, &EditingSignals::notLoaded, this,
            [this](const Error& error) { m_editor->setEmptyText(error.text()); });
    connect(&m_editing, &EditingSignals::stays, this, &SongLibrary::chooseEdited);
    connect(&m_editing, &EditingSignals::stored, this, [this] {
        showDraft(WordsPreview::Shows::Same);
        chooseEdited();
    });
    connect(&m_editing, &EditingSignals::conflict, this, [this] { m_pages->setCurrentWidget(m_history); });
    connect(m_history, &VersionsPage::left, this, &SongLibrary::showSongs);
    connect(m_editor, &SongEditor::placeChanged, m_preview, &WordsPreview::showPlace);
    connect(m_preview, &WordsPreview::slidesMade, this,
            [this] { m_editor->setPartNotes(m_preview->partNotes()); });
    connect(&m_session.book(), &SlideBook::changed, m_preview, &WordsPreview::refresh);
}

QWidget* SongLibrary::buildSide(ThumbnailStore& thumbnails) {
    auto* content = new QWidget(this);
    m_preview = new WordsPreview(m_session.book(), thumbnails, content);
    m_order = new OrderEdit(content);
    m_sung = new SungFacts(m_session.library(), content);
    m_add = new QPushButton(tr("Add to the service"), content);
    m_add->setObjectName(QStringLiteral("library-add"));
    m_add->setToolTip(tr("Put this song into the service order (Enter in the search box)"));
    connect(m_add, &QPushButton::clicked, this, [this] {
        settle([this] {
            if (m_draft.record())
                Q_EMIT addToService({FindPick(m_draft.record()->id)});
        });
    });
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_preview);
    column->addWidget(m_order);
    column->addWidget(m_sung);
    column->addWidget(m_add, 0, Qt::AlignRight);
    column->addStretch(1);
    return columnOf(content, this);
}

void SongLibrary::connectOrder() {
    connect(m_order, &OrderEdit::orderWanted, this,
            [this](const std::vector<SungPart>& entries, const QString& what, OrderEdit::Step step) {
                m_orderTyping += step == OrderEdit::Step::New ? 1 : 0;
                m_draft.change(
                    what, [&](Song& song) { song.singingOrder = entries; }, kOrderTyping + m_orderTyping);
            });
    connect(m_order, &OrderEdit::otherOrderWanted, this, [this](int index) {
        m_draft.change(tr("the usual order"), [&](Song& song) { useOtherOrder(song, index); });
    });
    connect(m_order, &OrderEdit::newOrderWanted, this, [this] {
        const QString name =
            m_prompts.text(tr("What is the other order called? (such as Short)"), {}).trimmed();
        if (name.isEmpty())
            return;
        m_draft.change(tr("another order"), [&](Song& song) {
            const QString before = song.orderName.isEmpty() ? tr("Full") : song.orderName;
            song.otherOrders.insert(song.otherOrders.begin(), {before, song.singingOrder});
            song.orderName = name;
        });
    });
    connect(m_order, &OrderEdit::renameWanted, this, [this] {
        const QString name =
            m_prompts.text(tr("What is this order called?"), m_draft.record()->orderName).trimmed();
        if (!name.isEmpty())
            m_draft.change(tr("the order's name"), [&](Song& song) { song.orderName = name; });
    });
    connect(m_order, &OrderEdit::removeWanted, this, [this] {
        m_draft.change(tr("removing an order"), [](Song& song) {
            song.singingOrder = song.otherOrders.front().entries;
            song.orderName = song.otherOrders.front().name;
            song.otherOrders.erase(song.otherOrders.begin());
        });
    });
}

void SongLibrary::focusFind() {
    if (m_pages->currentWidget() == m_review)
        m_review->focusList();
    else if (m_pages->currentIndex() == 0)
        m_find->focusBox();
}

void SongLibrary::showSong(const SongId& id) {
    settle([this, id] {
        showSongs();
        m_find->box()->clear();
        m_find->select(id);
        m_editing.open(id);
    });
}

void SongLibrary::newSong() {
    settle([this] {
        showSongs();
        Song song;
        song.id = SongId::create();
        song.title = newSongTitle();
        addPart(song, 0, PartKind::Verse);
        m_editing.begin(song);
        m_editor->focusTitle();
    });
}

void SongLibrary::newSongFrom(const QString& text) {
    const auto before = m_editing.id();
    newSong();
    if (m_editing.id() != before) // else what is unsaved wanted to stay
        if (!m_editor->takeWholeSong(text))
            Q_EMIT m_session.notice(tr("There were no words of a song in what was pasted."));
}

void SongLibrary::currentChanged(RecordEditing<Song>::By by) {
    if (!m_editing.choose(chosen(), by))
        chooseEdited();
}

std::optional<SongId> SongLibrary::chosen() const {
    const auto found = m_find->current();
    const auto* hit = found ? std::get_if<SongHit>(&*found) : nullptr;
    return hit ? std::optional(hit->song.id) : std::nullopt;
}

/// The list shows the song that is edited as the chosen one.
void SongLibrary::chooseEdited() {
    if (m_draft.record() && !m_draft.isNew() && chosen() != m_draft.record()->id)
        m_find->select(m_draft.record()->id);
}

void SongLibrary::selectionChanged() {
    const auto songs = m_find->selectedSongs();
    const bool isSeveral = songs.size() > 1;
    if (isSeveral)
        m_several->setSongs(songs);
    else if (m_several->isAncestorOf(QApplication::focusWidget()))
        m_find->list()->setFocus();
    m_beside->setCurrentIndex(isSeveral ? 1 : 0);
}

void SongLibrary::showDraft(WordsPreview::Shows shows) {
    const auto& song = m_draft.record();
    if (song)
        m_editor->setEmptyText({});
    m_nothing->setVisible(m_isEmpty && !song);
    m_add->setVisible(song && song->revision > 0);
    m_preview->setSong(song, shows);
    m_order->setSong(song);
    if (shows == WordsPreview::Shows::Another)
        m_sung->setSong(song && song->revision > 0 ? song->id : SongId());
}

void SongLibrary::undo() {
    if (m_pages->currentIndex() != 0)
        return;
    if (m_beside->currentIndex() == 1 || (!m_draft.undoStack().canUndo() && m_several->canUndo()))
        m_several->undo();
    else
        m_editor->undo();
}

void SongLibrary::redo() {
    if (m_pages->currentIndex() == 0)
        m_editor->redo();
}

void SongLibrary::showHistory() {
    if (!m_draft.record())
        return;
    m_pages->setCurrentWidget(m_history);
    m_history->setRecord(*m_draft.record());
}

void SongLibrary::connectBringingIn() {
    auto* in = new BringingIn(m_session.library(), *m_review, this);
    connect(m_list, &LibraryList::bringInWanted, in, &BringingIn::start);
    connect(this, &SongLibrary::dropped, in, &BringingIn::start);
    connect(m_list, &LibraryList::reviewWanted, this, &SongLibrary::showReview);
    connect(in, &BringingIn::reviewLeft, this, &SongLibrary::showSongs);
    connect(in, &BringingIn::notice, &m_session, &Session::notice);
    connect(in, &BringingIn::reviewWanted, this, &SongLibrary::showReview);
    connect(in, &BringingIn::reviewIsNew, this, &SongLibrary::reviewIsThere);
}

void SongLibrary::bringInFiles() {
    m_list->bringInFiles();
}

void SongLibrary::bringInFolder() {
    m_list->bringInFolder();
}

void SongLibrary::showReview() {
    m_list->setWaiting(0);
    m_pages->setCurrentWidget(m_review);
    m_review->focusList();
}

void SongLibrary::showSongs() {
    m_list->setWaiting(m_review->count());
    m_pages->setCurrentIndex(0);
    m_find->focusBox();
}

} // namespace mivanta

#include "moc_SongLibrary.cpp"
