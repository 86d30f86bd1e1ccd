// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/StoredSong.h"
#include "core/base/Fold.h"
#include "formats/SongJson.h"
#include "store/SongSearch.h"
#include <QCryptographicHash>
#include <QJsonDocument>

namespace mivanta {

void renameParts(Song& song, const QHash<PartId, PartId>& renamed) {
    const auto rename = [&](std::vector<SungPart>& order) {
        for (SungPart& sung : order)
            sung.part = renamed.value(sung.part, sung.part);
    };
    rename(song.singingOrder);
    for (NamedOrder& order : song.otherOrders)
        rename(order.entries);
}

namespace {

/// Values one a line, between line ends, so that each can be found whole.
QString listed(const QStringList& values) {
    return values.isEmpty() ? QString() : u'\n' + values.join(u'\n') + u'\n';
}

QStringList factsOf(const Song& song) {
    QStringList books;
    for (const BookNumber& number : song.bookNumbers)
        if (!number.book.isEmpty())
            books << number.book;
    const auto keys = [](const QStringList& values) {
        QStringList folded;
        for (const QString& value : values)
            folded << foldedForSearch(value).trimmed();
        return folded;
    };
    return {song.language, song.key,           listed(song.topics), listed(keys(song.topics)),
            listed(books), listed(keys(books))};
}

} // namespace

QByteArray contentHash(const Song& song) {
    Song bare = song;
    bare.id = {};
    bare.revision = 0;
    QHash<PartId, PartId> renamed;
    for (size_t i = 0; i < bare.parts.size(); ++i) {
        const PartId plain = PartId::fromNumber(quint32(i));
        renamed.insert(bare.parts[i].id, plain);
        bare.parts[i].id = plain;
    }
    renameParts(bare, renamed);
    return QCryptographicHash::hash(QJsonDocument(songToJson(bare)).toJson(QJsonDocument::Compact),
                                    QCryptographicHash::Sha1);
}

StoredSong storedForm(Song song) {
    StoredSong stored;
    stored.hash = contentHash(song);
    stored.content = QString::fromUtf8(QJsonDocument(songToJson(song)).toJson(QJsonDocument::Compact));
    stored.titleKey = foldedForSearch(song.title).trimmed();
    stored.firstLine = song.firstLine();
    if (!song.bookNumbers.empty())
        stored.number = (song.bookNumbers.front().book + u' ' + song.bookNumbers.front().number).trimmed();
    QStringList lines;
    for (const Part& part : song.parts)
        for (const Line& line : part.lines)
            if (!line.words.isEmpty())
                lines << line.words;
    stored.lines = lines.join(u'\n');
    stored.searchText = SongSearch::searchText(song);
    stored.facts = factsOf(song);
    stored.song = std::move(song);
    return stored;
}

} // namespace mivanta
