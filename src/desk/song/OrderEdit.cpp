// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/OrderEdit.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Shortened.h"
#include "desk/kit/Style.h"
#include <QComboBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QToolButton>
#include <QVBoxLayout>
#include <utility>

namespace mivanta {

namespace {

QString chipLabel(const SungPart& sung, const Song& song) {
    const Part* part = song.part(sung.part);
    QString label = sung.isEmptySlide() ? OrderEdit::tr("empty") : part ? part->shortLabel() : QString();
    if (sung.times > 1)
        label += QStringLiteral(" \u00d7%1").arg(sung.times);
    return label;
}

QString chipTip(const SungPart& sung, const Song& song) {
    const Part* part = song.part(sung.part);
    QString tip = sung.isEmptySlide() ? OrderEdit::tr("An empty slide") : part ? part->label() : QString();
    if (sung.times > 1)
        tip = OrderEdit::tr("%1, %n times", nullptr, sung.times).arg(tip);
    if (!sung.stageNote.isEmpty())
        tip += QStringLiteral(" (%1)").arg(sung.stageNote);
    return tip;
}

constexpr int kIndexRole = Qt::UserRole;
constexpr int kMostExplained = 3; // of the words that are no parts

} // namespace

OrderEdit::OrderEdit(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("order-edit"));
    auto* title = headingOf(tr("Singing order"), this);
    m_orders = new QComboBox(this);
    m_orders->setObjectName(QStringLiteral("order-names"));
    m_orders->setAccessibleName(tr("Which order is the usual one"));
    m_orders->setToolTip(tr("Which order is the usual one; a song may have several, such as Full and Short"));
    connect(m_orders, &QComboBox::activated, this, [this](int index) {
        const int others = int(m_song.otherOrders.size());
        if (index >= 1 && index <= others)
            Q_EMIT otherOrderWanted(index - 1);
        else if (index == others + 1)
            Q_EMIT newOrderWanted();
        else if (index == others + 2)
            Q_EMIT renameWanted();
        else if (index == others + 3)
            Q_EMIT removeWanted();
        showOrders();
    });

    m_chips = new QListWidget(this);
    m_chips->setObjectName(QStringLiteral("order-chips"));
    m_chips->setAccessibleName(tr("Singing order"));
    m_chips->setToolTip(
        tr("Drag to change the order. Keys: Ctrl+Left and Ctrl+Right move, + and \u2212 repeat, "
           "Delete takes out"));
    m_chips->setFlow(QListView::LeftToRight);
    m_chips->setWrapping(true);
    m_chips->setResizeMode(QListView::Adjust);
    m_chips->setDragDropMode(QAbstractItemView::InternalMove);
    m_chips->setDefaultDropAction(Qt::MoveAction);
    m_chips->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_chips->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_chips->setFont(textFont(1.0, TextWeight::Bold));
    m_chips->setStyleSheet(
        QStringLiteral(
            "QListWidget { background: transparent; border: none; }"
            "QListWidget::item { background: %1; color: %2; border: 1px solid %2; border-radius: 3px;"
            " padding: 2px 6px; margin: 2px; }"
            "QListWidget::item:selected { background: %3; color: %2; border: 2px solid %4; }")
            .arg(day().sheet.name(), day().text.name(), day().chosen.name(), day().accent.name()));
    m_chips->installEventFilter(this);
    // By a person: chips that are shown anew are taken away and put in.
    connect(m_chips->model(), &QAbstractItemModel::rowsMoved, this, &OrderEdit::chipsMoved,
            Qt::QueuedConnection);

    auto* add = new QToolButton(this);
    add->setObjectName(QStringLiteral("order-add"));
    add->setText(tr("+ Part \u25be"));
    add->setToolTip(tr("Put a part or an empty slide after the chosen one"));
    add->setPopupMode(QToolButton::InstantPopup);
    m_addMenu = new QMenu(add);
    connect(m_addMenu, &QMenu::aboutToShow, this, &OrderEdit::fillAddMenu);
    add->setMenu(m_addMenu);

    m_text = new QLineEdit(this);
    m_text->setObjectName(QStringLiteral("order-text"));
    m_text->setAccessibleName(tr("Singing order as text"));
    m_text->setToolTip(tr(
        "V1 C V2 C x2 \u00b7 _ is an empty slide \u00b7 (a note) is for the stage \u00b7 empty: as written"));
    m_text->setFont(monoFont(0.95));
    connect(m_text, &QLineEdit::textEdited, this, &OrderEdit::textEdited);
    m_text->installEventFilter(this);
    connect(m_text, &QLineEdit::editingFinished, this, [this] {
        if (m_hasSong && isUnderstood())
            showText();
    });
    m_meaning = new QLabel(this);
    m_meaning->setObjectName(QStringLiteral("order-meaning"));
    m_meaning->setWordWrap(true);
    m_meaning->setTextFormat(Qt::RichText);
    m_meaning->setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
    connect(m_meaning, &QLabel::linkActivated, this, &OrderEdit::takeChoice);

    auto* head = new QHBoxLayout;
    head->addWidget(title);
    head->addStretch(1);
    head->addWidget(m_orders);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1));
    column->addLayout(head);
    column->addWidget(m_chips);
    column->addWidget(add, 0, Qt::AlignLeft);
    column->addWidget(m_text);
    column->addWidget(m_meaning);
    setSong(std::nullopt);
}

void OrderEdit::setSong(const std::optional<Song>& song) {
    m_hasSong = song.has_value();
    const bool sameSong = song && song->id == m_song.id;
    m_song = song.value_or(Song());
    setVisible(m_hasSong);
    if (!m_hasSong)
        return;
    showOrders();
    showChips();
    // Text that is being typed stays while it says the same, or while what stood before it still counts.
    const ReadOrder read = readSingingOrder(m_text->text(), m_song.parts);
    const bool counts = isUnderstood() ? read.entries == m_song.singingOrder
                                       : m_standing && *m_standing == m_song.singingOrder;
    if (!sameSong || !counts || !m_standing)
        showText();
    else
        showMeaning(read, m_text->text());
}

bool OrderEdit::isUnderstood() const {
    return readSingingOrder(m_text->text(), m_song.parts).notUnderstood(m_text->text()).isEmpty();
}

/// The text says what counts.
void OrderEdit::showText() {
    m_standing.reset();
    m_typing = Step::New;
    m_text->setText(singingOrderText(m_song));
    showMeaning(readSingingOrder(m_text->text(), m_song.parts), m_text->text());
}

void OrderEdit::showOrders() {
    const QSignalBlocker quiet(m_orders);
    m_orders->clear();
    m_orders->addItem(m_song.orderName.isEmpty() ? tr("Usual") : m_song.orderName);
    for (const NamedOrder& other : m_song.otherOrders)
        m_orders->addItem(other.name);
    m_orders->setVisible(m_editsOrders || !m_song.otherOrders.empty());
    if (m_editsOrders) {
        m_orders->addItem(tr("Another order\u2026"));
        m_orders->addItem(tr("Rename\u2026"));
        if (!m_song.otherOrders.empty())
            m_orders->addItem(tr("Remove this order"));
    }
    m_orders->setCurrentIndex(0);
}

void OrderEdit::showChips() {
    const int row = m_chips->currentRow();
    m_chips->clear();
    const bool asWritten = m_song.singingOrder.empty();
    const auto entries = m_song.sungParts();
    for (int i = 0; i < int(entries.size()); ++i) {
        auto* item = new QListWidgetItem(chipLabel(entries[size_t(i)], m_song), m_chips);
        item->setData(kIndexRole, i);
        item->setToolTip(chipTip(entries[size_t(i)], m_song));
        const Part* part = m_song.part(entries[size_t(i)].part);
        if (asWritten || (part && part->bandOnly) || entries[size_t(i)].isEmptySlide()) {
            QFont font = m_chips->font();
            font.setWeight(QFont::Normal);
            item->setFont(font);
        }
    }
    m_chips->setCurrentRow(std::min(row, m_chips->count() - 1));
    m_chips->doItemsLayout();
    int bottom = spaced(6);
    for (int i = 0; i < m_chips->count(); ++i)
        bottom = std::max(bottom, m_chips->visualItemRect(m_chips->item(i)).bottom());
    m_chips->setFixedHeight(std::min(bottom + spaced(2), spaced(60)));
}

void OrderEdit::fillAddMenu() {
    m_addMenu->clear();
    const auto add = [this](const QString& name, const PartId& id) {
        m_addMenu->addAction(name, this, [this, id, name] {
            auto entries = m_song.sungParts();
            const int row = m_chips->currentRow();
            const auto at =
                row < 0 ? entries.end() : entries.begin() + std::min(row + 1, int(entries.size()));
            entries.insert(at, {id, 1, {}});
            Q_EMIT orderWanted(entries, tr("adding %1 to the order").arg(name), Step::New);
        });
    };
    const auto isSung = [this](const Part& part) {
        const auto entries = m_song.sungParts();
        return std::any_of(entries.begin(), entries.end(),
                           [&](const SungPart& s) { return s.part == part.id; });
    };
    for (const bool sung : {false, true}) { // what is in no order yet comes first
        for (const Part& part : m_song.parts)
            if (isSung(part) == sung)
                add(part.label(), part.id);
        m_addMenu->addSeparator();
    }
    add(tr("An empty slide"), {});
}

void OrderEdit::chipsMoved() {
    const auto before = m_song.sungParts();
    std::vector<SungPart> after;
    for (int i = 0; i < m_chips->count(); ++i)
        after.push_back(before[size_t(m_chips->item(i)->data(kIndexRole).toInt())]);
    if (after != before)
        Q_EMIT orderWanted(after, tr("moving in the order"), Step::New);
}

void OrderEdit::changeChip(int index, const std::function<void(std::vector<SungPart>&, int)>& work,
                           const QString& what) {
    auto entries = m_song.sungParts();
    if (index < 0 || index >= int(entries.size()))
        return;
    work(entries, index);
    Q_EMIT orderWanted(entries, what, Step::New);
}

bool OrderEdit::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_text && event->type() == QEvent::ShortcutOverride && !isUnderstood() &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        event->accept(); // Esc is this box's while there is something to take back
        return true;
    }
    if (watched == m_text && event->type() == QEvent::KeyPress && !isUnderstood() &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        showText();
        return true;
    }
    if (watched == m_chips && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const int row = m_chips->currentRow();
        const bool control = (key->modifiers() & Qt::ControlModifier) != 0;
        if (control && (key->key() == Qt::Key_Left || key->key() == Qt::Key_Right)) {
            const int to = row + (key->key() == Qt::Key_Left ? -1 : 1);
            if (row >= 0 && to >= 0 && to < m_chips->count()) {
                changeChip(
                    row, [&](auto& entries, int i) { std::swap(entries[size_t(i)], entries[size_t(to)]); },
                    tr("moving in the order"));
                m_chips->setCurrentRow(to);
            }
            return true;
        }
        if (key->key() == Qt::Key_Delete || key->key() == Qt::Key_Backspace) {
            changeChip(
                row, [](auto& entries, int i) { entries.erase(entries.begin() + i); },
                tr("taking out of the order"));
            return true;
        }
        if (key->key() == Qt::Key_Plus || key->key() == Qt::Key_Minus) {
            const int by = key->key() == Qt::Key_Plus ? 1 : -1;
            changeChip(
                row,
                [by](auto& entries, int i) {
                    entries[size_t(i)].times = std::clamp(entries[size_t(i)].times + by, 1, kMostTimes);
                },
                tr("repeating"));
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

void OrderEdit::textEdited() {
    if (!m_standing)
        m_standing = m_song.singingOrder;
    const QString text = m_text->text();
    const ReadOrder read = readSingingOrder(text, m_song.parts);
    // The beginning of what is not understood was not meant either.
    want(read.notUnderstood(text).isEmpty() ? read.entries : *m_standing);
    showMeaning(readSingingOrder(m_text->text(), m_song.parts), m_text->text());
}

void OrderEdit::want(const std::vector<SungPart>& entries) {
    if (entries != m_song.singingOrder)
        Q_EMIT orderWanted(entries, tr("the singing order"), std::exchange(m_typing, Step::GoesOn));
}

void OrderEdit::showMeaning(const ReadOrder& read, const QString& text) {
    if (text.trimmed().isEmpty()) {
        m_meaning->setText(tr("As written: every part once."));
        return;
    }
    QStringList pieces;
    int unclear = 0;
    for (int i = 0; i < int(read.tokens.size()); ++i) {
        const OrderToken& token = read.tokens[size_t(i)];
        if (token.kind != OrderTokenKind::Unknown && token.kind != OrderTokenKind::Ambiguous) {
            pieces << token.meaning.toHtmlEscaped();
            continue;
        }
        if (++unclear > kMostExplained)
            continue;
        QStringList links;
        for (const QString& choice : token.choices)
            links << QStringLiteral("<a href='%1:%2'>%2</a>").arg(i).arg(choice.toHtmlEscaped());
        pieces << QStringLiteral("<span style='color:%1'><b>%2</b>: %3</span>%4")
                      .arg(day().warning.name(),
                           shortened(text.mid(token.from, token.length)).toHtmlEscaped(),
                           token.meaning.toHtmlEscaped(),
                           links.isEmpty() ? QString()
                                           : QStringLiteral(" \u2013 ") + links.join(QStringLiteral(", ")));
    }
    if (unclear > kMostExplained)
        pieces << tr("and %n more", nullptr, unclear - kMostExplained);
    QString meaning = pieces.join(QStringLiteral(" \u00b7 "));
    if (!read.notUnderstood(text).isEmpty()) {
        const QString stands = singingOrderText(m_song);
        meaning += QStringLiteral("<br><b>%1</b> <a href='back'>%2</a>")
                       .arg((stands.isEmpty() ? tr("This does not count yet: the order stays as written.")
                                              : tr("This does not count yet: the order stays %1."))
                                .arg(stands.toHtmlEscaped()),
                            tr("Put it back (Esc)"));
    }
    m_meaning->setText(meaning);
}

void OrderEdit::takeChoice(const QString& link) {
    if (link == QLatin1String("back")) {
        showText();
        return;
    }
    const ReadOrder read = readSingingOrder(m_text->text(), m_song.parts);
    const int index = link.section(u':', 0, 0).toInt();
    if (index < 0 || index >= int(read.tokens.size()))
        return;
    const OrderToken& token = read.tokens[size_t(index)];
    QString text = m_text->text();
    m_text->setText(text.replace(token.from, token.length, link.section(u':', 1)));
    textEdited();
}

} // namespace mivanta

#include "moc_OrderEdit.cpp"
