// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/legibility/Mending.h"
#include "core/run/Slides.h"
#include "session/readings/Readings.h"
#include "session/readings/ThumbnailStore.h"
#include <QWidget>

class QGridLayout;
class QLabel;

namespace mivanta {

class PictureView;

/// How words are read on one output, and, where they are too small or too weak, pictures of what would mend
/// it: each shows its effect, and a click does it.
class ReadingPanel : public QWidget {
    Q_OBJECT
public:
    /// The item as it would be with these changes.
    using Refit = std::function<ItemSlides(const LookOverrides& changes)>;

    ReadingPanel(ThumbnailStore& thumbnails, Contrasts& contrasts, QWidget* parent = nullptr);

    /// Show it again when Contrasts::measured() tells of more. Hidden while nothing wants mending. What
    /// refit() gave is kept until forget().
    void setReading(const ItemSlides& slides, const OutputSlides& output, const Refit& refit);
    /// The item or its look is another one.
    void forget() { m_refitted.clear(); }
    void clear();

Q_SIGNALS:
    void mendWanted(const mivanta::LookOverrides& changes, const QString& label);

private:
    /// An offer that was tried.
    struct Tried {
        MendOffer offer;
        Scene scene;
        QString effect; ///< in words
        bool reaches = false;
    };
    /// At the least strength that reaches what is wanted, else the greatest; nothing when it does not help,
    /// or while its effect is being measured.
    [[nodiscard]] std::optional<Tried> tried(const MendCase& slide, size_t which, const ItemSlides& slides,
                                             const OutputSlides& output, int at, const Refit& refit);
    [[nodiscard]] std::optional<Tried> triedSize(const MendCase& slide, const MendOffer& offer,
                                                 const OutputSlides& output, int at, const Refit& refit);
    [[nodiscard]] std::optional<Tried> triedContrast(const MendCase& slide, const MendOffer& offer,
                                                     const Scene& scene, RoomLight light);
    [[nodiscard]] const ItemSlides& refitted(const LookOverrides& changes, const Refit& refit);
    void show(const std::vector<Tried>& offers);

    ThumbnailStore& m_thumbnails;
    Contrasts& m_contrasts;
    QLabel* m_text;
    QGridLayout* m_grid;
    std::vector<PictureView*> m_pictures;
    std::vector<MendOffer> m_offers; ///< by picture
    std::vector<std::pair<LookOverrides, ItemSlides>> m_refitted;
    bool m_isMeasuring = false; ///< what an offer would reach; none is shown before all are known
};

} // namespace mivanta
