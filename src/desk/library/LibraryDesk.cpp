// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/LibraryDesk.h"
#include "desk/kit/Style.h"
#include "desk/library/ScriptureLibrary.h"
#include "desk/library/SongLibrary.h"
#include "desk/library/TextLibrary.h"
#include "desk/library/ThemeLibrary.h"
#include "desk/media/MediaLibrary.h"
#include <QAction>
#include <QDragEnterEvent>
#include <QMimeData>
#include <QStackedWidget>
#include <QTabBar>
#include <QUrl>
#include <QVBoxLayout>

namespace mivanta {

LibraryDesk::LibraryDesk(const Tools& tools, QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("library-desk"));
    setAcceptDrops(true);
    m_kinds = new QTabBar(this);
    m_kinds->setObjectName(QStringLiteral("library-kinds"));
    m_kinds->setAccessibleName(tr("What the library shows"));
    m_kinds->setDrawBase(false);
    m_kinds->setExpanding(false);
    m_kinds->setFocusPolicy(Qt::TabFocus);
    m_stack = new QStackedWidget(this);
    m_songs = new SongLibrary(tools, m_stack);
    m_scripture = new ScriptureLibrary(tools, m_stack);
    m_texts = new TextLibrary(tools, m_stack);
    m_media = new MediaLibrary(tools, m_stack);
    m_themes = new ThemeLibrary(tools, m_stack);
    int index = 0;
    for (const auto& [widget, name] : {std::pair<QWidget*, QString>{m_songs, tr("Songs")},
                                       {m_scripture, tr("Scripture")},
                                       {m_texts, tr("Texts")},
                                       {m_media, tr("Media")},
                                       {m_themes, tr("Themes")}}) {
        m_stack->addWidget(widget);
        m_kinds->addTab(name);
        const QString key = QStringLiteral("Alt+Shift+%1").arg(index + 1);
        m_kinds->setTabToolTip(index, tr("%1 in the library (%2)").arg(name, key));
        auto* action = new QAction(this);
        action->setShortcut(QKeySequence(key));
        connect(action, &QAction::triggered, this, [this, index] { goTo(Kind(index)); });
        addAction(action);
        ++index;
    }
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addWidget(m_kinds);
    column->addWidget(m_stack, 1);
    connect(m_kinds, &QTabBar::currentChanged, this, [this](int at) {
        m_stack->setCurrentIndex(at);
        focusFind();
    });
    connect(m_songs, &SongLibrary::addToService, this, &LibraryDesk::addToService);
    connect(m_scripture, &ScriptureLibrary::addToService, this, &LibraryDesk::addToService);
    connect(m_texts, &TextLibrary::addToService, this, &LibraryDesk::addToService);
    connect(m_media, &MediaLibrary::addToService, this, &LibraryDesk::addToService);
    connect(m_media, &MediaLibrary::backdropWanted, this, &LibraryDesk::backdropWanted);
    connect(m_songs, &SongLibrary::reviewIsThere, this, [this] {
        goTo(SongsAt);
        Q_EMIT reviewIsThere();
    });
}

LibraryDesk::Kind LibraryDesk::kind() const {
    return Kind(m_stack->currentIndex());
}

void LibraryDesk::goTo(Kind kind) {
    m_kinds->setCurrentIndex(kind);
}

void LibraryDesk::focusFind() {
    switch (kind()) {
    case SongsAt:
        m_songs->focusFind();
        break;
    case ScriptureAt:
        m_scripture->focusFind();
        break;
    case TextsAt:
        m_texts->focusFind();
        break;
    case MediaAt:
        m_media->focusFind();
        break;
    case ThemesAt:
        m_themes->focusFind();
        break;
    }
}

void LibraryDesk::showPick(const FindPick& pick) {
    if (const auto* song = std::get_if<SongId>(&pick)) {
        goTo(SongsAt);
        m_songs->showSong(*song);
    } else if (const auto* text = std::get_if<TextId>(&pick)) {
        goTo(TextsAt);
        m_texts->showText(*text);
    } else if (const auto* medium = std::get_if<MediumPick>(&pick)) {
        goTo(MediaAt);
        m_media->showMedium(medium->name);
    } else {
        goTo(ScriptureAt);
        m_scripture->showPassage(std::get<PassagePick>(pick));
    }
}

void LibraryDesk::newSongFrom(const QString& text) {
    goTo(SongsAt);
    m_songs->newSongFrom(text);
}

void LibraryDesk::bringInFiles() {
    kind() == ScriptureAt ? m_scripture->bringInFile()
    : kind() == TextsAt   ? m_texts->bringInFiles()
    : kind() == MediaAt   ? m_media->bringInFiles()
    : kind() == ThemesAt  ? m_themes->bringInFiles()
                          : m_songs->bringInFiles();
}

void LibraryDesk::bringInFolder() {
    kind() == ScriptureAt ? m_scripture->bringInFolder()
    : kind() == TextsAt   ? m_texts->bringInFiles()
    : kind() == MediaAt   ? m_media->watchFolder()
    : kind() == ThemesAt  ? m_themes->bringInFiles()
                          : m_songs->bringInFolder();
}

bool LibraryDesk::hasUnsaved() const {
    return kind() == TextsAt    ? m_texts->hasUnsavedText()
           : kind() == ThemesAt ? m_themes->hasUnsavedTheme()
                                : m_songs->hasUnsavedSong();
}

void LibraryDesk::save() {
    kind() == TextsAt    ? m_texts->saveText()
    : kind() == ThemesAt ? m_themes->saveTheme()
                         : m_songs->saveSong();
}

void LibraryDesk::undo() {
    if (kind() == TextsAt)
        m_texts->undo();
    else if (kind() == MediaAt)
        m_media->undo();
    else if (kind() == ThemesAt)
        m_themes->undo();
    else if (kind() == SongsAt)
        m_songs->undo();
}

void LibraryDesk::redo() {
    if (kind() == TextsAt)
        m_texts->redo();
    else if (kind() == MediaAt)
        m_media->redo();
    else if (kind() == ThemesAt)
        m_themes->redo();
    else if (kind() == SongsAt)
        m_songs->redo();
}

void LibraryDesk::settle(const std::function<void()>& then) {
    m_songs->settle([this, then] { m_texts->settle([this, then] { m_themes->settle(then); }); });
}

void LibraryDesk::keepNow() {
    m_songs->keepNow();
    m_texts->keepNow();
    m_themes->keepNow();
}

void LibraryDesk::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

/// Files are brought in as what the library shows now.
void LibraryDesk::dropEvent(QDropEvent* event) {
    QStringList paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile())
            paths << url.toLocalFile();
    event->acceptProposedAction();
    if (kind() == ScriptureAt)
        m_scripture->bringIn(paths);
    else if (kind() == TextsAt)
        m_texts->bringIn(paths);
    else if (kind() == MediaAt)
        m_media->bringIn(paths);
    else if (kind() == ThemesAt)
        m_themes->bringIn(paths);
    else
        Q_EMIT m_songs->dropped(paths);
}

} // namespace mivanta

#include "moc_LibraryDesk.cpp"
