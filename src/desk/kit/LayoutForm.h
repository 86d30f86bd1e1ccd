// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Passage.h"
#include <QWidget>

class QCheckBox;
class QComboBox;

namespace mivanta {

/// How a passage is laid out: verses, numbers, the reference.
class LayoutForm : public QWidget {
    Q_OBJECT
public:
    /// `columns`: 1 or 2, side by side.
    explicit LayoutForm(int columns, QWidget* parent = nullptr);
    void setLayoutShown(const PassageLayout& layout);
    [[nodiscard]] PassageLayout layoutShown() const;

Q_SIGNALS:
    void changed(); ///< by the person

private:
    void place(int number, QWidget* label, QWidget* field);
    QComboBox* addChoice(int row, const QString& name, const QString& label, const QString& tip,
                         const QStringList& choices);
    QCheckBox* addCheck(int row, const QString& name, const QString& text, const QString& tip);

    int m_columns;
    QComboBox* m_flow;
    QComboBox* m_numbers;
    QComboBox* m_referenceOn;
    QComboBox* m_referencePlace;
    QCheckBox* m_namesTranslation;
    QCheckBox* m_keepsPoetry;
};

} // namespace mivanta
