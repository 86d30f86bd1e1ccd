// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QMenu>

namespace mivanta {

/// The service files that were open last, the last one first; kept in the settings.
class RecentServices : public QMenu {
    Q_OBJECT
public:
    explicit RecentServices(QWidget* parent = nullptr);
    /// It was opened or saved just now.
    void note(const QString& path);
    [[nodiscard]] static QStringList paths();
    static constexpr int kMost = 9;

Q_SIGNALS:
    void chosen(const QString& path);

private:
    void fill();
};

} // namespace mivanta
