// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TextLibrary.h"
#include "desk/find/FindPanel.h"
#include "desk/kit/BinMenu.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/library/RecordHistory.h"
#include "desk/library/TextEditor.h"
#include "formats/TextFile.h"
#include "store/SafeFiles.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QStackedLayout>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

TextLibrary::TextLibrary(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_editing(m_draft, tools.session.library(),
                tools.session.unsavedFile(RecordKind<SpokenText>::unsavedName()),
                [this](const QString& title) { return m_prompts.unsavedRecord(title); }) {
    setObjectName(QStringLiteral("text-library"));
    auto* texts = new QWidget(this);
    auto* row = new QHBoxLayout(texts);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(buildList(), 5);
    m_editor = new TextEditor(m_draft, m_prompts, texts);
    m_editor->setEmptyText(
        tr("Choose a text, or write a new one: liturgy, prayers, responses, creeds, notices."));
    row->addWidget(m_editor, 10);
    m_nothing = new EmptyState(
        tr("No texts yet"),
        tr("Liturgy, prayers, responses, creeds and notices: words that are spoken, and who speaks "
           "them."),
        m_editor);
    m_nothing->addAction(QStringLiteral("empty-new-text"), tr("New text (Ctrl+Shift+N)"), tr("Write a text"),
                         [this] { newText(); });
    m_nothing->addAction(QStringLiteral("empty-bring-in-texts"), tr("Bring in text files\u2026 (Ctrl+I)"),
                         tr("Plain text with roles such as \u201cLeader:\u201d"), [this] { bringInFiles(); });
    row->addWidget(buildSide(tools.thumbnails), 5);
    m_history = new RecordHistory<SpokenText>(m_editing, m_draft, m_session.library(), this);
    m_pages = new QStackedLayout(this);
    m_pages->addWidget(texts);
    m_pages->addWidget(m_history);
    connectEditing();
    connect(&m_session.book(), &SlideBook::changed, m_preview, &WordsPreview::refresh);
    showDraft(WordsPreview::Shows::Another);
}

void TextLibrary::connectEditing() {
    using By = RecordEditing<SpokenText>::By;
    connect(m_find, &FindPanel::currentChanged, this, [this] { currentChanged(By::Person); });
    connect(m_find, &FindPanel::refilled, this, [this] { currentChanged(By::List); });
    connect(m_find, &FindPanel::chosen, this, [this](const std::vector<FindPick>& picks) {
        settle([this, picks] { Q_EMIT addToService(picks); });
    });
    connect(&m_draft, &TextDraft::loaded, this, [this] {
        showDraft(WordsPreview::Shows::Another);
        chooseEdited();
    });
    connect(&m_draft, &TextDraft::changed, this, [this] { showDraft(WordsPreview::Shows::Same); });
    connect(&m_editing, &EditingSignals::problem, &m_session, &Session::problem);
    connect(&m_editing, &EditingSignals::notLoaded, &m_session, &Session::problem);
    connect(&m_editing, &EditingSignals::notice, &m_session, &Session::notice);
    connect(&m_editing, &EditingSignals::untitled, m_editor, &TextEditor::focusTitle);
    connect(&m_editing, &EditingSignals::stays, this, &TextLibrary::chooseEdited);
    connect(&m_editing, &EditingSignals::stored, this, [this] {
        showDraft(WordsPreview::Shows::Same);
        chooseEdited();
    });
    connect(&m_editing, &EditingSignals::conflict, this, [this] { m_pages->setCurrentWidget(m_history); });
    connect(m_editor, &TextEditor::saveWanted, this, &TextLibrary::saveText);
    connect(m_editor, &TextEditor::deleteWanted, this, [this] { m_editing.putInBin(); });
    connect(m_editor, &TextEditor::historyWanted, this, &TextLibrary::showHistory);
    connect(m_editor, &TextEditor::pictureWanted, this, &TextLibrary::choosePicture);
    connect(m_history, &VersionsPage::left, this, [this] {
        m_pages->setCurrentIndex(0);
        focusFind();
    });
}

QWidget* TextLibrary::buildList() {
    auto* side = new QWidget(this);
    m_find = new FindPanel(m_session.library(), tr("Title, topic, season, words\u2026"), FindTexts, side);
    m_find->box()->setObjectName(QStringLiteral("text-find-box"));
    m_count = new QLabel(tr("Texts"), side);
    makeHeading(m_count);
    connect(m_find, &FindPanel::counted, this, [this](int texts) {
        m_isEmpty = texts == 0 && m_find->isAskingForAll();
        m_nothing->setVisible(m_isEmpty && !m_draft.record());
        m_count->setText(m_find->box()->text().trimmed().isEmpty() ? tr("Texts %1").arg(texts)
                                                                   : tr("%1 found").arg(texts));
    });
    auto* fresh = new QPushButton(tr("New text"), side);
    fresh->setObjectName(QStringLiteral("new-text"));
    fresh->setProperty("main", true);
    fresh->setToolTip(tr("Write a new text (Ctrl+Shift+N)"));
    fresh->setShortcut(QKeySequence(QStringLiteral("Ctrl+Shift+N")));
    connect(fresh, &QPushButton::clicked, this, &TextLibrary::newText);
    auto* in = new QToolButton(side);
    in->setText(tr("Bring in\u2026"));
    in->setObjectName(QStringLiteral("bring-in-texts"));
    in->setToolTip(
        tr("Bring in plain text files with roles such as \u201cLeader:\u201d (Ctrl+I); or drop them here"));
    connect(in, &QToolButton::clicked, this, &TextLibrary::bringInFiles);
    auto* out = new QToolButton(side);
    out->setText(tr("Send out\u2026"));
    out->setObjectName(QStringLiteral("send-out-text"));
    out->setToolTip(tr("Write the text that is shown into a plain text file"));
    connect(out, &QToolButton::clicked, this, &TextLibrary::sendOut);
    auto* binMenu = new QMenu(side);
    connect(binMenu, &QMenu::aboutToShow, this, [this, binMenu] { fillBin(binMenu); });
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(fresh);
    buttons->addStretch(1);
    buttons->addWidget(in);
    buttons->addWidget(out);
    buttons->addWidget(makeBinButton(
        "text-bin", tr("Bin: texts that were deleted; restore them, or empty it"), binMenu, side));
    QVBoxLayout* column = sideRows(side, 66);
    column->addWidget(m_count);
    column->addWidget(m_find, 1);
    column->addLayout(buttons);
    return side;
}

QWidget* TextLibrary::buildSide(ThumbnailStore& thumbnails) {
    auto* side = new QWidget(this);
    side->setMinimumWidth(spaced(64));
    m_preview = new WordsPreview(m_session.book(), thumbnails, side);
    m_add = new QPushButton(tr("Add to the service"), side);
    m_add->setObjectName(QStringLiteral("text-add"));
    m_add->setToolTip(tr("Put this text into the service order (Enter in the search box)"));
    connect(m_add, &QPushButton::clicked, this, [this] {
        settle([this] {
            if (m_draft.record())
                Q_EMIT addToService({FindPick(m_draft.record()->id)});
        });
    });
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_preview);
    column->addWidget(m_add, 0, Qt::AlignRight);
    column->addStretch(1);
    return side;
}

void TextLibrary::choosePicture() {
    chooseMedium(
        m_session, m_prompts, this, MediumKind::Picture, [this, of = m_draft.record()](const Medium& medium) {
            if (of && m_draft.record() && m_draft.record()->id == of->id)
                m_draft.change(tr("the picture"), [&](SpokenText& text) { text.picture = medium.name; });
        });
}

void TextLibrary::focusFind() {
    m_find->focusBox();
}

void TextLibrary::currentChanged(RecordEditing<SpokenText>::By by) {
    if (!m_editing.choose(chosen(), by))
        chooseEdited();
}

std::optional<TextId> TextLibrary::chosen() const {
    const auto found = m_find->current();
    const auto* hit = found ? std::get_if<TextHit>(&*found) : nullptr;
    return hit ? std::optional(hit->text.id) : std::nullopt;
}

/// The list shows the text that is edited as the chosen one.
void TextLibrary::chooseEdited() {
    if (m_draft.record() && !m_draft.isNew() && chosen() != m_draft.record()->id)
        m_find->select(m_draft.record()->id);
}

void TextLibrary::showDraft(WordsPreview::Shows shows) {
    const auto& text = m_draft.record();
    m_nothing->setVisible(m_isEmpty && !text);
    m_add->setVisible(text && !m_draft.isNew());
    m_preview->setWords(text ? std::optional<ItemWords>(textItem(*text)) : std::nullopt, shows);
}

void TextLibrary::showText(const TextId& id) {
    settle([this, id] {
        m_pages->setCurrentIndex(0);
        m_find->box()->clear();
        m_find->select(id);
        m_editing.open(id);
    });
}

void TextLibrary::newText() {
    settle([this] {
        m_pages->setCurrentIndex(0);
        SpokenText text;
        text.id = TextId::create();
        text.title = tr("New text");
        m_editing.begin(text);
        m_editor->focusTitle();
    });
}

void TextLibrary::bringInFiles() {
    bringIn(m_prompts.textFilesToImport());
}

void TextLibrary::bringIn(const QStringList& paths) {
    if (paths.isEmpty())
        return;
    m_session.library().ask<std::vector<TextImport>>(
        this,
        [paths](Library& library) -> Result<std::vector<TextImport>> {
            return library.texts().import(paths);
        },
        [this](const Result<std::vector<TextImport>>& done) {
            if (!done) {
                Q_EMIT m_session.problem(done.error());
                return;
            }
            std::array<int, kImportOutcomes> counts{};
            QStringList reasons;
            for (const TextImport& entry : *done) {
                ++counts[size_t(entry.outcome)];
                if (!entry.reason.isEmpty())
                    reasons << tr("%1: %2").arg(
                        entry.title.isEmpty() ? entry.file.section(u'/', -1) : entry.title, entry.reason);
            }
            QStringList said;
            for (int outcome = 0; outcome < kImportOutcomes; ++outcome)
                if (counts[size_t(outcome)] > 0)
                    said << tr("%1 %2", "a number of texts, and what became of them: 3 added")
                                .arg(counts[size_t(outcome)])
                                .arg(outcomeName(ImportOutcome(outcome)));
            const QString text = tr("Texts: %1.").arg(said.join(QStringLiteral(", ")));
            if (reasons.isEmpty())
                Q_EMIT m_session.notice(text);
            else
                Q_EMIT m_session.problem({text, {}, reasons.mid(0, 3).join(QStringLiteral(" \u00b7 "))});
        });
}

void TextLibrary::sendOut() {
    const auto& text = m_draft.record();
    if (!text)
        return;
    const QString path = m_prompts.whereToExport(text->title + QStringLiteral(".txt"));
    if (path.isEmpty())
        return;
    m_session.library().ask<void>(
        this, [path, words = textFileOf(*text)](Library&) { return writeSafely(path, words.toUtf8()); },
        [this, path](const Result<void>& written) {
            if (written)
                Q_EMIT m_session.notice(tr("Written to %1.").arg(path));
            else
                Q_EMIT m_session.problem(written.error());
        });
}

void TextLibrary::fillBin(QMenu* menu) {
    menu->clear();
    addBin<SpokenText>(menu, m_session, m_prompts, [this](const TextId& id) { showText(id); });
}

void TextLibrary::showHistory() {
    if (const auto& text = m_draft.record()) {
        m_pages->setCurrentWidget(m_history);
        m_history->setRecord(*text);
    }
}

void TextLibrary::undo() {
    if (m_pages->currentIndex() == 0)
        m_draft.undo();
}

void TextLibrary::redo() {
    if (m_pages->currentIndex() == 0)
        m_draft.redo();
}

} // namespace mivanta

#include "moc_TextLibrary.cpp"
