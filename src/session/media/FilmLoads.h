// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/work/LeavableWorker.h"
#include <QHash>
#include <QObject>

namespace mivanta {

class MediaBook;
class ServiceDocument;

/// How much work the films of the open service make on this computer, measured in the background. GUI thread.
class FilmLoads : public QObject {
    Q_OBJECT
public:
    FilmLoads(MediaBook& book, ServiceDocument& document, QObject* parent = nullptr);

    /// Cores that decoding keeps busy; nothing while it is not known.
    [[nodiscard]] std::optional<double> coresOf(const QString& film) const;
    /// So many cores may decoding take without harm to the rest.
    [[nodiscard]] static double most();

Q_SIGNALS:
    void changed();

private:
    void measureNext();

    MediaBook& m_book;
    ServiceDocument& m_document;
    QHash<QString, double> m_cores; ///< by name; below 0 = cannot be measured
    bool m_isMeasuring = false;
    LeavableWorker m_meter;
};

} // namespace mivanta
