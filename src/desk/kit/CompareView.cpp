// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/CompareView.h"
#include "desk/kit/Style.h"
#include <QDialog>
#include <QVBoxLayout>

namespace mivanta {

namespace {

using Kind = ComparedRow::Kind;
using What = ComparedRow::What;

constexpr const char* kChanged = "#ffe3ae";
constexpr const char* kAlone = "#dfead9";

QString marked(const QString& text, const std::vector<TextSpan>& marks) {
    QString html;
    int at = 0;
    for (const TextSpan& mark : marks) {
        html += text.mid(at, mark.from - at).toHtmlEscaped();
        html += QStringLiteral("<u style='background:%1'>%2</u>")
                    .arg(QLatin1String(kChanged), text.mid(mark.from, mark.length).toHtmlEscaped());
        at = mark.from + mark.length;
    }
    return html + text.mid(at).toHtmlEscaped();
}

QString cell(const ComparedRow& row, bool left, bool isOnlyColumn) {
    const bool isThere = row.kind != (left ? Kind::OnlyRight : Kind::OnlyLeft);
    const bool alone =
        !isOnlyColumn && isThere && (row.kind == Kind::OnlyLeft || row.kind == Kind::OnlyRight);
    QString text =
        isThere ? marked(left ? row.left : row.right, left ? row.leftMarks : row.rightMarks) : QString();
    if (isThere && row.what == What::Detail)
        text = QStringLiteral("<span style='color:%1'>%2</span> %3")
                   .arg(day().quiet.name(), row.name.toHtmlEscaped(), text);
    else if (isThere && row.what == What::Heading)
        text = QStringLiteral("<b style='color:%1'>%2</b>").arg(day().accent.name(), text);
    else if (isThere && row.what == What::Break)
        text = QStringLiteral("<span style='color:%1'>\u2500\u2500 %2</span>").arg(day().quiet.name(), text);
    if (alone)
        text = QStringLiteral("<b>+</b> ") + text;
    const QString above = row.what == What::Heading ? QStringLiteral(" style='padding-top:8px'") : QString();
    return QStringLiteral("<td width='%1%'%2%3>%4</td>")
        .arg(isOnlyColumn ? 100 : 50)
        .arg(alone ? QStringLiteral(" bgcolor='%1'").arg(QLatin1String(kAlone)) : QString(), above,
             text.isEmpty() ? QStringLiteral("&nbsp;") : text);
}

QString captionCell(const QString& caption) {
    return QStringLiteral("<td style='padding-bottom:6px'><b>%1</b></td>").arg(caption.toHtmlEscaped());
}

QString table(const std::vector<ComparedRow>& rows, const QStringList& captions) {
    QString html = QStringLiteral("<table width='100%' cellspacing='0' cellpadding='2'><tr>");
    for (const QString& caption : captions)
        html += captionCell(caption);
    html += QStringLiteral("</tr>");
    const bool isOne = captions.size() == 1;
    for (const ComparedRow& row : rows) {
        html += QStringLiteral("<tr>") + cell(row, true, isOne);
        if (!isOne)
            html += cell(row, false, false);
        html += QStringLiteral("</tr>");
    }
    return html + QStringLiteral("</table>");
}

} // namespace

CompareView::CompareView(QWidget* parent) : QTextBrowser(parent) {
    setObjectName(QStringLiteral("compare-view"));
    setAccessibleName(tr("Words and details"));
    setFrameShape(QFrame::NoFrame);
    setOpenLinks(false);
    document()->setDocumentMargin(spaced(2));
    setStyleSheet(
        QStringLiteral("QTextBrowser { background: %1; border-radius: 4px; }").arg(day().sheet.name()));
}

void CompareView::showNothing() {
    clear();
}

void CompareView::showOne(const Song& song, const QString& caption) {
    setHtml(table(rowsOf(song), {caption}));
}

void CompareView::showTwo(const Song& left, const QString& leftCaption, const Song& right,
                          const QString& rightCaption) {
    setHtml(table(compareSongs(left, right), {leftCaption, rightCaption}));
}

void showComparison(QWidget* parent, const QString& title, const Song& left, const QString& leftCaption,
                    const Song& right, const QString& rightCaption) {
    auto* dialog = new QDialog(parent);
    dialog->setObjectName(QStringLiteral("comparison"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(title);
    dialog->resize(spaced(180), spaced(130));
    auto* view = new CompareView(dialog);
    view->showTwo(left, leftCaption, right, rightCaption);
    auto* column = new QVBoxLayout(dialog);
    column->addWidget(view);
    dialog->show();
}

} // namespace mivanta

#include "moc_CompareView.cpp"
