// SPDX-License-Identifier: GPL-3.0-or-later
#include "ScriptureBench.h"
#include "Timing.h"
#include "core/scripture/ReferenceParser.h"
#include "formats/ScriptureReader.h"
#include "render/FontMeasure.h"
#include "store/Database.h"
#include "store/Library.h"
#include "store/ShippedThemes.h"
#include <QElapsedTimer>
#include <QFile>
#include <random>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kBooks = 66;
constexpr int kChapters = 18;
constexpr int kVerses = 26; // 66 x 18 x 26 = 30,888
constexpr int kTranslations = 10;
constexpr int kWords = 6000; // different ones

/// Words as often as in a language: the n-th most frequent one with a chance of 1/n.
class Speaker {
public:
    explicit Speaker(unsigned seed) : m_random(seed) {
        std::vector<double> weights;
        for (int i = 1; i <= kWords; ++i)
            weights.push_back(1.0 / i);
        m_next = std::discrete_distribution<int>(weights.begin(), weights.end());
    }
    QString word() {
        static const QStringList syllables{u"ka"_s,  u"lo"_s, u"mer"_s, u"ti"_s,
                                           u"sun"_s, u"ve"_s, u"dor"_s, u"an"_s};
        int number = m_next(m_random) + 1;
        QString word;
        for (; number > 0; number /= 8)
            word += syllables[number % 8];
        return word;
    }
    QString verse() {
        QString words;
        const int count = 12 + int(m_random() % 26);
        for (int i = 0; i < count; ++i)
            words += word() + (i + 1 == count ? u"."_s : i % 7 == 6 ? u", "_s : u" "_s);
        return words;
    }

private:
    std::mt19937 m_random;
    std::discrete_distribution<int> m_next;
};

QString writeTranslation(const QString& folder, int number) {
    Speaker speaker(unsigned(number) + 1);
    const QString path = folder + u"/t%1.usfm"_s.arg(number);
    QFile file(path);
    if (!file.open(QIODevice::WriteOnly))
        qFatal("no place to write");
    for (int b = 0; b < kBooks; ++b) {
        file.write(u"\\id %1\n"_s.arg(knownBooks()[size_t(b)].code.text()).toUtf8());
        for (int c = 1; c <= kChapters; ++c) {
            file.write(u"\\c %1\n\\p\n"_s.arg(c).toUtf8());
            for (int v = 1; v <= kVerses; ++v)
                file.write(u"\\v %1 %2\n"_s.arg(QString::number(v), speaker.verse()).toUtf8());
        }
    }
    return path;
}

void benchImport(Figures& figures, Library& library, const QString& folder) {
    std::vector<double> times;
    for (int t = 0; t < kTranslations; ++t) {
        const QString path = writeTranslation(folder, t);
        QElapsedTimer time;
        time.start();
        auto text = readTranslation(path);
        if (!text || !library.scripture().store(*text))
            qFatal("the translation did not come in");
        times.push_back(msOf(time));
    }
    figures.addTimes(u"a translation of %1 verses brought in"_s.arg(kBooks * kChapters * kVerses), times);
}

void benchReferences(Figures& figures, Library& library) {
    const auto usual = library.scripture().translation({});
    FontMeasures measures;
    const std::vector<Theme> themes = shippedThemes();
    std::mt19937 random(7);
    std::vector<double> times;
    for (int i = 0; i < 400; ++i) {
        const int from = 1 + int(random() % 10);
        const QString typed = u"%1 %2 %3-%4"_s.arg(knownBooks()[random() % kBooks].name)
                                  .arg(1 + int(random() % kChapters))
                                  .arg(from)
                                  .arg(from + 10);
        QElapsedTimer time;
        time.start();
        const auto outline = library.scripture().outline(usual->id);
        const Understanding understood = understandReference(typed, *outline);
        auto passage = library.scripture().passage({usual->id}, understood.reference, {});
        if (!passage)
            qFatal("%s: %s", qPrintable(typed), qPrintable(passage.error().text()));
        const ItemSlides slides =
            slidesFor(contentOf(*passage), usualOutputs(), plainChain(themes.front(), themes), measures);
        times.push_back(msOf(time));
        if (slides.steps.empty())
            qFatal("no slides");
    }
    figures.addTimes(u"a reference of 11 verses understood, read and fitted on three outputs"_s, times);
}

void benchSearch(Figures& figures, Library& library) {
    Speaker speaker(99);
    std::vector<double> ours;
    std::vector<double> raw;
    for (int i = 0; i < 300; ++i) {
        const QString query = speaker.word() + u' ' + speaker.word();
        QElapsedTimer time;
        time.start();
        if (!library.scripture().find(query, WordSearch::AllWords))
            qFatal("the search failed");
        ours.push_back(msOf(time));
        time.restart();
        static_cast<void>(library.database().read(
            u"SELECT rowid FROM verse_fts WHERE verse_fts MATCH ? ORDER BY rank LIMIT 50"_s,
            {verseExpression(query, WordSearch::AllWords)}, [](const Row& row) {
                static_cast<void>(row.number(0));
                return true;
            }));
        raw.push_back(msOf(time));
    }
    const QString oursName = u"words searched in %1 translations"_s.arg(kTranslations);
    const QString rawName = u"the same as a raw FTS5 query"_s;
    figures.addTimes(oursName, ours);
    figures.addTimes(rawName, raw);
    const auto p99 = [](std::vector<double> times) {
        std::sort(times.begin(), times.end());
        return times[times.size() * 99 / 100];
    };
    figures.add(u"word search against raw, p99"_s, p99(ours) / p99(raw), u"times"_s);
}

} // namespace

void benchScripture(Figures& figures, const QString& folder) {
    auto library = Library::open(folder + u"/scripture"_s);
    if (!library)
        qFatal("%s", qPrintable(library.error().text()));
    benchImport(figures, **library, folder);
    benchReferences(figures, **library);
    benchSearch(figures, **library);
}

} // namespace mivanta
