// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/ServiceDocument.h"
#include "core/order/Groups.h"
#include "core/order/OrderEdits.h"
#include "core/order/ServiceBounds.h"
#include "render/FontFiles.h"
#include "session/service/ServiceSteps.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr int kJournalDelayMs = 300;
constexpr int kUndoLimit = 500;
} // namespace

ServiceDocument::ServiceDocument(const QString& mediaFolder, Journal journal, Theme usualTheme,
                                 QObject* parent)
    : QObject(parent),
      m_usualTheme(std::move(usualTheme)),
      m_mediaFolder(mediaFolder),
      m_journal(std::make_shared<Journal>(std::move(journal))) {
    m_undo.setUndoLimit(kUndoLimit);
    m_journalSoon.setSingleShot(true);
    m_journalSoon.setInterval(kJournalDelayMs);
    connect(&m_journalSoon, &QTimer::timeout, this, &ServiceDocument::writeJournal);
    m_service.id = ServiceId::create();
    m_service.theme = m_usualTheme;
    m_file->savedVersion = m_version;
}

ServiceDocument::~ServiceDocument() {
    m_undo.disconnect(this);
    finishWriting();
}

QString ServiceDocument::shownTitle() const {
    return m_service.title.isEmpty() ? tr("New service") : m_service.title;
}

void ServiceDocument::apply(Service next, const QString& what, int visit) {
    settleGroups(next.items);
    if (const QString excess = excessOf(next); !excess.isEmpty()) { // it could not be opened again
        Q_EMIT failed({tr("A service cannot have %1").arg(excess), {}, tr("Make two services of it.")});
        return;
    }
    m_undo.push(new Change(*this, std::move(next), what, visit));
}

ItemId ServiceDocument::insert(int at, ItemWords words) {
    const ItemId id = ItemId::create();
    const QString title = titleOf(words);
    insertItems(at, {{id, std::move(words)}}, tr("adding %1").arg(title));
    return id;
}

ItemId ServiceDocument::insertHeading(int at, const QString& title) {
    return insert(at, Heading{title});
}

void ServiceDocument::insertItems(int at, std::vector<Item> items, const QString& what) {
    if (items.empty())
        return;
    Service next = m_service;
    mivanta::insertItems(next, at, std::move(items));
    apply(std::move(next), what);
}

std::vector<ItemId> ServiceDocument::duplicate(const std::vector<ItemId>& ids) {
    Service next = m_service;
    std::vector<ItemId> made = duplicateItems(next, ids);
    if (!made.empty())
        apply(std::move(next), made.size() == 1 ? tr("a copy of %1").arg(m_service.item(ids.front())->title())
                                                : tr("copies of %n items", nullptr, int(made.size())));
    return made;
}

void ServiceDocument::changePlan(const std::vector<ItemId>& ids, const std::function<void(ItemPlan&)>& change,
                                 const QString& what, int visit) {
    if (Service next = m_service; changePlans(next, ids, change))
        apply(std::move(next), what, visit);
}

void ServiceDocument::changeInLoop(const std::vector<ItemId>& ids,
                                   const std::function<void(LoopPart&)>& change, const QString& what,
                                   int visit) {
    if (Service next = m_service; changeLoopParts(next, ids, change))
        apply(std::move(next), what, visit);
}

void ServiceDocument::changeEdits(const std::vector<ItemId>& ids,
                                  const std::function<void(SlideEdits&)>& change, const QString& what,
                                  int visit) {
    if (Service next = m_service; mivanta::changeEdits(next, ids, change))
        apply(std::move(next), what, visit);
}

void ServiceDocument::setStart(const QDateTime& start) {
    if (start == m_service.start)
        return;
    Service next = m_service;
    next.start = start;
    apply(std::move(next), tr("when the service begins"));
}

void ServiceDocument::remove(const std::vector<ItemId>& ids) {
    Service next = m_service;
    const int removed = removeItems(next, ids);
    if (removed == 1)
        apply(std::move(next), tr("removing %1").arg(m_service.item(ids.front())->title()));
    else if (removed > 1)
        apply(std::move(next), tr("removing %n items", nullptr, removed));
}

void ServiceDocument::move(const std::vector<ItemId>& ids, int to) {
    if (Service next = m_service; moveItems(next, ids, to))
        apply(std::move(next), ids.size() == 1 ? tr("moving %1").arg(m_service.item(ids.front())->title())
                                               : tr("moving %n items", nullptr, int(ids.size())));
}

void ServiceDocument::group(const std::vector<ItemId>& ids) {
    if (Service next = m_service; groupItems(next, ids))
        apply(std::move(next), tr("grouping %n items", nullptr, int(ids.size())));
}

void ServiceDocument::putIntoLoop(const std::vector<ItemId>& ids, const ItemId& loop) {
    if (Service next = m_service; mivanta::putIntoLoop(next, ids, loop))
        apply(std::move(next), tr("putting %n items into a loop", nullptr, int(ids.size())));
}

void ServiceDocument::ungroup(const std::vector<ItemId>& ids) {
    if (Service next = m_service; ungroupItems(next, ids))
        apply(std::move(next), tr("dissolving a group"));
}

void ServiceDocument::fill(const ItemId& slot, ItemWords words) {
    const QString title = titleOf(words);
    if (Service next = m_service; fillSlot(next, slot, std::move(words)))
        apply(std::move(next), tr("choosing %1").arg(title));
}

void ServiceDocument::makeSlots(const std::vector<ItemId>& ids) {
    Service next = m_service;
    if (const int made = mivanta::makeSlots(next, ids); made > 0)
        apply(std::move(next), tr("choosing %n items anew", nullptr, made));
}

void ServiceDocument::rename(const ItemId& id, const QString& title) {
    const Item* item = m_service.item(id);
    if (item && canBeNamed(item->words))
        change(id, named(item->words, title), tr("renaming %1").arg(item->title()));
}

void ServiceDocument::change(const ItemId& id, ItemWords words, const QString& what, int visit) {
    if (Service next = m_service; setWords(next, id, std::move(words)))
        apply(std::move(next), what, visit);
}

void ServiceDocument::setTitle(const QString& title) {
    if (title == m_service.title)
        return;
    Service next = m_service;
    next.title = title;
    apply(std::move(next), tr("renaming the service"));
}

void ServiceDocument::setPlace(const QString& place) {
    if (place == m_service.place)
        return;
    Service next = m_service;
    next.place = place;
    apply(std::move(next), tr("where the service is"));
}

void ServiceDocument::replacePictures(const QMap<QString, QString>& instead) {
    Service next = m_service;
    if (const int replaced = replaceMedia(next, instead); replaced > 0)
        apply(std::move(next), tr("other pictures in place of %n", nullptr, replaced));
}

void ServiceDocument::setTheme(const Theme& theme) {
    if (theme == m_service.theme)
        return;
    Service next = m_service;
    next.theme = theme;
    apply(std::move(next), tr("the theme %1").arg(theme.name));
}

void ServiceDocument::updateTheme(const Theme& theme) {
    if (Service next = m_service; mivanta::updateTheme(next, theme))
        apply(std::move(next), tr("taking the library's theme %1").arg(theme.name));
}

void ServiceDocument::changeLook(const LookTarget& target, const std::vector<Theme>& library,
                                 const std::function<void(LookChoice&)>& change, const QString& what,
                                 int visit) {
    Service next = m_service;
    changeChoice(next, target, library, change);
    const bool same = next.theme == m_service.theme && next.look == m_service.look &&
                      next.kinds == m_service.kinds &&
                      std::equal(next.items.begin(), next.items.end(), m_service.items.begin(),
                                 [](const Item& a, const Item& b) { return a.look == b.look; });
    if (!same)
        apply(std::move(next), what, visit);
}

void ServiceDocument::show(const Service& service, int version) {
    m_service = service;
    m_version = version;
    m_timetable.reset();
    journalSoon();
    Q_EMIT changed();
    Q_EMIT stateChanged();
}

void ServiceDocument::exchange(Held& other) {
    Held here{std::move(m_service), std::exchange(m_file, other.file), m_version};
    show(other.service, other.version);
    other = std::move(here);
}

/// As the program begins: nothing would be lost with it.
bool ServiceDocument::isUntouched() const {
    return m_undo.count() == 0 && !isModified() && m_service.items.empty() && m_file->path.isEmpty();
}

void ServiceDocument::take(Service service, std::shared_ptr<File> file, bool isSaved, const QString& what) {
    Held next{std::move(service), std::move(file), newVersion()};
    next.file->savedVersion = isSaved ? next.version : kNoVersion;
    if (what.isEmpty() || isUntouched()) {
        m_undo.clear();
        exchange(next);
    } else {
        m_undo.push(new Opening(*this, std::move(next), what));
    }
    Q_EMIT opened();
}

void ServiceDocument::setUsualLengths(UsualLengths usual) {
    m_usualLengths = std::move(usual);
    m_timetable.reset();
    Q_EMIT changed();
}

const Timetable& ServiceDocument::timetable() const {
    if (!m_timetable)
        m_timetable = timetableOf(m_service, [this](const Item& item) -> std::optional<int> {
            if (const auto known = m_usualLengths ? m_usualLengths(item) : std::nullopt)
                return known;
            // A countdown to a time lasts until then; the rest is guessed once.
            const bool depends = std::holds_alternative<CountdownItem>(item.words);
            return depends ? std::nullopt : std::optional(m_guesses.of(item, m_service));
        });
    return *m_timetable;
}

void ServiceDocument::startNew() {
    Service service;
    service.id = ServiceId::create();
    service.theme = m_usualTheme;
    take(std::move(service), std::make_shared<File>(), true, tr("the new service"));
}

void ServiceDocument::startFrom(Service service) {
    take(std::move(service), std::make_shared<File>(), false, tr("the new service"));
}

void ServiceDocument::open(const QString& path) {
    auto file = std::make_shared<File>();
    file->path = path;
    m_files.run(
        this,
        [path, stamp = file->stamp] {
            auto opened = openService(path);
            if (opened)
                *stamp = opened->stamp;
            return opened;
        },
        [this, file](Result<OpenedService> opened) {
            if (!opened) {
                Q_EMIT failed(opened.error());
                return;
            }
            file->isPacked = opened->isPacked;
            const QString title = opened->service.title;
            take(std::move(opened->service), file, true, tr("opening %1").arg(title));
            if (file->isPacked)
                Q_EMIT packedOpened(file->path);
        });
}

void ServiceDocument::save(const QString& path) {
    const bool isSame = path == m_file->path;
    m_files.run(
        this,
        [service = m_service, path, isSame, stamp = m_file->stamp, folder = m_mediaFolder,
         titles = m_mediaTitles, isPacked = m_file->isPacked && isSame]() mutable {
            service.media = mediaFactsOf(service, folder, titles);
            const auto expected = isSame ? *stamp : std::nullopt;
            auto saved =
                isPacked ? packService(service, packListOf(service, folder, fontFilesOf(fontsOf(service))),
                                       path, expected)
                         : saveService(service, path, expected);
            if (saved)
                *stamp = *saved;
            return saved;
        },
        [this, path, file = m_file, version = m_version](const Result<FileStamp>& stamp) {
            if (!stamp) {
                Q_EMIT failed(stamp.error());
                return;
            }
            file->isPacked = file->isPacked && path == file->path;
            file->path = path;
            file->savedVersion = version;
            if (file != m_file)
                return; // it waits behind undo
            writeJournal();
            Q_EMIT stateChanged();
            Q_EMIT saved();
        });
}

} // namespace mivanta

#include "moc_ServiceDocument.cpp"
