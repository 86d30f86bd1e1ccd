// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/live/LiveInput.h"
#include "core/run/Output.h"
#include "core/run/RunSettings.h"
#include "store/LibraryAddress.h"
#include "store/WatchedFolders.h"

namespace mivanta {

/// What belongs to this computer and to no library: its outputs, how services are run on it, and work that is
/// not saved yet. A folder; each library that is shared by several computers is the same for all of them.
class ThisComputer {
public:
    explicit ThisComputer(const QString& folder = usualFolder()) : m_folder(folder) {}
    [[nodiscard]] static QString usualFolder();
    [[nodiscard]] const QString& folder() const { return m_folder; }

    /// outputs.json. Until some are saved here: those that the library's folder holds (earlier programs kept
    /// them there), else the usual ones.
    [[nodiscard]] Result<std::vector<Output>> outputs(const LibraryAddress& library) const;
    [[nodiscard]] Result<void> saveOutputs(const std::vector<Output>& outputs) const;

    /// run.json, in the same way.
    [[nodiscard]] Result<RunSettings> runSettings(const LibraryAddress& library) const;
    [[nodiscard]] Result<void> saveRunSettings(const RunSettings& settings) const;

    /// media-folders.json.
    [[nodiscard]] Result<std::vector<WatchedFolder>> watchedFolders() const;
    [[nodiscard]] Result<void> saveWatchedFolders(const std::vector<WatchedFolder>& folders) const;

    /// live-inputs.json; what is secret of them is elsewhere.
    [[nodiscard]] Result<std::vector<LiveInput>> liveInputs() const;
    [[nodiscard]] Result<void> saveLiveInputs(const std::vector<LiveInput>& inputs) const;

    /// Where work with this library is kept that is not saved yet. Made when it is not there.
    [[nodiscard]] QString unsavedFolder(const LibraryAddress& library) const;

private:
    [[nodiscard]] QString place(const QString& name, const LibraryAddress& library) const;

    QString m_folder;
};

} // namespace mivanta
