// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/outputs/LiveInputs.h"
#include "link/PlayerClient.h"
#include "session/readings/Contrasts.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// The live inputs of this computer, without a player, a window and a key ring.
class LiveInputsOfThisComputer : public ::testing::Test {
protected:
    void SetUp() override {
        qputenv("XDG_RUNTIME_DIR", folder.path().toLocal8Bit()); // where no bus is
        qunsetenv("DBUS_SESSION_BUS_ADDRESS");
        begin();
    }
    /// As a new start of the program.
    void begin() {
        inputs =
            std::make_unique<LiveInputs>(player, ThisComputer(folder.path()), folder.filePath(u"cache"_s));
        QObject::connect(
            inputs.get(), &LiveInputs::offered,
            [this](const QString&, const QString&, const std::function<void()>& act) { offer = act; });
        QObject::connect(inputs.get(), &LiveInputs::problem,
                         [this](const Error& error) { problems << error.text(); });
        bool isLoaded = false;
        QObject waiting;
        QObject::connect(inputs.get(), &LiveInputs::changed, &waiting, [&] { isLoaded = true; });
        inputs->load();
        waitUntil([&] { return isLoaded || !problems.isEmpty(); });
    }
    LiveInputId addAddress(const QString& name, const QString& address) {
        const LiveInputId id = inputs->add(LiveKind::Network);
        LiveInput input = *inputs->find(id);
        input.name = name;
        input.source = AddressSource{address};
        inputs->change(input);
        return id;
    }
    [[nodiscard]] QByteArray written(const QString& file) const {
        QFile in(folder.filePath(file));
        return in.open(QIODevice::ReadOnly) ? in.readAll() : QByteArray();
    }

    QTemporaryDir folder;
    PlayerClient player{{folder.path(), {}, {}}};
    std::unique_ptr<LiveInputs> inputs;
    std::function<void()> offer;
    QStringList problems;
};

TEST_F(LiveInputsOfThisComputer, AreAsTheyWereLeft) {
    EXPECT_TRUE(inputs->all().empty());
    const LiveInputId first = addAddress(u"Harbour camera"_s, u"rtsp://camera.local/hall"_s);
    const LiveInputId second = inputs->add(LiveKind::Monitor);
    EXPECT_EQ(inputs->find(second)->name, u"Monitor"_s);
    EXPECT_EQ(inputs->find(inputs->add(LiveKind::Monitor))->name, u"Monitor 2"_s);
    const std::vector<LiveInput> before = inputs->all();
    begin();
    EXPECT_EQ(inputs->all(), before);
    EXPECT_EQ(inputs->nameOf(first), u"Harbour camera"_s);
    EXPECT_FALSE(inputs->nameOf(LiveInputId::create()).isEmpty());
    EXPECT_TRUE(problems.isEmpty());
}

TEST_F(LiveInputsOfThisComputer, KeepPasswordsApartAndToThemselves) {
    const LiveInputId id = addAddress(u"Harbour camera"_s, u"rtsp://camera.local/hall"_s);
    const LiveSecret secret{u"volunteer"_s, u"s@lt/w\u00e4ter"_s, {}};
    inputs->setSecret(id, secret);
    EXPECT_EQ(inputs->keeper().place(), Secrets::Place::File);
    ASSERT_TRUE(waitUntil([&] { return written(u"secrets.json"_s).contains("volunteer"); }));
    EXPECT_EQ(QFile::permissions(folder.filePath(u"secrets.json"_s)) &
                  (QFile::ReadGroup | QFile::ReadOther | QFile::WriteGroup | QFile::WriteOther),
              QFile::Permissions());
    EXPECT_FALSE(written(u"live-inputs.json"_s).contains("volunteer"));
    begin();
    ASSERT_TRUE(waitUntil([&] { return inputs->secretOf(id) == secret; }));
    inputs->remove(id);
    EXPECT_TRUE(waitUntil([&] { return !written(u"secrets.json"_s).contains("volunteer"); }));
    inputs->setSecret(id, {u"late"_s, u"letters"_s, {}}); // were still being typed for it
    EXPECT_TRUE(inputs->secretOf(id).isEmpty());
    offer();
    EXPECT_EQ(inputs->secretOf(id), secret);
    EXPECT_EQ(inputs->nameOf(id), u"Harbour camera"_s);
    EXPECT_TRUE(waitUntil([&] { return written(u"secrets.json"_s).contains("volunteer"); }));
}

TEST_F(LiveInputsOfThisComputer, ADamagedFileIsSaidAndStays) {
    QFile file(folder.filePath(u"live-inputs.json"_s));
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("[{\"kind\":");
    file.close();
    begin();
    ASSERT_EQ(problems.size(), 1);
    EXPECT_TRUE(inputs->all().empty());
    EXPECT_EQ(written(u"live-inputs.json"_s), "[{\"kind\":");
}

TEST_F(LiveInputsOfThisComputer, WhatIsOutOfRangeIsNotTaken) {
    const LiveInputId id = addAddress(u"Harbour camera"_s, u"rtsp://camera.local/hall"_s);
    LiveInput wrong = *inputs->find(id);
    wrong.source = AddressSource{u"file:///etc/passwd"_s};
    inputs->change(wrong);
    EXPECT_EQ(sourceText(inputs->find(id)->source), u"rtsp://camera.local/hall"_s);
}

TEST_F(LiveInputsOfThisComputer, WhatTheyShowedLatelyIsKeptForPicturesOfTheDesks) {
    const LiveInputId id = addAddress(u"Harbour camera"_s, u"rtsp://camera.local/hall"_s);
    QImage picture(48, 27, QImage::Format_RGB32);
    picture.fill(Qt::darkCyan);
    int kept = 0;
    QObject::connect(inputs.get(), &LiveInputs::firstPictureKept, [&] { ++kept; });
    Scene scene; // white words, on black as long as nobody knows what the camera sees
    scene.size = {480, 270};
    scene.look.backdrop.kind = BackdropKind::Live;
    scene.look.backdrop.live = id.text();
    scene.fontSize = 40;
    scene.rows = {{u"Slate and shutter"_s, {}, {}}};
    Contrasts contrasts;
    contrasts.setPictures(folder.filePath(u"media"_s), folder.filePath(u"cache"_s));
    const auto measured = [&] {
        std::optional<double> contrast;
        EXPECT_TRUE(waitUntil([&] { return (contrast = contrasts.of(scene, RoomLight::Dark)).has_value(); }));
        return contrast.value_or(0);
    };
    EXPECT_GT(measured(), 10);
    picture.fill(Qt::white);
    Q_EMIT player.livePictureCame(id, picture);
    EXPECT_EQ(inputs->pictureOf(id), picture);
    ASSERT_TRUE(waitUntil([&] { return kept == 1; }));
    contrasts.forget();
    EXPECT_LT(measured(), 2);
    Q_EMIT player.livePictureCame(id, picture); // not written again at once
    waitUntil([] { return false; }, 100);
    EXPECT_EQ(kept, 1);
}

} // namespace
} // namespace mivanta
