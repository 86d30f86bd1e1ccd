// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/MendSheet.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

MendSheet::MendSheet(Session& session, QWidget* desk)
    : RunOverlay(QStringLiteral("mend-sheet"), {150, 84}, desk),
      m_session(session),
      m_mend(session.run(), session.document(), session.book(), session.library()) {
    connect(&m_mend, &MendOnScreen::told, &m_session, &Session::notice);
    connect(&m_mend, &MendOnScreen::failed, &m_session, &Session::problem);
    m_title = new QLabel(this);
    m_title->setObjectName(QStringLiteral("mend-title"));
    m_title->setFont(textFont(1.15, TextWeight::Bold));
    m_title->setWordWrap(true);
    m_words = new QPlainTextEdit(this);
    m_words->setObjectName(QStringLiteral("mend-words"));
    m_words->setAccessibleName(tr("The words"));
    m_words->setToolTip(tr("The words as they are sung or said; chords stay over their letters"));
    m_words->setTabChangesFocus(true);
    m_words->setFont(textFont(1.2));
    watch(m_words);
    m_atOnce = new QCheckBox(tr("The screens change at &once; otherwise with the next take"), this);
    m_atOnce->setObjectName(QStringLiteral("mend-at-once"));
    m_atOnce->setToolTip(tr("What is on screen is shown with the mended words as soon as you mend them"));
    m_atOnce->setChecked(true);
    m_inLibrary = new QCheckBox(tr("In the &library, too; otherwise in this service only"), this);
    m_inLibrary->setObjectName(QStringLiteral("mend-in-library"));
    m_inLibrary->setToolTip(
        tr("The library's own copy gets the same mend; its version before is kept there"));
    m_do = new QPushButton(tr("&Mend it (Ctrl+Enter)"), this);
    m_do->setObjectName(QStringLiteral("mend-do"));
    m_do->setAutoDefault(false);
    auto* leave = new QPushButton(tr("Leave it (Esc)"), this);
    leave->setObjectName(QStringLiteral("mend-leave"));
    leave->setAutoDefault(false);
    for (QWidget* field : std::initializer_list<QWidget*>{m_atOnce, m_inLibrary, m_do, leave})
        watch(field);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_do);
    buttons->addWidget(leave);
    buttons->addStretch(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(3), spaced(3), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_title);
    column->addWidget(m_words, 1);
    column->addWidget(m_atOnce);
    column->addWidget(m_inLibrary);
    column->addLayout(buttons);
    connect(m_words, &QPlainTextEdit::textChanged, this, &MendSheet::refresh);
    connect(m_do, &QPushButton::clicked, this, &MendSheet::mend);
    connect(leave, &QPushButton::clicked, this, &MendSheet::close);
}

void MendSheet::open() {
    m_found = m_mend.find();
    if (!m_found) {
        Q_EMIT m_session.notice(tr("Nothing to mend here: only songs and texts have words of their own."));
        return;
    }
    m_title->setText(m_found->isOnScreen
                         ? tr("On screen: %1 \u00b7 %2").arg(m_found->title, m_found->words.label)
                         : tr("Next: %1 \u00b7 %2").arg(m_found->title, m_found->words.label));
    m_words->setPlainText(m_found->words.words);
    QTextCursor cursor = m_words->textCursor();
    cursor.setPosition(std::min(m_found->words.caret, int(m_found->words.words.size())));
    m_words->setTextCursor(cursor);
    m_inLibrary->setEnabled(m_found->isLibrarys);
    showOver();
    m_words->setFocus();
    refresh();
}

void MendSheet::refresh() {
    const QString words = m_words->toPlainText();
    m_do->setEnabled(m_found && !words.trimmed().isEmpty() && words != m_found->words.words);
    m_do->setToolTip(words.trimmed().isEmpty() ? tr("A part cannot be left without words here") : QString());
}

void MendSheet::mend() {
    if (!m_do->isEnabled())
        return;
    const MendOnScreen::Found found = *m_found;
    const QString words = m_words->toPlainText();
    const MendOnScreen::Wishes wishes{m_atOnce->isChecked(), m_inLibrary->isChecked()};
    close();
    m_mend.mend(found, words, wishes);
}

bool MendSheet::obeyKey(QKeyEvent* key) {
    const bool isEnter = key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter;
    if (!isEnter || !(key->modifiers() & Qt::ControlModifier))
        return false;
    mend();
    return true;
}

} // namespace mivanta

#include "moc_MendSheet.cpp"
