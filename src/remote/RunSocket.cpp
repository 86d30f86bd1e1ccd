// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/RunSocket.h"
#include "core/run/PartJumps.h"
#include "session/service/PlannedLengths.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QLocalSocket>
#include <QTimer>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLongestOrder = 64 << 10;
constexpr qint64 kMostWaiting = 1 << 20; ///< bytes, of orders and of answers that nobody reads
constexpr int kOrdersATurn = 8;
constexpr int kRestMs = 5;

struct CurtainWord {
    Curtain curtain;
    const char* word;
};
constexpr CurtainWord kCurtains[]{{Curtain::Open, "open"},
                                  {Curtain::Plain, "plain"},
                                  {Curtain::WordsOff, "words off"},
                                  {Curtain::HouseCard, "house card"},
                                  {Curtain::Black, "black"}};

QString wordOf(Curtain curtain) {
    for (const CurtainWord& each : kCurtains)
        if (each.curtain == curtain)
            return QLatin1String(each.word);
    return {};
}

std::optional<Curtain> curtainOf(const QString& word) {
    for (const CurtainWord& each : kCurtains)
        if (word == QLatin1String(each.word))
            return each.curtain;
    return std::nullopt;
}

/// The item that is meant has a part of that letter, or of that short name.
bool hasPart(const RunState& state, const RunPlan& plan, const QString& part) {
    const auto item = itemMeant(state, plan);
    const ItemSlides* slides = item ? plan.slidesOf(*item) : nullptr;
    const auto isIt = [&](const ContentPart& each) {
        return part.size() == 1 ? each.shortLabel.startsWith(part, Qt::CaseInsensitive)
                                : each.shortLabel.compare(part, Qt::CaseInsensitive) == 0;
    };
    return slides && std::any_of(slides->content.parts.begin(), slides->content.parts.end(), isIt);
}

} // namespace

QString runSocketPath(const QString& sessionFolder) {
    return sessionFolder + u"/run.sock"_s;
}

RunSocket::RunSocket(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    m_server.setSocketOptions(QLocalServer::UserAccessOption);
    connect(&m_server, &QLocalServer::newConnection, this, &RunSocket::newConnection);
}

Result<void> RunSocket::listen(const QString& path) {
    if (m_server.isListening())
        return {};
    QLocalServer::removeServer(path); // of desks that were killed
    if (!m_server.listen(path))
        return failure(m_server.errorString(), path, tr("Running goes on; only the remote cannot be used."));
    return {};
}

void RunSocket::newConnection() {
    while (QLocalSocket* socket = m_server.nextPendingConnection()) {
        connect(socket, &QLocalSocket::disconnected, socket, &QObject::deleteLater);
        socket->setReadBufferSize(kMostWaiting); // whoever sends more waits
        auto* rest = new QTimer(socket);
        rest->setSingleShot(true);
        rest->setInterval(kRestMs);
        const auto goOn = [this, socket, rest] {
            if (!rest->isActive() && read(socket))
                rest->start();
        };
        connect(rest, &QTimer::timeout, this, goOn);
        connect(socket, &QLocalSocket::readyRead, this, goOn);
    }
}

/// A few orders a turn, so that keys and screens come between; and no more answers than are read. True when
/// there are more.
bool RunSocket::read(QLocalSocket* socket) {
    for (int order = 0; order < kOrdersATurn && socket->canReadLine(); ++order) {
        if (socket->bytesToWrite() > kMostWaiting) {
            socket->abort();
            return false;
        }
        const QByteArray bytes = socket->readLine(kLongestOrder);
        if (!bytes.endsWith('\n')) { // longer than any order
            socket->abort();
            return false;
        }
        const QJsonDocument line = QJsonDocument::fromJson(bytes);
        const QJsonObject answer =
            line.isObject() ? obey(line.object())
                            : QJsonObject{{u"ok"_s, false}, {u"problem"_s, u"this is no JSON object"_s}};
        socket->write(QJsonDocument(answer).toJson(QJsonDocument::Compact) + '\n');
    }
    const bool hasMore = socket->canReadLine();
    if (!hasMore && socket->bytesAvailable() > kLongestOrder)
        socket->abort();
    return hasMore;
}

QJsonObject RunSocket::obey(const QJsonObject& order) {
    const QString problem = problemOf(order);
    QJsonObject answer{{u"ok"_s, problem.isEmpty()}, {u"state"_s, state()}};
    if (!problem.isEmpty())
        answer.insert(u"problem"_s, problem);
    return answer;
}

QString RunSocket::problemOf(const QJsonObject& order) {
    RunController& run = m_session.run();
    const QString what = order[u"do"_s].toString();
    if (what == u"state")
        return {};
    if (what == u"take") {
        run.take();
        return {};
    }
    if (what == u"next") {
        run.lookBack(); // what follows, wherever the operator is looking
        run.take();
        return {};
    }
    if (what == u"back") {
        run.back();
        return {};
    }
    if (what == u"undo") {
        run.undoTake();
        return {};
    }
    if (what == u"jump")
        return jump(order);
    if (what == u"curtain")
        return cover(order);
    if (what == u"call-out") {
        const QString text = order[u"text"_s].toString();
        if (text.isEmpty())
            run.endCallOut();
        else
            run.callOut(text, {});
        return {};
    }
    return u"\"do\" is one of state, take, next, back, undo, jump, curtain, call-out"_s;
}

/// Looks at an item by its number, or at a part of the one that is meant; takes it when that is said, too.
QString RunSocket::jump(const QJsonObject& order) {
    RunController& run = m_session.run();
    const SlideBook& plan = m_session.book();
    const int item = order[u"item"_s].toInt();
    const QString part = order[u"part"_s].toString();
    RunState looked = run.state();
    if (order.contains(u"item"_s)) {
        if (item < 1 || item > plan.itemCount())
            return u"there is no item %1"_s.arg(item);
        looked = lookedAtItem(looked, plan, item - 1);
    } else if (part.isEmpty()) {
        return u"say \"item\" (1 to %1) or \"part\" (such as C or V2)"_s.arg(plan.itemCount());
    }
    const int digits = part.mid(1).toInt();
    const auto number = digits > 0 ? std::optional(digits) : std::nullopt;
    if (!part.isEmpty() && !hasPart(looked, plan, part)) // nothing is done by halves
        return u"there is no part \"%1\" here"_s.arg(part);
    if (order.contains(u"item"_s))
        run.lookAtItem(item - 1);
    if (!part.isEmpty())
        run.lookAtPart(part.front(), number);
    if (order[u"take"_s].toBool())
        run.take();
    return {};
}

QString RunSocket::cover(const QJsonObject& order) {
    const QString to = order[u"to"_s].toString();
    const auto curtain = curtainOf(to);
    const QString output = order[u"output"_s].toString();
    if (!curtain && !(to.isEmpty() && !output.isEmpty()))
        return u"\"to\" is one of open, plain, words off, house card, black"_s;
    if (output.isEmpty()) {
        m_session.run().setCurtain(*curtain);
        return {};
    }
    for (const Output& each : m_session.outputs().all())
        if (each.name == output) {
            m_session.run().setOwnCurtain(output, curtain);
            return {};
        }
    return u"there is no output \"%1\""_s.arg(output);
}

QJsonObject RunSocket::placeOf(const std::optional<Cue>& cue) const {
    const SlideBook& plan = m_session.book();
    const ItemSlides* slides = cue ? plan.slidesOf(cue->item) : nullptr;
    if (!slides)
        return {};
    const Item* item = m_session.document().service().item(cue->item);
    if (!item)
        item = plan.unplannedItem(cue->item);
    const int at = plan.indexOf(cue->item);
    const int step = slides->stepAt(cue->position);
    const size_t part = size_t(slides->steps[size_t(step)].part);
    QJsonObject json{{u"title"_s, item ? item->title() : QString()},
                     {u"step"_s, step + 1},
                     {u"steps"_s, int(slides->steps.size())}};
    if (at >= 0)
        json.insert(u"item"_s, at + 1); // none = unplanned
    if (part < slides->content.parts.size())
        json.insert(u"part"_s, slides->content.parts[part].label);
    return json;
}

QJsonObject RunSocket::state() const {
    const RunState& state = m_session.run().state();
    const Service& service = m_session.document().service();
    QJsonObject json{{u"service"_s, service.title},
                     {u"items"_s, m_session.book().itemCount()},
                     {u"curtain"_s, wordOf(state.covers.curtain)}};
    if (const QJsonObject place = placeOf(m_session.onScreen().cue()); !place.isEmpty())
        json.insert(u"onScreen"_s, place);
    if (const QString other = m_session.onScreen().otherService(); !other.isEmpty())
        json.insert(u"onScreenFrom"_s, other);
    if (const QJsonObject place = placeOf(state.next); !place.isEmpty())
        json.insert(u"next"_s, place);
    QJsonObject outputs;
    for (const Output& output : m_session.outputs().all())
        outputs.insert(output.name, QJsonObject{{u"curtain"_s, wordOf(state.covers.on(output.name))},
                                                {u"frozen"_s, state.frozen.contains(output.name)}});
    json.insert(u"outputs"_s, outputs);
    if (state.covers.callOut)
        json.insert(u"callOut"_s, state.covers.callOut->text);
    const RunTiming timing =
        timingOf(service, m_session.run().moment(), plannedLengths(m_session.document()));
    if (timing.behind)
        json.insert(u"secondsBehind"_s, *timing.behind);
    if (timing.likelyEnd.isValid())
        json.insert(u"likelyEnd"_s, timing.likelyEnd.toString(u"HH:mm"_s));
    return json;
}

} // namespace mivanta
