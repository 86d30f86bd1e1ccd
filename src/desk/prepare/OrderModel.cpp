// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/OrderModel.h"
#include "core/order/Loops.h"
#include "core/run/Cards.h"
#include "core/timing/Moment.h"
#include "desk/find/FindList.h"
#include "desk/kit/LookDrag.h"
#include "session/service/ItemClipboard.h"
#include <QMimeData>
#include <cmath>

namespace mivanta {

namespace {

constexpr const char* kItemsMime = "application/x-mivanta-items";

/// "V1 C V2 C · G": what stands at the right of an item on the sheet.
/// "7 s each, every 3 rounds", "film \u00b7 0:42".
QString memberText(const Item& item, const LoopItem& loop) {
    QStringList facts;
    const auto* film = std::get_if<FilmItem>(&item.words);
    if (film && film->length() > 0) {
        facts << momentText(std::round(film->length()));
    } else {
        const int seconds = item.inLoop.seconds > 0 ? item.inLoop.seconds : loop.seconds;
        const auto* set = std::get_if<PictureItem>(&item.words);
        facts << (set && set->pictures.size() > 1 ? OrderModel::tr("%1 s each").arg(seconds)
                                                  : OrderModel::tr("%1 s").arg(seconds));
    }
    if (item.inLoop.everyRounds > 1)
        facts << OrderModel::tr("every %n rounds", nullptr, item.inLoop.everyRounds);
    if (const QString season = seasonText(item.inLoop.season); !season.isEmpty())
        facts << season;
    return facts.join(QStringLiteral(" \u00b7 "));
}

QString sideText(const Item& item, const Service& service) {
    if (const LoopItem* loop = item.loop(); loop && loop->until == LoopUntil::Time)
        return OrderModel::tr("until %1").arg(loop->untilTime.toString(QStringLiteral("HH:mm")));
    if (const Item* loop = loopOf(item, service); loop && canBeMember(item.words))
        return memberText(item, *loop->loop());
    const Song* song = item.song();
    if (!song)
        return kindText(item.words);
    QStringList chips;
    for (const PartChip& chip : partChips(contentOf(item, service)))
        chips << chip.label;
    return chips.join(u' ') + (song->key.isEmpty() ? QString() : QStringLiteral(" \u00b7 ") + song->key);
}

} // namespace

OrderModel::OrderModel(ServiceDocument& document, QObject* parent)
    : QAbstractListModel(parent),
      m_document(document) {
    connect(&m_document, &ServiceDocument::changed, this, &OrderModel::follow);
    work();
}

/// A name that is being typed stays where it is while rows only change what they say.
void OrderModel::follow() {
    const auto& items = m_document.service().items;
    const bool hasSameRows = std::equal(items.begin(), items.end(), m_ids.begin(), m_ids.end(),
                                        [](const Item& item, const ItemId& id) { return item.id == id; });
    if (!hasSameRows)
        beginResetModel();
    work();
    if (!hasSameRows)
        endResetModel();
    else if (!m_ids.empty())
        Q_EMIT dataChanged(index(0), index(rowCount() - 1));
    Q_EMIT followed();
}

/// What takes the whole order into account.
void OrderModel::work() {
    const Service& service = m_document.service();
    m_times = m_document.timetable();
    m_isMember = membersOfLoops(service);
    m_numbers.clear();
    m_ids.clear();
    int number = 0;
    for (const Item& item : service.items) {
        m_numbers.push_back(item.isRun() ? ++number : 0);
        m_ids.push_back(item.id);
    }
}

QString OrderModel::slackText(int row) const {
    const auto& slack = m_times.rows[size_t(row)].slack;
    if (!slack || *slack == 0)
        return slack ? tr("on time") : QString();
    return *slack > 0 ? tr("%1 free").arg(durationText(*slack)) : tr("%1 over").arg(durationText(-*slack));
}

OrderModel::GroupPlace OrderModel::groupPlace(int row) const {
    const auto& items = m_document.service().items;
    const GroupId& group = items[size_t(row)].group;
    if (group.isNull())
        return InNone;
    const bool isFirst = row == 0 || !(items[size_t(row - 1)].group == group);
    const bool isLast = row + 1 == int(items.size()) || !(items[size_t(row + 1)].group == group);
    return isFirst ? First : isLast ? Last : Middle;
}

int OrderModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : int(m_document.service().items.size());
}

ItemId OrderModel::idAt(int row) const {
    const auto& items = m_document.service().items;
    return row >= 0 && row < int(items.size()) ? items[size_t(row)].id : ItemId();
}

QVariant OrderModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= rowCount())
        return {};
    const auto& items = m_document.service().items;
    const Item& item = items[size_t(index.row())];
    switch (role) {
    case Qt::DisplayRole:
    case Qt::EditRole:
    case Qt::AccessibleTextRole:
        return item.title();
    case IsHeadingRole:
        return item.isHeading();
    case IsNoteRole:
        return std::holds_alternative<NoteItem>(item.words) || item.isSlot();
    case GroupRole:
        return groupPlace(index.row());
    case IsLoopRole:
        return item.loop() != nullptr;
    case IsMemberRole:
        return bool(m_isMember[size_t(index.row())]);
    case SideRole: {
        const int seconds = m_times.rows[size_t(index.row())].seconds;
        if (item.isHeading())
            return seconds > 0 ? durationText((seconds + 59) / 60 * 60) : QString();
        return item.plan.leader.isEmpty()
                   ? sideText(item, m_document.service())
                   : item.plan.leader + QStringLiteral(" \u00b7 ") + sideText(item, m_document.service());
    }
    case NumberRole:
        return m_numbers[size_t(index.row())];
    case TimeRole: {
        const QDateTime& begins = m_times.rows[size_t(index.row())].begins;
        return begins.isValid() && !item.plan.skipped && !m_isMember[size_t(index.row())]
                   ? begins.time().toString(QStringLiteral("HH:mm"))
                   : QString();
    }
    case SlackRole:
        return slackText(index.row());
    case IsLateRole:
        return m_times.rows[size_t(index.row())].slack.value_or(0) < 0;
    case SkippedRole:
        return item.plan.skipped;
    case Qt::ToolTipRole:
        return item.plan.note;
    default:
        return {};
    }
}

bool OrderModel::setData(const QModelIndex& index, const QVariant& value, int role) {
    const QString title = value.toString().trimmed();
    if (role != Qt::EditRole || title.isEmpty())
        return false;
    m_document.rename(idAt(index.row()), title);
    return true;
}

Qt::ItemFlags OrderModel::flags(const QModelIndex& index) const {
    if (!index.isValid() || index.row() >= rowCount()) // the model may be about to be reset
        return Qt::ItemIsDropEnabled;                  // between items, never onto one
    Qt::ItemFlags flags = Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsDragEnabled;
    const Item& item = m_document.service().items[size_t(index.row())];
    if (canBeNamed(item.words))
        flags |= Qt::ItemIsEditable;
    if (item.loop())
        flags |= Qt::ItemIsDropEnabled; // what is dropped onto a loop joins it
    return flags;
}

QStringList OrderModel::mimeTypes() const {
    return {QString::fromLatin1(kItemsMime), QString::fromLatin1(FindListModel::kMimeType),
            QStringLiteral("text/uri-list"), QString::fromLatin1(kCopiesMime), QStringLiteral("text/plain")};
}

QMimeData* OrderModel::mimeData(const QModelIndexList& indexes) const {
    QStringList ids{m_token};
    std::vector<Item> items;
    for (const QModelIndex& index : indexes) {
        ids << idAt(index.row()).text();
        items.push_back(m_document.service().items[size_t(index.row())]);
    }
    QMimeData* data = itemsToMime(items); // for another window
    data->setData(QString::fromLatin1(kItemsMime), ids.join(u'\n').toLatin1());
    return data;
}

/// Dragged from this very order, not from another window's.
bool OrderModel::isOwn(const QMimeData& data) const {
    return data.data(QString::fromLatin1(kItemsMime)).split('\n').value(0) == m_token.toLatin1();
}

/// The items that are dragged, of this order.
std::vector<ItemId> OrderModel::ownIds(const QMimeData& data) {
    std::vector<ItemId> ids;
    for (const QByteArray& id : data.data(QString::fromLatin1(kItemsMime)).split('\n').mid(1))
        ids.push_back(ItemId::fromText(QString::fromLatin1(id)));
    return ids;
}

bool OrderModel::dropInto(const QMimeData& data, const ItemId& loop) {
    if (data.hasFormat(QString::fromLatin1(FindListModel::kMimeType)))
        Q_EMIT picksDroppedInto(FindListModel::picksIn(&data), loop);
    else if (const QStringList files = localFilesIn(data); !files.isEmpty())
        Q_EMIT filesDroppedInto(files, loop);
    else if (isOwn(data))
        m_document.putIntoLoop(ownIds(data), loop);
    else
        return false;
    return true;
}

bool OrderModel::dropMimeData(const QMimeData* data, Qt::DropAction, int row, int,
                              const QModelIndex& parent) {
    if (row < 0 && parent.isValid() && parent.data(IsLoopRole).toBool())
        return dropInto(*data, idAt(parent.row()));
    const int to = row >= 0 ? row : parent.isValid() ? parent.row() + 1 : rowCount();
    if (data->hasFormat(QString::fromLatin1(FindListModel::kMimeType))) {
        Q_EMIT picksDropped(FindListModel::picksIn(data), to);
        return true;
    }
    if (const QStringList files = localFilesIn(*data); !files.isEmpty()) {
        Q_EMIT filesDropped(files, to);
        return true;
    }
    if (isOwn(*data)) {
        m_document.move(ownIds(*data), to);
        return true;
    }
    if (holdsItems(*data)) {
        if (const auto items = itemsFromMime(*data))
            m_document.insertItems(to, *items,
                                   tr("bringing %n items from another service", nullptr, int(items->size())));
        return true;
    }
    if (data->hasText())
        Q_EMIT textDropped(data->text(), to);
    return data->hasText();
}

} // namespace mivanta

#include "moc_OrderModel.cpp"
