// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/OrderLines.h"
#include "cli/DiscCommands.h"
#include "cli/ScriptureCommands.h"
#include "core/base/Said.h"
#include "core/order/OrderText.h"
#include "formats/SongReader.h"
#include "formats/TextDecoding.h"
#include "media/MediumLook.h"
#include "store/MediaIntake.h"
#include "store/ServicePack.h"
#include "store/finding/SurePick.h"
#include <QDir>
#include <QFile>
#include <QFileInfo>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

const QString kPictures = u"[pictures]"_s;
const QString kFilm = u"[film]"_s;
const QString kDisc = u"[disc]"_s;
const QString kMusic = u"[music]"_s;
const QString kLive = u"[live]"_s;

/// The files that a line names, parted by commas.
Result<std::vector<Medium>> mediaOf(Library& library, const QString& names, const QDir& folder) {
    std::vector<Medium> media;
    for (const QString& name : names.split(u',', Qt::SkipEmptyParts)) {
        auto medium = bringInMedium(library, folder.filePath(name.trimmed()), lookAtMedium);
        if (!medium)
            return tl::unexpected(medium.error());
        media.push_back(std::move(*medium));
    }
    return media;
}

/// A line such as "[disc] lights.iso | 1 | 0:02-0:12 | The pilots": image, title, part and name.
Result<Medium> fromDisc(Library& library, const QString& line, const QDir& folder) {
    const QStringList pieces = line.split(u'|');
    return keepFromDisc(library, folder.filePath(pieces[0].trimmed()), pieces.value(1, u"1"_s),
                        pieces.value(2), pieces.value(3));
}

ItemWords picturesOf(const std::vector<Medium>& media) {
    PictureItem item;
    for (const Medium& medium : media)
        item.pictures.push_back(pictureOf(medium));
    return item;
}

/// A live input of this computer by its name; one that it does not have is chosen on the Prepare desk.
Result<ItemWords> liveOf(const std::vector<LiveInput>& inputs, const QString& name) {
    LiveItem item;
    item.caption = name;
    for (const LiveInput& input : inputs)
        if (input.name.compare(name, Qt::CaseInsensitive) == 0)
            item.input = input.id;
    return ItemWords(item);
}

ItemWords musicOf(const std::vector<Medium>& media) {
    MusicItem item;
    for (const Medium& medium : media)
        item.pieces.push_back(pieceOf(medium));
    return item;
}

Result<ItemSound> soundOf(Library& library, const QString& path) {
    return bringInMedium(library, path, lookAtMedium).map([](const Medium& medium) {
        return ItemSound{medium.name, medium.title, false};
    });
}

/// The layout that words in an order ask for; false when they ask for none.
bool readLayout(const QString& words, PassageLayout& layout) {
    if (words == u"running")
        layout.flow = PassageFlow::Running;
    else if (words == u"a verse a line") // for machines
        layout.flow = PassageFlow::VerseALine;
    else if (words == u"a verse a slide") // for machines
        layout.flow = PassageFlow::VerseASlide;
    else if (words == u"no numbers") // for machines
        layout.numbers = VerseNumbers::None;
    else if (words == u"inline numbers") // for machines
        layout.numbers = VerseNumbers::Inline;
    else if (words == u"reference under the words") // for machines
        layout.referencePlace = ReferencePlace::BesideWords;
    else
        return false;
    return true;
}

/// A passage from a line such as "Ps 23 | QST, BMT | a verse a line".
Result<ItemWords> passageOf(Library& library, const QStringList& pieces) {
    PassageLayout layout;
    std::vector<TranslationId> ids;
    for (const QString& piece : pieces.mid(1)) {
        if (readLayout(piece.trimmed().toLower(), layout))
            continue;
        for (const QString& code : piece.split(u',')) {
            const auto translation = library.scripture().translation(code.trimmed());
            if (!translation)
                return tl::unexpected(translation.error());
            ids.push_back(translation->id);
        }
    }
    const auto first = library.scripture().translation({});
    if (!first)
        return tl::unexpected(first.error());
    if (ids.empty())
        ids.push_back(first->id);
    if (ids.size() > 2)
        return failure(Said::tr("a passage can stand in two translations at most"), {},
                       Said::tr("Take one of them out."));
    const auto outline = library.scripture().outline(ids.front());
    if (!outline)
        return tl::unexpected(outline.error());
    const Understanding understood = understandReference(pieces.first(), *outline);
    if (understood.state != ReferenceState::Understood)
        return tl::unexpected(problemOf(understood, pieces.first()));
    auto passage = library.scripture().passage(ids, understood.reference, layout);
    if (!passage)
        return tl::unexpected(passage.error());
    return ItemWords(passageItem(std::move(*passage)));
}

Result<ItemWords> wordsOfLine(Library& library, const QString& line) {
    if (const QStringList pieces = line.split(u'|'); pieces.size() > 1)
        return passageOf(library, pieces);
    LibraryFinder finder(library);
    const auto pick = surePick(finder, line);
    return pick ? finder.words(*pick) : tl::unexpected(pick.error());
}

} // namespace

Result<Service> serviceFromOrder(Library& library, const QString& path,
                                 const std::vector<LiveInput>& inputs) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the order cannot be read: %1").arg(file.errorString()), path);
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
        if (line.startsWith(kFilm, Qt::CaseInsensitive))
            return bringInMedium(library, folder.filePath(line.mid(kFilm.size()).trimmed()), lookAtMedium)
                .map(itemOf);
        if (line.startsWith(kDisc, Qt::CaseInsensitive))
            return fromDisc(library, line.mid(kDisc.size()), folder).map(itemOf);
        if (line.startsWith(kPictures, Qt::CaseInsensitive))
            return mediaOf(library, line.mid(kPictures.size()), folder).map(picturesOf);
        if (line.startsWith(kLive, Qt::CaseInsensitive))
            return liveOf(inputs, line.mid(kLive.size()).trimmed());
        if (line.startsWith(kMusic, Qt::CaseInsensitive))
            return mediaOf(library, line.mid(kMusic.size()), folder).map(musicOf);
        return wordsOfLine(library, line);
    };
    const auto findSound = [&](const QString& name) { return soundOf(library, folder.filePath(name)); };
    const auto findBackdrop = [&](const QString& name) {
        return bringInMedium(library, folder.filePath(name), lookAtMedium);
    };
    auto service = readOrderText(text->text, path, *themes, {findItem, findSound, findBackdrop});
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
