// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/media/Disc.h"
#include "core/base/Said.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QLocale>
#include <cmath>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kMostJson = 1'000'000;
constexpr int kMostTitles = 99;
constexpr qsizetype kMostTracks = 32; // subtitles; there are fewer sounds
constexpr qsizetype kMostChapters = 999;
constexpr double kLongest = 24 * 60 * 60; // seconds
constexpr int kHighestId = 0xffff;
constexpr int kMostChannels = 8;
constexpr int kLargestSide = 720; // px
constexpr qsizetype kMostColours = 16;
constexpr qsizetype kLongestName = 64;

const std::vector<std::pair<DiscProblem, QString>> kProblems{{DiscProblem::Unreadable, u"unreadable"_s},
                                                             {DiscProblem::NoDisc, u"none"_s},
                                                             {DiscProblem::Protected, u"protected"_s},
                                                             {DiscProblem::Damaged, u"damaged"_s}};

QJsonArray toJson(const std::vector<DiscTrack>& tracks) {
    QJsonArray all;
    for (const DiscTrack& track : tracks)
        all << QJsonObject{
            {u"id"_s, track.id}, {u"language"_s, track.language}, {u"channels"_s, track.channels}};
    return all;
}

/// What is no number, or lies outside, makes the whole text wrong.
struct CheckedJson {
    bool isRight = true;

    double number(const QJsonValue& value, double least, double most) {
        const double number = value.toDouble(std::nan(""));
        if (number >= least && number <= most) // false when it is none
            return number;
        isRight = false;
        return least;
    }
    int whole(const QJsonValue& value, int least, int most) { return int(number(value, least, most)); }
    QString text(const QJsonValue& value, qsizetype most) {
        isRight = isRight && value.isString() && value.toString().size() <= most;
        return value.toString().left(most);
    }
    QJsonArray array(const QJsonValue& value, qsizetype most) {
        isRight = isRight && value.isArray() && value.toArray().size() <= most;
        return isRight ? value.toArray() : QJsonArray();
    }
    std::vector<DiscTrack> tracks(const QJsonValue& value) {
        std::vector<DiscTrack> all;
        for (const QJsonValue& track : array(value, kMostTracks))
            all.push_back({whole(track[u"id"_s], 0, kHighestId), text(track[u"language"_s], 2),
                           whole(track[u"channels"_s], 0, kMostChannels)});
        return all;
    }
    DiscTitle title(const QJsonValue& value) {
        DiscTitle title;
        title.number = whole(value[u"number"_s], 1, kMostTitles);
        title.seconds = number(value[u"seconds"_s], 0, kLongest);
        for (const QJsonValue& chapter : array(value[u"chapters"_s], kMostChapters))
            title.chapters.push_back(number(chapter, 0, title.seconds));
        title.sounds = tracks(value[u"sounds"_s]);
        title.subtitles = tracks(value[u"subtitles"_s]);
        title.size = {whole(value[u"width"_s], 0, kLargestSide), whole(value[u"height"_s], 0, kLargestSide)};
        for (const QJsonValue& colour : array(value[u"palette"_s], kMostColours))
            title.palette << quint32(number(colour, 0, 0xffffff));
        title.isProtected = value[u"protected"_s].toBool();
        return title;
    }
};

} // namespace

Error discError(DiscProblem problem, const QString& path) {
    switch (problem) {
    case DiscProblem::NoDisc:
        return {Said::tr("there is no video disc in it"), path,
                Said::tr("Choose the drive, the image or the folder of a video disc.")};
    case DiscProblem::Protected:
        return {Said::tr("this disc is protected against copying, and Mivanta opens no such disc"), path,
                Said::tr("Play it with a player of its own, or ask for a copy that may be shown.")};
    case DiscProblem::Damaged:
        return {Said::tr("the disc cannot be read at this place"), path,
                Said::tr("Clean the disc and try again, or choose another part of it.")};
    case DiscProblem::Unreadable:
        break;
    }
    return {Said::tr("the disc cannot be read"), path, Said::tr("Clean the disc and put it in again.")};
}

QByteArray toJson(const Disc& disc) {
    QJsonArray titles;
    for (const DiscTitle& title : disc.titles) {
        QJsonArray chapters;
        for (const double chapter : title.chapters)
            chapters << chapter;
        QJsonArray palette;
        for (const quint32 colour : title.palette)
            palette << qint64(colour);
        titles << QJsonObject{{u"width"_s, title.size.width()},
                              {u"height"_s, title.size.height()},
                              {u"palette"_s, palette},
                              {u"number"_s, title.number},
                              {u"seconds"_s, title.seconds},
                              {u"chapters"_s, chapters},
                              {u"sounds"_s, toJson(title.sounds)},
                              {u"subtitles"_s, toJson(title.subtitles)},
                              {u"protected"_s, title.isProtected}};
    }
    return QJsonDocument(QJsonObject{{u"name"_s, disc.name}, {u"titles"_s, titles}})
        .toJson(QJsonDocument::Compact);
}

Result<Disc> discFromJson(const QByteArray& json, const QString& path) {
    const QJsonObject object =
        json.size() > kMostJson ? QJsonObject() : QJsonDocument::fromJson(json).object();
    CheckedJson checked;
    Disc disc;
    disc.name = checked.text(object[u"name"_s], kLongestName);
    for (const QJsonValue& title : checked.array(object[u"titles"_s], kMostTitles))
        disc.titles.push_back(checked.title(title));
    if (!checked.isRight)
        return tl::unexpected(discError(DiscProblem::Unreadable, path));
    return disc;
}

QByteArray toJson(DiscProblem problem) {
    const auto known = std::find_if(kProblems.begin(), kProblems.end(),
                                    [&](const auto& each) { return each.first == problem; });
    return QJsonDocument(QJsonObject{{u"problem"_s, known->second}}).toJson(QJsonDocument::Compact);
}

std::optional<DiscProblem> discProblemFromJson(const QByteArray& json) {
    const QString said = QJsonDocument::fromJson(json.left(kMostJson)).object()[u"problem"_s].toString();
    for (const auto& [problem, key] : kProblems)
        if (key == said)
            return problem;
    return {};
}

QString languageText(const QString& code) {
    const QLocale::Language language = QLocale(code).language();
    return code.isEmpty() || language == QLocale::C ? QStringLiteral("?")
                                                    : QLocale::languageToString(language);
}

} // namespace mivanta
