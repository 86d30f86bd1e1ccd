// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/MediaCatalogue.h"
#include "core/base/Clock.h"
#include "core/base/MediaName.h"
#include "store/Database.h"
#include <QFile>
#include <QFileInfo>
#include <cmath>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QDateTime timeOf(const Row& row, int column) {
    const qint64 ms = row.number(column);
    return ms > 0 ? QDateTime::fromMSecsSinceEpoch(ms) : QDateTime();
}

qint64 milliseconds(double seconds) {
    return std::llround(seconds * 1000);
}

/// Titles are what files were called until somebody changes them.
QString withoutSuffix(const QString& title, const QString& name) {
    const QString suffix = u'.' + QFileInfo(name).suffix();
    return title.size() > suffix.size() && title.endsWith(suffix, Qt::CaseInsensitive)
               ? title.chopped(suffix.size())
               : title;
}

Medium mediumOf(const Row& row) {
    Medium medium;
    medium.name = row.text(0);
    medium.title = withoutSuffix(row.text(1), medium.name);
    medium.caption = row.text(2);
    medium.kind = mediumKindOf(medium.name).value_or(MediumKind::Picture);
    medium.bytes = row.number(3);
    medium.problem = row.text(9);
    if (row.number(4) > 0 && medium.problem.isEmpty())
        medium.facts = MediumFacts{
            {int(row.number(5)), int(row.number(6))}, double(row.number(7)) / 1000, row.number(8) != 0};
    medium.from = double(row.number(10)) / 1000;
    medium.to = double(row.number(11)) / 1000;
    medium.isStarred = row.number(12) != 0;
    medium.addedAt = timeOf(row, 13);
    medium.usedAt = timeOf(row, 14);
    if (!row.isNull(15))
        medium.loudness = Loudness{row.real(15), row.real(16)};
    medium.correction = row.real(17);
    return medium;
}

} // namespace

Result<std::vector<Medium>> MediaCatalogue::selected(const QString& where, const QVariantList& values) {
    auto found = m_database.all(
        u"SELECT name, title, caption, bytes, looked_at, width, height, ms, has_sound, problem, from_ms, "
        u"to_ms,"
        " is_starred, added_at, (SELECT max(at) FROM medium_use u WHERE u.name = medium.name), lufs, peak,"
        " correction FROM medium "_s +
            where,
        values, mediumOf);
    if (found)
        std::erase_if(*found, [](const Medium& medium) { return !mediumKindOf(medium.name); });
    return found;
}

Result<std::vector<Medium>> MediaCatalogue::all() {
    return selected(u"WHERE deleted_at IS NULL ORDER BY added_at DESC, name"_s); // for machines
}

Result<std::vector<Medium>> MediaCatalogue::bin() {
    return selected(u"WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC, name"_s); // for machines
}

Result<std::optional<Medium>> MediaCatalogue::medium(const QString& name) {
    auto found = selected(u"WHERE deleted_at IS NULL AND name = ?"_s, {name}); // for machines
    if (!found)
        return tl::unexpected(found.error());
    return found->empty() ? std::nullopt : std::optional(std::move(found->front()));
}

Result<void> MediaCatalogue::describe(const QString& name, const MediumFacts& facts) {
    const qint64 bytes = QFileInfo(mediaPath(m_folder, name)).size();
    return m_database.change(u"UPDATE medium SET looked_at = ?, bytes = ?, width = ?, height = ?, ms = ?,"
                             " has_sound = ?, problem = '' WHERE name = ?"_s,
                             {Clock::the().now().toMSecsSinceEpoch(), bytes, facts.size.width(),
                              facts.size.height(), milliseconds(facts.seconds), facts.hasSound ? 1 : 0,
                              name});
}

Result<void> MediaCatalogue::describe(const QString& name, const QString& problem) {
    return m_database.change(u"UPDATE medium SET looked_at = ?, problem = ? WHERE name = ?"_s,
                             {Clock::the().now().toMSecsSinceEpoch(), problem, name});
}

Result<void> MediaCatalogue::describe(const QString& name, const std::optional<Loudness>& loudness) {
    return m_database.change(u"UPDATE medium SET measured_at = ?, lufs = ?, peak = ? WHERE name = ?"_s,
                             {Clock::the().now().toMSecsSinceEpoch(),
                              loudness ? QVariant(loudness->lufs) : QVariant(),
                              loudness ? QVariant(loudness->peak) : QVariant(), name});
}

Result<QString> MediaCatalogue::nextToMeasure() {
    const auto next =
        m_database.first(u"SELECT name FROM medium WHERE has_sound = 1 AND measured_at IS NULL AND"
                         " deleted_at IS NULL ORDER BY added_at DESC LIMIT 1"_s,
                         {}, [](const Row& row) { return row.text(0); });
    return next ? Result<QString>(next->value_or(QString())) : tl::unexpected(next.error());
}

Result<void> MediaCatalogue::change(const Medium& medium) {
    return m_database.change(
        u"UPDATE medium SET title = ?, caption = ?, from_ms = ?, to_ms = ?, correction = ?,"
        " is_starred = ? WHERE name = ?"_s,
        {medium.title, medium.caption, milliseconds(medium.from), milliseconds(medium.to), medium.correction,
         medium.isStarred ? 1 : 0, medium.name});
}

Result<void> MediaCatalogue::each(const QString& sql, const QStringList& names, const QVariantList& before) {
    return m_database.transaction([&]() -> Result<void> {
        for (const QString& name : names)
            if (auto done = m_database.change(sql, before + QVariantList{name}); !done)
                return done;
        return {};
    });
}

Result<void> MediaCatalogue::noteUses(const ServiceId& service, const QString& title,
                                      const QStringList& names, const QDateTime& at) {
    return m_database.transaction([&]() -> Result<void> {
        if (auto gone = m_database.change(u"DELETE FROM medium_use WHERE service = ?"_s, {service.text()});
            !gone)
            return gone;
        return each(
            u"INSERT OR REPLACE INTO medium_use(service, service_title, at, name) VALUES (?, ?, ?, ?)"_s,
            names, {service.text(), title, at.toMSecsSinceEpoch()});
    });
}

Result<std::vector<MediumUse>> MediaCatalogue::uses(const QString& name) {
    return m_database.all(
        u"SELECT service, service_title, at FROM medium_use WHERE name = ? ORDER BY at DESC"_s, {name},
        [](const Row& row) {
            return MediumUse{ServiceId::fromText(row.text(0)), row.text(1), timeOf(row, 2)};
        });
}

Result<void> MediaCatalogue::putInBin(const QStringList& names) {
    return each(u"UPDATE medium SET deleted_at = ? WHERE name = ?"_s, names,
                {Clock::the().now().toMSecsSinceEpoch()});
}

Result<void> MediaCatalogue::takeFromBin(const QStringList& names) {
    return each(u"UPDATE medium SET deleted_at = NULL WHERE name = ?"_s, names, {});
}

Result<int> MediaCatalogue::emptyBin() {
    auto all = m_database.all(u"SELECT name FROM medium WHERE deleted_at IS NOT NULL"_s, {},
                              [](const Row& row) { return row.text(0); });
    if (!all)
        return tl::unexpected(all.error());
    const QStringList gone(all->begin(), all->end());
    // The files last: one that is left behind costs room, one that is missed costs a Sunday.
    if (auto done = each(u"DELETE FROM medium WHERE name = ?"_s, gone, {}); !done)
        return tl::unexpected(done.error());
    for (const QString& name : gone)
        if (const QString path = mediaPath(m_folder, name); !path.isEmpty())
            QFile::remove(path);
    return int(gone.size());
}

} // namespace mivanta
