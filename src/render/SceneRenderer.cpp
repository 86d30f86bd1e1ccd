// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/SceneRenderer.h"
#include "render/BackdropPainter.h"
#include "render/CallOutPainter.h"
#include "render/Letters.h"
#include "render/ObjectPainter.h"
#include "render/TestCardPainter.h"
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

/// Of another output, in the object's box; a preview, that knows of none, has a frame in its place.
void paintScreen(QPainter& painter, const Scene& scene, const SlideObject& object, const ScreenObject& screen,
                 const RenderSources& sources) {
    const auto shown = std::find_if(scene.elsewhere.begin(), scene.elsewhere.end(),
                                    [&](const Scene& each) { return each.output == screen.output; });
    if (shown == scene.elsewhere.end()) {
        paintObject(painter, object, scene.size, scene.size.height() / kLookHeight, sources);
        return;
    }
    const QRectF box = onPicture(object.box, scene.size);
    const QSizeF fitted = QSizeF(shown->size).scaled(box.size(), Qt::KeepAspectRatio);
    const QRectF area(box.center() - QPointF(fitted.width(), fitted.height()) / 2, fitted);
    const QSize px = painter.deviceTransform().mapRect(area).size().toSize();
    if (px.isEmpty())
        return;
    painter.save();
    painter.setOpacity(painter.opacity() * object.opacity);
    painter.fillRect(area, toColor(shown->ground));
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(area, renderScene(*shown, px, sources));
    painter.restore();
}

void paintOne(QPainter& painter, const Scene& scene, const SlideObject& object,
              const RenderSources& sources) {
    if (const auto* screen = std::get_if<ScreenObject>(&object.what))
        paintScreen(painter, scene, object, *screen, sources);
    else
        paintObject(painter, object, scene.size, scene.size.height() / kLookHeight, sources);
}

template <typename Which>
void paintObjects(QPainter& painter, const Scene& scene, const RenderSources& sources, const Which& which) {
    for (const SlideObject& object : scene.look.objects)
        if (which(object))
            paintOne(painter, scene, object, sources);
}

/// What moves over the others, as it is on screen.
void paintBehind(QPainter& painter, const Scene& scene, const RenderSources& sources) {
    paintObjects(painter, scene, sources,
                 [&](const SlideObject& o) { return isBehind(scene, o) && !o.moves(); });
    paintObjects(painter, scene, sources, [](const SlideObject& o) { return o.moves(); });
}

QImage renderBehind(const Scene& scene, QSize target, const RenderSources& sources) {
    QImage image = seeThrough(target);
    if (image.isNull())
        return image;
    if (scene.curtain == Curtain::Black) {
        image.fill(toColor(scene.ground));
        return image;
    }
    QPainter painter(&image);
    scaleTo(painter, scene, target);
    if (scene.isTestCard) {
        paintTestCard(painter, scene);
        return image;
    }
    paintBackdrop(painter, scene.look.backdrop, QRectF(QPointF(0, 0), QSizeF(scene.size)),
                  scene.size.height() / kLookHeight, sources);
    paintBehind(painter, scene, sources);
    return image;
}

bool hasFront(const Scene& scene) {
    if (scene.isTestCard)
        return false;
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
    paintObjects(painter, scene, sources,
                 [&](const SlideObject& o) { return o.inFront && !isBehind(scene, o); });
    paintCallOut(painter, scene);
}

} // namespace

bool isBehind(const Scene& scene, const SlideObject& object) {
    return object.moves() || (!object.inFront && (!object.fadesItself() || scene.curtain != Curtain::Open));
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

QImage renderOverFilm(const Scene& scene, QSize size, const RenderSources& sources) {
    const auto& objects = scene.look.objects;
    const Treatment& treatment = scene.look.backdrop.treatment;
    if (treatment.tint.alpha == 0 && treatment.darkEdge == 0 &&
        std::none_of(objects.begin(), objects.end(),
                     [&](const SlideObject& o) { return isBehind(scene, o); }))
        return {};
    QImage image = seeThrough(size);
    QPainter painter(&image);
    scaleTo(painter, scene, size);
    paintOverPicture(painter, treatment, QRectF(QPointF(0, 0), QSizeF(scene.size)));
    paintBehind(painter, scene, sources);
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
    paintOne(painter, scene, object, sources);
    return image;
}

Scene behindOf(const Scene& scene) {
    Scene behind;
    behind.size = scene.size;
    behind.ground = scene.ground;
    if (scene.isTestCard) {
        behind.output = scene.output; // its name is on the card
        behind.isTestCard = true;
        return behind;
    }
    if (scene.curtain == Curtain::Black) {
        behind.curtain = Curtain::Black;
        return behind;
    }
    behind.look.backdrop = scene.look.backdrop;
    behind.film = scene.film;
    for (const SlideObject& object : scene.look.objects)
        if (isBehind(scene, object)) {
            behind.look.objects.push_back(object);
            if (object.is<ScreenObject>())
                behind.elsewhere = scene.elsewhere;
        }
    return behind;
}

bool sameBehind(const Scene& a, const Scene& b) {
    return behindOf(a) == behindOf(b);
}

} // namespace mivanta
