// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/OrderText.h"
#include <QStringList>
#include <algorithm>

namespace mivanta {

namespace {

QString lineAt(const QString& where, int line) {
    return QStringLiteral("%1, line %2").arg(where, QString::number(line));
}

/// True when the line was a detail of the service.
Result<bool> readDetail(const QString& line, Service& service, const std::vector<Theme>& themes,
                        const QString& at) {
    const auto value = [&](const char* name) {
        const QString key = QLatin1String(name) + QStringLiteral(":");
        return line.startsWith(key, Qt::CaseInsensitive) ? line.mid(key.size()).trimmed() : QString();
    };
    if (const QString title = value("Title"); !title.isEmpty()) {
        service.title = title;
    } else if (const QString place = value("Place"); !place.isEmpty()) {
        service.place = place;
    } else if (const QString start = value("Start"); !start.isEmpty()) {
        service.start = QDateTime::fromString(start, QStringLiteral("yyyy-MM-dd HH:mm"));
        if (!service.start.isValid())
            return failure(QStringLiteral("\"%1\" is no date and time").arg(start), at,
                           QStringLiteral("Write it as 2026-10-04 10:30."));
    } else if (const QString id = value("Theme"); !id.isEmpty()) {
        const auto theme = std::find_if(themes.begin(), themes.end(), [&](const Theme& t) {
            return t.id == id || t.name.compare(id, Qt::CaseInsensitive) == 0;
        });
        if (theme == themes.end())
            return failure(QStringLiteral("there is no theme \"%1\"").arg(id), at);
        service.theme = *theme;
    } else {
        return false;
    }
    return true;
}

} // namespace

Result<Service> readOrderText(const QString& text, const QString& where, const std::vector<Theme>& themes,
                              const std::function<Result<ItemWords>(const QString& line)>& findItem) {
    Service service;
    service.id = ServiceId::create();
    if (!themes.empty())
        service.theme = themes.front();
    int number = 0;
    for (const QString& raw : text.split(u'\n')) {
        ++number;
        const QString line = raw.trimmed();
        if (line.isEmpty())
            continue;
        if (line.startsWith(u'#')) {
            service.items.push_back({ItemId::create(), Heading{line.mid(1).trimmed()}});
            continue;
        }
        const auto detail = readDetail(line, service, themes, lineAt(where, number));
        if (!detail)
            return tl::unexpected(detail.error());
        if (*detail)
            continue;
        auto item = findItem(line);
        if (!item) {
            Error error = item.error();
            error.where = lineAt(where, number);
            return tl::unexpected(std::move(error));
        }
        service.items.push_back({ItemId::create(), std::move(*item)});
    }
    return service;
}

} // namespace mivanta
