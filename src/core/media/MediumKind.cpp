// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/media/MediumKind.h"

namespace mivanta {

using namespace Qt::StringLiterals;

const QStringList& pictureSuffixes() {
    static const QStringList suffixes{u"jpg"_s, u"jpeg"_s, u"png"_s,  u"webp"_s,
                                      u"gif"_s, u"tif"_s,  u"tiff"_s, u"heic"_s};
    return suffixes;
}

const QStringList& filmSuffixes() {
    static const QStringList suffixes{u"avi"_s, u"flv"_s, u"m2ts"_s, u"m4v"_s,  u"mkv"_s,
                                      u"mov"_s, u"mp4"_s, u"mpeg"_s, u"mpg"_s,  u"mts"_s,
                                      u"ogv"_s, u"ts"_s,  u"vob"_s,  u"webm"_s, u"wmv"_s};
    return suffixes;
}

const QStringList& soundSuffixes() {
    static const QStringList suffixes{u"aac"_s, u"aif"_s, u"aiff"_s, u"flac"_s, u"m4a"_s,
                                      u"mp3"_s, u"oga"_s, u"ogg"_s,  u"opus"_s, u"wav"_s};
    return suffixes;
}

const QStringList& suffixesOf(MediumKind kind) {
    return kind == MediumKind::Picture ? pictureSuffixes()
           : kind == MediumKind::Film  ? filmSuffixes()
                                       : soundSuffixes();
}

std::optional<MediumKind> mediumKindOf(const QString& path) {
    const QString suffix = path.mid(path.lastIndexOf(u'.') + 1).toLower();
    for (const MediumKind kind : {MediumKind::Picture, MediumKind::Film, MediumKind::Sound})
        if (suffixesOf(kind).contains(suffix))
            return kind;
    return std::nullopt;
}

} // namespace mivanta
