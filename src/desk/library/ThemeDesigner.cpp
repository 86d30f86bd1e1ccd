// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ThemeDesigner.h"
#include "core/theme/ObjectKinds.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/PictureView.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/library/ThemeSample.h"
#include "desk/look/LookForm.h"
#include "desk/look/ReadingPanel.h"
#include "desk/look/SlideCanvas.h"
#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kFollowDragMs = 30; // previews follow a drag this closely
}

ThemeDesigner::ThemeDesigner(const Tools& tools, ThemeDraft& draft, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_thumbnails(tools.thumbnails),
      m_draft(draft) {
    setObjectName(QStringLiteral("theme-designer"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(buildStage(), 10);
    row->addWidget(buildFormColumn(), 6);
    m_soon.setSingleShot(true);
    m_soon.setInterval(kFollowDragMs);
    connect(&m_soon, &QTimer::timeout, this, &ThemeDesigner::showSample);
    connect(&m_draft, &ThemeDraft::loaded, this, [this] {
        m_slide = 0;
        m_canvas->choose(SlideCanvas::kWords);
    });
    for (const auto signal : {&DraftSignals::loaded, &DraftSignals::changed, &DraftSignals::stateChanged})
        connect(&m_draft, signal, this, &ThemeDesigner::refresh);
    connect(&m_session.book(), &SlideBook::changed, this, [this] {
        fillOutputs();
        if (isVisible())
            m_soon.start();
    });
    fillOutputs();
    refresh();
}

QWidget* ThemeDesigner::buildStage() {
    auto* stage = new QWidget(this);
    m_name = new QLineEdit(stage);
    m_name->setObjectName(QStringLiteral("theme-name"));
    m_name->setAccessibleName(tr("Name of the theme"));
    m_name->setFont(textFont(1.3, TextWeight::Bold));
    connect(m_name, &QLineEdit::editingFinished, this, [this] { m_draft.rename(m_name->text()); });
    m_state = new QLabel(stage);
    makeQuiet(m_state);
    m_save = new QPushButton(tr("Save"), stage);
    m_save->setObjectName(QStringLiteral("theme-save"));
    m_save->setProperty("main", true);
    m_save->setToolTip(tr("Store the theme in the library (Ctrl+S)"));
    connect(m_save, &QPushButton::clicked, this, &ThemeDesigner::saveWanted);
    auto* head = new QHBoxLayout;
    head->addWidget(m_name, 1);
    head->addWidget(m_state);
    head->addWidget(m_save);

    m_canvas = new SlideCanvas(m_thumbnails, stage);
    m_canvas->setObjectName(QStringLiteral("theme-canvas"));
    m_canvas->setEmptyText(tr("Choose a theme, or make a new one."));
    connect(m_canvas, &SlideCanvas::boxChanged, this, &ThemeDesigner::boxChanged);
    connect(m_canvas, &SlideCanvas::dragEnded, this, [this] { m_draft.endVisit(); });
    connect(m_canvas, &SlideCanvas::chosenChanged, this, [this] { m_draft.endVisit(); });
    connect(m_canvas, &SlideCanvas::objectRemoved, this, [this](int index) {
        m_draft.endVisit();
        changeObjects([index](auto& objects) { objects.erase(objects.begin() + index); });
    });
    connect(m_canvas, &SlideCanvas::backdropDropped, this, &ThemeDesigner::takePicture);
    connect(m_canvas, &SlideCanvas::objectDropped, this, [this](const QString& path) {
        bringInOne(m_session, this, path, [this](const Medium& medium) { addObject(medium); });
    });
    connect(m_canvas, &SlideCanvas::picturePasted, this, [this](const QImage& pasted) {
        bringInPasted(m_session, this, pasted, [this](const Medium& picture) { addObject(picture); });
    });

    m_sample = new ThemeSample(m_session, stage);
    connect(m_sample, &ThemeSample::sampleChanged, this, [this] {
        m_slide = 0;
        showSample();
    });
    m_output = new QComboBox(stage);
    m_output->setObjectName(QStringLiteral("theme-output"));
    m_output->setAccessibleName(tr("Seen on"));
    m_output->setToolTip(tr("The output that the theme is designed for here"));
    connect(m_output, &QComboBox::activated, this, &ThemeDesigner::showSample);
    const auto stepButton = [&](const QString& text, const QString& name, const QString& tip, int by) {
        auto* button = new QToolButton(stage);
        button->setText(text);
        button->setObjectName(name);
        button->setToolTip(tip);
        button->setAccessibleName(tip);
        connect(button, &QToolButton::clicked, this, [this, by] { stepBy(by); });
        return button;
    };
    m_guides = new QCheckBox(tr("Safe area"), stage);
    m_guides->setChecked(true);
    m_guides->setToolTip(tr("Show the part of the screen that every projector and television shows"));
    connect(m_guides, &QCheckBox::toggled, m_canvas, &SlideCanvas::setGuidesShown);
    auto* tools = new QHBoxLayout;
    tools->addWidget(new QLabel(tr("Tried on"), stage));
    tools->addWidget(m_sample, 1);
    tools->addWidget(
        stepButton(QStringLiteral("\u2039"), QStringLiteral("sample-back"), tr("The slide before"), -1));
    tools->addWidget(
        stepButton(QStringLiteral("\u203a"), QStringLiteral("sample-on"), tr("The next slide"), 1));
    tools->addWidget(new QLabel(tr("seen on"), stage));
    tools->addWidget(m_output);
    tools->addWidget(m_guides);
    m_fit = new QLabel(stage);
    m_fit->setObjectName(QStringLiteral("theme-fit"));
    m_fit->setWordWrap(true);
    makeQuiet(m_fit);
    m_reading = new ReadingPanel(m_thumbnails, m_session.contrasts(), stage);
    connect(m_reading, &ReadingPanel::mendWanted, this, [this](const LookOverrides& changes) {
        m_draft.endVisit();
        for (const LookProperty* property : changes.properties())
            m_draft.set(*property, *changes.value(*property));
        m_draft.endVisit();
    });
    const auto again = [this] {
        if (isVisible())
            m_soon.start();
    };
    connect(&m_session.contrasts(), &Contrasts::measured, this, again);
    connect(&m_session.readings(), &ServiceReadings::changed, this, again);
    m_pictures = new QHBoxLayout;
    m_pictures->setSpacing(spaced(2.5));

    auto* column = new QVBoxLayout(stage);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addLayout(head);
    column->addWidget(m_canvas, 1);
    column->addLayout(tools);
    column->addWidget(m_fit);
    column->addWidget(m_reading);
    column->addLayout(m_pictures);
    return stage;
}

QWidget* ThemeDesigner::buildFormColumn() {
    m_formColumn = new QWidget(this);
    auto* column = new QVBoxLayout(m_formColumn);
    column->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(4));
    auto* area = columnOf(m_formColumn, this);
    area->setMinimumWidth(spaced(76));
    return area;
}

/// Made when the designer is first seen: it has a great many fields.
void ThemeDesigner::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    m_soon.start();
    if (m_form)
        return;
    m_form = new LookForm(lookSupplies(m_session, m_prompts, this), m_formColumn);
    connect(m_form, &LookForm::edited, this, [this](const LookProperty& property, const LookValue& value) {
        m_draft.endVisit();
        m_draft.set(property, value);
    });
    m_form->setGroupOpen(LookGroup::Colours, true);
    m_form->setGroupOpen(LookGroup::Backdrop, true);
    m_formColumn->layout()->addWidget(m_form);
    refresh();
}

void ThemeDesigner::focusName() {
    m_name->setFocus();
    m_name->selectAll();
}

void ThemeDesigner::takePicture(const QString& path) {
    if (!m_draft.theme())
        return;
    const bool isFilm = mediumKindOf(path) == MediumKind::Film;
    bringInOne(m_session, this, path, [this, isFilm, id = m_draft.theme()->id](const Medium& medium) {
        if (!m_draft.theme() || m_draft.theme()->id != id)
            return;
        m_draft.endVisit();
        set(isFilm ? QStringLiteral("backdrop.film") : QStringLiteral("backdrop.picture"), medium.name);
        set(QStringLiteral("backdrop.kind"),
            LookChoiceIndex{int(isFilm ? BackdropKind::Film : BackdropKind::Picture)});
    });
}

void ThemeDesigner::addObject(const Medium& medium) {
    m_draft.endVisit();
    changeObjects([&](auto& objects) { objects.push_back(objectOf(medium)); });
}

void ThemeDesigner::set(const QString& key, const LookValue& value) {
    m_draft.set(*lookProperty(key), value);
}

void ThemeDesigner::changeObjects(const std::function<void(std::vector<SlideObject>&)>& work) {
    if (!m_draft.theme())
        return;
    auto objects = m_draft.theme()->look.objects;
    work(objects);
    set(QStringLiteral("objects"), objects);
}

void ThemeDesigner::boxChanged(int box, const QRectF& shares) {
    if (box == SlideCanvas::kWords)
        set(QStringLiteral("words.box"), shares);
    else if (box == SlideCanvas::kCredit)
        set(QStringLiteral("credit.box"), shares);
    else
        changeObjects([&](auto& objects) { objects[size_t(box - SlideCanvas::kObjects)].box = shares; });
}

void ThemeDesigner::fillOutputs() {
    const auto& outputs = m_session.outputs().all();
    if (m_output->count() == int(outputs.size()))
        return;
    m_output->clear();
    for (const Output& output : outputs)
        m_output->addItem(output.label(), output.name);
}

void ThemeDesigner::refresh() {
    const Theme* theme = m_draft.theme();
    m_name->setEnabled(theme != nullptr);
    m_formColumn->setEnabled(theme != nullptr);
    m_save->setEnabled(m_draft.isChanged());
    m_state->setText(!theme ? QString() : m_draft.isChanged() ? tr("not saved") : tr("saved"));
    if (m_name->text() != (theme ? theme->name : QString()))
        m_name->setText(theme ? theme->name : QString());
    if (theme && m_form)
        m_form->setLook(theme->look);
    m_soon.start();
}

void ThemeDesigner::stepBy(int by) {
    m_slide += by;
    showSample();
}

void ThemeDesigner::showSample() {
    m_soon.stop();
    const Theme* theme = m_draft.theme();
    const int at = m_output->currentIndex();
    if (!theme || at < 0 || at >= int(m_session.outputs().all().size())) {
        m_canvas->setScene(std::nullopt);
        m_fit->clear();
        m_reading->clear();
        for (PictureView* view : m_views)
            view->setScene(std::nullopt);
        return;
    }
    // As if the output insisted on nothing: it is this theme that is designed.
    Output output = m_session.outputs().all()[size_t(at)];
    output.look = {};
    output.insists.clear();
    const ItemContent content = contentOf(m_sample->item().words, m_session.document().service());
    const ItemSlides slides = slidesFor(content, {output}, plainChain(*theme, m_session.book().themes()),
                                        m_session.book().measures());
    const OutputSlides& shown = slides.outputs.front();
    const int count = int(shown.slides.size());
    m_slide = std::clamp(m_slide, 0, std::max(0, count - 1));
    Scene scene = sceneOf(slides, shown, count > 0 ? std::optional(m_slide) : std::nullopt);
    if (scene.credit.isEmpty() && theme->look.credit.when != CreditWhen::Never)
        scene.credit = creditText(theme->look.credit.fields, content.credit); // or its box would seem empty
    m_canvas->setScene(scene);
    Contrasts& contrasts = m_session.contrasts();
    QString reading =
        count > 0 ? readingText(readingOfSlide(slides, shown, m_slide, contrasts, Contrasts::Urgency::Seen))
                  : QString();
    if (const QString worst = worstInService(size_t(at)); !worst.isEmpty())
        reading += u'\n' + worst;
    m_fit->setText(tr("Slide %1 of %2 \u00b7 %3 px, %4 \u00b7 %5")
                       .arg(count > 0 ? m_slide + 1 : 0)
                       .arg(count)
                       .arg(shown.fontSize)
                       .arg(shown.reasonText, reading));
    m_reading->forget();
    m_reading->setReading(slides, shown, [&](const LookOverrides& changes) {
        Theme changed = *theme;
        changes.applyTo(changed.look);
        return slidesFor(content, {output}, plainChain(changed, m_session.book().themes()),
                         m_session.book().measures());
    });
    showOutputs(*theme);
}

/// How the open service is read on an output, if it has this theme, as it was saved.
QString ThemeDesigner::worstInService(size_t output) const {
    const Service& service = m_session.document().service();
    const auto worst = m_session.readings().worst();
    if (service.theme.id != m_draft.theme()->id || output >= worst.size() || !worst[output])
        return {};
    const Item* item = service.item(worst[output]->item);
    return tr("The worst of the service: %1 (\u2068%2\u2069)")
        .arg(readingText(worst[output]->reading.worst), item ? item->title() : QString());
}

/// Every output as it will be in a service of this theme.
void ThemeDesigner::showOutputs(const Theme& theme) {
    std::vector<Theme> themes = m_session.book().themes();
    std::erase_if(themes, [&](const Theme& t) { return t.id == theme.id; });
    themes.push_back(theme);
    const ItemContent content = contentOf(m_sample->item().words, m_session.document().service());
    const ItemSlides slides =
        slidesFor(content, m_session.outputs().all(), plainChain(theme, themes), m_session.book().measures());
    while (m_views.size() < slides.outputs.size()) {
        m_views.push_back(new PictureView(m_thumbnails, this));
        m_pictures->addWidget(m_views.back(), 1);
    }
    const int step = std::clamp(m_slide, 0, int(slides.steps.size()) - 1);
    for (size_t i = 0; i < m_views.size(); ++i) {
        const bool isThere = i < slides.outputs.size();
        m_views[i]->setVisible(isThere);
        if (!isThere)
            continue;
        const OutputSlides& output = slides.outputs[i];
        m_views[i]->setScene(sceneOf(slides, output, output.slideAt(slides.steps[size_t(step)].position)));
        const Theme* own = themeOf(output.output.look.theme, themes);
        m_views[i]->setCaption(output.output.label(), own && !output.output.insists.empty()
                                                          ? tr("insists on %1").arg(own->name)
                                                          : tr("%1 px").arg(output.fontSize));
    }
}

} // namespace mivanta

#include "moc_ThemeDesigner.cpp"
