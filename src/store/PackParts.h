// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/UsedParts.h"
#include "store/ServicePack.h"
#include "store/UnfinishedFolder.h"

namespace mivanta {

/// How a part of a film becomes a file of its own.
struct PartCutter {
    QString (*suffixOf)(const QString& path) = nullptr; ///< of the file that is written
    Result<CutFilm> (*cut)(const QString& path, const FilmPart& part, const QString& file) = nullptr;
};

/// A service that is packed with only those parts of its films that it plays.
struct PartsToPack {
    Service service; ///< plays the parts
    PackList list;
    QStringList whole; ///< titles of films that could not be cut, and are packed as they are
    std::unique_ptr<UnfinishedFolder> folder; ///< has the parts until they are packed
};

/// How many bytes packing would save, about.
[[nodiscard]] qint64 savedByParts(const Service& service, const PackList& list);

/// Cuts the films, into files beside `path`. `goOn` is asked now and then; false ends it.
[[nodiscard]] Result<PartsToPack> cutToParts(const Service& service, const PackList& list,
                                             const QString& path, const PartCutter& cutter,
                                             const std::function<bool()>& goOn = {});

} // namespace mivanta
