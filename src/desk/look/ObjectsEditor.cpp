// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/ObjectsEditor.h"
#include "core/base/Cases.h"
#include "core/theme/StageField.h"
#include "desk/kit/ColourEdit.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Style.h"
#include "desk/look/LiveInputChoice.h"
#include <QComboBox>
#include <QCoreApplication>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPointer>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QToolButton>
#include <cmath>

namespace mivanta {

namespace {

constexpr int kMostFadeMs = 10'000;

int percent(double share) {
    return int(std::lround(share * 100));
}

/// What a person writes into an object, as one line of text; nothing for one in which nothing is written.
std::optional<QString> writtenIn(const SlideObject& object) {
    return std::visit(
        Cases{[](const TextObject& text) { return std::optional(text.text); },
              [](const ClockObject& clock) { return std::optional(clock.format); },
              [](const CountdownObject& countdown) { return std::optional(countdownText(countdown)); },
              [](const auto&) { return std::optional<QString>(); }},
        object.what);
}

/// False, with nothing changed, for what means nothing there: a countdown to no time.
bool write(SlideObject& object, const QString& text) {
    return std::visit(Cases{[&](TextObject& what) {
                                what.text = text;
                                return true;
                            },
                            [&](ClockObject& clock) {
                                clock.format = text.trimmed().isEmpty() ? ClockObject().format : text;
                                return true;
                            },
                            [&](CountdownObject& countdown) {
                                CountdownObject other = countdown;
                                setCountdownText(other, text);
                                const bool isUnderstood =
                                    text.trimmed().isEmpty() || other.ends || other.seconds;
                                countdown = isUnderstood ? other : countdown;
                                return isUnderstood;
                            },
                            [](auto&) { return false; }},
                      object.what);
}

QString contentTip(const SlideObject& object) {
    return object.is<ClockObject>() ? ObjectsEditor::tr("How the time is written, such as HH:mm")
           : object.is<CountdownObject>()
               ? ObjectsEditor::tr(
                     "The time that is counted down to, such as 10:30; on a stage monitor nothing = the "
                     "next fixed time of the order")
               : ObjectsEditor::tr("What it says");
}

QHBoxLayout* lineOf(const QString& label, const std::vector<QWidget*>& fields, QWidget* parent) {
    auto* line = new QHBoxLayout;
    line->setSpacing(spaced(1));
    line->addWidget(new QLabel(label, parent));
    line->addStretch(1);
    for (QWidget* field : fields)
        line->addWidget(field);
    return line;
}

} // namespace

ObjectsEditor::ObjectsEditor(LookSupplies supplies, QWidget* parent)
    : ListEditor(tr("Add an object\u2026"), tr("A picture, a text, a shape, a clock or a countdown"), parent),
      m_supplies(std::move(supplies)) {}

void ObjectsEditor::setValue(const LookValue& value) {
    const auto& objects = std::get<std::vector<SlideObject>>(value);
    if (objects == m_objects)
        return;
    const bool onlyMoved =
        objects.size() == m_objects.size() && std::equal(objects.begin(), objects.end(), m_objects.begin(),
                                                         [](SlideObject a, const SlideObject& b) {
                                                             a.box = b.box;
                                                             return a == b;
                                                         });
    m_objects = objects;
    m_open = std::clamp(m_open, -1, int(m_objects.size()) - 1);
    onlyMoved ? showPlace() : remake(); // it may be on the way, under the mouse
}

void ObjectsEditor::remake() {
    m_place = {};
    rebuild(m_objects.size());
}

void ObjectsEditor::showPlace() {
    if (m_open < 0 || !m_place.front())
        return;
    const QRectF& box = m_objects[size_t(m_open)].box;
    const std::array<double, 4> shares{box.x(), box.y(), box.width(), box.height()};
    for (size_t i = 0; i < shares.size(); ++i) {
        const QSignalBlocker quiet(m_place[i]);
        m_place[i]->setValue(shares[i] * 100);
    }
}

void ObjectsEditor::open(int index) {
    index = std::clamp(index, -1, int(m_objects.size()) - 1);
    if (index == m_open)
        return;
    m_open = index;
    remake();
    Q_EMIT opened(index);
}

void ObjectsEditor::change(size_t index, const std::function<void(SlideObject&)>& work) {
    work(m_objects[index]);
    Q_EMIT edited(m_objects);
}

void ObjectsEditor::swap(size_t index, size_t other) {
    auto objects = m_objects;
    std::swap(objects[index], objects[other]);
    m_open = int(other);
    Q_EMIT edited(objects);
}

QWidget* ObjectsEditor::makeRow(size_t index) {
    auto* row = new QWidget(this);
    auto* grid = new QGridLayout(row);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(spaced(1));
    addHead(grid, index, row);
    if (int(index) == m_open) {
        addContent(grid, index, row);
        addShape(grid, index, row);
        addPlace(grid, index, row);
        addManner(grid, index, row);
    }
    return row;
}

void ObjectsEditor::addHead(QGridLayout* grid, size_t index, QWidget* row) {
    const SlideObject& object = m_objects[index];
    const bool isOpen = int(index) == m_open;
    auto* name = new QToolButton(row);
    name->setObjectName(QStringLiteral("object-%1").arg(index));
    const QString kind = kindOf(object).label();
    const QString text = writtenIn(object).value_or(QString());
    name->setText(text.isEmpty() ? kind : kind + QStringLiteral(" \u00b7 ") + text.left(14));
    name->setToolTip(tr("Show or hide what can be said of it"));
    name->setCheckable(true);
    name->setChecked(isOpen);
    name->setArrowType(isOpen ? Qt::DownArrow : Qt::RightArrow);
    name->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
    connect(name, &QToolButton::clicked, this, [this, index](bool on) { open(on ? int(index) : -1); });
    auto* front =
        makeToggle(tr("In front"), tr("Before the words; otherwise behind them"), object.inFront, row);
    connect(front, &QToolButton::clicked, this,
            [this, index](bool on) { change(index, [on](SlideObject& o) { o.inFront = on; }); });
    const auto mover = [&](const QString& text, const QString& object, const QString& tip, bool can, int by) {
        auto* button = new QToolButton(row);
        button->setObjectName(object + QString::number(index));
        button->setText(text);
        button->setToolTip(tip);
        button->setAccessibleName(tip);
        button->setEnabled(can);
        connect(button, &QToolButton::clicked, this,
                [this, index, by] { swap(index, size_t(int(index) + by)); });
        return button;
    };
    front->setVisible(!object.moves()); // always behind the words
    auto* line = new QHBoxLayout;
    line->setSpacing(spaced(1));
    line->addWidget(name);
    line->addStretch(1);
    line->addWidget(front);
    line->addWidget(
        mover(QStringLiteral("\u2191"), QStringLiteral("object-back-"), tr("Send backward"), index > 0, -1));
    line->addWidget(mover(QStringLiteral("\u2193"), QStringLiteral("object-forward-"), tr("Bring forward"),
                          index + 1 < m_objects.size(), 1));
    line->addWidget(removeButton(
        tr("this object"),
        [this, index] {
            auto objects = m_objects;
            objects.erase(objects.begin() + int(index));
            Q_EMIT edited(objects);
        },
        row));
    grid->addLayout(line, 0, 0);
}

void ObjectsEditor::addContent(QGridLayout* grid, size_t index, QWidget* row) {
    const SlideObject& object = m_objects[index];
    if (object.is<LiveObject>())
        grid->addWidget(inputBox(index, row), 1, 0);
    const ObjectLetters* letters = object.letters();
    if (!letters)
        return;
    auto* size =
        makeNumber<QSpinBox>(letters->size, 6, 600, QStringLiteral(" px"), tr("Size of the letters"), row);
    connect(size, &QSpinBox::valueChanged, this,
            [this, index](int px) { change(index, [px](SlideObject& o) { o.letters()->size = px; }); });
    auto* align = new QComboBox(row);
    align->setObjectName(QStringLiteral("object-align"));
    align->addItems({tr("left"), tr("centre"), tr("right")}); // in the order of HorizontalAlign
    align->setCurrentIndex(int(letters->align));
    align->setToolTip(tr("Where its letters stand in the box"));
    align->setAccessibleName(align->toolTip());
    connect(align, &QComboBox::activated, this, [this, index](int side) {
        change(index, [side](SlideObject& o) { o.letters()->align = HorizontalAlign(side); });
    });
    auto* line = new QHBoxLayout;
    if (object.is<FieldObject>())
        line->addWidget(fieldBox(index, row), 1);
    else if (writtenIn(object))
        line->addWidget(textEdit(index, row), 1);
    else
        line->addStretch(1);
    line->addWidget(align);
    line->addWidget(size);
    grid->addLayout(line, 1, 0);
}

/// What means nothing is taken back.
void ObjectsEditor::writeInto(size_t index, QLineEdit& text) {
    SlideObject changed = m_objects[index];
    if (write(changed, text.text()))
        change(index, [&](SlideObject& object) { object = changed; });
    else
        text.setText(writtenIn(m_objects[index]).value_or(QString()));
}

QWidget* ObjectsEditor::fieldBox(size_t index, QWidget* row) {
    auto* box = new QComboBox(row);
    box->setObjectName(QStringLiteral("object-field"));
    box->setToolTip(tr("What it says of the run"));
    box->setAccessibleName(box->toolTip());
    for (const StageField& field : stageFields())
        box->addItem(field.label(), QLatin1String(field.key));
    box->setCurrentIndex(std::max(0, box->findData(std::get<FieldObject>(m_objects[index].what).key)));
    connect(box, &QComboBox::activated, this, [this, index, box] {
        change(index,
               [box](SlideObject& o) { std::get<FieldObject>(o.what).key = box->currentData().toString(); });
    });
    return box;
}

QWidget* ObjectsEditor::inputBox(size_t index, QWidget* row) {
    auto* box = new QComboBox(row);
    box->setObjectName(QStringLiteral("object-input"));
    box->setToolTip(tr("Which of the live inputs that were added in Setup"));
    box->setAccessibleName(box->toolTip());
    fillWithInputs(*box, m_supplies.liveInputs ? m_supplies.liveInputs() : std::vector<LiveInput>(),
                   std::get<LiveObject>(m_objects[index].what).input);
    connect(box, &QComboBox::activated, this, [this, index, box] {
        change(index,
               [box](SlideObject& o) { std::get<LiveObject>(o.what).input = box->currentData().toString(); });
    });
    return box;
}

QWidget* ObjectsEditor::textEdit(size_t index, QWidget* row) {
    const SlideObject& object = m_objects[index];
    auto* text = new QLineEdit(writtenIn(object).value_or(QString()), row);
    text->setObjectName(QStringLiteral("object-text"));
    text->setToolTip(contentTip(object));
    text->setAccessibleName(text->toolTip());
    connect(text, &QLineEdit::editingFinished, this, [this, index, text] {
        if (text->text() != writtenIn(m_objects[index]))
            writeInto(index, *text);
    });
    return text;
}

void ObjectsEditor::addShape(QGridLayout* grid, size_t index, QWidget* row) {
    const SlideObject& object = m_objects[index];
    const auto width = [&](double now, const std::function<void(SlideObject&, double)>& set) {
        auto* field = makeNumber<QDoubleSpinBox>(now, 0.0, 200.0, QStringLiteral(" px"),
                                                 tr("Width of the line or the edge"), row);
        connect(field, &QDoubleSpinBox::valueChanged, this,
                [this, index, set](double px) { change(index, [&](SlideObject& o) { set(o, px); }); });
        return field;
    };
    if (const Colour* now = object.colour()) {
        auto* colour = new ColourEdit(tr("Colour of the object"), row);
        colour->setColour(*now);
        connect(colour, &ColourEdit::edited, this,
                [this, index](const Colour& c) { change(index, [c](SlideObject& o) { *o.colour() = c; }); });
        grid->addLayout(lineOf(tr("Colour"), {colour}, row), 2, 0);
    }
    if (const auto* line = std::get_if<LineObject>(&object.what))
        grid->addLayout(
            lineOf(tr("Width"),
                   {width(line->width,
                          [](SlideObject& o, double px) { std::get<LineObject>(o.what).width = px; })},
                   row),
            3, 0);
    if (const ObjectEdge* now = object.edge()) {
        auto* edge = new ColourEdit(tr("Colour of the edge"), row);
        edge->setColour(now->colour);
        connect(edge, &ColourEdit::edited, this, [this, index](const Colour& c) {
            change(index, [c](SlideObject& o) { o.edge()->colour = c; });
        });
        auto* wide = width(now->width, [](SlideObject& o, double px) {
            o.edge()->width = px;
            if (o.edge()->colour.alpha == 0)
                o.edge()->colour = {255, 255, 255, 255};
        });
        grid->addLayout(lineOf(tr("Edge"), {edge, wide}, row), 3, 0);
    }
    if (const double* roundness = object.roundness()) {
        auto* round = makeNumber<QDoubleSpinBox>(*roundness, 0.0, 500.0, QStringLiteral(" px"),
                                                 tr("How round its corners are"), row);
        round->setObjectName(QStringLiteral("object-corners"));
        connect(round, &QDoubleSpinBox::valueChanged, this,
                [this, index](double px) { change(index, [px](SlideObject& o) { *o.roundness() = px; }); });
        grid->addLayout(lineOf(tr("Corners"), {round}, row), 4, 0);
    }
}

void ObjectsEditor::addPlace(QGridLayout* grid, size_t index, QWidget* row) {
    const QRectF box = m_objects[index].box;
    const auto share = [&](double value, double least, const QString& name, const QString& tip) {
        auto* field = makeNumber<QDoubleSpinBox>(value * 100, least, 100.0, QStringLiteral(" %"), tip, row);
        field->setObjectName(name);
        field->setDecimals(1);
        return field;
    };
    auto* left = share(box.x(), 0, QStringLiteral("object-left"), tr("Position from the left of the screen"));
    auto* top = share(box.y(), 0, QStringLiteral("object-top"), tr("Position from the top of the screen"));
    auto* wide = share(box.width(), 2, QStringLiteral("object-wide"), tr("Width, as a part of the screen's"));
    auto* high =
        share(box.height(), 2, QStringLiteral("object-high"), tr("Height, as a part of the screen's"));
    m_place = {left, top, wide, high};
    for (QDoubleSpinBox* field : m_place)
        connect(field, &QDoubleSpinBox::valueChanged, this, [=, this] {
            const QRectF now(left->value() / 100, top->value() / 100, wide->value() / 100,
                             high->value() / 100);
            change(index, [now](SlideObject& o) { o.box = now; });
        });
    grid->addLayout(lineOf(tr("Position"), {left, top}, row), 5, 0);
    grid->addLayout(lineOf(tr("Size"), {wide, high}, row), 6, 0);
}

void ObjectsEditor::addManner(QGridLayout* grid, size_t index, QWidget* row) {
    const SlideObject& object = m_objects[index];
    auto* turned = makeNumber<QDoubleSpinBox>(object.rotation, -360.0, 360.0, QStringLiteral("\u00b0"),
                                              tr("Rotation, clockwise"), row);
    connect(turned, &QDoubleSpinBox::valueChanged, this, [this, index](double degrees) {
        change(index, [degrees](SlideObject& o) { o.rotation = degrees; });
    });
    auto* opacity =
        makeNumber<QSpinBox>(percent(object.opacity), 0, 100, QStringLiteral(" %"), tr("Opacity"), row);
    connect(opacity, &QSpinBox::valueChanged, this, [this, index](int value) {
        change(index, [value](SlideObject& o) { o.opacity = value / 100.0; });
    });
    grid->addLayout(lineOf(tr("Rotation, opacity"), {turned, opacity}, row), 7, 0);
    const auto fade = [&](int SlideObject::*which, const QString& name, const QString& tip) {
        auto* field = makeNumber<QSpinBox>(object.*which, 0, kMostFadeMs, QStringLiteral(" ms"), tip, row);
        field->setObjectName(name);
        field->setSingleStep(100);
        field->setSpecialValueText(tr("with the words"));
        connect(field, &QSpinBox::valueChanged, this,
                [this, index, which](int ms) { change(index, [=](SlideObject& o) { o.*which = ms; }); });
        return field;
    };
    grid->addLayout(lineOf(tr("Fades in"),
                           {fade(&SlideObject::fadeIn, QStringLiteral("object-fade-in"),
                                 tr("How long it takes to come, whatever the words do"))},
                           row),
                    8, 0);
    grid->addLayout(lineOf(tr("Fades out"),
                           {fade(&SlideObject::fadeOut, QStringLiteral("object-fade-out"),
                                 tr("How long it takes to go, whatever the words do"))},
                           row),
                    9, 0);
}

void ObjectsEditor::add() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const ObjectKind& kind : objectKinds())
        connect(menu->addAction(kind.label()), &QAction::triggered, this, [this, &kind] { addObject(kind); });
    menu->popup(mapToGlobal(QPoint(0, height())));
}

void ObjectsEditor::put(const SlideObject& object) {
    auto objects = m_objects;
    objects.push_back(object);
    m_open = int(objects.size()) - 1;
    Q_EMIT edited(objects);
    Q_EMIT opened(m_open);
}

void ObjectsEditor::addMedium(const Medium& medium) {
    put(objectOf(medium));
}

void ObjectsEditor::addObject(const ObjectKind& kind) {
    SlideObject object = kind.make();
    if (auto* live = std::get_if<LiveObject>(&object.what)) { // the first one, so that something is seen
        const auto inputs = m_supplies.liveInputs ? m_supplies.liveInputs() : std::vector<LiveInput>();
        live->input = inputs.empty() ? QString() : inputs.front().id.text();
    }
    if (!object.medium()) {
        put(object);
        return;
    }
    m_supplies.chooseMedium(object.is<FilmObject>() ? MediumKind::Film : MediumKind::Picture,
                            [editor = QPointer<ObjectsEditor>(this)](const Medium& medium) {
                                if (editor)
                                    editor->addMedium(medium);
                            });
}

} // namespace mivanta

#include "moc_ObjectsEditor.cpp"
