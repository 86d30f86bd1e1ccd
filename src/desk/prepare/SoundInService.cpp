// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/SoundInService.h"
#include "core/media/MediumKind.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/prepare/CommonValue.h"
#include "media/Sound.h"
#include <QCheckBox>
#include <QDropEvent>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QMimeData>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {

namespace {

/// The sound file among what is dragged; empty = none.
QString soundIn(const QMimeData& data) {
    for (const QUrl& url : data.urls())
        if (url.isLocalFile() && mediumKindOf(url.toLocalFile()) == MediumKind::Sound)
            return url.toLocalFile();
    return {};
}

} // namespace

SoundInService::SoundInService(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("sound-in-service"));
    setAcceptDrops(true);
    auto* label = new QLabel(tr("Sounds"), this);
    m_choose = new QPushButton(this);
    m_choose->setObjectName(QStringLiteral("sound-choose"));
    m_choose->setToolTip(tr("What is heard when the item is taken. Choose a sound file, or drop one here"));
    m_choose->setSizePolicy(QSizePolicy::Maximum, QSizePolicy::Fixed);
    label->setBuddy(m_choose);
    m_remove = new QToolButton(this);
    m_remove->setObjectName(QStringLiteral("sound-remove"));
    m_remove->setIcon(icon(QStringLiteral("trash-2"), day().text));
    m_remove->setAccessibleName(tr("No sound"));
    m_remove->setToolTip(tr("Nothing sounds when the item is taken"));
    m_goesOn = new QCheckBox(tr("Play on when the next item is taken"), this);
    m_goesOn->setObjectName(QStringLiteral("sound-goes-on"));
    m_goesOn->setToolTip(tr("It sounds to its end, also when another item is taken meanwhile"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(2));
    row->addWidget(label);
    row->addWidget(m_choose);
    row->addWidget(m_remove);
    row->addWidget(m_goesOn);
    row->addStretch(1);
    connect(m_choose, &QPushButton::clicked, this, [this] {
        if (const QString path = m_prompts.soundToChoose(); !path.isEmpty())
            take(path);
    });
    connect(m_remove, &QToolButton::clicked, this, [this] {
        m_session.document().changePlan(
            items(), [](ItemPlan& plan) { plan.sound.reset(); }, tr("no sound"));
    });
    connect(m_goesOn, &QCheckBox::clicked, this, [this](bool on) {
        m_goesOn->setTristate(false);
        m_session.document().changePlan(
            items(),
            [on](ItemPlan& plan) {
                if (plan.sound)
                    plan.sound->goesOn = on;
            },
            tr("how long a sound goes on"));
    });
}

std::vector<ItemId> SoundInService::items() const {
    return chosenThat(&Item::hasSlides, m_session.document().service(),
                      m_selection ? m_selection() : std::vector<ItemId>(), m_item);
}

void SoundInService::setItem(const ItemId& id) {
    m_item = id;
    refresh();
}

/// For the items that are chosen now, whatever is chosen when the file is in the library.
void SoundInService::take(const QString& path) {
    bringInOne(m_session, this, path, MediumKind::Sound, [this, ids = items()](const Medium& sound) {
        m_session.document().changePlan(
            ids,
            [&](ItemPlan& plan) {
                plan.sound = ItemSound{sound.name, sound.title, plan.sound && plan.sound->goesOn};
            },
            tr("the sound %1").arg(sound.title));
    });
}

void SoundInService::refresh() {
    std::vector<const Item*> shown;
    for (const ItemId& id : items())
        shown.push_back(m_session.document().service().item(id));
    setVisible(!shown.empty());
    if (shown.empty())
        return;
    const auto sound = commonValue(shown, [](const Item& item) { return item.plan.sound; });
    const bool isThere = !sound || *sound;
    m_choose->setText(!sound ? tr("different") : *sound ? (*sound)->title : tr("Choose a sound\u2026"));
    m_choose->setIcon(isThere ? icon(QStringLiteral("music"), day().text) : QIcon());
    m_remove->setVisible(isThere);
    m_goesOn->setVisible(isThere);
    m_goesOn->setTristate(!sound);
    m_goesOn->setCheckState(!sound                       ? Qt::PartiallyChecked
                            : *sound && (*sound)->goesOn ? Qt::Checked
                                                         : Qt::Unchecked);
}

void SoundInService::dragEnterEvent(QDragEnterEvent* event) {
    if (!soundIn(*event->mimeData()).isEmpty())
        event->acceptProposedAction();
}

void SoundInService::dropEvent(QDropEvent* event) {
    if (const QString path = soundIn(*event->mimeData()); !path.isEmpty()) {
        event->acceptProposedAction();
        take(path);
    }
}

} // namespace mivanta

#include "moc_SoundInService.cpp"
