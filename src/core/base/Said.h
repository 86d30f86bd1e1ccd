// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QCoreApplication>
#include <QStringList>
#include <climits>
#include <concepts>
#include <utility>

namespace mivanta {

/// What a person reads, where there is no QObject to ask for its translation: Said::tr("…"), and
/// Said::tr("%n songs", nullptr, count) for what is counted. Tables hold QT_TRANSLATE_NOOP("Said", "…"),
/// which is said by Said::tr when it is shown. Any thread.
struct Said {
    Q_DECLARE_TR_FUNCTIONS(Said)

public:
    /// A count of any type and size for tr("%n …", nullptr, count).
    [[nodiscard]] static int n(std::integral auto count) {
        return std::in_range<int>(count) ? int(count) : std::cmp_less(count, 0) ? INT_MIN : INT_MAX;
    }
    /// "a", "a and b", "a, b and c".
    [[nodiscard]] static QString all(const QStringList& texts);
    /// "a", "a or b", "a, b or c".
    [[nodiscard]] static QString any(const QStringList& texts);
};

} // namespace mivanta
