// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/ItemClipboard.h"
#include "core/base/Said.h"
#include "core/order/Groups.h"
#include "formats/ItemJson.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QMimeData>

namespace mivanta {

QMimeData* itemsToMime(const std::vector<Item>& items) {
    QJsonArray json;
    QStringList titles;
    for (const Item& item : items) {
        json.append(itemToJson(item));
        titles << (item.isHeading() ? QStringLiteral("# ") + item.title() : item.title());
    }
    auto* data = new QMimeData;
    data->setData(QLatin1String(kCopiesMime), QJsonDocument(json).toJson(QJsonDocument::Compact));
    data->setText(titles.join(u'\n'));
    return data;
}

bool holdsItems(const QMimeData& data) {
    return data.hasFormat(QLatin1String(kCopiesMime));
}

Result<std::vector<Item>> itemsFromMime(const QMimeData& data) {
    std::vector<Item> items;
    const QJsonArray json = QJsonDocument::fromJson(data.data(QLatin1String(kCopiesMime))).array();
    for (const QJsonValue& value : json) {
        auto item = itemFromJson(value.toObject(), Said::tr("the clipboard"));
        if (!item)
            return tl::unexpected(item.error());
        item->id = ItemId::create();
        items.push_back(std::move(*item));
    }
    renewGroups(items);
    return items;
}

} // namespace mivanta
