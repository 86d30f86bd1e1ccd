// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/text/SpokenText.h"
#include "store/ImportCandidates.h"
#include "store/RecordTable.h"

namespace mivanta {

class Database;

/// What a list shows of a text.
struct TextSummary {
    TextId id;
    QString title;
    TextKind kind = TextKind::Other;
    QString firstLine;
};

/// A text that was found, with the line that matched (empty when its title or a topic did).
struct TextHit {
    TextSummary text;
    QString matchingLine;
    QStringList marked; ///< folded words, or beginnings of words, to mark as found
};

/// What became of a file of a text.
struct TextImport {
    QString file;
    TextId text; ///< null when refused
    QString title;
    ImportOutcome outcome = ImportOutcome::Refused;
    QString reason; ///< why it was left out or refused
};

/// The spoken texts in a library. Synchronous; used on the thread that opened the database.
class Texts {
public:
    explicit Texts(Database& database);

    /// Every text by its title (an empty query), or those found by title, topic, season and words.
    [[nodiscard]] Result<std::vector<TextHit>> find(const QString& query, int limit = 50);
    [[nodiscard]] Result<SpokenText> text(const TextId& id);
    /// As Library::save() does for songs.
    [[nodiscard]] Result<SpokenText> save(SpokenText text);
    [[nodiscard]] Result<std::vector<RecordVersion>> versions(const TextId& id);
    [[nodiscard]] Result<SpokenText> version(const TextId& id, int revision);
    [[nodiscard]] Result<void> putInBin(const TextId& id);
    [[nodiscard]] Result<void> takeFromBin(const TextId& id);
    [[nodiscard]] Result<std::vector<TextSummary>> bin();
    [[nodiscard]] Result<int> emptyBin();

    /// Brings in text files and folders of them. A file that was brought in before changes its text, unless
    /// that was edited since; one with just the words of another text is unchanged.
    [[nodiscard]] std::vector<TextImport> import(const QStringList& paths);

private:
    [[nodiscard]] Result<void> write(const SpokenText& text, RecordWrite how);
    [[nodiscard]] TextImport importFile(const QString& path);
    [[nodiscard]] Result<SpokenText> textOf(const Result<std::optional<QJsonObject>>& content) const;

    Database& m_database;
    RecordTable m_table;
};

} // namespace mivanta
