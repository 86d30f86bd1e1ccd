// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/ServiceCommands.h"
#include "core/timing/Timetable.h"
#include "store/ServiceStore.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QJsonObject toJson(const Service& service, const Timetable& table) {
    QJsonArray items;
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        const TimetableRow& row = table.rows[i];
        QJsonObject json{{u"title"_s, item.title()}, {u"seconds"_s, row.seconds}};
        if (item.isHeading())
            json.insert(u"heading"_s, true);
        if (row.begins.isValid() && !item.plan.skipped)
            json.insert(u"begins"_s, row.begins.toString(Qt::ISODate));
        if (row.isGuessed)
            json.insert(u"guessed"_s, true);
        if (row.slack)
            json.insert(u"slack"_s, *row.slack);
        if (!item.plan.leader.isEmpty())
            json.insert(u"leader"_s, item.plan.leader);
        if (!item.plan.note.isEmpty())
            json.insert(u"note"_s, item.plan.note);
        if (item.plan.skipped)
            json.insert(u"skipped"_s, true);
        items.append(json);
    }
    QJsonObject json{{u"title"_s, service.title},
                     {u"place"_s, service.place},
                     {u"items"_s, items},
                     {u"seconds"_s, table.seconds}};
    if (table.ends.isValid())
        json.insert(u"ends"_s, table.ends.toString(Qt::ISODate));
    return json;
}

QString lineOf(const Item& item, const TimetableRow& row) {
    if (item.isHeading())
        return u"# %1 (%2)\n"_s.arg(item.title(), durationText(row.seconds));
    QStringList facts;
    if (item.plan.skipped)
        facts << u"not today"_s;
    else
        facts << (row.isGuessed ? u"about "_s : QString()) + durationText(row.seconds);
    if (row.slack && *row.slack != 0)
        facts << (*row.slack > 0 ? u"%1 free before it"_s : u"%1 over before it"_s)
                     .arg(durationText(std::abs(*row.slack)));
    facts << item.plan.leader << item.plan.note;
    facts.removeAll(QString());
    const QString time =
        row.begins.isValid() && !item.plan.skipped ? row.begins.time().toString(u"HH:mm"_s) : u"     "_s;
    return u"%1  %2 \u00b7 %3\n"_s.arg(time, item.title(), facts.join(u" \u00b7 "_s));
}

} // namespace

Result<int> runServiceShow(const Arguments& arguments, QTextStream& out) {
    const auto opened = openService(arguments.words[1]);
    if (!opened)
        return tl::unexpected(opened.error());
    const Service& service = opened->service;
    const Timetable table = timetableOf(service);
    if (arguments.json) {
        out << QJsonDocument(toJson(service, table)).toJson();
        return 0;
    }
    out << service.title << '\n';
    for (size_t i = 0; i < service.items.size(); ++i)
        out << lineOf(service.items[i], table.rows[i]);
    if (table.ends.isValid())
        out << u"ends about %1\n"_s.arg(table.ends.time().toString(u"HH:mm"_s));
    return 0;
}

} // namespace mivanta
