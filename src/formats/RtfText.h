// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>

namespace mivanta {

/// The words of an RTF document (version 1.9) as officeText() gives them. Pictures, tables of fonts and
/// colours, headers and hidden text are left out. Fails when it does not begin as RTF or ends inside a group.
[[nodiscard]] Result<QString> rtfText(const QByteArray& bytes);

} // namespace mivanta
