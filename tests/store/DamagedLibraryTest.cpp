// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "store/Database.h"
#include "store/Migrations.h"
#include "support/Samples.h"
#include <atomic>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

namespace mivanta {
namespace {

class DamagedLibrary : public LibraryTest {
protected:
    /// Overwrites the pages in the middle of the library's file.
    void damage() {
        library.reset();
        QFile file(path(u"library/library.db"_s));
        ASSERT_TRUE(file.open(QIODevice::ReadWrite));
        constexpr qint64 kPage = 4096;
        for (qint64 page = file.size() / kPage / 3; page < file.size() / kPage * 2 / 3; ++page) {
            file.seek(page * kPage);
            file.write(QByteArray(int(kPage), char(0xa5)));
        }
    }
};

TEST_F(DamagedLibrary, WhatCannotBeReadIsAnErrorAndNeverTheEnd) {
    for (int i = 0; i < 300; ++i)
        ASSERT_TRUE(library->save(samples::harbourSong(u"Song %1"_s.arg(i))));
    damage();
    auto opened = Library::open(path(u"library"_s));
    if (!opened)
        return; // that is an error, too
    const auto songs = (*opened)->songs();
    EXPECT_FALSE(songs) << songs->size();
    int told = 0;
    const auto read = (*opened)->database().read(u"SELECT content FROM song"_s, {}, [&](const Row&) {
        ++told;
        return true;
    });
    EXPECT_FALSE(read);
    EXPECT_LT(told, 300);
    EXPECT_TRUE(read.error().what.contains(u"damaged"_s)) << read.error().text().toStdString();
}

TEST_F(DamagedLibrary, ARowReadToItsEndIsNoError) {
    int told = 0;
    const auto count = [&](const Row&) {
        ++told;
        return told < 2;
    };
    for (const auto& title : {u"One"_s, u"Two"_s, u"Three"_s})
        ASSERT_TRUE(library->save(samples::harbourSong(title)));
    EXPECT_TRUE(library->database().read(u"SELECT id FROM song"_s, {}, count));
    EXPECT_EQ(told, 2);
    EXPECT_EQ(
        library->database().all(u"SELECT id FROM song"_s, {}, [](const Row& r) { return r.text(0); })->size(),
        3u);
    EXPECT_FALSE(*library->database().first(u"SELECT id FROM song WHERE 0"_s, {},
                                            [](const Row& r) { return r.text(0); }));
}

/// Programs that open a new library at the same moment: each has it whole in the end.
TEST(NewLibrary, EightProgramsOpenItAtOnce) {
    for (int round = 0; round < 5; ++round) {
        const QTemporaryDir folder;
        const QString library = folder.filePath(u"library"_s);
        int pipes[2];
        ASSERT_EQ(::pipe(pipes), 0);
        std::vector<pid_t> children;
        for (int i = 0; i < 8; ++i) {
            const pid_t child = ::fork();
            if (child == 0) {
                char go = 0;
                ::close(pipes[1]);
                static_cast<void>(::read(pipes[0], &go, 1)); // until the parent lets go of it
                const auto opened = Library::open(library);
                if (!opened)
                    std::fprintf(stderr, "%s\n", opened.error().text().toStdString().c_str());
                ::_exit(opened && (*opened)->songCount() ? 0 : 1);
            }
            children.push_back(child);
        }
        ::close(pipes[0]);
        ::close(pipes[1]);
        for (const pid_t child : children) {
            int status = 0;
            ::waitpid(child, &status, 0);
            EXPECT_EQ(WEXITSTATUS(status), 0) << "round " << round;
        }
    }
}

} // namespace
} // namespace mivanta
