// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>
#include <QProcess>
#include <QStringList>
#include <cmath>

namespace mivanta {

/// A film for tests: each of its pictures carries its number as a row of black and white blocks across the
/// upper half; the lower half is of one colour. A beep of 100 ms begins with every picture whose number is a
/// multiple of the rate, so with every second.
struct TestFilm {
    QSize size{320, 180};
    int rate = 25; ///< pictures a second
    int pictures = 50;
    QRgb colour = 0xff204060;
    bool hasSound = true;
    QStringList encoder{QStringLiteral("-c:v"),      QStringLiteral("libx264"),  QStringLiteral("-preset"),
                        QStringLiteral("ultrafast"), QStringLiteral("-pix_fmt"), QStringLiteral("yuv420p"),
                        QStringLiteral("-c:a"),      QStringLiteral("aac")};

    static constexpr int kBits = 12;
};

/// Which of its pictures this is, at any size; -1 when it is none of them.
inline int numberOnPicture(const QImage& picture) {
    if (picture.isNull())
        return -1;
    int number = 0;
    for (int bit = 0; bit < TestFilm::kBits; ++bit) {
        const int x = (2 * bit + 1) * picture.width() / (2 * TestFilm::kBits);
        const int grey = qGray(picture.pixel(x, picture.height() / 4));
        if (grey > 80 && grey < 175)
            return -1;
        number = number << 1 | (grey >= 175 ? 1 : 0);
    }
    return number;
}

inline QImage pictureOfFilm(const TestFilm& film, int number) {
    QImage picture(film.size, QImage::Format_RGB32);
    picture.fill(film.colour);
    for (int y = 0; y < picture.height() / 2; ++y) {
        auto* line = reinterpret_cast<QRgb*>(picture.scanLine(y));
        for (int x = 0; x < picture.width(); ++x) {
            const int bit = TestFilm::kBits - 1 - x * TestFilm::kBits / picture.width();
            line[x] = number >> bit & 1 ? 0xffffffff : 0xff000000;
        }
    }
    return picture;
}

/// Made by ffmpeg; false when that fails.
inline bool makeFilm(const QString& path, const TestFilm& film = {}) {
    const QString size = QStringLiteral("%1x%2").arg(film.size.width()).arg(film.size.height());
    QStringList arguments{QStringLiteral("-v"),   QStringLiteral("error"),    QStringLiteral("-y"),
                          QStringLiteral("-f"),   QStringLiteral("rawvideo"), QStringLiteral("-pix_fmt"),
                          QStringLiteral("bgr0"), QStringLiteral("-s"),       size,
                          QStringLiteral("-r"),   QString::number(film.rate), QStringLiteral("-i"),
                          QStringLiteral("-")};
    if (film.hasSound)
        arguments << QStringLiteral("-f") << QStringLiteral("lavfi") << QStringLiteral("-t")
                  << QString::number(double(film.pictures) / film.rate) << QStringLiteral("-i")
                  << QStringLiteral("sine=1000:r=48000,volume='if(lt(mod(t,1),0.1),1,0)':eval=frame");
    QProcess ffmpeg;
    ffmpeg.setProcessChannelMode(QProcess::ForwardedChannels);
    ffmpeg.start(QStringLiteral("ffmpeg"), arguments + film.encoder + QStringList{path});
    if (!ffmpeg.waitForStarted())
        return false;
    for (int i = 0; i < film.pictures; ++i) {
        const QImage picture = pictureOfFilm(film, i);
        ffmpeg.write(reinterpret_cast<const char*>(picture.constBits()), picture.sizeInBytes());
        while (ffmpeg.bytesToWrite() > 8'000'000 && ffmpeg.waitForBytesWritten())
            ;
    }
    ffmpeg.closeWriteChannel();
    return ffmpeg.waitForFinished(120'000) && ffmpeg.exitCode() == 0;
}

} // namespace mivanta
