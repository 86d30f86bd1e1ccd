// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include <functional>

namespace mivanta {

class Library;

/// The service that an order's lines in a file say (core/order/OrderText), with what the library has: a
/// song's or a text's title, or else a reference. "[pictures] quay.jpg, boats.jpg" and sounds are files
/// beside the order, which are brought into the library.
[[nodiscard]] Result<Service> serviceFromOrder(Library& library, const QString& path,
                                               const std::function<Result<Song>(const QString&)>& findSong);

} // namespace mivanta
