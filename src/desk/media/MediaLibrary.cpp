// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/MediaLibrary.h"
#include "desk/kit/BinMenu.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/OneLineFields.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Style.h"
#include "desk/media/DiscWindow.h"
#include "desk/media/MediaGrid.h"
#include "desk/media/MediumPanel.h"
#include "desk/media/ShelfList.h"
#include "session/Session.h"
#include "session/media/OpenDisc.h"
#include <QComboBox>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QSettings>
#include <QSlider>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

const QString kWidthSetting = QStringLiteral("media/pictureWidth");
const QString kListSetting = QStringLiteral("media/asList");

/// What a person changed of a medium, to be taken back.
class EditMedium : public QUndoCommand {
public:
    EditMedium(MediaBook& book, Medium before, Medium after, const QString& what)
        : QUndoCommand(what),
          m_book(book),
          m_before(std::move(before)),
          m_after(std::move(after)) {}
    void undo() override { m_book.change(m_before); }
    void redo() override { m_book.change(m_after); }

private:
    MediaBook& m_book;
    Medium m_before;
    Medium m_after;
};

} // namespace

MediaLibrary::MediaLibrary(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_tools(tools),
      m_session(tools.session),
      m_prompts(tools.prompts) {
    setObjectName(QStringLiteral("media-library"));
    m_model = new MediaModel(m_session, this);
    m_grid = new MediaGrid(m_model, tools.mediumPictures, this);
    m_panel = new MediumPanel(m_session, tools.mediumPictures, this);
    auto* middle = new QWidget(this);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(spaced(4), spaced(3), spaced(4), 0);
    column->setSpacing(spaced(2));
    QWidget* shelves = buildShelves();
    column->addWidget(buildTools());
    column->addWidget(m_grid, 1);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(shelves, 4);
    row->addWidget(middle, 12);
    row->addWidget(m_panel, 5);
    m_nothing =
        new EmptyState(tr("No media yet"),
                       tr("Pictures, films and sounds: bring them into the library, or watch a folder and "
                          "use them from where they lie."),
                       m_grid);
    m_nothing->addAction(QStringLiteral("empty-bring-in-media"), tr("Bring in files\u2026 (Ctrl+I)"),
                         tr("Copy pictures, films and sounds into the library"), [this] { bringInFiles(); });
    m_nothing->addAction(QStringLiteral("empty-watch-folder"), tr("Watch a folder\u2026"),
                         tr("Show what lies in a folder of this computer or a stick"),
                         [this] { watchFolder(); });
    connectGrid();
    showShelf();
}

QWidget* MediaLibrary::buildShelves() {
    auto* side = new QWidget(this);
    m_shelves = new ShelfList(m_session, *m_model, side);
    QToolButton* watch = makeIconButton(
        "watch-folder", QStringLiteral("folder"),
        tr("Show what lies in a folder of this computer or a stick, with the folders inside it"), side);
    watch->setText(tr("Watch a folder\u2026"));
    connect(watch, &QToolButton::clicked, this, &MediaLibrary::watchFolder);
    QToolButton* disc =
        makeIconButton("from-disc", QStringLiteral("disc"),
                       tr("Copy a title of a video disc, or a part of one, into the library"), side);
    disc->setText(tr("From a disc\u2026"));
    disc->setPopupMode(QToolButton::InstantPopup);
    auto* discs = new QMenu(disc);
    disc->setMenu(discs);
    connect(discs, &QMenu::aboutToShow, this, [this, discs] { fillDiscs(discs); });
    for (QToolButton* button : {watch, disc})
        button->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
    QVBoxLayout* rows = sideRows(side, 52);
    rows->addWidget(m_shelves, 1);
    rows->addWidget(watch, 0, Qt::AlignLeft);
    rows->addWidget(disc, 0, Qt::AlignLeft);
    rows->addWidget(buildButtons(side));
    connect(m_shelves, &ShelfList::shelfChanged, this, &MediaLibrary::showShelf);
    connect(m_shelves, &ShelfList::leaveWanted, this, [this](const QString& folder) {
        m_session.folders().leave(folder);
        Q_EMIT m_session.offered(tr("%1 is no longer watched. Its files stay where they are.").arg(folder),
                                 tr("Watch it again"), [this, folder] { m_session.folders().watch(folder); });
    });
    return side;
}

void MediaLibrary::fillDiscs(QMenu* menu) {
    menu->clear();
    for (const QString& drive : discDrives())
        menu->addAction(tr("The drive %1").arg(drive), this, [this, drive] { openDisc(drive); });
    const auto openChosen = [this](const QString& path) {
        if (!path.isEmpty())
            openDisc(path);
    };
    menu->addAction(tr("The image of a disc\u2026"), this,
                    [this, openChosen] { openChosen(m_prompts.discImage()); });
    menu->addAction(tr("The folder of a disc\u2026"), this,
                    [this, openChosen] { openChosen(m_prompts.discFolder()); });
}

QWidget* MediaLibrary::buildButtons(QWidget* parent) {
    auto* buttons = new QWidget(parent);
    auto* in = new QPushButton(tr("Bring in\u2026"), buttons);
    in->setObjectName(QStringLiteral("bring-in-media"));
    in->setProperty("main", true);
    in->setToolTip(tr("Copy pictures, films and sounds into the library (Ctrl+I); or drop them here"));
    connect(in, &QPushButton::clicked, this, &MediaLibrary::bringInFiles);
    auto* menu = new QMenu(buttons);
    connect(menu, &QMenu::aboutToShow, this, [this, menu] {
        menu->clear();
        addBin<Medium>(menu, m_session, m_prompts, [this](const QString& name) { m_chosen = name; });
    });
    auto* row = new QHBoxLayout(buttons);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(in);
    row->addStretch(1);
    row->addWidget(makeBinButton(
        "removed-media", tr("Bin: media that were removed; restore them, or empty it"), menu, buttons));
    return buttons;
}

QWidget* MediaLibrary::buildTools() {
    auto* tools = new QWidget(this);
    auto* row = new QHBoxLayout(tools);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(2));
    m_find = new QLineEdit(tools);
    m_find->setObjectName(QStringLiteral("media-find-box"));
    m_find->setPlaceholderText(tr("Name, folder, words about it\u2026"));
    m_find->setAccessibleName(tr("Find media"));
    m_find->setToolTip(
        tr("Finds media by any words of their names, folders and what is said about them (Ctrl+F)"));
    m_find->setClearButtonEnabled(true);
    row->addWidget(m_find, 1);
    const auto addKind = [&](MediumKind kind, const char* name, const QString& text) {
        auto* button = new QToolButton(tools);
        button->setObjectName(QLatin1String(name));
        button->setText(text);
        button->setToolTip(tr("Show %1, or not").arg(text));
        button->setCheckable(true);
        button->setChecked(true);
        button->setProperty("chip", true);
        connect(button, &QToolButton::toggled, this, &MediaLibrary::showShelf);
        row->addWidget(button);
        m_kinds.emplace_back(kind, button);
    };
    addKind(MediumKind::Picture, "show-pictures", tr("Pictures"));
    addKind(MediumKind::Film, "show-films", tr("Films"));
    addKind(MediumKind::Sound, "show-sounds", tr("Sounds"));
    m_order = new QComboBox(tools);
    m_order->setObjectName(QStringLiteral("media-order"));
    m_order->setAccessibleName(tr("In which order"));
    m_order->setToolTip(tr("In which order they are shown"));
    for (const auto& [order, text] : {std::pair{MediaOrder::NewestFirst, tr("newest first")},
                                      {MediaOrder::ByName, tr("by name")},
                                      {MediaOrder::UsedLately, tr("used lately first")},
                                      {MediaOrder::LongestFirst, tr("longest first")},
                                      {MediaOrder::LargestFirst, tr("largest first")}})
        m_order->addItem(text, int(order));
    row->addWidget(m_order);
    m_asList = new QToolButton(tools);
    m_asList->setObjectName(QStringLiteral("media-as-list"));
    m_asList->setCheckable(true);
    m_asList->setIcon(icon(QStringLiteral("list"), day().text));
    m_asList->setAccessibleName(tr("As a list"));
    m_asList->setToolTip(tr("As a list, or as pictures side by side"));
    row->addWidget(m_asList);
    m_size = new QSlider(Qt::Horizontal, tools);
    m_size->setObjectName(QStringLiteral("media-size"));
    m_size->setAccessibleName(tr("How large the pictures are"));
    m_size->setToolTip(tr("How large the pictures are (Ctrl and the mouse wheel)"));
    m_size->setRange(MediaGrid::kSmallest, MediaGrid::kLargest);
    m_size->setFixedWidth(spaced(20));
    row->addWidget(m_size);
    m_count = new QLabel(tools);
    m_count->setObjectName(QStringLiteral("media-count"));
    makeQuiet(m_count);
    row->addWidget(m_count);
    connect(m_find, &QLineEdit::textChanged, this, &MediaLibrary::showShelf);
    connect(m_order, &QComboBox::activated, this, &MediaLibrary::showShelf);
    return tools;
}

void MediaLibrary::connectGrid() {
    const QSettings settings;
    m_size->setValue(settings.value(kWidthSetting, m_grid->pictureWidth()).toInt());
    m_grid->setPictureWidth(m_size->value());
    m_asList->setChecked(settings.value(kListSetting).toBool());
    m_grid->setShape(m_asList->isChecked() ? MediaGrid::Shape::List : MediaGrid::Shape::Grid);
    connect(m_size, &QSlider::valueChanged, this, [this](int width) {
        m_grid->setPictureWidth(width);
        QSettings().setValue(kWidthSetting, width);
    });
    connect(m_grid, &MediaGrid::pictureWidthChanged, m_size, &QSlider::setValue);
    connect(m_asList, &QToolButton::toggled, this, [this](bool isList) {
        m_grid->setShape(isList ? MediaGrid::Shape::List : MediaGrid::Shape::Grid);
        QSettings().setValue(kListSetting, isList);
    });
    connect(m_grid->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            &MediaLibrary::showChosen);
    connect(m_grid->selectionModel(), &QItemSelectionModel::currentChanged, this, &MediaLibrary::showChosen);
    connect(m_model, &MediaModel::refilled, this, &MediaLibrary::refilled);
    connect(m_grid, &MediaGrid::addWanted, this, &MediaLibrary::add);
    connect(m_grid, &MediaGrid::binWanted, this, &MediaLibrary::putInBin);
    connect(m_grid, &MediaGrid::playWanted, m_panel, &MediumPanel::playOrPause);
    connect(m_panel, &MediumPanel::addWanted, this, &MediaLibrary::add);
    connect(m_panel, &MediumPanel::changed, this, &MediaLibrary::change);
    connect(m_panel, &MediumPanel::backdropWanted, this, [this] {
        if (const ShownMedium* shown = m_model->medium(m_model->indexOf(m_chosen)))
            Q_EMIT backdropWanted(m_model->pathOf(*shown));
    });
}

void MediaLibrary::focusFind() {
    m_find->setFocus(Qt::ShortcutFocusReason);
    m_find->selectAll();
}

void MediaLibrary::showShelf() {
    MediaFilter filter;
    filter.query = m_find->text();
    filter.kinds.clear();
    for (const auto& [kind, button] : m_kinds)
        if (button->isChecked())
            filter.kinds << kind;
    filter.order = MediaOrder(m_order->currentData().toInt());
    m_model->show(m_shelves->shelf(), filter);
}

void MediaLibrary::showMedium(const QString& name) {
    m_chosen = name;
    m_find->clear();
    showShelf();
}

/// What was chosen stays so, when it is still there.
void MediaLibrary::refilled() {
    const bool isEmpty = m_model->countOn({}) == 0;
    m_nothing->setVisible(isEmpty && m_session.media().isLoaded());
    m_count->setText(tr("%n media", nullptr, m_model->rowCount()));
    const QModelIndex current = m_grid->currentIndex();
    if (!current.isValid() || current != m_model->indexOf(m_chosen))
        chooseAgain();
    showChosen();
}

/// Several, when several were chosen.
void MediaLibrary::chooseAgain() {
    QModelIndex current = m_model->indexOf(m_chosen);
    if (!current.isValid() && m_model->rowCount() > 0)
        current = m_model->index(0);
    QItemSelection several(current, current);
    if (m_chosenKeys.contains(m_chosen))
        for (const QString& key : m_chosenKeys)
            if (const QModelIndex index = m_model->indexOf(key); index.isValid())
                several.merge(QItemSelection(index, index), QItemSelectionModel::Select);
    m_grid->selectionModel()->setCurrentIndex(current, QItemSelectionModel::NoUpdate);
    m_grid->selectionModel()->select(several, QItemSelectionModel::ClearAndSelect);
}

void MediaLibrary::showChosen() {
    const ShownMedium* shown = m_model->medium(m_grid->currentIndex());
    if (shown)
        m_chosen = shown->key();
    m_chosenKeys.clear();
    for (const ShownMedium& each : chosen())
        m_chosenKeys << each.key();
    m_panel->setMedium(shown ? std::optional(*shown) : std::nullopt,
                       shown ? m_model->pathOf(*shown) : QString(), int(m_chosenKeys.size()));
}

std::vector<ShownMedium> MediaLibrary::chosen() const {
    std::vector<ShownMedium> all;
    QModelIndexList rows = m_grid->selectionModel()->selectedIndexes();
    std::sort(rows.begin(), rows.end());
    for (const QModelIndex& row : rows)
        if (const ShownMedium* shown = m_model->medium(row))
            all.push_back(*shown);
    return all;
}

void MediaLibrary::add() {
    std::vector<FindPick> picks;
    for (const ShownMedium& shown : chosen())
        picks.push_back(m_model->pickOf(shown));
    if (!picks.empty())
        Q_EMIT addToService(picks);
}

void MediaLibrary::change(const Medium& medium, const QString& what) {
    if (const Medium* before = m_session.media().medium(medium.name))
        m_edits.push(new EditMedium(m_session.media(), *before, medium, what));
}

/// Those that this service uses are named before.
bool MediaLibrary::agreeToBin(const QStringList& names) {
    QStringList used;
    for (const QString& name : names)
        if (const Medium* medium = m_session.media().medium(name);
            medium && (m_session.media().usesInService(name) > 0 || medium->usedAt.isValid() ||
                       m_session.liveInputs().isCard(name)))
            used << tr("\u201c%1\u201d").arg(medium->title);
    return used.isEmpty() ||
           m_prompts.agree(tr("In use: %1. What uses it goes on showing it until the bin is emptied.")
                               .arg(used.join(QStringLiteral(", "))),
                           tr("Put into the bin"));
}

void MediaLibrary::putInBin() {
    QStringList names;
    int elsewhere = 0;
    for (const ShownMedium& shown : chosen())
        if (shown.isInLibrary())
            names << shown.medium.name;
        else
            ++elsewhere;
    if (elsewhere > 0)
        Q_EMIT m_session.notice(
            tr("Files of watched folders stay where they are: the library does not delete them."));
    if (names.isEmpty() || !agreeToBin(names))
        return;
    m_session.media().putInBin(names, [this, names] {
        Q_EMIT m_session.offered(tr("%n media are in the bin.", nullptr, int(names.size())), tr("Restore"),
                                 [this, names] { m_session.media().takeFromBin(names); });
    });
}

void MediaLibrary::bringInFiles() {
    bringIn(m_prompts.mediaToChoose());
}

void MediaLibrary::watchFolder() {
    if (const QString folder = m_prompts.folderToWatch(); !folder.isEmpty())
        m_session.folders().watch(folder);
}

void MediaLibrary::openDisc(const QString& path) {
    auto* window = new DiscWindow(m_tools, path, this);
    connect(window, &DiscWindow::kept, this, [this](const Medium& medium) { showMedium(medium.name); });
    window->show();
}

void MediaLibrary::bringIn(const QStringList& paths) {
    QStringList files;
    for (const QString& path : paths)
        if (isDiscPath(path))
            openDisc(path);
        else if (QFileInfo(path).isDir())
            m_session.folders().watch(path);
        else
            files << path;
    bringInSeveral(m_session, this, files, [this](const std::vector<Medium>& media) {
        m_chosen = media.front().name;
        showShelf();
    });
}

} // namespace mivanta

#include "moc_MediaLibrary.cpp"
