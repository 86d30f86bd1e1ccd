// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/ArrangeInService.h"
#include "core/run/Cards.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/look/ObjectsEditor.h"
#include "desk/look/SlideCanvas.h"
#include "desk/prepare/LookDrops.h"
#include "desk/prepare/LookInService.h"
#include <QCheckBox>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

namespace {

const LookProperty& objectsProperty() {
    return *lookProperty(QStringLiteral("objects"));
}

} // namespace

ArrangeInService::ArrangeInService(Session& session, ThumbnailStore& thumbnails, const LookSupplies& supplies,
                                   LookInService& look)
    : QWidget(&look),
      m_session(session),
      m_look(look) {
    setObjectName(QStringLiteral("arrange-in-service"));
    m_canvas = new SlideCanvas(thumbnails, this);
    m_canvas->setObjectName(QStringLiteral("arrange-canvas"));
    m_canvas->setEmptyText(tr("There is no slide to arrange here."));
    m_canvas->setFixedHeight(spaced(70));
    m_others = new QLabel(this);
    m_others->setObjectName(QStringLiteral("arrange-others"));
    m_others->setWordWrap(true);
    makeQuiet(m_others);
    m_leaveOut = new QCheckBox(tr("Leave out the objects of the theme"), this);
    m_leaveOut->setObjectName(QStringLiteral("leave-out-objects"));
    m_leaveOut->setToolTip(tr("A clock or a line that the theme has is not shown here"));
    m_objects = new ObjectsEditor(supplies, this);
    m_objects->setObjectName(QStringLiteral("own-objects"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_canvas);
    column->addWidget(m_others);
    column->addWidget(m_leaveOut);
    column->addWidget(m_objects);

    const auto newVisit = [this] { m_visit = m_session.document().startVisit(); };
    newVisit();
    connect(m_canvas, &SlideCanvas::boxChanged, this, &ArrangeInService::boxChanged);
    connect(m_canvas, &SlideCanvas::dragEnded, this, newVisit);
    connect(m_canvas, &SlideCanvas::chosenChanged, this, [this, newVisit](int box) {
        newVisit();
        if (box >= SlideCanvas::kObjects)
            m_objects->open(box - SlideCanvas::kObjects);
    });
    connect(m_objects, &ObjectsEditor::opened, this, [this](int index) {
        if (index >= 0)
            m_canvas->choose(SlideCanvas::kObjects + index);
    });
    connect(m_objects, &ObjectsEditor::edited, this, [this](const LookValue& value) {
        changeObjects([&](auto& objects) { objects = std::get<std::vector<SlideObject>>(value); });
    });
    connect(m_canvas, &SlideCanvas::objectRemoved, this, [this](int index) {
        changeObjects([index](auto& objects) { objects.erase(objects.begin() + index); });
    });
    const auto add = [this](const Medium& medium) { m_objects->addMedium(medium); };
    connect(m_canvas, &SlideCanvas::objectDropped, this,
            [this, add](const QString& path) { bringInOne(m_session, this, path, add); });
    connect(m_canvas, &SlideCanvas::picturePasted, this,
            [this, add](const QImage& pasted) { bringInPasted(m_session, this, pasted, add); });
    connect(m_canvas, &SlideCanvas::backdropDropped, this, [this](const QString& path) {
        dropLook(m_session, this, m_look.target(), m_look.targetText(), {{}, path, false});
    });
    connect(m_leaveOut, &QCheckBox::clicked, this, [this](bool leaveOut) {
        m_look.change(tr("the theme's objects"), [leaveOut](LookChoice& choice) {
            if (leaveOut)
                choice.own.set(objectsProperty(), std::vector<SlideObject>());
            else
                choice.own.clear(objectsProperty());
        });
    });
}

void ArrangeInService::changeObjects(const std::function<void(std::vector<SlideObject>&)>& work, int visit) {
    m_look.change(
        tr("objects"), [&](LookChoice& choice) { work(choice.objects); }, visit);
}

void ArrangeInService::boxChanged(int box, const QRectF& shares) {
    if (box >= SlideCanvas::kObjects) {
        const size_t at = size_t(box - SlideCanvas::kObjects);
        changeObjects(
            [&](auto& objects) {
                if (at < objects.size())
                    objects[at].box = shares;
            },
            m_visit);
        return;
    }
    const bool words = box == SlideCanvas::kWords;
    m_look.change(
        words ? tr("the place of the words") : tr("the place of the credit line"),
        [&](LookChoice& choice) {
            choice.own.set(*lookProperty(words ? QStringLiteral("words.box") : QStringLiteral("credit.box")),
                           shares);
        },
        m_visit);
}

void ArrangeInService::refresh() {
    const ItemSlides* slides = m_look.slides();
    if (!slides || slides->outputs.empty()) {
        m_canvas->setScene(std::nullopt);
        setEnabled(false);
        return;
    }
    setEnabled(true);
    const OutputSlides& output = slides->outputs[size_t(mainOutput(*slides))];
    const int count = int(output.slides.size());
    const std::optional<int> at =
        count == 0 ? std::nullopt : std::optional(std::clamp(m_look.slide().value_or(0), 0, count - 1));
    const Scene scene = sceneOf(*slides, output, at);
    const LookChoice choice = choiceAt(m_session.document().service(), m_look.target());
    const int here = int(choice.objects.size());
    const int above = m_look.objectsAbove();
    const int all = int(scene.look.objects.size());
    const bool insisted = std::find(output.output.insists.begin(), output.output.insists.end(),
                                    LookGroup::Objects) != output.output.insists.end();
    const int first = std::max(0, all - above - here);
    m_canvas->setScene(scene, insisted ? all : first, insisted ? 0 : here);
    m_objects->setValue(choice.objects);
    m_leaveOut->setChecked(choice.own.has(objectsProperty()));
    const int others = all - here;
    m_others->setVisible(insisted || others > 0);
    m_others->setText(
        insisted ? tr("%1 insists on the objects of its own theme.").arg(output.output.label())
                 : tr("%n more objects come from elsewhere; they are changed there.", nullptr, others));
}

} // namespace mivanta

#include "moc_ArrangeInService.cpp"
