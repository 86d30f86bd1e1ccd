// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/ObjectKinds.h"
#include "desk/look/LookListEditors.h"
#include <array>

class QDoubleSpinBox;
class QGridLayout;
class QLineEdit;

namespace mivanta {

/// What stands on the slide besides the words, back to front: one object opened at a time, with everything
/// that can be said of it in numbers.
class ObjectsEditor : public ListEditor {
    Q_OBJECT
public:
    ObjectsEditor(LookSupplies supplies, QWidget* parent = nullptr);
    void setValue(const LookValue& value) override;
    [[nodiscard]] const std::vector<SlideObject>& objects() const { return m_objects; }
    /// Opens one of them, and closes the others; -1 = all are closed.
    void open(int index);
    void addMedium(const Medium& medium);

Q_SIGNALS:
    void opened(int index);

protected:
    QWidget* makeRow(size_t index) override;
    void add() override;

private:
    void remake();
    void showPlace();
    void addObject(const ObjectKind& kind);
    void put(const SlideObject& object);
    void swap(size_t index, size_t other);
    void change(size_t index, const std::function<void(SlideObject&)>& work);
    void addHead(QGridLayout* grid, size_t index, QWidget* row);
    void writeInto(size_t index, QLineEdit& text);
    QWidget* fieldBox(size_t index, QWidget* row);
    QWidget* inputBox(size_t index, QWidget* row);
    QWidget* textEdit(size_t index, QWidget* row);
    void addContent(QGridLayout* grid, size_t index, QWidget* row);
    void addShape(QGridLayout* grid, size_t index, QWidget* row);
    void addPlace(QGridLayout* grid, size_t index, QWidget* row);
    void addManner(QGridLayout* grid, size_t index, QWidget* row);

    LookSupplies m_supplies;
    std::vector<SlideObject> m_objects;
    int m_open = 0;
    std::array<QDoubleSpinBox*, 4> m_place{}; ///< left, top, width, height of the open one; null when none is
};

} // namespace mivanta
