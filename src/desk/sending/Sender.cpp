// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/sending/Sender.h"
#include "render/Chart.h"
#include "store/Library.h"
#include <QPrinter>
#include <QSettings>

namespace mivanta {

namespace {

SongFormat formatOf(SendWay way) {
    return way == SendWay::TextFiles ? SongFormat::Text
           : way == SendWay::Table   ? SongFormat::Csv
                                     : SongFormat::ChordPro;
}

Result<QString> print(QPrinter& printer, const std::vector<Song>& songs, ChartOptions options) {
    options.page = printer.pageLayout().fullRect(QPageLayout::Point).size();
    if (!paintCharts(printer, printer.resolution() / 72.0, songs, options))
        return failure(Sender::tr("the printer did not take the pages"), printer.printerName(),
                       Sender::tr("Check that it is switched on, or choose another one."));
    return Sender::tr("%n songs were sent to the printer.", nullptr, int(songs.size()));
}

} // namespace

Sender::Sender(LibraryAddress library, Prompts& prompts, QObject* parent)
    : QObject(parent),
      m_library(std::move(library)),
      m_prompts(prompts) {}

Sender::~Sender() {
    *m_cancel = true;
    m_worker.finish();
}

namespace {
constexpr const char* kColumns = "sheets/columns";
}

ChartOptions Sender::usualSheets() {
    ChartOptions options;
    options.columns = std::clamp(QSettings().value(QLatin1String(kColumns), 1).toInt(), 1, 2);
    return options;
}

void Sender::setUsualColumns(int columns) {
    QSettings().setValue(QLatin1String(kColumns), columns);
}

void Sender::cancel() {
    *m_cancel = true;
}

void Sender::sendFromLibrary(SendWay way, const std::vector<SongId>& ids, const QString& name) {
    const auto songs = [address = m_library, ids]() -> Result<Source> {
        auto opened = Library::open(address);
        if (!opened)
            return tl::unexpected(opened.error());
        std::shared_ptr<Library> library = std::move(*opened);
        std::vector<SongId> wanted = ids;
        if (wanted.empty()) {
            const auto all = library->songs();
            if (!all)
                return tl::unexpected(all.error());
            for (const SongSummary& song : *all)
                wanted.push_back(song.id);
        }
        const int total = int(wanted.size());
        return Source{[library, wanted, at = size_t(0)]() mutable -> std::optional<Result<Song>> {
                          return at < wanted.size() ? std::optional(library->song(wanted[at++]))
                                                    : std::nullopt;
                      },
                      total};
    };
    send(way, songs, name, usualSheets());
}

void Sender::sendSongs(SendWay way, const std::vector<Song>& songs, const QString& name,
                       const ChartOptions& options) {
    send(
        way,
        [songs]() -> Result<Source> {
            return Source{eachOf(songs), int(songs.size())};
        },
        name, options);
}

void Sender::send(SendWay way, const MakeSource& songs, const QString& name, ChartOptions options) {
    if (m_busy) {
        Q_EMIT failed({tr("Songs are being written already"), {}, tr("Wait until that is done.")});
        return;
    }
    options.chords = way == SendWay::ChartsPdf || way == SendWay::PrintCharts;
    if (way == SendWay::PrintCharts || way == SendWay::PrintLyrics) {
        auto printer = std::make_shared<QPrinter>(QPrinter::HighResolution);
        printer->setFullPage(true);
        printer->setDocName(name);
        if (m_prompts.choosePrinter(*printer))
            run(songs, [printer, options](const NextSong& next) -> Result<QString> {
                const auto all = allOf(next);
                return all ? print(*printer, *all, options) : Result<QString>(tl::unexpected(all.error()));
            });
        return;
    }
    if (way == SendWay::ChartsPdf || way == SendWay::LyricsPdf) {
        const QString path = m_prompts.whereToExport(name + QStringLiteral(".pdf"));
        if (!path.isEmpty())
            run(songs, [path, options](const NextSong& next) -> Result<QString> {
                const auto all = allOf(next);
                const auto done =
                    all ? writeSheets(*all, options, path) : Result<void>(tl::unexpected(all.error()));
                return done ? Result<QString>(tr("Written: %1").arg(path)) : tl::unexpected(done.error());
            });
        return;
    }
    const QString folder = m_prompts.folderToSendTo();
    if (!folder.isEmpty())
        run(songs, [folder, format = formatOf(way)](const NextSong& next) -> Result<QString> {
            const auto paths = writeSongFiles(next, format, folder);
            if (!paths)
                return tl::unexpected(paths.error());
            return paths->size() == 1
                       ? tr("Written: %1").arg(paths->front())
                       : tr("%n files were written into %1.", nullptr, int(paths->size())).arg(folder);
        });
}

void Sender::run(const MakeSource& songs, const std::function<Result<QString>(const NextSong&)>& write) {
    m_busy = true;
    *m_cancel = false;
    m_worker.run(
        this,
        [this, songs, write, cancel = m_cancel]() -> Result<QString> {
            auto source = songs();
            if (!source)
                return tl::unexpected(source.error());
            int done = 0;
            return write([&]() -> std::optional<Result<Song>> {
                if (*cancel)
                    return failure(tr("stopped; the files that were written before stay"));
                if (done % 10 == 0)
                    QMetaObject::invokeMethod(
                        this, [this, at = done, total = source->total] { Q_EMIT progress(at, total); });
                ++done;
                return source->next();
            });
        },
        [this](const Result<QString>& result) {
            m_busy = false;
            if (result)
                Q_EMIT finished(*result);
            else
                Q_EMIT failed(result.error());
        });
}

} // namespace mivanta

#include "moc_Sender.cpp"
