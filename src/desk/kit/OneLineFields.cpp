// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/OneLineFields.h"
#include <QAction>
#include <QApplication>
#include <QClipboard>
#include <QContextMenuEvent>
#include <QDropEvent>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QRegularExpression>

using LinesTaker = std::function<bool(const QString&)>;
Q_DECLARE_METATYPE(LinesTaker)

namespace mivanta {

namespace {

constexpr const char* kTaker = "linesTaker";

bool hasLines(const QString& text) {
    const QString trimmed = text.trimmed();
    return trimmed.contains(u'\n') || trimmed.contains(u'\r') || trimmed.contains(QChar::LineSeparator) ||
           trimmed.contains(QChar::ParagraphSeparator);
}

void put(QLineEdit* edit, const QString& text) {
    if (edit->isReadOnly())
        return;
    if (hasLines(text))
        if (const auto taker = edit->property(kTaker).value<LinesTaker>(); taker && taker(text))
            return;
    edit->insert(asOneLine(text));
}

} // namespace

QString asOneLine(const QString& text) {
    static const QRegularExpression breaks(QStringLiteral("[ \t]*[\\r\\n\\t\u2028\u2029\\v\\f]+[ \t]*"));
    QString line = text;
    return line.replace(breaks, QStringLiteral(" "));
}

void takeLinesPastedInto(QLineEdit* edit, std::function<bool(const QString& text)> take) {
    edit->setProperty(kTaker, QVariant::fromValue(LinesTaker(std::move(take))));
}

bool OneLineFields::eventFilter(QObject* watched, QEvent* event) {
    const QEvent::Type type = event->type();
    if (type != QEvent::KeyPress && type != QEvent::ContextMenu && type != QEvent::Drop &&
        type != QEvent::MouseButtonRelease)
        return false;
    auto* edit = qobject_cast<QLineEdit*>(watched);
    if (!edit)
        return false;
    if (type == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->matches(QKeySequence::Paste)) {
        put(edit, QApplication::clipboard()->text());
        return true;
    }
    if (type == QEvent::Drop) {
        auto* drop = static_cast<QDropEvent*>(event);
        if (!drop->mimeData()->hasText() || !hasLines(drop->mimeData()->text()))
            return false;
        edit->setCursorPosition(edit->cursorPositionAt(drop->position().toPoint()));
        put(edit, drop->mimeData()->text());
        drop->acceptProposedAction();
        return true;
    }
    if (type == QEvent::MouseButtonRelease) {
        const auto* mouse = static_cast<QMouseEvent*>(event);
        if (mouse->button() != Qt::MiddleButton || !QApplication::clipboard()->supportsSelection())
            return false;
        edit->setCursorPosition(edit->cursorPositionAt(mouse->position().toPoint()));
        put(edit, QApplication::clipboard()->text(QClipboard::Selection));
        return true;
    }
    if (type == QEvent::ContextMenu && edit->contextMenuPolicy() == Qt::DefaultContextMenu) {
        QMenu* menu = edit->createStandardContextMenu();
        menu->setAttribute(Qt::WA_DeleteOnClose);
        if (auto* paste = menu->findChild<QAction*>(QStringLiteral("edit-paste"))) {
            paste->disconnect();
            connect(paste, &QAction::triggered, edit,
                    [edit] { put(edit, QApplication::clipboard()->text()); });
        }
        menu->popup(static_cast<QContextMenuEvent*>(event)->globalPos());
        return true;
    }
    return false;
}

} // namespace mivanta

#include "moc_OneLineFields.cpp"
