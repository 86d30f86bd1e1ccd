// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/LayoutForm.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>

namespace mivanta {

LayoutForm::LayoutForm(int columns, QWidget* parent) : QWidget(parent), m_columns(columns) {
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(spaced(4));
    grid->setVerticalSpacing(spaced(1.5));
    for (int column = 0; column < columns; ++column)
        grid->setColumnStretch(2 * column + 1, 1);
    // In the order of the enumerators.
    m_flow = addChoice(0, QStringLiteral("passage-flow"), tr("Verses"),
                       tr("Whether verses follow one another in the same lines"),
                       {tr("Running text"), tr("A verse a line"), tr("A verse a slide")});
    m_numbers =
        addChoice(1, QStringLiteral("passage-numbers"), tr("Verse numbers"),
                  tr("How the numbers of the verses look"), {tr("Raised"), tr("In the line"), tr("None")});
    m_referenceOn = addChoice(2, QStringLiteral("passage-reference-on"), tr("Reference"),
                              tr("The slides that say where the words are from"),
                              {tr("On every slide"), tr("On the last slide"), tr("On none")});
    m_referencePlace = addChoice(3, QStringLiteral("passage-reference-place"), tr("Its place"),
                                 tr("Where on the slide the reference stands"),
                                 {tr("In the credit line"), tr("Under the words")});
    m_namesTranslation = addCheck(4, QStringLiteral("passage-names-translation"), tr("Name the translation"),
                                  tr("The translation's short name stands behind the reference"));
    m_keepsPoetry = addCheck(5, QStringLiteral("passage-keeps-poetry"), tr("Keep lines of poetry"),
                             tr("Lines of psalms and songs stay lines; otherwise they run on"));
}

void LayoutForm::place(int number, QWidget* label, QWidget* field) {
    auto* grid = static_cast<QGridLayout*>(layout());
    const int column = number % m_columns * 2;
    if (label)
        grid->addWidget(label, number / m_columns, column);
    grid->addWidget(field, number / m_columns, column + 1);
}

QComboBox* LayoutForm::addChoice(int row, const QString& name, const QString& label, const QString& tip,
                                 const QStringList& choices) {
    auto* box = new QComboBox(this);
    box->setObjectName(name);
    box->setAccessibleName(label);
    box->setToolTip(tip);
    box->addItems(choices);
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    place(row, new QLabel(label, this), box);
    connect(box, &QComboBox::activated, this, &LayoutForm::changed);
    return box;
}

QCheckBox* LayoutForm::addCheck(int row, const QString& name, const QString& text, const QString& tip) {
    auto* box = new QCheckBox(text, this);
    box->setObjectName(name);
    box->setToolTip(tip);
    place(row, nullptr, box);
    connect(box, &QCheckBox::clicked, this, &LayoutForm::changed);
    return box;
}

void LayoutForm::setLayoutShown(const PassageLayout& layout) {
    m_flow->setCurrentIndex(int(layout.flow));
    m_numbers->setCurrentIndex(int(layout.numbers));
    m_referenceOn->setCurrentIndex(int(layout.referenceOn));
    m_referencePlace->setCurrentIndex(int(layout.referencePlace));
    m_referencePlace->setEnabled(layout.referenceOn != ReferenceOn::None);
    m_namesTranslation->setChecked(layout.namesTranslation);
    m_namesTranslation->setEnabled(layout.referenceOn != ReferenceOn::None);
    m_keepsPoetry->setChecked(layout.keepsPoetry);
}

PassageLayout LayoutForm::layoutShown() const {
    return {PassageFlow(m_flow->currentIndex()),
            VerseNumbers(m_numbers->currentIndex()),
            ReferenceOn(m_referenceOn->currentIndex()),
            ReferencePlace(m_referencePlace->currentIndex()),
            m_namesTranslation->isChecked(),
            m_keepsPoetry->isChecked()};
}

} // namespace mivanta

#include "moc_LayoutForm.cpp"
