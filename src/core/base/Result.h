// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <tl/expected.hpp>

namespace mivanta {

/// What went wrong, in words for the person at the desk.
struct Error {
    QString what;   ///< one sentence: what happened
    QString where;  ///< file, line or record; may be empty
    QString remedy; ///< what to do about it; may be empty

    /// All three as one line: "where: what. remedy"
    [[nodiscard]] QString text() const {
        QString line = where.isEmpty() ? what : where + QStringLiteral(": ") + what;
        if (remedy.isEmpty())
            return line;
        return line + (line.endsWith(u'.') ? QStringLiteral(" ") : QStringLiteral(". ")) + remedy;
    }
};

template <typename T>
using Result = tl::expected<T, Error>;

[[nodiscard]] inline tl::unexpected<Error> failure(QString what, QString where = {}, QString remedy = {}) {
    return tl::unexpected<Error>(Error{std::move(what), std::move(where), std::move(remedy)});
}

} // namespace mivanta
