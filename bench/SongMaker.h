// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <random>

namespace mivanta {

using namespace Qt::StringLiterals;

/// Made-up songs of four verses and a chorus; the same for the same number.
class SongMaker {
public:
    Song make(int number) {
        std::mt19937 random{unsigned(number)};
        Song song;
        song.id = SongId::create();
        song.title = words(random, 2, 4) + u' ' + QString::number(number);
        song.authors = {{AuthorRole::Words, words(random, 2, 2)}};
        song.bookNumbers = {{u"Bench Book"_s, QString::number(number)}};
        for (int p = 0; p < 5; ++p) {
            Part part{PartId::create(),
                      p == 1 ? PartKind::Chorus : PartKind::Verse,
                      p == 1 ? 0 : p + 1,
                      {},
                      false,
                      {},
                      {}};
            for (int l = 0; l < 4; ++l)
                part.lines.push_back({words(random, 5, 8) + (l % 2 ? u"."_s : u","_s), {}, false, {}});
            song.parts.push_back(std::move(part));
        }
        return song;
    }

private:
    static QString words(std::mt19937& random, int least, int most) {
        static const QStringList syllables{u"ka"_s,  u"lo"_s,  u"mer"_s, u"tin"_s, u"sal"_s, u"vo"_s,
                                           u"rin"_s, u"the"_s, u"da"_s,  u"fe"_s,  u"gul"_s, u"har"_s,
                                           u"bo"_s,  u"ni"_s,  u"pel"_s, u"qua"_s};
        QStringList result;
        const int count = least + int(random() % unsigned(most - least + 1));
        for (int i = 0; i < count; ++i) {
            QString word;
            for (unsigned s = 0; s < 1 + random() % 3; ++s)
                word += syllables[int(random() % 16)];
            result << word;
        }
        return result.join(u' ');
    }
};

} // namespace mivanta
