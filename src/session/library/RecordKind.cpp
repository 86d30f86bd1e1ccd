// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/RecordKind.h"
#include "core/base/Said.h"
#include "core/song/PartEdits.h"
#include "formats/SongJson.h"
#include "formats/TextJson.h"
#include "formats/ThemeJson.h"

namespace mivanta {

Song RecordKind<Song>::tidy(Song song) {
    return tidied(std::move(song));
}

QJsonObject RecordKind<Song>::toJson(const Song& song) {
    return songToJson(song);
}

Result<Song> RecordKind<Song>::fromJson(const QJsonObject& json, const QString& where) {
    return songFromJson(json, where);
}

Error RecordKind<Song>::untitled() {
    return {Said::tr("A song needs a title"), {}, Said::tr("Give it one under Details.")};
}

QString RecordKind<Song>::recovered(const QString& title) {
    return Said::tr(
               "\u201c%1\u201d was being edited and not saved last time. It is on the Library desk as it "
               "was left.")
        .arg(title);
}

SpokenText RecordKind<SpokenText>::tidy(SpokenText text) {
    text.title = text.title.trimmed();
    return text;
}

QJsonObject RecordKind<SpokenText>::toJson(const SpokenText& text) {
    return textToJson(text);
}

Result<SpokenText> RecordKind<SpokenText>::fromJson(const QJsonObject& json, const QString& where) {
    return textFromJson(json, where);
}

Error RecordKind<SpokenText>::untitled() {
    return {Said::tr("A text needs a title"), {}, Said::tr("Give it one at the top.")};
}

QString RecordKind<SpokenText>::recovered(const QString& title) {
    return Said::tr("\u201c%1\u201d was being written and not saved last time. It is in the Library, under "
                    "Texts, as it was left.")
        .arg(title);
}

ThemeRecord RecordKind<ThemeRecord>::tidy(ThemeRecord record) {
    record.theme.name = record.theme.name.trimmed();
    return record;
}

QJsonObject RecordKind<ThemeRecord>::toJson(const ThemeRecord& record) {
    QJsonObject json = themeToJson(record.theme);
    json.insert(QStringLiteral("revision"), record.revision);
    return json;
}

Result<ThemeRecord> RecordKind<ThemeRecord>::fromJson(const QJsonObject& json, const QString& where) {
    auto theme = themeFromJson(json, where);
    if (!theme)
        return tl::unexpected(theme.error());
    return ThemeRecord{std::move(*theme), json[QLatin1String("revision")].toInt()};
}

Error RecordKind<ThemeRecord>::untitled() {
    return {Said::tr("A theme needs a name"), {}, Said::tr("Give it one at the top.")};
}

QString RecordKind<ThemeRecord>::recovered(const QString& title) {
    return Said::tr(
               "The theme \u201c%1\u201d was being designed and not saved last time. It is in the Library, "
               "under Themes, as it was left.")
        .arg(title);
}

} // namespace mivanta
