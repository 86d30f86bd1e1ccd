// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Passage.h"
#include "core/song/Song.h"
#include "core/text/TextFields.h"
#include "core/theme/FilmPlay.h"
#include "core/theme/Theme.h"
#include <QTime>
#include <optional>
#include <vector>

namespace mivanta {

/// The number of a verse among its words.
struct NumberSpan {
    int from = 0; ///< index into the words (UTF-16)
    int to = 0;   ///< behind the last character
    bool raised = false;
    friend bool operator==(const NumberSpan&, const NumberSpan&) = default;
};

/// A line of words as slides are made from it.
struct ContentLine : Line {
    ContentLine() = default;
    ContentLine(Line line) : Line(std::move(line)) {}

    std::vector<NumberSpan> numbers;
    std::vector<int> units;  ///< where verses begin inside the words, rising; a slide had better begin there
    QString role;            ///< who says it; empty = nobody in particular
    bool startsRole = false; ///< somebody else begins to speak here
    bool namesRole = false;  ///< the role's name stands before the words where they begin
    std::vector<ContentLine> beside; ///< empty, or one: the same verse in a second translation
    /// Lines of the part as it was written that it stands for, when lines were hidden or replaced; -1 = its
    /// own place.
    int number = -1;
    int numberTo = -1;
};

/// A part's words as slides are made from them, whatever kind of item they come from.
struct ContentPart {
    QString key;   ///< names it in what refers to it; stands in files and never changes
    QString label; ///< for people: "Verse 1"
    QString shortLabel;
    bool bandOnly = false;
    QString comment;
    std::vector<ContentLine> lines;
    bool isBlank = false; ///< a slide without words on every output
    QString picture;      ///< shown in place of the backdrop; a file of the library's media
    PictureFit pictureFit = PictureFit::Whole; ///< of the picture, or the live input
    std::optional<FilmPlay> film;              ///< a film or a live input, in place of the backdrop
    QPointF pictureFocus{0.5, 0.5};            ///< of the film
    QMap<QString, bool> filmIsShownOn;         ///< by output, as FilmItem has it

    /// Where a line stood before lines were hidden or replaced: from there, to there inclusive.
    [[nodiscard]] int writtenLine(int line) const {
        const int number = lines[size_t(line)].number;
        return number < 0 ? line : number;
    }
    [[nodiscard]] int writtenTo(int line) const {
        const int number = lines[size_t(line)].numberTo;
        return number < 0 ? writtenLine(line) : number;
    }
};

/// One time that a part comes up, in the order in which it is sung or said.
struct ContentEntry {
    int part = 0;      ///< index into ItemContent::parts
    int pass = 1;      ///< 1 to passes
    int passes = 1;    ///< how many times in a row the part comes here
    QString stageNote; ///< for stage monitors
    int time = 0;      ///< which of its part's times it was before entries moved; 0 = as they come
};

/// A credit line that the item itself decides about, as a passage does.
struct OwnCredit {
    QString every;       ///< on every slide
    QString last;        ///< on the last one, behind the other
    QString besideEvery; ///< under the words of every slide
    QString besideLast;  ///< under the words of the last one
};

/// Figures under the words that count down.
struct ContentCountdown {
    std::optional<QTime> to; ///< nothing = `seconds` from when it is taken
    int seconds = 0;
};

struct ItemContent {
    std::vector<ContentPart> parts;
    std::vector<ContentEntry> entries;
    CreditFields credit;
    std::optional<OwnCredit> ownCredit; ///< in place of the theme's credit line
    /// Spoken or read: words keep the theme's size and take the slides that they need. Sung words become
    /// smaller before they take more slides.
    bool isProse = false;
    std::optional<ContentCountdown> countdown;
    /// What stage monitors show in place of the words of every part; empty = the words.
    std::optional<ContentPart> stageWords;

    /// A part's label by its key; what is gone is called by its key.
    [[nodiscard]] QString labelOf(const QString& key) const;
    /// What an output of this kind shows of an entry.
    [[nodiscard]] const ContentPart& partOf(const ContentEntry& entry, bool onStage) const {
        return onStage && stageWords ? *stageWords : parts[size_t(entry.part)];
    }
};

/// A song's parts and the order in which they are sung; entries naming a part that is gone are left out.
[[nodiscard]] ItemContent contentOf(const Song& song);
/// A passage in its layout: one part, or one a verse.
[[nodiscard]] ItemContent contentOf(const Passage& passage);
/// A text with its fields filled: a part for each page between slide breaks.
[[nodiscard]] ItemContent contentOf(const SpokenText& text, const FieldValues& values);

} // namespace mivanta
