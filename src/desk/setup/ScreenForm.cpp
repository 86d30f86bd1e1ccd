// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/ScreenForm.h"
#include "desk/kit/ColourEdit.h"
#include "desk/kit/Columns.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QSignalBlocker>
#include <QSpinBox>

namespace mivanta {

namespace {

constexpr int kFarthest = 20'000; // px, of a window's place
const QString kPx = QStringLiteral(" px");

QGridLayout* pairs(const std::array<std::pair<QString, QWidget*>, 4>& fields, QWidget* parent) {
    auto* grid = new QGridLayout;
    grid->setSpacing(spaced(1));
    for (int i = 0; i < int(fields.size()); ++i) {
        const auto& [name, field] = fields[size_t(i)];
        field->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed); // two of them beside each other
        field->setMinimumWidth(spaced(18));
        grid->addWidget(new QLabel(name, parent), i / 2, i % 2 * 2);
        grid->addWidget(field, i / 2, i % 2 * 2 + 1);
    }
    grid->setColumnStretch(1, 1);
    grid->setColumnStretch(3, 1);
    return grid;
}

} // namespace

ScreenForm::ScreenForm(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("screen-form"));
    auto* form = new QFormLayout(this);
    form->setVerticalSpacing(spaced(1.5));
    form->addRow(headingOf(tr("Its screen"), this));
    m_testCard = new QPushButton(tr("&Test card"), this);
    m_testCard->setObjectName(QStringLiteral("test-card"));
    m_testCard->setCheckable(true);
    m_testCard->setToolTip(
        tr("A card on this screen to set it up with: edges, circles, greys. It goes when it is "
           "switched off, or when you leave Setup."));
    connect(m_testCard, &QPushButton::clicked, this, &ScreenForm::testCardWanted);
    form->addRow(m_testCard);
    addPicture(form);
    addWindow(form);
    addShape(form);
    addGround(form);
}

QSpinBox* ScreenForm::number(const char* name, const QString& tip, int least, int most) {
    auto* box = makeNumber<QSpinBox>(least, least, most, kPx, tip, this);
    box->setObjectName(QLatin1String(name));
    connect(box, &QSpinBox::valueChanged, this, &ScreenForm::send);
    return box;
}

QCheckBox* ScreenForm::check(const char* name, const QString& text, const QString& tip) {
    auto* box = new QCheckBox(text, this);
    box->setObjectName(QLatin1String(name));
    box->setToolTip(tip);
    connect(box, &QCheckBox::clicked, this, &ScreenForm::send);
    return box;
}

void ScreenForm::addPicture(QFormLayout* form) {
    m_width = number("picture-px-wide", tr("How wide the picture is, in pixels of the screen"), 160, 7680);
    m_height = number("picture-px-high", tr("How high the picture is, in pixels of the screen"), 90, 4320);
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(1));
    row->addWidget(m_width, 1);
    row->addWidget(new QLabel(QStringLiteral("\u00d7"), this));
    row->addWidget(m_height, 1);
    form->addRow(tr("Picture"), row);
}

void ScreenForm::addWindow(QFormLayout* form) {
    m_hasPlace = check("window-placed", tr("Its window has a place"),
                       tr("The window has no frame and stands just here, so that a program that captures it "
                          "gets the picture and nothing else"));
    m_window = {number("window-left", tr("Left edge of the window on the desktop"), -kFarthest, kFarthest),
                number("window-top", tr("Top edge of the window on the desktop"), -kFarthest, kFarthest),
                number("window-wide", tr("Width of the window"), 64, 7680),
                number("window-high", tr("Height of the window"), 64, 4320)};
    m_windowRow = new QWidget(this);
    auto* grid = pairs({{{tr("Left"), m_window[0]},
                         {tr("Top"), m_window[1]},
                         {tr("Width"), m_window[2]},
                         {tr("Height"), m_window[3]}}},
                       m_windowRow);
    grid->setContentsMargins(0, 0, 0, 0);
    m_windowRow->setLayout(grid);
    m_above = check("always-above", tr("Keep above other windows"),
                    tr("Nothing that opens on its screen can cover the picture"));
    m_pointer = check("hide-pointer", tr("Hide the mouse pointer"),
                      tr("The arrow is not seen while it is over the picture"));
    form->addRow(m_hasPlace);
    form->addRow(m_windowRow);
    form->addRow(m_above);
    form->addRow(m_pointer);
}

void ScreenForm::addShape(QFormLayout* form) {
    m_turn = new QComboBox(this);
    m_turn->setObjectName(QStringLiteral("picture-turn"));
    m_turn->addItems({tr("not rotated"), tr("90\u00b0 to the right"), tr("180\u00b0"),
                      tr("90\u00b0 to the left")}); // in the order of Turn
    m_turn->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_turn->setToolTip(tr("For a screen or a projector that hangs turned"));
    m_turn->setAccessibleName(m_turn->toolTip());
    connect(m_turn, &QComboBox::activated, this, &ScreenForm::send);
    form->addRow(tr("Rotate"), m_turn);
    m_mirrored = check("picture-mirrored", tr("Flip horizontally"),
                       tr("For projection from behind, or over a mirror"));
    m_flipped =
        check("picture-flipped", tr("Flip vertically"), tr("For projection over a mirror that lies flat"));
    form->addRow(m_mirrored);
    form->addRow(m_flipped);
    const std::array names{"margin-left", "margin-top", "margin-right", "margin-bottom"};
    for (size_t side = 0; side < m_margins.size(); ++side) {
        auto* box =
            makeNumber<QDoubleSpinBox>(0.0, 0.0, kMostMargin, tr(" %"),
                                       tr("So much of the screen stays black at this side, for screens "
                                          "that cut edges off"),
                                       this);
        box->setObjectName(QLatin1String(names[side]));
        box->setSingleStep(0.5);
        box->setDecimals(1);
        connect(box, &QDoubleSpinBox::valueChanged, this, &ScreenForm::send);
        m_margins[side] = box;
    }
    auto* label = new QLabel(tr("Edges that the screen cuts off"), this);
    form->addRow(label);
    form->addRow(pairs({{{tr("Left"), m_margins[0]},
                         {tr("Top"), m_margins[1]},
                         {tr("Right"), m_margins[2]},
                         {tr("Bottom"), m_margins[3]}}},
                       this));
}

void ScreenForm::addGround(QFormLayout* form) {
    m_ground = new QComboBox(this);
    m_ground->setObjectName(QStringLiteral("picture-ground"));
    m_ground->addItems({tr("black"), tr("a key colour"), tr("see-through")}); // in the order of Ground
    m_ground->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_ground->setToolTip(
        tr("What is behind the words where a theme has no backdrop: black, a colour that a video "
           "mixer takes out, or whatever lies under the window"));
    m_ground->setAccessibleName(m_ground->toolTip());
    connect(m_ground, &QComboBox::activated, this, &ScreenForm::send);
    form->addRow(tr("Background"), m_ground);
    m_key = new ColourEdit(tr("The key colour"), this);
    connect(m_key, &ColourEdit::edited, this, [this](const Colour& colour) {
        m_output.keyColour = colour;
        send();
    });
    form->addRow(QString(), m_key);
}

void ScreenForm::setOutput(const Output& output, bool hasTestCard) {
    m_testCard->setChecked(hasTestCard);
    if (output == m_output && !m_output.name.isEmpty())
        return;
    m_output = output;
    const auto show = [](auto* box, auto value) {
        const QSignalBlocker quiet(box);
        box->setValue(value);
    };
    show(m_width, output.size.width());
    show(m_height, output.size.height());
    const QRect window =
        output.place.window.isNull() ? QRect(QPoint(0, 0), output.size) : output.place.window;
    show(m_window[0], window.x());
    show(m_window[1], window.y());
    show(m_window[2], window.width());
    show(m_window[3], window.height());
    m_hasPlace->setChecked(!output.place.window.isNull());
    m_above->setChecked(output.isAbove);
    m_pointer->setChecked(output.hidesPointer);
    m_turn->setCurrentIndex(int(output.shape.turn));
    m_mirrored->setChecked(output.shape.isMirrored);
    m_flipped->setChecked(output.shape.isFlipped);
    const QMarginsF& m = output.shape.margins;
    const std::array margins{m.left(), m.top(), m.right(), m.bottom()};
    for (size_t side = 0; side < margins.size(); ++side)
        show(m_margins[side], margins[side]);
    m_ground->setCurrentIndex(int(output.ground));
    m_key->setColour(output.keyColour);
    showWindow();
}

/// What does not matter is not there.
void ScreenForm::showWindow() {
    const bool isWindow = m_output.place.kind == PlaceKind::Window;
    m_hasPlace->setVisible(isWindow);
    m_windowRow->setVisible(isWindow && m_hasPlace->isChecked());
    const bool hasFrame = isWindow && !m_hasPlace->isChecked();
    m_above->setEnabled(!hasFrame);
    m_pointer->setEnabled(!hasFrame);
    m_key->setVisible(m_output.ground == Ground::Key);
}

void ScreenForm::send() {
    m_output.size = {m_width->value(), m_height->value()};
    m_output.place.window = m_hasPlace->isChecked() ? QRect(m_window[0]->value(), m_window[1]->value(),
                                                            m_window[2]->value(), m_window[3]->value())
                                                    : QRect();
    m_output.isAbove = m_above->isChecked();
    m_output.hidesPointer = m_pointer->isChecked();
    m_output.shape.turn = Turn(m_turn->currentIndex());
    m_output.shape.isMirrored = m_mirrored->isChecked();
    m_output.shape.isFlipped = m_flipped->isChecked();
    m_output.shape.margins = {m_margins[0]->value(), m_margins[1]->value(), m_margins[2]->value(),
                              m_margins[3]->value()};
    m_output.ground = Ground(m_ground->currentIndex());
    showWindow();
    Q_EMIT changed(m_output);
}

} // namespace mivanta

#include "moc_ScreenForm.cpp"
