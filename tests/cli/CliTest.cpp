// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/CliFixture.h"
#include "store/ServiceStore.h"
#include "store/ShippedThemes.h"
#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QImage>
#include <QJsonArray>
#include <QJsonObject>

namespace mivanta {
namespace {

TEST_F(Cli, PassagesAreUnderstoodAndRefused) {
    importDemoScripture();
    const QJsonDocument json = run({u"--json"_s, u"passage"_s, u"luk 5 4b-5; 1co 13.13"_s}).json();
    EXPECT_EQ(json[u"reference"_s].toString(), u"Luke 5:4b\u20135; 1 Corinthians 13:13"_s);
    EXPECT_EQ(json[u"verses"_s].toArray().size(), 3);
    const QJsonObject last = json[u"verses"_s][2].toObject();
    EXPECT_EQ(last[u"book"_s].toString(), u"1CO"_s);
    EXPECT_EQ(last[u"chapter"_s].toInt(), 13);
    EXPECT_EQ(last[u"verse"_s].toInt(), 13);
    EXPECT_TRUE(last[u"text"_s].toString().startsWith(u"So three things stay"_s));
    EXPECT_EQ(run({u"--json"_s, u"passage"_s, u"matt 17 20-22"_s}).json()[u"notes"_s].toArray().size(), 1);
    EXPECT_TRUE(
        run({u"passage"_s, u"Lukas 5,4"_s, u"--translation"_s, u"hmt"_s}).out.contains("Fahr hinaus"));
    for (const auto& [typed, reason] :
         {std::pair{u"Luke 99"_s, u"no chapter 99"_s}, std::pair{u"5:12-3"_s, u"name of a book"_s},
          std::pair{u"luke"_s, u"not finished"_s}, std::pair{u"Judith 3"_s, u"not in QST"_s}}) {
        const Ran refused = run({u"passage"_s, typed});
        EXPECT_EQ(refused.code, 1) << typed.toStdString();
        EXPECT_TRUE(refused.err.contains(reason)) << refused.err.toStdString();
    }
    EXPECT_EQ(run({u"passage"_s, u"Luke 5"_s, u"--translation"_s, u"none"_s}).code, 1);
    EXPECT_EQ(run({u"passage"_s}).code, 2);
}

TEST_F(Cli, VersesAndTextsAreFoundByKind) {
    importDemoScripture();
    const QJsonArray verses =
        run({u"--json"_s, u"find"_s, u"love is"_s, u"--kind"_s, u"scripture"_s}).json().array();
    ASSERT_EQ(verses.size(), 2);
    EXPECT_EQ(verses[0][u"reference"_s].toString(), u"1 Corinthians 13:4"_s);
    EXPECT_EQ(run({u"find"_s, u"is love"_s, u"--kind"_s, u"scripture"_s, u"--how"_s, u"phrase"_s}).code, 1);
    const QJsonArray texts =
        run({u"--json"_s, u"find"_s, u"harbour"_s, u"--kind"_s, u"text"_s}).json().array();
    ASSERT_EQ(texts.size(), 1);
    EXPECT_EQ(texts[0][u"title"_s].toString(), u"Words of welcome at the harbour"_s);
    EXPECT_EQ(run({u"find"_s, u"x"_s, u"--kind"_s, u"picture"_s}).code, 2);
}

TEST_F(Cli, ATranslationThatCannotBeReadChangesNothing) {
    importDemoScripture();
    QDir().mkpath(folder.filePath(u"broken"_s));
    QFile::copy(kDemo + u"/scripture/quayside/04-luke.usfm"_s, folder.filePath(u"broken/04.usfm"_s));
    QFile bad(folder.filePath(u"broken/05.usfm"_s));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("\\id JHN\n\\v 1 words\n");
    bad.close();
    const Ran refused = run({u"import"_s, folder.filePath(u"broken"_s), u"--translation"_s, u"QST"_s});
    EXPECT_EQ(refused.code, 1);
    EXPECT_TRUE(refused.out.contains("05.usfm, line 2")) << refused.out.toStdString();
    EXPECT_EQ(run({u"passage"_s, u"1co 13"_s}).code, 0); // the earlier one is whole
}

TEST_F(Cli, WhatIsExportedComesInAgainUnchanged) {
    importDemo();
    for (const auto& format : {u"chordpro"_s, u"text"_s, u"csv"_s}) {
        const QString to = folder.filePath(format);
        ASSERT_EQ(run({u"export"_s, u"--all"_s, u"--format"_s, format, u"--to"_s, to}).code, 0);
        const Ran again = run({u"--json"_s, u"import"_s, to});
        EXPECT_EQ(again.json()[u"unchanged"_s].toInt(), 14)
            << format.toStdString() << again.out.toStdString();
    }
    const QString pdf = folder.filePath(u"pdf"_s);
    ASSERT_EQ(run({u"export"_s, u"Lantern on the Water"_s, u"--format"_s, u"pdf"_s, u"--to"_s, pdf}).code, 0);
    QFile file(pdf + u"/Lantern on the Water.pdf"_s);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.read(5), QByteArray("%PDF-"));
    EXPECT_EQ(run({u"export"_s, u"No such song"_s, u"--format"_s, u"text"_s, u"--to"_s, pdf}).code, 1);
}

TEST_F(Cli, LooksAtTwinsAndDoesWithThemWhatItIsTold) {
    importDemo();
    QFile known(kDemo + u"/songs/every-tide.txt"_s);
    ASSERT_TRUE(known.open(QIODevice::ReadOnly));
    QFile twin(folder.filePath(u"twin.txt"_s));
    ASSERT_TRUE(twin.open(QIODevice::WriteOnly));
    twin.write(known.readAll().replace("Every Tide", "Turning of the Tide"));
    twin.close();
    const QJsonArray seen = run({u"--json"_s, u"import"_s, u"--look"_s, twin.fileName()}).json().array();
    ASSERT_EQ(seen.size(), 1);
    EXPECT_EQ(seen[0][u"finding"_s].toString(), u"same words"_s);
    EXPECT_EQ(seen[0][u"other"_s][u"title"_s].toString(), u"Every Tide"_s);
    const auto outcome = [&](const QString& twins) {
        return run({u"--json"_s, u"import"_s, u"--twins"_s, twins, twin.fileName()})
            .json()[u"entries"_s][0][u"outcome"_s]
            .toString();
    };
    EXPECT_EQ(outcome(u"skip"_s), u"left out"_s);
    EXPECT_EQ(outcome(u"merge"_s), u"changed"_s);
    EXPECT_TRUE(run({u"find"_s, u"Turning of the Tide"_s}).out.startsWith("Every Tide"));
    EXPECT_EQ(outcome(u"keep"_s), u"added"_s);
    EXPECT_EQ(run({u"import"_s, u"--twins"_s, u"perhaps"_s, twin.fileName()}).code, 2);
}

TEST_F(Cli, WrongUsageEndsWithTwoAndSaysWhy) {
    for (const QStringList& arguments :
         std::vector<QStringList>{{},
                                  {u"dance"_s},
                                  {u"import"_s},
                                  {u"find"_s},
                                  {u"show"_s},
                                  {u"show"_s, u"a"_s, u"b"_s},
                                  {u"slides"_s},
                                  {u"export"_s, u"a"_s},
                                  {u"export"_s, u"--all"_s, u"--format"_s, u"doc"_s, u"--to"_s, u"x"_s},
                                  {u"render"_s, u"a"_s},
                                  {u"--nonsense"_s},
                                  {u"slides"_s, u"a"_s, u"--service"_s, u"b"_s},
                                  {u"service"_s, u"old"_s}}) {
        const Ran ran = run(arguments);
        EXPECT_EQ(ran.code, 2) << arguments.join(u' ').toStdString();
        EXPECT_FALSE(ran.err.isEmpty());
    }
    EXPECT_EQ(run({u"--help"_s}).code, 0);
}

TEST_F(Cli, ImportReportsEachFile) {
    importDemo();
    const Ran again = run({u"--json"_s, u"import"_s, kDemo + u"/songs"_s, u"/nowhere.txt"_s});
    EXPECT_EQ(again.code, 1);
    const QJsonObject json = again.json().object();
    EXPECT_EQ(json[u"unchanged"_s].toInt(), 14);
    EXPECT_EQ(json[u"refused"_s].toInt(), 1);
    EXPECT_EQ(json[u"added"_s].toInt(), 0);
    const QJsonObject refused = json[u"entries"_s].toArray().last().toObject();
    EXPECT_EQ(refused[u"file"_s].toString(), u"/nowhere.txt"_s);
    EXPECT_FALSE(refused[u"reason"_s].toString().isEmpty());
}

TEST_F(Cli, FindsAndShows) {
    importDemo();
    const QJsonArray hits = run({u"--json"_s, u"find"_s, u"open door"_s}).json().array();
    EXPECT_EQ(hits[0][u"title"_s].toString(), u"Through the Open Door"_s);
    EXPECT_EQ(run({u"find"_s, u"zzzz"_s}).code, 1);
    const Ran shown = run({u"--json"_s, u"show"_s, hits[0][u"id"_s].toString()});
    EXPECT_EQ(shown.json()[u"order"_s].toString(), u"V1 C V2 C Inter C"_s);
    EXPECT_EQ(run({u"show"_s, u"every tide"_s}).code, 0);
    const Ran ambiguous = run({u"show"_s, u"the"_s});
    EXPECT_EQ(ambiguous.code, 1);
    EXPECT_TRUE(ambiguous.err.contains(u"could be"_s));
}

TEST_F(Cli, SlidesSayTheSizeTheReasonAndTheSteps) {
    importDemo();
    const QJsonObject json =
        run({u"--json"_s, u"slides"_s, u"Lantern on the Water"_s, u"--output"_s, u"hall"_s}).json().object();
    EXPECT_EQ(json[u"outputs"_s].toArray().size(), 1);
    const QJsonObject hall = json[u"outputs"_s].toArray()[0].toObject();
    EXPECT_EQ(hall[u"fontSize"_s].toInt(), 84);
    EXPECT_EQ(hall[u"reason"_s].toString(), u"the theme's size"_s);
    EXPECT_EQ(hall[u"slides"_s].toArray().size(), 9);
    EXPECT_EQ(hall[u"slides"_s][0][u"part"_s].toString(), u"Verse 1"_s);
    EXPECT_EQ(hall[u"slides"_s][0][u"lines"_s].toArray().size(), 2);
    EXPECT_EQ(json[u"steps"_s].toArray().size(), 9);
    EXPECT_EQ(run({u"slides"_s, u"Lantern on the Water"_s, u"--output"_s, u"balcony"_s}).code, 1);
}

TEST_F(Cli, AnOrderIsShownWithItsTimes) {
    importDemo();
    QFile order(folder.filePath(u"order.txt"_s));
    ASSERT_TRUE(order.open(QIODevice::WriteOnly));
    order.write("Title: Evening\nStart: 2026-10-04 18:00\nTheme: chalk BOARD\n# Gathering\nEvery Tide\n"
                "Hold Fast the Line\n");
    order.close();
    const QString file = folder.filePath(u"evening.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, order.fileName(), u"--to"_s, file}).code, 0);
    Service service = openService(file)->service;
    EXPECT_EQ(service.theme.name, u"Chalk Board"_s); // by its name, in any case
    service.items[1].plan = {300, QTime(18, 5), u"Petra Osk"_s, {}};
    service.items[2].plan = {240, QTime(18, 8), {}, u"softly"_s};
    ASSERT_TRUE(saveService(service, file, std::nullopt));
    const Ran text = run({u"service"_s, u"show"_s, file});
    EXPECT_EQ(text.code, 0);
    for (const char* line :
         {"# Gathering (9 min)", "18:05  Every Tide \xc2\xb7 5 min \xc2\xb7 Petra Osk",
          "18:10  Hold Fast the Line \xc2\xb7 4 min \xc2\xb7 2 min over before it \xc2\xb7 softly",
          "ends about 18:14"})
        EXPECT_TRUE(text.out.contains(line)) << line << "\n" << text.out.toStdString();
    const QJsonObject json = run({u"--json"_s, u"service"_s, u"show"_s, file}).json().object();
    EXPECT_EQ(json[u"items"_s][2][u"slack"_s].toInt(), -120);
    EXPECT_EQ(json[u"ends"_s].toString(), u"2026-10-04T18:14:00"_s);
    EXPECT_EQ(run({u"service"_s, u"show"_s, u"/nowhere.mivanta"_s}).code, 1);
    EXPECT_EQ(run({u"service"_s, u"show"_s}).code, 2);
}

TEST_F(Cli, AServiceIsPackedCheckedUnpackedAndDrawnAlikeElsewhere) {
    importDemo();
    QImage picture(320, 200, QImage::Format_RGB32);
    picture.fill(QColor(180, 60, 20));
    const QString media = folder.filePath(u"lib/media"_s);
    ASSERT_TRUE(QDir().mkpath(media));
    ASSERT_TRUE(picture.save(folder.filePath(u"p.png"_s)));
    QFile file(folder.filePath(u"p.png"_s));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const QString name =
        QString::fromLatin1(QCryptographicHash::hash(file.readAll(), QCryptographicHash::Sha256).toHex()) +
        u".png"_s;
    ASSERT_TRUE(file.copy(media + u'/' + name));
    Service service;
    service.id = ServiceId::create();
    service.title = u"Evening"_s;
    service.theme = shippedThemes().front();
    service.items = {{ItemId::create(), PictureItem{{}, {{name, u"The harbour"_s}}}},
                     {ItemId::create(), PauseItem{u"Silence"_s}}};
    const QString plain = folder.filePath(u"evening.mivanta"_s);
    ASSERT_TRUE(saveService(service, plain, std::nullopt));
    const Ran checked = run({u"--json"_s, u"service"_s, u"check-files"_s, plain});
    EXPECT_EQ(checked.code, 0);
    EXPECT_EQ(checked.json()[u"files"_s].toArray().size(), 1);
    const QString packed = folder.filePath(u"packed.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"pack"_s, plain, u"--to"_s, packed}).code, 0);
    const QString out = folder.filePath(u"out"_s);
    ASSERT_EQ(run({u"service"_s, u"unpack"_s, packed, u"--to"_s, out}).code, 0);
    EXPECT_TRUE(QFile::exists(out + u"/media/"_s + name));
    EXPECT_EQ(run({u"service"_s, u"unpack"_s, packed, u"--to"_s, out}).code, 1); // it is there already

    const auto drawn = [&](const QString& service, const QString& to) {
        EXPECT_EQ(run({u"render"_s, u"--service"_s, service, u"--output"_s, u"hall"_s, u"--to"_s, to}).code,
                  0);
        return QImage(to + u"/hall-001.png"_s);
    };
    const QImage before = drawn(plain, folder.filePath(u"png"_s));
    EXPECT_GT(before.pixelColor(960, 540).red(), 170); // it is the picture
    // A fresh home with an empty library: what was unpacked is its media.
    ASSERT_TRUE(QDir(folder.filePath(u"lib"_s)).removeRecursively());
    EXPECT_EQ(run({u"service"_s, u"check-files"_s, plain}).code, 1);
    const Ran carried = run({u"--json"_s, u"service"_s, u"check-files"_s, packed}); // it has them with it
    EXPECT_EQ(carried.code, 0) << carried.out.toStdString();
    EXPECT_EQ(carried.json()[u"files"_s].toArray().size(), 1);
    EXPECT_TRUE(carried.json()[u"missing"_s].toArray().isEmpty());
    EXPECT_EQ(run({u"service"_s, u"check-files"_s, out + u"/packed.mivanta"_s}).code, 0); // beside it
    ASSERT_TRUE(QDir().mkpath(folder.filePath(u"lib"_s)));
    ASSERT_TRUE(QDir().rename(out + u"/media"_s, media));
    const QImage after = drawn(out + u"/packed.mivanta"_s, folder.filePath(u"png2"_s));
    EXPECT_EQ(after, before);
}

TEST_F(Cli, ALyricSheetIsUnderstoodAsAPasteIs) {
    QFile sheet(folder.filePath(u"sheet.txt"_s));
    ASSERT_TRUE(sheet.open(QIODevice::WriteOnly));
    sheet.write(
        "LOW TIDE\nWords: Ivo Tarnwell\n\n1. the water is out\n\nRef.: it will be back\n\n2. the boats are "
        "still\n\nRef.\n\nPage 1 of 1\n");
    sheet.close();
    ASSERT_EQ(run({u"import"_s, sheet.fileName()}).code, 0);
    const QJsonObject song = run({u"--json"_s, u"show"_s, u"Low Tide"_s}).json().object();
    EXPECT_EQ(song[u"title"_s].toString(), u"Low Tide"_s);
    EXPECT_EQ(song[u"parts"_s].toArray().size(), 3);
}

TEST_F(Cli, ScriptureThatIsNotWholeWaitsForAYes) {
    QFile verses(folder.filePath(u"verses.txt"_s));
    ASSERT_TRUE(verses.open(QIODevice::WriteOnly));
    verses.write("Luke 5:1 a\nno verse here\nLuke 5:3 b\nHarbourites 1:1 c\nLuke 5:4 d\n");
    verses.close();
    const QStringList words{u"import"_s, verses.fileName(), u"--translation"_s, u"QX"_s};
    const Ran refused = run(words);
    EXPECT_EQ(refused.code, 1);
    EXPECT_TRUE(refused.out.contains("line 2")) << refused.out.toStdString();
    EXPECT_TRUE(refused.out.contains("Harbourites"));
    EXPECT_TRUE(refused.out.contains("Luke 5:2"));
    const auto review = QJsonDocument::fromJson(run(words + QStringList{u"--json"_s}).out).object();
    EXPECT_EQ(review[u"verses"_s].toInt(), 2);
    EXPECT_EQ(review[u"leftOut"_s][0][u"line"_s], 2);
    EXPECT_EQ(review[u"unknownBooks"_s][0][u"name"_s], u"Harbourites"_s);
    EXPECT_TRUE(review[u"missing"_s].toArray().contains(u"Luke 5:2"_s));
    EXPECT_EQ(run({u"passage"_s, u"luke 5:1"_s, u"--translation"_s, u"QX"_s}).code, 1);
    EXPECT_EQ(run(words + QStringList{u"--as-it-is"_s}).code, 0);
    EXPECT_EQ(run({u"passage"_s, u"luke 5:1"_s, u"--translation"_s, u"QX"_s}).code, 0);
}

TEST_F(Cli, WhatIsNoPackedServiceIsRefusedAndNothingIsWritten) {
    QFile bad(folder.filePath(u"bad.mivanta"_s));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("PK but not much more");
    bad.close();
    const QString out = folder.filePath(u"out"_s);
    const Ran refused = run({u"service"_s, u"unpack"_s, bad.fileName(), u"--to"_s, out});
    EXPECT_EQ(refused.code, 1);
    EXPECT_TRUE(refused.err.contains(u"refused"_s)) << refused.err.toStdString();
    EXPECT_FALSE(QFile::exists(out));
    EXPECT_EQ(run({u"service"_s, u"unpack"_s, bad.fileName()}).code, 2);
}

TEST_F(Cli, AnOrderIsPrintedInEveryForm) {
    importDemo();
    importDemoScripture();
    const QString file = folder.filePath(u"sunday.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, kDemo + u"/sea-harvest.txt"_s, u"--to"_s, file}).code, 0);
    const auto printed = [&](const QString& name, const QStringList& more = {}) {
        const QString to = folder.filePath(name);
        EXPECT_EQ(run(QStringList{u"service"_s, u"print"_s, file, u"--to"_s, to} + more).code, 0)
            << name.toStdString();
        QFile made(to);
        return made.open(QIODevice::ReadOnly) ? made.readAll() : QByteArray();
    };
    EXPECT_TRUE(printed(u"order.html"_s).contains("<b>Every Tide</b>"));
    EXPECT_TRUE(printed(u"order.txt"_s).contains("10:30  Words of welcome at the harbour"));
    EXPECT_TRUE(printed(u"order.csv"_s).startsWith("time,length,title,kind,leader,note,today\r\n"));
    EXPECT_TRUE(printed(u"order.pdf"_s).startsWith("%PDF"));
    EXPECT_TRUE(printed(u"words.txt"_s, {u"--what"_s, u"words"_s}).contains("EVERY TIDE"));
    EXPECT_TRUE(
        printed(u"slides.pdf"_s, {u"--what"_s, u"slides"_s, u"--per-page"_s, u"12"_s}).startsWith("%PDF"));
    EXPECT_EQ(run({u"service"_s, u"print"_s, file, u"--to"_s, folder.filePath(u"a.doc"_s)}).code, 1);
    EXPECT_EQ(run({u"service"_s, u"print"_s, file, u"--to"_s, u"a.pdf"_s, u"--per-page"_s, u"99"_s}).code, 2);
}

TEST_F(Cli, TheTimelineOfALoopIsPrinted) {
    const QString order = folder.filePath(u"order.txt"_s);
    QFile lines(order);
    ASSERT_TRUE(lines.open(QIODevice::WriteOnly));
    lines.write(
        "Start: 2026-10-04 10:30\n[loop] Notices\n+ begins: 10:00, by itself\n+ each: 10 s\n+ until: 10:01\n"
        "- [pause] One\n- [pause] Two\n[countdown] We begin in\n+ until: 10:30\n");
    lines.close();
    const QString file = folder.filePath(u"loop.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, order, u"--to"_s, file}).code, 0);
    const Ran printed = run({u"service"_s, u"timeline"_s, file});
    EXPECT_EQ(printed.code, 0);
    EXPECT_TRUE(printed.out.contains("# Notices\n10:00:00  One\n10:00:10  Two\n10:00:20  One\n"))
        << printed.out.toStdString();
    EXPECT_TRUE(printed.out.contains("10:01:00  end, after 3 rounds\n10:01:00  We begin in, by itself\n"))
        << printed.out.toStdString();
    const Ran json =
        run({u"--json"_s, u"service"_s, u"timeline"_s, file, u"--item"_s, u"1"_s, u"--from"_s, u"10:00"_s});
    EXPECT_EQ(QJsonDocument::fromJson(json.out)[0][u"showings"_s].toArray().size(), 6);
    EXPECT_EQ(run({u"service"_s, u"timeline"_s, file, u"--item"_s, u"4"_s}).code, 1); // no loop
    EXPECT_EQ(run({u"service"_s, u"timeline"_s, file, u"--item"_s, u"0"_s}).code, 2);
    EXPECT_EQ(run({u"service"_s, u"timeline"_s, file, u"--from"_s, u"soon"_s}).code, 2);
}

TEST_F(Cli, AServiceIsMadeAndItsSlidesAreDrawn) {
    importDemo();
    importDemoScripture();
    const QString file = folder.filePath(u"sunday.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, kDemo + u"/sea-harvest.txt"_s, u"--to"_s, file}).code, 0);
    const Service service = openService(file)->service;
    EXPECT_EQ(service.items.size(), 33u);
    const auto withSound = std::find_if(service.items.begin(), service.items.end(),
                                        [](const Item& item) { return item.plan.sound.has_value(); });
    ASSERT_NE(withSound, service.items.end());
    EXPECT_EQ(withSound->plan.leader, u"Pia Lund"_s);
    ASSERT_EQ(service.media.size(), 9u); // so that they are found again elsewhere
    for (const MediaFact& fact : service.media)
        EXPECT_TRUE(fact.bytes > 0 && !fact.title.isEmpty()) << fact.title.toStdString();
    EXPECT_EQ(run({u"service"_s, u"check-files"_s, file}).code, 0); // pictures and the sound came along
    const Ran drawn = run({u"render"_s, u"--service"_s, file, u"--output"_s, u"stream"_s, u"--to"_s,
                           folder.filePath(u"png"_s)});
    EXPECT_EQ(drawn.code, 0) << drawn.err.toStdString();
    const QStringList pictures = QDir(folder.filePath(u"png"_s)).entryList({u"*.png"_s});
    EXPECT_GT(pictures.size(), 50);
    EXPECT_EQ(QImage(folder.filePath(u"png/"_s + pictures[0])).size(), QSize(1920, 1080));
    EXPECT_EQ(run({u"slides"_s, u"--service"_s, u"/nowhere.mivanta"_s}).code, 1);
}

TEST_F(Cli, AnOrderNamesALiveInputOfThisComputer) {
    const QString computer = folder.filePath(u"computer"_s);
    QDir().mkpath(computer);
    ASSERT_TRUE(QFile::copy(kDemo + u"/live-inputs.json"_s, computer + u"/live-inputs.json"_s));
    QFile order(folder.filePath(u"order.txt"_s));
    ASSERT_TRUE(order.open(QIODevice::WriteOnly));
    order.write("[live] harbour camera\n+ stays until: the end\n[live] Choir camera\n");
    order.close();
    const QString file = folder.filePath(u"sunday.mivanta"_s);
    ASSERT_EQ(
        run({u"--computer"_s, computer, u"service"_s, u"new"_s, order.fileName(), u"--to"_s, file}).code, 0);
    const Service service = openService(file)->service;
    ASSERT_EQ(service.items.size(), 2u);
    EXPECT_FALSE(std::get<LiveItem>(service.items[0].words).input.isNull());
    EXPECT_EQ(std::get<LiveItem>(service.items[0].words).reach, LiveReach::ToEnd);
    EXPECT_TRUE(std::get<LiveItem>(service.items[1].words).input.isNull()); // not here, and can be chosen
    EXPECT_EQ(service.items[1].title(), u"Choir camera"_s);
}

TEST_F(Cli, ThePackedDemoLooksTheSameInAFreshHome) {
    importDemo();
    importDemoScripture();
    const QString file = folder.filePath(u"sunday.mivanta"_s);
    const QString packed = folder.filePath(u"packed.mivanta"_s);
    const QString out = folder.filePath(u"out"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, kDemo + u"/sea-harvest.txt"_s, u"--to"_s, file}).code, 0);
    ASSERT_EQ(run({u"service"_s, u"pack"_s, file, u"--to"_s, packed}).code, 0);
    ASSERT_EQ(run({u"service"_s, u"unpack"_s, packed, u"--to"_s, out}).code, 0);
    const auto drawn = [&](const QString& service, const QString& to) {
        EXPECT_EQ(run({u"render"_s, u"--service"_s, service, u"--output"_s, u"hall"_s, u"--to"_s, to}).code,
                  0);
        return QDir(to).entryList({u"*.png"_s}, QDir::Files, QDir::Name);
    };
    const QString here = folder.filePath(u"here"_s);
    const QString there = folder.filePath(u"there"_s);
    const QStringList slides = drawn(file, here);
    EXPECT_GT(slides.size(), 50);
    const QString library = folder.filePath(u"lib"_s);
    ASSERT_TRUE(QDir(library).removeRecursively());
    ASSERT_TRUE(QDir().mkpath(library));
    ASSERT_TRUE(QDir().rename(out + u"/media"_s, library + u"/media"_s));
    ASSERT_EQ(drawn(out + u"/packed.mivanta"_s, there), slides);
    for (const QString& slide : slides)
        EXPECT_EQ(QImage(there + u'/' + slide), QImage(here + u'/' + slide)) << slide.toStdString();
}

TEST_F(Cli, ThemesAreListedShownAndCarried) {
    const QJsonArray list = run({u"--json"_s, u"theme"_s, u"list"_s}).json().array();
    EXPECT_GE(list.size(), 12);
    EXPECT_TRUE(run({u"theme"_s, u"show"_s, u"Dusk Water"_s}).out.contains("Smallest size:"));
    EXPECT_EQ(run({u"--json"_s, u"theme"_s, u"show"_s, u"lower-third"_s}).json()[u"backdrop"_s][u"kind"_s],
              u"none"_s);
    const QString path = folder.filePath(u"card.mivanta-theme"_s);
    EXPECT_EQ(run({u"theme"_s, u"export"_s, u"card-at-the-foot"_s, u"--to"_s, path}).code, 0);
    EXPECT_EQ(run({u"theme"_s, u"import"_s, path}).code, 0);
    EXPECT_EQ(run({u"--json"_s, u"theme"_s, u"list"_s}).json().array().size(), list.size()); // the same again
    EXPECT_EQ(run({u"theme"_s, u"show"_s, u"nothing"_s}).code, 1);
    EXPECT_EQ(run({u"theme"_s, u"paint"_s}).code, 2);
    EXPECT_EQ(run({u"theme"_s, u"export"_s, u"card-at-the-foot"_s}).code, 2);
}

TEST_F(Cli, ALookSaysWhereItComesFrom) {
    importDemo();
    const QJsonDocument json =
        run({u"--json"_s, u"slides"_s, u"Every Tide"_s, u"--why"_s, u"--theme"_s, u"High Contrast"_s}).json();
    const auto sourceOf = [&](const QString& output, const QString& property) {
        for (const QJsonValue& each : json[u"why"_s][output].toArray())
            if (each[u"property"_s] == property)
                return each.toObject();
        return QJsonObject();
    };
    EXPECT_EQ(sourceOf(u"hall"_s, u"words.size"_s)[u"value"_s], 92);
    EXPECT_EQ(sourceOf(u"hall"_s, u"words.size"_s)[u"level"_s], u"service"_s);
    EXPECT_EQ(sourceOf(u"hall"_s, u"words.size"_s)[u"theme"_s], u"High Contrast"_s);
    EXPECT_EQ(sourceOf(u"stream"_s, u"words.size"_s)[u"level"_s], u"insisted"_s);
    EXPECT_TRUE(run({u"slides"_s, u"Every Tide"_s, u"--why"_s}).out.contains("backdrop.kind"));
}

TEST_F(Cli, LegibilityIsMeasured) {
    importDemo();
    const QJsonArray list = run({u"--json"_s, u"legibility"_s, u"Every Tide"_s}).json().array();
    ASSERT_EQ(list.size(), 3);
    EXPECT_EQ(list[0][u"output"_s], u"hall"_s);
    EXPECT_NEAR(list[0][u"readsTo"_s].toDouble(), 13.9, 0.2);
    EXPECT_GT(list[0][u"contrast"_s].toDouble(), 7);
    EXPECT_TRUE(
        run({u"legibility"_s, u"Every Tide"_s, u"--output"_s, u"hall"_s}).out.contains("reads to 13 m"));
    const auto dark =
        run({u"--json"_s, u"legibility"_s, u"Every Tide"_s, u"--theme"_s, u"high-contrast"_s}).json();
    EXPECT_GT(dark.array()[0][u"contrast"_s].toDouble(), list[0][u"contrast"_s].toDouble());
}

TEST_F(Cli, ALibraryThatCannotBeWrittenOrReadSaysSo) {
    QProcess process;
    process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-cli"),
                  {u"--library"_s, u"/proc/mivanta"_s, u"find"_s, u"x"_s});
    ASSERT_TRUE(process.waitForFinished());
    EXPECT_EQ(process.exitCode(), 1);
    EXPECT_TRUE(process.readAllStandardError().contains("/proc/mivanta"));
    ASSERT_TRUE(QDir().mkpath(folder.filePath(u"lib"_s)));
    QFile broken(folder.filePath(u"lib/library.db"_s));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write(QByteArray(8192, 'x'));
    broken.close();
    const Ran ran = run({u"find"_s, u"x"_s});
    EXPECT_EQ(ran.code, 1);
    EXPECT_TRUE(ran.err.contains(u"damaged"_s));
}

TEST_F(Cli, LinksNoWidgets) {
    QProcess process;
    process.start(u"ldd"_s, {QStringLiteral(MIVANTA_BIN_DIR "/mivanta-cli")});
    ASSERT_TRUE(process.waitForFinished());
    const QByteArray libraries = process.readAllStandardOutput();
    EXPECT_TRUE(libraries.contains("libQt6Core"));
    EXPECT_FALSE(libraries.contains("Widgets"));
}

} // namespace
} // namespace mivanta
