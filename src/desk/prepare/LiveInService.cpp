// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LiveInService.h"
#include "core/order/LiveBehind.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include "desk/prepare/FocusFields.h"
#include "desk/prepare/ShownOn.h"
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>

namespace mivanta {

namespace {

constexpr int kReachRole = Qt::UserRole;
constexpr int kUntilRole = Qt::UserRole + 1;
constexpr int kMostNamed = 4; // items that a line names
constexpr int kPictureHeight = 180;

} // namespace

LiveInService::LiveInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("live-in-service"));
    m_title = makeField("live-title", tr("What the item is called in the order"), this);
    m_input =
        named(new QComboBox(this), "live-input", tr("The camera, screen or other live input that is shown"));
    m_state = new QLabel(this);
    m_state->setObjectName(QStringLiteral("live-item-state"));
    m_see = named(new QPushButton(tr("See it now"), this), "live-see",
                  tr("Opens it for this desk alone; nothing of it comes on a screen"));
    m_see->setCheckable(true);
    m_see->setProperty("choice", true); // it is seen that it is down
    m_picture = new QLabel(this);
    m_picture->setObjectName(QStringLiteral("live-item-picture"));
    m_picture->setFixedHeight(kPictureHeight);
    m_picture->hide();
    m_reach = named(new QComboBox(this), "live-reach",
                    tr("Whether the picture stays, with the words of what follows over it"));
    m_behind = new QLabel(this);
    m_behind->setObjectName(QStringLiteral("live-behind"));
    for (QLabel* label : {m_state, m_behind}) {
        label->setWordWrap(true);
        makeQuiet(label);
    }
    m_fit = makeFitBox("live-fit", tr("How a picture of another shape meets the screen"), this);
    m_focus = new FocusFields(QStringLiteral("live"), this);
    m_outputs = new ShownOn(m_session.outputs(), QStringLiteral("live"), this);
    buildForm();
    connectFields();
}

void LiveInService::buildForm() {
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(1.5));
    form->addRow(tr("Name"), m_title);
    form->addRow(tr("Live input"), m_input);
    auto* state = new QHBoxLayout;
    state->setSpacing(spaced(2));
    state->addWidget(m_state, 1);
    state->addWidget(m_see, 0, Qt::AlignTop);
    form->addRow(QString(), state);
    form->addRow(QString(), m_picture);
    form->addRow(tr("Stays behind"), m_reach);
    form->addRow(QString(), m_behind);
    form->addRow(tr("Picture"), m_fit);
    form->addRow(tr("Stays in sight"), m_focus);
    form->addRow(tr("Shown on"), m_outputs);
}

void LiveInService::connectFields() {
    connect(m_title, &QLineEdit::textEdited, this, [this](const QString& text) {
        change(
            tr("the name of a live picture"), [&](LiveItem& item) { item.title = text; }, m_visit);
    });
    connect(m_input, &QComboBox::activated, this, &LiveInService::chooseInput);
    connect(m_reach, &QComboBox::activated, this, &LiveInService::chooseReach);
    connect(m_fit, &QComboBox::activated, this, [this] {
        change(tr("how a live picture meets the screen"),
               [&](LiveItem& item) { item.fit = PictureFit(m_fit->currentData().toInt()); });
    });
    connect(m_focus, &FocusFields::chosen, this, [this](QPointF focus) {
        change(
            tr("what of a live picture stays in sight"), [&](LiveItem& item) { item.focus = focus; },
            m_visit);
    });
    connect(m_outputs, &ShownOn::chosen, this, [this](const QMap<QString, bool>& outputs) {
        change(tr("where a live picture is shown"), [&](LiveItem& item) { item.isShownOn = outputs; });
    });
    connect(m_see, &QPushButton::toggled, this, &LiveInService::see);
    connect(&m_session.liveInputs(), &LiveInputs::pictureChanged, this, &LiveInService::showPicture);
    connect(&m_session.liveInputs(), &LiveInputs::changed, this, &LiveInService::refresh);
    connect(&m_session.liveInputs(), &LiveInputs::stateChanged, this, &LiveInService::showState);
}

const LiveItem* LiveInService::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at ? std::get_if<LiveItem>(&at->words) : nullptr;
}

void LiveInService::setItem(const ItemId& id) {
    if (!(m_item == id))
        m_see->setChecked(false);
    m_item = id;
    m_visit = m_session.document().startVisit();
    refresh();
}

void LiveInService::change(const QString& what, const std::function<void(LiveItem&)>& work, int visit) {
    const LiveItem* shown = item();
    if (!shown)
        return;
    LiveItem changed = *shown;
    work(changed);
    if (changed != *shown)
        m_session.document().change(m_item, changed, what, visit);
}

void LiveInService::chooseInput() {
    const LiveInput* input =
        m_session.liveInputs().find(LiveInputId::fromText(m_input->currentData().toString()));
    if (input)
        change(tr("which live input is shown"), [&](LiveItem& item) {
            item.input = input->id;
            item.caption = input->name;
        });
}

void LiveInService::chooseReach() {
    change(tr("what a live picture stays behind"), [&](LiveItem& item) {
        item.reach = LiveReach(m_reach->currentData(kReachRole).toInt());
        item.until = ItemId::fromText(m_reach->currentData(kUntilRole).toString());
    });
}

void LiveInService::refresh() {
    const LiveItem* shown = item();
    setVisible(shown != nullptr);
    if (!shown)
        return;
    putText(m_title, givenName(*shown));
    showInputs(*shown);
    showReach(*shown);
    m_fit->setCurrentIndex(m_fit->findData(int(shown->fit)));
    m_focus->setFocusPoint(shown->focus);
    m_focus->setEnabled(shown->fit == PictureFit::Fill);
    m_outputs->setChosen(shown->isShownOn);
    m_see->setEnabled(m_session.liveInputs().find(shown->input) != nullptr);
    if (m_see->isChecked())
        see(true); // it may be another one by now
    showState();
}

void LiveInService::showInputs(const LiveItem& live) {
    m_input->clear();
    for (const LiveInput& input : m_session.liveInputs().all())
        m_input->addItem(input.name, input.id.text());
    if (!m_session.liveInputs().find(live.input))
        m_input->insertItem(0,
                            live.caption.isEmpty() ? tr("none yet") : tr("%1 (not here)").arg(live.caption),
                            live.input.text());
    m_input->setCurrentIndex(m_input->findData(live.input.text()));
}

void LiveInService::showState() {
    const LiveItem* shown = item();
    if (!shown)
        return;
    if (m_session.liveInputs().all().empty())
        m_state->setText(tr("This computer has no live input yet: add one in Setup (Alt+5)."));
    else if (!m_session.liveInputs().find(shown->input))
        m_state->setText(tr("This computer does not have it: choose another one here."));
    else
        m_state->setText(m_session.liveInputs().stateText(shown->input));
}

/// It is open for as long as it is looked at, and no longer than this page is.
void LiveInService::see(bool wanted) {
    const LiveItem* shown = item();
    std::vector<LiveInputId> looked;
    if (wanted && shown && m_session.liveInputs().find(shown->input))
        looked.push_back(shown->input);
    m_session.liveInputs().lookAt(objectName(), looked);
    m_picture->setVisible(!looked.empty());
    showPicture();
}

void LiveInService::showPicture() {
    const LiveItem* shown = item();
    if (!shown || !m_see->isChecked())
        return;
    const QImage picture = m_session.liveInputs().pictureOf(shown->input);
    if (picture.isNull())
        m_picture->setText(tr("No picture yet"));
    else
        m_picture->setPixmap(
            QPixmap::fromImage(picture.scaledToHeight(kPictureHeight, Qt::SmoothTransformation)));
}

void LiveInService::hideEvent(QHideEvent* event) {
    m_see->setChecked(false);
    QWidget::hideEvent(event);
}

void LiveInService::showReach(const LiveItem& live) {
    const Service& service = m_session.document().service();
    m_reach->clear();
    const auto add = [this](const QString& text, LiveReach reach, const ItemId& until = {}) {
        m_reach->addItem(text);
        m_reach->setItemData(m_reach->count() - 1, int(reach), kReachRole);
        m_reach->setItemData(m_reach->count() - 1, until.text(), kUntilRole);
    };
    add(tr("nothing: it ends with its own step"), LiveReach::Itself);
    add(tr("what follows, until the next heading"), LiveReach::ToHeading);
    const int at = service.indexOf(m_item);
    for (size_t i = size_t(at + 1); i < service.items.size(); ++i)
        if (service.items[i].hasSlides())
            add(tr("what follows, until \u201c%1\u201d").arg(service.items[i].title()), LiveReach::ToItem,
                service.items[i].id);
    add(tr("what follows, to the end of the service"), LiveReach::ToEnd);
    int chosen = -1;
    for (int i = 0; i < m_reach->count(); ++i)
        if (m_reach->itemData(i, kReachRole).toInt() == int(live.reach) &&
            (live.reach != LiveReach::ToItem ||
             m_reach->itemData(i, kUntilRole).toString() == live.until.text()))
            chosen = i;
    if (chosen < 0) {
        add(tr("until an item that is not behind it any more"), live.reach, live.until);
        chosen = m_reach->count() - 1;
    }
    m_reach->setCurrentIndex(chosen);
    QStringList names;
    for (const Item* item : itemsOver(m_item, service))
        names << item->title();
    const auto more = names.size() - kMostNamed;
    QString text = names.mid(0, kMostNamed).join(QStringLiteral(", "));
    if (more > 0)
        text = tr("%1 and %n more", "names of items", int(more)).arg(text);
    m_behind->setText(text.isEmpty() ? QString() : tr("Their words stand over it: %1").arg(text));
    m_behind->setVisible(!text.isEmpty());
}

} // namespace mivanta

#include "moc_LiveInService.cpp"
