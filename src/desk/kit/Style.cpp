// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Style.h"
#include "desk/kit/OneLineFields.h"
#include "render/Fonts.h"
#include <QAbstractSpinBox>
#include <QApplication>
#include <QComboBox>
#include <QFile>
#include <QFontMetrics>
#include <QPixmap>
#include <QWidget>
#include <cmath>

namespace mivanta {

const Palette& day() {
    static const Palette colours{QColor(0xEFE9DC), QColor(0xFFFDF7), QColor(0xE4DCCB), QColor(0xD3C8B0),
                                 QColor(0x1E2B31), QColor(0x5F5E50), QColor(0x0F6B6B), QColor(0xC76B00),
                                 QColor(0xB23A2E), QColor(0xD9E6E0)};
    return colours;
}

const Palette& night() {
    static const Palette colours{QColor(0x0F171B), QColor(0x172228), QColor(0x0A1013), QColor(0x3B4B52),
                                 QColor(0xE8E2D4), QColor(0x9FB0AE), QColor(0x5CC4B8), QColor(0xFFB224),
                                 QColor(0xFF6B5A), QColor(0x22323A)};
    return colours;
}

namespace {

QString controls(const Palette& p, const QString& scope) {
    QString sheet = QStringLiteral(R"(
        %1 QLabel { color: %TEXT; }
        %1 QLineEdit { background: %SHEET; color: %TEXT; border: 2px solid %LINE; border-radius: 4px; padding: 5px 8px;
                       selection-background-color: %ACCENT; selection-color: %SHEET; }
        %1 QLineEdit:focus { border-color: %ACCENT; }
        %1 QPushButton { background: transparent; color: %TEXT; border: 1px solid %LINE; border-radius: 4px; padding: 5px 12px; }
        %1 QPushButton:hover { border-color: %ACCENT; }
        %1 QPushButton:focus { border: 2px solid %ACCENT; padding: 4px 11px; }
        %1 QPushButton:disabled { color: %QUIET; }
        %1 QPushButton[main="true"] { background: %ACCENT; color: %SHEET; border-color: %ACCENT; }
        %1 QPushButton[main="true"]:disabled { background: transparent; color: %QUIET; border-color: %LINE; }
        %1 QPushButton[main="true"]:focus { border: 2px solid %TEXT; }
        %1 QPushButton[choice="true"]:checked { background: %TEXT; color: %SHEET; }
        %1 QToolButton { background: transparent; border: 1px solid transparent; border-radius: 4px; padding: 4px; color: %TEXT; }
        %1 QToolButton:hover { background: %CHOSEN; }
        %1 QToolButton:focus { border-color: %ACCENT; }
        %1 QToolButton[chip="true"] { border: 1px solid %LINE; border-radius: 10px; padding: 3px 10px; background: %SHEET; }
        %1 QToolButton[chip="true"]:checked { background: %ACCENT; color: %SHEET; border-color: %ACCENT; }
        %1 QToolButton[chip="true"]:focus { border: 2px solid %TEXT; padding: 2px 9px; }
        %1 QComboBox { background: %SHEET; color: %TEXT; border: 1px solid %LINE; border-radius: 4px; padding: 3px 8px; }
        %1 QComboBox::drop-down { border: none; width: 22px; }
        %1 QComboBox::down-arrow { image: url(:/mivanta/icons/chevron-down.svg); width: 14px; height: 14px; }
        %1 QComboBox:focus { border: 2px solid %ACCENT; padding: 2px 7px; }
        %1 QComboBox QAbstractItemView { background: %SHEET; color: %TEXT; selection-background-color: %CHOSEN; selection-color: %TEXT; }
        %1 QDialogButtonBox, %1 QMessageBox { dialogbuttonbox-buttons-have-icons: 0; }
        %1 QListView, %1 QScrollArea, %1 QTextEdit { background: transparent; border: none; color: %TEXT; }
        %1 QToolButton::menu-indicator, %1 QPushButton::menu-indicator { image: none; }
        %1 QPushButton[tab="true"] { background: transparent; border: none; border-radius: 11px; padding: 4px 12px; }
        %1 QPushButton[tab="true"]:hover { background: %SIDE; }
        %1 QPushButton[tab="true"]:focus { border: 2px solid %ACCENT; }
        %1 QPushButton[tab="true"]:checked { background: %TEXT; color: %SHEET; }
        %1 QListView:focus { border: none; }
        %1 QListWidget::item { padding: 5px 8px; border-radius: 4px; }
        %1 QListWidget::item:selected { background: %CHOSEN; color: %TEXT; }
        %1 QTabBar { background: %SIDE; }
        %1 QTabBar::tab { background: transparent; color: %TEXT; padding: 5px 16px; margin: 4px 2px 0 6px;
                          border: none; border-bottom: 3px solid transparent; }
        %1 QTabBar::tab:hover { border-bottom-color: %LINE; }
        %1 QTabBar::tab:selected { color: %ACCENT; font-weight: bold; border-bottom-color: %ACCENT; }
        %1 QTabBar::tab:focus { background: %CHOSEN; }
        %1 QSpinBox, %1 QDoubleSpinBox { background: %SHEET; color: %TEXT; border: 1px solid %LINE;
                          border-radius: 4px; padding: 3px 4px; min-height: 1.1em; }
        %1 QSpinBox:focus, %1 QDoubleSpinBox:focus { border: 2px solid %ACCENT; padding: 2px 3px; }
        %1 QSpinBox:disabled, %1 QDoubleSpinBox:disabled { color: %QUIET; }
        %1 QSpinBox::up-button, %1 QDoubleSpinBox::up-button { subcontrol-origin: border; width: 18px; border: none; }
        %1 QSpinBox::down-button, %1 QDoubleSpinBox::down-button { subcontrol-origin: border; width: 18px; border: none; }
        %1 QSpinBox::up-arrow, %1 QDoubleSpinBox::up-arrow { image: url(:/mivanta/icons/chevron-up.svg); width: 11px; height: 11px; }
        %1 QSpinBox::down-arrow, %1 QDoubleSpinBox::down-arrow { image: url(:/mivanta/icons/chevron-down.svg); width: 11px; height: 11px; }
        %1 QListWidget { background: transparent; border: none; outline: none; }
        %1 QListWidget::item { border-radius: 4px; padding: 4px; color: %TEXT; }
        %1 QListWidget::item:selected { background: %CHOSEN; color: %TEXT; font-weight: bold; }
        %1 QListWidget::item:selected:focus { border: 2px solid %ACCENT; padding: 2px; }
        %1 QProgressBar { background: %SIDE; border: none; border-radius: 3px; text-align: center; color: %TEXT; }
        %1 QProgressBar::chunk { background: %ACCENT; border-radius: 3px; }
        %1 QScrollBar:vertical { background: transparent; width: 10px; margin: 0; }
        %1 QScrollBar::handle:vertical { background: %LINE; border-radius: 4px; min-height: 24px; }
        %1 QScrollBar::handle:vertical:disabled { background: transparent; }
        %1 QScrollBar::add-line:vertical, %1 QScrollBar::sub-line:vertical { height: 0; }
        %1 QScrollBar:horizontal { background: transparent; height: 10px; margin: 0; }
        %1 QScrollBar::handle:horizontal { background: %LINE; border-radius: 4px; min-width: 24px; }
        %1 QScrollBar::add-line:horizontal, %1 QScrollBar::sub-line:horizontal { width: 0; }
    )");
    const std::pair<const char*, QColor> names[]{
        {"%SHEET", p.sheet}, {"%TEXT", p.text},     {"%LINE", p.line}, {"%ACCENT", p.accent},
        {"%QUIET", p.quiet}, {"%CHOSEN", p.chosen}, {"%SIDE", p.side}};
    for (const auto& [name, colour] : names)
        sheet.replace(QLatin1String(name), colour.name());
    return sheet.replace(QLatin1String("%1"), scope);
}

QPalette widgetPalette(const Palette& p) {
    QPalette palette;
    palette.setColor(QPalette::Window, p.ground);
    palette.setColor(QPalette::WindowText, p.text);
    palette.setColor(QPalette::Base, p.sheet);
    palette.setColor(QPalette::AlternateBase, p.side);
    palette.setColor(QPalette::Text, p.text);
    palette.setColor(QPalette::Button, p.side);
    palette.setColor(QPalette::ButtonText, p.text);
    palette.setColor(QPalette::Highlight, p.accent);
    palette.setColor(QPalette::HighlightedText, p.sheet);
    palette.setColor(QPalette::PlaceholderText, p.quiet);
    palette.setColor(QPalette::Link, p.accent);
    palette.setColor(QPalette::LinkVisited, p.accent);
    palette.setColor(QPalette::ToolTipBase, p.sheet);
    palette.setColor(QPalette::ToolTipText, p.text);
    return palette;
}

/// Turning the wheel scrolls the page; it never changes a value that happens to lie under the pointer.
class WheelGuard : public QObject {
public:
    using QObject::QObject;

protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() != QEvent::Wheel)
            return false;
        const auto* widget = qobject_cast<QWidget*>(watched);
        if (widget && qobject_cast<QAbstractSpinBox*>(widget->parentWidget()))
            widget = widget->parentWidget(); // its line edit
        if (!qobject_cast<const QComboBox*>(widget) && !qobject_cast<const QAbstractSpinBox*>(widget))
            return false;
        event->ignore(); // goes on to what scrolls
        return true;
    }
};

} // namespace

void applyStyle(QApplication& app) {
    app.installEventFilter(new WheelGuard(&app));
    app.installEventFilter(new OneLineFields(&app));
    QFont font(QStringList{QString::fromLatin1(kTextFamily), QStringLiteral("Noto Sans")});
    font.setPointSizeF(std::max(9.5, app.font().pointSizeF()));
    app.setFont(font);
    app.setPalette(widgetPalette(day()));
    app.setStyleSheet(
        controls(day(), QString()) +
        QStringLiteral("QToolTip { background: %1; color: %2; border: 1px solid %3; padding: 4px; }")
            .arg(day().sheet.name(), day().text.name(), day().line.name()));
}

void applyNight(QWidget* widget) {
    widget->setPalette(widgetPalette(night()));
    // By day these are as the palette of the application has them.
    widget->setStyleSheet(
        controls(night(), QString()) +
        QStringLiteral("QCheckBox { color: %1; } QCheckBox:disabled { color: %2; } "
                       "QCheckBox:focus { border: 1px solid %3; } "
                       "QCheckBox::indicator { width: 1em; height: 1em; border: 1px solid %2; "
                       "border-radius: 3px; background: %4; } "
                       "QCheckBox::indicator:checked { background: %3; "
                       "image: url(:/mivanta/icons/check.svg); } "
                       "QPlainTextEdit { background: %4; color: %1; border: 1px solid %2; "
                       "selection-background-color: %3; selection-color: %4; } "
                       "QPlainTextEdit:focus { border-color: %3; }")
            .arg(night().text.name(), night().quiet.name(), night().accent.name(), night().ground.name()));
}

QFont textFont(double factor, TextWeight weight) {
    QFont font = QApplication::font();
    font.setPointSizeF(font.pointSizeF() * factor);
    font.setWeight(weight == TextWeight::Bold ? QFont::Bold : QFont::Normal);
    return font;
}

QFont monoFont(double factor, TextWeight weight) {
    QFont font = textFont(factor, weight);
    font.setFamilies({QString::fromLatin1(kChordFamily), QStringLiteral("Noto Sans Mono")});
    return font;
}

int spaced(double units) {
    static const double quarter = QFontMetricsF(QApplication::font()).height() / 4;
    return int(std::lround(units * quarter));
}

QIcon icon(const QString& name, const QColor& colour) {
    QFile file(QStringLiteral(":/mivanta/icons/%1.svg").arg(name));
    if (!file.open(QIODevice::ReadOnly))
        return {};
    QByteArray svg = file.readAll();
    svg.replace("currentColor", colour.name().toLatin1());
    QPixmap pixmap;
    pixmap.loadFromData(svg, "svg");
    return QIcon(pixmap);
}

} // namespace mivanta
