// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace mivanta {

/// One function for each kind in a std::variant, to be given to std::visit.
template <typename... Functions>
struct Cases : Functions... {
    using Functions::operator()...;
};
template <typename... Functions>
Cases(Functions...) -> Cases<Functions...>;

} // namespace mivanta
