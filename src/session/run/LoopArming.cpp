// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/LoopArming.h"
#include <QJsonArray>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {
const QString kKeptArmed = u"armed"_s;
}

LoopArming::LoopArming(RunController& run, ServiceDocument& document, RunLoop& loop, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_loop(loop),
      m_service(document.service().id) {
    connect(&m_document, &ServiceDocument::changed, this, &LoopArming::documentChanged);
    connect(&m_run, &RunController::takenUp, this, &LoopArming::takeUp);
    connect(&m_due, &DueTimer::due, this, &LoopArming::lookAtClock);
    connect(&m_clock, &ClockWatch::wasSet, this, &LoopArming::lookAtClock);
}

bool LoopArming::isArmed(const ItemId& loop) const {
    return std::any_of(m_armed.begin(), m_armed.end(), [&](const Armed& each) { return each.loop == loop; });
}

namespace {

/// The next time that it begins, or the last one when that goes on now.
QDateTime beginNear(const Item& loop, const Service& service) {
    const QDateTime now = Clock::the().now();
    const QDateTime near = service.start.isValid() && service.start > now ? service.start : now;
    return loopBegin(loop, service, near);
}

} // namespace

Result<void> LoopArming::arm(const ItemId& id) {
    const Item* item = m_document.service().item(id);
    if (!item || !item->loop() || isArmed(id))
        return {};
    if (!item->plan.at)
        return failure(tr("\u201c%1\u201d has no time to begin at.").arg(item->title()), {},
                       tr("Say when it begins on the Prepare desk."));
    const QDateTime at = beginNear(*item, m_document.service());
    for (const Armed& each : m_armed)
        if (each.at == at)
            return failure(
                tr("\u201c%1\u201d is armed for %2, too.").arg(each.title, at.toString(u"HH:mm"_s)), {},
                tr("Disarm it first, or have one of them begin at another time."));
    if (at <= Clock::the().now()) {
        const QDateTime end = loopPlanOf(*item, m_document.service(), at).ends();
        if (end.isValid() && end <= Clock::the().now())
            return failure(tr("\u201c%1\u201d would be over: it goes from %2 to %3.")
                               .arg(item->title(), at.toString(u"HH:mm"_s), end.toString(u"HH:mm"_s)),
                           {}, tr("Take it, or have it begin and end later."));
        return m_loop.begin(id, at);
    }
    m_armed.push_back({id, item->title(), at});
    waitForNext();
    return {};
}

Result<void> LoopArming::armNext() {
    const Service& service = m_document.service();
    for (const Item& item : service.items)
        if (item.loop() && item.loop()->beginsByItself && item.plan.at && !item.plan.skipped &&
            !isArmed(item.id) && beginNear(item, service) > Clock::the().now())
            return arm(item.id);
    return failure(tr("There is no loop to arm."), {},
                   tr("Say on the Prepare desk when a loop begins, and that it does so by itself."));
}

void LoopArming::disarm(const ItemId& loop) {
    if (std::erase_if(m_armed, [&](const Armed& each) { return each.loop == loop; }) > 0)
        waitForNext();
}

void LoopArming::disarmAll() {
    if (m_armed.empty())
        return;
    m_armed.clear();
    waitForNext();
}

void LoopArming::armAtStart() {
    for (const Item& item : m_document.service().items)
        if (item.loop() && item.loop()->isArmedAtStart && !item.plan.skipped && !m_run.state().onScreen)
            if (const auto armed = arm(item.id); !armed)
                Q_EMIT failed(armed.error());
}

void LoopArming::waitForNext() {
    std::sort(m_armed.begin(), m_armed.end(), [](const Armed& a, const Armed& b) { return a.at < b.at; });
    if (m_armed.empty())
        m_due.stop();
    else
        m_due.start(std::max<qint64>(0, Clock::the().now().msecsTo(m_armed.front().at)));
    keep();
    Q_EMIT changed();
}

void LoopArming::lookAtClock() {
    while (!m_armed.empty() && m_armed.front().at <= Clock::the().now()) {
        const Armed due = m_armed.front();
        m_armed.erase(m_armed.begin());
        waitForNext();
        if (const auto begun = m_loop.begin(due.loop, due.at); !begun)
            Q_EMIT failed(begun.error());
    }
    waitForNext();
}

/// Another service, a loop that is gone, another time.
void LoopArming::documentChanged() {
    const Service& service = m_document.service();
    if (!(std::exchange(m_service, service.id) == service.id)) {
        if (!m_armed.empty())
            Q_EMIT notice(tr("Another service is open: \u201c%1\u201d is not armed any more.")
                              .arg(m_armed.front().title));
        disarmAll();
        return;
    }
    if (m_armed.empty())
        return;
    const std::vector<Armed> before = std::exchange(m_armed, {});
    for (const Armed& each : before) {
        const Item* item = service.item(each.loop);
        const bool isThere =
            item && item->loop() && item->loop()->beginsByItself && !item->plan.skipped && item->plan.at;
        if (!isThere) {
            Q_EMIT notice(tr("\u201c%1\u201d is not armed any more.").arg(each.title));
            continue;
        }
        QDateTime at = each.at;
        if (at.time() != *item->plan.at)
            at = beginNear(*item, service);
        const bool isTaken =
            std::any_of(m_armed.begin(), m_armed.end(), [&](const Armed& other) { return other.at == at; });
        if (at <= Clock::the().now() || isTaken)
            Q_EMIT notice(tr("\u201c%1\u201d is not armed any more: its time was changed.").arg(each.title));
        else
            m_armed.push_back({each.loop, item->title(), at});
    }
    waitForNext();
}

void LoopArming::keep() {
    QJsonArray all;
    for (const Armed& each : m_armed)
        all.append(QJsonObject{{u"loop"_s, each.loop.text()}, {u"at"_s, each.at.toString(Qt::ISODate)}});
    m_run.keepAlso(kKeptArmed, {{u"service"_s, m_service.text()}, {u"loops"_s, all}});
}

void LoopArming::takeUp() {
    const QJsonObject kept = m_run.keptAlso(kKeptArmed);
    m_service = m_document.service().id;
    if (!(ServiceId::fromText(kept[u"service"_s].toString()) == m_service))
        return;
    const QJsonArray loops = kept[u"loops"_s].toArray();
    for (const auto& value : loops) {
        const Item* item = m_document.service().item(ItemId::fromText(value[u"loop"_s].toString()));
        const QDateTime at = QDateTime::fromString(value[u"at"_s].toString(), Qt::ISODate);
        if (item && item->loop() && at.isValid() && !isArmed(item->id))
            m_armed.push_back({item->id, item->title(), at});
    }
    std::sort(m_armed.begin(), m_armed.end(), [](const Armed& a, const Armed& b) { return a.at < b.at; });
    QTimer::singleShot(0, this,
                       &LoopArming::lookAtClock); // what was due meanwhile begins where it is by the clock
}

} // namespace mivanta

#include "moc_LoopArming.cpp"
