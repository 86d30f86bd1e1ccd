// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/readings/Readings.h"
#include "session/service/SlideBook.h"
#include <deque>

namespace mivanta {

/// How every item of the service is read on every output; found out while there is nothing else to do. GUI
/// thread.
class ServiceReadings : public QObject {
    Q_OBJECT
public:
    ServiceReadings(SlideBook& book, Contrasts& contrasts, QObject* parent = nullptr);

    struct Worst {
        Reading reading;
        ItemId item;
    };
    /// By output, in their order; nothing for those that show no words. Of what is known so far.
    [[nodiscard]] std::vector<std::optional<Worst>> worst() const;
    /// The same of one item; empty while nothing is known of it.
    [[nodiscard]] std::vector<std::optional<Reading>> of(const ItemId& item) const;
    /// True once every item is known, with its contrasts.
    [[nodiscard]] bool isComplete() const;

Q_SIGNALS:
    void changed(); ///< at most a few times a second

private:
    struct Known {
        std::shared_ptr<const ItemSlides> slides; ///< that the readings are of
        std::vector<std::optional<Reading>> outputs;
    };
    void bookChanged();
    void readOne();

    SlideBook& m_book;
    Contrasts& m_contrasts;
    QHash<ItemId, Known> m_known;
    std::deque<ItemId> m_pending;
    std::deque<ItemId> m_waiting; ///< for contrasts
    QTimer m_idle;
    QTimer m_soon;
};

} // namespace mivanta
