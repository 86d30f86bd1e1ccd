// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QDateTime>
#include <functional>
#include <vector>

namespace mivanta {

class Database;

/// A picture, a film or a sound of the library.
struct StoredMedium {
    QString name;  ///< of its file in the media folder: its content's SHA-256 and its suffix
    QString title; ///< what its file was called
    friend bool operator==(const StoredMedium&, const StoredMedium&) = default;
};

/// The files in a library's media folder, named by what is in them, so that none is there twice.
/// Synchronous; used on the thread that opened the database.
class MediaFiles {
public:
    MediaFiles(Database& database, QString folder);

    /// Copies a file into the library, piece by piece. That it is a medium has been seen to. `goOn` is asked
    /// now and then; false ends it, and nothing was changed.
    [[nodiscard]] Result<StoredMedium> bringIn(const QString& path, const std::function<bool()>& goOn = {});
    /// The same for bytes, such as those of a picture that was pasted.
    [[nodiscard]] Result<StoredMedium> bringIn(const QByteArray& bytes, const QString& title);
    /// Takes over a file of the same disk whose name says its content, as pathOf() wants it.
    [[nodiscard]] Result<void> moveIn(const QString& path, const QString& name, const QString& title);
    /// The last one first.
    [[nodiscard]] Result<std::vector<StoredMedium>> all();
    [[nodiscard]] QString pathOf(const QString& name) const;
    [[nodiscard]] const QString& folder() const { return m_folder; }

private:
    [[nodiscard]] Result<StoredMedium> stored(const StoredMedium& medium,
                                              const std::function<Result<void>(const QString& to)>& write);
    [[nodiscard]] Result<void> note(const StoredMedium& medium);
    Database& m_database;
    QString m_folder;
};

} // namespace mivanta
