// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "store/SongFilter.h"
#include "store/ThisComputer.h"
#include <QStringList>
#include <QTime>

namespace mivanta {

/// The command line, read and checked.
struct Arguments {
    LibraryAddress library; ///< --library
    ThisComputer computer;  ///< --computer
    QString command;        ///< import, export, find, show, passage, slides, render, legibility, theme,
                            ///< media, play, service
    QStringList words;      ///< what the command works on
    QString serviceFile;    ///< --service
    QString output;         ///< --output
    QString to;             ///< --to
    QString format;         ///< --format
    int columns = 1;        ///< --columns, of sheets
    QString twins;          ///< --twins: keep, skip, replace, merge; empty = not said
    bool look = false;      ///< --look
    QString translation;    ///< --translation: a short name
    bool asItIs = false;    ///< --as-it-is: also where not all of it can be read
    QString kind;           ///< --kind: song, scripture, text; empty = song
    QString how;            ///< --how: all, phrase, near
    bool texts = false;     ///< --texts
    QString theme;          ///< --theme: an id or a name; empty = not said
    bool why = false;       ///< --why
    QString what;           ///< --what, of service print: order, slides, words; empty = order
    int perPage = 6;        ///< --per-page: slides on a page
    SongFilter filter;      ///< --topic, --book, --language, --key, --not-sung-since, --never-sung
    double at = 0;          ///< --at: seconds into films
    QString part;           ///< --part: of a disc's title, such as 0:02-0:12
    QString name;           ///< --name: what it is to be called
    bool onlyParts = false; ///< --only-parts, of films that are packed
    bool all = false;       ///< --all
    int item = 0;           ///< --item: of a service, from 1; 0 = all
    QTime from;             ///< --from: a time of day; invalid = not said
    bool json = false;
    bool help = false;
};

/// Fails with a message for the person who typed it (exit 2).
[[nodiscard]] Result<Arguments> readArguments(const QStringList& arguments);
[[nodiscard]] QString usageText();

} // namespace mivanta
