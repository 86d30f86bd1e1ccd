// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/find/FindList.h"
#include "desk/kit/Tools.h"
#include "session/Session.h"
#include "session/library/DraftKeeper.h"
#include "session/library/OneSave.h"
#include <QWidget>

class QLabel;
class QMenu;
class QPushButton;
class QStackedLayout;

namespace mivanta {

class EmptyState;

class FindPanel;
class TextEditor;
class TextHistory;
class WordsPreview;

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
    [[nodiscard]] bool hasUnsavedText() const;
    /// Stores the changed text; `then` runs once it is in the library.
    void saveText(const std::function<void()>& then = {});
    /// Runs the rest once a changed text is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then);

Q_SIGNALS:
    void addToService(const std::vector<mivanta::FindPick>& picks);

private:
    void sendText(const std::function<void()>& then);
    QWidget* buildList();
    QWidget* buildSide(ThumbnailStore& thumbnails);
    void currentChanged();
    void load(const TextId& id);
    void show(const std::optional<SpokenText>& text);
    void textChanged();
    void recover(const SpokenText& unsaved);
    void putInBin();
    void fillBin(QMenu* menu);
    void sendOut();
    void showHistory();

    Session& m_session;
    Prompts& m_prompts;
    std::optional<SpokenText> m_stored; ///< as the library has it; a new one as it was begun
    OneSave m_saves;
    DraftKeeper m_keeper;
    TextId m_wanted;
    bool m_selecting = false;
    QStackedLayout* m_pages; ///< the texts; a text's history
    FindPanel* m_find;
    QLabel* m_count;
    TextEditor* m_editor;
    EmptyState* m_nothing; ///< what can be done while the library has no text
    bool m_isEmpty = false;
    TextHistory* m_history;
    WordsPreview* m_preview;
    QPushButton* m_add;
};

} // namespace mivanta
