// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Placing.h"

namespace mivanta {

/// Puts files into the order, in the background: one picture is an item, several are a set, and so are
/// pieces of music; songs are brought into the library first, unless they are there. What is nothing of that
/// kind is told and left out. Nothing happens when `asker` is gone by then.
/// Folders are none of its files: see placeFolderAsLoop().
void placeFiles(Session& session, QObject* asker, const QStringList& files, const PlaceWords& place);

} // namespace mivanta
