// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/media/ShownMedium.h"
#include "session/work/LeavableWorker.h"
#include <QCache>
#include <QMutex>
#include <QObject>
#include <QPixmap>

namespace mivanta {

class PictureProxies;

/// Small pictures of media, made on another thread and remembered: what was asked for last comes first, and
/// what is not asked for again is forgotten. GUI thread.
class MediumPictures : public QObject {
    Q_OBJECT
public:
    explicit MediumPictures(QObject* parent = nullptr);

    void setPictures(const QString& folder, const QString& cacheFolder);
    enum class Shape { Filling, Whole };
    /// The picture, or the moment of a film (seconds of its file), filling `size` px or whole within it; a
    /// null one while it is made, then ready() follows. Sounds, and what cannot be shown, have none.
    [[nodiscard]] QPixmap get(const ShownMedium& shown, double seconds, QSize size,
                              Shape shape = Shape::Filling);

Q_SIGNALS:
    void ready();

private:
    struct Wanted {
        QByteArray key;
        QString name; ///< for PictureProxies
        QSize size;
        Shape shape = Shape::Filling;
        bool isOfFolder = false;
    };
    /// Where files of watched folders lie, by the names that they have for the proxies.
    struct Places {
        QMutex lock;
        QHash<QString, QString> paths;
    };
    [[nodiscard]] QString nameFor(const ShownMedium& shown);
    void makeNext();

    std::shared_ptr<PictureProxies> m_library;
    std::shared_ptr<PictureProxies> m_folders;
    std::shared_ptr<Places> m_places = std::make_shared<Places>();
    QCache<QByteArray, QPixmap> m_known; ///< cost in KiB
    std::vector<Wanted> m_wanted;        ///< the last one is made next
    QByteArray m_making;                 ///< the key of the one that is being made; empty = none
    LeavableWorker m_worker;
};

} // namespace mivanta
