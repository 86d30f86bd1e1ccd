// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/MediumLook.h"
#include "media/FilmLook.h"
#include "media/PictureProxies.h"
#include "media/Sound.h"

namespace mivanta {

Result<MediumFacts> lookAtMedium(const QString& path, MediumKind kind) {
    switch (kind) {
    case MediumKind::Picture:
        return checkPicture(path)
            .and_then([&] { return lookAtPicture(path); })
            .map([](const PictureFacts& facts) {
                return MediumFacts{facts.size, 0, false};
            });
    case MediumKind::Film:
        return lookAtFilm(path).map([](const FilmFacts& facts) {
            return MediumFacts{facts.size, facts.seconds, facts.hasSound};
        });
    case MediumKind::Sound:
        return lookAtSound(path).map([](const SoundFacts& facts) {
            return MediumFacts{{}, facts.seconds, true};
        });
    }
    return MediumFacts();
}

} // namespace mivanta
