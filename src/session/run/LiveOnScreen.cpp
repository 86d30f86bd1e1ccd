// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/LiveOnScreen.h"
#include "core/base/MediaName.h"
#include "core/legibility/Mending.h"
#include "core/order/LiveBehind.h"
#include "render/LegibilityMeasure.h"
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kWeakTwice = 2;
constexpr int kMeasureEveryMs = 20'000;
constexpr int kSoonMs = 1500; ///< once it is on screen, so that the desks have a picture of it

/// Words stand over it, and are seen.
bool hasWordsOver(const Scene& scene, LiveInputId input) {
    return !scene.rows.empty() && scene.curtain == Curtain::Open && scene.film && scene.film->live == input;
}

/// What the desks draw the input with: this picture of it, and no others.
RenderSources sourcesOf(LiveInputId input, const QImage& picture) {
    RenderSources sources;
    sources.picture = [name = livePictureName(input.text()), picture](const QString& wanted, QSize) {
        return wanted == name ? picture : QImage();
    };
    return sources;
}

/// What makes words that are too weak stronger by what is behind them; nothing where that cannot be changed.
std::optional<MendOffer> backdropOffer(const Scene& scene, int strength) {
    MendCase words;
    words.look = scene.look;
    words.reading.contrast = 1; // too weak, as measured
    for (const MendOffer& offer : mendsFor(words, strength))
        if (offer.mend == Mend::Backdrop)
            return offer;
    return std::nullopt;
}

} // namespace

LiveOnScreen::LiveOnScreen(RunController& run, SlideBook& book, ServiceDocument& document, LiveInputs& inputs,
                           QObject* parent)
    : QObject(parent),
      m_run(run),
      m_book(book),
      m_document(document),
      m_inputs(inputs) {
    connect(&m_run, &RunController::shown, this, &LiveOnScreen::lookAnew);
    connect(&m_run, &RunController::changed, this, &LiveOnScreen::findLost);        // what covers them, too
    connect(&m_inputs, &LiveInputs::stateChanged, this, [this](LiveInputId input) { // several times a second
        if (std::find(m_shown.begin(), m_shown.end(), input) != m_shown.end())
            findLost();
    });
    connect(&m_inputs, &LiveInputs::changed, this, &LiveOnScreen::findLost); // names
    connect(&m_inputs, &LiveInputs::pictureChanged, this, &LiveOnScreen::pictureCame);
    m_now.setInterval(kMeasureEveryMs);
    connect(&m_now, &QTimer::timeout, this, &LiveOnScreen::measure);
    m_soon.setSingleShot(true);
    m_soon.setInterval(kSoonMs);
    connect(&m_soon, &QTimer::timeout, this, &LiveOnScreen::measure);
}

std::vector<LiveInputId> LiveOnScreen::inputs() const {
    std::vector<LiveInputId> all;
    for (const Scene& scene : m_run.shownNow())
        for (const FilmPlay& film : filmsOn(scene))
            if (!film.live.isNull() && std::find(all.begin(), all.end(), film.live) == all.end())
                all.push_back(film.live);
    return all;
}

void LiveOnScreen::findLost() {
    QStringList all;
    for (const LiveInputId& input : inputs()) {
        if (!m_inputs.find(input))
            all << tr("%1: not set up on this computer").arg(m_inputs.nameOf(input));
        else if (const QString since = m_inputs.lostSince(input); !since.isEmpty())
            all << tr("%1: no picture since %2", "a live input and a time of day")
                       .arg(m_inputs.nameOf(input), since);
    }
    if (std::exchange(m_lost, all) != all)
        Q_EMIT changed();
}

void LiveOnScreen::lookAnew() {
    const std::vector<LiveInputId> all = inputs();
    m_weak.removeIf(
        [&](const auto& each) { return std::find(all.begin(), all.end(), each.key()) == all.end(); });
    if (all.empty()) {
        m_now.stop();
        m_wanted.clear();
        m_inputs.lookAt(QStringLiteral("screens"), {}); // no camera is open for nothing
    } else if (!m_now.isActive()) {
        m_now.start();
    }
    if (std::exchange(m_shown, all) != all)
        m_soon.start();
    findLost();
}

void LiveOnScreen::measure() {
    m_wanted = inputs();
    std::erase_if(m_wanted, [&](const LiveInputId& input) {
        const auto stands = m_inputs.standsOf(input);
        return !stands || stands->signal != message::FilmStands::Signal::There;
    });
    m_inputs.lookAt(QStringLiteral("screens"), m_wanted);
    if (m_wanted.empty())
        Q_EMIT measured();
}

std::optional<Scene> LiveOnScreen::sceneWith(LiveInputId input) const {
    for (const Scene& scene : m_run.shownNow())
        if (hasWordsOver(scene, input))
            return scene;
    return std::nullopt;
}

void LiveOnScreen::pictureCame(LiveInputId input) {
    const auto at = std::find(m_wanted.begin(), m_wanted.end(), input);
    if (at == m_wanted.end())
        return;
    m_wanted.erase(at);
    m_inputs.lookAt(QStringLiteral("screens"), m_wanted); // one picture is enough
    const std::optional<Scene> scene = sceneWith(input);
    if (!scene) {
        if (m_wanted.empty())
            Q_EMIT measured();
        return;
    }
    m_worker.run(
        this,
        [scene = *scene, light = lightOf(*scene), sources = sourcesOf(input, m_inputs.pictureOf(input))] {
            return measuredContrast(scene, light, sources);
        },
        [this, input](double contrast) { take(input, contrast); });
}

RoomLight LiveOnScreen::lightOf(const Scene& scene) const {
    for (const Output& output : m_book.outputs())
        if (output.name == scene.output)
            return output.light;
    return RoomLight::Dimmed;
}

void LiveOnScreen::take(LiveInputId input, double contrast) {
    if (contrast >= kGoodContrast)
        m_weak.remove(input);
    else if (++m_weak[input] == kWeakTwice)
        tellWeak(input);
    if (m_wanted.empty())
        Q_EMIT measured();
}

std::vector<ItemId> LiveOnScreen::itemsWith(LiveInputId input) const {
    const auto& onScreen = m_run.state().onScreen;
    const Service& service = m_document.service();
    if (!onScreen || !service.item(onScreen->item))
        return {};
    const Item* live = liveBehind(onScreen->item, service);
    if (!live || std::get<LiveItem>(live->words).input != input)
        return {onScreen->item};
    std::vector<ItemId> items;
    for (const Item* item : itemsOver(live->id, service))
        items.push_back(item->id);
    return items;
}

void LiveOnScreen::tellWeak(LiveInputId input) {
    const std::optional<Scene> scene = sceneWith(input);
    const auto offer = scene ? backdropOffer(*scene, 1) : std::nullopt;
    if (offer)
        Q_EMIT offered(tr("The words over %1 are hard to read now.").arg(m_inputs.nameOf(input)),
                       offer->label, [this, input, scene = *scene] { mend(input, scene); });
}

/// As strongly as it takes on the picture that came last.
void LiveOnScreen::mend(LiveInputId input, const Scene& scene) {
    m_weak.remove(input);
    m_worker.run(
        this,
        [scene, light = lightOf(scene), sources = sourcesOf(input, m_inputs.pictureOf(input))] {
            LookOverrides changes;
            for (int strength = 1; strength <= kMostMendStrength; ++strength) {
                const auto offer = backdropOffer(scene, strength);
                if (!offer)
                    break;
                changes = offer->changes;
                Scene mended = scene;
                changes.applyTo(mended.look);
                if (measuredContrast(mended, light, sources) >= kGoodContrast)
                    break;
            }
            return changes;
        },
        [this, input](const LookOverrides& changes) { darken(input, changes); });
}

/// One step of undo; what is on screen follows at once.
void LiveOnScreen::darken(LiveInputId input, const LookOverrides& changes) {
    const std::vector<ItemId> items = itemsWith(input);
    if (items.empty() || changes.isEmpty())
        return;
    m_document.changeLook(
        {LookLevel::Item, {}, items, {}}, m_book.themes(),
        [&](LookChoice& choice) { choice.own.add(changes); }, tr("words over a live picture"));
    m_run.showAgain();
}

} // namespace mivanta

#include "moc_LiveOnScreen.cpp"
