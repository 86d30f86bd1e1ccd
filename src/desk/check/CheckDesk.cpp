// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/CheckDesk.h"
#include "desk/check/DifferencesPanel.h"
#include "desk/check/LoopFindings.h"
#include "desk/check/MediaFindings.h"
#include "desk/check/MissingPanel.h"
#include "desk/kit/Columns.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QLayoutItem>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QColor colourOf(Severity severity) {
    switch (severity) {
    case Severity::Blocks:
        return day().warning;
    case Severity::Doubt:
        return day().marker;
    case Severity::Note:
        break;
    }
    return day().quiet;
}

QString wordOf(Severity severity) {
    switch (severity) {
    case Severity::Blocks:
        return CheckDesk::tr("Mend this");
    case Severity::Doubt:
        return CheckDesk::tr("Look at this");
    case Severity::Note:
        break;
    }
    return CheckDesk::tr("Good to know");
}

} // namespace

CheckDesk::CheckDesk(Session& session, Prompts& prompts, QWidget* parent)
    : QScrollArea(parent),
      m_session(session) {
    setObjectName(QStringLiteral("check-desk"));
    setWidgetResizable(true);
    auto* content = new QWidget(this);
    m_summary = new QLabel(content);
    m_summary->setObjectName(QStringLiteral("check-summary"));
    m_summary->setFont(textFont(1.5, TextWeight::Bold));
    m_summary->setWordWrap(true);
    m_missing = new MissingPanel(m_session, prompts, content);
    m_differences = new DifferencesPanel(m_session, content);
    m_rows = new QVBoxLayout;
    m_rows->setSpacing(spaced(2));
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(6), spaced(6), spaced(6), spaced(6));
    column->setSpacing(spaced(3));
    column->addWidget(m_summary);
    column->addWidget(m_missing);
    column->addWidget(m_differences);
    column->addLayout(m_rows);
    column->addStretch(1);
    setWidget(content);
    m_nothing = new EmptyState(
        tr("Nothing to check yet"),
        tr("When the service has items, this desk says what is better known before Sunday: words that "
           "nobody could read, files and fonts that are missing, screens that are not there."),
        this);
    m_nothing->addAction(QStringLiteral("empty-prepare"), tr("Put the service together (Alt+2)"),
                         tr("Go to the Prepare desk"), [this] { Q_EMIT prepareWanted(); });
    m_nothing->addAction(QStringLiteral("empty-check-open"), tr("Open a service\u2026 (Ctrl+O)"),
                         tr("A service file"), [this] { Q_EMIT openWanted(); });
    connect(&m_session.book(), &SlideBook::completed, this, [this] {
        m_fontFindings.look(m_session);
        look();
    });
    connect(&m_session.outputs(), &Outputs::placesChanged, this, &CheckDesk::look);
    connect(&m_session.readings(), &ServiceReadings::changed, this, &CheckDesk::look);
    connect(&m_session.missing(), &MissingFiles::changed, this, &CheckDesk::look);
    connect(&m_session.media(), &MediaBook::changed, this, &CheckDesk::look);
    connect(&m_session.filmLoads(), &FilmLoads::changed, this, &CheckDesk::look);
    connect(&m_session.differences(), &Differences::changed, this, &CheckDesk::look);
    connect(&m_session.liveInputs(), &LiveInputs::changed, this, &CheckDesk::look);
    connect(&m_session.liveInputs(), &LiveInputs::stateChanged, this, &CheckDesk::liveChanged);
    look();
}

void CheckDesk::showEvent(QShowEvent* event) {
    QScrollArea::showEvent(event);
    look();
}

void CheckDesk::hideEvent(QHideEvent* event) {
    QScrollArea::hideEvent(event);
    m_session.liveInputs().lookAt(objectName(), {});
}

/// They are open while the checks are looked at, so that those can say which of them have a picture.
void CheckDesk::lookAtLive() {
    std::vector<LiveInputId> inputs;
    for (const UsedLive& used : liveInputsOf(m_session))
        if (m_session.liveInputs().find(used.input))
            inputs.push_back(used.input);
    m_session.liveInputs().lookAt(objectName(), inputs);
}

void CheckDesk::liveChanged() {
    QStringList lost;
    for (const LiveInput& input : m_session.liveInputs().all())
        lost << m_session.liveInputs().lostSince(input.id);
    if (std::exchange(m_lost, lost) != lost)
        look();
}

std::vector<Finding> CheckDesk::screenFindings() const {
    std::vector<Finding> findings;
    const auto& outputs = m_session.outputs().all();
    const auto& placements = m_session.outputs().placements();
    for (size_t i = 0; i < outputs.size() && i < placements.size(); ++i)
        if (outputs[i].isInTheHall() && placements[i].kind != Placement::Kind::FullScreen)
            findings.push_back({Severity::Doubt,
                                {},
                                tr("%1 has no screen of its own").arg(outputs[i].label()),
                                tr("It is shown in a window on this computer. Plug the projector in, or "
                                   "choose a screen in Setup.")});
    return findings;
}

void CheckDesk::look() {
    if (!m_session.book().isComplete() && !isVisible())
        return; // completed() follows
    std::vector<Finding> findings = findingsOf(m_session.document().service(), m_session.book());
    for (const auto& more : {screenFindings(), readingFindings(m_session), mediaFindings(m_session),
                             loopFindings(m_session), m_fontFindings.all()})
        findings.insert(findings.end(), more.begin(), more.end());
    std::stable_sort(findings.begin(), findings.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    m_worrying = int(std::count_if(findings.begin(), findings.end(),
                                   [](const Finding& f) { return f.severity != Severity::Note; })) +
                 int(m_session.missing().all().size() + m_session.differences().all().size());
    Q_EMIT counted(m_worrying);
    if (!isVisible())
        return;
    lookAtLive();
    showSummary();
    if (!(m_shown && *m_shown == findings)) // rows keep the focus while contrasts come in
        show(findings);
}

void CheckDesk::showSummary() {
    m_nothing->setVisible(m_session.document().service().items.empty());
    if (m_session.book().itemCount() == 0)
        m_summary->setText(tr("Nothing to check yet: the service is empty."));
    else if (m_worrying > 0)
        m_summary->setText(tr("%n things to look at", nullptr, m_worrying));
    else
        m_summary->setText(tr("All is well with the words and the screens"));
}

void CheckDesk::show(const std::vector<Finding>& findings) {
    m_shown = findings;
    while (QLayoutItem* item = m_rows->takeAt(0)) {
        item->widget()->deleteLater();
        delete item;
    }
    for (const Finding& finding : findings)
        m_rows->addWidget(row(finding));
}

QWidget* CheckDesk::row(const Finding& finding) {
    auto* sheet = new QFrame(widget());
    sheet->setStyleSheet(
        QStringLiteral("QFrame { background: %1; border-left: 5px solid %2; } QLabel { border: none; }")
            .arg(day().sheet.name(), colourOf(finding.severity).name()));
    const Item* item = m_session.document().service().item(finding.item);
    QString name = item ? item->title() : QString();
    if (name.isRightToLeft()) // or the finding would read from the right, too
        name = QStringLiteral("\u200e\u2068%1\u2069").arg(name);
    auto* title =
        new QLabel(item ? QStringLiteral("%1 \u00b7 %2").arg(name, finding.title) : finding.title, sheet);
    title->setFont(textFont(1.05, TextWeight::Bold));
    auto* detail = new QLabel(finding.detail, sheet);
    detail->setWordWrap(true);
    auto* kind = new QLabel(wordOf(finding.severity), sheet);
    makeQuiet(kind);
    auto* words = new QVBoxLayout;
    words->addWidget(title);
    words->addWidget(detail);
    auto* line = new QHBoxLayout(sheet);
    line->setContentsMargins(spaced(4), spaced(2), spaced(3), spaced(2));
    line->addLayout(words, 1);
    line->addWidget(kind);
    if (item) {
        auto* button = new QPushButton(tr("Show it"), sheet);
        button->setToolTip(tr("Go to this item on the Prepare desk"));
        button->setAccessibleName(tr("Show %1").arg(item->title()));
        connect(button, &QPushButton::clicked, this, [this, id = finding.item] { Q_EMIT showItem(id); });
        line->addWidget(button);
    }
    return sheet;
}

} // namespace mivanta

#include "moc_CheckDesk.cpp"
