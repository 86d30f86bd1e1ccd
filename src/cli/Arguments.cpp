// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/Arguments.h"
#include "cli/Export.h"
#include "store/Settings.h"
#include <QCommandLineParser>

namespace mivanta {

using namespace Qt::StringLiterals;

QString usageText() {
    return uR"(usage: mivanta-cli [--library DIR] [--json] COMMAND

  import PATH...                                      bring in song files and folders
  export (SONG | --all) --format chordpro|text|csv|pdf --to DIR   write songs to files
  find QUERY                                          search titles, words, authors, hymn numbers
  show SONG                                           one song with its parts and singing order
  slides (SONG | --service FILE) [--output NAME]      steps and slides, as the outputs split them
  render (SONG | --service FILE) --output NAME --to DIR   slides as PNG pictures
  service new ORDER.txt --to FILE                     a service from lines of headings and song titles

SONG is an id or a title. Exit: 0 done, 1 something was refused or not found, 2 wrong usage.
)"_s;
}

namespace {

tl::unexpected<Error> wrongUsage(const QString& what) {
    return failure(what, {}, u"See mivanta-cli --help."_s);
}

/// What each command needs, beyond its name.
Result<void> check(const Arguments& a) {
    const bool one = a.words.size() == 1;
    if (a.command == u"import")
        return a.words.isEmpty() ? Result<void>(wrongUsage(u"import needs a file or folder."_s))
                                 : Result<void>();
    if (a.command == u"find")
        return a.words.isEmpty() ? Result<void>(wrongUsage(u"find needs words to look for."_s))
                                 : Result<void>();
    if (a.command == u"export") {
        if (a.words.size() > 1 || one == a.all)
            return wrongUsage(u"export needs one song, or --all."_s);
        if (!isExportFormat(a.format) || a.to.isEmpty())
            return wrongUsage(u"export needs --format chordpro, text, csv or pdf, and --to DIR."_s);
        return {};
    }
    if (a.command == u"show")
        return one ? Result<void>() : Result<void>(wrongUsage(u"show needs one song."_s));
    if (a.command == u"slides" || a.command == u"render") {
        if (a.words.size() > 1 || one == !a.serviceFile.isEmpty())
            return wrongUsage(u"%1 needs one song, or --service FILE."_s.arg(a.command));
        if (a.command == u"render" && (a.to.isEmpty() || a.output.isEmpty()))
            return wrongUsage(u"render needs --output NAME and --to DIR."_s);
        return {};
    }
    if (a.command == u"service") {
        if (a.words.size() != 2 || a.words[0] != u"new" || a.to.isEmpty())
            return wrongUsage(u"service needs: new ORDER.txt --to FILE."_s);
        return {};
    }
    return wrongUsage(a.command.isEmpty() ? u"a command is missing."_s
                                          : u"there is no command \"%1\"."_s.arg(a.command));
}

} // namespace

Result<Arguments> readArguments(const QStringList& arguments) {
    QCommandLineParser parser;
    parser.setSingleDashWordOptionMode(QCommandLineParser::ParseAsLongOptions);
    parser.addOption({u"library"_s, {}, u"DIR"_s});
    parser.addOption({u"service"_s, {}, u"FILE"_s});
    parser.addOption({u"output"_s, {}, u"NAME"_s});
    parser.addOption({u"to"_s, {}, u"DIR"_s});
    parser.addOption({u"format"_s, {}, u"NAME"_s});
    parser.addOption(QCommandLineOption(u"all"_s));
    parser.addOption(QCommandLineOption(u"json"_s));
    parser.addOption(QCommandLineOption(QStringList{u"h"_s, u"help"_s}));
    if (!parser.parse(arguments))
        return wrongUsage(parser.errorText() + u'.');
    Arguments result;
    result.library = parser.isSet(u"library"_s) ? parser.value(u"library"_s) : usualLibraryFolder();
    result.serviceFile = parser.value(u"service"_s);
    result.output = parser.value(u"output"_s);
    result.to = parser.value(u"to"_s);
    result.format = parser.value(u"format"_s);
    result.all = parser.isSet(u"all"_s);
    result.json = parser.isSet(u"json"_s);
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
