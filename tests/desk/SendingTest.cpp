// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/sending/Sender.h"
#include "store/Library.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(Sending, StopsWhenToldAndKeepsWhatIsWritten) {
    QTemporaryDir folder;
    {
        const auto library = Library::open(folder.filePath(u"library"_s));
        ASSERT_TRUE(library);
        for (int i = 0; i < 30; ++i)
            ASSERT_TRUE((*library)->save(samples::harbourSong(u"Song %1"_s.arg(i))));
    }
    Answers answers;
    answers.folder = folder.filePath(u"out"_s);
    Sender sender(folder.filePath(u"library"_s), answers);
    QString told;
    QString problem;
    QObject::connect(&sender, &Sender::finished, [&](const QString& text) { told = text; });
    QObject::connect(&sender, &Sender::failed, [&](const Error& error) { problem = error.text(); });
    sender.sendFromLibrary(SendWay::ChordProFiles, {}, {});
    EXPECT_TRUE(sender.isBusy());
    sender.sendFromLibrary(SendWay::TextFiles, {}, {}); // one after the other
    EXPECT_TRUE(problem.contains(u"already"_s));
    problem.clear();
    sender.cancel();
    ASSERT_TRUE(waitUntil([&] { return !sender.isBusy(); }));
    if (problem.isEmpty())
        EXPECT_TRUE(told.contains(u"30 files"_s)) << "it was faster than the stop";
    else
        EXPECT_TRUE(problem.contains(u"stopped"_s));
    answers.folder.clear(); // given up in the dialog
    sender.sendFromLibrary(SendWay::TextFiles, {}, {});
    EXPECT_FALSE(sender.isBusy());
}

} // namespace
} // namespace mivanta
