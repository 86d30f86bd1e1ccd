// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace mivanta {

/// While it lives, one call to the system that opens, writes, syncs or renames a file fails:
/// the one behind `before` others. The program's own wrappers stand before those of the C library.
class FailingCall {
public:
    explicit FailingCall(int before, int error);
    ~FailingCall();
    FailingCall(const FailingCall&) = delete;
    FailingCall& operator=(const FailingCall&) = delete;
    /// False when there were not so many calls.
    [[nodiscard]] bool hasFailed() const;
};

} // namespace mivanta
