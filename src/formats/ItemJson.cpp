// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ItemJson.h"
#include "core/base/Cases.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include "formats/LookJson.h"
#include "formats/LoopJson.h"
#include "formats/PassageJson.h"
#include "formats/SongJson.h"
#include "formats/TextJson.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <algorithm>
#include <array>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kMostSlideEdits = 2000; // of one item

double momentIn(const QJsonValue& seconds) {
    return std::clamp(seconds.toDouble(), 0.0, kLongestFilm);
}

QJsonObject slidePlaceToJson(const SlidePlace& place) {
    return {{u"part"_s, place.part},
            {u"time"_s, place.time},
            {u"line"_s, place.line},
            {u"toLine"_s, place.toLine}};
}

SlidePlace slidePlaceFromJson(const QJsonObject& json) {
    SlidePlace place{json[u"part"_s].toString(), std::max(1, json[u"time"_s].toInt(1)),
                     std::max(0, json[u"line"_s].toInt()), 0};
    place.toLine = std::max(place.line, json[u"toLine"_s].toInt(place.line));
    return place;
}

QJsonObject planToJson(const ItemPlan& plan) {
    QJsonObject json;
    if (plan.seconds)
        json.insert(u"seconds"_s, *plan.seconds);
    if (plan.at)
        json.insert(u"at"_s, plan.at->toString(u"HH:mm"_s));
    put(json, u"leader"_s, plan.leader);
    put(json, u"note"_s, plan.note);
    if (plan.advance)
        json.insert(u"advance"_s, *plan.advance);
    if (plan.goesOn)
        json.insert(u"goesOn"_s, true);
    if (plan.skipped)
        json.insert(u"skipped"_s, true);
    if (plan.sound) {
        QJsonObject sound{{u"file"_s, plan.sound->name}, {u"goesOn"_s, plan.sound->goesOn}};
        put(sound, u"title"_s, plan.sound->title);
        json.insert(u"sound"_s, sound);
    }
    if (plan.track) {
        QJsonObject track{
            {u"file"_s, plan.track->name}, {u"length"_s, plan.track->seconds}, {u"from"_s, plan.track->from}};
        put(track, u"title"_s, plan.track->title);
        if (!plan.track->begins.part.isEmpty())
            track.insert(u"begins"_s, slidePlaceToJson(plan.track->begins));
        json.insert(u"track"_s, track);
    }
    return json;
}

std::optional<QTime> timeOfDay(const QJsonValue& json) {
    const QTime time = QTime::fromString(json.toString(), u"HH:mm"_s);
    return time.isValid() ? std::optional(time) : std::nullopt;
}

ItemPlan planFromJson(const QJsonObject& json) {
    ItemPlan plan;
    if (const QJsonValue seconds = json[u"seconds"_s]; seconds.isDouble())
        plan.seconds = std::clamp(seconds.toInt(), 0, kLongestItem);
    plan.at = timeOfDay(json[u"at"_s]);
    plan.leader = json[u"leader"_s].toString();
    plan.note = json[u"note"_s].toString();
    if (const QJsonValue advance = json[u"advance"_s]; advance.isDouble())
        plan.advance = std::clamp(advance.toInt(), 1, kLongestItem);
    plan.goesOn = json[u"goesOn"_s].toBool();
    plan.skipped = json[u"skipped"_s].toBool();
    if (const QJsonObject sound = json[u"sound"_s].toObject(); !sound[u"file"_s].toString().isEmpty())
        plan.sound = ItemSound{trustedMediaName(sound[u"file"_s].toString()), sound[u"title"_s].toString(),
                               sound[u"goesOn"_s].toBool()};
    if (const QJsonObject track = json[u"track"_s].toObject(); !track[u"file"_s].toString().isEmpty())
        plan.track = ItemTrack{trustedMediaName(track[u"file"_s].toString()), track[u"title"_s].toString(),
                               momentIn(track[u"length"_s]), momentIn(track[u"from"_s]),
                               slidePlaceFromJson(track[u"begins"_s].toObject())};
    return plan;
}

QJsonObject editsToJson(const SlideEdits& edits) {
    QJsonObject json;
    QJsonArray hidden;
    for (const SlidePlace& place : edits.hidden)
        hidden.append(slidePlaceToJson(place));
    put(json, u"hidden"_s, hidden);
    QJsonArray words;
    for (const SlideWords& given : edits.words) {
        QJsonObject one = slidePlaceToJson(given.place);
        one.insert(u"words"_s, given.words);
        words.append(one);
    }
    put(json, u"words"_s, words);
    QJsonArray order;
    for (const PartTime& at : edits.order)
        order.append(QJsonObject{{u"part"_s, at.part}, {u"time"_s, at.time}});
    put(json, u"order"_s, order);
    put(json, u"stageNote"_s, edits.stageNote);
    put(json, u"stageWords"_s, edits.stageWords);
    return json;
}

SlideEdits editsFromJson(const QJsonObject& json) {
    SlideEdits edits;
    for (const QJsonValue& value : json[u"hidden"_s].toArray())
        edits.hide(slidePlaceFromJson(value.toObject()));
    for (const QJsonValue& value : json[u"words"_s].toArray())
        edits.setWords(slidePlaceFromJson(value.toObject()), value[u"words"_s].toString());
    for (const QJsonValue& value : json[u"order"_s].toArray())
        edits.order.push_back({value[u"part"_s].toString(), std::max(1, value[u"time"_s].toInt(1))});
    edits.stageNote = json[u"stageNote"_s].toString();
    edits.stageWords = json[u"stageWords"_s].toString();
    return edits;
}

QJsonObject picturesToJson(const PictureItem& item) {
    QJsonArray pictures;
    for (const OrderPicture& picture : item.pictures) {
        QJsonObject one{{u"file"_s, picture.name}};
        put(one, u"caption"_s, picture.caption);
        if (picture.seconds > 0)
            one.insert(u"seconds"_s, picture.seconds);
        if (const QJsonObject season = seasonToJson(picture.season); !season.isEmpty())
            one.insert(u"season"_s, season);
        if (picture.isOfFolder)
            one.insert(u"isOfFolder"_s, true);
        pictures.append(one);
    }
    QJsonObject json{{u"kind"_s, u"pictures"_s},
                     {u"pictures"_s, pictures},
                     {u"fit"_s, nameOf(item.fit)},
                     {u"showsCaptions"_s, item.showsCaptions}};
    put(json, u"title"_s, item.title);
    return json;
}

PictureItem picturesFromJson(const QJsonObject& json) {
    PictureItem item;
    item.title = json[u"title"_s].toString();
    item.fit = valueOf(json[u"fit"_s].toString(), PictureFit::Whole);
    item.showsCaptions = json[u"showsCaptions"_s].toBool();
    for (const QJsonValue& value : json[u"pictures"_s].toArray())
        item.pictures.push_back(
            {trustedMediaName(value[u"file"_s].toString()), value[u"caption"_s].toString(),
             std::clamp(value[u"seconds"_s].toInt(), 0, kLongestItem),
             seasonFromJson(value[u"season"_s].toObject()), value[u"isOfFolder"_s].toBool()});
    return item;
}

/// Of a name in a list of them; nothing for another one.
template <size_t count>
std::optional<size_t> placeOf(const std::array<const char*, count>& names, const QJsonValue& name) {
    const auto at = std::find(names.begin(), names.end(), name.toString().toLatin1());
    return at == names.end() ? std::nullopt : std::optional(size_t(at - names.begin()));
}

constexpr std::array<const char*, 5> kFilmEnds{"keeps", "next", "houseCard", "black", "again"};

QJsonObject shownOnToJson(const QMap<QString, bool>& outputs) {
    QJsonObject json;
    for (auto at = outputs.begin(); at != outputs.end(); ++at)
        json.insert(at.key(), at.value());
    return json;
}

QMap<QString, bool> shownOnFromJson(const QJsonValue& value) {
    QMap<QString, bool> outputs;
    const QJsonObject json = value.toObject();
    for (auto at = json.begin(); at != json.end(); ++at)
        if (at.value().isBool())
            outputs.insert(at.key(), at.value().toBool());
    return outputs;
}

QPointF focusFromJson(const QJsonValue& value) {
    const QJsonArray focus = value.toArray();
    return focus.size() == 2
               ? QPointF(std::clamp(focus[0].toDouble(), 0.0, 1.0), std::clamp(focus[1].toDouble(), 0.0, 1.0))
               : QPointF(0.5, 0.5);
}

QJsonObject filmToJson(const FilmItem& item) {
    QJsonObject json{
        {u"kind"_s, u"film"_s},       {u"file"_s, item.name},
        {u"length"_s, item.seconds},  {u"end"_s, QString::fromLatin1(kFilmEnds[size_t(item.end)])},
        {u"isHeard"_s, item.isHeard}, {u"volume"_s, item.volume},
        {u"fit"_s, nameOf(item.fit)}};
    put(json, u"title"_s, item.title);
    put(json, u"caption"_s, item.caption);
    if (item.from > 0 || item.to > 0)
        json.insert(u"clip"_s, QJsonObject{{u"from"_s, item.from}, {u"to"_s, item.to}});
    if (item.focus != QPointF(0.5, 0.5))
        json.insert(u"focus"_s, QJsonArray{item.focus.x(), item.focus.y()});
    if (item.fadeIn > 0 || item.fadeOut > 0)
        json.insert(u"fades"_s, QJsonObject{{u"in"_s, item.fadeIn}, {u"out"_s, item.fadeOut}});
    if (const QJsonObject shownOn = shownOnToJson(item.isShownOn); !shownOn.isEmpty())
        json.insert(u"isShownOn"_s, shownOn);
    return json;
}

FilmItem filmFromJson(const QJsonObject& json) {
    FilmItem item;
    item.title = json[u"title"_s].toString();
    item.name = trustedMediaName(json[u"file"_s].toString());
    item.caption = json[u"caption"_s].toString();
    item.seconds = momentIn(json[u"length"_s]);
    item.from = momentIn(json[u"clip"_s][u"from"_s]);
    item.to = momentIn(json[u"clip"_s][u"to"_s]);
    item.end = FilmEnd(placeOf(kFilmEnds, json[u"end"_s]).value_or(0));
    item.isHeard = json[u"isHeard"_s].toBool(true);
    item.volume = std::clamp(json[u"volume"_s].toInt(100), 0, 100);
    item.fit = valueOf(json[u"fit"_s].toString(), PictureFit::Whole);
    item.focus = focusFromJson(json[u"focus"_s]);
    item.fadeIn = std::clamp(json[u"fades"_s][u"in"_s].toDouble(), 0.0, kLongestFade);
    item.fadeOut = std::clamp(json[u"fades"_s][u"out"_s].toDouble(), 0.0, kLongestFade);
    item.isShownOn = shownOnFromJson(json[u"isShownOn"_s]);
    return item;
}

constexpr std::array<const char*, 4> kLiveReaches{"itself", "heading", "item", "end"};

QJsonObject liveToJson(const LiveItem& item) {
    QJsonObject json{{u"kind"_s, u"live"_s},
                     {u"fit"_s, nameOf(item.fit)},
                     {u"reach"_s, QString::fromLatin1(kLiveReaches[size_t(item.reach)])}};
    put(json, u"title"_s, item.title);
    put(json, u"caption"_s, item.caption);
    if (!item.input.isNull())
        json.insert(u"input"_s, item.input.text());
    if (!item.until.isNull())
        json.insert(u"until"_s, item.until.text());
    if (item.focus != QPointF(0.5, 0.5))
        json.insert(u"focus"_s, QJsonArray{item.focus.x(), item.focus.y()});
    if (const QJsonObject shownOn = shownOnToJson(item.isShownOn); !shownOn.isEmpty())
        json.insert(u"isShownOn"_s, shownOn);
    return json;
}

LiveItem liveFromJson(const QJsonObject& json) {
    LiveItem item;
    item.title = json[u"title"_s].toString();
    item.input = LiveInputId::fromText(json[u"input"_s].toString());
    item.caption = json[u"caption"_s].toString();
    item.fit = valueOf(json[u"fit"_s].toString(), PictureFit::Whole);
    item.focus = focusFromJson(json[u"focus"_s]);
    item.reach = LiveReach(placeOf(kLiveReaches, json[u"reach"_s]).value_or(0));
    item.until = ItemId::fromText(json[u"until"_s].toString());
    item.isShownOn = shownOnFromJson(json[u"isShownOn"_s]);
    return item;
}

constexpr std::array<const char*, 3> kMusicEnds{"silence", "next", "again"};

QJsonObject musicToJson(const MusicItem& item) {
    QJsonArray pieces;
    for (const MusicPiece& piece : item.pieces) {
        QJsonObject json{{u"file"_s, piece.name}, {u"length"_s, piece.seconds}};
        put(json, u"caption"_s, piece.caption);
        if (piece.from > 0 || piece.to > 0)
            json.insert(u"clip"_s, QJsonObject{{u"from"_s, piece.from}, {u"to"_s, piece.to}});
        pieces.append(json);
    }
    QJsonObject json{{u"kind"_s, u"music"_s},
                     {u"pieces"_s, pieces},
                     {u"end"_s, QString::fromLatin1(kMusicEnds[size_t(item.end)])},
                     {u"isShuffled"_s, item.isShuffled},
                     {u"crossfade"_s, item.crossfade},
                     {u"goesOn"_s, item.goesOn},
                     {u"volume"_s, item.volume}};
    put(json, u"title"_s, item.title);
    if (!item.until.isNull())
        json.insert(u"until"_s, item.until.text());
    return json;
}

MusicItem musicFromJson(const QJsonObject& json) {
    MusicItem item;
    item.title = json[u"title"_s].toString();
    for (const QJsonValue& value : json[u"pieces"_s].toArray())
        item.pieces.push_back({trustedMediaName(value[u"file"_s].toString()), value[u"caption"_s].toString(),
                               momentIn(value[u"length"_s]), momentIn(value[u"clip"_s][u"from"_s]),
                               momentIn(value[u"clip"_s][u"to"_s])});
    item.end = MusicEnd(placeOf(kMusicEnds, json[u"end"_s]).value_or(0));
    item.isShuffled = json[u"isShuffled"_s].toBool();
    item.crossfade = std::clamp(json[u"crossfade"_s].toDouble(), 0.0, kLongestFade);
    item.goesOn = json[u"goesOn"_s].toBool();
    item.until = ItemId::fromText(json[u"until"_s].toString());
    item.volume = std::clamp(json[u"volume"_s].toInt(100), 0, 100);
    return item;
}

QJsonObject textToJson(const TextItem& item) {
    QJsonObject json{{u"kind"_s, u"text"_s}, {u"text"_s, textToJson(*item.text)}};
    QJsonObject answers;
    for (auto it = item.answers.begin(); it != item.answers.end(); ++it)
        answers.insert(it.key(), it.value());
    if (!answers.isEmpty())
        json.insert(u"answers"_s, answers);
    return json;
}

QJsonObject countdownToJson(const CountdownItem& item) {
    QJsonObject json{{u"kind"_s, u"countdown"_s}};
    put(json, u"words"_s, item.words);
    if (item.to)
        json.insert(u"to"_s, item.to->toString(u"HH:mm"_s));
    else
        json.insert(u"seconds"_s, item.seconds);
    if (item.goesOn)
        json.insert(u"goesOn"_s, true);
    return json;
}

QJsonObject slotToJson(const SlotItem& item) {
    QJsonObject json{{u"kind"_s, u"slot"_s}};
    put(json, u"title"_s, item.name);
    if (item.wants)
        json.insert(u"wants"_s, nameOf(*item.wants));
    return json;
}

SlotItem slotFromJson(const QJsonObject& json) {
    SlotItem item{json[u"title"_s].toString(), std::nullopt};
    for (const ItemKind kind : {ItemKind::Song, ItemKind::Passage, ItemKind::Text})
        if (json[u"wants"_s].toString() == nameOf(kind))
            item.wants = kind;
    return item;
}

QJsonObject wordsToJson(const ItemWords& words) {
    return std::visit(
        Cases{[](const Heading& heading) {
                  return QJsonObject{{u"kind"_s, u"heading"_s}, {u"title"_s, heading.title}};
              },
              [](const SongItem& item) {
                  return QJsonObject{{u"kind"_s, u"song"_s}, {u"song"_s, songToJson(*item.song)}};
              },
              [](const PassageItem& item) {
                  return QJsonObject{{u"kind"_s, u"passage"_s}, {u"passage"_s, passageToJson(*item.passage)}};
              },
              [](const TextItem& item) { return textToJson(item); },
              [](const PictureItem& item) { return picturesToJson(item); },
              [](const FilmItem& item) { return filmToJson(item); },
              [](const LiveItem& item) { return liveToJson(item); },
              [](const MusicItem& item) { return musicToJson(item); },
              [](const NoteItem& item) {
                  return QJsonObject{{u"kind"_s, u"note"_s}, {u"words"_s, item.words}};
              },
              [](const PauseItem& item) {
                  return QJsonObject{{u"kind"_s, u"pause"_s}, {u"title"_s, item.title}};
              },
              [](const CountdownItem& item) { return countdownToJson(item); },
              [](const SlotItem& item) { return slotToJson(item); },
              [](const LoopItem& item) { return loopToJson(item); },
              [](const UnknownItem& item) { return QJsonDocument::fromJson(item.json).object(); }},
        words);
}

template <typename Words, typename Read>
Result<ItemWords> wordsOr(Result<Read> read, Words (*make)(Read)) {
    if (!read)
        return tl::unexpected(read.error());
    return ItemWords(make(std::move(*read)));
}

Result<ItemWords> textFromItemJson(const QJsonObject& json, const QString& where) {
    auto text = textFromJson(json[u"text"_s].toObject(), where);
    if (!text)
        return tl::unexpected(text.error());
    QMap<QString, QString> answers;
    const QJsonObject given = json[u"answers"_s].toObject();
    for (auto it = given.begin(); it != given.end(); ++it)
        answers.insert(it.key(), it.value().toString());
    return ItemWords(textItem(std::move(*text), std::move(answers)));
}

CountdownItem countdownFromJson(const QJsonObject& json) {
    return {json[u"words"_s].toString(), timeOfDay(json[u"to"_s]),
            std::clamp(json[u"seconds"_s].toInt(300), 1, kLongestItem), json[u"goesOn"_s].toBool()};
}

Result<ItemWords> wordsFromJson(const QJsonObject& json, const QString& where) {
    const QString kind = json[u"kind"_s].toString();
    if (kind == u"heading")
        return ItemWords(Heading{json[u"title"_s].toString()});
    if (kind == u"song")
        return wordsOr(songFromJson(json[u"song"_s].toObject(), where), songItem);
    if (kind == u"passage")
        return wordsOr(passageFromJson(json[u"passage"_s].toObject(), where), passageItem);
    if (kind == u"text")
        return textFromItemJson(json, where);
    if (kind == u"pictures")
        return ItemWords(picturesFromJson(json));
    if (kind == u"film")
        return ItemWords(filmFromJson(json));
    if (kind == u"live")
        return ItemWords(liveFromJson(json));
    if (kind == u"music")
        return ItemWords(musicFromJson(json));
    if (kind == u"note")
        return ItemWords(NoteItem{json[u"words"_s].toString()});
    if (kind == u"pause")
        return ItemWords(PauseItem{json[u"title"_s].toString()});
    if (kind == u"countdown")
        return ItemWords(countdownFromJson(json));
    if (kind == u"slot")
        return ItemWords(slotFromJson(json));
    if (kind == u"loop")
        return ItemWords(loopFromJson(json));
    return ItemWords(
        UnknownItem{kind, json[u"title"_s].toString(), QJsonDocument(json).toJson(QJsonDocument::Compact)});
}

} // namespace

QJsonObject itemToJson(const Item& item) {
    QJsonObject json = wordsToJson(item.words);
    json.insert(u"id"_s, item.id.text());
    if (item.isUnknown())
        return json; // with all that it had
    if (const QJsonObject look = itemLookToJson(item.look); !look.isEmpty())
        json.insert(u"look"_s, look);
    if (const QJsonObject plan = planToJson(item.plan); !plan.isEmpty())
        json.insert(u"plan"_s, plan);
    if (const QJsonObject edits = editsToJson(item.edits); !edits.isEmpty())
        json.insert(u"slides"_s, edits);
    if (!item.group.isNull())
        json.insert(u"group"_s, item.group.text());
    if (const QJsonObject part = loopPartToJson(item.inLoop); !part.isEmpty())
        json.insert(u"inLoop"_s, part);
    return json;
}

Result<Item> itemFromJson(const QJsonObject& json, const QString& where) {
    auto words = wordsFromJson(json, where);
    if (!words)
        return tl::unexpected(words.error());
    Item item{ItemId::fromText(json[u"id"_s].toString()), std::move(*words)};
    if (item.id.isNull())
        item.id = ItemId::create();
    const QJsonObject slides = json[u"slides"_s].toObject();
    for (const QString& list : {u"hidden"_s, u"words"_s, u"order"_s})
        if (auto fine = checkCount(slides[list].toArray().size(), kMostSlideEdits,
                                   QT_TRANSLATE_N_NOOP("Said", "%n changed slides"), where);
            !fine)
            return tl::unexpected(fine.error());
    if (auto fine = checkCount(json[u"look"_s][u"slides"_s].toArray().size(), kMostSlideEdits,
                               QT_TRANSLATE_N_NOOP("Said", "%n slides with a look of their own"), where);
        !fine)
        return tl::unexpected(fine.error());
    item.plan = planFromJson(json[u"plan"_s].toObject());
    item.look = itemLookFromJson(json[u"look"_s].toObject());
    item.edits = editsFromJson(slides);
    item.group = GroupId::fromText(json[u"group"_s].toString());
    item.inLoop = loopPartFromJson(json[u"inLoop"_s].toObject());
    return item;
}

} // namespace mivanta
