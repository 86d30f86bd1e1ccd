// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/find/FilterRow.h"
#include "core/base/Clock.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLocale>
#include <QMenu>
#include <QToolButton>

namespace mivanta {

namespace {

/// As a menu shows it: a lone "&" would mark a key.
QString escaped(QString text) {
    return text.replace(u'&', QStringLiteral("&&"));
}

} // namespace

FilterRow::FilterRow(LibraryClient& library, QWidget* parent) : QWidget(parent), m_library(library) {
    m_button = new QToolButton(this);
    m_button->setObjectName(QStringLiteral("filter"));
    m_button->setText(tr("Filter \u25be"));
    m_button->setToolTip(
        tr("Only songs of a topic, book, language or key, or not sung for a while (Ctrl+Shift+F)"));
    m_button->setPopupMode(QToolButton::InstantPopup);
    m_button->setShortcut(QKeySequence(QStringLiteral("Ctrl+Shift+F")));
    auto* menu = new QMenu(m_button);
    connect(menu, &QMenu::aboutToShow, this, [this, menu] { fill(menu); });
    m_button->setMenu(menu);
    m_row = new QHBoxLayout(this);
    m_row->setContentsMargins(0, 0, 0, 0);
    m_row->setSpacing(spaced(1));
    m_button->setFocusPolicy(Qt::StrongFocus);
    m_row->addWidget(m_button);
    m_row->addStretch(1);
}

void FilterRow::fill(QMenu* menu) {
    menu->clear();
    menu->addAction(tr("Looking\u2026"))->setEnabled(false);
    m_library.facets(this, [this, menu](const Result<SongFacets>& facets) {
        menu->clear();
        if (!facets) {
            menu->addAction(facets.error().text())->setEnabled(false);
            return;
        }
        addValues(menu, tr("Topic"), facets->topics, &SongFilter::topic);
        addValues(menu, tr("Book"), facets->books, &SongFilter::book);
        addValues(menu, tr("Language"), facets->languages, &SongFilter::language);
        addValues(menu, tr("Key"), facets->keys, &SongFilter::key);
        addSung(menu);
        menu->addSeparator();
        QAction* all = menu->addAction(tr("All songs"), this, [this] { setFilter({}); });
        all->setEnabled(!m_filter.isEmpty());
    });
}

void FilterRow::addValues(QMenu* menu, const QString& title, const SongFacets::Values& values,
                          QString SongFilter::*which) {
    auto* choices = menu->addMenu(title);
    choices->setEnabled(!values.empty());
    for (const auto& [value, songs] : values) {
        QAction* action = choices->addAction(
            tr("%1\t%2").arg(escaped(value)).arg(songs), this,
            [this, which, value = value] { change([&](SongFilter& filter) { filter.*which = value; }); });
        action->setCheckable(true);
        action->setChecked(m_filter.*which == value);
    }
}

void FilterRow::addSung(QMenu* menu) {
    auto* choices = menu->addMenu(tr("Not sung"));
    const auto since = [&](const QString& text, int months) {
        choices->addAction(text, this, [this, months] {
            change([months](SongFilter& filter) {
                filter.neverSung = false;
                filter.notSungSince = Clock::the().date().addMonths(-months);
            });
        });
    };
    since(tr("for a month"), 1);
    since(tr("for three months"), 3);
    since(tr("for half a year"), 6);
    since(tr("for a year"), 12);
    choices->addAction(tr("never yet"), this, [this] {
        change([](SongFilter& filter) {
            filter.neverSung = true;
            filter.notSungSince = {};
        });
    });
}

void FilterRow::setFilter(const SongFilter& filter) {
    if (filter == m_filter)
        return;
    m_filter = filter;
    showFilter();
    Q_EMIT changed();
}

void FilterRow::change(const std::function<void(SongFilter&)>& work) {
    SongFilter next = m_filter;
    work(next);
    setFilter(next);
}

void FilterRow::showFilter() {
    for (QWidget* chip : std::as_const(m_inForce))
        chip->deleteLater();
    m_inForce.clear();
    const auto chip = [&](const QString& text, const std::function<void(SongFilter&)>& remove) {
        auto* button = new QToolButton(this);
        button->setObjectName(QStringLiteral("filter-in-force"));
        button->setText(fontMetrics().elidedText(text, Qt::ElideRight, spaced(20)) +
                        QStringLiteral(" \u00d7"));
        button->setToolTip(tr("Remove the filter \u201c%1\u201d").arg(text));
        button->setStyleSheet(QStringLiteral("QToolButton { background: %1; border: 1px solid %2; }")
                                  .arg(day().sheet.name(), day().line.name()));
        connect(button, &QToolButton::clicked, this, [this, remove] { change(remove); });
        m_row->insertWidget(m_row->count() - 1, button);
        m_inForce << button;
    };
    for (QString SongFilter::*which :
         {&SongFilter::topic, &SongFilter::book, &SongFilter::language, &SongFilter::key})
        if (!(m_filter.*which).isEmpty())
            chip(m_filter.*which, [which](SongFilter& filter) { (filter.*which).clear(); });
    if (m_filter.neverSung)
        chip(tr("never sung"), [](SongFilter& filter) { filter.neverSung = false; });
    if (m_filter.notSungSince.isValid())
        chip(tr("not since %1").arg(QLocale().toString(m_filter.notSungSince, QLocale::ShortFormat)),
             [](SongFilter& filter) { filter.notSungSince = {}; });
}

} // namespace mivanta

#include "moc_FilterRow.cpp"
