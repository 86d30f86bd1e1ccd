// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/LiveDecoder.h"
#include <QFileInfo>
#include <QImageReader>
#include <mpv/client.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kWatchEveryMs = 100;
constexpr qint64 kQuietMs = 1500;  ///< without a picture for so long, it is lost
constexpr qint64 kStuckMs = 5000;  ///< and it is opened anew
constexpr qint64 kSlowMs = 12'000; ///< to its first picture
constexpr qint64 kKeptMs = 3000;   ///< the last picture
constexpr int kCoverMs = 600;
constexpr int kFirstPauseMs = 1000;
constexpr int kLongestPauseMs = 30'000;
constexpr double kTooLate = 0.4; ///< s of pictures that wait, besides the delay
constexpr QSize kSmallestCard{16, 16};

} // namespace

LiveDecoder::LiveDecoder(std::unique_ptr<FilmBoard> board, std::function<void()> ring, QObject* parent)
    : QObject(parent),
      m_pictures(std::move(board), std::move(ring)) {
    m_watch.setInterval(kWatchEveryMs);
    connect(&m_watch, &QTimer::timeout, this, &LiveDecoder::watch);
    connect(&m_retry, &DueTimer::due, this, &LiveDecoder::tryToOpen);
    connect(&m_coverDue, &DueTimer::due, this, &LiveDecoder::coverLater);
}

LiveDecoder::~LiveDecoder() {
    if (m_mpv)
        mpv_set_wakeup_callback(m_mpv.get(), nullptr, nullptr);
}

void LiveDecoder::open(const message::OpenFilm& order) {
    if (!order.live)
        return;
    m_order = order;
    m_stands.signal = message::FilmStands::Signal::Opening;
    m_stands.volume = order.live->input.volume;
    m_display = XDisplay::open();
    if (!makePlayer()) {
        m_stands.problem = tr("live pictures cannot be shown on this computer");
        Q_EMIT told(m_stands);
        return;
    }
    m_pictures.start();
    m_coverDue.start(kKeptMs); // its card, if nothing comes
    tell();
    tryToOpen();
}

bool LiveDecoder::makePlayer() {
    const LiveInput& input = m_order.live->input;
    const bool isTimed = input.isHeard || input.delay > 0;
    m_mpv = makeMpv({{"vo", "libmpv"},
                     {"aid", input.isHeard ? "auto" : "no"},
                     {"sid", "no"},
                     {"osd-level", "0"},
                     {"mute", "yes"},
                     {"volume", QByteArray::number(input.volume)},
                     {"audio-device", m_order.soundDevice.isEmpty() ? "auto" : m_order.soundDevice.toUtf8()},
                     {"vf", liveFilters(input)},
                     {"hwdec", "auto-copy-safe"},
                     {"video-rotate", "no"},
                     {"sws-allow-zimg", "no"},
                     {"sws-fast", "yes"},
                     {"keepaspect", "no"}, // it is written in its own shape
                     // What comes is shown as soon as it has come.
                     {"untimed", isTimed ? "no" : "yes"},
                     {"cache", "no"},
                     {"cache-pause", "no"},
                     {"demuxer-max-bytes", "64MiB"},
                     {"demuxer-lavf-probe-info", "nostreams"},
                     {"demuxer-lavf-analyzeduration", "0.2"},
                     {"demuxer-lavf-buffersize", "4096"},
                     {"stream-buffer-size", "4k"},
                     {"video-latency-hacks", "yes"},
                     {"vd-lavc-threads", "1"},
                     {"audio-buffer", "0.1"},
                     {"rtsp-transport", "tcp"},
                     {"tls-verify", "yes"},
                     {"network-timeout", "5"}});
    if (!m_mpv || !m_pictures.attach(m_mpv.get()))
        return false;
    mpv_set_wakeup_callback(
        m_mpv.get(),
        [](void* decoder) {
            QMetaObject::invokeMethod(static_cast<LiveDecoder*>(decoder), &LiveDecoder::readEvents,
                                      Qt::QueuedConnection);
        },
        this);
    mpv_request_log_messages(m_mpv.get(), "warn");
    return true;
}

void LiveDecoder::tryToOpen() {
    m_problem.clear();
    const message::LiveOrder& live = *m_order.live;
    auto opening = openingOf(live, m_display.get(), m_order.window);
    if (!opening) {
        lost(opening.error().what);
        again();
        return;
    }
    m_opening = std::move(*opening);
    if (m_opening.window != 0 && !m_display->keepPicture(m_opening.window)) {
        lost(tr("the window cannot be shown"));
        again();
        return;
    }
    set("demuxer-lavf-o", m_opening.options);
    set("demuxer-lavf-format", m_opening.format);
    m_isHeldBack = live.input.delay > 0;
    set("pause", m_isHeldBack ? "yes" : "no");
    const char* command[]{"loadfile", m_opening.address.constData(), nullptr};
    if (m_opening.isUnsteady) {
        const QFileInfo file(QFile::decodeName(m_opening.address));
        m_read = {file.lastModified(), file.size()};
    }
    m_openedAt = Clock::the().steady();
    m_pictureAt = 0;
    m_isOpen = mpv_command_async(m_mpv.get(), 0, command) >= 0;
    m_watch.start();
}

void LiveDecoder::close() {
    m_isOpen = false;
    m_watch.stop();
    const char* stop[]{"stop", nullptr};
    mpv_command_async(m_mpv.get(), 0, stop);
}

void LiveDecoder::set(const char* property, const QByteArray& value) {
    mpv_set_property_string(m_mpv.get(), property, value.constData());
}

double LiveDecoder::numberOf(const char* property) const {
    double value = 0;
    return mpv_get_property(m_mpv.get(), property, MPV_FORMAT_DOUBLE, &value) >= 0 && std::isfinite(value)
               ? value
               : 0;
}

void LiveDecoder::readEvents() {
    for (;;) {
        const mpv_event* event = mpv_wait_event(m_mpv.get(), 0);
        if (event->event_id == MPV_EVENT_NONE)
            return;
        handle(*event);
    }
}

void LiveDecoder::handle(const mpv_event& event) {
    switch (event.event_id) {
    case MPV_EVENT_VIDEO_RECONFIG:
        look();
        return;
    case MPV_EVENT_FILE_LOADED:
        if (m_isHeldBack) // what has come by then is shown that much later
            QTimer::singleShot(m_order.live->input.delay, this, [this] {
                m_isHeldBack = false;
                set("pause", "no");
            });
        m_stands.hasSound = numberOf("audio-params/samplerate") > 0 || numberOf("aid") > 0;
        return;
    case MPV_EVENT_LOG_MESSAGE: {
        const auto* line = static_cast<const mpv_event_log_message*>(event.data);
        if (const QString problem = liveProblemOf(line->text); !problem.isEmpty())
            m_problem = problem;
        return;
    }
    case MPV_EVENT_END_FILE: {
        const auto* end = static_cast<const mpv_event_end_file*>(event.data);
        if (!m_isOpen || end->reason == MPV_END_FILE_REASON_REDIRECT ||
            end->reason == MPV_END_FILE_REASON_STOP) // another one is in its place by now
            return;
        m_isOpen = false;
        if (m_opening.isUnsteady && end->reason == MPV_END_FILE_REASON_EOF)
            return; // all of it was read; the watch sees when it is another one
        m_watch.stop();
        const bool isSilent =
            end->reason == MPV_END_FILE_REASON_ERROR && end->error == MPV_ERROR_NOTHING_TO_PLAY;
        lost(!m_problem.isEmpty() ? m_problem
             : isSilent           ? tr("there are no pictures in it")
                                  : tr("no picture comes"));
        again();
        return;
    }
    default:
        return;
    }
}

void LiveDecoder::look() {
    const QSize size(int(numberOf("dwidth")), int(numberOf("dheight")));
    if (size.isEmpty())
        return;
    if (size.width() > FilmBoard::kLongestSide || size.height() > FilmBoard::kLongestSide) {
        close();
        lost(tr("its pictures are too large: %1 \u00d7 %2").arg(size.width()).arg(size.height()));
        again();
        return;
    }
    const bool isAnother = std::exchange(m_stands.size, size) != size;
    // No larger than it is shown, so that it fills a screen of another shape.
    QSize written = size;
    const QSize filling = size.scaled(m_order.shown, Qt::KeepAspectRatioByExpanding);
    if (filling.width() < size.width() && m_pictures.hasRoomFor(filling))
        written = filling;
    else if (!m_pictures.hasRoomFor(size))
        written = size.scaled(m_order.shown, Qt::KeepAspectRatio).expandedTo(kSmallestCard);
    m_pictures.setShape({written});
    if (isAnother && m_stands.signal == message::FilmStands::Signal::There)
        tell();
}

void LiveDecoder::watch() {
    const qint64 now = Clock::the().steady();
    const quint64 seen = m_pictures.written();
    if (seen != std::exchange(m_seen, seen)) {
        m_pictureAt = now;
        came();
    }
    if (m_opening.window != 0)
        watchWindow();
    if (m_opening.isUnsteady)
        watchFile();
    catchUp();
    const qint64 quiet = now - std::max(m_pictureAt, m_openedAt);
    const bool hasCome = m_pictureAt > 0;
    if (hasCome && quiet > kQuietMs && !m_opening.isUnsteady)
        lost(tr("no picture comes"));
    if (m_isOpen && !m_opening.isUnsteady && quiet > (hasCome ? kStuckMs : kSlowMs)) {
        close();
        lost(m_problem.isEmpty() ? tr("no picture comes") : m_problem);
        again();
    }
}

/// A window of another size is read anew; one that went away is looked for.
void LiveDecoder::watchWindow() {
    const auto window = m_display->window(m_opening.window);
    if (window && window->size == m_opening.size)
        return;
    if (!window) {
        close();
        lost(tr("the window was closed"));
    }
    m_pause = 0;
    tryToOpen();
}

/// One that was written anew is read anew.
void LiveDecoder::watchFile() {
    const QFileInfo file(QFile::decodeName(m_opening.address));
    if (!file.exists()) {
        close();
        lost(tr("the file is not there"));
        again();
    } else if (!m_isOpen && file.isFile() && std::pair(file.lastModified(), file.size()) != m_read) {
        tryToOpen();
    } else if (!m_isOpen && !file.isFile()) { // whoever writes into the pipe begins again
        tryToOpen();
    }
}

/// What waits is passed by: a stream that stood still for a while would be late from then on.
void LiveDecoder::catchUp() {
    if (m_isHeldBack)
        return;
    const double waiting = numberOf("demuxer-cache-duration");
    if (waiting < kTooLate + m_order.live->input.delay / 1000.0)
        return;
    const char* drop[]{"drop-buffers", nullptr};
    mpv_command_async(m_mpv.get(), 0, drop);
}

void LiveDecoder::came() {
    m_coverDue.stop();
    if (m_stands.signal == message::FilmStands::Signal::There) {
        if (m_pictureAt - m_openedAt > kQuietMs) // not one that gives a picture and ends, again and again
            m_pause = 0;
        return;
    }
    m_stands.signal = message::FilmStands::Signal::There;
    m_stands.isOpen = true;
    m_stands.lostAt = 0;
    m_stands.problem.clear();
    tell();
}

void LiveDecoder::lost(const QString& problem) {
    using Signal = message::FilmStands::Signal;
    if (m_stands.signal == Signal::Lost && m_stands.problem == problem)
        return;
    if (m_stands.signal != Signal::Lost) {
        const qint64 since = m_pictureAt > 0 ? Clock::the().steady() - m_pictureAt : 0;
        m_stands.lostAt = Clock::the().now().toMSecsSinceEpoch() - since;
        if (m_stands.signal == Signal::There)
            m_coverDue.start(std::max<qint64>(0, kKeptMs - since));
    }
    m_stands.signal = Signal::Lost;
    m_stands.problem = problem;
    tell();
}

void LiveDecoder::again() {
    m_pause = m_pause > 0 ? std::min(m_pause * 2, kLongestPauseMs) : kFirstPauseMs;
    m_retry.start(m_pause);
}

void LiveDecoder::coverLater() {
    QImage card;
    if (!m_order.path.isEmpty()) {
        QImageReader reader(m_order.path);
        reader.setAutoTransform(true);
        if (const QSize size = reader.size(); size.width() > m_order.shown.width())
            reader.setScaledSize(size.scaled(m_order.shown, Qt::KeepAspectRatioByExpanding));
        card = reader.read();
    }
    m_pictures.cover(card, m_order.shown, kCoverMs);
}

void LiveDecoder::tell() {
    m_stands.isPaused = !m_isAudible;
    Q_EMIT told(m_stands);
}

void LiveDecoder::steer(const message::SteerFilm& order) {
    using What = message::SteerFilm::What;
    if (!m_mpv)
        return;
    switch (order.what) {
    case What::Play:
    case What::Pause:
        m_isAudible = order.what == What::Play;
        set("mute", m_isAudible ? "no" : "yes");
        tell();
        return;
    case What::FadeOut:
        set("mute", "yes");
        return;
    case What::Volume:
        m_stands.volume = std::clamp(int(order.value), 0, 100);
        set("volume", QByteArray::number(m_stands.volume));
        tell();
        return;
    case What::Device:
        set("audio-device", order.device.isEmpty() ? "auto" : order.device.toUtf8());
        return;
    case What::Seek: // there is no other moment than now
        return;
    }
}

} // namespace mivanta

#include "moc_LiveDecoder.cpp"
