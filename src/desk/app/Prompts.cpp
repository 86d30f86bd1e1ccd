// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/Prompts.h"
#include <QCoreApplication>
#include <QFileDialog>
#include <QInputDialog>
#include <QMessageBox>
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
        tr("Songs (*.cho *.chordpro *.chopro *.crd *.chord *.txt *.text);;All files (*)"));
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

Prompts::Unsaved DialogPrompts::unsavedWork(const QString& service) {
    QMessageBox box(QMessageBox::Question, QStringLiteral("Mivanta"),
                    tr("\u201c%1\u201d has changes that are not saved.").arg(service), QMessageBox::NoButton,
                    m_window);
    const auto* save = box.addButton(tr("Save"), QMessageBox::AcceptRole);
    const auto* giveUp = box.addButton(tr("Give the changes up"), QMessageBox::DestructiveRole);
    box.addButton(tr("Go back"), QMessageBox::RejectRole);
    box.exec();
    return box.clickedButton() == save     ? Unsaved::Save
           : box.clickedButton() == giveUp ? Unsaved::GiveUp
                                           : Unsaved::Cancel;
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
