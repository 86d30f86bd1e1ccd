// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ImportReview.h"
#include "desk/find/FindList.h"
#include "desk/kit/Columns.h"
#include "desk/kit/CompareView.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QListView>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>

namespace mivanta {

namespace {

struct DecisionKey {
    ImportDecision decision;
    Qt::Key key;
    const char* name;
    const char* tip;
};
constexpr DecisionKey kDecisions[]{
    {ImportDecision::Add, Qt::Key_A, "decide-add",
     QT_TRANSLATE_NOOP("ImportReview", "As a song of its own (A)")},
    {ImportDecision::Replace, Qt::Key_R, "decide-replace",
     QT_TRANSLATE_NOOP(
         "ImportReview",
         "The library\u2019s song becomes as the file has it; its earlier version is kept (R)")},
    {ImportDecision::MergeDetails, Qt::Key_M, "decide-merge",
     QT_TRANSLATE_NOOP(
         "ImportReview",
         "The library\u2019s song keeps its words and gets the titles, authors, numbers and topics "
         "that only the file has (M)")},
    {ImportDecision::LeaveOut, Qt::Key_L, "decide-leave",
     QT_TRANSLATE_NOOP("ImportReview", "The library stays as it is (L)")}};

} // namespace

ImportReview::ImportReview(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("import-review"));
    m_model = new ImportModel(this);
    m_list = new QListView(this);
    m_list->setObjectName(QStringLiteral("import-list"));
    m_list->setAccessibleName(tr("Songs that were read"));
    m_list->setModel(m_model);
    m_list->setItemDelegate(new FindDelegate(m_list));
    m_list->setUniformItemSizes(true);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->installEventFilter(this);
    connect(m_list->selectionModel(), &QItemSelectionModel::currentChanged, this, &ImportReview::showRow);
    connect(m_model, &ImportModel::dataChanged, this, [this] {
        showRow();
        showCounts();
    });
    m_heading = new QLabel(this);
    m_heading->setObjectName(QStringLiteral("import-heading"));
    m_heading->setFont(textFont(1.5, TextWeight::Bold));
    m_counts = new QLabel(this);
    m_counts->setObjectName(QStringLiteral("import-counts"));
    makeQuiet(m_counts);
    m_finding = new QLabel(this);
    m_finding->setObjectName(QStringLiteral("import-finding"));
    m_finding->setFont(textFont(1.15, TextWeight::Bold));
    m_finding->setWordWrap(true);
    m_warnings = new QLabel(this);
    m_warnings->setObjectName(QStringLiteral("import-warnings"));
    m_warnings->setWordWrap(true);
    m_warnings->setStyleSheet(QStringLiteral("color: %1").arg(day().marker.darker(140).name()));
    m_words = new CompareView(this);

    auto* left = new QVBoxLayout;
    left->setSpacing(spaced(2));
    left->addWidget(m_list, 1);
    auto* right = new QVBoxLayout;
    right->setSpacing(spaced(2));
    right->addWidget(m_finding);
    right->addWidget(m_warnings);
    right->addWidget(buildDecisions());
    right->addWidget(m_words, 1);
    auto* both = new QHBoxLayout;
    both->setSpacing(spaced(4));
    both->addLayout(left, 5);
    both->addLayout(right, 12);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(5), spaced(4), spaced(5), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_heading);
    column->addWidget(m_counts);
    column->addLayout(both, 1);
    column->addWidget(buildFoot());
}

QWidget* ImportReview::buildDecisions() {
    auto* widget = new QWidget(this);
    auto* buttons = new QHBoxLayout(widget);
    buttons->setContentsMargins(0, 0, 0, 0);
    for (const DecisionKey& choice : kDecisions) {
        auto* button = new QPushButton(widget);
        button->setObjectName(QLatin1String(choice.name));
        button->setCheckable(true);
        button->setProperty("choice", true);
        button->setToolTip(tr(choice.tip));
        connect(button, &QPushButton::clicked, this, [this, choice] { decide(choice.decision); });
        buttons->addWidget(button);
        m_decisions.emplace_back(choice.decision, button);
    }
    m_allLike = new QPushButton(tr("The same for all like this"), widget);
    m_allLike->setObjectName(QStringLiteral("decide-all-like"));
    m_allLike->setToolTip(
        tr("Every song of this kind that is still to decide gets what is chosen here (Shift with the key)"));
    connect(m_allLike, &QPushButton::clicked, this, [this] {
        if (const auto* at = m_model->candidate(row()))
            m_model->decideAllLike(row(), at->decision);
    });
    buttons->addSpacing(spaced(4));
    buttons->addWidget(m_allLike);
    buttons->addStretch(1);
    return widget;
}

QWidget* ImportReview::buildFoot() {
    auto* widget = new QWidget(this);
    auto* row = new QHBoxLayout(widget);
    row->setContentsMargins(0, 0, 0, 0);
    auto* giveUp = new QPushButton(tr("Cancel"), widget);
    giveUp->setObjectName(QStringLiteral("import-give-up"));
    giveUp->setToolTip(tr("Nothing is added; the library stays as it is"));
    connect(giveUp, &QPushButton::clicked, this, [this] {
        m_model->setCandidates({});
        Q_EMIT givenUp();
    });
    auto* wait = new QPushButton(tr("Later"), widget);
    wait->setObjectName(QStringLiteral("import-later"));
    wait->setToolTip(tr("Back to the songs; what was read waits (Esc)"));
    connect(wait, &QPushButton::clicked, this, &ImportReview::later);
    auto* escape = new QShortcut(Qt::Key_Escape, this, wait, &QPushButton::click);
    escape->setContext(Qt::WidgetWithChildrenShortcut);
    m_bringIn = new QPushButton(widget);
    m_bringIn->setObjectName(QStringLiteral("import-bring-in"));
    m_bringIn->setProperty("main", true);
    m_bringIn->setToolTip(tr("Add to the library what you decided (Ctrl+Enter)"));
    for (const auto key : {Qt::Key_Return, Qt::Key_Enter}) {
        auto* go =
            new QShortcut(QKeySequence(Qt::ControlModifier | key), this, m_bringIn, &QPushButton::click);
        go->setContext(Qt::WidgetWithChildrenShortcut);
    }
    connect(m_bringIn, &QPushButton::clicked, this, [this] { Q_EMIT decided(m_model->takeCandidates()); });
    row->addWidget(giveUp);
    row->addWidget(wait);
    row->addStretch(1);
    row->addWidget(m_bringIn);
    return widget;
}

void ImportReview::setCandidates(std::vector<ImportCandidate> candidates, bool stopped) {
    m_stopped = stopped;
    m_model->setCandidates(std::move(candidates));
    m_list->setCurrentIndex(m_model->index(0));
    showRow();
    showCounts();
}

void ImportReview::focusList() {
    m_list->setFocus();
}

int ImportReview::row() const {
    return m_list->currentIndex().row();
}

void ImportReview::decide(ImportDecision decision) {
    const bool wasToDecide = m_model->isToDecide(row());
    m_model->decide(row(), decision);
    if (const int next = m_model->nextToDecide(row()); wasToDecide && next >= 0)
        m_list->setCurrentIndex(m_model->index(next));
    showRow();
}

void ImportReview::showRow() {
    const ImportCandidate* at = m_model->candidate(row());
    const auto choices = at ? ImportModel::choicesOf(*at) : std::vector<ImportDecision>();
    for (const auto& [choice, button] : m_decisions) {
        const ImportDecision decision = choice;
        button->setVisible(std::find(choices.begin(), choices.end(), decision) != choices.end());
        button->setChecked(at && at->decision == decision && !m_model->isToDecide(row()));
        const auto key = std::find_if(std::begin(kDecisions), std::end(kDecisions),
                                      [&](const DecisionKey& k) { return k.decision == decision; });
        if (at)
            button->setText(
                QStringLiteral("%1  %2").arg(decisionText(*at, decision), QKeySequence(key->key).toString()));
    }
    m_allLike->setVisible(at && isDoubtful(at->finding) && m_model->count(at->finding) > 1);
    m_allLike->setEnabled(at && !m_model->isToDecide(row()));
    if (!at) {
        m_finding->clear();
        m_warnings->hide();
        m_words->showNothing();
        return;
    }
    const bool isSong = at->finding != ImportFinding::Unreadable;
    m_finding->setText(isSong ? tr("\u201c%1\u201d: %2").arg(at->song.title, findingText(*at))
                              : tr("%1 could not be read").arg(at->file.section(u'/', -1)));
    QStringList warnings;
    if (!isSong)
        warnings << at->problem;
    for (const ReadWarning& warning : at->warnings)
        warnings << tr("Line %1: %2").arg(warning.line).arg(warning.text);
    constexpr qsizetype kMostTold = 4;
    const qsizetype more = warnings.size() - kMostTold;
    m_warnings->setText(warnings.mid(0, kMostTold).join(u'\n') +
                        (more > 0 ? u'\n' + tr("and %n more", nullptr, int(more)) : QString()));
    m_warnings->setVisible(!warnings.isEmpty());
    const QString file = tr("In the file %1").arg(at->file.section(u'/', -1));
    if (!isSong)
        m_words->showNothing();
    else if (at->other && at->finding != ImportFinding::Same && at->finding != ImportFinding::InBin)
        m_words->showTwo(*at->other, at->otherIsStored ? tr("In the library") : tr("Earlier in these"),
                         at->song, file);
    else
        m_words->showOne(at->song, file);
}

void ImportReview::showCounts() {
    const auto songs = m_model->rowCount() - m_model->count(ImportFinding::Unreadable);
    m_heading->setText(tr("%n songs were read", nullptr, int(songs)));
    QStringList facts;
    const auto fact = [&](int count, const char* text) {
        if (count > 0)
            facts << tr(text, nullptr, count);
    };
    const int doubtful = m_model->count(ImportFinding::SameWords) + m_model->count(ImportFinding::SameTitle) +
                         m_model->count(ImportFinding::BothChanged);
    fact(m_model->count(ImportFinding::New), QT_TR_N_NOOP("%n new"));
    fact(doubtful, QT_TR_N_NOOP("%n like another song"));
    fact(m_model->count(ImportFinding::NewerFile), QT_TR_N_NOOP("%n newer than the library"));
    fact(m_model->count(ImportFinding::InBin), QT_TR_N_NOOP("%n from the bin"));
    fact(m_model->count(ImportFinding::Same), QT_TR_N_NOOP("%n already there"));
    fact(m_model->count(ImportFinding::Unreadable), QT_TR_N_NOOP("%n could not be read"));
    if (m_stopped)
        facts << tr("stopped before the end");
    m_counts->setText(facts.join(QStringLiteral(" \u00b7 ")));
    const int in = m_model->comingIn();
    const int open = m_model->toDecide();
    const QString text = tr("Bring in %n songs", nullptr, in);
    m_bringIn->setText(open > 0 ? tr("%1 \u00b7 %n undecided stay out", nullptr, open).arg(text) : text);
}

bool ImportReview::decideByKey(const QKeyEvent& key) {
    if (key.modifiers() & ~Qt::ShiftModifier)
        return false;
    for (const DecisionKey& choice : kDecisions)
        if (key.key() == choice.key) {
            if (key.modifiers() & Qt::ShiftModifier)
                m_model->decideAllLike(row(), choice.decision);
            else
                decide(choice.decision);
            return true;
        }
    return false;
}

bool ImportReview::eventFilter(QObject* watched, QEvent* event) {
    // The list would take letters for the beginning of a title.
    if (watched == m_list && event->type() == QEvent::KeyPress)
        return decideByKey(*static_cast<QKeyEvent*>(event));
    return QWidget::eventFilter(watched, event);
}

void ImportReview::keyPressEvent(QKeyEvent* event) {
    if (!decideByKey(*event))
        QWidget::keyPressEvent(event);
}

} // namespace mivanta

#include "moc_ImportReview.cpp"
