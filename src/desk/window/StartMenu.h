// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/window/ServiceFiles.h"
#include "store/ServiceTemplates.h"
#include <QMenu>

namespace mivanta {

/// Ways to begin a service that is not empty: from a template, like an earlier one, or from an e-mail.
class StartMenu : public QMenu {
    Q_OBJECT
public:
    StartMenu(Session& session, Prompts& prompts, ServiceFiles& files, QWidget* parent);

private:
    void look();
    void fill();
    void fillEarlier(QMenu& menu, bool choosesAnew);
    /// Makes it on another thread; `name`: what it is called before it has a title.
    void startFrom(const QString& name, std::function<Result<Service>()> make);
    void startFromText();
    void keepAsTemplate();

    Session& m_session;
    Prompts& m_prompts;
    ServiceFiles& m_serviceFiles;
    std::vector<ServiceTemplate> m_templates; ///< as they were looked at last
    Worker m_files{QStringLiteral("templates")};
};

} // namespace mivanta
