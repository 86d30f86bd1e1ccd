// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServiceTemplates.h"
#include "core/base/Said.h"
#include "core/order/OrderText.h"
#include "core/order/Templates.h"
#include <QDir>
#include <QFile>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString folderOf(const QString& libraryFolder) {
    return libraryFolder + u"/templates"_s;
}

/// A name that any file system takes.
QString fileNameOf(QString name) {
    for (QChar& c : name)
        if (c == u'/' || c == u'\\' || c == u':' || c.category() == QChar::Other_Control)
            c = u'-';
    return name.trimmed() + u".mivanta"_s;
}

} // namespace

std::vector<ServiceTemplate> templatesOf(const QString& libraryFolder) {
    std::vector<ServiceTemplate> all;
    const auto own = QDir(folderOf(libraryFolder)).entryInfoList({u"*.mivanta"_s}, QDir::Files, QDir::Name);
    for (const QFileInfo& file : own)
        all.push_back({file.completeBaseName(), file.filePath(), false});
    const auto shipped = QDir(u":/mivanta/templates"_s).entryInfoList({u"*.txt"_s}, QDir::Files, QDir::Name);
    for (const QFileInfo& file : shipped)
        all.push_back({file.completeBaseName().replace(u'-', u' '), file.filePath(), true});
    return all;
}

Result<Service> openTemplate(const ServiceTemplate& from, const Theme& theme) {
    if (!from.isShipped) {
        auto opened = openService(from.path);
        if (!opened)
            return tl::unexpected(opened.error());
        return serviceLike(opened->service, {}, false);
    }
    QFile file(from.path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(file.errorString(), from.path);
    return readOrderText(QString::fromUtf8(file.readAll()), from.path, {theme},
                         {[&](const QString& line) -> Result<ItemWords> {
                             return ItemWords(SlotItem{line, std::nullopt});
                         }});
}

Result<void> keepTemplate(const Service& service, const QString& name, const QString& libraryFolder) {
    if (name.trimmed().isEmpty())
        return failure(Said::tr("a template needs a name"), {}, Said::tr("Give it one."));
    if (!QDir().mkpath(folderOf(libraryFolder)))
        return failure(Said::tr("the folder for templates could not be made"), folderOf(libraryFolder),
                       Said::tr("Check that you may write there."));
    Service kept = serviceLike(service, {}, true);
    kept.start = {};
    auto saved = saveService(kept, folderOf(libraryFolder) + u'/' + fileNameOf(name), std::nullopt);
    if (!saved)
        return tl::unexpected(saved.error());
    return {};
}

} // namespace mivanta
