// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLabel>

namespace mivanta {

/// One line of plain text that is cut with an ellipsis where there is no room for it, and then read whole in
/// its tool tip. It never makes its window wider.
class ElidedLabel : public QLabel {
    Q_OBJECT
public:
    using QLabel::QLabel;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override;
    [[nodiscard]] bool isCut() const;

protected:
    void paintEvent(QPaintEvent* event) override;
    bool event(QEvent* event) override;

private:
    [[nodiscard]] QString oneLine() const;
};

} // namespace mivanta
