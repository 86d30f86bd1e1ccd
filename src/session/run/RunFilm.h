// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemWords.h"
#include "session/run/RunController.h"

namespace mivanta {

/// The film of the item that is on screen: how it stands, what is done with it, and what comes at its end.
/// What comes was said beforehand, in the item. GUI thread.
class RunFilm : public QObject {
    Q_OBJECT
public:
    RunFilm(RunController& run, ServiceDocument& document, PlayerClient& player, QObject* parent = nullptr);

    /// Nothing while no film was taken.
    [[nodiscard]] std::optional<FilmPlay> play() const;
    /// As the player has it now; nothing until it is open there.
    [[nodiscard]] std::optional<message::FilmStands> stands() const;
    /// Seconds until its end; nothing when that is not known.
    [[nodiscard]] std::optional<double> left() const;

    // Nothing happens while no film is on screen.
    void pauseOrGoOn();
    void jump(double seconds); ///< negative = back
    void seek(double seconds); ///< of the file
    void fromTheBeginning();
    void changeVolume(int percent); ///< by so many

Q_SIGNALS:
    void changed();
    void failed(const mivanta::Error& error);

private:
    void taken();
    void shown();
    void look(const QByteArray& film);
    void ended();
    void tellStage(); ///< where it stands, when that is another place than it knows
    [[nodiscard]] const FilmItem* item() const;
    void steer(message::SteerFilm::What what, double value = 0);

    RunController& m_run;
    ServiceDocument& m_document;
    PlayerClient& m_player;
    QByteArray m_key;        ///< of the film on screen; empty = none
    bool m_hasEnded = false; ///< what comes then has been done
    QString m_toldProblem;
    FilmPlace m_told;
};

} // namespace mivanta
