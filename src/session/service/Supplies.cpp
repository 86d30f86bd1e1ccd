// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/Supplies.h"
#include "render/Fonts.h"
#include "session/library/LibraryClient.h"
#include "session/service/MissingFiles.h"
#include "session/service/ServiceDocument.h"
#include "session/service/SlideBook.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"

namespace mivanta {

Supplies::Supplies(LibraryClient& library, ServiceDocument& document, SlideBook& book, MissingFiles& missing,
                   QObject* parent)
    : QObject(parent),
      m_library(library),
      m_document(document),
      m_book(book),
      m_missing(missing) {
    connect(&m_library, &LibraryClient::opened, this, &Supplies::loadFromLibrary);
    connect(&m_library, &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & LibraryPart::Themes)
            loadThemes();
        if (parts & LibraryPart::Media)
            loadMediaTitles();
    });
    connect(&m_document, &ServiceDocument::packedOpened, this, &Supplies::bringInPacked);
    connect(&m_missing, &MissingFiles::found, this, [this](int files) {
        Q_EMIT notice(tr("%n missing files were found and are in the library now.", nullptr, files));
        takeArrived();
    });
}

void Supplies::loadFonts() {
    loadFontsLater(m_library.address().fontsFolder(), this, [this](bool isAny) {
        if (isAny)
            m_book.remeasure();
    });
}

void Supplies::loadFromLibrary() {
    loadThemes();
    loadMediaTitles();
}

void Supplies::loadThemes() {
    using Loaded = std::pair<std::vector<Theme>, QString>; // with the usual one's id
    m_library.ask<Loaded>(
        this,
        [](Library& library) -> Result<Loaded> {
            auto themes = library.themes().all();
            if (!themes)
                return tl::unexpected(themes.error());
            const auto usual = library.themes().usual();
            return Loaded{std::move(*themes), usual.value_or(QString())};
        },
        [this](const Result<Loaded>& loaded) {
            if (!loaded) {
                Q_EMIT problem(loaded.error());
                return;
            }
            m_book.setThemes(loaded->first);
            if (const Theme* usual = themeOf(loaded->second, loaded->first))
                m_document.setUsualTheme(*usual);
        });
}

void Supplies::loadMediaTitles() {
    using Titles = QMap<QString, QString>;
    m_library.ask<Titles>(
        this,
        [](Library& library) -> Result<Titles> {
            const auto all = library.media().all();
            if (!all)
                return tl::unexpected(all.error());
            Titles titles;
            for (const StoredMedium& picture : *all)
                titles.insert(picture.name, picture.title);
            return titles;
        },
        [this](const Result<Titles>& titles) {
            if (titles)
                m_document.setMediaTitles(*titles);
        });
}

/// Each file once. On a thread of its own: the library's has to answer Find while large files come in.
void Supplies::bringInPacked(const QString& path) {
    m_unpacking.run(
        this,
        [path, address = m_library.address()]() -> Result<UnpackedMedia> {
            const auto library = Library::open(address);
            if (!library)
                return tl::unexpected(library.error());
            return bringInMedia(path, (*library)->media(), address.fontsFolder());
        },
        [this](const Result<UnpackedMedia>& brought) {
            if (!brought) {
                Q_EMIT problem(brought.error());
            } else if (brought->added > 0) {
                Q_EMIT notice(tr("%n files came with the service and are in the library now.", nullptr,
                                 int(brought->added)));
                takeArrived();
            }
        });
}

void Supplies::takeArrived() {
    loadMediaTitles();
    loadFonts();
    m_book.remeasure();
    m_missing.look();
    Q_EMIT mediaArrived();
}

} // namespace mivanta

#include "moc_Supplies.cpp"
