// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"
#include <QLabel>

namespace mivanta {

/// When a song was sung: the last time and how often; the tool tip names more.
class SungFacts : public QLabel {
    Q_OBJECT
public:
    explicit SungFacts(LibraryClient& library, QWidget* parent = nullptr);
    /// A null id, or a song that is not stored, shows nothing.
    void setSong(const SongId& id);

private:
    void showUses(const std::vector<SongUse>& uses);

    LibraryClient& m_library;
    SongId m_song;
};

} // namespace mivanta
