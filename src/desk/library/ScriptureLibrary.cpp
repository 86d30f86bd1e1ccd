// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ScriptureLibrary.h"
#include "desk/find/ReferenceHelp.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/LayoutForm.h"
#include "desk/kit/Style.h"
#include "desk/library/TranslationsColumn.h"
#include "desk/library/VersesView.h"
#include "desk/song/WordsPreview.h"
#include "store/UsualLayout.h"
#include <QComboBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kMost = 200; // verses that are listed
}

ScriptureLibrary::ScriptureLibrary(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session) {
    setObjectName(QStringLiteral("scripture-library"));
    m_translations = new TranslationsColumn(m_session, tools.prompts, this);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(m_translations, 5);
    auto* middle = buildMiddle();
    row->addWidget(middle, 10);
    m_nothing = new EmptyState(
        tr("No scripture yet"),
        tr("A translation comes from USFM or OSIS files, or from text with a verse a line; from a "
           "file, a folder or a ZIP file."),
        middle);
    m_nothing->addAction(QStringLiteral("empty-bring-in-scripture"), tr("Bring in a file\u2026 (Ctrl+I)"),
                         tr("One file, or a ZIP file"), [this] { bringInFile(); });
    m_nothing->addAction(QStringLiteral("empty-bring-in-scripture-folder"),
                         tr("Bring in a folder\u2026 (Ctrl+Shift+I)"), tr("A file for each book"),
                         [this] { bringInFolder(); });
    connect(m_translations, &TranslationsColumn::listed, this,
            [this] { m_nothing->setVisible(m_translations->all().empty()); });
    row->addWidget(buildSide(tools.thumbnails), 5);
    connect(m_translations, &TranslationsColumn::currentChanged, this, [this] {
        m_verses->setTranslation(m_translations->current());
        find();
    });
    connect(m_verses, &VersesView::versesChosen, this, [this] {
        m_isTyped = false;
        showChosen();
    });
    connect(m_verses, &VersesView::filled, this, &ScriptureLibrary::showChosen);
    connect(m_verses, &VersesView::wanted, this, &ScriptureLibrary::addChosen);
    connect(&m_session.book(), &SlideBook::changed, m_preview, &WordsPreview::refresh);
    const auto loadLayout = [this] {
        m_session.library().ask<PassageLayout>(
            this, [](Library& library) -> Result<PassageLayout> { return loadUsualLayout(library.folder()); },
            [this](const Result<PassageLayout>& layout) {
                m_layout->setLayoutShown(layout.value_or(PassageLayout()));
                showChosen();
            });
    };
    connect(&m_session.library(), &LibraryClient::opened, this, loadLayout);
    connect(m_layout, &LayoutForm::changed, this, [this] {
        m_layout->setLayoutShown(m_layout->layoutShown());
        m_session.library().ask<void>(
            this,
            [layout = m_layout->layoutShown()](Library& library) {
                return saveUsualLayout(library.folder(), layout);
            },
            [this](const Result<void>& saved) {
                if (!saved)
                    Q_EMIT m_session.problem(saved.error());
            });
        showChosen();
    });
}

QWidget* ScriptureLibrary::buildMiddle() {
    auto* middle = new QWidget(this);
    m_box = new QLineEdit(middle);
    m_box->setObjectName(QStringLiteral("scripture-find-box"));
    m_box->setPlaceholderText(tr("luk 5 1-11, or words\u2026"));
    m_box->setAccessibleName(tr("Find in scripture"));
    m_box->setToolTip(tr("A reference (Tab moves on in it), or words of a verse (Ctrl+F)"));
    m_box->setClearButtonEnabled(true);
    m_box->installEventFilter(this);
    const auto makeBox = [&](const QString& name, const QString& label, const QString& tip,
                             const QStringList& choices) {
        auto* box = new QComboBox(middle);
        box->setObjectName(name);
        box->setAccessibleName(label);
        box->setToolTip(tip);
        box->addItems(choices);
        connect(box, &QComboBox::activated, this, &ScriptureLibrary::find);
        return box;
    };
    m_scope = makeBox(QStringLiteral("scripture-scope"), tr("Where"), tr("Where words are looked for"),
                      {tr("This translation"), tr("All translations")});
    m_how = makeBox(QStringLiteral("scripture-how"), tr("How"), tr("How words have to stand in a verse"),
                    {tr("All words"), tr("The phrase"), tr("Near each other")}); // as WordSearch
    m_help = new ReferenceHelp(middle);
    m_help->setObjectName(QStringLiteral("scripture-help"));
    connect(m_help, &ReferenceHelp::otherWanted, m_box, &QLineEdit::setText);
    m_model = new FindListModel(this);
    m_list = new QListView(middle);
    m_list->setObjectName(QStringLiteral("scripture-results"));
    m_list->setAccessibleName(tr("Verses found"));
    m_list->setModel(m_model);
    m_list->setItemDelegate(new FindDelegate(m_list));
    m_list->setUniformItemSizes(true);
    m_list->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_list->setDragEnabled(true);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->hide();
    const auto makeButton = [&](const QString& name, const QString& text, const QString& tip) {
        auto* button = new QPushButton(text, middle);
        button->setObjectName(name);
        button->setToolTip(tip);
        button->hide();
        return button;
    };
    m_each = makeButton(QStringLiteral("scripture-add-each"), tr("Add each"),
                        tr("Every chosen verse becomes an item of its own (Enter)"));
    m_together = makeButton(QStringLiteral("scripture-add-together"), tr("Add as one passage"),
                            tr("The chosen verses become one item, in their order (Shift+Enter)"));
    m_verses = new VersesView(m_session, middle);
    auto* top = new QHBoxLayout;
    top->addWidget(m_box, 1);
    top->addWidget(m_how);
    top->addWidget(m_scope);
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    buttons->addWidget(m_each);
    buttons->addWidget(m_together);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(3));
    column->setSpacing(spaced(2));
    column->addLayout(top);
    column->addWidget(m_help);
    column->addWidget(m_list, 4);
    column->addLayout(buttons);
    column->addWidget(m_verses, 6);
    connect(m_box, &QLineEdit::textChanged, this, &ScriptureLibrary::find);
    connect(m_list->selectionModel(), &QItemSelectionModel::currentChanged, this,
            &ScriptureLibrary::currentHitChanged);
    connect(m_list, &QListView::activated, this, [this] { addHits(Adding::OneByOne); });
    connect(m_each, &QPushButton::clicked, this, [this] { addHits(Adding::OneByOne); });
    connect(m_together, &QPushButton::clicked, this, [this] { addHits(Adding::Together); });
    return middle;
}

QWidget* ScriptureLibrary::buildSide(ThumbnailStore& thumbnails) {
    auto* content = new QWidget(this);
    m_passage = new QLabel(content);
    m_passage->setObjectName(QStringLiteral("scripture-passage"));
    m_passage->setFont(textFont(1.2, TextWeight::Bold));
    m_passage->setWordWrap(true);
    m_preview = new WordsPreview(m_session.book(), thumbnails, content);
    auto* heading = headingOf(tr("How passages usually look"), content);
    m_layout = new LayoutForm(1, content);
    m_add = new QPushButton(tr("Add to the service"), content);
    m_add->setObjectName(QStringLiteral("scripture-add"));
    m_add->setProperty("main", true);
    m_add->setToolTip(tr("Put the chosen verses into the service order (Enter in the search box)"));
    connect(m_add, &QPushButton::clicked, this, &ScriptureLibrary::addChosen);
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_passage);
    column->addWidget(m_preview);
    column->addWidget(m_add, 0, Qt::AlignRight);
    column->addSpacing(spaced(2));
    column->addWidget(heading);
    column->addWidget(m_layout);
    column->addStretch(1);
    return columnOf(content, this);
}

void ScriptureLibrary::focusFind() {
    m_box->setFocus(Qt::ShortcutFocusReason);
    m_box->selectAll();
}

void ScriptureLibrary::showPassage(const PassagePick& pick) {
    m_box->clear();
    if (!pick.translations.empty())
        m_translations->select(pick.translations.front());
    m_verses->showReference(pick.reference);
}

void ScriptureLibrary::bringInFile() {
    m_translations->bringInFile();
}

void ScriptureLibrary::bringInFolder() {
    m_translations->bringInFolder();
}

void ScriptureLibrary::bringIn(const QStringList& paths) {
    if (paths.size() == 1)
        m_translations->bringIn(paths.front());
    else if (!paths.isEmpty())
        Q_EMIT m_session.notice(tr("Drop one file, ZIP or folder at a time: each is one translation."));
}

/// The query as a reference in the chosen translation, or else the verses that hold its words.
void ScriptureLibrary::find() {
    const auto translation = m_translations->current();
    const QString text = m_box->text().trimmed();
    const int mine = ++m_asked;
    if (!translation || text.isEmpty()) {
        found(FindResult());
        return;
    }
    const bool all = m_scope->currentIndex() == 1;
    m_session.library().ask<FindResult>(
        this,
        [text, t = *translation, all,
         how = WordSearch(m_how->currentIndex())](Library& library) -> Result<FindResult> {
            FindResult result;
            const auto outline = library.scripture().outline(t.id);
            if (!outline)
                return tl::unexpected(outline.error());
            result.understood = understandReference(text, *outline);
            if (result.understood.state == ReferenceState::Understood)
                return result;
            const auto verses = library.scripture().find(text, how, all ? TranslationId() : t.id, kMost);
            if (!verses)
                return tl::unexpected(verses.error());
            result.hits.assign(verses->begin(), verses->end());
            return result;
        },
        [this, mine](Result<FindResult> result) {
            if (mine == m_asked)
                found(std::move(result));
        });
}

void ScriptureLibrary::found(Result<FindResult> result) {
    m_understood = result ? result->understood : Understanding();
    m_isTyped = m_understood.state == ReferenceState::Understood;
    const int count = result ? int(result->hits.size()) : 0;
    QString more;
    if (count > 0)
        more = count >= kMost ? tr("%n verses found, and there are more", nullptr, kMost)
                              : tr("%n verses found", nullptr, count);
    else if (!m_box->text().trimmed().isEmpty() && m_understood.state == ReferenceState::NotOne)
        more = tr("No verse has these words. Try fewer of them.");
    if (result)
        m_help->showUnderstanding(m_understood, more);
    else
        m_help->showError(result.error());
    m_model->setHits(result ? std::move(result->hits) : std::vector<FindHit>());
    for (QWidget* widget : std::initializer_list<QWidget*>{m_list, m_each, m_together})
        widget->setVisible(count > 0);
    if (m_understood.state == ReferenceState::Understood)
        m_verses->showIn(*m_translations->current(), m_understood.reference);
    else if (count > 0)
        m_list->setCurrentIndex(m_model->index(0));
    showChosen();
}

/// The verse that was found stands among those before and behind it.
void ScriptureLibrary::currentHitChanged() {
    const FindHit* hit = m_model->hit(m_list->currentIndex());
    const auto* verse = hit ? std::get_if<VerseHit>(hit) : nullptr;
    if (!verse)
        return;
    for (const TranslationSummary& summary : m_translations->all())
        if (summary.translation.id == verse->translation)
            m_verses->showIn(summary.translation, std::get<PassagePick>(*pickOf(*hit)).reference);
}

std::vector<FindPick> ScriptureLibrary::chosenHits() const {
    std::vector<FindPick> picks;
    QModelIndexList chosen = m_list->selectionModel()->selectedIndexes();
    std::sort(chosen.begin(), chosen.end());
    for (const QModelIndex& index : chosen)
        if (const FindHit* hit = m_model->hit(index))
            picks.push_back(*pickOf(*hit));
    return picks;
}

void ScriptureLibrary::addHits(Adding adding) {
    const auto picks = chosenHits();
    if (picks.empty())
        return;
    if (adding == Adding::OneByOne) {
        Q_EMIT addToService(picks);
        return;
    }
    std::vector<VerseRange> ranges;
    const TranslationId translation = std::get<PassagePick>(picks.front()).translations.front();
    for (const FindPick& pick : picks)
        for (const VerseRange& range : std::get<PassagePick>(pick).reference.ranges)
            ranges.push_back(range);
    Q_EMIT addToService({PassagePick{{translation}, joined(std::move(ranges), m_verses->outline())}});
}

Reference ScriptureLibrary::reference() const {
    return m_isTyped ? m_understood.reference : m_verses->chosen();
}

void ScriptureLibrary::showChosen() {
    const auto translation = m_verses->translation();
    const Reference reference = this->reference();
    m_add->setEnabled(translation && !reference.isEmpty());
    if (!translation || reference.isEmpty()) {
        m_passage->setText(translation ? tr("No verses chosen") : QString());
        m_preview->setWords(std::nullopt, WordsPreview::Shows::Another);
        return;
    }
    m_passage->setText(referenceText(reference, m_verses->outline()));
    m_session.library().ask<Passage>(
        this,
        [id = translation->id, reference, layout = m_layout->layoutShown()](Library& library) {
            return library.scripture().passage({id}, reference, layout);
        },
        [this, reference](Result<Passage> passage) {
            if (!passage)
                return;
            m_passage->setText(passage->title());
            const ItemWords words(passageItem(std::move(*passage)));
            m_preview->setWords(words, WordsPreview::Shows::Another);
            if (m_isTyped)
                m_help->setSlideCount(m_session.book().slideCountOf(words));
        });
}

void ScriptureLibrary::addChosen() {
    const auto translation = m_verses->translation();
    const Reference reference = this->reference();
    if (translation && !reference.isEmpty())
        Q_EMIT addToService({PassagePick{{translation->id}, reference}});
}

bool ScriptureLibrary::eventFilter(QObject* watched, QEvent* event) {
    if (watched != m_box || event->type() != QEvent::KeyPress)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    switch (key->key()) {
    case Qt::Key_Return:
    case Qt::Key_Enter:
        if (m_understood.state == ReferenceState::Understood)
            addChosen();
        else
            addHits(key->modifiers() & Qt::ShiftModifier ? Adding::Together : Adding::OneByOne);
        return true;
    case Qt::Key_Tab:
        if (!m_understood.completed.isEmpty() && m_understood.completed != m_box->text()) {
            m_box->setText(m_understood.completed);
            return true;
        }
        break;
    case Qt::Key_Down:
    case Qt::Key_Up:
        if (m_model->rowCount() > 0) {
            const int row = m_list->currentIndex().row() + (key->key() == Qt::Key_Down ? 1 : -1);
            m_list->setCurrentIndex(m_model->index(std::clamp(row, 0, m_model->rowCount() - 1)));
            return true;
        }
        break;
    case Qt::Key_Escape:
        if (!m_box->text().isEmpty()) {
            m_box->clear();
            return true;
        }
        break;
    default:
        break;
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace mivanta

#include "moc_ScriptureLibrary.cpp"
