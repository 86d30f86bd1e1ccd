// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/run/WordsMend.h"
#include <QObject>

namespace mivanta {

class LibraryClient;
class RunController;
class ServiceDocument;
class SlideBook;

/// Mends words while a service runs: of what is on screen, else of what is next. GUI thread.
class MendOnScreen : public QObject {
    Q_OBJECT
public:
    MendOnScreen(RunController& run, ServiceDocument& document, SlideBook& book, LibraryClient& library,
                 QObject* parent = nullptr);

    struct Found {
        ItemId item;
        QString title; ///< of the item
        MendableWords words;
        bool isOnScreen = false;
        bool isLibrarys =
            false; ///< a song or a text whose own words they are: the library may have them, too
    };
    /// Nothing when there are no words that could be mended.
    [[nodiscard]] std::optional<Found> find() const;

    struct Wishes {
        bool atOnce = true;     ///< the screens change now; else with the next take
        bool inLibrary = false; ///< for good, not for this service alone
    };
    /// One step that Prepare can undo. What has become of it is told.
    void mend(const Found& found, const QString& words, Wishes wishes);

Q_SIGNALS:
    void told(const QString& text); ///< where, in a sentence
    void failed(const mivanta::Error& error);

private:
    void mendInLibrary(const Item& item, const MendableWords& found, const QString& words);

    RunController& m_run;
    ServiceDocument& m_document;
    SlideBook& m_book;
    LibraryClient& m_library;
};

} // namespace mivanta
