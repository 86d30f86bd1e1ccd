// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/Commands.h"
#include "cli/ImportCommand.h"
#include "cli/MediaCommands.h"
#include "cli/OrderLines.h"
#include "cli/ScriptureCommands.h"
#include "cli/ServiceCommands.h"
#include "cli/SlidesReport.h"
#include "cli/ThemeCommands.h"
#include "cli/TimelineCommand.h"
#include "core/base/Said.h"
#include "core/run/Cards.h"
#include "core/run/RunState.h"
#include "core/song/SingingOrder.h"
#include "formats/SongJson.h"
#include "media/PictureProxies.h"
#include "render/FontMeasure.h"
#include "render/SceneRenderer.h"
#include "sending/OrderSheets.h"
#include "sending/SongFiles.h"
#include "store/Library.h"
#include "store/SafeFiles.h"
#include "store/ServiceStore.h"
#include "store/ShippedThemes.h"
#include "store/finding/SurePick.h"
#include <QBuffer>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// Runs the command with its streams at hand; every member returns the exit code or a failure.
class CommandRun {
public:
    CommandRun(const Arguments& arguments, QTextStream& out) : m_arguments(arguments), m_out(out) {}

    Result<int> run() {
        const QString& command = m_arguments.command;
        if (command == u"play")
            return runPlay(m_arguments, m_out);
        // A service file stands on its own: no library is needed for it.
        const bool isServiceAlone =
            !m_arguments.serviceFile.isEmpty() ||
            (command == u"service" && m_arguments.words[0] != u"new" && m_arguments.words[0] != u"print");
        if (!isServiceAlone || !m_arguments.theme.isEmpty()) {
            auto library = Library::open(m_arguments.library);
            if (!library)
                return tl::unexpected(library.error());
            m_library = std::move(*library);
        }
        if (command == u"import")
            return m_arguments.texts ? runImportTexts(*m_library, m_arguments, m_out)
                   : !m_arguments.translation.isEmpty()
                       ? runImportTranslation(*m_library, m_arguments, m_out)
                       : Result<int>(runImport(*m_library, m_arguments, m_out));
        if (command == u"theme")
            return runTheme(*m_library, m_arguments, m_out);
        if (command == u"media")
            return runMedia(*m_library, m_arguments, m_out);
        if (command == u"legibility")
            return legibility();
        if (command == u"passage")
            return runPassage(*m_library, m_arguments, m_out);
        if (command == u"export")
            return exportAll();
        if (command == u"find")
            return m_arguments.kind == u"scripture" ? runFindVerses(*m_library, m_arguments, m_out)
                   : m_arguments.kind == u"text"    ? runFindTexts(*m_library, m_arguments, m_out)
                                                    : find();
        if (command == u"show")
            return show();
        if (command == u"service")
            return service();
        return command == u"slides" ? slides() : render();
    }

private:
    Result<int> service() {
        const QString& what = m_arguments.words[0];
        return what == u"show"          ? runServiceShow(m_arguments, m_out)
               : what == u"timeline"    ? runTimeline(m_arguments, m_out)
               : what == u"check-files" ? runCheckFiles(m_arguments, m_out)
               : what == u"pack"        ? runPack(m_arguments, m_out)
               : what == u"unpack"      ? runUnpack(m_arguments, m_out)
               : what == u"print"       ? printService()
                                        : newService();
    }

    void print(const QJsonDocument& json) { m_out << json.toJson(); }

    Result<int> exportAll() {
        int count = 0;
        ChartOptions sheets;
        sheets.columns = m_arguments.columns;
        const auto paths = writeSongFiles(m_arguments.all ? everySong(count) : oneSong(count),
                                          *songFormat(m_arguments.format), m_arguments.to, sheets);
        if (!paths)
            return tl::unexpected(paths.error());
        if (m_arguments.json)
            print(QJsonDocument(QJsonObject{{u"files"_s, QJsonArray::fromStringList(*paths)}}));
        else
            m_out << Said::tr("%n songs in %1", nullptr, Said::n(count)).arg(m_arguments.to) << u'\n';
        return 0;
    }

    NextSong oneSong(int& count) {
        return [this, &count]() -> std::optional<Result<Song>> {
            if (count++ == 0)
                return song(m_arguments.words.first());
            count = 1;
            return std::nullopt;
        };
    }

    /// One after the other: a library may not fit into memory as songs.
    NextSong everySong(int& count) {
        return [this, &count, all = std::optional<Result<std::vector<SongSummary>>>()]() mutable
               -> std::optional<Result<Song>> {
            if (!all)
                all = m_library->songs();
            if (!*all)
                return tl::unexpected(all->error());
            if (count == int((*all)->size()))
                return std::nullopt;
            return m_library->song((**all)[size_t(count++)].id);
        };
    }

    Result<std::vector<SongHit>> found() {
        if (!m_arguments.words.isEmpty())
            return m_library->find(m_arguments.words.join(u' '), 50, m_arguments.filter);
        const auto songs = m_library->songs(m_arguments.filter);
        if (!songs)
            return tl::unexpected(songs.error());
        std::vector<SongHit> hits;
        for (const SongSummary& song : *songs)
            hits.push_back({song, {}, {}});
        return hits;
    }

    Result<int> find() {
        const auto hits = found();
        if (!hits)
            return tl::unexpected(hits.error());
        QJsonArray list;
        for (const SongHit& hit : *hits) {
            if (m_arguments.json)
                list.append(QJsonObject{{u"kind"_s, u"song"_s},
                                        {u"id"_s, hit.song.id.text()},
                                        {u"title"_s, hit.song.title},
                                        {u"number"_s, hit.song.number},
                                        {u"firstLine"_s, hit.song.firstLine},
                                        {u"matchingLine"_s, hit.matchingLine}});
            else
                m_out << hit.song.title
                      << (hit.matchingLine.isEmpty() ? QString() : u" · "_s + hit.matchingLine) << u'\n';
        }
        if (m_arguments.json)
            print(QJsonDocument(list));
        else if (hits->empty())
            m_out << Said::tr("nothing found") << u'\n';
        return hits->empty() ? 1 : 0;
    }

    /// By id, or what surePick() takes it for.
    Result<Song> song(const QString& wanted) {
        if (const SongId id = SongId::fromText(wanted); !id.isNull())
            return m_library->song(id);
        LibraryFinder finder(*m_library);
        const auto pick = surePick(finder, wanted, FindSongs);
        return pick ? m_library->song(std::get<SongId>(*pick)) : tl::unexpected(pick.error());
    }

    Result<int> show() {
        const auto found = song(m_arguments.words.first());
        if (!found)
            return tl::unexpected(found.error());
        if (m_arguments.json) {
            QJsonObject json = songToJson(*found);
            QJsonArray parts = json[u"parts"_s].toArray();
            for (qsizetype i = 0; i < parts.size(); ++i) {
                QJsonObject part = parts[i].toObject();
                part.insert(u"label"_s, found->parts[size_t(i)].key());
                part.insert(u"shortLabel"_s, found->parts[size_t(i)].shortLabel());
                parts[i] = part;
            }
            json[u"parts"_s] = parts;
            json.insert(u"order"_s, singingOrderText(*found));
            print(QJsonDocument(json));
            return 0;
        }
        m_out << found->title << u'\n';
        if (const QStringList names = found->authorNames(); !names.isEmpty())
            m_out << names.join(u", "_s) << u'\n';
        if (!found->singingOrder.empty())
            m_out << Said::tr("Order: %1").arg(singingOrderText(*found)) << u'\n';
        for (const Part& part : found->parts) {
            m_out << u"\n# "_s
                  << (part.bandOnly ? Said::tr("%1 (band only)").arg(part.label()) : part.label()) << u'\n';
            for (const Line& line : part.lines)
                m_out << (line.breakBefore ? u"---\n"_s : QString()) << line.words << u'\n';
        }
        return 0;
    }

    Result<int> newService() {
        const auto inputs = m_arguments.computer.liveInputs();
        if (!inputs)
            return tl::unexpected(inputs.error());
        const auto service = serviceFromOrder(*m_library, m_arguments.words[1], *inputs);
        if (!service)
            return tl::unexpected(service.error());
        const auto saved = saveService(*service, m_arguments.to, std::nullopt);
        if (!saved)
            return tl::unexpected(saved.error());
        m_out << Said::tr("%1: %n items", nullptr, Said::n(service->items.size())).arg(m_arguments.to)
              << u'\n';
        return 0;
    }

    struct Work {
        QString title;
        ItemSlides slides;
    };

    /// Says what it writes by the ending of --to.
    Result<int> printService() {
        const auto opened = openService(m_arguments.words[1]);
        if (!opened)
            return tl::unexpected(opened.error());
        auto bytes = m_arguments.what == u"slides" ? slidesOnPaper() : sheetOf(opened->service);
        if (!bytes)
            return tl::unexpected(bytes.error());
        if (auto written = writeSafely(m_arguments.to, *bytes); !written)
            return tl::unexpected(written.error());
        m_out << m_arguments.to << '\n';
        return 0;
    }

    Result<QByteArray> sheetOf(const Service& service) {
        const bool isWords = m_arguments.what == u"words";
        const QString ending = QFileInfo(m_arguments.to).suffix().toLower();
        const QString html = isWords ? wordsHtml(service) : orderHtml(service);
        if (ending == u"html")
            return html.toUtf8();
        if (ending == u"txt")
            return (isWords ? wordsText(service) : orderText(service)).toUtf8();
        if (ending == u"csv" && !isWords)
            return orderCsv(service);
        if (ending != u"pdf")
            return failure(Said::tr("there is no such form of it"), m_arguments.to,
                           Said::tr("End the name in .pdf, .html or .txt; the order also in .csv."));
        QBuffer buffer;
        buffer.open(QIODevice::WriteOnly);
        if (auto done = writeHtmlPdf(buffer, html); !done)
            return tl::unexpected(done.error());
        return buffer.data();
    }

    Result<QByteArray> slidesOnPaper() {
        if (QFileInfo(m_arguments.to).suffix().toLower() != u"pdf")
            return failure(Said::tr("slides are printed as PDF only"), m_arguments.to,
                           Said::tr("End the name in .pdf."));
        const auto items = work();
        if (!items)
            return tl::unexpected(items.error());
        std::vector<SlideOnPaper> slides;
        for (const Work& item : *items) {
            const OutputSlides& output = m_arguments.output.isEmpty()
                                             ? item.slides.outputs[size_t(mainOutput(item.slides))]
                                             : *wantedOutputs(item).front();
            for (int s = 0; s < int(output.slides.size()); ++s)
                slides.push_back(
                    {sceneOf(item.slides, output, s), u"%1 \u00b7 %2"_s.arg(item.title).arg(s + 1)});
        }
        QBuffer buffer;
        buffer.open(QIODevice::WriteOnly);
        if (auto done = writeSlidesPdf(buffer, slides, m_arguments.perPage, pictures()); !done)
            return tl::unexpected(done.error());
        return buffer.data();
    }

    /// The service whose slides are wanted; empty = a song's are.
    [[nodiscard]] QString serviceFile() const {
        return m_arguments.command == u"service" ? m_arguments.words[1] : m_arguments.serviceFile;
    }

    /// The song, or every item of the service, split for the outputs that were asked for.
    Result<std::vector<Work>> work() {
        auto outputs = m_arguments.computer.outputs(m_arguments.library);
        if (!outputs)
            return tl::unexpected(outputs.error());
        QStringList names;
        for (const Output& output : *outputs)
            names << output.name;
        if (!m_arguments.output.isEmpty() && !names.contains(m_arguments.output))
            return failure(Said::tr("there is no output \"%1\"").arg(m_arguments.output), {},
                           Said::tr("There are: %1.").arg(names.join(u", "_s)));
        const auto themesThere =
            m_library ? m_library->themes().all() : Result<std::vector<Theme>>(shippedThemes());
        if (!themesThere)
            return tl::unexpected(themesThere.error());
        const std::vector<Theme>& themes = *themesThere;
        std::optional<Theme> wanted;
        if (!m_arguments.theme.isEmpty()) {
            auto theme = themeNamed(*m_library, m_arguments.theme);
            if (!theme)
                return tl::unexpected(theme.error());
            wanted = std::move(*theme);
        }
        std::vector<Work> result;
        if (serviceFile().isEmpty()) {
            const auto found = song(m_arguments.words.first());
            if (!found)
                return tl::unexpected(found.error());
            Service service;
            const auto usual = m_library->themes().usual();
            const Theme* ofNew = themeOf(usual.value_or(QString()), themes);
            service.theme = wanted ? *wanted : ofNew ? *ofNew : shippedThemes().front();
            const Item item{{}, songItem(*found)};
            result.push_back({found->title, slidesFor(contentOf(item, service), *outputs,
                                                      lookChainOf(item, service, themes), m_measures)});
            return result;
        }
        const auto opened = openService(serviceFile());
        if (!opened)
            return tl::unexpected(opened.error());
        Service service = opened->service;
        if (wanted)
            service.theme = *wanted;
        for (const Item& item : service.items)
            if (item.isRun())
                result.push_back({item.title(), slidesFor(contentOf(item, service), *outputs,
                                                          lookChainOf(item, service, themes), m_measures)});
        return result;
    }

    Result<int> slides() {
        const auto items = work();
        if (!items)
            return tl::unexpected(items.error());
        QJsonArray list;
        for (const Work& item : *items) {
            if (m_arguments.json)
                list.append(withReasons(slidesToJson(item.title, item.slides, m_arguments.output), item));
            else if (!m_arguments.why)
                m_out << slidesToText(item.title, item.slides, m_arguments.output);
            else
                m_out << item.title << u'\n';
            if (m_arguments.why && !m_arguments.json)
                for (const OutputSlides* output : wantedOutputs(item))
                    m_out << whyText(*output);
        }
        if (m_arguments.json)
            print(m_arguments.serviceFile.isEmpty() ? QJsonDocument(list.first().toObject())
                                                    : QJsonDocument(QJsonObject{{u"items"_s, list}}));
        return 0;
    }

    [[nodiscard]] std::vector<const OutputSlides*> wantedOutputs(const Work& item) const {
        std::vector<const OutputSlides*> outputs;
        for (const OutputSlides& output : item.slides.outputs)
            if (m_arguments.output.isEmpty() || output.output.name == m_arguments.output)
                outputs.push_back(&output);
        return outputs;
    }

    /// With the sources of each output's look, when they are asked for.
    [[nodiscard]] QJsonObject withReasons(QJsonObject json, const Work& item) const {
        if (!m_arguments.why)
            return json;
        QJsonObject why;
        for (const OutputSlides* output : wantedOutputs(item))
            why.insert(output->output.name, whyJson(*output));
        json.insert(u"why"_s, why);
        return json;
    }

    [[nodiscard]] RenderSources pictures() const {
        const auto proxies = std::make_shared<PictureProxies>(m_arguments.library.mediaFolder(),
                                                              m_arguments.library.pictureCacheFolder());
        return {PictureProxies::loader(proxies), {}, PictureProxies::lengths(proxies)};
    }

    Result<int> legibility() {
        const auto items = work();
        if (!items)
            return tl::unexpected(items.error());
        QJsonArray list;
        QString text;
        for (const Work& item : *items)
            text += legibilityReport(item.title, item.slides, m_arguments.output, pictures(), &list);
        if (m_arguments.json)
            print(QJsonDocument(list));
        else
            m_out << text;
        return 0;
    }

    Result<int> render() {
        const auto items = work();
        if (!items)
            return tl::unexpected(items.error());
        if (!QDir().mkpath(m_arguments.to))
            return failure(Said::tr("the folder could not be made"), m_arguments.to,
                           Said::tr("Choose another place."));
        const RenderSources sources = pictures();
        int number = 0;
        for (const Work& item : *items)
            for (const OutputSlides& output : item.slides.outputs) {
                if (output.output.name != m_arguments.output)
                    continue;
                for (int s = 0; s < int(output.slides.size()); ++s) {
                    const QString path = u"%1/%2-%3.png"_s.arg(m_arguments.to, output.output.name)
                                             .arg(++number, 3, 10, QLatin1Char('0'));
                    Scene scene = sceneOf(item.slides, output, s);
                    scene.look.backdrop.filmFrom += m_arguments.at; // a moment of what moves
                    for (SlideObject& object : scene.look.objects)
                        if (auto* film = std::get_if<FilmObject>(&object.what); film && m_arguments.at > 0)
                            film->from = film->to = film->from + m_arguments.at; // it and no other
                    if (!renderScene(scene, {}, sources).save(path))
                        return failure(Said::tr("the picture could not be written"), path,
                                       Said::tr("Check the free space."));
                }
            }
        m_out << Said::tr("%n pictures in %1", nullptr, number).arg(m_arguments.to) << u'\n';
        return 0;
    }

    const Arguments& m_arguments;
    QTextStream& m_out;
    std::unique_ptr<Library> m_library;
    FontMeasures m_measures;
};

} // namespace

int runCommand(const Arguments& arguments, QTextStream& out, QTextStream& err) {
    const auto code = CommandRun(arguments, out).run();
    if (code)
        return *code;
    err << u"mivanta-cli: "_s << code.error().text() << u'\n';
    return 1;
}

} // namespace mivanta
