// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/OrderLines.h"
#include "cli/ScriptureCommands.h"
#include "core/base/Fold.h"
#include "core/order/OrderText.h"
#include "formats/SongReader.h"
#include "formats/TextDecoding.h"
#include "media/PictureProxies.h"
#include "media/Sound.h"
#include "store/Library.h"
#include "store/ServicePack.h"
#include <QDir>
#include <QFile>
#include <QFileInfo>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

const QString kPictures = u"[pictures]"_s;

Result<ItemWords> picturesOf(Library& library, const QStringList& names, const QDir& folder) {
    PictureItem item;
    for (const QString& name : names) {
        const QString path = folder.filePath(name.trimmed());
        if (const auto fine = checkPicture(path); !fine)
            return tl::unexpected(fine.error());
        const auto picture = library.media().bringIn(path);
        if (!picture)
            return tl::unexpected(picture.error());
        item.pictures.push_back({picture->name, QFileInfo(path).completeBaseName().replace(u'-', u' ')});
    }
    return ItemWords(std::move(item));
}

Result<ItemSound> soundOf(Library& library, const QString& path) {
    if (const auto facts = lookAtSound(path); !facts)
        return tl::unexpected(facts.error());
    const auto sound = library.media().bringIn(path);
    if (!sound)
        return tl::unexpected(sound.error());
    return ItemSound{sound->name, QFileInfo(path).completeBaseName(), false};
}

Result<ItemWords> wordsOf(Library& library, const QString& line,
                          const std::function<Result<Song>(const QString&)>& findSong) {
    auto text = textOfTitle(library, line);
    if (!text)
        return tl::unexpected(text.error());
    auto found = findSong(line);
    const bool isTitle = found && foldedForSearch(found->title) == foldedForSearch(line);
    if (*text && !isTitle)
        return ItemWords(textItem(std::move(**text)));
    if (!isTitle) {
        auto passage = passageFromLine(library, line);
        if (!passage)
            return tl::unexpected(passage.error());
        if (*passage)
            return ItemWords(passageItem(std::move(**passage)));
    }
    if (!found)
        return tl::unexpected(found.error());
    return ItemWords(songItem(std::move(*found)));
}

} // namespace

Result<Service> serviceFromOrder(Library& library, const QString& path,
                                 const std::function<Result<Song>(const QString&)>& findSong) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(u"the order cannot be read: "_s + file.errorString(), path);
    const auto text = readText(file, path, kLargestSongFile);
    if (!text)
        return tl::unexpected(text.error());
    auto themes = library.themes().all();
    const auto usual = library.themes().usual();
    if (!themes || !usual)
        return tl::unexpected(themes ? usual.error() : themes.error());
    std::stable_partition(themes->begin(), themes->end(), // without a word of it, the usual one
                          [&](const Theme& theme) { return theme.id == *usual; });
    const QDir folder = QFileInfo(path).dir();
    const auto findItem = [&](const QString& line) {
        return line.startsWith(kPictures, Qt::CaseInsensitive)
                   ? picturesOf(library, line.mid(kPictures.size()).split(u',', Qt::SkipEmptyParts), folder)
                   : wordsOf(library, line, findSong);
    };
    const auto findSound = [&](const QString& name) { return soundOf(library, folder.filePath(name)); };
    auto service = readOrderText(text->text, path, *themes, {findItem, findSound});
    const auto media = library.media().all();
    if (!service || !media)
        return service ? tl::unexpected(media.error()) : std::move(service);
    QMap<QString, QString> titles;
    for (const StoredMedium& medium : *media)
        titles.insert(medium.name, medium.title);
    service->media = mediaFactsOf(*service, library.media().folder(), titles);
    return service;
}

} // namespace mivanta
