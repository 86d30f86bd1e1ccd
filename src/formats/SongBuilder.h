// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/PartHeading.h"
#include "formats/SongReader.h"
#include <QHash>

namespace mivanta {

/// What both song readers share: collects the sections of a file in the order in which they come and
/// makes parts, numbers and a singing order of them.
class SongBuilder {
public:
    /// A stretch of lines in the file.
    struct Section {
        std::optional<PartHeading> heading; ///< nothing = not said
        bool bandOnly = false;              ///< it is a stretch of music by its nature
        QString comment;
        std::vector<Line> lines; ///< empty, with a heading: the part of that name again
        int fileLine = 0;
    };

    explicit SongBuilder(QString fallbackTitle) : m_fallbackTitle(std::move(fallbackTitle)) {}

    Song& details() { return m_song; }
    void addSection(Section section);
    /// "order" (the usual one) and "other_order" ("Short: V1 C"); false when the name is neither.
    bool setOrder(const QString& name, const QString& text, int fileLine);
    void warn(int fileLine, const QString& text) { m_warnings.push_back({fileLine, text}); }
    /// One detail by its name as files write it ("key", "words", "copyright", …); false when unknown.
    bool setDetail(const QString& name, const QString& value);

    /// The finished song with these parts, whatever sections there were.
    [[nodiscard]] ReadSong buildWith(std::vector<Part> parts);
    /// The finished song; nothing when there were no sections.
    [[nodiscard]] std::optional<ReadSong> build();

private:
    void makeParts();
    void numberParts();
    void readOrders();
    void makeOrder();
    [[nodiscard]] ReadSong finished();
    [[nodiscard]] int partFor(const Section& section, const QString& words);
    [[nodiscard]] PartHeading headingFor(const Section& section, const QString& words) const;
    [[nodiscard]] int partNamed(const PartHeading& heading) const;
    [[nodiscard]] int partLike(const PartHeading& heading, const QString& words) const;

    QString m_fallbackTitle;
    Song m_song;
    std::vector<Section> m_sections;
    std::vector<int> m_sung; ///< index of the part of each section that became one
    // What was found so far, by what it is looked for: a book of thousands of sections is read in one go.
    struct Named {
        int first = -1; ///< indices of parts
        int highest = 0;
        QHash<int, int> byNumber;
    };
    QHash<std::pair<int, QString>, Named> m_named; ///< by kind and name
    QHash<QString, std::vector<int>> m_byWords;
    QHash<QString, int> m_unheaded; ///< how many sections without a heading have these words
    std::vector<ReadWarning> m_warnings;
    struct OrderText {
        bool isUsual = true;
        QString name;
        QString text;
        int fileLine = 0;
    };
    [[nodiscard]] std::vector<SungPart> readOrder(const OrderText& order);
    std::vector<OrderText> m_orders;
    bool m_hasNotes = false;
};

/// A name as a detail's value: in quotes when it holds what would part it into several.
[[nodiscard]] QString quotedDetail(const QString& name);

} // namespace mivanta
