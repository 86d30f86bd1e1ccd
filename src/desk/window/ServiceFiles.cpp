// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/ServiceFiles.h"
#include <QFileInfo>

namespace mivanta {

ServiceFiles::ServiceFiles(Session& session, Prompts& prompts, QObject* parent)
    : QObject(parent),
      m_session(session),
      m_prompts(prompts) {
    connect(&m_session.document(), &ServiceDocument::saved, this, [this] {
        if (const auto then = std::exchange(m_afterSave, {}))
            then();
    });
    connect(&m_session.document(), &ServiceDocument::failed, this, [this] { m_afterSave = {}; });
    connect(&m_session.document(), &ServiceDocument::broughtBack, this, [this] {
        Q_EMIT m_session.notice(tr("\u201c%1\u201d is here again, as it was. Redo (Ctrl+Shift+Z) goes back.")
                                    .arg(m_session.document().shownTitle()));
    });
}

void ServiceFiles::change(const QString& name, const std::function<void()>& inSecondWindow,
                          const std::function<void()>& then) {
    if (!m_session.isSecond() && m_session.onScreen().isSeen()) {
        const QString running = m_session.onScreen().serviceTitle();
        switch (m_prompts.openWhileOnScreen(running, name)) {
        case Prompts::WhileOnScreen::Stay:
            return;
        case Prompts::WhileOnScreen::SecondWindow:
            inSecondWindow();
            return;
        case Prompts::WhileOnScreen::ChangeOver:
            break;
        }
    }
    settleUnsaved(then);
}

void ServiceFiles::startNew() {
    change(
        tr("New service"), [this] { m_session.secondWindow().open({DoorRequest::Kind::StartNew}); },
        [this] { m_session.document().startNew(); });
}

void ServiceFiles::chooseAndOpen() {
    if (const QString path = m_prompts.serviceToOpen(); !path.isEmpty())
        open(path);
}

void ServiceFiles::open(const QString& path) {
    change(
        QFileInfo(path).completeBaseName(),
        [this, path] {
            m_session.secondWindow().open({DoorRequest::Kind::Open, path});
        },
        [this, path] { m_session.document().open(path); });
}

void ServiceFiles::begin(const QString& name, const Service& service) {
    change(
        name, [this, service] { beginInSecondWindow(service); },
        [this, service] {
            m_session.document().startFrom(service);
            Q_EMIT begun();
        });
}

/// The service goes over in a file that the second window takes away.
void ServiceFiles::beginInSecondWindow(const Service& service) {
    const QString path = sessionFolder(m_session.library().address().folder()) + u'/' + service.id.text() +
                         QStringLiteral(".mivanta");
    m_files.run(
        this, [service, path] { return saveService(service, path, {}); },
        [this, path](const Result<FileStamp>& saved) {
            if (saved)
                m_session.secondWindow().open({DoorRequest::Kind::BeginWith, path});
            else
                Q_EMIT m_session.problem(saved.error());
        });
}

void ServiceFiles::save(std::function<void()> then) {
    const QString path = m_session.document().path();
    if (path.isEmpty())
        saveAs(std::move(then));
    else
        saveTo(path, std::move(then));
}

void ServiceFiles::saveAs(std::function<void()> then) {
    const QString path =
        m_prompts.whereToSave(m_session.document().shownTitle() + QStringLiteral(".mivanta"));
    if (!path.isEmpty())
        saveTo(path, std::move(then));
}

void ServiceFiles::saveTo(const QString& path, std::function<void()> then) {
    m_afterSave = std::move(then);
    m_session.document().save(path);
}

void ServiceFiles::settleUnsaved(const std::function<void()>& then) {
    if (!m_session.document().isModified()) {
        then();
        return;
    }
    switch (m_prompts.unsavedWork(m_session.document().shownTitle())) {
    case Prompts::Unsaved::Save:
        save(then);
        break;
    case Prompts::Unsaved::GiveUp:
        then();
        break;
    case Prompts::Unsaved::Cancel:
        break;
    }
}

} // namespace mivanta

#include "moc_ServiceFiles.cpp"
