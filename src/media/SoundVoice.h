// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "media/Mpv.h"
#include "media/Ramp.h"
#include <QObject>
#include <QTimer>
#include <vector>

struct mpv_event;

namespace mivanta {

/// A sound file, and the part of it that is played.
struct VoicePiece {
    QString path;
    double from = 0; ///< seconds
    double to = 0;   ///< 0 = its end
    double gain = 0; ///< dB
};

/// How pieces are to be played.
struct VoiceSetup {
    std::vector<VoicePiece> pieces;
    int first = 0;        ///< the piece to begin with
    double at = 0;        ///< seconds of its file
    bool isRound = false; ///< behind the last one the first comes again
    bool isPaused = false;
    double level = 100; ///< per cent
    int fadeInMs = 0;
    bool isDucked = false;
    QByteArray device; ///< as libmpv calls it; empty = the usual one
};

/// Sound files that are being played one after the other, without a gap. Lives on one thread with an event
/// loop, which is not the GUI's: making and ending it may wait some ms.
class SoundVoice : public QObject {
    Q_OBJECT
public:
    explicit SoundVoice(VoiceSetup setup, QObject* parent = nullptr);
    ~SoundVoice() override;

    /// Becomes silent within so long and is over then.
    void fadeOut(int milliseconds);
    void setLevel(double percent);
    /// Softer, while something else is to be heard.
    void setDucked(bool ducked);
    void setPaused(bool paused);
    void seek(double seconds); ///< of the piece's file; while one is being opened, as soon as it is open
    void setDevice(const QByteArray& device);

    [[nodiscard]] int piece() const { return m_piece; }
    [[nodiscard]] bool isPaused() const { return m_setup.isPaused; }
    [[nodiscard]] qint64 positionMs() const; ///< of the piece's file
    [[nodiscard]] qint64 durationMs() const; ///< 0 = not known (yet)
    /// Until the end of the piece; nothing when that is not known.
    [[nodiscard]] std::optional<qint64> leftMs() const;
    /// How long the part of it is that is played; nothing when that is not known.
    [[nodiscard]] std::optional<qint64> pieceMs() const;

Q_SIGNALS:
    void started();                                      ///< a piece
    void pieceFailed(int piece, const QString& problem); ///< the next one follows
    /// At its end, faded out, or with a problem; nothing more comes.
    void over(const QString& problem);

private:
    void load();
    void readEvents();
    void goTo(double seconds);
    void handle(const mpv_event& event);
    [[nodiscard]] double volumeNow() const;                                        ///< as libmpv counts it
    [[nodiscard]] std::optional<qint64> msToEnd(std::optional<double> from) const; ///< `from`: seconds
    void applyLevel();
    void end(const QString& problem);

    VoiceSetup m_setup;
    std::vector<int> m_loaded; ///< the pieces that the player has, by its own numbers
    Mpv m_mpv;
    int m_piece = 0;
    QString m_problem;              ///< of the last piece that failed
    std::optional<double> m_seekTo; ///< s; asked for and not done yet
    quint64 m_lastSeek = 0;
    Ramp m_fade{1};
    Ramp m_duck{1};
    QTimer m_ramps;
    bool m_isEnding = false;
    bool m_hasStarted = false;
    bool m_isOver = false;
};

} // namespace mivanta
