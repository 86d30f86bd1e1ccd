// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/RunSettingsJson.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "core/order/ItemPlan.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

QByteArray runSettingsToJson(const RunSettings& settings) {
    return QJsonDocument(QJsonObject{
                             {u"houseCard"_s, QJsonObject{{u"words"_s, settings.houseCard.words},
                                                          {u"picture"_s, settings.houseCard.picture}}},
                             {u"callOuts"_s, QJsonArray::fromStringList(settings.callOuts)},
                             {u"callOutSeconds"_s, settings.callOutSeconds},
                             {u"takeOpensCurtain"_s, settings.takeOpensCurtain},
                             {u"clickTakes"_s, settings.clickTakes},
                             {u"soundDevice"_s, settings.soundDevice},
                             {u"recordingFolder"_s, settings.recordingFolder},
                         })
        .toJson();
}

Result<RunSettings> runSettingsFromJson(const QByteArray& bytes, const QString& where) {
    const QJsonDocument document = QJsonDocument::fromJson(bytes);
    if (!document.isObject())
        return failure(Said::tr("these are no settings for running"), where,
                       Said::tr("Remove the file; the usual settings are taken then."));
    const QJsonObject json = document.object();
    RunSettings settings;
    settings.houseCard = {json[u"houseCard"_s][u"words"_s].toString(),
                          trustedMediaName(json[u"houseCard"_s][u"picture"_s].toString())};
    for (const QJsonValue& text : json[u"callOuts"_s].toArray())
        if (const QString message = text.toString().trimmed(); !message.isEmpty())
            settings.callOuts << message;
    settings.callOutSeconds = std::clamp(json[u"callOutSeconds"_s].toInt(), 0, kLongestItem);
    settings.takeOpensCurtain = json[u"takeOpensCurtain"_s].toBool();
    settings.clickTakes = json[u"clickTakes"_s].toBool();
    settings.soundDevice = json[u"soundDevice"_s].toString();
    settings.recordingFolder = json[u"recordingFolder"_s].toString();
    return settings;
}

} // namespace mivanta
