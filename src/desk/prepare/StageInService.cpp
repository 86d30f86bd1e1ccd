// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/StageInService.h"
#include "desk/kit/Style.h"
#include "desk/prepare/CommonValue.h"
#include <QFormLayout>
#include <QLineEdit>
#include <QPlainTextEdit>

namespace mivanta {

namespace {
constexpr int kRowsOfStageWords = 2;
}

StageInService::StageInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("stage-in-service"));
    m_note = new QLineEdit(this);
    m_note->setObjectName(QStringLiteral("stage-note"));
    m_note->setToolTip(tr("Stands over the words on stage monitors, on every slide of this item"));
    m_words = new QPlainTextEdit(this);
    m_words->setObjectName(QStringLiteral("stage-words"));
    m_words->setToolTip(
        tr("Stage monitors show this in place of the words; the hall and the stream keep the words"));
    m_words->setTabChangesFocus(true);
    m_words->setFixedHeight(m_words->fontMetrics().lineSpacing() * kRowsOfStageWords + spaced(4));
    m_note->setAccessibleName(tr("Note for the stage"));
    m_words->setAccessibleName(tr("On stage instead"));
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(1.5));
    form->addRow(m_note->accessibleName(), m_note);
    form->addRow(m_words->accessibleName(), m_words);
    connect(m_note, &QLineEdit::textEdited, this, [this](const QString& text) {
        m_session.document().changeEdits(
            items(), [&](SlideEdits& edits) { edits.stageNote = text; }, tr("a note for the stage"), m_visit);
    });
    connect(m_words, &QPlainTextEdit::textChanged, this, [this] {
        if (m_words->hasFocus())
            m_session.document().changeEdits(
                items(), [this](SlideEdits& edits) { edits.stageWords = m_words->toPlainText(); },
                tr("what the stage sees instead"), m_visit);
    });
}

std::vector<ItemId> StageInService::items() const {
    return chosenThat(&Item::hasSlides, m_session.document().service(),
                      m_selection ? m_selection() : std::vector<ItemId>(), m_item);
}

void StageInService::setItem(const ItemId& id) {
    m_item = id;
    m_visit = m_session.document().startVisit();
    refresh();
}

void StageInService::refresh() {
    std::vector<const Item*> shown;
    for (const ItemId& id : items())
        shown.push_back(m_session.document().service().item(id));
    setVisible(!shown.empty());
    if (shown.empty())
        return;
    const auto note = commonValue(shown, [](const Item& item) { return item.edits.stageNote; });
    const auto words = commonValue(shown, [](const Item& item) { return item.edits.stageWords; });
    if (const QString text = note.value_or(QString()); text != m_note->text())
        m_note->setText(text);
    m_note->setPlaceholderText(note ? QString() : tr("different"));
    if (const QString text = words.value_or(QString()); text != m_words->toPlainText()) {
        const QSignalBlocker quiet(m_words);
        m_words->setPlainText(text);
    }
    m_words->setPlaceholderText(words ? tr("The words that are sung") : tr("different"));
}

} // namespace mivanta

#include "moc_StageInService.cpp"
