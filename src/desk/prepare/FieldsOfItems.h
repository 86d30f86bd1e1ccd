// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "core/theme/Look.h"
#include "core/timing/Moment.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Shortened.h"
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QSignalBlocker>
#include <QSpinBox>
#include <optional>

namespace mivanta {

// Fields that several kinds of items have on the bench.

/// Per cent, 0 to 100.
inline QSpinBox* makePerCent(const char* name, const QString& tip, QWidget* parent) {
    auto* box = named(new QSpinBox(parent), name, tip);
    box->setRange(0, 100);
    box->setKeyboardTracking(false); // what is typed counts when it is complete
    box->setSuffix(Said::tr(" %", "behind a number"));
    return box;
}

inline QDoubleSpinBox* makeSeconds(const char* name, const QString& tip, double most, QWidget* parent) {
    auto* box = named(new QDoubleSpinBox(parent), name, tip);
    box->setRange(0, most);
    box->setKeyboardTracking(false);
    box->setDecimals(1);
    box->setSingleStep(0.5);
    box->setSuffix(Said::tr(" s", "seconds, behind a number"));
    return box;
}

/// Shows a text, unless another one is being typed there.
inline void putText(QLineEdit* edit, const QString& text) {
    const bool isBeingTyped = edit->hasFocus() && edit->isModified();
    if (!isBeingTyped && edit->text() != text)
        edit->setText(text);
}

/// Shows a number, and tells nobody.
template <typename Box, typename Value>
void putValue(Box* box, Value value) {
    const QSignalBlocker blocker(box);
    box->setValue(value);
}

/// Takes a typed begin or end of what is played: `moment` is one of `from` and `to`, which are within
/// `length` seconds (0 = not known). Says what is wrong with it; then nothing was changed.
[[nodiscard]] inline std::optional<QString> setMoment(const QString& text, double& moment, const double& from,
                                                      const double& to, double length) {
    const QString typed = text.trimmed();
    const std::optional<double> seconds = typed.isEmpty() ? std::optional(0.0) : momentFromText(typed);
    if (!seconds)
        return Said::tr("\u201c%1\u201d is no moment").arg(shortened(typed));
    const double before = std::exchange(moment, *seconds);
    constexpr double kNearly = 0.05; // what is shown is rounded
    std::optional<QString> problem;
    if (length > 0 && std::max(from, to) > length + kNearly)
        problem = Said::tr("it is only %1 long").arg(momentText(length));
    else if (to > 0 && to <= from)
        problem = Said::tr("it cannot end before it begins");
    if (problem)
        moment = before;
    return problem;
}

/// How something of another shape meets the screen; the data is a PictureFit.
inline QComboBox* makeFitBox(const char* name, const QString& tip, QWidget* parent) {
    auto* box = named(new QComboBox(parent), name, tip);
    box->addItem(Said::tr("Show all of it, black around it"), int(PictureFit::Whole));
    box->addItem(Said::tr("Fill the screen, cut the edges off"), int(PictureFit::Fill));
    box->addItem(Said::tr("Stretch it to the screen"), int(PictureFit::Stretch));
    return box;
}

} // namespace mivanta
