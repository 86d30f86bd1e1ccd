// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/FilmInService.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include "desk/prepare/FocusFields.h"
#include "desk/prepare/ShownOn.h"
#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>

namespace mivanta {

FilmInService::FilmInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("film-in-service"));
    m_title = makeField("film-title", tr("What the item is called in the order"), this);
    m_from = makeField("film-from", tr("Where it begins, such as 0:09.2"), this);
    m_to = makeField("film-to", tr("Where it ends, such as 1:30; empty = at its end"), this);
    for (QLineEdit* edit : {m_from, m_to})
        edit->setFixedWidth(spaced(22));
    m_length = new QLabel(this);
    m_length->setObjectName(QStringLiteral("film-length"));
    m_end = new QComboBox(this);
    m_end->setObjectName(QStringLiteral("film-end"));
    m_end->setAccessibleName(tr("At its end"));
    m_end->addItem(tr("keeps its last picture"), int(FilmEnd::KeepsPicture));
    m_end->addItem(tr("goes on to the next item"), int(FilmEnd::NextItem));
    m_end->addItem(tr("house card"), int(FilmEnd::HouseCard));
    m_end->addItem(tr("black"), int(FilmEnd::Black));
    m_end->addItem(tr("begins again"), int(FilmEnd::Again));
    m_fit = makeFitBox("film-fit", tr("How a film of another shape meets the screen"), this);
    m_heard = new QCheckBox(tr("with its sound"), this);
    m_heard->setObjectName(QStringLiteral("film-heard"));
    m_volume = makePerCent("film-volume", tr("How loud it is"), this);
    m_fadeIn =
        makeSeconds("film-fade-in", tr("Picture and sound come within so many seconds"), kLongestFade, this);
    m_fadeOut = makeSeconds("film-fade-out", tr("Picture and sound go within so many seconds before the end"),
                            kLongestFade, this);
    m_focus = new FocusFields(QStringLiteral("film"), this);
    m_outputs = new ShownOn(m_session.outputs(), QStringLiteral("film"), this);
    buildForm();
    connectFields();
}

void FilmInService::buildForm() {
    auto* part = new QHBoxLayout;
    part->addWidget(m_from);
    part->addWidget(new QLabel(tr("to"), this));
    part->addWidget(m_to);
    part->addWidget(m_length, 1);
    auto* sound = new QHBoxLayout;
    sound->addWidget(m_heard);
    sound->addWidget(m_volume);
    sound->addStretch(1);
    auto* fades = new QHBoxLayout;
    fades->addWidget(new QLabel(tr("in"), this));
    fades->addWidget(m_fadeIn);
    fades->addWidget(new QLabel(tr("out"), this));
    fades->addWidget(m_fadeOut);
    fades->addStretch(1);
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(1.5));
    form->addRow(tr("Name"), m_title);
    form->addRow(tr("Plays from"), part);
    form->addRow(tr("At its end"), m_end);
    form->addRow(tr("Sound"), sound);
    form->addRow(tr("Fades"), fades);
    form->addRow(tr("Picture"), m_fit);
    form->addRow(tr("Stays in sight"), m_focus);
    form->addRow(tr("Shown on"), m_outputs);
}

void FilmInService::connectFields() {
    connect(m_title, &QLineEdit::textEdited, this, [this](const QString& text) {
        change(
            tr("the name of a film"), [&](FilmItem& item) { item.title = text; }, m_visit);
    });
    connect(m_from, &QLineEdit::editingFinished, this,
            [this] { takeMoment(m_from, &FilmItem::from, tr("where a film begins")); });
    connect(m_to, &QLineEdit::editingFinished, this,
            [this] { takeMoment(m_to, &FilmItem::to, tr("where a film ends")); });
    connect(m_end, &QComboBox::activated, this, [this] {
        change(tr("what comes at a film's end"),
               [&](FilmItem& item) { item.end = FilmEnd(m_end->currentData().toInt()); });
    });
    connect(m_fit, &QComboBox::activated, this, [this] {
        change(tr("how a film meets the screen"),
               [&](FilmItem& item) { item.fit = PictureFit(m_fit->currentData().toInt()); });
    });
    connect(m_heard, &QCheckBox::clicked, this,
            [this](bool on) { change(tr("a film's sound"), [on](FilmItem& item) { item.isHeard = on; }); });
    connect(m_volume, &QSpinBox::valueChanged, this, [this](int percent) {
        change(
            tr("a film's loudness"), [percent](FilmItem& item) { item.volume = percent; }, m_visit);
    });
    const auto connectFade = [this](QDoubleSpinBox* box, double FilmItem::*fade) {
        connect(box, &QDoubleSpinBox::valueChanged, this, [this, fade](double seconds) {
            change(
                tr("how a film fades"), [&](FilmItem& item) { item.*fade = seconds; }, m_visit);
        });
    };
    connectFade(m_fadeIn, &FilmItem::fadeIn);
    connectFade(m_fadeOut, &FilmItem::fadeOut);
    connect(m_focus, &FocusFields::chosen, this, [this](QPointF focus) {
        change(
            tr("what of a film stays in sight"), [&](FilmItem& item) { item.focus = focus; }, m_visit);
    });
    connect(m_outputs, &ShownOn::chosen, this, [this](const QMap<QString, bool>& outputs) {
        change(tr("where a film is shown"), [&](FilmItem& item) { item.isShownOn = outputs; });
    });
}

const FilmItem* FilmInService::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at ? std::get_if<FilmItem>(&at->words) : nullptr;
}

void FilmInService::setItem(const ItemId& id) {
    m_item = id;
    m_visit = m_session.document().startVisit();
    refresh();
}

void FilmInService::change(const QString& what, const std::function<void(FilmItem&)>& work, int visit) {
    const FilmItem* shown = item();
    if (!shown)
        return;
    FilmItem changed = *shown;
    work(changed);
    if (changed != *shown)
        m_session.document().change(m_item, changed, what, visit);
}

/// What is no moment, or leaves nothing to be played, is told and taken back.
void FilmInService::takeMoment(QLineEdit* edit, double FilmItem::*moment, const QString& what) {
    const FilmItem* shown = item();
    if (!shown)
        return;
    edit->setModified(false);
    FilmItem changed = *shown;
    if (const auto problem =
            setMoment(edit->text(), changed.*moment, changed.from, changed.to, changed.seconds))
        Q_EMIT m_session.problem({*problem, givenName(*shown), tr("Write it like 1:30 or 0:09.2.")});
    else
        change(what, [&](FilmItem& item) { item.*moment = changed.*moment; });
    refresh();
}

void FilmInService::refresh() {
    const FilmItem* shown = item();
    setVisible(shown != nullptr);
    if (!shown)
        return;
    putText(m_title, givenName(*shown));
    putText(m_from, momentText(shown->from));
    putText(m_to, shown->to > 0 ? momentText(shown->to) : QString());
    m_to->setPlaceholderText(shown->seconds > 0 ? momentText(shown->seconds) : tr("its end"));
    m_length->setText(shown->length() > 0
                          ? tr("%1 of %2").arg(momentText(shown->length()), momentText(shown->seconds))
                          : QString());
    m_end->setCurrentIndex(m_end->findData(int(shown->end)));
    m_fit->setCurrentIndex(m_fit->findData(int(shown->fit)));
    m_heard->setChecked(shown->isHeard);
    putValue(m_volume, shown->volume);
    m_volume->setEnabled(shown->isHeard);
    putValue(m_fadeIn, shown->fadeIn);
    putValue(m_fadeOut, shown->fadeOut);
    m_focus->setFocusPoint(shown->focus);
    m_focus->setEnabled(shown->fit == PictureFit::Fill);
    m_outputs->setChosen(shown->isShownOn);
}

} // namespace mivanta

#include "moc_FilmInService.cpp"
