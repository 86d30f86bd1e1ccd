// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "session/Session.h"

namespace mivanta {

/// What the desks do with service files. Every way to another service goes through here: while something is
/// on the screens, and while work is not saved, it asks first. GUI thread.
class ServiceFiles : public QObject {
    Q_OBJECT
public:
    ServiceFiles(Session& session, Prompts& prompts, QObject* parent = nullptr);

    void startNew();
    /// Asks which.
    void chooseAndOpen();
    void open(const QString& path);
    /// A service that was made of something else; `name`: what it is called here.
    void begin(const QString& name, const Service& service);
    /// Saves; asks where when there is no file yet. `then` runs once it is on the disk.
    void save(std::function<void()> then = {});
    /// Asks where, and saves there.
    void saveAs(std::function<void()> then = {});
    /// Runs the rest once unsaved work is saved or given up; not at all when the person stays.
    void settleUnsaved(const std::function<void()>& then);

Q_SIGNALS:
    void begun(); ///< a service that was made of something else is here

private:
    /// Asks what there is to ask, then runs `then` here, or has the second window do what is wanted.
    void change(const QString& name, const std::function<void()>& inSecondWindow,
                const std::function<void()>& then);
    void beginInSecondWindow(const Service& service);
    void saveTo(const QString& path, std::function<void()> then);

    Session& m_session;
    Prompts& m_prompts;
    std::function<void()> m_afterSave;
    Worker m_files{QStringLiteral("handing over")}; // for machines
};

} // namespace mivanta
