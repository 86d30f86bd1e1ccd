// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include "support/Samples.h"

namespace mivanta {

/// A lineup of songs that stays as it is unless a test takes items out.
class FixedLineup : public Lineup {
public:
    explicit FixedLineup(int songs) : FixedLineup(std::vector<Song>(size_t(songs), samples::harbourSong())) {}
    explicit FixedLineup(const std::vector<Song>& songs) {
        EvenMeasures measures;
        Output hall;
        hall.name = QStringLiteral("hall");
        outputs = {hall};
        for (const Song& song : songs) {
            ids.push_back(ItemId::create());
            items.push_back(slidesFor(contentOf(song), outputs, plainChain(samples::theme(), {}), measures));
        }
    }
    [[nodiscard]] int itemCount() const override { return int(ids.size()); }
    [[nodiscard]] ItemId itemId(int index) const override { return ids[size_t(index)]; }
    [[nodiscard]] const ItemSlides& slides(int index) const override { return items[size_t(index)]; }
    void takeOut(int index) {
        ids.erase(ids.begin() + index);
        items.erase(items.begin() + index);
    }

    std::vector<Output> outputs;
    std::vector<ItemId> ids;
    std::vector<ItemSlides> items;
};

} // namespace mivanta
