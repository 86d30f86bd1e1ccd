// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/run/Output.h"
#include "core/run/RunSettings.h"
#include "core/scripture/Passage.h"

namespace mivanta {

/// The outputs of a library folder (outputs.json); the usual ones when there is no such file.
[[nodiscard]] Result<std::vector<Output>> loadOutputs(const QString& libraryFolder);
[[nodiscard]] Result<void> saveOutputs(const QString& libraryFolder, const std::vector<Output>& outputs);

/// How services are run (run.json); the usual settings when there is no such file.
[[nodiscard]] Result<RunSettings> loadRunSettings(const QString& libraryFolder);
[[nodiscard]] Result<void> saveRunSettings(const QString& libraryFolder, const RunSettings& settings);

/// How passages are usually laid out (passages.json); the built-in layout when there is no such file.
[[nodiscard]] PassageLayout loadUsualLayout(const QString& libraryFolder);
[[nodiscard]] Result<void> saveUsualLayout(const QString& libraryFolder, const PassageLayout& layout);

/// The themes that ship with the program. The first one is the usual theme of a new service.
[[nodiscard]] std::vector<Theme> shippedThemes();

/// Where the library is kept unless another folder is named.
[[nodiscard]] QString usualLibraryFolder();

} // namespace mivanta
