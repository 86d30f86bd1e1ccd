// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/MediumPictures.h"
#include "core/base/MediaName.h"
#include "media/PictureProxies.h"
#include <QCryptographicHash>

namespace mivanta {

namespace {

constexpr int kMostKib = 96 * 1024;
constexpr size_t kMostWanted = 120; // more than a screen full of the smallest

QImage shaped(const QImage& image, QSize size, MediumPictures::Shape shape) {
    if (image.isNull())
        return image;
    if (shape == MediumPictures::Shape::Whole)
        return image.scaled(size, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    const QImage scaled = image.scaled(size, Qt::KeepAspectRatioByExpanding, Qt::SmoothTransformation);
    return scaled.copy((scaled.width() - size.width()) / 2, (scaled.height() - size.height()) / 2,
                       size.width(), size.height());
}

} // namespace

MediumPictures::MediumPictures(QObject* parent) : QObject(parent), m_known(kMostKib) {}

void MediumPictures::setPictures(const QString& folder, const QString& cacheFolder) {
    m_library = std::make_shared<PictureProxies>(folder, cacheFolder);
    m_folders = std::make_shared<PictureProxies>(
        [places = m_places](const QString& name) {
            const QMutexLocker lock(&places->lock);
            return places->paths.value(name);
        },
        cacheFolder);
    m_known.clear();
    Q_EMIT ready();
}

/// One that is changed gets another name, so that no old picture stands for it.
QString MediumPictures::nameFor(const ShownMedium& shown) {
    if (shown.isInLibrary())
        return shown.medium.name;
    const QString facts =
        QStringLiteral("%1\n%2\n%3").arg(shown.filePath()).arg(shown.medium.bytes).arg(shown.changedAt);
    QString name =
        QString::fromLatin1(QCryptographicHash::hash(facts.toUtf8(), QCryptographicHash::Sha256).toHex()) +
        u'.' + mediaSuffix(shown.path);
    const QMutexLocker lock(&m_places->lock);
    m_places->paths.insert(name, shown.filePath());
    return name;
}

QPixmap MediumPictures::get(const ShownMedium& shown, double seconds, QSize size, Shape shape) {
    if (shown.medium.kind == MediumKind::Sound || size.isEmpty() || !m_library)
        return {};
    const QByteArray key = QStringLiteral("%1\n%2\n%3\n%4\n%5x%6 %7")
                               .arg(shown.key())
                               .arg(shown.medium.bytes)
                               .arg(shown.changedAt)
                               .arg(seconds)
                               .arg(size.width())
                               .arg(size.height())
                               .arg(int(shape))
                               .toUtf8();
    if (const QPixmap* known = m_known.object(key))
        return *known;
    if (key == m_making)
        return {};
    const auto at = std::find_if(m_wanted.begin(), m_wanted.end(),
                                 [&](const Wanted& wanted) { return wanted.key == key; });
    if (at != m_wanted.end()) {
        std::rotate(at, at + 1, m_wanted.end()); // asked for again
        return {};
    }
    if (m_wanted.size() >= kMostWanted)
        m_wanted.erase(m_wanted.begin());
    const QString name = nameFor(shown);
    m_wanted.push_back({key, shown.medium.kind == MediumKind::Film ? filmMomentName(name, seconds) : name,
                        size, shape, !shown.isInLibrary()});
    makeNext();
    return {};
}

void MediumPictures::makeNext() {
    if (!m_making.isEmpty() || m_wanted.empty())
        return;
    const Wanted wanted = m_wanted.back();
    m_making = wanted.key;
    m_wanted.pop_back();
    m_worker.run(
        this,
        [proxies = wanted.isOfFolder ? m_folders : m_library, wanted] {
            return shaped(proxies->picture(wanted.name, wanted.size), wanted.size, wanted.shape);
        },
        [this, key = wanted.key](const QImage& image) {
            m_making.clear();
            // One that cannot be shown is remembered, too, and not asked for again and again.
            m_known.insert(key, new QPixmap(QPixmap::fromImage(image)),
                           std::max(1, int(image.sizeInBytes() / 1024)));
            Q_EMIT ready();
            makeNext();
        });
}

} // namespace mivanta

#include "moc_MediumPictures.cpp"
