// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/FileName.h"
#include "core/base/Said.h"
#include <QRegularExpression>

namespace mivanta {

namespace {
constexpr qsizetype kLongestName = 120; ///< letters; file systems take 255 bytes
}

QString fileNameOf(const QString& title) {
    static const QRegularExpression refused(QStringLiteral("[/\\\\:*?\"<>|\\x00-\\x1f]+"));
    static const QRegularExpression hiding(QStringLiteral("^[. ]+"));
    QString name = title;
    name =
        name.replace(refused, QStringLiteral(" ")).simplified().remove(hiding).left(kLongestName).trimmed();
    return name.isEmpty() ? Said::tr("Service") : name;
}

} // namespace mivanta
