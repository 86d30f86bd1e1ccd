// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/LookProperty.h"
#include "store/MediaFiles.h"
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
using PictureChooser = std::function<void(const std::function<void(const StoredMedium&)>& chosen)>;

/// The editor for a property; its object name is the property's key.
[[nodiscard]] LookEditor* makeLookEditor(const LookProperty& property, const PictureChooser& choosePicture,
                                         QWidget* parent);

} // namespace mivanta
