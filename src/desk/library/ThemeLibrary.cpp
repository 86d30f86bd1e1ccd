// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ThemeLibrary.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/library/ThemeDesigner.h"
#include "desk/look/ThemeList.h"
#include "formats/ThemeFile.h"
#include "formats/ThemeJson.h"
#include "media/PictureProxies.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

ThemeLibrary::ThemeLibrary(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_keeper(tools.session.library().folder(), tools.session.unsavedName(QStringLiteral("theme")),
               [this]() -> DraftKeeper::Writer {
                   if (!m_draft.isChanged())
                       return {};
                   return [theme = *m_draft.theme()] { return themeToJson(theme); };
               }) {
    setObjectName(QStringLiteral("theme-library"));
    m_designer = new ThemeDesigner(tools, m_draft, this);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(buildList(tools.thumbnails), 4);
    row->addWidget(m_designer, 17);
    connect(m_designer, &ThemeDesigner::saveWanted, this, [this] { saveTheme(); });
    connect(&m_draft, &ThemeDraft::changed, &m_keeper, &DraftKeeper::touch);
    connect(&m_keeper, &DraftKeeper::found, this, [this](const QJsonObject& json, const QString& where) {
        const auto theme = themeFromJson(json, where);
        theme ? recover(*theme) : m_keeper.refuse(theme.error());
    });
    connect(&m_keeper, &DraftKeeper::failed, &m_session, &Session::problem);
    connect(&m_session.library(), &LibraryClient::opened, &m_keeper, &DraftKeeper::recover);
    connect(&m_session.book(), &SlideBook::themesChanged, this, &ThemeLibrary::fillList);
    fillList();
}

QWidget* ThemeLibrary::buildList(ThumbnailStore& thumbnails) {
    auto* side = new QWidget(this);
    makeSide(side);
    side->setMinimumWidth(spaced(46));
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
    add(QStringLiteral("theme-delete"), tr("Delete\u2026"), &ThemeLibrary::putInBin);
    auto* bin = menu->addMenu(tr("Restore from the bin"));
    connect(bin, &QMenu::aboutToShow, this, [this, bin] { fillBin(bin); });
    more->setMenu(menu);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(copy);
    buttons->addStretch(1);
    buttons->addWidget(more);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(headingOf(tr("Themes"), side));
    column->addWidget(m_list, 1);
    column->addWidget(fresh);
    column->addLayout(buttons);
    return side;
}

template <typename T>
void ThemeLibrary::ask(std::function<Result<T>(Library&)> work, std::function<void(T)> done) {
    m_session.library().ask<T>(
        this, std::move(work),
        [this, done = std::move(done)](Result<T> result) {
            if (!result)
                Q_EMIT m_session.problem(result.error());
            else
                done(std::move(*result));
        },
        LibraryClient::Changes::Library);
}

void ThemeLibrary::change(std::function<Result<void>(Library&)> work, std::function<void()> done) {
    m_session.library().ask<void>(
        this, std::move(work),
        [this, done = std::move(done)](const Result<void>& result) {
            if (!result)
                Q_EMIT m_session.problem(result.error());
            else
                done();
        },
        LibraryClient::Changes::Library);
}

void ThemeLibrary::focusFind() {
    m_list->setFocus();
}

void ThemeLibrary::fillList() {
    const auto& themes = m_session.book().themes();
    const QString shown = m_draft.theme() ? m_draft.theme()->id : QString();
    m_list->setThemes(themes);
    const QString wanted = std::exchange(m_wanted, {});
    if (!wanted.isEmpty() && themeOf(wanted, themes) && wanted != shown)
        showTheme(wanted);
    else if (!shown.isEmpty())
        m_list->choose(shown);
    else if (m_list->count() > 0)
        m_list->setCurrentRow(0);
}

void ThemeLibrary::currentChanged(const QString& wanted) {
    const QString staying = m_draft.theme() ? m_draft.theme()->id : QString();
    if (wanted == staying)
        return;
    bool settled = false;
    settle([&, wanted] {
        settled = true;
        if (const Theme* theme = themeOf(wanted, m_session.book().themes()))
            m_draft.open(*theme);
    });
    if (!settled)
        m_list->choose(staying);
}

void ThemeLibrary::showTheme(const QString& id) {
    settle([this, id] {
        if (const Theme* theme = themeOf(id, m_session.book().themes())) {
            m_draft.open(*theme);
            m_list->choose(id);
        }
    });
}

void ThemeLibrary::begin(Theme theme) {
    const auto& themes = m_session.book().themes();
    const QString name = theme.name;
    for (int number = 2;
         std::any_of(themes.begin(), themes.end(), [&](const Theme& t) { return t.name == theme.name; });
         ++number)
        theme.name = QStringLiteral("%1 %2").arg(name).arg(number);
    theme.id = newThemeId(theme.name, themes);
    m_draft.open(theme, true);
    m_list->choose({});
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

void ThemeLibrary::saveTheme(const std::function<void()>& then) {
    if (!m_draft.theme())
        return;
    change([theme = *m_draft.theme()](Library& library) { return library.themes().save(theme); },
           [this, theme = *m_draft.theme(), then] {
               m_draft.saved(theme);
               tellWhereItIsUsed(theme);
               if (!then)
                   return;
               if (m_draft.theme() && m_draft.theme()->id == theme.id && m_draft.isChanged())
                   saveTheme(then); // more was changed meanwhile
               else
                   then();
           });
}

/// The open service keeps the theme as it was until it is told otherwise.
void ThemeLibrary::tellWhereItIsUsed(const Theme& theme) {
    const Service& service = m_session.document().service();
    if (service.theme.id == theme.id && !(service.theme == theme))
        Q_EMIT m_session.notice(tr("Saved in the library. The service still has \u201c%1\u201d as it was; "
                                   "\u201cUse it for the service\u201d under More changes that.")
                                    .arg(theme.name));
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

void ThemeLibrary::settle(const std::function<void()>& then) {
    if (!m_draft.isChanged()) {
        then();
        return;
    }
    switch (m_prompts.unsavedSong(m_draft.theme()->name)) {
    case Prompts::Unsaved::Save:
        saveTheme(then);
        break;
    case Prompts::Unsaved::GiveUp: {
        const auto stored = themeOf(m_draft.theme()->id, m_session.book().themes());
        m_draft.open(stored ? std::optional(*stored) : std::nullopt);
        then();
        break;
    }
    case Prompts::Unsaved::Cancel:
        break;
    }
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
        m_draft.open(std::nullopt);
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
                reallyPutInBin(theme);
        });
}

void ThemeLibrary::reallyPutInBin(const Theme& theme) {
    change([id = theme.id](Library& library) { return library.themes().putInBin(id); },
           [this, theme] {
               if (m_draft.theme() && m_draft.theme()->id == theme.id)
                   m_draft.open(std::nullopt);
               Q_EMIT m_session.notice(
                   tr("\u201c%1\u201d is in the bin; it can be restored from there.").arg(theme.name));
           });
}

void ThemeLibrary::fillBin(QMenu* menu) {
    menu->clear();
    menu->addAction(tr("Looking\u2026"))->setEnabled(false);
    m_session.library().ask<std::vector<Theme>>(
        this, [](Library& library) { return library.themes().bin(); },
        [this, menu](const Result<std::vector<Theme>>& bin) {
            menu->clear();
            if (!bin || bin->empty()) {
                menu->addAction(tr("The bin is empty"))->setEnabled(false);
                return;
            }
            for (const Theme& gone : *bin)
                menu->addAction(gone.name, this, [this, id = gone.id] {
                    change([id](Library& library) { return library.themes().takeFromBin(id); },
                           [this, id] { m_wanted = id; });
                });
        });
}

void ThemeLibrary::recover(const Theme& unsaved) {
    const Theme* stored = themeOf(unsaved.id, m_session.book().themes());
    m_draft.open(stored ? *stored : unsaved, !stored);
    for (const LookProperty& property : lookProperties())
        m_draft.set(property, property.get(unsaved.look));
    m_draft.rename(unsaved.name);
    m_draft.endVisit();
    Q_EMIT m_session.notice(
        tr("The theme \u201c%1\u201d was being designed and not saved last time. It is in the "
           "Library, under Themes, as it was left.")
            .arg(unsaved.name));
}

} // namespace mivanta
