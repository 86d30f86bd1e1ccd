// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/FilmFilters.h"
#include <algorithm>
#include <vector>

namespace mivanta {

namespace {

QByteArray number(double value) {
    return QByteArray::number(value, 'f', 4);
}

/// Contrast turns around middle grey, as in the treatment of pictures; the filter counts from -1 to 1.
QByteArray colourFilter(const Treatment& t) {
    const double slope = t.contrast >= 0 ? 1 + t.contrast / 50.0 : 1 + t.contrast / 100.0;
    const double saturation = 1 + t.saturation * (t.saturation > 0 ? 2 : 1) / 100.0;
    // Of black to white, which films count from 16 to 235.
    const double brightness = t.brightness / 200.0 * 219 / 255;
    return "eq=contrast=" + number(slope) + ":brightness=" + number(brightness) +
           ":saturation=" + number(saturation);
}

/// `filter`: "fade" or "afade"; the same words for both.
void addFades(std::vector<QByteArray>& filters, const QByteArray& filter, const FilmPlay& film, double end) {
    if (film.fadeIn > 0)
        filters.push_back(filter + "=t=in:st=" + number(film.from) +
                          ":d=" + number(film.fadeIn)); // for machines
    const double out = end > film.from ? std::min(film.fadeOut, end - film.from) : 0;
    if (out > 0)
        filters.push_back(filter + "=t=out:st=" + number(end - out) + ":d=" + number(out)); // for machines
}

QByteArray chained(const std::vector<QByteArray>& filters) {
    QByteArray all;
    for (const QByteArray& filter : filters)
        all += (all.isEmpty() ? "" : ",") + filter;
    return all.isEmpty() ? all : "lavfi=[" + all + ']';
}

} // namespace

QByteArray filmFilters(const FilmTraits& traits, const FilmPlay& film, double end) {
    const Treatment& treatment = film.treatment;
    std::vector<QByteArray> filters;
    if (traits.isInterlaced)
        filters.emplace_back("bwdif=mode=send_frame");
    if (traits.isHdr) // to the light of ordinary screens; for machines
        filters.emplace_back("zscale=t=linear:npl=203,format=gbrpf32le,zscale=p=bt709,tonemap=mobius:desat=0,"
                             "zscale=t=bt709:m=bt709:r=tv,format=yuv420p");
    if (traits.rotation == 90)
        filters.emplace_back("transpose=clock");
    else if (traits.rotation == 180)
        filters.emplace_back("hflip,vflip"); // for machines
    else if (traits.rotation == 270)
        filters.emplace_back("transpose=cclock");
    if (treatment.blur > 0) {
        const bool isSideways = traits.rotation % 180 != 0;
        const int height = std::max(1, isSideways ? traits.size.width() : traits.size.height());
        filters.emplace_back("gblur=sigma=" + number(treatment.blur / 2 * height / kLookHeight));
    }
    if (treatment.brightness != 0 || treatment.contrast != 0 || treatment.saturation != 0)
        filters.push_back(colourFilter(treatment));
    addFades(filters, "fade", film, end);
    return chained(filters);
}

QByteArray soundFilters(const FilmPlay& film, double end) {
    std::vector<QByteArray> filters;
    addFades(filters, "afade", film, end);
    return chained(filters);
}

} // namespace mivanta
