// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/WordsPreview.h"
#include "core/run/Cards.h"
#include "core/song/PartEdits.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kSoonMs = 120;
}

WordsPreview::WordsPreview(SlideBook& book, ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_book(book) {
    m_hall = new PictureView(thumbnails, this);
    m_hall->setObjectName(QStringLiteral("library-hall"));
    m_stream = new PictureView(thumbnails, this);
    auto* back = new QToolButton(this);
    back->setText(QStringLiteral("\u2039"));
    back->setObjectName(QStringLiteral("preview-back"));
    back->setToolTip(tr("The step before"));
    auto* on = new QToolButton(this);
    on->setText(QStringLiteral("\u203a"));
    on->setObjectName(QStringLiteral("preview-on"));
    on->setToolTip(tr("The next step"));
    connect(back, &QToolButton::clicked, this, [this] { stepBy(-1); });
    connect(on, &QToolButton::clicked, this, [this] { stepBy(1); });
    auto* steps = new QHBoxLayout;
    steps->addWidget(back);
    steps->addWidget(on);
    steps->addStretch(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_hall);
    column->addWidget(m_stream);
    column->addLayout(steps);
    m_soon.setSingleShot(true);
    m_soon.setInterval(kSoonMs);
    connect(&m_soon, &QTimer::timeout, this, &WordsPreview::makeSlides);
}

void WordsPreview::setSong(const std::optional<Song>& song, Shows shows) {
    m_song = song;
    m_words.reset();
    changed(song ? shows : Shows::Another);
}

void WordsPreview::setWords(const std::optional<ItemWords>& words, Shows shows) {
    m_song.reset();
    m_words = words;
    changed(words ? shows : Shows::Another);
}

void WordsPreview::changed(Shows shows) {
    if (shows == Shows::Same) {
        m_soon.start();
        return;
    }
    m_step = 0;
    m_wantedPlace = {-1, -1};
    makeSlides();
}

void WordsPreview::refresh() {
    if (isVisible())
        makeSlides();
    else
        m_soon.start();
}

void WordsPreview::makeSlides() {
    m_soon.stop();
    m_slides.reset();
    if (m_song)
        m_words = songItem(tidied(*m_song));
    if (m_words && !m_book.outputs().empty())
        m_slides = m_book.slidesOf(*m_words);
    if (m_wantedPlace.first >= 0)
        showPlace(m_wantedPlace.first, m_wantedPlace.second);
    else
        showStep();
    Q_EMIT slidesMade();
}

void WordsPreview::showPlace(int part, int line) {
    m_wantedPlace = {part, line};
    if (!m_slides)
        return;
    for (int e = 0; e < int(m_slides->content.entries.size()); ++e)
        if (m_slides->content.entries[size_t(e)].part == part) {
            m_step = m_slides->stepAt({e, line, 0});
            break;
        }
    showStep();
}

void WordsPreview::stepBy(int by) {
    if (!m_slides)
        return;
    m_wantedPlace = {-1, -1};
    m_step = std::clamp(m_step + by, 0, int(m_slides->steps.size()) - 1);
    showStep();
}

void WordsPreview::showStep() {
    for (const auto& [view, kind] :
         {std::pair{m_hall, OutputKind::Hall}, std::pair{m_stream, OutputKind::Stream}}) {
        const OutputSlides* output = nullptr;
        if (m_slides)
            for (const OutputSlides& o : m_slides->outputs)
                if (!output && o.output.kind == kind)
                    output = &o;
        view->setVisible(output || view == m_hall);
        if (!output) {
            view->setScene(std::nullopt);
            view->setCaption({});
            continue;
        }
        m_step = std::clamp(m_step, 0, int(m_slides->steps.size()) - 1);
        const Step& step = m_slides->steps[size_t(m_step)];
        view->setScene(sceneOf(*m_slides, *output, output->slideAt(step.position)));
        view->setCaption(tr("%1 \u00b7 %2 px").arg(output->output.label()).arg(output->fontSize),
                         tr("step %1 of %2").arg(m_step + 1).arg(m_slides->steps.size()));
        view->setToolTip(tr("%1: %2").arg(output->output.label(), output->reasonText));
    }
}

QStringList WordsPreview::partNotes() const {
    QStringList notes;
    const int main = m_slides ? mainOutput(*m_slides) : -1;
    for (size_t p = 0; m_song && main >= 0 && p < m_song->parts.size(); ++p) {
        int count = 0;
        for (const Slide& slide : m_slides->outputs[size_t(main)].slides)
            if (m_slides->content.entries[size_t(slide.start.entry)].part == int(p))
                count = std::max(count, slide.of);
        const QString none = m_song->parts[p].hasWords() ? tr("not sung") : QString();
        notes << (count == 0 ? none : tr("%n slides", nullptr, count));
    }
    return notes;
}

} // namespace mivanta

#include "moc_WordsPreview.cpp"
