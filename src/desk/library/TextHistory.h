// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/library/VersionsPage.h"
#include "session/library/LibraryClient.h"

namespace mivanta {

/// Earlier versions of a text, each side by side with the text as it is now.
class TextHistory : public VersionsPage {
    Q_OBJECT
public:
    explicit TextHistory(LibraryClient& library, QWidget* parent = nullptr);
    /// `now`: as it stands in the editor.
    void setText(const SpokenText& now);

Q_SIGNALS:
    void textWanted(const mivanta::SpokenText& version);

private:
    void showVersion(int revision);

    LibraryClient& m_library;
    SpokenText m_now;
    std::optional<SpokenText> m_version;
};

} // namespace mivanta
