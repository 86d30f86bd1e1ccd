// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QThread>
#include <cmath>
#include <vector>

namespace mivanta {

/// Loudspeakers that are none: a sound server without hardware, with a device "hall" and a device "booth".
/// What reaches one is recorded. Programs and libraries of this process find it while it lives.
class Loudspeakers {
public:
    static constexpr int kRate = 48'000;

    Loudspeakers() {
        QFile script(m_folder.filePath(QStringLiteral("script")));
        m_isThere = script.open(QIODevice::WriteOnly);
        for (const char* sink : {"hall", "booth"})
            script.write(QByteArray("load-module module-null-sink rate=48000 channels=1 sink_name=") + sink +
                         '\n');
        script.write("load-module module-native-protocol-unix auth-anonymous=1 socket=" + socket().toUtf8() +
                     '\n');
        script.write("set-default-sink hall\n");
        script.close();
        QProcessEnvironment environment = QProcessEnvironment::systemEnvironment();
        for (const char* name : {"HOME", "XDG_RUNTIME_DIR", "XDG_CONFIG_HOME"})
            environment.insert(QLatin1String(name), m_folder.path());
        m_server.setProcessEnvironment(environment);
        m_server.setProcessChannelMode(QProcess::MergedChannels);
        m_server.start(QStringLiteral("pulseaudio"),
                       {QStringLiteral("-n"), QStringLiteral("-F"), script.fileName(),
                        QStringLiteral("--exit-idle-time=-1"), QStringLiteral("--daemonize=no"),
                        QStringLiteral("--use-pid-file=no"), QStringLiteral("--log-target=stderr")});
        m_isThere = m_isThere && m_server.waitForStarted();
        for (int i = 0; m_isThere && i < 100 && !QFile::exists(socket()); ++i)
            QThread::msleep(50);
        m_isThere = m_isThere && QFile::exists(socket());
        qputenv("PULSE_SERVER", "unix:" + socket().toUtf8());
    }
    ~Loudspeakers() {
        qunsetenv("PULSE_SERVER");
        m_recorder.kill();
        m_recorder.waitForFinished();
        m_server.terminate();
        m_server.waitForFinished();
    }
    [[nodiscard]] bool isThere() const { return m_isThere; }

    /// From now on; what was recorded before is forgotten.
    bool record(const QString& device = QStringLiteral("hall")) {
        m_recorder.kill();
        m_recorder.waitForFinished();
        m_heard.clear();
        m_recorder.start(QStringLiteral("parec"),
                         {QStringLiteral("-d"), device + QStringLiteral(".monitor"), QStringLiteral("--raw"),
                          QStringLiteral("--format=s16le"), QStringLiteral("--rate=48000"),
                          QStringLiteral("--channels=1"), QStringLiteral("--latency-msec=20")});
        return m_recorder.waitForStarted() && m_recorder.waitForReadyRead(5000);
    }
    /// What was heard so far, from -1 to 1.
    [[nodiscard]] const std::vector<double>& heard() {
        const QByteArray bytes = m_recorder.readAllStandardOutput();
        const auto* samples = reinterpret_cast<const qint16*>(bytes.constData());
        for (qsizetype i = 0; i < bytes.size() / 2; ++i)
            m_heard.push_back(samples[i] / 32768.0);
        return m_heard;
    }
    /// Writes it as a file of raw samples, as ffmpeg reads them with -f s16le -ar 48000 -ac 1.
    bool write(const QString& path) {
        QFile file(path);
        if (!file.open(QIODevice::WriteOnly))
            return false;
        for (const double sample : heard()) {
            const auto value = qint16(std::lround(sample * 32767));
            file.write(reinterpret_cast<const char*>(&value), 2);
        }
        return true;
    }
    /// Takes a device away, as when it is unplugged; brings one.
    static bool pull(const QString& device) {
        return pactl({QStringLiteral("unload-module"), moduleOf(device)});
    }
    static bool plug(const QString& device) {
        return pactl({QStringLiteral("load-module"), QStringLiteral("module-null-sink"),
                      QStringLiteral("rate=48000"), QStringLiteral("channels=1"),
                      QStringLiteral("sink_name=") + device});
    }

private:
    static bool pactl(const QStringList& arguments) {
        return QProcess::execute(QStringLiteral("pactl"), arguments) == 0;
    }
    static QString moduleOf(const QString& device) {
        QProcess list;
        list.start(QStringLiteral("pactl"),
                   {QStringLiteral("list"), QStringLiteral("short"), QStringLiteral("modules")});
        list.waitForFinished();
        for (const QString& line : QString::fromUtf8(list.readAll()).split(u'\n'))
            if (line.contains(QStringLiteral("sink_name=") + device))
                return line.section(u'\t', 0, 0);
        return {};
    }
    [[nodiscard]] QString socket() const { return m_folder.filePath(QStringLiteral("native")); }

    QTemporaryDir m_folder;
    QProcess m_server;
    QProcess m_recorder;
    std::vector<double> m_heard;
    bool m_isThere = false;
};

/// How much of a tone (Hz) is in samples from `from` to `from` + `length`: its amplitude, by Goertzel.
inline double toneIn(const std::vector<double>& samples, size_t from, size_t length, double hertz) {
    length = std::min(length, samples.size() - std::min(samples.size(), from));
    const double step = 2 * M_PI * hertz / Loudspeakers::kRate;
    double sine = 0;
    double cosine = 0;
    for (size_t i = 0; i < length; ++i) {
        sine += samples[from + i] * std::sin(step * double(i));
        cosine += samples[from + i] * std::cos(step * double(i));
    }
    return length > 0 ? 2 * std::hypot(sine, cosine) / double(length) : 0;
}

} // namespace mivanta
