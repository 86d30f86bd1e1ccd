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
    if (kind == QLatin1String("loop")) {
        LoopItem loop;
        loop.title = words;
        return loop;
    }
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
const QLatin1String kPlaysUntil("plays on until");

/// "10:25", "3 rounds", "20 min", "its music ends".
bool readUntil(const QString& value, LoopItem& loop) {
    const QString rounds = QStringLiteral(" rounds");
    if (value == QLatin1String("its music ends")) {
        loop.until = LoopUntil::Music;
    } else if (value.endsWith(rounds)) {
        loop.until = LoopUntil::Rounds;
        loop.rounds = value.chopped(rounds.size()).toInt();
        return loop.rounds >= 1 && loop.rounds <= kMostLoopRounds;
    } else if (const auto time = value.contains(u':') ? timeFrom(value) : std::nullopt) {
        loop.until = LoopUntil::Time;
        loop.untilTime = *time;
    } else if (const auto seconds = durationFrom(value); seconds && *seconds > 0) {
        loop.until = LoopUntil::Length;
        loop.length = *seconds;
    } else {
        return false;
    }
    return true;
}

/// What is said of loops, of their members and of what goes on by itself. Nothing when the key is none of
/// theirs; false when what is said is not understood.
std::optional<bool> readGoingOn(const QString& key, const QString& value, Item& item) {
    const bool isNext = value == QLatin1String("the next item");
    auto* loop = std::get_if<LoopItem>(&item.words);
    if (key == QLatin1String("until") && loop)
        return readUntil(value, *loop);
    if (auto* countdown = std::get_if<CountdownItem>(&item.words);
        countdown && key == QLatin1String("until")) {
        countdown->to = timeFrom(value);
        return countdown->to.has_value();
    }
    if (key == QLatin1String("begins") && loop) {
        const QString time = value.section(u',', 0, 0).trimmed();
        item.plan.at = timeFrom(time);
        loop->beginsByItself = value.section(u',', 1).trimmed() == QLatin1String("by itself");
        return item.plan.at.has_value();
    }
    if (key == QLatin1String("each")) {
        const auto seconds = durationFrom(value);
        (loop ? loop->seconds : item.inLoop.seconds) = std::max(1, seconds.value_or(0));
        return seconds && *seconds > 0;
    }
    if (key == QLatin1String("every")) {
        const int rounds = value.section(u' ', 0, 0).toInt();
        item.inLoop.everyRounds = std::clamp(rounds, 1, kMostLoopRounds);
        return rounds >= 1;
    }
    if (key != QLatin1String("then"))
        return std::nullopt;
    if (auto* countdown = std::get_if<CountdownItem>(&item.words))
        countdown->goesOn = isNext;
    else if (auto* film = std::get_if<FilmItem>(&item.words))
        film->end = FilmEnd::NextItem;
    else
        return std::nullopt;
    return isNext;
}

bool isAbout(const QString& line, QLatin1String key) {
    return line.mid(1).trimmed().startsWith(key, Qt::CaseInsensitive);
}

/// The item until which a live picture stays, or music plays on, where a title was written.
Result<void> findEnd(Service& service, size_t item, const QString& title, const QString& at) {
    const auto end = std::find_if(
        service.items.begin() + std::ptrdiff_t(item) + 1, service.items.end(),
        [&](const Item& other) { return other.title().compare(title, Qt::CaseInsensitive) == 0; });
    if (end == service.items.end())
        return failure(Said::tr("\"%1\" does not come after it").arg(title), at,
                       Said::tr("Write the end, the next heading, or the title of an item behind it."));
    if (auto* live = std::get_if<LiveItem>(&service.items[item].words))
        live->until = end->id;
    else if (auto* music = std::get_if<MusicItem>(&service.items[item].words))
        music->until = end->id;
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
    } else if (const auto goingOn = readGoingOn(key, value.toLower(), item)) {
        if (!*goingOn)
            return failure(
                Said::tr("\"%1\" is not understood here").arg(value), at,
                Said::tr("Write until: 10:25, 3 rounds or 20 min; begins: 10:00, by itself; each: 7 s; "
                         "every: 3 rounds; then: the next item."));
    } else if (auto* music = std::get_if<MusicItem>(&item.words); music && key == kPlaysUntil) {
        music->goesOn = true;
    } else if (auto* live = std::get_if<LiveItem>(&item.words); live && key == kStaysUntil) {
        const QString end = value.toLower();
        live->reach = end == QLatin1String("the end")            ? LiveReach::ToEnd
                      : end == QLatin1String("the next heading") ? LiveReach::ToHeading
                                                                 : LiveReach::ToItem;
    } else {
        return failure(Said::tr("\"%1\" is not known of an item").arg(key), at,
                       Said::tr("Write leader, note, takes, at, by itself, sound, backdrop or, of a live "
                                "picture, stays until; of what goes on by itself until, begins, each, every, "
                                "then or plays on until."));
    }
    return {};
}

/// The last item is one of the loop that stands before it, with its other members between them.
void joinLoop(Service& service, bool isMember) {
    Item& item = service.items.back();
    if (item.loop())
        item.group = GroupId::create();
    if (isMember && !item.loop() && service.items.size() > 1)
        item.group = service.items[service.items.size() - 2].group;
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
        size_t item; ///< its place
        QString title;
        QString at;
    };
    std::vector<End> ends; ///< that are known only when all is read
    for (const QString& raw : text.split(u'\n')) {
        ++number;
        QString line = raw.trimmed();
        if (line.isEmpty())
            continue;
        const bool isMember = line.startsWith(QLatin1String("- ")); // of the loop before it
        if (isMember)
            line = line.mid(2).trimmed();
        if (line.startsWith(u'#')) {
            service.items.push_back({ItemId::create(), Heading{line.mid(1).trimmed()}});
            continue;
        }
        if (line.startsWith(u'+') && !service.items.empty()) {
            auto read = readAbout(line.mid(1), service.items.back(), sources, lineAt(where, number));
            if (!read)
                return tl::unexpected(read.error());
            const auto* live = std::get_if<LiveItem>(&service.items.back().words);
            const bool isMusic = std::holds_alternative<MusicItem>(service.items.back().words);
            if ((live && live->reach == LiveReach::ToItem && isAbout(line, kStaysUntil)) ||
                (isMusic && isAbout(line, kPlaysUntil)))
                ends.push_back(
                    {service.items.size() - 1, line.section(u':', 1).trimmed(), lineAt(where, number)});
            continue;
        }
        if (auto words = wordsInBrackets(line)) {
            service.items.push_back({ItemId::create(), std::move(*words)});
            joinLoop(service, isMember);
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
        joinLoop(service, isMember);
    }
    for (const End& end : ends)
        if (auto found = findEnd(service, end.item, end.title, end.at); !found)
            return tl::unexpected(found.error());
    return service;
}

} // namespace mivanta
