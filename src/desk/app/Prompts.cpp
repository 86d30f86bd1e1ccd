// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/Prompts.h"
#include "media/PictureProxies.h"
#include "media/Sound.h"
#include <QCoreApplication>
#include <QFileDialog>
#include <QInputDialog>
#include <QMessageBox>
#include <QPrintDialog>
#include <QPushButton>

namespace mivanta {

namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("Prompts", text);
}

} // namespace

QString DialogPrompts::serviceToOpen() {
    return QFileDialog::getOpenFileName(m_window, tr("Open a service"), {}, tr("Services (*.mivanta)"));
}

QString DialogPrompts::whereToSave(const QString& suggestedName) {
    QString path = QFileDialog::getSaveFileName(m_window, tr("Save the service"), suggestedName,
                                                tr("Services (*.mivanta)"));
    if (!path.isEmpty() && !path.endsWith(QLatin1String(".mivanta")))
        path += QStringLiteral(".mivanta");
    return path;
}

QStringList DialogPrompts::songFilesToImport() {
    return QFileDialog::getOpenFileNames(
        m_window, tr("Bring in song files"), {},
        tr("Songs (*.cho *.chordpro *.chopro *.crd *.chord *.txt *.text *.csv *.rtf *.odt *.docx *.odp "
           "*.pptx);;All files (*)"));
}

QString DialogPrompts::songFolderToImport() {
    return QFileDialog::getExistingDirectory(m_window, tr("Bring in a folder of songs"));
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
    return QFileDialog::getOpenFileName(
        m_window, tr("Bring in a translation"), {},
        tr("Scripture (*.usfm *.sfm *.xml *.osis *.txt *.zip);;All files (*)"));
}

QString DialogPrompts::scriptureFolderToImport() {
    return QFileDialog::getExistingDirectory(m_window, tr("Bring in a translation from a folder"));
}

QStringList DialogPrompts::textFilesToImport() {
    return QFileDialog::getOpenFileNames(m_window, tr("Bring in texts"), {},
                                         tr("Texts (*.txt *.text);;All files (*)"));
}

QStringList DialogPrompts::themeFilesToImport() {
    return QFileDialog::getOpenFileNames(m_window, tr("Bring in themes"), {},
                                         tr("Themes (*.mivanta-theme *.json);;All files (*)"));
}

QString DialogPrompts::pictureToChoose() {
    return QFileDialog::getOpenFileName(
        m_window, tr("Choose a picture"), {},
        tr("Pictures (*.%1);;All files (*)").arg(pictureSuffixes().join(QStringLiteral(" *."))));
}

QStringList DialogPrompts::picturesToChoose() {
    return QFileDialog::getOpenFileNames(
        m_window, tr("Choose pictures"), {},
        tr("Pictures (*.%1);;All files (*)").arg(pictureSuffixes().join(QStringLiteral(" *."))));
}

QString DialogPrompts::soundToChoose() {
    return QFileDialog::getOpenFileName(
        m_window, tr("Choose a sound"), {},
        tr("Sounds (*.%1);;All files (*)").arg(soundSuffixes().join(QStringLiteral(" *."))));
}

QString DialogPrompts::folderToLookIn() {
    return QFileDialog::getExistingDirectory(m_window, tr("Where to look for the missing files"));
}

bool DialogPrompts::deleteTheme(const QString& name, const QString& warning) {
    return QMessageBox::question(m_window, QStringLiteral("Mivanta"),
                                 tr("Put the theme \u201c%1\u201d into the bin?\n\n%2").arg(name, warning)) ==
           QMessageBox::Yes;
}

QString DialogPrompts::whereToExport(const QString& suggestedName) {
    return QFileDialog::getSaveFileName(m_window, tr("Write a file"), suggestedName);
}

QString DialogPrompts::folderToSendTo() {
    return QFileDialog::getExistingDirectory(m_window, tr("Write the songs into a folder"));
}

bool DialogPrompts::choosePrinter(QPrinter& printer) {
    return QPrintDialog(&printer, m_window).exec() == QDialog::Accepted;
}

namespace {

Prompts::Unsaved askUnsaved(QWidget* window, const QString& question, const QString& giveUpText) {
    QMessageBox box(QMessageBox::Question, QStringLiteral("Mivanta"), question, QMessageBox::NoButton,
                    window);
    const auto* save = box.addButton(tr("Save"), QMessageBox::AcceptRole);
    const auto* giveUp = box.addButton(giveUpText, QMessageBox::DestructiveRole);
    box.addButton(tr("Go back"), QMessageBox::RejectRole);
    box.exec();
    return box.clickedButton() == save     ? Prompts::Unsaved::Save
           : box.clickedButton() == giveUp ? Prompts::Unsaved::GiveUp
                                           : Prompts::Unsaved::Cancel;
}

} // namespace

Prompts::Unsaved DialogPrompts::unsavedWork(const QString& service) {
    return askUnsaved(m_window, tr("\u201c%1\u201d has changes that are not saved.").arg(service),
                      tr("Give the changes up"));
}

Prompts::Unsaved DialogPrompts::unsavedSong(const QString& title) {
    return askUnsaved(m_window, tr("\u201c%1\u201d has changes that are not in the library yet.").arg(title),
                      tr("Leave it as it was"));
}

bool DialogPrompts::emptyBin(int songs) {
    return removeForGood(tr("%1 songs").arg(songs));
}

bool DialogPrompts::removeForGood(const QString& what) {
    QMessageBox box(QMessageBox::Warning, QStringLiteral("Mivanta"),
                    tr("%1 in the bin will be gone for good, with all earlier versions.").arg(what),
                    QMessageBox::NoButton, m_window);
    const auto* go = box.addButton(tr("Empty the bin"), QMessageBox::DestructiveRole);
    box.setDefaultButton(box.addButton(tr("Keep them"), QMessageBox::RejectRole));
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

bool DialogPrompts::packNow(const QString& what) {
    return QMessageBox::question(m_window, QStringLiteral("Mivanta"), tr("%1\n\nPack it?").arg(what)) ==
           QMessageBox::Yes;
}

bool DialogPrompts::quitWhileOnScreen() {
    QMessageBox box(QMessageBox::Warning, QStringLiteral("Mivanta"),
                    tr("Words are on the screens. Ending Mivanta takes them away."), QMessageBox::NoButton,
                    m_window);
    const auto* end = box.addButton(tr("End Mivanta"), QMessageBox::DestructiveRole);
    box.setDefaultButton(box.addButton(tr("Go on running"), QMessageBox::RejectRole));
    box.exec();
    return box.clickedButton() == end;
}

} // namespace mivanta
