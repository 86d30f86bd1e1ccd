// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServicePack.h"
#include "OpenLibrary.h"
#include "core/base/MediaName.h"
#include "formats/ServiceFile.h"
#include "store/MediaFiles.h"
#include "store/SafeFiles.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QCryptographicHash>
#include <fcntl.h>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>
#include <sys/stat.h>
#include <zip.h>

namespace mivanta {
namespace {

/// A library with three pictures and a service that shows them in an item, a theme and a look.
class ServicePack : public LibraryTest {
protected:
    void SetUp() override {
        LibraryTest::SetUp();
        for (const QByteArray bytes : {"dawn", "dusk", "night"})
            names << library->media().bringIn(bytes, QString::fromLatin1(bytes) + u".png"_s)->name;
        service.id = ServiceId::create();
        service.title = u"Sunday"_s;
        service.theme = samples::theme();
        service.theme.look.backdrop.picture = names[1];
        service.items = {{ItemId::create(), PictureItem{{}, {{names[0], u"Dawn"_s}, {names[0], {}}}}},
                         {ItemId::create(), songItem(samples::harbourSong())}};
        service.items[1].look.choice.own.set(*lookProperty(u"backdrop.picture"_s), names[2]);
        const QMap<QString, QString> titles{{names[0], u"dawn.png"_s}};
        service.media = mediaFactsOf(service, media(), titles);
    }
    [[nodiscard]] QString media() const { return library->media().folder(); }
    QString pack() {
        const QString to = path(u"sunday.mivanta"_s);
        EXPECT_TRUE(packService(service, packListOf(service, media(), {}), to, {}));
        return to;
    }
    [[nodiscard]] QStringList filesIn(const QString& where) const {
        return QDir(where).entryList(QDir::AllEntries | QDir::Hidden | QDir::NoDotAndDotDot);
    }
    /// The packed file with one more entry, made by hand.
    QString packWith(const QByteArray& name, const QByteArray& bytes, bool isLink = false) {
        const QString to = pack();
        int error = 0;
        zip_t* archive = zip_open(to.toUtf8().constData(), 0, &error);
        const zip_int64_t index = zip_file_add(
            archive, name.constData(),
            zip_source_buffer(archive, bytes.constData(), zip_uint64_t(bytes.size()), 0), ZIP_FL_ENC_UTF_8);
        if (isLink)
            zip_file_set_external_attributes(archive, zip_uint64_t(index), 0, ZIP_OPSYS_UNIX,
                                             zip_uint32_t(0120777) << 16);
        EXPECT_EQ(zip_close(archive), 0);
        return to;
    }
    void expectRefused(const QString& file, const QString& why) {
        const auto unpacked = unpackService(file, path(u"out"_s));
        ASSERT_FALSE(unpacked);
        EXPECT_TRUE(unpacked.error().what.contains(why)) << unpacked.error().text().toStdString();
        EXPECT_FALSE(QFileInfo::exists(path(u"out"_s)));
        const QStringList before = filesIn(media());
        EXPECT_FALSE(bringInMedia(file, library->media(), path(u"fonts"_s)));
        EXPECT_EQ(filesIn(media()), before);
    }
    QStringList names;
    Service service;
};

TEST_F(ServicePack, TakesEveryPictureOnceFromWhereverItIsUsed) {
    EXPECT_EQ(mediaOf(service), (QStringList{names[0], names[1], names[2]}));
    const PackList list = packListOf(service, media(), {});
    ASSERT_EQ(list.files.size(), 3U);
    EXPECT_EQ(list.files[0].title, u"dawn.png"_s);
    EXPECT_EQ(list.bytes(), 4 + 4 + 5);
    EXPECT_TRUE(list.missing.isEmpty());
}

TEST_F(ServicePack, OpensWithAnEmptyLibraryAndBringsEachPictureInOnce) {
    const QString file = pack();
    auto other = std::move(*Library::open(path(u"other"_s)));
    const auto opened = openService(file);
    ASSERT_TRUE(opened);
    EXPECT_TRUE(opened->isPacked);
    EXPECT_EQ(missingMedia(opened->service, other->media().folder()).size(), 3U);
    const auto first = bringInMedia(file, other->media(), path(u"fonts"_s));
    ASSERT_TRUE(first) << first.error().text().toStdString();
    EXPECT_EQ(first->added, 3);
    EXPECT_TRUE(missingMedia(opened->service, other->media().folder()).empty());
    EXPECT_EQ(other->media().all()->size(), 3U);
    const auto again = bringInMedia(file, other->media(), path(u"fonts"_s));
    EXPECT_EQ(again->added, 0);
    EXPECT_EQ(again->already, 3);
    EXPECT_EQ(filesIn(other->media().folder()).size(), 3);
}

TEST_F(ServicePack, UnpacksToAFolderAndRefusesOneThatHasIt) {
    const auto file = unpackService(pack(), path(u"out"_s));
    ASSERT_TRUE(file) << file.error().text().toStdString();
    EXPECT_EQ(openService(*file)->service.title, u"Sunday"_s);
    EXPECT_FALSE(openService(*file)->isPacked);
    EXPECT_EQ(filesIn(path(u"out/media"_s)).size(), 3);
    const QStringList before = filesIn(path(u"out"_s));
    EXPECT_FALSE(unpackService(path(u"sunday.mivanta"_s), path(u"out"_s)));
    EXPECT_EQ(filesIn(path(u"out"_s)), before);
}

TEST_F(ServicePack, WhatIsMissingIsSaidAndTheRestIsPacked) {
    QFile::remove(library->media().pathOf(names[0]));
    const PackList list = packListOf(service, media(), {});
    EXPECT_EQ(list.missing, QStringList{u"dawn.png"_s});
    EXPECT_EQ(list.files.size(), 2U);
    EXPECT_EQ(missingMedia(service, media()).front().bytes, 4); // as it was known before
}

TEST_F(ServicePack, FontsWhoseLicenceForbidsItStayHere) {
    const QString font = file(u"Free.ttf"_s, "letters");
    const PackList list = packListOf(
        service, media(),
        {{{u"Free"_s, 400}, font, {}}, {{u"Free"_s, 700}, font, {}}, {{u"Own"_s, 400}, font, u"no"_s}});
    ASSERT_EQ(list.files.size(), 4U); // one file of two weights once
    EXPECT_EQ(list.files[3].entry, u"fonts/Free.ttf"_s);
    ASSERT_EQ(list.leftOut.size(), 1U);
    EXPECT_EQ(list.leftOut[0].font.family, u"Own"_s);
    const QString to = path(u"f.mivanta"_s);
    ASSERT_TRUE(packService(service, list, to, {}));
    ASSERT_TRUE(bringInMedia(to, library->media(), path(u"fonts"_s)));
    EXPECT_EQ(filesIn(path(u"fonts"_s)), QStringList{u"Free.ttf"_s});
}

TEST_F(ServicePack, StoppedItLeavesNothingAndTheOldFileAsItWas) {
    const QString to = pack();
    const auto before = stampOfFile(to);
    const QStringList files = filesIn(folder.path());
    int told = 0;
    const auto stopped = packService(service, packListOf(service, media(), {}), to, {},
                                     [&](qint64, qint64) { return ++told < 2; });
    ASSERT_FALSE(stopped);
    EXPECT_TRUE(stopped.error().what.contains(u"stopped"_s));
    EXPECT_EQ(filesIn(folder.path()), files);
    EXPECT_EQ(*stampOfFile(to), *before);
}

TEST_F(ServicePack, RefusesToOverwriteWhatAnotherProgramWrote) {
    const QString to = pack();
    const auto stamp = stampOfFile(to);
    file(u"sunday.mivanta"_s, "something else");
    EXPECT_FALSE(packService(service, packListOf(service, media(), {}), to, *stamp));
    QFile kept(to);
    ASSERT_TRUE(kept.open(QIODevice::ReadOnly));
    EXPECT_EQ(kept.readAll(), "something else");
}

TEST_F(ServicePack, NamesThatLeadOutAreRefused) {
    for (const QByteArray name :
         {"media/../../evil.png", "/etc/evil", "..\\evil", "C:/evil", "media/./evil", "../evil.png"})
        expectRefused(packWith(name, "x"), u"leads out"_s);
}

TEST_F(ServicePack, LinksAreRefused) {
    expectRefused(packWith("media/" + QByteArray(64, 'a') + ".png", "/etc/passwd", true), u"link"_s);
}

TEST_F(ServicePack, WhatGrowsWithoutEndIsRefused) {
    expectRefused(packWith("media/" + QByteArray(64, 'a') + ".png", QByteArray(64 << 20, '\0')), u"grows"_s);
}

TEST_F(ServicePack, AMediumThatIsNotWhatItsNameSaysIsRefused) {
    expectRefused(packWith("media/" + QByteArray(64, 'a') + ".png", "x"), u"not what its name"_s);
    expectRefused(packWith("media/holiday.png", "x"), u"no name of a medium"_s);
}

TEST_F(ServicePack, CutOffAnywhereItIsRefusedAndNothingIsWritten) {
    const QString whole = pack();
    QFile in(whole);
    ASSERT_TRUE(in.open(QIODevice::ReadOnly));
    const QByteArray bytes = in.readAll();
    for (int tenth = 0; tenth < 10; ++tenth) {
        const QString cut = file(u"cut.mivanta"_s, bytes.left(bytes.size() * tenth / 10));
        EXPECT_FALSE(openService(cut)) << tenth;
        expectRefused(cut, {});
    }
}

TEST_F(ServicePack, FlippedBytesNeverBringInAnythingWrong) {
    QFile in(pack());
    ASSERT_TRUE(in.open(QIODevice::ReadOnly));
    const QByteArray bytes = in.readAll();
    for (qsizetype at = 0; at < bytes.size(); at += 11) {
        QByteArray bad = bytes;
        bad[at] = char(bad[at] ^ 0x55);
        const QString broken = file(u"bad.mivanta"_s, bad);
        if (unpackService(broken, path(u"out"_s))) {
            for (const QString& name : filesIn(path(u"out/media"_s)))
                EXPECT_TRUE(name.startsWith(*contentHash(path(u"out/media/"_s) + name)));
            QDir(path(u"out"_s)).removeRecursively();
        }
        EXPECT_FALSE(QFileInfo::exists(path(u"out"_s)));
    }
}

TEST_F(ServicePack, NoNameOfAMediumReadsAnotherFile) {
    QFile secret(path(u"secret.txt"_s));
    ASSERT_TRUE(secret.open(QIODevice::WriteOnly));
    secret.write("not for others");
    secret.close();
    const QString out = u"../../secret.txt"_s;
    Service evil = service;
    std::get<PictureItem>(evil.items[0].words).pictures[0] = {out, u"A harmless picture"_s};
    evil.items[1].plan.sound = ItemSound{out, u"Bell"_s, false};
    evil.theme.look.backdrop.picture = out;
    evil.media = {{out, u"A harmless picture"_s, 14}};
    for (const PackFile& file : packListOf(evil, media(), {}).files)
        EXPECT_FALSE(file.path.contains(u"secret"_s)) << file.path.toStdString();
    // As it comes in from a file, it is missing, and nothing else.
    const auto read = serviceFromJson(serviceToJson(evil), u"x"_s);
    ASSERT_TRUE(read);
    for (const QString& name : mediaOf(*read))
        EXPECT_TRUE(isMediaName(name)) << name.toStdString();
    EXPECT_FALSE(missingMedia(*read, media()).empty());
    ASSERT_TRUE(QFile::link(secret.fileName(), media() + u'/' + QString(64, u'b') + u".png"_s));
    std::get<PictureItem>(evil.items[0].words).pictures[0] = {QString(64, u'b') + u".png"_s, {}};
    for (const PackFile& file : packListOf(evil, media(), {}).files)
        EXPECT_FALSE(file.path.endsWith(QString(64, u'b') + u".png"_s));
}

TEST_F(ServicePack, AMediumThatIsDamagedHereIsMendedByThePackedOne) {
    const QString file = pack();
    QFile empty(media() + u'/' + names[0]);
    ASSERT_TRUE(empty.open(QIODevice::WriteOnly)); // no bytes any more
    empty.close();
    EXPECT_EQ(bringInMedia(file, library->media(), path(u"fonts"_s))->added, 1);
    ASSERT_TRUE(empty.open(QIODevice::ReadOnly));
    EXPECT_EQ(empty.readAll(), "dawn");
    empty.close();
    ASSERT_TRUE(empty.open(QIODevice::WriteOnly));
    empty.close();
    EXPECT_EQ(library->media().bringIn(QByteArray("dawn"), u"dawn.png"_s)->name, names[0]);
    ASSERT_TRUE(empty.open(QIODevice::ReadOnly));
    EXPECT_EQ(empty.readAll(), "dawn");
}

TEST_F(ServicePack, OddSuffixesAreMadeUsualOnComingIn) {
    for (const QString& title : {u"x.jpg_1"_s, u"x.\u00e9t\u00e9"_s, u"x.JPG"_s, u"none"_s, u"x.p n\ng"_s}) {
        const auto stored = library->media().bringIn(title.toUtf8(), title);
        ASSERT_TRUE(stored);
        EXPECT_TRUE(isMediaName(stored->name)) << stored->name.toStdString();
    }
}

TEST_F(ServicePack, AFileThatIsChangedWhilePackingIsNotOverwritten) {
    const QString to = pack();
    const auto stamp = stampOfFile(to);
    bool isChanged = false;
    const auto packed =
        packService(service, packListOf(service, media(), {}), to, *stamp, [&](qint64, qint64) {
            if (!std::exchange(isChanged, true)) {
                QFile file(to);
                file.open(QIODevice::WriteOnly);
                file.write("another program's");
            }
            return true;
        });
    ASSERT_TRUE(isChanged);
    ASSERT_FALSE(packed);
    EXPECT_TRUE(packed.error().what.contains(u"changed by another program"_s));
    QFile file(to);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.readAll(), "another program's");
    EXPECT_FALSE(QFile::exists(to + u".packing"_s));
}

TEST_F(ServicePack, WhatAKilledProgramLeftWhileUnpackingIsSwept) {
    const QString left = media() + u"/unpacking-abcdef"_s;
    ASSERT_TRUE(QDir().mkpath(left + u"/media"_s));
    ASSERT_TRUE(bringInMedia(pack(), library->media(), path(u"fonts"_s)));
    EXPECT_TRUE(QFileInfo::exists(left)); // another one may be at it
    QFile folder(left);
    const timespec old[2]{{1'600'000'000, 0}, {1'600'000'000, 0}};
    ASSERT_EQ(::utimensat(AT_FDCWD, left.toLocal8Bit().constData(), old, 0), 0);
    ASSERT_TRUE(bringInMedia(pack(), library->media(), path(u"fonts"_s)));
    EXPECT_FALSE(QFileInfo::exists(left));
}

TEST_F(ServicePack, PicturesAreRenamedWhereverTheyAre) {
    for (const QString& name : names)
        renameMedia(service, name, u"new.png"_s);
    EXPECT_EQ(mediaOf(service), QStringList{u"new.png"_s});
}

TEST_F(ServicePack, AFolderThatIsNotThereIsSaidWithWhatToDo) {
    const QString to = path(u"no/such/folder/a.mivanta"_s);
    const auto packed = packService(service, packListOf(service, media(), {}), to, {});
    ASSERT_FALSE(packed);
    EXPECT_FALSE(packed.error().remedy.isEmpty());
}

} // namespace
} // namespace mivanta
