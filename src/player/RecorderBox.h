// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include "media/Recorder.h"
#include "player/Films.h"
#include <QPointer>

namespace mivanta {

class OutputPicture;
class OutputSet;

/// Records what outputs show, and live inputs, as the desks order it. It goes on when they are gone. GUI
/// thread.
class RecorderBox : public QObject {
    Q_OBJECT
public:
    RecorderBox(const OutputSet& outputs, Films& films, QObject* parent = nullptr);
    ~RecorderBox() override; ///< files are ended

    /// `soundFrom`: where what this computer plays can be recorded, as RecordingPlan has it.
    void begin(const message::Record& record, const QString& soundFrom);
    /// `why`: for people, where nobody has wished it.
    void end(RecordingId id, const QString& why = {});
    /// Of those that run.
    [[nodiscard]] std::vector<message::Recording> running() const;

Q_SIGNALS:
    void told(const mivanta::message::Recording& recording);

private:
    struct Entry {
        message::Recording facts;
        QString soundFrom;
        FilmPtr film; ///< of a live input
        QPointer<OutputPicture> output;
        std::unique_ptr<Recorder> recorder; ///< null while the first picture is waited for
        qint64 askedAt = 0;                 ///< of Clock::steady()
        bool hasChanged = true;             ///< what the output shows
        quint64 number = 0;                 ///< of the input's picture that was recorded last
        QObject here;                       ///< what it is told ends with it
    };
    void lookForPictures();
    [[nodiscard]] bool watchOutput(Entry& entry);
    [[nodiscard]] static QSize sizeOf(const Entry& entry);
    void start(Entry& entry, QSize size);
    [[nodiscard]] static Recorder::Seen seenOf(Entry& entry, QSize size);
    void tell(Entry& entry);
    void finish(RecordingId id, const QString& problem);
    [[nodiscard]] Entry* find(RecordingId id) const;

    const OutputSet& m_outputs;
    Films& m_films;
    std::vector<std::unique_ptr<Entry>> m_entries;
    QTimer m_waits;
};

/// Where what a device plays can be recorded ("hall.monitor"), by its name as libmpv has it; empty where the
/// sound system has no such thing.
[[nodiscard]] QString monitorOf(const message::SoundDevices& devices, const QString& used);

} // namespace mivanta
