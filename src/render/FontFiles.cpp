// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/FontFiles.h"
#include "core/base/Said.h"
#include <QFile>
#include <QRawFont>
#include <QSet>
#include <fontconfig/fontconfig.h>
#include <memory>

namespace mivanta {

namespace {

struct PatternCloser {
    void operator()(FcPattern* pattern) const { FcPatternDestroy(pattern); }
};
using Pattern = std::unique_ptr<FcPattern, PatternCloser>;

/// The file that the system would take, when it is of the very family; else empty.
QString fileOf(const QString& family, int weight, bool isSlanted) {
    const Pattern wanted(FcPatternCreate());
    const QByteArray name = family.toUtf8();
    FcPatternAddString(wanted.get(), FC_FAMILY, reinterpret_cast<const FcChar8*>(name.constData()));
    FcPatternAddInteger(wanted.get(), FC_WEIGHT, FcWeightFromOpenType(weight));
    FcPatternAddInteger(wanted.get(), FC_SLANT, isSlanted ? FC_SLANT_ITALIC : FC_SLANT_ROMAN);
    FcConfigSubstitute(nullptr, wanted.get(), FcMatchPattern);
    FcDefaultSubstitute(wanted.get());
    FcResult result = FcResultMatch;
    const Pattern found(FcFontMatch(nullptr, wanted.get(), &result));
    FcChar8* file = nullptr;
    if (!found || FcPatternGetString(found.get(), FC_FILE, 0, &file) != FcResultMatch)
        return {};
    FcChar8* its = nullptr;
    for (int i = 0; FcPatternGetString(found.get(), FC_FAMILY, i, &its) == FcResultMatch; ++i)
        if (QString::fromUtf8(reinterpret_cast<const char*>(its)).compare(family, Qt::CaseInsensitive) == 0)
            return QFile::decodeName(reinterpret_cast<const char*>(file));
    return {};
}

QString refusalOf(const QString& path) {
    const QRawFont font(path, 16);
    const QByteArray table = font.fontTable("OS/2");
    constexpr qsizetype kTypeAt = 8; // two bytes, the higher first
    if (table.size() < kTypeAt + 2)
        return Said::tr("it does not say whether it may be carried along");
    return embeddingRefusal(unsigned(quint8(table[kTypeAt])) << 8 | quint8(table[kTypeAt + 1]));
}

} // namespace

QString embeddingRefusal(unsigned fsType) {
    constexpr unsigned kRestricted = 0x0002;
    constexpr unsigned kPreview = 0x0004;
    constexpr unsigned kEditable = 0x0008;
    constexpr unsigned kBitmapsOnly = 0x0200;
    if (fsType & kBitmapsOnly)
        return Said::tr("its licence lets only pictures of its letters be carried along");
    if (fsType & kEditable) // the least restrictive of several holds
        return {};
    if (fsType & kPreview)
        return Said::tr("its licence lets it be carried along for printing only");
    if (fsType & kRestricted)
        return Said::tr("its licence forbids to carry it along");
    return {};
}

std::vector<FontFile> fontFilesOf(const std::vector<UsedFont>& fonts) {
    constexpr int kBold = 700;
    std::vector<FontFile> files;
    QSet<QString> seen;
    for (const UsedFont& font : fonts)
        for (const int weight : {font.weight, std::max(kBold, font.weight)})
            for (const bool isSlanted : {false, true}) {
                const QString path = fileOf(font.family, weight, isSlanted);
                const bool isShipped = path.startsWith(u':'); // inside the program
                if (path.isEmpty() || isShipped || seen.contains(path))
                    continue;
                seen.insert(path);
                files.push_back({font, path, refusalOf(path)});
            }
    return files;
}

} // namespace mivanta
