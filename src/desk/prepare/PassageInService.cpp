// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/PassageInService.h"
#include "desk/find/ReferenceHelp.h"
#include "desk/kit/LayoutForm.h"
#include "desk/kit/Style.h"
#include "store/UsualLayout.h"
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

PassageInService::PassageInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    m_reference = new QLineEdit(this);
    m_reference->setObjectName(QStringLiteral("passage-reference"));
    m_reference->setAccessibleName(tr("Verses"));
    m_reference->setToolTip(tr("The verses that are read, such as 5:1-11, 27ff; Enter takes them"));
    m_understood = new ReferenceHelp(this);
    m_understood->setObjectName(QStringLiteral("passage-understood"));
    connect(m_understood, &ReferenceHelp::otherWanted, this, [this](const QString& reference) {
        m_reference->setText(reference);
        takeReference();
    });
    const auto makeBox = [this](const QString& name, const QString& label, const QString& tip) {
        auto* box = new QComboBox(this);
        box->setObjectName(name);
        box->setAccessibleName(label);
        box->setToolTip(tip);
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        connect(box, &QComboBox::activated, this, &PassageInService::takeTranslations);
        return box;
    };
    m_first =
        makeBox(QStringLiteral("passage-translation"), tr("Translation"), tr("The translation that is read"));
    m_second = makeBox(QStringLiteral("passage-beside"), tr("Beside it"),
                       tr("A second translation or language beside the first, verse by verse"));
    m_layout = new LayoutForm(2, this);
    auto* usual = new QPushButton(tr("Make this the usual layout"), this);
    usual->setObjectName(QStringLiteral("passage-usual"));
    usual->setToolTip(tr("Passages that are added from now on look like this one"));
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(spaced(4));
    grid->setVerticalSpacing(spaced(1.5));
    grid->setColumnStretch(1, 1);
    grid->setColumnStretch(3, 1);
    grid->addWidget(new QLabel(tr("Reading"), this), 0, 0);
    grid->addWidget(m_reference, 0, 1, 1, 3);
    grid->addWidget(m_understood, 1, 1, 1, 3);
    grid->addWidget(new QLabel(tr("Translation"), this), 2, 0);
    grid->addWidget(m_first, 2, 1);
    grid->addWidget(new QLabel(tr("Beside it"), this), 2, 2);
    grid->addWidget(m_second, 2, 3);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addLayout(grid);
    column->addWidget(m_layout);
    column->addWidget(usual, 0, Qt::AlignRight);
    connect(m_reference, &QLineEdit::textEdited, this, [this] { understand(); });
    connect(m_reference, &QLineEdit::returnPressed, this, &PassageInService::takeReference);
    connect(m_layout, &LayoutForm::changed, this, &PassageInService::takeLayout);
    connect(usual, &QPushButton::clicked, this, &PassageInService::makeUsual);
    const auto load = [this] {
        m_session.library().ask<std::vector<TranslationSummary>>(
            this, [](Library& library) { return library.scripture().translations(); },
            [this](Result<std::vector<TranslationSummary>> all) {
                m_translations = all ? std::move(*all) : std::vector<TranslationSummary>();
                fillTranslations();
            });
    };
    connect(&m_session.library(), &LibraryClient::opened, this, load);
    connect(&m_session.library(), &LibraryClient::changed, this, load);
    if (m_session.library().isOpen())
        load();
}

const Passage* PassageInService::passage() const {
    const Item* item = m_session.document().service().item(m_item);
    return item ? item->passage() : nullptr;
}

void PassageInService::setItem(const ItemId& id) {
    m_item = id;
    m_reference->setModified(false);
    refresh();
}

void PassageInService::refresh() {
    const Passage* shown = passage();
    setVisible(shown);
    if (!shown)
        return;
    if (!m_reference->isModified()) {
        m_reference->setText(shown->words.front().reference);
        m_understood->showUnderstanding({});
    }
    m_layout->setLayoutShown(shown->layout);
    fillTranslations();
}

/// The library's translations, and those that only this passage has.
void PassageInService::fillTranslations() {
    const Passage* shown = passage();
    if (!shown)
        return;
    m_first->clear();
    m_second->clear();
    m_second->addItem(tr("nothing"), QString());
    const auto add = [this](const Translation& translation) {
        const QString id = translation.id.text();
        if (m_first->findData(id) >= 0)
            return;
        const QString name = QStringLiteral("%1 \u00b7 %2").arg(translation.shortName, translation.name);
        m_first->addItem(name, id);
        m_second->addItem(name, id);
    };
    for (const TranslationSummary& summary : m_translations)
        add(summary.translation);
    for (const PassageWords& words : shown->words)
        add(words.translation);
    m_first->setCurrentIndex(m_first->findData(shown->words.front().translation.id.text()));
    m_second->setCurrentIndex(
        shown->words.size() > 1 ? m_second->findData(shown->words.back().translation.id.text()) : 0);
}

/// Understands what is typed in the first translation; `then` is given a reference that was understood.
void PassageInService::understand(const std::function<void(const Understanding&)>& then) {
    const Passage* shown = passage();
    if (!shown)
        return;
    const QString typed = m_reference->text();
    m_session.library().ask<Understanding>(
        this,
        [typed, id = shown->words.front().translation.id](Library& library) -> Result<Understanding> {
            const auto outline = library.scripture().outline(id);
            return outline ? Result<Understanding>(understandReference(typed, *outline))
                           : tl::unexpected(outline.error());
        },
        [this, typed, then](const Result<Understanding>& u) {
            if (typed != m_reference->text())
                return; // more was typed meanwhile
            if (!u)
                m_understood->showError(u.error());
            else if (then && u->state == ReferenceState::Understood)
                then(*u);
            else
                m_understood->showUnderstanding(*u);
        });
}

void PassageInService::takeReference() {
    understand([this](const Understanding& understood) {
        std::vector<TranslationId> ids;
        for (const PassageWords& words : passage()->words)
            ids.push_back(words.translation.id);
        m_reference->setModified(false);
        load(understood.reference, ids, tr("the verses %1").arg(understood.text));
    });
}

void PassageInService::takeTranslations() {
    const Passage* shown = passage();
    if (!shown)
        return;
    std::vector<TranslationId> ids{TranslationId::fromText(m_first->currentData().toString())};
    if (const auto second = TranslationId::fromText(m_second->currentData().toString());
        !second.isNull() && !(second == ids.front()))
        ids.push_back(second);
    const Translation before = shown->words.front().translation;
    const Reference reference = shown->reference;
    m_session.library().ask<Reference>(
        this,
        [before, reference, first = ids.front()](Library& library) -> Result<Reference> {
            const auto all = library.scripture().translations();
            const auto outline = library.scripture().outline(before.id);
            if (!all || !outline)
                return reference;
            for (const TranslationSummary& other : *all)
                if (other.translation.id == first)
                    return inNumbering(reference, before.numbering, other.translation.numbering, *outline);
            return reference;
        },
        [this, ids](const Result<Reference>& mapped) {
            load(mapped.value_or(Reference()), ids,
                 tr("the translation %1").arg(m_first->currentText().section(u' ', 0, 0)));
        });
}

void PassageInService::load(const Reference& reference, const std::vector<TranslationId>& ids,
                            const QString& what) {
    const Passage* shown = passage();
    if (!shown)
        return;
    m_session.library().ask<Passage>(
        this,
        [ids, reference, layout = shown->layout](Library& library) {
            return library.scripture().passage(ids, reference, layout);
        },
        [this, id = m_item, what](Result<Passage> loaded) {
            if (loaded) {
                m_session.document().change(id, passageItem(std::move(*loaded)), what);
                return;
            }
            Q_EMIT m_session.problem(loaded.error());
            refresh();
        });
}

void PassageInService::takeLayout() {
    const Passage* shown = passage();
    if (!shown)
        return;
    Passage changed = *shown;
    changed.layout = m_layout->layoutShown();
    if (!(changed == *shown))
        m_session.document().change(m_item, passageItem(std::move(changed)),
                                    tr("the layout of %1").arg(shown->title()));
}

void PassageInService::makeUsual() {
    m_session.library().ask<void>(
        this,
        [layout = m_layout->layoutShown()](Library& library) {
            return saveUsualLayout(library.folder(), layout);
        },
        [this](const Result<void>& saved) {
            if (saved)
                Q_EMIT m_session.notice(tr("Passages that you add from now on look like this one."));
            else
                Q_EMIT m_session.problem(saved.error());
        });
}

} // namespace mivanta

#include "moc_PassageInService.cpp"
