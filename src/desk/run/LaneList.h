// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/run/Lane.h"
#include "session/Session.h"
#include <QScrollArea>

class QLabel;
class QVBoxLayout;

namespace mivanta {

/// Every item as a lane; the lane of what is next is open, and so is the one on screen. Keeps the marked
/// card in sight.
class LaneList : public QScrollArea {
    Q_OBJECT
public:
    explicit LaneList(Session& session, QWidget* parent = nullptr);
    [[nodiscard]] const std::vector<Lane*>& lanes() const { return m_lanes; }

protected:
    void showEvent(QShowEvent* event) override;

private:
    void planChanged(); ///< lanes are made when they are seen
    void rebuild();
    void mark();
    [[nodiscard]] QString coverName() const;
    /// A lane for what is next or on screen without being in the order.
    void showUnplanned();
    void connectLane(Lane* lane, const ItemId& id);
    void keepInSight();

    Session& m_session;
    const RunController& m_run;
    RunOrders& m_orders;
    OnScreen& m_onScreen;
    ServiceDocument& m_document;
    QVBoxLayout* m_column;
    std::vector<Lane*> m_lanes;
    std::vector<QWidget*> m_between; ///< notes for the operator and heads of loops
    Lane* m_unplanned = nullptr;
    bool m_isStale = true;
    QTimer m_sightSoon;
};

} // namespace mivanta
