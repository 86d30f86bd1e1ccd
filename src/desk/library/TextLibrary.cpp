// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TextLibrary.h"
#include "desk/find/FindPanel.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/library/TextEditor.h"
#include "desk/library/TextHistory.h"
#include "desk/song/WordsPreview.h"
#include "formats/TextFile.h"
#include "formats/TextJson.h"
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
      m_keeper(tools.session.library().folder(), tools.session.unsavedName(QStringLiteral("text")),
               [this]() -> DraftKeeper::Writer {
                   if (!hasUnsavedText())
                       return {};
                   return [text = *m_editor->text()] { return textToJson(text); };
               }) {
    setObjectName(QStringLiteral("text-library"));
    auto* texts = new QWidget(this);
    auto* row = new QHBoxLayout(texts);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(buildList(), 5);
    m_editor = new TextEditor(m_prompts, texts);
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
    m_history = new TextHistory(m_session.library(), this);
    m_pages = new QStackedLayout(this);
    m_pages->addWidget(texts);
    m_pages->addWidget(m_history);
    connect(m_find, &FindPanel::currentChanged, this, &TextLibrary::currentChanged);
    connect(m_find, &FindPanel::chosen, this, [this](const std::vector<FindPick>& picks) {
        settle([this, picks] { Q_EMIT addToService(picks); });
    });
    connect(m_editor, &TextEditor::changed, this, &TextLibrary::textChanged);
    connect(&m_keeper, &DraftKeeper::found, this, [this](const QJsonObject& json, const QString& where) {
        const auto text = textFromJson(json, where);
        text ? recover(*text) : m_keeper.refuse(text.error());
    });
    connect(&m_keeper, &DraftKeeper::failed, &m_session, &Session::problem);
    connect(&m_session.library(), &LibraryClient::opened, &m_keeper, &DraftKeeper::recover);
    connect(m_editor, &TextEditor::saveWanted, this, [this] { saveText(); });
    connect(m_editor, &TextEditor::deleteWanted, this, &TextLibrary::putInBin);
    connect(m_editor, &TextEditor::historyWanted, this, &TextLibrary::showHistory);
    connect(m_history, &TextHistory::left, this, [this] {
        m_pages->setCurrentIndex(0);
        focusFind();
    });
    connect(m_history, &TextHistory::textWanted, this, [this](SpokenText version) {
        m_pages->setCurrentIndex(0);
        if (m_stored)
            version.revision = m_stored->revision;
        m_editor->setText(version);
        textChanged();
    });
    connect(&m_session.book(), &SlideBook::changed, m_preview, &WordsPreview::refresh);
    show(std::nullopt);
}

QWidget* TextLibrary::buildList() {
    auto* side = new QWidget(this);
    makeSide(side);
    side->setMinimumWidth(spaced(66));
    m_find = new FindPanel(m_session.library(), tr("Title, topic, season, words\u2026"), FindTexts, side);
    m_find->box()->setObjectName(QStringLiteral("text-find-box"));
    m_count = new QLabel(tr("Texts"), side);
    makeHeading(m_count);
    connect(m_find, &FindPanel::counted, this, [this](int texts) {
        m_isEmpty = texts == 0 && m_find->isAskingForAll();
        m_nothing->setVisible(m_isEmpty && !m_editor->text());
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
    auto* bin = new QToolButton(side);
    bin->setObjectName(QStringLiteral("text-bin"));
    bin->setIcon(icon(QStringLiteral("trash-2"), day().text));
    bin->setAccessibleName(tr("Bin"));
    bin->setToolTip(tr("Bin: texts that were deleted; restore them, or empty it"));
    bin->setPopupMode(QToolButton::InstantPopup);
    bin->setMenu(binMenu);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(fresh);
    buttons->addStretch(1);
    buttons->addWidget(in);
    buttons->addWidget(out);
    buttons->addWidget(bin);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
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
            if (m_stored)
                Q_EMIT addToService({FindPick(m_stored->id)});
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

void TextLibrary::focusFind() {
    m_find->focusBox();
}

bool TextLibrary::hasUnsavedText() const {
    const auto text = m_editor->text();
    return text && m_stored && !sameContent(*text, *m_stored);
}

void TextLibrary::currentChanged() {
    const auto found = m_find->current();
    const auto* hit = found ? std::get_if<TextHit>(&*found) : nullptr;
    if (m_selecting || (hit && m_stored && m_stored->id == hit->text.id))
        return;
    const bool isNew = m_stored && m_stored->revision == 0;
    if ((!hit || m_find->isFilling()) && (hasUnsavedText() || isNew))
        return; // what is being written stays until another one is chosen
    const TextId staying = m_stored ? m_stored->id : TextId();
    const auto wanted = hit ? std::optional(hit->text.id) : std::nullopt;
    bool settled = false;
    settle([&, wanted] {
        settled = true;
        if (wanted)
            load(*wanted);
        else
            show(std::nullopt);
    });
    if (!settled && hasUnsavedText()) {
        m_selecting = true;
        m_find->select(staying);
        m_selecting = false;
    }
}

void TextLibrary::load(const TextId& id) {
    m_wanted = id;
    m_session.library().ask<SpokenText>(
        this, [id](Library& library) { return library.texts().text(id); },
        [this, id](const Result<SpokenText>& text) {
            if (!(id == m_wanted) || (m_stored && m_stored->id == id && hasUnsavedText()))
                return;
            if (text)
                show(*text);
            else
                Q_EMIT m_session.problem(text.error());
        });
}

void TextLibrary::show(const std::optional<SpokenText>& text) {
    m_stored = text;
    m_editor->setText(text);
    m_nothing->setVisible(m_isEmpty && !text);
    m_keeper.touch();
    m_add->setVisible(text && text->revision > 0);
    m_preview->setWords(text ? std::optional<ItemWords>(textItem(*text)) : std::nullopt, false);
}

/// Takes up what was written last time and not saved.
void TextLibrary::recover(const SpokenText& unsaved) {
    m_session.library().ask<SpokenText>(
        this, [id = unsaved.id](Library& library) { return library.texts().text(id); },
        [this, unsaved](const Result<SpokenText>& stored) {
            SpokenText before = stored ? *stored : SpokenText();
            before.id = unsaved.id;
            before.revision = unsaved.revision; // what was changed elsewhere meanwhile shows when it is saved
            m_wanted = unsaved.id;
            show(before);
            m_editor->setText(unsaved);
            textChanged();
            m_find->select(unsaved.id);
            Q_EMIT m_session.notice(
                tr("\u201c%1\u201d was being written and not saved last time. It is in the "
                   "Library, under Texts, as it was left.")
                    .arg(unsaved.title));
        });
}

void TextLibrary::textChanged() {
    m_keeper.touch();
    m_editor->setChanged(hasUnsavedText());
    if (auto text = m_editor->text())
        m_preview->setWords(ItemWords(textItem(std::move(*text))), true);
}

void TextLibrary::showText(const TextId& id) {
    settle([this, id] {
        m_pages->setCurrentIndex(0);
        m_find->box()->clear();
        m_find->select(id);
        load(id);
    });
}

void TextLibrary::newText() {
    settle([this] {
        m_pages->setCurrentIndex(0);
        m_wanted = {};
        SpokenText text;
        text.id = TextId::create();
        text.title = tr("New text");
        show(text);
        m_editor->focusTitle();
    });
}

void TextLibrary::saveText(const std::function<void()>& then) {
    m_saves.start([this, then] { sendText(then); });
}

void TextLibrary::sendText(const std::function<void()>& then) {
    auto text = m_editor->text();
    if (!text || (text->revision > 0 && !hasUnsavedText())) {
        m_saves.answered();
        if (then)
            then();
        return;
    }
    if (text->title.isEmpty()) {
        m_saves.answered();
        Q_EMIT m_session.problem({tr("A text needs a title"), {}, tr("Give it one at the top.")});
        m_editor->focusTitle();
        return;
    }
    m_session.library().ask<SpokenText>(
        this, [text = *text](Library& library) { return library.texts().save(text); },
        [this, then](const Result<SpokenText>& stored) {
            if (!stored) {
                m_saves.answered();
                Q_EMIT m_session.problem(stored.error());
                return;
            }
            const auto typed = m_editor->text();
            if (typed && typed->id == stored->id && !sameContent(*typed, *stored)) {
                m_stored = *stored; // more was written meanwhile
                m_editor->setRevision(stored->revision);
                textChanged();
            } else if (typed && typed->id == stored->id) {
                m_stored = *stored;
                m_editor->setRevision(stored->revision);
                m_editor->setChanged(false);
                m_keeper.touch();
                m_add->show();
            }
            m_saves.answered();
            m_wanted = stored->id;
            m_find->select(stored->id);
            if (then && hasUnsavedText())
                saveText(then);
            else if (then)
                then();
        },
        LibraryClient::Changes::Library);
}

void TextLibrary::settle(const std::function<void()>& then) {
    if (!hasUnsavedText()) {
        then();
        return;
    }
    switch (m_prompts.unsavedSong(m_editor->text()->title)) {
    case Prompts::Unsaved::Save:
        saveText(then);
        break;
    case Prompts::Unsaved::GiveUp:
        show(std::nullopt);
        then();
        break;
    case Prompts::Unsaved::Cancel:
        break;
    }
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
        },
        LibraryClient::Changes::Library);
}

void TextLibrary::sendOut() {
    const auto text = m_editor->text();
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

void TextLibrary::putInBin() {
    if (!m_stored)
        return;
    const SpokenText gone = *m_stored;
    if (gone.revision == 0) {
        show(std::nullopt);
        return;
    }
    m_session.library().ask<void>(
        this, [id = gone.id](Library& library) { return library.texts().putInBin(id); },
        [this, gone](const Result<void>& done) {
            if (!done) {
                Q_EMIT m_session.problem(done.error());
                return;
            }
            show(std::nullopt);
            Q_EMIT m_session.notice(
                tr("\u201c%1\u201d is in the bin; it can be restored from there.").arg(gone.title));
        },
        LibraryClient::Changes::Library);
}

void TextLibrary::fillBin(QMenu* menu) {
    menu->clear();
    menu->addAction(tr("Looking\u2026"))->setEnabled(false);
    m_session.library().ask<std::vector<TextSummary>>(
        this, [](Library& library) { return library.texts().bin(); },
        [this, menu](const Result<std::vector<TextSummary>>& bin) {
            menu->clear();
            if (!bin || bin->empty()) {
                menu->addAction(tr("The bin is empty"))->setEnabled(false);
                return;
            }
            for (const TextSummary& gone : *bin)
                menu->addAction(tr("Restore \u201c%1\u201d").arg(gone.title), this, [this, id = gone.id] {
                    m_session.library().ask<void>(
                        this, [id](Library& library) { return library.texts().takeFromBin(id); },
                        [this, id](const Result<void>& done) {
                            if (done)
                                showText(id);
                            else
                                Q_EMIT m_session.problem(done.error());
                        },
                        LibraryClient::Changes::Library);
                });
            menu->addSeparator();
            menu->addAction(tr("Empty the bin\u2026"), this, [this, count = int(bin->size())] {
                if (m_prompts.removeForGood(tr("%n texts", nullptr, count)))
                    m_session.library().ask<int>(
                        this, [](Library& library) { return library.texts().emptyBin(); },
                        [this](const Result<int>& done) {
                            if (!done)
                                Q_EMIT m_session.problem(done.error());
                        });
            });
        });
}

void TextLibrary::showHistory() {
    if (const auto text = m_editor->text()) {
        m_pages->setCurrentIndex(1);
        m_history->setText(*text);
    }
}

void TextLibrary::undo() {
    if (m_pages->currentIndex() == 0)
        m_editor->undo();
}

void TextLibrary::redo() {
    if (m_pages->currentIndex() == 0)
        m_editor->redo();
}

} // namespace mivanta
