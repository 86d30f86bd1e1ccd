// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LookDrops.h"
#include "core/base/Said.h"
#include "desk/kit/BringInMedia.h"
#include "media/PictureProxies.h"
#include "session/Session.h"

namespace mivanta {

namespace {

void useTheme(Session& session, const LookTarget& target, const QString& onto, const Theme& theme) {
    std::vector<Theme> themes = session.book().themes();
    if (!themeOf(theme.id, themes))
        themes.push_back(theme); // it has only just come into the library
    session.document().changeLook(
        target, themes, [&](LookChoice& choice) { choice.theme = theme.id; },
        Said::tr("the theme %1").arg(theme.name));
    Q_EMIT session.notice(Said::tr("\u201c%1\u201d is now the theme of %2. Undo (Ctrl+Z) takes it back.")
                              .arg(theme.name, onto));
}

void useBackdrop(Session& session, const LookTarget& target, const QString& onto, BackdropKind kind,
                 const Medium& medium) {
    const bool isFilm = kind == BackdropKind::Film;
    session.document().changeLook(
        target, session.book().themes(),
        [&](LookChoice& choice) {
            choice.own.set(
                *lookProperty(isFilm ? QStringLiteral("backdrop.film") : QStringLiteral("backdrop.picture")),
                medium.name);
            choice.own.set(*lookProperty(QStringLiteral("backdrop.kind")), LookChoiceIndex{int(kind)});
        },
        Said::tr("the backdrop %1").arg(medium.title));
    Q_EMIT session.notice(Said::tr("\u201c%1\u201d is now the backdrop of %2. Undo (Ctrl+Z) takes it back.")
                              .arg(medium.title, onto));
}

} // namespace

void dropLook(Session& session, QObject* asker, const LookTarget& target, const QString& onto,
              const LookDrop& drop) {
    if (!drop.theme.isEmpty()) {
        if (const Theme* theme = themeOf(drop.theme, session.book().themes()))
            useTheme(session, target, onto, *theme);
    } else if (drop.isThemeFile) {
        session.library().ask<Theme>(
            asker,
            [path = drop.file](Library& library) {
                return library.themes().bringIn(path, library.media(), checkPicture);
            },
            [&session, target, onto](const Result<Theme>& theme) {
                if (theme)
                    useTheme(session, target, onto, *theme);
                else
                    Q_EMIT session.problem(theme.error());
            });
    } else {
        const auto kind =
            mediumKindOf(drop.file) == MediumKind::Film ? BackdropKind::Film : BackdropKind::Picture;
        bringInOne(session, asker, drop.file, [&session, target, onto, kind](const Medium& medium) {
            useBackdrop(session, target, onto, kind, medium);
        });
    }
}

} // namespace mivanta
