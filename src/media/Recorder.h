// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <QProcess>
#include <QSize>
#include <QTimer>
#include <functional>
#include <memory>
#include <optional>

class QPainter;

namespace mivanta {

class FramePipe;

/// What is recorded, and how.
struct RecordingPlan {
    QString path;      ///< of the file, which must not be there yet: Matroska, whatever its suffix
    QSize size;        ///< px
    int rate = 30;     ///< pictures a second at most; where nothing moves there are fewer
    QString soundFrom; ///< a source of the sound server, such as "hall.monitor"; empty = without sound
};

/// A size with even sides, as encoders want it: the picture's, or a smaller one of its shape.
[[nodiscard]] QSize recordedSize(QSize picture);

/// Records pictures, and what a source of the sound server hears, by an ffmpeg of its own. A recording that
/// is cut off, whatever ends it, is whole up to about a second before. GUI thread; only drawing is done
/// there.
class Recorder : public QObject {
    Q_OBJECT
public:
    static constexpr qint64 kLeastSpace = 500'000'000; ///< bytes: with less, it ends, or does not begin

    /// What is recorded.
    struct Seen {
        std::function<bool()> hasChanged;            ///< since this was asked last
        std::function<void(QPainter& painter)> draw; ///< all of it, on a picture of the plan's size
    };
    Recorder(RecordingPlan plan, Seen seen, QObject* parent = nullptr);
    ~Recorder() override; ///< the file is ended, and nothing is told

    /// finished() follows sooner or later.
    void start();
    /// Ends the file cleanly; finished() follows. `why`: for people, where nobody has wished it.
    void stop(const QString& why = {});

    [[nodiscard]] qint64 length() const; ///< ms, from when the file began to grow
    [[nodiscard]] qint64 bytes() const;  ///< of the file
    /// Tests say that less is free.
    void setFreeSpace(std::function<qint64()> bytes) { m_freeSpace = std::move(bytes); }

Q_SIGNALS:
    void grew();                           ///< length() and bytes(), about once a second
    void finished(const QString& problem); ///< empty = it was stopped

private:
    [[nodiscard]] QStringList arguments(int pictures) const;
    [[nodiscard]] QString encoderProblem();
    void drawOne();
    void look(); ///< at the disk
    void holdLength();
    void ended();

    const RecordingPlan m_plan;
    const Seen m_seen;
    std::function<qint64()> m_freeSpace;
    QProcess m_ffmpeg;
    std::unique_ptr<FramePipe> m_pipe;
    QTimer m_pictures;
    QTimer m_disk;
    QTimer m_patience;      ///< for ffmpeg to end the file
    QString m_problem;      ///< why it is being ended
    bool m_isBegun = false; ///< its first picture was given
    bool m_isStopping = false;
    std::optional<qint64> m_beganAt; ///< of Clock::steady(); nothing until its file grows, and when it ends
    qint64 m_lastAt = 0;             ///< when a picture was given last
    qint64 m_length = 0;             ///< ms, of one that is being ended
};

} // namespace mivanta
