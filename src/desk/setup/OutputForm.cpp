// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/OutputForm.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSignalBlocker>
#include <QSpinBox>
#include <algorithm>

namespace mivanta {

namespace {

struct LayerFacts {
    bool OutputLayers::*member;
    const char* id;
    const char* name;
    const char* tip;
};
constexpr LayerFacts kLayers[]{
    {&OutputLayers::words, "layer-words", QT_TRANSLATE_NOOP("mivanta::OutputForm", "words"),
     QT_TRANSLATE_NOOP("mivanta::OutputForm", "Without them this output shows backdrops only")},
    {&OutputLayers::backdrop, "layer-backdrop", QT_TRANSLATE_NOOP("mivanta::OutputForm", "backdrop"),
     QT_TRANSLATE_NOOP("mivanta::OutputForm", "Without it there is nothing behind the words")},
    {&OutputLayers::objects, "layer-objects", QT_TRANSLATE_NOOP("mivanta::OutputForm", "objects"),
     QT_TRANSLATE_NOOP("mivanta::OutputForm", "Pictures, texts, shapes, clocks and countdowns of the look")},
    {&OutputLayers::credit, "layer-credit", QT_TRANSLATE_NOOP("mivanta::OutputForm", "credit line"),
     QT_TRANSLATE_NOOP("mivanta::OutputForm", "Who wrote the song, and under which licence it is shown")},
    {&OutputLayers::callOuts, "layer-call-outs", QT_TRANSLATE_NOOP("mivanta::OutputForm", "call-outs"),
     QT_TRANSLATE_NOOP("mivanta::OutputForm", "Messages that are called out while running")},
};

} // namespace

OutputForm::OutputForm(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("output-form"));
    auto* form = new QFormLayout(this);
    form->setVerticalSpacing(spaced(1.5));
    m_heading = headingOf({}, this);
    form->addRow(m_heading);
    m_name = new QLineEdit(this);
    m_name->setObjectName(QStringLiteral("output-name"));
    m_name->setToolTip(tr("What this output is called on every desk"));
    m_name->setAccessibleName(tr("Name"));
    connect(m_name, &QLineEdit::editingFinished, this, [this] {
        if (m_name->text().trimmed() != m_output.name)
            Q_EMIT renamed(m_name->text().trimmed());
    });
    form->addRow(tr("Name"), m_name);
    const auto metres = [&](const QString& name, const QString& label, const QString& tip, double most) {
        auto* box = new QDoubleSpinBox(this);
        box->setObjectName(name);
        box->setRange(0.1, most);
        box->setSingleStep(0.1);
        box->setDecimals(1);
        box->setSuffix(tr(" m"));
        box->setKeyboardTracking(false);
        box->setAccessibleName(label);
        box->setToolTip(tip);
        connect(box, &QDoubleSpinBox::valueChanged, this, &OutputForm::send);
        form->addRow(label, box);
        return box;
    };
    m_height = metres(QStringLiteral("picture-height"), tr("Picture height"),
                      tr("How high the picture is on its screen, measured in the hall"), 20);
    m_backRow = metres(QStringLiteral("back-row"), tr("Back row"),
                       tr("How far from the screen those sit who are last"), 200);
    m_light = new QComboBox(this);
    m_light->setObjectName(QStringLiteral("room-light"));
    m_light->addItems({tr("dark"), tr("dimmed"), tr("daylight")}); // in the order of RoomLight
    m_light->setToolTip(tr("How much light falls on the screen; light weakens the contrast"));
    m_light->setAccessibleName(tr("Light in the room"));
    connect(m_light, &QComboBox::activated, this, &OutputForm::send);
    form->addRow(tr("Light in the room"), m_light);
    m_lines = new QSpinBox(this);
    m_lines->setObjectName(QStringLiteral("output-lines"));
    m_lines->setRange(1, 20);
    m_lines->setKeyboardTracking(false);
    m_lines->setToolTip(tr("No slide of this output has more lines than this"));
    m_lines->setAccessibleName(tr("Lines at most"));
    connect(m_lines, &QSpinBox::valueChanged, this, &OutputForm::send);
    form->addRow(tr("Lines at most"), m_lines);
    m_ownSteps = new QCheckBox(tr("Has steps of its own"), this);
    m_ownSteps->setObjectName(QStringLiteral("own-steps"));
    m_ownSteps->setToolTip(tr("Space stops at every slide of this output"));
    connect(m_ownSteps, &QCheckBox::clicked, this, &OutputForm::send);
    form->addRow(m_ownSteps);
    m_theme = new QComboBox(this);
    m_theme->setObjectName(QStringLiteral("output-theme"));
    m_theme->setAccessibleName(tr("Theme"));
    m_theme->setToolTip(tr("The output's own theme: what of it is insisted on goes before everything else"));
    m_theme->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    connect(m_theme, &QComboBox::activated, this, [this](int index) {
        // A theme is chosen for its whole look, unless somebody says otherwise.
        if (m_output.look.theme.isEmpty() && index > 0)
            m_output.insists = allLookGroups();
        m_output.look.theme = m_theme->itemData(index).toString();
        if (index == 0)
            m_output.insists.clear();
        Q_EMIT changed(m_output);
    });
    form->addRow(tr("Theme"), m_theme);
    for (const LookGroup group : allLookGroups()) {
        auto* box = new QCheckBox(tr("insists on: %1").arg(labelOf(group)), this);
        box->setObjectName(QStringLiteral("insists-") + QLatin1String(keyOf(group)));
        box->setToolTip(tr("This output keeps it whatever the service, an item or a slide says"));
        connect(box, &QCheckBox::clicked, this, &OutputForm::send);
        form->addRow(box);
        m_insists.push_back(box);
    }
    addLayers(form);
}

void OutputForm::addLayers(QFormLayout* form) {
    form->addRow(new QLabel(tr("It shows:"), this));
    for (const LayerFacts& layer : kLayers) {
        auto* box = new QCheckBox(tr(layer.name), this);
        box->setObjectName(QLatin1String(layer.id));
        box->setToolTip(tr(layer.tip));
        connect(box, &QCheckBox::clicked, this, &OutputForm::send);
        form->addRow(box);
        m_layers.push_back(box);
    }
}

void OutputForm::showName() {
    m_name->setText(m_output.name);
}

void OutputForm::fillThemes(const std::vector<Theme>& themes) {
    m_theme->clear();
    m_theme->addItem(tr("as the service says"), QString());
    for (const Theme& theme : themes)
        m_theme->addItem(theme.name, theme.id);
    m_theme->setCurrentIndex(std::max(0, m_theme->findData(m_output.look.theme)));
}

void OutputForm::setOutput(const Output& output, const std::vector<Theme>& themes) {
    m_output = output;
    const QSignalBlocker height(m_height);
    const QSignalBlocker backRow(m_backRow);
    const QSignalBlocker lines(m_lines);
    m_heading->setText(output.label());
    if (!m_name->hasFocus() || !m_name->isModified())
        m_name->setText(output.name);
    m_height->setValue(output.pictureHeight);
    m_backRow->setValue(output.backRow);
    m_light->setCurrentIndex(int(output.light));
    m_lines->setValue(output.linesAtMost);
    m_ownSteps->setChecked(output.ownSteps);
    for (size_t i = 0; i < m_layers.size(); ++i)
        m_layers[i]->setChecked(output.layers.*kLayers[i].member);
    fillThemes(themes);
    for (size_t i = 0; i < m_insists.size(); ++i) {
        m_insists[i]->setVisible(!output.look.theme.isEmpty());
        m_insists[i]->setChecked(std::find(output.insists.begin(), output.insists.end(), LookGroup(int(i))) !=
                                 output.insists.end());
    }
}

void OutputForm::send() {
    m_output.pictureHeight = m_height->value();
    m_output.backRow = m_backRow->value();
    m_output.light = RoomLight(m_light->currentIndex());
    m_output.linesAtMost = m_lines->value();
    m_output.ownSteps = m_ownSteps->isChecked();
    for (size_t i = 0; i < m_layers.size(); ++i)
        m_output.layers.*kLayers[i].member = m_layers[i]->isChecked();
    m_output.insists.clear();
    for (size_t i = 0; i < m_insists.size(); ++i)
        if (!m_output.look.theme.isEmpty() && m_insists[i]->isChecked())
            m_output.insists.push_back(LookGroup(int(i)));
    Q_EMIT changed(m_output);
}

} // namespace mivanta

#include "moc_OutputForm.cpp"
