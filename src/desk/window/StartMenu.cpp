// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/StartMenu.h"
#include "core/base/Clock.h"
#include "core/order/Templates.h"
#include "desk/prepare/PasteOrder.h"
#include "desk/window/RecentServices.h"
#include <QClipboard>
#include <QFileInfo>
#include <QGuiApplication>

namespace mivanta {

namespace {

QString asMenuText(QString text) {
    return text.replace(QLatin1String("&"), QLatin1String("&&"));
}

} // namespace

StartMenu::StartMenu(Session& session, Prompts& prompts, ServiceFiles& files, QWidget* parent)
    : QMenu(tr("Begin with"), parent),
      m_session(session),
      m_prompts(prompts),
      m_serviceFiles(files) {
    setObjectName(QStringLiteral("start-menu"));
    setToolTipsVisible(true);
    connect(this, &QMenu::aboutToShow, this, [this] {
        fill();
        look(); // somebody may have put one into the folder
    });
    look();
}

/// What is in the folder, on another thread: its disk may take its time.
void StartMenu::look() {
    m_files.run(
        this, [folder = m_session.library().address().folder()] { return templatesOf(folder); },
        [this](const std::vector<ServiceTemplate>& found) {
            if (found == m_templates)
                return;
            m_templates = found;
            if (isVisible())
                fill();
        });
}

void StartMenu::fill() {
    clear();
    addSection(tr("From a template"));
    for (const ServiceTemplate& each : m_templates) {
        QAction* action = addAction(asMenuText(each.name), this, [this, each] {
            startFrom(each.name, [each, theme = m_session.document().usualTheme()] {
                return openTemplate(each, theme);
            });
        });
        action->setObjectName(QStringLiteral("template-") + each.name);
        action->setToolTip(tr("An order with places to fill; Find fills them one by one"));
    }
    addSection(tr("From another service"));
    fillEarlier(*addMenu(tr("&Like an earlier one")), false);
    fillEarlier(*addMenu(tr("Like an earlier one, &songs and scripture chosen anew")), true);
    addSection(tr("From what somebody wrote"));
    QAction* text = addAction(tr("From an &e-mail or a list\u2026"), this, &StartMenu::startFromText);
    text->setObjectName(QStringLiteral("start-from-text"));
    text->setToolTip(tr("Paste the order; its lines are matched with songs, passages and texts"));
    addSeparator();
    QAction* keep = addAction(tr("&Keep this service as a template\u2026"), this, &StartMenu::keepAsTemplate);
    keep->setObjectName(QStringLiteral("keep-template"));
    keep->setToolTip(tr("Its order for other days, with places to fill for songs and scripture"));
    keep->setEnabled(!m_session.document().service().items.empty());
}

void StartMenu::fillEarlier(QMenu& menu, bool choosesAnew) {
    int number = 0;
    for (const QString& path : RecentServices::paths()) {
        QAction* action = menu.addAction(
            QStringLiteral("&%1  %2").arg(++number).arg(asMenuText(QFileInfo(path).completeBaseName())), this,
            [this, path, choosesAnew] {
                startFrom(QFileInfo(path).completeBaseName(), [path, choosesAnew]() -> Result<Service> {
                    const auto opened = openService(path);
                    if (!opened)
                        return tl::unexpected(opened.error());
                    return serviceLike(opened->service, Clock::the().date(), choosesAnew);
                });
            });
        action->setObjectName(
            QStringLiteral("%1-%2").arg(choosesAnew ? QStringLiteral("anew") : QStringLiteral("like"),
                                        QFileInfo(path).completeBaseName()));
        action->setToolTip(path);
    }
    menu.setEnabled(number > 0);
}

void StartMenu::startFrom(const QString& name, std::function<Result<Service>()> make) {
    m_files.run(this, std::move(make), [this, name](const Result<Service>& service) {
        if (service)
            m_serviceFiles.begin(name, *service);
        else
            Q_EMIT m_session.problem(service.error());
    });
}

void StartMenu::startFromText() {
    auto* dialog = new PasteOrder(m_session, QGuiApplication::clipboard()->text(),
                                  tr("Begin the service with them"), parentWidget());
    connect(dialog, &PasteOrder::taken, this, [this](const std::vector<Item>& items) {
        Service service;
        service.id = ServiceId::create();
        service.theme = m_session.document().usualTheme();
        service.items = items;
        m_serviceFiles.begin(tr("New service"), service);
    });
    dialog->open();
}

void StartMenu::keepAsTemplate() {
    const QString name =
        m_prompts.text(tr("The name of the template:"), m_session.document().service().title).trimmed();
    if (name.isEmpty())
        return;
    const QString folder = m_session.library().address().folder();
    for (const ServiceTemplate& each : m_templates)
        if (!each.isShipped && each.name == name &&
            !m_prompts.agree(tr("There is a template \u201c%1\u201d already.").arg(name), tr("Replace it")))
            return;
    m_files.run(
        this,
        [service = m_session.document().service(), name, folder] {
            return keepTemplate(service, name, folder);
        },
        [this, name](const Result<void>& kept) {
            if (kept)
                Q_EMIT m_session.notice(tr("The template \u201c%1\u201d is kept.").arg(name));
            else
                Q_EMIT m_session.problem(kept.error());
            look();
        });
}

} // namespace mivanta

#include "moc_StartMenu.cpp"
