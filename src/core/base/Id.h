// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QHash>
#include <QUuid>

namespace mivanta {

/// A typed identity: a song's id cannot be passed where an item's is meant. A default one is null.
template <typename Tag>
class Id {
public:
    Id() = default;
    [[nodiscard]] static Id create() { return Id(QUuid::createUuid()); }
    /// Null when the text is not a UUID.
    [[nodiscard]] static Id fromText(const QString& text) { return Id(QUuid::fromString(text)); }
    /// The same id for the same number, for ids that only need to differ within one record.
    [[nodiscard]] static Id fromNumber(quint32 number) {
        return Id(QUuid(number, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1));
    }
    [[nodiscard]] QString text() const { return m_uuid.toString(QUuid::WithoutBraces); }
    [[nodiscard]] bool isNull() const { return m_uuid.isNull(); }
    friend bool operator==(const Id& a, const Id& b) { return a.m_uuid == b.m_uuid; }
    friend bool operator<(const Id& a, const Id& b) { return a.m_uuid < b.m_uuid; }
    friend size_t qHash(const Id& id, size_t seed = 0) { return qHash(id.m_uuid, seed); }

private:
    explicit Id(QUuid uuid) : m_uuid(uuid) {}
    QUuid m_uuid;
};

using SongId = Id<struct SongTag>;
using PartId = Id<struct PartTag>;
using ItemId = Id<struct ItemTag>;
using ServiceId = Id<struct ServiceTag>;
using TranslationId = Id<struct TranslationTag>;
using TextId = Id<struct TextTag>;
using RecordingId = Id<struct RecordingTag>;
using GroupId = Id<struct GroupTag>;

} // namespace mivanta
