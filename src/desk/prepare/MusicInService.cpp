// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/MusicInService.h"
#include "core/order/Loops.h"
#include "core/timing/Moment.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QSignalBlocker>
#include <QToolButton>
#include <cmath>

namespace mivanta {

MusicInService::MusicInService(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("music-in-service"));
    m_title = makeField("music-title", tr("What the item is called in the order"), this);
    m_from = makeField("piece-from", tr("Where the chosen piece begins, such as 0:09.2"), this);
    m_to = makeField("piece-to", tr("Where the chosen piece ends, such as 1:30; empty = at its end"), this);
    for (QLineEdit* edit : {m_from, m_to})
        edit->setFixedWidth(spaced(22));
    m_length = new QLabel(this);
    m_length->setObjectName(QStringLiteral("music-length"));
    m_shuffled = new QCheckBox(tr("shuffled"), this);
    m_shuffled->setObjectName(QStringLiteral("music-shuffled"));
    m_shuffled->setToolTip(tr("In another order with each take"));
    m_crossfade =
        makeSeconds("music-crossfade", tr("So long a piece goes over into the next; 0 = without a gap"),
                    kLongestFade, this);
    m_end = named(new QComboBox(this), "music-end", tr("What comes at its end"));
    m_end->addItem(tr("silence"), int(MusicEnd::Silence));
    m_end->addItem(tr("goes on to the next item"), int(MusicEnd::NextItem));
    m_end->addItem(tr("begins again"), int(MusicEnd::Again));
    m_goesOn = new QCheckBox(tr("Play on when the next item is taken"), this);
    m_goesOn->setObjectName(QStringLiteral("music-goes-on"));
    m_until = named(new QComboBox(this), "music-until", tr("The item at whose take it fades out"));
    m_volume = makePerCent("music-volume", tr("How loud it is"), this);
    buildForm(buildPieces());
    connectFields();
}

QWidget* MusicInService::buildPieces() {
    auto* pieces = new QWidget(this);
    m_pieces = new QListWidget(pieces);
    m_pieces->setObjectName(QStringLiteral("music-pieces"));
    m_pieces->setAccessibleName(tr("The pieces, as they follow each other"));
    m_pieces->setToolTip(
        tr("The pieces, as they follow each other (Del removes one, Alt with the arrows moves it)"));
    m_pieces->setFixedHeight(spaced(30));
    m_pieces->installEventFilter(this);
    const auto makeButton = [pieces](const char* name, const QString& picture, const QString& tip) {
        return makeIconButton(name, picture, tip, pieces);
    };
    auto* add = makeButton("piece-add", QStringLiteral("plus"), tr("Add pieces\u2026"));
    m_remove = makeButton("piece-remove", QStringLiteral("trash-2"), tr("Remove the chosen piece (Del)"));
    m_up = makeButton("piece-up", QStringLiteral("arrow-up"), tr("Play the chosen piece earlier (Alt+Up)"));
    m_down =
        makeButton("piece-down", QStringLiteral("arrow-down"), tr("Play the chosen piece later (Alt+Down)"));
    auto* buttons = new QVBoxLayout;
    for (QToolButton* button : {add, m_remove, m_up, m_down})
        buttons->addWidget(button);
    buttons->addStretch(1);
    auto* row = new QHBoxLayout(pieces);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_pieces, 1);
    row->addLayout(buttons);
    connect(add, &QToolButton::clicked, this, &MusicInService::addPieces);
    connect(m_remove, &QToolButton::clicked, this, &MusicInService::removePiece);
    connect(m_up, &QToolButton::clicked, this, [this] { movePiece(-1); });
    connect(m_down, &QToolButton::clicked, this, [this] { movePiece(1); });
    connect(m_pieces, &QListWidget::currentRowChanged, this, &MusicInService::refresh);
    return pieces;
}

void MusicInService::buildForm(QWidget* pieces) {
    auto* part = new QHBoxLayout;
    part->addWidget(m_from);
    part->addWidget(new QLabel(tr("to"), this));
    part->addWidget(m_to);
    part->addStretch(1);
    auto* follow = new QHBoxLayout;
    follow->addWidget(m_shuffled);
    follow->addWidget(new QLabel(tr("cross-fade"), this));
    follow->addWidget(m_crossfade);
    follow->addStretch(1);
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(1.5));
    form->addRow(tr("Name"), m_title);
    form->addRow(tr("Pieces"), pieces);
    form->addRow(QString(), m_length);
    form->addRow(tr("Plays from"), part);
    form->addRow(tr("Pieces follow"), follow);
    form->addRow(tr("At its end"), m_end);
    form->addRow(tr("How loud"), m_volume);
    form->addRow(QString(), m_goesOn);
    form->addRow(tr("Fades at"), m_until);
}

void MusicInService::connectFields() {
    connect(m_title, &QLineEdit::textEdited, this, [this](const QString& text) {
        change(
            tr("the name of music"), [&](MusicItem& music) { music.title = text; }, m_visit);
    });
    connect(m_from, &QLineEdit::editingFinished, this, [this] { takeMoment(m_from, &MusicPiece::from); });
    connect(m_to, &QLineEdit::editingFinished, this, [this] { takeMoment(m_to, &MusicPiece::to); });
    connect(m_shuffled, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("how pieces follow"), [on](MusicItem& music) { music.isShuffled = on; });
    });
    connect(m_crossfade, &QDoubleSpinBox::valueChanged, this, [this](double seconds) {
        change(
            tr("how pieces follow"), [seconds](MusicItem& music) { music.crossfade = seconds; }, m_visit);
    });
    connect(m_end, &QComboBox::activated, this, [this] {
        change(tr("what comes at the end of music"),
               [&](MusicItem& music) { music.end = MusicEnd(m_end->currentData().toInt()); });
    });
    connect(m_goesOn, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("how long music goes on"), [on](MusicItem& music) { music.goesOn = on; });
    });
    connect(m_until, &QComboBox::activated, this, [this] {
        change(tr("how long music goes on"),
               [&](MusicItem& music) { music.until = ItemId::fromText(m_until->currentData().toString()); });
    });
    connect(m_volume, &QSpinBox::valueChanged, this, [this](int percent) {
        change(
            tr("how loud music is"), [percent](MusicItem& music) { music.volume = percent; }, m_visit);
    });
}

bool MusicInService::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_pieces && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() == Qt::Key_Delete) {
            removePiece();
            return true;
        }
        if (key->modifiers() & Qt::AltModifier && (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down)) {
            movePiece(key->key() == Qt::Key_Up ? -1 : 1);
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

const MusicItem* MusicInService::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at ? std::get_if<MusicItem>(&at->words) : nullptr;
}

void MusicInService::setItem(const ItemId& id) {
    m_item = id;
    m_visit = m_session.document().startVisit();
    refresh();
}

void MusicInService::change(const QString& what, const std::function<void(MusicItem&)>& work, int visit) {
    const MusicItem* shown = item();
    if (!shown)
        return;
    MusicItem changed = *shown;
    work(changed);
    if (changed != *shown)
        m_session.document().change(m_item, changed, what, visit);
}

void MusicInService::addPieces() {
    bringInSeveral(m_session, this, m_prompts.soundsToChoose(), [this](const std::vector<Medium>& media) {
        change(tr("pieces of music"), [&](MusicItem& music) {
            for (const Medium& medium : media)
                if (medium.kind == MediumKind::Sound)
                    music.pieces.push_back(pieceOf(medium));
        });
    });
}

/// The last one stays: an item without any would be none.
void MusicInService::removePiece() {
    const int at = m_pieces->currentRow();
    const MusicItem* shown = item();
    if (!shown || at < 0 || shown->pieces.size() < 2)
        return;
    change(tr("a piece of music"), [at](MusicItem& music) { music.pieces.erase(music.pieces.begin() + at); });
}

void MusicInService::movePiece(int by) {
    const int at = m_pieces->currentRow();
    const MusicItem* shown = item();
    if (!shown || at < 0 || at + by < 0 || at + by >= int(shown->pieces.size()))
        return;
    change(tr("the order of music"), [at, by](MusicItem& music) {
        std::swap(music.pieces[size_t(at)], music.pieces[size_t(at + by)]);
    });
    m_pieces->setCurrentRow(at + by);
}

/// What is no moment, or leaves nothing to be heard, is told and taken back.
void MusicInService::takeMoment(QLineEdit* edit, double MusicPiece::*moment) {
    const MusicItem* shown = item();
    const auto at = size_t(std::max(0, m_pieces->currentRow()));
    if (!shown || at >= shown->pieces.size() || !edit->isModified())
        return;
    edit->setModified(false);
    MusicPiece changed = shown->pieces[at];
    const auto problem = setMoment(edit->text(), changed.*moment, changed.from, changed.to, changed.seconds);
    if (problem)
        Q_EMIT m_session.problem({*problem, changed.caption, tr("Write it like 1:30 or 0:09.2.")});
    else
        change(tr("which part of a piece is played"), [&](MusicItem& music) { music.pieces[at] = changed; });
    refresh();
}

void MusicInService::refreshPieces(const MusicItem& music) {
    const QSignalBlocker blocker(m_pieces);
    const int row = m_pieces->currentRow();
    m_pieces->clear();
    for (const MusicPiece& piece : music.pieces)
        m_pieces->addItem(piece.length() > 0
                              ? tr("%1  (%2)").arg(piece.caption, momentText(std::floor(piece.length())))
                              : piece.caption);
    m_pieces->setCurrentRow(std::clamp(row, 0, std::max(0, int(music.pieces.size()) - 1)));
}

/// The items behind it; of music in a loop, those behind the loop.
void MusicInService::refreshUntil(const MusicItem& music) {
    const Service& service = m_session.document().service();
    const QSignalBlocker blocker(m_until);
    m_until->clear();
    m_until->addItem(tr("its end"), QString());
    const std::vector<bool> isMember = membersOfLoops(service);
    for (size_t i = size_t(service.indexOf(m_item)) + 1; i < service.items.size(); ++i)
        if (const Item& item = service.items[i]; item.hasSlides() && !isMember[i])
            m_until->addItem(item.title(), item.id.text());
    const int at = music.until.isNull() ? 0 : m_until->findData(music.until.text());
    m_until->setCurrentIndex(std::max(0, at));
    m_until->setEnabled(music.goesOn);
}

void MusicInService::refresh() {
    const MusicItem* shown = item();
    setVisible(shown != nullptr);
    if (!shown)
        return;
    refreshPieces(*shown);
    const int at = m_pieces->currentRow();
    const bool isOne = at >= 0 && at < int(shown->pieces.size());
    const MusicPiece piece = isOne ? shown->pieces[size_t(at)] : MusicPiece();
    putText(m_title, givenName(*shown));
    putText(m_from, momentText(piece.from));
    putText(m_to, piece.to > 0 ? momentText(piece.to) : QString());
    m_to->setPlaceholderText(piece.seconds > 0 ? momentText(piece.seconds) : tr("its end"));
    m_length->setText(shown->length() > 0 ? tr("%1 in all").arg(momentText(std::round(shown->length())))
                                          : QString());
    m_remove->setEnabled(isOne && shown->pieces.size() > 1);
    m_up->setEnabled(isOne && at > 0);
    m_down->setEnabled(isOne && at + 1 < int(shown->pieces.size()));
    m_shuffled->setChecked(shown->isShuffled);
    m_shuffled->setEnabled(shown->pieces.size() > 1);
    putValue(m_crossfade, shown->crossfade);
    m_crossfade->setEnabled(shown->pieces.size() > 1 || shown->end == MusicEnd::Again);
    m_end->setCurrentIndex(m_end->findData(int(shown->end)));
    m_goesOn->setChecked(shown->goesOn);
    refreshUntil(*shown);
    putValue(m_volume, shown->volume);
}

} // namespace mivanta

#include "moc_MusicInService.cpp"
