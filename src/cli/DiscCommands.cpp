// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/DiscCommands.h"
#include "core/base/Said.h"
#include "core/timing/Moment.h"
#include "media/DiscRun.h"
#include "media/MediumLook.h"
#include "store/MediaIntake.h"
#include <QJsonDocument>
#include <cmath>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// "English, German"
QString languagesOf(const std::vector<DiscTrack>& tracks) {
    QStringList all;
    for (const DiscTrack& track : tracks)
        all << languageText(track.language);
    return all.join(u", "_s);
}

QString line(const DiscTitle& title) {
    QStringList facts{momentText(std::floor(title.seconds))};
    if (!title.sounds.empty())
        facts << Said::tr("sound: %1").arg(languagesOf(title.sounds));
    if (!title.subtitles.empty())
        facts << Said::tr("subtitles: %1").arg(languagesOf(title.subtitles));
    if (title.isProtected)
        facts << Said::tr("protected against copying");
    return u"%1  %2\n"_s.arg(title.number, 2).arg(facts.join(u" \u00b7 "_s));
}

} // namespace

Result<Medium> keepFromDisc(Library& library, const QString& path, const QString& number, const QString& part,
                            const QString& name) {
    const auto disc = lookAtDisc(path);
    if (!disc)
        return tl::unexpected(disc.error());
    const auto title = std::find_if(disc->titles.begin(), disc->titles.end(), [&](const DiscTitle& each) {
        return QString::number(each.number) == number.trimmed();
    });
    if (title == disc->titles.end())
        return failure(Said::tr("the disc has no title %1").arg(number.trimmed()), path,
                       Said::tr("See mivanta-cli media disc."));
    DiscPart wanted{*title, 0, title->seconds, {}, {}};
    if (!title->sounds.empty())
        wanted.sound = title->sounds.front().id;
    if (!part.trimmed().isEmpty()) {
        const auto from = momentFromText(part.section(u'-', 0, 0).trimmed());
        const auto to = momentFromText(part.section(u'-', 1).trimmed());
        if (!from || !to || *from >= *to || *to > std::ceil(title->seconds))
            return failure(Said::tr("\u201c%1\u201d is no part of the title").arg(part.trimmed()), path,
                           Said::tr("Write it as 0:02-0:12."));
        wanted.from = *from;
        wanted.to = *to;
    }
    const QString called = name.trimmed().isEmpty()
                               ? Said::tr("%1, title %2").arg(disc->name, number.trimmed())
                               : name.trimmed();
    return bringInMade(
        library, called, [&](const QString& file) { return copyFromDisc(path, wanted, file); }, lookAtMedium);
}

Result<int> runDisc(Library& library, const Arguments& arguments, QTextStream& out) {
    const QString path = arguments.words[1];
    if (arguments.words.size() > 2)
        return keepFromDisc(library, path, arguments.words[2], arguments.part, arguments.name)
            .map([&](const Medium& medium) {
                out << u"%1  %2\n"_s.arg(medium.title, factsText(medium));
                return 0;
            });
    const auto disc = lookAtDisc(path);
    if (!disc)
        return tl::unexpected(disc.error());
    if (arguments.json)
        out << toJson(*disc) << u'\n';
    else
        for (const DiscTitle& title : disc->titles)
            out << line(title);
    return 0;
}

} // namespace mivanta
