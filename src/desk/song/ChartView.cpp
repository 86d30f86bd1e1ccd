// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/ChartView.h"
#include "core/song/Chords.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

/// The pages below one another, as wide as there is room.
class ChartView::Pages : public QWidget {
public:
    using QWidget::QWidget;
    void setPages(std::vector<ChartPage> pages, QSizeF size) {
        m_pages = std::move(pages);
        m_size = size;
        updateHeight();
        update();
    }

protected:
    void resizeEvent(QResizeEvent*) override { updateHeight(); }
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        const double scale = width() / m_size.width();
        for (size_t i = 0; i < m_pages.size(); ++i) {
            painter.save();
            painter.translate(0, double(i) * (m_size.height() * scale + spaced(2)));
            painter.scale(scale, scale);
            painter.fillRect(QRectF(QPointF(0, 0), m_size), Qt::white);
            paintChart(painter, m_pages[i]);
            painter.restore();
        }
    }

private:
    void updateHeight() {
        const double page = m_size.height() * width() / m_size.width() + spaced(2);
        setMinimumHeight(int(page * double(std::max<size_t>(1, m_pages.size()))));
    }
    std::vector<ChartPage> m_pages;
    QSizeF m_size{595, 842};
};

ChartView::ChartView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("chart-view"));
    auto* row = new QHBoxLayout;
    const auto tool = [&](const QString& name, const QString& text, const QString& tip) {
        auto* button = new QToolButton(this);
        button->setObjectName(name);
        button->setText(text);
        button->setToolTip(tip);
        return button;
    };
    const auto box = [&](const QString& name, const QString& text, const QString& tip, bool on,
                         const std::function<void(ChartOptions&, bool)>& set) {
        auto* check = new QCheckBox(text, this);
        check->setObjectName(name);
        check->setToolTip(tip);
        check->setChecked(on);
        connect(check, &QCheckBox::toggled, this,
                [this, set](bool now) { change([&](ChartOptions& o) { set(o, now); }); });
        row->addWidget(check);
    };
    box(QStringLiteral("chart-chords"), tr("Chords"), tr("With chords; without them it is a lyric sheet"),
        true, [](ChartOptions& o, bool on) { o.chords = on; });
    box(QStringLiteral("chart-numbers"), tr("Numbers"), tr("Chords as numbers of their key: 1, 4, 5, 6m"),
        false, [](ChartOptions& o, bool on) { o.numbers = on; });
    box(QStringLiteral("chart-capo"), tr("With capo"), tr("Chords as they are fingered with the song's capo"),
        false, [](ChartOptions& o, bool on) { o.capo = on; });
    box(QStringLiteral("chart-columns"), tr("Two columns"), tr("In two columns"), false,
        [](ChartOptions& o, bool on) { o.columns = on ? 2 : 1; });
    row->addStretch(1);
    auto* down = tool(QStringLiteral("transpose-down"), QStringLiteral("\u2212"),
                      tr("This page a semitone lower; the song stays as it is"));
    auto* up = tool(QStringLiteral("transpose-up"), QStringLiteral("+"),
                    tr("This page a semitone higher; the song stays as it is"));
    m_key = new QLabel(this);
    m_key->setObjectName(QStringLiteral("shown-key"));
    m_key->setFont(monoFont(1.0, TextWeight::Bold));
    connect(down, &QToolButton::clicked, this, [this] { transposeBy(-1); });
    connect(up, &QToolButton::clicked, this, [this] { transposeBy(1); });
    auto* pdf = new QPushButton(tr("Save as PDF\u2026"), this);
    pdf->setObjectName(QStringLiteral("chart-pdf"));
    pdf->setToolTip(tr("Write this page to a PDF file, to print or to send"));
    connect(pdf, &QPushButton::clicked, this, [this] { Q_EMIT sheetWanted(SendWay::ChartsPdf); });
    auto* print = new QPushButton(tr("Print\u2026"), this);
    print->setObjectName(QStringLiteral("chart-print"));
    print->setToolTip(tr("Print this page as it is here (Ctrl+P)"));
    print->setShortcut(QKeySequence::Print);
    connect(print, &QPushButton::clicked, this, [this] { Q_EMIT sheetWanted(SendWay::PrintCharts); });
    row->addWidget(new QLabel(tr("Shown in"), this));
    row->addWidget(down);
    row->addWidget(m_key);
    row->addWidget(up);
    row->addWidget(pdf);
    row->addWidget(print);

    auto* scroll = new QScrollArea(this);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_pages = new Pages(scroll);
    scroll->setWidget(m_pages);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addLayout(row);
    column->addWidget(scroll, 1);
}

void ChartView::setSong(const Song& song) {
    if (!(song.id == m_song.id))
        m_options.transposedBy = 0;
    m_song = song;
    layOut();
}

void ChartView::transposeBy(int semitones) {
    change([&](ChartOptions& o) { o.transposedBy = (o.transposedBy + semitones) % 12; });
}

void ChartView::change(const std::function<void(ChartOptions&)>& work) {
    work(m_options);
    layOut();
}

void ChartView::layOut() {
    Song shown = transposed(m_song, m_options.transposedBy);
    if (shown.key.isEmpty())
        shown.key = keyOf(shown);
    m_key->setText(shown.key.isEmpty() ? QStringLiteral("\u2013") : shown.key);
    m_pages->setPages(layOutChart(m_song, m_options), m_options.page);
}

} // namespace mivanta

#include "moc_ChartView.cpp"
