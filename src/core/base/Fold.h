// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>

namespace mivanta {

/// Text as search sees it: lower case, without accents, points and apostrophes; other signs become spaces.
/// Line ends stay.
[[nodiscard]] QString foldedForSearch(const QString& text);

/// The words of a folded query.
[[nodiscard]] QStringList searchWords(const QString& query);

} // namespace mivanta
