// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/ScriptureText.h"
#include <QDialog>

class QComboBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace mivanta {

/// A translation of which not everything could be read: what was left out and where, what is missing between
/// what is there, and names that no book is known by, to be told once. Nothing is stored before somebody has
/// seen it.
class ScriptureReview : public QDialog {
    Q_OBJECT
public:
    ScriptureReview(std::shared_ptr<ScriptureText> text, QWidget* parent);

Q_SIGNALS:
    void agreed(const std::shared_ptr<mivanta::ScriptureText>& text);

private:
    void fillNames(QVBoxLayout* column);
    void showCount();
    void take();

    std::shared_ptr<ScriptureText> m_text;
    QLabel* m_count;
    QPushButton* m_take;
    std::vector<std::pair<QString, QComboBox*>> m_names; ///< of books that are not known
};

} // namespace mivanta
