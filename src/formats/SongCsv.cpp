// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongCsv.h"
#include "core/base/Said.h"
#include "core/song/PartEdits.h"
#include "core/song/WholeText.h"
#include "formats/Csv.h"
#include "formats/SongBuilder.h"
#include "formats/SongWriter.h"

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// Column title and the name that SongBuilder knows the detail by.
const std::vector<std::pair<QString, QString>>& columns() {
    static const std::vector<std::pair<QString, QString>> all{{u"Other titles"_s, u"subtitle"_s},
                                                              {u"Words by"_s, u"lyricist"_s},
                                                              {u"Music by"_s, u"composer"_s},
                                                              {u"Translation by"_s, u"translator"_s},
                                                              {u"Arrangement by"_s, u"arranger"_s},
                                                              {u"Copyright"_s, u"copyright"_s},
                                                              {u"Licence number"_s, u"licence"_s},
                                                              {u"Books"_s, u"book"_s},
                                                              {u"Key"_s, u"key"_s},
                                                              {u"Tempo"_s, u"tempo"_s},
                                                              {u"Time signature"_s, u"time"_s},
                                                              {u"Capo"_s, u"capo"_s},
                                                              {u"Topics"_s, u"topic"_s},
                                                              {u"Language"_s, u"language"_s},
                                                              {u"Notes"_s, u"notes"_s},
                                                              {u"Theme"_s, u"theme"_s},
                                                              {u"Backing track"_s, u"track"_s},
                                                              {u"Order name"_s, u"order_name"_s},
                                                              {u"Order"_s, u"order"_s},
                                                              {u"Other orders"_s, u"other_order"_s}};
    return all;
}

} // namespace

QString songsToCsv(const std::vector<Song>& songs) {
    QStringList head{u"Title"_s};
    for (const auto& [title, name] : columns())
        head << title;
    QString text = head.join(u',') + u",Text\r\n"_s;
    for (const Song& song : songs) {
        QHash<QString, QStringList> values;
        for (const auto& [name, value] : songDetails(song))
            values[name] << value;
        QStringList cells{song.title};
        for (const auto& [title, name] : columns())
            cells << values.value(name).join(u'\n');
        cells << wholeText(song.parts);
        text += csvRow(cells);
    }
    return text;
}

Result<std::vector<ReadSong>> songsFromCsv(const QString& text, const QString& where) {
    const std::vector<CsvRow> rows = csvRows(text, csvSeparator(text));
    QStringList names; // what each column is
    QStringList unknown;
    bool hasTitle = false;
    for (const QString& title : rows.empty() ? QStringList() : rows.front().cells) {
        QString name = title.trimmed().toLower();
        for (const auto& [known, detail] : columns())
            if (known.toLower() == name)
                name = detail;
        SongBuilder probe({});
        const bool isKnown = name == u"title" || name == u"text" || name == u"order" ||
                             name == u"other_order" || probe.setDetail(name, u"1"_s);
        if (!isKnown)
            unknown << title;
        hasTitle = hasTitle || name == u"title";
        names << (isKnown ? name : QString());
    }
    if (!hasTitle)
        return failure(Said::tr("the table has no column called Title"), where,
                       Said::tr("Name the columns in the first row."));
    if (rows.size() < 2)
        return failure(Said::tr("the table has names of columns and no songs"), where,
                       Said::tr("Write each song in a row of its own."));
    std::vector<ReadSong> songs;
    for (size_t r = 1; r < rows.size(); ++r) {
        SongBuilder builder(u"Row %1"_s.arg(r));
        QString words;
        for (qsizetype c = 0; c < std::min(rows[r].cells.size(), names.size()); ++c) {
            const QString& value = rows[r].cells[c];
            if (names[c] == u"text")
                words = value;
            else if (!names[c].isEmpty() && !value.isEmpty())
                for (const QString& one : value.split(u'\n'))
                    if (!builder.setOrder(names[c], one, rows[r].line))
                        static_cast<void>(builder.setDetail(names[c], one));
        }
        ReadSong song = builder.buildWith(readWholeText(words, {}));
        if (r == 1 && !unknown.isEmpty())
            song.warnings.insert(
                song.warnings.begin(),
                {1,
                 Said::tr("these columns are not known and were left out: %1.").arg(unknown.join(u", "_s))});
        songs.push_back(std::move(song));
    }
    return songs;
}

} // namespace mivanta
