// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/MediaName.h"
#include <QCryptographicHash>
#include <QFileInfo>
#include <QRegularExpression>

namespace mivanta {

namespace {
constexpr int kLongestSuffix = 7;
const QString kLive = QStringLiteral("live:");
} // namespace

bool isMediaName(const QString& name) {
    // \z: "$" would let a line feed pass behind the end.
    static const QRegularExpression form(
        QStringLiteral("\\A[0-9a-f]{64}\\.[a-z0-9]{1,%1}\\z").arg(kLongestSuffix));
    return form.match(name).hasMatch();
}

QString trustedMediaName(const QString& name) {
    if (name.isEmpty() || isMediaName(name))
        return name;
    const QByteArray hash = QCryptographicHash::hash(name.toUtf8(), QCryptographicHash::Sha256);
    return QString::fromLatin1(hash.toHex()) + QStringLiteral(".none");
}

QString mediaSuffix(const QString& fileName) {
    QString suffix;
    for (const QChar c : QFileInfo(fileName).suffix().toLower())
        if ((c >= u'a' && c <= u'z') || (c >= u'0' && c <= u'9'))
            suffix += c;
    return suffix.isEmpty() || suffix.size() > kLongestSuffix ? QStringLiteral("file") : suffix;
}

QString mediaPath(const QString& folder, const QString& name) {
    if (name.isEmpty() || name.startsWith(u'.') || name.contains(u'/') || name.contains(QChar(0)))
        return {};
    const QFileInfo file(folder + u'/' + name);
    return file.isSymLink() ? QString() : file.filePath();
}

QString filmMomentName(const QString& film, double seconds) {
    return film.isEmpty() ? film : film + u'@' + QString::number(seconds, 'f', 3);
}

QString livePictureName(const QString& input) {
    return input.isEmpty() ? input : kLive + input;
}

QString livePictureOf(const QString& name) {
    return name.startsWith(kLive) ? name.mid(kLive.size()) : QString();
}

std::optional<FilmMoment> filmMomentOf(const QString& name) {
    const auto at = name.lastIndexOf(u'@');
    bool isMoment = false;
    const double seconds = at < 0 ? 0 : name.mid(at + 1).toDouble(&isMoment);
    return isMoment ? std::optional(FilmMoment{name.left(at), seconds}) : std::nullopt;
}

} // namespace mivanta
