// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/Bench.h"
#include "core/run/Cards.h"
#include "desk/parts/Columns.h"
#include "desk/parts/Style.h"
#include "desk/prepare/PassageInService.h"
#include "desk/prepare/SongInService.h"
#include "desk/prepare/TextInService.h"
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kColumns = 3;

} // namespace

Bench::Bench(Session& session, ThumbnailStore& thumbnails, QWidget* parent)
    : QScrollArea(parent),
      m_session(session),
      m_thumbnails(thumbnails) {
    setObjectName(QStringLiteral("bench"));
    makeColumn(this);
    auto* content = new QWidget(this);
    m_title = new QLabel(content);
    m_title->setObjectName(QStringLiteral("bench-title"));
    m_title->setFont(textFont(1.5, true));
    m_title->setWordWrap(true);
    m_kind = new QLabel(content);
    m_kind->setWordWrap(true);
    makeQuiet(m_kind);
    m_grid = new QGridLayout;
    m_grid->setSpacing(spaced(2.5));
    for (int c = 0; c < kColumns; ++c)
        m_grid->setColumnStretch(c, 1);
    m_song = new SongInService(m_session, content);
    connect(m_song, &SongInService::wordsWanted, this, [this] { Q_EMIT wordsWanted(m_item); });
    connect(m_song, &SongInService::libraryWanted, this,
            [this](const SongId& id) { Q_EMIT openInLibrary(id); });
    m_passage = new PassageInService(m_session, content);
    m_text = new TextInService(m_session, content);
    connect(m_text, &TextInService::libraryWanted, this, &Bench::openInLibrary);
    m_theme = new QComboBox(content);
    m_theme->setObjectName(QStringLiteral("theme"));
    m_theme->setAccessibleName(tr("Theme of the service"));
    m_theme->setToolTip(tr("How the words look wherever an output does not insist on its own theme"));
    for (const Theme& theme : m_session.book().themes())
        m_theme->addItem(theme.name, theme.id);
    connect(m_theme, &QComboBox::activated, this,
            [this](int index) { m_session.document().setTheme(m_session.book().themes()[size_t(index)]); });
    m_look = new QGridLayout;
    m_look->setColumnStretch(1, 1);
    m_look->setHorizontalSpacing(spaced(4));
    m_look->setVerticalSpacing(spaced(1.5));
    m_look->addWidget(new QLabel(tr("Theme of the service"), content), 0, 0);
    m_look->addWidget(m_theme, 0, 1, Qt::AlignRight);

    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_title);
    column->addWidget(m_kind);
    column->addWidget(m_passage); // what is changed most stands before many pictures
    column->addLayout(m_grid);
    column->addSpacing(spaced(2));
    column->addWidget(m_song);
    column->addWidget(m_text);
    column->addSpacing(spaced(2));
    column->addWidget(headingOf(tr("Look"), content));
    column->addLayout(m_look);
    column->addStretch(1);
    setWidget(content);
    connect(&m_session.book(), &SlideBook::changed, this, &Bench::refresh);
    refresh();
}

void Bench::setItem(const ItemId& id) {
    if (id == m_item)
        return;
    m_item = id;
    m_song->setItem(id);
    m_passage->setItem(id);
    m_text->setItem(id);
    refresh();
    ensureVisible(0, 0);
}

void Bench::refresh() {
    const Item* item = m_session.document().service().item(m_item);
    const ItemSlides* slides = item ? m_session.book().slidesOf(m_item) : nullptr;
    if (!item) {
        m_title->setText(tr("Nothing chosen"));
        m_kind->setText(tr("Choose an item on the sheet to see its slides here."));
    } else {
        m_title->setText(item->title());
        QStringList facts{item->isHeading() ? tr("Heading \u00b7 F2 renames it")
                          : item->passage() ? tr("Scripture")
                          : item->text()    ? textKindName(item->text()->text->kind)
                                            : tr("Song")};
        if (const Passage* passage = item->passage())
            facts << passage->words.front().translation.name;
        if (const TextItem* text = item->text())
            facts << rolesOf(*text->text).join(QStringLiteral(", "));
        if (const Song* song = item->song()) {
            facts << song->authorNames().join(QStringLiteral(", "));
            if (!song->key.isEmpty())
                facts << (song->capo > 0 ? tr("key %1, capo %2").arg(song->key).arg(song->capo)
                                         : tr("key %1").arg(song->key));
            if (!song->bookNumbers.empty())
                facts << song->bookNumbers.front().book + u' ' + song->bookNumbers.front().number;
        }
        facts.removeAll(QString());
        m_kind->setText(facts.join(QStringLiteral(" \u00b7 ")));
    }
    m_song->refresh();
    m_passage->refresh();
    m_text->refresh();
    showSlides(slides ? *slides : ItemSlides());
    showLook(slides);
}

void Bench::showSlides(const ItemSlides& slides) {
    const int main = slides.outputs.empty() ? -1 : mainOutput(slides);
    const size_t count = main < 0 ? 0 : slides.outputs[size_t(main)].slides.size();
    while (m_pictures.size() < count) {
        auto* view = new PictureView(m_thumbnails, widget());
        const int at = int(m_pictures.size());
        m_grid->addWidget(view, at / kColumns, at % kColumns);
        m_pictures.push_back(view);
    }
    for (size_t i = 0; i < m_pictures.size(); ++i) {
        m_pictures[i]->setVisible(i < count);
        if (i >= count) {
            m_pictures[i]->setScene(std::nullopt);
            continue;
        }
        const OutputSlides& output = slides.outputs[size_t(main)];
        const Slide& slide = output.slides[i];
        const ContentEntry& entry = slides.content.entries[size_t(slide.start.entry)];
        const ContentPart& part = slides.content.parts[size_t(entry.part)];
        m_pictures[i]->setScene(sceneOf(slides, output, int(i)));
        QString place = tr("%1 of %2").arg(slide.number).arg(slide.of);
        if (entry.passes > 1)
            place += QStringLiteral(" \u00b7 \u00d7%1: %2").arg(entry.passes).arg(entry.pass);
        m_pictures[i]->setCaption(part.label, place);
    }
}

void Bench::showLook(const ItemSlides* slides) {
    const auto& themes = m_session.book().themes();
    m_theme->setCurrentIndex(m_theme->findData(m_session.document().service().theme.id));
    const size_t count = slides ? slides->outputs.size() : 0;
    while (m_looks.size() < count) {
        const int row = int(m_looks.size()) + 1;
        auto* name = new QLabel(widget());
        auto* look = new QLabel(widget());
        look->setAlignment(Qt::AlignRight);
        look->setWordWrap(true);
        makeQuiet(look);
        m_look->addWidget(name, row, 0);
        m_look->addWidget(look, row, 1);
        m_looks.emplace_back(name, look);
    }
    for (size_t i = 0; i < m_looks.size(); ++i) {
        m_looks[i].first->setVisible(i < count);
        m_looks[i].second->setVisible(i < count);
        if (i >= count)
            continue;
        const OutputSlides& output = slides->outputs[i];
        QString look = tr("%1 px \u00b7 %2").arg(output.fontSize).arg(output.reasonText);
        for (const Theme& insisted : themes)
            if (insisted.id == output.output.look.theme && !output.output.insists.empty())
                look = insisted.name + QStringLiteral(" \u00b7 ") + look;
        m_looks[i].first->setText(output.output.label());
        m_looks[i].second->setText(look);
    }
}

} // namespace mivanta
