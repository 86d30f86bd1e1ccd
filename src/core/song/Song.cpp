// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/Song.h"
#include <algorithm>

namespace mivanta {

QString partKindName(PartKind kind) {
    switch (kind) {
    case PartKind::Verse:
        return QStringLiteral("Verse");
    case PartKind::PreChorus:
        return QStringLiteral("Pre-chorus");
    case PartKind::Chorus:
        return QStringLiteral("Chorus");
    case PartKind::Bridge:
        return QStringLiteral("Bridge");
    case PartKind::Intro:
        return QStringLiteral("Intro");
    case PartKind::Interlude:
        return QStringLiteral("Interlude");
    case PartKind::Tag:
        return QStringLiteral("Tag");
    case PartKind::Ending:
        return QStringLiteral("Ending");
    case PartKind::Other:
        break;
    }
    return QStringLiteral("Part");
}

namespace {

QString initials(PartKind kind) {
    switch (kind) {
    case PartKind::Verse:
        return QStringLiteral("V");
    case PartKind::PreChorus:
        return QStringLiteral("P");
    case PartKind::Chorus:
        return QStringLiteral("C");
    case PartKind::Bridge:
        return QStringLiteral("B");
    case PartKind::Intro:
        return QStringLiteral("Intro");
    case PartKind::Interlude:
        return QStringLiteral("Inter");
    case PartKind::Tag:
        return QStringLiteral("T");
    case PartKind::Ending:
        return QStringLiteral("E");
    case PartKind::Other:
        break;
    }
    return {};
}

bool samePart(const Part& a, const Part& b) {
    return a.kind == b.kind && a.number == b.number && a.name == b.name && a.bandOnly == b.bandOnly &&
           a.comment == b.comment && a.lines == b.lines;
}

/// Orders compared by the place of the part, since ids do not count.
bool sameOrder(const Song& a, const std::vector<SungPart>& ofA, const Song& b,
               const std::vector<SungPart>& ofB) {
    return std::equal(
        ofA.begin(), ofA.end(), ofB.begin(), ofB.end(), [&](const SungPart& x, const SungPart& y) {
            return x.times == y.times && x.stageNote == y.stageNote && x.isEmptySlide() == y.isEmptySlide() &&
                   a.indexOf(x.part) == b.indexOf(y.part);
        });
}

bool sameOrders(const Song& a, const Song& b) {
    return a.orderName == b.orderName && sameOrder(a, a.singingOrder, b, b.singingOrder) &&
           std::equal(a.otherOrders.begin(), a.otherOrders.end(), b.otherOrders.begin(), b.otherOrders.end(),
                      [&](const NamedOrder& x, const NamedOrder& y) {
                          return x.name == y.name && sameOrder(a, x.entries, b, y.entries);
                      });
}

} // namespace

QString Part::label() const {
    const QString base = name.isEmpty() ? partKindName(kind) : name;
    return number > 0 ? base + u' ' + QString::number(number) : base;
}

QString Part::shortLabel() const {
    const QString base = kind == PartKind::Other || !name.isEmpty() ? label() : initials(kind);
    return number > 0 && kind != PartKind::Other && name.isEmpty() ? base + QString::number(number) : base;
}

bool Part::hasWords() const {
    return std::any_of(lines.begin(), lines.end(),
                       [](const Line& l) { return !l.words.trimmed().isEmpty(); });
}

const Part* Song::part(const PartId& id) const {
    const auto at = std::find_if(parts.begin(), parts.end(), [&](const Part& p) { return p.id == id; });
    return at == parts.end() ? nullptr : &*at;
}

int Song::indexOf(const PartId& id) const {
    const Part* at = part(id);
    return at ? int(at - parts.data()) : -1;
}

QStringList Song::authorNames(AuthorRole role) const {
    QStringList names;
    for (const Author& author : authors)
        if (author.role == role)
            names << author.name;
    return names;
}

QStringList Song::authorNames() const {
    QStringList names;
    for (const Author& author : authors)
        if (!names.contains(author.name))
            names << author.name;
    return names;
}

QString Song::firstLine() const {
    for (const SungPart& sung : sungParts()) {
        const Part* at = part(sung.part);
        if (!at || at->bandOnly)
            continue;
        for (const Line& line : at->lines)
            if (!line.words.trimmed().isEmpty())
                return line.words.trimmed();
    }
    return {};
}

std::vector<SungPart> Song::sungParts() const {
    if (!singingOrder.empty())
        return singingOrder;
    std::vector<SungPart> result;
    for (const Part& p : parts)
        result.push_back({p.id, 1});
    return result;
}

bool sameContent(const Song& a, const Song& b) {
    return a.title == b.title && a.otherTitles == b.otherTitles && a.authors == b.authors &&
           a.copyright == b.copyright && a.licenceNumber == b.licenceNumber &&
           a.bookNumbers == b.bookNumbers && a.key == b.key && a.tempo == b.tempo &&
           a.timeSignature == b.timeSignature && a.capo == b.capo && a.topics == b.topics &&
           a.language == b.language && a.notes == b.notes && a.usualTheme == b.usualTheme &&
           a.backingTrack == b.backingTrack && sameOrders(a, b) &&
           std::equal(a.parts.begin(), a.parts.end(), b.parts.begin(), b.parts.end(), samePart);
}

} // namespace mivanta
