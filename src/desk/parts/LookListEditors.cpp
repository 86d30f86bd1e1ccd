// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/LookListEditors.h"
#include "desk/parts/ColourEdit.h"
#include "desk/parts/Style.h"
#include <QCheckBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPointer>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kMostFadeMs = 10'000;

QToolButton* toggle(const QString& text, const QString& tip, bool on, QWidget* parent) {
    auto* button = new QToolButton(parent);
    button->setText(text);
    button->setCheckable(true);
    button->setChecked(on);
    button->setToolTip(tip);
    button->setAccessibleName(tip);
    return button;
}

template <typename Box, typename Value>
Box* number(Value value, Value least, Value most, const QString& suffix, const QString& tip,
            QWidget* parent) {
    auto* box = new Box(parent);
    box->setRange(least, most);
    box->setValue(value);
    box->setSuffix(suffix);
    box->setToolTip(tip);
    box->setAccessibleName(tip);
    box->setKeyboardTracking(false);
    return box;
}

} // namespace

ListEditor::ListEditor(const QString& addText, const QString& addTip, QWidget* parent) : LookEditor(parent) {
    m_rows = new QVBoxLayout;
    m_rows->setSpacing(spaced(1));
    m_below = new QVBoxLayout;
    auto* addButton = new QPushButton(addText, this);
    addButton->setObjectName(QStringLiteral("add-row"));
    addButton->setToolTip(addTip);
    connect(addButton, &QPushButton::clicked, this, [this] { add(); });
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1));
    column->addLayout(m_rows);
    column->addLayout(m_below);
    column->addWidget(addButton, 0, Qt::AlignLeft);
    setFocusProxy(addButton);
}

void ListEditor::rebuild(size_t rows) {
    for (QWidget* row : m_shown) {
        row->hide();
        row->deleteLater(); // one of its own buttons may have asked for this
    }
    m_shown.clear();
    for (size_t i = 0; i < rows; ++i) {
        m_shown.push_back(makeRow(i));
        m_rows->addWidget(m_shown.back());
    }
}

QWidget* ListEditor::removeButton(const QString& what, const std::function<void()>& remove, QWidget* parent) {
    auto* button = new QToolButton(parent);
    button->setIcon(icon(QStringLiteral("trash-2"), day().text));
    button->setToolTip(tr("Take %1 away").arg(what));
    button->setAccessibleName(button->toolTip());
    connect(button, &QToolButton::clicked, this, remove);
    return button;
}

StopsEditor::StopsEditor(QWidget* parent)
    : ListEditor(tr("Add a colour"), tr("One more colour, in the middle of the gradient"), parent) {}

void StopsEditor::setValue(const LookValue& value) {
    const auto& stops = std::get<std::vector<GradientStop>>(value);
    if (stops == m_stops)
        return;
    m_stops = stops;
    rebuild(m_stops.size());
}

QWidget* StopsEditor::makeRow(size_t index) {
    auto* row = new QWidget(this);
    auto* colour = new ColourEdit(tr("Colour %1 of the gradient").arg(index + 1), row);
    colour->setColour(m_stops[index].colour);
    auto* at = number<QSpinBox>(int(m_stops[index].at * 100 + 0.5), 0, 100, QStringLiteral(" %"),
                                tr("Where this colour stands"), row);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(colour, 1);
    line->addWidget(at);
    connect(colour, &ColourEdit::edited, this, [this, index](const Colour& c) {
        m_stops[index].colour = c;
        Q_EMIT edited(m_stops);
    });
    connect(at, &QSpinBox::valueChanged, this, [this, index](int percent) {
        auto stops = m_stops;
        stops[index].at = percent / 100.0;
        Q_EMIT edited(stops); // they come back in order
    });
    if (m_stops.size() > 2)
        line->addWidget(removeButton(
            tr("this colour"),
            [this, index] {
                auto stops = m_stops;
                stops.erase(stops.begin() + int(index));
                Q_EMIT edited(stops);
            },
            row));
    return row;
}

void StopsEditor::add() {
    auto stops = m_stops;
    stops.insert(stops.begin() + 1, {(stops[0].at + stops[1].at) / 2, stops[0].colour});
    Q_EMIT edited(stops);
}

RolesEditor::RolesEditor(QWidget* parent)
    : ListEditor(tr("Add a role"), tr("A look for one more role, such as Leader or Reader"), parent) {}

void RolesEditor::setValue(const LookValue& value) {
    const auto& roles = std::get<std::vector<RoleLook>>(value);
    if (roles == m_roles && !roles.empty())
        return;
    m_roles = roles;
    rebuild(m_roles.size());
}

QWidget* RolesEditor::makeRow(size_t index) {
    const RoleLook& role = m_roles[index];
    auto* row = new QWidget(this);
    auto* name = new QLineEdit(role.role, row);
    name->setPlaceholderText(tr("Role"));
    name->setAccessibleName(tr("Name of the role"));
    auto* bold = toggle(tr("B"), tr("Bold"), role.bold, row);
    auto* italic = toggle(tr("I"), tr("Italic"), role.italic, row);
    auto* coloured = new QCheckBox(row);
    coloured->setToolTip(tr("A colour of its own"));
    coloured->setAccessibleName(coloured->toolTip());
    coloured->setChecked(role.colour.has_value());
    auto* colour = new ColourEdit(tr("Colour of the role"), row);
    colour->setColour(role.colour.value_or(Colour{255, 255, 255, 255}));
    colour->setEnabled(role.colour.has_value());
    auto* symbol = new QLineEdit(role.symbol, row);
    symbol->setMaxLength(8);
    symbol->setMaximumWidth(spaced(9));
    symbol->setToolTip(tr("A sign that stands before the words of this role"));
    symbol->setAccessibleName(symbol->toolTip());
    auto* grid = new QGridLayout(row);
    grid->setContentsMargins(0, 0, 0, spaced(1));
    grid->setSpacing(spaced(1));
    grid->addWidget(name, 0, 0, 1, 2);
    grid->addWidget(bold, 0, 2);
    grid->addWidget(italic, 0, 3);
    grid->addWidget(removeButton(
                        tr("this role"),
                        [this, index] {
                            auto roles = m_roles;
                            roles.erase(roles.begin() + int(index));
                            Q_EMIT edited(roles);
                        },
                        row),
                    0, 4);
    grid->addWidget(coloured, 1, 0);
    grid->addWidget(colour, 1, 1);
    grid->addWidget(symbol, 1, 2, 1, 3);
    grid->setColumnStretch(1, 1);
    const auto send = [=, this] {
        m_roles[index] = {name->text().trimmed(), bold->isChecked(), italic->isChecked(),
                          coloured->isChecked() ? std::optional(colour->colour()) : std::nullopt,
                          symbol->text()};
        colour->setEnabled(coloured->isChecked());
        Q_EMIT edited(m_roles);
    };
    connect(name, &QLineEdit::editingFinished, this, [=, this] {
        if (name->text().trimmed() != m_roles[index].role)
            send();
    });
    connect(symbol, &QLineEdit::editingFinished, this, [=, this] {
        if (symbol->text() != m_roles[index].symbol)
            send();
    });
    connect(bold, &QToolButton::clicked, this, send);
    connect(italic, &QToolButton::clicked, this, send);
    connect(coloured, &QCheckBox::clicked, this, send);
    connect(colour, &ColourEdit::edited, this, send);
    return row;
}

void RolesEditor::add() {
    auto roles = m_roles;
    roles.push_back({tr("Leader"), false, false, std::nullopt, {}});
    Q_EMIT edited(roles);
}

QString objectKindName(ObjectKind kind) {
    switch (kind) {
    case ObjectKind::Picture:
        return ObjectsEditor::tr("Picture");
    case ObjectKind::Text:
        return ObjectsEditor::tr("Text");
    case ObjectKind::Line:
        return ObjectsEditor::tr("Line");
    case ObjectKind::Rectangle:
        return ObjectsEditor::tr("Rectangle");
    case ObjectKind::Ellipse:
        return ObjectsEditor::tr("Ellipse");
    case ObjectKind::Clock:
        return ObjectsEditor::tr("Clock");
    case ObjectKind::Countdown:
        return ObjectsEditor::tr("Countdown");
    }
    return {};
}

ObjectsEditor::ObjectsEditor(PictureChooser choosePicture, QWidget* parent)
    : ListEditor(tr("Add an object\u2026"), tr("A picture, a text, a shape, a clock or a countdown"), parent),
      m_choosePicture(std::move(choosePicture)) {}

void ObjectsEditor::setValue(const LookValue& value) {
    const auto& objects = std::get<std::vector<SlideObject>>(value);
    const bool sameButPlace =
        objects.size() == m_objects.size() && std::equal(objects.begin(), objects.end(), m_objects.begin(),
                                                         [](SlideObject a, const SlideObject& b) {
                                                             a.box = b.box;
                                                             return a == b;
                                                         });
    m_objects = objects;
    if (!sameButPlace)
        rebuild(m_objects.size());
}

void ObjectsEditor::change(size_t index, const std::function<void(SlideObject&)>& work) {
    work(m_objects[index]);
    Q_EMIT edited(m_objects);
}

QWidget* ObjectsEditor::makeRow(size_t index) {
    const SlideObject& object = m_objects[index];
    auto* row = new QWidget(this);
    auto* grid = new QGridLayout(row);
    grid->setContentsMargins(0, 0, 0, spaced(2));
    grid->setSpacing(spaced(1));
    auto* name = new QLabel(objectKindName(object.kind), row);
    name->setFont(textFont(1.0, true));
    grid->addWidget(name, 0, 0);
    auto* front = toggle(tr("In front"), tr("Before the words; otherwise behind them"), object.inFront, row);
    connect(front, &QToolButton::clicked, this,
            [this, index](bool on) { change(index, [on](SlideObject& o) { o.inFront = on; }); });
    grid->addWidget(front, 0, 1);
    grid->addWidget(removeButton(
                        tr("this object"),
                        [this, index] {
                            auto objects = m_objects;
                            objects.erase(objects.begin() + int(index));
                            Q_EMIT edited(objects);
                        },
                        row),
                    0, 2);
    const bool hasLetters = object.kind == ObjectKind::Text || object.isLive();
    if (hasLetters) {
        auto* text = new QLineEdit(object.text, row);
        text->setToolTip(object.kind == ObjectKind::Text ? tr("What it says")
                         : object.kind == ObjectKind::Clock
                             ? tr("How the time is written, such as HH:mm")
                             : tr("The time that is counted down to, such as 10:30"));
        text->setAccessibleName(text->toolTip());
        connect(text, &QLineEdit::editingFinished, this, [this, index, text] {
            if (text->text() != m_objects[index].text)
                change(index, [text](SlideObject& o) { o.text = text->text(); });
        });
        auto* size =
            number<QSpinBox>(object.size, 6, 600, QStringLiteral(" px"), tr("Size of the letters"), row);
        connect(size, &QSpinBox::valueChanged, this,
                [this, index](int px) { change(index, [px](SlideObject& o) { o.size = px; }); });
        grid->addWidget(text, 1, 0, 1, 2);
        grid->addWidget(size, 1, 2);
    }
    if (object.kind != ObjectKind::Picture) {
        auto* colour = new ColourEdit(tr("Colour of the object"), row);
        colour->setColour(object.colour);
        connect(colour, &ColourEdit::edited, this,
                [this, index](const Colour& c) { change(index, [c](SlideObject& o) { o.colour = c; }); });
        grid->addWidget(colour, 2, 0, 1, 2);
    }
    if (object.kind == ObjectKind::Rectangle || object.kind == ObjectKind::Ellipse ||
        object.kind == ObjectKind::Line) {
        auto* width = number<QDoubleSpinBox>(object.edgeWidth, 0.0, 200.0, QStringLiteral(" px"),
                                             tr("Width of the line or the edge"), row);
        connect(width, &QDoubleSpinBox::valueChanged, this, [this, index](double px) {
            change(index, [px](SlideObject& o) {
                o.edgeWidth = px;
                if (o.edgeColour.alpha == 0)
                    o.edgeColour = {255, 255, 255, 255};
            });
        });
        grid->addWidget(width, 2, 2);
    }
    auto* turned =
        number<QDoubleSpinBox>(object.rotation, -360.0, 360.0, QStringLiteral("\u00b0"), tr("Turned"), row);
    auto* opacity = number<QSpinBox>(int(object.opacity * 100 + 0.5), 0, 100, QStringLiteral(" %"),
                                     tr("How opaque it is"), row);
    connect(turned, &QDoubleSpinBox::valueChanged, this, [this, index](double degrees) {
        change(index, [degrees](SlideObject& o) { o.rotation = degrees; });
    });
    connect(opacity, &QSpinBox::valueChanged, this, [this, index](int percent) {
        change(index, [percent](SlideObject& o) { o.opacity = percent / 100.0; });
    });
    grid->addWidget(turned, 3, 0);
    grid->addWidget(opacity, 3, 1);
    grid->setColumnStretch(0, 1);
    return row;
}

void ObjectsEditor::add() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const ObjectKind kind :
         {ObjectKind::Picture, ObjectKind::Text, ObjectKind::Line, ObjectKind::Rectangle, ObjectKind::Ellipse,
          ObjectKind::Clock, ObjectKind::Countdown})
        connect(menu->addAction(objectKindName(kind)), &QAction::triggered, this,
                [this, kind] { addObject(kind); });
    menu->popup(mapToGlobal(QPoint(0, height())));
}

void ObjectsEditor::addObject(ObjectKind kind) {
    SlideObject object;
    object.kind = kind;
    object.inFront = true;
    if (kind == ObjectKind::Text)
        object.text = tr("Welcome");
    else if (kind == ObjectKind::Clock)
        object.text = QStringLiteral("HH:mm");
    else if (kind == ObjectKind::Countdown)
        object.text = QStringLiteral("10:30");
    else if (kind == ObjectKind::Line)
        object.edgeWidth = 4;
    if (object.isLive())
        object.box = {0.75, 0.05, 0.2, 0.1};
    const auto put = [editor = QPointer<ObjectsEditor>(this)](const SlideObject& made) {
        if (!editor)
            return;
        auto objects = editor->m_objects;
        objects.push_back(made);
        Q_EMIT editor->edited(objects);
    };
    if (kind == ObjectKind::Picture)
        m_choosePicture([put, object](const StoredPicture& picture) mutable {
            object.picture = picture.name;
            put(object);
        });
    else
        put(object);
}

} // namespace mivanta
