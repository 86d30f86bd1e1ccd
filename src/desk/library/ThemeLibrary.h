// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Tools.h"
#include "session/Session.h"
#include "session/library/RecordEditing.h"
#include "session/library/ThemeDraft.h"
#include <QWidget>

class QMenu;
class QStackedLayout;

namespace mivanta {

class ThemeDesigner;
class ThemeList;
template <typename T>
class RecordHistory;

/// The themes of the library: choose one, design it, see it on every output.
class ThemeLibrary : public QWidget {
    Q_OBJECT
public:
    explicit ThemeLibrary(const Tools& tools, QWidget* parent = nullptr);
    void focusFind();
    void showTheme(const QString& id);
    void bringInFiles();
    /// Theme files are brought in; a picture becomes the backdrop of the theme that is shown.
    void bringIn(const QStringList& paths);
    void undo();
    void redo();
    [[nodiscard]] bool hasUnsavedTheme() const { return m_draft.isChanged(); }
    void saveTheme() { m_editing.save(); }
    /// Runs the rest once a changed theme is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then) { m_editing.settle(then); }
    /// What is not saved is on the disk when this returns.
    void keepNow() { m_editing.keepNow(); }

private:
    QWidget* buildList(ThumbnailStore& thumbnails);
    void connectEditing();
    void fillList();
    void chooseEdited();
    void showHistory();
    void currentChanged(const QString& wanted);
    void newTheme();
    void duplicate();
    void begin(Theme theme);
    void sendOut();
    void putInBin();
    void makeUsual();
    void useInService();
    void fillBin(QMenu* menu);
    void tellWhereItIsUsed();
    template <typename T>
    void ask(std::function<Result<T>(Library&)> work, std::function<void(T)> done);

    void change(std::function<Result<void>(Library&)> work, std::function<void()> done);

    Session& m_session;
    Prompts& m_prompts;
    ThemeDraft m_draft;
    RecordEditing<ThemeRecord> m_editing;
    QStackedLayout* m_pages; ///< the themes; a theme's history
    RecordHistory<ThemeRecord>* m_history;
    ThemeList* m_list;
    ThemeDesigner* m_designer;
    QString m_wanted; ///< to be shown once the library says it is there
};

} // namespace mivanta
