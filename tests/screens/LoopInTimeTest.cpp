// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/LoopPlan.h"
#include "screens/Screens.h"
#include <QJsonArray>

namespace mivanta {
namespace {

constexpr qint64 kLate = 1500; // ms, on a busy machine

/// The time before a service as it passes: the demo's loop, armed, then its countdown, then the welcome. With
/// MIVANTA_LOOP_MINUTES it is as long as the demo's.
class LoopInTime : public Screens {
protected:
    void SetUp() override {
        Screens::SetUp();
        bool isSet = false;
        const int minutes = qEnvironmentVariableIntValue("MIVANTA_LOOP_MINUTES", &isSet);
        begins = QDateTime::currentDateTime().addSecs(40);
        begins = QDateTime(begins.date(), QTime(begins.time().hour(), begins.time().minute())).addSecs(60);
        ends = begins.addSecs(60 * (isSet ? std::clamp(minutes, 1, 60) : 1));
        starts = ends.addSecs(60);
        writeOrder();
        cli({u"service"_s, u"new"_s, folder.filePath(u"order.txt"_s), u"--to"_s, file()});
        service = openService(file())->service;
    }
    [[nodiscard]] QString file() const { return folder.filePath(u"sunday.mivanta"_s); }

    /// The demo's, at times that come soon.
    void writeOrder() const {
        const QString demo = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/");
        QFile from(demo + u"sea-harvest.txt"_s);
        ASSERT_TRUE(from.open(QIODevice::ReadOnly));
        QString order = QString::fromUtf8(from.readAll());
        for (const QString& media : {u"pictures/"_s, u"films/"_s, u"music/"_s, u"sounds/"_s, u"discs/"_s})
            order.replace(u' ' + media, u' ' + demo + media);
        const auto put = [&](const QString& what, const QString& by) {
            ASSERT_TRUE(order.contains(what)) << what.toStdString();
            order.replace(what, by);
        };
        const QString time = u"HH:mm"_s;
        put(u"Start: 2026-10-04 10:30"_s, u"Start: "_s + starts.toString(u"yyyy-MM-dd HH:mm"_s));
        put(u"begins: 10:00"_s, u"begins: "_s + begins.toString(time));
        put(u"until: 10:25"_s, u"until: "_s + ends.toString(time));
        put(u"+ until: 10:30"_s, u"+ until: "_s + starts.toString(time) + u"\n+ then: the next item"_s);
        QFile to(folder.filePath(u"order.txt"_s));
        ASSERT_TRUE(to.open(QIODevice::WriteOnly));
        to.write(order.toUtf8());
    }

    /// What comes on screen, and when.
    void listen() {
        QObject::connect(observer.get(), &PlayerClient::stateChanged, [this] {
            const QJsonObject cue = state()[u"onScreen"_s].toObject();
            if (cue == last)
                return;
            last = cue;
            const LoopStill still{ItemId::fromText(cue[u"item"_s].toString()), cue[u"entry"_s].toInt()};
            came.emplace_back(QDateTime::currentDateTime(), stillName(still, service));
        });
    }
    /// As the command line says beforehand.
    [[nodiscard]] std::vector<std::pair<QDateTime, QString>> expected() const {
        QProcess process;
        process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-cli"),
                      {u"service"_s, u"timeline"_s, file(), u"--json"_s});
        EXPECT_TRUE(process.waitForFinished());
        const QJsonArray loops = QJsonDocument::fromJson(process.readAllStandardOutput()).array();
        std::vector<std::pair<QDateTime, QString>> all;
        const auto add = [&](const QJsonValue& one) {
            const QTime at = QTime::fromString(one[u"begins"_s].toString(), u"HH:mm:ss"_s);
            QDateTime when(begins.date(), at);
            if (when < begins.addSecs(-60)) // midnight lies between
                when = when.addDays(1);
            all.emplace_back(when, one[u"what"_s].toString());
        };
        for (const QJsonValue& showing : loops[0][u"showings"_s].toArray())
            add(showing);
        for (const QJsonValue& link : loops[0][u"byItselfBehind"_s].toArray())
            add(link);
        return all;
    }
    static void passUntil(const QDateTime& time) {
        while (QDateTime::currentDateTime() < time)
            pass(100);
    }

    QDateTime begins;
    QDateTime ends;
    QDateTime starts;
    Service service;
    QJsonObject last;
    std::vector<std::pair<QDateTime, QString>> came;
};

TEST_F(LoopInTime, GoesFromTheNoticesToTheCountdownToTheWelcomeByItself) {
    const auto plan = expected();
    ASSERT_GT(plan.size(), 6u);
    EXPECT_EQ(plan.back().second, u"Words of welcome at the harbour"_s);
    start({u"--run"_s, file()});
    ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"run"_s && state().contains(u"next"_s); }));
    listen();
    press({u"Insert"_s}); // arms it, and is all that anybody does
    pass(500);
    EXPECT_TRUE(isBlack(monitor(1)));
    EXPECT_TRUE(came.empty());
    passUntil(begins.addMSecs(kLate + 1000));
    EXPECT_FALSE(isBlack(monitor(1)));
    passUntil(ends.addMSecs(kLate + 1000)); // the figures of the countdown go on
    const QImage counting = monitor(1);
    pass(2200);
    EXPECT_NE(counting, monitor(1));
    passUntil(starts.addMSecs(kLate + 3000));
    ASSERT_EQ(came.size(), plan.size());
    qint64 latest = 0;
    for (size_t i = 0; i < plan.size(); ++i) {
        EXPECT_EQ(came[i].second, plan[i].second) << i;
        EXPECT_LE(std::abs(plan[i].first.msecsTo(came[i].first)), kLate) << i;
        latest = std::max(latest, std::abs(plan[i].first.msecsTo(came[i].first)));
    }
    RecordProperty("ms_from_plan_at_most", int(latest));
    const QImage welcome = settledHall();
    pass(3000);
    EXPECT_EQ(came.size(), plan.size()); // nothing comes behind it without a take
    EXPECT_EQ(welcome, monitor(1));
}

} // namespace
} // namespace mivanta
