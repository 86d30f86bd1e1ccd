// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include <QDateTime>
#include <QWidget>

class QHBoxLayout;
class QLabel;
class QListWidget;
class QPushButton;

namespace mivanta {

class CompareView;

/// A list of earlier versions, the chosen one side by side with what is now, and the way back or to the
/// version. Knows nothing of what the versions are of.
class VersionsPage : public QWidget {
    Q_OBJECT
public:
    /// `prefix`: of the object names; `backText`, `restoreTip`: what the buttons say.
    VersionsPage(const QString& prefix, const QString& backText, const QString& restoreTip,
                 QWidget* parent = nullptr);

    /// An empty list under this heading.
    void start(const QString& heading);
    void setHeading(const QString& heading);
    /// The newest first: its revision and when it became what it is there.
    void setVersions(const std::vector<std::pair<int, QDateTime>>& versions);
    /// What was found of `title`, or why nothing was; `Version` has a revision and a changedAt.
    template <typename Version>
    void setVersions(const Result<std::vector<Version>>& versions, const QString& title) {
        if (!versions || versions->empty())
            setHeading(versions ? tr("There is no earlier version of \u201c%1\u201d yet").arg(title)
                                : versions.error().text());
        std::vector<std::pair<int, QDateTime>> list;
        if (versions)
            for (const Version& version : *versions)
                list.emplace_back(version.revision, version.changedAt);
        setVersions(list);
    }
    [[nodiscard]] std::optional<int> current() const;
    [[nodiscard]] QString currentText() const; ///< when the chosen one was
    /// Both sides; the version can be taken when it differs.
    void showTwo(const Song& version, const QString& caption, const Song& now, const QString& nowCaption,
                 bool canRestore);
    void setRestoreText(const QString& text);
    /// Without versions to choose from.
    void hideList();
    /// A further button, before the one that restores.
    void addButton(QPushButton* button);

Q_SIGNALS:
    void versionWanted(int revision); ///< another one was chosen
    void restoreWanted();             ///< the one that is shown
    void left();

private:
    QLabel* m_heading;
    QListWidget* m_list;
    CompareView* m_words;
    QHBoxLayout* m_foot;
    QPushButton* m_restore;
};

} // namespace mivanta
