// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"

namespace mivanta {

class Library;

/// The service that an order's lines in a file say (core/order/OrderText), with what the library has
/// for sure (store/finding/SurePick). "[pictures] quay.jpg, boats.jpg" and sounds are files
/// beside the order, which are brought into the library; "[live] Harbour camera" is one of `inputs`.
[[nodiscard]] Result<Service> serviceFromOrder(Library& library, const QString& path,
                                               const std::vector<LiveInput>& inputs);

} // namespace mivanta
