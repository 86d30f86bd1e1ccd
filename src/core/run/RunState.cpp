// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/run/FitContent.h"
#include "core/song/Emphasis.h"
#include <algorithm>

namespace mivanta {

int RunPlan::indexOf(const ItemId& id) const {
    for (int i = 0; i < itemCount(); ++i)
        if (itemId(i) == id)
            return i;
    return -1;
}

Cue RunPlan::cue(int item, int step) const {
    return {itemId(item), slides(item).steps[size_t(step)].position};
}

const ItemSlides* RunPlan::slidesOf(const ItemId& id) const {
    const int item = indexOf(id);
    return item >= 0 ? &slides(item) : unplanned(id);
}

std::optional<Cue> following(const Cue& cue, const RunPlan& plan) {
    const ItemSlides* slides = plan.slidesOf(cue.item);
    if (!slides)
        return std::nullopt;
    const int step = slides->stepAt(cue.position) + 1;
    if (step < int(slides->steps.size()))
        return Cue{cue.item, slides->steps[size_t(step)].position};
    const int item = plan.indexOf(cue.item);
    return item >= 0 && item + 1 < plan.itemCount() ? std::optional(plan.cue(item + 1, 0)) : std::nullopt;
}

std::optional<Cue> preceding(const Cue& cue, const RunPlan& plan) {
    const ItemSlides* slides = plan.slidesOf(cue.item);
    if (!slides)
        return std::nullopt;
    const int step = slides->stepAt(cue.position) - 1;
    if (step >= 0)
        return Cue{cue.item, slides->steps[size_t(step)].position};
    const int item = plan.indexOf(cue.item);
    return item > 0 ? std::optional(plan.cue(item - 1, int(plan.slides(item - 1).steps.size()) - 1))
                    : std::nullopt;
}

namespace {

bool isUnplanned(const std::optional<Cue>& cue, const RunPlan& plan) {
    return cue && plan.indexOf(cue->item) < 0 && plan.unplanned(cue->item);
}

/// What stands where the item on screen stood before it was taken out.
std::optional<Cue> atHint(const RunState& state, const RunPlan& plan) {
    return state.itemHint < plan.itemCount() ? std::optional(plan.cue(std::max(0, state.itemHint), 0))
                                             : std::nullopt;
}

std::optional<Cue> afterOnScreen(const RunState& state, const RunPlan& plan) {
    if (!state.onScreen)
        return plan.itemCount() > 0 ? std::optional(plan.cue(0, 0)) : std::nullopt;
    if (isUnplanned(state.onScreen, plan)) {
        const auto inside = following(*state.onScreen, plan);
        return inside ? inside : state.planNext;
    }
    return plan.indexOf(state.onScreen->item) < 0 ? atHint(state, plan) : following(*state.onScreen, plan);
}

RunState shown(RunState state, const Cue& cue, const RunPlan& plan) {
    state.onScreen = cue;
    if (!isUnplanned(cue, plan)) {
        state.itemHint = plan.indexOf(cue.item);
        state.planOnScreen.reset();
        state.planNext.reset();
    }
    state.next = afterOnScreen(state, plan);
    state.isLooking = false;
    return state;
}

} // namespace

RunState startedRun(const RunPlan& plan) {
    RunState state;
    state.next = afterOnScreen(state, plan);
    return state;
}

RunState taken(const RunState& state, const RunPlan& plan) {
    return state.next && plan.slidesOf(state.next->item) ? shown(state, *state.next, plan) : state;
}

RunState takenBack(const RunState& state, const RunPlan& plan) {
    if (!state.onScreen)
        return state;
    std::optional<Cue> cue;
    if (plan.slidesOf(state.onScreen->item)) {
        cue = preceding(*state.onScreen, plan);
        if (!cue && isUnplanned(state.onScreen, plan) && state.planOnScreen &&
            plan.slidesOf(state.planOnScreen->item))
            cue = state.planOnScreen;
    } else if (const int item = std::min(state.itemHint, plan.itemCount()) - 1; item >= 0) {
        cue = plan.cue(item, int(plan.slides(item).steps.size()) - 1);
    }
    return cue ? shown(state, *cue, plan) : state;
}

RunState lookedAhead(const RunState& state, const RunPlan& plan, int steps) {
    RunState result = state;
    for (; steps > 0 && result.next; --steps) {
        auto cue = following(*result.next, plan);
        if (!cue && isUnplanned(result.next, plan))
            cue = state.planNext;
        if (!cue)
            break;
        result.next = cue;
    }
    for (; steps < 0; ++steps) {
        std::optional<Cue> cue;
        if (result.next)
            cue = preceding(*result.next, plan);
        else if (const int last = plan.itemCount() - 1; last >= 0)
            cue = plan.cue(last, int(plan.slides(last).steps.size()) - 1);
        if (!cue)
            break;
        result.next = cue;
    }
    result.isLooking = state.isLooking || !(result.next == state.next);
    return result;
}

RunState lookedAtItem(const RunState& state, const RunPlan& plan, int item) {
    return item >= 0 && item < plan.itemCount() ? lookedAt(state, plan.cue(item, 0)) : state;
}

RunState lookedAt(const RunState& state, const Cue& cue) {
    RunState result = state;
    result.next = cue;
    result.isLooking = true;
    return result;
}

RunState lookedAtUnplanned(const RunState& state, const RunPlan& plan, const ItemId& item) {
    const ItemSlides* slides = plan.unplanned(item);
    if (!slides)
        return state;
    RunState result = state;
    if (!isUnplanned(state.onScreen, plan)) {
        result.planOnScreen = state.onScreen;
        result.planNext = afterOnScreen(state, plan);
    }
    result.next = Cue{item, slides->steps.front().position};
    result.isLooking = true;
    return result;
}

RunState lookedBack(const RunState& state, const RunPlan& plan) {
    RunState result = state;
    result.next = afterOnScreen(result, plan);
    result.isLooking = false;
    return result;
}

RunState reconciled(const RunState& state, const RunPlan& plan) {
    RunState result = state;
    if (result.onScreen)
        if (const int at = plan.indexOf(result.onScreen->item); at >= 0)
            result.itemHint = at;
    if (result.planNext && !plan.slidesOf(result.planNext->item))
        result.planNext = atHint(result, plan);
    if (!result.next || !plan.slidesOf(result.next->item)) {
        result.next = afterOnScreen(result, plan);
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

bool insistsOn(const Output& output, LookGroup group) {
    return std::find(output.insists.begin(), output.insists.end(), group) != output.insists.end();
}

Backdrop pictureBackdrop(const ContentPart& part) {
    Backdrop backdrop;
    backdrop.kind = BackdropKind::Picture;
    backdrop.picture = part.picture;
    backdrop.fit = part.pictureFit;
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
    if (!layers.backdrop)
        scene.look.backdrop = Backdrop{BackdropKind::None};
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
    if (!part.picture.isEmpty() && !insistsOn(output.output, LookGroup::Backdrop))
        scene.look.backdrop = pictureBackdrop(part);
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

std::vector<Scene> scenesOf(const std::optional<Cue>& cue, const RunPlan& plan,
                            const std::vector<Output>& outputs) {
    if (const ItemSlides* slides = cue ? plan.slidesOf(cue->item) : nullptr)
        return scenesAt(*slides, cue->position);
    std::vector<Scene> scenes;
    for (const Output& output : outputs)
        scenes.push_back(blackScene(output));
    return scenes;
}

} // namespace

std::vector<Scene> scenesFor(const RunState& state, const RunPlan& plan, const std::vector<Output>& outputs) {
    std::vector<Scene> scenes = scenesOf(state.onScreen, plan, outputs);
    for (const auto& [name, cue] : state.frozen)
        for (const Scene& kept : scenesOf(cue, plan, outputs))
            for (Scene& scene : scenes)
                if (scene.output == name && kept.output == name)
                    scene = kept;
    return scenes;
}

} // namespace mivanta
