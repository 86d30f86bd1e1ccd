// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Placement.h"
#include "core/run/Shown.h"
#include "link/Channel.h"
#include <QFile>
#include <QLocalServer>
#include <QLocalSocket>
#include <map>
#include <vector>

namespace mivanta {

/// What desks know of a player, without windows and pictures: it says of every picture at once that it is
/// painted. In the process of the test, so that nothing has to be started.
class PretendedPlayer : public QObject {
public:
    explicit PretendedPlayer(const QString& sessionFolder, QObject* parent = nullptr) : QObject(parent) {
        const QString path = playerSocketPath(sessionFolder);
        QFile::remove(path);
        m_server.listen(path);
        connect(&m_server, &QLocalServer::newConnection, this, [this] {
            auto* channel = new Channel(m_server.nextPendingConnection(), this);
            connect(channel, &Channel::received, this,
                    [this, channel](const Message& order) { obey(channel, order); });
            connect(channel, &Channel::closed, this, [this, channel] {
                std::erase(m_channels, channel);
                channel->deleteLater();
            });
        });
    }

private:
    void obey(Channel* from, const Message& order) {
        if (std::holds_alternative<message::Hello>(order)) {
            from->send(message::Welcome{m_state, {}});
            from->send(places());
            for (const auto& [output, scene] : m_scenes)
                from->send(message::Shows{output, shownOf(scene)});
            m_channels.push_back(from);
        } else if (const auto* outputs = std::get_if<message::SetOutputs>(&order)) {
            m_outputs = outputs->outputs;
            tell(places());
        } else if (const auto* show = std::get_if<message::Show>(&order)) {
            for (const Scene& scene : show->scenes) {
                m_scenes[scene.output] = scene;
                tell(message::Shows{scene.output, shownOf(scene)});
                tell(message::Painted{scene.output, show->take, true});
            }
        } else if (const auto* keep = std::get_if<message::Keep>(&order)) {
            m_state = keep->state;
            for (Channel* channel : m_channels)
                if (channel != from)
                    channel->send(order);
        } else if (std::holds_alternative<message::Quit>(order)) {
            m_state.clear(); // the next desks begin as with a new one
            m_scenes.clear();
        }
    }
    void tell(const Message& fact) {
        for (Channel* channel : m_channels)
            channel->send(fact);
    }
    [[nodiscard]] message::Places places() {
        const std::vector<Monitor> monitors{{QStringLiteral("DESK"), {0, 0, 1280, 800}, true},
                                            {QStringLiteral("HALL"), {1280, 0, 1920, 1080}}};
        return {monitors, placementsFor(m_outputs, monitors, m_homes)};
    }

    QLocalServer m_server;
    std::vector<Channel*> m_channels;
    std::vector<Output> m_outputs;
    std::map<QString, Scene> m_scenes; ///< by output
    Homes m_homes;
    QByteArray m_state;
};

} // namespace mivanta
