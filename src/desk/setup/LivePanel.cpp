// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/LivePanel.h"
#include "core/live/LiveLoops.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/setup/LiveForm.h"
#include "render/BackdropPainter.h"
#include "render/SceneRenderer.h"
#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr QSize kLiveIcon(128, 72);
constexpr QSize kLivePicture = message::LivePicture::kLargest;
const QString kLooker = QStringLiteral("setup");
constexpr int kIdRole = Qt::UserRole;

/// On a ground of one size, whatever its shape.
QPixmap iconOf(const QImage& picture) {
    QPixmap pixmap(kLiveIcon);
    pixmap.fill(Qt::black);
    if (picture.isNull())
        return pixmap;
    const QImage small = picture.scaled(kLiveIcon, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    QPainter painter(&pixmap);
    painter.drawImage((kLiveIcon.width() - small.width()) / 2, (kLiveIcon.height() - small.height()) / 2,
                      small);
    return pixmap;
}

/// As it stands on a screen: filling it, with the words over it.
QImage underWords(const QImage& picture, const QImage& words) {
    QImage screen(kLivePicture, QImage::Format_RGB32);
    screen.fill(Qt::black);
    QPainter painter(&screen);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const auto [from, to] = placed(Backdrop(), picture.size(), screen.rect());
    painter.drawImage(to, picture, from);
    painter.drawImage(screen.rect(), words);
    return screen;
}

} // namespace

LivePanel::LivePanel(Session& session, ThumbnailStore& thumbnails, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session) {
    setObjectName(QStringLiteral("live-panel"));
    auto* title = new QLabel(tr("Live inputs"), this);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_empty =
        new QLabel(tr("Cameras, monitors, windows of other programs and pictures from the network: added "
                      "here once, they can stand behind words, on slides, or by themselves."),
                   this);
    m_empty->setWordWrap(true);
    makeQuiet(m_empty);
    m_list = new QListWidget(this);
    m_list->setObjectName(QStringLiteral("live-list"));
    m_list->setAccessibleName(tr("Live inputs"));
    m_list->setIconSize(kLiveIcon);
    m_list->setSpacing(2);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->setTextElideMode(Qt::ElideRight);
    connect(m_list, &QListWidget::currentRowChanged, this, &LivePanel::showChosen);
    m_side = new QWidget(this);
    m_side->setLayout(buildChosen(thumbnails, prompts));
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(4));
    row->addWidget(m_list, 2);
    row->addWidget(m_side, 3);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(title);
    column->addWidget(m_empty);
    column->addLayout(buildButtons(prompts));
    column->addLayout(row);
    LiveInputs& inputs = m_session.liveInputs();
    connect(&inputs, &LiveInputs::changed, this, &LivePanel::refresh);
    connect(&inputs, &LiveInputs::pictureChanged, this, &LivePanel::showPicture);
    connect(&inputs, &LiveInputs::stateChanged, this, &LivePanel::showState);
    connect(&inputs.keeper(), &Secrets::placeChanged, this, &LivePanel::refresh);
    refresh();
}

QHBoxLayout* LivePanel::buildButtons(Prompts& prompts) {
    auto* add = new QPushButton(tr("Add a live input"), this);
    add->setObjectName(QStringLiteral("add-live"));
    add->setToolTip(tr("A camera, a monitor, a window, or a picture that the network brings"));
    setFocusProxy(add);
    auto* menu = new QMenu(add);
    const auto entry = [&](const char* name, const QString& text, LiveKind kind) {
        QAction* action = menu->addAction(text, this, [this, kind] {
            choose(m_session.liveInputs().add(kind));
            m_form->focusSource();
        });
        action->setObjectName(QLatin1String(name));
    };
    entry("add-live-camera", tr("A &camera of this computer"), LiveKind::Camera);
    entry("add-live-monitor", tr("A &monitor of this computer"), LiveKind::Monitor);
    entry("add-live-window", tr("A &window of another program"), LiveKind::Window);
    entry("add-live-network", tr("From the &network"), LiveKind::Network);
    entry("add-live-file", tr("A picture &file that is written again and again"), LiveKind::File);
    entry("add-live-output", tr("Another &output"), LiveKind::Output);
    add->setMenu(menu);
    m_remove = new QPushButton(tr("Remove it\u2026"), this);
    m_remove->setObjectName(QStringLiteral("remove-live"));
    connect(m_remove, &QPushButton::clicked, this, [this, &prompts] {
        const LiveInputId id = chosen();
        if (prompts.agree(
                tr("Remove the live input %1? Slides that show it show their backdrop's colour then.")
                    .arg(m_session.liveInputs().nameOf(id)),
                tr("Remove it")))
            m_session.liveInputs().remove(id);
    });
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(2));
    row->addWidget(add);
    row->addWidget(m_remove);
    row->addStretch(1);
    return row;
}

QVBoxLayout* LivePanel::buildChosen(ThumbnailStore& thumbnails, Prompts& prompts) {
    m_picture = new PictureView(thumbnails, this);
    m_picture->setObjectName(QStringLiteral("live-picture"));
    m_picture->setEmptyText(tr("No picture yet"));
    m_state = new QLabel(this);
    m_state->setObjectName(QStringLiteral("live-state"));
    m_state->setWordWrap(true);
    m_underWords = new QCheckBox(tr("Look at it under words"), this);
    m_underWords->setObjectName(QStringLiteral("live-under-words"));
    m_underWords->setToolTip(tr("How words of the service's theme stand over it; nothing goes to a screen"));
    connect(m_underWords, &QCheckBox::clicked, this, [this] {
        makeWords();
        showPicture(chosen());
    });
    m_form = new LiveForm(this);
    connect(m_form, &LiveForm::changed, &m_session.liveInputs(), &LiveInputs::change);
    connect(m_form, &LiveForm::secretChanged, &m_session.liveInputs(), &LiveInputs::setSecret);
    connect(m_form, &LiveForm::refused, this, [this](const QString& why) { Q_EMIT m_session.warning(why); });
    connect(m_form, &LiveForm::fileWanted, this, [this, &prompts] {
        const LiveInputId id = chosen();
        const QString path = prompts.pictureToChoose();
        const LiveInput* input = m_session.liveInputs().find(id); // it may be gone since
        if (path.isEmpty() || !input)
            return;
        LiveInput changed = *input;
        changed.source = FileSource{path};
        m_session.liveInputs().change(changed);
    });
    connect(m_form, &LiveForm::cardWanted, this, [this, &prompts] {
        chooseMedium(m_session, prompts, this, MediumKind::Picture,
                     [this, id = chosen()](const Medium& medium) {
                         const LiveInput* input = m_session.liveInputs().find(id);
                         if (!input)
                             return;
                         LiveInput changed = *input;
                         changed.card = medium.name;
                         m_session.liveInputs().change(changed);
                     });
    });
    auto* column = new QVBoxLayout;
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_picture);
    column->addWidget(m_state);
    column->addWidget(m_underWords);
    column->addWidget(m_form);
    column->addStretch(1);
    return column;
}

LiveInputId LivePanel::chosen() const {
    const QListWidgetItem* item = m_list->currentItem();
    return item ? LiveInputId::fromText(item->data(kIdRole).toString()) : LiveInputId();
}

void LivePanel::choose(LiveInputId id) {
    for (int i = 0; i < m_list->count(); ++i)
        if (m_list->item(i)->data(kIdRole).toString() == id.text())
            m_list->setCurrentRow(i);
}

void LivePanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_underWords->isChecked())
        makeWords(); // the service may have another theme by now
    refresh();
}

void LivePanel::hideEvent(QHideEvent* event) {
    m_session.liveInputs().lookAt(kLooker, {});
    QWidget::hideEvent(event);
}

void LivePanel::refresh() {
    const std::vector<LiveInput>& inputs = m_session.liveInputs().all();
    const LiveInputId before = chosen();
    {
        const QSignalBlocker quiet(m_list);
        while (m_list->count() > int(inputs.size()))
            delete m_list->takeItem(m_list->count() - 1);
        while (m_list->count() < int(inputs.size()))
            m_list->addItem(new QListWidgetItem);
        for (size_t i = 0; i < inputs.size(); ++i) {
            QListWidgetItem* item = m_list->item(int(i));
            item->setData(kIdRole, inputs[i].id.text());
            item->setText(inputs[i].name + u'\n' + liveKindText(kindOf(inputs[i].source)));
            item->setIcon(iconOf(m_session.liveInputs().pictureOf(inputs[i].id)));
        }
        choose(before);
        if (m_list->currentRow() < 0 && m_list->count() > 0)
            m_list->setCurrentRow(0);
    }
    m_empty->setVisible(inputs.empty());
    m_list->setVisible(!inputs.empty());
    m_side->setVisible(!inputs.empty());
    m_remove->setVisible(!inputs.empty());
    std::vector<LiveInputId> looked;
    if (isVisible())
        for (const LiveInput& input : inputs)
            if (isComplete(input.source))
                looked.push_back(input.id);
    m_session.liveInputs().lookAt(kLooker, looked);
    showChosen();
}

void LivePanel::showChosen() {
    const LiveInputs& inputs = m_session.liveInputs();
    const LiveInput* input = inputs.find(chosen());
    if (!input)
        return;
    m_remove->setToolTip(tr("Remove %1 with its settings").arg(input->name));
    QStringList outputs;
    for (const Output& output : m_session.outputs().all())
        outputs << output.name;
    m_form->setInput(*input, inputs.secretOf(input->id), outputs);
    m_form->setSecretsPlace(
        m_session.liveInputs().keeper().place() == Secrets::Place::KeyRing
            ? tr("Names and passwords are kept in the key ring of this desktop, never in services.")
            : tr("This desktop has no key ring: names and passwords are kept in a file that only you can "
                 "read, never in services."));
    m_picture->setCaption(input->name);
    showPicture(input->id);
    showState(input->id);
}

void LivePanel::showPicture(LiveInputId id) {
    if (!isVisible())
        return; // somebody else looks at it
    const QImage picture = m_session.liveInputs().pictureOf(id);
    for (int i = 0; i < m_list->count(); ++i)
        if (m_list->item(i)->data(kIdRole).toString() == id.text() && !picture.isNull())
            m_list->item(i)->setIcon(iconOf(picture));
    if (id != chosen())
        return;
    const bool isUnder = m_underWords->isChecked() && !picture.isNull();
    m_picture->setPicture(isUnder ? underWords(picture, m_words) : picture);
}

void LivePanel::showState(LiveInputId id) {
    if (id != chosen())
        return;
    const LiveInput* input = m_session.liveInputs().find(id);
    if (!input || !isComplete(input->source)) {
        m_state->setText(tr("Say below where its picture comes from."));
        return;
    }
    QString text = m_session.liveInputs().stateText(id);
    if (const QString where = outputsInItself(*input); !where.isEmpty())
        text += u'\n' + tr("It is not shown on %1: the picture would stand in itself.").arg(where);
    m_state->setText(text);
}

/// Of outputs that it shows, and which therefore do not show it.
QString LivePanel::outputsInItself(const LiveInput& input) const {
    const Outputs& outputs = m_session.outputs();
    QStringList names;
    for (size_t i = 0; i < std::min(outputs.all().size(), outputs.placements().size()); ++i) {
        QRect place;
        for (const Monitor& monitor : outputs.monitors())
            if (outputs.placements()[i].kind == Placement::Kind::FullScreen &&
                monitor.name == outputs.placements()[i].monitor)
                place = monitor.geometry;
        if (wouldShowItself(input, outputs.all()[i].name, place, outputs.monitors()))
            names << outputs.all()[i].label();
    }
    return names.join(u", ");
}

/// Of the service's theme, as the first output has them.
void LivePanel::makeWords() {
    const std::vector<Output>& outputs = m_session.outputs().all();
    if (outputs.empty())
        return;
    Scene scene;
    scene.size = outputs.front().size;
    scene.look =
        lookOn(outputs.front(), plainChain(m_session.document().service().theme, m_session.book().themes()))
            .look;
    scene.look.backdrop = {};
    scene.look.backdrop.kind = BackdropKind::None;
    scene.fontSize = scene.look.words.size;
    scene.rows = {{tr("Till every boat is home"), {}, {}}, {tr("and every light is seen"), {}, {}}};
    m_words = renderScene(scene, kLivePicture);
}

} // namespace mivanta

#include "moc_LivePanel.cpp"
