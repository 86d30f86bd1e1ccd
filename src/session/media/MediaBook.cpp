// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/MediaBook.h"
#include "core/base/Clock.h"
#include "core/base/MediaName.h"
#include "core/order/UsedMedia.h"
#include "media/LoudnessMeasure.h"
#include "media/MediumLook.h"
#include "session/service/ServiceDocument.h"

namespace mivanta {

namespace {
constexpr size_t kStoredTogether = 16;
}

MediaBook::MediaBook(LibraryClient& library, ServiceDocument& document, QObject* parent)
    : QObject(parent),
      m_library(library),
      m_document(document) {
    connect(&m_library, &LibraryClient::opened, this, &MediaBook::load);
    connect(&m_library, &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & LibraryPart::Media)
            load();
    });
    connect(&m_document, &ServiceDocument::saved, this, &MediaBook::noteUses);
}

void MediaBook::load() {
    m_library.ask<std::vector<Medium>>(
        this, [](Library& library) { return library.catalogue().all(); },
        [this](Result<std::vector<Medium>> all) {
            if (!all) {
                Q_EMIT problem(all.error());
                return;
            }
            if (!std::exchange(m_isLoaded, true) || m_all != *all) {
                m_all = std::move(*all);
                Q_EMIT changed();
            }
            lookAtNext();
        });
}

const Medium* MediaBook::medium(const QString& name) const {
    const auto at =
        std::find_if(m_all.begin(), m_all.end(), [&](const Medium& medium) { return medium.name == name; });
    return at == m_all.end() ? nullptr : &*at;
}

QString MediaBook::pathOf(const QString& name) const {
    return mediaPath(m_library.address().mediaFolder(), name);
}

/// One after the other, and stored several at a time: each change has every list read again.
void MediaBook::lookAtNext() {
    if (m_isLooking)
        return;
    const auto isUnknown = [this](const Medium& medium) {
        return !medium.facts && medium.problem.isEmpty() &&
               std::none_of(m_described.begin(), m_described.end(),
                            [&](const Described& done) { return done.name == medium.name; });
    };
    const auto next = std::find_if(m_all.begin(), m_all.end(), isUnknown);
    if (next == m_all.end() || m_described.size() >= kStoredTogether) {
        storeDescribed();
        return;
    }
    m_isLooking = true;
    m_looker.run(
        this,
        [name = next->name, kind = next->kind, path = pathOf(next->name)] {
            return Described{name, lookAtMedium(path, kind)};
        },
        [this](Described described) {
            m_isLooking = false;
            m_described.push_back(std::move(described));
            lookAtNext();
        });
}

void MediaBook::storeDescribed() {
    if (m_described.empty()) {
        measureNext();
        return;
    }
    m_isLooking = true; // load() follows the change, and looks on
    m_library.ask<void>(
        this,
        [described = m_described](Library& library) -> Result<void> {
            for (const auto& [name, facts] : described)
                if (auto done = facts ? library.catalogue().describe(name, *facts)
                                      : library.catalogue().describe(name, facts.error().what);
                    !done)
                    return done;
            return {};
        },
        [this](const Result<void>& done) {
            m_isLooking = false;
            if (done)
                m_described.clear();
            tell(done);
        });
}

void MediaBook::measureNext() {
    if (m_isMeasuring)
        return;
    m_isMeasuring = true;
    m_library.ask<QString>(
        this, [](Library& library) { return library.catalogue().nextToMeasure(); },
        [this](const Result<QString>& next) {
            if (!next || next->isEmpty()) {
                m_isMeasuring = false;
                return;
            }
            m_meter.run(
                this, [path = pathOf(*next)] { return measuredLoudness(path); },
                [this, name = *next](const Result<Loudness>& measured) {
                    m_library.ask<void>(
                        this,
                        [name, loudness = measured ? std::optional(*measured) : std::nullopt](
                            Library& library) { return library.catalogue().describe(name, loudness); },
                        [this](const Result<void>& done) {
                            m_isMeasuring = !done; // not again and again where nothing can be written
                            tell(done);
                        });
                });
        });
}

double MediaBook::gainOf(const QString& name) const {
    const Medium* known = medium(name);
    return known ? evenGain(known->loudness, known->correction) : 0;
}

void MediaBook::tell(const Result<void>& done) {
    if (!done)
        Q_EMIT problem(done.error());
}

void MediaBook::change(const Medium& medium) {
    const Medium* known = this->medium(medium.name);
    if (!known || *known == medium)
        return;
    const Medium before = *known;
    *std::find(m_all.begin(), m_all.end(), before) = medium;
    m_library.ask<void>(
        this, [medium](Library& library) { return library.catalogue().change(medium); },
        [this](const Result<void>& done) {
            tell(done);
            if (!done)
                load();
        });
    if (before.from != medium.from || before.to != medium.to)
        follow(before, medium);
    Q_EMIT changed();
}

void MediaBook::follow(const Medium& before, const Medium& now) {
    std::vector<std::pair<ItemId, FilmItem>> followers;
    for (const Item& item : m_document.service().items)
        if (const auto* film = std::get_if<FilmItem>(&item.words);
            film && film->name == now.name && film->from == before.from && film->to == before.to) {
            followers.emplace_back(item.id, *film);
            followers.back().second.from = now.from;
            followers.back().second.to = now.to;
        }
    if (followers.empty())
        return;
    const QString what = tr("the part of a film that is played");
    m_document.undoStack().beginMacro(what);
    for (const auto& [item, film] : followers)
        m_document.change(item, film, what);
    m_document.undoStack().endMacro();
}

void MediaBook::putInBin(const QStringList& names, const std::function<void()>& done) {
    m_library.ask<void>(
        this, [names](Library& library) { return library.catalogue().putInBin(names); },
        [this, done](const Result<void>& put) { put ? done() : tell(put); });
}

void MediaBook::takeFromBin(const QStringList& names) {
    m_library.ask<void>(
        this, [names](Library& library) { return library.catalogue().takeFromBin(names); },
        [this](const Result<void>& done) { tell(done); });
}

int MediaBook::usesInService(const QString& name) const {
    const Service& service = m_document.service();
    const int items = int(std::count_if(service.items.begin(), service.items.end(),
                                        [&](const Item& item) { return mediaOf(item).contains(name); }));
    return items > 0 ? items : mediaOf(service).contains(name) ? 1 : 0;
}

void MediaBook::uses(QObject* asker, const QString& name,
                     const std::function<void(std::vector<MediumUse>)>& found) {
    m_library.ask<std::vector<MediumUse>>(
        asker, [name](Library& library) { return library.catalogue().uses(name); },
        [found](Result<std::vector<MediumUse>> uses) {
            found(uses ? std::move(*uses) : std::vector<MediumUse>());
        });
}

void MediaBook::noteUses() {
    const Service& service = m_document.service();
    m_library.ask<void>(
        this,
        [id = service.id, title = service.title, names = mediaOf(service), now = Clock::the().now()](
            Library& library) { return library.catalogue().noteUses(id, title, names, now); },
        [this](const Result<void>& done) { tell(done); });
}

} // namespace mivanta

#include "moc_MediaBook.cpp"
