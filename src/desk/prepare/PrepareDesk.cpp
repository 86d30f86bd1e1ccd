// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/PrepareDesk.h"
#include "core/run/Cards.h"
#include "desk/find/PastedLines.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/Style.h"
#include "desk/prepare/AddMenu.h"
#include "desk/prepare/LookAheadFacts.h"
#include "desk/prepare/LookDrops.h"
#include "desk/prepare/LookInService.h"
#include "desk/prepare/MomentInService.h"
#include "desk/prepare/OrderAdding.h"
#include "desk/prepare/PlanInService.h"
#include "desk/prepare/SoundInService.h"
#include "desk/prepare/StageInService.h"
#include "desk/prepare/WordsInService.h"
#include "desk/sending/OrderSender.h"
#include "desk/sending/SendMenu.h"
#include <QAction>
#include <QClipboard>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QStackedLayout>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

namespace mivanta {

PrepareDesk::PrepareDesk(const Tools& tools, const std::vector<QAction*>& fileActions, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_details(m_session, m_prompts),
      m_sender(tools.sender) {
    setObjectName(QStringLiteral("prepare-desk"));
    m_orderSender = new OrderSender(m_session, m_prompts, this);
    auto* order = new QWidget(this);
    m_sheet = new OrderSheet(m_session.document(), m_session.book(), order);
    m_adding = new OrderAdding(tools, *m_sheet, this);
    m_sheet->addToFoot(new LookAheadFacts(m_session, m_sheet));
    m_bench = new Bench(m_session, tools.prompts, tools.thumbnails, lookSupplies(m_session, m_prompts, this),
                        order);
    m_bench->look()->setSelection([this] { return m_sheet->selected(); });
    m_bench->plan()->setSelection([this] { return m_sheet->selected(); });
    m_bench->stage()->setSelection([this] { return m_sheet->selected(); });
    m_bench->sound()->setSelection([this] { return m_sheet->selected(); });
    m_nothing = new EmptyState(
        tr("An empty service"),
        tr("Type a song, a text or a reference into Find and press Enter, drop files onto the sheet, "
           "or begin with something that is there already."),
        m_bench);
    m_nothing->addAction(QStringLiteral("empty-find"), tr("Find the first item (Ctrl+F)"),
                         tr("Songs, scripture and texts by any of their words"), [this] { focusFind(); });
    m_nothing->addAction(QStringLiteral("empty-begin-with"), tr("Begin with\u2026 (Ctrl+Alt+N)"),
                         tr("A template, an earlier service, or the order from an e-mail"),
                         [this] { Q_EMIT beginWithWanted(); });
    m_nothing->addAction(QStringLiteral("empty-open"), tr("Open a service\u2026 (Ctrl+O)"),
                         tr("A service file"), [this] { Q_EMIT openWanted(); });
    const auto showNothing = [this] { m_nothing->setVisible(m_session.document().service().items.empty()); };
    connect(&m_session.document(), &ServiceDocument::changed, this, showNothing);
    showNothing();
    auto* row = new QHBoxLayout(order);
    row->setContentsMargins(spaced(4), 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(buildSheetColumn(fileActions), 5);
    row->addWidget(m_bench, 7);
    row->addWidget(buildFindColumn(tools), 4);
    m_words = new WordsInService(tools, this);
    m_pages = new QStackedLayout(this);
    m_pages->addWidget(order);
    m_pages->addWidget(m_words);

    connect(m_bench, &Bench::wordsWanted, this, [this](const ItemId& id) {
        m_words->setItem(id);
        m_pages->setCurrentWidget(m_words);
    });
    connect(m_bench, &Bench::openInLibrary, this, &PrepareDesk::openInLibrary);
    connect(m_words, &WordsInService::left, this, [this] {
        m_pages->setCurrentIndex(0);
        m_sheet->setFocus();
    });
    connect(m_words, &WordsInService::libraryToo, m_bench, &Bench::putIntoLibrary);
    connect(m_sheet, &OrderSheet::currentChanged, this, [this] {
        m_bench->setItem(m_sheet->current());
        showWanted();
    });
    connect(m_sheet, &OrderSheet::textPasted, m_adding, &OrderAdding::addText);
    connect(m_sheet->model(), &OrderModel::textDropped, m_adding, &OrderAdding::addText);
    connect(m_sheet, &OrderSheet::selectionChanged, this, [this] {
        m_bench->plan()->refresh();
        m_bench->stage()->refresh();
        m_bench->sound()->refresh();
    });
    connect(m_sheet, &OrderSheet::titleClicked, &m_details, &ServiceDetails::rename);
    connect(m_sheet, &OrderSheet::startClicked, &m_details, &ServiceDetails::changeStart);
    connect(m_sheet, &OrderSheet::failed, &m_session, &Session::problem);
    buildSheetMenu();
    connect(m_sheet, &OrderSheet::lookDropped, this, &PrepareDesk::takeLook);
    connect(m_sheet->model(), &OrderModel::picksDropped, m_adding, &OrderAdding::addAt);
    connect(m_sheet->model(), &OrderModel::filesDropped, m_adding, &OrderAdding::addFilesAt);
    connect(m_sheet->model(), &OrderModel::filesDroppedInto, m_adding, &OrderAdding::addFilesInto);
    connect(m_sheet->model(), &OrderModel::picksDroppedInto, m_adding, &OrderAdding::addInto);
    connect(m_bench, &Bench::memberWanted, m_sheet, &OrderSheet::select);
    connect(m_find, &FindPanel::chosen, this, &PrepareDesk::add);
    connect(m_find, &FindPanel::opened, this, &PrepareDesk::openInLibrary);
    connect(m_find, &FindPanel::currentChanged, this, &PrepareDesk::previewFound);
    connect(m_find, &FindPanel::refilled, this, &PrepareDesk::previewFound);
    m_find->setPasteOffers(PastedLines::NewSong | PastedLines::NewItems);
    connect(m_find, &FindPanel::newSongWanted, this, &PrepareDesk::newSongWanted);
    connect(m_find, &FindPanel::orderWanted, this,
            [this](const QString& text) { m_adding->addText(text, m_sheet->markerRow()); });
    connect(&m_session.document(), &ServiceDocument::opened, this, [this] {
        m_pages->setCurrentIndex(0);
        const auto& items = m_session.document().service().items;
        auto first = std::find_if(items.begin(), items.end(), [](const Item& item) { return item.isSlot(); });
        if (first == items.end())
            first =
                std::find_if(items.begin(), items.end(), [](const Item& item) { return !item.isHeading(); });
        if (first != items.end())
            m_sheet->select(first->id);
    });
}

QAction* PrepareDesk::sheetAction(const QString& name, const QString& iconName, const QString& text,
                                  const QString& tip) {
    auto* action = new QAction(icon(iconName, day().text), text, this);
    action->setObjectName(name);
    action->setToolTip(tip);
    return action;
}

QWidget* PrepareDesk::buildSheetColumn(const std::vector<QAction*>& fileActions) {
    QAction* heading = sheetAction(QStringLiteral("add-heading"), QStringLiteral("heading"),
                                   tr("Add a heading"), tr("Add a heading at the mark (Ctrl+H)"));
    heading->setShortcut(QKeySequence(QStringLiteral("Ctrl+H")));
    addAction(heading);
    auto* more = new AddMenu(m_session, m_prompts, heading, this);
    connect(more, &AddMenu::momentWanted, this, &PrepareDesk::addMoment);
    connect(more, &AddMenu::itemWanted, m_adding, &OrderAdding::addItem);
    connect(more, &AddMenu::filesWanted, m_adding, &OrderAdding::addFiles);
    connect(more, &AddMenu::loopWanted, m_adding, &OrderAdding::addLoop);
    connect(more, &AddMenu::loopFolderWanted, m_adding, &OrderAdding::addFolder);
    connect(more, &AddMenu::noticeWanted, m_adding, &OrderAdding::addNotice);
    connect(more, &AddMenu::listWanted, this,
            [this] { m_adding->addText(QGuiApplication::clipboard()->text(), m_sheet->markerRow()); });
    connect(more, &AddMenu::liveSetupWanted, this, &PrepareDesk::liveSetupWanted);
    QAction* up = sheetAction(QStringLiteral("move-up"), QStringLiteral("arrow-up"), tr("Move up"),
                              tr("Move the chosen items up (Alt+Up)"));
    QAction* down = sheetAction(QStringLiteral("move-down"), QStringLiteral("arrow-down"), tr("Move down"),
                                tr("Move the chosen items down (Alt+Down)"));
    QAction* remove =
        sheetAction(QStringLiteral("remove-item"), QStringLiteral("trash-2"), tr("Remove"),
                    tr("Take the chosen items out of the order (Delete); undo brings them back"));
    connect(heading, &QAction::triggered, this, &PrepareDesk::addHeading);
    connect(up, &QAction::triggered, this, [this] { m_sheet->moveSelected(-1); });
    connect(down, &QAction::triggered, this, [this] { m_sheet->moveSelected(1); });
    connect(remove, &QAction::triggered, this, [this] { m_sheet->removeSelected(); });

    auto* side = new QWidget(this);
    side->setMinimumWidth(spaced(76));
    auto* tools = new QHBoxLayout;
    tools->setSpacing(1);
    const auto addButton = [&](QAction* action) {
        auto* button = new QToolButton(side);
        button->setDefaultAction(action);
        if (action->menu()) {
            button->setPopupMode(QToolButton::MenuButtonPopup);
            button->setStyleSheet(QStringLiteral(
                "QToolButton { padding-right: 14px } "
                "QToolButton::menu-button { border: none; background: transparent; width: 13px } "
                "QToolButton::menu-arrow { image: url(:/mivanta/icons/chevron-down.svg); width: 10px; "
                "height: 10px }"));
        }
        button->setObjectName(action->objectName() + QStringLiteral("-button"));
        button->setIconSize(QSize(spaced(4.5), spaced(4.5)));
        button->setAccessibleName(action->text());
        tools->addWidget(button);
    };
    for (QAction* action : fileActions)
        addButton(action);
    auto* onPaper = new QMenu(this);
    m_orderSender->fill(*onPaper);
    auto* sheets = new SendMenu(tr("&Charts and lyric sheets"), true, this);
    connect(sheets, &SendMenu::wanted, this, &PrepareDesk::sendSheets);
    onPaper->addMenu(sheets);
    auto* paper = new QToolButton(side);
    paper->setObjectName(QStringLiteral("service-sheets"));
    paper->setIcon(icon(QStringLiteral("printer"), day().text));
    paper->setIconSize(QSize(spaced(4.5), spaced(4.5)));
    paper->setAccessibleName(tr("On paper"));
    paper->setToolTip(tr("Print or send the order, its slides and words, charts and lyric sheets (Ctrl+P)"));
    paper->setShortcut(QKeySequence::Print);
    paper->setPopupMode(QToolButton::InstantPopup);
    paper->setMenu(onPaper);
    tools->addWidget(paper);
    tools->addStretch(1);
    tools->addWidget(more);
    for (QAction* action : {up, down, remove})
        addButton(action);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, spaced(2), 0, spaced(4));
    column->setSpacing(spaced(1));
    column->addLayout(tools);
    column->addWidget(m_sheet, 1);
    return side;
}

QWidget* PrepareDesk::buildFindColumn(const Tools& tools) {
    auto* side = new QWidget(this);
    makeSide(side);
    side->setMinimumWidth(spaced(60));
    m_find =
        new FindPanel(m_session.library(), tr("Title, words, number, or luk 5 1-11\u2026"), FindAll, side);
    m_find->box()->setObjectName(QStringLiteral("prepare-find-box"));
    m_find->setMedia(tools.mediumPictures, tools.session.folderFinder());
    m_preview = new PictureView(tools.thumbnails, side);
    auto* hint = new QLabel(tr("Enter adds at the mark \u00b7 Shift+Enter opens it in the Library"), side);
    hint->setWordWrap(true);
    hint->setFont(textFont(0.85));
    makeQuiet(hint);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_find, 1);
    column->addWidget(m_preview);
    column->addWidget(hint);
    return side;
}

void PrepareDesk::focusFind() {
    if (m_pages->currentIndex() == 0)
        m_find->focusBox();
}

void PrepareDesk::undo() {
    m_pages->currentWidget() == m_words ? m_words->undo() : m_session.document().undoStack().undo();
}

void PrepareDesk::redo() {
    m_pages->currentWidget() == m_words ? m_words->redo() : m_session.document().undoStack().redo();
}

void PrepareDesk::selectItem(const ItemId& id) {
    m_pages->setCurrentIndex(0);
    m_sheet->select(id);
}

void PrepareDesk::add(const std::vector<FindPick>& picks) {
    m_adding->add(picks);
}

/// Find says what it is for while a place to fill is chosen.
void PrepareDesk::showWanted() {
    const Item* item = m_session.document().service().item(m_sheet->current());
    const auto* slot = item ? std::get_if<SlotItem>(&item->words) : nullptr;
    if (item && item->loop()) {
        m_find->box()->setPlaceholderText(
            tr("Into \u201c%1\u201d: picture, film, text\u2026").arg(item->title()));
        return;
    }
    m_find->box()->setPlaceholderText(
        slot ? tr("For \u201c%1\u201d: title, words, luk 5 1-11\u2026").arg(item->title())
             : tr("Title, words, number, or luk 5 1-11\u2026"));
}

/// What it says can be typed at once.
void PrepareDesk::addMoment(const ItemWords& words) {
    m_sheet->select(m_session.document().insert(m_sheet->markerRow(), words));
    m_bench->reveal(m_bench->moment());
    m_bench->moment()->focusWords();
}

void PrepareDesk::takeLook(const std::vector<ItemId>& onto, const LookDrop& drop) {
    LookTarget target;
    QString what = tr("the service");
    if (!onto.empty()) {
        target = {LookLevel::Item, {}, onto, {}};
        const Item* item = m_session.document().service().item(onto.front());
        what = onto.size() > 1 ? tr("%n items", nullptr, int(onto.size()))
                               : QStringLiteral("\u201c%1\u201d").arg(item ? item->title() : QString());
    }
    dropLook(m_session, this, target, what, drop);
}

void PrepareDesk::setBackdrop(const QString& path) {
    takeLook({}, {{}, path, false});
}

void PrepareDesk::addHeading() {
    const QString title = m_prompts.text(tr("The heading:"), {});
    if (!title.isEmpty())
        m_sheet->select(m_session.document().insertHeading(m_sheet->markerRow(), title));
}

void PrepareDesk::sendSheets(SendWay way) {
    const Service& service = m_session.document().service();
    std::vector<Song> songs;
    for (const Item& item : service.items)
        if (const Song* song = item.song())
            songs.push_back(*song);
    if (songs.empty())
        Q_EMIT m_session.notice(tr("There is no song in this service yet."));
    else
        m_sender.sendSongs(way, songs, service.title.isEmpty() ? tr("Service") : service.title);
}

/// What can be done to the chosen items, by a right click and by its keys.
void PrepareDesk::buildSheetMenu() {
    QListView* view = m_sheet->view();
    view->setContextMenuPolicy(Qt::ActionsContextMenu);
    const auto add = [&](const char* name, const QString& text, const QKeySequence& keys, auto work) {
        auto* action = new QAction(text, view);
        action->setObjectName(QLatin1String(name));
        action->setShortcut(keys);
        action->setShortcutContext(Qt::WidgetShortcut);
        connect(action, &QAction::triggered, m_sheet, work);
        view->addAction(action);
    };
    add("item-cut", tr("Cut"), QKeySequence::Cut, [this] {
        m_sheet->copySelected();
        m_sheet->removeSelected();
    });
    add("item-copy", tr("Copy"), QKeySequence::Copy, &OrderSheet::copySelected);
    add("item-paste", tr("Paste"), QKeySequence::Paste, &OrderSheet::paste);
    add("item-duplicate", tr("Duplicate"), QKeySequence(QStringLiteral("Ctrl+D")),
        &OrderSheet::duplicateSelected);
    add("item-group", tr("Group"), QKeySequence(QStringLiteral("Ctrl+G")), &OrderSheet::groupSelected);
    add("item-ungroup", tr("Ungroup"), QKeySequence(QStringLiteral("Ctrl+Shift+G")),
        &OrderSheet::ungroupSelected);
    add("item-anew", tr("Make it a place to fill"), QKeySequence(QStringLiteral("Ctrl+Shift+C")),
        [this] { m_session.document().makeSlots(m_sheet->selected()); });
    add("item-skip", tr("Leave out today"), QKeySequence(QStringLiteral("Ctrl+T")),
        &OrderSheet::skipSelected);
    add("item-remove", tr("Remove"), QKeySequence(Qt::Key_Delete), &OrderSheet::removeSelected);
    auto* line = new QAction(view);
    line->setSeparator(true);
    view->addAction(line);
    const auto addForService = [&](const char* name, const QString& text, const char* keys, auto work) {
        add(name, text, QKeySequence(QLatin1String(keys)), work);
        view->actions().last()->setShortcutContext(Qt::WidgetWithChildrenShortcut);
        addAction(view->actions().last()); // also while the order is empty, or Find has the focus
    };
    addForService("service-name", tr("Name of the service\u2026"), "Ctrl+Shift+T",
                  [this] { m_details.rename(); });
    addForService("service-place", tr("Where it is\u2026"), "Ctrl+Shift+W",
                  [this] { m_details.changePlace(); });
    addForService("service-start", tr("When it begins\u2026"), "Ctrl+Shift+B",
                  [this] { m_details.changeStart(); });
    addForService("service-white-words", tr("White words everywhere"), "Ctrl+Alt+W",
                  [this] { m_details.whitenWords(); });
}

void PrepareDesk::previewFound() {
    const auto hit = m_find->current();
    const auto pick = hit ? pickOf(*hit) : std::nullopt;
    if (!pick) {
        m_preview->setScene(std::nullopt);
        m_preview->setCaption({});
        return;
    }
    m_session.library().words(this, *pick, [this, pick](const Result<ItemWords>& words) {
        const auto now = m_find->current();
        if (!words || !now || pickOf(*now) != pick || m_session.outputs().all().empty())
            return;
        const ItemSlides slides = m_session.book().slidesOf(*words);
        const OutputSlides& output = slides.outputs[size_t(mainOutput(slides))];
        const int count = int(output.slides.size());
        m_preview->setScene(sceneOf(slides, output, count == 0 ? std::nullopt : std::optional(0)));
        m_preview->setCaption(titleOf(*words), tr("%n slides", nullptr, count));
        if (std::holds_alternative<FoundPassage>(*now))
            m_find->setSlideCount(count);
    });
}

} // namespace mivanta

#include "moc_PrepareDesk.cpp"
