// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Colour.h"
#include "core/theme/SlideObject.h"
#include <QPointF>
#include <QRectF>
#include <QString>
#include <optional>
#include <vector>

namespace mivanta {

enum class BackdropKind { None, Plain, Gradient, Picture, Film, Live };
enum class GradientShape { Linear, Radial };
/// How a picture meets a screen of another shape: it fills it and loses edges, is seen whole, or is
/// stretched.
enum class PictureFit { Fill, Whole, Stretch };
enum class VerticalAlign { Top, Middle, Bottom };
enum class Capitals { AsWritten, All, Small };
/// How the rows of a wrapped line are filled: all nearly alike, or each as full as it can be.
enum class RowFilling { Balanced, Full };
/// What a panel covers: nothing, the words as they came out, the whole words box, or a band across the
/// screen.
enum class PanelReach { None, Words, Box, Band };
enum class CreditWhen { Never, First, Last, Every };
enum class TransitionKind { Cut, Fade, FadeThrough, Push };
enum class Easing { Even, SlowStart, SlowEnd, SlowBoth };
/// The side that a pushed slide comes from.
enum class PushFrom { Right, Left, Top, Bottom };

/// The height of the picture, px, that the lengths of looks are made for; they scale with the picture's.
inline constexpr double kLookHeight = 1080;

struct GradientStop {
    double at = 0; ///< 0 to 1 along the gradient
    Colour colour;
    friend bool operator==(const GradientStop&, const GradientStop&) = default;
};

/// The longest film there may be, seconds.
inline constexpr double kLongestFilm = 86'400;

/// What is done to a picture without touching its file.
struct Treatment {
    int brightness = 0;      ///< -100 to 100
    int contrast = 0;        ///< -100 to 100
    int saturation = 0;      ///< -100 (grey) to 100
    Colour tint{0, 0, 0, 0}; ///< laid over it; its alpha is the strength
    double blur = 0;         ///< px on a picture 1080 px high
    int darkEdge = 0;        ///< 0 to 100: how dark the corners become
    friend bool operator==(const Treatment&, const Treatment&) = default;
};

struct Backdrop {
    BackdropKind kind = BackdropKind::Plain; ///< None = see-through
    Colour colour;                           ///< for Plain; behind what is seen whole
    GradientShape shape = GradientShape::Linear;
    std::vector<GradientStop> stops{{0, {}}, {1, {64, 64, 64, 255}}}; ///< by rising `at`; at least two
    double angle = 90; ///< of a linear gradient: degrees, 0 = left to right, 90 = top to bottom
    QString picture;   ///< a file of the library's media, as PictureName makes them; may be empty
    PictureFit fit = PictureFit::Fill; ///< of a picture, a film or a live input
    QPointF focus{0.5, 0.5}; ///< the place of the picture that stays in sight, in shares of its size
    QString film;            ///< a file of the library's media; may be empty
    double filmFrom = 0;     ///< seconds
    double filmTo = 0;       ///< seconds; 0 = its end
    QString live;            ///< the id of a live input of this computer; may be empty
    Treatment treatment;     ///< of a picture or a film; of a live input the tint and the dark edge

    /// It shows what was seen somewhere, so that its fit matters.
    [[nodiscard]] bool isSeen() const { return isMedium() || kind == BackdropKind::Live; }
    [[nodiscard]] bool isMedium() const {
        return kind == BackdropKind::Picture || kind == BackdropKind::Film;
    }
    /// It is a layer of its own, which is painted again and again.
    [[nodiscard]] bool moves() const { return kind == BackdropKind::Film || kind == BackdropKind::Live; }
    friend bool operator==(const Backdrop&, const Backdrop&) = default;
};

/// What lies between the words and the backdrop.
struct Panel {
    PanelReach reach = PanelReach::None;
    Colour colour{0, 0, 0, 150};
    double padding = 28;   ///< px on a picture 1080 px high, around the words
    double roundness = 18; ///< px on a picture 1080 px high
    double blur = 0;       ///< px on a picture 1080 px high, of what is behind it
    friend bool operator==(const Panel&, const Panel&) = default;
};

/// How words look. Lengths are px on a picture 1080 px high and scale with the picture's height.
struct WordsLook {
    QString family;
    int weight = 700;            ///< 100 to 900
    int size = 72;               ///< px, the size wanted
    int smallestSize = 40;       ///< px, never smaller
    double lineSpacing = 1.2;    ///< distance of baselines, in font sizes
    double paragraphSpacing = 0; ///< more room between two lines than between rows of one, in font sizes
    int linesAtMost = 6;         ///< rows on one slide
    RowFilling filling = RowFilling::Balanced;
    Capitals capitals = Capitals::AsWritten;
    QRectF box{0.08, 0.1, 0.84, 0.76}; ///< fractions of the picture
    HorizontalAlign horizontal = HorizontalAlign::Centre;
    VerticalAlign vertical = VerticalAlign::Middle;
    Colour colour{255, 255, 255, 255};
    std::optional<Colour> emphasisColour; ///< of words that stand out; nothing = the words' own
    double outlineWidth = 0;              ///< px outside the letter; 0 = none
    Colour outlineColour;
    double shadowOffset = 0;         ///< px to the right and down
    double shadowBlur = 0;           ///< px, radius
    Colour shadowColour{0, 0, 0, 0}; ///< see-through = no shadow
    Panel panel;
    Colour chordColour{255, 178, 36, 255};
    std::optional<Colour> numberColour; ///< of verse numbers and roles; nothing = the words', fainter
    friend bool operator==(const WordsLook&, const WordsLook&) = default;
};

struct CreditLook {
    CreditWhen when = CreditWhen::Last;
    QString fields; ///< a template: {title} {authors} {copyright} {licence} {book} {reference} {translation}
    int size = 26;  ///< px on a picture 1080 px high
    QRectF box{0.05, 0.91, 0.9, 0.06};
    HorizontalAlign horizontal = HorizontalAlign::Centre;
    Colour colour{255, 255, 255, 190};
    friend bool operator==(const CreditLook&, const CreditLook&) = default;
};

/// The weight that stands out from another one.
[[nodiscard]] constexpr int bolderThan(int weight) {
    return weight < 700 ? 700 : 900;
}

/// How the words of one role look.
struct RoleLook {
    QString role; ///< as texts name it, in any case
    bool bold = false;
    bool italic = false;
    std::optional<Colour> colour; ///< nothing = the words' own
    QString symbol;               ///< stands before the words; may be empty
    friend bool operator==(const RoleLook&, const RoleLook&) = default;
};

/// How one picture becomes the next.
struct Transition {
    TransitionKind kind = TransitionKind::Fade;
    int milliseconds = 400;
    Easing easing = Easing::Even;
    Colour through;                  ///< for FadeThrough: the colour half-way
    PushFrom from = PushFrom::Right; ///< for Push
    friend bool operator==(const Transition&, const Transition&) = default;

    [[nodiscard]] bool isCut() const { return kind == TransitionKind::Cut || milliseconds <= 0; }
    /// How far it has come after a share of its time, both 0 to 1.
    [[nodiscard]] double progressAt(double share) const;
};

/// Everything that decides how a slide looks.
struct Look {
    Backdrop backdrop;
    WordsLook words;
    CreditLook credit;
    Transition transition;         ///< of the words, with the credit line and the objects
    Transition backdropTransition; ///< of the backdrop, where it changes
    std::vector<RoleLook> roles = usualRoleLooks();
    std::vector<SlideObject> objects; ///< back to front
    friend bool operator==(const Look&, const Look&) = default;

    /// The look of a role, or nothing when the theme has none for it.
    [[nodiscard]] const RoleLook* role(const QString& name) const;
    /// What all say together is bold.
    [[nodiscard]] static std::vector<RoleLook> usualRoleLooks();
};

} // namespace mivanta
