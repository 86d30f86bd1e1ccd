// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Cascade.h"
#include "desk/look/LookEditors.h"
#include <vector>

class QLabel;
class QToolButton;
class QVBoxLayout;

namespace mivanta {

/// Every property of a look by groups that open and close, each with its editor; and, where a look comes from
/// several levels, where each comes from and a button that gives up what was set here.
class LookForm : public QWidget {
    Q_OBJECT
public:
    explicit LookForm(const LookSupplies& supplies, QWidget* parent = nullptr);

    void setLook(const Look& look);
    /// With the sources of its properties; those that were chosen here can be given up. Objects are only
    /// named: they come from several levels at once.
    void setLook(const ResolvedLook& look, const LookChoice& here);
    void setGroupOpen(LookGroup group, bool open);
    [[nodiscard]] LookEditor* editor(const QString& key) const;

Q_SIGNALS:
    void edited(const mivanta::LookProperty& property, const mivanta::LookValue& value);
    void givenUp(const mivanta::LookProperty& property);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override; ///< undo in a field undoes the look's change

private:
    struct Row {
        const LookProperty* property;
        QLabel* label;
        LookEditor* editor;
        QLabel* source;
        QToolButton* giveUp;
    };
    void addGroup(LookGroup group, QVBoxLayout* column, const LookSupplies& supplies);
    void show(const Look& look, const ResolvedLook* resolved, const LookChoice* here);
    /// Rows that have no effect in this look, such as a gradient's angle on a plain colour.
    [[nodiscard]] static bool matters(const LookProperty& property, const Look& look);

    std::vector<Row> m_rows;
    std::vector<std::pair<QToolButton*, QWidget*>> m_groups; ///< by LookGroup: its head and its rows
};

/// Where a value comes from, in words.
[[nodiscard]] QString sourceText(const LookSource& source);

} // namespace mivanta
