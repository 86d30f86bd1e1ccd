// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/PasteOrder.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QComboBox>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kMatchAfterMs = 300;
enum { WrittenAt, BecomesAt, LeaderAt, ColumnCount };

} // namespace

PasteOrder::PasteOrder(Session& session, const QString& text, const QString& action, QWidget* parent)
    : QDialog(parent),
      m_session(session) {
    setObjectName(QStringLiteral("paste-order"));
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("An order from an e-mail or a list"));
    resize(spaced(270), spaced(150));
    auto* hint = new QLabel(tr("Paste the order here: one line for each item, or a table with column names "
                               "(CSV)."),
                            this);
    hint->setWordWrap(true);
    makeQuiet(hint);
    m_text = new QPlainTextEdit(text, this);
    m_text->setObjectName(QStringLiteral("paste-text"));
    m_text->setAccessibleName(tr("The order as it was written"));
    m_text->setTabChangesFocus(true);
    m_table = new QTableWidget(0, ColumnCount, this);
    m_table->setObjectName(QStringLiteral("paste-lines"));
    m_table->setAccessibleName(tr("What each line becomes"));
    m_table->setHorizontalHeaderLabels({tr("Line"), tr("Becomes"), tr("Led by")});
    m_table->verticalHeader()->hide();
    m_table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    m_table->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_table->setTabKeyNavigation(false);
    m_table->horizontalHeader()->setSectionResizeMode(WrittenAt, QHeaderView::Stretch);
    m_table->horizontalHeader()->setSectionResizeMode(BecomesAt, QHeaderView::Stretch);
    m_table->horizontalHeader()->setSectionResizeMode(LeaderAt, QHeaderView::ResizeToContents);
    m_summary = new QLabel(this);
    m_summary->setObjectName(QStringLiteral("paste-summary"));
    m_next = new QPushButton(tr("&Next doubtful line"), this);
    m_next->setObjectName(QStringLiteral("paste-next"));
    m_next->setToolTip(tr("Go to the next line whose match is not certain"));
    m_next->setAutoDefault(false);
    m_take = new QPushButton(action, this);
    m_take->setObjectName(QStringLiteral("paste-take"));
    m_take->setToolTip(tr("Ctrl+Enter"));
    m_take->setShortcut(QKeySequence(Qt::CTRL | Qt::Key_Return));
    m_take->setAutoDefault(false);
    auto* cancel = new QPushButton(tr("Cancel"), this);
    cancel->setObjectName(QStringLiteral("paste-cancel"));
    cancel->setAutoDefault(false);
    auto* left = new QVBoxLayout;
    left->addWidget(hint);
    left->addWidget(m_text, 1);
    auto* sides = new QHBoxLayout;
    sides->setSpacing(spaced(3));
    sides->addLayout(left, 2);
    sides->addWidget(m_table, 5);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_summary, 1);
    buttons->addWidget(m_next);
    buttons->addWidget(cancel);
    buttons->addWidget(m_take);
    auto* column = new QVBoxLayout(this);
    column->setSpacing(spaced(2));
    column->addLayout(sides, 1);
    column->addLayout(buttons);
    m_soon.setSingleShot(true);
    m_soon.setInterval(kMatchAfterMs);
    connect(&m_soon, &QTimer::timeout, this, &PasteOrder::match);
    connect(m_text, &QPlainTextEdit::textChanged, this, [this] {
        m_take->setEnabled(false); // until what is written is matched
        m_soon.start();
    });
    connect(m_next, &QPushButton::clicked, this, &PasteOrder::goToDoubtful);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(m_take, &QPushButton::clicked, this, &PasteOrder::take);
    show({});
    match();
    m_text->setFocus();
}

void PasteOrder::match() {
    using Lines = std::vector<MatchedLine>;
    m_session.library().ask<Lines>(
        this,
        [lines = orderLinesOf(m_text->toPlainText())](Library& library) {
            LibraryFinder finder(library);
            return matchOrder(finder, lines);
        },
        [this, mine = ++m_asked](Result<Lines> lines) {
            if (mine != m_asked)
                return; // written on meanwhile
            if (lines)
                show(std::move(*lines));
            else
                m_summary->setText(lines.error().text());
        });
}

void PasteOrder::show(std::vector<MatchedLine> lines) {
    m_lines = std::move(lines);
    m_settled.assign(m_lines.size(), false);
    m_table->setRowCount(0);
    m_table->setRowCount(int(m_lines.size()));
    for (int row = 0; row < int(m_lines.size()); ++row) {
        const MatchedLine& line = m_lines[size_t(row)];
        auto* written = new QTableWidgetItem(line.line.written);
        written->setToolTip(line.line.written);
        if (line.isDoubtful)
            written->setIcon(icon(QStringLiteral("triangle-alert"), day().marker));
        m_table->setItem(row, WrittenAt, written);
        m_table->setItem(row, LeaderAt, new QTableWidgetItem(line.line.leader));
        auto* box = new QComboBox(m_table);
        box->setObjectName(QStringLiteral("paste-choice-%1").arg(row));
        box->setAccessibleName(tr("What \u201c%1\u201d becomes").arg(line.line.written));
        for (const LineChoice& choice : line.choices)
            box->addItem(choice.text);
        connect(box, &QComboBox::activated, this, [this, row] {
            m_settled[size_t(row)] = true;
            showSummary();
        });
        m_table->setCellWidget(row, BecomesAt, box);
    }
    showSummary();
}

QComboBox* PasteOrder::boxAt(int row) const {
    return static_cast<QComboBox*>(m_table->cellWidget(row, BecomesAt));
}

void PasteOrder::showSummary() {
    int doubtful = 0;
    for (size_t i = 0; i < m_lines.size(); ++i)
        doubtful += m_lines[i].isDoubtful && !m_settled[i] ? 1 : 0;
    m_summary->setText(
        m_lines.empty() ? tr("Nothing to add yet.")
        : doubtful == 0
            ? tr("%n lines, all certain", nullptr, int(m_lines.size()))
            : tr("%1, %n to look at", nullptr, doubtful).arg(tr("%n lines", nullptr, int(m_lines.size()))));
    m_next->setEnabled(doubtful > 0);
    m_take->setEnabled(!m_lines.empty() && !m_soon.isActive());
}

/// The one behind the line that has the focus; seen there, it counts as looked at once it is left.
void PasteOrder::goToDoubtful() {
    const int count = int(m_lines.size());
    const int from = m_table->currentRow();
    for (int i = 1; i <= count; ++i) {
        const int row = (std::max(from, -1) + i + count) % count;
        if (!m_lines[size_t(row)].isDoubtful || m_settled[size_t(row)])
            continue;
        m_table->setCurrentCell(row, BecomesAt);
        m_table->scrollToItem(m_table->item(row, WrittenAt));
        boxAt(row)->setFocus();
        return;
    }
}

void PasteOrder::take() {
    std::vector<std::pair<OrderLine, LineChoice::What>> chosen;
    for (int row = 0; row < int(m_lines.size()); ++row) {
        const MatchedLine& line = m_lines[size_t(row)];
        chosen.emplace_back(line.line, line.choices[size_t(std::max(0, boxAt(row)->currentIndex()))].what);
    }
    using Items = std::vector<Item>;
    m_session.library().ask<Items>(
        this,
        [chosen](Library& library) -> Result<Items> {
            LibraryFinder finder(library);
            Items items;
            for (const auto& [line, choice] : chosen) {
                auto item = itemOf(finder, line, choice);
                if (!item)
                    return tl::unexpected(item.error());
                if (*item)
                    items.push_back(std::move(**item));
            }
            return items;
        },
        [this](const Result<Items>& items) {
            if (!items) {
                m_summary->setText(items.error().text());
                return;
            }
            Q_EMIT taken(*items);
            accept();
        });
}

} // namespace mivanta

#include "moc_PasteOrder.cpp"
