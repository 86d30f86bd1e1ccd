// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "core/run/Covers.h"

namespace mivanta {

class RunController;

/// What is ordered of the curtains, the call-out and the test cards. What stands in front of the outputs is
/// part of the run's state; this knows what to go back to from black, and when a call-out ends. GUI thread.
class CoverOrders : public QObject {
    Q_OBJECT
public:
    explicit CoverOrders(RunController& run);

    void setCurtain(Curtain curtain);
    /// A curtain for one output; nothing = the same as all the others.
    void setOwnCurtain(const QString& output, std::optional<Curtain> curtain);
    /// Black everywhere, or what it was before.
    void blackAndBack();
    /// For as long as the settings say.
    void callOut(const QString& text, const std::set<QString>& outputs);
    void endCallOut();
    /// A card to set the output's screen up with, over everything.
    void setTestCard(const QString& output, bool on);
    void endTestCards();

    // For the run: an output is called otherwise; what is kept for a restart; the state has become another.
    void renameOutput(const QString& from, const QString& to);
    [[nodiscard]] const Covers& beforeBlack() const { return m_beforeBlack; }
    void setBeforeBlack(const Covers& covers) { m_beforeBlack = covers; }
    void watchCallOut();

private:
    [[nodiscard]] bool isBlackEverywhere() const;

    RunController& m_run;
    Covers m_beforeBlack;
    DueTimer m_callOutEnds;
};

} // namespace mivanta
