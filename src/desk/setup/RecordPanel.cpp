// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/RecordPanel.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDir>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kOutputRole = Qt::UserRole;
constexpr int kInputRole = Qt::UserRole + 1;

} // namespace

RecordPanel::RecordPanel(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    buildForm();
    connect(&m_session.recordings(), &Recordings::changed, this, &RecordPanel::showRunning);
    connect(&m_session.outputs(), &Outputs::placesChanged, this, &RecordPanel::fill);
    connect(&m_session.liveInputs(), &LiveInputs::changed, this, &RecordPanel::fill);
    connect(&m_session.run(), &RunController::settingsChanged, this, &RecordPanel::showFolder);
    fill();
    showFolder();
}

void RecordPanel::buildForm() {
    auto* title = new QLabel(tr("Recording"), this);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_what = new QComboBox(this);
    m_what->setObjectName(QStringLiteral("record-what"));
    m_what->setAccessibleName(tr("What is recorded"));
    m_what->setToolTip(tr("An output as people see it, or a live input"));
    m_heard = new QCheckBox(tr("with what this computer plays"), this);
    m_heard->setObjectName(QStringLiteral("record-heard"));
    m_heard->setChecked(true);
    m_heard->setToolTip(tr("Films, music and sounds, as they go to the loudspeakers"));
    m_begin = new QPushButton(tr("&Record"), this);
    m_begin->setObjectName(QStringLiteral("record-begin"));
    m_begin->setToolTip(tr("Begin to record it; this goes on until you stop it, or the disk is nearly full"));
    auto* row = new QHBoxLayout;
    row->addWidget(m_what);
    row->addWidget(m_heard);
    row->addWidget(m_begin);
    row->addStretch(1);
    m_folder = new QLabel(this);
    m_folder->setObjectName(QStringLiteral("record-folder"));
    m_folder->setTextFormat(Qt::PlainText);
    makeQuiet(m_folder);
    auto* choose = new QPushButton(tr("Other folder\u2026"), this);
    choose->setObjectName(QStringLiteral("record-choose-folder"));
    choose->setToolTip(tr("Choose where the next recordings are put"));
    auto* where = new QHBoxLayout;
    where->addWidget(m_folder);
    where->addWidget(choose);
    where->addStretch(1);
    m_list = new QVBoxLayout;
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(title);
    column->addLayout(row);
    column->addLayout(m_list);
    column->addLayout(where);
    connect(m_begin, &QPushButton::clicked, this, [this] { m_session.recordings().begin(chosen()); });
    connect(m_what, &QComboBox::currentIndexChanged, this, &RecordPanel::showRunning);
    connect(choose, &QPushButton::clicked, this, [this] {
        const QString folder = m_prompts.folderToRecordInto();
        if (folder.isEmpty())
            return;
        RunSettings settings = m_session.run().settings();
        settings.recordingFolder = folder;
        m_session.changeRunSettings(settings);
    });
}

void RecordPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    fill();
}

void RecordPanel::fill() {
    const Recordings::What before = chosen();
    const QSignalBlocker quiet(m_what);
    m_what->clear();
    const auto add = [&](const QString& text, const QString& output, LiveInputId input) {
        m_what->addItem(text);
        m_what->setItemData(m_what->count() - 1, output, kOutputRole);
        m_what->setItemData(m_what->count() - 1, input.isNull() ? QString() : input.text(), kInputRole);
        if (output == before.output && input == before.input)
            m_what->setCurrentIndex(m_what->count() - 1);
    };
    for (const Output& output : m_session.outputs().all())
        add(output.label(), output.name, {});
    for (const LiveInput& input : m_session.liveInputs().all())
        add(input.name, {}, input.id);
    showRunning();
}

Recordings::What RecordPanel::chosen() const {
    return {m_what->currentData(kOutputRole).toString(),
            LiveInputId::fromText(m_what->currentData(kInputRole).toString()), m_what->currentText(),
            m_heard->isChecked()};
}

QString RecordPanel::nameOf(const message::Recording& recording) const {
    if (recording.output.isEmpty())
        return m_session.liveInputs().nameOf(recording.input);
    for (const Output& output : m_session.outputs().all())
        if (output.name == recording.output)
            return output.label();
    return recording.output;
}

RecordPanel::Row RecordPanel::makeRow(const message::Recording& recording) {
    auto* row = new QWidget(this);
    auto* text = new QLabel(row);
    text->setObjectName(QStringLiteral("recording"));
    text->setToolTip(QDir::toNativeSeparators(recording.path));
    auto* stop = new QPushButton(tr("Stop"), row);
    stop->setObjectName(QStringLiteral("record-end"));
    stop->setAccessibleName(tr("Stop recording %1").arg(nameOf(recording)));
    stop->setToolTip(tr("End the recording; its file is complete then"));
    connect(stop, &QPushButton::clicked, this, [this, id = recording.id] { m_session.recordings().end(id); });
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(text);
    line->addWidget(stop);
    line->addStretch(1);
    m_list->addWidget(row);
    return {recording.id, row, text};
}

/// Rows stay, so that the key on "Stop" is not taken away.
void RecordPanel::showRunning() {
    const auto& running = m_session.recordings().running();
    std::erase_if(m_rows, [&](const Row& row) {
        const bool isOver = std::none_of(running.begin(), running.end(),
                                         [&](const message::Recording& each) { return each.id == row.id; });
        if (isOver)
            row.widget->deleteLater();
        return isOver;
    });
    for (const message::Recording& recording : running) {
        auto at = std::find_if(m_rows.begin(), m_rows.end(),
                               [&](const Row& row) { return row.id == recording.id; });
        if (at == m_rows.end())
            at = m_rows.insert(m_rows.end(), makeRow(recording));
        at->text->setText(tr("\u25cf %1 \u00b7 %2", "what is recorded; its length and size")
                              .arg(nameOf(recording), recordingText(recording)));
    }
    const Recordings::What what = chosen();
    const bool canBegin = m_what->count() > 0 && !m_session.recordings().isRecorded(what.output, what.input);
    if (!canBegin && m_begin->hasFocus() && !m_rows.empty()) // where the key goes on
        m_rows.back().widget->findChild<QPushButton*>()->setFocus();
    m_begin->setEnabled(canBegin);
}

void RecordPanel::showFolder() {
    m_folder->setText(
        tr("Recordings are put into %1.").arg(QDir::toNativeSeparators(m_session.recordings().folder())));
}

} // namespace mivanta

#include "moc_RecordPanel.cpp"
