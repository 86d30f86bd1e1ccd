// SPDX-License-Identifier: GPL-3.0-or-later
// mivanta-soak [--seconds N] [--seed N]: opens, edits, saves, packs, kills, damages and reopens at random,
// and compares what is left behind with what the killed programs were told. Ends with 1 when anything is
// lost, or believed that is not true; then the folder is kept.
#include "soak/Checks.h"
#include "soak/Work.h"
#include "store/Backups.h"
#include <QCommandLineParser>
#include <QDir>
#include <QElapsedTimer>
#include <QGuiApplication>
#include <QProcess>
#include <QStandardPaths>
#include <QThread>
#include <QUuid>
#include <csignal>

namespace mivanta::soak {
namespace {

using namespace Qt::StringLiterals;

/// A program that works until it is killed.
class Victim {
public:
    Victim(const QStringList& arguments, QString diary) : m_diary(std::move(diary)) {
        m_begins = readyCount();
        m_process.setProcessChannelMode(QProcess::ForwardedChannels);
        m_process.start(QCoreApplication::applicationFilePath(), arguments);
    }
    /// False when it ended by itself.
    bool isReady() {
        QElapsedTimer time;
        time.start();
        while (readyCount() == m_begins && time.elapsed() < 60'000)
            if (m_process.waitForFinished(2))
                return false;
        return readyCount() > m_begins;
    }
    /// False when it had ended by itself.
    bool kill() {
        if (m_process.waitForFinished(0))
            return false;
        m_process.kill();
        m_process.waitForFinished();
        return true;
    }

private:
    int readyCount() const {
        QFile file(m_diary);
        return file.open(QIODevice::ReadOnly) ? int(file.readAll().count("ready\n")) : 0;
    }
    QString m_diary;
    QProcess m_process;
    int m_begins = 0;
};

class Soak {
public:
    Soak(QString folder, quint32 seed) : m_folder(std::move(folder)), m_random(seed) {}

    /// False when anything was wrong.
    bool round() {
        ++m_rounds;
        if (!work())
            return tell({u"a program ended by itself"_s});
        for (const QString& diary : {servicesDiary(m_folder), songsDiary(m_folder)}) {
            m_model.read(diary);
            QFile::remove(diary);
        }
        if (!tell(wrongInLibrary(m_folder, m_model)) || !tell(wrongInFiles(m_folder, m_model)) ||
            !tell(wrongInJournal(m_folder, m_model)))
            return false;
        if (below(2) == 0 && !tell(believedOfDamage(m_folder, m_model, m_random)))
            return false;
        if (below(8) == 0)
            backUpNow();
        return m_backup.isEmpty() || below(4) != 0 || bringBack();
    }
    void print() const {
        std::printf("%d rounds, %d kills, %zu things known, %d brought back\n", m_rounds, m_kills,
                    m_model.things.size(), m_broughtBack);
        std::fflush(stdout);
    }

private:
    int below(int most) { return int(m_random() % quint32(most)); }
    QStringList childOf(const QString& kind) {
        return {u"--do"_s, kind,        u"--folder"_s,
                m_folder,  u"--seed"_s, QString::number(m_random() & 0x7fffffff)};
    }

    bool work() {
        Victim services(childOf(u"services"_s), servicesDiary(m_folder));
        if (below(20) == 0) { // also while it begins
            QThread::msleep(quint32(below(150)));
            ++m_kills;
            return services.kill();
        }
        Victim songs(childOf(u"songs"_s), songsDiary(m_folder));
        if (!services.isReady() || !songs.isReady())
            return false;
        QThread::msleep(quint32(20 + below(900)));
        m_kills += 2;
        const bool areKilled = services.kill();
        QThread::msleep(quint32(below(30)));
        return songs.kill() && areKilled;
    }

    bool tell(const QStringList& wrong) {
        for (const QString& each : wrong)
            std::fprintf(stderr, "WRONG, round %d: %s\n", m_rounds, qPrintable(each));
        return wrong.isEmpty();
    }

    void backUpNow() {
        const auto library = Library::open(libraryOf(m_folder));
        if (!library)
            return;
        if (const auto made = backUp((*library)->database(), libraryOf(m_folder), Backup::Kind::Daily)) {
            m_backup = made->path;
            m_atBackup = m_model;
        }
    }

    /// Killed while a backup is brought back, there is one library or the other.
    bool bringBack() {
        QProcess child;
        child.start(QCoreApplication::applicationFilePath(), childOf(u"bring"_s)
                                                                 << u"--backup"_s << m_backup);
        child.waitForStarted();
        if (below(4) == 0)
            child.waitForFinished();
        else
            QThread::usleep(quint32(below(250'000)));
        child.kill();
        child.waitForFinished();
        ++m_kills;
        Model now = m_model;
        Model then = m_model;
        std::erase_if(then.things, [](const auto& each) { return !each.first.startsWith(u"file "_s); });
        for (const auto& each : m_atBackup.things)
            if (!each.first.startsWith(u"file "_s))
                then.things.insert(each);
        const QStringList asNow = wrongInLibrary(m_folder, now);
        const QStringList asThen = wrongInLibrary(m_folder, then);
        if (!asNow.isEmpty() && !asThen.isEmpty())
            return tell(asNow + asThen);
        m_broughtBack += asThen.isEmpty() ? 1 : 0;
        m_model = asNow.isEmpty() ? now : then;
        return true;
    }

    QString m_folder;
    std::mt19937 m_random;
    Model m_model;
    Model m_atBackup;
    QString m_backup;
    int m_rounds = 0;
    int m_kills = 0;
    int m_broughtBack = 0;
};

int soak(quint32 seed, int seconds) {
    const QString folder =
        QDir::tempPath() + u"/mivanta-soak-"_s + QUuid::createUuid().toString(QUuid::Id128);
    QDir().mkpath(folder);
    std::printf("seed %u, %s\n", seed, qPrintable(folder));
    std::fflush(stdout);
    Soak soak(folder, seed);
    QElapsedTimer time;
    time.start();
    for (int round = 1; time.elapsed() < qint64(seconds) * 1000; ++round) {
        if (!soak.round()) {
            soak.print();
            return 1;
        }
        if (round % 25 == 0)
            soak.print();
    }
    soak.print();
    QDir(folder).removeRecursively();
    return 0;
}

} // namespace
} // namespace mivanta::soak

int main(int argc, char** argv) {
    using namespace mivanta::soak;
    QGuiApplication app(argc, argv);
    QCoreApplication::setApplicationName(u"mivanta-soak"_s);
    QCommandLineParser parser;
    for (const QString& name : {u"seconds"_s, u"seed"_s, u"do"_s, u"folder"_s, u"backup"_s})
        parser.addOption({name, name, name});
    parser.process(app);
    const QString folder = parser.value(u"folder"_s);
    const quint32 seed = parser.isSet(u"seed"_s) ? parser.value(u"seed"_s).toUInt() : std::random_device()();
    if (parser.value(u"do"_s) == u"services"_s)
        return workOnServices(folder, seed);
    if (parser.value(u"do"_s) == u"songs"_s)
        return workOnSongs(folder, seed);
    if (parser.value(u"do"_s) == u"bring"_s)
        return bringBackup(folder, parser.value(u"backup"_s));
    return soak(seed, parser.isSet(u"seconds"_s) ? parser.value(u"seconds"_s).toInt() : 60);
}
