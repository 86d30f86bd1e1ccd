// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/LookTarget.h"
#include "core/timing/GuessedLengths.h"
#include "session/work/FreezeWatch.h"
#include "session/work/Worker.h"
#include "store/Journal.h"
#include <QMap>
#include <QTimer>
#include <QUndoStack>

namespace mivanta {

/// The service being worked on: every change can be undone and is journalled within half a second. Files are
/// read and written on another thread. Lives on the GUI thread.
class ServiceDocument : public QObject {
    Q_OBJECT
public:
    /// `mediaFolder`: where its pictures and sounds are.
    ServiceDocument(const QString& mediaFolder, Journal journal, Theme usualTheme, QObject* parent = nullptr);
    ~ServiceDocument() override;

    [[nodiscard]] const Service& service() const { return m_service; }
    /// Its title as it is shown: also of one that has none yet.
    [[nodiscard]] QString shownTitle() const;
    [[nodiscard]] const QString& path() const { return m_file->path; }
    [[nodiscard]] bool isModified() const { return m_file->savedVersion != m_version; }
    [[nodiscard]] QUndoStack& undoStack() { return m_undo; }

    // Changes, each one undo step. `at` is an index in items; past the end means at the end.
    ItemId insert(int at, ItemWords words);
    ItemId insertHeading(int at, const QString& title);
    /// Items with their looks and plans, as they were copied; their ids must be new here.
    void insertItems(int at, std::vector<Item> items, const QString& what);
    /// Each of them once more, behind the last of them. The new ones.
    std::vector<ItemId> duplicate(const std::vector<ItemId>& ids);
    void remove(const std::vector<ItemId>& ids);
    /// Puts them one behind the other, where the first of them is, to stay together; at least two.
    void group(const std::vector<ItemId>& ids);
    /// They become members of the loop, behind those that are there.
    void putIntoLoop(const std::vector<ItemId>& ids, const ItemId& loop);
    /// Dissolves the groups that any of them is in.
    void ungroup(const std::vector<ItemId>& ids);
    /// A place to fill becomes what was chosen for it; its plan stays.
    void fill(const ItemId& slot, ItemWords words);
    /// What was chosen becomes places to fill again, named by what it was, as one step.
    void makeSlots(const std::vector<ItemId>& ids);
    /// Moves the items, in their order, to stand before what is at `to` now.
    void move(const std::vector<ItemId>& ids, int to);
    /// The words of an item become these, in this service only. Changes of one `visit` (not 0) that follow
    /// one another are one step.
    void change(const ItemId& id, ItemWords words, const QString& what, int visit = 0);
    [[nodiscard]] int startVisit() { return ++m_visits; }
    /// Changes the plans of these items; headings have none. `visit`: as change().
    void changePlan(const std::vector<ItemId>& ids, const std::function<void(ItemPlan&)>& change,
                    const QString& what, int visit = 0);
    /// Changes how these members stand in their loops.
    void changeInLoop(const std::vector<ItemId>& ids, const std::function<void(LoopPart&)>& change,
                      const QString& what, int visit = 0);
    /// Changes what is done with single slides of an item, and what the stage sees of it.
    void changeEdits(const std::vector<ItemId>& ids, const std::function<void(SlideEdits&)>& change,
                     const QString& what, int visit = 0);
    /// When it begins; an invalid time takes it away.
    void setStart(const QDateTime& start);
    /// What has a name of its own in the order: a heading, a note, a pause, a countdown, pictures.
    void rename(const ItemId& id, const QString& title);
    void setTitle(const QString& title);
    void setPlace(const QString& place);
    void setTheme(const Theme& theme);
    /// The service's copies of this theme become as it is.
    void updateTheme(const Theme& theme);
    /// That new services begin with.
    void setUsualTheme(const Theme& theme) { m_usualTheme = theme; }
    [[nodiscard]] const Theme& usualTheme() const { return m_usualTheme; }
    /// What is chosen for the target; `library`: where themes are copied from.
    void changeLook(const LookTarget& target, const std::vector<Theme>& library,
                    const std::function<void(LookChoice&)>& change, const QString& what, int visit = 0);

    // Another service is worked on from now on. That is one undo step, too: undo brings the old one back,
    // with its unsaved work and its own steps.
    void startNew();
    /// A new service made of another one: never saved, and to be saved.
    void startFrom(Service service);
    void open(const QString& path);
    /// What the library's media were called, by their names in the media folder; saved with those in use.
    void setMediaTitles(const QMap<QString, QString>& titles) { m_mediaTitles = titles; }
    [[nodiscard]] const QMap<QString, QString>& mediaTitles() const { return m_mediaTitles; }
    /// How long items usually take, from earlier services; times down the order follow it.
    void setUsualLengths(UsualLengths usual);
    [[nodiscard]] const UsualLengths& usualLengths() const { return m_usualLengths; }
    /// The times down the order as it is now; good until the next change.
    [[nodiscard]] const Timetable& timetable() const;
    /// The file holds media, too; it keeps doing so when it is saved.
    [[nodiscard]] bool isPacked() const { return m_file->isPacked; }
    /// Has other files of the media shown wherever these are, as one step.
    void replacePictures(const QMap<QString, QString>& instead);
    void save(const QString& path);
    /// Takes up what the journal holds: the last service, with the work that was not saved. Then recovered()
    /// follows; without a journal, nothingToRecover(). When the program did not answer when it ended,
    /// the journal is held back: heldBack() comes before nothingToRecover().
    void recover();
    /// Takes up what recover() held back.
    void takeUpHeldBack();
    /// Work is saved or given up: nothing to recover next time.
    void forgetJournal();
    /// Waits until the journal is on the disk (at the end of the program).
    void finishWriting();
    /// The same, and work goes on.
    void keepNow();

Q_SIGNALS:
    void changed();                         ///< the content or the title
    void stateChanged();                    ///< path or modified
    void opened();                          ///< another service is here now
    void broughtBack();                     ///< behind opened(): by undo or redo
    void packedOpened(const QString& path); ///< behind opened(): its media are still to be brought in
    void saved();
    void failed(const mivanta::Error& error);
    void newerFileTaken(); ///< before recovered(): the file had been changed since, and nothing was unsaved
    void recovered(bool hasUnsavedWork);
    void heldBack();
    void nothingToRecover();

private:
    class Change;
    class Opening;
    /// Where a service is kept and what of it. Answers that are on their way belong to the file that asked,
    /// whichever service is open by then.
    struct File {
        QString path;
        bool isPacked = false;
        int savedVersion = kNoVersion;
        /// As the file was read or written last; touched on the files' thread only, so that one save knows of
        /// the one before it.
        std::shared_ptr<std::optional<FileStamp>> stamp = std::make_shared<std::optional<FileStamp>>();
    };
    /// A service with what is known of its file.
    struct Held {
        Service service;
        std::shared_ptr<File> file;
        int version = 0;
    };
    static constexpr int kNoVersion = -1;

    void apply(Service next, const QString& what, int visit = 0);
    /// `what`: names the undo step; empty = there is nothing to go back to.
    void take(Service service, std::shared_ptr<File> file, bool isSaved, const QString& what);
    void exchange(Held& other);
    void show(const Service& service, int version);
    [[nodiscard]] bool isUntouched() const;
    [[nodiscard]] int newVersion() { return ++m_lastVersion; }
    void journalSoon();
    void writeJournal();

    Service m_service;
    Theme m_usualTheme;
    QString m_mediaFolder;
    QMap<QString, QString> m_mediaTitles;
    UsualLengths m_usualLengths;
    mutable GuessedLengths m_guesses;
    mutable std::optional<Timetable> m_timetable;
    std::shared_ptr<File> m_file = std::make_shared<File>();
    int m_version = 0; ///< names this content; the same when undo comes back to it
    int m_lastVersion = 0;
    int m_visits = 0;
    QUndoStack m_undo;
    QTimer m_journalSoon;
    std::shared_ptr<Journal> m_journal;
    std::unique_ptr<FreezeWatch> m_watch; ///< once the journal was looked at
    Worker m_files{QStringLiteral("files")};
};

} // namespace mivanta
