// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Themes.h"
#include "core/base/Fold.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "formats/ThemeFile.h"
#include "formats/ThemeJson.h"
#include "store/Database.h"
#include "store/MediaFiles.h"
#include "store/SafeFiles.h"
#include <QDateTime>
#include <QFile>
#include <QJsonDocument>
#include <QTemporaryFile>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString contentOf(const Theme& theme) {
    return QString::fromUtf8(QJsonDocument(themeToJson(theme)).toJson(QJsonDocument::Compact));
}

QString keyOf(const QString& name) {
    return foldedForSearch(name).trimmed();
}

} // namespace

Themes::Themes(Database& database)
    : m_database(database),
      m_table(database, {u"theme"_s, u"theme_version"_s, u"theme"_s}) {}

Result<void> Themes::putInShipped(const std::vector<Theme>& shipped) {
    return m_database.transaction([&]() -> Result<void> {
        for (const Theme& theme : shipped)
            if (auto done = m_database.change(
                    u"INSERT INTO theme(id, changed_at, name, name_key, content, shipped_content)"
                    " SELECT ?, ?, ?, ?, ?, ? WHERE NOT EXISTS (SELECT 1 FROM theme_gone WHERE id = ?)"
                    " ON CONFLICT(id) DO UPDATE SET name = excluded.name, name_key = excluded.name_key,"
                    " content = excluded.content, shipped_content = excluded.content,"
                    " revision = revision + 1"
                    " WHERE content = shipped_content AND content <> excluded.content"_s,
                    {theme.id, QDateTime::currentMSecsSinceEpoch(), theme.name, keyOf(theme.name),
                     contentOf(theme), contentOf(theme), theme.id});
                !done)
                return done;
        return {};
    });
}

Result<std::vector<Theme>> Themes::themes(const QString& condition) {
    const auto contents =
        m_database.all(u"SELECT content FROM theme WHERE "_s + condition + u" ORDER BY name_key, id"_s, {},
                       [](const Row& row) { return row.text(0); });
    if (!contents)
        return tl::unexpected(contents.error());
    std::vector<Theme> result;
    for (const QString& content : *contents) {
        auto theme = themeFromJson(QJsonDocument::fromJson(content.toUtf8()).object(), m_database.path());
        if (!theme)
            return tl::unexpected(theme.error());
        result.push_back(std::move(*theme));
    }
    return result;
}

Result<std::vector<Theme>> Themes::all() {
    return themes(u"deleted_at IS NULL"_s);
}

Result<std::vector<Theme>> Themes::bin() {
    return themes(u"deleted_at IS NOT NULL"_s);
}

Result<int> Themes::emptyBin() {
    Result<int> gone = 0;
    auto done = m_database.transaction([&]() -> Result<void> {
        auto noted = m_database.change(u"INSERT OR IGNORE INTO theme_gone SELECT id FROM theme"
                                       " WHERE deleted_at IS NOT NULL AND shipped_content IS NOT NULL"_s);
        if (!noted)
            return noted;
        gone = m_table.emptyBin();
        return gone.map([](int) {});
    });
    if (!done)
        return tl::unexpected(done.error());
    return gone;
}

Result<ThemeRecord> Themes::recordOf(const Result<std::optional<QJsonObject>>& content, int revision) const {
    if (!content)
        return tl::unexpected(content.error());
    if (!*content)
        return failure(Said::tr("the theme is not in the library any more"), m_database.path());
    auto theme = themeFromJson(**content, m_database.path());
    if (!theme)
        return tl::unexpected(theme.error());
    return ThemeRecord{std::move(*theme), revision};
}

Result<ThemeRecord> Themes::theme(const QString& id) {
    const auto revision = m_table.revision(id);
    if (!revision)
        return tl::unexpected(revision.error());
    return recordOf(m_table.content(id), *revision);
}

Result<std::vector<RecordVersion>> Themes::versions(const QString& id) {
    return m_table.versions(id);
}

Result<ThemeRecord> Themes::version(const QString& id, int revision) {
    return recordOf(m_table.version(id, revision), revision);
}

Result<ThemeRecord> Themes::save(ThemeRecord record) {
    const Theme& theme = record.theme;
    if (theme.name.trimmed().isEmpty() || theme.id.isEmpty())
        return failure(Said::tr("a theme needs a name"), {}, Said::tr("Give it one."));
    auto done = m_database.transaction([&]() -> Result<void> {
        const auto other = m_database.first(
            u"SELECT name FROM theme WHERE name_key = ? AND id <> ? AND deleted_at IS NULL"_s,
            {keyOf(theme.name), theme.id}, [](const Row& row) { return row.text(0); });
        if (!other)
            return tl::unexpected(other.error());
        if (*other)
            return failure(Said::tr("there is another theme named \"%1\"").arg(**other), {},
                           Said::tr("Give this one another name."));
        if (record.revision == 0) { // one of its name in the bin becomes its earlier version
            const auto binned =
                m_database.first(u"SELECT revision FROM theme WHERE id = ? AND deleted_at IS NOT NULL"_s,
                                 {theme.id}, [](const Row& row) { return int(row.number(0)); });
            if (!binned)
                return tl::unexpected(binned.error());
            record.revision = binned->value_or(0);
        }
        const auto how = m_table.mayWrite(theme.id, record.revision, theme.name);
        if (!how)
            return tl::unexpected(how.error());
        if (*how == RecordWrite::Over)
            if (auto kept = m_table.keepVersion(theme.id); !kept)
                return kept;
        return m_database.change(
            u"INSERT INTO theme(id, revision, changed_at, name, name_key, content)"
            " VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT(id) DO UPDATE SET"
            " revision = excluded.revision, changed_at = excluded.changed_at, name = excluded.name,"
            " name_key = excluded.name_key, content = excluded.content,"
            " deleted_at = NULL"_s,
            {theme.id, ++record.revision, QDateTime::currentMSecsSinceEpoch(), theme.name, keyOf(theme.name),
             contentOf(theme)});
    });
    if (!done)
        return tl::unexpected(done.error());
    return record;
}

Result<void> Themes::put(const Theme& theme) {
    return m_database.transaction([&]() -> Result<void> {
        const auto revision = m_table.revision(theme.id);
        if (!revision)
            return tl::unexpected(revision.error());
        return save({theme, *revision}).map([](const ThemeRecord&) {});
    });
}

Result<void> Themes::putInBin(const QString& id) {
    return m_table.putInBin(id);
}

Result<void> Themes::takeFromBin(const QString& id) {
    return m_table.takeFromBin(id);
}

Result<ThemeUses> Themes::usesOf(const QString& id) {
    const auto titles = m_database.all(u"SELECT title FROM song WHERE deleted_at IS NULL"
                                       " AND json_extract(content, '$.theme') = ? ORDER BY title_key"_s,
                                       {id}, [](const Row& row) { return row.text(0); });
    if (!titles)
        return tl::unexpected(titles.error());
    ThemeUses uses;
    uses.songs = QStringList(titles->begin(), titles->end());
    return uses;
}

Result<QString> Themes::usual() {
    const auto id = m_database.first(u"SELECT id FROM theme WHERE is_usual AND deleted_at IS NULL"_s, {},
                                     [](const Row& row) { return row.text(0); });
    if (!id)
        return tl::unexpected(id.error());
    return id->value_or(QString());
}

Result<void> Themes::makeUsual(const QString& id) {
    return m_database.change(u"UPDATE theme SET is_usual = (id = ?)"_s, {id});
}

namespace {

/// What a theme file holds beside words is a picture before it is anything of the library's.
Result<void> checkPictures(const ThemeFile& file, const PictureCheck& check, const QString& where) {
    for (auto picture = file.pictures.begin(); picture != file.pictures.end(); ++picture) {
        QTemporaryFile copy;
        if (!copy.open() || copy.write(picture.value()) != picture.value().size() || !copy.flush())
            return failure(Said::tr("a picture could not be looked at: %1").arg(copy.errorString()), where,
                           Said::tr("Check the free space."));
        if (auto fine = check(copy.fileName()); !fine)
            return failure(Said::tr("one of its pictures is none: %1").arg(fine.error().what), where,
                           Said::tr("Use another copy of the theme."));
    }
    return {};
}

} // namespace

Result<Theme> Themes::bringIn(const QString& path, MediaFiles& pictures, const PictureCheck& check) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(file.errorString(), path, Said::tr("Choose another file."));
    auto read = readThemeFile(file, path);
    if (!read)
        return tl::unexpected(read.error());
    auto own = all();
    if (!own)
        return tl::unexpected(own.error());
    Theme& theme = read->theme;
    if (const Theme* known = themeOf(theme.id, *own); known && *known == theme)
        return theme;
    if (auto fine = checkPictures(*read, check, path); !fine)
        return tl::unexpected(fine.error());
    for (auto picture = read->pictures.begin(); picture != read->pictures.end(); ++picture) {
        const auto stored = pictures.bringIn(picture.value(), picture.key());
        if (!stored)
            return tl::unexpected(stored.error());
        renameMedium(theme.look, picture.key(), stored->name);
    }
    const auto isTaken = [&](const QString& name) {
        return std::any_of(own->begin(), own->end(),
                           [&](const Theme& t) { return keyOf(t.name) == keyOf(name); });
    };
    const QString name = theme.name;
    for (int number = 2; isTaken(theme.name); ++number)
        theme.name = u"%1 %2"_s.arg(name).arg(number);
    if (themeOf(theme.id, *own))
        theme.id = newThemeId(theme.name, *own);
    if (auto saved = put(theme); !saved)
        return tl::unexpected(saved.error());
    return theme;
}

Result<void> Themes::sendOut(const Theme& theme, const QString& path, const MediaFiles& pictures) {
    ThemeFile file{theme, {}};
    for (const QString& name : mediaOf(theme.look)) {
        QFile picture(mediaPath(pictures.folder(), name));
        if (!picture.open(QIODevice::ReadOnly))
            return failure(Said::tr("a picture of the theme is missing"), picture.fileName(),
                           Said::tr("Choose another picture for the theme first."));
        file.pictures.insert(name, picture.readAll());
    }
    const auto bytes = themeFileBytes(file);
    return bytes ? writeSafely(path, *bytes) : Result<void>(tl::unexpected(bytes.error()));
}

} // namespace mivanta
