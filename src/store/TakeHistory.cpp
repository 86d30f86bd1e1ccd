// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/TakeHistory.h"
#include "formats/Csv.h"
#include "store/Database.h"

namespace mivanta {

using namespace Qt::StringLiterals;

Result<void> TakeHistory::note(const TakeNote& take) {
    return m_database.change(u"INSERT INTO take(service, service_title, at, item, subject, title, part)"
                             " VALUES (?, ?, ?, ?, ?, ?, ?)"_s,
                             {take.service.text(), take.serviceTitle, take.at.toMSecsSinceEpoch(),
                              take.item.text(), take.subject, take.title, take.part});
}

Result<void> TakeHistory::note(const ItemTime& time) {
    return m_database.change(u"INSERT INTO item_time(subject, began_at, seconds) VALUES (?, ?, ?)"_s,
                             {time.subject, time.began.toMSecsSinceEpoch(), time.seconds});
}

Result<std::vector<TakeNote>> TakeHistory::since(const QDate& day) {
    return m_database.all(u"SELECT service, service_title, at, item, subject, title, part FROM take"
                          " WHERE at >= ? ORDER BY at, rowid"_s,
                          {day.startOfDay().toMSecsSinceEpoch()}, [](const Row& row) {
                              return TakeNote{ServiceId::fromText(row.text(0)),
                                              row.text(1),
                                              QDateTime::fromMSecsSinceEpoch(row.number(2)),
                                              ItemId::fromText(row.text(3)),
                                              row.text(4),
                                              row.text(5),
                                              row.text(6)};
                          });
}

Result<QHash<QString, std::vector<int>>> TakeHistory::lengths(int most) {
    QHash<QString, std::vector<int>> lengths;
    auto done = m_database.read(u"SELECT subject, seconds FROM item_time ORDER BY subject, began_at DESC"_s,
                                {}, [&](const Row& row) {
                                    std::vector<int>& all = lengths[row.text(0)];
                                    if (int(all.size()) < most)
                                        all.push_back(int(row.number(1)));
                                    return true;
                                });
    if (!done)
        return tl::unexpected(done.error());
    return lengths;
}

QByteArray takesToCsv(const std::vector<TakeNote>& takes) {
    QString text = csvRow({u"service"_s, u"date"_s, u"time"_s, u"title"_s, u"part"_s, u"seconds"_s});
    for (size_t i = 0; i < takes.size(); ++i) {
        const TakeNote& take = takes[i];
        const bool goesOn = i + 1 < takes.size() && takes[i + 1].service == take.service;
        text += csvRow({take.serviceTitle, take.at.date().toString(Qt::ISODate),
                        take.at.time().toString(u"HH:mm:ss"_s), take.title, take.part,
                        goesOn ? QString::number(take.at.secsTo(takes[i + 1].at)) : QString()});
    }
    return text.toUtf8();
}

} // namespace mivanta
