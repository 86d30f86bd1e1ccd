// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"
#include "session/run/RunController.h"

namespace mivanta {

/// Has the library remember what was on screen when, and how long items take; learns from that how long they
/// usually take. GUI thread.
class TakeLog : public QObject {
    Q_OBJECT
public:
    TakeLog(RunController& run, ServiceDocument& document, LibraryClient& library, QObject* parent = nullptr);

private:
    void noteTake();
    void noteSung();
    void noteItem(const ItemId& item, const QDateTime& began);
    void learn();

    RunController& m_run;
    ServiceDocument& m_document;
    LibraryClient& m_library;
    ItemId m_item;             ///< on screen last
    QDateTime m_began;         ///< when it was taken
    ItemId m_sung;             ///< the song that was last noted as sung
    bool m_isRepeated = false; ///< what is shown next was shown before a restart, too
};

} // namespace mivanta
