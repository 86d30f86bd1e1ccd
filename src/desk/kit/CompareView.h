// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/SongComparison.h"
#include <QTextBrowser>

namespace mivanta {

/// One song to read, or two side by side with their differences marked (in colour and underlined).
class CompareView : public QTextBrowser {
    Q_OBJECT
public:
    explicit CompareView(QWidget* parent = nullptr);
    void showNothing();
    void showOne(const Song& song, const QString& caption);
    void showTwo(const Song& left, const QString& leftCaption, const Song& right,
                 const QString& rightCaption);
};

/// Both songs in a window of their own, beside the work that goes on.
void showComparison(QWidget* parent, const QString& title, const Song& left, const QString& leftCaption,
                    const Song& right, const QString& rightCaption);

} // namespace mivanta
