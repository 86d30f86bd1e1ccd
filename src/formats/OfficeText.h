// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>

namespace mivanta {

/// True for names ending in .docx, .odt, .pptx, .odp or .rtf.
[[nodiscard]] bool isOfficeFileName(const QString& fileName);

/// The words of a text document or of a slide file, as plain text that people write: paragraphs are lines,
/// slides and empty paragraphs are parted by blank lines, *italic* and __bold__ are marked as in
/// core/song/WholeText.h. Headers, notes, pictures and deleted text are left out.
///
/// Formats: WordprocessingML and PresentationML (ECMA-376), OpenDocument text and presentation (ISO 26300),
/// RTF 1.9. Fails on what is damaged, locked with a password, too large, or nested too deeply to be read
/// whole.
[[nodiscard]] Result<QString> officeText(const QByteArray& bytes, const QString& fileName);

/// The largest such file that is read, in bytes; most of it may be pictures.
inline constexpr qint64 kLargestOfficeFile = 64 * 1024 * 1024;

} // namespace mivanta
