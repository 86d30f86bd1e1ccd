// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "core/run/Output.h"
#include "core/run/Scene.h"
#include <map>
#include <set>

namespace mivanta {

/// A short message over the bottom of outputs.
struct CallOut {
    QString text;
    std::set<QString> outputs;      ///< by name; empty = all of them
    std::optional<QDateTime> until; ///< nothing = until it is taken away
    friend bool operator==(const CallOut&, const CallOut&) = default;

    [[nodiscard]] bool isOn(const QString& output) const {
        return outputs.empty() || outputs.contains(output);
    }
};

/// The places of a message that are still to be filled, "___" or more of them: from and length.
[[nodiscard]] std::vector<std::pair<int, int>> blanksIn(const QString& message);

/// What stands between an item's picture and the people who see an output.
struct Covers {
    Curtain curtain = Curtain::Open;
    std::map<QString, Curtain> own; ///< outputs that have a curtain of their own
    std::optional<CallOut> callOut;
    std::set<QString> testCards; ///< outputs that show their test card instead of everything
    friend bool operator==(const Covers&, const Covers&) = default;

    [[nodiscard]] Curtain on(const QString& output) const {
        const auto at = own.find(output);
        return at == own.end() ? curtain : at->second;
    }
};

/// What the house card says: a picture, else words; else the service's title and place.
struct HouseCard {
    QString words;
    QString picture; ///< a file of the library's media
    friend bool operator==(const HouseCard&, const HouseCard&) = default;
};
[[nodiscard]] ItemWords houseCardWords(const HouseCard& card, const Service& service);

/// A picture as its output shows it. `card`: the output's house card; without one, that curtain is black.
/// A call-out is seen over every curtain but black, where the output shows call-outs. A test card is seen
/// over everything.
[[nodiscard]] Scene covered(Scene scene, const Output& output, const Covers& covers, const Scene* card);

/// Objects of the kind Screen show the picture that `all` has of their output: of the one that they name,
/// else of the first that is a hall's. An object that shows its own output, or one that there is not, is left
/// out.
[[nodiscard]] std::vector<Scene> withScreens(std::vector<Scene> all, const std::vector<Output>& outputs);

/// The words on black, or on white where they are dark. What is see-through stays so.
[[nodiscard]] Scene onPlainGround(Scene scene);

} // namespace mivanta
