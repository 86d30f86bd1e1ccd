// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/legibility/Mending.h"
#include "core/base/Said.h"
#include "core/theme/BoxDrag.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

constexpr double kOutlineStep = 0.04; // of the font's size
constexpr double kMixStep = 0.22;     // of the way to black or white
constexpr int kBrightnessStep = 22;   // of a picture's treatment
constexpr int kPanelAlphaStep = 60;   // of a panel's 255
constexpr int kTintAlphaStep = 40;    // of a live input's tint

const LookProperty& property(const char* key) {
    return *lookProperty(QString::fromLatin1(key));
}

bool hasLightWords(const Look& look) {
    return isLight(look.words.colour);
}

Colour opposite(const Look& look) {
    return hasLightWords(look) ? Colour{0, 0, 0, 255} : Colour{255, 255, 255, 255};
}

Colour mixed(const Colour& from, const Colour& to, double share) {
    const auto channel = [&](quint8 a, quint8 b) { return quint8(std::lround(a + (b - a) * share)); };
    return {channel(from.red, to.red), channel(from.green, to.green), channel(from.blue, to.blue),
            from.alpha};
}

std::optional<MendOffer> larger(const MendCase& slide) {
    const int wanted = slide.wantedSize();
    if (slide.reading.isLargeEnough() || wanted > property("words.size").most)
        return std::nullopt;
    MendOffer offer{Mend::Larger, {}, Said::tr("Larger")};
    if (wanted > slide.look.words.size)
        offer.changes.set(property("words.size"), wanted);
    if (wanted > slide.look.words.smallestSize)
        offer.changes.set(property("words.smallestSize"), wanted);
    return offer;
}

std::optional<MendOffer> fewerLines(const MendCase& slide, int strength) {
    const int lines = slide.lines - strength;
    if (lines < 1)
        return std::nullopt;
    MendOffer offer{Mend::FewerLines, {}, Said::tr("%n lines at most", nullptr, lines)};
    offer.changes.set(property("words.linesAtMost"), lines);
    return offer;
}

/// As large as the safe area and the credit line leave it.
std::optional<MendOffer> largerBox(const Look& look) {
    const bool hasCredit = look.credit.when != CreditWhen::Never && look.credit.box.top() > 0.5;
    const double foot = hasCredit ? std::min(look.credit.box.top(), 1 - kSafeMargin) : 1 - kSafeMargin;
    const QRectF box =
        QRectF(QPointF(kSafeMargin, kSafeMargin), QPointF(1 - kSafeMargin, foot)) | look.words.box;
    if (box == look.words.box)
        return std::nullopt;
    MendOffer offer{Mend::LargerBox, {}, Said::tr("Larger words box")};
    offer.changes.set(property("words.box"), box);
    return offer;
}

MendOffer outline(const Look& look, double fontSize, int strength) {
    MendOffer offer{Mend::Outline, {}, Said::tr("Outline")};
    offer.changes.set(property("words.outlineWidth"),
                      look.words.outlineWidth + std::round(fontSize * kOutlineStep * strength));
    offer.changes.set(property("words.outlineColour"), opposite(look));
    return offer;
}

MendOffer panel(const Look& look, int strength) {
    MendOffer offer{Mend::Backdrop, {}, Said::tr("Panel")};
    Colour colour = opposite(look);
    const bool isThere = look.words.panel.reach != PanelReach::None;
    colour.alpha =
        quint8(std::min(255, (isThere ? look.words.panel.colour.alpha : 0) + kPanelAlphaStep * strength));
    if (!isThere)
        offer.changes.set(property("words.panel.reach"), LookChoiceIndex{int(PanelReach::Words)});
    offer.changes.set(property("words.panel.colour"), colour);
    return offer;
}

MendOffer backdrop(const Look& look, int strength) {
    if (look.backdrop.kind == BackdropKind::None || look.words.panel.reach != PanelReach::None)
        return panel(look, strength);
    const bool darker = hasLightWords(look);
    const Colour to = opposite(look);
    MendOffer offer{Mend::Backdrop, {}, darker ? Said::tr("Darker backdrop") : Said::tr("Lighter backdrop")};
    if (look.backdrop.isMedium()) {
        offer.changes.set(property("backdrop.brightness"),
                          look.backdrop.treatment.brightness +
                              (darker ? -1 : 1) * kBrightnessStep * strength);
    } else if (look.backdrop.kind == BackdropKind::Live) {
        Colour tint = to;
        tint.alpha = quint8(std::min(255, look.backdrop.treatment.tint.alpha + kTintAlphaStep * strength));
        offer.changes.set(property("backdrop.tint"), tint);
    } else if (look.backdrop.kind == BackdropKind::Gradient) {
        std::vector<GradientStop> stops = look.backdrop.stops;
        for (GradientStop& stop : stops)
            stop.colour = mixed(stop.colour, to, kMixStep * strength);
        offer.changes.set(property("backdrop.stops"), stops);
    } else {
        offer.changes.set(property("backdrop.colour"), mixed(look.backdrop.colour, to, kMixStep * strength));
    }
    return offer;
}

bool isFree(const MendOffer& offer, const std::vector<LookGroup>& insisted) {
    const auto properties = offer.changes.properties();
    return !properties.empty() &&
           std::none_of(properties.begin(), properties.end(), [&](const LookProperty* changed) {
               return std::find(insisted.begin(), insisted.end(), changed->group) != insisted.end();
           });
}

} // namespace

int MendCase::wantedSize() const {
    return reading.isLargeEnough() || reading.readsTo <= 0
               ? look.words.size
               : int(std::ceil(fontSize * reading.backRow / reading.readsTo));
}

std::vector<MendOffer> mendsFor(const MendCase& slide, int strength) {
    std::vector<MendOffer> offers;
    const int wanted = slide.wantedSize();
    if (const auto offer = larger(slide))
        offers.push_back(*offer);
    if (slide.fontSize + 1 < wanted && wanted <= slide.look.words.size) {
        if (const auto offer = fewerLines(slide, strength))
            offers.push_back(*offer);
        if (const auto offer = largerBox(slide.look))
            offers.push_back(*offer);
    }
    if (!slide.reading.isStrongEnough()) {
        offers.push_back(outline(slide.look, slide.fontSize, strength));
        offers.push_back(backdrop(slide.look, strength));
    }
    std::erase_if(offers, [&](const MendOffer& offer) { return !isFree(offer, slide.insisted); });
    return offers;
}

} // namespace mivanta
