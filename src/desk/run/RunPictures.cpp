// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/RunPictures.h"
#include "core/run/Cards.h"
#include "desk/kit/Style.h"
#include "desk/run/CurtainBar.h"
#include "desk/run/OutputsMenu.h"
#include <QHBoxLayout>
#include <QVBoxLayout>

namespace mivanta {

RunPictures::RunPictures(Session& session, ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_thumbnails(thumbnails) {
    m_large = new PictureView(thumbnails, this);
    m_large->setNight(true);
    m_large->setObjectName(QStringLiteral("run-hall"));
    m_large->setEmptyText(tr("Nothing on screen yet"));
    m_large->setContextMenuPolicy(Qt::CustomContextMenu);
    connect(m_large, &QWidget::customContextMenuRequested, this,
            [this](const QPoint& at) { openMenu(m_main, m_large->mapToGlobal(at)); });
    m_small = new QWidget(this);
    m_small->setLayout(new QHBoxLayout);
    m_small->layout()->setContentsMargins(0, 0, 0, 0);
    m_small->layout()->setSpacing(spaced(2));
    m_next = new PictureView(thumbnails, m_small);
    m_next->setNight(true);
    m_next->setObjectName(QStringLiteral("run-next"));
    m_next->setTag(PictureView::Tag::Next, tr("NEXT"));
    m_small->layout()->addWidget(m_next);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(m_large);
    column->addWidget(m_small);
    connect(&m_session.onScreen(), &OnScreen::changed, this, &RunPictures::refresh);
    connect(&m_session.book(), &SlideBook::changed, this, &RunPictures::outputsChanged);
    connect(&m_session.player(), &PlayerClient::frameChanged, this, &RunPictures::showFrame);
    connect(&m_session.outputs(), &Outputs::placesChanged, this, &RunPictures::refresh);
    outputsChanged();
}

void RunPictures::openMenu(const QString& output, QPoint at) {
    auto* menu = new OutputsMenu(m_session, output, this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->popup(at);
}

void RunPictures::makeMenu(PictureView* view, const QString& output) {
    view->setContextMenuPolicy(Qt::CustomContextMenu);
    view->setToolTip(tr("A right click freezes this output or gives it a curtain of its own"));
    connect(view, &QWidget::customContextMenuRequested, this,
            [this, view, output](const QPoint& at) { openMenu(output, view->mapToGlobal(at)); });
}

QString RunPictures::labelOf(const QString& name) const {
    for (const Output& output : m_session.outputs().all())
        if (output.name == name)
            return output.label();
    return name;
}

/// What is special about an output now: it is frozen, covered, or its screen is away.
QString RunPictures::stateOf(const QString& name) const {
    QStringList facts;
    const auto& outputs = m_session.outputs().all();
    const auto& places = m_session.outputs().placements();
    for (size_t i = 0; i < std::min(outputs.size(), places.size()); ++i)
        if (outputs[i].name == name && places[i].kind == Placement::Kind::Missing)
            facts << tr("no screen");
    if (const QString kept = outputStateText(m_session.run().state(), name); !kept.isEmpty())
        facts << kept;
    return facts.join(QStringLiteral(", "));
}

void RunPictures::outputsChanged() {
    QStringList names;
    for (const Output& output : m_session.outputs().all())
        names << output.name;
    QStringList shown{m_main};
    for (const auto& [name, view] : m_others)
        shown << name;
    if (names != shown) {
        for (const auto& [name, view] : m_others)
            delete view;
        m_others.clear();
        m_main.clear();
        for (const Output& output : m_session.outputs().all())
            if (m_main.isEmpty() && output.isInTheHall())
                m_main = output.name;
        if (m_main.isEmpty() && !names.isEmpty())
            m_main = names.first();
        for (const Output& output : m_session.outputs().all()) {
            if (output.name == m_main)
                continue;
            auto* view = new PictureView(m_thumbnails, m_small);
            view->setNight(true);
            view->setObjectName(QStringLiteral("run-") + output.name);
            makeMenu(view, output.name);
            m_small->layout()->addWidget(view);
            m_others.emplace_back(output.name, view);
        }
        showFrames();
    }
    refresh();
}

void RunPictures::showFrames() {
    showFrame(m_main);
    for (const auto& [name, view] : m_others)
        showFrame(name);
}

void RunPictures::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    showFrames();
}

void RunPictures::showFrame(const QString& output) {
    if (!isVisible())
        return;
    const FrameBoard::Picture picture = m_session.player().frame(output);
    if (output == m_main)
        m_large->setPicture(picture);
    for (const auto& [name, view] : m_others)
        if (name == output)
            view->setPicture(picture);
}

void RunPictures::refresh() {
    const RunState& state = m_session.run().state();
    const QString main = labelOf(m_main);
    const QString kept = stateOf(m_main);
    const Shown shown = m_session.onScreen().of(m_main);
    const bool isTaken = shown.origin.cue.has_value();
    const QString said = !kept.isEmpty()     ? kept
                         : shown.isCovered() ? curtainName(shown.origin.curtain)
                                             : tr("on screen");
    m_large->setTag(isTaken ? PictureView::Tag::OnScreen : PictureView::Tag::None,
                    isTaken ? tr("%1 \u00b7 %2").arg(main.toUpper(), said.toUpper()) : QString());
    for (const auto& [name, view] : m_others)
        view->setCaption(labelOf(name), stateOf(name));
    const SlideBook& plan = m_session.book();
    const ItemSlides* next = state.next ? plan.slidesOf(state.next->item) : nullptr;
    if (!next || next->outputs.empty()) {
        m_next->setScene(std::nullopt);
        m_next->setCaption(plan.itemCount() > 0 ? tr("the end") : QString());
        return;
    }
    const OutputSlides& output = next->outputs[size_t(mainOutput(*next))];
    m_next->setScene(sceneOf(*next, output, output.slideAt(state.next->position)));
    m_next->setCaption(tr("%1, next").arg(main));
}

} // namespace mivanta

#include "moc_RunPictures.cpp"
