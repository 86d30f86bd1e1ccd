// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include "core/base/Result.h"
#include "core/media/Medium.h"
#include <vector>

namespace mivanta {

class Database;

/// A service that uses a medium, as it was saved last.
struct MediumUse {
    ServiceId service;
    QString serviceTitle;
    QDateTime at;
    friend bool operator==(const MediumUse&, const MediumUse&) = default;
};

/// What is known of the media of a library; their files are MediaFiles' matter. Synchronous; used on the
/// thread that opened the database.
class MediaCatalogue {
public:
    MediaCatalogue(Database& database, QString folder) : m_database(database), m_folder(std::move(folder)) {}

    /// Those that are not in the bin, the last one that came first. What is neither picture nor film nor
    /// sound by its name is left out.
    [[nodiscard]] Result<std::vector<Medium>> all();
    [[nodiscard]] Result<std::vector<Medium>> bin();
    /// Nothing when the library has none of that name, or has it in the bin.
    [[nodiscard]] Result<std::optional<Medium>> medium(const QString& name);

    /// What a look at its file found.
    [[nodiscard]] Result<void> describe(const QString& name, const MediumFacts& facts);
    /// It cannot be shown or heard.
    [[nodiscard]] Result<void> describe(const QString& name, const QString& problem);
    /// How loud it is; nothing = that cannot be measured.
    [[nodiscard]] Result<void> describe(const QString& name, const std::optional<Loudness>& loudness);
    /// One with sound that nobody has measured yet; empty = there is none.
    [[nodiscard]] Result<QString> nextToMeasure();
    /// What a person may change: title, caption, the part that is played, the correction of its loudness, the
    /// star.
    [[nodiscard]] Result<void> change(const Medium& medium);

    /// A service was saved that uses these and no others.
    [[nodiscard]] Result<void> noteUses(const ServiceId& service, const QString& title,
                                        const QStringList& names, const QDateTime& at);
    /// The last one first.
    [[nodiscard]] Result<std::vector<MediumUse>> uses(const QString& name);

    [[nodiscard]] Result<void> putInBin(const QStringList& names);
    [[nodiscard]] Result<void> takeFromBin(const QStringList& names);
    /// Removes what is in the bin with its files, for good. Returns how many that were.
    [[nodiscard]] Result<int> emptyBin();

private:
    [[nodiscard]] Result<std::vector<Medium>> selected(const QString& where, const QVariantList& values = {});
    [[nodiscard]] Result<void> each(const QString& sql, const QStringList& names, const QVariantList& before);

    Database& m_database;
    QString m_folder;
};

} // namespace mivanta
