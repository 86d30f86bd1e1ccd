// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/RunPanel.h"
#include "core/base/Clock.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "store/SafeFiles.h"
#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kRows = 3;

QPlainTextEdit* linesEdit(const char* name, const QString& label, QWidget* parent) {
    auto* edit = new QPlainTextEdit(parent);
    edit->setObjectName(QLatin1String(name));
    edit->setAccessibleName(label);
    edit->setTabChangesFocus(true);
    edit->setFixedHeight(edit->fontMetrics().lineSpacing() * kRows + spaced(4));
    return edit;
}

} // namespace

RunPanel::RunPanel(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    auto* title = new QLabel(tr("Running"), this);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_card = linesEdit("house-card", tr("House card"), this);
    m_card->setToolTip(tr("What the curtain \u201cHouse card\u201d says"));
    m_card->setPlaceholderText(tr("The service's name and place"));
    m_picture = new QPushButton(tr("A picture instead\u2026"), this);
    m_picture->setObjectName(QStringLiteral("house-card-picture"));
    m_picture->setToolTip(tr("The house card is a picture that fills the screens"));
    m_noPicture = new QPushButton(tr("No picture"), this);
    m_noPicture->setObjectName(QStringLiteral("house-card-no-picture"));
    m_callOuts = linesEdit("call-outs", tr("Call-outs"), this);
    m_callOuts->setToolTip(
        tr("Messages to choose from while running, one a line; ___ is a blank to fill then"));
    m_opens = new QCheckBox(tr("A take opens a closed curtain"), this);
    m_opens->setObjectName(QStringLiteral("take-opens"));
    m_opens->setToolTip(tr("Otherwise a curtain stays closed until it is opened"));
    m_click = new QCheckBox(tr("One click on a card takes it"), this);
    m_click->setObjectName(QStringLiteral("click-takes"));
    m_click->setToolTip(tr("Otherwise a click looks at it, and a double click takes it"));
    m_runOnly = new QCheckBox(tr("This computer just runs services"), this);
    m_runOnly->setObjectName(QStringLiteral("run-only"));
    m_runOnly->setToolTip(
        tr("At every start, and with the lock in the header, Mivanta fills the screen with the "
           "Run desk, and neither editing nor quitting is possible until the lock is held open "
           "for two seconds"));
    m_autostart = new QCheckBox(tr("Start Mivanta when this computer starts"), this);
    m_autostart->setObjectName(QStringLiteral("autostart"));
    m_autostart->setToolTip(
        tr("With the service that was open last; its loops may be armed then, as each of them says"));
    m_autostart->setChecked(m_session.autostart().isOn());
    connect(m_autostart, &QCheckBox::clicked, this, [this](bool on) {
        if (const auto done = m_session.autostart().set(on); !done)
            Q_EMIT m_session.problem(done.error());
        m_autostart->setChecked(m_session.autostart().isOn());
    });
    connect(m_runOnly, &QCheckBox::clicked, &m_session.runOnly(), &RunOnly::set);
    auto* record = new QPushButton(tr("What was on screen, as a table\u2026"), this);
    record->setObjectName(QStringLiteral("send-record"));
    record->setToolTip(tr("Everything that was taken in the last twelve months, with its time, as CSV"));
    auto* pictures = new QHBoxLayout;
    pictures->addWidget(m_picture);
    pictures->addWidget(m_noPicture);
    pictures->addStretch(1);
    auto* form = new QFormLayout;
    form->setSpacing(spaced(1.5));
    form->addRow(m_card->accessibleName(), m_card);
    form->addRow(QString(), pictures);
    form->addRow(m_callOuts->accessibleName(), m_callOuts);
    form->addRow(QString(), m_opens);
    form->addRow(QString(), m_click);
    form->addRow(QString(), m_runOnly);
    form->addRow(QString(), m_autostart);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, spaced(3), 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(title);
    column->addLayout(form);
    column->addWidget(record, 0, Qt::AlignLeft);
    connect(m_card, &QPlainTextEdit::textChanged, this, [this] {
        if (m_card->hasFocus())
            change([this](RunSettings& settings) { settings.houseCard.words = m_card->toPlainText(); });
    });
    connect(m_callOuts, &QPlainTextEdit::textChanged, this, [this] {
        if (m_callOuts->hasFocus())
            change([this](RunSettings& settings) {
                settings.callOuts = m_callOuts->toPlainText().split(u'\n', Qt::SkipEmptyParts);
            });
    });
    connect(m_picture, &QPushButton::clicked, this, &RunPanel::choosePicture);
    connect(m_noPicture, &QPushButton::clicked, this,
            [this] { change([](RunSettings& settings) { settings.houseCard.picture.clear(); }); });
    connect(m_opens, &QCheckBox::clicked, this,
            [this](bool on) { change([on](RunSettings& settings) { settings.takeOpensCurtain = on; }); });
    connect(m_click, &QCheckBox::clicked, this,
            [this](bool on) { change([on](RunSettings& settings) { settings.clickTakes = on; }); });
    connect(record, &QPushButton::clicked, this, &RunPanel::sendRecord);
    connect(&m_session.run(), &RunController::settingsChanged, this, &RunPanel::refresh);
    refresh();
}

void RunPanel::change(const std::function<void(RunSettings&)>& work) {
    RunSettings settings = m_session.run().settings();
    work(settings);
    m_session.changeRunSettings(settings);
}

void RunPanel::refresh() {
    const RunSettings& settings = m_session.run().settings();
    const auto show = [](QPlainTextEdit* edit, const QString& text) {
        if (!edit->hasFocus() && edit->toPlainText() != text)
            edit->setPlainText(text);
    };
    show(m_card, settings.houseCard.words);
    show(m_callOuts, settings.callOuts.join(u'\n'));
    const bool hasPicture = !settings.houseCard.picture.isEmpty();
    m_card->setEnabled(!hasPicture);
    m_picture->setText(hasPicture ? tr("Another picture\u2026") : tr("A picture instead\u2026"));
    m_noPicture->setVisible(hasPicture);
    m_opens->setChecked(settings.takeOpensCurtain);
    m_click->setChecked(settings.clickTakes);
    m_runOnly->setChecked(m_session.runOnly().isSet());
}

void RunPanel::choosePicture() {
    chooseMedium(m_session, m_prompts, this, MediumKind::Picture, [this](const Medium& picture) {
        change([&](RunSettings& settings) { settings.houseCard.picture = picture.name; });
    });
}

void RunPanel::sendRecord() {
    const QString path = m_prompts.whereToExport(tr("What was on screen.csv"));
    if (path.isEmpty())
        return;
    m_session.library().ask<void>(
        this,
        [path](Library& library) -> Result<void> {
            const auto takes = library.takes().since(Clock::the().date().addYears(-1));
            if (!takes)
                return tl::unexpected(takes.error());
            return writeSafely(path, takesToCsv(*takes));
        },
        [this, path](const Result<void>& written) {
            if (written)
                Q_EMIT m_session.notice(tr("Written: %1").arg(path));
            else
                Q_EMIT m_session.problem(written.error());
        });
}

} // namespace mivanta

#include "moc_RunPanel.cpp"
