// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/WordsEdit.h"

namespace mivanta {

// What the editor does to whole parts. Indexes are into Song::parts; one out of range changes nothing.
// Numbers: verses always have one, other kinds when there are several. Orders follow by identity.

/// A new, empty part before the index (the number of parts = at the end), numbered after those before it.
/// Returns its index.
int addPart(Song& song, int before, PartKind kind, const QString& name = {});
/// Takes the part and every entry of it in the orders away; numbers behind it close up.
void removePart(Song& song, int index);
void duplicatePart(Song& song, int index);
/// Moves a part to where `before` is now. Numbers stay with their words.
void movePart(Song& song, int index, int before);
/// What stands from the place on becomes a part of the same kind, sung right behind the first.
void splitPart(Song& song, const WordsPlace& place);
/// Joins the next part to this one. Where both were sung one after the other, the joined one is sung once.
void mergeWithNext(Song& song, int index);
/// `name` is for PartKind::Other. A kind that is usually the band's becomes band only, and back.
void setPartKind(Song& song, int index, PartKind kind, const QString& name = {});

/// Gives the song these parts; entries of its orders that name a part which is gone are taken out.
void takeParts(Song& song, std::vector<Part> parts);

/// The other order of this index becomes the usual one, which takes its place.
void useOtherOrder(Song& song, int index);

/// True for kinds that are played more often than sung (Intro, Interlude).
[[nodiscard]] bool isUsuallyBandOnly(PartKind kind);

/// What a part is when nobody says: the band's when it has chords and no words, or, empty, by its kind.
[[nodiscard]] bool isBandOnlyByDefault(const Part& part);

/// A song ready to be stored: no stray white space, empty lines turned into slide breaks, empty details left
/// out; a comment before a part's first line is the part's.
[[nodiscard]] Song tidied(Song song);
/// One line without white space at its ends or doubled, chords and emphasis with their letters.
[[nodiscard]] Line tidied(const Line& line);

} // namespace mivanta
