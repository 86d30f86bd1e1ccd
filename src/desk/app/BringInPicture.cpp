// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/BringInPicture.h"
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"
#include "media/PictureProxies.h"
#include <QBuffer>
#include <QImage>

namespace mivanta {

namespace {

void ask(Session& session, QObject* asker, std::function<Result<StoredPicture>(Library&)> work,
         const PictureTaken& taken) {
    session.library().ask<StoredPicture>(asker, std::move(work),
                                         [&session, taken](const Result<StoredPicture>& picture) {
                                             if (picture)
                                                 taken(*picture);
                                             else
                                                 Q_EMIT session.problem(picture.error());
                                         });
}

} // namespace

void bringInPicture(Session& session, QObject* asker, const QString& path, const PictureTaken& taken) {
    ask(
        session, asker,
        [path](Library& library) -> Result<StoredPicture> {
            if (const auto facts = lookAtPicture(path); !facts)
                return tl::unexpected(facts.error());
            return library.pictures().bringIn(path);
        },
        taken);
}

void bringInPicture(Session& session, QObject* asker, const QImage& picture, const PictureTaken& taken) {
    ask(
        session, asker,
        [picture](Library& library) -> Result<StoredPicture> {
            QByteArray bytes;
            QBuffer buffer(&bytes);
            if (!buffer.open(QIODevice::WriteOnly) || !picture.save(&buffer, "PNG"))
                return tl::unexpected(Error{QStringLiteral("The pasted picture cannot be used"),
                                            QStringLiteral("the clipboard"),
                                            QStringLiteral("Save it as a file and bring that in.")});
            return library.pictures().bringIn(bytes, QStringLiteral("Pasted.png"));
        },
        taken);
}

void choosePicture(Session& session, Prompts& prompts, QObject* asker, const PictureTaken& taken) {
    if (const QString path = prompts.pictureToChoose(); !path.isEmpty())
        bringInPicture(session, asker, path, taken);
}

} // namespace mivanta
