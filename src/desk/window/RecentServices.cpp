// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/RecentServices.h"
#include <QFileInfo>
#include <QSettings>

namespace mivanta {

namespace {
constexpr const char* kRecentKey = "services/recent";
}

RecentServices::RecentServices(QWidget* parent) : QMenu(tr("Open Recent"), parent) {
    setObjectName(QStringLiteral("recent-services"));
    setToolTipsVisible(true);
    connect(this, &QMenu::aboutToShow, this, &RecentServices::fill);
    fill();
}

QStringList RecentServices::paths() {
    return QSettings().value(QLatin1String(kRecentKey)).toStringList();
}

void RecentServices::note(const QString& path) {
    if (path.isEmpty())
        return;
    QStringList all = paths();
    const QString whole = QFileInfo(path).absoluteFilePath();
    all.removeAll(whole);
    all.prepend(whole);
    QSettings().setValue(QLatin1String(kRecentKey), QStringList(all.mid(0, kMost)));
}

void RecentServices::fill() {
    clear();
    int number = 0;
    const QStringList all = paths();
    for (const QString& path : all) {
        QAction* action = addAction(QStringLiteral("&%1  %2").arg(++number).arg(
            QFileInfo(path).completeBaseName().replace(QLatin1String("&"), QLatin1String("&&"))));
        action->setToolTip(path);
        connect(action, &QAction::triggered, this, [this, path] { Q_EMIT chosen(path); });
    }
    if (all.isEmpty())
        addAction(tr("No service has been opened yet"))->setEnabled(false);
}

} // namespace mivanta

#include "moc_RecentServices.cpp"
