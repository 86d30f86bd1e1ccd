// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TextEditor.h"
#include "core/text/TextMarks.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/RoleHighlighter.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QShortcut>
#include <QTextBlock>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QStringList listed(const QString& text) {
    QStringList list;
    for (const QString& each : text.split(u','))
        if (!each.trimmed().isEmpty())
            list << each.trimmed();
    return list;
}

} // namespace

TextEditor::TextEditor(Prompts& prompts, QWidget* parent) : QWidget(parent), m_prompts(prompts) {
    m_empty = new QLabel(this);
    m_empty->setWordWrap(true);
    m_empty->setAlignment(Qt::AlignTop);
    makeQuiet(m_empty);
    m_form = new QWidget(this);
    m_title = new QLineEdit(m_form);
    m_title->setObjectName(QStringLiteral("text-title"));
    m_title->setAccessibleName(tr("Title"));
    m_title->setToolTip(tr("What this text is found by"));
    m_title->setFont(textFont(1.4, TextWeight::Bold));
    m_words = new QPlainTextEdit(m_form);
    m_words->setObjectName(QStringLiteral("text-editor-words"));
    m_words->setAccessibleName(tr("Words"));
    m_words->setToolTip(
        tr("\u201cLeader:\u201d at the head of a line says who speaks from there; --- is a slide break"));
    m_words->setFont(textFont(1.15));
    m_words->setTabChangesFocus(true);
    new RoleHighlighter(m_words->document());
    auto* column = new QVBoxLayout(m_form);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_title);
    column->addWidget(buildDetails());
    column->addWidget(buildRoles());
    column->addWidget(m_words, 1);
    column->addWidget(buildFoot());
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(3));
    outer->addWidget(m_empty);
    outer->addWidget(m_form, 1);
    const auto told = [this] {
        if (!m_filling)
            Q_EMIT changed();
    };
    for (QLineEdit* line : m_form->findChildren<QLineEdit*>())
        connect(line, &QLineEdit::textEdited, this, told);
    connect(m_words, &QPlainTextEdit::textChanged, this, told);
    connect(m_kind, &QComboBox::activated, this, told);
    connect(m_names, &QCheckBox::clicked, this, told);
    setText(std::nullopt);
}

QLineEdit* TextEditor::addLine(const QString& name, const QString& label, const QString& tip) {
    auto* line = new QLineEdit(m_form);
    line->setObjectName(name);
    line->setAccessibleName(label);
    line->setToolTip(tip);
    return line;
}

QWidget* TextEditor::buildDetails() {
    auto* details = new QWidget(m_form);
    m_kind = new QComboBox(details);
    m_kind->setObjectName(QStringLiteral("text-kind"));
    m_kind->setAccessibleName(tr("Kind"));
    m_kind->setToolTip(tr("What sort of text it is"));
    for (const TextKind kind : {TextKind::Liturgy, TextKind::Prayer, TextKind::Response, TextKind::Creed,
                                TextKind::Notice, TextKind::Other})
        m_kind->addItem(textKindName(kind));
    m_topics = addLine(QStringLiteral("text-topics"), tr("Topics"),
                       tr("Separate several with commas; Find looks here, too"));
    m_seasons = addLine(QStringLiteral("text-seasons"), tr("Seasons"),
                        tr("Such as Advent, Harvest; separate several with commas"));
    m_author = addLine(QStringLiteral("text-author"), tr("By"), tr("Who wrote it"));
    m_copyright =
        addLine(QStringLiteral("text-copyright"), tr("Copyright"), tr("As the credit line shows it"));
    m_language = addLine(QStringLiteral("text-language"), tr("Language"),
                         tr("Such as en or de; dates are written in it"));
    auto* grid = new QGridLayout(details);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(spaced(2));
    grid->setVerticalSpacing(spaced(1));
    int place = 0;
    for (const auto& [label, widget] : {std::pair<QString, QWidget*>{tr("Kind"), m_kind},
                                        {tr("Topics"), m_topics},
                                        {tr("By"), m_author},
                                        {tr("Seasons"), m_seasons},
                                        {tr("Language"), m_language},
                                        {tr("Copyright"), m_copyright}}) {
        grid->addWidget(new QLabel(label, details), place / 2, place % 2 * 2);
        grid->addWidget(widget, place / 2, place % 2 * 2 + 1);
        ++place;
    }
    grid->setColumnStretch(1, 1);
    grid->setColumnStretch(3, 1);
    return details;
}

/// A key of the words; at once, so that it means the line where the caret is then.
void TextEditor::addKey(const QKeySequence& key, const std::function<void()>& work) {
    auto* shortcut = new QShortcut(key, m_words);
    shortcut->setContext(Qt::WidgetShortcut);
    connect(shortcut, &QShortcut::activated, this, work);
}

/// Who speaks from the line with the caret, by one key or click.
QWidget* TextEditor::buildRoles() {
    auto* strip = new QWidget(m_form);
    auto* row = new QHBoxLayout(strip);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(1));
    int number = 1;
    for (const QString& role : usualRoles()) {
        auto* button = new QToolButton(strip);
        button->setObjectName(QStringLiteral("role-") + role.toLower());
        button->setText(role);
        button->setToolTip(tr("%1 speaks from this line on (Ctrl+%2)").arg(role).arg(number));
        connect(button, &QToolButton::clicked, this, [this, role] { setRole(role); });
        addKey(QKeySequence(QStringLiteral("Ctrl+%1").arg(number++)), [this, role] { setRole(role); });
        row->addWidget(button);
    }
    auto* other = new QToolButton(strip);
    other->setObjectName(QStringLiteral("role-other"));
    other->setText(tr("Other\u2026"));
    other->setToolTip(tr("A role of your own"));
    connect(other, &QToolButton::clicked, this, &TextEditor::askRole);
    row->addWidget(other);
    auto* part = new QToolButton(strip);
    part->setObjectName(QStringLiteral("text-break"));
    part->setText(tr("Slide break"));
    part->setToolTip(tr("A new slide begins with this line (Ctrl+Enter)"));
    addKey(QKeySequence(QStringLiteral("Ctrl+Return")), [this] { insertBreak(); });
    connect(part, &QToolButton::clicked, this, &TextEditor::insertBreak);
    row->addWidget(part);
    auto* fields = new QMenu(strip);
    for (const auto& [text, field] :
         {std::pair{tr("The date of the service"), QStringLiteral("{date}")},
          {tr("The Sunday after it"), QStringLiteral("{next sunday}")}, // for machines
          {tr("The church"), QStringLiteral("{church}")},
          {tr("Ask when it is placed\u2026"), QStringLiteral("{ask a name}")}}) // for machines
        fields->addAction(text, this, [this, field = field] { insertField(field); });
    auto* field = new QToolButton(strip);
    field->setObjectName(QStringLiteral("text-field"));
    field->setText(tr("Field \u25be"));
    field->setToolTip(tr("Something that fills itself when the text is in a service"));
    field->setPopupMode(QToolButton::InstantPopup);
    field->setMenu(fields);
    row->addWidget(field);
    row->addStretch(1);
    m_names = new QCheckBox(tr("Name who speaks"), strip);
    m_names->setObjectName(QStringLiteral("text-editor-names"));
    m_names->setToolTip(tr("\u201cLeader:\u201d and \u201cAll:\u201d stand before their words on slides"));
    row->addWidget(m_names);
    addKey(QKeySequence(QKeySequence::Bold), [this] { emphasise(QStringLiteral("__")); });
    addKey(QKeySequence(QKeySequence::Italic), [this] { emphasise(QStringLiteral("*")); });
    return strip;
}

QWidget* TextEditor::buildFoot() {
    auto* foot = new QWidget(m_form);
    m_state = new QLabel(foot);
    m_state->setObjectName(QStringLiteral("text-state"));
    makeQuiet(m_state);
    auto* remove = new QPushButton(tr("Delete"), foot);
    remove->setObjectName(QStringLiteral("text-delete"));
    remove->setToolTip(tr("Put this text into the bin; it can be restored from there"));
    auto* history = new QPushButton(tr("Earlier versions\u2026"), foot);
    history->setObjectName(QStringLiteral("text-history"));
    history->setToolTip(tr("This text as it was before, side by side"));
    m_save = new QPushButton(tr("Save"), foot);
    m_save->setObjectName(QStringLiteral("text-save"));
    m_save->setProperty("main", true);
    m_save->setToolTip(tr("Put the text into the library (Ctrl+S)"));
    connect(remove, &QPushButton::clicked, this, &TextEditor::deleteWanted);
    connect(history, &QPushButton::clicked, this, &TextEditor::historyWanted);
    connect(m_save, &QPushButton::clicked, this, &TextEditor::saveWanted);
    auto* row = new QHBoxLayout(foot);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_state, 1);
    row->addWidget(remove);
    row->addWidget(history);
    row->addWidget(m_save);
    return foot;
}

void TextEditor::setText(const std::optional<SpokenText>& text) {
    m_text = text;
    m_form->setVisible(text.has_value());
    m_empty->setVisible(!text);
    if (!text)
        return;
    m_filling = true;
    m_title->setText(text->title);
    m_kind->setCurrentIndex(int(text->kind));
    m_author->setText(text->author);
    m_copyright->setText(text->copyright);
    m_topics->setText(text->topics.join(QStringLiteral(", ")));
    m_seasons->setText(text->seasons.join(QStringLiteral(", ")));
    m_language->setText(text->language);
    m_names->setChecked(text->namesRoles);
    m_words->setPlainText(textOf(text->lines));
    m_filling = false;
    setChanged(false);
}

std::optional<SpokenText> TextEditor::text() const {
    if (!m_text)
        return std::nullopt;
    SpokenText text = *m_text;
    text.title = m_title->text().trimmed();
    text.kind = TextKind(m_kind->currentIndex());
    text.author = m_author->text().trimmed();
    text.copyright = m_copyright->text().trimmed();
    text.topics = listed(m_topics->text());
    text.seasons = listed(m_seasons->text());
    text.language = m_language->text().trimmed();
    text.namesRoles = m_names->isChecked();
    text.lines = linesFrom(m_words->toPlainText());
    return text;
}

void TextEditor::setChanged(bool changed) {
    m_state->setText(changed                          ? tr("Not saved yet")
                     : m_text && m_text->revision > 0 ? tr("Saved")
                                                      : QString());
    m_save->setEnabled(changed || (m_text && m_text->revision == 0));
}

void TextEditor::setEmptyText(const QString& text) {
    m_empty->setText(text);
}

void TextEditor::focusTitle() {
    m_title->setFocus();
    m_title->selectAll();
}

void TextEditor::undo() {
    m_words->undo();
}

void TextEditor::redo() {
    m_words->redo();
}

/// The line with the caret begins with the role; the one it had goes.
void TextEditor::setRole(const QString& role) {
    QTextCursor cursor = m_words->textCursor();
    const QString line = cursor.block().text();
    const RoleMark mark = roleMarkOf(line);
    const bool isRole = mark.ends || !mark.role.isEmpty();
    cursor.beginEditBlock();
    cursor.movePosition(QTextCursor::StartOfBlock);
    cursor.movePosition(QTextCursor::Right, QTextCursor::KeepAnchor, isRole ? mark.words : 0);
    cursor.insertText(role + QStringLiteral(": "));
    cursor.endEditBlock();
    m_words->setFocus();
}

void TextEditor::askRole() {
    const QString role = m_prompts.text(tr("Who speaks?"), {}).simplified();
    if (!role.isEmpty())
        setRole(role);
}

void TextEditor::insertField(const QString& field) {
    QTextCursor cursor = m_words->textCursor();
    cursor.insertText(field);
    if (field.startsWith(QLatin1String("{ask "))) { // the question is to be typed
        cursor.movePosition(QTextCursor::Left);
        cursor.movePosition(QTextCursor::Left, QTextCursor::KeepAnchor, int(field.size()) - 6);
        m_words->setTextCursor(cursor);
    }
    m_words->setFocus();
}

void TextEditor::insertBreak() {
    QTextCursor cursor = m_words->textCursor();
    cursor.movePosition(QTextCursor::StartOfBlock);
    cursor.insertText(QStringLiteral("---\n"));
    m_words->setFocus();
}

void TextEditor::emphasise(const QString& mark) {
    QTextCursor cursor = m_words->textCursor();
    if (cursor.hasSelection())
        cursor.insertText(mark + cursor.selectedText() + mark);
}

} // namespace mivanta
