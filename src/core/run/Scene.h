// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemContent.h"
#include "core/run/Cue.h"
#include "core/theme/FilmPlay.h"
#include "core/theme/Theme.h"
#include <QSize>
#include <vector>

namespace mivanta {

/// What covers the outputs.
enum class Curtain {
    Open,      ///< everything is seen
    Plain,     ///< the words on a plain ground
    WordsOff,  ///< the backdrop only
    HouseCard, ///< the house's card in place of everything
    Black,     ///< nothing
};

struct SceneRow {
    QString text;
    std::vector<ChordMark> chords;     ///< positions in `text`
    std::vector<Emphasis> emphasis;    ///< places in `text`
    std::vector<NumberSpan> numbers{}; ///< verse numbers, places in `text`
    std::optional<Colour> colour{};    ///< of the role that says it; nothing = the words' own
    std::vector<SceneRow> beside{};    ///< empty, or one: what stands in the second column
    bool startsLine = true;            ///< false = goes on with the line of the row before
    friend bool operator==(const SceneRow&, const SceneRow&) = default;
};

/// Where a picture comes from. It is told to people and makes no other picture, so that any two are equal.
struct SceneOrigin {
    ServiceId service; ///< null = none, as for the black before the first take
    QString serviceTitle;
    std::optional<Cue> cue;          ///< nothing = nothing was taken
    Curtain curtain = Curtain::Open; ///< over it
    bool isFrozen = false;
    friend bool operator==(const SceneOrigin&, const SceneOrigin&) { return true; }
};

/// How a scene comes: as its transition says, or without one.
enum class Arrival { Turning, Cut };

/// A complete, self-contained description of one output's picture. Equal scenes are equal pictures.
struct Scene {
    QString output;
    QSize size; ///< px
    Look look;
    int fontSize = 0; ///< px on this picture
    std::vector<SceneRow> rows;
    bool roomForChords = false; ///< rows are set apart so that chords stand above them
    QString credit;
    QString besideWords; ///< the reference, under the words
    QString stageNote;   ///< for the musicians, at the top
    Curtain curtain =
        Curtain::Open;           ///< Open, WordsOff or Black: the others change the scene (core/run/Covers)
    QString callOut{};           ///< over the foot of everything but black
    Colour ground{0, 0, 0, 255}; ///< behind what is see-through, and what is seen under a black curtain
    bool isTestCard = false;     ///< a card to set the output's screen up with, in place of everything
    std::vector<Scene> elsewhere{};   ///< pictures of other outputs that objects of the kind Screen show
    std::optional<FilmPlay> film{};   ///< what moves where the backdrop of the kind Film stands
    std::optional<FilmPlay> unseen{}; ///< a film that goes on under a curtain; makes no other picture
    SceneOrigin origin{};
    friend bool operator==(const Scene&, const Scene&) = default;
};

/// All that move on it.
[[nodiscard]] std::vector<FilmPlay> filmsOn(const Scene& scene);
/// The objects among them, from the lowest one on; none while nothing of it is seen.
[[nodiscard]] std::vector<SlideObject> movingObjectsOn(const Scene& scene);

} // namespace mivanta
