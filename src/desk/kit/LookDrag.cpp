// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/LookDrag.h"
#include "core/media/MediumKind.h"
#include "formats/ThemeFile.h"
#include "media/FilmFormat.h"
#include "media/PictureProxies.h"
#include <QFileInfo>
#include <QMimeData>
#include <QUrl>

namespace mivanta {

namespace {
constexpr const char* kThemeMime = "application/x-mivanta-theme";
}

QStringList localFilesIn(const QMimeData& data) {
    QStringList paths;
    const QList<QUrl> urls = data.urls();
    for (const QUrl& url : urls)
        if (url.isLocalFile())
            paths << url.toLocalFile();
    return paths;
}

std::optional<LookDrop> lookDropIn(const QMimeData& data) {
    if (data.hasFormat(QLatin1String(kThemeMime)))
        return LookDrop{QString::fromUtf8(data.data(QLatin1String(kThemeMime))), {}, false};
    const QStringList files = localFilesIn(data);
    if (files.size() != 1)
        return std::nullopt;
    const QString suffix = QFileInfo(files.front()).suffix().toLower();
    const bool isTheme = suffix == QLatin1String(kThemeSuffix);
    if (!isTheme && !pictureSuffixes().contains(suffix) && !filmSuffixes().contains(suffix))
        return std::nullopt;
    return LookDrop{{}, files.front(), isTheme};
}

QMimeData* themeToDrag(const QString& id) {
    auto* data = new QMimeData;
    data->setData(QLatin1String(kThemeMime), id.toUtf8());
    return data;
}

} // namespace mivanta
