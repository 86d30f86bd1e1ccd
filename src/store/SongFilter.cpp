// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SongFilter.h"
#include "core/base/Fold.h"
#include <QStringList>

namespace mivanta {

using namespace Qt::StringLiterals;

bool SongFilter::isEmpty() const {
    return *this == SongFilter();
}

std::pair<QString, QVariantList> SongFilter::condition() const {
    QStringList conditions;
    QVariantList values;
    const auto facts = [&](const QString& condition, const QVariant& value) {
        conditions << condition;
        values << value;
    };
    const auto inList = [&](const QString& column, const QString& value) {
        if (!value.isEmpty())
            facts(u"instr(%1, ?) > 0"_s.arg(column), u'\n' + foldedForSearch(value).trimmed() + u'\n');
    };
    inList(u"topic_keys"_s, topic);
    inList(u"book_keys"_s, book);
    if (!language.isEmpty())
        facts(u"language = ?"_s, language);
    if (!key.isEmpty())
        facts(u"key = ?"_s, key);
    if (neverSung)
        conditions << u"NOT EXISTS (SELECT 1 FROM song_use u JOIN song s ON s.id = u.song"
                      " WHERE s.row = song_facts.row)"_s;
    else if (notSungSince.isValid())
        facts(u"NOT EXISTS (SELECT 1 FROM song_use u JOIN song s ON s.id = u.song"
              " WHERE s.row = song_facts.row AND u.day >= ?)"_s,
              notSungSince.toString(Qt::ISODate));
    if (conditions.isEmpty())
        return {};
    return {u"row IN (SELECT row FROM song_facts WHERE "_s + conditions.join(u" AND "_s) + u')', values};
}

} // namespace mivanta
