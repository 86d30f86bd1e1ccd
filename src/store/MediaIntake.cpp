// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/MediaIntake.h"
#include "core/base/Said.h"
#include "store/UnfinishedFolder.h"
#include <QDir>

namespace mivanta {

Result<Medium> bringInMedium(Library& library, const QString& path, LookAtMedium look,
                             const std::function<bool()>& goOn) {
    const auto kind = mediumKindOf(path);
    if (!kind)
        return failure(Said::tr("this is neither picture nor film nor sound"), path,
                       Said::tr("Choose another file."));
    const auto facts = look(path, *kind);
    if (!facts)
        return tl::unexpected(facts.error());
    const auto brought = library.media().bringIn(path, goOn);
    if (!brought)
        return tl::unexpected(brought.error());
    if (const auto noted = library.catalogue().describe(brought->name, *facts); !noted)
        return tl::unexpected(noted.error());
    auto medium = library.catalogue().medium(brought->name);
    if (!medium)
        return tl::unexpected(medium.error());
    if (!*medium)
        return failure(Said::tr("it could not be kept"), path);
    return std::move(**medium);
}

Result<Medium> bringInMade(Library& library, const QString& title, const MakeFilm& make, LookAtMedium look,
                           const std::function<bool()>& goOn) {
    if (!QDir().mkpath(library.media().folder()))
        return failure(Said::tr("the folder for media could not be made"), library.media().folder(),
                       Said::tr("Check that you may write there."));
    const UnfinishedFolder folder(library.media().folder());
    const QString file = folder.filePath(QStringLiteral("made.mkv"));
    const auto part = make(file);
    if (!part)
        return tl::unexpected(part.error());
    auto medium = bringInMedium(library, file, look, goOn);
    if (!medium)
        return medium;
    medium->title = title;
    medium->from = part->from;
    medium->to = part->to;
    if (const auto kept = library.catalogue().change(*medium); !kept)
        return tl::unexpected(kept.error());
    return medium;
}

} // namespace mivanta
