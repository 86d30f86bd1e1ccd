// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LookInService.h"
#include "core/run/Cards.h"
#include "desk/parts/Columns.h"
#include "desk/parts/LookForm.h"
#include "desk/parts/Style.h"
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
    }
    return {};
}

} // namespace

LookInService::LookInService(Session& session, const PictureChooser& choosePicture, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_choosePicture(choosePicture) {
    setObjectName(QStringLiteral("look-in-service"));
    m_grid = new QGridLayout;
    m_grid->setColumnStretch(1, 1);
    m_grid->setHorizontalSpacing(spaced(4));
    m_grid->setVerticalSpacing(spaced(1.5));
    buildTop();
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
    column->addWidget(m_reasons);
}

/// Made when it is first wanted: it has a great many fields.
void LookInService::buildForm() {
    m_form = new LookForm(m_choosePicture, m_reasons);
    connect(m_form, &LookForm::edited, this, &LookInService::set);
    connect(m_form, &LookForm::givenUp, this, [this](const LookProperty& property) {
        change(tr("giving up: %1").arg(QString::fromUtf8(property.label).toLower()), [&](LookChoice& choice) {
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
    m_white = new QPushButton(tr("White words"), this);
    m_white->setObjectName(QStringLiteral("white-words"));
    m_white->setToolTip(tr("Make all words of what is chosen white"));
    connect(m_white, &QPushButton::clicked, this, &LookInService::whitenWords);
    m_giveUp = new QPushButton(tr("As it comes"), this);
    m_giveUp->setObjectName(QStringLiteral("look-give-up"));
    m_giveUp->setToolTip(tr("Give up everything that was chosen here"));
    connect(m_giveUp, &QPushButton::clicked, this,
            [this] { change(tr("the look as it comes"), [](LookChoice& choice) { choice = {}; }); });
    m_why = new QToolButton(this);
    m_why->setObjectName(QStringLiteral("why-this-look"));
    m_why->setText(tr("Why this look?"));
    m_why->setToolTip(tr("Every property, its value, and where it comes from (Ctrl+L)"));
    m_why->setShortcut(QKeySequence(QStringLiteral("Ctrl+L")));
    m_why->setCheckable(true);
    connect(m_why, &QToolButton::toggled, this, [this](bool open) {
        m_reasons->setVisible(open);
        showReasons();
    });
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(spaced(2));
    buttons->addWidget(m_white);
    buttons->addWidget(m_giveUp);
    buttons->addStretch(1);
    buttons->addWidget(m_why);
    m_grid->addWidget(new QLabel(tr("For"), this), 0, 0);
    m_grid->addWidget(m_level, 0, 1, Qt::AlignRight);
    m_grid->addWidget(new QLabel(tr("Theme"), this), 1, 0);
    m_grid->addWidget(m_theme, 1, 1, Qt::AlignRight);
    m_grid->addLayout(buttons, 2, 0, 1, 2);
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

LookTarget LookInService::target() const {
    LookTarget target{level(), {}, {m_item}, {}};
    const Item* item = m_session.document().service().item(m_item);
    if (!item)
        return target;
    target.kind = kindOf(item->content).value_or(ItemKind::Song);
    if (target.level == LookLevel::Item && m_selection)
        if (auto selected = m_selection(); selected.size() > 1)
            target.items = std::move(selected);
    if (target.level == LookLevel::Slide)
        if (const ItemSlides* made = slides(); made && m_slide) {
            const auto& shown = made->outputs[size_t(std::max(0, mainOutput(*made)))].slides;
            if (*m_slide < int(shown.size()))
                target.place = slidePlace(made->content, shown[size_t(*m_slide)]);
        }
    return target;
}

void LookInService::change(const QString& what, const std::function<void(LookChoice&)>& work) {
    m_session.document().changeLook(target(), m_session.book().themes(), work, what);
}

void LookInService::set(const LookProperty& property, const LookValue& value) {
    const QString what = QString::fromUtf8(property.label).toLower();
    if (property.group == LookGroup::Objects) {
        // Those of the theme come first and stay the theme's; what was changed among them is a choice of its
        // own.
        change(what, [&](LookChoice& choice) {
            choice.own.set(property, value);
            choice.objects.clear();
        });
        return;
    }
    change(what, [&](LookChoice& choice) { choice.own.set(property, value); });
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
    const auto kind = item ? kindOf(item->content) : std::nullopt;
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
}

void LookInService::refresh() {
    fillLevels();
    fillThemes();
    m_giveUp->setEnabled(!choiceAt(m_session.document().service(), target()).isEmpty());
    showOutputs();
    showReasons();
}

void LookInService::showOutputs() {
    const ItemSlides* made = slides();
    const auto& themes = m_session.book().themes();
    const size_t count = made ? made->outputs.size() : 0;
    while (m_outputs.size() < count) {
        const int row = int(m_outputs.size()) + 3;
        auto* name = new QLabel(this);
        auto* look = new QLabel(this);
        look->setAlignment(Qt::AlignRight);
        look->setWordWrap(true);
        makeQuiet(look);
        m_grid->addWidget(name, row, 0);
        m_grid->addWidget(look, row, 1);
        m_outputs.emplace_back(name, look);
    }
    for (size_t i = 0; i < m_outputs.size(); ++i) {
        m_outputs[i].first->setVisible(i < count);
        m_outputs[i].second->setVisible(i < count);
        if (i >= count)
            continue;
        const OutputSlides& output = made->outputs[i];
        const Legibility legibility = legibilityOf(
            letterHeights(output.look.words, output.fontSize, output.output.size.height()), output.output);
        QString look = tr("%1 px \u00b7 %2 \u00b7 %3")
                           .arg(output.fontSize)
                           .arg(output.reasonText, legibilityText(legibility));
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
    m_form->setLook(look, choiceAt(m_session.document().service(), target()).own);
}

} // namespace mivanta
