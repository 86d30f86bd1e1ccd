// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/DiscWindow.h"
#include "core/timing/Moment.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Moments.h"
#include "desk/kit/RowFields.h"
#include "desk/media/ClipRow.h"
#include "desk/media/FilmPreview.h"
#include "media/DiscRun.h"
#include "media/MediumLook.h"
#include "session/Session.h"
#include "session/media/OpenDisc.h"
#include "store/MediaIntake.h"
#include <QComboBox>
#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPointer>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

namespace mivanta {

namespace {

constexpr QSize kDiscSeen(480, 270);  // px
constexpr QSize kDiscMoment(120, 68); // px
constexpr double kExcerpt = 30;       // seconds that are played at a time
constexpr double kPlaces = 5;         // a second, at which pictures are made while the slider moves

/// "English, stereo"
QString soundText(const DiscTrack& track) {
    const QString language =
        track.language.isEmpty() ? DiscWindow::tr("language not known") : languageText(track.language);
    const QString channels = track.channels == 1   ? DiscWindow::tr("mono")
                             : track.channels == 2 ? DiscWindow::tr("stereo")
                                                   : DiscWindow::tr("%n channels", nullptr, track.channels);
    return track.channels > 0 ? DiscWindow::tr("%1, %2", "language, mono or stereo").arg(language, channels)
                              : language;
}

void fillTracks(QComboBox* box, const QString& none, const std::vector<DiscTrack>& tracks, bool isChosen) {
    box->clear();
    box->addItem(none);
    for (const DiscTrack& track : tracks)
        box->addItem(soundText(track), track.id);
    box->setCurrentIndex(isChosen && !tracks.empty() ? 1 : 0);
    box->setEnabled(!tracks.empty());
}

std::optional<int> chosenTrack(const QComboBox* box) {
    const QVariant id = box->currentData();
    return id.isValid() ? std::optional(id.toInt()) : std::nullopt;
}

} // namespace

DiscWindow::DiscWindow(const Tools& tools, const QString& path, QWidget* parent)
    : QDialog(parent),
      m_session(tools.session) {
    setObjectName(QStringLiteral("disc-window"));
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("From a disc"));
    resize(spaced(240), spaced(150));
    m_disc = new OpenDisc(path, this);
    m_preview = new FilmPreview(tools.mediumPictures, this);
    m_preview->setAccessibleName(tr("The title in small"));
    auto* columns = new QHBoxLayout(this);
    columns->setSpacing(spaced(4));
    columns->addWidget(buildTitles(), 2);
    columns->addWidget(buildTitle(), 3);
    connect(m_disc, &OpenDisc::opened, this, &DiscWindow::fill);
    connect(m_disc, &OpenDisc::failed, this, [this](const Error& error) { m_name->setText(error.text()); });
    connect(m_disc, &OpenDisc::pictureCame, this, &DiscWindow::showPictures);
    connect(m_disc, &OpenDisc::excerptFailed, this,
            [this](const Error& error) { m_says->setText(error.text()); });
    connect(m_disc, &OpenDisc::excerptCame, this, [this](const QString& file, const FilmPart& part) {
        ShownMedium shown;
        shown.medium.kind = MediumKind::Film;
        shown.medium.from = part.from;
        shown.folder = file;
        m_says->clear();
        m_excerptFrom -= part.from;
        m_preview->setMedium(shown, file);
        m_preview->playOrPause();
    });
    connect(m_preview, &FilmPreview::moved, this, [this] {
        if (!m_preview->isPlaying())
            return;
        m_position = m_excerptFrom + m_preview->position();
        m_clip->setPosition(m_position);
    });
    connect(m_preview, &FilmPreview::changed, this, [this] { m_clip->setPlaying(m_preview->isPlaying()); });
    connect(m_preview, &FilmPreview::failed, m_says, &QLabel::setText);
    fill();
}

QWidget* DiscWindow::buildTitles() {
    auto* side = new QWidget(this);
    m_name = new QLabel(side);
    m_name->setObjectName(QStringLiteral("disc-name"));
    m_name->setWordWrap(true);
    m_name->setTextFormat(Qt::PlainText);
    m_titles =
        named(new QListWidget(side), "disc-titles", tr("Titles of the disc: the films that are on it"));
    auto* rows = new QVBoxLayout(side);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->addWidget(m_name);
    rows->addWidget(m_titles, 1);
    connect(m_titles, &QListWidget::currentRowChanged, this, &DiscWindow::showTitle);
    return side;
}

QWidget* DiscWindow::buildTitle() {
    m_title = new QWidget(this);
    m_clip = new ClipRow(m_title);
    m_says = new QLabel(m_title);
    m_says->setObjectName(QStringLiteral("disc-says"));
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText);
    makeQuiet(m_says);
    auto* rows = new QVBoxLayout(m_title);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->addWidget(m_preview);
    rows->addWidget(m_clip);
    rows->addWidget(buildFields(m_title));
    rows->addWidget(m_says);
    rows->addStretch(1);
    rows->addWidget(buildButtons());
    connect(m_clip, &ClipRow::sought, this, &DiscWindow::seek);
    connect(m_clip, &ClipRow::clipChanged, this, &DiscWindow::setClip);
    connect(m_clip, &ClipRow::playWanted, this, &DiscWindow::playOrPause);
    return m_title;
}

QWidget* DiscWindow::buildFields(QWidget* parent) {
    auto* fields = new QWidget(parent);
    m_sound = named(new QComboBox(fields), "disc-sound", tr("Which sound is copied with it"));
    m_subtitles = named(new QComboBox(fields), "disc-subtitles",
                        tr("Subtitles that are copied with it, and then always shown"));
    m_clipName = makeField("disc-clip-name", tr("What it is to be called in the library"), fields);
    auto* form = new QFormLayout(fields);
    form->setContentsMargins(0, 0, 0, 0);
    form->addRow(tr("Sound"), m_sound);
    form->addRow(tr("Subtitles"), m_subtitles);
    form->addRow(tr("Name"), m_clipName);
    return fields;
}

QWidget* DiscWindow::buildButtons() {
    auto* buttons = new QWidget(m_title);
    auto* close = new QPushButton(tr("Close"), buttons);
    close->setObjectName(QStringLiteral("disc-close"));
    close->setAutoDefault(false);
    m_keepAll = new QPushButton(tr("Copy the whole title"), buttons);
    m_keepAll->setObjectName(QStringLiteral("disc-keep-all"));
    m_keepAll->setToolTip(tr("Copy all of the title into the library"));
    m_keepAll->setAutoDefault(false);
    m_keepPart = new QPushButton(tr("Copy this part"), buttons);
    m_keepPart->setObjectName(QStringLiteral("disc-keep-part"));
    m_keepPart->setProperty("main", true);
    m_keepPart->setToolTip(tr("Copy what lies between begin and end into the library; the disc is not needed "
                              "any more then (Ctrl+Enter)"));
    m_keepPart->setAutoDefault(false);
    m_keepPart->setShortcut(QKeySequence(Qt::CTRL | Qt::Key_Return));
    auto* row = new QHBoxLayout(buttons);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(close);
    row->addStretch(1);
    row->addWidget(m_keepAll);
    row->addWidget(m_keepPart);
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    connect(m_keepAll, &QPushButton::clicked, this, [this] { keep(part(0, title()->seconds)); });
    connect(m_keepPart, &QPushButton::clicked, this,
            [this] { keep(part(m_from, m_to > 0 ? m_to : title()->seconds)); });
    return buttons;
}

void DiscWindow::fill() {
    m_titles->clear();
    const std::optional<Disc>& disc = m_disc->disc();
    m_name->setText(!disc
                        ? tr("The disc is being looked at\u2026")
                        : tr("%1: %n titles", nullptr, int(disc->titles.size()))
                              .arg(disc->name.isEmpty() ? QFileInfo(m_disc->path()).fileName() : disc->name));
    int longest = 0;
    for (int i = 0; disc && i < int(disc->titles.size()); ++i) {
        const DiscTitle& title = disc->titles[size_t(i)];
        QStringList facts{momentText(std::floor(title.seconds))};
        if (title.chapters.size() > 1)
            facts << tr("%n chapters", nullptr, int(title.chapters.size()));
        if (title.isProtected)
            facts << tr("protected against copying");
        m_titles->addItem(
            tr("Title %1 \u00b7 %2").arg(title.number).arg(facts.join(QStringLiteral(" \u00b7 "))));
        if (title.seconds > disc->titles[size_t(longest)].seconds)
            longest = i;
    }
    if (disc) {
        m_titles->setCurrentRow(longest);
        m_titles->setFocus();
    }
    showTitle();
}

const DiscTitle* DiscWindow::title() const {
    const std::optional<Disc>& disc = m_disc->disc();
    const int row = m_titles->currentRow();
    return disc && row >= 0 && row < int(disc->titles.size()) ? &disc->titles[size_t(row)] : nullptr;
}

DiscPart DiscWindow::part(double from, double to) const {
    return {*title(), from, to, chosenTrack(m_sound), chosenTrack(m_subtitles)};
}

void DiscWindow::showTitle() {
    const DiscTitle* shown = title();
    m_preview->setMedium({}, {});
    m_preview->setStill({});
    const bool canBeCopied = shown && !shown->isProtected;
    m_title->setEnabled(canBeCopied);
    m_says->setText(shown && shown->isProtected ? discError(DiscProblem::Protected, {}).text() : QString());
    if (!shown)
        return;
    fillTracks(m_sound, tr("No sound"), shown->sounds, true);
    fillTracks(m_subtitles, tr("No subtitles"), shown->subtitles, false);
    m_from = m_to = 0;
    m_clip->setClip(shown->seconds, 0, 0);
    seek(0);
}

void DiscWindow::showPictures() {
    const DiscTitle* shown = title();
    if (!shown || shown->isProtected)
        return;
    std::vector<QImage> moments;
    for (const double moment : momentsOf(0, shown->seconds))
        moments.push_back(m_disc->picture(shown->number, moment, kDiscMoment));
    m_clip->setMoments(std::move(moments));
    const double place = std::floor(m_position * kPlaces) / kPlaces;
    if (const QImage seen = m_disc->picture(shown->number, place, kDiscSeen); !seen.isNull())
        m_preview->setStill(seen);
}

void DiscWindow::seek(double seconds) {
    const double end = title() ? title()->seconds : 0;
    m_position = std::clamp(seconds, 0.0, end);
    m_preview->setMedium({}, {});
    m_clip->setPosition(m_position);
    showPictures();
    m_clipName->setPlaceholderText(title() ? nameOf(part(m_from, m_to)) : QString());
}

void DiscWindow::setClip(double from, double to) {
    m_from = from;
    m_to = to;
    m_clip->setClip(title()->seconds, from, to);
    m_clipName->setPlaceholderText(nameOf(part(m_from, m_to)));
}

QString DiscWindow::nameOf(const DiscPart& part) const {
    const QString disc =
        m_disc->disc()->name.isEmpty() ? QFileInfo(m_disc->path()).fileName() : m_disc->disc()->name;
    return tr("%1, title %2, %3", "disc, number, moment")
        .arg(disc)
        .arg(part.title.number)
        .arg(momentText(std::floor(part.from)));
}

/// A piece of it is copied aside, and played from there.
void DiscWindow::playOrPause() {
    if (m_preview->isPlaying()) {
        m_preview->playOrPause();
        return;
    }
    m_says->setText(tr("It is being read\u2026"));
    m_excerptFrom = m_position;
    m_disc->makeExcerpt(part(m_position, std::min(m_position + kExcerpt, title()->seconds)));
}

void DiscWindow::keep(const DiscPart& part) {
    const QString name = m_clipName->text().trimmed().isEmpty() ? nameOf(part) : m_clipName->text().trimmed();
    m_says->setText(tr("\u201c%1\u201d is being copied into the library\u2026").arg(name));
    m_session.library().askAside<Medium>(
        &m_session, // told also when this is closed by then
        [path = m_disc->path(), part, name](Library& library, const LibraryClient::GoOn& goOn) {
            const auto copy = [&](const QString& file) {
                return copyFromDisc(path, part, file, [&](double) { return goOn(); });
            };
            return bringInMade(library, name, copy, lookAtMedium, goOn);
        },
        [this, window = QPointer(this), &session = m_session](const Result<Medium>& medium) {
            if (!medium && !window)
                Q_EMIT session.problem(medium.error());
            if (!window)
                return;
            if (!medium) {
                m_says->setText(medium.error().text());
                return;
            }
            m_says->setText(tr("\u201c%1\u201d is in the library.").arg(medium->title));
            m_clipName->clear();
            Q_EMIT kept(*medium);
        });
}

} // namespace mivanta

#include "moc_DiscWindow.cpp"
