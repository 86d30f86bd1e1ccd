// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>

namespace mivanta {

/// Which files of unsaved work are this program's, and who else has the library open. It may be open on two
/// computers, or twice on one: each program then has files of its own, so that none writes over another's.
/// Held by flock(2) in the library's folder, which ends with the program however that ends.
class LibraryClaim {
public:
    /// Takes the usual name (`window`) when no other program has it, else one of this computer. Work that was
    /// left under such a name comes back under the usual one.
    LibraryClaim(const QString& libraryFolder, const QString& unsavedFolder, const QString& window,
                 const QString& host);
    ~LibraryClaim();
    /// Whether a program has the name now.
    [[nodiscard]] static bool isTaken(const QString& libraryFolder, const QString& window);
    LibraryClaim(const LibraryClaim&) = delete;
    LibraryClaim& operator=(const LibraryClaim&) = delete;

    /// For Journal and Session::unsavedFile(); empty for the usual window.
    [[nodiscard]] const QString& name() const { return m_name; }
    /// The computer that has the usual name, "?" when it has not said which it is; empty when it is this
    /// program that does.
    [[nodiscard]] const QString& holder() const { return m_holder; }

private:
    void bringHome(const QStringList& names) const;

    QString m_folder;
    QString m_unsaved;
    QString m_name;
    QString m_holder;
    int m_lock = -1; ///< its file; -1 where none can be had
};

} // namespace mivanta
