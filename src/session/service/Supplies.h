// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "session/work/Worker.h"

namespace mivanta {

class LibraryClient;
class MissingFiles;
class ServiceDocument;
class SlideBook;

/// What the open service needs of the library: its themes, the names of its media, fonts. What came with a
/// packed service becomes the library's. GUI thread.
class Supplies : public QObject {
    Q_OBJECT
public:
    Supplies(LibraryClient& library, ServiceDocument& document, SlideBook& book, MissingFiles& missing,
             QObject* parent = nullptr);

    void loadFonts();

Q_SIGNALS:
    void problem(const mivanta::Error& error);
    void notice(const QString& text);
    void mediaArrived(); ///< pictures and fonts that were missing are there

private:
    void loadFromLibrary();
    void loadThemes();
    void loadMediaTitles();
    void bringInPacked(const QString& path);
    void takeArrived();

    LibraryClient& m_library;
    ServiceDocument& m_document;
    SlideBook& m_book;
    MissingFiles& m_missing;
    Worker m_unpacking{QStringLiteral("unpacking")};
};

} // namespace mivanta
