// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDir>
#include <QImage>
#include <gtest/gtest.h>

namespace mivanta {

struct Difference {
    double worstShare = 1; ///< share of pixels that differ by more than the tolerance
    QImage picture;        ///< where they do
};

/// Compares channel by channel; edges of letters may differ a little between font libraries.
inline Difference difference(const QImage& left, const QImage& right, int tolerance = 40) {
    if (left.size() != right.size())
        return {};
    const QImage a = left.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    const QImage b = right.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    Difference result{0, QImage(a.size(), QImage::Format_RGB32)};
    qint64 off = 0;
    for (int y = 0; y < a.height(); ++y)
        for (int x = 0; x < a.width(); ++x) {
            const QRgb p = a.pixel(x, y);
            const QRgb q = b.pixel(x, y);
            const int most = std::max({std::abs(qRed(p) - qRed(q)), std::abs(qGreen(p) - qGreen(q)),
                                       std::abs(qBlue(p) - qBlue(q)), std::abs(qAlpha(p) - qAlpha(q))});
            off += most > tolerance;
            result.picture.setPixel(x, y, qRgb(std::min(255, most * 4), 0, 0));
        }
    result.worstShare = double(off) / (double(a.width()) * a.height());
    return result;
}

/// Compares with tests/render/golden/NAME.png. MIVANTA_GOLDEN=write makes the golden pictures anew. On a
/// mismatch the actual picture and the difference are written to tests/render/actual.
inline ::testing::AssertionResult matchesGolden(const QImage& actual, const char* name) {
    const QDir folder(QStringLiteral(MIVANTA_SOURCE_DIR "/tests/render"));
    const QString path = folder.filePath(QStringLiteral("golden/%1.png").arg(QLatin1String(name)));
    if (qEnvironmentVariable("MIVANTA_GOLDEN") == QLatin1String("write")) {
        folder.mkpath(QStringLiteral("golden"));
        return actual.save(path) ? ::testing::AssertionSuccess()
                                 : ::testing::AssertionFailure() << "not written";
    }
    const QImage golden(path);
    if (golden.isNull())
        return ::testing::AssertionFailure() << "there is no golden picture " << path.toStdString();
    const Difference found = difference(actual, golden);
    if (found.worstShare < 0.004)
        return ::testing::AssertionSuccess();
    folder.mkpath(QStringLiteral("actual"));
    actual.save(folder.filePath(QStringLiteral("actual/%1.png").arg(QLatin1String(name))));
    found.picture.save(folder.filePath(QStringLiteral("actual/%1-difference.png").arg(QLatin1String(name))));
    return ::testing::AssertionFailure()
           << found.worstShare * 100 << "% of the pixels differ; see tests/render/actual";
}

#define EXPECT_GOLDEN(image, name) EXPECT_TRUE(matchesGolden(image, name))

} // namespace mivanta
