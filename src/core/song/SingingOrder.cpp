// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SingingOrder.h"
#include "core/song/PartHeading.h"
#include <QRegularExpression>

namespace mivanta {

namespace {

QString squeezed(const QString& text) {
    QString result = text.toLower();
    return result.remove(u' ').remove(u'-');
}

/// The first part that the token names by its short label, its label, or its kind's name or initial.
const Part* findPart(const QString& token, const std::vector<Part>& parts) {
    const QString wanted = squeezed(token);
    for (const Part& part : parts)
        if (squeezed(part.shortLabel()) == wanted || squeezed(part.label()) == wanted)
            return &part;
    for (const Part& part : parts) {
        Part bare = part;
        bare.number = 0;
        if (squeezed(bare.shortLabel()) == wanted || squeezed(bare.label()) == wanted)
            return &part;
        // "V1" for a lone verse without a number
        bare.number = 1;
        if (part.number == 0 && (squeezed(bare.shortLabel()) == wanted || squeezed(bare.label()) == wanted))
            return &part;
    }
    if (const auto heading = readPartHeading(token))
        for (const Part& part : parts)
            if (part.kind == heading->kind && part.number == heading->number)
                return &part;
    return nullptr;
}

} // namespace

ReadOrder readSingingOrder(const QString& text, const std::vector<Part>& parts) {
    static const QRegularExpression separators(QStringLiteral("[\\s,;]+"));
    static const QRegularExpression repeat(QStringLiteral("^(.*?)[x\u00d7](\\d{1,2})$"),
                                           QRegularExpression::CaseInsensitiveOption);
    ReadOrder result;
    bool lastWasKnown = false;
    for (const QString& token : text.split(separators, Qt::SkipEmptyParts)) {
        QString name = token;
        int times = 1;
        const Part* part = findPart(name, parts);
        if (!part) {
            if (const auto match = repeat.match(token); match.hasMatch() && match.captured(2).toInt() > 0) {
                name = match.captured(1);
                times = match.captured(2).toInt();
                if (name.isEmpty() && lastWasKnown) { // "C x2": belongs to the part before it
                    result.entries.back().times = times;
                    continue;
                }
                part = findPart(name, parts);
            }
        }
        lastWasKnown = part != nullptr;
        if (part)
            result.entries.push_back({part->id, times});
        else
            result.unknown << token;
    }
    return result;
}

QString singingOrderText(const Song& song) {
    QStringList tokens;
    for (const SungPart& sung : song.singingOrder) {
        const Part* part = song.part(sung.part);
        if (!part)
            continue;
        QString token = part->shortLabel();
        token.replace(u' ', u'-');
        tokens << (sung.times > 1 ? token + QStringLiteral(" x%1").arg(sung.times) : token);
    }
    return tokens.join(u' ');
}

} // namespace mivanta
