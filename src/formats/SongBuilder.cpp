// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongBuilder.h"
#include "core/base/Said.h"
#include "core/song/PartEdits.h"
#include "core/song/SheetDetails.h"
#include "core/song/SingingOrder.h"
#include <QRegularExpression>
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

/// "Shore Hymnal 203" or "Shore Hymnal #203" -> book and number; without "#" the number is the last word.
BookNumber bookNumber(const QString& value) {
    const qsizetype sign = value.lastIndexOf(u'#');
    const qsizetype space = sign < 0 ? value.lastIndexOf(u' ') : sign;
    return space < 0 ? BookNumber{{}, value}
                     : BookNumber{value.left(space).trimmed(), value.mid(space + 1).trimmed()};
}

const QRegularExpression& nameSeparators() {
    static const QRegularExpression separators(QStringLiteral("\\s*(?:,|;|&|\\band\\b)\\s*"));
    return separators;
}

/// One name in quotes, or several with commas or "and" between.
QStringList names(const QString& value) {
    if (value.size() > 2 && value.startsWith(u'"') && value.endsWith(u'"'))
        return {value.mid(1, value.size() - 2)};
    QStringList result;
    for (const QString& name : value.split(nameSeparators(), Qt::SkipEmptyParts))
        if (!name.trimmed().isEmpty())
            result << name.trimmed();
    return result;
}

void addAuthors(Song& song, AuthorRole role, const QString& value) {
    for (const QString& name : names(value))
        song.authors.push_back({role, name});
}

/// A chorus that is written out again has other commas as often as not.
QString lettersOf(const QString& words) {
    QString letters;
    for (const QChar c : words)
        if (c.isLetterOrNumber())
            letters += c.toLower();
    return letters.isEmpty() ? words : letters;
}

/// Equal for lines that have the same words, with the same breaks.
QString wordsKey(const std::vector<Line>& lines) {
    QString key;
    for (const Line& line : lines)
        key += (line.breakBefore ? u'/' : u'|') + lettersOf(line.words);
    return key;
}

bool hasWords(const std::vector<Line>& lines) {
    return std::any_of(lines.begin(), lines.end(), [](const Line& l) { return !l.words.isEmpty(); });
}

} // namespace

QString quotedDetail(const QString& name) {
    return name.contains(nameSeparators()) ? u'"' + name + u'"' : name;
}

bool SongBuilder::setDetail(const QString& rawName, const QString& value) {
    const QString name = detailNamed(rawName);
    const auto is = [&](const char* known) { return name == QLatin1String(known); };
    if (is("title"))
        m_song.title = value;
    else if (is("subtitle"))
        m_song.otherTitles << value;
    else if (is("words"))
        addAuthors(m_song, AuthorRole::Words, value);
    else if (is("music"))
        addAuthors(m_song, AuthorRole::Music, value);
    else if (is("translation"))
        addAuthors(m_song, AuthorRole::Translation, value);
    else if (is("arrangement"))
        addAuthors(m_song, AuthorRole::Arrangement, value);
    else if (is("copyright"))
        m_song.copyright = value;
    else if (is("licence"))
        m_song.licenceNumber = value;
    else if (is("book"))
        m_song.bookNumbers.push_back(bookNumber(value));
    else if (is("key"))
        m_song.key = value;
    else if (is("tempo"))
        m_song.tempo = std::clamp(value.section(u' ', 0, 0).toInt(), 0, 400);
    else if (is("time"))
        m_song.timeSignature = value;
    else if (is("capo"))
        m_song.capo = std::clamp(value.toInt(), 0, 12);
    else if (is("topic"))
        m_song.topics << names(value);
    else if (is("language"))
        m_song.language = value;
    else if (is("notes"))
        m_song.notes += (std::exchange(m_hasNotes, true) ? QStringLiteral("\n") : QString()) + value;
    else if (is("theme"))
        m_song.usualTheme = value;
    else if (is("track"))
        m_song.backingTrack = value;
    else if (is("order_name"))
        m_song.orderName = value;
    else
        return false;
    return true;
}

bool SongBuilder::setOrder(const QString& name, const QString& text, int fileLine) {
    const QString plain = detailNamed(name);
    if (plain == QLatin1String("order"))
        m_orders.push_back({.isUsual = true, .name = {}, .text = text, .fileLine = fileLine});
    else if (plain == QLatin1String("other_order"))
        m_orders.push_back({.isUsual = false,
                            .name = text.section(u':', 0, 0).trimmed(),
                            .text = text.section(u':', 1),
                            .fileLine = fileLine});
    else
        return false;
    return true;
}

void SongBuilder::addSection(Section section) {
    while (!section.lines.empty() && section.lines.back().words.isEmpty() &&
           section.lines.back().chords.empty())
        section.lines.pop_back();
    if (!section.lines.empty())
        section.lines.front().breakBefore = false;
    if (!section.lines.empty() || section.heading)
        m_sections.push_back(std::move(section));
}

/// The kind of a section that has no heading: a chorus when its words come again, band only when it has
/// chords and no words, else a verse.
PartHeading SongBuilder::headingFor(const Section& section, const QString& words) const {
    if (section.heading)
        return *section.heading;
    if (!hasWords(section.lines)) {
        const bool first = &section == &m_sections.front();
        return {first ? PartKind::Intro : PartKind::Interlude, 0, {}, true};
    }
    return {m_unheaded.value(words) > 1 ? PartKind::Chorus : PartKind::Verse, 0, {}, {}};
}

/// Index of a part of that name; of that number, too, unless the heading has none. -1 = there is none.
int SongBuilder::partNamed(const PartHeading& heading) const {
    const auto at = m_named.constFind({int(heading.kind), heading.name.toLower()});
    if (at == m_named.cend())
        return -1;
    return heading.number == 0 ? at->first : at->byNumber.value(heading.number, -1);
}

/// The same among the parts with just these words.
int SongBuilder::partLike(const PartHeading& heading, const QString& words) const {
    for (const int index : m_byWords.value(words)) {
        const Part& part = m_song.parts[size_t(index)];
        if (part.kind == heading.kind && part.name.compare(heading.name, Qt::CaseInsensitive) == 0 &&
            (part.number == heading.number || heading.number == 0))
            return index;
    }
    return -1;
}

/// Index of the part that the section is: one that is there already, or a new one. -1 = names nothing.
int SongBuilder::partFor(const Section& section, const QString& words) {
    const PartHeading heading = headingFor(section, words);
    const int known = section.lines.empty() ? partNamed(heading) : partLike(heading, words);
    if (known >= 0)
        return known;
    if (section.lines.empty()) {
        warn(section.fileLine, Said::tr("a heading without words under it, for a part that was not written "
                                        "before; it was left out."));
        return -1;
    }
    Part part{PartId::create(), heading.kind, heading.number, heading.name, false,
              section.comment,  section.lines};
    part.bandOnly = heading.bandOnly.value_or(section.bandOnly || isBandOnlyByDefault(part));
    const int twin = heading.number > 0 ? partNamed(heading) : -1;
    Named& named = m_named[{int(part.kind), part.name.toLower()}];
    if (twin >= 0) {
        part.number = named.highest + 1;
        warn(section.fileLine, Said::tr("%1 comes twice with different words; the second was named %2.")
                                   .arg(m_song.parts[size_t(twin)].label(), part.label()));
    }
    const int index = int(m_song.parts.size());
    named.first = named.first < 0 ? index : named.first;
    named.highest = std::max(named.highest, part.number);
    if (!named.byNumber.contains(part.number))
        named.byNumber.insert(part.number, index);
    m_byWords[words].push_back(index);
    m_song.parts.push_back(std::move(part));
    return index;
}

void SongBuilder::makeParts() {
    std::vector<QString> keys;
    for (const Section& section : m_sections) {
        keys.push_back(wordsKey(section.lines));
        if (!section.heading)
            ++m_unheaded[keys.back()];
    }
    for (size_t i = 0; i < m_sections.size(); ++i)
        if (const int part = partFor(m_sections[i], keys[i]); part >= 0)
            m_sung.push_back(part);
}

/// Numbers the parts that have none: verses always, others when there are several of a kind.
void SongBuilder::numberParts() {
    struct Numbers {
        int parts = 0;
        QSet<int> taken;
        int next = 1;
    };
    QHash<PartKind, Numbers> kinds;
    for (const Part& part : m_song.parts)
        if (part.name.isEmpty()) {
            ++kinds[part.kind].parts;
            kinds[part.kind].taken.insert(part.number);
        }
    for (Part& part : m_song.parts) {
        Numbers& numbers = kinds[part.kind];
        if (part.number > 0 || !part.name.isEmpty() || (part.kind != PartKind::Verse && numbers.parts < 2))
            continue;
        while (numbers.taken.contains(numbers.next))
            ++numbers.next;
        part.number = numbers.next;
        numbers.taken.insert(part.number);
    }
}

std::vector<SungPart> SongBuilder::readOrder(const OrderText& order) {
    const ReadOrder read = readSingingOrder(order.text, m_song.parts);
    const QStringList wrong = read.notUnderstood(order.text);
    if (!wrong.isEmpty())
        warn(order.fileLine,
             Said::tr("the singing order names %1, which this song does not have or has "
                      "several of; the rest of the order was kept. Parts here: %2.")
                 .arg(wrong.join(QStringLiteral(", ")), orderTokens(m_song.parts).join(u' ')));
    return read.entries;
}

void SongBuilder::readOrders() {
    for (const OrderText& order : m_orders)
        if (order.isUsual)
            m_song.singingOrder = readOrder(order);
        else
            m_song.otherOrders.push_back({order.name, readOrder(order)});
}

void SongBuilder::makeOrder() {
    readOrders();
    if (std::any_of(m_orders.begin(), m_orders.end(), [](const OrderText& o) { return o.isUsual; }))
        return;
    if (m_sung.size() == m_song.parts.size())
        return; // nothing comes again: as written
    for (const int part : m_sung) {
        const PartId id = m_song.parts[size_t(part)].id;
        if (!m_song.singingOrder.empty() && m_song.singingOrder.back().part == id)
            ++m_song.singingOrder.back().times;
        else
            m_song.singingOrder.push_back({id, 1});
    }
}

std::optional<ReadSong> SongBuilder::build() {
    makeParts();
    if (m_song.parts.empty())
        return std::nullopt;
    numberParts();
    makeOrder();
    return finished();
}

ReadSong SongBuilder::buildWith(std::vector<Part> parts) {
    m_song.parts = std::move(parts);
    readOrders();
    return finished();
}

ReadSong SongBuilder::finished() {
    m_song = tidied(std::move(m_song));
    m_song.id = SongId::create();
    if (m_song.title.isEmpty())
        m_song.title = m_fallbackTitle;
    std::stable_sort(m_warnings.begin(), m_warnings.end(),
                     [](const ReadWarning& a, const ReadWarning& b) { return a.line < b.line; });
    return ReadSong{std::move(m_song), std::move(m_warnings)};
}

} // namespace mivanta
