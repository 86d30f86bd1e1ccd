// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/ReadingPanel.h"
#include "core/run/RunState.h"
#include "desk/kit/PictureView.h"
#include "desk/kit/Style.h"
#include "render/LegibilityMeasure.h"
#include <QGridLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <cmath>

namespace mivanta {

namespace {

constexpr int kColumns = 3;

double lookPx(int fontSize, const Output& output) {
    return fontSize * kLookHeight / output.size.height();
}

bool changesSize(Mend mend) {
    return mend == Mend::Larger || mend == Mend::FewerLines || mend == Mend::LargerBox;
}

} // namespace

ReadingPanel::ReadingPanel(ThumbnailStore& thumbnails, Contrasts& contrasts, QWidget* parent)
    : QWidget(parent),
      m_thumbnails(thumbnails),
      m_contrasts(contrasts) {
    setObjectName(QStringLiteral("reading-panel"));
    m_text = new QLabel(this);
    m_text->setObjectName(QStringLiteral("reading-text"));
    m_text->setWordWrap(true);
    m_grid = new QGridLayout;
    m_grid->setSpacing(spaced(2));
    for (int c = 0; c < kColumns; ++c)
        m_grid->setColumnStretch(c, 1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_text);
    column->addLayout(m_grid);
    hide();
}

void ReadingPanel::clear() {
    hide();
    show(std::vector<Tried>());
}

void ReadingPanel::setReading(const ItemSlides& slides, const OutputSlides& output, const Refit& refit) {
    const auto reading = readingOf(slides, output, m_contrasts, Contrasts::Urgency::Seen);
    if (!reading) {
        clear();
        return;
    }
    const Slide& worst = output.slides[size_t(reading->slide)];
    MendCase slide;
    slide.look = output.lookOf(worst);
    slide.fontSize = lookPx(output.fontSizeOf(worst), output.output);
    slide.reading = reading->worst;
    slide.lines = std::min(slide.look.words.linesAtMost, output.output.linesAtMost);
    slide.insisted = output.output.insists;
    const size_t count = mendsFor(slide, 1).size();
    m_isMeasuring = false;
    std::vector<Tried> offers;
    for (size_t i = 0; i < count; ++i)
        if (auto offer = tried(slide, i, slides, output, reading->slide, refit))
            offers.push_back(std::move(*offer));
    if (m_isMeasuring)
        offers.clear(); // half measured, one would promise less than it can, and move under the pointer
    const bool isFine = slide.reading.isLargeEnough() && slide.reading.isStrongEnough();
    QString text = tr("%1, slide %2: %3.")
                       .arg(output.output.label())
                       .arg(reading->slide + 1)
                       .arg(readingText(slide.reading));
    if (isFine)
        text = tr("%1: %2 px wanted, %3 px came out, %4.")
                   .arg(output.output.label())
                   .arg(slide.look.words.size)
                   .arg(std::lround(slide.fontSize))
                   .arg(output.reasonText);
    if (slide.look.backdrop.kind == BackdropKind::Film)
        text += u' ' + tr("That is the worst of %n moments of the film.", nullptr, kMeasuredMoments);
    if (!offers.empty())
        text += u' ' + tr("This would mend it:");
    else if (!isFine && !slide.insisted.empty())
        text += u' ' + tr("The output insists on its own theme; change that in the Library, under Themes.");
    m_text->setText(text);
    setVisible(!isFine || !offers.empty());
    show(offers);
}

std::optional<ReadingPanel::Tried> ReadingPanel::tried(const MendCase& slide, size_t which,
                                                       const ItemSlides& slides, const OutputSlides& output,
                                                       int at, const Refit& refit) {
    std::optional<Tried> best;
    LookOverrides before;
    for (int strength = 1; strength <= kMostMendStrength; ++strength) {
        const std::vector<MendOffer> offers = mendsFor(slide, strength);
        if (which >= offers.size() || (strength > 1 && offers[which].changes == before))
            break; // it can go no farther
        before = offers[which].changes;
        auto now =
            changesSize(offers[which].mend)
                ? triedSize(slide, offers[which], output, at, refit)
                : triedContrast(slide, offers[which], sceneOf(slides, output, at), output.output.light);
        if (now)
            best = std::move(now);
        if (best && best->reaches)
            break;
    }
    return best;
}

const ItemSlides& ReadingPanel::refitted(const LookOverrides& changes, const Refit& refit) {
    for (const auto& [known, slides] : m_refitted)
        if (known == changes)
            return slides;
    return m_refitted.emplace_back(changes, refit(changes)).second;
}

std::optional<ReadingPanel::Tried> ReadingPanel::triedSize(const MendCase& slide, const MendOffer& offer,
                                                           const OutputSlides& output, int at,
                                                           const Refit& refit) {
    const ItemSlides& made = refitted(offer.changes, refit);
    const auto same = std::find_if(made.outputs.begin(), made.outputs.end(), [&](const OutputSlides& o) {
        return o.output.name == output.output.name;
    });
    if (same == made.outputs.end() || same->slides.empty())
        return std::nullopt;
    const int shown = same->slideAt(output.slides[size_t(at)].start).value_or(0);
    const double size = lookPx(same->fontSizeOf(same->slides[size_t(shown)]), output.output);
    if (size < slide.fontSize + 1)
        return std::nullopt; // it does not help
    const Legibility reading =
        readingOfSlide(made, *same, shown, m_contrasts, Contrasts::Urgency::WhenThereIsTime);
    const int more = int(same->slides.size()) - int(output.slides.size());
    QString effect = tr("%1 px, to %2 m").arg(std::lround(size)).arg(std::floor(reading.readsTo));
    if (more > 0)
        effect = tr("%1, %n slides more", nullptr, more).arg(effect);
    return Tried{offer, sceneOf(made, *same, shown), effect, size + 1 >= slide.wantedSize()};
}

std::optional<ReadingPanel::Tried> ReadingPanel::triedContrast(const MendCase& slide, const MendOffer& offer,
                                                               const Scene& scene, RoomLight light) {
    Scene mended = scene;
    offer.changes.applyTo(mended.look);
    const auto contrast = m_contrasts.of(mended, light);
    m_isMeasuring |= !contrast;
    if (!contrast || *contrast <= slide.reading.contrast + 0.05)
        return std::nullopt;
    return Tried{offer, mended, tr("contrast %1").arg(QString::number(*contrast, 'f', 1)),
                 *contrast >= kGoodContrast};
}

void ReadingPanel::show(const std::vector<Tried>& offers) {
    m_offers.clear();
    while (m_pictures.size() < offers.size()) {
        const int at = int(m_pictures.size());
        auto* view = new PictureView(m_thumbnails, this);
        view->setObjectName(QStringLiteral("mend-%1").arg(at));
        connect(view, &PictureView::clicked, this, [this, at] {
            if (at < int(m_offers.size()))
                Q_EMIT mendWanted(m_offers[size_t(at)].changes, m_offers[size_t(at)].label);
        });
        m_grid->addWidget(view, at / kColumns, at % kColumns);
        m_pictures.push_back(view);
    }
    for (size_t i = 0; i < m_pictures.size(); ++i) {
        m_pictures[i]->setVisible(i < offers.size());
        if (i >= offers.size()) {
            m_pictures[i]->setScene(std::nullopt);
            continue;
        }
        m_offers.push_back(offers[i].offer);
        m_pictures[i]->setScene(offers[i].scene);
        m_pictures[i]->setCaption(offers[i].offer.label, offers[i].effect);
        m_pictures[i]->setChoosable(
            tr("%1: %2. Click to do it.").arg(offers[i].offer.label, offers[i].effect));
    }
}

} // namespace mivanta

#include "moc_ReadingPanel.cpp"
