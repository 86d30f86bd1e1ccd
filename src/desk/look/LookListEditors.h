// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/look/LookEditors.h"

class QVBoxLayout;

namespace mivanta {

/// Rows that can be added, changed and taken away; the rows are made anew when a list of another length is
/// shown.
class ListEditor : public LookEditor {
    Q_OBJECT
public:
    ListEditor(const QString& addText, const QString& addTip, QWidget* parent);

protected:
    /// One row's widgets, with its values shown.
    [[nodiscard]] virtual QWidget* makeRow(size_t index) = 0;
    virtual void add() = 0;
    void rebuild(size_t rows);
    /// A button that takes the row away.
    [[nodiscard]] QWidget* removeButton(const QString& what, const std::function<void()>& remove,
                                        QWidget* parent);
    [[nodiscard]] QVBoxLayout* belowRows() const { return m_below; }

private:
    QVBoxLayout* m_rows;
    QVBoxLayout* m_below;
    std::vector<QWidget*> m_shown;
};

/// The colours of a gradient; two at least.
class StopsEditor : public ListEditor {
    Q_OBJECT
public:
    explicit StopsEditor(QWidget* parent = nullptr);
    void setValue(const LookValue& value) override;

protected:
    QWidget* makeRow(size_t index) override;
    void add() override;

private:
    std::vector<GradientStop> m_stops;
};

/// How roles look: bold, italic, a colour, a symbol.
class RolesEditor : public ListEditor {
    Q_OBJECT
public:
    explicit RolesEditor(QWidget* parent = nullptr);
    void setValue(const LookValue& value) override;

protected:
    QWidget* makeRow(size_t index) override;
    void add() override;

private:
    std::vector<RoleLook> m_roles;
};

} // namespace mivanta
