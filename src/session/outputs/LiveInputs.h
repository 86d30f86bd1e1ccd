// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveAddress.h"
#include "core/live/LiveInput.h"
#include "link/Protocol.h"
#include "session/machine/Secrets.h"
#include "store/ThisComputer.h"
#include <QHash>
#include <QImage>

namespace mivanta {

class PlayerClient;

/// The live inputs of this computer: as they are set up, how they stand, and what they show. GUI thread.
class LiveInputs : public QObject {
    Q_OBJECT
public:
    /// `pictureCache`: where what they showed lately is kept, for pictures that the desks draw themselves.
    LiveInputs(PlayerClient& player, ThisComputer computer, QString pictureCache, QObject* parent = nullptr);

    /// Reads them from the disk; changed() follows.
    void load();
    [[nodiscard]] const std::vector<LiveInput>& all() const { return m_inputs; }
    [[nodiscard]] const LiveInput* find(LiveInputId id) const; ///< null when there is none
    /// What it is called, or what stands for one that this computer does not have.
    [[nodiscard]] QString nameOf(LiveInputId id) const;

    /// True for a picture of the library's media that one of them shows while it has none.
    [[nodiscard]] bool isCard(const QString& medium) const;

    /// A new one of that kind, with a name of its own.
    LiveInputId add(LiveKind kind);
    void change(const LiveInput& input);
    /// It can be put back as long as that is offered.
    void remove(LiveInputId id);

    [[nodiscard]] LiveSecret secretOf(LiveInputId id) const { return m_secrets.value(id); }
    void setSecret(LiveInputId id, const LiveSecret& secret);
    [[nodiscard]] Secrets& keeper() { return m_keeper; }

    /// How it stands; nothing when it is not open.
    [[nodiscard]] std::optional<message::FilmStands> standsOf(LiveInputId id) const;
    /// "Its pictures come: 1280 × 720", "No picture since 10:41: nobody answers at this address"
    [[nodiscard]] QString stateText(LiveInputId id) const;
    /// The time of day since when it has no picture; empty when it has one, or is not open.
    [[nodiscard]] QString lostSince(LiveInputId id) const;
    /// What it showed last, in small; null when nothing came yet.
    [[nodiscard]] QImage pictureOf(LiveInputId id) const { return m_pictures.value(id); }
    /// It is open, and small pictures of it come, for as long as somebody looks. `who`: any word, one for
    /// each who looks at some of them; each says all that it looks at.
    void lookAt(const QString& who, const std::vector<LiveInputId>& inputs);

Q_SIGNALS:
    void changed(); ///< all() is another one
    void pictureChanged(LiveInputId id);
    void stateChanged(LiveInputId id);
    /// The first one since the start is where pictures that the desks draw find it.
    void firstPictureKept(LiveInputId id);
    void problem(const mivanta::Error& error);
    void offered(const QString& text, const QString& action, const std::function<void()>& act);

private:
    void set(std::vector<LiveInput> inputs);
    void tellPlayer();
    void readSecrets();
    void keepSecret(LiveInputId id, const LiveSecret& secret);
    void keepPicture(LiveInputId id, const QImage& picture);

    PlayerClient& m_player;
    const ThisComputer m_computer;
    const QString m_pictureCache;
    Secrets m_keeper;
    Worker m_files{QStringLiteral("live-inputs")};
    std::vector<LiveInput> m_inputs;
    QHash<LiveInputId, LiveSecret> m_secrets;
    QHash<LiveInputId, QImage> m_pictures;
    QHash<LiveInputId, qint64> m_keptAt;              ///< of Clock::steady(): when its picture was kept last
    QHash<QString, std::vector<LiveInputId>> m_looks; ///< by who looks
};

} // namespace mivanta
