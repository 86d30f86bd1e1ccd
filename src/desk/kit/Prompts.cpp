// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Prompts.h"
#include "core/base/FileName.h"
#include "core/base/Said.h"
#include "core/media/MediumKind.h"
#include "desk/kit/Shortened.h"
#include "media/FilmFormat.h"
#include "media/PictureProxies.h"
#include "media/Sound.h"
#include <QFileDialog>
#include <QInputDialog>
#include <QMessageBox>
#include <QPrintDialog>
#include <QPushButton>

namespace mivanta {

/// Dialogs that begin where the last file of their kind was.
QString DialogPrompts::fileToOpen(FolderKind kind, const QString& title, const QString& filter) {
    QString path = QFileDialog::getOpenFileName(m_window, title, folderFor(kind), filter);
    noteFile(kind, path);
    return path;
}

QStringList DialogPrompts::filesToOpen(FolderKind kind, const QString& title, const QString& filter) {
    QStringList paths = QFileDialog::getOpenFileNames(m_window, title, folderFor(kind), filter);
    noteFile(kind, paths.value(0));
    return paths;
}

QString DialogPrompts::folderToOpen(FolderKind kind, const QString& title) {
    QString path = QFileDialog::getExistingDirectory(m_window, title, folderFor(kind));
    noteFolder(kind, path);
    return path;
}

/// `suggestedName`: a title with a suffix.
QString DialogPrompts::fileToWrite(FolderKind kind, const QString& title, const QString& suggestedName,
                                   const QString& filter) {
    const QString suffix = suggestedName.section(u'.', -1);
    const QString name = fileNameOf(suggestedName.chopped(suffix.size() + 1)) + u'.' + suffix;
    QString path = QFileDialog::getSaveFileName(m_window, title, folderFor(kind) + u'/' + name, filter);
    noteFile(kind, path);
    return path;
}

QString DialogPrompts::serviceToOpen() {
    return fileToOpen(FolderKind::Services, Said::tr("Open a service"), Said::tr("Services (*.mivanta)"));
}

QString DialogPrompts::whereToSave(const QString& suggestedName) {
    QString path = fileToWrite(FolderKind::Services, Said::tr("Save the service"), suggestedName,
                               Said::tr("Services (*.mivanta)"));
    if (!path.isEmpty() && !path.endsWith(QLatin1String(".mivanta")))
        path += QStringLiteral(".mivanta");
    return path;
}

QStringList DialogPrompts::songFilesToImport() {
    return filesToOpen(
        FolderKind::Songs, Said::tr("Bring in song files"),
        Said::tr("Songs (*.cho *.chordpro *.chopro *.crd *.chord *.txt *.text *.csv *.rtf *.odt *.docx *.odp "
                 "*.pptx);;All files (*)"));
}

QString DialogPrompts::songFolderToImport() {
    return folderToOpen(FolderKind::Songs, Said::tr("Bring in a folder of songs"));
}

QString DialogPrompts::text(const QString& question, const QString& before) {
    bool ok = false;
    const QString answer =
        QInputDialog::getText(m_window, QStringLiteral("Mivanta"), question, QLineEdit::Normal, before, &ok);
    return ok ? answer.trimmed() : QString();
}

std::optional<QString> DialogPrompts::answer(const QString& title, const QString& question) {
    bool ok = false;
    const QString answer =
        QInputDialog::getText(m_window, title, question + QStringLiteral(":"), QLineEdit::Normal, {}, &ok);
    return ok ? std::optional(answer.trimmed()) : std::nullopt;
}

QString DialogPrompts::scriptureFileToImport() {
    return fileToOpen(FolderKind::Scripture, Said::tr("Bring in a translation"),
                      Said::tr("Scripture (*.usfm *.sfm *.xml *.osis *.txt *.zip);;All files (*)"));
}

QString DialogPrompts::scriptureFolderToImport() {
    return folderToOpen(FolderKind::Scripture, Said::tr("Bring in a translation from a folder"));
}

QStringList DialogPrompts::textFilesToImport() {
    return filesToOpen(FolderKind::Texts, Said::tr("Bring in texts"),
                       Said::tr("Texts (*.txt *.text);;All files (*)"));
}

QStringList DialogPrompts::themeFilesToImport() {
    return filesToOpen(FolderKind::Themes, Said::tr("Bring in themes"),
                       Said::tr("Themes (*.mivanta-theme *.json);;All files (*)"));
}

QString DialogPrompts::pictureToChoose() {
    return fileToOpen(
        FolderKind::Pictures, Said::tr("Choose a picture"),
        Said::tr("Pictures (*.%1);;All files (*)").arg(pictureSuffixes().join(QStringLiteral(" *."))));
}

QStringList DialogPrompts::picturesToChoose() {
    return filesToOpen(
        FolderKind::Pictures, Said::tr("Choose pictures"),
        Said::tr("Pictures (*.%1);;All files (*)").arg(pictureSuffixes().join(QStringLiteral(" *."))));
}

QStringList DialogPrompts::filmsToChoose() {
    return filesToOpen(
        FolderKind::Films, Said::tr("Choose films"),
        Said::tr("Films (*.%1);;All files (*)").arg(filmSuffixes().join(QStringLiteral(" *."))));
}

QString DialogPrompts::soundToChoose() {
    return fileToOpen(
        FolderKind::Sounds, Said::tr("Choose a sound"),
        Said::tr("Sounds (*.%1);;All files (*)").arg(soundSuffixes().join(QStringLiteral(" *."))));
}

QStringList DialogPrompts::soundsToChoose() {
    return filesToOpen(
        FolderKind::Sounds, Said::tr("Choose music"),
        Said::tr("Sounds (*.%1);;All files (*)").arg(soundSuffixes().join(QStringLiteral(" *."))));
}

QStringList DialogPrompts::mediaToChoose() {
    const QStringList all = pictureSuffixes() + filmSuffixes() + soundSuffixes();
    return filesToOpen(
        FolderKind::Pictures, Said::tr("Bring in pictures, films and sounds"),
        Said::tr("Pictures, films, sounds (*.%1);;All files (*)").arg(all.join(QStringLiteral(" *."))));
}

QString DialogPrompts::folderToRecordInto() {
    return folderToOpen(FolderKind::Films, Said::tr("Where recordings are put"));
}

QString DialogPrompts::folderToWatch() {
    return folderToOpen(FolderKind::Pictures,
                        Said::tr("Watch a folder: its media are shown with the library's"));
}

QString DialogPrompts::discImage() {
    return fileToOpen(FolderKind::Films, Said::tr("Choose the image of a video disc"),
                      Said::tr("Images of discs (*.iso *.img *.udf);;All files (*)"));
}

QString DialogPrompts::discFolder() {
    return folderToOpen(FolderKind::Films, Said::tr("Choose the folder of a video disc"));
}

QString DialogPrompts::folderToLookIn() {
    return folderToOpen(FolderKind::Missing, Said::tr("Where to look for the missing files"));
}

bool DialogPrompts::deleteTheme(const QString& name, const QString& warning) {
    return QMessageBox::question(
               m_window, QStringLiteral("Mivanta"),
               Said::tr("Put the theme \u201c%1\u201d into the bin?\n\n%2").arg(name, warning)) ==
           QMessageBox::Yes;
}

QString DialogPrompts::whereToExport(const QString& suggestedName) {
    return fileToWrite(FolderKind::Exports, Said::tr("Write a file"), suggestedName, {});
}

QString DialogPrompts::folderToSendTo() {
    return folderToOpen(FolderKind::Exports, Said::tr("Write the songs into a folder"));
}

bool DialogPrompts::choosePrinter(QPrinter& printer) {
    return QPrintDialog(&printer, m_window).exec() == QDialog::Accepted;
}

namespace {

Prompts::Unsaved askUnsaved(QWidget* window, const QString& question, const QString& giveUpText) {
    QMessageBox box(QMessageBox::Question, QStringLiteral("Mivanta"), question, QMessageBox::NoButton,
                    window);
    const auto* save = box.addButton(Said::tr("Save"), QMessageBox::AcceptRole);
    const auto* giveUp = box.addButton(giveUpText, QMessageBox::DestructiveRole);
    box.addButton(Said::tr("Cancel"), QMessageBox::RejectRole);
    box.exec();
    return box.clickedButton() == save     ? Prompts::Unsaved::Save
           : box.clickedButton() == giveUp ? Prompts::Unsaved::GiveUp
                                           : Prompts::Unsaved::Cancel;
}

} // namespace

Prompts::Unsaved DialogPrompts::unsavedWork(const QString& service) {
    return askUnsaved(m_window,
                      Said::tr("\u201c%1\u201d has changes that are not saved.").arg(shortened(service)),
                      Said::tr("Discard the changes"));
}

Prompts::Unsaved DialogPrompts::unsavedRecord(const QString& title) {
    return askUnsaved(
        m_window,
        Said::tr("\u201c%1\u201d has changes that are not in the library yet.").arg(shortened(title)),
        Said::tr("Discard the changes"));
}

bool DialogPrompts::removeForGood(const QString& what) {
    QMessageBox box(QMessageBox::Warning, QStringLiteral("Mivanta"),
                    Said::tr("%1 in the bin will be gone for good, with all earlier versions.").arg(what),
                    QMessageBox::NoButton, m_window);
    const auto* go = box.addButton(Said::tr("Empty the bin"), QMessageBox::DestructiveRole);
    box.setDefaultButton(box.addButton(Said::tr("Keep them"), QMessageBox::RejectRole));
    box.exec();
    return box.clickedButton() == go;
}

bool DialogPrompts::agree(const QString& question, const QString& yes) {
    QMessageBox box(QMessageBox::Question, QStringLiteral("Mivanta"), question, QMessageBox::NoButton,
                    m_window);
    const auto* go = box.addButton(yes, QMessageBox::AcceptRole);
    box.setDefaultButton(box.addButton(QMessageBox::Cancel));
    box.exec();
    return box.clickedButton() == go;
}

std::optional<int> DialogPrompts::everyRounds(const QString& film, int films) {
    constexpr int kUsual = 3;
    constexpr int kMost = 1000;
    const QString what = films == 1 ? QStringLiteral("\u201c%1\u201d").arg(shortened(film))
                                    : Said::tr("%n films", nullptr, films);
    bool isTaken = false;
    const int rounds =
        QInputDialog::getInt(m_window, Said::tr("Into the loop"),
                             Said::tr("%1: once behind every so many rounds? 1 is in each round.").arg(what),
                             kUsual, 1, kMost, 1, &isTaken);
    return isTaken ? std::optional(rounds) : std::nullopt;
}

QString DialogPrompts::folderOfLoop() {
    return folderToOpen(FolderKind::Pictures, Said::tr("A loop of the pictures and films in a folder"));
}

Prompts::HowToPack DialogPrompts::packNow(const QString& what, const QString& parts) {
    QMessageBox box(QMessageBox::Question, QStringLiteral("Mivanta"), what, QMessageBox::NoButton, m_window);
    box.setObjectName(QStringLiteral("pack-now"));
    box.setInformativeText(parts);
    auto* whole = box.addButton(Said::tr("&Pack it"), QMessageBox::AcceptRole);
    const QPushButton* only =
        parts.isEmpty() ? nullptr : box.addButton(Said::tr("Only the &parts"), QMessageBox::AcceptRole);
    box.addButton(QMessageBox::Cancel);
    box.setDefaultButton(whole);
    box.exec();
    return box.clickedButton() == whole                     ? HowToPack::Whole
           : only != nullptr && box.clickedButton() == only ? HowToPack::OnlyParts
                                                            : HowToPack::NotAtAll;
}

Prompts::WhileOnScreen DialogPrompts::openWhileOnScreen(const QString& running, const QString& other) {
    QMessageBox box(QMessageBox::Warning, QStringLiteral("Mivanta"),
                    Said::tr("\u201c%1\u201d is on the screens. How do you want to open \u201c%2\u201d?")
                        .arg(shortened(running), shortened(other)),
                    QMessageBox::NoButton, m_window);
    box.setObjectName(QStringLiteral("open-while-on-screen"));
    box.setInformativeText(
        Said::tr(
            "A second window prepares it and saves it while this one runs on; it cannot put anything on the "
            "screens.\n\nWhen you change over, the screens keep their picture until you take something of "
            "\u201c%1\u201d. Undo brings \u201c%2\u201d back.")
            .arg(shortened(other), shortened(running)));
    const auto* second = box.addButton(Said::tr("Prepare it in a &second window"), QMessageBox::AcceptRole);
    const auto* over = box.addButton(Said::tr("&Change over"), QMessageBox::DestructiveRole);
    QPushButton* stay = box.addButton(Said::tr("S&tay"), QMessageBox::RejectRole);
    box.setDefaultButton(stay);
    box.setEscapeButton(stay);
    box.exec();
    if (box.clickedButton() == second)
        return WhileOnScreen::SecondWindow;
    return box.clickedButton() == over ? WhileOnScreen::ChangeOver : WhileOnScreen::Stay;
}

bool DialogPrompts::logOutWhileOnScreen() {
    QMessageBox box(
        QMessageBox::Warning, QStringLiteral("Mivanta"),
        Said::tr("You are logging out, and the screens would go dark. The service is kept, saved or not."),
        QMessageBox::NoButton, m_window);
    const auto* end = box.addButton(Said::tr("Log out"), QMessageBox::DestructiveRole);
    box.setDefaultButton(box.addButton(Said::tr("Keep running"), QMessageBox::RejectRole));
    box.exec();
    return box.clickedButton() == end;
}

bool DialogPrompts::quitWhileOnScreen() {
    QMessageBox box(QMessageBox::Warning, QStringLiteral("Mivanta"),
                    Said::tr("Something is on the screens. Quitting takes it away."), QMessageBox::NoButton,
                    m_window);
    const auto* end = box.addButton(Said::tr("Quit Mivanta"), QMessageBox::DestructiveRole);
    box.setDefaultButton(box.addButton(Said::tr("Keep running"), QMessageBox::RejectRole));
    box.exec();
    return box.clickedButton() == end;
}

} // namespace mivanta
