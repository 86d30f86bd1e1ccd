// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/LibraryClient.h"
#include <QWidget>

class QLabel;
class QListWidget;
class QPushButton;

namespace mivanta {

class CompareView;

/// Earlier versions of a text, each side by side with the text as it is now.
class TextHistory : public QWidget {
    Q_OBJECT
public:
    explicit TextHistory(LibraryClient& library, QWidget* parent = nullptr);
    /// `now`: as it stands in the editor.
    void setText(const SpokenText& now);

Q_SIGNALS:
    void restoreWanted(const mivanta::SpokenText& version);
    void left();

private:
    void showVersion();

    LibraryClient& m_library;
    SpokenText m_now;
    std::optional<SpokenText> m_version;
    QLabel* m_heading;
    QListWidget* m_list;
    CompareView* m_words;
    QPushButton* m_restore;
};

} // namespace mivanta
