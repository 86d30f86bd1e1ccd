// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/PartHeading.h"
#include "formats/SongReader.h"

namespace mivanta {

/// What both song readers share: collects the sections of a file in the order in which they come and
/// makes parts, numbers and a singing order of them.
class SongBuilder {
public:
    /// A stretch of lines in the file.
    struct Section {
        std::optional<PartHeading> heading; ///< nothing = not said
        QString name;                       ///< a heading that is no known kind
        bool bandOnly = false;
        QString comment;
        std::vector<Line> lines; ///< empty, with a heading: the part of that name again
        int fileLine = 0;
    };

    explicit SongBuilder(QString fallbackTitle) : m_fallbackTitle(std::move(fallbackTitle)) {}

    Song& details() { return m_song; }
    void addSection(Section section);
    void setOrder(const QString& text, int fileLine);
    void warn(int fileLine, const QString& text) { m_warnings.push_back({fileLine, text}); }
    /// One detail by its name as files write it ("key", "words", "copyright", …); false when unknown.
    bool setDetail(const QString& name, const QString& value);

    /// The finished song; nothing when there were no sections.
    [[nodiscard]] std::optional<ReadSong> build();

private:
    void makeParts();
    void numberParts();
    void makeOrder();
    [[nodiscard]] int partFor(const Section& section);
    [[nodiscard]] PartHeading headingFor(const Section& section) const;

    QString m_fallbackTitle;
    Song m_song;
    std::vector<Section> m_sections;
    std::vector<int> m_sung; ///< index of the part of each section that became one
    std::vector<ReadWarning> m_warnings;
    QString m_orderText;
    int m_orderLine = 0;
};

/// One line with chords in brackets ("[G]Shine [Em]on"). With `chordsOnly`, brackets that hold no chord stay
/// words. White space is trimmed and runs of it become one space; chords keep their letters.
[[nodiscard]] Line readChordLine(const QString& text, bool chordsOnly);

} // namespace mivanta
