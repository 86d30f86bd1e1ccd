// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ScriptureReview.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kMostMissing = 200;

QListWidget* listOf(const QString& name, const QString& label, const QStringList& lines, QWidget* parent) {
    auto* list = new QListWidget(parent);
    list->setObjectName(name);
    list->setAccessibleName(label);
    list->addItems(lines);
    list->setWordWrap(true);
    list->setMaximumHeight(spaced(45));
    return list;
}

} // namespace

ScriptureReview::ScriptureReview(std::shared_ptr<ScriptureText> text, QWidget* parent)
    : QDialog(parent),
      m_text(std::move(text)) {
    setObjectName(QStringLiteral("scripture-review"));
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Not all of it can be read"));
    resize(spaced(150), spaced(120));
    auto* column = new QVBoxLayout(this);
    column->setSpacing(spaced(2));
    m_count = new QLabel(this);
    m_count->setObjectName(QStringLiteral("scripture-review-count"));
    m_count->setFont(textFont(1.2, TextWeight::Bold));
    m_count->setWordWrap(true);
    column->addWidget(m_count);
    fillNames(column);
    QStringList damaged;
    for (const ScriptureDamage& damage : m_text->damages)
        damaged << (damage.line > 0 ? tr("%1, line %2: %3")
                                          .arg(damage.file.section(u'/', -1))
                                          .arg(damage.line)
                                          .arg(damage.text)
                                    : tr("%1: %2").arg(damage.file.section(u'/', -1), damage.text));
    if (!damaged.isEmpty()) {
        column->addWidget(headingOf(tr("Left out: %1").arg(damaged.size()), this));
        column->addWidget(listOf(QStringLiteral("scripture-damages"), tr("Left out"), damaged, this));
    }
    if (const QStringList missing = m_text->missing(kMostMissing); !missing.isEmpty()) {
        column->addWidget(headingOf(tr("Not there, between what is"), this));
        column->addWidget(listOf(QStringLiteral("scripture-missing"), tr("Not there"), missing, this));
    }
    column->addStretch(1);
    auto* buttons = new QDialogButtonBox(this);
    m_take = buttons->addButton(tr("Bring in what can be read"), QDialogButtonBox::AcceptRole);
    m_take->setObjectName(QStringLiteral("scripture-review-take"));
    auto* cancel = buttons->addButton(QDialogButtonBox::Cancel);
    cancel->setToolTip(tr("Nothing is changed"));
    cancel->setDefault(true);
    connect(m_take, &QPushButton::clicked, this, &ScriptureReview::take);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    showCount();
}

void ScriptureReview::fillNames(QVBoxLayout* column) {
    if (m_text->unnamed.empty())
        return;
    column->addWidget(headingOf(tr("Which books are these?"), this));
    auto* form = new QFormLayout;
    for (const UnnamedBook& book : m_text->unnamed) {
        auto* box = new QComboBox(this);
        box->setObjectName(QStringLiteral("book-") + book.name);
        box->setAccessibleName(tr("The book that \u201c%1\u201d is").arg(book.name));
        box->addItem(tr("Leave it out"), QString());
        for (const KnownBook& known : knownBooks())
            if (std::none_of(m_text->books.begin(), m_text->books.end(),
                             [&](const ScriptureBook& there) { return there.code == known.code; }))
                box->addItem(known.name, known.code.text());
        connect(box, &QComboBox::currentIndexChanged, this, &ScriptureReview::showCount);
        form->addRow(tr("\u201c%1\u201d (line %2, %n verses)", nullptr, int(book.verses.size()))
                         .arg(book.name, QString::number(book.line)),
                     box);
        m_names.emplace_back(book.name, box);
    }
    column->addLayout(form);
}

void ScriptureReview::showCount() {
    int verses = m_text->verseCount();
    for (const auto& [name, box] : m_names)
        for (const UnnamedBook& book : m_text->unnamed)
            if (book.name == name && !box->currentData().toString().isEmpty())
                verses += int(book.verses.size());
    m_count->setText(tr("%1: %n verses can be read.", nullptr, verses).arg(m_text->details.name));
}

void ScriptureReview::take() {
    for (const auto& [name, box] : m_names)
        if (const auto code = BookCode::fromText(box->currentData().toString()))
            m_text->nameBook(name, *code); // two names for one book: the first one has it
    Q_EMIT agreed(m_text);
    accept();
}

} // namespace mivanta

#include "moc_ScriptureReview.cpp"
