// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Folders.h"
#include "session/library/Unsaved.h"
#include <QString>
#include <QStringList>
#include <optional>

class QPrinter;
class QWidget;

namespace mivanta {

/// Every question that the desks ask in a dialog, so that tests can answer them.
class Prompts {
public:
    virtual ~Prompts() = default;

    /// Empty when given up.
    [[nodiscard]] virtual QString serviceToOpen() = 0;
    [[nodiscard]] virtual QString whereToSave(const QString& suggestedName) = 0;
    [[nodiscard]] virtual QStringList songFilesToImport() = 0;
    [[nodiscard]] virtual QString songFolderToImport() = 0;
    [[nodiscard]] virtual QString whereToExport(const QString& suggestedName) = 0;
    [[nodiscard]] virtual QString folderToSendTo() = 0;
    /// Sets the printer up; false when given up.
    [[nodiscard]] virtual bool choosePrinter(QPrinter& printer) = 0;
    [[nodiscard]] virtual QString text(const QString& question, const QString& before) = 0;
    /// What a text that is being placed wants to know; nothing when given up.
    [[nodiscard]] virtual std::optional<QString> answer(const QString& title, const QString& question) = 0;
    [[nodiscard]] virtual QString scriptureFileToImport() = 0;
    [[nodiscard]] virtual QString scriptureFolderToImport() = 0;
    [[nodiscard]] virtual QStringList textFilesToImport() = 0;
    [[nodiscard]] virtual QStringList themeFilesToImport() = 0;
    [[nodiscard]] virtual QString pictureToChoose() = 0;
    [[nodiscard]] virtual QStringList picturesToChoose() = 0;
    [[nodiscard]] virtual QStringList filmsToChoose() = 0;
    [[nodiscard]] virtual QString soundToChoose() = 0;
    [[nodiscard]] virtual QStringList soundsToChoose() = 0;
    /// Pictures, films and sounds.
    [[nodiscard]] virtual QStringList mediaToChoose() = 0;
    [[nodiscard]] virtual QString folderToWatch() = 0;
    [[nodiscard]] virtual QString folderToRecordInto() = 0;
    /// An image of a video disc, or the folder that has its files.
    [[nodiscard]] virtual QString discImage() = 0;
    [[nodiscard]] virtual QString discFolder() = 0;
    /// For files that are missing.
    [[nodiscard]] virtual QString folderToLookIn() = 0;
    /// `warning`: who uses it.
    [[nodiscard]] virtual bool deleteTheme(const QString& name, const QString& warning) = 0;

    using Unsaved = mivanta::Unsaved;
    [[nodiscard]] virtual Unsaved unsavedWork(const QString& service) = 0;
    /// A song, a text or a theme of the library.
    [[nodiscard]] virtual Unsaved unsavedRecord(const QString& title) = 0;
    /// `what` is to be removed for good, such as "2 texts".
    [[nodiscard]] virtual bool removeForGood(const QString& what) = 0;
    enum class HowToPack { NotAtAll, Whole, OnlyParts };
    /// `what`: what packing takes along, and how large that is; `parts`: what is saved when of films only the
    /// parts that are played go along, empty = nothing.
    [[nodiscard]] virtual HowToPack packNow(const QString& what, const QString& parts) = 0;
    /// A question whose usual answer is no; `yes`: what the other button says.
    [[nodiscard]] virtual bool agree(const QString& question, const QString& yes) = 0;
    /// A film is put into a loop: in which rounds it comes, 1 = in each; nothing when given up. `films`: how
    /// many.
    [[nodiscard]] virtual std::optional<int> everyRounds(const QString& film, int films) = 0;
    [[nodiscard]] virtual QString folderOfLoop() = 0;
    enum class WhileOnScreen { Stay, SecondWindow, ChangeOver };
    /// The service `running` is on the screens and `other` is to be opened.
    [[nodiscard]] virtual WhileOnScreen openWhileOnScreen(const QString& running, const QString& other) = 0;
    /// While something is on screen: really let the desktop end?
    [[nodiscard]] virtual bool logOutWhileOnScreen() = 0;
    /// While something is on screen: really end?
    [[nodiscard]] virtual bool quitWhileOnScreen() = 0;
};

/// Asks in real dialogs over the window.
class DialogPrompts : public Prompts {
public:
    explicit DialogPrompts(QWidget* window) : m_window(window) {}
    [[nodiscard]] QString serviceToOpen() override;
    [[nodiscard]] QString whereToSave(const QString& suggestedName) override;
    [[nodiscard]] QStringList songFilesToImport() override;
    [[nodiscard]] QString songFolderToImport() override;
    [[nodiscard]] QString whereToExport(const QString& suggestedName) override;
    [[nodiscard]] QString folderToSendTo() override;
    [[nodiscard]] bool choosePrinter(QPrinter& printer) override;
    [[nodiscard]] QString text(const QString& question, const QString& before) override;
    [[nodiscard]] std::optional<QString> answer(const QString& title, const QString& question) override;
    [[nodiscard]] QString scriptureFileToImport() override;
    [[nodiscard]] QString scriptureFolderToImport() override;
    [[nodiscard]] QStringList textFilesToImport() override;
    [[nodiscard]] QStringList themeFilesToImport() override;
    [[nodiscard]] QString pictureToChoose() override;
    [[nodiscard]] QStringList picturesToChoose() override;
    [[nodiscard]] QStringList filmsToChoose() override;
    [[nodiscard]] QString soundToChoose() override;
    [[nodiscard]] QStringList soundsToChoose() override;
    [[nodiscard]] QStringList mediaToChoose() override;
    [[nodiscard]] QString folderToWatch() override;
    [[nodiscard]] QString folderToRecordInto() override;
    [[nodiscard]] QString discImage() override;
    [[nodiscard]] QString discFolder() override;
    [[nodiscard]] QString folderToLookIn() override;
    [[nodiscard]] bool deleteTheme(const QString& name, const QString& warning) override;
    [[nodiscard]] Unsaved unsavedWork(const QString& service) override;
    [[nodiscard]] Unsaved unsavedRecord(const QString& title) override;
    [[nodiscard]] bool removeForGood(const QString& what) override;
    [[nodiscard]] HowToPack packNow(const QString& what, const QString& parts) override;
    [[nodiscard]] bool agree(const QString& question, const QString& yes) override;
    [[nodiscard]] std::optional<int> everyRounds(const QString& film, int films) override;
    [[nodiscard]] QString folderOfLoop() override;
    [[nodiscard]] WhileOnScreen openWhileOnScreen(const QString& running, const QString& other) override;
    [[nodiscard]] bool logOutWhileOnScreen() override;
    [[nodiscard]] bool quitWhileOnScreen() override;

private:
    [[nodiscard]] QString fileToOpen(FolderKind kind, const QString& title, const QString& filter);
    [[nodiscard]] QStringList filesToOpen(FolderKind kind, const QString& title, const QString& filter);
    [[nodiscard]] QString folderToOpen(FolderKind kind, const QString& title);
    [[nodiscard]] QString fileToWrite(FolderKind kind, const QString& title, const QString& suggestedName,
                                      const QString& filter);

    QWidget* m_window;
};

} // namespace mivanta
