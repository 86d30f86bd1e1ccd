// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QRect>
#include <QString>
#include <memory>
#include <optional>
#include <vector>

struct xcb_connection_t;

namespace mivanta {

struct XMonitor {
    QString name; ///< "HDMI-1"
    QRect place;  ///< px of the whole screen
};

struct XWindow {
    quint32 id = 0;
    QString program; ///< its class
    QString title;
    QSize size; ///< px
};

/// The X server that this program's screens are on: what there is to be shown of it. One thread. Each call
/// asks the server, which takes some ms; nothing when it is gone.
class XDisplay {
public:
    /// Null when there is none, as under Wayland.
    [[nodiscard]] static std::unique_ptr<XDisplay> open();
    ~XDisplay();
    XDisplay(const XDisplay&) = delete;
    XDisplay& operator=(const XDisplay&) = delete;

    /// ":0", as other programs name it.
    [[nodiscard]] QByteArray name() const { return m_name; }
    [[nodiscard]] std::vector<XMonitor> monitors();
    /// Of programs, as people see them; those on top come last.
    [[nodiscard]] std::vector<XWindow> windows();
    [[nodiscard]] std::optional<XWindow> window(quint32 id);
    /// From now on, until this ends, what a window shows can be read also where others cover it.
    [[nodiscard]] bool keepPicture(quint32 window);

private:
    XDisplay(xcb_connection_t* connection, int screen, QByteArray name);
    [[nodiscard]] quint32 atom(const char* name);
    [[nodiscard]] QByteArray property(quint32 window, quint32 atom);
    [[nodiscard]] std::vector<quint32> topWindows();

    xcb_connection_t* m_connection;
    QByteArray m_name;
    quint32 m_root = 0;
};

[[nodiscard]] bool isOfProgram(const XWindow& window, const QString& program);

/// The one that was meant: of that program, of that title if there is one, else the topmost of the program.
[[nodiscard]] std::optional<XWindow> windowOf(const std::vector<XWindow>& windows, const QString& program,
                                              const QString& title);

} // namespace mivanta
