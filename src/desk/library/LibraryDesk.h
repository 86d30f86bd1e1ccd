// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Tools.h"
#include "store/finding/Finding.h"
#include <QWidget>
#include <functional>

class QStackedWidget;
class QTabBar;

namespace mivanta {

class MediaLibrary;
class ScriptureLibrary;
class SongLibrary;
class TextLibrary;
class ThemeLibrary;

/// The library, kind by kind: songs, scripture, spoken texts, media, themes.
class LibraryDesk : public QWidget {
    Q_OBJECT
public:
    explicit LibraryDesk(const Tools& tools, QWidget* parent = nullptr);

    void focusFind();
    /// Shows a song, a text, a passage or a medium.
    void showPick(const FindPick& pick);
    /// A new song of words that were pasted elsewhere.
    void newSongFrom(const QString& text);
    void bringInFiles();
    void bringInFolder();

    [[nodiscard]] bool hasUnsaved() const;
    void save();
    void undo();
    void redo();
    /// Runs the rest once what is changed is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then);
    /// What is not saved is on the disk when this returns.
    void keepNow();

Q_SIGNALS:
    void addToService(const std::vector<mivanta::FindPick>& picks);
    /// A picture or film is to be behind the words of the service.
    void backdropWanted(const QString& path);
    void reviewIsThere(); ///< songs were read and want to be decided about

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    enum Kind { SongsAt, ScriptureAt, TextsAt, MediaAt, ThemesAt };
    [[nodiscard]] Kind kind() const;
    void goTo(Kind kind);

    QTabBar* m_kinds;
    QStackedWidget* m_stack;
    SongLibrary* m_songs;
    ScriptureLibrary* m_scripture;
    TextLibrary* m_texts;
    MediaLibrary* m_media;
    ThemeLibrary* m_themes;
};

} // namespace mivanta
