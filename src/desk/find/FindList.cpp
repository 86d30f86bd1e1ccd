// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/find/FindList.h"
#include "core/base/Cases.h"
#include "core/base/Fold.h"
#include "core/base/MediaName.h"
#include "desk/kit/Style.h"
#include <QFileInfo>
#include <QMimeData>
#include <QPainter>
#include <QUrl>

namespace mivanta {

namespace {

QStringList markedIn(const FindHit& hit) {
    return std::visit(Cases{[](const SongHit& song) { return song.marked; },
                            [](const TextHit& text) { return text.marked; },
                            [](const VerseHit& verse) { return verse.marked; },
                            [](const FoundPassage&) { return QStringList(); },
                            [](const FoundBook&) { return QStringList(); },
                            [](const MediumHit& hit) { return hit.marked; }},
                      hit);
}

ShownMedium shownOf(const MediumHit& hit) {
    ShownMedium shown{hit.medium, {}, {}, 0, {}, {}};
    if (!hit.path.isEmpty()) {
        shown.folder = QFileInfo(hit.path).path();
        shown.path = QFileInfo(hit.path).fileName();
        shown.changedAt = hit.medium.addedAt.toMSecsSinceEpoch();
    }
    return shown;
}

/// What stands at the right: a song's number, a text's kind, a translation.
QString sideOf(const FindHit& hit) {
    return std::visit(Cases{[](const SongHit& song) { return song.song.number; },
                            [](const TextHit& text) { return textKindName(text.text.kind); },
                            [](const VerseHit& verse) { return verse.shortName; },
                            [](const FoundPassage& passage) { return passage.shortName; },
                            [](const FoundBook&) { return FindListModel::tr("a book"); },
                            [](const MediumHit& hit) { return mediumKindText(hit.medium.kind); }},
                      hit);
}

QString secondLineOf(const FindHit& hit) {
    return std::visit(
        Cases{[](const SongHit& song) {
                  return song.matchingLine.isEmpty() ? song.song.firstLine : song.matchingLine;
              },
              [](const TextHit& text) {
                  return text.matchingLine.isEmpty() ? text.text.firstLine : text.matchingLine;
              },
              [](const VerseHit& verse) { return verse.words; },
              [](const FoundPassage& passage) {
                  return passage.understood.notes.isEmpty()
                             ? FindListModel::tr("Scripture")
                             : passage.understood.notes.join(QStringLiteral(" \u00b7 "));
              },
              [](const FoundBook& book) { return FindListModel::tr("%1\u2026").arg(book.typed.trimmed()); },
              [](const MediumHit& hit) {
                  return !hit.path.isEmpty() ? FindListModel::tr("In %1").arg(QFileInfo(hit.path).path())
                         : hit.medium.caption.isEmpty() ? factsText(hit.medium)
                                                        : hit.medium.caption;
              }},
        hit);
}

} // namespace

void FindListModel::setHits(std::vector<FindHit> hits) {
    beginResetModel();
    m_hits = std::move(hits);
    m_words.clear();
    for (const FindHit& hit : m_hits) // the same for all that have any
        if (m_words = markedIn(hit); !m_words.isEmpty())
            break;
    endResetModel();
}

const FindHit* FindListModel::hit(const QModelIndex& index) const {
    return index.isValid() && index.row() < int(m_hits.size()) ? &m_hits[size_t(index.row())] : nullptr;
}

QModelIndex FindListModel::indexOf(const FindPick& pick) const {
    for (size_t i = 0; i < m_hits.size(); ++i)
        if (pickOf(m_hits[i]) == pick)
            return index(int(i));
    return {};
}

int FindListModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : int(m_hits.size());
}

QVariant FindListModel::data(const QModelIndex& index, int role) const {
    const FindHit* at = hit(index);
    if (!at)
        return {};
    switch (role) {
    case Qt::DisplayRole:
    case Qt::AccessibleTextRole:
        return titleOf(*at);
    case Qt::ToolTipRole:
        return std::holds_alternative<SongHit>(*at) ? titleOf(*at) : titleOf(*at) + u'\n' + secondLineOf(*at);
    case Qt::DecorationRole: {
        const auto* medium = std::get_if<MediumHit>(at);
        return medium && m_pictures
                   ? QVariant(m_pictures->get(shownOf(*medium), medium->medium.telling(), kPicture))
                   : QVariant();
    }
    case NumberRole:
        return sideOf(*at);
    case SecondLineRole:
        return secondLineOf(*at);
    case IdRole: {
        const auto* song = std::get_if<SongHit>(at);
        return song ? song->song.id.text() : QString();
    }
    default:
        return {};
    }
}

Qt::ItemFlags FindListModel::flags(const QModelIndex& index) const {
    const FindHit* at = hit(index);
    const Qt::ItemFlags flags = QAbstractListModel::flags(index);
    return at && pickOf(*at) ? flags | Qt::ItemIsDragEnabled : flags;
}

QStringList FindListModel::mimeTypes() const {
    return {QString::fromLatin1(kMimeType), QStringLiteral("text/plain")};
}

QMimeData* FindListModel::mimeData(const QModelIndexList& indexes) const {
    std::vector<FindPick> picks;
    QStringList titles;
    QList<QUrl> files;
    for (const QModelIndex& index : indexes)
        if (const FindHit* at = hit(index))
            if (const auto pick = pickOf(*at)) {
                picks.push_back(*pick);
                titles << titleOf(*at);
                if (const auto* medium = std::get_if<MediumHit>(at); medium && !m_mediaFolder.isEmpty())
                    files << QUrl::fromLocalFile(medium->path.isEmpty()
                                                     ? mediaPath(m_mediaFolder, medium->medium.name)
                                                     : medium->path);
            }
    auto* data = new QMimeData;
    data->setData(QString::fromLatin1(kMimeType), picksToBytes(picks));
    data->setText(titles.join(u'\n'));
    if (!files.isEmpty())
        data->setUrls(files);
    return data;
}

std::vector<FindPick> FindListModel::picksIn(const QMimeData* data) {
    return picksFromBytes(data->data(QString::fromLatin1(kMimeType)));
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

void drawMarked(QPainter& painter, const QRect& area, const QString& full, const QStringList& words,
                const QColor& mark) {
    const QFontMetrics metrics(painter.font());
    const QString text = metrics.elidedText(full, Qt::ElideRight, area.width());
    if (!text.isRightToLeft())
        for (const auto& [from, length] : matches(text, words)) {
            const int left = area.left() + metrics.horizontalAdvance(text.left(from));
            const int width = metrics.horizontalAdvance(text.mid(from, length));
            painter.fillRect(QRect(left - 1, area.top() + 1, width + 2, area.height() - 2), mark);
        }
    painter.drawText(area, Qt::AlignLeft | Qt::AlignVCenter | Qt::TextSingleLine, text);
}

} // namespace

void FindDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                         const QModelIndex& index) const {
    painter->save();
    const Palette& colours = m_night ? night() : day();
    const QColor mark = m_night ? QColor(0x5A, 0x45, 0x1A) : QColor(0xFFE0A6);
    const QRect area = option.rect.adjusted(0, 1, 0, -1);
    if (option.state & QStyle::State_Selected) {
        painter->setRenderHint(QPainter::Antialiasing);
        painter->setPen(option.state & QStyle::State_HasFocus ? QPen(colours.accent, 1.5) : QPen(Qt::NoPen));
        painter->setBrush(m_night ? colours.chosen : colours.sheet);
        painter->drawRoundedRect(QRectF(area).adjusted(1, 1, -1, -1), 4, 4);
    }
    const auto* model = qobject_cast<const FindListModel*>(index.model());
    const QStringList words = model ? model->queryWords() : QStringList();
    QRect inner = area.adjusted(spaced(2), spaced(1), -spaced(2), -spaced(1));
    if (const QVariant picture = index.data(Qt::DecorationRole); picture.isValid()) {
        const QSize size =
            QSizeF(FindListModel::kPicture).scaled(1e6, inner.height(), Qt::KeepAspectRatio).toSize();
        const QRect place(inner.topLeft(), size);
        const auto pixmap = picture.value<QPixmap>();
        if (pixmap.isNull())
            painter->fillRect(place, colours.line);
        else
            painter->drawPixmap(place, pixmap);
        inner.setLeft(place.right() + spaced(2));
    }
    const QString number = index.data(FindListModel::NumberRole).toString();
    painter->setFont(textFont(0.85));
    painter->setPen(colours.quiet);
    const int numberWidth =
        number.isEmpty()
            ? 0
            : std::min(painter->fontMetrics().horizontalAdvance(number) + spaced(2), inner.width() / 2);
    const QRect top(inner.left(), inner.top(), inner.width(), inner.height() / 2);
    painter->drawText(top, Qt::AlignRight | Qt::AlignVCenter,
                      painter->fontMetrics().elidedText(number, Qt::ElideLeft, numberWidth));
    painter->setFont(textFont(1.05, TextWeight::Bold));
    painter->setPen(colours.text);
    drawMarked(*painter, top.adjusted(0, 0, -numberWidth, 0), index.data().toString(), words, mark);
    QFont second = textFont(0.9);
    second.setItalic(words.isEmpty());
    painter->setFont(second);
    painter->setPen(colours.quiet);
    drawMarked(*painter, QRect(inner.left(), inner.center().y(), inner.width(), inner.height() / 2),
               index.data(FindListModel::SecondLineRole).toString(), words, mark);
    painter->restore();
}

QSize FindDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const {
    return {100, spaced(12)};
}

} // namespace mivanta

#include "moc_FindList.cpp"
