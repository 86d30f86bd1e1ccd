// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/SceneCodec.h"
#include "core/base/MediaName.h"
#include "core/media/Loudness.h"
#include "core/theme/LookProperty.h"
#include "link/LiveCodec.h"
#include <QCryptographicHash>
#include <QIODevice>
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

// Nothing that is read is used before it was seen to be possible, whoever sent it.

void refuse(QDataStream& stream) {
    stream.setStatus(QDataStream::ReadCorruptData);
}

constexpr int kLargestSide = 16'384; // px
constexpr int kMostElsewhere = 64;

bool isFine(double number) {
    return std::isfinite(number);
}
bool isFine(const QPointF& point) {
    return isFine(point.x()) && isFine(point.y());
}
bool isFine(const QRectF& box) {
    return isFine(box.topLeft()) && isFine(box.width()) && isFine(box.height());
}
bool isFine(const std::vector<GradientStop>& stops) {
    return std::all_of(stops.begin(), stops.end(), [](const GradientStop& stop) { return isFine(stop.at); });
}
template <typename Other>
bool isFine(const Other&) {
    return true;
}
bool isFine(QSize size) {
    return size.width() >= 1 && size.height() >= 1 && size.width() <= kLargestSide &&
           size.height() <= kLargestSide;
}

/// The last value of each kind of choice that is sent.
template <typename Enum>
constexpr Enum kLast = Enum();
template <>
constexpr auto kLast<Curtain> = Curtain::Black;
template <>
constexpr auto kLast<HorizontalAlign> = HorizontalAlign::Right;
template <>
constexpr auto kLast<ShownKind> = ShownKind::Live;
template <>
constexpr auto kLast<OutputKind> = OutputKind::Stream;
template <>
constexpr auto kLast<PlaceKind> = PlaceKind::Closed;
template <>
constexpr auto kLast<PictureFit> = PictureFit::Stretch;
template <>
constexpr auto kLast<Turn> = Turn::Left;
template <>
constexpr auto kLast<Ground> = Ground::SeeThrough;
template <>
constexpr auto kLast<Placement::Kind> = Placement::Kind::Closed;

template <typename Enum>
struct AsByte {
    Enum& value;
};

template <typename Enum>
QDataStream& operator<<(QDataStream& stream, const AsByte<Enum>& wrapped) {
    return stream << quint8(wrapped.value);
}

template <typename Enum>
QDataStream& operator>>(QDataStream& stream, AsByte<Enum>&& wrapped) {
    quint8 byte = 0;
    stream >> byte;
    if (byte > quint8(kLast<Enum>))
        refuse(stream);
    else
        wrapped.value = Enum(byte);
    return stream;
}

template <typename Enum>
AsByte<Enum> asByte(Enum& value) {
    return {value};
}

template <typename T>
QDataStream& operator<<(QDataStream& stream, const std::optional<T>& value) {
    stream << value.has_value();
    return value ? stream << *value : stream;
}

template <typename T>
QDataStream& operator>>(QDataStream& stream, std::optional<T>& value) {
    bool has = false;
    stream >> has;
    value.reset();
    if (has) {
        value.emplace();
        stream >> *value;
    }
    return stream;
}

} // namespace

QDataStream& operator<<(QDataStream& stream, const Colour& c) {
    return stream << c.red << c.green << c.blue << c.alpha;
}
QDataStream& operator>>(QDataStream& stream, Colour& c) {
    return stream >> c.red >> c.green >> c.blue >> c.alpha;
}
QDataStream& operator<<(QDataStream& stream, const GradientStop& s) {
    return stream << s.at << s.colour;
}
QDataStream& operator>>(QDataStream& stream, GradientStop& s) {
    return stream >> s.at >> s.colour;
}
QDataStream& operator<<(QDataStream& stream, const ChordMark& c) {
    return stream << qint32(c.position) << c.name;
}
QDataStream& operator>>(QDataStream& stream, ChordMark& c) {
    qint32 position = 0;
    stream >> position >> c.name;
    c.position = position;
    return stream;
}
QDataStream& operator<<(QDataStream& stream, const Emphasis& e) {
    return stream << e.from << e.to << e.bold << e.italic;
}
QDataStream& operator>>(QDataStream& stream, Emphasis& e) {
    return stream >> e.from >> e.to >> e.bold >> e.italic;
}
QDataStream& operator<<(QDataStream& stream, const NumberSpan& s) {
    return stream << s.from << s.to << s.raised;
}
QDataStream& operator>>(QDataStream& stream, NumberSpan& s) {
    return stream >> s.from >> s.to >> s.raised;
}
QDataStream& operator<<(QDataStream& stream, const RoleLook& r) {
    return stream << r.role << r.bold << r.italic << r.colour << r.symbol;
}
QDataStream& operator>>(QDataStream& stream, RoleLook& r) {
    return stream >> r.role >> r.bold >> r.italic >> r.colour >> r.symbol;
}
QDataStream& operator<<(QDataStream& stream, const SceneRow& r) {
    return stream << r.text << r.chords << r.emphasis << r.numbers << r.colour << r.beside << r.startsLine;
}
namespace {

/// `mayHaveOther`: what stands beside a row has none beside it.
void read(QDataStream& stream, SceneRow& r, bool mayHaveOther) {
    quint32 others = 0;
    stream >> r.text >> r.chords >> r.emphasis >> r.numbers >> r.colour >> others;
    if (others > (mayHaveOther ? 1U : 0U))
        refuse(stream);
    for (quint32 i = 0; i < others && stream.status() == QDataStream::Ok; ++i)
        read(stream, r.beside.emplace_back(), false);
    stream >> r.startsLine;
}

} // namespace

QDataStream& operator>>(QDataStream& stream, SceneRow& r) {
    r.beside.clear();
    read(stream, r, true);
    return stream;
}

QDataStream& operator<<(QDataStream& stream, const LookChoiceIndex& choice) {
    return stream << quint8(choice.index);
}
QDataStream& operator>>(QDataStream& stream, LookChoiceIndex& choice) {
    quint8 byte = 0;
    stream >> byte;
    choice.index = byte;
    return stream;
}

namespace {

// The fields of each kind of object, for both directions: `all` is called with every one of them.
template <typename Letters, typename All>
void lettersOf(Letters& letters, const All& all) {
    all(letters.size, letters.weight, asByte(letters.align), letters.colour);
}
template <typename What, typename All>
void fieldsOf(What& what, const All& all) {
    using Kind = std::remove_const_t<What>;
    if constexpr (requires { what.letters; })
        lettersOf(what.letters, all);
    if constexpr (requires { what.edge; })
        all(what.edge.colour, what.edge.width);
    if constexpr (std::is_same_v<Kind, PictureObject>)
        all(what.name);
    else if constexpr (std::is_same_v<Kind, TextObject>)
        all(what.text);
    else if constexpr (std::is_same_v<Kind, LineObject>)
        all(what.colour, what.width);
    else if constexpr (std::is_same_v<Kind, RectangleObject>)
        all(what.fill, what.roundness);
    else if constexpr (std::is_same_v<Kind, EllipseObject>)
        all(what.fill);
    else if constexpr (std::is_same_v<Kind, ClockObject>)
        all(what.format);
    else if constexpr (std::is_same_v<Kind, CountdownObject>)
        all(what.ends, what.seconds);
    else if constexpr (std::is_same_v<Kind, StopwatchObject>)
        all(what.began);
    else if constexpr (std::is_same_v<Kind, FieldObject>)
        all(what.key);
    else if constexpr (std::is_same_v<Kind, ScreenObject>)
        all(what.output);
    else if constexpr (std::is_same_v<Kind, FilmObject>)
        all(what.name, what.from, what.to, what.roundness);
    else if constexpr (std::is_same_v<Kind, LiveObject>)
        all(what.input, what.roundness);
    else
        static_assert(!sizeof(What), "a kind of object that is not sent");
}

/// The alternative with this index, as it begins; false when there is none.
template <size_t Index = 0>
bool emplace(ObjectWhat& what, size_t index) {
    if constexpr (Index < std::variant_size_v<ObjectWhat>) {
        if (index == Index) {
            what.emplace<Index>();
            return true;
        }
        return emplace<Index + 1>(what, index);
    }
    return false;
}

bool isFine(const ObjectWhat& what) {
    return std::visit(
        [](const auto& object) {
            if constexpr (requires { object.edge; })
                if (!isFine(object.edge.width))
                    return false;
            if constexpr (requires { object.from; })
                if (!isFine(object.from) || !isFine(object.to))
                    return false;
            if constexpr (requires { object.roundness; })
                return isFine(object.roundness);
            else if constexpr (requires { object.width; })
                return isFine(object.width);
            else
                return true;
        },
        what);
}

} // namespace

QDataStream& operator<<(QDataStream& stream, const SlideObject& o) {
    stream << quint8(o.what.index()) << o.box << o.rotation << o.opacity << o.inFront << o.fadeIn
           << o.fadeOut;
    std::visit(
        [&](const auto& what) { fieldsOf(what, [&](const auto&... fields) { (stream << ... << fields); }); },
        o.what);
    return stream;
}
QDataStream& operator>>(QDataStream& stream, SlideObject& o) {
    quint8 kind = 0;
    stream >> kind >> o.box >> o.rotation >> o.opacity >> o.inFront >> o.fadeIn >> o.fadeOut;
    if (!emplace(o.what, kind)) {
        refuse(stream);
        return stream;
    }
    std::visit(
        [&](auto& what) {
            fieldsOf(what,
                     [&](auto&&... fields) { (stream >> ... >> std::forward<decltype(fields)>(fields)); });
        },
        o.what);
    if (QString* medium = o.medium())
        *medium = trustedMediaName(*medium);
    if (!isFine(o.box) || !isFine(o.rotation) || !isFine(o.opacity) || !isFine(o.what))
        refuse(stream);
    return stream;
}
QDataStream& operator<<(QDataStream& stream, const Look& look) {
    for (const LookProperty& property : lookProperties())
        std::visit([&](const auto& value) { stream << value; }, property.get(look));
    return stream;
}

QDataStream& operator>>(QDataStream& stream, Look& look) {
    for (const LookProperty& property : lookProperties()) {
        LookValue value = property.get(look); // of the property's type
        std::visit(
            [&](auto& read) {
                stream >> read;
                if (!isFine(read))
                    refuse(stream);
            },
            value);
        if (property.isMedium)
            value = trustedMediaName(std::get<QString>(value));
        property.set(look, value);
    }
    return stream;
}

QDataStream& operator<<(QDataStream& s, const FilmPlay& f) {
    const Treatment& t = f.treatment;
    s << f.name << f.from << f.to << f.isOnce << f.isHeard << qint32(f.volume) << f.gain << f.fadeIn
      << f.fadeOut << asByte(f.fit) << f.item << f.live;
    return s << qint32(t.brightness) << qint32(t.contrast) << qint32(t.saturation) << t.blur << t.tint
             << qint32(t.darkEdge);
}
QDataStream& operator>>(QDataStream& s, FilmPlay& f) {
    Treatment& t = f.treatment;
    s >> f.name >> f.from >> f.to >> f.isOnce >> f.isHeard >> f.volume >> f.gain >> f.fadeIn >> f.fadeOut;
    s >> asByte(f.fit) >> f.item >> f.live;
    s >> t.brightness >> t.contrast >> t.saturation >> t.blur >> t.tint >> t.darkEdge;
    f.name = trustedMediaName(f.name);
    const auto isPerCent = [](int value) { return value >= -100 && value <= 100; };
    const auto isMoment = [](double seconds) { return seconds >= 0 && seconds <= kLongestFilm; };
    const auto isFade = [](double seconds) { return seconds >= 0 && seconds <= kLongestFade; };
    if (!isMoment(f.from) || !isMoment(f.to) || !isFade(f.fadeIn) || !isFade(f.fadeOut) ||
        !(std::abs(f.gain) <= kMostGain) || !isPerCent(f.volume) || f.volume < 0 ||
        !isPerCent(t.brightness) || !isPerCent(t.contrast) || !isPerCent(t.saturation) || !(t.blur >= 0) ||
        t.blur > 100 || !isPerCent(t.darkEdge))
        refuse(s);
    return s;
}

QByteArray filmKey(const FilmPlay& film) {
    FilmPlay one = film;
    one.volume = 100; // it may be another one by now
    one.gain = 0;
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    stream << one;
    return QCryptographicHash::hash(bytes, QCryptographicHash::Sha1);
}

QDataStream& operator<<(QDataStream& stream, const Cue& cue) {
    const Position& p = cue.position;
    return stream << cue.item.text() << qint32(p.entry) << qint32(p.line) << qint32(p.offset);
}
QDataStream& operator>>(QDataStream& stream, Cue& cue) {
    QString item;
    qint32 entry = 0;
    qint32 line = 0;
    qint32 offset = 0;
    stream >> item >> entry >> line >> offset;
    cue = {ItemId::fromText(item), {entry, line, offset}};
    return stream;
}

QDataStream& operator<<(QDataStream& stream, const SceneOrigin& o) {
    return stream << o.service.text() << o.serviceTitle << o.cue << asByte(o.curtain) << o.isFrozen;
}
QDataStream& operator>>(QDataStream& stream, SceneOrigin& o) {
    QString service;
    stream >> service >> o.serviceTitle >> o.cue >> asByte(o.curtain) >> o.isFrozen;
    o.service = ServiceId::fromText(service);
    return stream;
}

QDataStream& operator<<(QDataStream& stream, const Shown& s) {
    return stream << asByte(s.kind) << s.hasCallOut << s.origin;
}
QDataStream& operator>>(QDataStream& stream, Shown& s) {
    return stream >> asByte(s.kind) >> s.hasCallOut >> s.origin;
}

namespace {

enum class Telling { PictureOnly, OriginToo };

void write(QDataStream& stream, const Scene& scene, Telling telling) {
    stream << scene.output << scene.size << scene.look << scene.fontSize << scene.rows << scene.roomForChords
           << scene.credit << scene.besideWords << scene.stageNote << asByte(scene.curtain) << scene.callOut
           << scene.ground << scene.isTestCard << scene.film << quint32(scene.elsewhere.size());
    for (const Scene& other : scene.elsewhere)
        write(stream, other, telling);
    if (telling == Telling::OriginToo)
        stream << scene.unseen << scene.origin;
}

} // namespace

QDataStream& operator<<(QDataStream& stream, const Scene& scene) {
    write(stream, scene, Telling::OriginToo);
    return stream;
}

namespace {

/// `mayShowOthers`: a picture in a picture has none in it.
void read(QDataStream& stream, Scene& scene, bool mayShowOthers) {
    stream >> scene.output >> scene.size >> scene.look >> scene.fontSize >> scene.rows >>
        scene.roomForChords >> scene.credit >> scene.besideWords >> scene.stageNote >>
        asByte(scene.curtain) >> scene.callOut >> scene.ground >> scene.isTestCard >> scene.film;
    quint32 others = 0;
    stream >> others;
    if (!isFine(scene.size) || scene.fontSize < 0 || scene.fontSize > kLargestSide ||
        others > (mayShowOthers ? quint32(kMostElsewhere) : 0))
        refuse(stream);
    for (quint32 i = 0; i < others && stream.status() == QDataStream::Ok; ++i)
        read(stream, scene.elsewhere.emplace_back(), false);
    stream >> scene.unseen >> scene.origin;
}

} // namespace

QDataStream& operator>>(QDataStream& stream, Scene& scene) {
    scene.elsewhere.clear();
    read(stream, scene, true);
    return stream;
}

QDataStream& operator<<(QDataStream& stream, const MonitorIdentity& i) {
    return stream << i.maker << i.model << i.serial;
}
QDataStream& operator>>(QDataStream& stream, MonitorIdentity& i) {
    return stream >> i.maker >> i.model >> i.serial;
}
QDataStream& operator<<(QDataStream& stream, const OutputPlace& p) {
    return stream << asByte(p.kind) << p.monitor << p.identity << p.window;
}
QDataStream& operator>>(QDataStream& stream, OutputPlace& p) {
    return stream >> asByte(p.kind) >> p.monitor >> p.identity >> p.window;
}
QDataStream& operator<<(QDataStream& stream, const OutputShape& s) {
    return stream << asByte(s.turn) << s.isMirrored << s.isFlipped << s.margins.left() << s.margins.top()
                  << s.margins.right() << s.margins.bottom();
}
QDataStream& operator>>(QDataStream& stream, OutputShape& s) {
    double left = 0;
    double top = 0;
    double right = 0;
    double bottom = 0;
    stream >> asByte(s.turn) >> s.isMirrored >> s.isFlipped >> left >> top >> right >> bottom;
    for (const double margin : {left, top, right, bottom})
        if (!(margin >= 0 && margin <= 100))
            refuse(stream);
    s.margins = {left, top, right, bottom};
    return stream;
}

QDataStream& operator<<(QDataStream& stream, const Output& o) {
    return stream << o.name << asByte(o.kind) << o.size << o.linesAtMost << o.ownSteps << o.showsChords
                  << o.showsBandOnly << o.place << o.shape << asByte(o.ground) << o.keyColour << o.isAbove
                  << o.hidesPointer;
}

QDataStream& operator>>(QDataStream& stream, Output& o) {
    stream >> o.name >> asByte(o.kind) >> o.size;
    if (!isFine(o.size))
        refuse(stream);
    return stream >> o.linesAtMost >> o.ownSteps >> o.showsChords >> o.showsBandOnly >> o.place >> o.shape >>
           asByte(o.ground) >> o.keyColour >> o.isAbove >> o.hidesPointer;
}

QDataStream& operator<<(QDataStream& stream, const Monitor& m) {
    return stream << m.name << m.geometry << m.isDesk << m.identity;
}
QDataStream& operator>>(QDataStream& stream, Monitor& m) {
    return stream >> m.name >> m.geometry >> m.isDesk >> m.identity;
}
QDataStream& operator<<(QDataStream& stream, const Placement& p) {
    return stream << asByte(p.kind) << p.monitor;
}
QDataStream& operator>>(QDataStream& stream, Placement& p) {
    return stream >> asByte(p.kind) >> p.monitor;
}

QByteArray sceneKey(const Scene& scene) {
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    write(stream, scene, Telling::PictureOnly);
    return QCryptographicHash::hash(bytes, QCryptographicHash::Sha1);
}

} // namespace mivanta
