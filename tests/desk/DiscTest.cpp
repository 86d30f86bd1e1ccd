// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/media/ClipStrip.h"
#include "desk/media/DiscWindow.h"
#include "desk/media/FilmPreview.h"
#include "media/FilmLook.h"
#include "support/TestDisc.h"
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>
#include <cmath>

namespace mivanta {
namespace {

/// Parts of a video disc go into the library, by mouse and by keys.
class DiscPage : public WindowTest {
protected:
    static void SetUpTestSuite() {
        files = std::make_unique<QTemporaryDir>();
        const auto disc = makeDisc(files->path());
        ASSERT_TRUE(disc);
        onFolder = disc->folder;
        image = imageOf(*disc, files->filePath(u"harbour.iso"_s));
        ASSERT_FALSE(image.isEmpty());
    }
    static void TearDownTestSuite() { files.reset(); }

    void SetUp() override {
        WindowTest::SetUp();
        press(Qt::Key_1, Qt::AltModifier);
        press(Qt::Key_4, Qt::AltModifier | Qt::ShiftModifier);
        ASSERT_TRUE(waitUntil([&] { return session->media().isLoaded(); }));
    }
    /// Through the menu of the page; `entry` counts from its end.
    void open(int entry) {
        auto* menu = child<QToolButton>(u"from-disc"_s)->menu();
        Q_EMIT menu->aboutToShow();
        menu->actions().at(menu->actions().size() - entry)->trigger();
        ASSERT_TRUE(waitUntil([&] { return window->findChild<DiscWindow*>() != nullptr; }));
        disc = window->findChild<DiscWindow*>();
    }
    template <typename T>
    T* in(const QString& name) {
        T* found = disc->findChild<T*>(name);
        EXPECT_NE(found, nullptr) << name.toStdString();
        return found;
    }
    void openImage() {
        answers->files = {image};
        open(2);
        ASSERT_TRUE(waitUntil([&] { return titles()->count() == 2; }));
    }
    QListWidget* titles() { return in<QListWidget>(u"disc-titles"_s); }
    ClipStrip* strip() { return disc->findChild<ClipStrip*>(); }
    QString says() { return in<QLabel>(u"disc-says"_s)->text(); }
    int numberOnPreview() { return numberOnPicture(in<FilmPreview>(u"film-preview"_s)->grab().toImage()); }
    void key(int key, Qt::KeyboardModifiers modifiers = {}) {
        QTest::keyClick(strip(), Qt::Key(key), modifiers);
    }

    static inline std::unique_ptr<QTemporaryDir> files;
    static inline QString onFolder;
    static inline QString image;
    QPointer<DiscWindow> disc;
};

TEST_F(DiscPage, APartOfATitleGoesIntoTheLibraryByKeys) {
    openImage();
    EXPECT_TRUE(in<QLabel>(u"disc-name"_s)->text().contains(u"HARBOUR"_s));
    EXPECT_EQ(titles()->currentRow(), 0); // the longest
    EXPECT_EQ(in<QComboBox>(u"disc-sound"_s)->count(), 3);
    EXPECT_TRUE(in<QComboBox>(u"disc-sound"_s)->currentText().contains(u"English"_s));
    ASSERT_TRUE(waitUntil([&] { return numberOnPreview() == 0; }, 60'000));
    for (int i = 0; i < 3; ++i)
        key(Qt::Key_Right);
    EXPECT_TRUE(waitUntil([&] { return numberOnPreview() == 75; }, 60'000));
    key(Qt::Key_BracketLeft);
    for (int i = 0; i < 2; ++i)
        key(Qt::Key_Right);
    key(Qt::Key_BracketRight);
    QTest::keyClicks(in<QLineEdit>(u"disc-clip-name"_s), u"The quay at noon"_s);
    QTest::keyClick(disc, Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return session->media().all().size() == 1; }, 60'000));
    ASSERT_TRUE(waitUntil([&] { return says().contains(u"is in the library"_s); }));
    const Medium medium = session->media().all().front();
    EXPECT_EQ(medium.title, u"The quay at noon"_s);
    EXPECT_EQ(medium.kind, MediumKind::Film);
    EXPECT_NEAR(medium.length(), 2, 0.01);
    EXPECT_TRUE(medium.hasSound());
    const auto first = pictureOfFilm(session->media().pathOf(medium.name), medium.from, {352, 288});
    ASSERT_TRUE(first);
    EXPECT_EQ(numberOnPicture(*first), 75);
    // The disc is not needed any more; the page shows what came.
    QTest::mouseClick(in<QPushButton>(u"disc-close"_s), Qt::LeftButton);
    EXPECT_TRUE(waitUntil([&] { return disc.isNull(); }));
    EXPECT_EQ(child<QLineEdit>(u"medium-title"_s)->text(), u"The quay at noon"_s);
}

TEST_F(DiscPage, AWholeTitleOfAFolderIsCopiedWithoutSoundWhenThatIsChosen) {
    answers->folder = onFolder;
    open(1);
    ASSERT_TRUE(waitUntil([&] { return titles()->count() == 2; }));
    in<QComboBox>(u"disc-sound"_s)->setCurrentIndex(0);
    QTest::mouseClick(in<QPushButton>(u"disc-keep-all"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return session->media().all().size() == 1; }, 60'000));
    const Medium medium = session->media().all().front();
    EXPECT_NEAR(medium.length(), 10, 0.1);
    EXPECT_FALSE(medium.hasSound());
    EXPECT_TRUE(medium.title.contains(u"title 1"_s));
}

TEST_F(DiscPage, AnotherTitleIsChosenSoughtByTheMouseAndPlayedHere) {
    openImage();
    titles()->setCurrentRow(1);
    EXPECT_FALSE(in<QComboBox>(u"disc-sound"_s)->isEnabled());
    QTest::mouseClick(strip(), Qt::LeftButton, {}, {strip()->width() / 2, strip()->height() / 2});
    EXPECT_TRUE(waitUntil([&] { return std::abs(numberOnPreview() - 37) <= 5; }, 60'000));
    key(Qt::Key_Space);
    const double before = strip()->position();
    EXPECT_TRUE(waitUntil([&] { return strip()->position() > before + 0.3; }, 60'000));
    key(Qt::Key_Space);
    const double stopped = strip()->position();
    const int number = numberOnPreview();
    EXPECT_NEAR(number / 25.0, stopped, 0.2);
}

TEST_F(DiscPage, AnImageThatIsDroppedIsOpenedAndOneThatIsNoneIsSaid) {
    QFile words(files->filePath(u"words.iso"_s));
    ASSERT_TRUE(words.open(QIODevice::WriteOnly));
    words.write("We are all going to the harbour");
    words.close();
    Dropping(filesToDrag({words.fileName()})).drop(child<QWidget>(u"library-desk"_s), {50, 50});
    ASSERT_TRUE(waitUntil([&] { return window->findChild<DiscWindow*>() != nullptr; }));
    disc = window->findChild<DiscWindow*>();
    EXPECT_TRUE(waitUntil([&] { return in<QLabel>(u"disc-name"_s)->text().contains(u"no video disc"_s); }));
    EXPECT_FALSE(in<QPushButton>(u"disc-keep-part"_s)->isEnabled());
    EXPECT_TRUE(session->media().all().empty());
    disc->close();
    ASSERT_TRUE(waitUntil([&] { return disc.isNull(); }));
    Dropping(filesToDrag({onFolder})).drop(child<QWidget>(u"library-desk"_s), {50, 50}); // it is not watched
    ASSERT_TRUE(waitUntil([&] { return window->findChild<DiscWindow*>() != nullptr; }));
    disc = window->findChild<DiscWindow*>();
    EXPECT_TRUE(waitUntil([&] { return titles()->count() == 2; }));
}

TEST_F(DiscPage, ClosedWhileItCopiesItCopiesOn) {
    openImage();
    QTest::mouseClick(in<QPushButton>(u"disc-keep-all"_s), Qt::LeftButton);
    disc->close();
    EXPECT_TRUE(waitUntil([&] { return session->media().all().size() == 1; }, 60'000));
}

} // namespace
} // namespace mivanta
