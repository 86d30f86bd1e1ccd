// SPDX-License-Identifier: GPL-3.0-or-later
#include "ServiceBench.h"
#include "Figures.h"
#include "Memory.h"
#include "SongMaker.h"
#include "Timing.h"
#include "desk/prepare/OrderSheet.h"
#include "desk/window/MainWindow.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"
#include "store/ServiceStore.h"
#include "store/ShippedThemes.h"
#include <QApplication>
#include <QDir>
#include <QFile>
#include <QImage>
#include <QKeyEvent>
#include <QListView>
#include <QProcess>
#include <QRandomGenerator>
#include <malloc.h>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kItems = 200;
constexpr int kEdits = 60;

/// Songs with texts, pictures, pauses, notes, countdowns and headings between them.
Service mixedService(const QStringList& pictures) {
    SongMaker maker;
    Service service;
    service.id = ServiceId::create();
    service.title = u"Bench"_s;
    service.theme = shippedThemes().front();
    service.start = QDateTime(QDate(2026, 10, 4), QTime(10, 30));
    for (int i = 0; i < kItems; ++i) {
        Item item{ItemId::create(), {}};
        switch (i % 10) {
        case 0:
            item.words = Heading{u"Part %1"_s.arg(i / 10)};
            break;
        case 3:
            item.words = PictureItem{{}, {{pictures[(i / 10) % pictures.size()], {}}}};
            break;
        case 5:
            item.words = PauseItem{u"Quiet"_s};
            break;
        case 6:
            item.words = NoteItem{u"Dim the lights"_s};
            break;
        case 8:
            item.words = CountdownItem{u"Soon"_s, std::nullopt};
            break;
        default:
            item.words = songItem(maker.make(i));
        }
        item.plan.leader = i % 3 == 0 ? u"Maren"_s : QString();
        service.items.push_back(std::move(item));
    }
    return service;
}

/// MiB of this process that nobody shares.
double ownMemory() {
    malloc_trim(0);
    return memoryOf(QCoreApplication::applicationPid(), "Private_Dirty");
}

class ServiceWindow {
public:
    explicit ServiceWindow(const QString& library)
        : m_session({library,
                     ThisComputer(library + QStringLiteral("/computer")),
                     {},
                     false,
                     {},
                     QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player")}),
          m_window(m_session, std::make_unique<DialogPrompts>(nullptr)),
          m_folder(sessionFolder(library)) {
        m_window.resize(1280, 800);
        m_window.show();
        bool ready = false;
        QObject::connect(&m_session, &Session::ready, &m_window, [&] { ready = true; });
        m_session.start();
        waitUntil([&] { return ready; });
        m_window.goTo(MainWindow::PrepareAt);
        settle();
    }
    ~ServiceWindow() {
        m_session.player().quit();
        QDir(m_folder).removeRecursively();
    }
    /// Everything that is due is laid out and painted.
    void settle() {
        for (int i = 0; i < 3; ++i)
            QCoreApplication::processEvents();
        m_window.repaint();
    }
    [[nodiscard]] ServiceDocument& document() { return m_session.document(); }
    [[nodiscard]] SlideBook& book() { return m_session.book(); }
    [[nodiscard]] OrderSheet* sheet() { return m_window.findChild<OrderSheet*>(); }

    /// From asking for the file to a sheet that obeys a key, painted.
    double open(const QString& file) {
        bool opened = false;
        const auto guard = QObject::connect(&document(), &ServiceDocument::opened, [&] { opened = true; });
        QElapsedTimer time;
        time.start();
        document().open(file);
        waitUntil([&] { return opened; });
        const auto before = sheet()->view()->currentIndex();
        QKeyEvent press(QEvent::KeyPress, Qt::Key_Down, Qt::NoModifier);
        QApplication::sendEvent(sheet()->view(), &press);
        settle();
        const double ms = msOf(time);
        QObject::disconnect(guard);
        if (sheet()->view()->currentIndex() == before)
            qFatal("the sheet did not obey");
        return ms;
    }
    double save(const QString& file) {
        bool saved = false;
        const auto guard = QObject::connect(&document(), &ServiceDocument::saved, [&] { saved = true; });
        QElapsedTimer time;
        time.start();
        document().save(file);
        waitUntil([&] { return saved; });
        const double ms = msOf(time);
        QObject::disconnect(guard);
        return ms;
    }
    template <typename Work>
    double timed(const Work& work) {
        QElapsedTimer time;
        time.start();
        work();
        settle();
        return msOf(time);
    }

private:
    Session m_session;
    MainWindow m_window;
    QString m_folder;
};

void benchEdits(Figures& figures, ServiceWindow& window) {
    ServiceDocument& document = window.document();
    std::vector<double> moves;
    std::vector<double> plans;
    std::vector<double> removals;
    std::vector<double> undone;
    QRandomGenerator random(5);
    for (int i = 0; i < kEdits; ++i) {
        const auto& items = document.service().items;
        const ItemId id = items[random.bounded(quint32(items.size()))].id;
        moves.push_back(window.timed([&] { document.move({id}, int(random.bounded(kItems))); }));
        plans.push_back(window.timed([&] {
            document.changePlan(
                {id}, [&](ItemPlan& list) { list.seconds = 60 + i; }, u"length"_s);
        }));
        removals.push_back(window.timed([&] { document.remove({id}); }));
        undone.push_back(window.timed([&] { document.undoStack().undo(); }));
    }
    figures.addTimes(u"an item of 200 moved, to repainted"_s, moves);
    figures.addTimes(u"its length changed, to repainted"_s, plans);
    figures.addTimes(u"an item removed, to repainted"_s, removals);
    figures.addTimes(u"an edit undone, to repainted"_s, undone);
}

void benchPacking(Figures& figures, const QString& folder) {
    constexpr int kFiles = 8;
    constexpr qint64 kBytes = 256LL << 20;
    const QString library = folder + u"/pack-library"_s;
    const QString media = LibraryAddress(library).mediaFolder();
    QDir().mkpath(media);
    Service service = mixedService({u"none"_s});
    service.items.resize(1);
    QByteArray block(1 << 20, Qt::Uninitialized);
    for (int i = 0; i < kFiles; ++i) { // as hard to press together as films are
        QFile file(media + u"/%1.mp4"_s.arg(i, 64, 16, QLatin1Char('0')));
        if (!file.open(QIODevice::WriteOnly))
            qFatal("no room for the media");
        for (qint64 done = 0; done < kBytes; done += block.size()) {
            QRandomGenerator::global()->fillRange(reinterpret_cast<quint32*>(block.data()), block.size() / 4);
            file.write(block);
        }
        service.items.push_back({ItemId::create(), PictureItem{{}, {{QFileInfo(file).fileName(), {}}}}});
    }
    service.media = mediaFactsOf(service, media, {});
    const PackList list = packListOf(service, media, {});
    const double megabytes = double(list.bytes()) / 1e6;
    std::vector<double> copied;
    std::vector<double> packed;
    for (int round = 0; round < 3; ++round) {
        const QString copy = folder + u"/copy"_s;
        QElapsedTimer time;
        time.start();
        QProcess::execute(u"sh"_s, {u"-c"_s, u"cp -r '%1' '%2' && sync -f '%2'"_s.arg(media, copy)});
        copied.push_back(megabytes / (msOf(time) / 1000));
        QDir(copy).removeRecursively();
        const QString file = folder + u"/packed.mivanta"_s;
        time.start();
        if (const auto done = packService(service, list, file, {}); !done)
            qFatal("%s", qPrintable(done.error().text()));
        packed.push_back(megabytes / (msOf(time) / 1000));
        QFile::remove(file);
    }
    QDir(library).removeRecursively();
    const auto median = [](std::vector<double> all) {
        std::sort(all.begin(), all.end());
        return all[all.size() / 2];
    };
    figures.add(u"2 GB of media copied by cp and brought to the disk"_s, median(copied), u"MB/s"_s);
    figures.add(u"the same packed into a service file"_s, median(packed), u"MB/s"_s);
    figures.add(u"packing against cp"_s, median(packed) / median(copied), u"times"_s);
}

} // namespace

void benchService(Figures& figures, const QString& folder) {
    const QString library = folder + u"/service-library"_s;
    QStringList pictures;
    {
        const auto opened = Library::open(library);
        if (!opened)
            qFatal("%s", qPrintable(opened.error().text()));
        for (int i = 0; i < 12; ++i) {
            QImage image(1920, 1080, QImage::Format_RGB32);
            image.fill(QColor::fromHsv(i * 29, 120, 150));
            const QString path = folder + u"/%1.png"_s.arg(i);
            image.save(path);
            if (const auto brought = (*opened)->media().bringIn(path))
                pictures << brought->name;
        }
    }
    const QString file = folder + u"/bench.mivanta"_s;
    if (!saveService(mixedService(pictures), file, {}))
        qFatal("the service could not be written");
    ServiceWindow window(library);
    std::vector<double> opened;
    for (int i = 0; i < 12; ++i) {
        opened.push_back(window.open(file));
        waitUntil([&] { return window.book().isComplete(); });
    }
    figures.addTimes(u"a service of 200 items opened, to its first key obeyed"_s, opened);
    benchEdits(figures, window);
    const double before = ownMemory();
    for (int i = 0; i < 300; ++i) {
        window.document().move({window.document().service().items[size_t(i) % kItems].id}, (i * 7) % kItems);
        window.settle();
    }
    waitUntil([&] { return window.book().isComplete(); });
    figures.add(u"memory after 300 more edits that can be undone, above before"_s, ownMemory() - before,
                u"MiB"_s);
    std::vector<double> saved;
    for (int i = 0; i < 30; ++i) {
        window.document().setTitle(QString::number(i));
        saved.push_back(window.save(file));
    }
    figures.addTimes(u"a service of 200 items saved and on the disk"_s, saved);
    benchPacking(figures, folder);
}

} // namespace mivanta
