// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "store/Library.h"
#include <QFile>
#include <map>
#include <optional>
#include <set>

namespace mivanta::soak {

/// What a program that is killed leaves behind of what it did: a line before it begins something, and one
/// when it was told that it is done.
class Diary {
public:
    explicit Diary(const QString& path);
    void begin(const QString& key, const QByteArray& value);
    void done(const QString& key);
    void refused(const QString& key);
    /// The open service is this now.
    void state(const QByteArray& value);
    /// The open service is on the disk, as unsaved work at least.
    void kept();
    void ready();

private:
    void write(const QByteArray& line);
    QFile m_file;
};

/// What has to be there, by what the diaries say: of each thing what was done last, or what was begun then.
struct Model {
    struct Thing {
        std::optional<QByteArray> done; ///< empty = it need not be there
        std::set<QByteArray> begun;     ///< any of these may be true instead
    };
    std::map<QString, Thing> things;
    std::set<QByteArray> states; ///< any of these is the open service

    void read(const QString& diary);
    /// Takes up what is found; false when that cannot be.
    [[nodiscard]] bool settle(const QString& key, const std::optional<QByteArray>& found);
};

[[nodiscard]] QByteArray valueOf(const Song& song);
[[nodiscard]] QByteArray valueOf(const Service& service);

[[nodiscard]] QString songKey(const SongId& id);
[[nodiscard]] QString binKey(const SongId& id);
[[nodiscard]] QString fileKey(const QString& path);

} // namespace mivanta::soak
