// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/UsualLayout.h"
#include "formats/PassageJson.h"
#include "store/SafeFiles.h"
#include <QFile>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

PassageLayout loadUsualLayout(const QString& libraryFolder) {
    QFile file(libraryFolder + u"/passages.json"_s);
    if (!file.open(QIODevice::ReadOnly))
        return {};
    return layoutFromJson(QJsonDocument::fromJson(file.readAll()).object());
}

Result<void> saveUsualLayout(const QString& libraryFolder, const PassageLayout& layout) {
    return writeSafely(libraryFolder + u"/passages.json"_s, QJsonDocument(layoutToJson(layout)).toJson());
}

} // namespace mivanta
