// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include "store/RecordTable.h"
#include <QWidget>

class QLabel;
class QListWidget;
class QPushButton;

namespace mivanta {

class CompareView;

/// A list of earlier versions, the chosen one side by side with what is now, and the way back or to the
/// version. Also for what was changed in two places at once: the library's beside the one in the editor.
/// Knows nothing of what the versions are of.
class VersionsPage : public QWidget {
    Q_OBJECT
public:
    /// What differs by what the versions are of.
    struct Texts {
        QString prefix; ///< of the object names
        QString back;   ///< what the buttons say
        QString restoreTip;
        QString keepTip;
    };
    explicit VersionsPage(const Texts& texts, QWidget* parent = nullptr);

    /// An empty list under this heading.
    void start(const QString& heading);
    void setHeading(const QString& heading);
    /// Those of `title`, the newest first, or why there are none.
    void setVersions(const Result<std::vector<RecordVersion>>& versions, const QString& title);
    [[nodiscard]] std::optional<int> current() const;
    [[nodiscard]] QString currentText() const; ///< when the chosen one was
    /// Both sides; the version can be taken when it differs.
    void showTwo(const Song& version, const QString& caption, const Song& now, const QString& nowCaption,
                 bool canRestore);
    /// The library's on one side, mine on the other, to choose from.
    void showConflict(const Song& theirs, const Song& mine, const QString& mineCaption);

Q_SIGNALS:
    void versionWanted(int revision); ///< another one was chosen
    void restoreWanted();             ///< the one that is shown
    void keepWanted();                ///< at a conflict: mine
    void left();

private:
    QLabel* m_heading;
    QListWidget* m_list;
    CompareView* m_words;
    QPushButton* m_keep;
    QPushButton* m_restore;
};

} // namespace mivanta
