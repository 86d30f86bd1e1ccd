// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "session/Session.h"

namespace mivanta {

/// What is said of a service as a whole, asked for in a dialog.
class ServiceDetails : public QObject {
    Q_OBJECT
public:
    ServiceDetails(Session& session, Prompts& prompts, QObject* parent = nullptr)
        : QObject(parent),
          m_session(session),
          m_prompts(prompts) {}
    void rename();
    void changePlace();
    void changeStart();
    void whitenWords();

private:
    Session& m_session;
    Prompts& m_prompts;
};

} // namespace mivanta
