// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/KeptLoop.h"
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

QJsonObject keptLoopToJson(const KeptLoop& kept) {
    QJsonObject json{{u"loop"_s, kept.loop.text()},
                     {u"begun"_s, kept.begun.toString(Qt::ISODateWithMs)},
                     {u"at"_s, kept.at.toString(Qt::ISODateWithMs)},
                     {u"item"_s, kept.still.item.text()},
                     {u"still"_s, kept.still.still},
                     {u"round"_s, kept.round},
                     {u"shown"_s, kept.shown},
                     {u"isPaused"_s, kept.isPaused},
                     {u"isOver"_s, kept.isOver},
                     {u"isLonger"_s, kept.isLonger}};
    if (kept.lastRound)
        json.insert(u"lastRound"_s, *kept.lastRound);
    return json;
}

std::optional<KeptLoop> keptLoopFromJson(const QJsonObject& json) {
    KeptLoop kept;
    kept.loop = ItemId::fromText(json[u"loop"_s].toString());
    kept.begun = QDateTime::fromString(json[u"begun"_s].toString(), Qt::ISODateWithMs);
    kept.at = QDateTime::fromString(json[u"at"_s].toString(), Qt::ISODateWithMs);
    if (kept.loop.isNull() || !kept.begun.isValid() || !kept.at.isValid())
        return std::nullopt;
    kept.still = {ItemId::fromText(json[u"item"_s].toString()), json[u"still"_s].toInt()};
    kept.round = std::clamp(json[u"round"_s].toInt(), 0, kMostLoopRounds);
    kept.shown = std::clamp<qint64>(json[u"shown"_s].toInteger(), 0, kLongestLoop);
    kept.isPaused = json[u"isPaused"_s].toBool();
    kept.isOver = json[u"isOver"_s].toBool();
    kept.isLonger = json[u"isLonger"_s].toBool();
    if (json.contains(u"lastRound"_s))
        kept.lastRound = std::clamp(json[u"lastRound"_s].toInt(), 0, kMostLoopRounds);
    return kept;
}

} // namespace mivanta
