// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDir>
#include <QImage>
#include <gtest/gtest.h>

namespace mivanta {

struct Difference {
    double share = 1;      ///< of all pixels that differ by more than the tolerance
    double worstShare = 1; ///< of a region's pixels, in the region that differs most
    QRect worst;           ///< that region
    QImage picture;        ///< where they do
};

/// Compares channel by channel, as a whole and by regions: a row of small letters is little of a picture, and
/// all of its region. Edges of letters may differ a little between font libraries.
inline Difference difference(const QImage& left, const QImage& right, int tolerance = 40) {
    constexpr QSize kRegion(48, 16); // about a word of the smallest letters
    if (left.size() != right.size())
        return {};
    const QImage a = left.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    const QImage b = right.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    Difference result{0, 0, {}, QImage(a.size(), QImage::Format_RGB32)};
    qint64 off = 0;
    for (int top = 0; top < a.height(); top += kRegion.height())
        for (int start = 0; start < a.width(); start += kRegion.width()) {
            const QRect region = QRect(QPoint(start, top), kRegion) & a.rect();
            qint64 here = 0;
            for (int y = region.top(); y <= region.bottom(); ++y)
                for (int x = region.left(); x <= region.right(); ++x) {
                    const QRgb p = a.pixel(x, y);
                    const QRgb q = b.pixel(x, y);
                    const int most =
                        std::max({std::abs(qRed(p) - qRed(q)), std::abs(qGreen(p) - qGreen(q)),
                                  std::abs(qBlue(p) - qBlue(q)), std::abs(qAlpha(p) - qAlpha(q))});
                    here += most > tolerance;
                    result.picture.setPixel(x, y, qRgb(std::min(255, most * 4), 0, 0));
                }
            off += here;
            const double share = double(here) / (double(region.width()) * region.height());
            if (share > result.worstShare) {
                result.worstShare = share;
                result.worst = region;
            }
        }
    result.share = double(off) / (double(a.width()) * a.height());
    return result;
}

/// Alike for whoever looks at them: hardly a pixel differs, and nothing is missing anywhere.
inline bool isAlike(const Difference& difference) {
    return difference.share < 0.004 && difference.worstShare < 0.08;
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
    if (isAlike(found))
        return ::testing::AssertionSuccess();
    folder.mkpath(QStringLiteral("actual"));
    actual.save(folder.filePath(QStringLiteral("actual/%1.png").arg(QLatin1String(name))));
    found.picture.save(folder.filePath(QStringLiteral("actual/%1-difference.png").arg(QLatin1String(name))));
    return ::testing::AssertionFailure()
           << found.share * 100 << "% of the pixels differ, " << found.worstShare * 100 << "% at "
           << found.worst.x() << ", " << found.worst.y() << "; see tests/render/actual";
}

#define EXPECT_GOLDEN(image, name) EXPECT_TRUE(matchesGolden(image, name))

} // namespace mivanta
