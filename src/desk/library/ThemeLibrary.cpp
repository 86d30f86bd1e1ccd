// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ThemeLibrary.h"
#include "desk/kit/BinMenu.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/library/RecordHistory.h"
#include "desk/library/ThemeDesigner.h"
#include "desk/look/ThemeList.h"
#include "formats/ThemeFile.h"
#include "media/PictureProxies.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QStackedLayout>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

ThemeLibrary::ThemeLibrary(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_editing(m_draft, tools.session.library(),
                tools.session.unsavedFile(RecordKind<ThemeRecord>::unsavedName()),
                [this](const QString& title) { return m_prompts.unsavedRecord(title); }) {
    setObjectName(QStringLiteral("theme-library"));
    auto* themes = new QWidget(this);
    m_designer = new ThemeDesigner(tools, m_draft, themes);
    auto* row = new QHBoxLayout(themes);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(buildList(tools.thumbnails), 4);
    row->addWidget(m_designer, 17);
    m_history = new RecordHistory<ThemeRecord>(m_editing, m_draft, m_session.library(), this);
    m_pages = new QStackedLayout(this);
    m_pages->addWidget(themes);
    m_pages->addWidget(m_history);
    connectEditing();
    connect(&m_session.book(), &SlideBook::themesChanged, this, &ThemeLibrary::fillList);
    connect(&m_session.library(), &LibraryClient::opened, this, &ThemeLibrary::fillList);
    fillList();
}

void ThemeLibrary::connectEditing() {
    connect(m_designer, &ThemeDesigner::saveWanted, this, &ThemeLibrary::saveTheme);
    connect(&m_draft, &ThemeDraft::loaded, this, &ThemeLibrary::chooseEdited);
    connect(&m_editing, &EditingSignals::problem, &m_session, &Session::problem);
    connect(&m_editing, &EditingSignals::notLoaded, &m_session, &Session::problem);
    connect(&m_editing, &EditingSignals::notice, &m_session, &Session::notice);
    connect(&m_editing, &EditingSignals::untitled, m_designer, &ThemeDesigner::focusName);
    connect(&m_editing, &EditingSignals::stays, this, &ThemeLibrary::chooseEdited);
    connect(&m_editing, &EditingSignals::stored, this, [this] {
        m_draft.endVisit();
        tellWhereItIsUsed();
    });
    connect(&m_editing, &EditingSignals::recovered, &m_draft, &ThemeDraft::endVisit);
    connect(&m_editing, &EditingSignals::conflict, this, [this] { m_pages->setCurrentWidget(m_history); });
    connect(m_history, &VersionsPage::left, this, [this] {
        m_pages->setCurrentIndex(0);
        focusFind();
    });
}

QWidget* ThemeLibrary::buildList(ThumbnailStore& thumbnails) {
    auto* side = new QWidget(this);
    m_list = new ThemeList(thumbnails, side);
    m_list->setObjectName(QStringLiteral("theme-list"));
    connect(m_list, &ThemeList::themeChosen, this, &ThemeLibrary::currentChanged);
    auto* fresh = new QPushButton(tr("New theme"), side);
    fresh->setObjectName(QStringLiteral("new-theme"));
    fresh->setProperty("main", true);
    fresh->setToolTip(tr("Begin a theme from nothing"));
    connect(fresh, &QPushButton::clicked, this, &ThemeLibrary::newTheme);
    auto* copy = new QPushButton(tr("Duplicate"), side);
    copy->setObjectName(QStringLiteral("theme-duplicate"));
    copy->setToolTip(tr("A new theme that begins as this one (Ctrl+D)"));
    copy->setShortcut(QKeySequence(QStringLiteral("Ctrl+D")));
    connect(copy, &QPushButton::clicked, this, &ThemeLibrary::duplicate);
    auto* more = new QToolButton(side);
    more->setObjectName(QStringLiteral("theme-more"));
    more->setText(tr("More \u25be"));
    more->setToolTip(tr("Send out, bring in, delete"));
    more->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(more);
    const auto add = [&](const QString& name, const QString& text, void (ThemeLibrary::*work)()) {
        QAction* action = menu->addAction(text, this, work);
        action->setObjectName(name);
    };
    add(QStringLiteral("theme-use"), tr("Use it for the service"), &ThemeLibrary::useInService);
    add(QStringLiteral("theme-usual"), tr("Make it the theme of new services"), &ThemeLibrary::makeUsual);
    menu->addSeparator();
    add(QStringLiteral("theme-send-out"), tr("Send out, with its pictures\u2026"), &ThemeLibrary::sendOut);
    add(QStringLiteral("theme-bring-in"), tr("Bring in\u2026"), &ThemeLibrary::bringInFiles);
    menu->addSeparator();
    add(QStringLiteral("theme-history"), tr("Earlier versions\u2026"), &ThemeLibrary::showHistory);
    add(QStringLiteral("theme-delete"), tr("Delete\u2026"), &ThemeLibrary::putInBin);
    auto* bin = menu->addMenu(tr("Bin"));
    connect(bin, &QMenu::aboutToShow, this, [this, bin] { fillBin(bin); });
    more->setMenu(menu);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(copy);
    buttons->addStretch(1);
    buttons->addWidget(more);
    QVBoxLayout* column = sideRows(side, 46);
    column->addWidget(headingOf(tr("Themes"), side));
    column->addWidget(m_list, 1);
    column->addWidget(fresh);
    column->addLayout(buttons);
    return side;
}

template <typename T>
void ThemeLibrary::ask(std::function<Result<T>(Library&)> work, std::function<void(T)> done) {
    m_session.library().ask<T>(this, std::move(work), [this, done = std::move(done)](Result<T> result) {
        if (!result)
            Q_EMIT m_session.problem(result.error());
        else
            done(std::move(*result));
    });
}

void ThemeLibrary::change(std::function<Result<void>(Library&)> work, std::function<void()> done) {
    m_session.library().ask<void>(this, std::move(work),
                                  [this, done = std::move(done)](const Result<void>& result) {
                                      if (!result)
                                          Q_EMIT m_session.problem(result.error());
                                      else
                                          done();
                                  });
}

void ThemeLibrary::focusFind() {
    m_list->setFocus();
}

void ThemeLibrary::fillList() {
    const auto& themes = m_session.book().themes();
    m_list->setThemes(themes);
    const QString wanted = std::exchange(m_wanted, {});
    if (!wanted.isEmpty() && themeOf(wanted, themes) && m_editing.id() != wanted)
        showTheme(wanted);
    else if (m_editing.id())
        chooseEdited();
    else if (m_session.library().isOpen() && m_list->count() > 0)
        m_editing.open(themes.front().id);
}

void ThemeLibrary::currentChanged(const QString& wanted) {
    if (!m_editing.choose(wanted, RecordEditing<ThemeRecord>::By::Person))
        chooseEdited();
}

/// The list shows the theme that is edited as the chosen one.
void ThemeLibrary::chooseEdited() {
    m_list->choose(m_editing.id() && !m_draft.isNew() ? *m_editing.id() : QString());
}

void ThemeLibrary::showTheme(const QString& id) {
    settle([this, id] {
        m_pages->setCurrentIndex(0);
        m_editing.open(id);
    });
}

void ThemeLibrary::undo() {
    if (m_pages->currentIndex() == 0)
        m_draft.undo();
}

void ThemeLibrary::redo() {
    if (m_pages->currentIndex() == 0)
        m_draft.redo();
}

void ThemeLibrary::showHistory() {
    if (!m_draft.record())
        return;
    m_pages->setCurrentWidget(m_history);
    m_history->setRecord(*m_draft.record());
}

void ThemeLibrary::begin(Theme theme) {
    const auto& themes = m_session.book().themes();
    const QString name = theme.name;
    for (int number = 2;
         std::any_of(themes.begin(), themes.end(), [&](const Theme& t) { return t.name == theme.name; });
         ++number)
        theme.name = QStringLiteral("%1 %2").arg(name).arg(number);
    theme.id = newThemeId(theme.name, themes);
    m_editing.begin({theme, 0}, RecordEditing<ThemeRecord>::Begun::Filled);
    m_designer->focusName();
}

void ThemeLibrary::newTheme() {
    settle([this] {
        Theme theme;
        theme.name = tr("New theme");
        theme.look.credit.fields =
            QStringLiteral("{title} \u00b7 {authors} \u00b7 {copyright} \u00b7 {licence} \u00b7 {book}");
        theme.look.backdrop.colour = {15, 23, 27, 255};
        begin(theme);
    });
}

void ThemeLibrary::duplicate() {
    if (!m_draft.theme())
        return;
    Theme copy = *m_draft.theme();
    settle([this, copy]() mutable {
        copy.name = tr("%1, copy").arg(copy.name);
        begin(copy);
    });
}

/// The open service keeps the theme as it was until it is told otherwise.
void ThemeLibrary::tellWhereItIsUsed() {
    const Theme* theme = m_draft.theme();
    const Service& service = m_session.document().service();
    if (theme && service.theme.id == theme->id && !(service.theme == *theme))
        Q_EMIT m_session.notice(tr("Saved in the library. The service still has \u201c%1\u201d as it was; "
                                   "\u201cUse it for the service\u201d under More changes that.")
                                    .arg(theme->name));
}

void ThemeLibrary::useInService() {
    settle([this] {
        if (m_draft.theme())
            m_session.document().setTheme(*m_draft.theme());
    });
}

void ThemeLibrary::makeUsual() {
    if (!m_draft.theme() || m_draft.isNew())
        return;
    change([id = m_draft.theme()->id](Library& library) { return library.themes().makeUsual(id); },
           [this, name = m_draft.theme()->name] {
               Q_EMIT m_session.notice(tr("New services begin with the theme \u201c%1\u201d.").arg(name));
           });
}

void ThemeLibrary::bringInFiles() {
    bringIn(m_prompts.themeFilesToImport());
}

void ThemeLibrary::bringIn(const QStringList& paths) {
    for (const QString& path : paths) {
        const QString suffix = path.section(u'.', -1).toLower();
        if (suffix != QLatin1String(kThemeSuffix) && suffix != QLatin1String("json")) {
            m_designer->takePicture(path);
            continue;
        }
        ask<Theme>(
            [path](Library& library) {
                return library.themes().bringIn(path, library.media(), checkPicture);
            },
            [this](const Theme& theme) {
                m_wanted = theme.id;
                Q_EMIT m_session.notice(tr("The theme \u201c%1\u201d is in the library.").arg(theme.name));
            });
    }
}

void ThemeLibrary::sendOut() {
    if (!m_draft.theme())
        return;
    QString path = m_prompts.whereToExport(m_draft.theme()->name + u'.' + QLatin1String(kThemeSuffix));
    if (path.isEmpty())
        return;
    if (!path.endsWith(QLatin1String(kThemeSuffix)))
        path += u'.' + QLatin1String(kThemeSuffix);
    change([path, theme = *m_draft.theme()](
               Library& library) { return library.themes().sendOut(theme, path, library.media()); },
           [this, path] { Q_EMIT m_session.notice(tr("Written to %1.").arg(path)); });
}

void ThemeLibrary::putInBin() {
    if (!m_draft.theme())
        return;
    const Theme theme = *m_draft.theme();
    if (m_draft.isNew()) {
        m_editing.close();
        return;
    }
    ask<ThemeUses>(
        [id = theme.id](Library& library) { return library.themes().usesOf(id); },
        [this, theme](const ThemeUses& uses) {
            QStringList users;
            if (!uses.songs.isEmpty())
                users << tr("Songs that usually have it: %1.").arg(uses.songs.join(QStringLiteral(", ")));
            for (const Output& output : m_session.outputs().all())
                if (output.look.theme == theme.id)
                    users << tr("The output %1 has it.").arg(output.label());
            const Service& service = m_session.document().service();
            if (service.theme.id == theme.id || themeOf(theme.id, service.themes))
                users << tr("The open service has it; it keeps its copy.");
            if (users.isEmpty())
                users << tr("Nothing uses it.");
            if (m_prompts.deleteTheme(theme.name, users.join(u'\n')))
                m_editing.putInBin();
        });
}

void ThemeLibrary::fillBin(QMenu* menu) {
    menu->clear();
    addBin<Theme>(menu, m_session, m_prompts, [this](const QString& id) { m_wanted = id; });
}

} // namespace mivanta

#include "moc_ThemeLibrary.cpp"
