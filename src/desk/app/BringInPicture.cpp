// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/BringInPicture.h"
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"
#include "media/PictureProxies.h"

namespace mivanta {

void bringInPicture(Session& session, QObject* asker, const QString& path, const PictureTaken& taken) {
    session.library().ask<StoredPicture>(
        asker,
        [path](Library& library) -> Result<StoredPicture> {
            if (const auto facts = lookAtPicture(path); !facts)
                return tl::unexpected(facts.error());
            return library.pictures().bringIn(path);
        },
        [&session, taken](const Result<StoredPicture>& picture) {
            if (picture)
                taken(*picture);
            else
                Q_EMIT session.problem(picture.error());
        });
}

void choosePicture(Session& session, Prompts& prompts, QObject* asker, const PictureTaken& taken) {
    if (const QString path = prompts.pictureToChoose(); !path.isEmpty())
        bringInPicture(session, asker, path, taken);
}

} // namespace mivanta
