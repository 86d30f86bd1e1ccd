// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace mivanta {

class Figures;

/// A watched folder of 20,000 files: read, shown, searched, scrolled.
void benchMedia(Figures& figures);

} // namespace mivanta
