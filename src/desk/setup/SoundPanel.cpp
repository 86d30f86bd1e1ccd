// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/SoundPanel.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

SoundPanel::SoundPanel(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    auto* title = new QLabel(tr("Sound"), this);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_device = new QComboBox(this);
    m_device->setObjectName(QStringLiteral("sound-device"));
    m_device->setAccessibleName(tr("Where it is heard"));
    m_device->setToolTip(tr("Where films, music and sounds are heard"));
    auto* tone = new QPushButton(tr("Test tone"), this);
    tone->setObjectName(QStringLiteral("test-tone"));
    tone->setToolTip(tr("Two soft tones: from the left, then from the right"));
    m_state = new QLabel(this);
    m_state->setObjectName(QStringLiteral("sound-state"));
    m_state->setWordWrap(true);
    makeQuiet(m_state);
    auto* row = new QHBoxLayout;
    row->addWidget(m_device, 1);
    row->addWidget(tone);
    auto* form = new QFormLayout;
    form->addRow(tr("Heard through"), row);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(title);
    column->addLayout(form);
    column->addWidget(m_state);
    connect(m_device, &QComboBox::activated, this, [this] {
        RunSettings settings = m_session.run().settings();
        settings.soundDevice = m_device->currentData().toString();
        m_session.changeRunSettings(settings);
    });
    connect(tone, &QPushButton::clicked, this, [this] { m_session.player().playTestTone(); });
    connect(&m_session.player(), &PlayerClient::soundDevicesChanged, this, &SoundPanel::refresh);
    connect(&m_session.run(), &RunController::settingsChanged, this, &SoundPanel::refresh);
    refresh();
}

/// One that was chosen and is not there stays in the list: it is taken up again when it comes back.
void SoundPanel::refresh() {
    const message::SoundDevices& known = m_session.player().soundDevices();
    const QString chosen = m_session.run().settings().soundDevice;
    m_device->clear();
    m_device->addItem(tr("The usual one of this computer"), QString());
    for (const SoundDevice& device : known.devices)
        m_device->addItem(device.label, device.name);
    if (!chosen.isEmpty() && m_device->findData(chosen) < 0)
        m_device->addItem(tr("%1 (not there now)").arg(chosen), chosen);
    m_device->setCurrentIndex(std::max(0, m_device->findData(chosen)));
    m_state->setVisible(known.devices.empty() || !known.isChosenThere);
    m_state->setText(known.devices.empty()
                         ? tr("This computer has no loudspeakers that are known: films and music "
                              "play without being heard.")
                         : tr("What was chosen is not there: sound goes to the usual one until it "
                              "comes back."));
}

} // namespace mivanta

#include "moc_SoundPanel.cpp"
