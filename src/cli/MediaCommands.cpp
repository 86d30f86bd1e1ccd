// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/MediaCommands.h"
#include "cli/DiscCommands.h"
#include "core/base/Said.h"
#include "core/timing/Moment.h"
#include "link/FilmClient.h"
#include "media/MediumLook.h"
#include "media/SoundFile.h"
#include "store/MediaIntake.h"
#include <QDir>
#include <QEventLoop>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString kindKey(MediumKind kind) {
    constexpr const char* keys[] = {"picture", "film", "sound"};
    return QString::fromLatin1(keys[size_t(kind)]);
}

QJsonObject mediumToJson(const Medium& medium) {
    QJsonObject json{
        {u"name"_s, medium.name},          {u"title"_s, medium.title},
        {u"kind"_s, kindKey(medium.kind)}, {u"bytes"_s, medium.bytes},
        {u"starred"_s, medium.isStarred},  {u"added"_s, medium.addedAt.toUTC().toString(Qt::ISODate)}};
    if (!medium.caption.isEmpty())
        json.insert(u"caption"_s, medium.caption);
    if (medium.facts && !medium.facts->size.isEmpty()) {
        json.insert(u"width"_s, medium.facts->size.width());
        json.insert(u"height"_s, medium.facts->size.height());
    }
    if (medium.facts && medium.facts->seconds > 0)
        json.insert(u"seconds"_s, medium.facts->seconds);
    if (medium.facts)
        json.insert(u"hasSound"_s, medium.facts->hasSound);
    if (medium.from > 0 || medium.to > 0)
        json.insert(u"clip"_s, QJsonObject{{u"from"_s, medium.from}, {u"to"_s, medium.to}});
    if (!medium.problem.isEmpty())
        json.insert(u"problem"_s, medium.problem);
    return json;
}

QString line(const Medium& medium) {
    return u"%1  %2  %3 \u00b7 %4\n"_s.arg(mediumKindText(medium.kind), -8)
        .arg(medium.title, -32)
        .arg(factsText(medium), bytesText(medium.bytes));
}

/// What nobody has looked at yet is looked at now.
Result<Medium> looked(Library& library, const Medium& medium) {
    if (medium.facts || !medium.problem.isEmpty())
        return medium;
    const auto facts = lookAtMedium(library.media().pathOf(medium.name), medium.kind);
    const auto noted = facts ? library.catalogue().describe(medium.name, *facts)
                             : library.catalogue().describe(medium.name, facts.error().what);
    if (!noted)
        return tl::unexpected(noted.error());
    auto now = library.catalogue().medium(medium.name);
    if (!now)
        return tl::unexpected(now.error());
    return now->value_or(medium);
}

Result<std::vector<Medium>> mediaNamed(Library& library, const QString& wanted) {
    auto all = library.catalogue().all();
    if (!all)
        return all;
    if (!wanted.isEmpty()) {
        std::erase_if(*all, [&](const Medium& medium) {
            return medium.name != wanted && medium.title.compare(wanted, Qt::CaseInsensitive) != 0;
        });
        if (all->empty())
            return failure(Said::tr("there is no medium \"%1\"").arg(wanted), library.folder(),
                           Said::tr("See mivanta-cli media list."));
    }
    for (Medium& medium : *all) {
        auto now = looked(library, medium);
        if (!now)
            return tl::unexpected(now.error());
        medium = std::move(*now);
    }
    return all;
}

Result<int> list(Library& library, const Arguments& arguments, QTextStream& out) {
    const auto media = mediaNamed(library, arguments.words.value(1));
    if (!media)
        return tl::unexpected(media.error());
    QJsonArray json;
    for (const Medium& medium : *media)
        if (arguments.json)
            json.append(mediumToJson(medium));
        else
            out << line(medium);
    if (arguments.json)
        out << QJsonDocument(json).toJson();
    return 0;
}

/// One that is refused stops no other.
Result<int> add(Library& library, const Arguments& arguments, QTextStream& out) {
    int refused = 0;
    for (const QString& path : arguments.words.mid(1))
        if (const auto medium = bringInMedium(library, path, lookAtMedium))
            out << line(*medium);
        else {
            ++refused;
            out << medium.error().text() << u'\n';
        }
    return refused > 0 ? 1 : 0;
}

Result<int> watch(const Arguments& arguments, QTextStream& out) {
    const QString path = QDir::cleanPath(QDir::current().absoluteFilePath(arguments.words[1]));
    const auto files = readMediaFolder(path);
    if (!files)
        return tl::unexpected(files.error());
    auto folders = arguments.computer.watchedFolders();
    if (!folders)
        return tl::unexpected(folders.error());
    std::erase_if(*folders, [&](const WatchedFolder& folder) { return folder.path == path; });
    folders->push_back({path, int(files->size()), marksOf(path, *files)});
    if (auto saved = arguments.computer.saveWatchedFolders(*folders); !saved)
        return tl::unexpected(saved.error());
    out << Said::tr("%n media in %1", nullptr, Said::n(files->size())).arg(path) << u'\n';
    return 0;
}

} // namespace

Result<int> runMedia(Library& library, const Arguments& arguments, QTextStream& out) {
    const QString what = arguments.words.value(0);
    return what == u"add"     ? add(library, arguments, out)
           : what == u"watch" ? watch(arguments, out)
           : what == u"disc"  ? runDisc(library, arguments, out)
                              : list(library, arguments, out);
}

namespace {

constexpr QSize kPlayed(640, 360); // px

/// Each picture is called by its number and the moment at which it came.
Result<int> writePictures(const QString& path, const QString& folder) {
    message::OpenFilm order;
    order.path = path;
    order.shown = kPlayed;
    order.film.isOnce = true;
    FilmClient film(order);
    QEventLoop loop;
    int written = 0;
    std::optional<Error> error;
    QObject::connect(&film, &FilmClient::pictureCame, &loop, [&] {
        const QString to = u"%1/%2.png"_s.arg(folder).arg(++written, 6, 10, QLatin1Char('0'));
        if (film.picture().image.save(to)) {
            if (written == 1) // so that the first one is among them, however busy the computer is
                film.play();
            return;
        }
        error = Error{Said::tr("the picture could not be written"), to, Said::tr("Check the free space.")};
        loop.quit();
    });
    QObject::connect(&film, &FilmClient::told, &loop, [&] {
        if (film.stands().isOver || !film.stands().problem.isEmpty())
            loop.quit();
    });
    loop.exec();
    if (error)
        return tl::unexpected(*error);
    if (!film.stands().problem.isEmpty())
        return failure(Said::tr("this cannot be played as a film: %1").arg(film.stands().problem), path);
    return written;
}

} // namespace

Result<int> runPlay(const Arguments& arguments, QTextStream& out) {
    const QString& path = arguments.words[0];
    const auto kind = mediumKindOf(path);
    if (!kind || *kind == MediumKind::Picture)
        return failure(Said::tr("this is neither film nor sound"), path, Said::tr("Choose another file."));
    const auto facts = lookAtMedium(path, *kind);
    if (!facts)
        return tl::unexpected(facts.error());
    if (!QDir().mkpath(arguments.to))
        return failure(Said::tr("the folder could not be made"), arguments.to,
                       Said::tr("Choose another place."));
    if (*kind == MediumKind::Film) {
        auto written = writePictures(path, arguments.to);
        if (!written)
            return written;
        out << Said::tr("%n pictures in %1", nullptr, *written).arg(arguments.to) << u'\n';
    }
    if (facts->hasSound) {
        const QString sound = arguments.to + u"/sound.wav"_s;
        if (const auto done = writeSound(path, sound); !done)
            return tl::unexpected(done.error());
        out << sound << u'\n';
    }
    return 0;
}

} // namespace mivanta
