// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Fold.h"
#include <algorithm>

namespace mivanta {

namespace {

bool isApostrophe(QChar c) {
    return c == u'\'' || c == QChar(0x2019) || c == QChar(0x2018) || c == u'`' || c == QChar(0x02bc) ||
           c == QChar(0x00b4);
}

bool isPlain(const QString& text) {
    return std::all_of(text.begin(), text.end(), [](QChar c) { return c.unicode() < 0x80; });
}

} // namespace

QString foldedForSearch(const QString& text) {
    const QString source = isPlain(text) ? text : text.normalized(QString::NormalizationForm_KD);
    QString result;
    result.reserve(source.size());
    for (const QChar c : source) {
        if (c == u'\n' || c.isLetterOrNumber() || c.isSurrogate())
            result += c.toLower();
        else if (c.isMark() || isApostrophe(c))
            continue;
        else if (!result.endsWith(u' '))
            result += u' ';
    }
    return result;
}

QStringList searchWords(const QString& query) {
    return foldedForSearch(query).replace(u'\n', u' ').split(u' ', Qt::SkipEmptyParts);
}

} // namespace mivanta
