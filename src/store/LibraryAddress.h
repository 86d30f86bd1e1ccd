// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// Where a library is: a folder of this computer or of a disk that several share. Whoever needs something of
/// a library beside its records asks its address.
class LibraryAddress {
public:
    LibraryAddress() = default;
    LibraryAddress(const QString& folder); // a folder is one
    /// Where it is kept unless another one is named.
    [[nodiscard]] static LibraryAddress usual();
    /// Of a folder that is made when it is not there yet; the same however it is reached (links, "..").
    [[nodiscard]] static LibraryAddress made(const QString& folder);

    [[nodiscard]] const QString& folder() const { return m_folder; }
    /// For people, and for starting a program with it.
    [[nodiscard]] const QString& text() const { return m_folder; }
    /// A short name for folders that belong to the library, other than its own; letters and digits.
    [[nodiscard]] const QString& key() const { return m_key; }
    [[nodiscard]] QString mediaFolder() const;
    [[nodiscard]] QString fontsFolder() const;
    /// Where scaled pictures of its media are kept; not in the library, and may go.
    [[nodiscard]] QString pictureCacheFolder() const;
    /// What a person has taught the spelling.
    [[nodiscard]] QString ownWordsFile() const;

    friend bool operator==(const LibraryAddress&, const LibraryAddress&) = default;

private:
    QString m_folder;
    QString m_key; ///< asked of the disk once: it may hang later
};

} // namespace mivanta
