// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServiceDifferences.h"
#include "core/base/Cases.h"
#include "core/song/SongDifference.h"
#include "formats/ThemeJson.h"
#include <QCryptographicHash>
#include <QJsonDocument>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString shortHash(const Theme& theme) {
    const QByteArray json = QJsonDocument(themeToJson(theme)).toJson(QJsonDocument::Compact);
    return QString::fromLatin1(QCryptographicHash::hash(json, QCryptographicHash::Sha1).toHex().left(12));
}

QStringList whatDiffers(const Song& here, const Song& there) {
    return differencesOf(here, there);
}

QStringList whatDiffers(const SpokenText& here, const SpokenText& there) {
    return {here.title == there.title ? u"words"_s : u"title"_s};
}

/// The same for songs and texts. Nothing when both are alike, or when only the service's was changed.
template <typename Content>
std::optional<LibraryDifference> differenceOf(const std::shared_ptr<const Content>& here,
                                              const Result<Content>& there, const QString& kind) {
    if (there && (sameContent(*here, *there) || here->revision == there->revision))
        return std::nullopt;
    LibraryDifference difference{here, {}, {}, here->title, {}, {}};
    if (there) {
        difference.there = std::make_shared<const Content>(*there);
        difference.what = whatDiffers(*here, *there);
    }
    difference.key = u"%1 %2 %3 %4"_s.arg(kind, here->id.text(), QString::number(here->revision),
                                          there ? QString::number(there->revision) : u"absent"_s);
    return difference;
}

/// Items that have the very same stand in one difference.
template <typename Content>
void add(std::vector<LibraryDifference>& all, const std::shared_ptr<const Content>& here,
         std::optional<LibraryDifference> difference, const ItemId& item) {
    if (!difference)
        return;
    const auto same = std::find_if(all.begin(), all.end(), [&](const LibraryDifference& known) {
        const auto* other = std::get_if<std::shared_ptr<const Content>>(&known.here);
        return other && known.key == difference->key && sameContent(**other, *here);
    });
    if (same != all.end()) {
        same->items.push_back(item);
        return;
    }
    difference->items = {item};
    all.push_back(std::move(*difference));
}

void addTheme(std::vector<LibraryDifference>& all, const Theme& here, const std::vector<Theme>& library) {
    const bool isListed = std::any_of(all.begin(), all.end(), [&](const LibraryDifference& known) {
        const auto* theme = std::get_if<Theme>(&known.here);
        return theme && *theme == here;
    });
    const Theme* there = themeOf(here.id, library);
    if (here.id.isEmpty() || isListed || (there && *there == here))
        return;
    LibraryDifference difference{here, {}, {}, here.name, {}, {}};
    if (there) {
        difference.there = *there;
        difference.what = {there->look == here.look ? u"name"_s : u"look"_s};
    }
    difference.key = u"theme %1 %2 %3"_s.arg(here.id, shortHash(here),
                                             there ? shortHash(*there) : u"absent"_s); // for machines
    all.push_back(std::move(difference));
}

} // namespace

Result<std::vector<LibraryDifference>> differencesOf(const Service& service, Library& library) {
    std::vector<LibraryDifference> all;
    for (const Item& item : service.items) {
        if (const auto* song = std::get_if<SongItem>(&item.words))
            add(all, song->song, differenceOf(song->song, library.song(song->song->id), u"song"_s), item.id);
        else if (const auto* text = std::get_if<TextItem>(&item.words))
            add(all, text->text, differenceOf(text->text, library.texts().text(text->text->id), u"text"_s),
                item.id);
    }
    const auto themes = library.themes().all();
    if (!themes)
        return tl::unexpected(themes.error());
    addTheme(all, service.theme, *themes);
    for (const Theme& theme : service.themes)
        addTheme(all, theme, *themes);
    return all;
}

Result<LibraryDifference::Words> putInto(Library& library, const LibraryDifference& difference) {
    using Words = LibraryDifference::Words;
    const auto saved = [&](const auto& here, auto&& save) -> Result<Words> {
        auto next = *here;
        const auto* there =
            difference.there ? std::get_if<std::decay_t<decltype(here)>>(&*difference.there) : nullptr;
        next.revision = there ? (*there)->revision : 0;
        auto stored = save(next);
        if (!stored)
            return tl::unexpected(stored.error());
        return Words(std::make_shared<const std::decay_t<decltype(next)>>(std::move(*stored)));
    };
    return std::visit(Cases{[&](const std::shared_ptr<const Song>& song) {
                                return saved(song, [&](const Song& s) { return library.save(s); });
                            },
                            [&](const std::shared_ptr<const SpokenText>& text) {
                                return saved(text,
                                             [&](const SpokenText& t) { return library.texts().save(t); });
                            },
                            [&](const Theme& theme) -> Result<Words> {
                                if (auto done = library.themes().put(theme); !done)
                                    return tl::unexpected(done.error());
                                return Words(theme);
                            }},
                      difference.here);
}

} // namespace mivanta
