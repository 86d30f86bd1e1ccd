// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// The parts of a song as one text that people write:
///
///     # Verse 1
///     > softly                     a comment for the musicians
///     When the [G]harbour bell
///     ---                          a slide break
///     there's a *lantern*          emphasis: *italic*, __bold__ or **bold**
///     # Intro (band only)
///
/// A "\" before a sign takes it as it is.
[[nodiscard]] QString wholeText(const std::vector<Part>& parts);

/// Reads such a text. Parts that are still recognisable keep their ids: by heading first, then by words.
/// Lines before the first heading are a verse. Never fails: what is no mark is words.
[[nodiscard]] std::vector<Part> readWholeText(const QString& text, const std::vector<Part>& before);

/// One line of such a text: words, chords in brackets, emphasis. With `chordsOnly`, brackets that hold no
/// chord stay words.
[[nodiscard]] Line readMarkedLine(const QString& text, bool chordsOnly = false);

} // namespace mivanta
