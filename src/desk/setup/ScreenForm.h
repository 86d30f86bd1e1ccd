// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"
#include <QWidget>
#include <array>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QPushButton;
class QSpinBox;

namespace mivanta {

class ColourEdit;

/// How one output's picture stands on its screen: its size, its window, how it is turned, and what is behind
/// it.
class ScreenForm : public QWidget {
    Q_OBJECT
public:
    explicit ScreenForm(QWidget* parent = nullptr);
    void setOutput(const Output& output, bool hasTestCard);

Q_SIGNALS:
    void changed(const mivanta::Output& output);
    void testCardWanted(bool on);

private:
    void addPicture(QFormLayout* form);
    void addWindow(QFormLayout* form);
    void addShape(QFormLayout* form);
    void addGround(QFormLayout* form);
    QSpinBox* number(const char* name, const QString& tip, int least, int most);
    QCheckBox* check(const char* name, const QString& text, const QString& tip);
    void send();
    void showWindow();

    Output m_output;
    QPushButton* m_testCard;
    QSpinBox* m_width;
    QSpinBox* m_height;
    QCheckBox* m_hasPlace;
    std::array<QSpinBox*, 4> m_window; ///< left, top, width, height
    QWidget* m_windowRow;
    QCheckBox* m_above;
    QCheckBox* m_pointer;
    QComboBox* m_turn;
    QCheckBox* m_mirrored;
    QCheckBox* m_flipped;
    std::array<QDoubleSpinBox*, 4> m_margins; ///< left, top, right, bottom
    QComboBox* m_ground;
    ColourEdit* m_key;
};

} // namespace mivanta
