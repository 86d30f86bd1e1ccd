// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFrame>

namespace mivanta {

/// Something to fill in over the lanes. Esc in any of its watched fields closes it; it goes with the desk.
class RunOverlay : public QFrame {
    Q_OBJECT
public:
    void close();

Q_SIGNALS:
    void closed();

protected:
    /// `most`: how large it becomes, in spaced() units; never more than 6 tenths of the desk either way.
    RunOverlay(const QString& name, QSize most, QWidget* desk);
    void showOver();
    /// Its keys are seen here before the field gets them.
    void watch(QWidget* field);
    /// True for a key that a watched field is not to get.
    virtual bool obeyKey(QKeyEvent*) { return false; }
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void place();
    QSize m_most;
};

} // namespace mivanta
