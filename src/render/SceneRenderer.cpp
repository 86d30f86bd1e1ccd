// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/SceneRenderer.h"
#include "render/BackdropPainter.h"
#include "render/CallOutPainter.h"
#include "render/ObjectPainter.h"
#include "render/WordsPainter.h"
#include <algorithm>

namespace mivanta {

namespace {

QImage seeThrough(QSize size) {
    QImage image(size, QImage::Format_ARGB32_Premultiplied);
    if (!image.isNull())
        image.fill(Qt::transparent);
    return image;
}

/// In scene px from here on.
void scaleTo(QPainter& painter, const Scene& scene, QSize target) {
    painter.setRenderHint(QPainter::Antialiasing);
    if (target != scene.size)
        painter.scale(double(target.width()) / scene.size.width(),
                      double(target.height()) / scene.size.height());
}

template <typename Which>
void paintObjects(QPainter& painter, const Scene& scene, const RenderSources& sources, const Which& which) {
    for (const SlideObject& object : scene.look.objects)
        if (which(object))
            paintObject(painter, object, scene.size, scene.size.height() / kLookHeight, sources);
}

QImage renderBehind(const Scene& scene, QSize target, const RenderSources& sources) {
    QImage image = seeThrough(target);
    if (image.isNull())
        return image;
    if (scene.curtain == Curtain::Black) {
        image.fill(Qt::black);
        return image;
    }
    QPainter painter(&image);
    scaleTo(painter, scene, target);
    paintBackdrop(painter, scene.look.backdrop, QRectF(QPointF(0, 0), QSizeF(scene.size)),
                  scene.size.height() / kLookHeight, sources);
    paintObjects(painter, scene, sources, [&](const SlideObject& o) { return isBehind(scene, o); });
    return image;
}

bool hasFront(const Scene& scene) {
    if (!scene.callOut.isEmpty() && scene.curtain != Curtain::Black)
        return true;
    if (scene.curtain != Curtain::Open)
        return false;
    const auto& objects = scene.look.objects;
    return !scene.rows.empty() || !scene.credit.isEmpty() || !scene.stageNote.isEmpty() ||
           std::any_of(objects.begin(), objects.end(),
                       [&](const SlideObject& o) { return !isBehind(scene, o); });
}

void paintFront(QPainter& painter, const Scene& scene, const RenderSources& sources, const QImage& behind) {
    if (scene.curtain != Curtain::Open) { // only the call-out is before it
        paintCallOut(painter, scene);
        return;
    }
    paintObjects(painter, scene, sources,
                 [&](const SlideObject& o) { return !o.inFront && !isBehind(scene, o); });
    paintPanel(painter, scene, behind);
    paintWords(painter, scene);
    paintCredit(painter, scene);
    paintStageNote(painter, scene);
    paintObjects(painter, scene, sources, [](const SlideObject& o) { return o.inFront; });
    paintCallOut(painter, scene);
}

} // namespace

bool isBehind(const Scene& scene, const SlideObject& object) {
    return !object.inFront && (!object.fadesItself() || scene.curtain != Curtain::Open);
}

QImage renderScene(const Scene& scene, QSize size, const RenderSources& sources) {
    const QSize target = size.isEmpty() ? scene.size : size;
    QImage image = renderBehind(scene, target, sources);
    if (image.isNull() || !hasFront(scene))
        return image;
    const bool blurs = scene.look.words.panel.reach != PanelReach::None && scene.look.words.panel.blur > 0;
    const QImage behind = blurs ? image.copy() : QImage();
    QPainter painter(&image);
    scaleTo(painter, scene, target);
    paintFront(painter, scene, sources, behind);
    return image;
}

SceneLayers renderLayers(const Scene& scene, QSize size, const RenderSources& sources) {
    const QSize target = size.isEmpty() ? scene.size : size;
    SceneLayers layers;
    layers.behind = renderBehind(scene, target, sources);
    layers.front = renderFront(scene, target, sources, layers.behind);
    return layers;
}

QImage renderFront(const Scene& scene, QSize size, const RenderSources& sources, const QImage& behind) {
    if (!hasFront(scene))
        return {};
    const QSize target = size.isEmpty() ? scene.size : size;
    QImage image = seeThrough(target);
    if (image.isNull())
        return image;
    QPainter painter(&image);
    scaleTo(painter, scene, target);
    const bool blurs = scene.look.words.panel.reach != PanelReach::None && scene.look.words.panel.blur > 0;
    paintFront(painter, scene, sources,
               blurs && behind.isNull() ? renderBehind(scene, target, sources) : behind);
    return image;
}

QImage renderObject(const Scene& scene, const SlideObject& object, QSize size, const RenderSources& sources) {
    const QSize target = size.isEmpty() ? scene.size : size;
    QImage image = seeThrough(target);
    if (image.isNull())
        return image;
    QPainter painter(&image);
    scaleTo(painter, scene, target);
    paintObject(painter, object, scene.size, scene.size.height() / kLookHeight, sources);
    return image;
}

bool sameBehind(const Scene& a, const Scene& b) {
    const auto behind = [](const Scene& scene) {
        std::vector<SlideObject> objects = scene.look.objects;
        std::erase_if(objects, [&](const SlideObject& o) { return !isBehind(scene, o); });
        return objects;
    };
    return a.size == b.size && (a.curtain == Curtain::Black) == (b.curtain == Curtain::Black) &&
           a.look.backdrop == b.look.backdrop && behind(a) == behind(b);
}

} // namespace mivanta
