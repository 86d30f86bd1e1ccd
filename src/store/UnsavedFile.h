// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QJsonObject>
#include <optional>

namespace mivanta {

/// One file that holds what is being worked on while it is not saved ("song", "service"), so that it outlives
/// the program.
class UnsavedFile {
public:
    /// `folder`: see ThisComputer::unsavedFolder(). `olderFolder`: where earlier programs kept it; what is
    /// left there is read until there is something newer.
    UnsavedFile(const QString& folder, const QString& what, const QString& olderFolder = {});
    [[nodiscard]] Result<void> write(const QJsonObject& json) const;
    /// Nothing when there is no such file. Fails when it cannot be read; the file is then put aside under
    /// another name, so that nothing is written over it.
    [[nodiscard]] Result<std::optional<QJsonObject>> read() const;
    /// Puts it aside, and says so: it could be read and is no such thing, for this reason.
    [[nodiscard]] Error putAside(const QString& why) const;
    void clear() const;
    [[nodiscard]] bool exists() const;
    /// Where it is now, or will be.
    [[nodiscard]] QString path() const;
    /// A path beside it, such as ".frozen" for "unsaved-service.frozen".
    [[nodiscard]] QString beside(const QString& ending) const;
    /// Another such file beside it, such as "-held-back" for "unsaved-service-held-back.json".
    [[nodiscard]] UnsavedFile another(const QString& ending) const;

private:
    UnsavedFile() = default;

    QString m_path;
    QString m_older; ///< empty = none
};

} // namespace mivanta
