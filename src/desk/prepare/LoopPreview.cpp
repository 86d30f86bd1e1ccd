// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LoopPreview.h"
#include "core/base/Clock.h"
#include "core/run/Cards.h"
#include "desk/kit/PictureView.h"
#include "desk/kit/RowFields.h"
#include "desk/prepare/LoopWords.h"
#include "session/service/LoopPlans.h"
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kTickMs = 50;
constexpr int kTimesAsFast = 10;
} // namespace

LoopPreview::LoopPreview(Session& session, ThumbnailStore& thumbnails, QPushButton* button, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_play(button) {
    m_picture = new PictureView(thumbnails, this);
    m_picture->setMaximumWidth(spaced(76));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_picture);
    m_tick.setInterval(kTickMs);
    connect(&m_tick, &QTimer::timeout, this, &LoopPreview::tick);
    connect(m_play, &QPushButton::clicked, this, &LoopPreview::playOrStop);
    stop();
}

void LoopPreview::setPlan(const LoopPlan& plan) {
    m_plan = plan;
    m_shown = -1;
    m_play->setEnabled(!plan.timeline.showings.empty());
    if (plan.timeline.showings.empty())
        stop();
}

void LoopPreview::stop() {
    m_tick.stop();
    m_shown = -1;
    m_play->setText(tr("Play it here, ten times as fast"));
    hide();
    Q_EMIT playedTo(std::nullopt);
}

void LoopPreview::playOrStop() {
    if (m_tick.isActive()) {
        stop();
        return;
    }
    show();
    m_begun = Clock::the().steady();
    m_play->setText(tr("Stop"));
    m_tick.start();
    tick();
}

void LoopPreview::tick() {
    const qint64 now = (Clock::the().steady() - m_begun) * kTimesAsFast;
    const int at = m_plan.timeline.at(now);
    if (at < 0 || !isVisible()) {
        stop();
        return;
    }
    Q_EMIT playedTo(now);
    if (std::exchange(m_shown, at) == at)
        return;
    const LoopStill still = m_plan.stillOf(m_plan.timeline.showings[size_t(at)]);
    const auto cue = cueOf(still, m_session.book());
    const ItemSlides* slides = cue ? m_session.book().slidesOf(cue->item) : nullptr;
    const int main = slides ? mainOutput(*slides) : -1;
    if (main < 0)
        return;
    const OutputSlides& output = slides->outputs[size_t(main)];
    m_picture->setScene(sceneOf(*slides, output, output.slideAt(cue->position)));
    const qint64 ms = m_plan.timeline.showings[size_t(at)].begins;
    m_picture->setCaption(stillName(still, m_session.document().service()),
                          m_plan.begins.isValid()
                              ? m_plan.begins.addMSecs(ms).toString(QStringLiteral("HH:mm:ss"))
                              : QString());
}

} // namespace mivanta

#include "moc_LoopPreview.cpp"
