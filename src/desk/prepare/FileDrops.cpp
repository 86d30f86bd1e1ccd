// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/FileDrops.h"
#include "core/media/MediumKind.h"
#include "desk/kit/BringInMedia.h"
#include "formats/SongReader.h"
#include "media/FilmFormat.h"
#include "media/PictureProxies.h"
#include <QFileInfo>

namespace mivanta {

namespace {

struct Brought {
    std::vector<Song> songs;
    std::vector<Error> refused;
};

/// The songs of the files as the library has them now.
Result<Brought> songsOf(Library& library, const QStringList& files) {
    Brought brought;
    for (const ImportEntry& entry : library.import(files)) {
        auto song =
            entry.song.isNull() ? Result<Song>(failure(entry.reason, entry.file)) : library.song(entry.song);
        if (song)
            brought.songs.push_back(std::move(*song));
        else
            brought.refused.push_back(song.error());
    }
    return brought;
}

void placeSongs(Session& session, QObject* asker, const QStringList& files, const PlaceWords& place) {
    session.library().ask<Brought>(
        asker, [files](Library& library) { return songsOf(library, files); },
        [&session, place](Result<Brought> brought) {
            if (!brought) {
                Q_EMIT session.problem(brought.error());
                return;
            }
            for (const Error& error : brought->refused)
                Q_EMIT session.problem(error);
            std::vector<ItemWords> words;
            for (Song& song : brought->songs)
                words.push_back(songItem(std::move(song)));
            if (!words.empty())
                place(std::move(words));
        });
}

} // namespace

void placeFiles(Session& session, QObject* asker, const QStringList& files, const PlaceWords& place) {
    QStringList pictures;
    QStringList films;
    QStringList music;
    QStringList songs;
    for (const QString& file : files) {
        if (mediumKindOf(file) == MediumKind::Picture)
            pictures << file;
        else if (mediumKindOf(file) == MediumKind::Film)
            films << file;
        else if (mediumKindOf(file) == MediumKind::Sound)
            music << file;
        else if (isSongFileName(file))
            songs << file;
        else
            Q_EMIT session.problem(
                {QObject::tr("\u201c%1\u201d cannot be put into the order").arg(QFileInfo(file).fileName()),
                 file,
                 QObject::tr("Drop pictures, films, music or song files here; open a service with Ctrl+O.")});
    }
    bringInSeveral(session, asker, pictures, [place](const std::vector<Medium>& media) {
        PictureItem set;
        for (const Medium& medium : media)
            set.pictures.push_back(pictureOf(medium));
        place({std::move(set)});
    });
    bringInSeveral(session, asker, films, [place](const std::vector<Medium>& media) {
        std::vector<ItemWords> items;
        for (const Medium& medium : media)
            items.push_back(itemOf(medium));
        place(std::move(items));
    });
    bringInSeveral(session, asker, music, [place](const std::vector<Medium>& media) {
        MusicItem pieces;
        for (const Medium& medium : media)
            pieces.pieces.push_back(pieceOf(medium));
        place({std::move(pieces)});
    });
    if (!songs.isEmpty())
        placeSongs(session, asker, songs, place);
}

} // namespace mivanta
