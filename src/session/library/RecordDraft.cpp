// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/RecordDraft.h"

namespace mivanta {

DraftSignals::DraftSignals(QObject* parent) : QObject(parent) {
    connect(&m_undo, &QUndoStack::cleanChanged, this, &DraftSignals::stateChanged);
}

QString DraftSignals::backText() {
    return tr("leaving it as it was");
}

} // namespace mivanta

#include "moc_RecordDraft.cpp"
