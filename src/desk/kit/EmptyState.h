// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QWidget>
#include <functional>

class QVBoxLayout;

namespace mivanta {

/// What stands in the middle of a place that is empty: what it is for, and the two or three things that one
/// can do there, as buttons. Lies over the place, which it covers while it is seen.
class EmptyState : public QWidget {
    Q_OBJECT
public:
    EmptyState(const QString& title, const QString& text, QWidget* over, bool isNight = false);
    /// The first one is the likeliest. `text` may end with the key in brackets.
    void addAction(const QString& name, const QString& text, const QString& tip,
                   const std::function<void()>& work);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override; ///< the place is resized
    void showEvent(QShowEvent* event) override;

private:
    void cover();
    QVBoxLayout* m_buttons;
    bool m_hasAction = false;
};

} // namespace mivanta
