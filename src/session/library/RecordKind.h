// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"
#include <QJsonObject>

namespace mivanta {

/// What is particular to songs, texts and themes among the records of the library; everything else of editing
/// one is RecordDraft and RecordEditing. The functions that take a library are for its thread.
template <typename T>
struct RecordKind;

template <>
struct RecordKind<Song> {
    using Id = SongId;
    static constexpr LibraryPart part = LibraryPart::Songs;
    static QString unsavedName() { return QStringLiteral("song"); }
    static Id idOf(const Song& song) { return song.id; }
    static QString titleOf(const Song& song) { return song.title; }
    static void setId(Song& song, const Id& id) { song.id = id; }
    static bool isSame(const Song& a, const Song& b) { return sameContent(a, b); }
    static Song tidy(Song song);
    static QJsonObject toJson(const Song& song);
    static Result<Song> fromJson(const QJsonObject& json, const QString& where);
    static Result<Song> load(Library& library, const Id& id) { return library.song(id); }
    static Result<Song> save(Library& library, const Song& song) { return library.save(song); }
    static Result<std::vector<RecordVersion>> versions(Library& library, const Id& id) {
        return library.versions(id);
    }
    static Result<Song> version(Library& library, const Id& id, int revision) {
        return library.version(id, revision);
    }
    static Result<void> putInBin(Library& library, const Id& id) { return library.putInBin({id}); }
    static Error untitled();
    static QString recovered(const QString& title); ///< what is said when it was found unsaved
};

/// What is the same of those that the library keeps in a store of their own.
template <typename T, typename IdOfIt, auto store>
struct StoredIn {
    using Id = IdOfIt;
    static Result<T> save(Library& library, const T& record) { return (library.*store)().save(record); }
    static Result<std::vector<RecordVersion>> versions(Library& library, const Id& id) {
        return (library.*store)().versions(id);
    }
    static Result<T> version(Library& library, const Id& id, int revision) {
        return (library.*store)().version(id, revision);
    }
    static Result<void> putInBin(Library& library, const Id& id) { return (library.*store)().putInBin(id); }
};

template <>
struct RecordKind<SpokenText> : StoredIn<SpokenText, TextId, &Library::texts> {
    static constexpr LibraryPart part = LibraryPart::Texts;
    static QString unsavedName() { return QStringLiteral("text"); }
    static Id idOf(const SpokenText& text) { return text.id; }
    static QString titleOf(const SpokenText& text) { return text.title; }
    static void setId(SpokenText& text, const Id& id) { text.id = id; }
    static bool isSame(const SpokenText& a, const SpokenText& b) { return sameContent(a, b); }
    static SpokenText tidy(SpokenText text);
    static QJsonObject toJson(const SpokenText& text);
    static Result<SpokenText> fromJson(const QJsonObject& json, const QString& where);
    static Result<SpokenText> load(Library& library, const Id& id) { return library.texts().text(id); }
    static Error untitled();
    static QString recovered(const QString& title);
};

template <>
struct RecordKind<ThemeRecord> : StoredIn<ThemeRecord, QString, &Library::themes> {
    static constexpr LibraryPart part = LibraryPart::Themes;
    static QString unsavedName() { return QStringLiteral("theme"); }
    static Id idOf(const ThemeRecord& record) { return record.theme.id; }
    static QString titleOf(const ThemeRecord& record) { return record.theme.name; }
    static void setId(ThemeRecord& record, const Id& id) { record.theme.id = id; }
    static bool isSame(const ThemeRecord& a, const ThemeRecord& b) { return a.theme == b.theme; }
    static ThemeRecord tidy(ThemeRecord record);
    static QJsonObject toJson(const ThemeRecord& record);
    static Result<ThemeRecord> fromJson(const QJsonObject& json, const QString& where);
    static Result<ThemeRecord> load(Library& library, const Id& id) { return library.themes().theme(id); }
    static Error untitled();
    static QString recovered(const QString& title);
};

} // namespace mivanta
