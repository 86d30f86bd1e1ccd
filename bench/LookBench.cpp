// SPDX-License-Identifier: GPL-3.0-or-later
#include "LookBench.h"
#include "FadeFrames.h"
#include "Figures.h"
#include "SongMaker.h"
#include "Timing.h"
#include "core/run/RunState.h"
#include "media/PictureProxies.h"
#include "render/FontMeasure.h"
#include "render/SceneRenderer.h"
#include "session/readings/ThumbnailStore.h"
#include "session/service/SlideBook.h"
#include "store/LibraryAddress.h"
#include "store/ShippedThemes.h"
#include <QDir>
#include <QElapsedTimer>
#include <QPainter>
#include <cstring>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

const QSize kThumbnail(165, 93);

template <typename Work>
std::vector<double> timed(int times, const Work& work) {
    std::vector<double> result;
    for (int i = 0; i < times; ++i) {
        QElapsedTimer time;
        time.start();
        work(i);
        result.push_back(msOf(time));
    }
    return result;
}

/// Slides of generated songs in every theme that ships, on the hall.
std::vector<Scene> someScenes(QSize size) {
    FontMeasures measures;
    const auto themes = shippedThemes();
    Output hall = usualOutputs().front();
    hall.size = size;
    SongMaker maker;
    std::vector<Scene> scenes;
    for (size_t i = 0; i < themes.size() * 4; ++i) {
        const ItemSlides slides = slidesFor(contentOf(maker.make(int(i))), {hall},
                                            plainChain(themes[i % themes.size()], themes), measures);
        scenes.push_back(sceneOf(slides, slides.outputs.front(), int(i / themes.size())));
    }
    return scenes;
}

void benchDrawing(Figures& figures) {
    const auto scenes = someScenes(kFullHd);
    const auto draw = [](const std::vector<Scene>& all) {
        return [&all](int i) { static_cast<void>(renderLayers(all[size_t(i) % all.size()], {}, {})); };
    };
    static_cast<void>(timed(int(scenes.size()), draw(scenes))); // fonts are loaded
    figures.addTimes(u"a 1080p slide drawn from nothing"_s, timed(int(scenes.size()) * 4, draw(scenes)));
    const auto large = someScenes({3840, 2160});
    figures.addTimes(u"a 4K slide drawn from nothing"_s, timed(int(large.size()), draw(large)));

    QImage screen(kFullHd, QImage::Format_RGB32);
    std::vector<SceneLayers> layers;
    for (size_t i = 0; i < 8; ++i) {
        layers.push_back(renderLayers(scenes[i * 5 % scenes.size()], {}, {}));
        layers.back().behind = layers.back().behind.convertToFormat(QImage::Format_RGB32);
    }
    figures.addTimes(u"the same from prepared layers"_s, timed(400, [&](int i) {
                         QPainter painter(&screen);
                         painter.drawImage(0, 0, layers[size_t(i) % layers.size()].behind);
                         painter.drawImage(0, 0, layers[size_t(i) % layers.size()].front);
                     }));
    figures.addTimes(u"floor: a bare QPainter blit of 1080p"_s, timed(400, [&](int i) {
                         QPainter(&screen).drawImage(0, 0, layers[size_t(i) % layers.size()].behind);
                     }));
    figures.addTimes(u"floor: memcpy of a 1080p frame"_s, timed(400, [&](int i) {
                         std::memcpy(screen.bits(), layers[size_t(i) % layers.size()].behind.constBits(),
                                     size_t(screen.sizeInBytes()));
                     }));
}

void benchThemeChange(Figures& figures, const QString& folder) {
    constexpr int kItems = 60;
    constexpr int kSeen = 9; // pictures of the chosen item on the bench
    const auto themes = shippedThemes();
    const QString own = folder + u"/theme-change"_s;
    ServiceDocument document(LibraryAddress(own).mediaFolder(), Journal(own), themes.front());
    SlideBook book(document, themes);
    book.setOutputs(usualOutputs());
    ThumbnailStore thumbnails;
    SongMaker maker;
    std::vector<ItemId> ids;
    for (int i = 0; i < kItems; ++i)
        ids.push_back(document.insert(i, songItem(maker.make(i))));
    waitUntil([&] { return book.isComplete(); });

    std::vector<double> refit;
    std::vector<double> seen;
    std::vector<double> all;
    for (int round = 0; round < 20; ++round) {
        QElapsedTimer time;
        time.start();
        document.setTheme(themes[size_t(round) % themes.size()]);
        const ItemSlides& chosen = *book.slidesOf(ids[size_t(round)]);
        const auto pictures = [&](const ItemSlides& slides, int most) {
            const OutputSlides& hall = slides.outputs.front();
            bool ready = true;
            for (int s = 0; s < std::min(most, int(hall.slides.size())); ++s)
                ready = !thumbnails.get(sceneOf(slides, hall, s), kThumbnail).isNull() && ready;
            return ready;
        };
        waitUntil([&] { return pictures(chosen, kSeen); });
        seen.push_back(msOf(time));
        waitUntil([&] { return book.isComplete(); });
        refit.push_back(msOf(time));
        waitUntil([&] {
            for (const ItemId& id : ids)
                if (!pictures(*book.slidesOf(id), 1))
                    return false;
            return true;
        });
        all.push_back(msOf(time));
    }
    figures.addTimes(u"theme of a 60-item service changed, to the pictures that are seen"_s, seen);
    figures.addTimes(u"the same, to every item fitted"_s, refit);
    figures.addTimes(u"the same, to a picture of every item"_s, all);
    const QImage frame(kFullHd, QImage::Format_ARGB32_Premultiplied);
    figures.addTimes(u"floor: nine 1080p pictures scaled to thumbnails"_s, timed(20, [&](int) {
                         for (int i = 0; i < kSeen; ++i)
                             static_cast<void>(
                                 frame.scaled(kThumbnail, Qt::IgnoreAspectRatio, Qt::SmoothTransformation));
                     }));
}

void benchBlitting(Figures& figures) {
    addFrames(figures, u"a bare blit (floor)"_s, blitOnly());
}

void benchFade(Figures& figures, bool changesBackdrop) {
    constexpr int kFades = 12;
    const auto all = someScenes(kFullHd);
    std::vector<Scene> scenes;
    for (int fade = 0; fade < kFades; ++fade) {
        Scene scene = all[size_t(changesBackdrop ? fade : fade * int(shippedThemes().size())) % all.size()];
        scene.look.transition.kind = scene.look.backdropTransition.kind = TransitionKind::Fade;
        scene.look.transition.milliseconds = scene.look.backdropTransition.milliseconds = 800;
        scenes.push_back(scene);
    }
    PreparedFrames frames;
    addFrames(figures, changesBackdrop ? u"a fade with its backdrop"_s : u"a fade on one backdrop"_s,
              fadeThrough(scenes, frames));
}

void benchPhotograph(Figures& figures, const QString& folder) {
    QImage photo(6000, 4000, QImage::Format_RGB32);
    for (int y = 0; y < photo.height(); ++y) {
        auto* line = reinterpret_cast<QRgb*>(photo.scanLine(y));
        for (int x = 0; x < photo.width(); ++x)
            line[x] = qRgb((x * 7 + y * 3) % 256, (x / 9 + y / 5) % 256, ((x ^ y) >> 3) % 256);
    }
    const QString pictures = folder + u"/pictures"_s;
    QDir().mkpath(pictures);
    if (!photo.save(pictures + u"/photo.jpg"_s, "JPEG", 88)) {
        qCritical("the photograph could not be written");
        return;
    }
    photo = {};
    Scene scene;
    scene.size = kFullHd;
    scene.look.backdrop.kind = BackdropKind::Picture;
    scene.look.backdrop.picture = u"photo.jpg"_s;
    scene.look.backdrop.treatment = {-20, 10, -30, {20, 40, 60, 90}, 12, 60};
    int round = 0;
    const auto fresh = [&] {
        return std::make_shared<PictureProxies>(pictures, folder + u"/cache%1"_s.arg(++round));
    };
    figures.addTimes(u"a 24-megapixel photograph scaled and treated, nothing prepared"_s, timed(9, [&](int) {
                         static_cast<void>(renderScene(scene, {}, {PictureProxies::loader(fresh())}));
                     }));
    const auto known = fresh();
    static_cast<void>(renderScene(scene, {}, {PictureProxies::loader(known)}));
    figures.addTimes(u"the same with its proxy there"_s, timed(20, [&](int) {
                         static_cast<void>(renderScene(scene, {}, {PictureProxies::loader(known)}));
                     }));
    figures.addTimes(u"floor: the photograph read and scaled by QImage"_s, timed(5, [&](int) {
                         static_cast<void>(
                             QImage(pictures + u"/photo.jpg"_s)
                                 .scaled(kFullHd, Qt::KeepAspectRatioByExpanding, Qt::SmoothTransformation));
                     }));
}

} // namespace

void benchLooks(Figures& figures, const QString& folder) {
    benchDrawing(figures);
    benchThemeChange(figures, folder);
    if (QGuiApplication::screens().size() < 3) {
        qCritical("fading is measured on a display with three monitors");
    } else {
        benchBlitting(figures);
        benchFade(figures, false);
        benchFade(figures, true);
    }
    benchPhotograph(figures, folder);
}

} // namespace mivanta
