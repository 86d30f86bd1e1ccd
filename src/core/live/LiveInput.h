// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include <QRectF>
#include <QSize>
#include <QString>
#include <variant>
#include <vector>

namespace mivanta {

using LiveInputId = Id<struct LiveInputTag>;

/// A camera, or a box that gives the picture of another device, at this computer.
struct CameraSource {
    QString device; ///< as the system calls it: "/dev/v4l/by-id/…" stays the same camera, "/dev/video0"
    QSize size{};   ///< px, wanted of it; empty = as it likes
    int rate = 0;   ///< pictures a second, wanted of it; 0 = as it likes
    friend bool operator==(const CameraSource&, const CameraSource&) = default;
};

/// What a monitor of this computer shows.
struct MonitorSource {
    QString monitor; ///< as the system calls it: "HDMI-1"
    bool hasPointer = false;
    friend bool operator==(const MonitorSource&, const MonitorSource&) = default;
};

/// A window of another program, covered or not.
struct WindowSource {
    QString program; ///< its class, as the window says
    QString title; ///< one with this title is preferred; it may be another one after the program's next start
    friend bool operator==(const WindowSource&, const WindowSource&) = default;
};

/// A picture that the network brings.
struct AddressSource {
    QString address; ///< as checkedAddress() has it: without a name, a password or a passphrase
    friend bool operator==(const AddressSource&, const AddressSource&) = default;
};

/// A picture that another program writes again and again.
struct FileSource {
    QString path; ///< of a picture file, or of a pipe that brings one picture after the other
    friend bool operator==(const FileSource&, const FileSource&) = default;
};

/// What another output shows.
struct OutputSource {
    QString output; ///< its name
    friend bool operator==(const OutputSource&, const OutputSource&) = default;
};

using LiveSource =
    std::variant<CameraSource, MonitorSource, WindowSource, AddressSource, FileSource, OutputSource>;

inline constexpr size_t kMostLiveInputs = 64;
inline constexpr int kLongestLiveDelay = 1000; ///< ms

/// A picture that comes from outside now, as it was set up on this computer.
struct LiveInput {
    LiveInputId id;
    QString name;
    LiveSource source = AddressSource{};
    QRectF part{0, 0, 1, 1}; ///< shares of its picture, as it comes: what is shown of it
    int turned = 0;          ///< degrees clockwise: 0, 90, 180 or 270
    bool isMirrored = false; ///< left and right, after turning
    int delay = 0;           ///< ms, so that it meets a sound that comes later; 0 to kLongestLiveDelay
    bool isHeard = false;    ///< with its sound
    int volume = 100;        ///< per cent
    QString card;            ///< a picture of the library's media: shown while it has none; may be empty
    bool isKeptOpen = false; ///< also while nothing will need it soon
    friend bool operator==(const LiveInput&, const LiveInput&) = default;
};

enum class LiveKind { Camera, Monitor, Window, Network, File, Output };
[[nodiscard]] std::vector<LiveKind> allLiveKinds();
[[nodiscard]] LiveKind kindOf(const LiveSource& source);
/// A source of a kind that says nothing yet.
[[nodiscard]] LiveSource emptySource(LiveKind kind);
/// "Camera", "Monitor", "Window", "Network"…
[[nodiscard]] QString liveKindText(LiveKind kind);
/// What a source is, for a list: "HDMI-1", "rtsp://camera.local/hall", "Tide tables (harbour-charts)"
[[nodiscard]] QString sourceText(const LiveSource& source);
/// It says what is to be shown, so that it can be opened.
[[nodiscard]] bool isComplete(const LiveSource& source);

/// Everything about it is in its range; what others say is checked with this.
[[nodiscard]] bool isInRange(const LiveInput& input);

} // namespace mivanta
