// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/LibraryDesk.h"
#include "core/run/Cards.h"
#include "core/song/PartEdits.h"
#include "desk/library/SongEditor.h"
#include "desk/library/SongPreview.h"
#include "desk/parts/FindPanel.h"
#include "desk/parts/OrderEdit.h"
#include "desk/parts/Style.h"
#include "store/Settings.h"
#include <QDragEnterEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QMimeData>
#include <QProgressBar>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>
#include <QUrl>
#include <QVBoxLayout>

namespace mivanta {

LibraryDesk::LibraryDesk(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts),
      m_speller(session.library().folder() + QStringLiteral("/own-words.txt")) {
    setObjectName(QStringLiteral("library-desk"));
    setAcceptDrops(true);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    m_editor = new SongEditor(m_draft, m_prompts, m_speller, shippedThemes(), this);
    row->addWidget(buildList(), 5);
    row->addWidget(m_editor, 10);
    row->addWidget(buildSide(thumbnails), 5);
    connectOrder();

    connect(m_find, &FindPanel::currentChanged, this, &LibraryDesk::currentChanged);
    connect(m_find, &FindPanel::chosen, this, &LibraryDesk::addToService);
    connect(m_find, &FindPanel::counted, this, [this](int songs) {
        m_count->setText(m_find->box()->text().trimmed().isEmpty() ? tr("Songs %1").arg(songs)
                                                                   : tr("%1 found").arg(songs));
    });
    connect(&m_draft, &SongDraft::loaded, this, [this] { draftChanged(false); });
    connect(&m_draft, &SongDraft::changed, this, [this] { draftChanged(true); });
    connect(m_editor, &SongEditor::saveWanted, this, [this] { saveSong(); });
    connect(m_editor, &SongEditor::historyWanted, this, &LibraryDesk::showVersions);
    connect(m_editor, &SongEditor::deleteWanted, this, &LibraryDesk::putInBin);
    connect(m_editor, &SongEditor::placeChanged, m_preview, &SongPreview::showPlace);
    connect(m_preview, &SongPreview::slidesMade, this, &LibraryDesk::showPartNotes);
    connect(&m_session.library(), &LibraryClient::importProgress, this, [this](int done, int total) {
        m_importRow->show();
        m_progress->setMaximum(total);
        m_progress->setValue(done);
    });
    connect(&m_session.library(), &LibraryClient::importFinished, this, &LibraryDesk::importFinished);
    connect(&m_session.book(), &SlideBook::changed, m_preview, &SongPreview::refresh);
    draftChanged(false);
}

QWidget* LibraryDesk::buildList() {
    auto* side = new QWidget(this);
    side->setAutoFillBackground(true);
    QPalette palette = side->palette();
    palette.setColor(QPalette::Window, day().side);
    side->setPalette(palette);
    side->setMinimumWidth(spaced(66));
    m_find = new FindPanel(m_session.library(), tr("Title, words, author, hymn number\u2026"), side);
    m_count = new QLabel(tr("Songs"), side);
    m_count->setFont(textFont(1.0, true));
    m_count->setStyleSheet(QStringLiteral("color: %1").arg(day().accent.name()));

    auto* fresh = new QPushButton(tr("New song"), side);
    fresh->setObjectName(QStringLiteral("new-song"));
    fresh->setProperty("main", true);
    fresh->setToolTip(tr("Write a new song, or paste one from an e-mail (Ctrl+Shift+N)"));
    fresh->setShortcut(QKeySequence(QStringLiteral("Ctrl+Shift+N")));
    connect(fresh, &QPushButton::clicked, this, &LibraryDesk::newSong);
    auto* bringIn = new QToolButton(side);
    bringIn->setObjectName(QStringLiteral("bring-in"));
    bringIn->setText(tr("Bring in \u25be"));
    bringIn->setToolTip(tr("Bring in song files: ChordPro or plain text"));
    bringIn->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(bringIn);
    menu->addAction(tr("Files\u2026\tCtrl+I"), this, &LibraryDesk::importFiles);
    menu->addAction(tr("A folder and the folders inside it\u2026\tCtrl+Shift+I"), this,
                    &LibraryDesk::importFolder);
    bringIn->setMenu(menu);
    auto* bin = new QToolButton(side);
    bin->setObjectName(QStringLiteral("bin"));
    bin->setText(tr("Bin \u25be"));
    bin->setToolTip(tr("Songs that were deleted; take them back, or empty the bin"));
    bin->setPopupMode(QToolButton::InstantPopup);
    m_binMenu = new QMenu(bin);
    connect(m_binMenu, &QMenu::aboutToShow, this, &LibraryDesk::fillBinMenu);
    bin->setMenu(m_binMenu);

    auto* buttons = new QHBoxLayout;
    buttons->addWidget(fresh);
    buttons->addStretch(1);
    buttons->addWidget(bringIn);
    buttons->addWidget(bin);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_count);
    column->addWidget(m_find, 1);
    column->addWidget(buildImportRow(side));
    column->addLayout(buttons);
    return side;
}

QWidget* LibraryDesk::buildImportRow(QWidget* side) {
    m_importRow = new QWidget(side);
    m_progress = new QProgressBar(m_importRow);
    m_progress->setAccessibleName(tr("Import"));
    auto* stop = new QPushButton(tr("Stop"), m_importRow);
    stop->setObjectName(QStringLiteral("import-stop"));
    stop->setToolTip(tr("Stop bringing in; what is in already stays"));
    connect(stop, &QPushButton::clicked, &m_session.library(), &LibraryClient::cancelImport);
    auto* row = new QHBoxLayout(m_importRow);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_progress, 1);
    row->addWidget(stop);
    m_importRow->hide();
    return m_importRow;
}

QWidget* LibraryDesk::buildSide(ThumbnailStore& thumbnails) {
    auto* content = new QWidget(this);
    m_preview = new SongPreview(m_session.book(), thumbnails, content);
    m_order = new OrderEdit(content);
    m_add = new QPushButton(tr("Add to the service"), content);
    m_add->setObjectName(QStringLiteral("library-add"));
    m_add->setToolTip(tr("Put this song into the service order (Enter in the search box)"));
    connect(m_add, &QPushButton::clicked, this, [this] {
        settle([this] {
            if (m_draft.song())
                Q_EMIT addToService(m_draft.song()->id);
        });
    });
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_preview);
    column->addWidget(m_order);
    column->addWidget(m_add, 0, Qt::AlignRight);
    column->addStretch(1);
    auto* scroll = new QScrollArea(this);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setMinimumWidth(spaced(64));
    scroll->setWidget(content);
    return scroll;
}

void LibraryDesk::connectOrder() {
    connect(m_order, &OrderEdit::orderWanted, this,
            [this](const std::vector<SungPart>& entries, const QString& what) {
                m_draft.change(what, [&](Song& song) { song.singingOrder = entries; });
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
            m_prompts.text(tr("What is this order called?"), m_draft.song()->orderName).trimmed();
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

void LibraryDesk::focusFind() {
    m_find->focusBox();
}

void LibraryDesk::showSong(const SongId& id) {
    settle([this, id] {
        m_find->box()->clear();
        m_find->select(id);
        load(id);
    });
}

void LibraryDesk::newSong() {
    settle([this] {
        m_wanted = {};
        Song song;
        song.id = SongId::create();
        song.title = tr("New song");
        addPart(song, 0, PartKind::Verse);
        m_draft.load(song);
        m_editor->focusTitle();
    });
}

void LibraryDesk::currentChanged() {
    const auto hit = m_find->current();
    if (m_selecting || (hit && m_draft.song() && m_draft.song()->id == hit->song.id))
        return;
    if (!hit && m_draft.isChanged())
        return; // nothing was found; what is being edited stays
    const bool isNew = m_draft.song() && m_draft.song()->revision == 0;
    if (isNew && !m_find->list()->hasFocus() && !m_find->box()->hasFocus())
        return; // the list was filled anew while a song is being written
    const SongId staying = m_draft.song() ? m_draft.song()->id : SongId();
    bool settled = false;
    settle([&, hit] {
        settled = true;
        if (hit) {
            load(hit->song.id);
        } else {
            m_wanted = {};
            m_draft.load(std::nullopt);
        }
    });
    if (!settled && m_draft.isChanged()) {
        m_selecting = true;
        m_find->select(staying);
        m_selecting = false;
    }
}

void LibraryDesk::load(const SongId& id) {
    m_wanted = id;
    m_session.library().song(this, id, [this](const Result<Song>& song) {
        if (song && !(song->id == m_wanted))
            return; // another one was chosen meanwhile
        m_editor->setEmptyText(song ? QString() : song.error().text());
        if (song && m_draft.song() && m_draft.song()->id == song->id && m_draft.isChanged())
            return;
        m_draft.load(song ? std::optional(*song) : std::nullopt);
    });
}

void LibraryDesk::draftChanged(bool sameSong) {
    const auto& song = m_draft.song();
    m_add->setVisible(song && song->revision > 0);
    m_preview->setSong(song, sameSong);
    m_order->setSong(song);
}

void LibraryDesk::showPartNotes() {
    const auto& song = m_draft.song();
    const auto& slides = m_preview->slides();
    QStringList notes;
    const int main = slides ? mainOutput(*slides) : -1;
    for (size_t p = 0; song && main >= 0 && p < song->parts.size(); ++p) {
        int count = 0;
        for (const Slide& slide : slides->outputs[size_t(main)].slides)
            if (slides->content.entries[size_t(slide.start.entry)].part == int(p))
                count = std::max(count, slide.of);
        notes << (count == 0 ? (song->parts[p].hasWords() ? tr("not sung") : QString())
                             : (count == 1 ? tr("1 slide") : tr("%1 slides").arg(count)));
    }
    m_editor->setPartNotes(notes);
}

void LibraryDesk::undo() {
    m_editor->undo();
}

void LibraryDesk::redo() {
    m_editor->redo();
}

void LibraryDesk::saveSong(const std::function<void()>& then) {
    m_draft.change(tr("tidying"), [](Song& song) { song = tidied(song); });
    if (!m_draft.song())
        return;
    if (m_draft.song()->title.isEmpty()) {
        Q_EMIT m_session.problem({tr("A song needs a title"), {}, tr("Give it one under Details.")});
        m_editor->focusTitle();
        return;
    }
    m_session.library().save(this, *m_draft.song(), [this, then](const Result<Song>& stored) {
        if (!stored) {
            Q_EMIT m_session.problem(stored.error());
            return;
        }
        m_draft.saved(*stored);
        m_wanted = stored->id;
        m_find->select(stored->id);
        draftChanged(true);
        if (then)
            then();
    });
}

void LibraryDesk::settle(const std::function<void()>& then) {
    if (!m_draft.isChanged()) {
        then();
        return;
    }
    switch (m_prompts.unsavedSong(m_draft.song()->title)) {
    case Prompts::Unsaved::Save:
        saveSong(then);
        break;
    case Prompts::Unsaved::GiveUp:
        m_draft.undoStack().setClean();
        m_draft.load(std::nullopt);
        then();
        break;
    case Prompts::Unsaved::Cancel:
        break;
    }
}

void LibraryDesk::showVersions(const QPoint& globalPlace) {
    if (!m_draft.song())
        return;
    const SongId id = m_draft.song()->id;
    m_session.library().versions(
        this, id, [this, id, globalPlace](const Result<std::vector<SongVersion>>& versions) {
            auto* menu = new QMenu(this);
            menu->setObjectName(QStringLiteral("versions"));
            menu->setAttribute(Qt::WA_DeleteOnClose);
            if (!versions || versions->empty())
                menu->addAction(tr("There is no earlier version yet"))->setEnabled(false);
            constexpr size_t kMostShown = 20;
            for (size_t i = 0; versions && i < std::min(versions->size(), kMostShown); ++i) {
                const SongVersion& version = (*versions)[i];
                menu->addAction(
                    locale().toString(version.changedAt.toLocalTime(), tr("d MMMM yyyy, HH:mm:ss")), this,
                    [this, id, revision = version.revision] {
                        m_session.library().version(this, id, revision, [this](const Result<Song>& old) {
                            if (!old) {
                                Q_EMIT m_session.problem(old.error());
                                return;
                            }
                            m_draft.change(tr("an earlier version"), [&](Song& song) {
                                const int now = song.revision;
                                song = *old;
                                song.revision = now;
                            });
                        });
                    });
            }
            menu->popup(globalPlace);
        });
}

void LibraryDesk::putInBin() {
    if (!m_draft.song())
        return;
    const Song song = *m_draft.song();
    if (song.revision == 0) {
        m_draft.undoStack().setClean();
        m_draft.load(std::nullopt);
        return;
    }
    m_session.library().putInBin(this, {song.id}, [this, song](const Result<void>& done) {
        if (!done) {
            Q_EMIT m_session.problem(done.error());
            return;
        }
        m_draft.load(std::nullopt);
        Q_EMIT m_session.notice(
            tr("\u201c%1\u201d is in the bin; it can be taken back from there.").arg(song.title));
    });
}

void LibraryDesk::fillBinMenu() {
    m_binMenu->clear();
    m_binMenu->addAction(tr("Looking\u2026"))->setEnabled(false);
    m_session.library().bin(this, [this](const Result<std::vector<SongSummary>>& songs) {
        m_binMenu->clear();
        if (!songs || songs->empty()) {
            m_binMenu->addAction(tr("The bin is empty"))->setEnabled(false);
            return;
        }
        constexpr size_t kMostShown = 20;
        for (size_t i = 0; i < std::min(songs->size(), kMostShown); ++i) {
            const SongSummary& song = (*songs)[i];
            m_binMenu->addAction(tr("Take back \u201c%1\u201d").arg(song.title), this, [this, id = song.id] {
                m_session.library().takeFromBin(this, {id}, [this, id](const Result<void>& done) {
                    if (done)
                        showSong(id);
                    else
                        Q_EMIT m_session.problem(done.error());
                });
            });
        }
        m_binMenu->addSeparator();
        const int count = int(songs->size());
        m_binMenu->addAction(tr("Empty the bin\u2026"), this, [this, count] {
            if (m_prompts.emptyBin(count))
                m_session.library().emptyBin(this, [this](const Result<int>& gone) {
                    if (!gone)
                        Q_EMIT m_session.problem(gone.error());
                });
        });
    });
}

void LibraryDesk::importFiles() {
    m_session.library().import(m_prompts.songFilesToImport());
}

void LibraryDesk::importFolder() {
    if (const QString folder = m_prompts.songFolderToImport(); !folder.isEmpty())
        m_session.library().import({folder});
}

void LibraryDesk::importFinished(const std::vector<ImportEntry>& entries, bool cancelled) {
    m_importRow->hide();
    int counts[4]{};
    QStringList refusals;
    QStringList warnings;
    for (const ImportEntry& entry : entries) {
        ++counts[int(entry.outcome)];
        const QString file = entry.file.section(u'/', -1);
        if (entry.outcome == ImportOutcome::Refused)
            refusals << QStringLiteral("%1: %2").arg(file, entry.reason);
        else if (entry.outcome != ImportOutcome::Unchanged && !entry.reason.isEmpty())
            warnings << QStringLiteral("%1: %2").arg(file, entry.reason);
    }
    constexpr int kMostTold = 6;
    QString text = tr("Brought in: %1 added, %2 changed, %3 unchanged, %4 refused.")
                       .arg(counts[0])
                       .arg(counts[1])
                       .arg(counts[2])
                       .arg(counts[3]);
    if (cancelled)
        text += u' ' + tr("Stopped before the end.");
    const QStringList told = refusals + warnings;
    for (const QString& line : told.mid(0, kMostTold))
        text += u'\n' + line;
    if (told.size() > kMostTold)
        text += u'\n' + tr("and %1 more.").arg(told.size() - kMostTold);
    Q_EMIT m_session.notice(text);
}

void LibraryDesk::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void LibraryDesk::dropEvent(QDropEvent* event) {
    QStringList paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile())
            paths << url.toLocalFile();
    m_session.library().import(paths);
    event->acceptProposedAction();
}

} // namespace mivanta
