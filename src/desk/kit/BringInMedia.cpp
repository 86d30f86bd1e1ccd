// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/BringInMedia.h"
#include "core/base/Said.h"
#include "desk/kit/Prompts.h"
#include "media/PictureProxies.h"
#include "media/Sound.h"
#include "session/Session.h"
#include <QBuffer>
#include <QFileInfo>
#include <QImage>

namespace mivanta {

namespace {

Result<StoredMedium> broughtIn(Library& library, const QString& path) {
    if (const auto fine = checkPicture(path); !fine)
        return tl::unexpected(fine.error());
    return library.media().bringIn(path);
}

void ask(Session& session, QObject* asker, std::function<Result<StoredMedium>(Library&)> work,
         const MediumTaken& taken) {
    session.library().ask<StoredMedium>(
        asker, std::move(work),
        [&session, taken](const Result<StoredMedium>& picture) {
            if (picture)
                taken(*picture);
            else
                Q_EMIT session.problem(picture.error());
        },
        LibraryClient::Changes::Library);
}

} // namespace

void bringInPicture(Session& session, QObject* asker, const QString& path, const MediumTaken& taken) {
    ask(
        session, asker, [path](Library& library) { return broughtIn(library, path); }, taken);
}

void bringInSound(Session& session, QObject* asker, const QString& path, const MediumTaken& taken) {
    ask(
        session, asker,
        [path](Library& library) -> Result<StoredMedium> {
            if (const auto facts = lookAtSound(path); !facts)
                return tl::unexpected(facts.error());
            return library.media().bringIn(path);
        },
        taken);
}

void bringInPictures(Session& session, QObject* asker, const QStringList& paths,
                     const std::function<void(std::vector<OrderPicture>)>& taken) {
    if (paths.isEmpty())
        return;
    struct Taken {
        std::vector<OrderPicture> pictures;
        std::vector<Error> errors;
    };
    session.library().ask<Taken>(
        asker,
        [paths](Library& library) -> Result<Taken> {
            Taken result;
            for (const QString& path : paths)
                if (const auto picture = broughtIn(library, path))
                    result.pictures.push_back({picture->name, QFileInfo(picture->title).completeBaseName()});
                else
                    result.errors.push_back(picture.error());
            return result;
        },
        [&session, taken](Result<Taken> result) {
            if (!result) {
                Q_EMIT session.problem(result.error());
                return;
            }
            for (const Error& error : result->errors)
                Q_EMIT session.problem(error);
            if (!result->pictures.empty())
                taken(std::move(result->pictures));
        },
        LibraryClient::Changes::Library);
}

void bringInPicture(Session& session, QObject* asker, const QImage& picture, const MediumTaken& taken) {
    ask(
        session, asker,
        [picture](Library& library) -> Result<StoredMedium> {
            QByteArray bytes;
            QBuffer buffer(&bytes);
            if (!buffer.open(QIODevice::WriteOnly) || !picture.save(&buffer, "PNG"))
                return tl::unexpected(Error{Said::tr("The pasted picture cannot be used"),
                                            Said::tr("the clipboard"),
                                            Said::tr("Save it as a file and bring that in.")});
            return library.media().bringIn(bytes, Said::tr("Pasted.png"));
        },
        taken);
}

void choosePicture(Session& session, Prompts& prompts, QObject* asker, const MediumTaken& taken) {
    if (const QString path = prompts.pictureToChoose(); !path.isEmpty())
        bringInPicture(session, asker, path, taken);
}

} // namespace mivanta
