// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/GuessedLengths.h"
#include "core/base/Cases.h"

namespace mivanta {

namespace {

constexpr qsizetype kMostGuesses = 2000; // some orders' worth

/// What the guess depends on; null when it is quickly guessed anew, or depends on more.
std::shared_ptr<const void> wordsOf(const Item& item) {
    using Words = std::shared_ptr<const void>;
    if (!(item.edits == SlideEdits()))
        return nullptr;
    return std::visit(Cases{[](const SongItem& song) { return Words(song.song); },
                            [](const PassageItem& passage) { return Words(passage.passage); },
                            [](const TextItem& text) { return Words(text.text); },
                            [](const auto&) { return Words(); }},
                      item.words);
}

} // namespace

int GuessedLengths::of(const Item& item, const Service& service) {
    const auto words = wordsOf(item);
    if (!words)
        return guessedSeconds(item, service);
    const auto known = m_guesses.constFind(words.get());
    if (known != m_guesses.constEnd())
        return known->seconds;
    if (m_guesses.size() >= kMostGuesses)
        m_guesses.clear();
    const int seconds = guessedSeconds(item, service);
    m_guesses.insert(words.get(), {words, seconds});
    return seconds;
}

} // namespace mivanta
