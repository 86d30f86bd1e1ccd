// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "film/LiveOpening.h"
#include "film/PictureWriter.h"
#include "link/Protocol.h"
#include "media/Mpv.h"
#include <QObject>
#include <QTimer>

struct mpv_event;

namespace mivanta {

/// Shows one live input: its pictures go to a board as they come. When they stop, the last one stays for
/// three seconds and gives way to the input's card then; it is opened again and again, with growing pauses,
/// and comes back by itself. Lives on a thread with an event loop.
class LiveDecoder : public QObject {
    Q_OBJECT
public:
    /// As PictureWriter has them.
    LiveDecoder(std::unique_ptr<FilmBoard> board, std::function<void()> ring, QObject* parent = nullptr);
    ~LiveDecoder() override;

    void open(const message::OpenFilm& order);
    /// Play and Pause are its sound's; its pictures always move.
    void steer(const message::SteerFilm& order);

Q_SIGNALS:
    void told(const mivanta::message::FilmStands& stands);

private:
    bool makePlayer();
    void tryToOpen();
    void close();
    void readEvents();
    void handle(const mpv_event& event);
    void look(); ///< at what its pictures are now
    void watch();
    void watchWindow();
    void watchFile();
    void catchUp();
    void came();
    void lost(const QString& problem);
    void again();
    void coverLater();
    void tell();
    void set(const char* property, const QByteArray& value);
    [[nodiscard]] double numberOf(const char* property) const; ///< 0 when it is not known

    message::OpenFilm m_order;
    message::FilmStands m_stands;
    std::unique_ptr<XDisplay> m_display;
    LiveOpening m_opening;
    std::pair<QDateTime, qint64>
        m_read;        ///< of a file: when it was written, and its length, as it was read last
    QString m_problem; ///< what libmpv's log said since it was opened last
    Mpv m_mpv;
    PictureWriter m_pictures; // ends before its player
    QTimer m_watch;
    DueTimer m_retry;
    DueTimer m_coverDue;
    int m_pause = 0;        ///< ms, before it is opened again
    quint64 m_seen = 0;     ///< pictures
    qint64 m_pictureAt = 0; ///< of Clock::steady(): when the last one came
    qint64 m_openedAt = 0;  ///< when it was opened last
    bool m_isOpen = false;  ///< libmpv has it
    bool m_isAudible = false;
    bool m_isHeldBack = false; ///< waits for its delay
};

} // namespace mivanta
