// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/StageFields.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kMostFollowing = 8; // parts
const QLatin1String kFilmLeft("film-left");

/// The short names of the parts that come behind a step of its item.
QString partsBehind(const ItemSlides& slides, const Position& position) {
    QStringList names;
    const auto& entries = slides.content.entries;
    for (size_t i = size_t(position.entry) + 1; i < entries.size() && names.size() < kMostFollowing; ++i)
        names << slides.content.parts[size_t(entries[i].part)].shortLabel;
    return names.join(QStringLiteral("  "));
}

QString wordsOn(const OutputSlides& output, const Position& position) {
    QStringList rows;
    if (const auto slide = output.slideAt(position))
        for (const FitRow& row : output.slides[size_t(*slide)].rows)
            rows << row.text.trimmed();
    rows.removeAll(QString());
    return rows.join(u'\n');
}

/// So that a stopwatch changes together with a clock beside it: one picture a second.
QTime atWholeSecond(const QTime& time) {
    return QTime(time.hour(), time.minute(), time.second());
}

QString keyText(const Song& song) {
    if (song.key.isEmpty())
        return {};
    return song.capo > 0 ? Said::tr("%1, capo %2").arg(song.key).arg(song.capo) : song.key;
}

} // namespace

StageFacts stageFacts(const Service& service, const Lineup& lineup, const Cue& cue,
                      const QDateTime& itemSince, const FilmPlace& film) {
    StageFacts facts;
    facts.itemSince = itemSince;
    const ItemSlides* slides = lineup.slidesOf(cue.item);
    if (!slides)
        return facts;
    const auto say = [&](const char* key, const QString& text) {
        if (!text.isEmpty())
            facts.texts.insert(QLatin1String(key), text);
    };
    const Step& step = slides->steps[size_t(slides->stepAt(cue.position))];
    if (step.part < int(slides->content.parts.size()))
        say("part", slides->content.parts[size_t(step.part)].label);
    say("follows", partsBehind(*slides, cue.position));
    const int at = lineup.indexOf(cue.item);
    if (at >= 0)
        say("place", Said::tr("%1 of %2").arg(at + 1).arg(lineup.itemCount()));
    if (const Item* item = service.item(cue.item)) {
        say("item", item->title());
        say("note", item->edits.stageNote);
        say("leader", item->plan.leader);
        if (const Song* song = item->song())
            say("key", keyText(*song));
    }
    if (film.item == cue.item) {
        facts.filmEnds = film.ends;
        say(kFilmLeft.data(), film.left);
    }
    if (at >= 0 && at + 1 < lineup.itemCount())
        if (const Item* next = service.item(lineup.itemId(at + 1)))
            say("next-item", next->title());
    for (int i = at + 1; i < lineup.itemCount() && !facts.nextFixed; ++i)
        if (const Item* item = service.item(lineup.itemId(i)))
            facts.nextFixed = item->plan.at;
    if (const auto next = following(cue, lineup))
        if (const ItemSlides* after = lineup.slidesOf(next->item))
            for (const OutputSlides& output : after->outputs)
                facts.nextWords.insert(output.output.name, wordsOn(output, next->position));
    return facts;
}

Scene withFacts(Scene scene, const StageFacts& facts) {
    std::erase_if(scene.look.objects, [&](SlideObject& object) {
        if (const auto* field = std::get_if<FieldObject>(&object.what);
            field && field->key == kFilmLeft && facts.filmEnds) {
            object.what = CountdownObject{facts.filmEnds, {}, field->letters};
            return false;
        }
        if (const auto* field = std::get_if<FieldObject>(&object.what)) {
            const QString text = field->key == QLatin1String("next-words")
                                     ? facts.nextWords.value(scene.output)
                                     : facts.texts.value(field->key);
            object.what = TextObject{text, field->letters};
            return text.isEmpty();
        }
        if (auto* stopwatch = std::get_if<StopwatchObject>(&object.what)) {
            stopwatch->began = atWholeSecond(facts.itemSince.time());
            return !facts.itemSince.isValid();
        }
        if (auto* countdown = std::get_if<CountdownObject>(&object.what);
            countdown && !countdown->ends && !countdown->seconds) {
            countdown->ends = facts.nextFixed;
            return !facts.nextFixed;
        }
        return false;
    });
    return scene;
}

void addTimeLeft(Scene& scene) {
    const auto& objects = scene.look.objects;
    if (std::any_of(objects.begin(), objects.end(), [&](const SlideObject& object) {
            const auto* field = std::get_if<FieldObject>(&object.what);
            return field && field->key == kFilmLeft;
        }))
        return;
    SlideObject figures;
    figures.inFront = true;
    figures.box = {0.1, 0.25, 0.8, 0.4};
    figures.what = FieldObject{kFilmLeft,
                               {int(kLookHeight * figures.box.height()), scene.look.words.weight,
                                HorizontalAlign::Centre, scene.look.words.colour}};
    scene.look.objects.push_back(figures);
}

} // namespace mivanta
