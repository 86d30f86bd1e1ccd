// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/Session.h"
#include "session/run/KeptRun.h"
#include "store/ShippedThemes.h"
#include <QFileInfo>
#include <algorithm>

namespace mivanta {

Session::Session(Options options, QObject* parent)
    : QObject(parent),
      m_options(std::move(options)),
      m_library(m_options.library),
      m_document(m_options.library.mediaFolder(),
                 Journal(m_options.computer.unsavedFolder(m_options.library), m_options.unsavedName,
                         m_options.library.folder()),
                 shippedThemes().front()),
      m_missing(m_document, m_options.library),
      m_book(m_document, shippedThemes()),
      m_player({sessionFolder(m_options.library.folder()),
                m_options.isSecond ? QString() : m_options.playerProgram,
                {!m_options.isSecond, m_options.program, m_options.arguments(),
                 m_options.library.mediaFolder(), m_options.library.pictureCacheFolder()}}),
      m_run(m_book, m_document, m_player),
      m_outputs(m_book, m_run, m_player, m_options.computer, m_options.library),
      m_liveInputs(m_player, m_options.computer, m_options.library.pictureCacheFolder()),
      m_supplies(m_library, m_document, m_book, m_missing),
      m_secondWindow(m_options.program, m_options.arguments(), m_options.library, m_options.computer) {
    const auto gainOf = [this](const QString& medium) { return m_media.gainOf(medium); };
    m_run.setGainOf(gainOf);
    m_sounds.setGainOf(gainOf);
    m_book.setProblemOf([this](const Item& item, int still) { return problemOf(item, still); });
    tellOfLibrary();
    tellOfDocument();
    tellOfPlayer();
    tellOfSound();
    connect(&m_outputs, &Outputs::loaded, this, &Session::takeUpService);
    connect(&m_battery, &Battery::changed, this, [this](const BatteryState& state) {
        if (const QString text = batteryWarning(state); !text.isEmpty())
            Q_EMIT warning(text);
    });
}

/// What an item, or a picture of its set, needs and is not here; as it was found when it was looked for,
/// which is not on this thread.
QString Session::problemOf(const Item& item, int still) const {
    if (const auto* live = std::get_if<LiveItem>(&item.words))
        return m_liveInputs.find(live->input) ? QString() : tr("its live input is not set up here");
    QString name;
    if (const auto* set = std::get_if<PictureItem>(&item.words);
        set && still >= 0 && still < int(set->pictures.size()))
        name = set->pictures[size_t(still)].name;
    else if (const auto* film = std::get_if<FilmItem>(&item.words))
        name = film->name;
    const auto& missing = m_missing.all();
    const bool isMissing = std::any_of(missing.begin(), missing.end(), [&](const MissingFiles::Entry& entry) {
        return entry.fact.name == name;
    });
    return isMissing ? tr("its file is not on this computer") : QString();
}

void Session::tellOfLibrary() {
    connect(&m_library, &LibraryClient::failed, this, &Session::problem);
    connect(&m_differences, &Differences::failed, this, &Session::problem);
    connect(&m_missing, &MissingFiles::failed, this, &Session::problem);
    connect(&m_media, &MediaBook::problem, this, &Session::problem);
    connect(&m_folders, &FolderWatch::problem, this, &Session::problem);
    connect(&m_loopFolders, &LoopFolders::problem, this, &Session::problem);
    connect(&m_folders, &FolderWatch::notice, this, &Session::notice);
    connect(&m_folders, &FolderWatch::changed, this, [this] {
        QStringList here;
        for (const FolderWatch::Entry& entry : m_folders.all())
            if (entry.isHere)
                here << entry.folder.path;
        m_missing.setWatchedFolders(here);
    });
    connect(&m_supplies, &Supplies::problem, this, &Session::problem);
    connect(&m_supplies, &Supplies::notice, this, &Session::notice);
    connect(&m_supplies, &Supplies::mediaArrived, &m_player, &PlayerClient::mediaArrived);
    connect(&m_supplies, &Supplies::mediaArrived, this, &Session::mediaArrived);
    connect(&m_secondWindow, &SecondWindow::problem, this, &Session::problem);
    connect(&m_secondWindow, &SecondWindow::notice, this, &Session::notice);
}

void Session::tellOfDocument() {
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
}

/// Where sound is heard, and when that goes or comes back.
void Session::tellOfSound() {
    connect(&m_run, &RunController::settingsChanged, this, [this] {
        m_player.setSoundDevice(m_run.settings().soundDevice);
        m_recordings.setFolder(m_run.settings().recordingFolder);
    });
    connect(&m_player, &PlayerClient::soundDevicesChanged, this, [this] {
        const bool isThere = m_player.soundDevices().isChosenThere;
        if (std::exchange(m_hasSoundDevice, isThere) == isThere)
            return;
        if (isThere)
            Q_EMIT notice(tr("The chosen loudspeakers are back: sound goes there again."));
        else
            Q_EMIT warning(tr("The chosen loudspeakers are not there: sound goes to the usual ones of this "
                              "computer until they come back."));
    });
}

void Session::tellOfPlayer() {
    connect(&m_sounds, &ItemSounds::failed, this, &Session::problem);
    connect(&m_film, &RunFilm::failed, this, &Session::problem);
    connect(&m_loop, &RunLoop::failed, this, &Session::problem);
    connect(&m_arming, &LoopArming::failed, this, &Session::problem);
    connect(&m_arming, &LoopArming::notice, this, &Session::warning);
    connect(&m_outputs, &Outputs::problem, this, &Session::problem);
    connect(&m_outputs, &Outputs::notice, this, &Session::notice);
    connect(&m_outputs, &Outputs::warning, this, &Session::warning);
    connect(&m_outputs, &Outputs::offered, this, &Session::offered);
    connect(&m_liveInputs, &LiveInputs::firstPictureKept, this, &Session::mediaArrived);
    connect(this, &Session::mediaArrived, &m_contrasts, &Contrasts::forget);
    connect(&m_liveInputs, &LiveInputs::problem, this, &Session::problem);
    connect(&m_liveInputs, &LiveInputs::offered, this, &Session::offered);
    connect(&m_liveOnScreen, &LiveOnScreen::offered, this, &Session::offered);
    connect(&m_recordings, &Recordings::notice, this, &Session::notice);
    connect(&m_recordings, &Recordings::problem, this, &Session::problem);
    connect(&m_player, &PlayerClient::refused, this, &Session::playerRefused);
    connect(&m_player, &PlayerClient::failed, this, [this](const QString& why) {
        Q_EMIT problem({why, {}, tr("Preparing works; nothing can be shown.")});
        m_welcomed = true; // prepare at least
        takeUpService();
    });
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
                          "can be shown from here until that one has ended."));
    });
    connect(&m_player, &PlayerClient::stranger, this, [this] {
        Q_EMIT offered(tr("Mivanta was updated while it was running. The screens keep their picture, shown "
                          "by the version before, until you start them anew."),
                       tr("Start the screens anew"), [this] { m_player.replaceStranger(); });
    });
    connect(&m_player, &PlayerClient::replaced, &m_run, &RunController::showAsIs);
    connect(&m_player, &PlayerClient::welcomed, this, &Session::takeWelcome);
}

void Session::takeWelcome(const QByteArray& kept) {
    if (!m_welcomed && !m_options.isSecond)
        m_kept = kept;
    m_welcomed = true;
    takeUpService();
}

void Session::start() {
    m_supplies.loadFonts();
    m_welcomed = m_options.isSecond; // it waits for no player
    m_player.start();
    m_outputs.load();
    m_liveInputs.load();
    loadRunSettings();
    m_library.open();
    m_folders.load();
    m_battery.start();
}

void Session::loadRunSettings() {
    m_settings.run(
        this,
        [computer = m_options.computer, library = m_options.library] {
            return computer.runSettings(library);
        },
        [this](const Result<RunSettings>& settings) {
            if (settings)
                m_run.setSettings(*settings);
            else
                Q_EMIT problem(settings.error());
        });
}

/// Once the outputs are known and the player has said what it kept.
void Session::takeUpService() {
    if (!m_outputs.isLoaded() || !m_welcomed || m_serviceAsked)
        return;
    m_serviceAsked = true;
    m_document.recover();
}

void Session::serviceIsThere(bool hasUnsavedWork) {
    const QString kept = keptRunFromJson(m_kept).desk;
    if (!m_kept.isEmpty())
        m_run.takeUp(m_kept);
    else
        m_run.begin();
    const bool wantsFile = !m_options.serviceFile.isEmpty() && m_kept.isEmpty();
    if (!m_options.isSecond && m_kept.isEmpty()) {
        if (wantsFile && !hasUnsavedWork)
            connect(&m_document, &ServiceDocument::opened, &m_arming, &LoopArming::armAtStart,
                    Qt::SingleShotConnection);
        else
            m_arming.armAtStart();
    }
    if (hasUnsavedWork && m_kept.isEmpty())
        Q_EMIT notice(wantsFile ? tr("Unsaved work from last time was found. Save it, then open %1.")
                                      .arg(m_options.serviceFile)
                                : tr("Unsaved work from last time was found and is here again."));
    else if (wantsFile)
        m_document.open(m_options.serviceFile);
    if (!m_options.isSecond && !m_options.program.isEmpty())
        m_secondWindow.reopenLeft();
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

QStringList Session::Options::arguments() const {
    return {QStringLiteral("--library"), library.text(), QStringLiteral("--computer"), computer.folder()};
}

UnsavedFile Session::unsavedFile(const QString& kind) const {
    return {m_options.computer.unsavedFolder(m_options.library),
            m_options.unsavedName.isEmpty() ? kind : kind + u'-' + m_options.unsavedName,
            m_options.library.folder()};
}

void Session::takeHandedOver(const QString& path) {
    m_settings.run(
        this,
        [path, folder = sessionFolder(m_options.library.folder())] {
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

void Session::changeRunSettings(const RunSettings& settings) {
    if (settings == m_run.settings())
        return;
    m_run.setSettings(settings);
    m_settings.run(
        this, [computer = m_options.computer, settings] { return computer.saveRunSettings(settings); },
        [this](const Result<void>& saved) {
            if (!saved)
                Q_EMIT problem(saved.error());
        });
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

#include "moc_Session.cpp"
