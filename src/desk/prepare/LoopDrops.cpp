// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LoopDrops.h"
#include "core/order/Loops.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Prompts.h"
#include "session/Session.h"
#include <QDir>
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kBeforeService = 300; // seconds
constexpr int kMostFilesOfLoop = 500;

struct LoopMedia {
    std::vector<OrderPicture> pictures;
    std::vector<Item> films;
    MusicItem music;
};

LoopMedia loopMediaOf(const std::vector<Medium>& media) {
    LoopMedia brought;
    for (const Medium& medium : media) {
        switch (medium.kind) {
        case MediumKind::Picture:
            brought.pictures.push_back(noticeOf(medium));
            break;
        case MediumKind::Film: {
            Item film{ItemId::create(), itemOf(medium)};
            film.inLoop.season.to = datedName(medium.title).day;
            brought.films.push_back(std::move(film));
            break;
        }
        case MediumKind::Sound:
            brought.music.pieces.push_back(pieceOf(medium));
            break;
        }
    }
    return brought;
}

/// The items that they become; films come in the rounds that somebody says.
std::vector<Item> itemsOf(LoopMedia brought, Prompts& prompts, bool asks) {
    std::vector<Item> items;
    if (!brought.pictures.empty())
        items.push_back({ItemId::create(), PictureItem{{}, std::move(brought.pictures)}});
    if (!brought.films.empty()) {
        const QString title = brought.films.front().title();
        const auto rounds = asks ? prompts.everyRounds(title, int(brought.films.size())) : std::optional(1);
        for (Item& film : brought.films) {
            film.inLoop.everyRounds = rounds.value_or(1);
            if (rounds)
                items.push_back(std::move(film));
        }
    }
    if (!brought.music.pieces.empty())
        items.push_back({ItemId::create(), std::move(brought.music)});
    return items;
}

QStringList mediaIn(const QString& folder) {
    QStringList files;
    const auto entries = QDir(folder).entryInfoList(QDir::Files | QDir::Readable, QDir::NoSort);
    for (const QFileInfo& file : entries)
        if (mediumKindOf(file.filePath()) && files.size() < kMostFilesOfLoop)
            files << file.filePath();
    std::sort(files.begin(), files.end(), isNoticeBefore);
    return files;
}

} // namespace

LoopItem usualLoop(const Service& service, const QString& title) {
    LoopItem loop;
    loop.title = title;
    if (service.start.isValid()) {
        loop.until = LoopUntil::Time;
        loop.untilTime = service.start.time().addSecs(-kBeforeService);
    }
    return loop;
}

int behindLoop(const Item& loop, const Service& service) {
    int at = service.indexOf(loop.id) + 1;
    while (at < int(service.items.size()) && service.items[size_t(at)].group == loop.group)
        ++at;
    return at;
}

std::vector<Item> membersOfWords(const Item& loop, std::vector<ItemWords> words) {
    std::vector<Item> items;
    for (ItemWords& each : words) {
        Item item{ItemId::create(), std::move(each)};
        item.group = loop.group;
        items.push_back(std::move(item));
    }
    return items;
}

void placeIntoLoop(Session& session, Prompts& prompts, QObject* asker, const ItemId& loop,
                   const QStringList& files) {
    bringInSeveral(session, asker, files, [&session, &prompts, loop](const std::vector<Medium>& media) {
        LoopMedia brought = loopMediaOf(media);
        ServiceDocument& document = session.document();
        const Item* header = document.service().item(loop);
        if (!header || !header->loop())
            return; // removed meanwhile
        const QString what = QObject::tr("adding to the loop %1").arg(header->title());
        // Pictures join a set that is there already.
        const std::vector<const Item*> members = membersOf(*header, document.service());
        const auto set = std::find_if(members.begin(), members.end(), [](const Item* item) {
            return std::holds_alternative<PictureItem>(item->words);
        });
        QUndoStack& steps = document.undoStack();
        steps.beginMacro(what);
        if (set != members.end() && !brought.pictures.empty()) {
            PictureItem joined = std::get<PictureItem>((*set)->words);
            joined.pictures.insert(joined.pictures.end(), brought.pictures.begin(), brought.pictures.end());
            brought.pictures.clear();
            document.change((*set)->id, std::move(joined), what);
        }
        std::vector<Item> items = itemsOf(std::move(brought), prompts, true);
        header = document.service().item(loop);
        if (header && !items.empty()) {
            for (Item& item : items)
                item.group = header->group;
            document.insertItems(behindLoop(*header, document.service()), std::move(items), what);
        }
        steps.endMacro();
    });
}

void placeFolderAsLoop(Session& session, Prompts& prompts, QObject* asker, const QString& folder, int at,
                       const std::function<void(const ItemId&)>& placed) {
    const QString name = QDir(folder).dirName();
    const QStringList files = mediaIn(folder);
    if (files.isEmpty()) {
        Q_EMIT session.problem({QObject::tr("There is no picture, film or music in \u201c%1\u201d").arg(name),
                                folder, QObject::tr("Choose another folder.")});
        return;
    }
    bringInSeveral(
        session, asker, files, [&session, &prompts, name, at, placed](const std::vector<Medium>& media) {
            std::vector<Item> items = itemsOf(loopMediaOf(media), prompts, false);
            if (items.empty())
                return;
            const Item header{ItemId::create(), usualLoop(session.document().service(), name), {}, {}, {},
                              GroupId::create()};
            for (Item& item : items)
                item.group = header.group;
            items.insert(items.begin(), header);
            session.document().insertItems(at, std::move(items), QObject::tr("adding the loop %1").arg(name));
            placed(header.id);
        });
}

} // namespace mivanta
