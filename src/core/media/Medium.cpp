// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/media/Medium.h"
#include "core/base/Said.h"
#include "core/timing/Moment.h"
#include <QLocale>
#include <algorithm>
#include <cmath>

namespace mivanta {

double Medium::length() const {
    const double end = to > 0 ? to : facts ? facts->seconds : 0;
    return std::max(0.0, end - from);
}

QString mediumKindText(MediumKind kind) {
    return kind == MediumKind::Picture ? Said::tr("Picture")
           : kind == MediumKind::Film  ? Said::tr("Film")
                                       : Said::tr("Sound");
}

QString factsText(const Medium& medium) {
    QStringList facts;
    if (!medium.problem.isEmpty())
        facts << Said::tr("cannot be used");
    if (medium.facts && medium.facts->seconds > 0)
        facts << momentText(std::floor(medium.facts->seconds));
    if (medium.facts && !medium.facts->size.isEmpty())
        facts << Said::tr("%1 \u00d7 %2", "px, width and height")
                     .arg(medium.facts->size.width())
                     .arg(medium.facts->size.height());
    if (facts.isEmpty())
        facts << bytesText(medium.bytes);
    return facts.join(QStringLiteral(" \u00b7 "));
}

QString bytesText(qint64 bytes) {
    return QLocale::c().formattedDataSize(bytes, 1, QLocale::DataSizeSIFormat);
}

} // namespace mivanta
