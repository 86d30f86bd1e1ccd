// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/KeyStrip.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QLabel>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// The keys at the foot of the Run desk, in a strip of some width.
class Strip : public ::testing::Test {
protected:
    QStringList seenAt(int width) {
        strip.resize(width, strip.sizeHint().height());
        strip.show();
        EXPECT_TRUE(waitUntil([&] { return strip.isVisible(); }));
        QCoreApplication::sendPostedEvents();
        QStringList seen;
        for (const QLabel* label : strip.findChildren<QLabel*>()) {
            if (!label->isVisible())
                continue;
            EXPECT_LE(label->geometry().right(), width) << label->text().toStdString();
            EXPECT_GE(label->width(), label->sizeHint().width()) << label->text().toStdString();
            seen << label->text().section(u"&nbsp; "_s, -1);
        }
        return seen;
    }
    RunKeys keys;
    KeyStrip strip{keys};
};

TEST_F(Strip, WhereThereIsRoomEveryEntryIsSeen) {
    const QStringList seen = seenAt(2000);
    EXPECT_TRUE(seen.contains(u"stop looking"_s));
    EXPECT_TRUE(seen.contains(u"every key"_s));
    EXPECT_TRUE(seen.contains(u"editing is off"_s));
}

TEST_F(Strip, WhereThereIsNoneEntriesGiveWayAndNoneIsCutOff) {
    const auto all = seenAt(2000).size();
    const QStringList seen = seenAt(500);
    EXPECT_LT(seen.size(), all);
    EXPECT_TRUE(seen.contains(u"take"_s));
    EXPECT_FALSE(seen.contains(u"stop looking"_s));
    EXPECT_TRUE(seen.contains(u"every key"_s)); // the way to those that are not seen
    EXPECT_EQ(seenAt(2000).size(), all);
    EXPECT_EQ(strip.minimumSizeHint().width(), 0); // the window is no wider for it
}

} // namespace
} // namespace mivanta
