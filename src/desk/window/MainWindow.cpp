// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/MainWindow.h"
#include "core/base/Clock.h"
#include "desk/check/CheckDesk.h"
#include "desk/kit/NoticeBar.h"
#include "desk/kit/Style.h"
#include "desk/library/LibraryDesk.h"
#include "desk/prepare/PrepareDesk.h"
#include "desk/run/RunDesk.h"
#include "desk/sending/PackingBar.h"
#include "desk/setup/SetupDesk.h"
#include "desk/window/ArmedChip.h"
#include "desk/window/CopyingBar.h"
#include "desk/window/Header.h"
#include "desk/window/Lamp.h"
#include "desk/window/OpeningBar.h"
#include "desk/window/RecentServices.h"
#include "desk/window/StartMenu.h"
#include <QAction>
#include <QApplication>
#include <QCloseEvent>
#include <QScreen>
#include <QSettings>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kLogOutMs = 30'000;
constexpr const char* kDeskNames[]{"library", "prepare", "check", "run", "setup"};

QAction* makeAction(QWidget* parent, const QString& name, const QString& iconName, const QString& text,
                    const QString& tip, const QKeySequence& key) {
    auto* action = new QAction(icon(iconName, day().text), text, parent);
    action->setObjectName(name);
    action->setShortcut(key);
    action->setToolTip(QStringLiteral("%1 (%2)").arg(tip, key.toString(QKeySequence::NativeText)));
    parent->addAction(action);
    return action;
}

} // namespace

MainWindow::MainWindow(Session& session, std::unique_ptr<Prompts> prompts)
    : m_session(session),
      m_prompts(prompts ? std::move(prompts) : std::make_unique<DialogPrompts>(this)),
      m_files(session, *m_prompts),
      m_sender(session.library().address(), *m_prompts),
      m_speller(session.library().address().ownWordsFile()) {
    setObjectName(QStringLiteral("main-window"));
    setWindowTitle(session.isSecond() ? tr("Mivanta \u2013 second window, to prepare")
                                      : QStringLiteral("Mivanta"));
    auto* content = new QWidget(this);
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    m_header = new Header(content);
    m_notices = new NoticeBar(content);
    m_opening = new OpeningBar(m_session, content);
    connect(m_opening, &OpeningBar::lookWanted, this, [this] { goTo(CheckAt); });
    m_packing = new PackingBar(m_session, *m_prompts, content);
    m_stack = new QStackedWidget(content);
    column->addWidget(m_header);
    column->addWidget(m_notices);
    column->addWidget(m_opening);
    column->addWidget(m_packing);
    column->addWidget(new CopyingBar(m_session.library(), content));
    column->addWidget(m_stack, 1);
    setCentralWidget(content);
    layout()->setSizeConstraint(QLayout::SetNoConstraint); // no text makes the window larger than its monitor
    makeActions();
    makeDesks();
    connectSession();
    m_clock.setInterval(1000);
    connect(&m_clock, &QTimer::timeout, this, &MainWindow::showClock);
    m_clock.start();
    showClock();
    restoreLayout();
    goTo(PrepareAt);
    if (m_session.isSecond())
        m_notices->tell(tr("A second window, to prepare and to save: it cannot put anything on the screens. "
                           "The lamp shows what the first window has there."),
                        NoticeBar::Weight::News);
    showLock();
    showHeader();
}

MainWindow::~MainWindow() = default;

void MainWindow::makeActions() {
    QUndoStack& undoStack = m_session.document().undoStack();
    QAction* fresh = makeAction(this, QStringLiteral("new-service"), QStringLiteral("file-plus-2"),
                                tr("New service"), tr("Start a new service"), QKeySequence::New);
    QAction* open = makeAction(this, QStringLiteral("open-service"), QStringLiteral("folder-open"),
                               tr("Open\u2026"), tr("Open a service file"), QKeySequence::Open);
    QAction* store = makeAction(this, QStringLiteral("save-service"), QStringLiteral("save"), tr("Save"),
                                tr("Save the service"), QKeySequence::Save);
    QAction* storeAs =
        makeAction(this, QStringLiteral("save-service-as"), QString(), tr("Save As\u2026"),
                   tr("Save the service under another name"), QKeySequence(QStringLiteral("Ctrl+Shift+S")));
    m_start = new StartMenu(m_session, *m_prompts, m_files, this);
    fresh->setMenu(m_start);
    connect(&m_files, &ServiceFiles::begun, this, [this] { goTo(PrepareAt); });
    QAction* begin = makeAction(this, QStringLiteral("begin-with"), QString(), tr("Begin with\u2026"),
                                tr("Start a service from a template, an earlier one or an e-mail"),
                                QKeySequence(QStringLiteral("Ctrl+Alt+N")));
    connect(begin, &QAction::triggered, this,
            [this] { m_start->popup(mapToGlobal(QPoint(width() / 5, height() / 8))); });
    m_recent = new RecentServices(this);
    open->setMenu(m_recent);
    connect(m_recent, &RecentServices::chosen, &m_files, &ServiceFiles::open);
    QAction* recent =
        makeAction(this, QStringLiteral("open-recent"), QString(), tr("Open Recent\u2026"),
                   tr("Services that you opened recently"), QKeySequence(QStringLiteral("Ctrl+Shift+O")));
    connect(recent, &QAction::triggered, this,
            [this] { m_recent->popup(mapToGlobal(QPoint(width() / 4, height() / 8))); });
    QAction* pack = makeAction(this, QStringLiteral("pack-service"), QStringLiteral("package"),
                               tr("Pack for another computer\u2026"),
                               tr("A file with everything that the service shows, for another computer"),
                               QKeySequence(QStringLiteral("Ctrl+Shift+E")));
    connect(pack, &QAction::triggered, m_packing, &PackingBar::start);
    QAction* undo = makeAction(this, QStringLiteral("undo"), QStringLiteral("undo-2"), tr("Undo"), tr("Undo"),
                               QKeySequence(QStringLiteral("Ctrl+Z")));
    QAction* redo = makeAction(this, QStringLiteral("redo"), QStringLiteral("redo-2"), tr("Redo"), tr("Redo"),
                               QKeySequence(QStringLiteral("Ctrl+Shift+Z")));
    redo->setShortcuts({redo->shortcut(), QKeySequence(QStringLiteral("Ctrl+Y"))});
    QAction* find =
        makeAction(this, QStringLiteral("find"), QString(), tr("Find"), tr("Find"), QKeySequence::Find);
    QAction* files = makeAction(this, QStringLiteral("import"), QString(), tr("Bring in files"),
                                tr("Bring in files"), QKeySequence(QStringLiteral("Ctrl+I")));
    QAction* folder = makeAction(this, QStringLiteral("import-a-folder"), QString(), tr("Bring in a folder"),
                                 tr("Bring in a folder"), QKeySequence(QStringLiteral("Ctrl+Shift+I")));
    QAction* quit = makeAction(this, QStringLiteral("quit"), QString(), tr("Quit"), tr("Quit Mivanta"),
                               QKeySequence(QStringLiteral("Ctrl+Q")));
    connect(fresh, &QAction::triggered, &m_files, &ServiceFiles::startNew);
    connect(open, &QAction::triggered, &m_files, &ServiceFiles::chooseAndOpen);
    connect(store, &QAction::triggered, this, [this] {
        if (currentDesk() == LibraryAt && m_libraryDesk->hasUnsaved())
            m_libraryDesk->save();
        else
            m_files.save();
    });
    connect(storeAs, &QAction::triggered, this, [this] { m_files.saveAs(); });
    connect(undo, &QAction::triggered, this,
            [this] { currentDesk() == LibraryAt ? m_libraryDesk->undo() : m_prepareDesk->undo(); });
    connect(redo, &QAction::triggered, this,
            [this] { currentDesk() == LibraryAt ? m_libraryDesk->redo() : m_prepareDesk->redo(); });
    connect(find, &QAction::triggered, this, &MainWindow::find);
    connect(files, &QAction::triggered, this, [this] { m_libraryDesk->bringInFiles(); });
    connect(folder, &QAction::triggered, this, [this] { m_libraryDesk->bringInFolder(); });
    connect(quit, &QAction::triggered, this, &QWidget::close);
    const auto showUndo = [undo, redo, &undoStack, this] {
        const bool running = m_stack->count() > 0 && currentDesk() == RunAt;
        const bool songs = m_stack->count() > 0 && currentDesk() == LibraryAt; // the desk has its own
        undo->setEnabled((undoStack.canUndo() || songs) && !running);
        redo->setEnabled((undoStack.canRedo() || songs) && !running);
        undo->setToolTip(undoStack.canUndo() ? tr("Undo %1 (Ctrl+Z)").arg(undoStack.undoText())
                                             : tr("Nothing to undo"));
        redo->setToolTip(undoStack.canRedo() ? tr("Redo %1 (Ctrl+Shift+Z)").arg(undoStack.redoText())
                                             : tr("Nothing to redo"));
    };
    connect(&undoStack, &QUndoStack::indexChanged, this, showUndo);
    connect(m_stack, &QStackedWidget::currentChanged, this, showUndo);
    showUndo();
    m_fileActions = {fresh, open, store, pack, undo, redo};
    m_editActions = {fresh, begin, open, recent, pack, find, files, folder};
    m_openActions = {store, storeAs, quit};
}

void MainWindow::makeDesks() {
    const QString pictures = m_session.library().address().mediaFolder();
    const QString cache = m_session.library().address().pictureCacheFolder();
    m_thumbnails.setPictures(pictures, cache);
    m_mediumPictures.setPictures(pictures, cache);
    m_session.contrasts().setPictures(pictures, cache);
    const Tools tools{m_session, *m_prompts, m_sender, m_speller, m_thumbnails, m_mediumPictures};
    m_libraryDesk = new LibraryDesk(tools, m_stack);
    m_prepareDesk = new PrepareDesk(tools, m_fileActions, m_stack);
    m_checkDesk = new CheckDesk(m_session, *m_prompts, m_stack);
    m_runDesk = new RunDesk(tools, m_runKeys, m_stack);
    m_setupDesk = new SetupDesk(m_session, m_thumbnails, *m_prompts, m_runKeys, m_stack);
    struct DeskOfWindow {
        QWidget* widget;
        QString key;
        QString name;
        QString tip;
    };
    const DeskOfWindow desks[]{
        {m_libraryDesk, QStringLiteral("library"), tr("Library"), tr("All your songs, scripture and texts")},
        {m_prepareDesk, QStringLiteral("prepare"), tr("Prepare"), tr("Put the service together")},
        {m_checkDesk, QStringLiteral("check"), tr("Check"), tr("Find what is wrong before Sunday")},
        {m_runDesk, QStringLiteral("run"), tr("Run"), tr("Run the service")},
        {m_setupDesk, QStringLiteral("setup"), tr("Setup"), tr("The outputs and their screens")}};
    int index = 0;
    for (const auto& [widget, key, name, tip] : desks) {
        m_stack->addWidget(widget);
        if (m_session.isSecond() && (index == RunAt || index == SetupAt)) {
            ++index; // they are the other window's
            continue;
        }
        const QString shortcut = QStringLiteral("Alt+%1").arg(index + 1);
        m_header->addDesk(key, name, tip, shortcut);
        auto* action = new QAction(this);
        action->setShortcut(QKeySequence(shortcut));
        connect(action, &QAction::triggered, this, [this, index] { goTo(Desk(index)); });
        addAction(action);
        ++index;
    }
    m_header->addBeforeLamp(new ArmedChip(m_session, m_header));
    connect(m_header, &Header::lockWanted, &m_session.runOnly(), &RunOnly::lock);
    connect(m_header, &Header::unlockWanted, &m_session.runOnly(), &RunOnly::unlock);
    connect(&m_session.runOnly(), &RunOnly::changed, this, &MainWindow::showLock);
    connect(m_header, &Header::deskChosen, this, [this](int at) { goTo(Desk(at)); });
    connect(m_libraryDesk, &LibraryDesk::addToService, this, [this](const std::vector<FindPick>& picks) {
        m_prepareDesk->add(picks);
        goTo(PrepareAt);
    });
    connect(m_libraryDesk, &LibraryDesk::backdropWanted, m_prepareDesk, &PrepareDesk::setBackdrop);
    connect(m_libraryDesk, &LibraryDesk::reviewIsThere, this, [this] {
        if (currentDesk() != RunAt) // a running service is not left by itself
            goTo(LibraryAt);
    });
    connect(m_prepareDesk, &PrepareDesk::openInLibrary, this, [this](const FindPick& pick) {
        goTo(LibraryAt);
        m_libraryDesk->showPick(pick);
    });
    connect(m_prepareDesk, &PrepareDesk::newSongWanted, this, [this](const QString& text) {
        goTo(LibraryAt);
        m_libraryDesk->newSongFrom(text);
    });
    connect(m_prepareDesk, &PrepareDesk::openWanted, &m_files, &ServiceFiles::chooseAndOpen);
    connect(m_prepareDesk, &PrepareDesk::beginWithWanted, this,
            [this] { m_start->popup(mapToGlobal(QPoint(width() / 3, height() / 4))); });
    connect(m_prepareDesk, &PrepareDesk::liveSetupWanted, this, [this] {
        goTo(SetupAt);
        m_setupDesk->showLiveInputs();
    });
    connect(m_checkDesk, &CheckDesk::openWanted, &m_files, &ServiceFiles::chooseAndOpen);
    connect(m_checkDesk, &CheckDesk::prepareWanted, this, [this] { goTo(PrepareAt); });
    connect(m_runDesk, &RunDesk::prepareWanted, this, [this] { goTo(PrepareAt); });
    connect(m_checkDesk, &CheckDesk::counted, this,
            [this](int worrying) { m_header->setDeskCount(CheckAt, worrying); });
    connect(m_checkDesk, &CheckDesk::showItem, this, [this](const ItemId& id) {
        goTo(PrepareAt);
        m_prepareDesk->selectItem(id);
    });
}

void MainWindow::connectSession() {
    connect(&m_session, &Session::problem, this,
            [this](const Error& e) { m_notices->tell(e.text(), NoticeBar::Weight::Problem); });
    connect(&m_sender, &Sender::failed, &m_session, &Session::problem);
    connect(&m_sender, &Sender::finished, &m_session, &Session::notice);
    connect(&m_session, &Session::notice, this,
            [this](const QString& text) { m_notices->tell(text, NoticeBar::Weight::News); });
    connect(&m_session, &Session::warning, this,
            [this](const QString& text) { m_notices->tell(text, NoticeBar::Weight::Problem); });
    connect(&m_session, &Session::offered, m_notices, &NoticeBar::offer);
    connect(&m_session, &Session::playerRefused, this, [this] {
        m_notices->tell(
            tr("Mivanta is already running with this library. Close this window and use the other one."),
            NoticeBar::Weight::Problem);
        m_stack->setEnabled(false); // two would write over each other's unsaved work
        for (QAction* action : m_fileActions)
            action->setEnabled(false);
    });
    connect(&m_session, &Session::ready, this, [this](const QString& desk) {
        for (int i = 0; i < int(std::size(kDeskNames)); ++i)
            if (desk == QLatin1String(kDeskNames[i]))
                goTo(Desk(i));
        m_session.run().setDesk(QLatin1String(kDeskNames[currentDesk()]));
    });
    connect(&m_session.outputs(), &Outputs::placesChanged, this, &MainWindow::showHeader);
    connect(&m_session, &Session::mediaArrived, &m_thumbnails, &ThumbnailStore::forget);
    connect(&m_session.onScreen(), &OnScreen::changed, this, &MainWindow::showHeader);
    connect(&m_session.liveOnScreen(), &LiveOnScreen::changed, this, &MainWindow::showHeader);
    connect(&m_session.recordings(), &Recordings::changed, this, &MainWindow::showHeader);
    connect(&m_session.document(), &ServiceDocument::changed, this, &MainWindow::showHeader);
    connect(&m_session.document(), &ServiceDocument::stateChanged, this, &MainWindow::showHeader);
    connect(&m_session.document(), &ServiceDocument::opened, this,
            [this] { m_recent->note(m_session.document().path()); });
    connect(&m_session.document(), &ServiceDocument::saved, this,
            [this] { m_recent->note(m_session.document().path()); });
}

MainWindow::Desk MainWindow::currentDesk() const {
    return Desk(m_stack->currentIndex());
}

void MainWindow::showLock() {
    const RunOnly& runOnly = m_session.runOnly();
    const bool isLocked = runOnly.isLocked();
    m_header->setLock(isLocked          ? Header::Lock::Closed
                      : runOnly.isSet() ? Header::Lock::Open
                                        : Header::Lock::None);
    for (QAction* action : m_openActions)
        action->setEnabled(!isLocked);
    if (isLocked != isFullScreen())
        setWindowState(windowState() ^ Qt::WindowFullScreen);
    if (isLocked)
        goTo(RunAt);
}

void MainWindow::goTo(Desk desk) {
    if (m_session.runOnly().isLocked())
        desk = RunAt;
    if (m_session.isSecond() && (desk == RunAt || desk == SetupAt))
        return;
    m_stack->setCurrentIndex(desk);
    m_header->setCurrentDesk(desk);
    m_session.run().setDesk(QLatin1String(kDeskNames[desk]));
    for (QAction* action : m_editActions)
        action->setEnabled(desk != RunAt);
    if (desk == LibraryAt)
        m_libraryDesk->focusFind();
    else if (desk == PrepareAt)
        m_prepareDesk->focusFind();
    else if (desk == CheckAt)
        m_opening->putAway();
    else if (desk == RunAt)
        m_runDesk->setFocus();
    showHeader();
    showClock();
}

void MainWindow::find() {
    if (currentDesk() != LibraryAt && currentDesk() != PrepareAt)
        goTo(PrepareAt);
    currentDesk() == LibraryAt ? m_libraryDesk->focusFind() : m_prepareDesk->focusFind();
}

void MainWindow::showHeader() {
    const ServiceDocument& document = m_session.document();
    const Service& service = document.service();
    const OnScreen& onScreen = m_session.onScreen();
    const auto cue = onScreen.cue();
    const int item = cue ? m_session.book().indexOf(cue->item) : -1;
    QStringList facts;
    if (currentDesk() == RunAt && m_session.book().itemCount() > 0) {
        facts << (item >= 0 ? tr("item %1 of %2").arg(item + 1).arg(m_session.book().itemCount())
                            : tr("%n items", nullptr, m_session.book().itemCount()));
    } else {
        if (service.start.isValid())
            facts << locale().toString(service.start, tr("d MMMM \u00b7 HH:mm", "date format"));
        facts << (document.isModified()       ? tr("not saved")
                  : document.path().isEmpty() ? tr("new")
                                              : tr("saved"));
    }
    m_header->setService(document.shownTitle(), facts.join(QStringLiteral(" \u00b7 ")));
    const auto& places = m_session.outputs().placements();
    const auto away = std::count_if(places.begin(), places.end(), [](const Placement& place) {
        return place.kind == Placement::Kind::Missing;
    });
    m_header->setLamp(
        m_session.player().isStranger()
            ? LampState{true, tr("On screen as before the update")}
            : lampOf(onScreen.all(), {onScreen.otherService(), int(away), m_session.liveOnScreen().lost(),
                                      m_session.recordings().text()}));
}

void MainWindow::showClock() {
    m_header->setTime(Clock::the().time().toString(currentDesk() == RunAt ? QStringLiteral("HH:mm:ss")
                                                                          : QStringLiteral("HH:mm")));
}

bool MainWindow::listenAtDoor() {
    auto* door = new Door(this);
    connect(door, &Door::knocked, this, &MainWindow::obey);
    return door->listen(
        Door::pathOf(sessionFolder(m_session.library().address().folder()), m_session.isSecond()));
}

void MainWindow::obey(const DoorRequest& request) {
    setWindowState(windowState() & ~Qt::WindowMinimized);
    raise();
    activateWindow();
    if (request.kind == DoorRequest::Kind::Raise)
        return;
    if (m_session.runOnly().isLocked() || QApplication::activeModalWidget()) {
        m_notices->tell(
            m_session.runOnly().isLocked()
                ? tr("This computer is set to run only; no other service is opened while it is locked.")
                : tr("Answer the question that is open first, then open the service again."),
            NoticeBar::Weight::News);
        return;
    }
    if (request.kind == DoorRequest::Kind::Open)
        m_files.open(request.path);
    else if (request.kind == DoorRequest::Kind::StartNew)
        m_files.startNew();
    else
        m_files.settleUnsaved([this, request] { m_session.takeHandedOver(request.path); });
}

void MainWindow::keepForNextTime() {
    m_session.keepForNextTime();
    m_libraryDesk->keepNow();
}

bool MainWindow::prepareToLogOut(bool mayAsk) {
    if (!m_session.isSecond() && m_session.onScreen().isSeen() && mayAsk && !m_prompts->logOutWhileOnScreen())
        return false;
    keepForNextTime();
    m_isLoggingOut = true; // whatever closes the window now asks no more
    QTimer::singleShot(kLogOutMs, this,
                       [this] { m_isLoggingOut = false; }); // another program may have stayed
    return true;
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (std::exchange(m_isLoggingOut, false) && !m_finished) {
        keepForNextTime();
        finish();
        event->ignore();
        return;
    }
    if (m_finished) {
        event->accept();
        return;
    }
    event->ignore();
    if (m_session.runOnly().isLocked()) {
        m_notices->tell(tr("This computer is set to run only. Hold \u201cLocked\u201d down for two seconds, "
                           "then you can quit."),
                        NoticeBar::Weight::News);
        return;
    }
    if (!m_session.isSecond() && m_session.onScreen().isSeen() && !m_prompts->quitWhileOnScreen())
        return;
    if (!m_session.isSecond() && !m_session.recordings().running().empty() &&
        !m_prompts->agree(tr("What is being recorded ends here, too."), tr("End it and quit")))
        return;
    m_libraryDesk->settle([this] {
        const bool wasModified = m_session.document().isModified();
        m_files.settleUnsaved([this, wasModified] {
            if (wasModified && m_session.document().isModified())
                m_session.document().forgetJournal(); // given up
            finish();
        });
    });
}

void MainWindow::finish() {
    QSettings settings;
    settings.setValue(QStringLiteral("window/geometry"), saveGeometry());
    m_finished = true;
    m_session.quit();
    QMetaObject::invokeMethod(this, &QWidget::close,
                              Qt::QueuedConnection); // a close event is at work already
}

/// The window as it was left, on the monitors that there are now.
void MainWindow::restoreLayout() {
    const QSettings settings;
    resize(1280, 800);
    const QRect room = screen()->availableGeometry();
    if (!restoreGeometry(settings.value(QStringLiteral("window/geometry")).toByteArray()) && !isMaximized())
        move(room.center() - rect().center());
    fitToMonitor();
}

/// Whatever stands in it, the window stays on its monitor: what does not fit is cut or scrolls.
void MainWindow::fitToMonitor() {
    if (isMaximized() || isFullScreen())
        return;
    const QScreen* on = QGuiApplication::screenAt(geometry().center());
    const QRect room = (on ? on : screen())->availableGeometry();
    const QSize frame = frameGeometry().size() - size();
    QRect place(geometry().topLeft(), size().boundedTo(room.size() - frame));
    place.moveLeft(std::clamp(place.left(), room.left(), room.right() + 1 - place.width()));
    place.moveTop(std::clamp(place.top(), room.top() + frame.height(),
                             std::max(room.top() + frame.height(), room.bottom() + 1 - place.height())));
    if (place != geometry())
        setGeometry(place);
}

void MainWindow::changeEvent(QEvent* event) {
    QMainWindow::changeEvent(event);
    if (event->type() == QEvent::ActivationChange && screen())
        m_session.outputs().setDeskMonitor(screen()->name());
    if (event->type() == QEvent::WindowStateChange)
        fitToMonitor();
}

} // namespace mivanta

#include "moc_MainWindow.cpp"
