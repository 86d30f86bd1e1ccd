// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/RunSocket.h"
#include "core/base/Said.h"
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
                                  {Curtain::WordsOff, "words off"},   // for machines
                                  {Curtain::HouseCard, "house card"}, // for machines
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

Result<std::vector<RunOrder>> jumpOf(const QJsonObject& json) {
    const QString part = json[u"part"_s].toString();
    const bool namesItem = json.contains(u"item"_s);
    const int item = json[u"item"_s].toInt();
    if (!namesItem && part.isEmpty())
        return failure(Said::tr("say \"item\" (1 is the first) or \"part\" (such as C or V2)"));
    std::vector<RunOrder> orders;
    if (part.isEmpty()) {
        orders.emplace_back(order::LookAtItem{item});
    } else {
        bool isNumber = false;
        const int number = part.mid(1).toInt(&isNumber);
        if (part.size() > 1 && !isNumber)
            return failure(Said::tr("there is no part \"%1\" here").arg(part));
        orders.emplace_back(order::LookAtPart{part.front(), isNumber ? std::optional(number) : std::nullopt,
                                              namesItem ? std::optional(item) : std::nullopt});
    }
    if (json[u"take"_s].toBool())
        orders.emplace_back(order::Take{});
    return orders;
}

Result<std::vector<RunOrder>> coverOf(const QJsonObject& json) {
    const QString to = json[u"to"_s].toString();
    const auto curtain = curtainOf(to);
    const QString output = json[u"output"_s].toString();
    if (!curtain && !(to.isEmpty() && !output.isEmpty()))
        return failure(Said::tr("\"to\" is one of open, plain, words off, house card, black"));
    if (output.isEmpty())
        return std::vector<RunOrder>{order::SetCurtain{*curtain}};
    return std::vector<RunOrder>{order::SetOwnCurtain{output, curtain}};
}

/// What a line of JSON orders; nothing for one that only asks.
Result<std::vector<RunOrder>> ordersOf(const QJsonObject& json) {
    using Orders = std::vector<RunOrder>;
    const QString what = json[u"do"_s].toString();
    if (what == u"state" || what == u"follow")
        return Orders{};
    if (what == u"take")
        return Orders{order::Take{}};
    if (what == u"next")
        return Orders{order::TakeFollowing{}};
    if (what == u"back")
        return Orders{order::TakeBefore{}};
    if (what == u"undo")
        return Orders{order::UndoTake{}};
    if (what == u"jump")
        return jumpOf(json);
    if (what == u"curtain")
        return coverOf(json);
    if (what == u"call-out") {
        const QString text = json[u"text"_s].toString();
        return text.isEmpty() ? Orders{order::EndCallOut{}} : Orders{order::CallOut{text, {}}};
    }
    return failure(
        Said::tr("\"do\" is one of state, follow, take, next, back, undo, jump, curtain, call-out"));
}

QJsonObject toJson(const RunPlace& place) {
    QJsonObject json{{u"title"_s, place.title}, {u"step"_s, place.step}, {u"steps"_s, place.steps}};
    if (place.item > 0)
        json.insert(u"item"_s, place.item); // none = unplanned
    if (!place.part.isEmpty())
        json.insert(u"part"_s, place.part);
    return json;
}

QJsonObject toJson(const RunFacts& facts) {
    QJsonObject json{
        {u"service"_s, facts.service}, {u"items"_s, facts.items}, {u"curtain"_s, wordOf(facts.curtain)}};
    if (facts.onScreen)
        json.insert(u"onScreen"_s, toJson(*facts.onScreen));
    if (!facts.onScreenFrom.isEmpty())
        json.insert(u"onScreenFrom"_s, facts.onScreenFrom);
    if (facts.next)
        json.insert(u"next"_s, toJson(*facts.next));
    QJsonObject outputs;
    for (const OutputFacts& output : facts.outputs)
        outputs.insert(output.name,
                       QJsonObject{{u"curtain"_s, wordOf(output.curtain)}, {u"frozen"_s, output.isFrozen}});
    json.insert(u"outputs"_s, outputs);
    if (!facts.callOut.isEmpty())
        json.insert(u"callOut"_s, facts.callOut);
    if (facts.secondsBehind)
        json.insert(u"secondsBehind"_s, *facts.secondsBehind);
    if (facts.likelyEnd.isValid())
        json.insert(u"likelyEnd"_s, facts.likelyEnd.toString(u"HH:mm"_s));
    return json;
}

QByteArray lineOf(const QJsonObject& json) {
    return QJsonDocument(json).toJson(QJsonDocument::Compact) + '\n';
}

} // namespace

QString runSocketPath(const QString& sessionFolder) {
    return sessionFolder + u"/run.sock"_s;
}

RunSocket::RunSocket(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    m_server.setSocketOptions(QLocalServer::UserAccessOption);
    connect(&m_server, &QLocalServer::newConnection, this, &RunSocket::newConnection);
    connect(&m_session.watch(), &RunWatch::changed, this, &RunSocket::tell);
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
        connect(socket, &QLocalSocket::disconnected, this, [this, socket] {
            m_following.remove(socket);
            socket->deleteLater();
        });
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
            line.isObject()
                ? obey(line.object())
                : QJsonObject{{u"ok"_s, false}, {u"problem"_s, Said::tr("this is no JSON object")}};
        if (line[u"do"_s].toString() == u"follow")
            m_following.insert(socket);
        socket->write(lineOf(answer));
    }
    const bool hasMore = socket->canReadLine();
    if (!hasMore && socket->bytesAvailable() > kLongestOrder)
        socket->abort();
    return hasMore;
}

QJsonObject RunSocket::obey(const QJsonObject& order) {
    const auto orders = ordersOf(order);
    QString problem = orders ? QString() : orders.error().what;
    for (size_t i = 0; orders && problem.isEmpty() && i < orders->size(); ++i)
        if (const auto done = m_session.orders().obey((*orders)[i]); !done)
            problem = done.error().what;
    QJsonObject answer{{u"ok"_s, problem.isEmpty()}, {u"state"_s, toJson(m_session.watch().facts())}};
    if (!problem.isEmpty())
        answer.insert(u"problem"_s, problem);
    return answer;
}

/// Whoever follows is told; who does not read what is told is no longer followed by it.
void RunSocket::tell() {
    const QByteArray line = lineOf({{u"state"_s, toJson(m_session.watch().facts())}});
    const QList<QLocalSocket*> following = m_following.values(); // abort() takes one out
    for (QLocalSocket* socket : following) {
        if (socket->bytesToWrite() > kMostWaiting)
            socket->abort();
        else
            socket->write(line);
    }
}

} // namespace mivanta

#include "moc_RunSocket.cpp"
