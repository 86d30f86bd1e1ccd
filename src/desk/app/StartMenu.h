// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"
#include "store/ServiceTemplates.h"
#include <QMenu>

namespace mivanta {

/// Ways to begin a service that is not empty: from a template, like an earlier one, or from an e-mail.
class StartMenu : public QMenu {
    Q_OBJECT
public:
    /// `settle`: runs the rest once unsaved work is saved or given up.
    StartMenu(Session& session, Prompts& prompts, std::function<void(const std::function<void()>&)> settle,
              QWidget* parent);

Q_SIGNALS:
    void started(); ///< a service with something in it is here

private:
    void look();
    void fill();
    void fillEarlier(QMenu& menu, bool choosesAnew);
    /// Makes it on another thread.
    void startFrom(std::function<Result<Service>()> make);
    void startFromText();
    void keepAsTemplate();

    Session& m_session;
    Prompts& m_prompts;
    std::function<void(const std::function<void()>&)> m_settle;
    std::vector<ServiceTemplate> m_templates; ///< as they were looked at last
    Worker m_files{QStringLiteral("templates")};
};

} // namespace mivanta
