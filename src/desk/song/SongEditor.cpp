// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/SongEditor.h"
#include "core/song/Chords.h"
#include "core/song/PartEdits.h"
#include "core/song/PasteCleanup.h"
#include "core/song/WholeText.h"
#include "desk/kit/Columns.h"
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/Style.h"
#include "desk/song/ChartView.h"
#include "desk/song/DetailsForm.h"
#include "desk/song/PartActions.h"
#include "desk/song/Speller.h"
#include "desk/song/WholePaste.h"
#include "desk/song/WordsSheet.h"
#include <QAction>
#include <QApplication>
#include <QButtonGroup>
#include <QClipboard>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QStackedWidget>
#include <QTimer>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kTextSoonMs = 250;

} // namespace

SongEditor::SongEditor(SongDraft& draft, Prompts& prompts, Speller& speller, QWidget* parent)
    : QWidget(parent),
      m_draft(draft),
      m_prompts(prompts),
      m_speller(speller) {
    setObjectName(QStringLiteral("song-editor"));
    m_empty = new QLabel(this);
    m_empty->setObjectName(QStringLiteral("editor-empty"));
    m_empty->setWordWrap(true);
    m_empty->setAlignment(Qt::AlignTop);
    m_content = new QWidget(this);
    m_stack = new QStackedWidget(m_content);
    m_form = new DetailsForm(m_stack);
    m_chart = new ChartView(m_stack);
    m_text = new QPlainTextEdit(m_stack);
    m_text->setObjectName(QStringLiteral("whole-text"));
    m_text->setAccessibleName(tr("Whole text"));
    m_text->setToolTip(
        tr("# Verse 1 is a heading, --- a slide break, [G] a chord, *italic*, __bold__, > a note "
           "for the musicians"));
    m_text->setFont(monoFont(1.0));
    m_text->setUndoRedoEnabled(false); // the draft undoes
    m_text->setTabChangesFocus(true);
    m_stack->addWidget(buildParts());
    m_stack->addWidget(m_text);
    m_stack->addWidget(m_chart);
    m_stack->addWidget(m_form);
    m_message = new QLabel(m_content);
    m_message->setObjectName(QStringLiteral("editor-message"));
    m_message->setWordWrap(true);
    m_message->setTextFormat(Qt::RichText);
    m_message->hide();
    auto* inner = new QVBoxLayout(m_content);
    inner->setContentsMargins(0, 0, 0, 0);
    inner->addWidget(buildHead());
    inner->addWidget(m_stack, 1);
    inner->addWidget(m_message);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(4), spaced(3), spaced(4), spaced(3));
    column->addWidget(m_empty);
    column->addWidget(m_content, 1);

    m_textSoon = new QTimer(this);
    m_textSoon->setSingleShot(true);
    m_textSoon->setInterval(kTextSoonMs);
    connect(m_textSoon, &QTimer::timeout, this, &SongEditor::wholeTextEdited);
    connect(m_text, &QPlainTextEdit::textChanged, m_textSoon, qOverload<>(&QTimer::start));
    connect(m_words, &WordsSheet::edited, this, &SongEditor::wordsEdited);
    connect(m_words, &WordsSheet::pasted, this, &SongEditor::pasted);
    connect(m_words, &WordsSheet::undoWanted, this, &SongEditor::undo);
    connect(m_words, &WordsSheet::redoWanted, this, &SongEditor::redo);
    connect(m_parts, &PartActions::pasteWanted, this, [this] { pasted(QApplication::clipboard()->text()); });
    connect(m_words, &WordsSheet::placeChanged, this,
            [this](const WordsPlace& place) { Q_EMIT placeChanged(place.part, place.line); });
    connect(m_form, &DetailsForm::edited, this,
            [this](const QString& what, const std::function<void(Song&)>& work, int field) {
                m_draft.change(what, work, field == 0 ? 0 : 1'000'000 + field);
            });
    m_text->installEventFilter(this);
    connect(m_form, &DetailsForm::songPasted, this, &SongEditor::takeWholeSong);
    m_words->setSpelling([this](const QString& word) { return m_speller.isWrong(word); });
    connect(&m_speller, &Speller::checked, m_words, &WordsSheet::markSpelling);
    connect(&m_speller, &Speller::languageChanged, this, &SongEditor::showSpelling);
    connect(m_chart, &ChartView::sheetWanted, this,
            [this](SendWay way) { Q_EMIT sheetWanted(way, m_chart->options()); });
    connect(m_message, &QLabel::linkActivated, this, [this] {
        undo();
        m_message->hide();
    });
    connect(&m_draft, &SongDraft::loaded, this, [this] {
        m_message->hide();
        showSong();
        m_words->setPlace({});
    });
    connect(&m_draft, &SongDraft::changed, this, &SongEditor::showSong);
    connect(&m_draft, &SongDraft::stateChanged, this, &SongEditor::showState);
    showSong();
}

QWidget* SongEditor::buildHead() {
    auto* head = new QWidget(m_content);
    m_title = new ElidedLabel(head);
    m_title->setObjectName(QStringLiteral("song-title"));
    m_title->setFont(textFont(1.6, TextWeight::Bold));
    m_details = new QLabel(head);
    m_details->setObjectName(QStringLiteral("song-details"));
    m_details->setWordWrap(true);
    connect(m_details, &QLabel::linkActivated, this, [this] { setView(DetailsView); });
    m_state = new QLabel(head);
    m_state->setObjectName(QStringLiteral("song-state"));
    makeQuiet(m_state);
    m_save = new QPushButton(tr("Save song"), head);
    m_save->setObjectName(QStringLiteral("save-song"));
    m_save->setProperty("main", true);
    m_save->setToolTip(tr("Put the changed song into the library (Ctrl+S); the version before is kept"));
    connect(m_save, &QPushButton::clicked, this, &SongEditor::saveWanted);
    m_revert = new QPushButton(tr("Revert"), head);
    m_revert->setObjectName(QStringLiteral("revert-song"));
    m_revert->setToolTip(tr("Take back every change since the song was saved"));
    connect(m_revert, &QPushButton::clicked, &m_draft, &SongDraft::leaveAsItWas);
    m_more = new QToolButton(head);
    m_more->setObjectName(QStringLiteral("song-more"));
    m_more->setText(tr("More \u25be"));
    m_more->setToolTip(tr("Earlier versions; delete the song"));
    m_more->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(m_more);
    menu->addAction(tr("Earlier versions\u2026"), this, &SongEditor::historyWanted);
    menu->addAction(tr("Put into the bin"), this, &SongEditor::deleteWanted);
    m_more->setMenu(menu);
    auto* first = new QHBoxLayout;
    first->addWidget(m_title, 1);
    first->addWidget(m_state);
    first->addWidget(m_revert);
    first->addWidget(m_save);
    first->addWidget(m_more);

    m_views = new QButtonGroup(head);
    auto* tabs = new QHBoxLayout;
    const std::tuple<QString, QString, QString> views[]{
        {QStringLiteral("view-parts"), tr("Parts"), tr("The song part by part (F2)")},
        {QStringLiteral("view-text"), tr("Whole text"), tr("The song as one text (F3)")},
        {QStringLiteral("view-chart"), tr("Chart"), tr("The musicians' page, as it prints (F4)")},
        {QStringLiteral("view-details"), tr("Details"), tr("Authors, books, key, licence (F6)")}};
    const QString keys[]{QStringLiteral("F2"), QStringLiteral("F3"), QStringLiteral("F4"),
                         QStringLiteral("F6")};
    int id = 0;
    for (const auto& [name, text, tip] : views) {
        auto* tab = new QPushButton(text, head);
        tab->setObjectName(name);
        tab->setProperty("tab", true);
        tab->setCheckable(true);
        tab->setToolTip(tip);
        m_views->addButton(tab, id);
        tabs->addWidget(tab);
        auto* action = new QAction(this); // from anywhere on the desk
        action->setShortcut(QKeySequence(keys[id]));
        action->setShortcutContext(Qt::WidgetWithChildrenShortcut);
        connect(action, &QAction::triggered, this, [this, id] { setView(View(id)); });
        parentWidget()->addAction(action);
        ++id;
    }
    m_views->button(PartsView)->setChecked(true);
    connect(m_views, &QButtonGroup::idClicked, this, [this](int view) { setView(View(view)); });
    tabs->addStretch(1);
    auto* column = new QVBoxLayout(head);
    column->setContentsMargins(0, 0, 0, 0);
    column->addLayout(first);
    column->addWidget(m_details);
    column->addLayout(tabs);
    return head;
}

void SongEditor::addTool(QLayout* row, const QString& name, const QString& text, const QString& tip,
                         const QString& key, const std::function<void()>& work) {
    auto* button = new QToolButton(m_content);
    button->setObjectName(name);
    button->setText(text);
    button->setFocusPolicy(Qt::TabFocus); // a click leaves the caret where it is
    const QKeySequence sequence(key);
    button->setToolTip(key.isEmpty()
                           ? tip
                           : QStringLiteral("%1 (%2)").arg(tip, sequence.toString(QKeySequence::NativeText)));
    connect(button, &QToolButton::clicked, this, work);
    row->addWidget(button);
}

QWidget* SongEditor::buildTools() {
    auto* tools = new QWidget(m_content);
    auto* row = new QHBoxLayout(tools);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(1));
    auto* add = new QToolButton(tools);
    add->setObjectName(QStringLiteral("add-part"));
    add->setText(tr("+ Part \u25be"));
    add->setToolTip(tr("A new part after this one"));
    add->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(add);
    connect(menu, &QMenu::aboutToShow, this, [this, menu] {
        menu->clear();
        m_parts->fillAddMenu(menu);
    });
    add->setMenu(menu);
    row->addWidget(add);
    addTool(row, QStringLiteral("part-menu"), tr("This part \u25be"),
            tr("Kind, band only, split, join, copy, move, delete; also by a click on its name"),
            QStringLiteral("Menu"), [this] { m_parts->showMenuAtCaret(); });
    addTool(row, QStringLiteral("toggle-break"), tr("Slide break"),
            tr("A slide break at the caret, or none there"), QStringLiteral("Ctrl+Return"),
            [this] { m_words->toggleBreak(); });
    addTool(row, QStringLiteral("edit-chord"), tr("Chord"),
            tr("The chord over the letter at the caret; or type it in brackets among the words"),
            QStringLiteral("Ctrl+K"), [this] { m_words->editChord(); });
    addTool(row, QStringLiteral("bold"), tr("B"), tr("Bold, for the words that are marked"),
            QStringLiteral("Ctrl+B"), [this] { m_words->toggleEmphasis(Weight::Bold); });
    addTool(row, QStringLiteral("italic"), tr("I"), tr("Italic, for the words that are marked"),
            QStringLiteral("Ctrl+I"), [this] { m_words->toggleEmphasis(Weight::Italic); });
    row->addStretch(1);
    m_spelling = new QLabel(tools);
    m_spelling->setObjectName(QStringLiteral("spelling"));
    makeQuiet(m_spelling);
    row->addWidget(m_spelling);
    row->addWidget(new QLabel(tr("Transpose"), tools));
    addTool(row, QStringLiteral("song-down"), QStringLiteral("\u2212"), tr("The song a semitone lower"), {},
            [this] { transposeSong(-1); });
    m_key = new QLabel(tools);
    m_key->setObjectName(QStringLiteral("song-key"));
    m_key->setFont(monoFont(1.0, TextWeight::Bold));
    row->addWidget(m_key);
    addTool(row, QStringLiteral("song-up"), QStringLiteral("+"), tr("The song a semitone higher"), {},
            [this] { transposeSong(1); });
    return tools;
}

QWidget* SongEditor::buildParts() {
    auto* page = new QWidget(m_stack);
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 0, 0, 0);
    m_words = new WordsSheet(page);
    m_parts = new PartActions(m_draft, m_prompts, m_speller, *m_words);
    column->addWidget(buildTools());
    column->addWidget(m_words, 1);
    return page;
}

void SongEditor::setView(View view) {
    if (m_textSoon->isActive()) {
        m_textSoon->stop();
        wholeTextEdited();
    }
    m_stack->setCurrentIndex(view);
    m_views->button(view)->setChecked(true);
    showSong();
    m_stack->currentWidget()->setFocus();
    if (view == PartsView)
        m_words->setFocus();
}

void SongEditor::setEmptyText(const QString& text) {
    m_empty->setText(text);
}

void SongEditor::setPartNotes(const QStringList& notes) {
    m_words->setNotes(notes);
}

void SongEditor::focusTitle() {
    setView(DetailsView);
    if (auto* title = m_form->findChild<QLineEdit*>(QStringLiteral("detail-title"))) {
        title->setFocus();
        title->selectAll(); // what is typed takes the place of "New song"
    }
}

void SongEditor::undo() {
    if (m_textSoon->isActive()) {
        m_textSoon->stop();
        wholeTextEdited();
    }
    m_draft.undoStack().undo();
}

void SongEditor::redo() {
    m_draft.undoStack().redo();
}

void SongEditor::showSong() {
    const auto& song = m_draft.record();
    m_content->setVisible(song.has_value());
    m_empty->setVisible(!song);
    if (!song)
        return;
    m_title->setText(song->title.trimmed().isEmpty() ? tr("A song without a title") : song->title);
    m_details->setText(DetailsForm::summaryOf(*song));
    m_speller.setLanguage(song->language);
    const QString key = keyOf(*song);
    m_key->setText(key.isEmpty() ? QStringLiteral("\u2013") : key);
    const int view = m_stack->currentIndex();
    const bool isShownAlready = m_typed == song->parts;
    if (view == PartsView && !isShownAlready)
        m_words->setParts(song->parts);
    if (view == TextView && !isShownAlready) {
        const QSignalBlocker quiet(m_text);
        m_text->setPlainText(wholeText(song->parts));
    }
    if (view == ChartPage)
        m_chart->setSong(*song);
    if (view == DetailsView)
        m_form->setSong(*song);
    showState();
}

void SongEditor::showState() {
    const bool changed = m_draft.isChanged();
    m_state->setText(!m_draft.record() ? QString()
                     : changed         ? (m_isForService ? tr("changed here") : tr("changed, not saved"))
                                       : QString());
    m_save->setVisible(changed && !m_isForService);
    m_revert->setVisible(changed);
}

void SongEditor::setForService() {
    m_isForService = true;
    m_more->hide();
    showState();
}

/// Two editors share one speller; the one that is seen has its say.
void SongEditor::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_draft.record())
        m_speller.setLanguage(m_draft.record()->language);
}

void SongEditor::wordsEdited(const QString& what, int typing) {
    m_draft.change(
        what,
        [this](Song& song) {
            takeParts(song, m_words->parts());
            m_typed = song.parts;
        },
        typing);
    m_typed.reset();
}

void SongEditor::wholeTextEdited() {
    m_draft.change(tr("typing"), [this](Song& song) {
        takeParts(song, readWholeText(m_text->toPlainText(), song.parts));
        m_typed = song.parts;
    });
    m_typed.reset();
}

bool SongEditor::takeWholeSong(const QString& text) {
    if (!m_draft.record() || m_isForService || !isFresh(*m_draft.record()))
        return false;
    Song taken = *m_draft.record();
    const auto understood = takeWhole(taken, text);
    if (!understood)
        return false;
    m_draft.change(tr("pasting a song"), [&](Song& song) { song = taken; });
    setView(PartsView);
    m_words->setPlace({});
    sayWhatWasDone(*understood);
    return true;
}

/// Whole text takes a whole song as the other views do.
bool SongEditor::eventFilter(QObject* watched, QEvent* event) {
    const bool isPaste =
        event->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->matches(QKeySequence::Paste);
    return (watched == m_text && isPaste && takeWholeSong(QApplication::clipboard()->text())) ||
           QWidget::eventFilter(watched, event);
}

void SongEditor::pasted(const QString& text) {
    if (text.trimmed().contains(u'\n') && takeWholeSong(text))
        return;
    const CleanedText cleaned = cleanedUp(text);
    if (cleaned.parts.empty())
        return;
    const WordsPlace place = m_words->place();
    const int selected = m_words->selectedLength();
    WordsPlace end;
    m_draft.change(tr("pasting"), [&](Song& song) { end = pasteInto(song, place, selected, cleaned); });
    m_words->setPlace(end);
    if (const QString done = cleaned.summary(); !done.isEmpty())
        sayWhatWasDone(tr("Pasted: %1.").arg(done));
    else
        m_message->hide();
}

void SongEditor::sayWhatWasDone(const QString& text) {
    m_message->setText(text.toHtmlEscaped() +
                       QStringLiteral(" \u00b7 <a href='undo'>%1</a>").arg(tr("undo")));
    m_message->show();
}

void SongEditor::showSpelling() {
    const bool there = m_speller.hasDictionary();
    m_spelling->setText(there ? QString() : tr("spelling not checked"));
    m_spelling->setToolTip(there
                               ? QString()
                               : tr("There is no dictionary for \u201c%1\u201d on this computer. Install the "
                                    "package hunspell-%1, or set the song's language under Details.")
                                     .arg(m_speller.language().section(u'_', 0, 0)));
}

void SongEditor::transposeSong(int semitones) {
    m_draft.change(tr("transposing"), [&](Song& song) {
        if (song.key.isEmpty())
            song.key = keyOf(song);
        song = transposed(song, semitones);
    });
}

void SongEditor::setThemes(const std::vector<Theme>& themes) {
    m_form->setThemes(themes);
}

} // namespace mivanta

#include "moc_SongEditor.cpp"
