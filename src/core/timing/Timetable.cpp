// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Timetable.h"
#include "core/base/Said.h"
#include "core/timing/LoopPlan.h"
#include <QRegularExpression>
#include <cmath>

namespace mivanta {

namespace {

constexpr double kSecondsALine = 7.5;       // sung, with breath
constexpr double kSongFrame = 35;           // seconds before, between and after the verses
constexpr double kReadWordsAMinute = 140;   // aloud, from a lectern
constexpr double kSpokenWordsAMinute = 110; // by everybody together
constexpr int kRounding = 15;               // a guess is not told to the second
constexpr int kSecondsAPicture = 10;
constexpr int kSecondsAPause = 60;
constexpr int kSecondsASlot = 180; // as most songs take
constexpr int kHalfADay = 12 * 3600;

int wordCount(const QString& text) {
    static const QRegularExpression space(QStringLiteral("\\s+"));
    return int(text.split(space, Qt::SkipEmptyParts).size());
}

QDateTime fixedTime(const QTime& at, const QDateTime& now) {
    QDateTime fixed(now.date(), at);
    if (fixed.secsTo(now) > kHalfADay)
        fixed = fixed.addDays(1);
    else if (now.secsTo(fixed) > kHalfADay)
        fixed = fixed.addDays(-1);
    return fixed;
}

/// To the end of its last showing; of one that does not end by itself, a round.
int loopSeconds(const Item& loop, const Service& service, const QDateTime& begins) {
    const LoopPlan plan = loopPlanOf(loop, service, begins);
    const qint64 ms = plan.timeline.isEndless ? plan.roundLength() : plan.timeline.ends();
    return std::min(kLongestItem, int((ms + 999) / 1000));
}

} // namespace

int guessedSeconds(const Item& item, const Service& service) {
    if (!item.hasPlan())
        return 0;
    if (item.isSlot())
        return kSecondsASlot;
    if (const auto* pictures = std::get_if<PictureItem>(&item.words))
        return int(pictures->pictures.size()) * item.plan.advance.value_or(kSecondsAPicture);
    if (const auto* film = std::get_if<FilmItem>(&item.words); film && film->length() > 0)
        return std::min(kLongestItem, int(std::ceil(film->length())));
    if (const auto* music = std::get_if<MusicItem>(&item.words); music && music->length() > 0)
        return music->goesOn ? kSecondsAPause : std::min(kLongestItem, int(std::ceil(music->length())));
    if (const auto* countdown = std::get_if<CountdownItem>(&item.words))
        return countdown->to ? 0 : countdown->seconds;
    if (std::holds_alternative<PauseItem>(item.words))
        return kSecondsAPause;
    if (item.loop())
        return loopSeconds(item, service, {});
    const ItemContent content = contentOf(item, service);
    int lines = 0;
    int words = 0;
    for (const ContentEntry& entry : content.entries)
        for (const ContentLine& line : content.parts[size_t(entry.part)].lines) {
            ++lines;
            words += wordCount(line.words);
        }
    const double seconds = item.song()      ? kSongFrame + lines * kSecondsALine
                           : item.passage() ? words * 60 / kReadWordsAMinute
                                            : words * 60 / kSpokenWordsAMinute;
    return std::max(kRounding, int(std::ceil(seconds / kRounding)) * kRounding);
}

namespace {

/// A countdown to a time, and a loop, last until then; anything else as long as it is guessed to.
int usualSeconds(const Item& item, const Service& service, const QDateTime& now) {
    if (item.loop())
        return loopSeconds(item, service, now);
    const auto* countdown = std::get_if<CountdownItem>(&item.words);
    if (!countdown || !countdown->to)
        return guessedSeconds(item, service);
    return now.isValid() ? std::max(0, int(now.secsTo(fixedTime(*countdown->to, now)))) : 0;
}

} // namespace

QString subjectOf(const Item& item) {
    if (const Song* song = item.song())
        return QStringLiteral("song:") + song->id.text();
    if (const TextItem* text = item.text())
        return QStringLiteral("text:") + text->text->id.text();
    return kindKey(item.words) + u':' + givenName(item.words).toLower();
}

QString lengthText(const TimetableRow& row) {
    const QString length = durationText(row.seconds);
    return row.isGuessed ? Said::tr("about %1").arg(length) : length;
}

int secondsOf(const Item& item, const Service& service, const QDateTime& begins, const UsualLengths& usual) {
    if (!item.hasPlan() || item.plan.skipped || loopOf(item, service))
        return 0;
    if (item.loop()) // its rule says it
        return usualSeconds(item, service, begins);
    if (item.plan.seconds)
        return *item.plan.seconds;
    const auto known = usual ? usual(item) : std::nullopt;
    return known && !std::holds_alternative<CountdownItem>(item.words) ? *known
                                                                       : usualSeconds(item, service, begins);
}

QDateTime beginOf(const Item& item, const QDateTime& now) {
    return item.plan.at && now.isValid() ? std::max(now, fixedTime(*item.plan.at, now)) : now;
}

Timetable timetableOf(const Service& service, const UsualLengths& usual) {
    Timetable table;
    table.rows.resize(service.items.size());
    QDateTime now = service.start;
    bool isFirst = true;
    TimetableRow* heading = nullptr;
    const std::vector<bool> isMember = membersOfLoops(service);
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        TimetableRow& row = table.rows[i];
        row.begins = now;
        if (item.isHeading())
            heading = &row;
        if (!item.hasPlan())
            continue;
        row.isGuessed = !item.plan.seconds && !item.loop();
        if (item.plan.skipped || isMember[i])
            continue;
        if (item.plan.at && now.isValid()) {
            const QDateTime fixed = fixedTime(*item.plan.at, now);
            if (!isFirst)
                row.slack = int(now.secsTo(fixed));
            if (isFirst || fixed > now)
                now = fixed;
            row.begins = now;
            if (isFirst && heading)
                heading->begins = now;
        }
        isFirst = false;
        row.seconds = secondsOf(item, service, now, usual);
        now = now.isValid() ? now.addSecs(row.seconds) : now;
        table.seconds += row.seconds;
        if (heading)
            heading->seconds += row.seconds;
    }
    table.ends = now;
    return table;
}

} // namespace mivanta
