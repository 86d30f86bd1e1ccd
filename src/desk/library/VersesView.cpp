// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/VersesView.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

VersesView::VersesView(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    m_book = new QComboBox(this);
    m_book->setObjectName(QStringLiteral("verses-book"));
    m_book->setAccessibleName(tr("Book"));
    m_book->setToolTip(tr("The book to read"));
    m_chapter = new QComboBox(this);
    m_chapter->setObjectName(QStringLiteral("verses-chapter"));
    m_chapter->setAccessibleName(tr("Chapter"));
    m_chapter->setToolTip(tr("The chapter to read"));
    const auto arrow = [this](const QString& name, const QString& text, const QString& tip, int by) {
        auto* button = new QToolButton(this);
        button->setObjectName(name);
        button->setText(text);
        button->setToolTip(tip);
        button->setAccessibleName(tip);
        connect(button, &QToolButton::clicked, this, [this, by] { turn(by); });
        return button;
    };
    m_list = new QListWidget(this);
    m_list->setObjectName(QStringLiteral("verses"));
    m_list->setAccessibleName(tr("Verses"));
    m_list->setToolTip(tr("Choose verses with the mouse or with Shift and the arrow keys; Enter adds them"));
    m_list->setWordWrap(true);
    m_list->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    m_list->setFont(textFont(1.05));
    m_empty = new QLabel(this);
    m_empty->setWordWrap(true);
    m_empty->setAlignment(Qt::AlignTop);
    makeQuiet(m_empty);
    auto* row = new QHBoxLayout;
    row->addWidget(m_book, 1);
    row->addWidget(m_chapter);
    row->addWidget(
        arrow(QStringLiteral("chapter-back"), QStringLiteral("\u2039"), tr("The chapter before"), -1));
    row->addWidget(arrow(QStringLiteral("chapter-on"), QStringLiteral("\u203a"), tr("The next chapter"), 1));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addLayout(row);
    column->addWidget(m_empty);
    column->addWidget(m_list, 1);
    connect(m_book, &QComboBox::activated, this, &VersesView::bookChosen);
    connect(m_chapter, &QComboBox::activated, this, &VersesView::load);
    connect(m_list, &QListWidget::itemSelectionChanged, this, &VersesView::versesChosen);
    connect(m_list, &QListWidget::itemActivated, this, &VersesView::wanted);
}

void VersesView::setTranslation(const std::optional<Translation>& translation) {
    const QString book = m_book->currentData().toString();
    const int chapter = m_chapter->currentData().toInt();
    m_translation = translation;
    if (!translation) {
        m_outline = {};
        m_book->clear();
        m_chapter->clear();
        fill({});
        return;
    }
    m_session.library().ask<Outline>(
        this, [id = translation->id](Library& library) { return library.scripture().outline(id); },
        [this, id = translation->id, book, chapter](Result<Outline> outline) {
            if (!outline || !m_translation || !(m_translation->id == id))
                return;
            m_outline = std::move(*outline);
            m_book->clear();
            for (const OutlineBook& each : m_outline.books)
                m_book->addItem(each.name, each.code.text());
            m_book->setCurrentIndex(std::max(0, m_book->findData(book)));
            showChapters();
            m_chapter->setCurrentIndex(std::max(0, m_chapter->findData(chapter)));
            if (m_toChoose)
                showReference(Reference(*m_toChoose));
            else
                load();
        });
}

void VersesView::showChapters() {
    m_chapter->clear();
    const auto code = BookCode::fromText(m_book->currentData().toString());
    if (const OutlineBook* book = code ? m_outline.book(*code) : nullptr)
        for (const OutlineChapter& chapter : book->chapters)
            m_chapter->addItem(QString::number(chapter.number), chapter.number);
}

void VersesView::bookChosen() {
    showChapters();
    load();
}

void VersesView::turn(int by) {
    const int chapter = m_chapter->currentIndex() + by;
    if (chapter >= 0 && chapter < m_chapter->count()) {
        m_chapter->setCurrentIndex(chapter);
    } else if (const int book = m_book->currentIndex() + by; book >= 0 && book < m_book->count()) {
        m_book->setCurrentIndex(book);
        showChapters();
        m_chapter->setCurrentIndex(by > 0 ? 0 : m_chapter->count() - 1);
    }
    load();
}

void VersesView::showReference(const Reference& reference) {
    m_toChoose = reference;
    if (reference.isEmpty() || m_outline.books.empty())
        return;
    const VerseRange& first = reference.ranges.front();
    const int book = m_book->findData(first.book.text());
    if (book < 0)
        return;
    m_book->setCurrentIndex(book);
    showChapters();
    m_chapter->setCurrentIndex(std::max(0, m_chapter->findData(first.from.chapter)));
    load();
}

void VersesView::showIn(const Translation& translation, const Reference& reference) {
    if (!m_translation || !(m_translation->id == translation.id))
        setTranslation(translation);
    else if (!m_outline.books.empty()) {
        showReference(reference);
        return;
    }
    m_toChoose = reference; // once its outline is there
}

void VersesView::load() {
    const auto book = BookCode::fromText(m_book->currentData().toString());
    const int chapter = m_chapter->currentData().toInt();
    if (!m_translation || !book)
        return;
    m_session.library().ask<std::vector<Verse>>(
        this,
        [id = m_translation->id, book = *book, chapter](Library& library) {
            return library.scripture().chapters(id, book, chapter, chapter);
        },
        [this, id = m_translation->id, book = *book, chapter](const Result<std::vector<Verse>>& verses) {
            if (!verses)
                Q_EMIT m_session.problem(verses.error());
            else if (m_translation && m_translation->id == id &&
                     m_book->currentData().toString() == book.text() &&
                     m_chapter->currentData().toInt() == chapter)
                fill(*verses);
        });
}

void VersesView::fill(const std::vector<Verse>& verses) {
    m_verses = verses;
    QSignalBlocker quiet(m_list); // no person chooses
    m_list->clear();
    QListWidgetItem* first = nullptr;
    for (const Verse& verse : verses) {
        auto* item = new QListWidgetItem(verse.numberText() + QStringLiteral("  ") + verse.words(), m_list);
        const bool isChosen = m_toChoose && std::any_of(m_toChoose->ranges.begin(), m_toChoose->ranges.end(),
                                                        [&](const VerseRange& range) {
                                                            return !versesIn(range, {verse}).empty();
                                                        });
        item->setSelected(isChosen);
        if (isChosen && !first)
            first = item;
    }
    m_toChoose.reset();
    if (first) {
        m_list->setCurrentItem(first, QItemSelectionModel::NoUpdate);
        m_list->scrollToItem(first,
                             QAbstractItemView::PositionAtCenter); // what stands before it is seen, too
    }
    quiet.unblock();
    m_empty->setText(m_translation ? QString() : tr("Bring in a translation to read it here."));
    m_empty->setVisible(!m_translation);
    Q_EMIT filled();
}

Reference VersesView::chosen() const {
    std::vector<VerseRange> ranges;
    for (int row = 0; row < m_list->count() && row < int(m_verses.size()); ++row)
        if (m_list->item(row)->isSelected()) {
            const Verse& verse = m_verses[size_t(row)];
            ranges.push_back(
                {verse.book, {verse.chapter, verse.number, 0}, {verse.chapter, verse.lastNumber, 0}});
        }
    return joined(std::move(ranges), m_outline);
}

} // namespace mivanta

#include "moc_VersesView.cpp"
