// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "desk/song/Speller.h"
#include "session/library/RecordDraft.h"

class QMenu;
class QPoint;

namespace mivanta {

class WordsSheet;

/// What can be done to whole parts of the song in a words sheet: by keys, by a menu, by the menu of new
/// parts.
class PartActions : public QObject {
    Q_OBJECT
public:
    PartActions(SongDraft& draft, Prompts& prompts, Speller& speller, WordsSheet& words);

    /// Fills the menu with the kinds of part that can be put in behind the one at the caret.
    void fillAddMenu(QMenu* menu);
    /// The menu of one part; with suggestions when the caret is in a misspelt word.
    void showMenu(int part, const QPoint& globalPlace);
    void showMenuAtCaret();

Q_SIGNALS:
    void pasteWanted();

private:
    using Work = std::function<void(Song&, int part)>;
    struct Action {
        QString what; ///< as undo names it
        Work work;
        int caret = 0; ///< where the caret goes, in parts from this one
    };
    enum Which { Split, Join, Copy, MoveUp, MoveDown, Delete };
    [[nodiscard]] Action action(Which which) const;
    void run(const Action& action, int part);
    void popUp(int part, const QPoint& globalPlace, const QString& wrong, const QStringList& better);
    void addSpelling(QMenu* menu, const QString& wrong, const QStringList& better);
    void addKinds(QMenu* menu, int part);
    void addNotes(QMenu* menu, int part);
    [[nodiscard]] QString askName(const QString& before);

    SongDraft& m_draft;
    Prompts& m_prompts;
    Speller& m_speller;
    WordsSheet& m_words;
};

} // namespace mivanta
