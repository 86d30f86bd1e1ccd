// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reader.h"
#include "core/base/MediaName.h"
#include "core/order/ServiceBounds.h"
#include "core/order/UsedMedia.h"
#include "core/run/Output.h"
#include "formats/OrderList.h"
#include "formats/OutputsJson.h"
#include "formats/RunSettingsJson.h"
#include "formats/ServiceFile.h"
#include "formats/ThemeFile.h"
#include "formats/ThemeJson.h"
#include "formats/Zip.h"
#include "support/Passages.h"
#include "support/Samples.h"
#include <QJsonDocument>

namespace mivanta::fuzz {

namespace {

using namespace Qt::StringLiterals;

void readOrder(const QByteArray& bytes) {
    for (const OrderLine& line : orderLinesOf(QString::fromUtf8(bytes)))
        require(!line.written.trimmed().isEmpty() || !line.words.isEmpty() || !line.label.isEmpty(),
                "a line of an order says something");
}

void readService(const QByteArray& bytes) {
    const auto read = serviceFromJson(QJsonDocument::fromJson(bytes).object(), u"x"_s);
    if (!read)
        return requireReason(read.error());
    require(excessOf(*read).isEmpty(), "a service that was read is within its bounds");
    for (const QString& name : mediaOf(*read))
        require(name.isEmpty() || isMediaName(name), "media are named by their content");
    const QByteArray json = serviceJsonBytes(*read);
    const auto again = serviceFromJson(QJsonDocument::fromJson(json).object(), u"x"_s);
    require(again.has_value(), "a service that was written can be read");
    requireEqual(serviceJsonBytes(*again), json, "a service that was written comes back equal");
}

void readThemes(const QByteArray& bytes) {
    const auto read = fromDevice(bytes, [](QIODevice& device) { return readTheme(device, u"x"_s); });
    if (!read)
        return requireReason(read.error());
    const QString& picture = read->look.backdrop.picture;
    require(picture.isEmpty() || isMediaName(picture), "pictures are named by their content");
    const QJsonObject json = themeToJson(*read);
    const auto again = themeFromJson(json, u"x"_s);
    require(again.has_value(), "a theme that was written can be read");
    requireEqual(QJsonDocument(themeToJson(*again)).toJson(), QJsonDocument(json).toJson(),
                 "a theme that was written comes back equal");
}

/// ZIP files as they are: services, themes, and anything else that is packed.
void readPacked(const QByteArray& bytes) {
    if (const auto read = fromDevice(bytes, [](QIODevice& d) { return readServiceFile(d, u"x"_s); }); !read)
        requireReason(read.error());
    if (const auto read = fromDevice(bytes, [](QIODevice& d) { return readThemeFile(d, u"x"_s); }); !read)
        requireReason(read.error());
    constexpr qint64 kMost = 16 * 1024 * 1024;
    const auto zip = ZipReader::open(bytes, kMost);
    if (!zip)
        return requireReason(zip.error());
    qint64 unpacked = 0;
    for (const QString& name : zip->entries())
        if (const auto entry = zip->read(name, kMost / 4))
            unpacked += entry->size();
    require(unpacked <= kMost, "no more is unpacked than was asked for");
    static_cast<void>(zip->checkSafe(200));
}

void readOutputs(const QByteArray& bytes) {
    const auto read = outputsFromJson(bytes, u"x"_s);
    if (!read)
        return requireReason(read.error());
    for (const Output& output : *read)
        require(!output.name.isEmpty() && output.size.width() > 0 && output.size.height() > 0,
                "an output has a name and a size");
    const QByteArray json = outputsToJson(*read);
    const auto again = outputsFromJson(json, u"x"_s);
    require(again && outputsToJson(*again) == json, "outputs that were written come back equal");
}

void readSettings(const QByteArray& bytes) {
    const auto read = runSettingsFromJson(bytes, u"x"_s);
    if (!read)
        return requireReason(read.error());
    const QByteArray json = runSettingsToJson(*read);
    const auto again = runSettingsFromJson(json, u"x"_s);
    require(again && runSettingsToJson(*again) == json, "settings that were written come back equal");
}

/// Names of pictures, sounds and fonts as files of others have them.
void readMediaName(const QByteArray& bytes) {
    const QString name = QString::fromUtf8(bytes);
    const QString trusted = trustedMediaName(name);
    require(trusted.isEmpty() || isMediaName(trusted), "a name that is trusted names a medium");
    require(!isMediaName(name) || trusted == name, "a good name stays as it is");
    require(isMediaName(QString(64, u'a') + u'.' + mediaSuffix(name)), "every suffix becomes a usual one");
    const QString path = mediaPath(u"/media"_s, name);
    require(path.isEmpty() || (path.startsWith(u"/media/"_s) && path.lastIndexOf(u'/') == 6),
            "no name leads out of the folder");
}

std::vector<QByteArray> orders() {
    std::vector<QByteArray> all = filesIn(u"data/demo"_s);
    const auto more = filesIn(u"data/templates"_s);
    all.insert(all.end(), more.begin(), more.end());
    all.push_back(
        "> * 10:30 Opening song: Tide (Ada, 4 min)\n# Word\nReading - Luke 5:1-11 [2:30]\nALL\n-- \nme\n");
    all.push_back("Time;Item;Who;Length\n10:30;Tide;Ada;4:00\n;Luke 5;;\n");
    return all;
}

Service harbourService() {
    Service service;
    service.id = ServiceId::create();
    service.title = u"Sea Harvest"_s;
    service.theme = samples::theme();
    const QString picture = QString(64, u'a') + u".jpg"_s;
    service.media = {{picture, u"Dawn"_s, 5}};
    service.items.push_back({ItemId::create(), songItem(samples::harbourSong(u"First"_s))});
    service.items.push_back({ItemId::create(), Heading{u"Word"_s}});
    PictureItem pictures;
    pictures.pictures = {{picture, u"Dawn"_s}};
    service.items.push_back({ItemId::create(), pictures});
    service.items.back().plan.sound = ItemSound{picture, u"Bell"_s, true};
    service.items.back().plan.track = ItemTrack{picture, u"Track"_s, 90, 4, {u"Verse 1"_s, 1, 0, 1}};
    FilmItem film;
    film.name = picture;
    film.from = 2;
    film.fadeIn = 1;
    film.isShownOn = {{u"stage"_s, true}};
    service.items.push_back({ItemId::create(), film});
    service.items.push_back({ItemId::create(), MusicItem{u"Coming in"_s, {{picture, u"One"_s, 30, 1, 9}}}});
    service.items.push_back({ItemId::create(), passageItem(samples::passage({u"one"_s, u"two"_s}))});
    return service;
}

std::vector<QByteArray> services() {
    return {QJsonDocument(serviceToJson(harbourService())).toJson(QJsonDocument::Compact)};
}

std::vector<QByteArray> themes() {
    return filesIn(u"data/themes"_s);
}

std::vector<QByteArray> packed() {
    ThemeFile file;
    file.theme = samples::theme();
    file.theme.look.backdrop.kind = BackdropKind::Picture;
    file.theme.look.backdrop.picture = QString(64, u'a') + u".png"_s;
    file.pictures.insert(file.theme.look.backdrop.picture, "not many bytes");
    return {serviceToZip(harbourService()).value(), themeFileBytes(file).value(),
            serviceJsonBytes(harbourService())};
}

std::vector<QByteArray> outputs() {
    return {outputsToJson(usualOutputs())};
}

std::vector<QByteArray> settings() {
    return {runSettingsToJson({})};
}

std::vector<QByteArray> names() {
    const QByteArray hash(64, 'a');
    return {hash + ".jpg",   "../../.ssh/id", "x.jpg_1", "/etc/passwd",
            hash + ".png\n", "a.t\u00e9",     "..",      "."};
}

} // namespace

std::vector<Reader> planReaders() {
    return {{"orders", readOrder, orders},     {"service", readService, services},
            {"theme", readThemes, themes},     {"packed", readPacked, packed},
            {"outputs", readOutputs, outputs}, {"settings", readSettings, settings},
            {"names", readMediaName, names}};
}

} // namespace mivanta::fuzz
