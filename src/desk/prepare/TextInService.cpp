// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/TextInService.h"
#include "core/text/TextMarks.h"
#include "desk/kit/Columns.h"
#include "desk/kit/RoleHighlighter.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

TextInService::TextInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    m_answers = new QFormLayout;
    m_answers->setHorizontalSpacing(spaced(4));
    m_names = new QCheckBox(tr("Name who speaks"), this);
    m_names->setObjectName(QStringLiteral("text-names-roles"));
    m_names->setToolTip(tr("\u201cLeader:\u201d and \u201cAll:\u201d stand before their words"));
    m_words = new QPlainTextEdit(this);
    m_words->setObjectName(QStringLiteral("text-words"));
    m_words->setAccessibleName(tr("Words in this service"));
    m_words->setToolTip(
        tr("The words as they are said in this service only; the library's stay as they are"));
    m_words->setTabChangesFocus(true);
    m_words->setMinimumHeight(spaced(45));
    new RoleHighlighter(m_words->document());
    m_difference = new QLabel(this);
    m_difference->setWordWrap(true);
    makeQuiet(m_difference);
    m_take = new QPushButton(tr("Use the library's"), this);
    m_take->setObjectName(QStringLiteral("text-take-library"));
    m_take->setToolTip(tr("The words here become the library's again; undo brings these back"));
    auto* open = new QPushButton(tr("Change it in the Library\u2026"), this);
    open->setObjectName(QStringLiteral("text-open-library"));
    open->setToolTip(tr("For this and every later service"));
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_take);
    buttons->addStretch(1);
    buttons->addWidget(open);
    auto* heading = headingOf(tr("Words in this service only"), this);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addLayout(m_answers);
    column->addWidget(m_names);
    column->addWidget(heading);
    column->addWidget(m_words);
    column->addWidget(m_difference);
    column->addLayout(buttons);
    connect(m_names, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("the roles' names"), 0, [on](SpokenText& text, auto&) { text.namesRoles = on; });
    });
    connect(m_words, &QPlainTextEdit::textChanged, this, [this] {
        if (m_words->hasFocus())
            change(tr("changing words here"), m_visit,
                   [this](SpokenText& text, auto&) { text.lines = linesFrom(m_words->toPlainText()); });
    });
    connect(m_take, &QPushButton::clicked, this, &TextInService::takeLibrarys);
    connect(open, &QPushButton::clicked, this, [this] {
        if (const TextItem* shown = item())
            Q_EMIT libraryWanted(shown->text->id);
    });
    connect(&m_session.library(), &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & LibraryPart::Texts)
            compare();
    });
}

const TextItem* TextInService::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at ? at->text() : nullptr;
}

void TextInService::setItem(const ItemId& id) {
    m_item = id;
    m_visit = m_session.document().startVisit();
    refresh();
    compare();
}

void TextInService::refresh() {
    const TextItem* shown = item();
    setVisible(shown);
    if (!shown)
        return;
    m_names->setChecked(shown->text->namesRoles);
    if (!m_words->hasFocus() || linesFrom(m_words->toPlainText()) != shown->text->lines)
        if (const QString words = textOf(shown->text->lines); words != m_words->toPlainText())
            m_words->setPlainText(words);
    fillAnswers();
}

void TextInService::fillAnswers() {
    const TextItem* shown = item();
    const QStringList asked = askedFields(*shown->text);
    QStringList known;
    for (const auto& [question, field] : m_fields)
        known << question;
    if (asked != known) {
        while (m_answers->rowCount() > 0)
            m_answers->removeRow(0);
        m_fields.clear();
        for (const QString& question : asked) {
            auto* field = new QLineEdit(this);
            field->setObjectName(QStringLiteral("answer-") + question);
            field->setAccessibleName(question);
            field->setToolTip(tr("Stands in the text here: %1").arg(question));
            connect(field, &QLineEdit::textEdited, this, [this, question](const QString& typed) {
                change(tr("an answer"), m_visit, [&](SpokenText&, QMap<QString, QString>& answers) {
                    typed.isEmpty() ? void(answers.remove(question)) : void(answers.insert(question, typed));
                });
            });
            m_answers->addRow(question, field);
            m_fields.emplace_back(question, field);
        }
    }
    for (const auto& [question, field] : m_fields)
        if (field->text() != shown->answers.value(question))
            field->setText(shown->answers.value(question));
}

void TextInService::change(const QString& what, int visit,
                           const std::function<void(SpokenText&, QMap<QString, QString>&)>& work) {
    const TextItem* shown = item();
    if (!shown)
        return;
    SpokenText text = *shown->text;
    QMap<QString, QString> answers = shown->answers;
    work(text, answers);
    if (sameContent(text, *shown->text) && answers == shown->answers)
        return;
    m_session.document().change(m_item, textItem(std::move(text), std::move(answers)), what, visit);
    compare();
}

void TextInService::compare() {
    m_stored.reset();
    m_take->hide();
    m_difference->hide();
    const TextItem* shown = item();
    if (!shown)
        return;
    m_session.library().ask<SpokenText>(
        this, [id = shown->text->id](Library& library) { return library.texts().text(id); },
        [this, id = m_item](const Result<SpokenText>& stored) {
            const TextItem* now = item();
            if (!now || !(id == m_item))
                return;
            const bool differs = stored && !sameContent(*stored, *now->text);
            if (differs)
                m_stored = *stored;
            m_take->setVisible(differs);
            m_difference->setVisible(differs || !stored);
            m_difference->setText(differs ? tr("These words differ from the library's.")
                                          : tr("This text is not in this computer's library."));
        });
}

void TextInService::takeLibrarys() {
    if (!m_stored)
        return;
    const SpokenText stored = *m_stored;
    change(tr("taking the library's text"), 0, [&](SpokenText& text, auto&) { text = stored; });
    refresh();
}

} // namespace mivanta

#include "moc_TextInService.cpp"
