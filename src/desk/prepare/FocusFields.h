// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QPointF>
#include <QWidget>

class QSpinBox;

namespace mivanta {

/// What stays in sight of a picture that fills the screen.
class FocusFields : public QWidget {
    Q_OBJECT
public:
    /// `name`: the fields are called "NAME-across" and "NAME-down".
    explicit FocusFields(const QString& name, QWidget* parent = nullptr);
    void setFocusPoint(QPointF focus); ///< shares of the picture; tells nobody

Q_SIGNALS:
    void chosen(QPointF focus); ///< by the person

private:
    QSpinBox* m_across;
    QSpinBox* m_down;
};

} // namespace mivanta
