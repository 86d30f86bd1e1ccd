// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/OrderList.h"
#include "store/finding/Finding.h"

namespace mivanta {

/// What a line of an order may become.
struct LineChoice {
    struct LeftOut {};
    using What = std::variant<FindPick, Heading, NoteItem, SlotItem, LeftOut>;
    QString text; ///< as it is offered
    What what;
};

/// A line with everything that it may become, the likeliest first; never empty.
struct MatchedLine {
    OrderLine line;
    std::vector<LineChoice> choices;
    bool isDoubtful = false; ///< a person has to look
};

/// Looks each line up: a reference, or the very title of a song or a text, is taken for sure; anything else
/// that Find has for it is offered. What is not found at all is a place to fill when it has a label, else a
/// note.
[[nodiscard]] Result<std::vector<MatchedLine>> matchOrder(Finder& finder,
                                                          const std::vector<OrderLine>& lines);

/// The item that a line becomes by this choice, with who leads, its length and its note; nothing when it is
/// left out.
[[nodiscard]] Result<std::optional<Item>> itemOf(Finder& finder, const OrderLine& line,
                                                 const LineChoice::What& choice);

} // namespace mivanta
