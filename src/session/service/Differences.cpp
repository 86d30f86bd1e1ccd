// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/Differences.h"
#include "core/base/Cases.h"
#include <QSettings>
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kLookAfterMs = 300;
constexpr qsizetype kMostKept = 2000;

QString keptSetting() {
    return QStringLiteral("differences/kept");
}

} // namespace

Differences::Differences(ServiceDocument& document, LibraryClient& library, QObject* parent)
    : QObject(parent),
      m_document(document),
      m_library(library) {
    m_soon.setSingleShot(true);
    m_soon.setInterval(kLookAfterMs);
    connect(&m_soon, &QTimer::timeout, this, &Differences::look);
    const auto lookSoon = [this] { m_soon.start(); };
    connect(&m_document, &ServiceDocument::changed, this, lookSoon);
    connect(&m_library, &LibraryClient::opened, this, lookSoon);
    connect(&m_library, &LibraryClient::changed, this, lookSoon);
}

void Differences::look() {
    if (!m_library.isOpen())
        return; // opened() follows
    using All = std::vector<LibraryDifference>;
    m_library.ask<All>(
        this, [service = m_document.service()](Library& library) { return differencesOf(service, library); },
        [this](Result<All> found) {
            if (!found)
                return; // the library says itself what is wrong with it
            const QStringList kept = QSettings().value(keptSetting()).toStringList();
            std::erase_if(*found, [&](const LibraryDifference& each) { return kept.contains(each.key); });
            m_all = std::move(*found);
            Q_EMIT changed();
        });
}

void Differences::take(const LibraryDifference& difference, const LibraryDifference::Words& words) {
    std::visit(Cases{[&](const std::shared_ptr<const Song>& song) {
                         for (const ItemId& id : difference.items)
                             m_document.change(id, SongItem{song}, tr("taking the library's song"));
                     },
                     [&](const std::shared_ptr<const SpokenText>& text) {
                         for (const ItemId& id : difference.items)
                             if (const Item* item = m_document.service().item(id))
                                 if (const auto* now = std::get_if<TextItem>(&item->words))
                                     m_document.change(id, TextItem{text, now->answers},
                                                       tr("taking the library's text"));
                     },
                     [&](const Theme& theme) { m_document.updateTheme(theme); }},
               words);
}

void Differences::takeLibrarys(const std::vector<LibraryDifference>& which) {
    std::vector<LibraryDifference> known = which;
    std::erase_if(known, [](const LibraryDifference& each) { return !each.there; });
    if (known.empty())
        return;
    m_document.undoStack().beginMacro(tr("taking what the library has"));
    for (const LibraryDifference& difference : known)
        take(difference, *difference.there);
    m_document.undoStack().endMacro();
}

void Differences::putIntoLibrary(const std::vector<LibraryDifference>& which) {
    using Stored = std::vector<LibraryDifference::Words>;
    m_library.ask<Stored>(
        this,
        [which](Library& library) -> Result<Stored> {
            Stored stored;
            for (const LibraryDifference& difference : which) {
                auto words = putInto(library, difference);
                if (!words)
                    return tl::unexpected(words.error());
                stored.push_back(std::move(*words));
            }
            return stored;
        },
        [this, which](const Result<Stored>& stored) {
            if (!stored) {
                Q_EMIT failed(stored.error());
                return;
            }
            // Songs and texts have the library's revision from now on; themes are the same already.
            std::vector<size_t> taken;
            for (size_t i = 0; i < which.size(); ++i)
                if (!std::holds_alternative<Theme>(which[i].here))
                    taken.push_back(i);
            if (taken.empty())
                return;
            m_document.undoStack().beginMacro(tr("putting into the library"));
            for (const size_t i : taken)
                take(which[i], (*stored)[i]);
            m_document.undoStack().endMacro();
        });
}

void Differences::keep(const std::vector<LibraryDifference>& which) {
    QSettings settings;
    QStringList kept = settings.value(keptSetting()).toStringList();
    for (const LibraryDifference& difference : which)
        kept << difference.key;
    settings.setValue(keptSetting(), kept.mid(std::max<qsizetype>(0, kept.size() - kMostKept)));
    look();
}

} // namespace mivanta

#include "moc_Differences.cpp"
