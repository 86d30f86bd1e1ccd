// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/ShownOn.h"
#include "core/run/Insisting.h"
#include <QMenu>

namespace mivanta {

ShownOn::ShownOn(const Outputs& outputs, const QString& name, QWidget* parent)
    : QToolButton(parent),
      m_outputs(outputs),
      m_name(name) {
    setObjectName(name + QStringLiteral("-outputs"));
    setAccessibleName(tr("The outputs that show it"));
    setToolTip(tr("The outputs that show it; the others show what is behind words"));
    setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(this);
    setMenu(menu);
    connect(menu, &QMenu::aboutToShow, this, &ShownOn::fill);
}

bool ShownOn::isOn(const Output& output) const {
    return m_chosen.value(output.name, showsFilms(output));
}

void ShownOn::fill() {
    menu()->clear();
    for (const Output& output : m_outputs.all()) {
        QAction* action = menu()->addAction(output.label());
        action->setObjectName(m_name + QStringLiteral("-on-") + output.name);
        action->setCheckable(true);
        action->setChecked(isOn(output));
        connect(action, &QAction::toggled, this,
                [this, name = output.name, isUsual = showsFilms(output)](bool on) {
                    if (on == isUsual)
                        m_chosen.remove(name);
                    else
                        m_chosen.insert(name, on);
                    showText();
                    Q_EMIT chosen(m_chosen);
                });
    }
}

void ShownOn::setChosen(const QMap<QString, bool>& chosen) {
    m_chosen = chosen;
    showText();
}

void ShownOn::showText() {
    QStringList names;
    for (const Output& output : m_outputs.all())
        if (isOn(output))
            names << output.label();
    setText(names.isEmpty() ? tr("no output") : names.join(QStringLiteral(", ")));
}

} // namespace mivanta

#include "moc_ShownOn.cpp"
