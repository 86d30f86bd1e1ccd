// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/SeveralSongs.h"
#include "core/base/Fold.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QComboBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QStringList without(const QStringList& list, const QString& value) {
    const QString key = foldedForSearch(value);
    QStringList rest;
    for (const QString& item : list)
        if (foldedForSearch(item) != key)
            rest << item;
    return rest;
}

} // namespace

SeveralSongs::SeveralSongs(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("several-songs"));
    m_heading = new QLabel(this);
    m_heading->setObjectName(QStringLiteral("several-heading"));
    m_heading->setFont(textFont(1.5, TextWeight::Bold));
    m_titles = new QLabel(this);
    m_titles->setWordWrap(true);
    m_titles->setTextFormat(Qt::PlainText);
    makeQuiet(m_titles);
    m_result = new QLabel(this);
    m_result->setObjectName(QStringLiteral("several-result"));
    m_result->setWordWrap(true);
    m_undo = button(QStringLiteral("several-undo"), tr("Undo"), tr("Undo the last change (Ctrl+Z)"),
                    [this] { undo(); });
    m_undo->setEnabled(false);
    auto* result = new QHBoxLayout;
    result->addWidget(m_result, 1);
    result->addWidget(m_undo);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(6), spaced(5), spaced(6), spaced(5));
    column->setSpacing(spaced(4));
    column->addWidget(m_heading);
    column->addWidget(m_titles);
    column->addWidget(buildDetails());
    column->addWidget(buildActions());
    column->addLayout(result);
    column->addStretch(1);
    auto* escape = new QShortcut(Qt::Key_Escape, this, [this] { Q_EMIT left(); });
    escape->setContext(Qt::WidgetWithChildrenShortcut);
    connect(&m_session.library(), &LibraryClient::changed, this, [this] {
        if (isVisible())
            fillChoices();
    });
}

QPushButton* SeveralSongs::button(const QString& name, const QString& text, const QString& tip,
                                  const std::function<void()>& work) {
    auto* made = new QPushButton(text, this);
    made->setObjectName(name);
    made->setToolTip(tip);
    connect(made, &QPushButton::clicked, this, work);
    return made;
}

QComboBox* SeveralSongs::addDetail(QGridLayout& grid, const QString& name, const QString& label,
                                   const QString& tip) {
    auto* box = new QComboBox(this);
    addDetail(grid, box, name, label, tip);
    return box;
}

void SeveralSongs::addDetail(QGridLayout& grid, QComboBox* box, const QString& name, const QString& label,
                             const QString& tip) {
    box->setObjectName(name);
    box->setAccessibleName(label);
    box->setToolTip(tip);
    const int row = grid.rowCount();
    auto* caption = new QLabel(label, this);
    caption->setBuddy(box);
    grid.addWidget(caption, row, 0);
    grid.addWidget(box, row, 1);
}

QWidget* SeveralSongs::buildDetails() {
    auto* details = new QWidget(this);
    auto* grid = new QGridLayout(details);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(spaced(2));
    grid->setColumnStretch(1, 1);
    m_topic = addDetail(*grid, QStringLiteral("several-topic"), tr("Topic"), tr("A topic, old or new"));
    m_topic->setEditable(true);
    const auto topic = [this] { return m_topic->currentText().simplified(); };
    grid->addWidget(button(QStringLiteral("give-topic"), tr("Add to all"), tr("Every song gets this topic"),
                           [this, topic] {
                               if (const QString text = topic(); !text.isEmpty())
                                   edit(tr("Topic \u201c%1\u201d added to %2").arg(text), [text](Song& song) {
                                       if (without(song.topics, text).size() == song.topics.size())
                                           song.topics << text;
                                   });
                           }),
                    1, 2);
    grid->addWidget(button(QStringLiteral("take-topic"), tr("Remove from all"),
                           tr("No song has this topic any more"),
                           [this, topic] {
                               if (const QString text = topic(); !text.isEmpty())
                                   edit(tr("Topic \u201c%1\u201d removed from %2").arg(text),
                                        [text](Song& song) { song.topics = without(song.topics, text); });
                           }),
                    1, 3);
    m_theme = new ThemeBox(tr("The service\u2019s theme"), this);
    addDetail(*grid, m_theme, QStringLiteral("several-theme"), tr("Usual theme"), tr("How the songs look"));
    const auto takeThemes = [this] { m_theme->setThemes(m_session.book().themes()); };
    connect(&m_session.book(), &SlideBook::themesChanged, this, takeThemes);
    takeThemes();
    grid->addWidget(button(QStringLiteral("set-theme"), tr("Set for all"), tr("Every song gets this theme"),
                           [this] {
                               edit(tr("Theme \u201c%1\u201d set for %2").arg(m_theme->currentText()),
                                    [id = m_theme->theme()](Song& song) { song.usualTheme = id; });
                           }),
                    2, 2);
    m_language = addDetail(*grid, QStringLiteral("several-language"), tr("Language"),
                           tr("Such as en or fr; empty: not said"));
    m_language->setEditable(true);
    grid->addWidget(button(QStringLiteral("set-language"), tr("Set for all"),
                           tr("Every song gets this language"),
                           [this] {
                               const QString text = m_language->currentText().simplified();
                               edit(tr("Language \u201c%1\u201d set for %2").arg(text),
                                    [text](Song& song) { song.language = text; });
                           }),
                    3, 2);
    return details;
}

QWidget* SeveralSongs::buildActions() {
    auto* actions = new QWidget(this);
    auto* row = new QHBoxLayout(actions);
    row->setContentsMargins(0, 0, 0, 0);
    m_send = button(QStringLiteral("several-send"), tr("Send out \u25be"),
                    tr("Write these songs to files, or print them"), [] {});
    row->addWidget(button(QStringLiteral("several-add"), tr("Add to the service"),
                          tr("Put these songs into the service order"),
                          [this] { Q_EMIT addToService(m_ids); }));
    row->addWidget(m_send);
    row->addWidget(button(QStringLiteral("several-bin"), tr("Put into the bin"),
                          tr("Delete these songs; Undo takes them back"), [this] { putInBin(); }));
    row->addStretch(1);
    row->addWidget(button(QStringLiteral("several-left"), tr("Back to one song"),
                          tr("Choose only one song (Esc)"), [this] { Q_EMIT left(); }));
    return actions;
}

void SeveralSongs::setSendMenu(QMenu* menu) {
    m_send->setMenu(menu);
}

void SeveralSongs::setSongs(const std::vector<SongSummary>& songs) {
    if (m_ids.empty() && !songs.empty())
        fillChoices();
    m_ids.clear();
    QStringList titles;
    constexpr size_t kMostNamed = 12;
    for (const SongSummary& song : songs) {
        if (m_ids.size() < kMostNamed)
            titles << song.title;
        m_ids.push_back(song.id);
    }
    m_heading->setText(tr("%n songs chosen", nullptr, int(m_ids.size())));
    const QString named = titles.join(QStringLiteral(" \u00b7 "));
    m_titles->setText(m_ids.size() > kMostNamed
                          ? tr("%1 and %n more", nullptr, int(m_ids.size() - kMostNamed)).arg(named)
                          : named);
}

void SeveralSongs::fillChoices() {
    m_session.library().facets(this, [this](const Result<SongFacets>& facets) {
        if (!facets)
            return;
        for (const auto& [box, values] :
             {std::pair{m_topic, &facets->topics}, std::pair{m_language, &facets->languages}}) {
            const QString typed = box->currentText();
            box->clear();
            for (const auto& [value, songs] : *values)
                box->addItem(value);
            box->setEditText(typed);
        }
    });
}

void SeveralSongs::edit(const QString& what, const std::function<void(Song&)>& change) {
    m_session.library().edit(this, m_ids, change, [this, what](const Result<std::vector<SongEdit>>& edits) {
        if (!edits) {
            failed(edits.error());
            return;
        }
        const QString songs = tr("%n songs", nullptr, int(edits->size()));
        if (edits->empty()) {
            m_result->setText(tr("Every song is like that already."));
            return;
        }
        done(what.arg(songs), [this, edits = *edits] {
            m_session.library().takeBack(this, edits, [this, count = int(edits.size())](Result<int> back) {
                if (!back)
                    failed(back.error());
                else if (*back == count)
                    m_result->setText(tr("Undone."));
                else
                    m_result->setText(
                        tr("Undone for %1 of %n songs; the others have been changed since.", nullptr, count)
                            .arg(*back));
            });
        });
    });
}

void SeveralSongs::putInBin() {
    m_session.library().putInBin(this, m_ids, [this, ids = m_ids](const Result<void>& gone) {
        if (!gone) {
            failed(gone.error());
            return;
        }
        const auto takeBack = [this, ids] {
            m_session.library().takeFromBin(this, ids, [this](const Result<void>& back) {
                back ? m_result->setText(tr("Undone.")) : failed(back.error());
            });
        };
        done(tr("%n songs are in the bin.", nullptr, int(ids.size())), takeBack);
        Q_EMIT m_session.notice(
            tr("%n songs are in the bin. Ctrl+Z takes them back.", nullptr, int(ids.size())));
    });
}

void SeveralSongs::done(const QString& text, const std::function<void()>& takeBack) {
    m_result->setText(text);
    m_takeBack.push_back(takeBack);
    m_undo->setEnabled(true);
}

void SeveralSongs::failed(const Error& error) {
    Q_EMIT m_session.problem(error);
}

void SeveralSongs::undo() {
    if (m_takeBack.empty())
        return;
    const auto takeBack = m_takeBack.back();
    m_takeBack.pop_back();
    m_undo->setEnabled(!m_takeBack.empty());
    takeBack();
}

} // namespace mivanta

#include "moc_SeveralSongs.cpp"
