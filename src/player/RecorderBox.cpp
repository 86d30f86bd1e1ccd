// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/RecorderBox.h"
#include "core/base/Clock.h"
#include "player/OutputSet.h"
#include <QPainter>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kLookForPicturesMs = 100;
constexpr qint64 kFirstPictureMs = 30'000; ///< for a first picture
constexpr size_t kMostRecordings = 8;

} // namespace

QString monitorOf(const message::SoundDevices& devices, const QString& used) {
    const auto isServers = [](const QString& name) {
        return name.startsWith(u"pulse/"_s) || name.startsWith(u"pipewire/"_s);
    };
    if (isServers(used))
        return used.section(u'/', 1) + u".monitor"_s;
    const bool hasServer = std::any_of(devices.devices.begin(), devices.devices.end(),
                                       [&](const SoundDevice& device) { return isServers(device.name); });
    return used.isEmpty() && hasServer ? u"@DEFAULT_MONITOR@"_s : QString();
}

RecorderBox::RecorderBox(const OutputSet& outputs, Films& films, QObject* parent)
    : QObject(parent),
      m_outputs(outputs),
      m_films(films) {
    m_waits.setInterval(kLookForPicturesMs);
    connect(&m_waits, &QTimer::timeout, this, &RecorderBox::lookForPictures);
}

RecorderBox::~RecorderBox() = default;

RecorderBox::Entry* RecorderBox::find(RecordingId id) const {
    const auto at = std::find_if(m_entries.begin(), m_entries.end(),
                                 [&](const auto& entry) { return entry->facts.id == id; });
    return at == m_entries.end() ? nullptr : at->get();
}

void RecorderBox::begin(const message::Record& record, const QString& soundFrom) {
    if (record.id.isNull() || find(record.id))
        return;
    auto entry = std::make_unique<Entry>();
    entry->facts = {record.id, record.output, record.input, record.path, false, 0, 0, false, {}};
    entry->soundFrom = record.isHeard ? soundFrom : QString();
    entry->askedAt = Clock::the().steady();
    if (m_entries.size() >= kMostRecordings) {
        entry->facts.isOver = true;
        entry->facts.problem = tr("so many are recorded already");
        Q_EMIT told(entry->facts);
        return;
    }
    if (!record.input.isNull())
        entry->film = m_films.open(liveFilm(record.input));
    m_entries.push_back(std::move(entry));
    tell(*m_entries.back());
    m_waits.start();
    lookForPictures();
}

/// An output is there at once, unless it was removed; a camera may have to be opened first.
void RecorderBox::lookForPictures() {
    bool isWaiting = false;
    std::vector<std::pair<RecordingId, QString>> failed;
    for (const auto& entry : m_entries) {
        if (!entry->film && !watchOutput(*entry)) {
            failed.emplace_back(entry->facts.id, tr("the output is gone"));
            continue;
        }
        if (entry->recorder)
            continue;
        if (const QSize size = sizeOf(*entry); !size.isEmpty())
            start(*entry, recordedSize(size));
        else if (Clock::the().steady() - entry->askedAt > kFirstPictureMs)
            failed.emplace_back(entry->facts.id, tr("no picture came"));
        else
            isWaiting = true;
    }
    for (const auto& [id, problem] : failed)
        end(id, problem);
    if (!isWaiting)
        m_waits.stop();
}

/// False when it is not there (any more).
bool RecorderBox::watchOutput(Entry& entry) {
    OutputPicture* picture = m_outputs.picture(entry.facts.output);
    if (picture && entry.output != picture) {
        entry.output = picture;
        connect(picture, &OutputPicture::changed, &entry.here, [&entry] { entry.hasChanged = true; });
        connect(picture, &QObject::destroyed, this, &RecorderBox::lookForPictures, Qt::QueuedConnection);
    }
    return picture != nullptr;
}

QSize RecorderBox::sizeOf(const Entry& entry) {
    if (entry.film)
        return entry.film->picture().image.size();
    return entry.output ? entry.output->size() : QSize();
}

/// What is smaller or of another shape by now has black around it.
Recorder::Seen RecorderBox::seenOf(Entry& entry, QSize size) {
    Entry* one = &entry;
    if (entry.film)
        return {[one] { return one->film->picture().number != one->number; },
                [one, size](QPainter& painter) {
                    const FilmPicture now = one->film->picture();
                    one->number = now.number;
                    painter.fillRect(QRect(QPoint(), size), Qt::black);
                    const QSize fitted = now.image.size().scaled(size, Qt::KeepAspectRatio);
                    painter.drawImage(QRect(QPoint((size.width() - fitted.width()) / 2,
                                                   (size.height() - fitted.height()) / 2),
                                            fitted),
                                      now.image);
                }};
    return {[one] { return one->hasChanged; },
            [one, size](QPainter& painter) {
                one->hasChanged = false;
                painter.fillRect(QRect(QPoint(), size), Qt::black);
                if (!one->output || one->output->size().isEmpty())
                    return;
                const QSize seen = one->output->size();
                painter.scale(double(size.width()) / seen.width(), double(size.height()) / seen.height());
                one->output->paint(painter, QRect(QPoint(), seen));
            }};
}

void RecorderBox::start(Entry& entry, QSize size) {
    entry.facts.isHeard = !entry.soundFrom.isEmpty();
    entry.recorder = std::make_unique<Recorder>(RecordingPlan{entry.facts.path, size, 30, entry.soundFrom},
                                                seenOf(entry, size));
    const RecordingId id = entry.facts.id;
    connect(entry.recorder.get(), &Recorder::grew, this, [this, id] {
        if (Entry* found = find(id))
            tell(*found);
    });
    connect(
        entry.recorder.get(), &Recorder::finished, this,
        [this, id](const QString& problem) { finish(id, problem); }, Qt::QueuedConnection);
    entry.recorder->start();
}

void RecorderBox::tell(Entry& entry) {
    if (entry.recorder) {
        entry.facts.length = entry.recorder->length();
        entry.facts.bytes = entry.recorder->bytes();
    }
    Q_EMIT told(entry.facts);
}

void RecorderBox::end(RecordingId id, const QString& why) {
    Entry* entry = find(id);
    if (!entry)
        return;
    if (entry->recorder)
        entry->recorder->stop(why);
    else
        finish(id, why);
}

void RecorderBox::finish(RecordingId id, const QString& problem) {
    Entry* entry = find(id);
    if (!entry)
        return;
    if (!entry->soundFrom.isEmpty() && problem.contains(entry->soundFrom)) { // it never began
        entry->recorder.reset();
        entry->soundFrom.clear(); // a picture without sound is better than none
        m_waits.start();
        return;
    }
    tell(*entry);
    message::Recording facts = entry->facts;
    facts.isOver = true;
    facts.problem = problem;
    std::erase_if(m_entries, [&](const auto& each) { return each.get() == entry; });
    Q_EMIT told(facts);
}

std::vector<message::Recording> RecorderBox::running() const {
    std::vector<message::Recording> all;
    for (const auto& entry : m_entries)
        all.push_back(entry->facts);
    return all;
}

} // namespace mivanta

#include "moc_RecorderBox.cpp"
