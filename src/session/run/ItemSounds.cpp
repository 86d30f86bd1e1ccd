// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/ItemSounds.h"
#include "core/order/Loops.h"
#include "core/run/Cards.h"
#include <algorithm>
#include <random>

namespace mivanta {

namespace {

/// The slide of the hall that holds the position; nothing when it has none there.
std::optional<SlidePlace> placeAt(const ItemSlides* slides, const Position& position) {
    const int main = slides ? mainOutput(*slides) : -1;
    if (main < 0)
        return std::nullopt;
    const OutputSlides& output = slides->outputs[size_t(main)];
    const auto slide = output.slideAt(position);
    return slide ? std::optional(slidePlace(slides->content, output.slides[size_t(*slide)])) : std::nullopt;
}

} // namespace

ItemSounds::ItemSounds(RunController& run, ServiceDocument& document, const SlideBook& book,
                       PlayerClient& player, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_book(book),
      m_player(player) {
    connect(&m_run, &RunController::takenUp, this, [this] {
        if (!m_run.state().onScreen)
            return;
        m_item = m_run.state().onScreen->item; // its sound began when it was taken
        m_slide = placeAt(m_book.slidesOf(m_item), m_run.state().onScreen->position);
        if (const auto bed = bedOf(m_item))
            m_music = bed->owner;
    });
    connect(&m_run, &RunController::shown, this, &ItemSounds::itemShown);
    connect(&m_player, &PlayerClient::soundingChanged, this, &ItemSounds::heard);
    connect(&m_player, &PlayerClient::lost, this, [this] {
        m_isMusicHeard = false;
        Q_EMIT changed();
    });
}

const ItemSound* ItemSounds::soundOf(const ItemId& id) const {
    const Item* item = m_document.service().item(id);
    return item && item->plan.sound ? &*item->plan.sound : nullptr;
}

message::SoundPiece ItemSounds::pieceOf(const QString& name, double from, double to) const {
    return {name, from, to, m_gainOf ? m_gainOf(name) : 0};
}

std::optional<ItemSounds::Bed> ItemSounds::bedOf(const ItemId& id) const {
    const Service& service = m_document.service();
    const Item* item = service.item(id);
    if (!item)
        return std::nullopt;
    if (const auto* music = std::get_if<MusicItem>(&item->words))
        return Bed{id, *music};
    const Item* loop = item->loop() ? item : loopOf(*item, service);
    if (loop)
        if (auto under = musicUnder(*loop, service))
            return Bed{loop->id, std::move(*under)};
    return std::nullopt;
}

/// What sounds already goes on while its loop does; what goes on ends where it was told to.
void ItemSounds::musicShown(const ItemId& item) {
    const auto bed = bedOf(item);
    if (bed && bed->owner == m_music)
        return;
    if (bed) {
        playMusic(*bed);
        return;
    }
    const auto playing = m_music.isNull() ? std::nullopt : bedOf(m_music);
    const bool isToEnd = !playing || !playing->music.goesOn || playing->music.until == item;
    if (!m_music.isNull() && isToEnd)
        stop(SoundChannel::Music);
}

void ItemSounds::itemShown() {
    const ItemId item = m_run.state().onScreen ? m_run.state().onScreen->item : ItemId();
    if (item == m_item) {
        slideShown();
        return;
    }
    const ItemId before = std::exchange(m_item, item);
    m_toldProblems.clear();
    const bool isGone = !m_document.service().item(before) && !before.isNull();
    const ItemSound* ended = soundOf(before);
    if (const ItemSound* sound = soundOf(item))
        m_player.sound({SoundChannel::Item, {pieceOf(sound->name)}});
    else if (isGone || (ended && !ended->goesOn))
        stop(SoundChannel::Item);
    if (!sounding(SoundChannel::Track).name.isEmpty())
        stop(SoundChannel::Track);
    m_slide.reset();
    slideShown();
    musicShown(item);
}

/// A track begins with the take of its slide, whenever that is taken.
void ItemSounds::slideShown() {
    const auto& cue = m_run.state().onScreen;
    const auto slide = cue ? placeAt(m_book.slidesOf(cue->item), cue->position) : std::nullopt;
    const bool isFirst = !m_slide;
    if (std::exchange(m_slide, slide) == slide || !slide)
        return;
    const Item* item = m_document.service().item(m_item);
    if (!item || !item->plan.track)
        return;
    const ItemTrack& track = *item->plan.track;
    const SlidePlace& wanted = track.begins;
    const bool isWanted = wanted.part.isEmpty()
                              ? isFirst
                              : wanted.part == slide->part && wanted.time == slide->time &&
                                    wanted.line >= slide->line && wanted.line <= slide->toLine;
    if (isWanted)
        m_player.sound({SoundChannel::Track, {pieceOf(track.name, track.from)}});
}

/// Shuffled here, so that a player that is started again goes on in the same order.
void ItemSounds::playMusic(const Bed& bed) {
    const MusicItem& music = bed.music;
    m_music = bed.owner;
    m_isMusicHeard = false;
    std::vector<MusicPiece> pieces = music.pieces;
    if (music.isShuffled) {
        std::mt19937 random(std::random_device{}());
        std::shuffle(pieces.begin(), pieces.end(), random);
    }
    message::Sound sound;
    sound.channel = SoundChannel::Music;
    for (const MusicPiece& piece : pieces)
        sound.pieces.push_back(pieceOf(piece.name, piece.from, piece.to));
    sound.crossfade = music.crossfade;
    sound.isRound = music.end == MusicEnd::Again;
    sound.ducks = true;
    sound.volume = music.volume;
    m_player.sound(sound);
}

bool ItemSounds::isAnythingHeard() const {
    for (size_t i = 0; i < kSoundChannels; ++i)
        if (!sounding(SoundChannel(i)).name.isEmpty())
            return true;
    return false;
}

void ItemSounds::stop() {
    for (size_t i = 0; i < kSoundChannels; ++i)
        stop(SoundChannel(i));
}

void ItemSounds::stop(SoundChannel channel) {
    if (channel == SoundChannel::Music)
        m_music = {};
    if (sounding(channel).name.isEmpty())
        return;
    m_player.sound({channel, {}});
    Q_EMIT changed();
}

void ItemSounds::pauseMusicOrGoOn() {
    using What = message::SteerSound::What;
    for (const SoundChannel channel : {SoundChannel::Music, SoundChannel::Track})
        if (const message::Sounding& heard = sounding(channel); !heard.name.isEmpty())
            m_player.steerSound({channel, heard.isPaused ? What::Play : What::Pause});
}

void ItemSounds::goToPiece(int by) {
    const message::Sounding& music = sounding(SoundChannel::Music);
    const int piece = music.piece + by;
    if (!music.name.isEmpty() && piece >= 0 && piece < music.pieces)
        m_player.steerSound({SoundChannel::Music, message::SteerSound::What::Piece, double(piece)});
}

QString ItemSounds::title(SoundChannel channel) const {
    const QString& name = sounding(channel).name;
    if (name.isEmpty())
        return {};
    for (const Item& item : m_document.service().items) {
        if (const auto* music = std::get_if<MusicItem>(&item.words))
            for (const MusicPiece& piece : music->pieces)
                if (piece.name == name && !piece.caption.isEmpty())
                    return piece.caption;
        if (item.plan.sound && item.plan.sound->name == name && !item.plan.sound->title.isEmpty())
            return item.plan.sound->title;
        if (item.plan.track && item.plan.track->name == name && !item.plan.track->title.isEmpty())
            return item.plan.track->title;
    }
    return m_document.mediaTitles().value(name, tr("a sound"));
}

void ItemSounds::heard(SoundChannel channel) {
    const QString& problem = sounding(channel).problem;
    const QString told = sounding(channel).name + problem;
    if (!problem.isEmpty() && !m_toldProblems.contains(told)) {
        m_toldProblems << told;
        const ItemSound* sound = channel == SoundChannel::Item ? soundOf(m_item) : nullptr;
        const QString title = sound ? sound->title : this->title(channel);
        Q_EMIT failed({tr("The sound %1 cannot be played: %2")
                           .arg(title.isEmpty() ? QString() : u'\u201c' + title + u'\u201d', problem),
                       {},
                       tr("The screens go on. Choose another file on the Prepare desk.")});
    }
    if (channel == SoundChannel::Music)
        musicHeard();
    Q_EMIT changed();
}

/// Somebody who looks elsewhere has other plans: then nothing follows its end by itself.
void ItemSounds::musicHeard() {
    const bool isHeard = !sounding(SoundChannel::Music).name.isEmpty();
    const bool hasEnded = m_isMusicHeard && !isHeard && !m_music.isNull();
    m_isMusicHeard = isHeard;
    if (!hasEnded)
        return;
    const auto bed = bedOf(std::exchange(m_music, ItemId()));
    const bool isOnScreen = m_run.state().onScreen && m_run.state().onScreen->item == m_item;
    if (bed && bed->owner == m_item && isOnScreen && bed->music.end == MusicEnd::NextItem)
        m_run.goOn();
}

} // namespace mivanta

#include "moc_ItemSounds.cpp"
