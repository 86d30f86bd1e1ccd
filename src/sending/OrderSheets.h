// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include "core/run/Scene.h"
#include "render/RenderSources.h"

class QIODevice;
class QPagedPaintDevice;

namespace mivanta {

/// The order as a table for those who lead and serve: times, lengths, who leads, notes. A page that stands on
/// its own, to be printed or sent.
[[nodiscard]] QString orderHtml(const Service& service);
/// The same as plain text, for a message.
[[nodiscard]] QString orderText(const Service& service);
/// The same as a table: RFC 4180, UTF-8, the first line names the columns.
[[nodiscard]] QByteArray orderCsv(const Service& service);

/// The words of every item that is run, in the order in which they are sung and said.
[[nodiscard]] QString wordsHtml(const Service& service);
[[nodiscard]] QString wordsText(const Service& service);

/// A slide as it is printed, with what stands under it.
struct SlideOnPaper {
    Scene scene;
    QString caption;
};

/// Slides in rows, as many on a page as `perPage` says (1 to 12). False when the device fails.
[[nodiscard]] bool paintSlides(QPagedPaintDevice& device, const std::vector<SlideOnPaper>& slides,
                               int perPage, const RenderSources& sources);
inline constexpr int kMostSlidesAPage = 12;

/// One of those pages on paper.
void printHtml(QPagedPaintDevice& device, const QString& html);

[[nodiscard]] Result<void> writeHtmlPdf(QIODevice& device, const QString& html);
[[nodiscard]] Result<void> writeSlidesPdf(QIODevice& device, const std::vector<SlideOnPaper>& slides,
                                          int perPage, const RenderSources& sources);

} // namespace mivanta
