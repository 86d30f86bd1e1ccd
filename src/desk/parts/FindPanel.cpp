// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/FindPanel.h"
#include "desk/parts/FilterRow.h"
#include "desk/parts/Style.h"
#include <QKeyEvent>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

FindPanel::FindPanel(LibraryClient& library, const QString& placeholder, QWidget* parent)
    : QWidget(parent),
      m_library(library) {
    m_box = new QLineEdit(this);
    m_box->setObjectName(QStringLiteral("find-box"));
    m_box->setPlaceholderText(placeholder);
    m_box->setAccessibleName(tr("Find"));
    m_box->setToolTip(tr("Finds songs by any words of their title, words, authors or hymn number (Ctrl+F)"));
    m_box->setClearButtonEnabled(true);
    m_box->installEventFilter(this);
    m_filter = new FilterRow(library, this);
    m_model = new SongListModel(this);
    m_list = new QListView(this);
    m_list->setObjectName(QStringLiteral("find-results"));
    m_list->setAccessibleName(tr("Songs found"));
    m_list->setModel(m_model);
    m_list->setItemDelegate(new SongDelegate(m_list));
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
    m_empty->setStyleSheet(QStringLiteral("color: %1").arg(day().quiet.name()));
    m_empty->hide();

    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_box);
    column->addWidget(m_filter);
    column->addWidget(m_empty);
    column->addWidget(m_list, 1);

    connect(m_box, &QLineEdit::textChanged, this, &FindPanel::refresh);
    connect(m_box, &QLineEdit::textEdited, this, [this] { m_untouched = false; });
    connect(m_filter, &FilterRow::changed, this, &FindPanel::refresh);
    connect(m_list->selectionModel(), &QItemSelectionModel::currentChanged, this, &FindPanel::currentChanged);
    connect(m_list->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            &FindPanel::selectionChanged);
    connect(m_list, &QListView::clicked, this, &FindPanel::currentChanged); // it may be current already
    connect(m_list, &QListView::doubleClicked, this, [this](const QModelIndex& index) {
        if (const SongHit* hit = m_model->hit(index))
            Q_EMIT chosen({hit->song.id});
    });
    connect(&m_library, &LibraryClient::opened, this, &FindPanel::refresh);
    connect(&m_library, &LibraryClient::changed, this, &FindPanel::refresh);
}

void FindPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_stale)
        refresh();
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
    m_library.find(this, query, m_filter->filter(),
                   [this, query](Result<std::vector<SongHit>> hits) { found(std::move(hits), query); });
}

void FindPanel::found(Result<std::vector<SongHit>> hits, const QString& query) {
    const auto before = current();
    const auto chosenBefore = selected();
    const bool isEmpty = !hits || hits->empty();
    if (!hits)
        m_empty->setText(hits.error().text());
    else if (!m_filter->filter().isEmpty())
        m_empty->setText(tr("No song is like that. Take a filter away, or try other words."));
    else if (query.trimmed().isEmpty())
        m_empty->setText(tr("The library is empty. Bring in song files (Ctrl+I), or drop them here."));
    else
        m_empty->setText(tr("No song has \u201c%1\u201d. Try fewer words, or only their beginnings.")
                             .arg(query.trimmed()));
    m_empty->setVisible(isEmpty);
    const int count = hits ? int(hits->size()) : 0;
    m_filling = true;
    m_model->setHits(hits ? std::move(*hits) : std::vector<SongHit>());
    QModelIndex kept = m_toSelect.isNull() ? QModelIndex() : m_model->indexOf(m_toSelect);
    if (kept.isValid())
        m_toSelect = {};
    else if (before && query.trimmed().isEmpty())
        kept = m_model->indexOf(before->song.id);
    m_list->setCurrentIndex(kept.isValid() ? kept : m_model->index(0));
    if (chosenBefore.size() > 1) // a change to several songs leaves them chosen
        for (const SongSummary& song : chosenBefore)
            if (const QModelIndex at = m_model->indexOf(song.id); at.isValid())
                m_list->selectionModel()->select(at, QItemSelectionModel::Select);
    if (count == 0)
        Q_EMIT currentChanged();
    Q_EMIT selectionChanged();
    m_filling = false;
    Q_EMIT counted(count);
}

void FindPanel::select(const SongId& id) {
    const QModelIndex at = m_model->indexOf(id);
    m_toSelect = at.isValid() ? SongId() : id;
    if (at.isValid())
        m_list->setCurrentIndex(at);
}

std::vector<SongSummary> FindPanel::selected() const {
    QModelIndexList chosen = m_list->selectionModel()->selectedIndexes();
    std::sort(chosen.begin(), chosen.end());
    std::vector<SongSummary> songs;
    for (const QModelIndex& index : chosen)
        if (const SongHit* hit = m_model->hit(index))
            songs.push_back(hit->song);
    return songs;
}

void FindPanel::selectOnlyCurrent() {
    m_list->selectionModel()->select(m_list->currentIndex(), QItemSelectionModel::ClearAndSelect);
}

std::optional<SongHit> FindPanel::current() const {
    const SongHit* hit = m_model->hit(m_list->currentIndex());
    return hit ? std::optional(*hit) : std::nullopt;
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
    switch (key->key()) {
    case Qt::Key_Return:
    case Qt::Key_Enter:
        if (const auto hit = current()) {
            m_untouched = true;
            if (key->modifiers() & Qt::ShiftModifier) {
                Q_EMIT opened(hit->song.id);
                return true;
            }
            std::vector<SongId> ids;
            for (const SongSummary& song : selected())
                ids.push_back(song.id);
            if (ids.size() <= 1)
                ids = {hit->song.id};
            Q_EMIT chosen(ids);
        }
        return true;
    case Qt::Key_Up:
    case Qt::Key_Down:
    case Qt::Key_PageUp:
    case Qt::Key_PageDown:
        if (watched != m_box)
            break;
        {
            const int by = key->key() == Qt::Key_Up       ? -1
                           : key->key() == Qt::Key_Down   ? 1
                           : key->key() == Qt::Key_PageUp ? -8
                                                          : 8;
            const int row =
                std::clamp(m_list->currentIndex().row() + by, 0, std::max(0, m_model->rowCount() - 1));
            if (row == m_list->currentIndex().row())
                Q_EMIT currentChanged(); // chosen all the same
            m_list->setCurrentIndex(m_model->index(row));
        }
        return true;
    case Qt::Key_Escape:
        if (watched != m_box || m_box->text().isEmpty())
            break;
        m_box->clear();
        return true;
    default:
        break;
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace mivanta
