// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/NoticeForm.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/DayField.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/RowFields.h"
#include "desk/song/WordsPreview.h"
#include "session/Session.h"
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kRowsOfWords = 3;
}

NoticeForm::NoticeForm(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent)
    : QDialog(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("notice-form"));
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("A notice"));
    QWidget* fields = buildFields();
    m_preview = new WordsPreview(session.book(), thumbnails, this);
    m_preview->setFixedWidth(spaced(80));
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel, this);
    m_make = buttons->addButton(tr("&Add it"), QDialogButtonBox::AcceptRole);
    m_make->setObjectName(QStringLiteral("notice-make"));
    m_make->setDefault(true);
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(4));
    row->addWidget(fields, 1, Qt::AlignTop);
    row->addWidget(m_preview, 0, Qt::AlignTop);
    auto* column = new QVBoxLayout(this);
    column->addLayout(row);
    column->addWidget(m_wrong);
    column->addWidget(buttons);
    for (QLineEdit* line : {m_title, m_when, m_where})
        connect(line, &QLineEdit::textChanged, this, &NoticeForm::showNotice);
    connect(m_words, &QPlainTextEdit::textChanged, this, &NoticeForm::showNotice);
    connect(m_choose, &QPushButton::clicked, this, &NoticeForm::choosePicture);
    connect(buttons, &QDialogButtonBox::accepted, this, &NoticeForm::make);
    connect(buttons, &QDialogButtonBox::rejected, this, &NoticeForm::reject);
    showNotice();
}

QWidget* NoticeForm::buildFields() {
    auto* fields = new QWidget(this);
    m_title = makeField("notice-title", tr("What it is about; the first line of the slide"), fields);
    m_when = makeField("notice-when", tr("When it is, such as Friday, 18:00; may be empty"), fields);
    m_where = makeField("notice-where", tr("Where it is; may be empty"), fields);
    m_words = named(new QPlainTextEdit(fields), "notice-words", tr("More words; may be empty"));
    m_words->setTabChangesFocus(true);
    m_words->setFixedHeight(m_words->fontMetrics().lineSpacing() * kRowsOfWords + spaced(4));
    m_choose = named(new QPushButton(tr("Choose\u2026"), fields), "notice-picture",
                     tr("A picture behind the words, in place of the theme's"));
    m_lastDay = makeField("notice-last-day",
                          tr("The last day on which loops show it, such as 4 Oct; empty = always"), fields);
    m_wrong = makeComplaint("notice-wrong", this);
    auto* form = new QFormLayout(fields);
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(2));
    form->addRow(tr("&Title"), m_title);
    form->addRow(tr("&When"), m_when);
    form->addRow(tr("Wh&ere"), m_where);
    form->addRow(tr("&More"), m_words);
    form->addRow(tr("&Picture"), m_choose);
    form->addRow(tr("&Until"), m_lastDay);
    fields->setMinimumWidth(spaced(90));
    return fields;
}

void NoticeForm::choosePicture() {
    chooseMedium(m_session, m_prompts, this, MediumKind::Picture, [this](const Medium& medium) {
        m_picture = medium.name;
        m_choose->setText(pictureOf(medium).caption);
        showNotice();
    });
}

bool NoticeForm::hasWords() const {
    const SpokenText text = notice();
    return !text.title.isEmpty() || text.lines.size() > 1; // the first line is the title
}

/// What the fields say now, once there is anything.
void NoticeForm::showNotice() {
    m_make->setEnabled(!m_title->text().trimmed().isEmpty());
    m_preview->setWords(hasWords() || !m_picture.isEmpty() ? std::optional<ItemWords>(textItem(notice()))
                                                           : std::nullopt,
                        WordsPreview::Shows::Same);
}

void NoticeForm::reject() {
    if (!hasWords() ||
        m_prompts.agree(tr("Leave this notice? What was written is not kept."), tr("Leave it")))
        QDialog::reject();
}

/// The title stands first and in bold; what is empty has no line.
SpokenText NoticeForm::notice() const {
    SpokenText text;
    text.id = m_id;
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
        complain(noDayText(day));
        m_lastDay->setFocus();
        return;
    }
    m_make->setEnabled(false);
    m_session.library().ask<SpokenText>(
        this, [text = notice()](Library& library) { return library.texts().save(text); },
        [this](const Result<SpokenText>& saved) {
            if (!saved) {
                m_make->setEnabled(true);
                complain(saved.error().what);
                return;
            }
            Q_EMIT made(*saved);
            accept();
        });
}

void NoticeForm::complain(const QString& text) {
    m_wrong->setText(text);
    m_wrong->show();
}

} // namespace mivanta

#include "moc_NoticeForm.cpp"
