// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/SlideGrid.h"
#include "core/run/Cards.h"
#include "desk/kit/Style.h"
#include <QGridLayout>
#include <QKeyEvent>

namespace mivanta {

namespace {

/// How many slides stand in a row, so that a usual song takes two rows.
int columnsFor(int slides, bool isSmall) {
    return isSmall ? 6 : slides <= 3 ? 3 : slides <= 8 ? 4 : 5;
}

constexpr int kMostColumns = 6;
constexpr int kMostRows = 2; ///< that are seen at once; more scroll

} // namespace

SlideGrid::SlideGrid(ThumbnailStore& thumbnails, QWidget* parent)
    : QScrollArea(parent),
      m_thumbnails(thumbnails) {
    setObjectName(QStringLiteral("slide-grid"));
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setFocusPolicy(Qt::NoFocus);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Maximum);
    auto* content = new QWidget(this);
    m_grid = new QGridLayout(content);
    m_grid->setContentsMargins(0, 0, 0, 0);
    m_grid->setSpacing(spaced(2));
    setWidget(content);
}

QSize SlideGrid::sizeHint() const {
    if (m_count == 0)
        return {0, 0};
    const int columns = columnsFor(m_count, m_isSmall);
    const int rows = std::min(kMostRows, (m_count + columns - 1) / columns);
    const int width = (viewport()->width() - (columns - 1) * m_grid->spacing()) / columns;
    int high = 0;
    for (int i = 0; i < std::min(m_count, columns); ++i)
        high = std::max(high, m_pictures[size_t(i)]->heightForWidth(width));
    return {width * columns, rows * high + (rows - 1) * m_grid->spacing() + 2};
}

void SlideGrid::resizeEvent(QResizeEvent* event) {
    QScrollArea::resizeEvent(event);
    if (event->oldSize().width() != event->size().width()) {
        setFixedHeight(sizeHint().height());
        updateGeometry();
    }
}

void SlideGrid::addPicture() {
    auto* view = new PictureView(m_thumbnails, widget());
    const int at = int(m_pictures.size());
    view->setChoosable(tr("Choose this slide: it can say something else, or have a look of its own"));
    view->setTakesLooks();
    view->installEventFilter(this);
    connect(view, &PictureView::lookDropped, this,
            [this, at](const LookDrop& drop) { Q_EMIT lookDropped(at, drop); });
    connect(view, &PictureView::clicked, this, [this, at] { Q_EMIT clicked(at); });
    m_pictures.push_back(view);
}

void SlideGrid::arrange() {
    const int columns = columnsFor(m_count, m_isSmall);
    if (columns != m_columns) {
        m_columns = columns;
        for (int c = 0; c < kMostColumns; ++c)
            m_grid->setColumnStretch(c, c < columns ? 1 : 0);
        for (PictureView* view : m_pictures)
            m_grid->removeWidget(view);
    }
    for (int i = 0; i < int(m_pictures.size()); ++i)
        if (m_grid->indexOf(m_pictures[size_t(i)]) < 0)
            m_grid->addWidget(m_pictures[size_t(i)], i / columns, i % columns, Qt::AlignTop);
}

void SlideGrid::setSlides(const ItemSlides& slides) {
    m_isSmall = false;
    const int main = slides.outputs.empty() ? -1 : mainOutput(slides);
    std::vector<Picture> pictures;
    const int count = main < 0 ? 0 : int(slides.outputs[size_t(main)].slides.size());
    for (int i = 0; i < count; ++i) {
        const OutputSlides& output = slides.outputs[size_t(main)];
        const Slide& slide = output.slides[size_t(i)];
        const ContentEntry& entry = slides.content.entries[size_t(slide.start.entry)];
        QString place = tr("%1 of %2").arg(slide.number).arg(slide.of);
        if (entry.passes > 1)
            place += QStringLiteral(" \u00b7 \u00d7%1: %2").arg(entry.passes).arg(entry.pass);
        pictures.push_back(
            {sceneOf(slides, output, i), slides.content.parts[size_t(entry.part)].label, place});
    }
    show(pictures);
}

void SlideGrid::setPictures(const std::vector<Picture>& pictures) {
    m_isSmall = true;
    show(pictures);
}

void SlideGrid::show(const std::vector<Picture>& pictures) {
    m_count = int(pictures.size());
    while (int(m_pictures.size()) < m_count)
        addPicture();
    arrange();
    for (int i = 0; i < int(m_pictures.size()); ++i) {
        PictureView* view = m_pictures[size_t(i)];
        view->setVisible(i < m_count);
        view->setScene(i < m_count ? std::optional(pictures[size_t(i)].scene) : std::nullopt);
        if (i < m_count)
            view->setCaption(pictures[size_t(i)].name, pictures[size_t(i)].place);
    }
    const int rows = (m_count + m_columns - 1) / m_columns;
    // Pictures are as high as their width asks: a bar that came and went would have them swing to and fro.
    setVerticalScrollBarPolicy(rows > kMostRows ? Qt::ScrollBarAlwaysOn : Qt::ScrollBarAlwaysOff);
    setVisible(m_count > 0);
    setFixedHeight(sizeHint().height());
}

void SlideGrid::setChosen(const std::optional<int>& slide) {
    for (int i = 0; i < int(m_pictures.size()); ++i)
        m_pictures[size_t(i)]->setChosen(slide && i == *slide);
    if (slide && *slide < m_count)
        ensureWidgetVisible(m_pictures[size_t(*slide)]);
}

void SlideGrid::moveFocus(int from, int to) {
    if (to >= 0 && to < int(m_pictures.size()) && m_pictures[size_t(from)]->hasFocus())
        m_pictures[size_t(to)]->setFocus();
}

bool SlideGrid::eventFilter(QObject* watched, QEvent* event) {
    const auto at = std::find(m_pictures.begin(), m_pictures.end(), watched);
    if (event->type() != QEvent::KeyPress || at == m_pictures.end())
        return QScrollArea::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const int slide = int(at - m_pictures.begin());
    const bool isAlt = key->modifiers() & Qt::AltModifier;
    if (key->key() == Qt::Key_Delete)
        Q_EMIT hideWanted(slide);
    else if (isAlt && (key->key() == Qt::Key_Left || key->key() == Qt::Key_Right))
        Q_EMIT moveWanted(slide, key->key() == Qt::Key_Left ? -1 : 1);
    else
        return QScrollArea::eventFilter(watched, event);
    return true;
}

} // namespace mivanta

#include "moc_SlideGrid.cpp"
