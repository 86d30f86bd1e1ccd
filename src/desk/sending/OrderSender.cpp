// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/sending/OrderSender.h"
#include "core/run/Cards.h"
#include "desk/kit/Prompts.h"
#include "media/PictureProxies.h"
#include "store/MediaFiles.h"
#include "store/SafeFiles.h"
#include <QBuffer>
#include <QClipboard>
#include <QGuiApplication>
#include <QMenu>
#include <QPrinter>

namespace mivanta {

namespace {

QString endingOf(SheetForm form) {
    switch (form) {
    case SheetForm::Html:
        return QStringLiteral(".html");
    case SheetForm::Text:
        return QStringLiteral(".txt");
    case SheetForm::Csv:
        return QStringLiteral(".csv");
    case SheetForm::Print:
    case SheetForm::Pdf:
        break;
    }
    return QStringLiteral(".pdf");
}

QString htmlOf(ServiceSheet sheet, const Service& service) {
    return sheet == ServiceSheet::Words ? wordsHtml(service) : orderHtml(service);
}

/// Everything but slides and paper.
Result<QByteArray> bytesOf(ServiceSheet sheet, SheetForm form, const Service& service) {
    if (form == SheetForm::Html)
        return htmlOf(sheet, service).toUtf8();
    if (form == SheetForm::Text)
        return (sheet == ServiceSheet::Words ? wordsText(service) : orderText(service)).toUtf8();
    if (form == SheetForm::Csv)
        return orderCsv(service);
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    if (auto done = writeHtmlPdf(buffer, htmlOf(sheet, service)); !done)
        return tl::unexpected(done.error());
    return buffer.data();
}

} // namespace

OrderSender::OrderSender(Session& session, Prompts& prompts, QObject* parent)
    : QObject(parent),
      m_session(session),
      m_prompts(prompts) {}

OrderSender::~OrderSender() {
    m_worker.finish();
}

RenderSources OrderSender::pictures() const {
    const LibraryAddress& library = m_session.library().address();
    return {PictureProxies::loader(
        std::make_shared<PictureProxies>(library.mediaFolder(), library.pictureCacheFolder()))};
}

std::vector<SlideOnPaper> OrderSender::slides() const {
    std::vector<SlideOnPaper> result;
    for (const Item& item : m_session.document().service().items) {
        const ItemSlides* slides = item.isRun() ? m_session.book().slidesOf(item.id) : nullptr;
        const int main = slides ? mainOutput(*slides) : -1;
        if (main < 0)
            continue;
        const OutputSlides& output = slides->outputs[size_t(main)];
        for (int s = 0; s < int(output.slides.size()); ++s)
            result.push_back(
                {sceneOf(*slides, output, s), QStringLiteral("%1 \u00b7 %2").arg(item.title()).arg(s + 1)});
    }
    return result;
}

void OrderSender::send(ServiceSheet sheet, SheetForm form, int perPage) {
    const Service& service = m_session.document().service();
    if (service.items.empty()) {
        Q_EMIT m_session.notice(tr("There is nothing in this service yet."));
        return;
    }
    if (form == SheetForm::Print) {
        if (sheet == ServiceSheet::Slides)
            print([slides = slides(), perPage, sources = pictures()](QPagedPaintDevice& device) {
                return paintSlides(device, slides, perPage, sources);
            });
        else
            print([html = htmlOf(sheet, service)](QPagedPaintDevice& device) {
                printHtml(device, html);
                return true;
            });
        return;
    }
    const QString title = service.title.isEmpty() ? tr("Service") : service.title;
    const QString path = m_prompts.whereToExport(title + endingOf(form));
    if (path.isEmpty())
        return;
    if (sheet == ServiceSheet::Slides)
        write(path, [slides = slides(), perPage, sources = pictures()]() -> Result<QByteArray> {
            QBuffer buffer;
            buffer.open(QIODevice::WriteOnly);
            if (auto done = writeSlidesPdf(buffer, slides, perPage, sources); !done)
                return tl::unexpected(done.error());
            return buffer.data();
        });
    else
        write(path, [sheet, form, service] { return bytesOf(sheet, form, service); });
}

void OrderSender::write(const QString& path, const std::function<Result<QByteArray>()>& make) {
    m_worker.run(
        this,
        [path, make]() -> Result<void> {
            const auto bytes = make();
            return bytes ? writeSafely(path, *bytes) : Result<void>(tl::unexpected(bytes.error()));
        },
        [this, path](const Result<void>& written) {
            if (written)
                Q_EMIT m_session.notice(tr("Written: %1").arg(path));
            else
                Q_EMIT m_session.problem(written.error());
        });
}

void OrderSender::print(const std::function<bool(QPagedPaintDevice&)>& paint) {
    auto printer = std::make_shared<QPrinter>(QPrinter::HighResolution);
    printer->setDocName(m_session.document().service().title);
    if (!m_prompts.choosePrinter(*printer))
        return;
    m_worker.run(
        this, [printer, paint] { return paint(*printer); },
        [this, printer](bool isDone) {
            if (isDone)
                Q_EMIT m_session.notice(tr("Sent to the printer."));
            else
                Q_EMIT m_session.problem({tr("The printer did not take the pages"), printer->printerName(),
                                          tr("Check that it is switched on, or choose another one.")});
        });
}

void OrderSender::copyText() {
    QGuiApplication::clipboard()->setText(orderText(m_session.document().service()));
    Q_EMIT m_session.notice(tr("The order is on the clipboard, to be pasted into a message."));
}

void OrderSender::fill(QMenu& menu) {
    const auto add = [this](QMenu* into, const char* name, const QString& text, ServiceSheet sheet,
                            SheetForm form, int perPage = 6) {
        into->addAction(text, this, [this, sheet, form, perPage] { send(sheet, form, perPage); })
            ->setObjectName(QLatin1String(name));
    };
    QMenu* order = menu.addMenu(tr("&Order of the service"));
    add(order, "print-order", tr("&Print\u2026"), ServiceSheet::Order, SheetForm::Print);
    add(order, "order-pdf", tr("P&DF\u2026"), ServiceSheet::Order, SheetForm::Pdf);
    add(order, "order-html", tr("&Web page\u2026"), ServiceSheet::Order, SheetForm::Html);
    add(order, "order-text", tr("&Text\u2026"), ServiceSheet::Order, SheetForm::Text);
    add(order, "order-csv", tr("Ta&ble (CSV)\u2026"), ServiceSheet::Order, SheetForm::Csv);
    order->addAction(tr("&Copy as text"), this, &OrderSender::copyText)
        ->setObjectName(QStringLiteral("order-copy"));
    QMenu* slides = menu.addMenu(tr("&Slides"));
    for (const int perPage : {1, 2, 4, 6, 12})
        add(slides, perPage == 6 ? "slides-pdf-6" : "slides-pdf", tr("PDF, %1 on a page\u2026").arg(perPage),
            ServiceSheet::Slides, SheetForm::Pdf, perPage);
    add(slides, "print-slides", tr("&Print, 6 on a page\u2026"), ServiceSheet::Slides, SheetForm::Print);
    QMenu* words = menu.addMenu(tr("&Words"));
    add(words, "print-words", tr("&Print\u2026"), ServiceSheet::Words, SheetForm::Print);
    add(words, "words-pdf", tr("P&DF\u2026"), ServiceSheet::Words, SheetForm::Pdf);
    add(words, "words-html", tr("&Web page\u2026"), ServiceSheet::Words, SheetForm::Html);
    add(words, "words-text", tr("&Text\u2026"), ServiceSheet::Words, SheetForm::Text);
}

} // namespace mivanta

#include "moc_OrderSender.cpp"
