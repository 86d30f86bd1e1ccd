// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/DifferencesPanel.h"
#include "core/base/Cases.h"
#include "desk/kit/Columns.h"
#include "desk/kit/CompareView.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QLayoutItem>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr size_t kMostRows = 30; // nobody reads more of them

QString detailOf(const LibraryDifference& difference) {
    if (difference.there)
        return std::visit(Cases{[](const std::shared_ptr<const Song>&) {
                                    return DifferencesPanel::tr("The library's song differs: %1.");
                                },
                                [](const std::shared_ptr<const SpokenText>&) {
                                    return DifferencesPanel::tr("The library's text differs: %1.");
                                },
                                [](const Theme&) {
                                    return DifferencesPanel::tr("The library's theme differs: %1.");
                                }},
                          difference.here)
            .arg(difference.what.join(QStringLiteral(", ")));
    return std::visit(
        Cases{[](const std::shared_ptr<const Song>&) {
                  return DifferencesPanel::tr("This song is not in the library of this computer.");
              },
              [](const std::shared_ptr<const SpokenText>&) {
                  return DifferencesPanel::tr("This text is not in the library of this computer.");
              },
              [](const Theme&) {
                  return DifferencesPanel::tr("This theme is not in the library of this computer.");
              }},
        difference.here);
}

QPushButton* makeButton(const QString& name, const QString& text, const QString& tip, QWidget* parent) {
    auto* button = new QPushButton(text, parent);
    button->setObjectName(name);
    button->setToolTip(tip);
    return button;
}

} // namespace

QString differencesText(const std::vector<LibraryDifference>& all) {
    int changed = 0;
    int absent = 0;
    for (const LibraryDifference& difference : all)
        ++(difference.there ? changed : absent);
    QStringList facts;
    if (changed > 0)
        facts << DifferencesPanel::tr("not as in the library: %1").arg(changed);
    if (absent > 0)
        facts << DifferencesPanel::tr("not in the library: %1").arg(absent);
    return DifferencesPanel::tr("This service differs from the library of this computer (%1).")
        .arg(facts.join(QStringLiteral(", ")));
}

DifferencesPanel::DifferencesPanel(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("differences"));
    m_title = new QLabel(this);
    m_title->setFont(textFont(1.2, TextWeight::Bold));
    m_title->setWordWrap(true);
    auto* hint = new QLabel(tr("The service keeps its own words until you decide; nothing on the screens "
                               "changes by itself."),
                            this);
    hint->setWordWrap(true);
    makeQuiet(hint);
    Differences& differences = m_session.differences();
    m_takeAll = makeButton(QStringLiteral("differences-take-all"), tr("Use the library's everywhere"),
                           tr("The service becomes as the library is; undo takes that back"), this);
    connect(m_takeAll, &QPushButton::clicked, this,
            [&differences] { differences.takeLibrarys(differences.all()); });
    auto* putAll = makeButton(QStringLiteral("differences-put-all"), tr("Put all into the library"),
                              tr("The library becomes as the service is; versions before are kept"), this);
    connect(putAll, &QPushButton::clicked, this,
            [&differences] { differences.putIntoLibrary(differences.all()); });
    auto* keepAll = makeButton(QStringLiteral("differences-keep-all"), tr("Leave all as they are"),
                               tr("Both stay as they are; you are told again when one changes"), this);
    connect(keepAll, &QPushButton::clicked, this, [&differences] { differences.keep(differences.all()); });
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_takeAll);
    buttons->addWidget(putAll);
    buttons->addWidget(keepAll);
    buttons->addStretch(1);
    m_rows = new QVBoxLayout;
    m_rows->setSpacing(spaced(2));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_title);
    column->addWidget(hint);
    column->addLayout(m_rows);
    column->addLayout(buttons);
    connect(&m_session.differences(), &Differences::changed, this, &DifferencesPanel::refresh);
    refresh();
}

void DifferencesPanel::refresh() {
    const auto& all = m_session.differences().all();
    setVisible(!all.empty());
    m_title->setText(differencesText(all));
    m_takeAll->setVisible(
        std::any_of(all.begin(), all.end(), [](const LibraryDifference& each) { return each.there; }));
    m_isStale = true;
    if (isVisible())
        fill();
}

void DifferencesPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_isStale)
        fill();
}

void DifferencesPanel::fill() {
    m_isStale = false;
    while (QLayoutItem* item = m_rows->takeAt(0)) {
        item->widget()->deleteLater();
        delete item;
    }
    const auto& all = m_session.differences().all();
    const size_t shown = std::min(all.size(), kMostRows);
    for (size_t i = 0; i < shown; ++i)
        m_rows->addWidget(row(all[i]));
    if (shown < all.size()) {
        auto* more = new QLabel(tr("and %1 more, which come up as these are settled; or settle all at once:")
                                    .arg(all.size() - shown),
                                this);
        makeQuiet(more);
        m_rows->addWidget(more);
    }
}

QWidget* DifferencesPanel::row(const LibraryDifference& difference) {
    auto* sheet = new QFrame(this);
    sheet->setStyleSheet(
        QStringLiteral("QFrame { background: %1; border-left: 5px solid %2; } QLabel { border: none; }")
            .arg(day().sheet.name(), day().marker.name()));
    auto* title = new QLabel(difference.title, sheet);
    title->setFont(textFont(1.05, TextWeight::Bold));
    auto* detail = new QLabel(detailOf(difference), sheet);
    detail->setWordWrap(true);
    auto* words = new QVBoxLayout;
    words->addWidget(title);
    words->addWidget(detail);
    auto* line = new QHBoxLayout(sheet);
    line->setContentsMargins(spaced(4), spaced(2), spaced(3), spaced(2));
    line->addLayout(words, 1);
    const auto add = [&](const QString& name, const QString& text, const QString& tip, auto action) {
        auto* button = makeButton(name, text, tip, sheet);
        button->setAccessibleName(tr("%1: %2").arg(text, difference.title));
        connect(button, &QPushButton::clicked, this, action);
        line->addWidget(button);
    };
    using SongPointer = std::shared_ptr<const Song>;
    if (difference.there && std::holds_alternative<SongPointer>(difference.here))
        add(QStringLiteral("difference-compare"), tr("Compare"), tr("See both side by side"),
            [this, difference] {
                showComparison(window(), difference.title, *std::get<SongPointer>(difference.here),
                               tr("In this service"), *std::get<SongPointer>(*difference.there),
                               tr("In the library"));
            });
    if (difference.there)
        add(QStringLiteral("difference-take"), tr("Use the library's"),
            tr("Here it becomes as in the library; undo takes that back"),
            [this, difference] { m_session.differences().takeLibrarys({difference}); });
    add(QStringLiteral("difference-put"), tr("Put into the library"),
        tr("The library's becomes as it is here; the version before is kept there"),
        [this, difference] { m_session.differences().putIntoLibrary({difference}); });
    add(QStringLiteral("difference-keep"), tr("Leave it"), tr("Both stay as they are"),
        [this, difference] { m_session.differences().keep({difference}); });
    return sheet;
}

} // namespace mivanta

#include "moc_DifferencesPanel.cpp"
