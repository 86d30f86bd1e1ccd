// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QTime>
#include <optional>
#include <vector>

namespace mivanta {

/// One line of an order as somebody wrote it in an e-mail or a table.
struct OrderLine {
    enum class Kind { Heading, Item };
    Kind kind = Kind::Item;
    QString written; ///< as it stands there
    QString label;   ///< what the place is called, such as "Opening song"; may be empty
    QString words;   ///< what to look for; empty when only the place is named
    QString leader;
    QString note;
    std::optional<QTime> at;    ///< the time that stands before it
    std::optional<int> seconds; ///< how long it takes
};

/// Reads an order from plain text, or from a table with a row of column names (CSV with commas, semicolons or
/// tabs; the names may be in any order and are known by what they begin with). Of plain text quote marks,
/// bullets, numbers and times before a line are taken off; what stands in brackets behind it is a duration or
/// who leads; "Opening song: …" has a label; "# …", "…:" and lines in capitals are headings; a line "-- "
/// begins the signature, which is left out. Never fails: a line that says nothing is left out.
[[nodiscard]] std::vector<OrderLine> orderLinesOf(const QString& text);

} // namespace mivanta
