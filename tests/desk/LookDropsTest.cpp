// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/kit/DragOpens.h"
#include "desk/kit/LookDrag.h"
#include "desk/look/ThemeList.h"
#include "desk/prepare/Bench.h"
#include "formats/ThemeFile.h"
#include "store/MediaFiles.h"
#include "support/Samples.h"
#include <QComboBox>
#include <QMimeData>
#include <QToolButton>

namespace mivanta {
namespace {

class LookDrops : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        session->document().insertHeading(0, u"Gathering"_s);
        for (const QString& title : {u"One"_s, u"Two"_s, u"Three"_s})
            ids.push_back(session->document().insert(99, songItem(samples::harbourSong(title))));
        sheet = window->findChild<OrderSheet*>();
        sheet->select(ids[0]);
        ASSERT_TRUE(waitUntil([&] {
            return session->book().themes().size() > 4 && child<QComboBox>(u"look-level"_s)->count() == 3;
        }));
        QTest::qWait(50); // laid out
    }
    const Service& service() { return session->document().service(); }
    QPoint onRow(const ItemId& id) {
        return sheet->view()->visualRect(sheet->model()->index(service().indexOf(id))).center();
    }
    QWidget* rows() { return sheet->view()->viewport(); }
    QMimeData* files(const QStringList& paths) { return filesToDrag(paths); }
    QString picture(const QString& name) {
        QImage image(320, 180, QImage::Format_RGB32);
        image.fill(QColor(10, 90, 160));
        const QString path = folder.filePath(name);
        EXPECT_TRUE(image.save(path));
        return path;
    }
    LookChoice choiceOf(const ItemId& id) { return service().item(id)->look.choice; }
    PictureView* slidePicture(int at) {
        const auto views = window->findChild<Bench*>()->findChildren<PictureView*>();
        int found = 0;
        for (PictureView* view : views)
            if (view->acceptDrops() && found++ == at)
                return view;
        return nullptr;
    }
    std::vector<ItemId> ids;
    OrderSheet* sheet = nullptr;
};

TEST_F(LookDrops, AThemeOnAnItemIsItsThemeAndUndoTakesItBack) {
    Dropping theme(themeToDrag(u"plain-paper"_s));
    EXPECT_TRUE(theme.drop(rows(), onRow(ids[1])));
    EXPECT_EQ(choiceOf(ids[1]).theme, u"plain-paper"_s);
    EXPECT_TRUE(choiceOf(ids[0]).isEmpty());
    EXPECT_EQ(session->book().slidesOf(ids[1])->outputs[0].look.backdrop.colour,
              themeOf(u"plain-paper"_s, session->book().themes())->look.backdrop.colour);
    EXPECT_TRUE(window->notices()->isVisible());
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(choiceOf(ids[1]).isEmpty());
}

TEST_F(LookDrops, OntoOneOfTheChosenItemsItIsForAllOfThem) {
    sheet->selectAll({ids[0], ids[2]});
    Dropping theme(themeToDrag(u"plain-paper"_s));
    EXPECT_TRUE(theme.drop(rows(), onRow(ids[2])));
    EXPECT_EQ(choiceOf(ids[0]).theme, u"plain-paper"_s);
    EXPECT_TRUE(choiceOf(ids[1]).isEmpty());
    EXPECT_EQ(choiceOf(ids[2]).theme, u"plain-paper"_s);
}

TEST_F(LookDrops, OnTheTitleAHeadingOrBesideTheItemsItIsForTheService) {
    const QString before = service().theme.id;
    for (const auto& [widget, at] : {std::pair<QWidget*, QPoint>{child<QLabel>(u"sheet-title"_s), {5, 5}},
                                     {rows(), sheet->view()->visualRect(sheet->model()->index(0)).center()},
                                     {rows(), QPoint(20, rows()->height() - 4)}}) {
        Dropping theme(themeToDrag(u"plain-paper"_s));
        EXPECT_TRUE(theme.drop(widget, at));
        EXPECT_EQ(service().theme.id, u"plain-paper"_s);
        press(Qt::Key_Z, Qt::ControlModifier);
        EXPECT_EQ(service().theme.id, before);
    }
}

TEST_F(LookDrops, APictureOnAnItemIsItsBackdrop) {
    Dropping file(files({picture(u"boats.png"_s)}));
    EXPECT_TRUE(file.drop(rows(), onRow(ids[0])));
    ASSERT_TRUE(waitUntil([&] { return !choiceOf(ids[0]).isEmpty(); }));
    const Look& look = session->book().slidesOf(ids[0])->outputs[0].look;
    EXPECT_EQ(look.backdrop.kind, BackdropKind::Picture);
    EXPECT_TRUE(
        QFileInfo::exists(LibraryAddress(libraryFolder).mediaFolder() + u'/' + look.backdrop.picture));
    EXPECT_TRUE(choiceOf(ids[1]).isEmpty());
    press(Qt::Key_Z, Qt::ControlModifier); // one step, though two properties
    EXPECT_TRUE(choiceOf(ids[0]).isEmpty());
}

TEST_F(LookDrops, AThemeFileIsBroughtInAndUsed) {
    Theme theme = *themeOf(u"plain-paper"_s, session->book().themes());
    theme.id = u"from-a-friend"_s;
    theme.name = u"From a Friend"_s;
    const QString path = folder.filePath(u"friend."_s + QLatin1String(kThemeSuffix));
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write(themeFileBytes({theme, {}}).value());
    file.close();
    Dropping dropped(files({path}));
    EXPECT_TRUE(dropped.drop(rows(), onRow(ids[0])));
    ASSERT_TRUE(waitUntil([&] { return choiceOf(ids[0]).theme == u"from-a-friend"_s; }));
    EXPECT_TRUE(themeOf(u"from-a-friend"_s, service().themes)); // carried in the file
    EXPECT_TRUE(waitUntil([&] { return themeOf(u"from-a-friend"_s, session->book().themes()); }));
}

TEST_F(LookDrops, WhatCannotBeReadIsToldAndChangesNothing) {
    for (const QString& name : {u"broken.png"_s, u"broken."_s + QLatin1String(kThemeSuffix)}) {
        QFile broken(folder.filePath(name));
        ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
        broken.write("neither this nor that");
        broken.close();
        window->notices()->hide();
        Dropping file(files({broken.fileName()}));
        EXPECT_TRUE(file.drop(rows(), onRow(ids[0])));
        EXPECT_TRUE(waitUntil([&] { return window->notices()->isVisible(); })) << name.toStdString();
        EXPECT_TRUE(choiceOf(ids[0]).isEmpty());
    }
}

TEST_F(LookDrops, OnASlideItIsForThatSlideOnly) {
    ASSERT_TRUE(waitUntil([&] { return slidePicture(1) != nullptr; }));
    Dropping theme(themeToDrag(u"plain-paper"_s));
    EXPECT_TRUE(theme.drop(slidePicture(1), {10, 10}));
    ASSERT_EQ(service().item(ids[0])->look.slides.size(), 1u);
    EXPECT_EQ(service().item(ids[0])->look.slides[0].choice.theme, u"plain-paper"_s);
    const auto& slides = session->book().slidesOf(ids[0])->outputs[0].slides;
    EXPECT_FALSE(slides[0].own);
    EXPECT_TRUE(slides[1].own);
}

TEST_F(LookDrops, OtherThingsAreNotTaken) {
    Dropping several(files({picture(u"a.png"_s), picture(u"b.png"_s)}));
    EXPECT_FALSE(lookDropIn(*several.data));
    Dropping text(files({folder.filePath(u"notes.txt"_s)}));
    EXPECT_FALSE(lookDropIn(*text.data));
    EXPECT_FALSE(text.enter(slidePicture(0), {10, 10}));
    Dropping web(new QMimeData);
    web.data->setUrls({QUrl(u"https://quillhaven.example/boats.png"_s)});
    EXPECT_FALSE(lookDropIn(*web.data));
}

TEST_F(LookDrops, TheShelfShowsChoosesAndGivesThemes) {
    auto* shelf = child<ThemeList>(u"theme-shelf"_s);
    EXPECT_EQ(shelf->count(), int(session->book().themes().size()));
    EXPECT_EQ(shelf->chosen(), service().theme.id);
    const auto items = shelf->findItems(u"Plain Paper"_s, Qt::MatchExactly);
    ASSERT_EQ(items.size(), 1);
    shelf->scrollToItem(items[0]);
    QTest::mouseClick(shelf->viewport(), Qt::LeftButton, {}, shelf->visualItemRect(items[0]).center());
    EXPECT_EQ(service().theme.id, u"plain-paper"_s);
    EXPECT_EQ(child<QComboBox>(u"theme"_s)->currentText(), u"Plain Paper"_s);
    shelf->setFocus();
    press(Qt::Key_Left); // by keys, too
    EXPECT_NE(service().theme.id, u"plain-paper"_s);
}

TEST_F(LookDrops, ADragOpensTheDeskThatItWaitsOn) {
    auto* tab = child<QToolButton>(u"desk-library"_s);
    Dropping theme(themeToDrag(u"plain-paper"_s));
    EXPECT_TRUE(theme.enter(tab, {5, 5}));
    EXPECT_FALSE(theme.move(tab, {5, 5})); // it cannot be let go here
    EXPECT_TRUE(waitUntil([&] { return tab->isChecked(); }));
    auto* prepare = child<QToolButton>(u"desk-prepare"_s);
    theme.enter(prepare, {5, 5});
    theme.leave(prepare);
    QTest::qWait(DragOpens::kStaysMs + 200);
    EXPECT_FALSE(prepare->isChecked());
}

} // namespace
} // namespace mivanta
