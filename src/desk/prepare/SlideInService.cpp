// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/SlideInService.h"
#include "core/run/Cards.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kRowsOfWords = 4;

QString placeText(const SlidePlace& place, const ItemContent& content) {
    const QString part = content.labelOf(place.part);
    const QString text =
        place.time > 1 ? SlideInService::tr("%1, time %2").arg(part, QString::number(place.time)) : part;
    return place.toLine > place.line
               ? SlideInService::tr("%1, lines %2 to %3")
                     .arg(text, QString::number(place.line + 1), QString::number(place.toLine + 1))
               : SlideInService::tr("%1, line %2").arg(text, QString::number(place.line + 1));
}

} // namespace

SlideInService::SlideInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("slide-in-service"));
    m_chosen = new QWidget(this);
    m_title = headingOf({}, m_chosen);
    const auto button = [&](const char* name, const QString& text, const QString& tip) {
        auto* made = new QToolButton(m_chosen);
        made->setObjectName(QLatin1String(name));
        made->setText(text);
        made->setToolTip(tip);
        made->setAccessibleName(tip);
        return made;
    };
    m_earlier = button("slide-earlier", tr("Earlier"), tr("Move this slide one place earlier (Alt+Left)"));
    m_later = button("slide-later", tr("Later"), tr("Move this slide one place later (Alt+Right)"));
    m_hide = button("slide-hide", tr("Hide today"),
                    tr("It is passed over in this service (Delete); it can be shown again below"));
    m_words = new QPlainTextEdit(m_chosen);
    m_words->setObjectName(QStringLiteral("slide-words"));
    m_words->setAccessibleName(tr("Words of this slide"));
    m_words->setToolTip(tr("What this slide says in this service; the item keeps its words"));
    m_words->setTabChangesFocus(true);
    m_words->setFixedHeight(m_words->fontMetrics().lineSpacing() * kRowsOfWords + spaced(4));
    m_own = new QPushButton(tr("Restore its words"), m_chosen);
    m_own->setObjectName(QStringLiteral("slide-own-words"));
    m_shared = new QLabel(tr("Its lines go on over several slides, so it cannot be hidden or changed alone. "
                             "Change what is read instead."),
                          m_chosen);
    m_shared->setObjectName(QStringLiteral("slide-shared"));
    m_shared->setWordWrap(true);
    makeQuiet(m_shared);
    auto* row = new QHBoxLayout;
    row->addWidget(m_title, 1);
    row->addWidget(m_earlier);
    row->addWidget(m_later);
    row->addWidget(m_hide);
    auto* inside = new QVBoxLayout(m_chosen);
    inside->setContentsMargins(0, 0, 0, 0);
    inside->setSpacing(spaced(1.5));
    inside->addLayout(row);
    inside->addWidget(m_shared);
    inside->addWidget(m_words);
    inside->addWidget(m_own, 0, Qt::AlignLeft);
    m_hidden = new QVBoxLayout;
    m_hidden->setSpacing(spaced(1));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_chosen);
    column->addLayout(m_hidden);
    connect(m_earlier, &QToolButton::clicked, this, [this] { move(m_slide.value_or(-1), -1); });
    connect(m_later, &QToolButton::clicked, this, [this] { move(m_slide.value_or(-1), 1); });
    connect(m_hide, &QToolButton::clicked, this, [this] { this->hide(m_slide.value_or(-1)); });
    connect(m_words, &QPlainTextEdit::textChanged, this, &SlideInService::takeWords);
    connect(m_own, &QPushButton::clicked, this, [this] {
        if (m_place)
            change(tr("a slide's own words"),
                   [this](SlideEdits& edits) { edits.setWords(*m_place, QString()); });
    });
}

const Item* SlideInService::item() const {
    return m_session.document().service().item(m_item);
}

const ItemSlides* SlideInService::slides() const {
    return m_session.book().slidesOf(m_item);
}

std::optional<SlidePlace> SlideInService::placeOf(int slide) const {
    const ItemSlides* all = slides();
    const int main = all ? mainOutput(*all) : -1;
    if (main < 0 || slide < 0 || slide >= int(all->outputs[size_t(main)].slides.size()))
        return std::nullopt;
    return slidePlace(all->content, all->outputs[size_t(main)].slides[size_t(slide)]);
}

bool SlideInService::isPartOfALine(int slide) const {
    const ItemSlides& all = *slides();
    const bool isOwnWords = !item()->edits.wordsAt(*placeOf(slide)).isEmpty(); // they are changed together
    return !isOwnWords && sharesLines(all.outputs[size_t(mainOutput(all))], slide);
}

QString SlideInService::wordsOf(int slide) const {
    const ItemSlides& all = *slides();
    const Slide& shown = all.outputs[size_t(mainOutput(all))].slides[size_t(slide)];
    const ContentPart& part = all.content.parts[size_t(all.content.entries[size_t(shown.start.entry)].part)];
    QStringList lines;
    int last = -1;
    for (const FitRow& fitted : shown.rows)
        if (fitted.line != last) {
            last = fitted.line;
            lines << part.lines[size_t(last)].words;
        }
    return lines.join(u'\n');
}

void SlideInService::setItem(const ItemId& id) {
    m_item = id;
    setSlide(std::nullopt);
}

void SlideInService::setSlide(const std::optional<int>& slide) {
    m_slide = slide;
    m_place = slide ? placeOf(*slide) : std::nullopt;
    m_visit = m_session.document().startVisit();
    refresh();
}

void SlideInService::change(const QString& what, const std::function<void(SlideEdits&)>& work, int visit) {
    m_session.document().changeEdits({m_item}, work, what, visit);
}

void SlideInService::hide(int slide) {
    const auto place = placeOf(slide);
    if (place && isPartOfALine(slide))
        Q_EMIT m_session.notice(m_shared->text());
    else if (place)
        change(tr("hiding a slide"), [&](SlideEdits& edits) { edits.hide(*place); });
}

void SlideInService::move(int slide, int by) {
    const ItemSlides* all = slides();
    if (!placeOf(slide) || !item())
        return;
    if (std::holds_alternative<PictureItem>(item()->words)) {
        Q_EMIT moveWanted(slide, by);
        return;
    }
    const int entry = all->outputs[size_t(mainOutput(*all))].slides[size_t(slide)].start.entry;
    const auto order = movedEntry(all->content, entry, by);
    if (!order.empty())
        change(tr("moving a slide"), [&](SlideEdits& edits) { edits.order = order; });
}

void SlideInService::takeWords() {
    if (m_place && m_words->hasFocus())
        change(
            tr("other words on a slide"),
            [this](SlideEdits& edits) { edits.setWords(*m_place, m_words->toPlainText()); }, m_visit);
}

void SlideInService::refresh() {
    const ItemSlides* all = slides();
    if (m_slide && (!all || !placeOf(*m_slide))) {
        m_slide.reset();
        m_place.reset();
    }
    m_chosen->setVisible(m_place.has_value());
    if (m_place) {
        m_title->setText(tr("Slide %1").arg(*m_slide + 1));
        const bool isShared = isPartOfALine(*m_slide);
        m_shared->setVisible(isShared);
        const QString given = item()->edits.wordsAt(*m_place);
        const QString words = given.isEmpty() ? wordsOf(*m_slide) : given;
        m_words->setVisible(!isShared && !words.isEmpty()); // not on a picture or an empty slide
        m_hide->setEnabled(!isShared);
        m_own->setVisible(!given.isEmpty());
        const int entry = all->outputs[size_t(mainOutput(*all))].slides[size_t(*m_slide)].start.entry;
        m_earlier->setEnabled(entry > 0);
        m_later->setEnabled(entry + 1 < int(all->content.entries.size()));
        if (!m_words->hasFocus() && m_words->toPlainText() != words)
            m_words->setPlainText(words);
    }
    showHidden();
    setVisible(m_place || !m_hiddenRows.empty());
}

/// What was hidden, each with the way back.
void SlideInService::showHidden() {
    for (QWidget* row : m_hiddenRows) {
        row->hide();
        row->deleteLater();
    }
    m_hiddenRows.clear();
    const Item* shown = item();
    if (!shown)
        return;
    const ItemContent content = contentOf(*shown, m_session.document().service());
    for (const SlidePlace& place : shown->edits.hidden) {
        auto* row = new QWidget(this);
        auto* label = new QLabel(tr("Hidden today: %1").arg(placeText(place, content)), row);
        label->setWordWrap(true);
        makeQuiet(label);
        auto* show = new QPushButton(tr("Show again"), row);
        show->setObjectName(QStringLiteral("slide-show-%1").arg(m_hiddenRows.size()));
        connect(show, &QPushButton::clicked, this, [this, place] {
            change(tr("showing a slide again"), [&](SlideEdits& edits) { edits.show(place); });
        });
        auto* line = new QHBoxLayout(row);
        line->setContentsMargins(0, 0, 0, 0);
        line->addWidget(label, 1);
        line->addWidget(show);
        m_hidden->addWidget(row);
        m_hiddenRows.push_back(row);
    }
}

} // namespace mivanta

#include "moc_SlideInService.cpp"
