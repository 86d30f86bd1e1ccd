// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "support/Samples.h"
#include <QComboBox>
#include <QMenu>
#include <QPushButton>

namespace mivanta {
namespace {

/// Stage monitors with layouts of their own, and outputs that come and go.
class Stage : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        for (const auto& title : {u"First"_s, u"Second"_s})
            session->document().insert(9, songItem(samples::harbourSong(title)));
        window->goTo(MainWindow::SetupAt);
        ASSERT_TRUE(waitUntil([&] { return session->book().themes().size() > 3; }));
    }
    void choose(const QString& action) {
        auto* menu = child<QPushButton>(u"add-output"_s)->menu();
        for (QAction* each : menu->actions())
            if (each->objectName() == action)
                each->trigger();
    }
    QStringList names() {
        QStringList all;
        for (const Output& output : session->outputs().all())
            all << output.name;
        return all;
    }
    QStringList saidOn(const QString& output) {
        QStringList said;
        for (const Scene& scene : session->run().shownNow())
            if (scene.output == output)
                for (const SlideObject& object : scene.look.objects)
                    if (const auto* text = std::get_if<TextObject>(&object.what))
                        said << text->text;
        return said;
    }
};

TEST_F(Stage, OutputsAreAddedAndRemovedAndKept) {
    choose(u"add-stage"_s);
    choose(u"add-hall"_s);
    EXPECT_EQ(names(), (QStringList{u"hall"_s, u"stage"_s, u"stream"_s, u"stage 2"_s, u"hall 2"_s}));
    EXPECT_TRUE(session->outputs().all()[3].showsChords);
    EXPECT_EQ(session->outputs().all()[3].kind, OutputKind::Stage);
    answers->quit = true;                            // agreed
    child<QPushButton>(u"remove-output"_s)->click(); // the one that was added last is chosen
    EXPECT_EQ(names(), (QStringList{u"hall"_s, u"stage"_s, u"stream"_s, u"stage 2"_s}));
    ASSERT_TRUE(waitUntil([&] {
        const auto kept = computer().outputs(libraryFolder);
        return kept && kept->size() == 4;
    }));
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return !shown(u"stage 2"_s).isNull(); }));
}

TEST_F(Stage, TheLastOutputStays) {
    answers->quit = true;
    for (int i = 0; i < 5; ++i)
        child<QPushButton>(u"remove-output"_s)->click();
    EXPECT_EQ(names().size(), 1);
}

TEST_F(Stage, EachMonitorHasItsLayoutAndFollowsTheSong) {
    Output stage = session->outputs().all()[1];
    stage.look.theme = u"stage-words-and-next"_s;
    session->outputs().change(stage);
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    QStringList said = saidOn(u"stage"_s);
    EXPECT_TRUE(said.contains(u"Verse 1"_s)) << said.join(u'/').toStdString();
    EXPECT_TRUE(said.contains(u"C  V2  C"_s));
    EXPECT_TRUE(said.contains(u"Second"_s));
    EXPECT_TRUE(saidOn(u"hall"_s).isEmpty());
    press(Qt::Key_Space);
    said = saidOn(u"stage"_s);
    EXPECT_TRUE(said.contains(u"V2  C"_s) || said.contains(u"Verse 1"_s));
    session->run().lookAtItem(1);
    press(Qt::Key_Space);
    said = saidOn(u"stage"_s);
    EXPECT_TRUE(said.contains(u"Verse 1"_s));
    EXPECT_FALSE(said.contains(u"Second"_s)); // nothing is behind it
}

} // namespace
} // namespace mivanta
