// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/live/LiveAddress.h"
#include "core/base/Said.h"
#include <QUrl>
#include <QUrlQuery>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kLongestAddress = 2000;

struct AddressKind {
    const char* scheme;
    bool needsPort;
    bool mayWait; ///< for a sender, without naming a computer
};

constexpr AddressKind kAddressKinds[]{
    {"rtsp", false, false}, {"rtsps", false, false}, {"srt", true, true},    {"udp", true, true},
    {"rtmp", false, false}, {"rtmps", false, false}, {"http", false, false}, {"https", false, false},
};

const AddressKind* addressKindOf(const QUrl& url) {
    const auto* const found =
        std::find_if(std::begin(kAddressKinds), std::end(kAddressKinds),
                     [&](const AddressKind& kind) { return url.scheme() == QLatin1String(kind.scheme); });
    return found == std::end(kAddressKinds) ? nullptr : found;
}

tl::unexpected<Error> noAddress(const QString& what) {
    return failure(what, {},
                   Said::tr("It looks like rtsp://camera.local/hall or http://192.168.1.20:8080/video."));
}

/// Nobody's computer: one's own port is meant.
bool isNobody(const QString& host) {
    return host.isEmpty() || host == "0.0.0.0"_L1 || host == "::"_L1;
}

/// Of an address that ffmpeg takes in pieces by itself: no character that begins another option or address.
bool isPlain(const QString& text) {
    return std::all_of(text.begin(), text.end(), [](QChar c) {
        return c.unicode() > 0x20 && c.unicode() < 0x7f && c != u'|' && c != u'\\';
    });
}

} // namespace

Result<CheckedAddress> checkedAddress(const QString& typed) {
    const QString text = typed.trimmed();
    if (text.isEmpty())
        return noAddress(Said::tr("there is no address"));
    if (text.size() > kLongestAddress)
        return noAddress(Said::tr("the address is too long"));
    QUrl url(text, QUrl::StrictMode);
    const AddressKind* kind = url.isValid() ? addressKindOf(url) : nullptr;
    if (!kind)
        return noAddress(Said::tr("this is no address that pictures come from"));
    CheckedAddress checked;
    checked.secret.user = url.userName(QUrl::FullyDecoded);
    checked.secret.password = url.password(QUrl::FullyDecoded);
    url.setUserInfo({});
    QUrlQuery query(url);
    if (url.scheme() == "srt"_L1) {
        checked.secret.passphrase = query.queryItemValue(u"passphrase"_s, QUrl::FullyDecoded);
        query.removeQueryItem(u"passphrase"_s);
        url.setQuery(query.isEmpty() ? QString() : query.query(QUrl::FullyEncoded));
    }
    url.setFragment({});
    if (isNobody(url.host()) && !kind->mayWait)
        return noAddress(Said::tr("the address names no computer"));
    if (kind->needsPort && url.port() <= 0)
        return noAddress(Said::tr("the address names no port"));
    checked.address = url.toString(QUrl::FullyEncoded);
    if (!isPlain(checked.address))
        return noAddress(Said::tr("there are characters in the address that none has"));
    return checked;
}

QString completeAddress(const QString& address, const LiveSecret& secret) {
    QUrl url(address, QUrl::StrictMode);
    if (!secret.user.isEmpty() || !secret.password.isEmpty()) {
        url.setUserName(secret.user, QUrl::DecodedMode);
        url.setPassword(secret.password, QUrl::DecodedMode);
    }
    if (url.scheme() == "srt"_L1 && !secret.passphrase.isEmpty()) {
        QUrlQuery query(url);
        query.addQueryItem(u"passphrase"_s, QString::fromLatin1(QUrl::toPercentEncoding(secret.passphrase)));
        url.setQuery(query);
    }
    return url.toString(QUrl::FullyEncoded);
}

QString hostOf(const QString& address) {
    const QString host = QUrl(address, QUrl::StrictMode).host();
    return isNobody(host) ? QString() : host;
}

} // namespace mivanta
