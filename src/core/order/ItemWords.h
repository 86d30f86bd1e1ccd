// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveInput.h"
#include "core/media/Medium.h"
#include "core/order/ItemContent.h"
#include "core/order/ItemLook.h"
#include "core/order/LoopItem.h"
#include <algorithm>
#include <memory>
#include <variant>

namespace mivanta {

struct Heading {
    QString title;
};

/// A song in the order, as it stands in this service: its own copy, so that a service opens anywhere.
/// Immutable, so that copies of an order are cheap and a changed song is a new one.
struct SongItem {
    std::shared_ptr<const Song> song; ///< never null
};

/// A passage of scripture with its verses.
struct PassageItem {
    std::shared_ptr<const Passage> passage; ///< never null
};

/// A spoken text, and what was answered when it was placed.
struct TextItem {
    std::shared_ptr<const SpokenText> text; ///< never null
    QMap<QString, QString> answers;         ///< by what was asked
};

/// A picture of the library's media in the order.
struct OrderPicture {
    QString name;            ///< of its file in the media folder, as Medium has it
    QString caption;         ///< what it was called; shown when the item says so
    int seconds = 0;         ///< that it is shown in a loop; 0 = as its set
    Season season{};         ///< when it is shown in a loop
    bool isOfFolder = false; ///< it came from the folder that its loop is linked to, and goes with it
    friend bool operator==(const OrderPicture&, const OrderPicture&) = default;
};

/// One picture, or a set of them: a slide each, in their order.
struct PictureItem {
    QString title; ///< empty = the first picture's caption
    std::vector<OrderPicture> pictures;
    PictureFit fit = PictureFit::Whole; ///< around a whole picture is black
    bool showsCaptions = false;
    friend bool operator==(const PictureItem&, const PictureItem&) = default;
};

/// What comes when a film has come to its end.
enum class FilmEnd { KeepsPicture, NextItem, HouseCard, Black, Again };

/// A film that is the point, with its sound: one slide.
struct FilmItem {
    QString title;      ///< empty = its caption
    QString name;       ///< of its file in the media folder, as Medium has it
    QString caption;    ///< what it was called
    double seconds = 0; ///< how long all of it is; 0 = not known
    double from = 0;    ///< seconds
    double to = 0;      ///< seconds; 0 = its end
    FilmEnd end = FilmEnd::KeepsPicture;
    bool isHeard = true;
    int volume = 100;                   ///< per cent
    PictureFit fit = PictureFit::Whole; ///< around a whole film is black
    QPointF focus{0.5, 0.5};            ///< of a film that fills the screen: what stays in sight
    double fadeIn = 0;                  ///< seconds, of picture and sound; 0 to kLongestFade
    double fadeOut = 0;
    QMap<QString, bool> isShownOn; ///< by output, where it is chosen; else people see it and stages do not
    friend bool operator==(const FilmItem&, const FilmItem&) = default;

    /// How long what is played of it lasts, seconds; 0 = not known.
    [[nodiscard]] double length() const { return std::max(0.0, (to > 0 ? to : seconds) - from); }
};

/// How long a live picture stays behind what follows its item in the order.
enum class LiveReach { Itself, ToHeading, ToItem, ToEnd };

/// A live input that is the point: one slide. It may stay behind the words of what follows, too.
struct LiveItem {
    QString title;     ///< empty = its caption
    LiveInputId input; ///< of the computer that it was chosen on; may be null
    QString caption;   ///< what that was called there
    PictureFit fit = PictureFit::Whole;
    QPointF focus{0.5, 0.5}; ///< of a picture that fills the screen: what stays in sight
    LiveReach reach = LiveReach::Itself;
    ItemId until;                  ///< for ToItem: the first one that it is not behind any more
    QMap<QString, bool> isShownOn; ///< by output, as FilmItem has it
    friend bool operator==(const LiveItem&, const LiveItem&) = default;
};

/// A piece of music, or another sound, of the library's media.
struct MusicPiece {
    QString name;       ///< of its file in the media folder
    QString caption;    ///< what it was called
    double seconds = 0; ///< how long all of it is; 0 = not known
    double from = 0;    ///< seconds
    double to = 0;      ///< 0 = its end
    friend bool operator==(const MusicPiece&, const MusicPiece&) = default;

    [[nodiscard]] double length() const { return std::max(0.0, (to > 0 ? to : seconds) - from); }
};

/// For how many seconds a piece of that length goes over into the next: as long as is wished, but never for
/// more than half of it, so that each is heard by itself, too.
[[nodiscard]] inline double crossfadeOf(double wished, double length) {
    return std::clamp(wished, 0.0, std::max(0.0, length / 2));
}

/// What comes behind the last piece.
enum class MusicEnd { Silence, NextItem, Again };

/// Music that is the point: the backdrop alone is seen. One piece, or several in their order.
struct MusicItem {
    QString title; ///< empty = the first piece's caption
    std::vector<MusicPiece> pieces;
    bool isShuffled = false; ///< in another order with each take
    double crossfade = 0; ///< seconds in which a piece goes over into the next; 0 to kLongestFade, 0 = no gap
    MusicEnd end = MusicEnd::Silence;
    bool goesOn = false; ///< also when another item is taken
    int volume = 100;    ///< per cent
    ItemId until{};      ///< with goesOn: it fades when this one is taken; null = none
    friend bool operator==(const MusicItem&, const MusicItem&) = default;

    /// How long all of it lasts, seconds; 0 = that is not known of a piece.
    [[nodiscard]] double length() const;
};

/// Something for the operator to read while running; it has no slides.
struct NoteItem {
    QString words;
    friend bool operator==(const NoteItem&, const NoteItem&) = default;
};

/// Time in which nothing is to be read: the backdrop alone.
struct PauseItem {
    QString title;
    friend bool operator==(const PauseItem&, const PauseItem&) = default;
};

/// Counts down to a time of day, or for a while from when it is taken.
struct CountdownItem {
    QString words;           ///< over the figures; may be empty
    std::optional<QTime> to; ///< nothing = for `seconds`
    int seconds = 300;       ///< 1 to kLongestItem
    bool goesOn = false;     ///< at its end the next item comes by itself
    friend bool operator==(const CountdownItem&, const CountdownItem&) = default;
};

/// A place that is still to be filled: with a song, a passage, a text, or with anything.
struct SlotItem {
    QString name; ///< "Opening song"
    std::optional<ItemKind> wants;
    friend bool operator==(const SlotItem&, const SlotItem&) = default;
};

/// Something that another version of the program put into the order: kept as it is, and never run.
struct UnknownItem {
    QString kind;
    QString title;
    QByteArray json; ///< as it was read
};

using ItemWords =
    std::variant<Heading, SongItem, PassageItem, TextItem, PictureItem, FilmItem, LiveItem, MusicItem,
                 NoteItem, PauseItem, CountdownItem, SlotItem, LoopItem, UnknownItem>;

[[nodiscard]] SongItem songItem(Song song);
[[nodiscard]] PassageItem passageItem(Passage passage);
/// An item of a medium of the library: a picture, a film with its sound, a piece of music; the part of it
/// that was chosen there.
[[nodiscard]] ItemWords itemOf(const Medium& medium);
[[nodiscard]] OrderPicture pictureOf(const Medium& medium);
[[nodiscard]] MusicPiece pieceOf(const Medium& medium);
[[nodiscard]] TextItem textItem(SpokenText text, QMap<QString, QString> answers = {});

/// The name that it was given, or that what it holds has; empty for what has none.
[[nodiscard]] QString givenName(const ItemWords& words);
/// What it is called on the sheet; what has no name is called by its kind.
[[nodiscard]] QString titleOf(const ItemWords& words);
/// Its kind in files and in the history of takes: "song", "passage", "pictures"…; never changes.
[[nodiscard]] QString kindKey(const ItemWords& words);
/// "Song", "Scripture", "Prayer", "3 pictures"…; empty for a heading.
[[nodiscard]] QString kindText(const ItemWords& words);

/// True for what is named in the order itself: headings, notes, pauses, countdowns, places to fill, pictures,
/// films, live pictures, music, loops.
[[nodiscard]] bool canBeNamed(const ItemWords& words);
/// The same with another name; anything else as it is.
[[nodiscard]] ItemWords named(ItemWords words, const QString& name);

/// True when both hold the very same words, so that their slides are the same.
[[nodiscard]] bool isSame(const ItemWords& a, const ItemWords& b);

/// A part for each picture, named by its caption.
[[nodiscard]] ItemContent contentOf(const PictureItem& item);
[[nodiscard]] ItemContent contentOf(const FilmItem& item);
[[nodiscard]] ItemContent contentOf(const LiveItem& item);
[[nodiscard]] ItemContent contentOf(const MusicItem& item);
[[nodiscard]] ItemContent contentOf(const PauseItem& item);
[[nodiscard]] ItemContent contentOf(const CountdownItem& item);

/// Nothing for what has no slides.
[[nodiscard]] std::optional<ItemKind> kindOf(const ItemWords& words);

} // namespace mivanta
