// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/theme/Theme.h"
#include "store/RecordTable.h"
#include <QStringList>
#include <functional>

namespace mivanta {

class Database;
class MediaFiles;

/// What in the library names a theme.
struct ThemeUses {
    QStringList songs; ///< titles of those that usually have it
};

/// Fails when a file is no picture that can be shown (media/PictureProxies has one).
using PictureCheck = std::function<Result<void>(const QString& path)>;

/// A theme with its place in the library.
struct ThemeRecord {
    Theme theme;
    int revision = 0; ///< 0 = not in the library yet; grows by one with every saved change
};

/// The themes in a library. Those that ship with the program are put into every library once; from then on
/// they are themes like others. Synchronous; used on the thread that opened the database.
class Themes {
public:
    explicit Themes(Database& database);

    /// Puts in the shipped ones that this library has never had, and brings those up to date that nobody
    /// changed.
    [[nodiscard]] Result<void> putInShipped(const std::vector<Theme>& shipped);

    /// By name.
    [[nodiscard]] Result<std::vector<Theme>> all();
    [[nodiscard]] Result<ThemeRecord> theme(const QString& id);
    /// As Library::save() does for songs. A name that another theme has is refused.
    [[nodiscard]] Result<ThemeRecord> save(ThemeRecord record);
    /// Stores it in the place of whatever has its id.
    [[nodiscard]] Result<void> put(const Theme& theme);
    [[nodiscard]] Result<std::vector<RecordVersion>> versions(const QString& id);
    [[nodiscard]] Result<ThemeRecord> version(const QString& id, int revision);
    [[nodiscard]] Result<void> putInBin(const QString& id);
    [[nodiscard]] Result<void> takeFromBin(const QString& id);
    [[nodiscard]] Result<std::vector<Theme>> bin();
    /// Shipped ones do not come again, either.
    [[nodiscard]] Result<int> emptyBin();
    [[nodiscard]] Result<ThemeUses> usesOf(const QString& id);

    /// The theme of new services.
    [[nodiscard]] Result<QString> usual();
    [[nodiscard]] Result<void> makeUsual(const QString& id);

    /// Reads a theme file and stores the theme with its pictures: under its own name and id when the library
    /// has none of them, else beside the other one under new ones; the very same theme is not stored twice.
    [[nodiscard]] Result<Theme> bringIn(const QString& path, MediaFiles& pictures, const PictureCheck& check);
    /// Writes a theme with its pictures as one file.
    [[nodiscard]] Result<void> sendOut(const Theme& theme, const QString& path, const MediaFiles& pictures);

private:
    [[nodiscard]] Result<std::vector<Theme>> themes(const QString& condition);
    [[nodiscard]] Result<ThemeRecord> recordOf(const Result<std::optional<QJsonObject>>& content,
                                               int revision) const;

    Database& m_database;
    RecordTable m_table;
};

} // namespace mivanta
