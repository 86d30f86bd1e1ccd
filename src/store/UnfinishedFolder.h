// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QTemporaryDir>

namespace mivanta {

/// A folder inside another one for files that are not finished yet; it goes with this. Those that a program
/// left behind which was killed are removed, a day later, by the next one that needs such a folder there.
class UnfinishedFolder {
public:
    explicit UnfinishedFolder(const QString& around);
    [[nodiscard]] QString filePath(const QString& name) const { return m_folder.filePath(name); }
    [[nodiscard]] bool isThere() const { return m_folder.isValid(); }

private:
    QTemporaryDir m_folder;
};

} // namespace mivanta
