// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/RecordEditing.h"
#include "core/song/PartEdits.h"
#include "session/library/RecordBin.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QDir>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

template <typename T>
T fresh(const QString& title);
template <>
Song fresh(const QString& title) {
    return tidied(samples::harbourSong(title));
}
template <>
SpokenText fresh(const QString& title) {
    SpokenText text;
    text.id = TextId::create();
    text.title = title;
    text.lines = {{u"Leader"_s, u"The tide is in."_s, {}, false}};
    return text;
}
template <>
ThemeRecord fresh(const QString& title) {
    ThemeRecord record{samples::theme(), 0};
    record.theme.id = title.toLower();
    record.theme.name = title;
    return record;
}

void retitle(Song& song, const QString& title) {
    song.title = title;
}
void retitle(SpokenText& text, const QString& title) {
    text.title = title;
}
void retitle(ThemeRecord& record, const QString& title) {
    record.theme.name = title;
}

template <typename T>
struct BinKind {
    using Of = T;
};
template <>
struct BinKind<ThemeRecord> {
    using Of = Theme;
};

/// A record being edited, the library behind it, and what it tells.
template <typename T>
class Editing : public ::testing::Test {
protected:
    using Kind = RecordKind<T>;
    using Id = typename Kind::Id;

    /// A desk, as it is after a start of the program.
    struct Desk {
        explicit Desk(const QString& folder) : kept(folder, Kind::unsavedName()), client(folder) {
            QObject::connect(&editing, &EditingSignals::problem, &editing,
                             [this](const Error& error) { problems << error.what; });
            QObject::connect(&editing, &EditingSignals::notice, &editing,
                             [this](const QString& text) { notices << text; });
            QObject::connect(&editing, &EditingSignals::stored, &editing, [this] { ++stored; });
            QObject::connect(&editing, &EditingSignals::conflict, &editing, [this] { ++conflicts; });
            QObject::connect(&editing, &EditingSignals::untitled, &editing, [this] { ++untitled; });
            client.open();
            waitUntil([this] { return client.isOpen(); });
            editing.keepNow(); // it has looked for work from last time
        }
        UnsavedFile kept;
        LibraryClient client;
        RecordDraft<T> draft;
        Unsaved answer = Unsaved::Cancel;
        int asked = 0;
        RecordEditing<T> editing{draft, client, kept, [this](const QString&) {
                                     ++asked;
                                     return answer;
                                 }};
        QStringList problems;
        QStringList notices;
        int stored = 0;
        int conflicts = 0;
        int untitled = 0;

        void type(const QString& title) {
            draft.change(
                u"typing"_s, [&](T& record) { retitle(record, title); }, 1);
        }
        [[nodiscard]] QString title() const {
            return draft.record() ? Kind::titleOf(*draft.record()) : QString();
        }
        void save() {
            const int before = stored;
            editing.save();
            EXPECT_TRUE(waitUntil([&] { return stored > before || !problems.isEmpty() || conflicts > 0; }));
        }
        void open(const Id& id) {
            editing.open(id);
            EXPECT_TRUE(waitUntil([&] { return draft.record() && Kind::idOf(*draft.record()) == id; }));
        }
        template <typename R>
        Result<R> ask(std::function<Result<R>(Library&)> work) {
            std::optional<Result<R>> got;
            client.ask<R>(&editing, std::move(work), [&](Result<R> result) { got = std::move(result); });
            EXPECT_TRUE(waitUntil([&] { return got.has_value(); }));
            return *got;
        }
        /// In the library.
        [[nodiscard]] Result<T> inLibrary(const Id& id) {
            return ask<T>([id](Library& library) { return Kind::load(library, id); });
        }
        /// Somebody else changes it there.
        void changeElsewhere(const Id& id, const QString& title) {
            auto done = ask<T>([&](Library& library) -> Result<T> {
                auto record = Kind::load(library, id);
                retitle(*record, title);
                return Kind::save(library, *record);
            });
            ASSERT_TRUE(done) << done.error().text().toStdString();
        }
    };

    [[nodiscard]] QString library() const { return folder.filePath(u"library"_s); }
    Id begun(const QString& title) {
        desk.editing.begin(fresh<T>(title));
        desk.save();
        return *desk.editing.id();
    }
    QTemporaryDir folder;
    Desk desk{library()};
};

using Kinds = ::testing::Types<Song, SpokenText, ThemeRecord>;
TYPED_TEST_SUITE(Editing, Kinds);

TYPED_TEST(Editing, SavingRaisesTheRevisionAndKeepsTheVersionBefore) {
    auto& desk = this->desk;
    const auto id = this->begun(u"Harbour"_s);
    EXPECT_EQ(desk.draft.revision(), 1);
    desk.type(u"Haven"_s);
    desk.save();
    EXPECT_FALSE(desk.draft.isChanged());
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.inLibrary(id)), u"Haven"_s);
    using Kind = typename TestFixture::Kind;
    const auto versions = desk.template ask<std::vector<RecordVersion>>(
        [id](Library& library) { return Kind::versions(library, id); });
    ASSERT_EQ(versions->size(), 1u);
    EXPECT_EQ(versions->front().revision, 1);
    const auto before =
        desk.template ask<TypeParam>([id](Library& library) { return Kind::version(library, id, 1); });
    desk.editing.restore(*before);
    EXPECT_EQ(desk.title(), u"Harbour"_s);
    EXPECT_TRUE(desk.draft.isChanged()); // nothing is stored by it
    desk.draft.undo();
    EXPECT_EQ(desk.title(), u"Haven"_s);
}

TYPED_TEST(Editing, WhatIsTypedWhileItIsBeingSavedIsNotSavedYet) {
    auto& desk = this->desk;
    const auto id = this->begun(u"Harbour"_s);
    desk.type(u"Haven"_s);
    desk.editing.save();
    desk.type(u"Haven 2"_s);
    ASSERT_TRUE(waitUntil([&] { return desk.stored == 2; }));
    EXPECT_EQ(desk.title(), u"Haven 2"_s);
    EXPECT_TRUE(desk.draft.isChanged());
    desk.save();
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.inLibrary(id)), u"Haven 2"_s);
    EXPECT_EQ(desk.inLibrary(id)->revision, 3);
}

TYPED_TEST(Editing, TwoSavesAtOnceAreOneAfterTheOther) {
    auto& desk = this->desk;
    const auto id = this->begun(u"Harbour"_s);
    desk.type(u"Haven"_s);
    desk.editing.save();
    desk.editing.save();
    ASSERT_TRUE(waitUntil([&] { return desk.stored == 2; }));
    EXPECT_EQ(desk.inLibrary(id)->revision, 2);
    EXPECT_TRUE(desk.problems.isEmpty());
    EXPECT_EQ(desk.conflicts, 0);
}

TYPED_TEST(Editing, WhatSomebodyElseChangedIsNotWrittenOver) {
    auto& desk = this->desk;
    const auto id = this->begun(u"Harbour"_s);
    desk.type(u"Mine"_s);
    desk.changeElsewhere(id, u"Theirs"_s);
    desk.save();
    ASSERT_EQ(desk.conflicts, 1);
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.editing.theirs()), u"Theirs"_s);
    EXPECT_EQ(desk.title(), u"Mine"_s);
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.inLibrary(id)), u"Theirs"_s);
    desk.editing.keepMine();
    ASSERT_TRUE(waitUntil([&] { return desk.stored == 2; }));
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.inLibrary(id)), u"Mine"_s);
    using Kind = typename TestFixture::Kind;
    const auto theirs =
        desk.template ask<TypeParam>([id](Library& library) { return Kind::version(library, id, 2); });
    EXPECT_EQ(Kind::titleOf(*theirs), u"Theirs"_s); // which stays among the versions
}

TYPED_TEST(Editing, WhatNobodyEditsHereFollowsTheLibrary) {
    auto& desk = this->desk;
    const auto id = this->begun(u"Harbour"_s);
    desk.changeElsewhere(id, u"Theirs"_s);
    EXPECT_TRUE(waitUntil([&] { return desk.title() == u"Theirs"_s; }));
    EXPECT_FALSE(desk.draft.isChanged());
}

TYPED_TEST(Editing, UnsavedWorkIsHereAgainAfterTheProgramDied) {
    const auto id = this->begun(u"Harbour"_s);
    this->desk.type(u"Haven"_s);
    const UnsavedFile& kept = this->desk.kept;
    ASSERT_TRUE(waitUntil([&] { return kept.exists(); }));
    typename TestFixture::Desk next(this->library());
    ASSERT_TRUE(waitUntil([&] { return !next.notices.isEmpty(); }));
    EXPECT_TRUE(next.notices.front().contains(u"Haven"_s));
    EXPECT_EQ(*next.editing.id(), id);
    EXPECT_EQ(next.title(), u"Haven"_s);
    EXPECT_TRUE(next.draft.isChanged());
    next.draft.undo();
    EXPECT_EQ(next.title(), u"Harbour"_s); // as the library has it
    next.draft.redo();
    next.save();
    EXPECT_EQ(TestFixture::Kind::titleOf(*next.inLibrary(id)), u"Haven"_s);
    EXPECT_TRUE(waitUntil([&] { return !kept.exists(); }));
}

TYPED_TEST(Editing, ADamagedDraftIsToldAndPutAside) {
    const UnsavedFile& kept = this->desk.kept;
    ASSERT_TRUE(kept.write({{u"id"_s, 7}}));
    typename TestFixture::Desk next(this->library());
    ASSERT_TRUE(waitUntil([&] { return !next.problems.isEmpty(); }));
    EXPECT_FALSE(next.draft.record());
    EXPECT_FALSE(kept.exists());
    EXPECT_EQ(QDir(this->library())
                  .entryList({u"unsaved-%1-*.json"_s.arg(TestFixture::Kind::unsavedName())})
                  .size(),
              1);
    next.editing.begin(fresh<TypeParam>(u"Harbour"_s));
    next.type(u"Haven"_s);
    EXPECT_TRUE(waitUntil([&] { return kept.exists(); })); // and new work is kept
}

TYPED_TEST(Editing, AnotherOneIsOpenedOnceWhatIsUnsavedIsDecidedAbout) {
    using By = typename RecordEditing<TypeParam>::By;
    auto& desk = this->desk;
    const auto other = this->begun(u"Lantern"_s);
    const auto id = this->begun(u"Harbour"_s);
    desk.type(u"Haven"_s);
    EXPECT_FALSE(desk.editing.choose(other, By::Person)); // it stays
    EXPECT_EQ(desk.asked, 1);
    EXPECT_EQ(desk.title(), u"Haven"_s);
    EXPECT_TRUE(desk.editing.choose(other, By::List)); // a list that fills asks nothing, and changes nothing
    EXPECT_TRUE(desk.editing.choose(std::nullopt, By::Person));
    EXPECT_EQ(desk.asked, 1);
    EXPECT_EQ(desk.title(), u"Haven"_s);

    desk.answer = Unsaved::Save;
    EXPECT_TRUE(desk.editing.choose(other, By::Person));
    ASSERT_TRUE(waitUntil([&] { return desk.title() == u"Lantern"_s; }));
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.inLibrary(id)), u"Haven"_s);

    desk.type(u"Lamp"_s);
    desk.answer = Unsaved::GiveUp;
    EXPECT_TRUE(desk.editing.choose(id, By::Person));
    ASSERT_TRUE(waitUntil([&] { return desk.title() == u"Haven"_s; }));
    EXPECT_EQ(TestFixture::Kind::titleOf(*desk.inLibrary(other)), u"Lantern"_s);
    EXPECT_FALSE(desk.draft.isChanged());
}

TYPED_TEST(Editing, WhatIsTypedWhileAnotherOneIsOnItsWayStays) {
    auto& desk = this->desk;
    const auto other = this->begun(u"Lantern"_s);
    const auto id = this->begun(u"Harbour"_s);
    int stayed = 0;
    QObject::connect(&desk.editing, &EditingSignals::stays, [&] { ++stayed; });
    desk.editing.open(other);
    desk.type(u"Haven"_s); // before the answer comes
    ASSERT_TRUE(waitUntil([&] { return stayed == 1; }));
    EXPECT_EQ(desk.title(), u"Haven"_s);
    EXPECT_EQ(*desk.editing.id(), id);
}

TYPED_TEST(Editing, WhatIsGivenUpIsAsTheLibraryHasItForWhatFollows) {
    auto& desk = this->desk;
    this->begun(u"Harbour"_s);
    desk.type(u"Haven"_s);
    desk.answer = Unsaved::GiveUp;
    QString then;
    desk.editing.settle([&] { then = desk.title(); });
    EXPECT_EQ(then, u"Harbour"_s);
}

TYPED_TEST(Editing, OneWithoutATitleIsNotStored) {
    auto& desk = this->desk;
    desk.editing.begin(fresh<TypeParam>(u"Harbour"_s));
    desk.type(u"  "_s);
    desk.save();
    EXPECT_EQ(desk.untitled, 1);
    EXPECT_EQ(desk.problems.size(), 1);
    EXPECT_EQ(desk.stored, 0);
    EXPECT_TRUE(desk.draft.isNew());
}

TYPED_TEST(Editing, TheBinTakesItAndGivesItBack) {
    using Bin = RecordBin<typename BinKind<TypeParam>::Of>;
    using Binned = std::vector<Binned<typename TestFixture::Id>>;
    auto& desk = this->desk;
    const auto id = this->begun(u"Harbour"_s);
    desk.editing.putInBin();
    ASSERT_TRUE(waitUntil([&] { return !desk.notices.isEmpty(); }));
    EXPECT_FALSE(desk.draft.record());
    const auto all = [&] {
        return *desk.template ask<Binned>([](Library& library) { return Bin::all(library); });
    };
    ASSERT_EQ(all().size(), 1u);
    EXPECT_EQ(all().front().title, u"Harbour"_s);
    ASSERT_TRUE(desk.template ask<void>([id](Library& library) { return Bin::restore(library, id); }));
    EXPECT_TRUE(all().empty());
    desk.open(id);
    desk.editing.putInBin();
    ASSERT_TRUE(waitUntil([&] { return all().size() == 1; }));
    EXPECT_EQ(*desk.template ask<int>([](Library& library) { return Bin::empty(library); }), 1);
    EXPECT_FALSE(desk.inLibrary(id));
}

TYPED_TEST(Editing, ANewOneThatNobodyWroteInIsGivenUpUnasked) {
    using Begun = typename RecordEditing<TypeParam>::Begun;
    auto& desk = this->desk;
    desk.editing.begin(fresh<TypeParam>(u"Harbour"_s));
    desk.editing.settle([] {});
    EXPECT_EQ(desk.asked, 0);
    desk.editing.begin(fresh<TypeParam>(u"Harbour"_s), Begun::Filled);
    desk.editing.settle([] {});
    EXPECT_EQ(desk.asked, 1);
}

} // namespace
} // namespace mivanta
