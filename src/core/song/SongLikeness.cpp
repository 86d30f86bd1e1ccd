// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongLikeness.h"
#include "core/base/Fold.h"
#include <algorithm>

namespace mivanta {

namespace {

constexpr size_t kFewPairs = 12;

/// FNV-1a with a last mixing, so that equal words hash equally in every run.
quint64 hashOf(const QString& word, quint64 seed) {
    quint64 hash = 0xcbf29ce484222325ULL ^ seed;
    for (const QChar c : word) {
        hash ^= c.unicode();
        hash *= 0x100000001b3ULL;
    }
    hash ^= hash >> 29;
    return hash * 0xbf58476d1ce4e5b9ULL;
}

template <typename List, typename Value>
void join(List& list, const Value& value) {
    if (std::find(list.begin(), list.end(), value) == list.end())
        list.push_back(value);
}

/// Adds the text unless one of the list is the same when folded.
void joinText(QStringList& list, const QString& text, const QString& except = {}) {
    const QString key = foldedForSearch(text);
    const bool there = std::any_of(list.begin(), list.end(),
                                   [&](const QString& known) { return foldedForSearch(known) == key; });
    if (!there && !text.isEmpty() && key != foldedForSearch(except))
        list << text;
}

} // namespace

WordPairs wordPairs(const Song& song) {
    WordPairs pairs;
    quint64 last = 0;
    for (const Part& part : song.parts) {
        for (const Line& line : part.lines)
            for (const QString& word : searchWords(line.words)) {
                const quint64 hash = hashOf(word, 0);
                pairs.push_back(last == 0 ? hash : (last * 31) ^ hash);
                last = hash;
            }
        last = 0; // parts may stand in another order
    }
    std::sort(pairs.begin(), pairs.end());
    pairs.erase(std::unique(pairs.begin(), pairs.end()), pairs.end());
    return pairs;
}

double sharedWords(const WordPairs& a, const WordPairs& b) {
    if (a.empty() || b.empty())
        return 0;
    const auto& shorter = a.size() <= b.size() ? a : b;
    if (shorter.size() < kFewPairs)
        return a == b ? 1 : 0;
    WordPairs both;
    std::set_intersection(a.begin(), a.end(), b.begin(), b.end(), std::back_inserter(both));
    return double(both.size()) / double(shorter.size());
}

Song withDetailsOf(Song song, const Song& other) {
    joinText(song.otherTitles, other.title, song.title);
    for (const QString& title : other.otherTitles)
        joinText(song.otherTitles, title, song.title);
    for (const QString& topic : other.topics)
        joinText(song.topics, topic);
    for (const Author& author : other.authors)
        join(song.authors, author);
    for (const BookNumber& book : other.bookNumbers)
        join(song.bookNumbers, book);
    for (QString Song::*detail : {&Song::copyright, &Song::licenceNumber, &Song::key, &Song::timeSignature,
                                  &Song::language, &Song::usualTheme, &Song::backingTrack})
        if ((song.*detail).isEmpty())
            song.*detail = other.*detail;
    for (int Song::*detail : {&Song::tempo, &Song::capo})
        if (song.*detail == 0)
            song.*detail = other.*detail;
    if (!other.notes.isEmpty() && !song.notes.contains(other.notes))
        song.notes += (song.notes.isEmpty() ? QString() : QStringLiteral("\n")) + other.notes;
    return song;
}

} // namespace mivanta
