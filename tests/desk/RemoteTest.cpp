// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/RunCovers.h"
#include "remote/RunSocket.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QLocalSocket>

namespace mivanta {
namespace {

/// Lines of JSON to the remote and its answers.
class Remote : public RunCovers {
protected:
    void SetUp() override {
        RunCovers::SetUp();
        path = runSocketPath(folder.path());
        ASSERT_TRUE(server.emplace(*session).listen(path));
        socket.connectToServer(path);
        ASSERT_TRUE(waitUntil([&] { return socket.state() == QLocalSocket::ConnectedState; }));
    }
    void TearDown() override {
        server.reset();
        RunCovers::TearDown();
    }
    QJsonObject ask(const QByteArray& line) {
        socket.write(line + '\n');
        EXPECT_TRUE(waitUntil([&] { return socket.canReadLine(); }));
        return QJsonDocument::fromJson(socket.readLine()).object();
    }
    QString path;
    std::optional<RunSocket> server;
    QLocalSocket socket;
};

TEST_F(Remote, AFloodIsAnsweredAFewAtATimeAndTheDeskGoesOn) {
    constexpr int kOrders = 300;
    int turns = 0;
    QTimer turn; // what else the desk has to do
    turn.callOnTimeout([&] { ++turns; });
    turn.start(1);
    socket.write(QByteArray("{\"do\":\"state\"}\n").repeated(kOrders));
    int answers = 0;
    EXPECT_TRUE(waitUntil(
        [&] {
            while (socket.canReadLine())
                answers += QJsonDocument::fromJson(socket.readLine()).object()[u"ok"_s].toBool() ? 1 : 0;
            return answers == kOrders;
        },
        30'000));
    EXPECT_GT(turns, kOrders / 16);
    socket.write(QByteArray(200'000, 'x') + '\n'); // longer than any order
    EXPECT_TRUE(waitUntil([&] { return socket.state() == QLocalSocket::UnconnectedState; }));
}

TEST_F(Remote, TakesLooksAndCoversAndAnswersWithTheState) {
    QJsonObject answer = ask(R"({"do":"state"})");
    EXPECT_TRUE(answer[u"ok"_s].toBool());
    EXPECT_EQ(answer[u"state"_s][u"service"_s], u"Sea Harvest"_s);
    EXPECT_EQ(answer[u"state"_s][u"items"_s], 3);
    EXPECT_FALSE(answer[u"state"_s].toObject().contains(u"onScreen"_s));
    answer = ask(R"({"do":"take"})");
    EXPECT_EQ(answer[u"state"_s][u"onScreen"_s][u"title"_s], u"First"_s);
    EXPECT_EQ(answer[u"state"_s][u"onScreen"_s][u"part"_s], u"Verse 1"_s);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    answer = ask(R"({"do":"jump","item":2})");
    EXPECT_EQ(answer[u"state"_s][u"next"_s][u"item"_s], 2);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    ask(R"({"do":"next"})"); // what follows, not what is looked at
    EXPECT_EQ(placeOf(state().onScreen), u"0.1"_s);
    ask(R"({"do":"jump","part":"V2","take":true})");
    EXPECT_EQ(run().takenScenes()[0].rows[0].text.left(4), u"five"_s);
    ask(R"({"do":"back"})");
    ask(R"({"do":"undo"})");
    EXPECT_EQ(run().takenScenes()[0].rows[0].text.left(4), u"five"_s);
    answer = ask(R"({"do":"curtain","to":"house card"})");
    EXPECT_EQ(state().covers.curtain, Curtain::HouseCard);
    EXPECT_EQ(answer[u"state"_s][u"curtain"_s], u"house card"_s);
    ask(R"({"do":"curtain","to":"black","output":"stream"})");
    EXPECT_EQ(state().covers.on(u"stream"_s), Curtain::Black);
    ask(R"({"do":"curtain","output":"stream"})");
    EXPECT_EQ(state().covers.on(u"stream"_s), Curtain::HouseCard);
    ask(R"({"do":"call-out","text":"Hello"})");
    EXPECT_EQ(state().covers.callOut->text, u"Hello"_s);
    ask(R"({"do":"call-out"})");
    EXPECT_FALSE(state().covers.callOut);
}

TEST_F(Remote, WhoFollowsIsToldOfEveryChangeAndOfNothingElse) {
    EXPECT_TRUE(ask(R"({"do":"follow"})")[u"ok"_s].toBool());
    const auto told = [&] {
        EXPECT_TRUE(waitUntil([&] { return socket.canReadLine(); }));
        QJsonObject last;
        while (socket.canReadLine())
            last = QJsonDocument::fromJson(socket.readLine()).object();
        EXPECT_FALSE(last.contains(u"ok"_s)); // nobody asked
        return last[u"state"_s].toObject();
    };
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return told()[u"onScreen"_s][u"title"_s] == u"First"_s; }));
    press(Qt::Key_F9);
    EXPECT_TRUE(waitUntil([&] { return told()[u"curtain"_s] == u"black"_s; }));
    settle();
    int quiet = 0; // what was painted is told once more
    ASSERT_TRUE(waitUntil([&] {
        quiet = ask(R"({"do":"state"})").contains(u"ok"_s) ? quiet + 1 : 0;
        return quiet == 10 && !session->onScreen().all().empty();
    }));
    press(Qt::Key_F9); // it is black already
    const QJsonObject answer = ask(R"({"do":"state"})");
    EXPECT_TRUE(answer.contains(u"ok"_s)); // the next line is the answer: nothing was told before it
}

TEST_F(Remote, WhatIsWrongIsSaidAndChangesNothing) {
    press(Qt::Key_Space);
    press(Qt::Key_3); // also while the operator is looking elsewhere
    const RunState before = state();
    for (const char* line :
         {"", "take", "[]", "{}", R"({"do":"fly"})", R"({"do":"jump"})", R"({"do":"jump","item":9})",
          R"({"do":"jump","item":"x"})", R"({"do":"jump","part":"Q"})",
          R"({"do":"jump","item":2,"part":"Q"})", R"({"do":"jump","part":"V2x"})", R"({"do":"curtain"})",
          R"({"do":"curtain","to":"red"})", R"({"do":"curtain","to":"black","output":"moon"})"}) {
        const QJsonObject answer = ask(line);
        EXPECT_FALSE(answer[u"ok"_s].toBool(true)) << line;
        EXPECT_FALSE(answer[u"problem"_s].toString().isEmpty()) << line;
        EXPECT_EQ(state(), before) << line;
    }
}

} // namespace
} // namespace mivanta
