// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <functional>

class QLineEdit;

namespace mivanta {

/// Several lines as one: line breaks and tabs become single spaces.
[[nodiscard]] QString asOneLine(const QString& text);

/// Fields of one line take one line: what is pasted or dropped into one is put into one line first, whichever
/// way it comes. One for the application.
class OneLineFields : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override;
};

/// Several lines that are pasted into this field go there first; when that returns false, they are put into
/// one line.
void takeLinesPastedInto(QLineEdit* edit, std::function<bool(const QString& text)> take);

} // namespace mivanta
