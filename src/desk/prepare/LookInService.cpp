// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LookInService.h"
#include "core/run/Cards.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/look/LookForm.h"
#include "desk/look/ReadingPanel.h"
#include "desk/look/SlideCanvas.h"
#include "desk/look/ThemeList.h"
#include "desk/prepare/ArrangeInService.h"
#include "render/LegibilityMeasure.h"
#include <QComboBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QString allOf(ItemKind kind) {
    switch (kind) {
    case ItemKind::Song:
        return LookInService::tr("All songs of this service");
    case ItemKind::Passage:
        return LookInService::tr("All scripture of this service");
    case ItemKind::Text:
        return LookInService::tr("All texts of this service");
    case ItemKind::Picture:
        return LookInService::tr("All pictures of this service");
    case ItemKind::Pause:
        return LookInService::tr("All pauses and countdowns of this service");
    }
    return {};
}

} // namespace

LookInService::LookInService(Session& session, ThumbnailStore& thumbnails, const LookSupplies& supplies,
                             QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_thumbnails(thumbnails),
      m_supplies(supplies) {
    setObjectName(QStringLiteral("look-in-service"));
    m_grid = new QGridLayout;
    m_grid->setColumnStretch(1, 1);
    m_grid->setHorizontalSpacing(spaced(4));
    m_grid->setVerticalSpacing(spaced(1.5));
    buildTop();
    buildButtons();
    m_worst = new QLabel(this);
    m_worst->setObjectName(QStringLiteral("service-reading"));
    m_worst->setWordWrap(true);
    makeQuiet(m_worst);
    m_reading = new ReadingPanel(m_thumbnails, m_session.contrasts(), this);
    connect(m_reading, &ReadingPanel::mendWanted, this,
            [this](const LookOverrides& changes, const QString& label) {
                change(tr("mending: %1").arg(label), [&](LookChoice& choice) { choice.own.add(changes); });
            });
    connect(&m_session.contrasts(), &Contrasts::measured, this, [this] {
        if (isVisible()) {
            showOutputs();
            showReading();
        }
    });
    connect(&m_session.readings(), &ServiceReadings::changed, this, &LookInService::showWorst);
    m_reasons = new QWidget(this);
    m_reasons->hide();
    m_reasonsFor = new QComboBox(m_reasons);
    m_reasonsFor->setObjectName(QStringLiteral("why-output"));
    m_reasonsFor->setAccessibleName(tr("The output whose look is explained"));
    m_reasonsFor->setToolTip(m_reasonsFor->accessibleName());
    connect(m_reasonsFor, &QComboBox::activated, this, &LookInService::showReasons);
    auto* reasons = new QVBoxLayout(m_reasons);
    reasons->setContentsMargins(0, 0, 0, 0);
    auto* reasonsHead = new QHBoxLayout;
    reasonsHead->addWidget(new QLabel(tr("On"), m_reasons));
    reasonsHead->addWidget(m_reasonsFor);
    reasonsHead->addStretch(1);
    reasons->addLayout(reasonsHead);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addLayout(m_grid);
    column->addWidget(m_worst);
    column->addWidget(m_reading);
    m_arrangeAt = column->count();
    column->addWidget(m_reasons);
}

/// Made when it is first wanted: it has a great many fields.
void LookInService::buildForm() {
    m_form = new LookForm(m_supplies, m_reasons);
    connect(m_form, &LookForm::edited, this, &LookInService::set);
    connect(m_form, &LookForm::givenUp, this, [this](const LookProperty& property) {
        change(tr("resetting: %1").arg(property.label()), [&](LookChoice& choice) {
            choice.own.clear(property);
            if (property.group == LookGroup::Objects)
                choice.objects.clear();
        });
    });
    m_reasons->layout()->addWidget(m_form);
}

void LookInService::buildTop() {
    m_level = new QComboBox(this);
    m_level->setObjectName(QStringLiteral("look-level"));
    m_level->setAccessibleName(tr("What the look is chosen for"));
    m_level->setToolTip(tr("What is chosen below holds for this"));
    connect(m_level, &QComboBox::activated, this, &LookInService::refresh);
    m_theme = new QComboBox(this);
    m_theme->setObjectName(QStringLiteral("theme"));
    m_theme->setAccessibleName(tr("Theme"));
    m_theme->setToolTip(tr("How the words look wherever an output does not insist on its own theme"));
    connect(m_theme, &QComboBox::activated, this,
            [this](int index) { setTheme(m_theme->itemData(index).toString()); });
    for (QComboBox* box : {m_level, m_theme})
        box->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    m_shelf = new ThemeList(m_thumbnails, this);
    m_shelf->setObjectName(QStringLiteral("theme-shelf"));
    m_shelf->setInARow();
    connect(m_shelf, &ThemeList::themeChosen, this, &LookInService::setTheme);
    m_grid->addWidget(new QLabel(tr("For"), this), 0, 0);
    m_grid->addWidget(m_level, 0, 1, Qt::AlignRight);
    m_grid->addWidget(new QLabel(tr("Theme"), this), 1, 0);
    m_grid->addWidget(m_theme, 1, 1, Qt::AlignRight);
    m_grid->addWidget(m_shelf, 2, 0, 1, 2);
}

void LookInService::buildButtons() {
    m_white = new QPushButton(tr("White words"), this);
    m_white->setObjectName(QStringLiteral("white-words"));
    m_white->setToolTip(tr("Make all words of what is chosen white"));
    connect(m_white, &QPushButton::clicked, this, &LookInService::whitenWords);
    m_giveUp = new QPushButton(tr("Reset"), this);
    m_giveUp->setObjectName(QStringLiteral("look-give-up"));
    m_giveUp->setToolTip(tr("Reset everything that was chosen here"));
    connect(m_giveUp, &QPushButton::clicked, this,
            [this] { change(tr("resetting the look"), [](LookChoice& choice) { choice = {}; }); });
    m_why = new QToolButton(this);
    m_why->setObjectName(QStringLiteral("why-this-look"));
    m_why->setText(tr("Why this look?"));
    m_why->setToolTip(tr("Every property, its value, and where it comes from (Ctrl+L)"));
    m_why->setCheckable(true);
    connect(m_why, &QToolButton::toggled, this, [this](bool open) {
        m_reasons->setVisible(open);
        showReasons();
    });
    m_arrangeButton = new QToolButton(this);
    m_arrangeButton->setObjectName(QStringLiteral("arrange"));
    m_arrangeButton->setText(tr("Arrange"));
    m_arrangeButton->setToolTip(
        tr("Put pictures, texts, shapes and clocks on the slide, and move its boxes by hand (Ctrl+Shift+L)"));
    m_arrangeButton->setCheckable(true);
    connect(m_arrangeButton, &QToolButton::toggled, this, &LookInService::showArrange);
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(spaced(2));
    buttons->addWidget(m_white);
    buttons->addWidget(m_giveUp);
    buttons->addStretch(1);
    buttons->addWidget(m_arrangeButton);
    buttons->addWidget(m_why);
    m_grid->addLayout(buttons, 3, 0, 1, 2);
}

void LookInService::toggleReasons() {
    m_why->toggle();
}

void LookInService::toggleArrange() {
    m_arrangeButton->toggle();
}

void LookInService::setItem(const ItemId& id) {
    if (!(id == m_item))
        m_slide.reset();
    m_item = id;
    refresh();
}

void LookInService::setSlide(const std::optional<int>& slide) {
    m_slide = slide;
    fillLevels();
    m_level->setCurrentIndex(m_level->findData(slide ? int(LookLevel::Slide) : int(LookLevel::Item)));
    refresh();
}

LookLevel LookInService::level() const {
    return LookLevel(m_level->currentData().toInt());
}

const ItemSlides* LookInService::slides() const {
    const Item* item = m_session.document().service().item(m_item);
    return item ? m_session.book().slidesOf(m_item) : nullptr;
}

SlidePlace LookInService::placeOf(int slide) const {
    const ItemSlides* made = slides();
    if (!made || made->outputs.empty())
        return {};
    const auto& shown = made->outputs[size_t(std::max(0, mainOutput(*made)))].slides;
    return slide < int(shown.size()) ? slidePlace(made->content, shown[size_t(slide)]) : SlidePlace();
}

LookTarget LookInService::targetOfSlide(int slide) const {
    return {LookLevel::Slide, {}, {m_item}, placeOf(slide)};
}

int LookInService::objectsAbove() const {
    LookTarget other = target();
    other.items = {m_item};
    other.place = placeOf(m_slide.value_or(0));
    size_t objects = 0;
    for (const LookLevel above : {LookLevel::Kind, LookLevel::Item, LookLevel::Slide})
        if (above > level()) {
            other.level = above;
            objects += choiceAt(m_session.document().service(), other).objects.size();
        }
    return int(objects);
}

QString LookInService::targetText() const {
    const LookTarget now = target();
    if (now.level == LookLevel::Item && now.items.size() > 1)
        return tr("%n items", nullptr, int(now.items.size()));
    const Item* item = m_session.document().service().item(m_item);
    if (now.level == LookLevel::Item && item)
        return QStringLiteral("\u201c%1\u201d").arg(item->title());
    if (now.level == LookLevel::Kind)
        return QStringLiteral("\u201c%1\u201d").arg(allOf(now.kind));
    return m_slide && now.level == LookLevel::Slide ? tr("slide %1").arg(*m_slide + 1) : tr("the service");
}

LookTarget LookInService::target() const {
    LookTarget target{level(), {}, {m_item}, {}};
    const Item* item = m_session.document().service().item(m_item);
    if (!item)
        return target;
    target.kind = kindOf(item->words).value_or(ItemKind::Song);
    if (target.level == LookLevel::Item && m_selection)
        if (auto selected = m_selection(); selected.size() > 1)
            target.items = std::move(selected);
    if (target.level == LookLevel::Slide && m_slide)
        target.place = placeOf(*m_slide);
    return target;
}

void LookInService::change(const QString& what, const std::function<void(LookChoice&)>& work, int visit) {
    m_session.document().changeLook(target(), m_session.book().themes(), work, what, visit);
}

void LookInService::set(const LookProperty& property, const LookValue& value) {
    change(property.label(), [&](LookChoice& choice) { choice.own.set(property, value); });
}

void LookInService::setTheme(const QString& id) {
    const Theme* theme = themeOf(id, m_session.book().themes());
    change(theme ? tr("the theme %1").arg(theme->name) : tr("no theme of its own"),
           [&](LookChoice& choice) { choice.theme = id; });
    refresh();
}

void LookInService::whitenWords() {
    change(tr("white words"), [](LookChoice& choice) {
        choice.own.set(*lookProperty(QStringLiteral("words.colour")), Colour{255, 255, 255, 255});
    });
}

void LookInService::fillLevels() {
    const Item* item = m_session.document().service().item(m_item);
    const auto kind = item ? kindOf(item->words) : std::nullopt;
    const QVariant before = m_level->currentData();
    m_level->clear();
    m_level->addItem(tr("The whole service"), int(LookLevel::Service));
    if (kind) {
        m_level->addItem(allOf(*kind), int(LookLevel::Kind));
        m_level->addItem(tr("This item"), int(LookLevel::Item));
        if (m_slide)
            m_level->addItem(tr("This slide (%1)").arg(*m_slide + 1), int(LookLevel::Slide));
    }
    const int at = m_level->findData(before);
    m_level->setCurrentIndex(at >= 0 ? at : std::max(0, m_level->findData(int(LookLevel::Item))));
    if (!before.isValid())
        m_level->setCurrentIndex(0);
}

void LookInService::fillThemes() {
    const Service& service = m_session.document().service();
    const bool forService = level() == LookLevel::Service;
    m_theme->clear();
    if (!forService)
        m_theme->addItem(tr("as it comes"), QString());
    std::vector<Theme> themes = m_session.book().themes();
    if (!themeOf(service.theme.id, themes))
        themes.insert(themes.begin(), service.theme); // it came with the file
    for (const Theme& theme : themes)
        m_theme->addItem(theme.name, theme.id);
    const QString chosen = forService ? service.theme.id : choiceAt(service, target()).theme;
    m_theme->setCurrentIndex(std::max(0, m_theme->findData(chosen)));
    if (m_shelf->themes() != themes)
        m_shelf->setThemes(themes);
    m_shelf->choose(chosen);
}

void LookInService::refresh() {
    fillLevels();
    fillThemes();
    m_giveUp->setEnabled(!choiceAt(m_session.document().service(), target()).isEmpty());
    showOutputs();
    m_reading->forget();
    showReading();
    showReasons();
    if (m_arrangeButton->isChecked())
        m_arrange->refresh();
}

/// Made when it is first wanted, as the form is.
void LookInService::showArrange(bool shown) {
    if (!m_arrange) {
        m_arrange = new ArrangeInService(m_session, m_thumbnails, m_supplies, *this);
        qobject_cast<QVBoxLayout*>(layout())->insertWidget(m_arrangeAt, m_arrange);
    }
    m_arrange->setVisible(shown);
    if (shown) {
        m_arrange->refresh();
        m_arrange->canvas()->setFocus();
    }
}

void LookInService::showOutputs() {
    const ItemSlides* made = slides();
    const auto& themes = m_session.book().themes();
    const size_t count = made ? made->outputs.size() : 0;
    while (m_outputs.size() < count) {
        const int row = int(m_outputs.size()) + 4;
        auto* name = new QLabel(this);
        auto* look = new QLabel(this);
        look->setAlignment(Qt::AlignRight);
        look->setWordWrap(true);
        makeQuiet(look);
        m_grid->addWidget(name, row, 0);
        m_grid->addWidget(look, row, 1);
        m_outputs.emplace_back(name, look);
    }
    m_readings.clear();
    for (size_t i = 0; i < m_outputs.size(); ++i) {
        m_outputs[i].first->setVisible(i < count);
        m_outputs[i].second->setVisible(i < count);
        if (i >= count)
            continue;
        const OutputSlides& output = made->outputs[i];
        m_readings.push_back(readingOf(*made, output, m_session.contrasts(), Contrasts::Urgency::Seen));
        const auto& reading = m_readings.back();
        QString look = tr("%1 px \u00b7 %2").arg(output.fontSize).arg(output.reasonText);
        if (reading)
            look += QStringLiteral(" \u00b7 ") + readingText(reading->worst);
        const Theme* insisted = themeOf(output.output.look.theme, themes);
        if (insisted && !output.output.insists.empty())
            look = insisted->name + QStringLiteral(" \u00b7 ") + look;
        m_outputs[i].first->setText(output.output.label());
        m_outputs[i].second->setText(look);
    }
    m_why->setEnabled(count > 0);
    if (m_reasonsFor->count() != int(count)) {
        m_reasonsFor->clear();
        for (size_t i = 0; i < count; ++i)
            m_reasonsFor->addItem(made->outputs[i].output.label());
    }
}

/// What would mend the first output that wants it; after showOutputs().
void LookInService::showReading() {
    showWorst();
    const ItemSlides* made = slides();
    if (!made) {
        m_reading->clear();
        return;
    }
    const OutputSlides* wanting = nullptr;
    for (size_t i = 0; !wanting && i < made->outputs.size(); ++i) {
        const auto& reading = m_readings[i];
        const bool isFine = !reading || (reading->worst.isLargeEnough() && reading->worst.isStrongEnough());
        if (!isFine || made->outputs[i].reason.cause != FitCause::ThemeSize)
            wanting = &made->outputs[i];
    }
    if (!wanting) {
        m_reading->clear();
        return;
    }
    m_reading->setReading(*made, *wanting, [this](const LookOverrides& changes) {
        Service service = m_session.document().service();
        changeChoice(service, target(), m_session.book().themes(),
                     [&](LookChoice& choice) { choice.own.add(changes); });
        const Item* item = service.item(m_item);
        return slidesFor(contentOf(*item, service), m_session.outputs().all(),
                         lookChainOf(*item, service, m_session.book().themes()), m_session.book().measures());
    });
}

/// Of the whole service, while its look is what is chosen.
void LookInService::showWorst() {
    QStringList lines;
    const auto worst = m_session.readings().worst();
    for (size_t i = 0; i < worst.size() && i < m_session.outputs().all().size(); ++i) {
        const Item* item = worst[i] ? m_session.document().service().item(worst[i]->item) : nullptr;
        if (item)
            lines << tr("%1: %2 (\u2068%3\u2069)")
                         .arg(m_session.outputs().all()[i].label(), readingText(worst[i]->reading.worst),
                              item->title());
    }
    m_worst->setText(tr("The worst of the whole service\n%1").arg(lines.join(u'\n')));
    m_worst->setVisible(level() == LookLevel::Service && !lines.isEmpty());
}

void LookInService::showReasons() {
    const ItemSlides* made = slides();
    const int at = m_reasonsFor->currentIndex();
    const bool shown = m_why->isChecked() && made && at >= 0 && at < int(made->outputs.size());
    m_reasons->setVisible(shown);
    if (!shown)
        return;
    if (!m_form)
        buildForm();
    const OutputSlides& output = made->outputs[size_t(at)];
    ResolvedLook look{output.look, output.sources};
    if (level() == LookLevel::Slide && m_slide) {
        const SlidePlace place = target().place;
        for (const Slide& slide : output.slides)
            if (slide.own && slidePlace(made->content, slide).part == place.part &&
                slide.start.line >= place.line && slide.start.line <= place.toLine)
                look = slide.own->look;
    }
    m_form->setLook(look, choiceAt(m_session.document().service(), target()));
}

} // namespace mivanta

#include "moc_LookInService.cpp"
