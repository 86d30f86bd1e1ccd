// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/LibraryList.h"
#include "desk/find/FindPanel.h"
#include "desk/kit/BinMenu.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/sending/SendMenu.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QProgressBar>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

LibraryList::LibraryList(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    m_find =
        new FindPanel(m_session.library(), tr("Title, words, author, hymn number\u2026"), FindSongs, this);
    m_count = new QLabel(tr("Songs"), this);
    makeHeading(m_count);
    QVBoxLayout* column = sideRows(this, 66);
    column->addWidget(m_count);
    column->addWidget(m_find, 1);
    column->addWidget(buildImportRow());
    column->addWidget(buildButtons());
    connect(m_find, &FindPanel::counted, this, [this](int songs) {
        m_count->setText(m_find->box()->text().trimmed().isEmpty() ? tr("Songs %1").arg(songs)
                                                                   : tr("%1 found").arg(songs));
    });
}

QWidget* LibraryList::buildImportRow() {
    m_importRow = new QWidget(this);
    m_progress = new QProgressBar(m_importRow);
    m_progress->setAccessibleName(tr("Bringing in"));
    auto* stop = new QPushButton(tr("Stop"), m_importRow);
    stop->setObjectName(QStringLiteral("import-stop"));
    stop->setToolTip(tr("Stop here; what is done already stays"));
    connect(stop, &QPushButton::clicked, this, &LibraryList::stopWanted);
    m_waiting = new QPushButton(this);
    m_waiting->setObjectName(QStringLiteral("import-waiting"));
    m_waiting->setToolTip(tr("Decide what becomes of the songs that were read"));
    m_waiting->hide();
    connect(m_waiting, &QPushButton::clicked, this, &LibraryList::reviewWanted);
    auto* row = new QHBoxLayout(m_importRow);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_progress, 1);
    row->addWidget(stop);
    m_importRow->hide();
    auto* both = new QWidget(this);
    auto* column = new QVBoxLayout(both);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(m_importRow);
    column->addWidget(m_waiting);
    LibraryClient& library = m_session.library();
    connect(&library, &LibraryClient::importProgress, this, [this](int done, int total) {
        if (m_session.library().isImporting())
            showProgress(done, total);
    });
    connect(&library, &LibraryClient::lookedAt, this, &LibraryList::hideProgress);
    connect(&library, &LibraryClient::importFinished, this, &LibraryList::hideProgress);
    return both;
}

void LibraryList::showProgress(int done, int total) {
    m_importRow->show();
    m_progress->setMaximum(total);
    m_progress->setValue(done);
}

void LibraryList::hideProgress() {
    m_importRow->hide();
}

QToolButton* LibraryList::menuButton(const QString& name, const QString& text, const QString& tip,
                                     QMenu* menu) {
    auto* button = new QToolButton(this);
    button->setObjectName(name);
    button->setText(text + QStringLiteral(" \u25be"));
    button->setToolTip(tip);
    button->setPopupMode(QToolButton::InstantPopup);
    button->setMenu(menu);
    return button;
}

QWidget* LibraryList::buildButtons() {
    auto* fresh = new QPushButton(tr("New song"), this);
    fresh->setObjectName(QStringLiteral("new-song"));
    fresh->setProperty("main", true);
    fresh->setToolTip(tr("Write a new song, or paste one from an e-mail (Ctrl+Shift+N)"));
    fresh->setShortcut(QKeySequence(QStringLiteral("Ctrl+Shift+N")));
    connect(fresh, &QPushButton::clicked, this, &LibraryList::newWanted);
    auto* in = new QMenu(this);
    in->addAction(tr("Files\u2026\tCtrl+I"), this, &LibraryList::bringInFiles);
    in->addAction(tr("A folder and the folders inside it\u2026\tCtrl+Shift+I"), this,
                  &LibraryList::bringInFolder);
    buildSendMenu();
    auto* bin = new QMenu(this);
    connect(bin, &QMenu::aboutToShow, this, [this, bin] { fillBinMenu(bin); });

    auto* widget = new QWidget(this);
    auto* row = new QHBoxLayout(widget);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(fresh);
    row->addStretch(1);
    row->addWidget(menuButton(
        QStringLiteral("bring-in"), tr("Bring in"),
        tr("Bring in songs: ChordPro, text, RTF, ODT and DOCX, slide files, CSV tables; or drop them here"),
        in));
    row->addWidget(menuButton(QStringLiteral("send-out"), tr("Send out"),
                              tr("Write songs to files, or print charts and lyric sheets"), m_sendMenu));
    row->addWidget(
        makeBinButton("bin", tr("Bin: songs that were deleted; restore them, or empty it"), bin, this));
    return widget;
}

void LibraryList::buildSendMenu() {
    auto* chosen = new SendMenu({}, false, this);
    auto* all = new SendMenu(tr("Every song of the library"), false, chosen);
    chosen->addSeparator();
    chosen->addMenu(all);
    connect(all, &SendMenu::wanted, this, [this](SendWay way) { Q_EMIT sendWanted(way, {}); });
    connect(chosen, &SendMenu::wanted, this, [this](SendWay way) {
        std::vector<SongId> ids;
        for (const SongSummary& song : m_find->selectedSongs())
            ids.push_back(song.id);
        if (!ids.empty())
            Q_EMIT sendWanted(way, ids);
    });
    m_sendMenu = chosen;
}

void LibraryList::bringInFiles() {
    if (const QStringList files = m_prompts.songFilesToImport(); !files.isEmpty())
        Q_EMIT bringInWanted(files);
}

void LibraryList::bringInFolder() {
    if (const QString folder = m_prompts.songFolderToImport(); !folder.isEmpty())
        Q_EMIT bringInWanted({folder});
}

void LibraryList::setWaiting(int songs) {
    m_waiting->setVisible(songs > 0);
    m_waiting->setText(tr("%n songs wait to be brought in\u2026", nullptr, songs));
}

void LibraryList::fillBinMenu(QMenu* menu) {
    menu->clear();
    addBin<Song>(menu, m_session, m_prompts, [this](const SongId& id) { Q_EMIT showWanted(id); });
}

} // namespace mivanta

#include "moc_LibraryList.cpp"
