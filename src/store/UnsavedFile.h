// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QJsonObject>
#include <optional>

namespace mivanta {

/// One file in the library folder that holds what is being edited while it is not saved ("song", "text"), so
/// that what was typed outlives the program.
class UnsavedFile {
public:
    UnsavedFile(const QString& libraryFolder, const QString& what);
    [[nodiscard]] Result<void> write(const QJsonObject& json) const;
    /// Nothing when there is no such file. Fails when it cannot be read; the file is then left as it is.
    [[nodiscard]] Result<std::optional<QJsonObject>> read() const;
    void clear() const;
    [[nodiscard]] const QString& path() const { return m_path; }

private:
    QString m_path;
};

} // namespace mivanta
