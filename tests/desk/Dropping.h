// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QApplication>
#include <QDropEvent>
#include <QMimeData>
#include <QUrl>
#include <QWidget>
#include <memory>

namespace mivanta {

/// What a drag from `data` does over a widget and when it is let go there.
struct Dropping {
    explicit Dropping(QMimeData* made) : data(made) {}
    bool enter(QWidget* widget, QPoint at) {
        QDragEnterEvent event(at, Qt::CopyAction, data.get(), Qt::LeftButton, Qt::NoModifier);
        event.ignore();
        QApplication::sendEvent(widget, &event);
        return event.isAccepted();
    }
    bool move(QWidget* widget, QPoint at) {
        QDragMoveEvent event(at, Qt::CopyAction, data.get(), Qt::LeftButton, Qt::NoModifier);
        event.ignore();
        QApplication::sendEvent(widget, &event);
        return event.isAccepted();
    }
    void leave(QWidget* widget) {
        QDragLeaveEvent event;
        QApplication::sendEvent(widget, &event);
    }
    bool drop(QWidget* widget, QPoint at) {
        if (!enter(widget, at))
            return false;
        move(widget, at);
        QDropEvent event(at, Qt::CopyAction, data.get(), Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(widget, &event);
        return event.isAccepted();
    }
    std::unique_ptr<QMimeData> data;
};

/// Files as a file manager drags them.
inline QMimeData* filesToDrag(const QStringList& paths) {
    auto* data = new QMimeData;
    QList<QUrl> urls;
    for (const QString& path : paths)
        urls << QUrl::fromLocalFile(path);
    data->setUrls(urls);
    return data;
}

} // namespace mivanta
