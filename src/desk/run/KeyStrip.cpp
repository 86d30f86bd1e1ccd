// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/KeyStrip.h"
#include "desk/kit/Style.h"
#include <QCoreApplication>
#include <QEvent>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kSheetColumns = 2;

QString keyCap(const QString& key) {
    return QStringLiteral("<span style='background:#22323A; color:#E8E2D4; font-family:\"Atkinson "
                          "Hyperlegible Mono\"'>&nbsp;%1&nbsp;</span>")
        .arg(key.toHtmlEscaped());
}

QString capsOf(const std::vector<Qt::Key>& keys, size_t most) {
    QStringList caps;
    for (size_t i = 0; i < std::min(most, keys.size()); ++i)
        caps << keyCap(RunKeys::textOf(keys[i]));
    return caps.join(u' ');
}

QLabel* quietLabel(const QString& text, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    label->setFont(textFont(0.92));
    label->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    return label;
}

} // namespace

KeyStrip::KeyStrip(const RunKeys& keys, QWidget* parent) : QWidget(parent), m_keys(keys) {
    setObjectName(QStringLiteral("run-keys"));
    setAttribute(Qt::WA_StyledBackground);
    setStyleSheet(QStringLiteral("#run-keys { background: %1 }").arg(night().side.name()));
    m_row = new QHBoxLayout(this);
    m_row->setContentsMargins(spaced(4), spaced(2), spaced(4), spaced(2));
    m_row->setSpacing(spaced(3.5));
    m_row->setSizeConstraint(QLayout::SetNoConstraint); // what has no room is not shown
    connect(&m_keys, &RunKeys::changed, this, &KeyStrip::fill);
    fill();
}

void KeyStrip::fill() {
    while (QLayoutItem* item = m_row->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    m_entries.clear();
    const auto add = [&](const QString& caps, const QString& text) {
        if (caps.isEmpty())
            return;
        m_entries.push_back(quietLabel(caps + QStringLiteral("&nbsp; ") + text, this));
        m_row->addWidget(m_entries.back());
    };
    const auto caps = [&](RunAction action, size_t most = 1) { return capsOf(m_keys.keysOf(action), most); };
    add(caps(RunAction::Take, 2), tr("take"));
    add(caps(RunAction::Back), tr("back"));
    add(caps(RunAction::UndoTake), tr("undo"));
    add(caps(RunAction::LookBack) + u' ' + caps(RunAction::LookOn), tr("look"));
    add(caps(RunAction::PreviousItem) + u' ' + caps(RunAction::NextItem), tr("items"));
    add(keyCap(QStringLiteral("C")) + u' ' + keyCap(QStringLiteral("V2")), tr("parts"));
    add(caps(RunAction::PartAgain), tr("again"));
    add(keyCap(QStringLiteral("1\u20139")), tr("an item"));
    add(caps(RunAction::Find), tr("unplanned"));
    add(caps(RunAction::StopLooking), tr("stop looking"));
    m_row->addStretch(1);
    add(caps(RunAction::ShowKeys), tr("every key"));
    QLabel* locked = quietLabel(tr("editing is off"), this);
    locked->setToolTip(tr("The order and its words are changed on the Prepare desk"));
    m_row->addWidget(locked);
    // Wanted more than the rest: the way to every key, and behind it that nothing is edited here.
    std::rotate(m_entries.begin(), m_entries.end() - 1, m_entries.end());
    m_entries.insert(m_entries.begin() + 1, locked);
    fit();
}

QSize KeyStrip::minimumSizeHint() const {
    return {0, QWidget::minimumSizeHint().height()};
}

void KeyStrip::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    fit();
}

void KeyStrip::fit() {
    const QMargins margins = m_row->contentsMargins();
    int room = width() - margins.left() - margins.right();
    for (QLabel* entry : m_entries) {
        room -= entry->sizeHint().width() + m_row->spacing();
        entry->setVisible(room >= 0);
    }
}

KeySheet::KeySheet(const RunKeys& keys, QWidget* desk) : QFrame(desk), m_keys(keys) {
    setObjectName(QStringLiteral("key-sheet"));
    setAttribute(Qt::WA_StyledBackground);
    setStyleSheet(QStringLiteral("#key-sheet { background: %1; border: 1px solid %2; border-radius: 5px }")
                      .arg(night().sheet.name(), night().accent.name()));
    setLayout(new QGridLayout);
    static_cast<QGridLayout*>(layout())->setHorizontalSpacing(spaced(5));
    desk->installEventFilter(this);
    hide();
}

void KeySheet::fill() {
    auto* grid = static_cast<QGridLayout*>(layout());
    while (QLayoutItem* item = grid->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    std::vector<std::pair<QString, QString>> rows;
    for (const RunActionFacts& facts : runActions())
        rows.emplace_back(capsOf(m_keys.keysOf(facts.action), 4),
                          QCoreApplication::translate("RunKeys", facts.name));
    rows.emplace_back(
        keyCap(QStringLiteral("C")) + u' ' + keyCap(QStringLiteral("V")) + u' ' +
            keyCap(QStringLiteral("B")) + QStringLiteral(" \u2026"),
        tr("Look at the next chorus, verse, bridge \u2026; a number behind it names the verse"));
    rows.emplace_back(keyCap(QStringLiteral("0\u20139")), tr("Look at the item of that number"));
    const int half = int((rows.size() + kSheetColumns - 1) / kSheetColumns);
    for (int i = 0; i < int(rows.size()); ++i) {
        auto* caps = new QLabel(rows[size_t(i)].first, this);
        grid->addWidget(caps, i % half, 2 * (i / half));
        grid->addWidget(quietLabel(rows[size_t(i)].second, this), i % half, 2 * (i / half) + 1);
    }
    grid->addWidget(quietLabel(tr("Setup changes them. Any key closes this sheet."), this), half, 0, 1,
                    2 * kSheetColumns);
}

void KeySheet::open() {
    fill();
    show();
    raise();
    place();
}

void KeySheet::place() {
    adjustSize();
    const QRect room = parentWidget()->rect();
    move((room.width() - width()) / 2, std::max(spaced(2), (room.height() - height()) / 2));
}

bool KeySheet::eventFilter(QObject* watched, QEvent* event) {
    if (isVisible() && event->type() == QEvent::Resize)
        place();
    if (event->type() == QEvent::Hide)
        hide();
    return QFrame::eventFilter(watched, event);
}

void KeySheet::mousePressEvent(QMouseEvent*) {
    hide();
}

} // namespace mivanta

#include "moc_KeyStrip.cpp"
