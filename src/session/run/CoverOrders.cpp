// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/CoverOrders.h"
#include "session/run/RunController.h"
#include <algorithm>

namespace mivanta {

CoverOrders::CoverOrders(RunController& run) : m_run(run) {
    connect(&m_callOutEnds, &DueTimer::due, this, &CoverOrders::endCallOut);
}

void CoverOrders::renameOutput(const QString& from, const QString& to) {
    if (auto entry = m_beforeBlack.own.extract(from)) {
        entry.key() = to;
        m_beforeBlack.own.insert(std::move(entry));
    }
}

void CoverOrders::setCurtain(Curtain curtain) {
    Covers covers = m_run.state().covers;
    if (curtain == Curtain::Black && !isBlackEverywhere())
        m_beforeBlack = covers;
    covers.curtain = curtain;
    covers.own.clear(); // for all means for all
    m_run.cover(covers);
}

void CoverOrders::setOwnCurtain(const QString& output, std::optional<Curtain> curtain) {
    Covers covers = m_run.state().covers;
    covers.own.erase(output);
    if (curtain)
        covers.own[output] = *curtain;
    m_run.cover(covers);
}

bool CoverOrders::isBlackEverywhere() const {
    return m_run.state().covers.curtain == Curtain::Black && m_run.state().covers.own.empty();
}

void CoverOrders::blackAndBack() {
    if (!isBlackEverywhere()) {
        setCurtain(Curtain::Black);
        return;
    }
    Covers covers = m_run.state().covers;
    covers.curtain = m_beforeBlack.curtain;
    covers.own = m_beforeBlack.own;
    m_run.cover(covers);
}

void CoverOrders::callOut(const QString& text, const std::set<QString>& outputs) {
    if (text.trimmed().isEmpty())
        return;
    Covers covers = m_run.state().covers;
    covers.callOut = CallOut{text.trimmed(), outputs, std::nullopt};
    if (m_run.settings().callOutSeconds > 0)
        covers.callOut->until = Clock::the().now().addSecs(m_run.settings().callOutSeconds);
    m_run.cover(covers);
}

void CoverOrders::endCallOut() {
    Covers covers = m_run.state().covers;
    covers.callOut.reset();
    m_run.cover(covers);
}

void CoverOrders::setTestCard(const QString& output, bool on) {
    Covers covers = m_run.state().covers;
    if (on)
        covers.testCards.insert(output);
    else
        covers.testCards.erase(output);
    m_run.cover(covers);
}

void CoverOrders::endTestCards() {
    Covers covers = m_run.state().covers;
    covers.testCards.clear();
    m_run.cover(covers);
}

void CoverOrders::watchCallOut() {
    const auto& callOut = m_run.state().covers.callOut;
    if (!callOut || !callOut->until) {
        m_callOutEnds.stop();
        return;
    }
    const qint64 left = Clock::the().now().msecsTo(*callOut->until);
    m_callOutEnds.start(std::max<qint64>(0, left));
}

} // namespace mivanta

#include "moc_CoverOrders.cpp"
