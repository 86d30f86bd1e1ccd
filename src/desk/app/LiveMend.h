// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/WordsMend.h"
#include "desk/app/Session.h"

namespace mivanta {

/// Mends words while a service runs: of what is on screen, else of what is next. GUI thread.
class LiveMend : public QObject {
    Q_OBJECT
public:
    explicit LiveMend(Session& session, QObject* parent = nullptr);

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
    /// One step that Prepare can undo. What has become of it is told as a notice of the session.
    void mend(const Found& found, const QString& words, Wishes wishes);

private:
    void mendInLibrary(const Item& item, const MendableWords& found, const QString& words);

    Session& m_session;
};

} // namespace mivanta
