// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/TextFile.h"
#include "core/base/Said.h"
#include "core/text/TextMarks.h"
#include "formats/JsonNames.h"
#include "formats/TextDecoding.h"
#include <QFileInfo>
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestText = 1024 * 1024;

QStringList listed(const QString& value) {
    QStringList list;
    for (const QString& each : value.split(u','))
        if (!each.trimmed().isEmpty())
            list << each.trimmed();
    return list;
}

/// False when the line is no detail.
bool readDetail(const QString& line, SpokenText& text) {
    const QString key = line.section(u':', 0, 0).trimmed().toLower();
    const QString value = line.section(u':', 1).trimmed();
    if (!line.contains(u':'))
        return false;
    if (key == u"title")
        text.title = value;
    else if (key == u"kind")
        text.kind = valueOf(value.toLower(), TextKind::Other);
    else if (key == u"author")
        text.author = value;
    else if (key == u"copyright")
        text.copyright = value;
    else if (key == u"topics")
        text.topics = listed(value);
    else if (key == u"seasons" || key == u"season")
        text.seasons = listed(value);
    else if (key == u"language")
        text.language = value;
    else if (key == u"notes")
        text.notes = value;
    else if (key == u"role names")
        text.namesRoles = value.compare(u"no", Qt::CaseInsensitive) != 0;
    else
        return false;
    return true;
}

} // namespace

Result<ReadText> readTextFile(QIODevice& device, const QString& where) {
    const auto decoded = readText(device, where, kLargestText);
    if (!decoded)
        return tl::unexpected(decoded.error());
    SpokenText text;
    text.id = TextId::create();
    QStringList lines = decoded->text.split(u'\n');
    while (!lines.isEmpty() && readDetail(lines.first(), text))
        lines.removeFirst();
    text.lines = linesFrom(lines.join(u'\n'));
    if (text.title.isEmpty())
        text.title = QFileInfo(where).completeBaseName();
    if (text.lines.empty())
        return failure(Said::tr("there are no words in this file"), where,
                       Said::tr("Write the words below the title, after an empty line."));
    return ReadText{std::move(text),
                    decoded->damagedLines.empty() ? QString() : damagedLettersText(*decoded)};
}

QString textFileOf(const SpokenText& text) {
    QStringList lines{u"Title: "_s + text.title, u"Kind: "_s + nameOf(text.kind)};
    const auto add = [&](const QString& key, const QString& value) {
        if (!value.isEmpty())
            lines << key + u": "_s + value;
    };
    add(u"Author"_s, text.author);
    add(u"Copyright"_s, text.copyright);
    add(u"Topics"_s, text.topics.join(u", "_s));
    add(u"Seasons"_s, text.seasons.join(u", "_s));
    add(u"Language"_s, text.language);
    add(u"Notes"_s, QString(text.notes).replace(u'\n', u' '));
    if (!text.namesRoles)
        lines << u"Role names: no"_s;
    return lines.join(u'\n') + u"\n\n"_s + textOf(text.lines) + u'\n';
}

} // namespace mivanta
