// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongWriter.h"
#include "core/song/PartEdits.h"
#include "core/song/SingingOrder.h"
#include "core/song/WholeText.h"
#include "formats/ChordProLine.h"
#include "formats/SongBuilder.h"

namespace mivanta {

using namespace Qt::StringLiterals;

std::vector<std::pair<QString, QString>> songDetails(const Song& song) {
    std::vector<std::pair<QString, QString>> details;
    const auto add = [&](const QString& name, const QString& value) {
        if (!value.isEmpty())
            details.emplace_back(name, value);
    };
    for (const QString& title : song.otherTitles)
        add(u"subtitle"_s, title);
    for (const Author& author : song.authors)
        switch (author.role) {
        case AuthorRole::Words:
            add(u"lyricist"_s, quotedDetail(author.name));
            break;
        case AuthorRole::Music:
            add(u"composer"_s, quotedDetail(author.name));
            break;
        case AuthorRole::Translation:
            add(u"translator"_s, quotedDetail(author.name));
            break;
        case AuthorRole::Arrangement:
            add(u"arranger"_s, quotedDetail(author.name));
            break;
        }
    add(u"copyright"_s, song.copyright);
    add(u"licence"_s, song.licenceNumber);
    for (const BookNumber& book : song.bookNumbers)
        add(u"book"_s, (book.book + u" #"_s + book.number).trimmed());
    add(u"key"_s, song.key);
    add(u"tempo"_s, song.tempo > 0 ? QString::number(song.tempo) : QString());
    add(u"time"_s, song.timeSignature);
    add(u"capo"_s, song.capo > 0 ? QString::number(song.capo) : QString());
    for (const QString& topic : song.topics)
        add(u"topic"_s, quotedDetail(topic));
    add(u"language"_s, song.language);
    for (const QString& note : song.notes.split(u'\n'))
        if (!song.notes.isEmpty())
            details.emplace_back(u"notes"_s, note);
    add(u"theme"_s, song.usualTheme);
    add(u"track"_s, song.backingTrack);
    add(u"order_name"_s, song.orderName);
    add(u"order"_s, singingOrderText(song));
    for (const NamedOrder& other : song.otherOrders)
        add(u"other_order"_s, other.name + u": "_s + singingOrderText(other.entries, song.parts));
    return details;
}

namespace {

bool isStandard(const QString& name) {
    static const QStringList names{u"subtitle"_s, u"lyricist"_s, u"composer"_s, u"arranger"_s, u"copyright"_s,
                                   u"key"_s,      u"tempo"_s,    u"time"_s,     u"capo"_s};
    return names.contains(name);
}

QString sectionOf(const Part& part) {
    switch (part.kind) {
    case PartKind::Chorus:
        return u"chorus"_s;
    case PartKind::Bridge:
        return u"bridge"_s;
    case PartKind::Verse:
        return u"verse"_s;
    default:
        return u"part"_s;
    }
}

} // namespace

QString chordProText(const Song& song) {
    QString text = u"{title: %1}\n"_s.arg(song.title);
    for (const auto& [name, value] : songDetails(song))
        text += isStandard(name) ? u"{%1: %2}\n"_s.arg(name, value) : u"{meta: %1 %2}\n"_s.arg(name, value);
    for (const Part& part : song.parts) {
        text += u'\n';
        if (!part.comment.isEmpty())
            text += u"{comment: %1}\n"_s.arg(part.comment);
        QString label = part.key();
        if (part.bandOnly != isBandOnlyByDefault(part))
            label += part.bandOnly ? u" (band only)"_s : u" (sung)"_s;
        const QString section = sectionOf(part);
        text += u"{start_of_%1: %2}\n"_s.arg(section, label);
        for (const Line& line : part.lines) {
            if (line.breakBefore)
                text += u'\n';
            if (!line.comment.isEmpty())
                text += u"{comment: %1}\n"_s.arg(line.comment);
            text += chordProLine(line) + u'\n';
        }
        text += u"{end_of_%1}\n"_s.arg(section);
    }
    return text;
}

QString plainSongText(const Song& song) {
    QString text = u"Title: %1\n"_s.arg(song.title);
    for (auto [name, value] : songDetails(song)) {
        name.replace(u'_', u' ');
        text += name[0].toUpper() + name.mid(1) + u": "_s + value + u'\n';
    }
    return text + u'\n' + wholeText(song.parts);
}

} // namespace mivanta
