// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/SongInService.h"
#include "core/song/Chords.h"
#include "core/song/PartEdits.h"
#include "core/song/SongDifference.h"
#include "desk/kit/CompareView.h"
#include "desk/kit/Style.h"
#include "desk/song/OrderEdit.h"
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

SongInService::SongInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("song-in-service"));
    m_order = new OrderEdit(this);
    m_order->setOtherOrdersShown(false);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_order);
    column->addWidget(buildKeyRow());
    column->addWidget(buildEditRow());
    column->addWidget(buildStateRow());
    connect(m_order, &OrderEdit::orderWanted, this,
            [this](const std::vector<SungPart>& entries, const QString& what, OrderEdit::Step step) {
                if (step == OrderEdit::Step::New)
                    m_orderVisit = m_session.document().startVisit();
                change(
                    what, [&](Song& song) { song.singingOrder = entries; }, m_orderVisit);
            });
    connect(m_order, &OrderEdit::otherOrderWanted, this, [this](int index) {
        change(tr("the order"), [index](Song& song) { useOtherOrder(song, index); });
    });
    connect(&m_session.library(), &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & LibraryPart::Songs)
            compare();
    });
    refresh();
}

QWidget* SongInService::buildKeyRow() {
    auto* keys = new QWidget(this);
    auto* row = new QHBoxLayout(keys);
    row->setContentsMargins(0, 0, 0, 0);
    const auto transpose = [&](const QString& name, const QString& text, const QString& tip, int by) {
        auto* button = new QToolButton(keys);
        button->setObjectName(name);
        button->setText(text);
        button->setToolTip(tip);
        connect(button, &QToolButton::clicked, this, [this, by] {
            change(tr("transposing"), [by](Song& song) {
                song.key = keyOf(song);
                song = transposed(song, by);
            });
        });
        return button;
    };
    m_key = new QLabel(keys);
    m_key->setObjectName(QStringLiteral("service-key"));
    m_key->setFont(monoFont(1.0, TextWeight::Bold));
    m_capo = new QSpinBox(keys);
    m_capo->setObjectName(QStringLiteral("service-capo"));
    m_capo->setAccessibleName(tr("Capo"));
    m_capo->setToolTip(tr("The capo's fret in this service"));
    m_capo->setRange(0, 12);
    m_capo->setSpecialValueText(tr("none"));
    connect(m_capo, &QSpinBox::valueChanged, this,
            [this](int fret) { change(tr("the capo"), [fret](Song& song) { song.capo = fret; }); });
    m_theme = new ThemeBox(tr("The service's theme"), keys);
    m_theme->setObjectName(QStringLiteral("service-song-theme"));
    m_theme->setAccessibleName(tr("Theme of this song"));
    m_theme->setToolTip(tr("How this song looks in this service"));
    connect(m_theme, &QComboBox::activated, this, [this] {
        const QString id = m_theme->theme();
        change(tr("the song's theme"), [id](Song& song) { song.usualTheme = id; });
    });
    row->addWidget(new QLabel(tr("Key"), keys));
    row->addWidget(transpose(QStringLiteral("service-down"), QStringLiteral("\u2212"),
                             tr("A semitone lower in this service"), -1));
    row->addWidget(m_key);
    row->addWidget(transpose(QStringLiteral("service-up"), QStringLiteral("+"),
                             tr("A semitone higher in this service"), 1));
    row->addSpacing(spaced(3));
    row->addWidget(new QLabel(tr("Capo"), keys));
    row->addWidget(m_capo);
    row->addStretch(1);
    row->addWidget(m_theme);
    return keys;
}

/// Which of the two songs is changed is said by the button, never found out afterwards.
QWidget* SongInService::buildEditRow() {
    auto* edits = new QWidget(this);
    auto* row = new QHBoxLayout(edits);
    row->setContentsMargins(0, 0, 0, 0);
    auto* here = new QPushButton(tr("Change the words for this service\u2026"), edits);
    here->setObjectName(QStringLiteral("words-here"));
    here->setToolTip(tr("The song in the library stays as it is"));
    connect(here, &QPushButton::clicked, this, &SongInService::wordsWanted);
    m_library = new QPushButton(tr("Open the library\u2019s song\u2026"), edits);
    m_library->setObjectName(QStringLiteral("words-in-library"));
    m_library->setToolTip(tr("Change the song for every service to come; this service keeps what it has"));
    connect(m_library, &QPushButton::clicked, this, [this] {
        if (m_song)
            Q_EMIT libraryWanted(m_song->id);
    });
    row->addWidget(here);
    row->addWidget(m_library);
    row->addStretch(1);
    return edits;
}

QWidget* SongInService::buildStateRow() {
    auto* states = new QWidget(this);
    auto* row = new QHBoxLayout(states);
    row->setContentsMargins(0, 0, 0, 0);
    m_state = new QLabel(states);
    m_state->setObjectName(QStringLiteral("service-song-state"));
    m_state->setWordWrap(true);
    m_put = new QPushButton(tr("Put into the library"), states);
    m_put->setObjectName(QStringLiteral("put-into-library"));
    m_put->setToolTip(tr("The library's song becomes as it is here; the version before is kept there"));
    connect(m_put, &QPushButton::clicked, this, &SongInService::putIntoLibrary);
    m_take = new QPushButton(tr("Use the library's"), states);
    m_take->setObjectName(QStringLiteral("take-from-library"));
    m_take->setToolTip(tr("The song here becomes as it is in the library; Ctrl+Z takes that back"));
    connect(m_take, &QPushButton::clicked, this, &SongInService::takeFromLibrary);
    m_compare = new QPushButton(tr("Compare"), states);
    m_compare->setObjectName(QStringLiteral("compare-with-library"));
    m_compare->setToolTip(tr("See the song here and in the library side by side"));
    connect(m_compare, &QPushButton::clicked, this, [this] {
        if (m_song && m_stored)
            showComparison(window(), m_song->title, *m_song, tr("In this service"), *m_stored,
                           tr("In the library"));
    });
    row->addWidget(m_state, 1);
    row->addWidget(m_compare);
    row->addWidget(m_take);
    row->addWidget(m_put);
    return states;
}

void SongInService::setItem(const ItemId& id) {
    m_item = id;
    m_isCompared = false;
    m_stored.reset();
    refresh();
    compare();
}

void SongInService::refresh() {
    const Item* item = m_session.document().service().item(m_item);
    const auto* content = item ? std::get_if<SongItem>(&item->words) : nullptr;
    setVisible(content);
    if (!content) {
        m_song.reset();
        return;
    }
    if (m_song == content->song) {
        showState();
        return;
    }
    m_song = content->song;
    m_order->setSong(*m_song);
    const QString key = keyOf(*m_song);
    m_key->setText(key.isEmpty() ? QStringLiteral("\u2013") : key);
    const QSignalBlocker quiet(m_capo);
    m_capo->setValue(m_song->capo);
    m_theme->setThemes(m_session.book().themes());
    m_theme->setTheme(m_song->usualTheme);
    showState();
}

void SongInService::change(const QString& what, const std::function<void(Song&)>& work, int visit) {
    if (!m_song)
        return;
    Song next = *m_song;
    work(next);
    if (!sameContent(next, *m_song))
        m_session.document().change(m_item, songItem(std::move(next)), what, visit);
}

void SongInService::compare() {
    if (!m_song)
        return;
    const ItemId item = m_item;
    m_session.library().song(this, m_song->id, [this, item](const Result<Song>& stored) {
        if (!(item == m_item))
            return; // another item was chosen meanwhile
        m_stored = stored ? std::optional(*stored) : std::nullopt;
        m_isCompared = true;
        showState();
    });
}

void SongInService::showState() {
    const QStringList differences = m_song && m_stored ? differencesOf(*m_song, *m_stored) : QStringList();
    const bool isMissing = m_isCompared && !m_stored;
    m_library->setVisible(!isMissing);
    m_put->setVisible(isMissing || !differences.isEmpty());
    m_take->setVisible(!differences.isEmpty());
    m_compare->setVisible(!differences.isEmpty());
    if (isMissing)
        m_state->setText(tr("This song is not in the library of this computer."));
    else if (differences.isEmpty())
        m_state->setText(m_isCompared ? tr("As in the library.") : QString());
    else if (m_stored->revision != m_song->revision)
        m_state->setText(
            tr("The library's song was changed since: %1.").arg(differences.join(QStringLiteral(", "))));
    else
        m_state->setText(
            tr("Changed for this service only: %1.").arg(differences.join(QStringLiteral(", "))));
    m_state->setStyleSheet(
        QStringLiteral("color: %1")
            .arg((differences.isEmpty() && !isMissing ? day().quiet : day().marker.darker(130)).name()));
}

void SongInService::putIntoLibrary() {
    const Item* here = m_session.document().service().item(m_item); // not m_song: that is as of the last look
    if (!here || !here->song())
        return;
    const Song song = *here->song();
    if (m_isCompared)
        return store(song, m_stored);
    m_session.library().song(this, song.id, [this, song](const Result<Song>& stored) {
        store(song, stored ? std::optional(*stored) : std::nullopt);
    });
}

void SongInService::store(Song song, const std::optional<Song>& over) {
    song.revision = over ? over->revision : 0;
    const ItemId item = m_item;
    m_session.library().save(this, song, [this, item](const Result<Song>& stored) {
        if (!stored) {
            Q_EMIT m_session.problem(stored.error());
            return;
        }
        m_session.document().change(item, songItem(*stored), tr("putting the song into the library"));
        Q_EMIT m_session.notice(tr("\u201c%1\u201d is in the library as it is here.").arg(stored->title));
    });
}

void SongInService::takeFromLibrary() {
    if (m_stored)
        m_session.document().change(m_item, songItem(*m_stored), tr("taking the library's song"));
}

} // namespace mivanta

#include "moc_SongInService.cpp"
