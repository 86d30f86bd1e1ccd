// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>
#include <ostream>

// GoogleTest prints QString through these.
QT_BEGIN_NAMESPACE
inline void PrintTo(const QString& text, std::ostream* stream) {
    *stream << '"' << text.toStdString() << '"';
}
inline void PrintTo(const QStringList& list, std::ostream* stream) {
    *stream << '[' << list.join(QStringLiteral(" | ")).toStdString() << ']';
}
QT_END_NAMESPACE
using namespace Qt::StringLiterals;
