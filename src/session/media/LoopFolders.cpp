// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/LoopFolders.h"
#include "core/order/Loops.h"
#include "media/MediumLook.h"
#include "store/MediaIntake.h"
#include <QDir>
#include <algorithm>

namespace mivanta {

namespace {

constexpr size_t kMostLinked = 500; // pictures of one folder

/// The pictures that lie in the folder itself, by their names, as they were read last; nothing while it is
/// not here.
std::optional<std::vector<FolderFile>> picturesIn(const QString& folder, const FolderWatch& folders) {
    const QString clean = QDir::cleanPath(folder);
    for (const FolderWatch::Entry& entry : folders.all()) {
        const QString root = QDir::cleanPath(entry.folder.path);
        if (!entry.isHere || !entry.isRead || (clean != root && !clean.startsWith(root + u'/')))
            continue;
        const QString inside = clean == root ? QString() : clean.mid(root.size() + 1) + u'/';
        std::vector<FolderFile> files;
        for (const FolderFile& file : entry.files) {
            const QString rest = file.path.startsWith(inside) ? file.path.mid(inside.size()) : QString();
            if (file.kind == MediumKind::Picture && !rest.isEmpty() && !rest.contains(u'/') &&
                files.size() < kMostLinked) {
                files.push_back(file);
                files.back().path = clean + u'/' + rest;
            }
        }
        std::sort(files.begin(), files.end(),
                  [](const FolderFile& a, const FolderFile& b) { return isNoticeBefore(a.path, b.path); });
        return files;
    }
    return std::nullopt;
}

/// The set that pictures of the folder are in, or join.
const Item* setOf(const Item& loop, const Service& service) {
    const Item* any = nullptr;
    for (const Item* member : membersOf(loop, service)) {
        const auto* set = std::get_if<PictureItem>(&member->words);
        if (!set)
            continue;
        any = any ? any : member;
        if (std::any_of(set->pictures.begin(), set->pictures.end(),
                        [](const OrderPicture& picture) { return picture.isOfFolder; }))
            return member;
    }
    return any;
}

/// What was put there by hand first, then the folder's; what somebody changed of one of these stays.
std::vector<OrderPicture> joined(const std::vector<OrderPicture>& before, const std::vector<Medium>& media) {
    std::vector<OrderPicture> pictures;
    for (const OrderPicture& picture : before)
        if (!picture.isOfFolder)
            pictures.push_back(picture);
    for (const Medium& medium : media) {
        const auto known = std::find_if(before.begin(), before.end(), [&](const OrderPicture& picture) {
            return picture.isOfFolder && picture.name == medium.name;
        });
        pictures.push_back(known == before.end() ? noticeOf(medium) : *known);
        pictures.back().isOfFolder = true;
    }
    return pictures;
}

} // namespace

LoopFolders::LoopFolders(LibraryClient& library, ServiceDocument& document, FolderWatch& folders,
                         QObject* parent)
    : QObject(parent),
      m_library(library),
      m_document(document),
      m_folders(folders) {
    connect(&m_folders, &FolderWatch::changed, this, &LoopFolders::look);
    connect(&m_document, &ServiceDocument::changed, this, &LoopFolders::look);
}

void LoopFolders::look() {
    std::vector<Item> linked; // a change of the document ends what points into it
    for (const Item& item : m_document.service().items)
        if (item.loop() && !item.loop()->folder.isEmpty())
            linked.push_back(item);
    for (const Item& loop : linked)
        lookAt(loop);
}

void LoopFolders::lookAt(const Item& loop) {
    const QString folder = loop.loop()->folder;
    const auto files = m_folders.isFollowed(folder) ? picturesIn(folder, m_folders) : std::nullopt;
    if (!files)
        return;
    const Seen now{folder, *files};
    if (m_seen.value(loop.id) == now)
        return;
    m_seen.insert(loop.id, now);
    struct Brought {
        std::vector<Medium> media;
        std::vector<Error> errors;
    };
    m_library.askAside<Brought>(
        this,
        [files](Library& library, const LibraryClient::GoOn& goOn) -> Result<Brought> {
            Brought brought;
            for (const FolderFile& file : *files) {
                if (!goOn())
                    break;
                if (auto medium = bringInMedium(library, file.path, lookAtMedium, goOn))
                    brought.media.push_back(std::move(*medium));
                else
                    brought.errors.push_back(medium.error());
            }
            return brought;
        },
        [this, id = loop.id](const Result<Brought>& brought) {
            if (!brought) {
                Q_EMIT problem(brought.error());
                return;
            }
            for (const Error& error : brought->errors)
                Q_EMIT problem(error);
            take(id, brought->media);
        });
}

void LoopFolders::take(const ItemId& id, const std::vector<Medium>& media) {
    const Service& service = m_document.service();
    const Item* loop = service.item(id);
    if (!loop || !loop->loop() || loop->loop()->folder.isEmpty())
        return; // unlinked meanwhile
    const QString what =
        tr("pictures of the folder \u201c%1\u201d").arg(QDir(loop->loop()->folder).dirName());
    const Item* member = setOf(*loop, service);
    PictureItem set = member ? std::get<PictureItem>(member->words) : PictureItem();
    set.pictures = joined(set.pictures, media);
    if (member && set.pictures.empty()) {
        m_document.remove({member->id});
    } else if (member) {
        m_document.change(member->id, set, what);
    } else if (!set.pictures.empty()) {
        Item item{ItemId::create(), set};
        item.group = loop->group;
        m_document.insertItems(service.indexOf(id) + 1, {item}, what);
    }
}

} // namespace mivanta

#include "moc_LoopFolders.cpp"
