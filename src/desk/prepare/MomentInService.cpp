// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/MomentInService.h"
#include "core/base/Cases.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Shortened.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kRowsOfMoment = 3;

/// What it says, where it is one of those.
std::optional<QString> wordsOf(const ItemWords& words) {
    using Words = std::optional<QString>;
    if (const auto* note = std::get_if<NoteItem>(&words))
        return note->words;
    if (const auto* pause = std::get_if<PauseItem>(&words))
        return pause->title;
    if (const auto* slot = std::get_if<SlotItem>(&words))
        return slot->name;
    const auto* countdown = std::get_if<CountdownItem>(&words);
    return countdown ? Words(countdown->words) : std::nullopt;
}

} // namespace

MomentInService::MomentInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("moment-in-service"));
    m_what = new QLabel(this);
    m_words = new QPlainTextEdit(this);
    m_words->setObjectName(QStringLiteral("moment-words"));
    m_words->setTabChangesFocus(true);
    m_words->setFixedHeight(m_words->fontMetrics().lineSpacing() * kRowsOfMoment + spaced(4));
    m_what->setBuddy(m_words);
    m_end = new QWidget(this);
    const auto field = [&](const char* name, const QString& label, const QString& tip) {
        auto* edit = new QLineEdit(m_end);
        edit->setObjectName(QLatin1String(name));
        edit->setAccessibleName(label);
        edit->setToolTip(tip);
        edit->setMaximumWidth(spaced(34));
        return edit;
    };
    m_until = field("countdown-until", tr("Until"),
                    tr("The time of day that it counts down to, such as 10:30; empty = for a while"));
    m_for =
        field("countdown-for", tr("For"), tr("How long it counts down from when it is taken: 5, 4:30, 90 s"));
    auto* ends = new QHBoxLayout(m_end);
    ends->setContentsMargins(0, 0, 0, 0);
    ends->setSpacing(spaced(2));
    for (QLineEdit* edit : {m_until, m_for}) {
        auto* label = new QLabel(edit->accessibleName(), m_end);
        label->setBuddy(edit);
        ends->addWidget(label);
        ends->addWidget(edit);
    }
    m_goesOn = new QCheckBox(tr("Then go on to the next item"), m_end);
    m_goesOn->setObjectName(QStringLiteral("countdown-goes-on"));
    m_goesOn->setToolTip(tr("At its end the next item comes by itself"));
    ends->addWidget(m_goesOn);
    ends->addStretch(1);
    m_wrong = makeComplaint("moment-wrong", this);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_what);
    column->addWidget(m_words);
    column->addWidget(m_end);
    column->addWidget(m_wrong);
    connect(m_words, &QPlainTextEdit::textChanged, this, &MomentInService::takeWords);
    connect(m_until, &QLineEdit::editingFinished, this, &MomentInService::takeUntil);
    connect(m_for, &QLineEdit::editingFinished, this, &MomentInService::takeFor);
    connect(m_goesOn, &QCheckBox::clicked, this,
            [this](bool on) { changeCountdown([on](CountdownItem& countdown) { countdown.goesOn = on; }); });
}

const Item* MomentInService::item() const {
    return m_session.document().service().item(m_item);
}

void MomentInService::setItem(const ItemId& id) {
    m_item = id;
    m_visit = m_session.document().startVisit();
    m_wrong->hide();
    refresh();
}

void MomentInService::focusWords() {
    m_words->setFocus();
    m_words->selectAll();
}

void MomentInService::refresh() {
    const Item* shown = item();
    const auto words = shown ? wordsOf(shown->words) : std::nullopt;
    setVisible(words.has_value());
    if (!words)
        return;
    const auto* countdown = std::get_if<CountdownItem>(&shown->words);
    m_what->setText(countdown ? tr("Words over the figures")
                    : shown->isSlot()
                        ? tr("What this place is for; what Find has for it is put here with Enter")
                    : std::holds_alternative<PauseItem>(shown->words)
                        ? tr("What the pause is for; the musicians see it, the hall does not")
                        : tr("What the operator reads here while running; it is on no screen"));
    m_words->setAccessibleName(m_what->text());
    if (m_words->toPlainText() != *words) {
        const QSignalBlocker quiet(m_words);
        m_words->setPlainText(*words);
    }
    m_end->setVisible(countdown);
    if (!countdown)
        return;
    const auto show = [](QLineEdit* edit, const QString& text) {
        if (edit->text() != text && !(edit->hasFocus() && edit->isModified()))
            edit->setText(text);
    };
    m_goesOn->setChecked(countdown->goesOn);
    show(m_until, countdown->to ? countdown->to->toString(QStringLiteral("HH:mm")) : QString());
    show(m_for, countdown->to ? QString() : durationText(countdown->seconds));
}

void MomentInService::takeWords() {
    if (const Item* shown = item())
        m_session.document().change(m_item, named(shown->words, m_words->toPlainText()), tr("what it says"),
                                    m_visit);
}

void MomentInService::complain(const QString& text) {
    m_wrong->setText(text);
    m_wrong->setVisible(!text.isEmpty());
}

void MomentInService::changeCountdown(const std::function<void(CountdownItem&)>& change) {
    const Item* shown = item();
    const auto* countdown = shown ? std::get_if<CountdownItem>(&shown->words) : nullptr;
    if (!countdown)
        return;
    CountdownItem changed = *countdown;
    change(changed);
    m_until->setModified(false);
    m_for->setModified(false);
    m_session.document().change(m_item, changed, tr("when the countdown ends"));
    refresh();
}

void MomentInService::takeUntil() {
    const QString text = m_until->text().trimmed();
    const auto to = timeFrom(text);
    complain(text.isEmpty() || to
                 ? QString()
                 : tr("\u201c%1\u201d is no time of day; write it like 10:30.").arg(shortened(text)));
    if (m_until->isModified() && (to || text.isEmpty()))
        changeCountdown([&](CountdownItem& countdown) { countdown.to = to; });
}

void MomentInService::takeFor() {
    const QString text = m_for->text().trimmed();
    const auto seconds = durationFrom(text);
    const bool isGood = seconds && *seconds > 0;
    complain(text.isEmpty() || isGood
                 ? QString()
                 : tr("\u201c%1\u201d is no length; write it like 5, 4:30 or 90 s.").arg(shortened(text)));
    if (m_for->isModified() && isGood)
        changeCountdown([&](CountdownItem& countdown) {
            countdown.to.reset();
            countdown.seconds = *seconds;
        });
}

} // namespace mivanta

#include "moc_MomentInService.cpp"
