// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ThemeFile.h"
#include "core/base/Said.h"
#include "formats/BoundedRead.h"
#include "formats/ThemeJson.h"
#include "formats/Zip.h"
#include <QBuffer>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestTheme = 512LL << 20;
constexpr qint64 kLargestThemeJson = 4 << 20;
constexpr qint64 kLargestPicture = 128 << 20;
const QString kJsonEntry = u"theme.json"_s;

tl::unexpected<Error> damagedTheme(const QString& why, const QString& where) {
    return failure(Said::tr("this is no theme file, or it is damaged: %1").arg(why), where,
                   Said::tr("Use another copy of it."));
}

} // namespace

Result<QByteArray> themeFileBytes(const ThemeFile& file) {
    std::vector<ZipEntry> entries{{kJsonEntry, QJsonDocument(themeToJson(file.theme)).toJson()}};
    for (auto it = file.pictures.begin(); it != file.pictures.end(); ++it)
        entries.push_back({u"pictures/"_s + it.key(), it.value()});
    return zipOf(entries);
}

Result<ThemeFile> readThemeFile(QIODevice& device, const QString& where) {
    if (!device.isSequential() && device.size() > kLargestTheme)
        return damagedTheme(Said::tr("it is too large"), where);
    QByteArray bytes = readUpTo(device, kLargestTheme + 1);
    if (bytes.trimmed().startsWith('{')) {
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::ReadOnly);
        auto theme = readTheme(buffer, where);
        if (!theme)
            return tl::unexpected(theme.error());
        return ThemeFile{std::move(*theme), {}};
    }
    const auto zip = ZipReader::open(bytes, kLargestTheme);
    if (!zip)
        return damagedTheme(zip.error().what, where);
    const auto json = zip->read(kJsonEntry, kLargestThemeJson);
    if (!json)
        return damagedTheme(json.error().what, where);
    auto theme = themeFromJson(QJsonDocument::fromJson(*json).object(), where);
    if (!theme)
        return tl::unexpected(theme.error());
    ThemeFile file{std::move(*theme), {}};
    for (const QString& name : mediaOf(file.theme.look)) {
        auto picture = zip->read(u"pictures/"_s + name, kLargestPicture);
        if (!picture)
            return damagedTheme(picture.error().what, where);
        file.pictures.insert(name, *picture);
    }
    return file;
}

} // namespace mivanta
