// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/LookFindings.h"
#include "core/base/Said.h"
#include "render/FontCoverage.h"
#include "session/Session.h"
#include <cmath>

namespace mivanta {

namespace {

constexpr int kMostLettersShown = 12;

QString shortened(const QString& letters) {
    qsizetype end = std::min<qsizetype>(letters.size(), kMostLettersShown);
    if (end < letters.size() && letters[end].isLowSurrogate())
        ++end;
    return end < letters.size() ? letters.left(end) + QStringLiteral("\u2026") : letters;
}

void addReading(std::vector<Finding>& findings, const ItemId& item, const Output& output,
                const Reading& reading) {
    const Legibility& worst = reading.worst;
    const QString mending = output.insists.empty()
                                ? Said::tr("The Prepare desk shows what would mend it, under Look.")
                                : Said::tr("The output insists on its theme: change that in the Library.");
    if (!worst.isLargeEnough())
        findings.push_back({Severity::Doubt, item,
                            Said::tr("%1: too small for the back row").arg(output.label()),
                            Said::tr("It reads to %1 m, the back row is at %2 m (slide %3). %4")
                                .arg(std::floor(worst.readsTo))
                                .arg(worst.backRow)
                                .arg(reading.slide + 1)
                                .arg(mending)});
    if (!worst.isStrongEnough())
        findings.push_back({Severity::Doubt, item,
                            Said::tr("%1: words are weak against the backdrop").arg(output.label()),
                            Said::tr("The contrast is %1, %2 is wanted in this light (slide %3). %4")
                                .arg(QString::number(worst.contrast, 'f', 1))
                                .arg(kGoodContrast)
                                .arg(reading.slide + 1)
                                .arg(mending)});
}

QString wordsOf(const ItemContent& content) {
    QString words;
    for (const ContentPart& part : content.parts)
        for (const ContentLine& line : part.lines)
            words += line.words + u'\n';
    return words;
}

void addFont(std::vector<Finding>& findings, const ItemId& item, const ItemSlides& slides,
             const OutputSlides& output) {
    const WordsLook& words = output.look.words;
    if (const QString instead = substituteFor(words.family); !instead.isEmpty())
        findings.push_back(
            {Severity::Doubt, item,
             Said::tr("%1: the font %2 is not on this computer").arg(output.output.label(), words.family),
             Said::tr("%1 is used instead. Install the font, or choose another one for the theme.")
                 .arg(instead)});
    const FontCoverage coverage = coverageOf(wordsOf(slides.content), fontOf(words));
    if (!coverage.missing.isEmpty())
        findings.push_back({Severity::Blocks, item,
                            Said::tr("%1: no font has these letters: %2")
                                .arg(output.output.label(), shortened(coverage.missing)),
                            Said::tr("Empty boxes are shown for them. Install a font for this script.")});
    if (!coverage.borrowed.isEmpty())
        findings.push_back({Severity::Note, item,
                            Said::tr("%1: some letters come from another font").arg(output.output.label()),
                            Said::tr("The theme's font has none for %1; they are shown in another one.")
                                .arg(shortened(coverage.borrowed))});
}

std::vector<Finding> fontFindingsOf(const ItemId& item, const ItemSlides& slides) {
    std::vector<Finding> findings;
    QStringList seen; // outputs of one family have one finding
    for (const OutputSlides& output : slides.outputs) {
        if (seen.contains(output.look.words.family))
            continue;
        seen << output.look.words.family;
        addFont(findings, item, slides, output);
    }
    return findings;
}

} // namespace

std::vector<Finding> readingFindings(Session& session) {
    std::vector<Finding> findings;
    const SlideBook& book = session.book();
    for (int i = 0; i < book.itemCount(); ++i) {
        const auto readings = session.readings().of(book.itemId(i));
        for (size_t o = 0; o < readings.size() && o < session.outputs().all().size(); ++o)
            if (readings[o])
                addReading(findings, book.itemId(i), session.outputs().all()[o], *readings[o]);
    }
    return findings;
}

void FontFindings::look(Session& session) {
    const SlideBook& book = session.book();
    QHash<ItemId, Known> now;
    m_all.clear();
    for (int i = 0; i < book.itemCount(); ++i) {
        const ItemId id = book.itemId(i);
        Known known = m_known.value(id);
        if (auto slides = book.sharedSlidesOf(id); slides != known.slides)
            known = {slides, fontFindingsOf(id, *slides)};
        m_all.insert(m_all.end(), known.findings.begin(), known.findings.end());
        now.insert(id, known);
    }
    m_known = std::move(now);
}

} // namespace mivanta
