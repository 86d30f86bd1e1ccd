// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QSpinBox;

namespace mivanta {

/// What one output is set to: its hall, its lines, its theme and what of it is insisted on.
class OutputForm : public QWidget {
    Q_OBJECT
public:
    explicit OutputForm(QWidget* parent = nullptr);
    void setOutput(const Output& output, const std::vector<Theme>& themes);
    /// The name was refused: the old one stands there again.
    void showName();

Q_SIGNALS:
    void changed(const mivanta::Output& output);
    void renamed(const QString& name);

private:
    void addLayers(QFormLayout* form);
    void send();
    void fillThemes(const std::vector<Theme>& themes);

    Output m_output;
    QLabel* m_heading;
    QLineEdit* m_name;
    QDoubleSpinBox* m_height;
    QDoubleSpinBox* m_backRow;
    QComboBox* m_light;
    QSpinBox* m_lines;
    QCheckBox* m_ownSteps;
    QComboBox* m_theme;
    std::vector<QCheckBox*> m_insists; ///< by LookGroup
    std::vector<QCheckBox*> m_layers;  ///< in the order of kLayers
};

} // namespace mivanta
