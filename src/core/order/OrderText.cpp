// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/OrderText.h"
#include "core/base/Said.h"
#include <QStringList>
#include <algorithm>

namespace mivanta {

namespace {

QString lineAt(const QString& where, int line) {
    return Said::tr("%1, line %2").arg(where, QString::number(line));
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
            return failure(Said::tr("\"%1\" is no date and time").arg(start), at,
                           Said::tr("Write it as 2026-10-04 10:30."));
    } else if (const QString id = value("Theme"); !id.isEmpty()) {
        const auto theme = std::find_if(themes.begin(), themes.end(), [&](const Theme& t) {
            return t.id == id || t.name.compare(id, Qt::CaseInsensitive) == 0;
        });
        if (theme == themes.end())
            return failure(Said::tr("there is no theme \"%1\"").arg(id), at);
        service.theme = *theme;
    } else {
        return false;
    }
    return true;
}

/// "[kind] words"; nothing when the line is none of those.
std::optional<ItemWords> wordsInBrackets(const QString& line) {
    const auto end = line.indexOf(u']');
    if (!line.startsWith(u'[') || end < 0)
        return std::nullopt;
    const QString kind = line.mid(1, end - 1).trimmed().toLower();
    const QString words = line.mid(end + 1).trimmed();
    if (kind == QLatin1String("song"))
        return SlotItem{words, ItemKind::Song};
    if (kind == QLatin1String("reading"))
        return SlotItem{words, ItemKind::Passage};
    if (kind == QLatin1String("text"))
        return SlotItem{words, ItemKind::Text};
    if (kind == QLatin1String("any"))
        return SlotItem{words, std::nullopt};
    if (kind == QLatin1String("note"))
        return NoteItem{words};
    if (kind == QLatin1String("pause"))
        return PauseItem{words};
    if (kind == QLatin1String("countdown"))
        return CountdownItem{words, std::nullopt};
    return std::nullopt;
}

void setBackdrop(LookOverrides& look, const Medium& medium) {
    const bool isFilm = medium.kind == MediumKind::Film;
    look.set(*lookProperty(isFilm ? QStringLiteral("backdrop.film") : QStringLiteral("backdrop.picture")),
             medium.name);
    look.set(*lookProperty(QStringLiteral("backdrop.kind")),
             LookChoiceIndex{int(isFilm ? BackdropKind::Film : BackdropKind::Picture)});
}

const QLatin1String kStaysUntil("stays until");

bool isAbout(const QString& line, QLatin1String key) {
    return line.mid(1).trimmed().startsWith(key, Qt::CaseInsensitive);
}

/// The item that a live picture stays behind what follows until, where a title was written.
Result<void> findEnd(Service& service, size_t live, const QString& title, const QString& at) {
    const auto end =
        std::find_if(service.items.begin() + std::ptrdiff_t(live) + 1, service.items.end(),
                     [&](const Item& item) { return item.title().compare(title, Qt::CaseInsensitive) == 0; });
    if (end == service.items.end())
        return failure(Said::tr("\"%1\" does not come after the live picture").arg(title), at,
                       Said::tr("Write the end, the next heading, or the title of an item behind it."));
    std::get<LiveItem>(service.items[live].words).until = end->id;
    return {};
}

/// "key: value" about an item, from behind its "+".
Result<void> readAbout(const QString& line, Item& item, const OrderSources& sources, const QString& at) {
    ItemPlan& plan = item.plan;
    const QString key = line.section(u':', 0, 0).trimmed().toLower();
    const QString value = line.section(u':', 1).trimmed();
    const auto length = [&](std::optional<int>& seconds) -> Result<void> {
        seconds = durationFrom(value);
        if (!seconds)
            return failure(Said::tr("\"%1\" is no length").arg(value), at,
                           Said::tr("Write it like 4, 4:30, 90 s or 1:05 h."));
        return {};
    };
    if (key == QLatin1String("leader")) {
        plan.leader = value;
    } else if (key == QLatin1String("note")) {
        plan.note = value;
    } else if (key == QLatin1String("takes")) {
        return length(plan.seconds);
    } else if (key == QLatin1String("by itself")) {
        return length(plan.advance);
    } else if (key == QLatin1String("at")) {
        plan.at = timeFrom(value);
        if (!plan.at)
            return failure(Said::tr("\"%1\" is no time of day").arg(value), at,
                           Said::tr("Write it like 10:30."));
    } else if (key == QLatin1String("sound") && sources.findSound) {
        auto sound = sources.findSound(value);
        if (!sound)
            return tl::unexpected(Error{sound.error().what, at, sound.error().remedy});
        plan.sound = std::move(*sound);
    } else if (key == QLatin1String("backdrop") && sources.findBackdrop) {
        const auto medium = sources.findBackdrop(value);
        if (!medium)
            return tl::unexpected(Error{medium.error().what, at, medium.error().remedy});
        setBackdrop(item.look.choice.own, *medium);
    } else if (auto* live = std::get_if<LiveItem>(&item.words); live && key == kStaysUntil) {
        const QString end = value.toLower();
        live->reach = end == QLatin1String("the end")            ? LiveReach::ToEnd
                      : end == QLatin1String("the next heading") ? LiveReach::ToHeading
                                                                 : LiveReach::ToItem;
    } else {
        return failure(Said::tr("\"%1\" is not known of an item").arg(key), at,
                       Said::tr("Write leader, note, takes, at, by itself, sound, backdrop or, of a live "
                                "picture, stays until."));
    }
    return {};
}

} // namespace

Result<Service> readOrderText(const QString& text, const QString& where, const std::vector<Theme>& themes,
                              const OrderSources& sources) {
    Service service;
    service.id = ServiceId::create();
    if (!themes.empty())
        service.theme = themes.front();
    int number = 0;
    struct End {
        size_t live; ///< the live item's place
        QString title;
        QString at;
    };
    std::vector<End> ends; ///< that are known only when all is read
    for (const QString& raw : text.split(u'\n')) {
        ++number;
        const QString line = raw.trimmed();
        if (line.isEmpty())
            continue;
        if (line.startsWith(u'#')) {
            service.items.push_back({ItemId::create(), Heading{line.mid(1).trimmed()}});
            continue;
        }
        if (line.startsWith(u'+') && !service.items.empty()) {
            auto read = readAbout(line.mid(1), service.items.back(), sources, lineAt(where, number));
            if (!read)
                return tl::unexpected(read.error());
            const auto* live = std::get_if<LiveItem>(&service.items.back().words);
            if (live && live->reach == LiveReach::ToItem && isAbout(line, kStaysUntil))
                ends.push_back(
                    {service.items.size() - 1, line.section(u':', 1).trimmed(), lineAt(where, number)});
            continue;
        }
        if (auto words = wordsInBrackets(line)) {
            service.items.push_back({ItemId::create(), std::move(*words)});
            continue;
        }
        const auto detail = readDetail(line, service, themes, lineAt(where, number));
        if (!detail)
            return tl::unexpected(detail.error());
        if (*detail)
            continue;
        auto item = sources.findItem(line);
        if (!item) {
            Error error = item.error();
            error.where = lineAt(where, number);
            return tl::unexpected(std::move(error));
        }
        service.items.push_back({ItemId::create(), std::move(*item)});
    }
    for (const End& end : ends)
        if (auto found = findEnd(service, end.live, end.title, end.at); !found)
            return tl::unexpected(found.error());
    return service;
}

} // namespace mivanta
