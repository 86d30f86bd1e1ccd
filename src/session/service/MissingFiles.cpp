// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/MissingFiles.h"
#include "media/MediumLook.h"
#include "store/Library.h"
#include "store/ServicePack.h"
#include <QDir>
#include <QFileInfo>
#include <QStandardPaths>

namespace mivanta {

namespace {

QStringList usualFolders() {
    QStringList folders;
    for (const auto place : {QStandardPaths::PicturesLocation, QStandardPaths::MoviesLocation,
                             QStandardPaths::MusicLocation, QStandardPaths::DownloadLocation,
                             QStandardPaths::DocumentsLocation, QStandardPaths::DesktopLocation})
        for (const QString& folder : QStandardPaths::standardLocations(place))
            if (QDir(folder) != QDir::home()) // what has no folder of its own stands for the home folder
                folders << folder;
    return folders;
}

} // namespace

struct MissingFiles::Job {
    Service service{};
    LibraryAddress library{};
    QStringList folders{};
    QString chosenFor{}; ///< the missing one that a file was chosen for; may be empty
    QString chosen{};
    int search = 0;
};

struct MissingFiles::Found {
    int search = 0;
    int brought = 0;
    QMap<QString, QString> instead; ///< missing name → the name of what was brought in for it
    std::vector<Entry> still;
    std::vector<Error> errors;

    void bringIn(Library& library, const QString& name, const QString& path) {
        const auto fine = lookAtMedium(path, mediumKindOf(name).value_or(MediumKind::Picture));
        const auto medium =
            fine ? library.media().bringIn(path) : Result<StoredMedium>(tl::unexpected(fine.error()));
        if (!medium) {
            errors.push_back(medium.error());
            return;
        }
        instead.insert(name, medium->name); // another name when its content is another
        ++brought;
    }
    void leaveOut(std::vector<MediaFact>& missing) const {
        std::erase_if(missing, [&](const MediaFact& fact) { return instead.contains(fact.name); });
    }
};

MissingFiles::MissingFiles(ServiceDocument& document, LibraryAddress library, QObject* parent)
    : QObject(parent),
      m_document(document),
      m_library(std::move(library)),
      m_known(usualFolders()) {
    connect(&m_document, &ServiceDocument::opened, this, &MissingFiles::look);
    connect(&m_document, &ServiceDocument::changed, this, [this] {
        if (mediaOf(m_document.service()) != m_looked)
            look();
    });
}

MissingFiles::~MissingFiles() {
    stop();
    m_worker.finish();
}

void MissingFiles::stop() {
    *m_wanted = ++m_search;
    if (std::exchange(m_isSearching, false))
        Q_EMIT changed();
}

void MissingFiles::look() {
    run({});
}

void MissingFiles::lookIn(const QString& folder) {
    m_added.removeAll(folder);
    m_added.prepend(folder);
    run({});
}

void MissingFiles::use(const QString& name, const QString& path) {
    Job job;
    job.chosenFor = name;
    job.chosen = path;
    run(std::move(job));
}

void MissingFiles::run(Job job) {
    job.service = m_document.service();
    m_looked = mediaOf(job.service);
    job.library = m_library;
    job.folders = m_added + m_watched + m_known;
    if (!m_document.path().isEmpty())
        job.folders.prepend(QFileInfo(m_document.path()).path());
    job.search = ++m_search;
    *m_wanted = m_search;
    m_isSearching = true;
    Q_EMIT changed();
    m_worker.run(
        this,
        [job, wanted = m_wanted]() -> Found {
            Found result;
            result.search = job.search;
            auto missing = missingMedia(job.service, job.library.mediaFolder());
            if (missing.empty())
                return result;
            const auto library = Library::open(job.library);
            if (!library) {
                result.errors.push_back(library.error());
                return result;
            }
            const auto goOn = [&] { return *wanted == job.search; };
            if (!job.chosen.isEmpty()) {
                result.bringIn(**library, job.chosenFor, job.chosen);
                result.leaveOut(missing);
                if (result.errors.empty())
                    for (const MediaMatch& match : findMedia(missing, {QFileInfo(job.chosen).path()}, goOn))
                        result.bringIn(**library, match.name, match.path);
                result.leaveOut(missing);
            }
            const auto matches = findMedia(missing, job.folders, goOn);
            for (const MediaMatch& match : matches)
                if (match.isSame)
                    result.bringIn(**library, match.name, match.path);
            result.leaveOut(missing);
            for (const MediaFact& fact : missing) {
                const auto match = std::find_if(matches.begin(), matches.end(),
                                                [&](const auto& m) { return m.name == fact.name; });
                result.still.push_back({fact, match == matches.end() ? QString() : match->path});
            }
            return result;
        },
        [this](const Found& found) { take(found); });
}

void MissingFiles::take(const Found& result) {
    for (const Error& error : result.errors)
        Q_EMIT failed(error);
    m_document.replacePictures(result.instead);
    if (result.brought > 0)
        Q_EMIT found(result.brought);
    if (result.search != m_search)
        return; // a later one is at work
    m_all = result.still;
    m_isSearching = false;
    Q_EMIT changed();
}

} // namespace mivanta

#include "moc_MissingFiles.cpp"
