// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ReadingPane.h"
#include "core/song/Chords.h"
#include "desk/library/PartCard.h"
#include "desk/parts/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QLayoutItem>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QString detail(const QString& name, const QString& value) {
    return value.isEmpty() ? QString()
                           : QStringLiteral("<span style='color:%1'>%2</span> <b>%3</b>")
                                 .arg(day().quiet.name(), name.toHtmlEscaped(), value.toHtmlEscaped());
}

QString detailsText(const Song& song) {
    QStringList books;
    for (const BookNumber& book : song.bookNumbers)
        books << book.book + u' ' + book.number;
    QStringList all{
        detail(ReadingPane::tr("Words"), song.authorNames(AuthorRole::Words).join(QStringLiteral(", "))),
        detail(ReadingPane::tr("Music"), song.authorNames(AuthorRole::Music).join(QStringLiteral(", "))),
        detail(ReadingPane::tr("In"), books.join(QStringLiteral(", "))),
        detail(ReadingPane::tr("Tempo"), song.tempo > 0 ? QString::number(song.tempo) : QString()),
        detail(ReadingPane::tr("Licence no."), song.licenceNumber),
        detail(ReadingPane::tr("Topics"), song.topics.join(QStringLiteral(", "))),
        detail(ReadingPane::tr("Also called"), song.otherTitles.join(QStringLiteral(", "))),
        song.copyright.toHtmlEscaped()};
    all.removeAll(QString());
    return all.join(QStringLiteral(" &nbsp; &nbsp; "));
}

bool hasChords(const Song& song) {
    for (const Part& part : song.parts)
        for (const Line& line : part.lines)
            if (!line.chords.empty())
                return true;
    return false;
}

} // namespace

ReadingPane::ReadingPane(QWidget* parent) : QScrollArea(parent) {
    setObjectName(QStringLiteral("reading-pane"));
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* content = new QWidget(this);
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    m_title = new QLabel(content);
    m_title->setObjectName(QStringLiteral("song-title"));
    m_title->setFont(textFont(1.6, true));
    m_title->setWordWrap(true);
    m_details = new QLabel(content);
    m_details->setWordWrap(true);
    m_details->setTextInteractionFlags(Qt::TextSelectableByMouse);

    m_chordRow = new QWidget(content);
    auto* chords = new QHBoxLayout(m_chordRow);
    chords->setContentsMargins(0, 0, 0, 0);
    auto* down = new QToolButton(m_chordRow);
    down->setText(QStringLiteral("\u2212"));
    down->setObjectName(QStringLiteral("transpose-down"));
    down->setToolTip(tr("Show the chords a semitone lower; the song stays as it is"));
    auto* up = new QToolButton(m_chordRow);
    up->setText(QStringLiteral("+"));
    up->setObjectName(QStringLiteral("transpose-up"));
    up->setToolTip(tr("Show the chords a semitone higher; the song stays as it is"));
    m_key = new QLabel(m_chordRow);
    m_key->setObjectName(QStringLiteral("shown-key"));
    m_key->setFont(monoFont(1.0, true));
    chords->addStretch(1);
    chords->addWidget(new QLabel(tr("Chords in"), m_chordRow));
    chords->addWidget(down);
    chords->addWidget(m_key);
    chords->addWidget(up);
    connect(down, &QToolButton::clicked, this, [this] { transposeBy(-1); });
    connect(up, &QToolButton::clicked, this, [this] { transposeBy(1); });

    m_parts = new QVBoxLayout;
    m_parts->setSpacing(spaced(3));
    column->addWidget(m_title);
    column->addWidget(m_details);
    column->addWidget(m_chordRow);
    column->addLayout(m_parts);
    column->addStretch(1);
    setWidget(content);
    setSong(std::nullopt);
}

void ReadingPane::setSong(const std::optional<Song>& song, const QString& emptyText) {
    m_song = song;
    m_semitones = 0;
    m_title->setText(song ? song->title : QString());
    m_details->setText(song ? detailsText(*song) : emptyText);
    m_chordRow->setVisible(song && hasChords(*song));
    showParts();
    ensureVisible(0, 0);
}

void ReadingPane::transposeBy(int semitones) {
    m_semitones += semitones;
    showParts();
}

void ReadingPane::showParts() {
    while (QLayoutItem* item = m_parts->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    if (!m_song)
        return;
    const Song shown = transposed(*m_song, m_semitones);
    m_key->setText(
        !shown.key.isEmpty() ? shown.key
        : m_semitones == 0
            ? QStringLiteral("\u2013")
            : QStringLiteral("%1%2").arg(m_semitones > 0 ? QStringLiteral("+") : QString()).arg(m_semitones));
    for (const Part& part : shown.parts)
        m_parts->addWidget(new PartCard(part, widget()));
}

} // namespace mivanta
