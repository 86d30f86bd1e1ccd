// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include "store/ServicePack.h"
#include <QFrame>
#include <atomic>

class QLabel;
class QProgressBar;

namespace mivanta {

class Prompts;

/// Packs the service for another computer, in the background: says what it takes along and how large that is,
/// asks where to, and shows how far it is. Hidden while there is nothing to pack.
class PackingBar : public QFrame {
    Q_OBJECT
public:
    PackingBar(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    ~PackingBar() override;

    void start();
    /// Leaves nothing behind.
    void cancel();

private:
    struct Planned {
        Service service; ///< with the facts of its media
        PackList list;
    };
    struct Packed {
        FileStamp stamp;
        QStringList whole; ///< films that could not be cut
    };
    void ask(const Planned& planned);
    void pack(const Planned& planned, const QString& path, bool onlyParts);

    Session& m_session;
    Prompts& m_prompts;
    QLabel* m_text;
    QProgressBar* m_progress;
    std::shared_ptr<std::atomic<bool>> m_cancel = std::make_shared<std::atomic<bool>>(false);
    Worker m_worker{QStringLiteral("packing")};
    bool m_busy = false;
};

/// What packing takes along, what it cannot, and how large it becomes, in words.
[[nodiscard]] QString packingText(const PackList& list);

} // namespace mivanta
