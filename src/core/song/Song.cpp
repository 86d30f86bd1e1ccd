// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/Song.h"
#include "core/base/Said.h"
#include <algorithm>
#include <array>

namespace mivanta {

namespace {

struct KindNames {
    PartKind kind;
    const char* name; ///< the key, and in English for people
    const char* initials;
};

constexpr std::array kKinds{
    KindNames{PartKind::Verse, QT_TRANSLATE_NOOP("Said", "Verse"), "V"},
    KindNames{PartKind::PreChorus, QT_TRANSLATE_NOOP("Said", "Pre-chorus"), "P"},
    KindNames{PartKind::Chorus, QT_TRANSLATE_NOOP("Said", "Chorus"), "C"},
    KindNames{PartKind::Bridge, QT_TRANSLATE_NOOP("Said", "Bridge"), "B"},
    KindNames{PartKind::Intro, QT_TRANSLATE_NOOP("Said", "Intro"), "Intro"},
    KindNames{PartKind::Interlude, QT_TRANSLATE_NOOP("Said", "Interlude"), "Inter"},
    KindNames{PartKind::Tag, QT_TRANSLATE_NOOP("Said", "Tag"), "T"},
    KindNames{PartKind::Ending, QT_TRANSLATE_NOOP("Said", "Ending"), "E"},
    KindNames{PartKind::Other, QT_TRANSLATE_NOOP("Said", "Part"), ""},
};

const KindNames& namesOf(PartKind kind) {
    return *std::find_if(kKinds.begin(), kKinds.end() - 1,
                         [&](const KindNames& each) { return each.kind == kind; });
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

QString partKindKey(PartKind kind) {
    return QString::fromLatin1(namesOf(kind).name);
}

QString partKindName(PartKind kind) {
    return Said::tr(namesOf(kind).name);
}

QString Part::key() const {
    const QString base = name.isEmpty() ? partKindKey(kind) : name;
    return number > 0 ? base + u' ' + QString::number(number) : base;
}

QString Part::label() const {
    const QString base = name.isEmpty() ? partKindName(kind) : name;
    //: a part of a song and its number: "Verse 1"
    return number > 0 ? Said::tr("%1 %2").arg(base, QString::number(number)) : base;
}

QString Part::shortLabel() const {
    const QString base =
        kind == PartKind::Other || !name.isEmpty() ? key() : QString::fromLatin1(namesOf(kind).initials);
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
