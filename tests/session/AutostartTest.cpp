// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/Autostart.h"
#include "support/Text.h"
#include <QFile>
#include <QSettings>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(Autostart, IsAFileOfTheDesktop) {
    const QTemporaryDir folder;
    const Autostart autostart(u"/opt/mivanta/bin/mivanta"_s, {u"--library"_s, u"/home/a b/100% \"ours\""_s},
                              folder.filePath(u"autostart"_s));
    EXPECT_FALSE(autostart.isOn());
    EXPECT_TRUE(autostart.set(false)); // nothing is there to be removed
    ASSERT_TRUE(autostart.set(true));
    EXPECT_TRUE(autostart.isOn());
    QFile file(folder.filePath(u"autostart/mivanta.desktop"_s));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const QString text = QString::fromUtf8(file.readAll());
    EXPECT_TRUE(text.startsWith(u"[Desktop Entry]\nType=Application\n"_s));
    EXPECT_TRUE(text.contains(
        u"Exec=\"/opt/mivanta/bin/mivanta\" \"--library\" \"/home/a b/100%% \\\\\"ours\\\\\"\"\n"_s))
        << text.toStdString();
    ASSERT_TRUE(autostart.set(false));
    EXPECT_FALSE(autostart.isOn());
}

TEST(Autostart, SaysWhenItCannotBe) {
    const QTemporaryDir folder;
    QFile blocked(folder.filePath(u"autostart"_s)); // a file where the folder would be
    ASSERT_TRUE(blocked.open(QIODevice::WriteOnly));
    const Autostart autostart(u"mivanta"_s, {}, folder.filePath(u"autostart"_s));
    const auto done = autostart.set(true);
    ASSERT_FALSE(done);
    EXPECT_FALSE(done.error().what.isEmpty());
    EXPECT_FALSE(autostart.isOn());
}

} // namespace
} // namespace mivanta
