// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Theme.h"
#include <QComboBox>

namespace mivanta {

/// Chooses a theme of the library, or none; keeps what is chosen when the themes change.
class ThemeBox : public QComboBox {
    Q_OBJECT
public:
    explicit ThemeBox(const QString& none, QWidget* parent = nullptr) : QComboBox(parent) {
        addItem(none, QString());
    }
    void setThemes(const std::vector<Theme>& themes) {
        const QString chosen = theme();
        while (count() > 1)
            removeItem(count() - 1);
        for (const Theme& theme : themes)
            addItem(theme.name, theme.id);
        setTheme(chosen);
    }
    /// None when there is no such theme.
    void setTheme(const QString& id) { setCurrentIndex(std::max(0, findData(id))); }
    [[nodiscard]] QString theme() const { return currentData().toString(); }
};

} // namespace mivanta
