// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/LookEditors.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include "desk/kit/ColourEdit.h"
#include "desk/kit/Style.h"
#include "desk/look/LiveInputChoice.h"
#include "desk/look/ObjectsEditor.h"
#include "session/Session.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFontComboBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPointer>
#include <QPushButton>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QToolButton>
#include <array>
#include <cmath>

namespace mivanta {

namespace {

/// A widget that fills the editor and has the keys' focus.
template <typename Widget>
Widget* fill(LookEditor* editor, Widget* widget, const QString& name) {
    auto* row = new QHBoxLayout(editor);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(widget);
    widget->setAccessibleName(name);
    editor->setFocusProxy(widget);
    return widget;
}

QString nameOf(const LookProperty& property) {
    return property.label();
}

class YesNoEditor : public LookEditor {
public:
    YesNoEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_box(fill(this, new QCheckBox(this), nameOf(property))) {
        connect(m_box, &QCheckBox::clicked, this, [this](bool on) { Q_EMIT edited(on); });
    }
    void setValue(const LookValue& value) override { m_box->setChecked(std::get<bool>(value)); }

private:
    QCheckBox* m_box;
};

class WholeNumberEditor : public LookEditor {
public:
    WholeNumberEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_box(fill(this, new QSpinBox(this), nameOf(property))) {
        m_box->setRange(int(property.least), int(property.most));
        m_box->setSingleStep(property.most > 1000 ? 50 : property.most > 300 ? 2 : 1);
        m_box->setSuffix(*property.unit ? u' ' + QString::fromUtf8(property.unit) : QString());
        m_box->setKeyboardTracking(false);
        if (property.keyText() == QLatin1String("words.weight"))
            m_box->setSingleStep(100);
        connect(m_box, &QSpinBox::valueChanged, this, [this](int value) { Q_EMIT edited(value); });
    }
    void setValue(const LookValue& value) override {
        const QSignalBlocker quiet(m_box);
        m_box->setValue(std::get<int>(value));
    }

private:
    QSpinBox* m_box;
};

class NumberEditor : public LookEditor {
public:
    NumberEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_box(fill(this, new QDoubleSpinBox(this), nameOf(property))) {
        const bool isFine = property.most <= 5;
        m_box->setDecimals(isFine ? 2 : 1);
        m_box->setRange(property.least, property.most);
        m_box->setSingleStep(isFine ? 0.05 : 1);
        m_box->setSuffix(*property.unit ? u' ' + QString::fromUtf8(property.unit) : QString());
        m_box->setKeyboardTracking(false);
        connect(m_box, &QDoubleSpinBox::valueChanged, this, [this](double value) { Q_EMIT edited(value); });
    }
    void setValue(const LookValue& value) override {
        const QSignalBlocker quiet(m_box);
        m_box->setValue(std::get<double>(value));
    }

private:
    QDoubleSpinBox* m_box;
};

class ChoiceEditor : public LookEditor {
public:
    ChoiceEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_box(fill(this, new QComboBox(this), nameOf(property))) {
        for (const LookChoiceName& choice : property.choices)
            m_box->addItem(choice.label());
        m_box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        connect(m_box, &QComboBox::activated, this,
                [this](int index) { Q_EMIT edited(LookChoiceIndex{index}); });
    }
    void setValue(const LookValue& value) override {
        m_box->setCurrentIndex(std::get<LookChoiceIndex>(value).index);
    }

private:
    QComboBox* m_box;
};

class FontEditor : public LookEditor {
public:
    FontEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_box(fill(this, new QFontComboBox(this), nameOf(property))) {
        m_box->setFontFilters(QFontComboBox::ScalableFonts);
        m_box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        m_box->setMinimumContentsLength(8);
        connect(m_box, &QFontComboBox::activated, this, [this] { Q_EMIT edited(m_box->currentText()); });
        connect(m_box->lineEdit(), &QLineEdit::editingFinished, this, [this] {
            if (m_box->currentText() != m_shown && m_box->findText(m_box->currentText()) >= 0)
                Q_EMIT edited(m_box->currentText());
        });
    }
    void setValue(const LookValue& value) override {
        m_shown = std::get<QString>(value);
        const QSignalBlocker quiet(m_box);
        m_box->setCurrentIndex(m_box->findText(m_shown));
        m_box->setEditText(m_shown);
    }

private:
    QFontComboBox* m_box;
    QString m_shown;
};

class WordsEditor : public LookEditor {
public:
    WordsEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_line(fill(this, new QLineEdit(this), nameOf(property))) {
        if (property.keyText() == QLatin1String("credit.fields"))
            m_line->setToolTip(
                Said::tr("What the credit line says. These are filled in: {title} {authors} {copyright} "
                         "{licence} {book} {reference} {translation}. A \u00b7 parts them; what is empty "
                         "is left out with its \u00b7."));
        connect(m_line, &QLineEdit::editingFinished, this, [this] {
            if (m_line->text() != m_shown) {
                m_shown = m_line->text();
                Q_EMIT edited(m_shown);
            }
        });
    }
    void setValue(const LookValue& value) override {
        m_shown = std::get<QString>(value);
        if (m_line->text() != m_shown)
            m_line->setText(m_shown);
        m_line->setCursorPosition(0);
    }

private:
    QLineEdit* m_line;
    QString m_shown;
};

class ColourEditor : public LookEditor {
public:
    ColourEditor(const LookProperty& property, QWidget* parent)
        : LookEditor(parent),
          m_colour(fill(this, new ColourEdit(nameOf(property), this), nameOf(property))) {
        connect(m_colour, &ColourEdit::edited, this, [this](const Colour& colour) { Q_EMIT edited(colour); });
    }
    void setValue(const LookValue& value) override { m_colour->setColour(std::get<Colour>(value)); }

private:
    ColourEdit* m_colour;
};

/// A colour of its own, or the one that follows from the words'.
class MaybeColourEditor : public LookEditor {
public:
    MaybeColourEditor(const LookProperty& property, QWidget* parent) : LookEditor(parent) {
        m_own = new QCheckBox(this);
        m_own->setAccessibleName(Said::tr("%1: a colour of its own").arg(nameOf(property)));
        m_own->setToolTip(Said::tr("A colour of its own; otherwise it follows the words'"));
        m_colour = new ColourEdit(nameOf(property), this);
        auto* row = new QHBoxLayout(this);
        row->setContentsMargins(0, 0, 0, 0);
        row->addWidget(m_own);
        row->addWidget(m_colour, 1);
        setFocusProxy(m_own);
        connect(m_own, &QCheckBox::clicked, this, [this] { send(); });
        connect(m_colour, &ColourEdit::edited, this, [this] { send(); });
    }
    void setValue(const LookValue& value) override {
        const auto& colour = std::get<std::optional<Colour>>(value);
        m_own->setChecked(colour.has_value());
        m_colour->setVisible(colour.has_value());
        if (colour)
            m_colour->setColour(*colour);
    }

private:
    void send() {
        m_colour->setVisible(m_own->isChecked());
        Q_EMIT edited(m_own->isChecked() ? std::optional(m_colour->colour()) : std::nullopt);
    }
    QCheckBox* m_own;
    ColourEdit* m_colour;
};

/// Numbers in per cent of the screen, side by side.
class SharesEditor : public LookEditor {
public:
    SharesEditor(const QStringList& names, const QStringList& tips, QWidget* parent) : LookEditor(parent) {
        auto* grid = new QGridLayout(this);
        grid->setContentsMargins(0, 0, 0, 0);
        grid->setSpacing(spaced(1));
        for (int i = 0; i < int(names.size()); ++i) {
            auto* box = new QDoubleSpinBox(this);
            box->setRange(0, 100);
            box->setDecimals(1);
            box->setSuffix(QStringLiteral(" %"));
            box->setKeyboardTracking(false);
            box->setAccessibleName(tips[i]);
            box->setToolTip(tips[i]);
            auto* label = new QLabel(names[i], this);
            grid->addWidget(label, i / 2, i % 2 * 2);
            grid->addWidget(box, i / 2, i % 2 * 2 + 1);
            grid->setColumnStretch(i % 2 * 2 + 1, 1);
            m_boxes.push_back(box);
            connect(box, &QDoubleSpinBox::valueChanged, this, [this] { send(); });
        }
        setFocusProxy(m_boxes.front());
    }

protected:
    void show(const std::vector<double>& shares) {
        for (size_t i = 0; i < m_boxes.size(); ++i) {
            const QSignalBlocker quiet(m_boxes[i]);
            m_boxes[i]->setValue(shares[i] * 100);
        }
    }
    [[nodiscard]] double share(size_t i) const { return m_boxes[i]->value() / 100; }
    virtual void send() = 0;

private:
    std::vector<QDoubleSpinBox*> m_boxes;
};

class BoxEditor : public SharesEditor {
public:
    explicit BoxEditor(QWidget* parent)
        : SharesEditor({Said::tr("left"), Said::tr("top"), Said::tr("width"), Said::tr("height")},
                       {Said::tr("Position from the left of the screen"),
                        Said::tr("Position from the top of the screen"),
                        Said::tr("Width, as a part of the screen's"),
                        Said::tr("Height, as a part of the screen's")},
                       parent) {}
    void setValue(const LookValue& value) override {
        const auto& box = std::get<QRectF>(value);
        show({box.x(), box.y(), box.width(), box.height()});
    }

protected:
    void send() override { Q_EMIT edited(QRectF(share(0), share(1), share(2), share(3))); }
};

class PointEditor : public SharesEditor {
public:
    explicit PointEditor(QWidget* parent)
        : SharesEditor({Said::tr("across"), Said::tr("down")},
                       {Said::tr("The place that stays in sight, from the picture's left"),
                        Said::tr("The place that stays in sight, from the picture's top")},
                       parent) {}
    void setValue(const LookValue& value) override {
        const auto& point = std::get<QPointF>(value);
        show({point.x(), point.y()});
    }

protected:
    void send() override { Q_EMIT edited(QPointF(share(0), share(1))); }
};

class MediumEditor : public LookEditor {
public:
    MediumEditor(const LookProperty& property, MediumKind kind, MediumChooser choose, QWidget* parent)
        : LookEditor(parent) {
        const bool isFilm = kind == MediumKind::Film;
        m_choose = new QPushButton(Said::tr("Choose\u2026"), this);
        m_choose->setAccessibleName(Said::tr("Choose: %1").arg(nameOf(property)));
        m_choose->setToolTip(
            isFilm ? Said::tr("A film; it is copied into the library, and goes round without its sound")
                   : Said::tr("A picture file; it is copied into the library"));
        m_none = new QToolButton(this);
        m_none->setText(Said::tr("None"));
        m_none->setToolTip(isFilm ? Said::tr("Remove the film") : Said::tr("Remove the picture"));
        auto* row = new QHBoxLayout(this);
        row->setContentsMargins(0, 0, 0, 0);
        row->addWidget(m_choose);
        row->addWidget(m_none);
        row->addStretch(1);
        setFocusProxy(m_choose);
        connect(m_choose, &QPushButton::clicked, this, [this, kind, choose = std::move(choose)] {
            choose(kind, [editor = QPointer<MediumEditor>(this)](const Medium& medium) {
                if (editor)
                    Q_EMIT editor->edited(medium.name);
            });
        });
        connect(m_none, &QToolButton::clicked, this, [this] { Q_EMIT edited(QString()); });
    }
    void setValue(const LookValue& value) override {
        m_none->setEnabled(!std::get<QString>(value).isEmpty());
        m_choose->setText(std::get<QString>(value).isEmpty() ? Said::tr("Choose\u2026")
                                                             : Said::tr("Another\u2026"));
    }

private:
    QPushButton* m_choose;
    QToolButton* m_none;
};

/// One of the live inputs of this computer, by name.
class LiveInputEditor : public LookEditor {
public:
    LiveInputEditor(const LookProperty& property, LiveInputsOf inputs, QWidget* parent)
        : LookEditor(parent),
          m_inputs(std::move(inputs)) {
        m_choice = new QComboBox(this);
        m_choice->setAccessibleName(nameOf(property));
        m_choice->setToolTip(Said::tr("Which of the live inputs that were added in Setup"));
        m_choice->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        auto* row = new QHBoxLayout(this);
        row->setContentsMargins(0, 0, 0, 0);
        row->addWidget(m_choice, 1);
        setFocusProxy(m_choice);
        connect(m_choice, &QComboBox::activated, this,
                [this] { Q_EMIT edited(m_choice->currentData().toString()); });
    }
    void setValue(const LookValue& value) override {
        fillWithInputs(*m_choice, m_inputs ? m_inputs() : std::vector<LiveInput>(), std::get<QString>(value));
    }

private:
    LiveInputsOf m_inputs;
    QComboBox* m_choice;
};

LookEditor* textEditor(const LookProperty& property, const LookSupplies& supplies, QWidget* parent) {
    if (property.keyText() == QLatin1String("words.family"))
        return new FontEditor(property, parent);
    if (property.isMedium)
        return new MediumEditor(property,
                                property.keyText() == QLatin1String("backdrop.film") ? MediumKind::Film
                                                                                     : MediumKind::Picture,
                                supplies.chooseMedium, parent);
    if (property.isLive)
        return new LiveInputEditor(property, supplies.liveInputs, parent);
    return new WordsEditor(property, parent);
}

} // namespace

LookSupplies lookSupplies(Session& session, Prompts& prompts, QObject* asker) {
    return {[&session, &prompts, asker](MediumKind kind, const MediumTaken& chosen) {
                chooseMedium(session, prompts, asker, kind, chosen);
            },
            [&session] { return session.liveInputs().all(); }};
}

LookEditor* makeLookEditor(const LookProperty& property, const LookSupplies& supplies, QWidget* parent) {
    using Made = LookEditor*;
    LookEditor* editor = std::visit(
        Cases{[&](bool) -> Made { return new YesNoEditor(property, parent); },
              [&](int) -> Made { return new WholeNumberEditor(property, parent); },
              [&](double) -> Made { return new NumberEditor(property, parent); },
              [&](const QString&) { return textEditor(property, supplies, parent); },
              [&](const Colour&) -> Made { return new ColourEditor(property, parent); },
              [&](const std::optional<Colour>&) -> Made { return new MaybeColourEditor(property, parent); },
              [&](const QPointF&) -> Made { return new PointEditor(parent); },
              [&](const QRectF&) -> Made { return new BoxEditor(parent); },
              [&](const LookChoiceIndex&) -> Made { return new ChoiceEditor(property, parent); },
              [&](const std::vector<GradientStop>&) -> Made { return new StopsEditor(parent); },
              [&](const std::vector<RoleLook>&) -> Made { return new RolesEditor(parent); },
              [&](const std::vector<SlideObject>&) -> Made { return new ObjectsEditor(supplies, parent); }},
        property.get(Look()));
    editor->setObjectName(property.keyText());
    return editor;
}

} // namespace mivanta

#include "moc_LookEditors.cpp"
