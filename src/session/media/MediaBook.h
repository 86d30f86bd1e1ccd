// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"
#include "session/work/LeavableWorker.h"

namespace mivanta {

class ServiceDocument;

/// The library's media as the desks show them. Files that nobody has looked at yet are looked at in the
/// background; the services that are saved are noted with what they use. GUI thread.
class MediaBook : public QObject {
    Q_OBJECT
public:
    MediaBook(LibraryClient& library, ServiceDocument& document, QObject* parent = nullptr);

    /// The last one that came first.
    [[nodiscard]] const std::vector<Medium>& all() const { return m_all; }
    /// Null when the library has none of that name.
    [[nodiscard]] const Medium* medium(const QString& name) const;
    [[nodiscard]] bool isLoaded() const { return m_isLoaded; }
    /// Where its file lies.
    [[nodiscard]] QString pathOf(const QString& name) const;

    /// Title, caption, star, and the part that is played. Items of the open service that play the part that
    /// was chosen here before follow, in one step that can be undone.
    void change(const Medium& medium);
    /// `done`: they are there.
    void putInBin(const QStringList& names, const std::function<void()>& done);
    void takeFromBin(const QStringList& names);
    /// By how much it is made louder so that all are equally loud, dB.
    [[nodiscard]] double gainOf(const QString& name) const;
    /// How many places of the open service show or play it.
    [[nodiscard]] int usesInService(const QString& name) const;
    /// In saved services, the last one first.
    void uses(QObject* asker, const QString& name, const std::function<void(std::vector<MediumUse>)>& found);

Q_SIGNALS:
    void changed();
    void problem(const mivanta::Error& error);

private:
    struct Described {
        QString name;
        Result<MediumFacts> facts;
    };
    void load();
    void lookAtNext();
    void storeDescribed();
    void measureNext(); ///< how loud one is, when all were looked at
    void noteUses();
    void follow(const Medium& before, const Medium& now);
    void tell(const Result<void>& done);

    LibraryClient& m_library;
    ServiceDocument& m_document;
    std::vector<Medium> m_all;
    bool m_isLoaded = false;
    bool m_isLooking = false;
    bool m_isMeasuring = false;
    std::vector<Described> m_described; ///< and not stored yet
    LeavableWorker m_looker;
    LeavableWorker m_meter;
};

} // namespace mivanta
