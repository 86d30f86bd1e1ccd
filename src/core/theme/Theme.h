// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Colour.h"
#include <QRectF>
#include <QString>
#include <optional>
#include <vector>

namespace mivanta {

enum class BackdropKind { None, Plain, Gradient };
enum class HorizontalAlign { Left, Centre, Right };
enum class VerticalAlign { Top, Middle, Bottom };
enum class CreditWhen { Never, First, Last, Every };
enum class TransitionKind { Cut, Fade };

struct GradientStop {
    double at = 0; ///< 0 to 1 along the gradient
    Colour colour;
    friend bool operator==(const GradientStop&, const GradientStop&) = default;
};

struct Backdrop {
    BackdropKind kind = BackdropKind::Plain; ///< None = see-through
    Colour colour;                           ///< for Plain
    std::vector<GradientStop> stops;         ///< for Gradient, by rising `at`; at least two
    double angle = 90;                       ///< for Gradient: degrees, 0 = left to right, 90 = top to bottom
    friend bool operator==(const Backdrop&, const Backdrop&) = default;
};

/// How words look. Lengths are px on a picture 1080 px high and scale with the picture's height.
struct WordsLook {
    QString family;
    int weight = 700;                  ///< 100 to 900
    int size = 72;                     ///< px, the size wanted
    int smallestSize = 40;             ///< px, never smaller
    double lineSpacing = 1.2;          ///< distance of baselines, in font sizes
    int linesAtMost = 6;               ///< rows on one slide
    QRectF box{0.08, 0.1, 0.84, 0.76}; ///< fractions of the picture
    HorizontalAlign horizontal = HorizontalAlign::Centre;
    VerticalAlign vertical = VerticalAlign::Middle;
    Colour colour{255, 255, 255, 255};
    double outlineWidth = 0; ///< px outside the letter; 0 = none
    Colour outlineColour;
    double shadowOffset = 0;         ///< px to the right and down
    double shadowBlur = 0;           ///< px, radius
    Colour shadowColour{0, 0, 0, 0}; ///< see-through = no shadow
    Colour chordColour{255, 178, 36, 255};
    std::optional<Colour> numberColour; ///< of verse numbers and roles; nothing = the words', fainter
    friend bool operator==(const WordsLook&, const WordsLook&) = default;
};

struct CreditLook {
    CreditWhen when = CreditWhen::Last;
    QString fields; ///< a template: {title} {authors} {copyright} {licence} {book}; empty fields leave no gap
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

struct Transition {
    TransitionKind kind = TransitionKind::Fade;
    int milliseconds = 400;
    friend bool operator==(const Transition&, const Transition&) = default;
};

/// Everything that decides how a slide looks.
struct Look {
    Backdrop backdrop;
    WordsLook words;
    CreditLook credit;
    Transition transition;
    std::vector<RoleLook> roles = usualRoleLooks();
    friend bool operator==(const Look&, const Look&) = default;

    /// The look of a role, or nothing when the theme has none for it.
    [[nodiscard]] const RoleLook* role(const QString& name) const;
    /// What all say together is bold.
    [[nodiscard]] static std::vector<RoleLook> usualRoleLooks();
};

/// A saved, named look. The id is a short word that stays when the name changes.
struct Theme {
    QString id;
    QString name;
    Look look;
    friend bool operator==(const Theme&, const Theme&) = default;
};

/// What a credit line can say. Fields that are empty are left out with their separator.
struct CreditFields {
    QString title;
    QString authors;
    QString copyright;
    QString licence;
    QString book;
};

/// Fills a credit template. Pieces between "·" separators whose fields are all empty are dropped.
[[nodiscard]] QString creditText(const QString& fields, const CreditFields& values);

} // namespace mivanta
