// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputSet.h"
#include <QGuiApplication>
#include <QScreen>
#include <algorithm>

namespace mivanta {

namespace {

QScreen* screenNamed(const QString& name) {
    const auto screens = QGuiApplication::screens();
    const auto at =
        std::find_if(screens.begin(), screens.end(), [&](QScreen* s) { return s->name() == name; });
    return at == screens.end() ? nullptr : *at;
}

/// Qt has a "-" where the text of a monitor's description ends.
QString described(QString text) {
    while (text.endsWith(u'-') || text.endsWith(u' '))
        text.chop(1);
    return text;
}

std::vector<Monitor> monitorsNow(const QString& deskMonitor) {
    const QString desk = screenNamed(deskMonitor) ? deskMonitor : QGuiApplication::primaryScreen()->name();
    std::vector<Monitor> monitors;
    for (const QScreen* screen : QGuiApplication::screens())
        monitors.push_back(
            {screen->name(),
             screen->geometry(),
             screen->name() == desk,
             {screen->manufacturer(), described(screen->model()), described(screen->serialNumber())}});
    return monitors;
}

/// What a window cannot change once it is open.
bool hasSameWindow(const Output& a, const Output& b) {
    return a.size == b.size && a.ground == b.ground && a.keyColour == b.keyColour && a.isAbove == b.isAbove &&
           a.hidesPointer == b.hidesPointer && a.place.window == b.place.window;
}

} // namespace

OutputSet::OutputSet(PreparedFrames& frames, Films& films, QObject* parent)
    : QObject(parent),
      m_frames(frames),
      m_films(films) {
    m_replace.setSingleShot(true);
    m_replace.setInterval(50);
    connect(&m_replace, &QTimer::timeout, this, &OutputSet::place);
    const auto watch = [this](QScreen* screen) {
        connect(screen, &QScreen::geometryChanged, this, [this] { m_replace.start(); });
    };
    for (QScreen* screen : QGuiApplication::screens())
        watch(screen);
    connect(qGuiApp, &QGuiApplication::screenAdded, this, [this, watch](QScreen* screen) {
        watch(screen);
        m_replace.start();
    });
    connect(qGuiApp, &QGuiApplication::screenRemoved, this, [this](QScreen* screen) {
        for (Entry& entry : m_entries) // before it is moved onto another screen, over what is there
            if (entry.window && entry.window->screen() == screen)
                entry.window.reset();
        m_replace.start();
    });
}

OutputSet::~OutputSet() = default;

void OutputSet::setOutputs(const std::vector<Output>& outputs, const QString& deskMonitor) {
    std::vector<Entry> entries;
    for (const Output& output : outputs) {
        const auto known = std::find_if(m_entries.begin(), m_entries.end(), [&](const Entry& e) {
            return e.picture && e.output.name == output.name;
        });
        if (known != m_entries.end()) {
            Entry kept = std::move(*known);
            kept.output = output;
            entries.push_back(std::move(kept));
        } else {
            entries.push_back(
                {output, {}, {}, std::make_unique<OutputPicture>(m_frames, m_films, output.name), nullptr});
            Q_EMIT pictureAdded(entries.back().picture.get());
        }
    }
    for (Entry& gone : m_entries) {
        if (gone.picture)
            m_homes.erase(gone.output.name);
        gone.window.reset(); // before its picture
    }
    m_entries = std::move(entries);
    m_deskMonitor = deskMonitor;
    place();
}

void OutputSet::setMayShow(bool mayShow) {
    if (std::exchange(m_mayShow, mayShow) != mayShow)
        place();
}

OutputWindow* OutputSet::windowNamed(const QString& name) const {
    const auto at = std::find_if(m_entries.begin(), m_entries.end(),
                                 [&](const Entry& entry) { return entry.output.name == name; });
    return at == m_entries.end() ? nullptr : at->window.get();
}

QRect OutputSet::placeOf(const QString& name) const {
    const OutputWindow* window = windowNamed(name);
    return window ? window->geometry() : QRect();
}

quint32 OutputSet::windowOf(const QString& name) const {
    const OutputWindow* window = windowNamed(name);
    return window ? quint32(window->winId()) : 0;
}

void OutputSet::place() {
    m_monitors = monitorsNow(m_deskMonitor);
    std::vector<Output> outputs;
    for (const Entry& entry : m_entries)
        outputs.push_back(entry.output);
    m_placements = placementsFor(outputs, m_monitors, m_homes);
    for (Placement& placement : m_placements)
        if (!m_mayShow && placement.kind == Placement::Kind::FullScreen)
            placement.kind = Placement::Kind::Missing;
    const bool hasRealScreen = std::any_of(m_placements.begin(), m_placements.end(), [](const Placement& p) {
        return p.kind == Placement::Kind::FullScreen;
    });
    int windows = 0;
    for (size_t i = 0; i < m_entries.size(); ++i) {
        Entry& entry = m_entries[i];
        const bool isWindow = m_placements[i].kind == Placement::Kind::Window;
        const int number = isWindow ? windows++ : 0;
        const bool isFull = m_placements[i].kind == Placement::Kind::FullScreen;
        const QScreen* screen = isFull ? screenNamed(m_placements[i].monitor) : nullptr;
        const bool moved = screen && entry.window && entry.window->geometry() != screen->geometry();
        const bool hasWindow = isFull || isWindow;
        if (entry.placement == m_placements[i] && !moved && bool(entry.window) == hasWindow &&
            hasSameWindow(entry.output, entry.opened)) {
            if (entry.window)
                entry.window->setShape(entry.output.shape);
            continue;
        }
        entry.placement = m_placements[i];
        open(entry, number, hasRealScreen);
    }
    Q_EMIT placesChanged();
}

void OutputSet::open(Entry& entry, int windowNumber, bool behind) {
    entry.window.reset();
    entry.opened = entry.output;
    const Colour ground = entry.output.groundColour();
    entry.picture->setGround(QColor(ground.red, ground.green, ground.blue, ground.alpha));
    if (entry.placement.kind == Placement::Kind::Closed || entry.placement.kind == Placement::Kind::Missing) {
        entry.picture->setSize({});
        return;
    }
    entry.window = std::make_unique<OutputWindow>(*entry.picture, entry.output);
    const bool isFull = entry.placement.kind == Placement::Kind::FullScreen;
    if (QScreen* screen = isFull ? screenNamed(entry.placement.monitor) : nullptr)
        entry.window->showFullScreenOn(screen);
    else if (!entry.output.place.window.isNull())
        entry.window->showAt(entry.output.place.window);
    else
        entry.window->showAsWindow(windowNumber, behind);
}

bool OutputSet::isSeen() const {
    return std::any_of(m_entries.begin(), m_entries.end(), [](const Entry& entry) {
        return entry.placement.kind == Placement::Kind::FullScreen ||
               (entry.window && !entry.output.place.window.isNull());
    });
}

OutputPicture* OutputSet::picture(const QString& name) const {
    const int at = indexOf(name);
    return at < 0 ? nullptr : m_entries[size_t(at)].picture.get();
}

std::vector<OutputPicture*> OutputSet::pictures() const {
    std::vector<OutputPicture*> result;
    for (const Entry& entry : m_entries)
        result.push_back(entry.picture.get());
    return result;
}

int OutputSet::indexOf(const QString& name) const {
    const auto at = std::find_if(m_entries.begin(), m_entries.end(),
                                 [&](const Entry& e) { return e.output.name == name; });
    return at == m_entries.end() ? -1 : int(at - m_entries.begin());
}

} // namespace mivanta

#include "moc_OutputSet.cpp"
