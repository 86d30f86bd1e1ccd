// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/LookAhead.h"
#include "session/Session.h"
#include <QLabel>

namespace mivanta {

/// Quiet facts about the songs of the order, at the foot of the sheet; hidden while there are none. When they
/// were sung is asked of the library in the background.
class LookAheadFacts : public QLabel {
    Q_OBJECT
public:
    explicit LookAheadFacts(Session& session, QWidget* parent = nullptr);

private:
    void look();
    void tell(const QHash<SongId, QDate>& lastSung);

    Session& m_session;
    std::vector<SongId> m_asked; ///< the songs that m_lastSung is about
    QHash<SongId, QDate> m_lastSung;
    QTimer m_soon;
};

} // namespace mivanta
