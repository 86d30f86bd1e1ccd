// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/SlideCanvas.h"
#include "core/media/MediumKind.h"
#include "desk/kit/LookDrag.h"
#include "desk/kit/PictureView.h"
#include "desk/kit/Style.h"
#include <QClipboard>
#include <QDragEnterEvent>
#include <QGuiApplication>
#include <QKeyEvent>
#include <QMenu>
#include <QMimeData>
#include <QMouseEvent>
#include <QPainter>
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

SlideCanvas::SlideCanvas(ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_thumbnails(thumbnails) {
    setObjectName(QStringLiteral("slide-canvas"));
    setAccessibleName(tr("The slide: its boxes can be moved"));
    setToolTip(tr(
        "Drag a box or its handles. Tab goes from box to box, arrows move it, Ctrl with arrows resizes it, "
        "Shift makes larger steps; Alt while dragging lets it stand anywhere. Ctrl+V pastes a picture."));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAcceptDrops(true);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setSizePolicy(policy);
    connect(&m_thumbnails, &ThumbnailStore::ready, this, qOverload<>(&QWidget::update));
}

void SlideCanvas::setScene(const std::optional<Scene>& scene, int first, int count) {
    m_scene = scene;
    const int objects = scene ? int(scene->look.objects.size()) : 0;
    m_first = std::clamp(first, 0, objects);
    m_count = count < 0 ? objects - m_first : std::min(count, objects - m_first);
    if (!scene)
        m_last = {};
    if (m_chosen >= boxCount())
        choose(kWords);
    update();
}

void SlideCanvas::setGuidesShown(bool shown) {
    m_guidesShown = shown;
    update();
}

QSize SlideCanvas::sizeHint() const {
    return {spaced(160), spaced(90)};
}

QSize SlideCanvas::minimumSizeHint() const {
    return {spaced(80), spaced(45)};
}

QRectF SlideCanvas::pictureArea() const {
    const QSizeF shape = m_scene ? QSizeF(m_scene->size) : QSizeF(16, 9);
    const QSizeF fitted = shape.scaled(QSizeF(size()) - QSizeF(kHandle, kHandle), Qt::KeepAspectRatio);
    return {QPointF((width() - fitted.width()) / 2, (height() - fitted.height()) / 2), fitted};
}

int SlideCanvas::boxCount() const {
    return m_scene ? kObjects + m_count : 0;
}

QRectF* SlideCanvas::boxOf(Look& look, int box) const {
    if (box < 0 || box >= boxCount())
        return nullptr;
    return box == kWords    ? &look.words.box
           : box == kCredit ? &look.credit.box
                            : &look.objects[size_t(m_first + box - kObjects)].box;
}

QRectF SlideCanvas::shares(int box) const {
    if (!m_scene)
        return {};
    Look look = m_scene->look;
    const QRectF* found = boxOf(look, box);
    return found ? *found : QRectF();
}

QRectF SlideCanvas::areaOf(int box) const {
    if (box < 0 || box >= boxCount())
        return {};
    const QRectF area = pictureArea();
    const QRectF share = shares(box);
    return {area.left() + share.left() * area.width(), area.top() + share.top() * area.height(),
            share.width() * area.width(), share.height() * area.height()};
}

std::vector<QRectF> SlideCanvas::otherBoxes(int box) const {
    std::vector<QRectF> others;
    for (int other = 0; other < boxCount(); ++other)
        if (other != box)
            others.push_back(shares(other));
    return others;
}

void SlideCanvas::choose(int box) {
    box = std::clamp(box, 0, std::max(0, boxCount() - 1));
    if (box == m_chosen)
        return;
    m_chosen = box;
    update();
    Q_EMIT chosenChanged(box);
}

std::optional<BoxGrip> SlideCanvas::gripAt(QPointF at, int box) const {
    const QRectF area = areaOf(box);
    for (const BoxGrip& grip : kGrips) {
        const QPointF way = handleAt(area, grip) - at;
        if (std::abs(way.x()) <= kHandle && std::abs(way.y()) <= kHandle)
            return grip;
    }
    return area.contains(at) ? std::optional(BoxGrip()) : std::nullopt;
}

/// The chosen one by its handles, else the smallest: it would be hard to reach otherwise.
int SlideCanvas::boxAt(QPointF at) const {
    if (const auto grip = gripAt(at, m_chosen); grip && !grip->moves())
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

void SlideCanvas::setCursorFor(QPointF at) {
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

void SlideCanvas::send(const DraggedBox& dragged) {
    m_standing = dragged;
    // At once, so that the next key press goes on from here; the words follow when they are fitted again.
    if (QRectF* box = boxOf(m_scene->look, m_chosen))
        *box = dragged.box;
    update();
    Q_EMIT boxChanged(m_chosen, dragged.box);
}

void SlideCanvas::mousePressEvent(QMouseEvent* event) {
    const int box = event->button() == Qt::LeftButton ? boxAt(event->position()) : -1;
    if (box < 0)
        return;
    choose(box);
    if (const auto grip = gripAt(event->position(), box))
        m_drag = Drag{*grip, event->position(), shares(box)};
}

void SlideCanvas::mouseMoveEvent(QMouseEvent* event) {
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

void SlideCanvas::mouseReleaseEvent(QMouseEvent* event) {
    if (!m_drag)
        return;
    m_drag.reset();
    m_standing = {};
    setCursorFor(event->position());
    update();
    Q_EMIT dragEnded();
}

void SlideCanvas::paste() {
    const QMimeData* data = QGuiApplication::clipboard()->mimeData();
    if (!data)
        return;
    if (const QStringList paths = localFilesIn(*data); !paths.isEmpty())
        Q_EMIT objectDropped(paths.front());
    else if (data->hasImage())
        Q_EMIT picturePasted(qvariant_cast<QImage>(data->imageData()));
}

void SlideCanvas::keyPressEvent(QKeyEvent* event) {
    if (event->matches(QKeySequence::Paste)) {
        paste();
        return;
    }
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
bool SlideCanvas::focusNextPrevChild(bool next) {
    const int to = m_chosen + (next ? 1 : -1);
    if (!hasFocus() || to < 0 || to >= boxCount())
        return QWidget::focusNextPrevChild(next);
    choose(to);
    return true;
}

void SlideCanvas::dragEnterEvent(QDragEnterEvent* event) {
    if (!localFilesIn(*event->mimeData()).isEmpty())
        event->acceptProposedAction();
}

/// Both may be meant, so it asks.
void SlideCanvas::dropEvent(QDropEvent* event) {
    const QString path = localFilesIn(*event->mimeData()).value(0);
    if (path.isEmpty())
        return;
    event->acceptProposedAction();
    auto* menu = new QMenu(this);
    menu->setObjectName(QStringLiteral("dropped-picture"));
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->addAction(tr("As the backdrop"), this, [this, path] { Q_EMIT backdropDropped(path); });
    menu->addAction(mediumKindOf(path) == MediumKind::Film ? tr("As a film on the slide")
                                                           : tr("As a picture on the slide"),
                    this, [this, path] { Q_EMIT objectDropped(path); });
    menu->popup(mapToGlobal(event->position().toPoint()));
}

void SlideCanvas::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QRectF area = pictureArea();
    if (!m_scene) {
        painter.setPen(day().quiet);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, m_emptyText);
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

void SlideCanvas::paintGuides(QPainter& painter) const {
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

void SlideCanvas::paintHandles(QPainter& painter) const {
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

#include "moc_SlideCanvas.cpp"
