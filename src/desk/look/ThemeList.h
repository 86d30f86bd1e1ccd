// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Theme.h"
#include "session/readings/ThumbnailStore.h"
#include <QListWidget>

namespace mivanta {

/// Themes with small pictures of them, to be chosen and to be dragged onto what they are for.
class ThemeList : public QListWidget {
    Q_OBJECT
public:
    explicit ThemeList(ThumbnailStore& thumbnails, QWidget* parent = nullptr);

    /// Nothing is chosen afterwards; no signals.
    void setThemes(const std::vector<Theme>& themes);
    [[nodiscard]] const std::vector<Theme>& themes() const { return m_themes; }
    /// Without signals; an id that is not there chooses nothing.
    void choose(const QString& id);
    /// The id of the chosen one; empty when none is.
    [[nodiscard]] QString chosen() const;
    /// In one line that goes from left to right, instead of a column.
    void setInARow();

Q_SIGNALS:
    void themeChosen(const QString& id);

protected:
    QMimeData* mimeData(const QList<QListWidgetItem*>& items) const override;
    void showEvent(QShowEvent* event) override;
    void wheelEvent(QWheelEvent* event) override; ///< a row leaves the wheel to the column that it stands in

private:
    void fillIcons();

    ThumbnailStore& m_thumbnails;
    bool m_inARow = false;
    std::vector<Theme> m_themes;
};

} // namespace mivanta
