// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/sending/SendMenu.h"

namespace mivanta {

SendMenu::SendMenu(const QString& title, bool onlySheets, QWidget* parent) : QMenu(title, parent) {
    const auto add = [this](const QString& text, SendWay way) {
        addAction(text, this, [this, way] { Q_EMIT wanted(way); });
    };
    if (!onlySheets) {
        add(tr("ChordPro files\u2026"), SendWay::ChordProFiles);
        add(tr("Text files\u2026"), SendWay::TextFiles);
        add(tr("Table of details and words (CSV)\u2026"), SendWay::Table);
        addSeparator();
    }
    add(tr("Charts as PDF\u2026"), SendWay::ChartsPdf);
    add(tr("Lyric sheets as PDF\u2026"), SendWay::LyricsPdf);
    addSeparator();
    add(tr("Print charts\u2026"), SendWay::PrintCharts);
    add(tr("Print lyric sheets\u2026"), SendWay::PrintLyrics);
    QAction* columns =
        addAction(tr("Sheets in two columns"), this, [](bool two) { Sender::setUsualColumns(two ? 2 : 1); });
    columns->setCheckable(true);
    connect(this, &QMenu::aboutToShow, columns,
            [columns] { columns->setChecked(Sender::usualSheets().columns == 2); });
}

} // namespace mivanta

#include "moc_SendMenu.cpp"
