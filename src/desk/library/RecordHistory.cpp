// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/RecordHistory.h"
#include "core/base/Said.h"
#include "core/song/SongDifference.h"
#include "core/text/TextMarks.h"
#include "core/theme/LookProperty.h"

namespace mivanta {

namespace {

QString sameText() {
    return Said::tr("Now: the same");
}

Part partOf(const QString& name) {
    Part part;
    part.kind = PartKind::Other;
    part.name = name;
    return part;
}

} // namespace

template <>
VersionsPage::Texts Comparing<Song>::texts() {
    return {{},
            Said::tr("Back to the song"),
            Said::tr("The song becomes as it was then; Ctrl+Z takes that back (Enter)"),
            Said::tr("The song in the editor takes the library\u2019s place; that one stays among its "
                     "versions")};
}

template <>
Song Comparing<Song>::comparable(const Song& song) {
    return song;
}

template <>
QString Comparing<Song>::captionOf(const Song& version, const Song& now) {
    const QStringList differences = differencesOf(version, now);
    return differences.isEmpty() ? sameText()
                                 : Said::tr("Now: other %1").arg(differences.join(QStringLiteral(", ")));
}

template <>
VersionsPage::Texts Comparing<SpokenText>::texts() {
    return {QStringLiteral("text-"), Said::tr("Back to the text"),
            Said::tr("The text becomes as it was then; Ctrl+Z takes that back (Enter)"),
            Said::tr("The text in the editor takes the library\u2019s place; that one stays among its "
                     "versions")};
}

/// Its lines with their roles, and its details.
template <>
Song Comparing<SpokenText>::comparable(const SpokenText& text) {
    Song song;
    song.title = text.title;
    if (!text.author.isEmpty())
        song.authors.push_back({AuthorRole::Words, text.author});
    song.copyright = text.copyright;
    song.topics = text.topics + text.seasons;
    song.language = text.language;
    Part part = partOf(textKindName(text.kind));
    bool breakBefore = false;
    for (const QString& line : textOf(text.lines).split(u'\n')) {
        if (line == QLatin1String("---")) {
            breakBefore = true;
            continue;
        }
        part.lines.push_back({line, {}, breakBefore, {}, {}});
        breakBefore = false;
    }
    song.parts.push_back(std::move(part));
    return song;
}

template <>
QString Comparing<SpokenText>::captionOf(const SpokenText& version, const SpokenText& now) {
    return sameContent(version, now) ? sameText() : Said::tr("Now");
}

template <>
VersionsPage::Texts Comparing<ThemeRecord>::texts() {
    return {QStringLiteral("theme-"), Said::tr("Back to the theme"),
            Said::tr("The theme becomes as it was then; Ctrl+Z takes that back (Enter)"),
            Said::tr("The theme in the designer takes the library\u2019s place; that one stays among its "
                     "versions")};
}

/// Its properties by their groups, as words.
template <>
Song Comparing<ThemeRecord>::comparable(const ThemeRecord& record) {
    Song song;
    song.title = record.theme.name;
    std::optional<LookGroup> group;
    for (const LookProperty& property : lookProperties()) {
        if (group != property.group)
            song.parts.push_back(partOf(labelOf(property.group)));
        group = property.group;
        const QString line = Said::tr("%1: %2", "a property and its value: Size: 64 px")
                                 .arg(property.label(), property.text(property.get(record.theme.look)));
        song.parts.back().lines.push_back({line, {}, false, {}, {}});
    }
    return song;
}

template <>
QString Comparing<ThemeRecord>::captionOf(const ThemeRecord& version, const ThemeRecord& now) {
    return version.theme == now.theme ? sameText() : Said::tr("Now");
}

} // namespace mivanta
