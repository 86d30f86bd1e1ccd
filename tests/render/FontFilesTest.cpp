// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/FontFiles.h"
#include "support/Text.h"
#include <QFileInfo>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(FontFiles, InstalledFontsHaveFilesAndFreeOnesMayBeCarried) {
    const auto files = fontFilesOf({{u"Noto Sans"_s, 400}, {u"Noto Sans"_s, 400}});
    ASSERT_FALSE(files.empty());
    QStringList paths;
    for (const FontFile& file : files) {
        EXPECT_TRUE(QFileInfo(file.path).isFile()) << file.path.toStdString();
        EXPECT_TRUE(file.refusal.isEmpty()) << file.refusal.toStdString();
        EXPECT_FALSE(paths.contains(file.path)); // each once
        paths << file.path;
    }
}

TEST(FontFiles, AFontThatIsNotHereHasNone) {
    EXPECT_TRUE(fontFilesOf({{u"No Such Letters"_s, 400}}).empty());
    EXPECT_TRUE(fontFilesOf({}).empty());
}

TEST(FontFiles, TheLeastRestrictivePermissionCounts) {
    EXPECT_TRUE(embeddingRefusal(0).isEmpty());
    EXPECT_TRUE(embeddingRefusal(0x0008).isEmpty());
    EXPECT_TRUE(embeddingRefusal(0x000c).isEmpty());
    EXPECT_FALSE(embeddingRefusal(0x0002).isEmpty());
    EXPECT_FALSE(embeddingRefusal(0x0004).isEmpty());
    EXPECT_FALSE(embeddingRefusal(0x0208).isEmpty()); // pictures of letters only
}

} // namespace
} // namespace mivanta
