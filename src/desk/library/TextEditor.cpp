// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TextEditor.h"
#include "core/base/Clock.h"
#include "core/text/TextMarks.h"
#include "desk/kit/Columns.h"
#include "desk/kit/DayField.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/RoleHighlighter.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QShortcut>
#include <QSignalBlocker>
#include <QTextBlock>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

namespace mivanta {

namespace {

// Where typing makes one step of undo; runs of words come behind them.
enum Typed {
    TitleTyped = 1,
    AuthorTyped,
    CopyrightTyped,
    TopicsTyped,
    SeasonsTyped,
    LanguageTyped,
    LastDayTyped,
    WordsTyped
};

QStringList listed(const QString& text) {
    QStringList list;
    for (const QString& each : text.split(u','))
        if (!each.trimmed().isEmpty())
            list << each.trimmed();
    return list;
}

} // namespace

TextEditor::TextEditor(TextDraft& draft, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_draft(draft),
      m_prompts(prompts) {
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
    m_words->setUndoRedoEnabled(false); // the draft undoes
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
    int place = TitleTyped;
    for (QLineEdit* line : {m_title, m_author, m_copyright, m_topics, m_seasons, m_language, m_lastDay}) {
        connect(line, &QLineEdit::textEdited, this, [this, place] { write(tr("typing"), place); });
        line->installEventFilter(this);
        ++place;
    }
    m_words->installEventFilter(this);
    connect(m_words->document(), &QTextDocument::contentsChange, this,
            [this](int at, int removed, int added) {
                const bool goesOn = removed + added == 1 && (at == m_typedTo || at + removed == m_typedTo);
                m_run += goesOn ? 0 : 1;
                m_typedTo = at + added;
            });
    connect(m_lastDay, &QLineEdit::editingFinished, this, &TextEditor::showState);
    connect(m_words, &QPlainTextEdit::textChanged, this, &TextEditor::writeWords);
    connect(m_kind, &QComboBox::activated, this, [this] { write(tr("the kind"), 0); });
    connect(m_names, &QCheckBox::clicked, this, [this] { write(tr("naming who speaks"), 0); });
    connect(&m_draft, &DraftSignals::loaded, this, [this] {
        showText();
        m_words->moveCursor(QTextCursor::Start);
    });
    connect(&m_draft, &DraftSignals::changed, this, &TextEditor::showText);
    connect(&m_draft, &DraftSignals::stateChanged, this, &TextEditor::showState);
    showText();
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
    m_lastDay = addLine(QStringLiteral("text-last-day"), tr("Until"),
                        tr("The last day on which loops show it, such as 4 Oct; empty = always"));
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
    grid->addWidget(new QLabel(tr("Picture"), details), place / 2, 0);
    grid->addWidget(buildPicture(), place / 2, 1);
    grid->addWidget(new QLabel(tr("Until"), details), place / 2, 2);
    grid->addWidget(m_lastDay, place / 2, 3);
    grid->setColumnStretch(1, 1);
    grid->setColumnStretch(3, 1);
    return details;
}

QWidget* TextEditor::buildPicture() {
    auto* cell = new QWidget(m_form);
    m_picture = named(new QPushButton(cell), "text-picture",
                      tr("A picture behind the words, in place of the theme's"));
    m_noPicture = named(new QToolButton(cell), "text-no-picture", tr("No picture: the theme's backdrop"));
    m_noPicture->setText(QStringLiteral("\u00d7"));
    connect(m_picture, &QPushButton::clicked, this, &TextEditor::pictureWanted);
    connect(m_noPicture, &QToolButton::clicked, this,
            [this] { m_draft.change(tr("the picture"), [](SpokenText& text) { text.picture.clear(); }); });
    auto* row = new QHBoxLayout(cell);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(1));
    row->addWidget(m_picture);
    row->addWidget(m_noPicture);
    row->addStretch(1);
    return cell;
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

/// The text with what stands in the fields; what is no day leaves the day as it is.
SpokenText TextEditor::written(SpokenText text) const {
    text.title = m_title->text().trimmed();
    text.kind = TextKind(m_kind->currentIndex());
    text.author = m_author->text().trimmed();
    text.copyright = m_copyright->text().trimmed();
    text.topics = listed(m_topics->text());
    text.seasons = listed(m_seasons->text());
    text.language = m_language->text().trimmed();
    text.namesRoles = m_names->isChecked();
    text.lines = linesFrom(m_words->toPlainText());
    if (const QString day = m_lastDay->text().trimmed(); day.isEmpty())
        text.lastDay = {};
    else if (const auto typed = dayFrom(day, Clock::the().date()))
        text.lastDay = *typed;
    return text;
}

void TextEditor::write(const QString& what, int typingPlace) {
    m_draft.change(
        what, [this](SpokenText& text) { text = written(text); }, typingPlace);
}

void TextEditor::writeWords() {
    write(tr("typing"), WordsTyped + m_run);
}

/// What stands in the fields already is left alone, with its caret and the white space being typed.
void TextEditor::showText() {
    const auto& text = m_draft.record();
    m_form->setVisible(text.has_value());
    m_empty->setVisible(!text);
    if (!text)
        return;
    const SpokenText now = written(*text);
    const auto showIn = [](QLineEdit* line, const QString& shown, bool isShown) {
        if (!isShown)
            line->setText(shown);
    };
    showIn(m_title, text->title, now.title == text->title);
    showIn(m_author, text->author, now.author == text->author);
    showIn(m_copyright, text->copyright, now.copyright == text->copyright);
    showIn(m_topics, text->topics.join(QStringLiteral(", ")), now.topics == text->topics);
    showIn(m_seasons, text->seasons.join(QStringLiteral(", ")), now.seasons == text->seasons);
    showIn(m_language, text->language, now.language == text->language);
    showIn(m_lastDay, dayText(text->lastDay), now.lastDay == text->lastDay);
    showPicture(text->picture);
    m_kind->setCurrentIndex(int(text->kind));
    m_names->setChecked(text->namesRoles);
    if (!(now.lines == text->lines))
        showWords(textOf(text->lines));
    showState();
}

/// Only what differs is exchanged, so that what follows stays where it is looked at.
void TextEditor::showWords(const QString& words) {
    const QString before = m_words->toPlainText();
    const auto hereDiffers = std::mismatch(before.begin(), before.end(), words.begin(), words.end()).first;
    const auto start = hereDiffers - before.begin();
    qsizetype tail = 0;
    while (tail < std::min(before.size(), words.size()) - start &&
           before[before.size() - 1 - tail] == words[words.size() - 1 - tail])
        ++tail;
    const QSignalBlocker quiet(m_words); // it is in the draft
    QTextCursor cursor(m_words->document());
    cursor.setPosition(int(start));
    cursor.setPosition(int(before.size() - tail), QTextCursor::KeepAnchor);
    cursor.insertText(words.mid(start, words.size() - tail - start));
    m_words->setTextCursor(cursor);
}

void TextEditor::showPicture(const QString& picture) {
    m_picture->setText(picture.isEmpty() ? tr("Choose\u2026") : tr("Another\u2026"));
    m_noPicture->setVisible(!picture.isEmpty());
}

void TextEditor::showState() {
    const bool changed = m_draft.isChanged();
    const QString day = m_lastDay->text().trimmed();
    const bool isNoDay = !m_lastDay->hasFocus() && !day.isEmpty() && !dayFrom(day, Clock::the().date());
    m_state->setText(isNoDay                                ? noDayText(day)
                     : changed                              ? tr("Not saved yet")
                     : m_draft.record() && !m_draft.isNew() ? tr("Saved")
                                                            : QString());
    m_save->setEnabled(changed || m_draft.isNew());
}

/// Undo and redo are those of the draft, wherever the caret is.
bool TextEditor::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->matches(QKeySequence::Undo) || key->matches(QKeySequence::Redo)) {
            event->ignore();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

void TextEditor::setEmptyText(const QString& text) {
    m_empty->setText(text);
}

void TextEditor::focusTitle() {
    m_title->setFocus();
    m_title->selectAll();
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

#include "moc_TextEditor.cpp"
