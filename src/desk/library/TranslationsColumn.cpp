// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TranslationsColumn.h"
#include "desk/kit/BinMenu.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/library/ScriptureReview.h"
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QProgressBar>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kIdRole = Qt::UserRole;

} // namespace

TranslationsColumn::TranslationsColumn(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    m_heading = headingOf(tr("Translations"), this);
    m_empty =
        new QLabel(tr("No scripture yet. Bring in a translation as USFM or OSIS files, or as text with a "
                      "verse a line."),
                   this);
    m_empty->setWordWrap(true);
    makeQuiet(m_empty);
    m_list = new QListWidget(this);
    m_list->setObjectName(QStringLiteral("translation-list"));
    m_list->setAccessibleName(tr("Translations"));
    m_list->setToolTip(tr("The translations of this library; the usual one is marked"));
    QVBoxLayout* column = sideRows(this, 66);
    column->addWidget(m_heading);
    column->addWidget(m_empty);
    column->addWidget(m_list, 1);
    column->addWidget(buildDetails());
    column->addWidget(buildProgress());
    column->addWidget(buildButtons());
    connect(m_list, &QListWidget::currentRowChanged, this, [this] {
        showDetails();
        Q_EMIT currentChanged();
    });
    connect(&m_session.library(), &LibraryClient::opened, this, &TranslationsColumn::refresh);
    connect(&m_session.library(), &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & LibraryPart::Scripture)
            refresh();
    });
    showDetails();
}

QWidget* TranslationsColumn::buildDetails() {
    m_details = new QWidget(this);
    auto* form = new QFormLayout(m_details);
    form->setContentsMargins(0, 0, 0, 0);
    form->setVerticalSpacing(spaced(1));
    const auto addLine = [&](const QString& name, const QString& label, const QString& tip) {
        auto* line = new QLineEdit(m_details);
        line->setObjectName(name);
        line->setAccessibleName(label);
        line->setToolTip(tip);
        connect(line, &QLineEdit::editingFinished, this, &TranslationsColumn::saveDetails);
        form->addRow(label, line);
        return line;
    };
    const auto addBox = [&](const QString& name, const QString& label, const QString& tip,
                            const QStringList& choices) {
        auto* box = new QComboBox(m_details);
        box->setObjectName(name);
        box->setAccessibleName(label);
        box->setToolTip(tip);
        box->addItems(choices);
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        connect(box, &QComboBox::activated, this, &TranslationsColumn::saveDetails);
        form->addRow(label, box);
        return box;
    };
    m_name = addLine(QStringLiteral("translation-name"), tr("Name"), tr("The translation's full name"));
    m_shortName = addLine(QStringLiteral("translation-short"), tr("Short name"),
                          tr("Stands behind references, and chooses the translation when it is typed there"));
    m_language = addLine(QStringLiteral("translation-language"), tr("Language"), tr("Such as en, de or fr"));
    m_copyright = addLine(QStringLiteral("translation-copyright"), tr("Copyright"),
                          tr("The line that the licence asks for on slides"));
    m_copyrightOn = addBox(QStringLiteral("translation-copyright-on"), tr("Shown"),
                           tr("The slides that show the copyright line"),
                           {tr("On every slide"), tr("On the last slide"), tr("On none")});
    m_numbering =
        addBox(QStringLiteral("translation-numbering"), tr("Numbering"),
               tr("How psalms and verses are counted, so that two translations stand side by side rightly"),
               {tr("As in English"), tr("As in Hebrew"), tr("Psalms as in Greek")});
    return m_details;
}

QWidget* TranslationsColumn::buildProgress() {
    m_progressRow = new QWidget(this);
    m_progress = new QProgressBar(m_progressRow);
    m_progress->setAccessibleName(tr("Bringing in a translation"));
    auto* stop = new QPushButton(tr("Stop"), m_progressRow);
    stop->setObjectName(QStringLiteral("scripture-stop"));
    stop->setToolTip(tr("Stop bringing in; nothing is changed then"));
    connect(stop, &QPushButton::clicked, &m_session.library(), &LibraryClient::cancelImport);
    auto* row = new QHBoxLayout(m_progressRow);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_progress, 1);
    row->addWidget(stop);
    m_progressRow->hide();
    connect(&m_session.library(), &LibraryClient::scriptureProgress, this, [this](int done, int total) {
        m_progressRow->show();
        m_progress->setMaximum(total);
        m_progress->setValue(done);
    });
    connect(&m_session.library(), &LibraryClient::scriptureBroughtIn, this, &TranslationsColumn::broughtIn);
    connect(&m_session.library(), &LibraryClient::scriptureToReview, this,
            [this](const std::shared_ptr<ScriptureText>& text) {
                m_progressRow->hide();
                auto* review = new ScriptureReview(text, this);
                connect(review, &ScriptureReview::agreed, this,
                        [this](const std::shared_ptr<ScriptureText>& agreed) {
                            m_progressRow->show();
                            m_session.library().storeScripture(agreed);
                        });
                review->open();
            });
    connect(&m_session.library(), &LibraryClient::scriptureRefused, this, [this](const Error& error) {
        m_progressRow->hide();
        Q_EMIT m_session.problem(error);
    });
    return m_progressRow;
}

QWidget* TranslationsColumn::buildButtons() {
    auto* in = new QMenu(this);
    in->addAction(tr("A file, or a ZIP file\u2026\tCtrl+I"), this, &TranslationsColumn::bringInFile);
    in->addAction(tr("A folder\u2026\tCtrl+Shift+I"), this, &TranslationsColumn::bringInFolder);
    auto* more = new QMenu(this);
    connect(more, &QMenu::aboutToShow, this, [this, more] { fillMenu(more); });
    auto* widget = new QWidget(this);
    auto* row = new QHBoxLayout(widget);
    row->setContentsMargins(0, 0, 0, 0);
    const auto addMenu = [&](const QString& name, const QString& text, const QString& tip, QMenu* menu) {
        auto* button = new QToolButton(widget);
        button->setObjectName(name);
        button->setText(text + QStringLiteral(" \u25be"));
        button->setToolTip(tip);
        button->setPopupMode(QToolButton::InstantPopup);
        button->setMenu(menu);
        row->addWidget(button);
    };
    addMenu(QStringLiteral("bring-in-scripture"), tr("Bring in"),
            tr("Bring in a translation: USFM, OSIS, or text with a verse a line"), in);
    row->addStretch(1);
    addMenu(QStringLiteral("translation-more"), tr("More"),
            tr("Make it the usual one, remove it, restore one"), more);
    return widget;
}

void TranslationsColumn::refresh() {
    m_session.library().ask<std::vector<TranslationSummary>>(
        this, [](Library& library) { return library.scripture().translations(); },
        [this](Result<std::vector<TranslationSummary>> all) {
            if (all) {
                fill(std::move(*all));
                Q_EMIT listed();
            } else {
                Q_EMIT m_session.problem(all.error());
            }
        });
}

void TranslationsColumn::fill(std::vector<TranslationSummary> all) {
    const auto before = current();
    const TranslationId wanted = !m_toSelect.isNull() ? m_toSelect : before ? before->id : TranslationId();
    m_toSelect = {};
    m_all = std::move(all);
    QSignalBlocker quiet(m_list);
    m_list->clear();
    int row = 0;
    for (size_t i = 0; i < m_all.size(); ++i) {
        const TranslationSummary& summary = m_all[i];
        const QString books = tr("%n books", nullptr, int(summary.books));
        const QString verses = tr("%n verses", nullptr, int(summary.verses));
        const QString second =
            (summary.isUsual ? tr("%1, %2 \u00b7 the usual one") : tr("%1, %2", "books, verses"))
                .arg(books, verses);
        auto* item =
            new QListWidgetItem(QStringLiteral("%1 \u00b7 %2\n%3")
                                    .arg(summary.translation.shortName, summary.translation.name, second),
                                m_list);
        item->setData(kIdRole, summary.translation.id.text());
        if (summary.translation.id == wanted)
            row = int(i);
    }
    m_list->setCurrentRow(m_all.empty() ? -1 : row);
    quiet.unblock();
    m_heading->setText(tr("Translations %1").arg(m_all.size()));
    m_empty->setVisible(m_all.empty());
    m_list->setVisible(!m_all.empty());
    showDetails();
    Q_EMIT currentChanged();
}

std::optional<Translation> TranslationsColumn::current() const {
    const int row = m_list->currentRow();
    return row >= 0 && row < int(m_all.size()) ? std::optional(m_all[size_t(row)].translation) : std::nullopt;
}

void TranslationsColumn::select(const TranslationId& id) {
    for (size_t i = 0; i < m_all.size(); ++i)
        if (m_all[i].translation.id == id)
            m_list->setCurrentRow(int(i));
}

void TranslationsColumn::showDetails() {
    const auto shown = current();
    m_details->setVisible(shown.has_value());
    if (!shown)
        return;
    const auto show = [](QLineEdit* line, const QString& text) {
        if (line->text() != text) {
            line->setText(text);
            line->setCursorPosition(0);
        }
    };
    show(m_name, shown->name);
    show(m_shortName, shown->shortName);
    show(m_language, shown->language);
    show(m_copyright, shown->copyright);
    m_copyrightOn->setCurrentIndex(int(shown->copyrightOn));
    m_numbering->setCurrentIndex(int(shown->numbering));
}

void TranslationsColumn::saveDetails() {
    const auto before = current();
    if (!before)
        return;
    const Translation after{before->id,
                            m_name->text().trimmed(),
                            m_shortName->text().trimmed(),
                            m_language->text().trimmed(),
                            m_copyright->text().trimmed(),
                            CopyrightOn(m_copyrightOn->currentIndex()),
                            Numbering(m_numbering->currentIndex())};
    if (after == *before)
        return;
    m_session.library().ask<void>(
        this, [after](Library& library) { return library.scripture().setDetails(after); },
        [this](const Result<void>& saved) {
            if (saved)
                return;
            Q_EMIT m_session.problem(saved.error());
            showDetails(); // as they are still
        });
}

void TranslationsColumn::bringInFile() {
    if (const QString path = m_prompts.scriptureFileToImport(); !path.isEmpty())
        bringIn(path);
}

void TranslationsColumn::bringInFolder() {
    if (const QString path = m_prompts.scriptureFolderToImport(); !path.isEmpty())
        bringIn(path);
}

void TranslationsColumn::bringIn(const QString& path) {
    if (m_session.library().isImporting()) {
        Q_EMIT m_session.notice(
            tr("Something is being brought in already. Wait until it is done, or stop it."));
        return;
    }
    m_progress->setMaximum(0);
    m_progressRow->show();
    m_session.library().bringInScripture(path);
}

void TranslationsColumn::broughtIn(const BroughtIn& what) {
    m_progressRow->hide();
    m_toSelect = what.translation.id;
    QString said =
        tr("%1 is in the library as %2: %3, %4.")
            .arg(what.translation.name, what.translation.shortName, tr("%n books", nullptr, int(what.books)),
                 tr("%n verses", nullptr, int(what.verses)));
    if (!what.warnings.empty()) {
        const ScriptureWarning& first = what.warnings.front();
        said += u' ' + tr("%n places were read another way than written, the first: %1, line %2: %3.",
                          nullptr, int(what.warnings.size()))
                           .arg(first.file.section(u'/', -1))
                           .arg(first.line)
                           .arg(first.text);
    }
    Q_EMIT m_session.notice(said);
}

void TranslationsColumn::putInBin() {
    const auto gone = current();
    if (!gone)
        return;
    m_session.library().ask<void>(
        this, [id = gone->id](Library& library) { return library.scripture().putInBin(id); },
        [this, gone](const Result<void>& done) {
            if (done)
                Q_EMIT m_session.notice(tr("%1 is in the bin; More \u25be restores it.").arg(gone->name));
            else
                Q_EMIT m_session.problem(done.error());
        });
}

void TranslationsColumn::fillMenu(QMenu* menu) {
    menu->clear();
    const auto chosen = current();
    if (chosen) {
        menu->addAction(tr("Make %1 the usual one").arg(chosen->shortName), this, [this, id = chosen->id] {
            m_session.library().ask<void>(
                this, [id](Library& library) { return library.scripture().setUsual(id); },
                [this](const Result<void>& done) {
                    if (!done)
                        Q_EMIT m_session.problem(done.error());
                });
        });
        menu->addAction(tr("Remove %1").arg(chosen->shortName), this, &TranslationsColumn::putInBin);
    }
    menu->addSeparator();
    addBin<Translation>(menu, m_session, m_prompts, [this](const TranslationId& id) { m_toSelect = id; });
}

} // namespace mivanta

#include "moc_TranslationsColumn.cpp"
