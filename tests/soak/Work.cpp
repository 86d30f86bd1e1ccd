// SPDX-License-Identifier: GPL-3.0-or-later
#include "soak/Work.h"
#include "session/service/ServiceDocument.h"
#include "soak/Model.h"
#include "store/Backups.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"
#include "support/Samples.h"
#include <QCoreApplication>
#include <QEventLoop>
#include <random>

namespace mivanta::soak {

using namespace Qt::StringLiterals;

QString libraryOf(const QString& folder) {
    return folder + u"/library"_s;
}
QString servicesDiary(const QString& folder) {
    return folder + u"/services.diary"_s;
}
QString songsDiary(const QString& folder) {
    return folder + u"/songs.diary"_s;
}
QStringList serviceFiles(const QString& folder) {
    QStringList files;
    for (const QString& name : {u"one"_s, u"two"_s, u"packed"_s})
        files << folder + u'/' + name + u".mivanta"_s;
    return files;
}

namespace {

class Random {
public:
    explicit Random(quint32 seed) : m_engine(seed) {}
    int below(int most) { return int(m_engine() % quint32(std::max(1, most))); }
    template <typename T>
    const T& of(const std::vector<T>& all) {
        return all[size_t(below(int(all.size())))];
    }
    QString word() {
        return of<QString>({u"Tide"_s, u"Lantern"_s, u"Anchor"_s, u"Gull"_s, u"Quay"_s, u"Étoile"_s}) + u' ' +
               QString::number(below(1000));
    }
    Song song() {
        Song song = samples::harbourSong(word());
        for (int i = below(12); i > 0; --i)
            song.parts[0].lines.push_back({word() + u' ' + word(), {}, below(4) == 0, {}, {}});
        return song;
    }

private:
    std::mt19937 m_engine;
};

/// One desk's service, and somebody who is never done with it.
class ServiceWork {
public:
    ServiceWork(const QString& folder, quint32 seed)
        : m_folder(folder),
          m_random(seed),
          m_diary(servicesDiary(folder)),
          m_library(Library::open(libraryOf(folder)).value()),
          m_document(LibraryAddress(libraryOf(folder)).mediaFolder(), Journal(libraryOf(folder)),
                     samples::theme()) {
        QObject::connect(&m_document, &ServiceDocument::failed, [this](const Error&) { answer(false); });
        QObject::connect(&m_document, &ServiceDocument::saved, [this] { answer(true); });
        QObject::connect(&m_document, &ServiceDocument::opened, [this] { answer(true); });
        QObject::connect(&m_document, &ServiceDocument::changed,
                         [this] { m_diary.state(valueOf(m_document.service())); });
    }

    void begin() {
        QEventLoop loop;
        QObject::connect(&m_document, &ServiceDocument::recovered, &loop, &QEventLoop::quit);
        QObject::connect(&m_document, &ServiceDocument::nothingToRecover, &loop, &QEventLoop::quit);
        m_document.recover();
        loop.exec();
        m_diary.state(valueOf(m_document.service()));
        m_document.keepNow();
        m_diary.kept();
        m_diary.ready();
    }

    void step() {
        switch (m_random.below(16)) {
        case 0:
            save(m_document.path().isEmpty() ? anyFile() : m_document.path());
            break;
        case 1:
            save(anyFile());
            break;
        case 2:
            open(anyFile());
            break;
        case 3:
            pack();
            break;
        case 4:
            m_document.keepNow();
            m_diary.kept();
            break;
        case 5:
            m_random.below(4) == 0 ? m_document.startNew() : m_document.undoStack().undo();
            break;
        default:
            edit();
        }
        QCoreApplication::processEvents(QEventLoop::AllEvents, m_random.below(3));
    }

private:
    void answer(bool isFine) {
        m_answer = isFine;
        m_waiting.quit();
    }
    bool answered() {
        m_waiting.exec();
        return m_answer;
    }
    QString anyFile() { return serviceFiles(m_folder)[m_random.below(2)]; }

    void save(const QString& path) {
        const QString key = fileKey(path);
        Service service = m_document.service();
        service.media = mediaFactsOf(service, m_library->media().folder(), {});
        m_diary.begin(key, valueOf(service));
        m_document.save(path);
        answered() ? m_diary.done(key) : m_diary.refused(key);
    }
    void open(const QString& path) {
        if (!QFile::exists(path))
            return;
        m_document.open(path);
        static_cast<void>(answered());
    }
    void pack() {
        Service service = m_document.service();
        const QString folder = m_library->media().folder();
        service.media = mediaFactsOf(service, folder, {});
        const QString path = serviceFiles(m_folder)[2];
        m_diary.begin(fileKey(path), valueOf(service));
        packService(service, packListOf(service, folder, {}), path, {}) ? m_diary.done(fileKey(path))
                                                                        : m_diary.refused(fileKey(path));
    }
    void edit() {
        const auto& items = m_document.service().items;
        const int at = m_random.below(int(items.size()) + 1);
        const ItemId id = items.empty() ? ItemId() : m_random.of(items).id;
        switch (items.size() > 40 ? 3 : m_random.below(8)) {
        case 0:
            m_document.insert(at, songItem(m_random.song()));
            break;
        case 1:
            m_document.insertHeading(at, m_random.word());
            break;
        case 2:
            m_document.move({id}, at);
            break;
        case 3:
            m_document.remove({id});
            break;
        case 4:
            m_document.setTitle(m_random.word());
            break;
        case 5:
            m_document.undoStack().redo();
            break;
        case 6:
            m_document.insert(at, picture());
            break;
        default:
            m_document.rename(id, m_random.word());
        }
    }
    ItemWords picture() {
        const QByteArray bytes = "picture " + QByteArray::number(m_random.below(5)).repeated(2000);
        PictureItem item;
        if (const auto stored = m_library->media().bringIn(bytes, u"dawn.png"_s))
            item.pictures = {{stored->name, u"dawn"_s}};
        return item;
    }

    QString m_folder;
    Random m_random;
    Diary m_diary;
    std::unique_ptr<Library> m_library;
    ServiceDocument m_document;
    QEventLoop m_waiting;
    bool m_answer = false;
};

/// The songs that are there, as somebody knows them who changes them.
class SongWork {
public:
    SongWork(const QString& folder, quint32 seed)
        : m_random(seed),
          m_diary(songsDiary(folder)),
          m_library(Library::open(libraryOf(folder)).value()) {
        m_diary.ready();
    }

    void step() {
        const auto all = m_library->songs();
        if (!all)
            qFatal("%s", qPrintable(all.error().text()));
        if (all->empty() || m_random.below(4) == 0) {
            save(m_random.song());
            return;
        }
        const SongId id = m_random.of(*all).id;
        switch (m_random.below(8)) {
        case 0:
            inBin(id, true);
            break;
        case 1:
            if (const auto bin = m_library->bin(); bin && !bin->empty())
                inBin(m_random.of(*bin).id, false);
            break;
        default:
            change(id);
        }
    }

private:
    void change(const SongId& id) {
        auto song = m_library->song(id);
        if (!song)
            qFatal("%s", qPrintable(song.error().text()));
        song->title = m_random.word();
        song->parts = m_random.song().parts;
        song->singingOrder.clear();
        save(*song);
    }
    void save(Song song) {
        Song stored = song;
        ++stored.revision;
        m_diary.begin(songKey(song.id), valueOf(stored));
        const auto saved = m_library->save(std::move(song));
        if (!saved)
            qFatal("%s", qPrintable(saved.error().text()));
        if (valueOf(*saved) != valueOf(stored))
            qFatal("a song was saved as another one");
        m_diary.done(songKey(stored.id));
    }
    void inBin(const SongId& id, bool isIn) {
        m_diary.begin(binKey(id), isIn ? "in" : "out");
        const auto moved = isIn ? m_library->putInBin({id}) : m_library->takeFromBin({id});
        if (!moved)
            qFatal("%s", qPrintable(moved.error().text()));
        m_diary.done(binKey(id));
    }

    Random m_random;
    Diary m_diary;
    std::unique_ptr<Library> m_library;
};

} // namespace

int workOnServices(const QString& folder, quint32 seed) {
    ServiceWork work(folder, seed);
    work.begin();
    for (;;)
        work.step();
}

int workOnSongs(const QString& folder, quint32 seed) {
    SongWork work(folder, seed);
    for (;;)
        work.step();
}

int bringBackup(const QString& folder, const QString& backup) {
    for (const Backup& each : backupsOf(libraryOf(folder)))
        if (each.path == backup)
            return bringBack(each, libraryOf(folder)) ? 0 : 1;
    return 2;
}

} // namespace mivanta::soak
