// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/PreparedFrames.h"
#include "core/base/Clock.h"
#include "link/FrameBoard.h"
#include "link/SceneCodec.h"
#include "render/Letters.h"
#include "render/ObjectPainter.h"
#include "render/SceneRenderer.h"
#include <QPainter>
#include <QSet>
#include <sys/resource.h>

namespace mivanta {

namespace {

constexpr int kAheadNice = 15;
constexpr int kPatienceMs = 1500; // then a slide is shown without a picture that is still on its way
constexpr qsizetype kMostFrames = 36;
constexpr qsizetype kMostBytes = 384 * 1024 * 1024; // pictures in full size, each other than the rest
constexpr qsizetype kFewestFrames = 8;              // what is seen and what comes next, however large

QByteArray sizeKey(QSize size) {
    return QByteArray::number(size.width()) + 'x' + QByteArray::number(size.height());
}

QByteArray liveKey(const Scene& scene, const QDateTime& now) {
    QByteArray key;
    for (const SlideObject& object : scene.look.objects)
        if (object.isLive())
            key += liveText(object, now).toUtf8() + '\n';
    for (const Scene& other : scene.elsewhere)
        key += liveKey(other, now);
    return key;
}

/// Of what renderLayers() draws behind the words.
QByteArray behindKeyOf(const Scene& scene, QSize size, const QDateTime& now) {
    const Scene behind = behindOf(scene);
    return sceneKey(behind) + sizeKey(size) + liveKey(behind, now);
}

Scene withoutWhatMoves(Scene scene) {
    std::erase_if(scene.look.objects, [](const SlideObject& object) { return object.moves(); });
    return scene;
}

/// Of pictures for the desks, px.
QSize smallSize(const Scene& scene) {
    return scene.size.scaled(FrameBoard::kWidth, FrameBoard::kHeight, Qt::KeepAspectRatio);
}

QImage smoothlyScaled(const QImage& image, QSize size) {
    return image.scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation)
        .convertToFormat(QImage::Format_ARGB32_Premultiplied);
}

BehindPtr behindLayer(const Scene& scene, QSize size, const QByteArray& key, const RenderSources& sources) {
    auto made = std::make_shared<BehindLayer>();
    made->key = key;
    Scene bare = withoutWhatMoves(behindOf(scene));
    bare.look.backdrop.film.clear(); // where a film moves, none of its moments is drawn
    bare.look.backdrop.live.clear();
    made->layer = renderScene(bare, size, sources);
    made->small = smoothlyScaled(made->layer, smallSize(scene));
    const bool isOpaque = scene.ground.alpha == 255;
    made->image = QImage(size, isOpaque ? QImage::Format_RGB32 : QImage::Format_ARGB32_Premultiplied);
    made->image.fill(toColor(scene.ground));
    QPainter(&made->image).drawImage(0, 0, made->layer);
    if (scene.film && scene.look.backdrop.moves()) {
        made->filmPlace = scene.look.backdrop;
        made->over = renderOverFilm(bare, size, sources);
        if (!made->over.isNull())
            made->smallOver = smoothlyScaled(made->over, smallSize(scene));
    }
    return made;
}

bool isEmptyRow(const QImage& image, int y) {
    const auto* line = reinterpret_cast<const QRgb*>(image.constScanLine(y));
    return std::all_of(line, line + image.width(), [](QRgb pixel) { return pixel == 0; });
}

bool isEmptyColumn(const QImage& image, int x, int top, int bottom) {
    for (int y = top; y <= bottom; ++y)
        if (reinterpret_cast<const QRgb*>(image.constScanLine(y))[x] != 0)
            return false;
    return true;
}

/// The smallest part that holds everything there is to see.
QRect usedArea(const QImage& image) {
    int top = 0;
    int bottom = image.height() - 1;
    while (top <= bottom && isEmptyRow(image, top))
        ++top;
    if (top > bottom)
        return {};
    while (isEmptyRow(image, bottom))
        --bottom;
    int left = 0;
    int right = image.width() - 1;
    while (isEmptyColumn(image, left, top, bottom))
        ++left;
    while (isEmptyColumn(image, right, top, bottom))
        --right;
    return {QPoint(left, top), QPoint(right, bottom)};
}

LayerPart usedPart(const QImage& image) {
    if (image.isNull())
        return {};
    const QRect used = usedArea(image);
    return {used.isEmpty() ? QImage() : image.copy(used), used.topLeft()};
}

/// A small picture of it, of which only the part that holds something is scaled; null when nothing does.
QImage smallOf(const QImage& image, const QRect& used, QSize small) {
    if (used.isEmpty())
        return {};
    QImage result(small, QImage::Format_ARGB32_Premultiplied);
    result.fill(Qt::transparent);
    const QTransform shrink =
        QTransform::fromScale(double(small.width()) / image.width(), double(small.height()) / image.height());
    const QRect to = shrink.mapRect(QRectF(used)).toAlignedRect() & result.rect();
    const QRect from = shrink.inverted().mapRect(QRectF(to)).toRect() & image.rect();
    QPainter(&result).drawImage(to.topLeft(), smoothlyScaled(image.copy(from), to.size()));
    return result;
}

/// What comes and goes by itself, apart from the rest.
void addFading(Frame& frame, const Scene& scene, QSize size, const RenderSources& sources) {
    Scene still = scene;
    auto& objects = still.look.objects;
    std::erase_if(objects, [](const SlideObject& o) { return o.fadesItself(); });
    frame.words = frame.front;
    if (objects.size() == scene.look.objects.size() || scene.curtain != Curtain::Open)
        return;
    frame.words = usedPart(renderFront(still, size, sources, frame.behind->layer));
    for (const SlideObject& object : scene.look.objects)
        if (object.fadesItself())
            frame.fading.push_back({object, usedPart(renderObject(scene, object, size, sources))});
}

} // namespace

FramePtr PreparedFrames::drawn(const Job& job) {
    auto frame = std::make_shared<Frame>();
    frame->key = job.key;
    const QSize small = smallSize(job.scene);
    if (job.size.isEmpty()) {
        frame->small = renderScene(job.scene, small, job.sources);
        frame->isLate = *job.isLate;
        return frame;
    }
    frame->behind = job.behind ? job.behind : behindLayer(job.scene, job.size, job.behindKey, job.sources);
    const QImage front = renderFront(job.scene, job.size, job.sources, frame->behind->layer);
    frame->small = frame->behind->small;
    if (!front.isNull()) {
        frame->front = usedPart(front);
        frame->smallFront = smallOf(front, frame->front.area(), small);
        if (!frame->smallFront.isNull())
            QPainter(&frame->small).drawImage(0, 0, frame->smallFront);
    }
    addFading(*frame, job.scene, job.size, job.sources);
    for (const SlideObject& object : movingObjectsOn(job.scene))
        frame->moving.push_back({object, nullptr});
    frame->isLate = *job.isLate;
    return frame;
}

PreparedFrames::PreparedFrames(QObject* parent) : QObject(parent) {
    m_ahead.setMaxThreadCount(1);
    m_urgent.setMaxThreadCount(4); // some may wait for a disk
}

PreparedFrames::~PreparedFrames() {
    m_ahead.clear();
    m_ahead.waitForDone();
    m_urgent.waitForDone();
}

void PreparedFrames::setPictures(const QString& folder, const QString& cacheFolder) {
    m_pictures = folder.isEmpty() ? nullptr
                                  : std::make_shared<PicturesInTime>(
                                        std::make_shared<PictureProxies>(folder, cacheFolder), kPatienceMs);
}

void PreparedFrames::forget() {
    m_frames.clear();
    m_oldestFirst.clear();
    m_behind.clear();
}

QByteArray PreparedFrames::keyOf(const Scene& scene, QSize size, const QDateTime& now) {
    return sceneKey(scene) + sizeKey(size) + liveKey(scene, now);
}

FramePtr PreparedFrames::get(const Scene& scene, QSize size, const QDateTime& now) {
    const QByteArray key = keyOf(scene, size, now);
    const auto known = m_frames.constFind(key);
    if (known == m_frames.constEnd()) {
        draw(scene, size, key, now, Urgency::Now);
        return {};
    }
    m_oldestFirst.removeOne(key);
    m_oldestFirst << key;
    return *known;
}

void PreparedFrames::prepare(const Scene& scene, QSize size) {
    m_toPrepare.emplace_back(scene, size);
    prepareNext();
}

void PreparedFrames::prepareNext() {
    while (!m_isPreparing && !m_toPrepare.empty()) {
        const auto [scene, size] = std::move(m_toPrepare.front());
        m_toPrepare.pop_front();
        const QDateTime now = Clock::the().now();
        const QByteArray key = keyOf(scene, size, now);
        if (m_frames.contains(key) || m_drawing.contains(key))
            continue;
        m_isPreparing = true;
        draw(scene, size, key, now, Urgency::WhenThereIsTime);
    }
}

void PreparedFrames::draw(const Scene& scene, QSize size, const QByteArray& key, const QDateTime& now,
                          Urgency urgency) {
    const auto drawing = m_drawing.constFind(key);
    if (drawing != m_drawing.constEnd() && *drawing >= urgency)
        return;
    m_drawing[key] = urgency;
    const auto late = std::make_shared<std::atomic<bool>>(false);
    Job job{
        scene, size, key, behindKeyOf(scene, size, now), {}, {PicturesInTime::loader(m_pictures, late), now},
        late};
    job.behind = m_behind.value(job.behindKey).lock();
    QThreadPool& pool = urgency == Urgency::Now ? m_urgent : m_ahead;
    pool.start([this, job = std::move(job), urgency] {
        // Drawing ahead gives way to painting and to the desks. (Linux: "0" is the calling thread.)
        if (urgency == Urgency::WhenThereIsTime)
            setpriority(PRIO_PROCESS, 0, kAheadNice);
        FramePtr frame = drawn(job);
        QMetaObject::invokeMethod(
            this,
            [this, frame, urgency] {
                finished(frame);
                if (urgency == Urgency::WhenThereIsTime) {
                    m_isPreparing = false;
                    prepareNext();
                }
            },
            Qt::QueuedConnection);
    });
}

qsizetype PreparedFrames::bytes() const {
    QSet<qint64> counted; // what they share counts once
    qsizetype sum = 0;
    const auto add = [&](const QImage& image) {
        if (image.isNull() || counted.contains(image.cacheKey()))
            return;
        counted.insert(image.cacheKey());
        sum += image.sizeInBytes();
    };
    for (const FramePtr& frame : m_frames) {
        add(frame->front.image);
        add(frame->words.image);
        for (const ObjectLayer& object : frame->fading)
            add(object.picture.image);
        if (const BehindPtr& behind = frame->behind)
            for (const QImage& image : {behind->image, behind->layer, behind->over})
                add(image);
    }
    return sum;
}

void PreparedFrames::finished(const FramePtr& frame) {
    m_drawing.remove(frame->key);
    if (!frame->isLate && !m_frames.contains(frame->key)) {
        m_frames.insert(frame->key, frame);
        if (frame->behind)
            m_behind.insert(frame->behind->key, frame->behind);
        m_oldestFirst << frame->key;
        while (m_oldestFirst.size() > kMostFrames ||
               (m_oldestFirst.size() > kFewestFrames && bytes() > kMostBytes))
            m_frames.remove(m_oldestFirst.takeFirst());
        m_behind.removeIf([](const auto& entry) { return entry.value().expired(); });
    }
    Q_EMIT ready(frame);
}

} // namespace mivanta

#include "moc_PreparedFrames.cpp"
