// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/UnfinishedFolder.h"
#include <QDateTime>
#include <QDir>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr auto kUnfinished = "unpacking-";

QString swept(const QString& folder) {
    constexpr qint64 kDay = 24 * 60 * 60;
    const auto left =
        QDir(folder).entryInfoList({QLatin1String(kUnfinished) + u"*"_s}, QDir::Dirs | QDir::NoSymLinks);
    for (const QFileInfo& unfinished : left)
        if (unfinished.lastModified().secsTo(QDateTime::currentDateTime()) > kDay)
            QDir(unfinished.filePath()).removeRecursively();
    return folder;
}

} // namespace

UnfinishedFolder::UnfinishedFolder(const QString& around)
    : m_folder(swept(around) + u'/' + QLatin1String(kUnfinished) + u"XXXXXX"_s) {}

} // namespace mivanta
