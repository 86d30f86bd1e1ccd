// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Theme.h"
#include "desk/kit/Prompts.h"
#include "desk/sending/Sender.h"
#include "session/library/RecordDraft.h"
#include <QWidget>

class QButtonGroup;
class QLabel;
class QPlainTextEdit;
class QPushButton;
class QStackedWidget;
class QTimer;
class QToolButton;

namespace mivanta {

class ElidedLabel;

class ChartView;
class DetailsForm;
class PartActions;
class Speller;
class WordsSheet;

/// A song in four forms: its parts, its whole text, the musicians' chart, its details. All of them change one
/// draft.
class SongEditor : public QWidget {
    Q_OBJECT
public:
    enum View { PartsView, TextView, ChartPage, DetailsView };

    SongEditor(SongDraft& draft, Prompts& prompts, Speller& speller, QWidget* parent = nullptr);
    /// What can be chosen as its usual theme.
    void setThemes(const std::vector<Theme>& themes);

    void setView(View view);
    /// Shown while there is no song.
    void setEmptyText(const QString& text);
    /// Slides of each part, for the notes beside them.
    void setPartNotes(const QStringList& notes);
    void focusTitle();
    /// A whole song from elsewhere is taken into a song without words, as one step of undo; false when the
    /// song has words already or the text has none.
    bool takeWholeSong(const QString& text);
    /// The song stands in a service: every change is kept there by itself, and it has no history of its own.
    void setForService();
    void undo();
    void redo();

Q_SIGNALS:
    void saveWanted();
    void historyWanted();
    void sheetWanted(mivanta::SendWay way, const mivanta::ChartOptions& options);
    void deleteWanted();
    void placeChanged(int part, int line);

private:
    QWidget* buildHead();
    QWidget* buildTools();
    QWidget* buildParts();
    void addTool(QLayout* row, const QString& name, const QString& text, const QString& tip,
                 const QString& key, const std::function<void()>& work);
    void showEvent(QShowEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;
    void showSong();
    void showState();
    void showDetailsLine();
    void wordsEdited(const QString& what, int typing);
    void wholeTextEdited();
    void pasted(const QString& text);
    void showSpelling();
    void transposeSong(int semitones);
    /// What was done for the person, and can be undone.
    void sayWhatWasDone(const QString& text);

    SongDraft& m_draft;
    Prompts& m_prompts;
    Speller& m_speller;
    QLabel* m_spelling;
    ElidedLabel* m_title;
    QLabel* m_details;
    QLabel* m_state;
    QPushButton* m_save;
    QPushButton* m_revert;
    QToolButton* m_more;
    QWidget* m_content;
    QLabel* m_empty;
    QButtonGroup* m_views;
    QStackedWidget* m_stack;
    WordsSheet* m_words;
    PartActions* m_parts;
    QPlainTextEdit* m_text;
    ChartView* m_chart;
    DetailsForm* m_form;
    QLabel* m_key;
    QLabel* m_message;
    QTimer* m_textSoon;
    bool m_isForService = false;
    std::optional<std::vector<Part>> m_typed; ///< just now, in the view that is seen: it shows it already
};

} // namespace mivanta
