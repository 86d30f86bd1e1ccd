// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/NoticeForm.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/RowFields.h"
#include "desk/prepare/DayField.h"
#include "session/Session.h"
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kRowsOfWords = 3;
}

NoticeForm::NoticeForm(Session& session, Prompts& prompts, QWidget* parent)
    : QDialog(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("notice-form"));
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("A notice"));
    m_title = makeField("notice-title", tr("What it is about; the first line of the slide"), this);
    m_when = makeField("notice-when", tr("When it is, such as Friday, 18:00; may be empty"), this);
    m_where = makeField("notice-where", tr("Where it is; may be empty"), this);
    m_words = named(new QPlainTextEdit(this), "notice-words", tr("More words; may be empty"));
    m_words->setTabChangesFocus(true);
    m_words->setFixedHeight(m_words->fontMetrics().lineSpacing() * kRowsOfWords + spaced(4));
    m_choose = named(new QPushButton(tr("Choose\u2026"), this), "notice-picture",
                     tr("A picture behind the words, in place of the theme's"));
    m_lastDay = makeField("notice-last-day",
                          tr("The last day on which loops show it, such as 4 Oct; empty = always"), this);
    m_wrong = new QLabel(this);
    m_wrong->setObjectName(QStringLiteral("notice-wrong"));
    m_wrong->setWordWrap(true);
    m_wrong->setStyleSheet(QStringLiteral("color: %1").arg(day().warning.name()));
    auto* form = new QFormLayout;
    form->setSpacing(spaced(2));
    form->addRow(tr("&Title"), m_title);
    form->addRow(tr("&When"), m_when);
    form->addRow(tr("Wh&ere"), m_where);
    form->addRow(tr("&More"), m_words);
    form->addRow(tr("&Picture"), m_choose);
    form->addRow(tr("&Until"), m_lastDay);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel, this);
    m_make = buttons->addButton(tr("&Add it"), QDialogButtonBox::AcceptRole);
    m_make->setObjectName(QStringLiteral("notice-make"));
    m_make->setDefault(true);
    m_make->setEnabled(false);
    auto* column = new QVBoxLayout(this);
    column->addLayout(form);
    column->addWidget(m_wrong);
    column->addWidget(buttons);
    connect(m_title, &QLineEdit::textChanged, this,
            [this](const QString& text) { m_make->setEnabled(!text.trimmed().isEmpty()); });
    connect(m_choose, &QPushButton::clicked, this, &NoticeForm::choosePicture);
    connect(buttons, &QDialogButtonBox::accepted, this, &NoticeForm::make);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    setMinimumWidth(spaced(110));
}

void NoticeForm::choosePicture() {
    chooseMedium(m_session, m_prompts, this, MediumKind::Picture, [this](const Medium& medium) {
        m_picture = medium.name;
        m_choose->setText(pictureOf(medium).caption);
    });
}

/// The title stands first and in bold; what is empty has no line.
SpokenText NoticeForm::written() const {
    SpokenText text;
    text.id = TextId::create();
    text.kind = TextKind::Notice;
    text.title = m_title->text().trimmed();
    text.picture = m_picture;
    text.lastDay = dayFrom(m_lastDay->text(), Clock::the().date()).value_or(QDate());
    text.lines.push_back({{}, text.title, {{0, int(text.title.size()), true, false}}});
    QStringList more{m_when->text().trimmed(), m_where->text().trimmed()};
    more += m_words->toPlainText().trimmed().split(u'\n');
    for (const QString& line : more)
        if (!line.trimmed().isEmpty())
            text.lines.push_back({{}, line.trimmed()});
    return text;
}

void NoticeForm::make() {
    const QString day = m_lastDay->text().trimmed();
    if (!day.isEmpty() && !dayFrom(day, Clock::the().date())) {
        m_wrong->setText(tr("\u201c%1\u201d is no day; write it like 4 Oct or 2026-10-04.").arg(day));
        m_lastDay->setFocus();
        return;
    }
    m_make->setEnabled(false);
    m_session.library().ask<SpokenText>(
        this, [text = written()](Library& library) { return library.texts().save(text); },
        [this](const Result<SpokenText>& saved) {
            if (!saved) {
                m_make->setEnabled(true);
                m_wrong->setText(saved.error().what);
                return;
            }
            Q_EMIT made(*saved);
            accept();
        });
}

} // namespace mivanta

#include "moc_NoticeForm.cpp"
