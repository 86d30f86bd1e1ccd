// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/BringInMedia.h"
#include "core/base/Said.h"
#include "desk/kit/Prompts.h"
#include "media/MediumLook.h"
#include "session/Session.h"
#include "store/MediaIntake.h"
#include <QBuffer>
#include <QImage>

namespace mivanta {

namespace {

using GoOn = LibraryClient::GoOn;

void ask(Session& session, QObject* asker, std::function<Result<Medium>(Library&, const GoOn&)> work,
         const MediumTaken& taken) {
    session.library().askAside<Medium>(asker, std::move(work),
                                       [&session, taken](const Result<Medium>& medium) {
                                           if (medium)
                                               taken(*medium);
                                           else
                                               Q_EMIT session.problem(medium.error());
                                       });
}

/// One file, as this kind and as no other.
Result<Medium> broughtIn(Library& library, const QString& path, MediumKind kind, const GoOn& goOn) {
    if (mediumKindOf(path) != kind)
        return failure(kind == MediumKind::Picture ? Said::tr("this is no picture that can be shown")
                       : kind == MediumKind::Film  ? Said::tr("this cannot be played as a film")
                                                   : Said::tr("this cannot be played as a sound"),
                       path, Said::tr("Choose another file."));
    return mivanta::bringInMedium(library, path, lookAtMedium, goOn);
}

} // namespace

void bringInOne(Session& session, QObject* asker, const QString& path, MediumKind kind,
                const MediumTaken& taken) {
    ask(
        session, asker,
        [path, kind](Library& library, const GoOn& goOn) { return broughtIn(library, path, kind, goOn); },
        taken);
}

void bringInOne(Session& session, QObject* asker, const QString& path, const MediumTaken& taken) {
    ask(
        session, asker,
        [path](Library& library, const GoOn& goOn) {
            return bringInMedium(library, path, lookAtMedium, goOn);
        },
        taken);
}

void bringInSeveral(Session& session, QObject* asker, const QStringList& paths,
                    const std::function<void(std::vector<Medium>)>& taken) {
    if (paths.isEmpty())
        return;
    struct Taken {
        std::vector<Medium> media;
        std::vector<Error> errors;
    };
    session.library().askAside<Taken>(
        asker,
        [paths](Library& library, const GoOn& goOn) -> Result<Taken> {
            Taken result;
            for (const QString& path : paths) {
                if (!goOn())
                    break;
                if (auto medium = bringInMedium(library, path, lookAtMedium, goOn))
                    result.media.push_back(std::move(*medium));
                else
                    result.errors.push_back(medium.error());
            }
            return result;
        },
        [&session, taken](Result<Taken> result) {
            if (!result) {
                Q_EMIT session.problem(result.error());
                return;
            }
            for (const Error& error : result->errors)
                Q_EMIT session.problem(error);
            if (!result->media.empty())
                taken(std::move(result->media));
        });
}

void bringInPasted(Session& session, QObject* asker, const QImage& picture, const MediumTaken& taken) {
    ask(
        session, asker,
        [picture](Library& library, const GoOn&) -> Result<Medium> {
            QByteArray bytes;
            QBuffer buffer(&bytes);
            if (!buffer.open(QIODevice::WriteOnly) || !picture.save(&buffer, "PNG"))
                return tl::unexpected(Error{Said::tr("The pasted picture cannot be used"),
                                            Said::tr("the clipboard"),
                                            Said::tr("Save it as a file and bring that in.")});
            const auto stored = library.media().bringIn(bytes, Said::tr("Pasted.png"));
            if (!stored)
                return tl::unexpected(stored.error());
            auto medium = library.catalogue().medium(stored->name);
            if (!medium)
                return tl::unexpected(medium.error());
            return medium->value_or(Medium());
        },
        taken);
}

void chooseMedium(Session& session, Prompts& prompts, QObject* asker, MediumKind kind,
                  const MediumTaken& taken) {
    const QString path =
        kind == MediumKind::Picture ? prompts.pictureToChoose() : prompts.filmsToChoose().value(0);
    if (!path.isEmpty())
        bringInOne(session, asker, path, kind, taken);
}

} // namespace mivanta
