// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <QStringList>
#include <functional>

namespace mivanta {

/// A file for one that is missing from the media folder.
struct MediaMatch {
    QString name; ///< of the missing one, as MediaFact has it
    QString path;
    bool isSame = false; ///< its content is the very same; else only what it is called
    friend bool operator==(const MediaMatch&, const MediaMatch&) = default;
};

/// Looks through folders, and those inside them, for missing files: one of the same size (where it is known)
/// and content wins; else the newest file that is called the same. At most one match for each, in their
/// order. Hidden folders and links to folders are passed by. `goOn` is asked now and then; false stops, with
/// what was found so far.
[[nodiscard]] std::vector<MediaMatch> findMedia(const std::vector<MediaFact>& missing,
                                                const QStringList& folders,
                                                const std::function<bool()>& goOn);

} // namespace mivanta
