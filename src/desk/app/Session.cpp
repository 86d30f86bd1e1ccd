// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/Session.h"
#include "desk/app/KeptRun.h"
#include "desk/app/ScreenTexts.h"
#include "link/Detached.h"
#include "render/Fonts.h"
#include "store/LibraryClaim.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"
#include "store/Settings.h"
#include <QFileInfo>

namespace mivanta {

Session::Session(Options options, QObject* parent)
    : QObject(parent),
      m_options(std::move(options)),
      m_library(m_options.libraryFolder),
      m_document(m_options.libraryFolder, shippedThemes().front(), m_options.unsavedName),
      m_missing(m_document, m_options.libraryFolder),
      m_book(m_document, shippedThemes()),
      m_player({sessionFolder(m_options.libraryFolder),
                m_options.isSecond ? QString() : m_options.playerProgram,
                {!m_options.isSecond,
                 m_options.program,
                 {QStringLiteral("--library"), m_options.libraryFolder},
                 mediaFolderOf(m_options.libraryFolder),
                 pictureCacheFolder(m_options.libraryFolder)}}),
      m_run(m_book, m_document, m_player) {
    connect(&m_library, &LibraryClient::failed, this, &Session::problem);
    connect(&m_library, &LibraryClient::opened, this, &Session::loadThemes);
    connect(&m_library, &LibraryClient::changed, this, &Session::loadThemes);
    connect(&m_library, &LibraryClient::opened, this, &Session::loadMediaTitles);
    connect(&m_library, &LibraryClient::changed, this, &Session::loadMediaTitles);
    connect(&m_document, &ServiceDocument::packedOpened, this, &Session::bringInPacked);
    connect(&m_differences, &Differences::failed, this, &Session::problem);
    connect(&m_sounds, &ItemSounds::failed, this, &Session::problem);
    connect(&m_missing, &MissingFiles::failed, this, &Session::problem);
    connect(&m_missing, &MissingFiles::found, this, [this](int files) {
        Q_EMIT notice(files == 1 ? tr("A missing file was found and is in the library now.")
                                 : tr("%1 missing files were found and are in the library now.").arg(files));
        loadMediaTitles();
        tellMediaArrived();
    });
    connect(&m_document, &ServiceDocument::failed, this, &Session::problem);
    connect(&m_document, &ServiceDocument::heldBack, this, [this] {
        Q_EMIT offered(
            tr("Mivanta did not come up with the service that was open last, so it begins without it. "
               "Nothing of it is lost."),
            tr("Open it all the same"), [this] { m_document.takeUpHeldBack(); });
    });
    connect(&m_document, &ServiceDocument::newerFileTaken, this, [this] {
        Q_EMIT notice(
            tr("\u201c%1\u201d was changed elsewhere since it was last open here. It is shown as its "
               "file is now.")
                .arg(m_document.shownTitle()));
    });
    connect(&m_document, &ServiceDocument::recovered, this, &Session::serviceIsThere);
    connect(&m_document, &ServiceDocument::nothingToRecover, this, [this] { serviceIsThere(false); });
    connect(&m_player, &PlayerClient::placesChanged, this, &Session::takePlaces);
    connect(&m_player, &PlayerClient::refused, this, &Session::playerRefused);
    connect(&m_player, &PlayerClient::failed, this, [this](const QString& why) {
        Q_EMIT problem({why, {}, tr("Preparing works; nothing can be shown.")});
        m_welcomed = true; // prepare at least
        takeUpService();
    });
    connect(&m_run, &RunController::changed, this, &Session::noteSung);
    connect(&m_player, &PlayerClient::lost, this, [this] {
        if (!m_options.isSecond)
            Q_EMIT notice(tr("The screens were started again."));
    });
    connect(&m_player, &PlayerClient::talkedNonsense, this, [this] {
        Q_EMIT notice(tr("What the screens said made no sense, so they were asked again. They keep their "
                         "picture."));
    });
    connect(&m_player, &PlayerClient::screensTaken, this, [this] {
        Q_EMIT warning(tr("Another Mivanta, with another library, has the screens. Preparing works; nothing "
                          "can be shown from "
                          "here until that one has ended."));
    });
    connect(&m_player, &PlayerClient::stranger, this, [this] {
        Q_EMIT offered(tr("Mivanta was updated while it was running. The screens keep their picture, shown "
                          "by the version before, "
                          "until you start them anew."),
                       tr("Start the screens anew"), [this] { m_player.replaceStranger(); });
    });
    connect(&m_player, &PlayerClient::replaced, &m_run, &RunController::showAsIs);
    connect(&m_player, &PlayerClient::welcomed, this, [this](const QByteArray& kept) {
        if (!m_welcomed && !m_options.isSecond)
            m_kept = kept;
        m_welcomed = true;
        takeUpService();
    });
}

void Session::start() {
    loadFonts();
    m_welcomed = m_options.isSecond; // it waits for no player
    m_player.start();
    m_settings.run(
        this, [folder = m_options.libraryFolder] { return loadOutputs(folder); },
        [this](Result<std::vector<Output>> outputs) {
            if (!outputs)
                Q_EMIT problem(outputs.error());
            m_book.setOutputs(outputs ? *outputs : usualOutputs());
            m_player.setOutputs(m_book.outputs(), m_deskMonitor);
            m_outputsLoaded = true;
            takeUpService();
        });
    m_settings.run(
        this, [folder = m_options.libraryFolder] { return loadRunSettings(folder); },
        [this](const Result<RunSettings>& settings) {
            if (settings)
                m_run.setSettings(*settings);
            else
                Q_EMIT problem(settings.error());
        });
    m_library.open();
    connect(&m_battery, &Battery::changed, this, &Session::tellBattery);
    m_battery.start();
}

void Session::loadThemes() {
    using Loaded = std::pair<std::vector<Theme>, QString>; // with the usual one's id
    m_library.ask<Loaded>(
        this,
        [](Library& library) -> Result<Loaded> {
            auto themes = library.themes().all();
            if (!themes)
                return tl::unexpected(themes.error());
            const auto usual = library.themes().usual();
            return Loaded{std::move(*themes), usual.value_or(QString())};
        },
        [this](const Result<Loaded>& loaded) {
            if (!loaded) {
                Q_EMIT problem(loaded.error());
                return;
            }
            m_book.setThemes(loaded->first);
            if (const Theme* usual = themeOf(loaded->second, loaded->first))
                m_document.setUsualTheme(*usual);
        });
}

void Session::loadMediaTitles() {
    using Titles = QMap<QString, QString>;
    m_library.ask<Titles>(
        this,
        [](Library& library) -> Result<Titles> {
            const auto all = library.media().all();
            if (!all)
                return tl::unexpected(all.error());
            Titles titles;
            for (const StoredMedium& picture : *all)
                titles.insert(picture.name, picture.title);
            return titles;
        },
        [this](const Result<Titles>& titles) {
            if (titles)
                m_document.setMediaTitles(*titles);
        });
}

void Session::loadFonts() {
    loadFontsLater(fontsFolder(m_options.libraryFolder), this, [this](bool isAny) {
        if (isAny)
            m_book.remeasure();
    });
}

void Session::tellMediaArrived() {
    loadFonts();
    m_player.mediaArrived();
    m_book.remeasure();
    m_missing.look();
    Q_EMIT mediaArrived();
}

/// What came with a packed service becomes the library's, each file once. On a thread of its own: the
/// library's has to answer Find while large files come in.
void Session::bringInPacked(const QString& path) {
    m_unpacking.run(
        this,
        [path, folder = m_options.libraryFolder]() -> Result<UnpackedMedia> {
            const auto library = Library::open(folder);
            if (!library)
                return tl::unexpected(library.error());
            return bringInMedia(path, (*library)->media(), fontsFolder(folder));
        },
        [this](const Result<UnpackedMedia>& brought) {
            if (!brought) {
                Q_EMIT problem(brought.error());
            } else if (brought->added > 0) {
                Q_EMIT notice(brought->added == 1
                                  ? tr("A file came with the service and is in the library now.")
                                  : tr("%1 files came with the service and are in the library now.")
                                        .arg(brought->added));
                loadMediaTitles();
                tellMediaArrived();
            }
        });
}

/// Once the outputs are known and the player has said what it kept.
void Session::takeUpService() {
    if (!m_outputsLoaded || !m_welcomed || m_serviceAsked)
        return;
    m_serviceAsked = true;
    m_document.recover();
}

/// A song counts as sung once its words are to be seen.
void Session::noteSung() {
    const RunState& state = m_run.state();
    if (!state.onScreen || state.covers.curtain != Curtain::Open || state.onScreen->item == m_sung)
        return;
    const Service& service = m_document.service();
    const Item* item = service.item(state.onScreen->item);
    if (!item)
        item = m_book.unplannedItem(state.onScreen->item);
    const Song* song = item ? item->song() : nullptr;
    if (!song)
        return;
    m_sung = item->id;
    m_library.noteSung({song->id, song->title, service.id, service.title, QDateTime::currentDateTime()});
}

void Session::serviceIsThere(bool hasUnsavedWork) {
    const QString kept = keptRunFromJson(m_kept).desk;
    if (!m_kept.isEmpty())
        m_run.takeUp(m_kept);
    else
        m_run.begin();
    const bool wantsFile = !m_options.serviceFile.isEmpty() && m_kept.isEmpty();
    if (hasUnsavedWork && m_kept.isEmpty())
        Q_EMIT notice(wantsFile ? tr("Unsaved work from last time was found. Save it, then open %1.")
                                      .arg(m_options.serviceFile)
                                : tr("Unsaved work from last time was found and is here again."));
    else if (wantsFile)
        m_document.open(m_options.serviceFile);
    if (!m_options.isSecond && !m_options.program.isEmpty())
        lookForSecondWindow();
    if (!m_options.otherComputer.isEmpty())
        tellOther();
    Q_EMIT ready(!m_kept.isEmpty() ? kept : m_options.startOnRun ? QStringLiteral("run") : QString());
}

void Session::tellOther() {
    const bool isElsewhere =
        m_options.otherComputer != QSysInfo::machineHostName() && m_options.otherComputer != u"?";
    Q_EMIT notice(isElsewhere
                      ? tr("This library is open on %1, too. What is saved is shared; what is not saved "
                           "yet stays with each.")
                            .arg(m_options.otherComputer)
                      : tr("This library is open in another Mivanta, too. What is saved is shared; "
                           "what is not saved yet stays with each."));
}

QString Session::unsavedName(const QString& kind) const {
    return m_options.unsavedName.isEmpty() ? kind : kind + u'-' + m_options.unsavedName;
}

void Session::openSecondWindow(const DoorRequest& request) {
    const QString session = sessionFolder(m_options.libraryFolder);
    QStringList arguments{QStringLiteral("--library"), m_options.libraryFolder, QStringLiteral("--second")};
    arguments += argumentsFor(request);
    m_settings.run(
        this,
        [door = Door::pathOf(session, true), request, arguments, program = m_options.program, session] {
            return Door::knock(door, request) ||
                   startDetached(program, arguments, session + QStringLiteral("/second.log"));
        },
        [this](bool isThere) {
            if (!isThere)
                Q_EMIT problem({tr("The second window could not be opened"), m_options.program,
                                tr("Nothing was changed. Start Mivanta again, or install it anew.")});
        });
}

void Session::takeHandedOver(const QString& path) {
    m_settings.run(
        this,
        [path, folder = sessionFolder(m_options.libraryFolder)] {
            auto opened = openService(path);
            if (opened && QFileInfo(path).path() == folder)
                QFile::remove(path);
            return opened;
        },
        [this](Result<OpenedService> opened) {
            if (opened)
                m_document.startFrom(std::move(opened->service));
            else
                Q_EMIT problem(opened.error());
        });
}

/// One that died left its unsaved work behind: it comes back in a second window.
void Session::lookForSecondWindow() {
    m_settings.run(
        this,
        [folder = m_options.libraryFolder] {
            if (LibraryClaim::isTaken(folder, kSecondWindow)) // it is open, here or on another computer
                return false;
            const auto entry = Journal(folder, kSecondWindow).read();
            return entry && *entry && (*entry)->unsaved;
        },
        [this](bool hasWork) {
            if (!hasWork)
                return;
            Q_EMIT notice(
                tr("The second window was not closed last time; it is open again with its unsaved work."));
            openSecondWindow({});
        });
}

void Session::changeOutput(const Output& output) {
    std::vector<Output> outputs = m_book.outputs();
    for (Output& known : outputs)
        if (known.name == output.name)
            known = output;
    setOutputs(outputs);
}

QString Session::addOutput(OutputKind kind) {
    std::vector<Output> outputs = m_book.outputs();
    const auto all = usualOutputs();
    Output added =
        *std::find_if(all.begin(), all.end(), [&](const Output& usual) { return usual.kind == kind; });
    const auto isTaken = [&](const QString& name) {
        return std::any_of(outputs.begin(), outputs.end(), [&](const Output& o) { return o.name == name; });
    };
    const QString name = added.name;
    for (int number = 2; isTaken(added.name); ++number)
        added.name = name + u' ' + QString::number(number);
    outputs.push_back(added);
    setOutputs(outputs);
    return added.name;
}

void Session::removeOutput(const QString& name) {
    std::vector<Output> outputs = m_book.outputs();
    const auto at = std::find_if(outputs.begin(), outputs.end(),
                                 [&](const Output& output) { return output.name == name; });
    if (outputs.size() < 2 || at == outputs.end())
        return;
    const Output removed = *at;
    const auto place = at - outputs.begin();
    outputs.erase(at);
    setOutputs(outputs);
    Q_EMIT offered(tr("The output %1 was removed.").arg(removed.label()), tr("Put it back"),
                   [this, removed, place] {
                       std::vector<Output> all = m_book.outputs();
                       if (std::any_of(all.begin(), all.end(),
                                       [&](const Output& output) { return output.name == removed.name; }))
                           return;
                       all.insert(all.begin() + std::min<std::ptrdiff_t>(place, std::ssize(all)), removed);
                       setOutputs(all);
                       m_run.showNewOutputs();
                   });
}

void Session::setOutputs(const std::vector<Output>& outputs) {
    if (outputs == m_book.outputs())
        return;
    m_book.setOutputs(outputs);
    m_player.setOutputs(outputs, m_deskMonitor);
    m_settings.run(
        this, [folder = m_options.libraryFolder, outputs] { return saveOutputs(folder, outputs); },
        [this](const Result<void>& saved) {
            if (!saved)
                Q_EMIT problem(saved.error());
        });
}

bool Session::renameOutput(const QString& from, const QString& to) {
    std::vector<Output> outputs = m_book.outputs();
    const QString name = to.trimmed();
    if (name == from)
        return true;
    for (const Output& output : outputs)
        if (name.isEmpty() || output.name == name)
            return false;
    for (Output& output : outputs)
        if (output.name == from)
            output.name = name;
    m_run.renameOutput(from, name);
    setOutputs(outputs);
    m_run.showAsIs();
    return true;
}

/// Tells what has become of outputs whose monitor came or went.
void Session::takePlaces(const std::vector<Monitor>& monitors, const std::vector<Placement>& placements) {
    const QString mirrored = mirrorText(monitors);
    if (!mirrored.isEmpty() && mirrored != mirrorText(m_monitors))
        Q_EMIT warning(mirrored);
    m_monitors = monitors;
    m_placements = placements;
    const auto isConnected = [&](const QString& name) {
        return std::any_of(monitors.begin(), monitors.end(),
                           [&](const Monitor& m) { return m.name == name; });
    };
    const std::vector<Output>& outputs = m_book.outputs();
    for (size_t i = 0; i < std::min(outputs.size(), placements.size()); ++i) {
        const Placement& now = placements[i];
        const auto known = m_placedLast.find(outputs[i].name);
        const Placement before = known == m_placedLast.end() ? Placement() : known->second;
        m_placedLast[outputs[i].name] = now;
        if (now.kind == Placement::Kind::Missing && before.kind == Placement::Kind::FullScreen &&
            !isConnected(before.monitor)) // else it mirrors another one, which was said
            Q_EMIT warning(
                tr("The screen of %1 was unplugged (%2). The other outputs go on; its picture comes "
                   "back when the screen does.")
                    .arg(outputs[i].label(), now.monitor));
        else if (now.kind == Placement::Kind::FullScreen && before.kind == Placement::Kind::FullScreen &&
                 !isConnected(before.monitor))
            Q_EMIT warning(
                tr("The screen of %1 was unplugged (%2). Its picture is on %3 until it comes back.")
                    .arg(outputs[i].label(), before.monitor, now.monitor));
        else if (now.kind == Placement::Kind::FullScreen && before.kind == Placement::Kind::Missing)
            Q_EMIT notice(tr("%1 is back on its screen: %2.").arg(outputs[i].label(), now.monitor));
    }
    Q_EMIT placesChanged();
}

void Session::changeRunSettings(const RunSettings& settings) {
    if (settings == m_run.settings())
        return;
    m_run.setSettings(settings);
    m_settings.run(
        this, [folder = m_options.libraryFolder, settings] { return saveRunSettings(folder, settings); },
        [this](const Result<void>& saved) {
            if (!saved)
                Q_EMIT problem(saved.error());
        });
}

void Session::setDeskMonitor(const QString& name) {
    if (name == m_deskMonitor)
        return;
    m_deskMonitor = name;
    if (m_outputsLoaded)
        m_player.setOutputs(m_book.outputs(), m_deskMonitor);
}

void Session::tellBattery(const BatteryState& state) {
    if (!state.isDischarging || state.level == BatteryState::Level::Fine)
        return;
    Q_EMIT warning(
        state.level == BatteryState::Level::Critical
            ? tr("The battery is nearly empty (%1 %). Plug this computer in now: the screens go dark "
                 "with it. The service is kept, saved or not.")
                  .arg(state.percent)
            : tr("The battery is low (%1 %). Plug this computer in.").arg(state.percent));
}

void Session::keepForNextTime() {
    m_document.keepNow();
}

void Session::quit() {
    if (!m_document.isModified())
        m_document.finishWriting();
    m_player.quit();
}

} // namespace mivanta
