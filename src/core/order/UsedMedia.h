// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// The files of the library's media that a service uses: pictures in its items, its themes and every look in
/// it, and sounds. Each once, in the order in which they come.
[[nodiscard]] QStringList mediaOf(const Service& service);
/// Those that the item itself shows.
[[nodiscard]] QStringList mediaOf(const ItemWords& words);
/// The same with what sounds with it. Each once.
[[nodiscard]] QStringList mediaOf(const Item& item);
/// Has another file used wherever that one is.
void renameMedia(Service& service, const QString& from, const QString& to);

/// A font that words of a service are set in.
struct UsedFont {
    QString family;
    int weight = 400; ///< 100 to 900
    friend bool operator==(const UsedFont&, const UsedFont&) = default;
};
/// The fonts of its themes and looks; each once. The program's own font is not among them.
[[nodiscard]] std::vector<UsedFont> fontsOf(const Service& service);

/// The file that a font comes from.
struct FontFile {
    UsedFont font;
    QString path;
    QString refusal; ///< why its licence forbids to carry it to another computer; empty = it may be carried
};

} // namespace mivanta
