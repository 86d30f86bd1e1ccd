// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveInput.h"
#include "core/theme/LookProperty.h"
#include "desk/kit/BringInMedia.h"
#include <QWidget>
#include <functional>

namespace mivanta {

/// Edits the value of one property of a look.
class LookEditor : public QWidget {
    Q_OBJECT
public:
    using QWidget::QWidget;
    /// Shows a value of the property's own type; edited() is not sent.
    virtual void setValue(const LookValue& value) = 0;

Q_SIGNALS:
    void edited(const mivanta::LookValue& value);
};

/// Asks the person for a picture of the library, or a file; the answer may come later, or never.
using MediumChooser = std::function<void(MediumKind kind, const MediumTaken& chosen)>;

/// The live inputs of this computer.
using LiveInputsOf = std::function<std::vector<LiveInput>()>;

/// What editors of looks need to know of the library and of this computer.
struct LookSupplies {
    MediumChooser chooseMedium;
    LiveInputsOf liveInputs;
};

/// `asker`: whoever takes what is chosen; nothing comes when it is gone by then.
[[nodiscard]] LookSupplies lookSupplies(Session& session, Prompts& prompts, QObject* asker);

/// The editor for a property; its object name is the property's key.
[[nodiscard]] LookEditor* makeLookEditor(const LookProperty& property, const MediumChooser& chooseMedium,
                                         QWidget* parent);

} // namespace mivanta
