// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ThemeSample.h"

namespace mivanta {

namespace {

enum Own { OurWords, Longest };

/// Words to try a theme on when there is nothing else: short and long lines, two parts.
Song sampleSong() {
    Song song;
    song.id = SongId::create();
    song.title = ThemeSample::tr("A sample");
    song.authors = {{AuthorRole::Words, ThemeSample::tr("Our own words")}};
    song.copyright = ThemeSample::tr("made for trying themes on");
    Part verse{PartId::create(), PartKind::Verse, 1, {}, false, {}, {}};
    for (const QString& words : {ThemeSample::tr("The lamp is lit beside the door,"),
                                 ThemeSample::tr("the table laid for all who come,"),
                                 ThemeSample::tr("the tide has brought them to the shore,"),
                                 ThemeSample::tr("and no one here is far from home.")})
        verse.lines.push_back({words, {}, false, {}, {}});
    Part chorus{PartId::create(), PartKind::Chorus, 0, {}, false, {}, {}};
    for (const QString& words :
         {ThemeSample::tr("Come in, come in,"), ThemeSample::tr("there is room for one more.")})
        chorus.lines.push_back({words, {}, false, {}, {}});
    song.parts = {verse, chorus};
    song.singingOrder = {{verse.id, 1}, {chorus.id, 1}};
    return song;
}

} // namespace

ThemeSample::ThemeSample(Session& session, QWidget* parent)
    : QComboBox(parent),
      m_session(session),
      m_item{ItemId::create(), songItem(sampleSong())} {
    setObjectName(QStringLiteral("theme-sample"));
    setAccessibleName(tr("Tried on"));
    setToolTip(tr("What the theme is tried on"));
    setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    setMinimumContentsLength(14);
    connect(&m_session.document(), &ServiceDocument::changed, this, [this] {
        if (isVisible())
            fill();
    });
    connect(this, &QComboBox::activated, this, &ThemeSample::take);
    fill();
}

void ThemeSample::showEvent(QShowEvent* event) {
    QComboBox::showEvent(event);
    fill();
}

void ThemeSample::fill() {
    const QVariant before = currentData();
    clear();
    addItem(tr("A sample of our own"), OurWords);
    addItem(tr("The longest song in the library"), Longest);
    for (const Item& item : m_session.document().service().items)
        if (item.hasSlides())
            addItem(item.title(), item.id.text());
    setCurrentIndex(std::max(0, findData(before)));
}

void ThemeSample::take(int index) {
    if (itemData(index) == QVariant(Longest)) {
        loadLongest();
        return;
    }
    m_item = {ItemId::create(), songItem(sampleSong())};
    if (const Item* item = m_session.document().service().item(ItemId::fromText(itemData(index).toString())))
        m_item.words = item->words; // without its own look: the theme is what is tried
    Q_EMIT sampleChanged();
}

void ThemeSample::loadLongest() {
    m_session.library().ask<Song>(
        this,
        [](Library& library) -> Result<Song> {
            const auto id = library.longestSong();
            if (!id)
                return tl::unexpected(id.error());
            return library.song(*id);
        },
        [this](const Result<Song>& song) {
            if (!song) {
                Q_EMIT m_session.problem(song.error());
                return;
            }
            Song tried = *song;
            tried.usualTheme.clear();
            m_item.words = songItem(std::move(tried));
            Q_EMIT sampleChanged();
        });
}

} // namespace mivanta

#include "moc_ThemeSample.cpp"
