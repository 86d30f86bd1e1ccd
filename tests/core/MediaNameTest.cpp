// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/MediaName.h"
#include "core/base/FileName.h"
#include "support/Text.h"
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const QString kHash(64, u'a');

TEST(MediaName, IsAHashAndASuffixAndNothingElse) {
    for (const QString& good : {kHash + u".png"_s, kHash + u".mp3"_s, kHash + u".file"_s})
        EXPECT_TRUE(isMediaName(good));
    for (const QString& bad :
         {QString(), u"a.png"_s, kHash, kHash + u".png\n"_s, kHash + u".PNG"_s, kHash + u".jpg_1"_s,
          kHash + u".\u00e9t\u00e9"_s, kHash + u".toolongx"_s, u"../"_s + kHash + u".png"_s,
          u"../../../../.ssh/id"_s, kHash.toUpper() + u".png"_s})
        EXPECT_FALSE(isMediaName(bad)) << bad.toStdString();
}

RC_GTEST_PROP(MediaName, WhatIsTrustedIsAlwaysOne, (const std::string& given)) {
    const QString name = trustedMediaName(QString::fromStdString(given));
    RC_ASSERT(name.isEmpty() == given.empty());
    RC_ASSERT((name.isEmpty() || isMediaName(name)));
    RC_ASSERT(isMediaName(kHash + u'.' + mediaSuffix(QString::fromStdString("x." + given))));
}

TEST(MediaName, NoPathLeadsOutOfTheFolder) {
    const QTemporaryDir folder;
    QFile secret(folder.filePath(u"secret"_s));
    ASSERT_TRUE(secret.open(QIODevice::WriteOnly));
    const QString media = folder.filePath(u"media"_s);
    ASSERT_TRUE(QDir().mkpath(media));
    ASSERT_TRUE(QFile::link(secret.fileName(), media + u"/link.png"_s));
    for (const QString& name : {u"../secret"_s, u".."_s, u"."_s, u"link.png"_s, secret.fileName(), QString()})
        EXPECT_TRUE(mediaPath(media, name).isEmpty()) << name.toStdString();
    EXPECT_EQ(mediaPath(media, u"a.png"_s), media + u"/a.png"_s);
}

TEST(FileName, IsMadeOfAnyTitle) {
    EXPECT_EQ(fileNameOf(u"Sea Harvest 4/10: \"all\" \u2026"_s), u"Sea Harvest 4 10 all \u2026"_s);
    EXPECT_EQ(fileNameOf(u"../../etc"_s), u"etc"_s);
    EXPECT_LE(fileNameOf(QString(500, u'w')).size(), 120);
    EXPECT_FALSE(fileNameOf(u"///"_s).isEmpty());
    EXPECT_FALSE(fileNameOf({}).isEmpty());
}

} // namespace
} // namespace mivanta
