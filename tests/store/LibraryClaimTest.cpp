// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/LibraryClaim.h"
#include "support/Text.h"
#include <QFile>
#include <QTemporaryDir>
#include <csignal>
#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

namespace mivanta {
namespace {

class Claims : public ::testing::Test {
protected:
    void write(const QString& name, const QByteArray& bytes) const {
        QFile file(folder.filePath(name));
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
    }
    [[nodiscard]] bool has(const QString& name) const { return QFile::exists(folder.filePath(name)); }

    QTemporaryDir folder;
};

TEST_F(Claims, TheFirstHasTheUsualNameAndEachOfTheOthersItsOwn) {
    const LibraryClaim first(folder.path(), folder.path(), {}, u"Quay Laptop"_s);
    const LibraryClaim second(folder.path(), folder.path(), {}, u"Quay Laptop"_s);
    const LibraryClaim third(folder.path(), folder.path(), {}, u"Quay Laptop"_s);
    const LibraryClaim window(folder.path(), folder.path(), u"second"_s, u"Quay Laptop"_s);
    EXPECT_EQ(first.name(), QString());
    EXPECT_EQ(first.holder(), QString());
    EXPECT_EQ(second.name(), u"at-quay-laptop"_s);
    EXPECT_EQ(second.holder(), u"Quay Laptop"_s);
    EXPECT_EQ(third.name(), u"at-quay-laptop-2"_s);
    EXPECT_EQ(window.name(), u"second"_s);
    EXPECT_TRUE(LibraryClaim::isTaken(folder.path(), u"second"_s));
    EXPECT_FALSE(LibraryClaim::isTaken(folder.path(), u"third"_s));
}

TEST_F(Claims, WhatAnotherComputerHasIsItsUntilItEnds) {
    auto vestry = std::make_unique<LibraryClaim>(folder.path(), folder.path(), QString(), u"vestry"_s);
    {
        const LibraryClaim claim(folder.path(), folder.path(), {}, u"quay"_s);
        EXPECT_EQ(claim.name(), u"at-quay"_s);
        EXPECT_EQ(claim.holder(), u"vestry"_s);
    }
    vestry.reset();
    const LibraryClaim claim(folder.path(), folder.path(), {}, u"quay"_s);
    EXPECT_EQ(claim.name(), QString());
    EXPECT_EQ(claim.holder(), QString());
}

TEST_F(Claims, AProgramThatIsKilledHasNothingAnyMore) {
    const pid_t child = ::fork();
    if (child == 0) {
        const LibraryClaim claim(folder.path(), folder.path(), {}, u"quay"_s);
        ::raise(SIGKILL);
    }
    siginfo_t ended{};
    ASSERT_EQ(::waitid(P_PID, id_t(child), &ended, WEXITED | WNOWAIT), 0); // and nobody has buried it
    EXPECT_EQ(LibraryClaim(folder.path(), folder.path(), {}, u"quay"_s).name(), QString());
    ::waitpid(child, nullptr, 0);
}

TEST_F(Claims, WorkLeftUnderTheOtherNameComesHome) {
    {
        const LibraryClaim first(folder.path(), folder.path(), {}, u"quay"_s);
        const LibraryClaim second(folder.path(), folder.path(), {}, u"quay"_s);
        write(u"unsaved-service-at-quay.json"_s, "its work");
        write(u"unsaved-song-at-quay.json"_s, "its song");
        write(u"unsaved-song.json"_s, "another song");
        write(u"unsaved-service-at-vestry.json"_s, "of another computer");
    }
    const LibraryClaim again(folder.path(), folder.path(), {}, u"quay"_s);
    EXPECT_TRUE(has(u"unsaved-service.json"_s));
    EXPECT_FALSE(has(u"unsaved-service-at-quay.json"_s));
    EXPECT_TRUE(has(u"unsaved-song-at-quay.json"_s)); // nothing is written over
    EXPECT_TRUE(has(u"unsaved-service-at-vestry.json"_s));
}

TEST_F(Claims, WorkOfAProgramThatIsAtWorkStaysItsOwn) {
    auto first = std::make_unique<LibraryClaim>(folder.path(), folder.path(), QString(), u"quay"_s);
    const LibraryClaim second(folder.path(), folder.path(), {}, u"quay"_s);
    write(u"unsaved-service-at-quay.json"_s, "its work");
    first.reset();
    const LibraryClaim again(folder.path(), folder.path(), {}, u"quay"_s);
    EXPECT_EQ(again.name(), QString());
    EXPECT_FALSE(has(u"unsaved-service.json"_s));
    EXPECT_TRUE(has(u"unsaved-service-at-quay.json"_s));
}

TEST_F(Claims, WhereNothingCanBeWrittenTheUsualNameIsAsGoodAsAny) {
    const LibraryClaim claim(folder.filePath(u"not/there"_s), folder.path(), {}, u"quay"_s);
    EXPECT_EQ(claim.name(), QString());
    EXPECT_EQ(claim.holder(), QString());
}

} // namespace
} // namespace mivanta
