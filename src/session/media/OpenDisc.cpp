// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/OpenDisc.h"
#include "media/DiscRun.h"
#include <QDir>
#include <QFile>
#include <QFileInfo>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {
constexpr int kMostDiscPictures = 300;
constexpr size_t kMostDiscWanted = 12; // a row of moments and some places of the slider
constexpr int kBeforePictures = 1;     // priority
} // namespace

OpenDisc::OpenDisc(QString path, QObject* parent)
    : QObject(parent),
      m_path(std::move(path)),
      m_pictures(kMostDiscPictures) {
    m_worker.run(
        this, [path = m_path] { return lookAtDisc(path); },
        [this](Result<Disc> disc) {
            if (!disc) {
                Q_EMIT failed(disc.error());
                return;
            }
            m_disc = std::move(*disc);
            Q_EMIT opened();
        });
}

OpenDisc::~OpenDisc() {
    *m_isWanted = false; // what is under way ends
    ++*m_excerpt;
}

QImage OpenDisc::picture(int title, double seconds, QSize size) {
    const QString key =
        u"%1/%2/%3x%4"_s.arg(title).arg(seconds, 0, 'f', 2).arg(size.width()).arg(size.height());
    if (const QImage* known = m_pictures.object(key))
        return *known;
    std::erase_if(m_wanted, [&](const Wanted& wanted) { return wanted.key == key; });
    m_wanted.push_back({key, title, seconds, size});
    if (m_wanted.size() > kMostDiscWanted)
        m_wanted.erase(m_wanted.begin());
    makeNext();
    return {};
}

void OpenDisc::makeNext() {
    if (m_isMaking || m_wanted.empty())
        return;
    m_isMaking = true;
    const Wanted wanted = m_wanted.back();
    m_wanted.pop_back();
    m_worker.run(
        this,
        [wanted, path = m_path, isWanted = m_isWanted] {
            return pictureOfDisc(path, wanted.title, wanted.seconds, wanted.size,
                                 [&](double) { return isWanted->load(); });
        },
        [this, wanted](const Result<QImage>& picture) {
            m_isMaking = false;
            m_pictures.insert(wanted.key, new QImage(picture.value_or(QImage())));
            Q_EMIT pictureCame();
            makeNext();
        });
}

void OpenDisc::makeExcerpt(const DiscPart& part) {
    const int number = ++*m_excerpt;
    const QString file = m_folder.filePath(u"%1.mkv"_s.arg(number));
    m_worker.run(
        this,
        [path = m_path, part, file, wanted = m_excerpt, number] {
            return copyFromDisc(path, part, file, [&](double) { return *wanted == number; });
        },
        [this, file, number](const Result<FilmPart>& made) {
            if (number != *m_excerpt) {
                QFile::remove(file);
                return;
            }
            for (const QString& old : QDir(m_folder.path()).entryList(QDir::Files))
                if (m_folder.filePath(old) != file)
                    QFile::remove(m_folder.filePath(old));
            if (made)
                Q_EMIT excerptCame(file, *made);
            else
                Q_EMIT excerptFailed(made.error());
        },
        kBeforePictures);
}

QStringList discDrives() {
    QStringList drives;
    for (const QString& name : QDir(u"/dev"_s).entryList({u"sr?"_s}, QDir::System))
        drives << u"/dev/"_s + name;
    return drives;
}

bool isDiscPath(const QString& path) {
    const QFileInfo info(path);
    if (!info.isDir())
        return QStringList{u"iso"_s, u"img"_s, u"udf"_s}.contains(info.suffix().toLower());
    return QDir(path).dirName().compare(u"VIDEO_TS"_s, Qt::CaseInsensitive) == 0 ||
           !QDir(path).entryList({u"VIDEO_TS"_s}, QDir::Dirs).isEmpty(); // in any case of letters
}

} // namespace mivanta

#include "moc_OpenDisc.cpp"
