// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "sending/SongFiles.h"
#include "session/work/Worker.h"
#include "store/LibraryAddress.h"
#include <QObject>
#include <atomic>

namespace mivanta {

enum class SendWay { ChordProFiles, TextFiles, Table, ChartsPdf, LyricsPdf, PrintCharts, PrintLyrics };

/// Songs to files or paper, in the background: asks where to, writes, says what became of it.
class Sender : public QObject {
    Q_OBJECT
public:
    Sender(LibraryAddress library, Prompts& prompts, QObject* parent = nullptr);
    ~Sender() override;

    /// How sheets are laid out when nothing else is said: in the columns that were chosen last.
    [[nodiscard]] static ChartOptions usualSheets();
    static void setUsualColumns(int columns);

    /// Songs of the library as they are stored; no ids: every song. `name` names a file of several songs.
    void sendFromLibrary(SendWay way, const std::vector<SongId>& ids, const QString& name);
    /// Songs as they stand elsewhere, such as in a service.
    void sendSongs(SendWay way, const std::vector<Song>& songs, const QString& name,
                   const ChartOptions& options = usualSheets());
    void cancel();
    [[nodiscard]] bool isBusy() const { return m_busy; }

Q_SIGNALS:
    void progress(int done, int total);
    void finished(const QString& text);
    void failed(const mivanta::Error& error);

private:
    /// Makes the songs one after the other, on the other thread.
    struct Source {
        NextSong next;
        int total = 0;
    };
    using MakeSource = std::function<Result<Source>()>;
    void send(SendWay way, const MakeSource& songs, const QString& name, ChartOptions options);
    void run(const MakeSource& songs, const std::function<Result<QString>(const NextSong&)>& write);

    const LibraryAddress m_library;
    Prompts& m_prompts;
    Worker m_worker{QStringLiteral("sending")};
    std::shared_ptr<std::atomic<bool>> m_cancel = std::make_shared<std::atomic<bool>>(false);
    bool m_busy = false;
};

} // namespace mivanta
