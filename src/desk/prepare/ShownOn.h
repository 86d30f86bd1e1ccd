// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/outputs/Outputs.h"
#include <QMap>
#include <QToolButton>

namespace mivanta {

/// Chooses the outputs that show the film or the live picture of an item; the others show what is behind
/// words. Unless it is said otherwise, people see it and stages do not.
class ShownOn : public QToolButton {
    Q_OBJECT
public:
    /// It is called "NAME-outputs", the actions of its menu "NAME-on-hall" and so on.
    ShownOn(const Outputs& outputs, const QString& name, QWidget* parent = nullptr);
    /// What is chosen, by output.
    void setChosen(const QMap<QString, bool>& chosen);

Q_SIGNALS:
    void chosen(const QMap<QString, bool>& outputs); ///< by the person

private:
    void fill();
    void showText();
    [[nodiscard]] bool isOn(const Output& output) const;

    const Outputs& m_outputs;
    const QString m_name;
    QMap<QString, bool> m_chosen;
};

} // namespace mivanta
