// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ThemeCanvas.h"
#include "desk/parts/LookListEditors.h"
#include "desk/parts/PictureView.h"
#include "desk/parts/Style.h"
#include <QDragEnterEvent>
#include <QKeyEvent>
#include <QMimeData>
#include <QMouseEvent>
#include <QPainter>
#include <QUrl>
#include <cmath>

namespace mivanta {

namespace {

constexpr double kHandle = 9;     // px, the side of a handle
constexpr double kReach = 7;      // px, from where a guide draws a box to it
constexpr double kNudge = 0.0025; // of the screen, for a press of an arrow key
constexpr double kLargeNudge = 0.025;

QPointF handleAt(const QRectF& area, const BoxGrip& grip) {
    return area.center() + QPointF(grip.across * area.width() / 2, grip.down * area.height() / 2);
}

constexpr BoxGrip kGrips[] = {{-1, -1}, {0, -1}, {1, -1}, {-1, 0}, {1, 0}, {-1, 1}, {0, 1}, {1, 1}};

} // namespace

ThemeCanvas::ThemeCanvas(ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_thumbnails(thumbnails) {
    setObjectName(QStringLiteral("theme-canvas"));
    setAccessibleName(tr("The slide: its boxes can be moved"));
    setToolTip(tr(
        "Drag a box or its handles. Tab goes from box to box, arrows move it, Ctrl with arrows resizes it, "
        "Shift makes larger steps; Alt while dragging lets it stand anywhere."));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAcceptDrops(true);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setSizePolicy(policy);
    connect(&m_thumbnails, &ThumbnailStore::ready, this, qOverload<>(&QWidget::update));
}

void ThemeCanvas::setScene(const std::optional<Scene>& scene) {
    m_scene = scene;
    if (!scene)
        m_last = {};
    if (m_chosen >= boxCount())
        choose(kWords);
    update();
}

void ThemeCanvas::setGuidesShown(bool shown) {
    m_guidesShown = shown;
    update();
}

QSize ThemeCanvas::sizeHint() const {
    return {spaced(160), spaced(90)};
}

QSize ThemeCanvas::minimumSizeHint() const {
    return {spaced(80), spaced(45)};
}

QRectF ThemeCanvas::pictureArea() const {
    const QSizeF shape = m_scene ? QSizeF(m_scene->size) : QSizeF(16, 9);
    const QSizeF fitted = shape.scaled(QSizeF(size()) - QSizeF(kHandle, kHandle), Qt::KeepAspectRatio);
    return {QPointF((width() - fitted.width()) / 2, (height() - fitted.height()) / 2), fitted};
}

int ThemeCanvas::boxCount() const {
    return m_scene ? kObjects + int(m_scene->look.objects.size()) : 0;
}

QRectF ThemeCanvas::shares(int box) const {
    if (!m_scene || box < 0 || box >= boxCount())
        return {};
    const Look& look = m_scene->look;
    return box == kWords    ? look.words.box
           : box == kCredit ? look.credit.box
                            : look.objects[size_t(box - kObjects)].box;
}

QRectF ThemeCanvas::areaOf(int box) const {
    const QRectF area = pictureArea();
    const QRectF share = shares(box);
    return {area.left() + share.left() * area.width(), area.top() + share.top() * area.height(),
            share.width() * area.width(), share.height() * area.height()};
}

std::vector<QRectF> ThemeCanvas::otherBoxes(int box) const {
    std::vector<QRectF> others;
    for (int other = 0; other < boxCount(); ++other)
        if (other != box)
            others.push_back(shares(other));
    return others;
}

void ThemeCanvas::choose(int box) {
    box = std::clamp(box, 0, std::max(0, boxCount() - 1));
    if (box == m_chosen)
        return;
    m_chosen = box;
    update();
    Q_EMIT chosenChanged(box);
}

std::optional<BoxGrip> ThemeCanvas::gripAt(QPointF at, int box) const {
    const QRectF area = areaOf(box);
    for (const BoxGrip& grip : kGrips) {
        const QPointF way = handleAt(area, grip) - at;
        if (std::abs(way.x()) <= kHandle && std::abs(way.y()) <= kHandle)
            return grip;
    }
    return area.contains(at) ? std::optional(BoxGrip()) : std::nullopt;
}

/// The chosen one if it is there, else the smallest: it would be hard to reach otherwise.
int ThemeCanvas::boxAt(QPointF at) const {
    if (gripAt(at, m_chosen))
        return m_chosen;
    int best = -1;
    for (int box = 0; box < boxCount(); ++box) {
        const QRectF area = areaOf(box);
        const auto sizeOf = [](const QRectF& r) { return r.width() * r.height(); };
        if (area.contains(at) && (best < 0 || sizeOf(area) < sizeOf(areaOf(best))))
            best = box;
    }
    return best;
}

void ThemeCanvas::setCursorFor(QPointF at) {
    const int box = boxAt(at);
    const auto grip = box >= 0 ? gripAt(at, box) : std::nullopt;
    if (!grip)
        unsetCursor();
    else if (grip->moves())
        setCursor(Qt::SizeAllCursor);
    else if (grip->across == 0)
        setCursor(Qt::SizeVerCursor);
    else if (grip->down == 0)
        setCursor(Qt::SizeHorCursor);
    else
        setCursor(grip->across == grip->down ? Qt::SizeFDiagCursor : Qt::SizeBDiagCursor);
}

void ThemeCanvas::send(const DraggedBox& dragged) {
    m_standing = dragged;
    // At once, so that the next key press goes on from here; the words follow when they are fitted again.
    Look& look = m_scene->look;
    (m_chosen == kWords    ? look.words.box
     : m_chosen == kCredit ? look.credit.box
                           : look.objects[size_t(m_chosen - kObjects)].box) = dragged.box;
    update();
    Q_EMIT boxChanged(m_chosen, dragged.box);
}

void ThemeCanvas::mousePressEvent(QMouseEvent* event) {
    const int box = event->button() == Qt::LeftButton ? boxAt(event->position()) : -1;
    if (box < 0)
        return;
    choose(box);
    if (const auto grip = gripAt(event->position(), box))
        m_drag = Drag{*grip, event->position(), shares(box)};
}

void ThemeCanvas::mouseMoveEvent(QMouseEvent* event) {
    if (!m_drag) {
        setCursorFor(event->position());
        return;
    }
    const QRectF area = pictureArea();
    const QPointF way = event->position() - m_drag->from;
    const QPointF by(way.x() / area.width(), way.y() / area.height());
    const bool isFree = event->modifiers() & Qt::AltModifier;
    const QSizeF reach = isFree ? QSizeF(0, 0) : QSizeF(kReach / area.width(), kReach / area.height());
    send(dragged(m_drag->box, m_drag->grip, by, guidesFor(otherBoxes(m_chosen)), reach));
}

void ThemeCanvas::mouseReleaseEvent(QMouseEvent* event) {
    if (!m_drag)
        return;
    m_drag.reset();
    m_standing = {};
    setCursorFor(event->position());
    update();
    Q_EMIT dragEnded();
}

void ThemeCanvas::keyPressEvent(QKeyEvent* event) {
    QPointF way;
    switch (event->key()) {
    case Qt::Key_Left:
        way = {-1, 0};
        break;
    case Qt::Key_Right:
        way = {1, 0};
        break;
    case Qt::Key_Up:
        way = {0, -1};
        break;
    case Qt::Key_Down:
        way = {0, 1};
        break;
    case Qt::Key_Delete:
        if (m_chosen >= kObjects)
            Q_EMIT objectRemoved(m_chosen - kObjects);
        return;
    default:
        QWidget::keyPressEvent(event);
        return;
    }
    if (!m_scene)
        return;
    const bool resizes = event->modifiers() & Qt::ControlModifier;
    const QPointF by = way * (event->modifiers() & Qt::ShiftModifier ? kLargeNudge : kNudge);
    const BoxGrip grip = resizes ? BoxGrip{way.x() != 0 ? 1 : 0, way.y() != 0 ? 1 : 0} : BoxGrip();
    send(dragged(shares(m_chosen), grip, by, {}, {0, 0}));
    m_standing = {};
}

/// Tab goes through the boxes first.
bool ThemeCanvas::focusNextPrevChild(bool next) {
    const int to = m_chosen + (next ? 1 : -1);
    if (!hasFocus() || to < 0 || to >= boxCount())
        return QWidget::focusNextPrevChild(next);
    choose(to);
    return true;
}

void ThemeCanvas::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void ThemeCanvas::dropEvent(QDropEvent* event) {
    QStringList paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile())
            paths << url.toLocalFile();
    event->acceptProposedAction();
    Q_EMIT picturesDropped(paths);
}

void ThemeCanvas::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QRectF area = pictureArea();
    if (!m_scene) {
        painter.setPen(day().quiet);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                         tr("Choose a theme, or make a new one."));
        return;
    }
    const QPixmap drawn = m_thumbnails.get(*m_scene, area.size().toSize() * devicePixelRatio());
    if (!drawn.isNull())
        m_last = drawn;
    paintChequers(painter, area.toRect(), false);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    if (!m_last.isNull())
        painter.drawPixmap(area.toRect(), m_last);
    if (m_guidesShown)
        paintGuides(painter);
    paintHandles(painter);
}

void ThemeCanvas::paintGuides(QPainter& painter) const {
    const QRectF area = pictureArea();
    const double x = kSafeMargin * area.width();
    const double y = kSafeMargin * area.height();
    painter.setPen(QPen(QColor(255, 255, 255, 110), 1, Qt::DotLine));
    painter.drawRect(area.adjusted(x, y, -x, -y));
    painter.setPen(QPen(QColor(255, 0, 140), 1)); // seen on every backdrop
    for (const double at : m_standing.across)
        painter.drawLine(QPointF(area.left() + at * area.width(), area.top()),
                         QPointF(area.left() + at * area.width(), area.bottom()));
    for (const double at : m_standing.down)
        painter.drawLine(QPointF(area.left(), area.top() + at * area.height()),
                         QPointF(area.right(), area.top() + at * area.height()));
}

void ThemeCanvas::paintHandles(QPainter& painter) const {
    const auto frame = [&](int box, const QColor& colour, Qt::PenStyle style) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(QColor(0, 0, 0, 120), 3, style)); // dark under light is seen on every backdrop
        painter.drawRect(areaOf(box));
        painter.setPen(QPen(colour, 1, style));
        painter.drawRect(areaOf(box));
    };
    for (int box = 0; box < boxCount(); ++box)
        if (box != m_chosen)
            frame(box, QColor(255, 255, 255, 140), Qt::DashLine);
    frame(m_chosen, hasFocus() ? night().marker : QColor(255, 255, 255), Qt::SolidLine);
    const QRectF area = areaOf(m_chosen);
    painter.setPen(QPen(Qt::black, 1));
    painter.setBrush(Qt::white);
    for (const BoxGrip& grip : kGrips) {
        QRectF handle(0, 0, kHandle, kHandle);
        handle.moveCenter(handleAt(area, grip));
        painter.drawRect(handle);
    }
}

} // namespace mivanta
