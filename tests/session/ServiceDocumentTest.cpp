// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/ServiceDocument.h"
#include "formats/ServiceFile.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QJsonDocument>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

QStringList titlesOf(const ServiceDocument& document) {
    QStringList titles;
    for (const Item& item : document.service().items)
        titles << item.title();
    return titles;
}

QByteArray contentOf(const ServiceDocument& document) {
    return QJsonDocument(serviceToJson(document.service())).toJson(QJsonDocument::Compact);
}

class Document : public ::testing::Test {
protected:
    bool save(const QString& path) {
        bool done = false;
        QString problem;
        const auto saved = QObject::connect(&document, &ServiceDocument::saved, [&] { done = true; });
        const auto failed = QObject::connect(&document, &ServiceDocument::failed,
                                             [&](const Error& error) { problem = error.text(); });
        document.save(path);
        EXPECT_TRUE(waitUntil([&] { return done || !problem.isEmpty(); }));
        QObject::disconnect(saved);
        QObject::disconnect(failed);
        return done;
    }
    QTemporaryDir folder;
    ServiceDocument document{LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                             samples::theme()};
};

TEST_F(Document, EveryChangeIsOneNamedStep) {
    const ItemId a = document.insert(0, songItem(samples::harbourSong(u"A"_s)));
    const ItemId heading = document.insertHeading(0, u"Gathering"_s);
    document.insert(99, songItem(samples::harbourSong(u"B"_s))); // past the end is the end
    EXPECT_EQ(titlesOf(document), (QStringList{u"Gathering"_s, u"A"_s, u"B"_s}));
    document.move({a}, 3);
    EXPECT_EQ(titlesOf(document), (QStringList{u"Gathering"_s, u"B"_s, u"A"_s}));
    document.rename(heading, u"Welcome"_s);
    document.remove({a});
    EXPECT_EQ(titlesOf(document), (QStringList{u"Welcome"_s, u"B"_s}));
    EXPECT_EQ(document.undoStack().count(), 6);
    for (int i = 0; i < 6; ++i) {
        EXPECT_FALSE(document.undoStack().text(i).isEmpty());
        document.undoStack().undo();
    }
    EXPECT_TRUE(document.service().items.empty());
}

TEST_F(Document, WhatChangesNothingIsNoStep) {
    document.setTitle({});
    document.setTheme(samples::theme());
    document.change(ItemId::create(), songItem(samples::harbourSong()), u"nobody"_s);
    const ItemId heading = document.insertHeading(0, u"Gathering"_s);
    document.change(heading, songItem(samples::harbourSong()), u"a heading is no song"_s);
    EXPECT_EQ(document.undoStack().count(), 1);
}

TEST_F(Document, ChangesOfOneVisitAreOneStepUntilSomethingElseIsDone) {
    const ItemId a = document.insert(0, songItem(samples::harbourSong(u"A"_s)));
    for (const QString& title : {u"A1"_s, u"A12"_s, u"A123"_s})
        document.change(a, songItem(samples::harbourSong(title)), u"typing"_s, 1);
    EXPECT_EQ(document.undoStack().count(), 2);
    document.change(a, songItem(samples::harbourSong(u"Again"_s)), u"typing"_s, 2); // another visit
    EXPECT_EQ(document.undoStack().count(), 3);
    document.undoStack().undo();
    EXPECT_EQ(titlesOf(document), QStringList{u"A123"_s});
    document.undoStack().undo();
    EXPECT_EQ(titlesOf(document), QStringList{u"A"_s});
}

TEST_F(Document, WhatIsTypedWhileItIsBeingSavedIsStillUnsaved) {
    const ItemId a = document.insert(0, songItem(samples::harbourSong(u"A"_s)));
    document.change(a, songItem(samples::harbourSong(u"A1"_s)), u"typing"_s, 1);
    bool saved = false;
    QObject::connect(&document, &ServiceDocument::saved, [&] { saved = true; });
    document.save(folder.filePath(u"s.mivanta"_s));
    document.change(a, songItem(samples::harbourSong(u"A12"_s)), u"typing"_s, 1); // joins the step before
    ASSERT_TRUE(waitUntil([&] { return saved; }));
    EXPECT_TRUE(document.isModified());
    ASSERT_TRUE(save(folder.filePath(u"s.mivanta"_s)));
    EXPECT_FALSE(document.isModified());
    document.change(a, songItem(samples::harbourSong(u"A123"_s)), u"typing"_s, 1); // not into what is saved
    EXPECT_TRUE(document.isModified());
    document.undoStack().undo();
    EXPECT_EQ(titlesOf(document), QStringList{u"A12"_s});
    EXPECT_FALSE(document.isModified());
}

TEST_F(Document, AnAnswerBelongsToTheServiceThatAskedForIt) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Mine"_s);
    document.save(path);
    document.startNew(); // before the answer comes
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(path); }));
    document.keepNow(); // behind the saving; and its answer is taken
    QCoreApplication::processEvents();
    EXPECT_TRUE(document.path().isEmpty());
    document.undoStack().undo();
    EXPECT_EQ(document.path(), path);
    EXPECT_FALSE(document.isModified());
    EXPECT_EQ(titlesOf(document), QStringList{u"Mine"_s});
}

TEST_F(Document, SavingTwiceInARowIsNoChangeByAnotherProgram) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Mine"_s);
    ASSERT_TRUE(save(path));
    int saved = 0;
    QString problem;
    QObject::connect(&document, &ServiceDocument::saved, [&] { ++saved; });
    QObject::connect(&document, &ServiceDocument::failed,
                     [&](const Error& error) { problem = error.text(); });
    document.insertHeading(1, u"More"_s);
    document.save(path);
    document.save(path);
    EXPECT_TRUE(waitUntil([&] { return saved == 2 || !problem.isEmpty(); }));
    EXPECT_TRUE(problem.isEmpty()) << problem.toStdString();
    EXPECT_FALSE(document.isModified());
}

TEST_F(Document, AnotherServiceIsAStepThatCanBeUndone) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Saved"_s);
    ASSERT_TRUE(save(path));
    document.insertHeading(1, u"Not saved"_s);
    const ServiceId before = document.service().id;
    int opened = 0;
    int back = 0;
    QObject::connect(&document, &ServiceDocument::opened, [&] { ++opened; });
    QObject::connect(&document, &ServiceDocument::broughtBack, [&] { ++back; });
    document.startNew();
    EXPECT_FALSE(document.isModified());
    document.insertHeading(0, u"Of the new one"_s);
    EXPECT_TRUE(document.isModified());
    document.undoStack().undo();
    document.undoStack().undo();
    EXPECT_EQ(document.service().id, before);
    EXPECT_EQ(titlesOf(document), (QStringList{u"Saved"_s, u"Not saved"_s}));
    EXPECT_EQ(document.path(), path);
    EXPECT_TRUE(document.isModified());
    EXPECT_EQ(opened, 2);
    EXPECT_EQ(back, 1);
    document.undoStack().undo();
    EXPECT_FALSE(document.isModified()); // as it is in its file
    for (int i = 0; i < 3; ++i)
        document.undoStack().redo();
    EXPECT_EQ(titlesOf(document), QStringList{u"Of the new one"_s});
    EXPECT_TRUE(document.path().isEmpty());
}

TEST_F(Document, AnUntouchedServiceIsNothingToGoBackTo) {
    document.startNew();
    EXPECT_FALSE(document.undoStack().canUndo());
}

TEST_F(Document, AFileThatAnotherProgramChangedIsNotOverwritten) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Mine"_s);
    ASSERT_TRUE(save(path));
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::Append));
    file.write("theirs");
    file.close();
    document.insertHeading(1, u"More of mine"_s);
    EXPECT_FALSE(save(path));
    EXPECT_TRUE(document.isModified());
    EXPECT_TRUE(save(folder.filePath(u"elsewhere.mivanta"_s)));
}

TEST_F(Document, OfTwoProgramsOnOneFileTheSecondIsToldAndNothingOfEitherIsLost) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Ours"_s);
    ASSERT_TRUE(save(path));
    const QTemporaryDir elsewhere; // another library, as on another computer
    ServiceDocument other(LibraryAddress(elsewhere.path()).mediaFolder(), Journal(elsewhere.path()),
                          samples::theme());
    bool opened = false;
    bool saved = false;
    QObject::connect(&other, &ServiceDocument::opened, [&] { opened = true; });
    QObject::connect(&other, &ServiceDocument::saved, [&] { saved = true; });
    other.open(path);
    ASSERT_TRUE(waitUntil([&] { return opened; }));
    other.insertHeading(1, u"Theirs"_s);
    document.insertHeading(1, u"Mine"_s);
    other.save(path);
    ASSERT_TRUE(waitUntil([&] { return saved; }));
    EXPECT_FALSE(save(path));
    EXPECT_TRUE(document.isModified());
    EXPECT_EQ(titlesOf(document), (QStringList{u"Ours"_s, u"Mine"_s}));
    ASSERT_TRUE(save(folder.filePath(u"mine.mivanta"_s)));
    document.open(path);
    ASSERT_TRUE(waitUntil([&] { return titlesOf(document) == (QStringList{u"Ours"_s, u"Theirs"_s}); }));
}

TEST_F(Document, UnsavedWorkIsKeptAlsoWhileChangesNeverPause) {
    const Journal journal(folder.path());
    int changes = 0;
    EXPECT_TRUE(waitUntil([&] { // each comes before the time that the one before waits for
        document.insertHeading(0, QString::number(++changes));
        const auto kept = journal.read();
        return kept && *kept && (*kept)->service.items.size() > 3;
    }));
}

TEST_F(Document, AFileThatCannotBeOpenedLeavesTheServiceAsItIs) {
    document.insertHeading(0, u"Mine"_s);
    QString problem;
    QObject::connect(&document, &ServiceDocument::failed,
                     [&](const Error& error) { problem = error.text(); });
    document.open(folder.filePath(u"nowhere.mivanta"_s));
    ASSERT_TRUE(waitUntil([&] { return !problem.isEmpty(); }));
    EXPECT_EQ(titlesOf(document), QStringList{u"Mine"_s});
    EXPECT_EQ(document.undoStack().count(), 1);
}

TEST_F(Document, UnsavedWorkIsThereAgainWithItsFile) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Saved"_s);
    ASSERT_TRUE(save(path));
    document.insertHeading(1, u"Unsaved"_s);
    document.finishWriting();
    ServiceDocument again(LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                          samples::theme());
    bool unsaved = false;
    bool there = false;
    QObject::connect(&again, &ServiceDocument::recovered, [&](bool hasUnsaved) {
        there = true;
        unsaved = hasUnsaved;
    });
    again.recover();
    ASSERT_TRUE(waitUntil([&] { return there; }));
    EXPECT_TRUE(unsaved);
    EXPECT_TRUE(again.isModified());
    EXPECT_EQ(again.path(), path);
    EXPECT_EQ(titlesOf(again), (QStringList{u"Saved"_s, u"Unsaved"_s}));
}

/// A later start of the program, on what the one before left.
struct LaterStart {
    explicit LaterStart(const QString& folder)
        : document(LibraryAddress(folder).mediaFolder(), Journal(folder), samples::theme()) {
        QObject::connect(&document, &ServiceDocument::newerFileTaken, [this] { isNewerFile = true; });
        QObject::connect(&document, &ServiceDocument::recovered, [this](bool hasUnsaved) {
            isThere = true;
            isUnsaved = hasUnsaved;
        });
        document.recover();
        EXPECT_TRUE(QTest::qWaitFor([this] { return isThere; }, 10'000));
    }
    ServiceDocument document;
    bool isThere = false;
    bool isUnsaved = false;
    bool isNewerFile = false;
};

TEST_F(Document, AFileThatWasChangedElsewhereIsTakenWhenNothingIsUnsaved) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Old"_s);
    ASSERT_TRUE(save(path));
    document.finishWriting();
    Service elsewhere = document.service();
    elsewhere.items.push_back({ItemId::create(), Heading{u"New"_s}});
    ASSERT_TRUE(saveService(elsewhere, path, {}));
    const LaterStart later(folder.path());
    EXPECT_TRUE(later.isNewerFile);
    EXPECT_FALSE(later.isUnsaved);
    EXPECT_FALSE(later.document.isModified());
    EXPECT_EQ(titlesOf(later.document), (QStringList{u"Old"_s, u"New"_s}));
}

TEST_F(Document, WhatIsUnsavedStaysThoughItsFileWasChangedElsewhere) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Old"_s);
    ASSERT_TRUE(save(path));
    document.insertHeading(1, u"Mine"_s);
    document.finishWriting();
    Service elsewhere = document.service();
    elsewhere.items.pop_back();
    ASSERT_TRUE(saveService(elsewhere, path, {}));
    const LaterStart later(folder.path());
    EXPECT_FALSE(later.isNewerFile);
    EXPECT_TRUE(later.isUnsaved);
    EXPECT_EQ(titlesOf(later.document), (QStringList{u"Old"_s, u"Mine"_s}));
}

TEST_F(Document, WhatTheProgramDidNotAnswerWithIsOfferedAndNotTakenUp) {
    document.insertHeading(0, u"Work"_s);
    document.finishWriting();
    {
        const LaterStart killed(folder.path()); // as by a kill: that alone holds nothing back
        EXPECT_EQ(titlesOf(killed.document), QStringList{u"Work"_s});
    }
    Journal(folder.path()).noteFrozen(true);
    ServiceDocument later(LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                          samples::theme());
    bool isHeld = false;
    bool isNothing = false;
    QObject::connect(&later, &ServiceDocument::heldBack, [&] { isHeld = true; });
    QObject::connect(&later, &ServiceDocument::nothingToRecover, [&] { isNothing = true; });
    later.recover();
    ASSERT_TRUE(waitUntil([&] { return isNothing; }));
    EXPECT_TRUE(isHeld);
    EXPECT_TRUE(later.service().items.empty());
    later.takeUpHeldBack();
    ASSERT_TRUE(waitUntil([&] { return titlesOf(later) == QStringList{u"Work"_s}; }));
    EXPECT_TRUE(later.isModified());
    later.finishWriting();
    const LaterStart last(folder.path());
    EXPECT_EQ(titlesOf(last.document), QStringList{u"Work"_s});
}

TEST(FreezeWatch, TellsWhenNothingAnswersAndWhenItDoesAgain) {
    std::atomic<int> frozen = 0;
    std::atomic<int> thawed = 0;
    const FreezeWatch watch(std::chrono::milliseconds(100),
                            [&](bool isFrozen) { ++(isFrozen ? frozen : thawed); });
    std::this_thread::sleep_for(std::chrono::milliseconds(500)); // as work without end would
    EXPECT_GE(frozen, 1);
    EXPECT_TRUE(QTest::qWaitFor([&] { return thawed == frozen; }, 5000));
}

TEST_F(Document, WhatCouldNotBeOpenedAgainIsNotMade) {
    document.insertHeading(0, u"First"_s);
    std::vector<Item> many(2000, Item{{}, Heading{u"More"_s}});
    for (Item& item : many)
        item.id = ItemId::create();
    QString problem;
    QObject::connect(&document, &ServiceDocument::failed,
                     [&](const Error& error) { problem = error.text(); });
    document.insertItems(1, std::move(many), u"x"_s);
    EXPECT_TRUE(problem.contains(u"2001 items; 2000 is the most"_s)) << problem.toStdString();
    EXPECT_EQ(titlesOf(document), QStringList{u"First"_s});
    EXPECT_EQ(document.undoStack().count(), 1);
    Song song = samples::harbourSong();
    song.parts[0].lines.assign(1001, Line{u"a"_s, {}, false, {}, {}});
    document.insert(1, songItem(song));
    EXPECT_TRUE(problem.contains(u"lines in Verse 1"_s)) << problem.toStdString();
    EXPECT_EQ(document.service().items.size(), 1u);
}

TEST_F(Document, AFileThatIsGoneLeavesItsServiceAsUnsavedWork) {
    const QString path = folder.filePath(u"s.mivanta"_s);
    document.insertHeading(0, u"Old"_s);
    ASSERT_TRUE(save(path));
    document.finishWriting();
    ASSERT_TRUE(QFile::remove(path));
    const LaterStart later(folder.path());
    EXPECT_TRUE(later.isUnsaved);
    EXPECT_TRUE(later.document.isModified());
    EXPECT_EQ(titlesOf(later.document), QStringList{u"Old"_s});
}

RC_GTEST_PROP(DocumentProperty, UndoTakesEveryChangeBackAndRedoDoesItAgain, ()) {
    const QTemporaryDir folder;
    ServiceDocument document(LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                             samples::theme());
    const auto steps = *rc::gen::container<std::vector<std::tuple<int, int, int>>>(
        rc::gen::tuple(rc::gen::inRange(0, 6), rc::gen::inRange(0, 8), rc::gen::inRange(0, 8)));
    std::vector<QByteArray> states{contentOf(document)};
    const auto idAt = [&](int index) {
        const auto& items = document.service().items;
        return items.empty() ? ItemId::create() : items[size_t(index) % items.size()].id;
    };
    for (const auto& [what, a, b] : steps) {
        const int before = document.undoStack().count();
        switch (what) {
        case 0:
            document.insert(a, songItem(samples::harbourSong(u"Song %1"_s.arg(b))));
            break;
        case 1:
            document.insertHeading(a, u"Heading %1"_s.arg(b));
            break;
        case 2:
            document.remove({idAt(a)});
            break;
        case 3:
            document.move({idAt(a), idAt(b)}, b);
            break;
        case 4:
            document.change(idAt(a), songItem(samples::harbourSong(u"Other %1"_s.arg(b))), u"changing"_s);
            break;
        default:
            document.setTitle(u"Title %1"_s.arg(a));
        }
        if (document.undoStack().count() > before)
            states.push_back(contentOf(document));
        else
            RC_ASSERT(contentOf(document) == states.back());
    }
    for (size_t i = states.size(); i-- > 1;) {
        document.undoStack().undo();
        RC_ASSERT(contentOf(document) == states[i - 1]);
    }
    while (document.undoStack().canRedo())
        document.undoStack().redo();
    RC_ASSERT(contentOf(document) == states.back());
}

} // namespace
} // namespace mivanta
