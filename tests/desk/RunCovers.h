// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/Window.h"
#include "render/SceneRenderer.h"
#include "support/Samples.h"

namespace mivanta {

/// Three songs of harbourSong() on the Run desk of the real window.
class RunCovers : public PlayerTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        for (const auto& title : {u"First"_s, u"Second"_s, u"Third"_s})
            ids.push_back(session->document().insert(9, songItem(samples::harbourSong(title))));
        session->document().setTitle(u"Sea Harvest"_s);
        window->goTo(MainWindow::RunAt);
    }
    RunController& run() { return session->run(); }
    const RunState& state() { return session->run().state(); }
    QString lamp() { return window->findChild<Header*>(u"header"_s)->lampText(); }
    Scene sceneOn(const QString& output) {
        for (const Scene& scene : run().shownNow())
            if (scene.output == output)
                return scene;
        return {};
    }
    /// The player's picture is this output's scene.
    bool isSeen(const QString& output) {
        return waitUntil([&] {
            const QImage wanted = renderScene(sceneOn(output))
                                      .scaled(480, 270, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
            return difference(shown(output), wanted).worstShare < 0.01;
        });
    }
    QString wordsOn(const QString& output) {
        QStringList words;
        for (const SceneRow& row : sceneOn(output).rows)
            words << row.text;
        return words.join(u' ');
    }
    /// "item.step" of a cue.
    QString placeOf(const std::optional<Cue>& cue) {
        if (!cue)
            return u"none"_s;
        const int item = session->book().indexOf(cue->item);
        return u"%1.%2"_s.arg(item).arg(session->book().slides(item).stepAt(cue->position));
    }
    std::vector<ItemId> ids;
};

} // namespace mivanta
