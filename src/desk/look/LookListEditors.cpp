// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/LookListEditors.h"
#include "desk/kit/ColourEdit.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>
#include <cmath>

namespace mivanta {

ListEditor::ListEditor(const QString& addText, const QString& addTip, QWidget* parent) : LookEditor(parent) {
    m_rows = new QVBoxLayout;
    m_rows->setSpacing(spaced(1));
    m_below = new QVBoxLayout;
    auto* addButton = new QPushButton(addText, this);
    addButton->setObjectName(QStringLiteral("add-row"));
    addButton->setToolTip(addTip);
    connect(addButton, &QPushButton::clicked, this, [this] { add(); });
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1));
    column->addLayout(m_rows);
    column->addLayout(m_below);
    column->addWidget(addButton, 0, Qt::AlignLeft);
    setFocusProxy(addButton);
}

void ListEditor::rebuild(size_t rows) {
    for (QWidget* row : m_shown) {
        row->hide();
        row->deleteLater(); // one of its own buttons may have asked for this
    }
    m_shown.clear();
    for (size_t i = 0; i < rows; ++i) {
        m_shown.push_back(makeRow(i));
        m_rows->addWidget(m_shown.back());
    }
}

QWidget* ListEditor::removeButton(const QString& what, const std::function<void()>& remove, QWidget* parent) {
    auto* button = new QToolButton(parent);
    button->setIcon(icon(QStringLiteral("trash-2"), day().text));
    button->setToolTip(tr("Remove %1").arg(what));
    button->setAccessibleName(button->toolTip());
    connect(button, &QToolButton::clicked, this, remove);
    return button;
}

StopsEditor::StopsEditor(QWidget* parent)
    : ListEditor(tr("Add a colour"), tr("One more colour, in the middle of the gradient"), parent) {}

void StopsEditor::setValue(const LookValue& value) {
    const auto& stops = std::get<std::vector<GradientStop>>(value);
    if (stops == m_stops)
        return;
    m_stops = stops;
    rebuild(m_stops.size());
}

QWidget* StopsEditor::makeRow(size_t index) {
    auto* row = new QWidget(this);
    auto* colour = new ColourEdit(tr("Colour %1 of the gradient").arg(index + 1), row);
    colour->setColour(m_stops[index].colour);
    auto* at = makeNumber<QSpinBox>(int(std::lround(m_stops[index].at * 100)), 0, 100, QStringLiteral(" %"),
                                    tr("Where this colour stands"), row);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(colour, 1);
    line->addWidget(at);
    connect(colour, &ColourEdit::edited, this, [this, index](const Colour& c) {
        m_stops[index].colour = c;
        Q_EMIT edited(m_stops);
    });
    connect(at, &QSpinBox::valueChanged, this, [this, index](int percent) {
        auto stops = m_stops;
        stops[index].at = percent / 100.0;
        Q_EMIT edited(stops); // they come back in order
    });
    if (m_stops.size() > 2)
        line->addWidget(removeButton(
            tr("this colour"),
            [this, index] {
                auto stops = m_stops;
                stops.erase(stops.begin() + int(index));
                Q_EMIT edited(stops);
            },
            row));
    return row;
}

void StopsEditor::add() {
    auto stops = m_stops;
    stops.insert(stops.begin() + 1, {(stops[0].at + stops[1].at) / 2, stops[0].colour});
    Q_EMIT edited(stops);
}

RolesEditor::RolesEditor(QWidget* parent)
    : ListEditor(tr("Add a role"), tr("A look for one more role, such as Leader or Reader"), parent) {}

void RolesEditor::setValue(const LookValue& value) {
    const auto& roles = std::get<std::vector<RoleLook>>(value);
    if (roles == m_roles && !roles.empty())
        return;
    m_roles = roles;
    rebuild(m_roles.size());
}

QWidget* RolesEditor::makeRow(size_t index) {
    const RoleLook& role = m_roles[index];
    auto* row = new QWidget(this);
    auto* name = new QLineEdit(role.role, row);
    name->setPlaceholderText(tr("Role"));
    name->setAccessibleName(tr("Name of the role"));
    auto* bold = makeToggle(tr("B"), tr("Bold"), role.bold, row);
    auto* italic = makeToggle(tr("I"), tr("Italic"), role.italic, row);
    auto* coloured = new QCheckBox(row);
    coloured->setToolTip(tr("A colour of its own"));
    coloured->setAccessibleName(coloured->toolTip());
    coloured->setChecked(role.colour.has_value());
    auto* colour = new ColourEdit(tr("Colour of the role"), row);
    colour->setColour(role.colour.value_or(Colour{255, 255, 255, 255}));
    colour->setEnabled(role.colour.has_value());
    auto* symbol = new QLineEdit(role.symbol, row);
    symbol->setMaxLength(8);
    symbol->setMaximumWidth(spaced(9));
    symbol->setToolTip(tr("A sign that stands before the words of this role"));
    symbol->setAccessibleName(symbol->toolTip());
    auto* grid = new QGridLayout(row);
    grid->setContentsMargins(0, 0, 0, spaced(1));
    grid->setSpacing(spaced(1));
    grid->addWidget(name, 0, 0, 1, 2);
    grid->addWidget(bold, 0, 2);
    grid->addWidget(italic, 0, 3);
    grid->addWidget(removeButton(
                        tr("this role"),
                        [this, index] {
                            auto roles = m_roles;
                            roles.erase(roles.begin() + int(index));
                            Q_EMIT edited(roles);
                        },
                        row),
                    0, 4);
    grid->addWidget(coloured, 1, 0);
    grid->addWidget(colour, 1, 1);
    grid->addWidget(symbol, 1, 2, 1, 3);
    grid->setColumnStretch(1, 1);
    const auto send = [=, this] {
        m_roles[index] = {name->text().trimmed(), bold->isChecked(), italic->isChecked(),
                          coloured->isChecked() ? std::optional(colour->colour()) : std::nullopt,
                          symbol->text()};
        colour->setEnabled(coloured->isChecked());
        Q_EMIT edited(m_roles);
    };
    connect(name, &QLineEdit::editingFinished, this, [=, this] {
        if (name->text().trimmed() != m_roles[index].role)
            send();
    });
    connect(symbol, &QLineEdit::editingFinished, this, [=, this] {
        if (symbol->text() != m_roles[index].symbol)
            send();
    });
    connect(bold, &QToolButton::clicked, this, send);
    connect(italic, &QToolButton::clicked, this, send);
    connect(coloured, &QCheckBox::clicked, this, send);
    connect(colour, &ColourEdit::edited, this, send);
    return row;
}

void RolesEditor::add() {
    auto roles = m_roles;
    roles.push_back({tr("Leader"), false, false, std::nullopt, {}});
    Q_EMIT edited(roles);
}

} // namespace mivanta

#include "moc_LookListEditors.cpp"
