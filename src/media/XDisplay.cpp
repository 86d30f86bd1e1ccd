// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/XDisplay.h"
#include <algorithm>
#include <cstdlib>
#include <cstring>
#include <xcb/composite.h>
#include <xcb/randr.h>
#include <xcb/xcb.h>

namespace mivanta {

namespace {

constexpr quint32 kMostProperty = 4096; ///< of 4 bytes
constexpr int kSmallestWindow = 32;     ///< px: what is smaller is no window for people

/// What xcb hands out is the caller's to free.
template <typename Reply>
std::unique_ptr<Reply, decltype(&std::free)> freed(Reply* reply) {
    return {reply, &std::free};
}

} // namespace

std::unique_ptr<XDisplay> XDisplay::open() {
    const QByteArray name = qgetenv("DISPLAY");
    if (name.isEmpty())
        return nullptr;
    int screen = 0;
    xcb_connection_t* connection = xcb_connect(name.constData(), &screen);
    if (xcb_connection_has_error(connection) != 0) {
        xcb_disconnect(connection);
        return nullptr;
    }
    return std::unique_ptr<XDisplay>(new XDisplay(connection, screen, name));
}

XDisplay::XDisplay(xcb_connection_t* connection, int screen, QByteArray name)
    : m_connection(connection),
      m_name(std::move(name)) {
    auto at = xcb_setup_roots_iterator(xcb_get_setup(connection));
    for (int i = 0; i < screen && at.rem > 1; ++i)
        xcb_screen_next(&at);
    m_root = at.data->root;
}

XDisplay::~XDisplay() {
    xcb_disconnect(m_connection);
}

quint32 XDisplay::atom(const char* name) {
    const auto reply = freed(xcb_intern_atom_reply(
        m_connection, xcb_intern_atom(m_connection, 0, quint16(std::strlen(name)), name), nullptr));
    return reply ? reply->atom : quint32(XCB_ATOM_NONE);
}

QByteArray XDisplay::property(quint32 window, quint32 atom) {
    const auto reply = freed(xcb_get_property_reply(
        m_connection, xcb_get_property(m_connection, 0, window, atom, XCB_ATOM_ANY, 0, kMostProperty),
        nullptr));
    if (!reply)
        return {};
    return {static_cast<const char*>(xcb_get_property_value(reply.get())),
            xcb_get_property_value_length(reply.get())};
}

std::vector<XMonitor> XDisplay::monitors() {
    const auto reply = freed(
        xcb_randr_get_monitors_reply(m_connection, xcb_randr_get_monitors(m_connection, m_root, 1), nullptr));
    std::vector<XMonitor> monitors;
    if (!reply)
        return monitors;
    for (auto at = xcb_randr_get_monitors_monitors_iterator(reply.get()); at.rem > 0;
         xcb_randr_monitor_info_next(&at)) {
        const auto name = freed(
            xcb_get_atom_name_reply(m_connection, xcb_get_atom_name(m_connection, at.data->name), nullptr));
        if (name)
            monitors.push_back({QString::fromUtf8(xcb_get_atom_name_name(name.get()),
                                                  xcb_get_atom_name_name_length(name.get())),
                                {at.data->x, at.data->y, at.data->width, at.data->height}});
    }
    return monitors;
}

/// As the window manager says; without one, whatever stands on the screen.
std::vector<quint32> XDisplay::topWindows() {
    const QByteArray listed = property(m_root, atom("_NET_CLIENT_LIST_STACKING"));
    if (!listed.isEmpty()) {
        std::vector<quint32> windows(size_t(listed.size()) / sizeof(quint32));
        std::memcpy(windows.data(), listed.constData(), windows.size() * sizeof(quint32));
        return windows;
    }
    const auto tree =
        freed(xcb_query_tree_reply(m_connection, xcb_query_tree(m_connection, m_root), nullptr));
    if (!tree)
        return {};
    const xcb_window_t* children = xcb_query_tree_children(tree.get());
    return {children, children + xcb_query_tree_children_length(tree.get())};
}

std::optional<XWindow> XDisplay::window(quint32 id) {
    const auto state = freed(
        xcb_get_window_attributes_reply(m_connection, xcb_get_window_attributes(m_connection, id), nullptr));
    const auto place =
        freed(xcb_get_geometry_reply(m_connection, xcb_get_geometry(m_connection, id), nullptr));
    if (!state || !place || state->map_state != XCB_MAP_STATE_VIEWABLE ||
        state->_class != XCB_WINDOW_CLASS_INPUT_OUTPUT)
        return std::nullopt;
    XWindow window;
    window.id = id;
    // Two words, each with a zero behind it: the second one is the program's.
    const QList<QByteArray> names = property(id, XCB_ATOM_WM_CLASS).split('\0');
    window.program = QString::fromUtf8(names.value(1, names.value(0)));
    const QByteArray title = property(id, atom("_NET_WM_NAME"));
    window.title =
        title.isEmpty() ? QString::fromLatin1(property(id, XCB_ATOM_WM_NAME)) : QString::fromUtf8(title);
    window.size = {place->width, place->height};
    return window;
}

std::vector<XWindow> XDisplay::windows() {
    std::vector<XWindow> windows;
    for (const quint32 id : topWindows())
        if (auto each = window(id); each && !each->program.isEmpty() &&
                                    each->size.width() >= kSmallestWindow &&
                                    each->size.height() >= kSmallestWindow)
            windows.push_back(std::move(*each));
    return windows;
}

bool XDisplay::keepPicture(quint32 window) {
    const auto version = freed(xcb_composite_query_version_reply(
        m_connection, xcb_composite_query_version(m_connection, 0, 4), nullptr));
    if (!version)
        return false;
    const auto problem =
        freed(xcb_request_check(m_connection, xcb_composite_redirect_window_checked(
                                                  m_connection, window, XCB_COMPOSITE_REDIRECT_AUTOMATIC)));
    return !problem;
}

bool isOfProgram(const XWindow& window, const QString& program) {
    return window.program.compare(program, Qt::CaseInsensitive) == 0; // toolkits write names in their own way
}

std::optional<XWindow> windowOf(const std::vector<XWindow>& windows, const QString& program,
                                const QString& title) {
    const XWindow* best = nullptr;
    for (const XWindow& each : windows)
        if (isOfProgram(each, program) && (!best || best->title != title || each.title == title))
            best = &each;
    return best ? std::optional(*best) : std::nullopt;
}

} // namespace mivanta
