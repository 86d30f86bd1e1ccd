// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/LookAhead.h"
#include "core/base/Said.h"
#include <QSet>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString ago(int days) {
    if (days == 0)
        return Said::tr("the same day");
    if (days < 14)
        return days == 1 ? Said::tr("the day before") : Said::tr("%n days before", nullptr, days);
    return Said::tr("%n weeks before", nullptr, days / 7);
}

} // namespace

QStringList LookAhead::facts() const {
    QStringList result;
    if (!withoutLicence.isEmpty())
        result << Said::tr("%n songs without licence number", nullptr, Said::n(withoutLicence.size()));
    if (!withoutCredit.isEmpty())
        result << Said::tr("%n songs without credit", nullptr, Said::n(withoutCredit.size()));
    if (!sungLately.empty())
        result << Said::tr("%n songs sung lately", nullptr, Said::n(sungLately.size()));
    return result;
}

QString LookAhead::details() const {
    QStringList lines;
    if (!withoutLicence.isEmpty())
        lines << Said::tr("Without licence number: %1").arg(withoutLicence.join(u", "));
    if (!withoutCredit.isEmpty())
        lines << Said::tr("Without author or copyright: %1").arg(withoutCredit.join(u", "));
    for (const SungLately& song : sungLately)
        lines << Said::tr("%1 was sung %2").arg(song.title, ago(song.days));
    return lines.join(u'\n');
}

LookAhead lookAheadOf(const Service& service, const QHash<SongId, QDate>& lastSung, QDate on) {
    LookAhead result;
    QSet<SongId> seen;
    for (const Item& item : service.items) {
        const Song* song = item.isRun() ? item.song() : nullptr;
        if (!song || seen.contains(song->id))
            continue;
        seen.insert(song->id);
        if (song->licenceNumber.isEmpty())
            result.withoutLicence << song->title;
        if (song->authors.empty() && song->copyright.isEmpty())
            result.withoutCredit << song->title;
        const QDate last = lastSung.value(song->id);
        if (const int days = last.isValid() ? int(last.daysTo(on)) : -1; days >= 0 && days <= kLately)
            result.sungLately.push_back({song->title, days});
    }
    return result;
}

} // namespace mivanta
