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

void usePicture(Session& session, const LookTarget& target, const QString& onto,
                const StoredMedium& picture) {
    session.document().changeLook(
        target, session.book().themes(),
        [&](LookChoice& choice) {
            choice.own.set(*lookProperty(QStringLiteral("backdrop.picture")), picture.name);
            choice.own.set(*lookProperty(QStringLiteral("backdrop.kind")),
                           LookChoiceIndex{int(BackdropKind::Picture)});
        },
        Said::tr("the backdrop %1").arg(picture.title));
    Q_EMIT session.notice(Said::tr("\u201c%1\u201d is now the backdrop of %2. Undo (Ctrl+Z) takes it back.")
                              .arg(picture.title, onto));
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
            },
            LibraryClient::Changes::Library);
    } else {
        bringInPicture(session, asker, drop.file, [&session, target, onto](const StoredMedium& picture) {
            usePicture(session, target, onto, picture);
        });
    }
}

} // namespace mivanta
