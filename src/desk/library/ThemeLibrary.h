// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Tools.h"
#include "session/Session.h"
#include "session/library/DraftKeeper.h"
#include "session/library/ThemeDraft.h"
#include <QWidget>

class QMenu;

namespace mivanta {

class ThemeDesigner;
class ThemeList;

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
    void undo() { m_draft.undo(); }
    void redo() { m_draft.redo(); }
    [[nodiscard]] bool hasUnsavedTheme() const { return m_draft.isChanged(); }
    void saveTheme(const std::function<void()>& then = {});
    /// Runs the rest once a changed theme is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then);

private:
    QWidget* buildList(ThumbnailStore& thumbnails);
    void fillList();
    void currentChanged(const QString& wanted);
    void newTheme();
    void duplicate();
    void begin(Theme theme);
    void sendOut();
    void putInBin();
    void reallyPutInBin(const Theme& theme);
    void makeUsual();
    void useInService();
    void fillBin(QMenu* menu);
    void recover(const Theme& unsaved);
    void tellWhereItIsUsed(const Theme& theme);
    template <typename T>
    void ask(std::function<Result<T>(Library&)> work, std::function<void(T)> done);

    void change(std::function<Result<void>(Library&)> work, std::function<void()> done);

    Session& m_session;
    Prompts& m_prompts;
    ThemeDraft m_draft;
    DraftKeeper m_keeper;
    ThemeList* m_list;
    ThemeDesigner* m_designer;
    QString m_wanted; ///< to be shown once the library says it is there
};

} // namespace mivanta
