// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/LookForm.h"
#include "core/theme/ObjectKinds.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/look/ObjectsEditor.h"
#include <QApplication>
#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

/// Editors that are too wide to stand beside their name.
bool isWide(const LookProperty& property) {
    const LookValue value = property.get(Look());
    return std::holds_alternative<QRectF>(value) ||
           std::holds_alternative<std::vector<GradientStop>>(value) ||
           std::holds_alternative<std::vector<RoleLook>>(value) ||
           std::holds_alternative<std::vector<SlideObject>>(value);
}

QString objectsText(const std::vector<SlideObject>& objects, const LookSource& source) {
    if (objects.empty())
        return LookForm::tr("none");
    QStringList names;
    for (const SlideObject& object : objects)
        names << kindOf(object).label();
    return LookForm::tr("%1 \u00b7 the last of them: %2")
        .arg(names.join(QStringLiteral(", ")), sourceText(source));
}

} // namespace

LookForm::LookForm(const LookSupplies& supplies, QWidget* parent) : QWidget(parent) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1));
    for (int group = 0; group < kLookGroups; ++group)
        addGroup(LookGroup(group), column, supplies);
    column->addStretch(1);
    setGroupOpen(LookGroup::Words, true);
    connect(qApp, &QApplication::focusChanged, this, [this](QWidget* before, QWidget* now) {
        if (before)
            before->removeEventFilter(this);
        if (now && isAncestorOf(now))
            now->installEventFilter(this);
    });
}

bool LookForm::eventFilter(QObject*, QEvent* event) {
    if (event->type() != QEvent::ShortcutOverride)
        return false;
    auto* key = static_cast<QKeyEvent*>(event);
    if (!key->matches(QKeySequence::Undo) && !key->matches(QKeySequence::Redo))
        return false;
    key->ignore();
    return true;
}

void LookForm::addGroup(LookGroup group, QVBoxLayout* column, const LookSupplies& supplies) {
    auto* head = new QToolButton(this);
    head->setObjectName(QStringLiteral("group-") + QLatin1String(keyOf(group)));
    head->setText(labelOf(group));
    head->setToolTip(tr("Show or hide what belongs to it"));
    head->setCheckable(true);
    head->setArrowType(Qt::RightArrow);
    head->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
    head->setFont(textFont(1.0, TextWeight::Bold));
    auto* body = new QWidget(this);
    body->hide();
    auto* grid = new QGridLayout(body);
    grid->setContentsMargins(spaced(3), 0, 0, spaced(2));
    grid->setHorizontalSpacing(spaced(2));
    grid->setVerticalSpacing(spaced(1));
    grid->setColumnStretch(1, 1);
    int line = 0;
    for (const LookProperty& property : lookProperties()) {
        if (property.group != group)
            continue;
        Row row{&property, new QLabel(property.label(), body), makeLookEditor(property, supplies, body),
                new QLabel(body), new QToolButton(body)};
        row.label->setBuddy(row.editor);
        makeQuiet(row.source);
        row.source->setWordWrap(true);
        row.giveUp->setText(QStringLiteral("\u21ba"));
        row.giveUp->setObjectName(QStringLiteral("give-up-") + property.keyText());
        row.giveUp->setToolTip(tr("Reset to what the levels below say"));
        row.giveUp->setAccessibleName(tr("Reset: %1").arg(row.label->text()));
        if (isWide(property)) {
            grid->addWidget(row.label, line, 0, 1, 2);
            grid->addWidget(row.giveUp, line++, 2);
            grid->addWidget(row.editor, line++, 0, 1, 3);
        } else {
            grid->addWidget(row.label, line, 0);
            grid->addWidget(row.editor, line, 1);
            grid->addWidget(row.giveUp, line++, 2);
        }
        grid->addWidget(row.source, line++, 0, 1, 3);
        connect(row.editor, &LookEditor::edited, this,
                [this, &property](const LookValue& value) { Q_EMIT edited(property, value); });
        connect(row.giveUp, &QToolButton::clicked, this, [this, &property] { Q_EMIT givenUp(property); });
        m_rows.push_back(row);
    }
    connect(head, &QToolButton::toggled, this, [head, body](bool open) {
        body->setVisible(open);
        head->setArrowType(open ? Qt::DownArrow : Qt::RightArrow);
    });
    column->addWidget(head);
    column->addWidget(body);
    m_groups.emplace_back(head, body);
}

void LookForm::setGroupOpen(LookGroup group, bool open) {
    m_groups[size_t(group)].first->setChecked(open);
}

LookEditor* LookForm::editor(const QString& key) const {
    for (const Row& row : m_rows)
        if (row.property->keyText() == key)
            return row.editor;
    return nullptr;
}

void LookForm::setLook(const Look& look) {
    show(look, nullptr, nullptr);
}

void LookForm::setLook(const ResolvedLook& look, const LookChoice& here) {
    show(look.look, &look, &here);
}

void LookForm::show(const Look& look, const ResolvedLook* resolved, const LookChoice* here) {
    for (const Row& row : m_rows) {
        const bool isObjects = row.property->group == LookGroup::Objects;
        const bool isOwn = here && (here->own.has(*row.property) || (isObjects && !here->objects.empty()));
        const bool shown = matters(*row.property, look) || isOwn;
        row.label->setVisible(shown);
        row.editor->setVisible(shown && !(isObjects && resolved));
        row.source->setVisible(shown && resolved);
        QSizePolicy policy = row.giveUp->sizePolicy();
        policy.setRetainSizeWhenHidden(here); // fields do not move when there is something to give up
        row.giveUp->setSizePolicy(policy);
        row.giveUp->setVisible(shown && isOwn);
        row.editor->setValue(row.property->get(look));
        if (!resolved)
            continue;
        const LookSource& source = resolved->sourceOf(*row.property);
        row.source->setText(isObjects ? objectsText(look.objects, source) : sourceText(source));
        row.editor->setEnabled(source.level != LookLevel::Insisted);
    }
}

bool LookForm::matters(const LookProperty& property, const Look& look) {
    const QString key = property.keyText();
    const BackdropKind kind = look.backdrop.kind;
    if (property.group == LookGroup::Treatment)
        return look.backdrop.isMedium() ||
               (kind == BackdropKind::Live && (key == u"backdrop.tint" || key == u"backdrop.darkEdge"));
    if (key == u"backdrop.picture")
        return kind == BackdropKind::Picture;
    if (key.startsWith(u"backdrop.film"))
        return kind == BackdropKind::Film;
    if (key == u"backdrop.live")
        return kind == BackdropKind::Live;
    if (key == u"backdrop.fit")
        return look.backdrop.isSeen();
    if (key == u"backdrop.focus")
        return look.backdrop.isSeen() && look.backdrop.fit == PictureFit::Fill;
    if (key == u"backdrop.colour")
        return kind == BackdropKind::Plain || look.backdrop.isSeen();
    if (key == u"backdrop.shape" || key == u"backdrop.stops")
        return kind == BackdropKind::Gradient;
    if (key == u"backdrop.angle")
        return kind == BackdropKind::Gradient && look.backdrop.shape == GradientShape::Linear;
    if (property.group == LookGroup::Panel && key != u"words.panel.reach")
        return look.words.panel.reach != PanelReach::None;
    if (key == u"words.outlineColour")
        return look.words.outlineWidth > 0;
    if (property.group == LookGroup::Credit && key != u"credit.when")
        return look.credit.when != CreditWhen::Never;
    for (const auto& [prefix, transition] :
         {std::pair{QStringLiteral("transition."), &look.transition},
          std::pair{QStringLiteral("backdropTransition."), &look.backdropTransition}}) {
        if (!key.startsWith(prefix) || key == prefix + QLatin1String("kind"))
            continue;
        if (transition->kind == TransitionKind::Cut)
            return false;
        if (key.endsWith(QLatin1String(".through")))
            return transition->kind == TransitionKind::FadeThrough;
        if (key.endsWith(QLatin1String(".from")))
            return transition->kind == TransitionKind::Push;
    }
    return true;
}

QString sourceText(const LookSource& source) {
    const auto with = [&](const QString& who) {
        return source.theme.isEmpty() ? LookForm::tr("set for %1").arg(who)
                                      : LookForm::tr("theme %1, of %2").arg(source.theme, who);
    };
    switch (source.level) {
    case LookLevel::BuiltIn:
        return LookForm::tr("built in");
    case LookLevel::Output:
        return with(LookForm::tr("the output"));
    case LookLevel::Service:
        return with(LookForm::tr("the service"));
    case LookLevel::Kind:
        return with(LookForm::tr("this kind of item"));
    case LookLevel::Live:
        return LookForm::tr("the live picture before it");
    case LookLevel::Item:
        return with(LookForm::tr("this item"));
    case LookLevel::Slide:
        return with(LookForm::tr("this slide"));
    case LookLevel::Insisted:
        return LookForm::tr("the output insists on it: %1")
            .arg(source.theme.isEmpty() ? LookForm::tr("its own") : source.theme);
    }
    return {};
}

} // namespace mivanta

#include "moc_LookForm.cpp"
