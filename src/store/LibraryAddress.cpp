// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/LibraryAddress.h"
#include "core/base/PathKey.h"
#include <QDir>
#include <QFileInfo>
#include <QStandardPaths>

namespace mivanta {

using namespace Qt::StringLiterals;

LibraryAddress::LibraryAddress(const QString& folder) : m_folder(folder), m_key(keyOfFolder(folder)) {}

LibraryAddress LibraryAddress::usual() {
    return LibraryAddress(QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) +
                          u"/mivanta/library"_s);
}

LibraryAddress LibraryAddress::made(const QString& folder) {
    const QString absolute = QFileInfo(folder).absoluteFilePath();
    QDir().mkpath(absolute);
    const QString canonical = QFileInfo(absolute).canonicalFilePath();
    return LibraryAddress(canonical.isEmpty() ? absolute : canonical);
}

QString LibraryAddress::pictureCacheFolder() const {
    return QStandardPaths::writableLocation(QStandardPaths::GenericCacheLocation) + u"/mivanta/pictures-"_s +
           m_key;
}

QString LibraryAddress::mediaFolder() const {
    return m_folder + u"/media"_s;
}

QString LibraryAddress::fontsFolder() const {
    return m_folder + u"/fonts"_s;
}

QString LibraryAddress::ownWordsFile() const {
    return m_folder + u"/own-words.txt"_s;
}

} // namespace mivanta
