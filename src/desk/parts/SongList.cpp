// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/SongList.h"
#include "core/base/Fold.h"
#include "desk/parts/Style.h"
#include <QMimeData>
#include <QPainter>

namespace mivanta {

void SongListModel::setHits(std::vector<SongHit> hits) {
    beginResetModel();
    m_hits = std::move(hits);
    m_words = m_hits.empty() ? QStringList() : m_hits.front().marked; // the same for all
    endResetModel();
}

const SongHit* SongListModel::hit(const QModelIndex& index) const {
    return index.isValid() && index.row() < int(m_hits.size()) ? &m_hits[size_t(index.row())] : nullptr;
}

QModelIndex SongListModel::indexOf(const SongId& id) const {
    for (size_t i = 0; i < m_hits.size(); ++i)
        if (m_hits[i].song.id == id)
            return index(int(i));
    return {};
}

int SongListModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : int(m_hits.size());
}

QVariant SongListModel::data(const QModelIndex& index, int role) const {
    const SongHit* at = hit(index);
    if (!at)
        return {};
    switch (role) {
    case Qt::DisplayRole:
    case Qt::ToolTipRole:
    case Qt::AccessibleTextRole:
        return at->song.title;
    case NumberRole:
        return at->song.number;
    case SecondLineRole:
        return at->matchingLine.isEmpty() ? at->song.firstLine : at->matchingLine;
    case IdRole:
        return at->song.id.text();
    default:
        return {};
    }
}

Qt::ItemFlags SongListModel::flags(const QModelIndex& index) const {
    return QAbstractListModel::flags(index) | Qt::ItemIsDragEnabled;
}

QStringList SongListModel::mimeTypes() const {
    return {QString::fromLatin1(kMimeType), QStringLiteral("text/plain")};
}

QMimeData* SongListModel::mimeData(const QModelIndexList& indexes) const {
    QStringList ids;
    QStringList titles;
    for (const QModelIndex& index : indexes)
        if (const SongHit* at = hit(index)) {
            ids << at->song.id.text();
            titles << at->song.title;
        }
    auto* data = new QMimeData;
    data->setData(QString::fromLatin1(kMimeType), ids.join(u'\n').toUtf8());
    data->setText(titles.join(u'\n'));
    return data;
}

std::vector<SongId> SongListModel::songsIn(const QMimeData* data) {
    std::vector<SongId> ids;
    const QString text = QString::fromUtf8(data->data(QString::fromLatin1(kMimeType)));
    for (const QString& id : text.split(u'\n', Qt::SkipEmptyParts))
        ids.push_back(SongId::fromText(id));
    return ids;
}

namespace {

/// Where in the text a word of the query begins a word, as [from, length] in the text itself.
std::vector<std::pair<int, int>> matches(const QString& text, const QStringList& words) {
    std::vector<std::pair<int, int>> found;
    for (int from = 0; from < text.size(); ++from) {
        if (!text[from].isLetterOrNumber() || (from > 0 && text[from - 1].isLetterOrNumber()))
            continue;
        for (const QString& word : words)
            for (int to = from + int(word.size());
                 to <= std::min(int(text.size()), from + int(word.size()) + 4); ++to)
                if (foldedForSearch(text.mid(from, to - from)) == word) {
                    found.emplace_back(from, to - from);
                    to = int(text.size());
                }
    }
    return found;
}

void drawMarked(QPainter& painter, const QRect& area, const QString& full, const QStringList& words) {
    const QFontMetrics metrics(painter.font());
    const QString text = metrics.elidedText(full, Qt::ElideRight, area.width());
    if (!text.isRightToLeft())
        for (const auto& [from, length] : matches(text, words)) {
            const int left = area.left() + metrics.horizontalAdvance(text.left(from));
            const int width = metrics.horizontalAdvance(text.mid(from, length));
            painter.fillRect(QRect(left - 1, area.top() + 1, width + 2, area.height() - 2), QColor(0xFFE0A6));
        }
    painter.drawText(area, Qt::AlignLeft | Qt::AlignVCenter | Qt::TextSingleLine, text);
}

} // namespace

void SongDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                         const QModelIndex& index) const {
    painter->save();
    const Palette& colours = day();
    const QRect area = option.rect.adjusted(0, 1, 0, -1);
    if (option.state & QStyle::State_Selected) {
        painter->setRenderHint(QPainter::Antialiasing);
        painter->setPen(option.state & QStyle::State_HasFocus ? QPen(colours.accent, 1.5) : QPen(Qt::NoPen));
        painter->setBrush(colours.sheet);
        painter->drawRoundedRect(QRectF(area).adjusted(1, 1, -1, -1), 4, 4);
    }
    const auto* model = qobject_cast<const SongListModel*>(index.model());
    const QStringList words = model ? model->queryWords() : QStringList();
    const QRect inner = area.adjusted(spaced(2), spaced(1), -spaced(2), -spaced(1));
    const QString number = index.data(SongListModel::NumberRole).toString();
    painter->setFont(textFont(0.85));
    painter->setPen(colours.quiet);
    const int numberWidth =
        number.isEmpty()
            ? 0
            : std::min(painter->fontMetrics().horizontalAdvance(number) + spaced(2), inner.width() / 2);
    const QRect top(inner.left(), inner.top(), inner.width(), inner.height() / 2);
    painter->drawText(top, Qt::AlignRight | Qt::AlignVCenter,
                      painter->fontMetrics().elidedText(number, Qt::ElideLeft, numberWidth));
    painter->setFont(textFont(1.05, true));
    painter->setPen(colours.text);
    drawMarked(*painter, top.adjusted(0, 0, -numberWidth, 0), index.data().toString(), words);
    QFont second = textFont(0.9);
    second.setItalic(words.isEmpty());
    painter->setFont(second);
    painter->setPen(colours.quiet);
    drawMarked(*painter, QRect(inner.left(), inner.center().y(), inner.width(), inner.height() / 2),
               index.data(SongListModel::SecondLineRole).toString(), words);
    painter->restore();
}

QSize SongDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const {
    return {100, spaced(12)};
}

} // namespace mivanta
