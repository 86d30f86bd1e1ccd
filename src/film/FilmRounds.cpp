// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/FilmRounds.h"
#include <QTime>
#include <algorithm>
#include <cmath>
#include <memory>

extern "C" {
#include <libavformat/avformat.h>
}

namespace mivanta {

namespace {

constexpr double kShortest = 0.5;       // seconds
constexpr double kAllRounds = 2 * 3600; // seconds; after them it is seen once that the film goes round
constexpr double kMostRounds = 1000;

struct CloseInput {
    void operator()(AVFormatContext* input) const { avformat_close_input(&input); }
};
using Input = std::unique_ptr<AVFormatContext, CloseInput>;

Input open(const QByteArray& path, const QByteArray& format) {
    av_log_set_level(AV_LOG_QUIET);
    AVFormatContext* input = avformat_alloc_context();
    if (!input)
        return nullptr;
    AVDictionary* options = nullptr;
    av_dict_set(&options, "protocol_whitelist", "file", 0);
    const QByteArray address = "file:" + path;
    const int failed =
        avformat_open_input(&input, address.constData(), av_find_input_format(format.constData()), &options);
    av_dict_free(&options);
    return Input(failed < 0 ? nullptr : input);
}

/// Where the pictures of a stream end, by the file's own clock.
std::optional<double> endOf(const AVStream& stream) {
    if (stream.duration > 0) {
        const auto start = stream.start_time != AV_NOPTS_VALUE ? stream.start_time : 0;
        return double(start + stream.duration) * av_q2d(stream.time_base);
    }
    // Matroska: "00:00:03.066000000"
    const AVDictionaryEntry* tag = av_dict_get(stream.metadata, "DURATION", nullptr, 0);
    const QTime time =
        tag ? QTime::fromString(QString::fromLatin1(tag->value).left(12), Qt::ISODateWithMs) : QTime();
    if (!time.isValid())
        return {};
    return QTime(0, 0).msecsTo(time) / 1000.0;
}

double startOf(const AVFormatContext& input) {
    std::optional<double> earliest;
    for (unsigned i = 0; i < input.nb_streams; ++i)
        if (const AVStream& stream = *input.streams[i]; stream.start_time != AV_NOPTS_VALUE) {
            const double start = double(stream.start_time) * av_q2d(stream.time_base);
            earliest = std::min(earliest.value_or(start), start);
        }
    return std::max(0.0, earliest.value_or(0));
}

QByteArray microseconds(double value) {
    return QByteArray::number(value, 'f', 6);
}

} // namespace

QByteArray FilmRound::address(const QByteArray& path) const {
    const QByteArray part = '%' + QByteArray::number(path.size()) + '%' + path +
                            ",start=" + microseconds(begin) + ",length=" + microseconds(seconds) +
                            ';'; // for machines
    return "edl://" + part.repeated(int(std::clamp(std::ceil(kAllRounds / seconds), 2.0, kMostRounds)));
}

std::optional<FilmRound> roundOf(const FilmPlay& film, const QByteArray& path, const QByteArray& format) {
    if (film.fadeIn > 0 || film.fadeOut > 0)
        return {};
    const Input input = open(path, format);
    if (!input)
        return {};
    const int found = av_find_best_stream(input.get(), AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
    const auto end = found >= 0 ? endOf(*input->streams[found]) : std::nullopt;
    if (!end)
        return {};
    const double start = startOf(*input);
    const double begin = start + film.from;
    const double to = film.to > 0 ? std::min(start + film.to, *end) : *end;
    const bool isPlausible =
        to - begin >= kShortest && to - begin <= kLongestFilm && begin <= 2 * kLongestFilm;
    return isPlausible ? std::optional(FilmRound{begin, to - begin}) : std::nullopt;
}

} // namespace mivanta
