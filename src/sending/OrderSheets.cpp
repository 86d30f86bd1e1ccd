// SPDX-License-Identifier: GPL-3.0-or-later
#include "sending/OrderSheets.h"
#include "core/base/Said.h"
#include "core/timing/Timetable.h"
#include "formats/Csv.h"
#include "render/SceneRenderer.h"
#include <QAbstractTextDocumentLayout>
#include <QFontMetricsF>
#include <QLocale>
#include <QPageLayout>
#include <QPainter>
#include <QPdfWriter>
#include <QTextDocument>
#include <algorithm>
#include <cmath>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kDotsPerInch = 300;
constexpr double kMarginMm = 14;

QString escaped(const QString& text) {
    return text.toHtmlEscaped().replace(u'\n', u"<br>"_s);
}

/// One line of the order, as all forms of it say it.
struct SheetLine {
    QString time;
    QString length;
    QString title;
    QString kind;
    QString leader;
    QString note;
    bool isHeading = false;
    bool isNote = false; ///< for the operator
    bool isSkipped = false;
};

std::vector<SheetLine> linesOf(const Service& service) {
    const Timetable table = timetableOf(service);
    std::vector<SheetLine> lines;
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        const TimetableRow& row = table.rows[i];
        SheetLine line;
        line.title = item.title();
        line.kind = kindText(item.words);
        line.isHeading = item.isHeading();
        line.isNote = std::holds_alternative<NoteItem>(item.words);
        line.isSkipped = item.plan.skipped;
        if (const auto* note = std::get_if<NoteItem>(&item.words))
            line.title = note->words;
        if (row.begins.isValid() && item.isRun())
            line.time = row.begins.time().toString(u"HH:mm"_s);
        if (row.seconds > 0)
            line.length = lengthText(row);
        line.leader = item.plan.leader;
        line.note = item.plan.note;
        if (const Song* song = item.song(); song && !song->key.isEmpty())
            line.kind += u", "_s + song->key;
        lines.push_back(std::move(line));
    }
    return lines;
}

QString titleOf(const Service& service) {
    return service.title.isEmpty() ? Said::tr("Service") : service.title;
}

QString whenAndWhere(const Service& service) {
    QStringList facts{service.place};
    if (service.start.isValid())
        facts << QLocale().toString(service.start, Said::tr("dddd d MMMM yyyy, HH:mm", "date format"));
    facts.removeAll(QString());
    return facts.join(u" \u00b7 "_s);
}

QString endText(const Service& service) {
    const QDateTime ends = timetableOf(service).ends;
    return ends.isValid() && !service.items.empty()
               ? Said::tr("ends about %1").arg(ends.time().toString(u"HH:mm"_s))
               : QString();
}

QString page(const QString& title, const QString& body) {
    return u"<!DOCTYPE html>\n<html><head><meta charset=\"utf-8\"><title>%1</title>\n"
           "<style>body{font-family:sans-serif;font-size:11pt}h1{font-size:18pt;margin-bottom:2px}"
           "h2{font-size:12pt;margin:12px 0 2px 0}td{padding:2px 8px 2px 0;vertical-align:top}"
           ".q{color:#666}p{margin:0 0 8px 0}</style></head>\n<body>\n%2</body></html>\n"_s.arg(
               escaped(title), body);
}

QString row(const SheetLine& line) {
    if (line.isHeading)
        return u"<tr><td colspan=\"4\"><h2>%1</h2></td></tr>\n"_s.arg(escaped(line.title));
    QString title =
        line.isNote ? u"<i>%1</i>"_s.arg(escaped(line.title)) : u"<b>%1</b>"_s.arg(escaped(line.title));
    if (line.isSkipped)
        title = u"<s>%1</s> %2"_s.arg(title, escaped(Said::tr("not today")));
    QStringList facts{line.isNote ? QString() : line.kind, line.note};
    facts.removeAll(QString());
    if (!facts.isEmpty())
        title += u"<br><span class=\"q\">%1</span>"_s.arg(escaped(facts.join(u" \u00b7 "_s)));
    return u"<tr><td>%1</td><td>%2</td><td>%3</td><td>%4</td></tr>\n"_s.arg(
        line.time, title, escaped(line.leader), line.length);
}

/// What is sung or said of an item, a piece for each part that comes.
QStringList piecesOf(const Item& item, const Service& service) {
    const ItemContent content = contentOf(item, service);
    QStringList pieces;
    for (const ContentEntry& entry : content.entries) {
        const ContentPart& part = content.parts[size_t(entry.part)];
        if (part.bandOnly)
            continue;
        QStringList lines;
        for (const ContentLine& line : part.lines)
            lines << (line.namesRole && line.startsRole ? line.role + u": "_s : QString()) + line.words;
        if (!lines.isEmpty())
            pieces << lines.join(u'\n');
    }
    return pieces;
}

} // namespace

QString orderHtml(const Service& service) {
    QString body = u"<h1>%1</h1>\n<p>%2</p>\n<table cellspacing=\"0\">\n"_s.arg(
        escaped(titleOf(service)), escaped(whenAndWhere(service)));
    for (const SheetLine& line : linesOf(service))
        body += row(line);
    return page(titleOf(service), body + u"</table>\n<p>%1</p>\n"_s.arg(endText(service)));
}

QString orderText(const Service& service) {
    QStringList lines{titleOf(service), whenAndWhere(service)};
    for (const SheetLine& line : linesOf(service)) {
        if (line.isHeading) {
            lines << QString() << line.title.toUpper();
            continue;
        }
        QStringList facts{line.kind, line.leader, line.length, line.note,
                          line.isSkipped ? Said::tr("not today") : QString()};
        if (line.isNote)
            facts = {};
        facts.removeAll(QString());
        lines << (line.time.isEmpty() ? QString() : line.time + u"  "_s) + line.title +
                     (facts.isEmpty() ? QString() : u" ("_s + facts.join(u"; "_s) + u')');
    }
    lines << QString() << endText(service);
    return lines.join(u'\n').trimmed() + u'\n';
}

QByteArray orderCsv(const Service& service) {
    QString csv = csvRow({u"time"_s, u"length"_s, u"title"_s, u"kind"_s, u"leader"_s, u"note"_s, u"today"_s});
    for (const SheetLine& line : linesOf(service))
        csv += csvRow({line.time, line.length, line.title, line.isHeading ? Said::tr("Heading") : line.kind,
                       line.leader, line.note, line.isSkipped ? Said::tr("no") : Said::tr("yes")});
    return csv.toUtf8();
}

QString wordsHtml(const Service& service) {
    QString body =
        u"<h1>%1</h1>\n<p>%2</p>\n"_s.arg(escaped(titleOf(service)), escaped(whenAndWhere(service)));
    for (const Item& item : service.items) {
        const QStringList pieces = item.isRun() ? piecesOf(item, service) : QStringList();
        if (pieces.isEmpty())
            continue;
        body += u"<h2>%1</h2>\n"_s.arg(escaped(item.title()));
        for (const QString& piece : pieces)
            body += u"<p>%1</p>\n"_s.arg(escaped(piece));
    }
    return page(titleOf(service), body);
}

QString wordsText(const Service& service) {
    QStringList texts{titleOf(service)};
    for (const Item& item : service.items) {
        const QStringList pieces = item.isRun() ? piecesOf(item, service) : QStringList();
        if (!pieces.isEmpty())
            texts << item.title().toUpper() << pieces;
    }
    return texts.join(u"\n\n"_s) + u'\n';
}

bool paintSlides(QPagedPaintDevice& device, const std::vector<SlideOnPaper>& slides, int perPage,
                 const RenderSources& sources) {
    perPage = std::clamp(perPage, 1, kMostSlidesAPage);
    const int columns = perPage <= 3 ? 1 : perPage <= 8 ? 2 : 3;
    const int rows = (perPage + columns - 1) / columns;
    QPainter painter;
    if (!painter.begin(&device))
        return false;
    const QRect page(0, 0, painter.viewport().width(), painter.viewport().height());
    const double caption = painter.fontMetrics().height() * 1.6;
    const QSizeF cell(double(page.width()) / columns, double(page.height()) / rows);
    for (size_t i = 0; i < slides.size(); ++i) {
        const int at = int(i) % perPage;
        if (i > 0 && at == 0 && !device.newPage())
            return false;
        const double gap = caption / 2;
        const int row = at / columns;
        const QRectF area(cell.width() * (at % columns), cell.height() * row, cell.width() - gap,
                          cell.height() - gap);
        const QSizeF size = QSizeF(slides[i].scene.size)
                                .scaled(QSizeF(area.width(), area.height() - caption), Qt::KeepAspectRatio);
        const QRectF picture(area.topLeft(), size);
        QImage image(slides[i].scene.size, QImage::Format_RGB32);
        image.fill(Qt::black);
        QPainter(&image).drawImage(0, 0, renderScene(slides[i].scene, {}, sources));
        painter.drawImage(picture, image);
        painter.drawText(
            QRectF(picture.left(), picture.bottom(), picture.width(), caption),
            Qt::AlignLeft | Qt::AlignVCenter,
            painter.fontMetrics().elidedText(slides[i].caption, Qt::ElideRight, int(picture.width())));
    }
    return painter.end();
}

void printHtml(QPagedPaintDevice& device, const QString& html) {
    QTextDocument document;
    document.documentLayout()->setPaintDevice(&device); // lengths are the paper's
    document.setDocumentMargin(0);                      // the device has margins
    document.setPageSize(QSizeF(device.width(), device.height()));
    document.setHtml(html);
    document.print(&device);
}

namespace {

void setUp(QPdfWriter& writer) {
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setPageMargins(QMarginsF(kMarginMm, kMarginMm, kMarginMm, kMarginMm), QPageLayout::Millimeter);
    writer.setResolution(kDotsPerInch);
}

} // namespace

Result<void> writeHtmlPdf(QIODevice& device, const QString& html) {
    QPdfWriter writer(&device);
    setUp(writer);
    printHtml(writer, html);
    return {};
}

Result<void> writeSlidesPdf(QIODevice& device, const std::vector<SlideOnPaper>& slides, int perPage,
                            const RenderSources& sources) {
    QPdfWriter writer(&device);
    setUp(writer);
    if (!paintSlides(writer, slides, perPage, sources))
        return failure(Said::tr("the PDF could not be made"), {}, Said::tr("Check the free space."));
    return {};
}

} // namespace mivanta
