// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/PathKey.h"
#include <QCryptographicHash>
#include <QDir>
#include <QFileInfo>

namespace mivanta {

QString keyOfFolder(const QString& folder) {
    constexpr int kLetters = 12;
    QString whole = QFileInfo(folder).canonicalFilePath();
    if (whole.isEmpty())
        whole = QDir(folder).absolutePath();
    return QString::fromLatin1(
        QCryptographicHash::hash(whole.toUtf8(), QCryptographicHash::Sha1).toHex().left(kLetters));
}

} // namespace mivanta
