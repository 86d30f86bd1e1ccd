// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/run/FitContent.h"
#include "core/run/Insisting.h"
#include "core/run/StageFields.h"
#include "core/song/Emphasis.h"
#include <algorithm>

namespace mivanta {

int Lineup::indexOf(const ItemId& id) const {
    for (int i = 0; i < itemCount(); ++i)
        if (itemId(i) == id)
            return i;
    return -1;
}

Cue Lineup::cue(int item, int step) const {
    return {itemId(item), slides(item).steps[size_t(step)].position};
}

const ItemSlides* Lineup::slidesOf(const ItemId& id) const {
    const int item = indexOf(id);
    return item >= 0 ? &slides(item) : unplanned(id);
}

std::optional<Cue> following(const Cue& cue, const Lineup& lineup) {
    const ItemSlides* slides = lineup.slidesOf(cue.item);
    if (!slides)
        return std::nullopt;
    const int item = lineup.indexOf(cue.item);
    const auto loop = item >= 0 ? lineup.loopAt(item) : std::nullopt;
    const int step = slides->stepAt(cue.position) + 1;
    if (!loop && step < int(slides->steps.size()))
        return Cue{cue.item, slides->steps[size_t(step)].position};
    const int next = loop ? loop->end : item + 1;
    return item >= 0 && next < lineup.itemCount() ? std::optional(lineup.entry(next)) : std::nullopt;
}

namespace {

/// The last step of an item, or what its loop begins with.
Cue lastOf(int item, const Lineup& lineup) {
    if (const auto loop = lineup.loopAt(item))
        return lineup.entry(loop->first);
    return lineup.cue(item, int(lineup.slides(item).steps.size()) - 1);
}

} // namespace

std::optional<Cue> preceding(const Cue& cue, const Lineup& lineup) {
    const ItemSlides* slides = lineup.slidesOf(cue.item);
    if (!slides)
        return std::nullopt;
    const int item = lineup.indexOf(cue.item);
    const auto loop = item >= 0 ? lineup.loopAt(item) : std::nullopt;
    const int step = slides->stepAt(cue.position) - 1;
    if (!loop && step >= 0)
        return Cue{cue.item, slides->steps[size_t(step)].position};
    const int before = (loop ? loop->first : item) - 1;
    return before >= 0 ? std::optional(lastOf(before, lineup)) : std::nullopt;
}

namespace {

bool isUnplanned(const std::optional<Cue>& cue, const Lineup& lineup) {
    return cue && lineup.indexOf(cue->item) < 0 && lineup.unplanned(cue->item);
}

/// What stands where the item on screen stood before it was taken out.
std::optional<Cue> atHint(const RunState& state, const Lineup& lineup) {
    return state.itemHint < lineup.itemCount() ? std::optional(lineup.entry(std::max(0, state.itemHint)))
                                               : std::nullopt;
}

std::optional<Cue> afterOnScreen(const RunState& state, const Lineup& lineup) {
    if (!state.onScreen)
        return lineup.itemCount() > 0 ? std::optional(lineup.entry(0)) : std::nullopt;
    if (isUnplanned(state.onScreen, lineup)) {
        const auto inside = following(*state.onScreen, lineup);
        return inside ? inside : state.lineupNext;
    }
    return lineup.indexOf(state.onScreen->item) < 0 ? atHint(state, lineup)
                                                    : following(*state.onScreen, lineup);
}

RunState shown(RunState state, const Cue& cue, const Lineup& lineup) {
    state.onScreen = cue;
    if (!isUnplanned(cue, lineup)) {
        state.itemHint = lineup.indexOf(cue.item);
        state.lineupOnScreen.reset();
        state.lineupNext.reset();
    }
    state.next = afterOnScreen(state, lineup);
    state.isLooking = false;
    return state;
}

} // namespace

RunState startedRun(const Lineup& lineup) {
    RunState state;
    state.next = afterOnScreen(state, lineup);
    return state;
}

RunState taken(const RunState& state, const Lineup& lineup) {
    return state.next && lineup.slidesOf(state.next->item) ? shown(state, *state.next, lineup) : state;
}

RunState wentOnTo(const RunState& state, const Lineup& lineup, const Cue& cue) {
    if (!lineup.slidesOf(cue.item))
        return state;
    RunState result = shown(state, cue, lineup);
    if (state.isLooking) {
        result.next = state.next;
        result.isLooking = true;
    }
    return result;
}

RunState takenBack(const RunState& state, const Lineup& lineup) {
    if (!state.onScreen)
        return state;
    std::optional<Cue> cue;
    if (lineup.slidesOf(state.onScreen->item)) {
        cue = preceding(*state.onScreen, lineup);
        if (!cue && isUnplanned(state.onScreen, lineup) && state.lineupOnScreen &&
            lineup.slidesOf(state.lineupOnScreen->item))
            cue = state.lineupOnScreen;
    } else if (const int item = std::min(state.itemHint, lineup.itemCount()) - 1; item >= 0) {
        cue = lastOf(item, lineup);
    }
    return cue ? shown(state, *cue, lineup) : state;
}

RunState lookedAhead(const RunState& state, const Lineup& lineup, int steps) {
    RunState result = state;
    for (; steps > 0 && result.next; --steps) {
        auto cue = following(*result.next, lineup);
        if (!cue && isUnplanned(result.next, lineup))
            cue = state.lineupNext;
        if (!cue)
            break;
        result.next = cue;
    }
    for (; steps < 0; ++steps) {
        std::optional<Cue> cue;
        if (result.next)
            cue = preceding(*result.next, lineup);
        else if (const int last = lineup.itemCount() - 1; last >= 0)
            cue = lastOf(last, lineup);
        if (!cue)
            break;
        result.next = cue;
    }
    result.isLooking = state.isLooking || !(result.next == state.next);
    return result;
}

RunState lookedAtItem(const RunState& state, const Lineup& lineup, int item) {
    return item >= 0 && item < lineup.itemCount() ? lookedAt(state, lineup.entry(item)) : state;
}

RunState lookedAt(const RunState& state, const Cue& cue) {
    RunState result = state;
    result.next = cue;
    result.isLooking = true;
    return result;
}

RunState lookedAtUnplanned(const RunState& state, const Lineup& lineup, const ItemId& item) {
    const ItemSlides* slides = lineup.unplanned(item);
    if (!slides)
        return state;
    RunState result = state;
    if (!isUnplanned(state.onScreen, lineup)) {
        result.lineupOnScreen = state.onScreen;
        result.lineupNext = afterOnScreen(state, lineup);
    }
    result.next = Cue{item, slides->steps.front().position};
    result.isLooking = true;
    return result;
}

RunState lookedBack(const RunState& state, const Lineup& lineup) {
    RunState result = state;
    result.next = afterOnScreen(result, lineup);
    result.isLooking = false;
    return result;
}

RunState reconciled(const RunState& state, const Lineup& lineup) {
    RunState result = state;
    if (result.onScreen)
        if (const int at = lineup.indexOf(result.onScreen->item); at >= 0)
            result.itemHint = at;
    if (result.lineupNext && !lineup.slidesOf(result.lineupNext->item))
        result.lineupNext = atHint(result, lineup);
    const bool wasUnplanned = result.lineupNext.has_value(); // then it goes on where the lineup was left
    if ((!result.isLooking && !wasUnplanned) || !result.next || !lineup.slidesOf(result.next->item)) {
        result.next = afterOnScreen(result, lineup);
        result.isLooking = false;
    }
    return result;
}

std::vector<Scene> startedAt(std::vector<Scene> scenes, const QTime& now) {
    for (Scene& scene : scenes)
        for (SlideObject& object : scene.look.objects)
            object = startedAt(std::move(object), now);
    return scenes;
}

Scene blackScene(const Output& output) {
    Scene scene;
    scene.output = output.name;
    scene.size = output.size;
    scene.look.backdrop.colour = Colour{};
    scene.look.transition.kind = TransitionKind::Cut;
    scene.look.backdropTransition.kind = TransitionKind::Cut;
    scene.curtain = Curtain::Black;
    return scene;
}

namespace {

/// The row's first character in the words shown, behind the space at a wrap.
int startOf(const FitRow& row, const QString& shown) {
    int start = row.from;
    while (start < row.to && shown[start].isSpace())
        ++start;
    return start;
}

/// The stretch [from, to) of a line's words in a row that begins at `start` and has `length` characters.
std::optional<std::pair<int, int>> inRow(int from, int to, int start, int length) {
    from = std::clamp(from - start, 0, length);
    to = std::clamp(to - start, 0, length);
    return from < to ? std::optional(std::pair(from, to)) : std::nullopt;
}

/// What a line says of stretches of its words, moved to the characters of a row.
void addSpans(SceneRow& row, const ContentLine& line, int start) {
    const int length = int(row.text.size());
    for (const Emphasis& e : line.emphasis)
        if (const auto at = inRow(e.from, e.to, start, length))
            row.emphasis.push_back({at->first, at->second, e.bold, e.italic});
    for (const NumberSpan& span : line.numbers)
        if (const auto at = inRow(span.from, span.to, start, length))
            row.numbers.push_back({at->first, at->second, span.raised});
}

/// Everything in the row is said as its role's look says; its own emphasis stays.
void addRole(SceneRow& row, const RoleLook& role) {
    row.colour = role.colour;
    if (!role.bold && !role.italic)
        return;
    Line line{row.text, {}, false, {}, row.emphasis};
    auto weights = weightsOf(line);
    for (auto& weight : weights)
        weight = static_cast<unsigned char>(weight | (role.bold ? int(Weight::Bold) : 0) |
                                            (role.italic ? int(Weight::Italic) : 0));
    setWeights(line, weights);
    row.emphasis = line.emphasis;
}

/// One row of a line with its chords and emphasis, moved to the row's own characters.
SceneRow sceneRow(const FitRow& row, const ContentLine& line, const Output& output, const Look& look) {
    SceneRow result{row.text, {}, {}};
    if (!line.words.trimmed().isEmpty()) { // else the row's words are the chords themselves
        const QString mark = roleMark(line, look);
        const int start = startOf(row, mark + line.words) - int(mark.size());
        const int length = int(row.text.size());
        const bool lastRow = row.to >= mark.size() + line.words.size();
        if (output.showsChords)
            for (const ChordMark& chord : line.chords)
                if (chord.position >= row.from && (chord.position < row.to || lastRow))
                    result.chords.push_back({std::clamp(chord.position - start, 0, length), chord.name});
        addSpans(result, line, start);
        if (const RoleLook* role = line.role.isEmpty() ? nullptr : look.role(line.role))
            addRole(result, *role);
        if (start < 0) // the role's name looks as verse numbers do
            result.numbers.insert(result.numbers.begin(), {0, std::min(-start, length), false});
    }
    if (!row.beside.isEmpty() && !line.beside.empty()) {
        SceneRow beside{row.beside, {}, {}};
        addSpans(beside, line.beside.front(),
                 startOf({0, row.besideFrom, row.besideFrom + int(row.beside.size()) + 1, {}, {}, 0},
                         line.beside.front().words + u' '));
        result.beside.push_back(std::move(beside));
    }
    return result;
}

} // namespace

namespace {

Backdrop pictureBackdrop(const ContentPart& part) {
    Backdrop backdrop;
    backdrop.kind = BackdropKind::Picture;
    backdrop.picture = part.picture;
    backdrop.fit = part.pictureFit;
    return backdrop;
}

Backdrop filmBackdrop(const ContentPart& part) {
    Backdrop backdrop;
    backdrop.focus = part.pictureFocus;
    if (!part.film->live.isNull()) {
        backdrop.kind = BackdropKind::Live;
        backdrop.live = part.film->live.text();
        backdrop.fit = part.pictureFit;
        return backdrop;
    }
    backdrop.kind = BackdropKind::Film;
    backdrop.film = part.film->name;
    backdrop.filmFrom = part.film->from;
    backdrop.filmTo = part.film->to;
    backdrop.fit = part.film->fit;
    return backdrop;
}

/// Figures in their part of the words' box; the words keep to the other one.
void addCountdown(Scene& scene, const ContentCountdown& countdown) {
    const WordsLook& words = scene.look.words;
    SlideObject figures;
    figures.inFront = true;
    const CountdownBoxes boxes = countdownBoxes(words.box);
    figures.box = boxes.figures;
    const ObjectLetters letters{int(kLookHeight * figures.box.height()), words.weight,
                                HorizontalAlign::Centre, words.colour};
    figures.what = CountdownObject{countdown.to,
                                   countdown.to ? std::nullopt : std::optional(countdown.seconds), letters};
    scene.look.words.box = boxes.words;
    if (!boxes.isSideBySide)
        scene.look.words.vertical = VerticalAlign::Bottom;
    scene.look.objects.push_back(figures);
}

/// Without what the output does not show.
Scene withLayers(Scene scene, const OutputLayers& layers) {
    if (!layers.words) {
        scene.rows.clear();
        scene.besideWords.clear();
        scene.stageNote.clear();
    }
    if (!layers.backdrop) {
        scene.look.backdrop = Backdrop{BackdropKind::None};
        scene.film.reset();
    }
    if (!layers.objects)
        scene.look.objects.clear();
    if (!layers.credit)
        scene.credit.clear();
    return scene;
}

Scene slideScene(const ItemSlides& slides, const OutputSlides& output, std::optional<int> slide) {
    Scene scene;
    scene.output = output.output.name;
    scene.size = output.output.size;
    scene.look = output.look;
    scene.fontSize = output.fontSize;
    if (!slide)
        return scene;
    const Slide& shown = output.slides[size_t(*slide)];
    scene.look = output.lookOf(shown);
    scene.fontSize = output.fontSizeOf(shown);
    const ContentEntry& entry = slides.content.entries[size_t(shown.start.entry)];
    const ContentPart& part = slides.content.partOf(entry, !output.output.isForPeople());
    const bool mayReplace = !insistsOn(output.output, LookGroup::Backdrop);
    if (!part.picture.isEmpty() && mayReplace)
        scene.look.backdrop = pictureBackdrop(part);
    const bool showsFilm =
        part.film && part.filmIsShownOn.value(output.output.name, showsFilms(output.output));
    if (showsFilm)
        scene.look.backdrop = filmBackdrop(part);
    scene.film = showsFilm && part.film->live.isNull() ? part.film : filmOf(scene.look.backdrop);
    if (part.film && part.film->live.isNull() && !showsFilm && !output.output.isForPeople())
        addTimeLeft(scene);
    if (slides.content.countdown)
        addCountdown(scene, *slides.content.countdown);
    for (const FitRow& row : shown.rows) {
        scene.rows.push_back(sceneRow(row, part.lines[size_t(row.line)], output.output, scene.look));
        scene.rows.back().startsLine = &row == &shown.rows.front() || (&row)[-1].line != row.line;
        scene.roomForChords = scene.roomForChords || !scene.rows.back().chords.empty();
    }
    if (!output.output.isForPeople())
        scene.stageNote = entry.stageNote;
    scene.credit = shown.credit;
    scene.besideWords = shown.besideWords;
    return scene;
}

} // namespace

Scene sceneOf(const ItemSlides& slides, const OutputSlides& output, std::optional<int> slide) {
    return withLayers(slideScene(slides, output, slide), output.output.layers);
}

std::vector<Scene> scenesAt(const ItemSlides& slides, const Position& position) {
    std::vector<Scene> scenes;
    for (const OutputSlides& output : slides.outputs)
        scenes.push_back(sceneOf(slides, output, output.slideAt(position)));
    return scenes;
}

namespace {

std::vector<Scene> scenesOf(const std::optional<Cue>& cue, const Lineup& lineup,
                            const std::vector<Output>& outputs) {
    if (const ItemSlides* slides = cue ? lineup.slidesOf(cue->item) : nullptr)
        return scenesAt(*slides, cue->position);
    std::vector<Scene> scenes;
    for (const Output& output : outputs)
        scenes.push_back(blackScene(output));
    return scenes;
}

} // namespace

std::vector<Scene> scenesFor(const RunState& state, const Lineup& lineup,
                             const std::vector<Output>& outputs) {
    std::vector<Scene> scenes = scenesOf(state.onScreen, lineup, outputs);
    for (const auto& [name, cue] : state.frozen)
        for (const Scene& kept : scenesOf(cue, lineup, outputs))
            for (Scene& scene : scenes)
                if (scene.output == name && kept.output == name)
                    scene = kept;
    return scenes;
}

} // namespace mivanta
