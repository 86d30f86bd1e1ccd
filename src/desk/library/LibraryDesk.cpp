// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/LibraryDesk.h"
#include "core/run/Cards.h"
#include "desk/parts/Style.h"
#include <QDragEnterEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QMimeData>
#include <QProgressBar>
#include <QPushButton>
#include <QToolButton>
#include <QUrl>
#include <QVBoxLayout>

namespace mivanta {

LibraryDesk::LibraryDesk(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("library-desk"));
    setAcceptDrops(true);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    m_reading = new ReadingPane(this);
    row->addWidget(buildList(), 5);
    row->addWidget(m_reading, 10);
    row->addWidget(buildSide(thumbnails), 4);

    connect(m_find, &FindPanel::currentChanged, this, &LibraryDesk::currentChanged);
    connect(m_find, &FindPanel::chosen, this, &LibraryDesk::addToService);
    connect(m_find, &FindPanel::counted, this, [this](int songs) {
        m_count->setText(m_find->box()->text().trimmed().isEmpty() ? tr("Songs %1").arg(songs)
                                                                   : tr("%1 found").arg(songs));
    });
    connect(&m_session.library(), &LibraryClient::importProgress, this, [this](int done, int total) {
        m_importRow->show();
        m_progress->setMaximum(total);
        m_progress->setValue(done);
    });
    connect(&m_session.library(), &LibraryClient::importFinished, this, &LibraryDesk::importFinished);
    connect(&m_session.book(), &SlideBook::changed, this, [this] {
        m_slides.reset();
        if (isVisible())
            showPreview();
    });
}

QWidget* LibraryDesk::buildList() {
    auto* side = new QWidget(this);
    side->setAutoFillBackground(true);
    QPalette palette = side->palette();
    palette.setColor(QPalette::Window, day().side);
    side->setPalette(palette);
    side->setMinimumWidth(spaced(70));
    m_find = new FindPanel(m_session.library(), tr("Title, words, author, hymn number\u2026"), side);
    m_count = new QLabel(tr("Songs"), side);
    m_count->setFont(textFont(1.0, true));
    m_count->setStyleSheet(QStringLiteral("color: %1").arg(day().accent.name()));
    auto* files = new QPushButton(tr("Import files\u2026"), side);
    files->setObjectName(QStringLiteral("import-files"));
    files->setProperty("main", true);
    files->setToolTip(tr("Bring in song files: ChordPro or plain text (Ctrl+I)"));
    auto* folder = new QPushButton(tr("Import a folder\u2026"), side);
    folder->setObjectName(QStringLiteral("import-folder"));
    folder->setToolTip(tr("Bring in every song file of a folder and the folders inside it (Ctrl+Shift+I)"));
    connect(files, &QPushButton::clicked, this, &LibraryDesk::importFiles);
    connect(folder, &QPushButton::clicked, this, &LibraryDesk::importFolder);

    m_importRow = new QWidget(side);
    m_progress = new QProgressBar(m_importRow);
    m_progress->setAccessibleName(tr("Import"));
    auto* stop = new QPushButton(tr("Stop"), m_importRow);
    stop->setObjectName(QStringLiteral("import-stop"));
    stop->setToolTip(tr("Stop bringing in; what is in already stays"));
    connect(stop, &QPushButton::clicked, &m_session.library(), &LibraryClient::cancelImport);
    auto* importRow = new QHBoxLayout(m_importRow);
    importRow->setContentsMargins(0, 0, 0, 0);
    importRow->addWidget(m_progress, 1);
    importRow->addWidget(stop);
    m_importRow->hide();

    auto* buttons = new QHBoxLayout;
    buttons->addWidget(files);
    buttons->addWidget(folder);
    buttons->addStretch(1);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_find, 1);
    column->insertWidget(0, m_count);
    column->addWidget(m_importRow);
    column->addLayout(buttons);
    return side;
}

QWidget* LibraryDesk::buildSide(ThumbnailStore& thumbnails) {
    auto* side = new QWidget(this);
    side->setMinimumWidth(spaced(60));
    m_hall = new PictureView(thumbnails, side);
    m_hall->setObjectName(QStringLiteral("library-hall"));
    m_stream = new PictureView(thumbnails, side);
    auto* back = new QToolButton(side);
    back->setText(QStringLiteral("\u2039"));
    back->setObjectName(QStringLiteral("preview-back"));
    back->setToolTip(tr("The step before"));
    auto* on = new QToolButton(side);
    on->setText(QStringLiteral("\u203a"));
    on->setObjectName(QStringLiteral("preview-on"));
    on->setToolTip(tr("The next step"));
    connect(back, &QToolButton::clicked, this, [this] { stepPreview(-1); });
    connect(on, &QToolButton::clicked, this, [this] { stepPreview(1); });
    m_orderTitle = new QLabel(tr("Singing order"), side);
    m_orderTitle->setFont(textFont(1.0, true));
    m_orderTitle->setStyleSheet(QStringLiteral("color: %1").arg(day().accent.name()));
    m_order = new Chips(side);
    m_add = new QPushButton(tr("Add to the service"), side);
    m_add->setObjectName(QStringLiteral("library-add"));
    m_add->setToolTip(tr("Put this song into the service order (Enter)"));
    connect(m_add, &QPushButton::clicked, this, [this] {
        if (m_song)
            Q_EMIT addToService(m_song->id);
    });
    auto* steps = new QHBoxLayout;
    steps->addWidget(back);
    steps->addWidget(on);
    steps->addStretch(1);
    steps->addWidget(m_add);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_hall);
    column->addWidget(m_stream);
    column->addLayout(steps);
    column->addSpacing(spaced(2));
    column->addWidget(m_orderTitle);
    column->addWidget(m_order);
    column->addStretch(1);
    return side;
}

void LibraryDesk::focusFind() {
    m_find->focusBox();
}

void LibraryDesk::showSong(const SongId& id) {
    m_find->box()->clear();
    m_find->select(id);
    m_wanted = id;
    m_session.library().song(this, id, [this](const Result<Song>& song) { songLoaded(song); });
}

void LibraryDesk::currentChanged() {
    const auto hit = m_find->current();
    if (!hit) {
        m_wanted = {};
        m_song.reset();
        m_slides.reset();
        m_reading->setSong(std::nullopt);
        showPreview();
        return;
    }
    if (m_song && m_song->id == hit->song.id)
        return;
    m_wanted = hit->song.id;
    m_session.library().song(this, hit->song.id, [this](const Result<Song>& song) { songLoaded(song); });
}

void LibraryDesk::songLoaded(const Result<Song>& song) {
    if (song && !(song->id == m_wanted))
        return; // another one was chosen meanwhile
    m_slides.reset();
    m_step = 0;
    if (song)
        m_song = *song;
    else
        m_song.reset();
    m_reading->setSong(m_song, song ? QString() : song.error().text());
    showPreview();
}

void LibraryDesk::stepPreview(int by) {
    if (!m_slides)
        return;
    m_step = std::clamp(m_step + by, 0, int(m_slides->steps.size()) - 1);
    showPreview();
}

void LibraryDesk::showPreview() {
    if (m_song && !m_slides && !m_session.outputs().empty())
        m_slides = m_session.book().slidesOf(*m_song);
    const bool shown = m_song && m_slides;
    m_add->setEnabled(shown);
    m_orderTitle->setVisible(shown);
    m_order->setChips(shown ? partChips(m_slides->content) : std::vector<PartChip>());
    m_order->updateGeometry();
    for (const auto& [view, kind] :
         {std::pair{m_hall, OutputKind::Hall}, std::pair{m_stream, OutputKind::Stream}}) {
        const OutputSlides* output = nullptr;
        if (shown)
            for (const OutputSlides& o : m_slides->outputs)
                if (!output && o.output.kind == kind)
                    output = &o;
        view->setVisible(output || view == m_hall);
        if (!output) {
            view->setScene(std::nullopt);
            view->setCaption({});
            continue;
        }
        m_step = std::min(m_step, int(m_slides->steps.size()) - 1);
        const Step& step = m_slides->steps[size_t(m_step)];
        view->setScene(sceneOf(*m_slides, *output, output->slideAt(step.position)));
        view->setCaption(tr("%1 \u00b7 %2 px").arg(output->output.label()).arg(output->fontSize),
                         tr("step %1 of %2").arg(m_step + 1).arg(m_slides->steps.size()));
        view->setToolTip(tr("%1: %2").arg(output->output.label(), output->reasonText));
    }
}

void LibraryDesk::importFiles() {
    m_session.library().import(m_prompts.songFilesToImport());
}

void LibraryDesk::importFolder() {
    if (const QString folder = m_prompts.songFolderToImport(); !folder.isEmpty())
        m_session.library().import({folder});
}

void LibraryDesk::importFinished(const std::vector<ImportEntry>& entries, bool cancelled) {
    m_importRow->hide();
    int counts[4]{};
    QStringList refusals;
    QStringList warnings;
    for (const ImportEntry& entry : entries) {
        ++counts[int(entry.outcome)];
        const QString file = entry.file.section(u'/', -1);
        if (entry.outcome == ImportOutcome::Refused)
            refusals << QStringLiteral("%1: %2").arg(file, entry.reason);
        else if (entry.outcome != ImportOutcome::Unchanged && !entry.reason.isEmpty())
            warnings << QStringLiteral("%1: %2").arg(file, entry.reason);
    }
    constexpr int kMostTold = 6;
    QString text = tr("Brought in: %1 added, %2 changed, %3 unchanged, %4 refused.")
                       .arg(counts[0])
                       .arg(counts[1])
                       .arg(counts[2])
                       .arg(counts[3]);
    if (cancelled)
        text += u' ' + tr("Stopped before the end.");
    const QStringList told = refusals + warnings;
    for (const QString& line : told.mid(0, kMostTold))
        text += u'\n' + line;
    if (told.size() > kMostTold)
        text += u'\n' + tr("and %1 more.").arg(told.size() - kMostTold);
    Q_EMIT m_session.notice(text);
}

void LibraryDesk::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void LibraryDesk::dropEvent(QDropEvent* event) {
    QStringList paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile())
            paths << url.toLocalFile();
    m_session.library().import(paths);
    event->acceptProposedAction();
}

} // namespace mivanta
