// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/FocusWithoutManager.h"
#include <QApplication>
#include <QTimer>
#include <QWidget>
#include <QWindow>
#include <cstdlib>
#include <cstring>
#include <qguiapplication_platform.h>
#include <xcb/xcb.h>

namespace mivanta {

namespace {

constexpr int kSuccessorMs = 50; // a window that closes has its successor by then

template <typename Reply>
struct Freed {
    explicit Freed(Reply* given) : reply(given) {}
    ~Freed() { std::free(reply); }
    Freed(const Freed&) = delete;
    Freed& operator=(const Freed&) = delete;
    Reply* reply;
};

/// Window managers say so in a property of the root window (Extended Window Manager Hints).
bool isManaged(xcb_connection_t* x) {
    const char* name = "_NET_SUPPORTING_WM_CHECK";
    const Freed atom(
        xcb_intern_atom_reply(x, xcb_intern_atom(x, 1, uint16_t(std::strlen(name)), name), nullptr));
    if (!atom.reply || atom.reply->atom == XCB_ATOM_NONE)
        return false;
    for (auto screen = xcb_setup_roots_iterator(xcb_get_setup(x)); screen.rem > 0; xcb_screen_next(&screen)) {
        const Freed property(xcb_get_property_reply(
            x, xcb_get_property(x, 0, screen.data->root, atom.reply->atom, XCB_ATOM_WINDOW, 0, 1), nullptr));
        if (property.reply && xcb_get_property_value_length(property.reply) > 0)
            return true;
    }
    return false;
}

/// The focus is at no window, or fell back to the root when its window went. What Qt believes may be older.
bool isNobodys(xcb_connection_t* x) {
    const Freed focus(xcb_get_input_focus_reply(x, xcb_get_input_focus(x), nullptr));
    if (!focus.reply)
        return false;
    const xcb_window_t at = focus.reply->focus;
    bool isRoot = at == XCB_INPUT_FOCUS_NONE || at == XCB_INPUT_FOCUS_POINTER_ROOT;
    for (auto screen = xcb_setup_roots_iterator(xcb_get_setup(x)); screen.rem > 0; xcb_screen_next(&screen))
        isRoot = isRoot || at == screen.data->root;
    return isRoot;
}

xcb_connection_t* x11() {
    const auto* native = qGuiApp->nativeInterface<QNativeInterface::QX11Application>();
    return native ? native->connection() : nullptr;
}

} // namespace

FocusWithoutManager::FocusWithoutManager(QObject* parent) : QObject(parent) {
    connect(qGuiApp, &QGuiApplication::focusWindowChanged, this, [this](const QWindow* window) {
        if (!window)
            QTimer::singleShot(kSuccessorMs, this, &FocusWithoutManager::takeBack);
    });
    qApp->installEventFilter(this);
    QTimer::singleShot(kSuccessorMs, this, &FocusWithoutManager::takeBack);
}

bool FocusWithoutManager::eventFilter(QObject* watched, QEvent* event) {
    const bool isShown = event->type() == QEvent::Show;
    if ((!isShown && event->type() != QEvent::Hide) || !watched->isWidgetType())
        return false;
    auto* dialog = static_cast<QWidget*>(watched);
    if (!dialog->isWindow() || dialog->windowType() != Qt::Dialog)
        return false;
    if (!isShown)
        QTimer::singleShot(kSuccessorMs, this, &FocusWithoutManager::takeBack);
    else
        QTimer::singleShot(kSuccessorMs, dialog, [dialog] {
            if (dialog->isVisible() && isAlone())
                dialog->activateWindow();
        });
    return false;
}

bool FocusWithoutManager::isAlone() {
    return x11() && !isManaged(x11());
}

/// To the dialog that waits for an answer, else to any window that is there.
void FocusWithoutManager::takeBack() {
    if (!isAlone() || !isNobodys(x11()))
        return;
    QWidget* window = QApplication::activeModalWidget();
    for (QWidget* each : QApplication::topLevelWidgets())
        if (!window && each->isVisible() && each->windowType() == Qt::Window)
            window = each;
    if (window && window->isVisible())
        window->activateWindow();
    else
        QTimer::singleShot(kSuccessorMs, this, &FocusWithoutManager::takeBack); // it is not shown yet
}

} // namespace mivanta

#include "moc_FocusWithoutManager.cpp"
