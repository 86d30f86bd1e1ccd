// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongBuilder.h"
#include "core/song/PartEdits.h"
#include "core/song/SheetDetails.h"
#include "core/song/SingingOrder.h"
#include <QRegularExpression>
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

bool sameWords(const std::vector<Line>& a, const std::vector<Line>& b) {
    return std::equal(a.begin(), a.end(), b.begin(), b.end(), [](const Line& x, const Line& y) {
        return lettersOf(x.words) == lettersOf(y.words) && x.breakBefore == y.breakBefore;
    });
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
        m_orders.push_back({true, {}, text, fileLine});
    else if (plain == QLatin1String("other_order"))
        m_orders.push_back({false, text.section(u':', 0, 0).trimmed(), text.section(u':', 1), fileLine});
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
PartHeading SongBuilder::headingFor(const Section& section) const {
    if (section.heading)
        return *section.heading;
    if (!hasWords(section.lines)) {
        const bool first = &section == &m_sections.front();
        return {first ? PartKind::Intro : PartKind::Interlude, 0, {}, true};
    }
    const auto again = std::count_if(m_sections.begin(), m_sections.end(), [&](const Section& other) {
        return !other.heading && sameWords(other.lines, section.lines);
    });
    return {again > 1 ? PartKind::Chorus : PartKind::Verse, 0, {}, {}};
}

/// Index of the part that the section is: one that is there already, or a new one. -1 = names nothing.
int SongBuilder::partFor(const Section& section) {
    const PartHeading heading = headingFor(section);
    const auto isNamed = [&](const Part& p) {
        return p.kind == heading.kind && p.name.compare(heading.name, Qt::CaseInsensitive) == 0 &&
               (p.number == heading.number || heading.number == 0);
    };
    for (size_t i = 0; i < m_song.parts.size(); ++i) {
        const Part& part = m_song.parts[i];
        if (isNamed(part) && (section.lines.empty() || sameWords(part.lines, section.lines)))
            return int(i);
    }
    if (section.lines.empty()) {
        warn(section.fileLine,
             QStringLiteral("a heading without words under it, for a part that was not written "
                            "before; it was left out."));
        return -1;
    }
    Part part{PartId::create(), heading.kind, heading.number, heading.name, false,
              section.comment,  section.lines};
    part.bandOnly = heading.bandOnly.value_or(section.bandOnly || isBandOnlyByDefault(part));
    const auto twin = std::find_if(m_song.parts.begin(), m_song.parts.end(), [&](const Part& p) {
        return heading.number > 0 && p.kind == part.kind && p.name == part.name && p.number == part.number;
    });
    if (twin != m_song.parts.end()) {
        for (const Part& p : m_song.parts)
            if (p.kind == part.kind && p.name == part.name)
                part.number = std::max(part.number, p.number + 1);
        warn(section.fileLine, QStringLiteral("%1 comes twice with different words; the second was named %2.")
                                   .arg(twin->label(), part.label()));
    }
    m_song.parts.push_back(std::move(part));
    return int(m_song.parts.size()) - 1;
}

void SongBuilder::makeParts() {
    for (const Section& section : m_sections)
        if (const int part = partFor(section); part >= 0)
            m_sung.push_back(part);
}

/// Numbers the parts that have none: verses always, others when there are several of a kind.
void SongBuilder::numberParts() {
    for (size_t i = 0; i < m_song.parts.size(); ++i) {
        Part& part = m_song.parts[i];
        if (part.number > 0 || !part.name.isEmpty())
            continue;
        const auto sameKind = [&](const Part& p) { return p.kind == part.kind && p.name.isEmpty(); };
        const auto count = std::count_if(m_song.parts.begin(), m_song.parts.end(), sameKind);
        if (part.kind != PartKind::Verse && count < 2)
            continue;
        int number = 1;
        while (std::any_of(m_song.parts.begin(), m_song.parts.end(),
                           [&](const Part& p) { return sameKind(p) && p.number == number; }))
            ++number;
        part.number = number;
    }
}

std::vector<SungPart> SongBuilder::readOrder(const OrderText& order) {
    const ReadOrder read = readSingingOrder(order.text, m_song.parts);
    const QStringList wrong = read.notUnderstood(order.text);
    if (!wrong.isEmpty())
        warn(order.fileLine,
             QStringLiteral("the singing order names %1, which this song does not have or has "
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
