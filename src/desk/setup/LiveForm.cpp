// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/LiveForm.h"
#include "desk/kit/Columns.h"
#include "desk/kit/RowFields.h"
#include <QAbstractItemView>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSignalBlocker>
#include <QSpinBox>

namespace mivanta {

namespace {

constexpr double kMostCut = 45; ///< % from one side, so that something is left

template <typename Box, typename Value>
void showNumber(Box* box, Value value) {
    const QSignalBlocker quiet(box);
    box->setValue(value);
}

/// What is being typed stays.
void showWords(QLineEdit* field, const QString& words) {
    if (!field->hasFocus() && field->text() != words)
        field->setText(words);
}

bool isOfScreens(LiveKind kind) {
    return kind == LiveKind::Monitor || kind == LiveKind::Window;
}

} // namespace

LiveForm::LiveForm(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("live-form"));
    m_form = new QFormLayout(this);
    m_form->setContentsMargins(0, 0, 0, 0);
    m_form->setVerticalSpacing(spaced(1.5));
    m_heading = headingOf({}, this);
    m_form->addRow(m_heading);
    m_name = word("live-name", tr("What this live input is called on every desk"), [this] {
        if (!m_name->text().trimmed().isEmpty())
            m_input.name = m_name->text().trimmed();
        m_name->setText(m_input.name);
        send();
    });
    m_form->addRow(tr("Name"), m_name);
    addSource(m_form);
    addAddress(m_form);
    addShape(m_form);
    addSound(m_form);
    addWhenLost(m_form);
}

QCheckBox* LiveForm::check(const char* name, const QString& text, const QString& tip) {
    auto* box = new QCheckBox(text, this);
    box->setObjectName(QLatin1String(name));
    box->setToolTip(tip);
    connect(box, &QCheckBox::clicked, this, &LiveForm::send);
    return box;
}

QLineEdit* LiveForm::word(const char* name, const QString& tip, const std::function<void()>& typed) {
    QLineEdit* field = makeField(name, tip, this);
    connect(field, &QLineEdit::editingFinished, this, [field, typed] {
        if (!field->isModified())
            return;
        field->setModified(false);
        typed();
    });
    return field;
}

void LiveForm::addSource(QFormLayout* form) {
    m_sourceRow = new QWidget(this);
    m_source = named(new QComboBox(m_sourceRow), "live-source", tr("Where its picture comes from"));
    m_source->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    connect(m_source, &QComboBox::activated, this, &LiveForm::sourceChosen);
    auto* again = makeIconButton("live-look-again", QStringLiteral("refresh-cw"),
                                 tr("Look again for what is there"), m_sourceRow);
    connect(again, &QToolButton::clicked, this, &LiveForm::look);
    auto* row = new QHBoxLayout(m_sourceRow);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_source, 1);
    row->addWidget(again);
    form->addRow(tr("Shows"), m_sourceRow);
    m_sourceNote = new QLabel(this);
    m_sourceNote->setObjectName(QStringLiteral("live-source-note"));
    m_sourceNote->setWordWrap(true);
    makeQuiet(m_sourceNote);
    form->addRow(m_sourceNote);
    m_pointer = check("live-pointer", tr("With the mouse pointer"),
                      tr("The arrow of the mouse is seen in the picture, too"));
    form->addRow(m_pointer);
    m_fileRow = new QWidget(this);
    m_file = word("live-file", tr("A picture that another program writes again and again"), [this] {
        m_input.source = FileSource{m_file->text().trimmed()};
        send();
    });
    auto* choose = new QPushButton(tr("Choose\u2026"), m_fileRow);
    choose->setObjectName(QStringLiteral("live-choose-file"));
    choose->setToolTip(tr("Choose the picture file"));
    connect(choose, &QPushButton::clicked, this, &LiveForm::fileWanted);
    auto* fileRow = new QHBoxLayout(m_fileRow);
    fileRow->setContentsMargins(0, 0, 0, 0);
    fileRow->addWidget(m_file, 1);
    fileRow->addWidget(choose);
    form->addRow(tr("File"), m_fileRow);
}

void LiveForm::addAddress(QFormLayout* form) {
    m_address = word("live-address",
                     tr("The address of the picture, such as rtsp://camera.local/hall or "
                        "http://192.168.1.20:8080/video. The camera's own page or manual says it."),
                     [this] { addressTyped(); });
    m_address->setPlaceholderText(QStringLiteral("rtsp://camera.local/hall")); // for machines
    form->addRow(tr("Address"), m_address);
    m_user = word("live-user", tr("The name that the camera asks for; often there is none"),
                  [this] { secretTyped(); });
    form->addRow(tr("User"), m_user);
    m_password =
        word("live-password", tr("The password that the camera asks for"), [this] { secretTyped(); });
    m_password->setEchoMode(QLineEdit::Password);
    form->addRow(tr("Password"), m_password);
    m_passphrase = word("live-passphrase", tr("What both ends of an SRT connection know, if it is encrypted"),
                        [this] { secretTyped(); });
    m_passphrase->setEchoMode(QLineEdit::Password);
    form->addRow(tr("Passphrase"), m_passphrase);
    m_secretsPlace = new QLabel(this);
    m_secretsPlace->setObjectName(QStringLiteral("live-secrets-place"));
    m_secretsPlace->setWordWrap(true);
    makeQuiet(m_secretsPlace);
    form->addRow(m_secretsPlace);
}

void LiveForm::addShape(QFormLayout* form) {
    auto* cuts = new QGridLayout;
    cuts->setSpacing(spaced(1));
    const std::array names{"live-cut-left", "live-cut-top", "live-cut-right", "live-cut-bottom"};
    const std::array labels{tr("Left"), tr("Top"), tr("Right"), tr("Bottom")};
    for (size_t side = 0; side < m_cut.size(); ++side) {
        m_cut[side] = makeNumber<QDoubleSpinBox>(0.0, 0.0, kMostCut, tr(" %"),
                                                 tr("So much of the picture is cut off at this side"), this);
        m_cut[side]->setObjectName(QLatin1String(names[side]));
        m_cut[side]->setDecimals(1);
        connect(m_cut[side], &QDoubleSpinBox::valueChanged, this, &LiveForm::send);
        cuts->addWidget(new QLabel(labels[side], this), int(side) / 2, int(side) % 2 * 2);
        cuts->addWidget(m_cut[side], int(side) / 2, int(side) % 2 * 2 + 1);
    }
    cuts->setColumnStretch(1, 1);
    cuts->setColumnStretch(3, 1);
    form->addRow(tr("Cut off"), cuts);
    m_turn = named(new QComboBox(this), "live-turn", tr("For a camera that hangs turned"));
    m_turn->addItems(
        {tr("not rotated"), tr("90\u00b0 to the right"), tr("180\u00b0"), tr("90\u00b0 to the left")});
    connect(m_turn, &QComboBox::activated, this, &LiveForm::send);
    form->addRow(tr("Rotate"), m_turn);
    m_mirrored = check("live-mirrored", tr("Flip horizontally"), tr("As people see themselves in a mirror"));
    form->addRow(m_mirrored);
    m_delay =
        makeNumber<QSpinBox>(0, 0, kLongestLiveDelay, tr(" ms"),
                             tr("The picture comes so much later, to meet a sound that comes later"), this);
    m_delay->setObjectName(QStringLiteral("live-delay"));
    m_delay->setSingleStep(20);
    connect(m_delay, &QSpinBox::valueChanged, this, &LiveForm::send);
    form->addRow(tr("Later by"), m_delay);
}

void LiveForm::addSound(QFormLayout* form) {
    m_heard = check("live-heard", tr("With its sound"),
                    tr("What its microphone hears is heard while it is on screen"));
    m_volume = makeNumber<QSpinBox>(100, 0, 100, tr(" %"), tr("How loud its sound is"), this);
    m_volume->setObjectName(QStringLiteral("live-volume"));
    connect(m_volume, &QSpinBox::valueChanged, this, &LiveForm::send);
    auto* row = new QHBoxLayout;
    row->addWidget(m_heard);
    row->addWidget(m_volume);
    row->addStretch(1);
    form->addRow(tr("Sound"), row);
}

void LiveForm::addWhenLost(QFormLayout* form) {
    m_card = new QPushButton(this);
    m_card->setObjectName(QStringLiteral("live-card"));
    m_card->setToolTip(tr("A picture of the library that is shown when none has come for three seconds. "
                          "Without one the backdrop's colour is seen."));
    connect(m_card, &QPushButton::clicked, this, &LiveForm::cardWanted);
    m_noCard = new QToolButton(this);
    m_noCard->setText(tr("None"));
    m_noCard->setToolTip(tr("No picture instead: the backdrop's colour is seen"));
    connect(m_noCard, &QToolButton::clicked, this, [this] {
        m_input.card.clear();
        send();
    });
    auto* row = new QHBoxLayout;
    row->addWidget(m_card);
    row->addWidget(m_noCard);
    row->addStretch(1);
    form->addRow(tr("When it is lost"), row);
    m_keptOpen =
        check("live-kept-open", tr("Keep it open all the time"),
              tr("Its picture is there at once, whenever it is wanted. Otherwise it is opened when it "
                 "is next, and closed when nothing needs it any more, so that the light of a camera "
                 "is not on all morning."));
    form->addRow(m_keptOpen);
}

void LiveForm::setInput(LiveInput input, const LiveSecret& secret, const QStringList& outputs) {
    const bool isAnother = input.id != m_input.id;
    QWidget* typedInto = QApplication::focusWidget();
    if (isAnother && typedInto && isAncestorOf(typedInto))
        typedInto->clearFocus(); // what was typed there belongs to the one before, and is told now
    m_input = input;
    m_outputs = outputs;
    m_heading->setText(liveKindText(kindOf(input.source)));
    showWords(m_name, input.name);
    showWords(m_user, secret.user);
    showWords(m_password, secret.password);
    showWords(m_passphrase, secret.passphrase);
    if (const auto* address = std::get_if<AddressSource>(&input.source))
        showWords(m_address, address->address);
    if (const auto* file = std::get_if<FileSource>(&input.source))
        showWords(m_file, file->path);
    if (const auto* monitor = std::get_if<MonitorSource>(&input.source))
        m_pointer->setChecked(monitor->hasPointer);
    const std::array cuts{input.part.left(), input.part.top(), 1 - input.part.right(),
                          1 - input.part.bottom()};
    for (size_t side = 0; side < cuts.size(); ++side)
        showNumber(m_cut[side], cuts[side] * 100);
    m_turn->setCurrentIndex(input.turned / 90);
    m_mirrored->setChecked(input.isMirrored);
    showNumber(m_delay, input.delay);
    m_heard->setChecked(input.isHeard);
    showNumber(m_volume, input.volume);
    m_volume->setEnabled(input.isHeard);
    m_card->setText(input.card.isEmpty() ? tr("Show a picture\u2026") : tr("Another picture\u2026"));
    m_noCard->setEnabled(!input.card.isEmpty());
    m_keptOpen->setChecked(input.isKeptOpen);
    showKind();
    if (isAnother || m_foundKind != kindOf(input.source))
        look();
    else
        fillSources();
}

void LiveForm::setSecretsPlace(const QString& text) {
    m_secretsPlace->setText(text);
}

void LiveForm::focusSource() {
    const LiveKind kind = kindOf(m_input.source);
    QWidget* field = kind == LiveKind::Network ? m_address : kind == LiveKind::File ? m_file : nullptr;
    (field ? field : m_source)->setFocus();
}

/// What does not matter is not there.
void LiveForm::showKind() {
    const LiveKind kind = kindOf(m_input.source);
    const bool isAddress = kind == LiveKind::Network;
    const bool isSrt = isAddress && m_address->text().startsWith(QLatin1String("srt:"));
    const auto show = [this](QWidget* field, bool isShown) {
        field->setVisible(isShown);
        if (QWidget* label = m_form->labelForField(field))
            label->setVisible(isShown);
    };
    show(m_sourceRow, !isAddress && kind != LiveKind::File);
    show(m_fileRow, kind == LiveKind::File);
    show(m_address, isAddress);
    show(m_user, isAddress && !isSrt);
    show(m_password, isAddress && !isSrt);
    show(m_passphrase, isSrt);
    show(m_secretsPlace, isAddress);
    show(m_pointer, kind == LiveKind::Monitor);
    m_heard->setEnabled(isAddress);
}

/// Asking the system may take a moment.
void LiveForm::look() {
    const LiveKind kind = kindOf(m_input.source);
    m_found.clear();
    fillSources();
    m_finding.run(
        this, [kind] { return liveSourcesOf(kind); },
        [this, kind](std::vector<FoundSource> found) { takeFound(kind, std::move(found)); });
}

void LiveForm::takeFound(LiveKind kind, std::vector<FoundSource> found) {
    if (kind != kindOf(m_input.source))
        return; // another one is shown by now
    m_foundKind = kind;
    m_found = std::move(found);
    if (kind == LiveKind::Output)
        for (const QString& output : m_outputs)
            m_found.push_back({OutputSource{output}, output});
    fillSources();
}

void LiveForm::fillSources() {
    const LiveKind kind = kindOf(m_input.source);
    if (m_source->view()->isVisible())
        return; // its list is open
    m_source->clear();
    m_source->addItem(tr("Choose\u2026"));
    int chosen = 0;
    const auto isSame = [this](const LiveSource& found) {
        const auto* monitor = std::get_if<MonitorSource>(&m_input.source);
        const auto* ofFound = std::get_if<MonitorSource>(&found);
        return monitor && ofFound ? monitor->monitor == ofFound->monitor : found == m_input.source;
    };
    for (const FoundSource& each : m_found) {
        m_source->addItem(each.label);
        if (isSame(each.source))
            chosen = m_source->count() - 1;
    }
    if (chosen == 0 && isComplete(m_input.source)) {
        m_source->addItem(tr("%1 (not there now)").arg(sourceText(m_input.source)));
        chosen = m_source->count() - 1;
    }
    m_source->setCurrentIndex(chosen);
    const QString nothing =
        kind == LiveKind::Camera ? tr("No camera is plugged into this computer.")
        : isOfScreens(kind)
            ? tr("Monitors and windows can be shown in a session with X11 only. Under "
                 "Wayland, have the other program or computer send its picture over the network.")
            : QString();
    m_sourceNote->setText(nothing);
    m_sourceNote->setVisible(m_found.empty() && !nothing.isEmpty() && m_foundKind == kind);
}

void LiveForm::sourceChosen(int index) {
    if (index < 1 || index > int(m_found.size()))
        return;
    m_input.source = m_found[size_t(index) - 1].source;
    send();
}

void LiveForm::addressTyped() {
    const auto checked = checkedAddress(m_address->text());
    if (!checked) {
        Q_EMIT refused(checked.error().text());
        return;
    }
    m_input.source = AddressSource{checked->address};
    m_address->setText(checked->address);
    send();
    if (!checked->secret.isEmpty()) // it was pasted with them
        Q_EMIT secretChanged(m_input.id, checked->secret);
}

void LiveForm::secretTyped() {
    Q_EMIT secretChanged(m_input.id, {m_user->text(), m_password->text(), m_passphrase->text()});
}

void LiveForm::send() {
    if (auto* monitor = std::get_if<MonitorSource>(&m_input.source))
        monitor->hasPointer = m_pointer->isChecked();
    const auto cut = [this](size_t side) { return m_cut[side]->value() / 100; };
    m_input.part = QRectF(cut(0), cut(1), 1 - cut(0) - cut(2), 1 - cut(1) - cut(3));
    m_input.turned = m_turn->currentIndex() * 90;
    m_input.isMirrored = m_mirrored->isChecked();
    m_input.delay = m_delay->value();
    m_input.isHeard = m_heard->isChecked();
    m_input.volume = m_volume->value();
    m_input.isKeptOpen = m_keptOpen->isChecked();
    Q_EMIT changed(m_input);
}

} // namespace mivanta

#include "moc_LiveForm.cpp"
