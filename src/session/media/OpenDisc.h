// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Disc.h"
#include "core/media/Medium.h"
#include "session/work/LeavableWorker.h"
#include <QCache>
#include <QImage>
#include <QObject>
#include <QTemporaryDir>
#include <atomic>

namespace mivanta {

/// A video disc that is being looked at: its titles, what is seen at a moment, a piece of it to be played.
/// All of it comes from another thread, as drives take their time. GUI thread.
class OpenDisc : public QObject {
    Q_OBJECT
public:
    /// `path`: a drive, an image or a folder.
    explicit OpenDisc(QString path, QObject* parent = nullptr);
    ~OpenDisc() override;

    [[nodiscard]] const QString& path() const { return m_path; }
    /// Nothing until opened().
    [[nodiscard]] const std::optional<Disc>& disc() const { return m_disc; }
    /// Null while it is made, then pictureCame() follows. What was asked for last comes first, and of what
    /// waits the oldest is forgotten.
    [[nodiscard]] QImage picture(int title, double seconds, QSize size);
    /// Makes a file of it; excerptCame() follows, unless another one is wanted before.
    void makeExcerpt(const DiscPart& part);

Q_SIGNALS:
    void opened();
    void failed(const mivanta::Error& error); ///< it cannot be opened
    void pictureCame();
    void excerptCame(const QString& file,
                     const mivanta::FilmPart& part); ///< the file is there until the next one is wanted
    void excerptFailed(const mivanta::Error& error);

private:
    struct Wanted {
        QString key;
        int title = 0;
        double seconds = 0;
        QSize size;
    };
    void makeNext();

    QString m_path;
    std::optional<Disc> m_disc;
    QCache<QString, QImage> m_pictures; ///< null ones, too, where there is none
    std::vector<Wanted> m_wanted;       ///< the last one is made next
    bool m_isMaking = false;
    QTemporaryDir m_folder; ///< of the excerpt
    std::shared_ptr<std::atomic<bool>> m_isWanted = std::make_shared<std::atomic<bool>>(true);
    std::shared_ptr<std::atomic<int>> m_excerpt =
        std::make_shared<std::atomic<int>>(0); ///< the one that is wanted
    LeavableWorker m_worker;
};

/// Drives of this computer, as paths; whether there is a disc in them is not known.
[[nodiscard]] QStringList discDrives();
/// Whether it is the image or the folder of a disc, by its name and the names in it.
[[nodiscard]] bool isDiscPath(const QString& path);

} // namespace mivanta
