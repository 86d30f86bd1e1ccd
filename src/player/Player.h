// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "link/Channel.h"
#include "link/FrameBoard.h"
#include "player/Awake.h"
#include "player/DeskKeeper.h"
#include "player/LiveLook.h"
#include "player/OutputSet.h"
#include "player/RecorderBox.h"
#include "player/ScreenNumbers.h"
#include "player/ScreensLock.h"
#include "player/SoundBox.h"
#include <QLocalServer>
#include <QLockFile>
#include <map>

namespace mivanta {

/// The player: takes orders from the desks, shows pictures, reports facts. Lives on the GUI thread.
class Player : public QObject {
    Q_OBJECT
public:
    explicit Player(QString sessionFolder, QObject* parent = nullptr);
    /// False when another player of this session is there already; then this one is not needed.
    [[nodiscard]] Result<bool> start();

private:
    void newConnection();
    void obey(Channel* from, const Message& message);
    void greet(Channel* from, const message::Hello& hello);
    void show(const message::Show& show);
    void loadFonts();
    void obeySoon();
    void obeyNewest(); ///< of what waits: an order that a later one has overtaken is nobody's any more
    void gone(Channel* channel);
    [[nodiscard]] bool showsItself(const LiveInput& input, const QString& output, int deep) const;
    void showAgain(); ///< where live inputs may show themselves by now, or do so no more
    void watch(OutputPicture* picture);
    void publish(OutputPicture* picture);
    void tell(const Message& fact);
    [[nodiscard]] message::Places places() const;

    QString m_folder;
    QLockFile m_alone; ///< outlives the socket
    QLocalServer m_server;
    PreparedFrames m_frames;
    Films m_films;
    LiveLook m_liveLook{m_films};
    ScreenNumbers m_numbers;
    SoundBox m_sound;
    Awake m_awake;
    QString m_media; ///< the folder of the library's media
    QString m_fonts; ///< the folder of those that came with services
    OutputSet m_outputs{m_frames, m_films};
    RecorderBox m_recorders{m_outputs, m_films};
    ScreensLock m_lock;
    std::unique_ptr<FrameBoard> m_board;
    DeskKeeper m_keeper;
    Channel* m_desk = nullptr;
    std::vector<Channel*> m_strangers; ///< desks of another build: they may end this player, and no more
    std::vector<Channel*> m_observers;
    QHash<QString, qint64> m_publishedAt; ///< of Clock::steady()
    struct Waiting {
        Scene scene;
        quint64 take = 0;
        Arrival arrival = Arrival::Turning;
    };
    std::map<QString, Waiting> m_waiting; ///< by output
    std::vector<Scene> m_toPrepare;
    bool m_obeysSoon = false;
    QTimer m_fontsPatience; ///< while it runs nothing is drawn: its fonts may still come
    QTimer m_lonely;        ///< ends a player that no desk ever came to
    QByteArray m_state;
    bool m_quitting = false;
};

} // namespace mivanta
