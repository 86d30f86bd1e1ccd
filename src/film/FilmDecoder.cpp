// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/FilmDecoder.h"
#include "film/FilmFilters.h"
#include "media/FilmFormat.h"
#include <QFile>
#include <QThread>
#include <cmath>
#include <mpv/client.h>

namespace mivanta {

namespace {

constexpr int kTellEveryMs = 250;
constexpr int kFadeStepMs = 20;
constexpr QSize kSmallest{16, 16};
constexpr double kHeavy = 1920.0 * 1088 * 60; ///< px a second; what is more may need all there is

QByteArray trackProperty(int track, const char* name) {
    return "track-list/" + QByteArray::number(track) + '/' + name;
}

constexpr double kAtTheEnd = 0.1; // seconds: what is so near to the end of a clip is its end

} // namespace

FilmDecoder::FilmDecoder(std::unique_ptr<FilmBoard> board, std::function<void()> ring, QObject* parent)
    : QObject(parent),
      m_pictures(std::move(board), std::move(ring)) {
    m_ticks.setInterval(kTellEveryMs);
    connect(&m_ticks, &QTimer::timeout, this, &FilmDecoder::tell);
    m_fade.setInterval(kFadeStepMs);
    connect(&m_fade, &QTimer::timeout, this, &FilmDecoder::stepFade);
}

FilmDecoder::~FilmDecoder() {
    if (m_mpv)
        mpv_set_wakeup_callback(m_mpv.get(), nullptr, nullptr);
}

void FilmDecoder::open(const message::OpenFilm& order) {
    m_open = order;
    const FilmPlay& film = m_open.film;
    m_stands.from = film.from;
    m_stands.to = film.to;
    m_stands.position = order.at;
    m_stands.volume = film.volume;
    m_loudness = film.volume;
    const QByteArray format = filmFormatOf(order.path);
    if (format.isEmpty()) {
        fail(QFile::exists(order.path) ? tr("the file is no film") : tr("the file is not there"));
        return;
    }
    const QByteArray path = QFile::encodeName(order.path);
    if (!film.isOnce)
        m_round = roundOf(film, path, format);
    m_mpv =
        makeMpv({{"vo", "libmpv"},
                 {"pause", "yes"},
                 {"keep-open", "always"},
                 {"hr-seek", "yes"},
                 {"hwdec", "auto-copy-safe"},
                 {"video-rotate", "no"}, // by a filter: the software renderer of libmpv fails on turned films
                 {"sws-allow-zimg", "no"}, // the quick ways of libswscale: half of the work
                 {"sws-fast", "yes"},
                 {"vd", isSeeThrough(order.path) ? "libvpx-vp9,libvpx" : ""},
                 {"sid", "no"},
                 {"osd-level", "0"},
                 {"aid", film.isHeard ? "auto" : "no"},
                 {"loop-file", film.isOnce ? "no" : "inf"},
                 {"audio-device", order.soundDevice.isEmpty() ? "auto" : order.soundDevice.toUtf8()},
                 {"volume-max", "200"}, // room for films that were recorded softly
                 {"volume", volumeFor(film.volume)},
                 {"demuxer-lavf-format", format},
                 {"demuxer-max-bytes", "64MiB"},
                 {"demuxer-max-back-bytes", "16MiB"},
                 {"start", film.from > 0 && !m_round ? QByteArray::number(film.from, 'f', 3) : "none"},
                 {"end", film.to > 0 && !m_round ? QByteArray::number(film.to, 'f', 3) : "none"},
                 // Rounds are a list of the film and of nothing else, which was made here.
                 {"demuxer", m_round ? "" : "lavf"},
                 {"access-references", m_round ? "yes" : "no"},
                 {"vd-queue-enable", "yes"}, // decoded ahead: over the end of a round, and when others work
                 {"vd-queue-max-samples", "12"},
                 {"vd-queue-max-bytes", "128MiB"},
                 {"keepaspect", film.fit == PictureFit::Stretch ? "no" : "yes"}});
    if (!m_mpv) {
        fail(tr("films cannot be played on this computer"));
        return;
    }
    if (!m_pictures.attach(m_mpv.get())) {
        fail(tr("films cannot be played on this computer"));
        return;
    }
    mpv_set_wakeup_callback(
        m_mpv.get(),
        [](void* decoder) {
            QMetaObject::invokeMethod(static_cast<FilmDecoder*>(decoder), &FilmDecoder::readEvents,
                                      Qt::QueuedConnection);
        },
        this);
    mpv_hook_add(m_mpv.get(), 0, "on_preloaded", 0);
    mpv_observe_property(m_mpv.get(), 0, "pause", MPV_FORMAT_FLAG);
    mpv_observe_property(m_mpv.get(), 0, "eof-reached", MPV_FORMAT_FLAG);
    const QByteArray name = m_round ? m_round->address(path) : path;
    const char* command[]{"loadfile", name.constData(), nullptr};
    if (mpv_command_async(m_mpv.get(), 0, command) < 0)
        fail(tr("the file cannot be opened"));
}

/// libmpv's volume is the cube root of the amplitude.
QByteArray FilmDecoder::volumeFor(double percent) const {
    return QByteArray::number(percent * std::cbrt(std::pow(10, m_open.film.gain / 20)), 'f', 1);
}

double FilmDecoder::numberOf(const char* property) const {
    double value = 0;
    const bool isKnown = m_mpv && mpv_get_property(m_mpv.get(), property, MPV_FORMAT_DOUBLE, &value) >= 0;
    return isKnown && std::isfinite(value) ? std::clamp(value, 0.0, kLongestFilm)
                                           : 0; // nothing asked for is more
}

QByteArray FilmDecoder::textOf(const char* property) const {
    char* text = m_mpv ? mpv_get_property_string(m_mpv.get(), property) : nullptr;
    QByteArray copy(text);
    mpv_free(text);
    return copy;
}

void FilmDecoder::set(const char* property, const QByteArray& value) {
    if (m_mpv)
        mpv_set_property_string(m_mpv.get(), property, value.constData());
}

/// The first one of a type ("video", "audio"), chosen or not; -1 when there is none.
int FilmDecoder::trackOf(const char* type) const {
    const int tracks = int(numberOf("track-list/count"));
    for (int i = 0; i < tracks; ++i)
        if (textOf(trackProperty(i, "type").constData()) == type)
            return i;
    return -1;
}

/// Before anything is decoded, so that no picture comes without its filters.
void FilmDecoder::opened() {
    const int track = trackOf("video");
    if (track < 0) {
        fail(tr("there are no pictures in it"));
        return;
    }
    const auto number = [&](const char* name) {
        return int(numberOf(trackProperty(track, name).constData()));
    };
    m_traits.size = {number("demux-w"), number("demux-h")};
    m_traits.rotation = (number("demux-rotation") % 360 + 360) % 360;
    if (m_traits.size.width() > FilmBoard::kLongestSide || m_traits.size.height() > FilmBoard::kLongestSide) {
        fail(tr("its pictures are too large: %1 \u00d7 %2")
                 .arg(m_traits.size.width())
                 .arg(m_traits.size.height()));
        return;
    }
    const double rate = numberOf(trackProperty(track, "demux-fps").constData());
    if (double(m_traits.size.width()) * m_traits.size.height() * rate > kHeavy) // one core is left to others
        set("vd-lavc-threads", QByteArray::number(std::max(1, QThread::idealThreadCount() - 1)));
    showForcedSubtitles();
    setFilters();
}

/// Those that a file marks as meant to be read, whatever is chosen.
void FilmDecoder::showForcedSubtitles() {
    const int tracks = int(numberOf("track-list/count"));
    for (int i = 0; i < tracks; ++i)
        if (textOf(trackProperty(i, "type").constData()) == "sub" &&
            textOf(trackProperty(i, "forced").constData()) == "yes") {
            set("sid", textOf(trackProperty(i, "id").constData()));
            return;
        }
}

void FilmDecoder::setFilters() {
    if (m_stands.to <= 0)
        m_stands.to = m_round ? m_open.film.from + m_round->seconds : numberOf("duration");
    const auto setOnce = [this](const char* option, QByteArray& last, const QByteArray& filters) {
        if (std::exchange(last, filters) != filters)
            set(option, filters);
    };
    setOnce("vf", m_pictureFilters, filmFilters(m_traits, m_open.film, m_stands.to));
    setOnce("af", m_soundFilters, soundFilters(m_open.film, m_stands.to));
}

/// The file is open, and no picture of it was decoded yet.
void FilmDecoder::loaded() {
    if (!m_stands.problem.isEmpty())
        return;
    m_stands.isOpen = true;
    m_stands.hasSound = trackOf("audio") >= 0;
    setFilters(); // its length may be known only now
    if (m_open.at > m_open.film.from)
        steer({{}, message::SteerFilm::What::Seek, m_open.at});
    m_pictures.start();
    tell();
}

/// Not on the thread of the pictures: libmpv may wait for that one while it answers.
void FilmDecoder::look() {
    const FilmTraits before = m_traits;
    const QByteArray light = textOf("video-params/gamma");
    m_traits.isHdr = m_traits.isHdr || light == "pq" || light == "hlg";
    m_traits.isInterlaced = m_traits.isInterlaced || textOf("video-frame-info/interlaced") == "yes";
    if (m_traits != before) { // what was decoded so far lacks a filter; this is called again
        setFilters();
        return;
    }
    const bool isSeeThrough = !textOf("video-params/alpha").isEmpty();
    m_stands.size = {int(numberOf("dwidth")), int(numberOf("dheight"))};
    const QSize shown = sizeOfPictures(m_stands.size);
    set("sws-scaler", shown.width() > m_stands.size.width() ? "bicubic" : "bilinear"); // sharp, or quick
    m_pictures.setShape({shown, isSeeThrough ? FilmBoard::Alpha::Straight : FilmBoard::Alpha::Opaque});
}

/// As large as it is shown, in the shape of the film.
QSize FilmDecoder::sizeOfPictures(QSize film) const {
    if (film.isEmpty() || m_open.film.fit == PictureFit::Stretch)
        return film.isEmpty() ? QSize() : m_open.shown;
    const QSize whole = film.scaled(m_open.shown, Qt::KeepAspectRatio).expandedTo(kSmallest);
    const QSize filling = film.scaled(m_open.shown, Qt::KeepAspectRatioByExpanding);
    return m_open.film.fit == PictureFit::Fill && m_pictures.hasRoomFor(filling) ? filling : whole;
}

void FilmDecoder::steer(const message::SteerFilm& order) {
    using What = message::SteerFilm::What;
    switch (order.what) {
    case What::Play:
        if (std::exchange(m_stands.isOver, false) && m_stands.isPaused)
            steer({{}, What::Seek, m_open.film.from});
        set("pause", "no");
        return;
    case What::Pause:
        set("pause", "yes");
        return;
    case What::Seek: {
        if (!m_stands.isOpen) { // it opens there
            m_open.at = order.value;
            return;
        }
        const double latest = m_stands.to > 0 ? m_stands.to - kAtTheEnd : order.value;
        const double at = std::max(m_open.film.from, std::min(order.value, latest));
        const QByteArray to = QByteArray::number(m_round ? at - m_open.film.from : at, 'f', 3);
        const char* command[]{"seek", to.constData(), "absolute+exact", nullptr};
        if (m_mpv)
            mpv_command_async(m_mpv.get(), 0, command);
        m_stands.isOver = false;
        return;
    }
    case What::Volume:
        m_fade.stop();
        m_loudness = m_stands.volume = std::clamp(int(order.value), 0, 100);
        set("volume", volumeFor(m_loudness));
        tell();
        return;
    case What::Device:
        set("audio-device", order.device.isEmpty() ? "auto" : order.device.toUtf8());
        return;
    case What::FadeOut:
        m_fadeStep = order.value > kFadeStepMs ? m_loudness * kFadeStepMs / order.value : m_loudness;
        m_fade.start();
        return;
    }
}

void FilmDecoder::stepFade() {
    m_loudness = std::max(0.0, m_loudness - m_fadeStep);
    set("volume", volumeFor(m_loudness));
    if (m_loudness <= 0)
        m_fade.stop();
}

void FilmDecoder::readEvents() {
    while (m_mpv) {
        const mpv_event* event = mpv_wait_event(m_mpv.get(), 0);
        if (event->event_id == MPV_EVENT_NONE)
            return;
        handle(*event);
    }
}

void FilmDecoder::handle(const mpv_event& event) {
    switch (event.event_id) {
    case MPV_EVENT_HOOK:
        opened();
        mpv_hook_continue(m_mpv.get(), static_cast<const mpv_event_hook*>(event.data)->id);
        return;
    case MPV_EVENT_FILE_LOADED:
        loaded();
        return;
    case MPV_EVENT_VIDEO_RECONFIG:
        look();
        tell();
        return;
    case MPV_EVENT_PLAYBACK_RESTART: // a seek has come to its end
        tell();
        return;
    case MPV_EVENT_END_FILE: {
        const auto* end = static_cast<const mpv_event_end_file*>(event.data);
        if (end->reason == MPV_END_FILE_REASON_ERROR)
            fail(tr("it cannot be played: %1").arg(QString::fromUtf8(mpv_error_string(end->error))));
        return;
    }
    case MPV_EVENT_PROPERTY_CHANGE: {
        const auto* property = static_cast<const mpv_event_property*>(event.data);
        if (property->format != MPV_FORMAT_FLAG)
            return;
        const bool isSet = *static_cast<const int*>(property->data) != 0;
        if (qstrcmp(property->name, "pause") == 0)
            m_stands.isPaused = isSet;
        else
            m_stands.isOver = isSet;
        if (m_stands.isPaused)
            m_ticks.stop();
        else
            m_ticks.start();
        if (m_stands.isOpen)
            tell();
        return;
    }
    default:
        return;
    }
}

void FilmDecoder::fail(const QString& problem) {
    m_stands.problem = problem;
    m_ticks.stop();
    const char* stop[]{"stop", nullptr};
    if (m_mpv)
        mpv_command_async(m_mpv.get(), 0, stop);
    Q_EMIT told(m_stands);
}

void FilmDecoder::tell() {
    if (m_stands.isOpen)
        m_stands.position = m_round ? m_open.film.from + std::fmod(numberOf("time-pos"), m_round->seconds)
                                    : numberOf("time-pos");
    if (m_stands.isOver)
        m_stands.position = m_stands.to;
    Q_EMIT told(m_stands);
}

} // namespace mivanta

#include "moc_FilmDecoder.cpp"
