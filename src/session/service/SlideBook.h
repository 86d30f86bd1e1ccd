// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include "render/FontMeasure.h"
#include "session/service/ServiceDocument.h"
#include <QTimer>
#include <functional>

namespace mivanta {

/// The slides of every item of the service on every output, made when asked for and otherwise one at a time
/// while the program is idle. Items that did not change keep theirs. Lives on the GUI thread.
class SlideBook : public QObject, public Lineup {
    Q_OBJECT
public:
    SlideBook(ServiceDocument& document, std::vector<Theme> themes, QObject* parent = nullptr);

    void setOutputs(const std::vector<Output>& outputs);
    [[nodiscard]] const std::vector<Output>& outputs() const { return m_outputs; }
    [[nodiscard]] const std::vector<Theme>& themes() const { return m_themes; }
    void setThemes(const std::vector<Theme>& themes);
    [[nodiscard]] MeasureSource& measures() const { return m_measures; }

    [[nodiscard]] int itemCount() const override { return int(m_items.size()); }
    [[nodiscard]] ItemId itemId(int index) const override { return m_items[size_t(index)]; }
    [[nodiscard]] const ItemSlides& slides(int index) const override;
    [[nodiscard]] const ItemSlides* unplanned(const ItemId& id) const override;
    [[nodiscard]] std::optional<Loop> loopAt(int index) const override;
    /// Of a loop's first member: what its rule shows first, today.
    [[nodiscard]] Cue entry(int index) const override;
    /// Why an item, or a picture of a set, cannot be shown here; empty = it can, as far as is known.
    using ProblemOf = std::function<QString(const Item&, int still)>;
    void setProblemOf(ProblemOf problemOf) { m_problemOf = std::move(problemOf); }
    [[nodiscard]] QString problemOf(const Item& item, int still) const {
        return m_problemOf ? m_problemOf(item, still) : QString();
    }
    /// Of an item of the service; null for a heading and for what is not there.
    [[nodiscard]] const ItemSlides* slidesOf(const ItemId& id) const;
    /// The same, to be kept for as long as they are wanted.
    [[nodiscard]] std::shared_ptr<const ItemSlides> sharedSlidesOf(const ItemId& id) const;
    /// Slides of what is in no service yet, as they would be in this one.
    [[nodiscard]] ItemSlides slidesOf(const ItemWords& words) const;
    [[nodiscard]] ItemSlides slidesOf(const Item& item) const;
    /// How many slides they are on the main output.
    [[nodiscard]] int slideCountOf(const ItemWords& words) const;

    /// Fonts have come: words are measured and divided anew.
    void remeasure();

    /// Something to be run without being in the order; it stays until another service is opened.
    void addUnplanned(const Item& item);
    /// Its words have become others.
    void changeUnplanned(const Item& item);
    [[nodiscard]] const Item* unplannedItem(const ItemId& id) const;
    /// Whatever can be run: the order's item, else the unplanned one; null when there is neither.
    [[nodiscard]] const Item* itemOf(const ItemId& id) const;

    /// What comes first of an item of the service, or of a loop; nothing when it has nothing to show.
    [[nodiscard]] std::optional<Cue> entryOf(const ItemId& item) const;
    /// The loop that it is a member of, else the item itself: what the order has as one.
    [[nodiscard]] ItemId blockOf(const ItemId& item) const;

    /// True once every item has its slides; then slideCount() is that of the main output in all.
    [[nodiscard]] bool isComplete() const;
    [[nodiscard]] int slideCount() const;

Q_SIGNALS:
    void changed(); ///< items, themes or outputs
    void themesChanged();
    void completed(); ///< every item has its slides

private:
    struct Made {
        ItemWords words;
        ItemLook look;
        SlideEdits edits;
        std::optional<LiveItem> behind; ///< the live item before it that is behind its words
        std::shared_ptr<const ItemSlides> slides;
    };
    void serviceChanged();
    void addToLineup(const Item& item, const Item* loop);
    void makeOne();

    ServiceDocument& m_document;
    std::vector<Theme> m_themes;
    std::vector<Output> m_outputs;
    std::vector<ItemId> m_items;
    struct LoopHere : Loop {
        ItemId id;
    };
    std::vector<LoopHere> m_loops; ///< with members, top to bottom
    ProblemOf m_problemOf;
    std::vector<Item> m_unplanned;
    Service m_madeWith; ///< without its items
    mutable QHash<ItemId, Made> m_made;
    mutable FontMeasures m_measures;
    QTimer m_idle;
};

} // namespace mivanta
