// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/Arguments.h"
#include "core/base/Said.h"
#include "core/order/ItemPlan.h"
#include "core/timing/Moment.h"
#include "sending/OrderSheets.h"
#include "sending/SongFiles.h"
#include "store/ThisComputer.h"
#include <QCommandLineParser>

namespace mivanta {

using namespace Qt::StringLiterals;

QString usageText() {
    return Said::tr(R"(usage: mivanta-cli [--library DIR] [--computer DIR] [--json] COMMAND

  import PATH... [--twins keep|skip|replace|merge]    bring in song files and folders
  import PATH... --look                               only say what is in them and what is like it
  import PATH --translation CODE                      bring in scripture: USFM, OSIS, a verse a line;
                                                      a file, a folder or a ZIP is one translation; where not
                                                      all can be read, --as-it-is brings in what can
  import PATH... --texts                              bring in spoken texts
  export (SONG | --all) --format FORMAT --to DIR   write songs to files
     FORMAT: chordpro, text, csv, pdf (charts with chords), lyrics (PDF); sheets take --columns 2
  find [QUERY] [FILTERS]                              search titles, words, authors, hymn numbers
     --topic T --book B --language L --key K --not-sung-since YYYY-MM-DD --never-sung
  find WORDS --kind scripture [--how all|phrase|near] [--translation CODE]
  find [WORDS] --kind text                            spoken texts
  passage REFERENCE [--translation CODE]              the verses of "luk 5 1-11"
  show SONG                                           one song with its parts and singing order
  slides (SONG | --service FILE) [--output NAME] [--theme THEME] [--why]
                                                      steps and slides, as the outputs split them;
                                                      --why: every property of the look and where it comes from
  render (SONG | --service FILE) --output NAME --to DIR [--theme THEME]   slides as PNG pictures;
                                                      --at 12.5: films as they are after so many seconds
  legibility (SONG | --service FILE) [--output NAME] [--theme THEME]
                                                      how far it is read, and its contrast
  theme list | show THEME | export THEME --to FILE | import FILE...
  media list | show NAME | add FILE... | watch FOLDER
                                                      pictures, films and sounds; a watched folder is shown with them
  media disc PATH [TITLE [--part 0:02-0:12] [--name NAME]]
                                                      the titles of a video disc in a drive, an image or a
                                                      folder; with TITLE, copies it into the library
  play FILE --to DIR                                  a film's pictures as PNG, and its sound as WAV
  service new ORDER.txt --to FILE                     a service from lines of headings, titles and references
  service show FILE                                   its order with times, lengths and who leads
  service timeline FILE [--item N] [--from 10:00]      every showing of its loops, and what comes by itself then
  service check-files FILE                            the pictures and fonts that it uses, and which are missing
  service pack FILE --to FILE [--only-parts]          the same with its media and fonts, for another computer;
                                                      --only-parts: of films only what is played of them
  service unpack FILE --to DIR                        what a packed service holds, into a folder
  service print FILE --to FILE [--what order|slides|words] [--per-page N] [--output NAME]
                                                      as PDF, HTML, text or CSV, by the ending of --to

SONG is an id or a title. --twins says what becomes of songs that are nearly in the library already;
without it, only files that were brought in before are compared. Exit: 0 done, 1 something was refused or not found, 2 wrong usage.
)");
}

namespace {

tl::unexpected<Error> wrongUsage(const QString& what) {
    return failure(what, {}, Said::tr("See mivanta-cli --help."));
}

/// What each command needs, beyond its name.
Result<void> check(const Arguments& a) {
    const bool one = a.words.size() == 1;
    if (a.command == u"import") {
        if (a.words.isEmpty())
            return wrongUsage(Said::tr("import needs a file or folder."));
        if (!a.translation.isEmpty() && a.words.size() > 1)
            return wrongUsage(Said::tr("import --translation needs one file, folder or ZIP."));
        if (!a.twins.isEmpty() &&
            (a.look || !QStringList{u"keep"_s, u"skip"_s, u"replace"_s, u"merge"_s}.contains(a.twins)))
            return wrongUsage(Said::tr("import takes --look, or --twins keep, skip, replace or merge."));
        return {};
    }
    if (a.command == u"passage")
        return a.words.isEmpty()
                   ? Result<void>(wrongUsage(Said::tr("passage needs a reference such as \"Luke 5:1-11\".")))
                   : Result<void>();
    if (a.command == u"find" && !a.kind.isEmpty() && a.kind != u"song") {
        if (a.kind != u"scripture" && a.kind != u"text")
            return wrongUsage(Said::tr("--kind is song, scripture or text."));
        if (!QStringList{QString(), u"all"_s, u"phrase"_s, u"near"_s}.contains(a.how))
            return wrongUsage(Said::tr("--how is all, phrase or near."));
        return a.kind == u"scripture" && a.words.isEmpty()
                   ? Result<void>(wrongUsage(Said::tr("find needs words to look for.")))
                   : Result<void>();
    }
    if (a.command == u"find")
        return a.words.isEmpty() && a.filter.isEmpty()
                   ? Result<void>(wrongUsage(Said::tr("find needs words to look for, or a filter.")))
                   : Result<void>();
    if (a.command == u"export") {
        if (a.words.size() > 1 || one == a.all)
            return wrongUsage(Said::tr("export needs one song, or --all."));
        if (!songFormat(a.format) || a.to.isEmpty())
            return wrongUsage(
                Said::tr("export needs --format chordpro, text, csv, pdf or lyrics, and --to DIR."));
        return {};
    }
    if (a.command == u"show")
        return one ? Result<void>() : Result<void>(wrongUsage(Said::tr("show needs one song.")));
    if (a.command == u"theme") {
        const QString what = a.words.value(0);
        const bool namesOne = (what == u"show" || what == u"export") && a.words.size() == 2;
        const bool isRight = (what == u"list" && one) || (namesOne && (what == u"show") == a.to.isEmpty()) ||
                             (what == u"import" && a.words.size() > 1);
        return isRight ? Result<void>()
                       : Result<void>(wrongUsage(Said::tr(
                             "theme needs: list, show THEME, export THEME --to FILE, or import FILE.")));
    }
    if (a.command == u"media") {
        const QString what = a.words.value(0);
        const bool isRight = (what == u"list" && one) || (what == u"add" && a.words.size() > 1) ||
                             ((what == u"show" || what == u"watch") && a.words.size() == 2) ||
                             (what == u"disc" && (a.words.size() == 2 || a.words.size() == 3));
        return isRight ? Result<void>()
                       : Result<void>(wrongUsage(Said::tr(
                             "media needs: list, show NAME, add FILE..., watch FOLDER, or disc PATH.")));
    }
    if (a.command == u"play")
        return one && !a.to.isEmpty()
                   ? Result<void>()
                   : Result<void>(wrongUsage(Said::tr("play needs one film or sound, and --to DIR.")));
    if (a.command == u"slides" || a.command == u"render" || a.command == u"legibility") {
        if (a.words.size() > 1 || one == !a.serviceFile.isEmpty())
            return wrongUsage(Said::tr("%1 needs one song, or --service FILE.").arg(a.command));
        if (a.command == u"render" && (a.to.isEmpty() || a.output.isEmpty()))
            return wrongUsage(Said::tr("render needs --output NAME and --to DIR."));
        return {};
    }
    if (a.command == u"service") {
        const QString what = a.words.value(0);
        const bool writes = QStringList{u"new"_s, u"pack"_s, u"unpack"_s, u"print"_s}.contains(what);
        const bool reads = what == u"show" || what == u"check-files" || what == u"timeline";
        if (a.words.size() != 2 || !(reads || (writes && !a.to.isEmpty())))
            return wrongUsage(Said::tr(
                "service needs: new ORDER.txt --to FILE, show FILE, timeline FILE, check-files FILE, "
                "pack FILE --to FILE, unpack FILE --to DIR, or print FILE --to FILE."));
        if (!QStringList{QString(), u"order"_s, u"slides"_s, u"words"_s}.contains(a.what))
            return wrongUsage(Said::tr("--what is order, slides or words."));
        return {};
    }
    return wrongUsage(a.command.isEmpty() ? Said::tr("a command is missing.")
                                          : Said::tr("there is no command \"%1\".").arg(a.command));
}

} // namespace

Result<Arguments> readArguments(const QStringList& arguments) {
    QCommandLineParser parser;
    parser.setSingleDashWordOptionMode(QCommandLineParser::ParseAsLongOptions);
    parser.addOption({u"library"_s, {}, u"DIR"_s});
    parser.addOption({u"computer"_s, {}, u"DIR"_s});
    parser.addOption({u"service"_s, {}, u"FILE"_s});
    parser.addOption({u"output"_s, {}, u"NAME"_s});
    parser.addOption({u"to"_s, {}, u"DIR"_s});
    parser.addOption({u"format"_s, {}, u"NAME"_s});
    parser.addOption({u"columns"_s, {}, u"1|2"_s});
    parser.addOption({u"twins"_s, {}, u"DECISION"_s});
    parser.addOption(QCommandLineOption(u"look"_s));
    parser.addOption(QCommandLineOption(u"texts"_s));
    parser.addOption({u"theme"_s, {}, u"THEME"_s});
    parser.addOption(QCommandLineOption(u"why"_s));
    parser.addOption({u"what"_s, {}, u"WHAT"_s});
    parser.addOption({u"per-page"_s, {}, u"N"_s});
    parser.addOption({u"at"_s, {}, u"SECONDS"_s});
    parser.addOption({u"item"_s, {}, u"N"_s});
    parser.addOption({u"from"_s, {}, u"TIME"_s});
    for (const QString& name : {u"translation"_s, u"kind"_s, u"how"_s, u"part"_s, u"name"_s})
        parser.addOption({name, {}, u"VALUE"_s});
    for (const QString& name : {u"topic"_s, u"book"_s, u"language"_s, u"key"_s, u"not-sung-since"_s})
        parser.addOption({name, {}, u"VALUE"_s});
    parser.addOption(QCommandLineOption(u"never-sung"_s));
    parser.addOption(QCommandLineOption(u"only-parts"_s));
    parser.addOption(QCommandLineOption(u"all"_s));
    parser.addOption(QCommandLineOption(u"as-it-is"_s));
    parser.addOption(QCommandLineOption(u"json"_s));
    parser.addOption(QCommandLineOption(QStringList{u"h"_s, u"help"_s}));
    if (!parser.parse(arguments))
        return wrongUsage(parser.errorText() + u'.');
    Arguments result;
    result.library =
        parser.isSet(u"library"_s) ? LibraryAddress(parser.value(u"library"_s)) : LibraryAddress::usual();
    if (parser.isSet(u"computer"_s))
        result.computer = ThisComputer(parser.value(u"computer"_s));
    result.serviceFile = parser.value(u"service"_s);
    result.output = parser.value(u"output"_s);
    result.to = parser.value(u"to"_s);
    result.format = parser.value(u"format"_s);
    result.columns = parser.isSet(u"columns"_s) ? parser.value(u"columns"_s).toInt() : 1;
    if (result.columns < 1 || result.columns > 2)
        return wrongUsage(Said::tr("--columns is 1 or 2."));
    result.twins = parser.value(u"twins"_s);
    result.look = parser.isSet(u"look"_s);
    result.texts = parser.isSet(u"texts"_s);
    result.theme = parser.value(u"theme"_s);
    result.why = parser.isSet(u"why"_s);
    result.what = parser.value(u"what"_s).toLower();
    if (parser.isSet(u"per-page"_s))
        result.perPage = parser.value(u"per-page"_s).toInt();
    if (result.perPage < 1 || result.perPage > kMostSlidesAPage)
        return wrongUsage(Said::tr("--per-page is 1 to %1.").arg(kMostSlidesAPage));
    if (parser.isSet(u"at"_s)) {
        const auto at = momentFromText(parser.value(u"at"_s));
        if (!at)
            return wrongUsage(Said::tr("--at needs seconds such as 12.5, or 1:30."));
        result.at = *at;
    }
    if (parser.isSet(u"item"_s) && (result.item = parser.value(u"item"_s).toInt()) < 1)
        return wrongUsage(Said::tr("--item is a number from 1."));
    if (parser.isSet(u"from"_s)) {
        const auto from = timeFrom(parser.value(u"from"_s));
        if (!from)
            return wrongUsage(Said::tr("--from needs a time of day such as 10:00."));
        result.from = *from;
    }
    result.translation = parser.value(u"translation"_s);
    result.kind = parser.value(u"kind"_s).toLower();
    result.how = parser.value(u"how"_s).toLower();
    result.part = parser.value(u"part"_s);
    result.name = parser.value(u"name"_s);
    result.asItIs = parser.isSet(u"as-it-is"_s);
    result.onlyParts = parser.isSet(u"only-parts"_s);
    result.all = parser.isSet(u"all"_s);
    result.json = parser.isSet(u"json"_s);
    result.filter = {parser.value(u"topic"_s),
                     parser.value(u"book"_s),
                     parser.value(u"language"_s),
                     parser.value(u"key"_s),
                     QDate::fromString(parser.value(u"not-sung-since"_s), Qt::ISODate),
                     parser.isSet(u"never-sung"_s)};
    if (parser.isSet(u"not-sung-since"_s) && !result.filter.notSungSince.isValid())
        return wrongUsage(Said::tr("--not-sung-since needs a day such as 2026-05-31."));
    result.help = parser.isSet(u"help"_s);
    result.words = parser.positionalArguments();
    if (result.help)
        return result;
    result.command = result.words.isEmpty() ? QString() : result.words.takeFirst();
    if (auto fine = check(result); !fine)
        return tl::unexpected(fine.error());
    return result;
}

} // namespace mivanta
