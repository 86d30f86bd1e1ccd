// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/find/FindPanel.h"
#include "desk/find/FilterRow.h"
#include "desk/find/PastedLines.h"
#include "desk/find/ReferenceHelp.h"
#include "desk/kit/Columns.h"
#include "desk/kit/OneLineFields.h"
#include "desk/kit/Style.h"
#include "session/media/FolderFinder.h"
#include <QKeyEvent>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

FindPanel::FindPanel(LibraryClient& library, const QString& placeholder, unsigned kinds, QWidget* parent)
    : QWidget(parent),
      m_library(library),
      m_kinds(kinds) {
    m_box = new QLineEdit(this);
    m_box->setObjectName(QStringLiteral("find-box"));
    m_box->setPlaceholderText(placeholder);
    m_box->setAccessibleName(tr("Find"));
    m_box->setToolTip(
        m_kinds == FindTexts ? tr("Finds texts by any words of their title, topics or words (Ctrl+F)")
        : m_kinds == FindSongs
            ? tr("Finds songs by any words of their title, words, authors or hymn number (Ctrl+F)")
            : tr("Finds songs and texts by any of their words, pictures, films and music by their names, and "
                 "scripture by a reference such as luk 5 1-11 (Ctrl+F). Tab moves on in a reference."));
    m_box->setClearButtonEnabled(true);
    m_box->installEventFilter(this);
    m_filter = new FilterRow(library, this);
    m_filter->setVisible(m_kinds & FindSongs);
    m_pasted = new PastedLines(this);
    m_pasted->setOffers(0);
    connect(m_pasted, &PastedLines::newSongWanted, this, &FindPanel::newSongWanted);
    connect(m_pasted, &PastedLines::orderWanted, this, &FindPanel::orderWanted);
    takeLinesPastedInto(m_box, [this](const QString& text) {
        m_box->setText(text.trimmed().section(u'\n', 0, 0).trimmed());
        m_untouched = false;
        m_pasted->offer(text);
        return true;
    });
    connect(m_box, &QLineEdit::textEdited, m_pasted, &QWidget::hide);
    m_help = new ReferenceHelp(this);
    m_help->setObjectName(QStringLiteral("find-help"));
    connect(m_help, &ReferenceHelp::otherWanted, m_box, &QLineEdit::setText);
    m_model = new FindListModel(this);
    m_list = new QListView(this);
    m_list->setObjectName(QStringLiteral("find-results"));
    m_list->setAccessibleName(tr("Found"));
    m_list->setModel(m_model);
    m_list->setItemDelegate(new FindDelegate(m_list));
    m_list->setUniformItemSizes(true);
    m_list->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_list->setDragEnabled(true);
    m_list->setDragDropMode(QAbstractItemView::DragOnly);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->installEventFilter(this);
    m_empty = new QLabel(this);
    m_empty->setObjectName(QStringLiteral("find-empty"));
    m_empty->setWordWrap(true);
    m_empty->setAlignment(Qt::AlignTop);
    makeQuiet(m_empty);
    m_empty->hide();

    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_box);
    column->addWidget(m_pasted);
    column->addWidget(m_help);
    column->addWidget(m_filter);
    column->addWidget(m_empty);
    column->addWidget(m_list, 1);

    connect(m_box, &QLineEdit::textChanged, this, &FindPanel::refresh);
    connect(m_box, &QLineEdit::textEdited, this, [this] { m_untouched = false; });
    connect(m_filter, &FilterRow::changed, this, &FindPanel::refresh);
    tellOfChoices();
    connect(m_list->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            &FindPanel::selectionChanged);
    connect(m_list, &QListView::clicked, this, &FindPanel::currentChanged); // it may be current already
    connect(m_list, &QListView::doubleClicked, this, [this] { choose(false); });
    connect(&m_library, &LibraryClient::opened, this, &FindPanel::refresh);
    connect(&m_library, &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & (LibraryPart::Songs | LibraryPart::Texts | LibraryPart::Scripture) ||
            (m_kinds & FindMedia && parts & LibraryPart::Media))
            refresh();
    });
}

void FindPanel::tellOfChoices() {
    m_choosing = connect(m_list->selectionModel(), &QItemSelectionModel::currentChanged, this,
                         &FindPanel::currentChanged);
}

void FindPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_stale)
        refresh();
}

/// For the dim room of a running service; songs are not filtered there.
void FindPanel::setNight(bool isNight) {
    m_help->setNight(isNight);
    static_cast<FindDelegate*>(m_list->itemDelegate())->setNight(isNight);
    m_filter->setVisible(!isNight && (m_kinds & FindSongs));
    m_empty->setStyleSheet(QStringLiteral("color: %1").arg((isNight ? night() : day()).quiet.name()));
}

void FindPanel::setMedia(MediumPictures& pictures, FolderFinder& folders) {
    m_folders = &folders;
    connect(&folders, &FolderFinder::changed, this, &FindPanel::refresh);
    m_model->setMedia(&pictures, m_library.address().mediaFolder());
    connect(&pictures, &MediumPictures::ready, m_list->viewport(), qOverload<>(&QWidget::update));
}

bool FindPanel::isAskingForAll() const {
    return m_box->text().trimmed().isEmpty() && m_filter->filter().isEmpty();
}

void FindPanel::setPasteOffers(unsigned offers) {
    m_pasted->setOffers(offers);
}

void FindPanel::focusBox() {
    m_box->setFocus(Qt::ShortcutFocusReason);
    m_box->selectAll();
}

void FindPanel::refresh() {
    m_stale = true;
    if (!m_library.isOpen() || !isVisible())
        return;
    m_stale = false;
    const QString query = m_box->text();
    m_library.find(this, {query, m_kinds, m_filter->filter()},
                   [this, query](Result<FindResult> result) { found(std::move(result), query); });
}

QString FindPanel::emptyText(const QString& query) const {
    if (!m_filter->filter().isEmpty())
        return tr("No song is like that. Remove a filter, or try other words.");
    if (query.trimmed().isEmpty())
        return m_kinds == FindTexts
                   ? tr("There are no texts yet. Write one, or bring in text files.")
                   : tr("The library is empty. Bring in song files (Ctrl+I), or drop them here.");
    if (m_understood.state == ReferenceState::Refused)
        return {}; // said above already
    return (m_kinds == FindSongs
                ? tr("No song has \u201c%1\u201d. Try fewer words, or only their beginnings.")
            : m_kinds == FindTexts
                ? tr("No text has \u201c%1\u201d. Try fewer words, or only their beginnings.")
                : tr("Nothing has \u201c%1\u201d. Try fewer words, or only their beginnings."))
        .arg(query.trimmed());
}

void FindPanel::found(Result<FindResult> result, const QString& query) {
    const auto before = current();
    const auto chosenBefore = selected();
    if (result && m_folders && m_filter->filter().isEmpty()) {
        std::vector<FindHit> files = m_folders->find(query);
        std::move(files.begin(), files.end(), std::back_inserter(result->hits));
    }
    const bool isEmpty = !result || result->hits.empty();
    m_understood = result ? result->understood : Understanding();
    if (m_kinds & FindScripture)
        m_help->showUnderstanding(m_understood);
    m_empty->setText(result ? emptyText(query) : result.error().text());
    m_empty->setVisible(isEmpty && !m_empty->text().isEmpty());
    const int count = result ? int(result->hits.size()) : 0;
    disconnect(m_choosing);
    m_model->setHits(result ? std::move(result->hits) : std::vector<FindHit>());
    QModelIndex kept = m_toSelect ? m_model->indexOf(*m_toSelect) : QModelIndex();
    const auto pickBefore = before ? pickOf(*before) : std::nullopt;
    if (kept.isValid())
        m_toSelect.reset();
    else if (pickBefore && query.trimmed().isEmpty())
        kept = m_model->indexOf(*pickBefore);
    m_list->setCurrentIndex(kept.isValid() ? kept : m_model->index(0));
    if (chosenBefore.size() > 1) // a change to several songs leaves them chosen
        for (const FindPick& pick : chosenBefore)
            if (const QModelIndex at = m_model->indexOf(pick); at.isValid())
                m_list->selectionModel()->select(at, QItemSelectionModel::Select);
    tellOfChoices();
    Q_EMIT refilled();
    Q_EMIT selectionChanged();
    Q_EMIT counted(count);
}

void FindPanel::setSlideCount(int slides) {
    m_help->setSlideCount(slides);
}

bool FindPanel::complete() {
    if (!(m_kinds & FindScripture) || m_understood.completed.isEmpty() ||
        m_understood.completed == m_box->text())
        return false;
    m_box->setText(m_understood.completed);
    m_untouched = false;
    return true;
}

void FindPanel::select(const FindPick& pick) {
    const QModelIndex at = m_model->indexOf(pick);
    m_toSelect = at.isValid() ? std::nullopt : std::optional(pick);
    if (at.isValid())
        m_list->setCurrentIndex(at);
}

std::vector<FindPick> FindPanel::selected() const {
    QModelIndexList chosen = m_list->selectionModel()->selectedIndexes();
    std::sort(chosen.begin(), chosen.end());
    std::vector<FindPick> picks;
    for (const QModelIndex& index : chosen)
        if (const FindHit* hit = m_model->hit(index))
            if (const auto pick = pickOf(*hit))
                picks.push_back(*pick);
    return picks;
}

std::vector<SongSummary> FindPanel::selectedSongs() const {
    QModelIndexList chosen = m_list->selectionModel()->selectedIndexes();
    std::sort(chosen.begin(), chosen.end());
    std::vector<SongSummary> songs;
    for (const QModelIndex& index : chosen)
        if (const FindHit* hit = m_model->hit(index))
            if (const auto* song = std::get_if<SongHit>(hit))
                songs.push_back(song->song);
    return songs;
}

void FindPanel::selectOnlyCurrent() {
    m_list->selectionModel()->select(m_list->currentIndex(), QItemSelectionModel::ClearAndSelect);
}

std::optional<FindHit> FindPanel::current() const {
    const FindHit* hit = m_model->hit(m_list->currentIndex());
    return hit ? std::optional(*hit) : std::nullopt;
}

void FindPanel::choose(bool open) {
    const auto hit = current();
    if (!hit)
        return;
    if (const auto* book = std::get_if<FoundBook>(&*hit)) {
        m_box->setText(book->typed);
        m_box->setFocus();
        return;
    }
    const FindPick pick = *pickOf(*hit);
    m_untouched = true;
    if (open) {
        Q_EMIT opened(pick);
        return;
    }
    auto picks = selected();
    if (picks.size() <= 1)
        picks = {pick};
    m_box->selectAll(); // what is typed next is another query
    Q_EMIT chosen(picks);
}

void FindPanel::moveBy(int rows) {
    const int row = std::clamp(m_list->currentIndex().row() + rows, 0, std::max(0, m_model->rowCount() - 1));
    if (row == m_list->currentIndex().row())
        Q_EMIT currentChanged(); // chosen all the same
    m_list->setCurrentIndex(m_model->index(row));
}

bool FindPanel::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride && watched == m_box && m_untouched) {
        // Undo right after a choice takes the choice back, not the typing of the query.
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->matches(QKeySequence::Undo) || key->matches(QKeySequence::Redo)) {
            event->ignore();
            return true;
        }
    }
    if (event->type() != QEvent::KeyPress)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const bool inBox = watched == m_box;
    switch (key->key()) {
    case Qt::Key_Return:
    case Qt::Key_Enter:
        choose(key->modifiers() & Qt::ShiftModifier);
        return true;
    case Qt::Key_Tab:
        if (inBox && key->modifiers() == Qt::NoModifier && complete())
            return true;
        break;
    case Qt::Key_Up:
    case Qt::Key_Down:
    case Qt::Key_PageUp:
    case Qt::Key_PageDown: {
        if (!inBox)
            break;
        const bool isPage = key->key() == Qt::Key_PageUp || key->key() == Qt::Key_PageDown;
        const bool isUp = key->key() == Qt::Key_Up || key->key() == Qt::Key_PageUp;
        moveBy((isUp ? -1 : 1) * (isPage ? 8 : 1));
        return true;
    }
    case Qt::Key_Escape:
        if (!inBox || m_box->text().isEmpty())
            break;
        m_box->clear();
        return true;
    default:
        break;
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace mivanta

#include "moc_FindPanel.cpp"
