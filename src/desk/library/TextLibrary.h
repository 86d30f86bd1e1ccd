// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/find/FindList.h"
#include "desk/kit/Tools.h"
#include "desk/song/WordsPreview.h"
#include "session/Session.h"
#include "session/library/RecordEditing.h"
#include <QWidget>

class QLabel;
class QMenu;
class QPushButton;
class QStackedLayout;

namespace mivanta {

class EmptyState;

class FindPanel;
class TextEditor;
template <typename T>
class RecordHistory;

/// The spoken texts of the library: find one, write it, see it as the outputs will show it.
class TextLibrary : public QWidget {
    Q_OBJECT
public:
    explicit TextLibrary(const Tools& tools, QWidget* parent = nullptr);
    void focusFind();
    void showText(const TextId& id);
    void newText();
    void bringInFiles();
    void bringIn(const QStringList& paths);
    void undo();
    void redo();
    [[nodiscard]] bool hasUnsavedText() const { return m_draft.isChanged(); }
    /// Stores the changed text.
    void saveText() { m_editing.save(); }
    /// Runs the rest once a changed text is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then) { m_editing.settle(then); }
    /// What is not saved is on the disk when this returns.
    void keepNow() { m_editing.keepNow(); }

Q_SIGNALS:
    void addToService(const std::vector<mivanta::FindPick>& picks);

private:
    QWidget* buildList();
    QWidget* buildSide(ThumbnailStore& thumbnails);
    void connectEditing();
    void currentChanged(RecordEditing<SpokenText>::By by);
    void chooseEdited();
    [[nodiscard]] std::optional<TextId> chosen() const; ///< in the list
    void choosePicture();
    void showDraft(WordsPreview::Shows shows);
    void fillBin(QMenu* menu);
    void sendOut();
    void showHistory();

    Session& m_session;
    Prompts& m_prompts;
    TextDraft m_draft;
    RecordEditing<SpokenText> m_editing;
    QStackedLayout* m_pages; ///< the texts; a text's history
    FindPanel* m_find;
    QLabel* m_count;
    TextEditor* m_editor;
    EmptyState* m_nothing; ///< what can be done while the library has no text
    bool m_isEmpty = false;
    RecordHistory<SpokenText>* m_history;
    WordsPreview* m_preview;
    QPushButton* m_add;
};

} // namespace mivanta
