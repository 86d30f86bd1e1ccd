// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/LookAhead.h"
#include <QSet>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString ago(int days) {
    if (days == 0)
        return u"the same day"_s;
    if (days < 14)
        return days == 1 ? u"the day before"_s : u"%1 days before"_s.arg(days);
    return u"%1 weeks before"_s.arg(days / 7);
}

QString songs(qsizetype count) {
    return count == 1 ? u"1 song"_s : u"%1 songs"_s.arg(count);
}

} // namespace

QStringList LookAhead::facts() const {
    QStringList result;
    if (!withoutLicence.isEmpty())
        result << songs(withoutLicence.size()) + u" without licence number"_s;
    if (!withoutCredit.isEmpty())
        result << songs(withoutCredit.size()) + u" without credit"_s;
    if (!sungLately.empty())
        result << songs(qsizetype(sungLately.size())) + u" sung lately"_s;
    return result;
}

QString LookAhead::details() const {
    QStringList lines;
    if (!withoutLicence.isEmpty())
        lines << u"Without licence number: "_s + withoutLicence.join(u", ");
    if (!withoutCredit.isEmpty())
        lines << u"Without author or copyright: "_s + withoutCredit.join(u", ");
    for (const SungLately& song : sungLately)
        lines << u"%1 was sung %2"_s.arg(song.title, ago(song.days));
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
