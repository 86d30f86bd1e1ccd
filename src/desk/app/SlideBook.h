// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include "desk/app/ServiceDocument.h"
#include "render/FontMeasure.h"
#include <QTimer>

namespace mivanta {

/// The slides of every item of the service on every output, made when asked for and otherwise one at a time
/// while the program is idle. Items that did not change keep theirs. Lives on the GUI thread.
class SlideBook : public QObject, public RunPlan {
    Q_OBJECT
public:
    SlideBook(ServiceDocument& document, std::vector<Theme> themes, QObject* parent = nullptr);

    void setOutputs(const std::vector<Output>& outputs);
    [[nodiscard]] const std::vector<Output>& outputs() const { return m_outputs; }
    [[nodiscard]] const std::vector<Theme>& themes() const { return m_themes; }

    [[nodiscard]] int itemCount() const override { return int(m_items.size()); }
    [[nodiscard]] ItemId itemId(int index) const override { return m_items[size_t(index)]; }
    [[nodiscard]] const ItemSlides& slides(int index) const override;
    [[nodiscard]] const ItemSlides* slidesOf(const ItemId& id) const;
    /// Slides of a song that is in no service yet, in the service's theme.
    [[nodiscard]] ItemSlides slidesOf(const Song& song) const;

    /// True once every item has its slides; then slideCount() is that of the main output in all.
    [[nodiscard]] bool isComplete() const;
    [[nodiscard]] int slideCount() const;

Q_SIGNALS:
    void changed();   ///< items, theme or outputs
    void completed(); ///< every item has its slides

private:
    struct Made {
        std::shared_ptr<const Song> song;
        std::shared_ptr<const ItemSlides> slides;
    };
    void serviceChanged();
    void makeOne();

    ServiceDocument& m_document;
    std::vector<Theme> m_themes;
    std::vector<Output> m_outputs;
    std::vector<ItemId> m_items;
    Theme m_madeWith;
    mutable QHash<ItemId, Made> m_made;
    mutable FontMeasures m_measures;
    QTimer m_idle;
};

} // namespace mivanta
