// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Said.h"

namespace mivanta {

namespace {

/// `last` joins two texts, as "%1 and %2" does; before them stand the others.
QString joinedBy(const QString& last, QStringList texts) {
    if (texts.size() < 2)
        return texts.join(QString());
    const QString end = texts.takeLast();
    return last.arg(texts.join(QStringLiteral(", ")), end);
}

} // namespace

QString Said::all(const QStringList& texts) {
    //: the end of a list: "a, b and c"
    return joinedBy(tr("%1 and %2"), texts);
}

QString Said::any(const QStringList& texts) {
    //: the end of a list: "a, b or c"
    return joinedBy(tr("%1 or %2"), texts);
}

} // namespace mivanta
