// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/RecordEditing.h"

namespace mivanta {

QString EditingSignals::binnedText(const QString& title) {
    return tr("\u201c%1\u201d is in the bin; it can be restored from there.").arg(title);
}

QString EditingSignals::recoveryText() {
    return tr("the unsaved work of last time");
}

QString EditingSignals::versionText() {
    return tr("another version");
}

} // namespace mivanta

#include "moc_RecordEditing.cpp"
