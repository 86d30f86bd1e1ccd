// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/PicturesInService.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QPushButton>

namespace mivanta {

PicturesInService::PicturesInService(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("pictures-in-service"));
    m_title = makeField("pictures-title", tr("What the item is called in the order"), this);
    m_caption = makeField("picture-caption", tr("What is said of the chosen picture"), this);
    m_fit = makeFitBox("pictures-fit", tr("How a picture of another shape meets the screen"), this);
    m_captions = new QCheckBox(tr("Show captions"), this);
    m_captions->setObjectName(QStringLiteral("pictures-captions"));
    m_captions->setToolTip(tr("Captions stand over the pictures as words of the theme do"));
    auto* more = new QPushButton(tr("Add pictures\u2026"), this);
    more->setObjectName(QStringLiteral("pictures-add"));
    more->setToolTip(tr("Add more pictures after these"));
    m_remove = new QPushButton(tr("Remove the picture"), this);
    m_remove->setObjectName(QStringLiteral("picture-remove"));
    m_remove->setToolTip(tr("Take the chosen picture out of the set; undo brings it back"));
    auto* row = new QHBoxLayout;
    row->addWidget(m_captions);
    row->addStretch(1);
    row->addWidget(m_remove);
    row->addWidget(more);
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(1.5));
    form->addRow(tr("Name"), m_title);
    form->addRow(tr("Pictures are"), m_fit);
    form->addRow(tr("Caption"), m_caption);
    form->addRow(row);
    connect(m_title, &QLineEdit::textEdited, this, [this](const QString& text) {
        change(
            tr("the name of the pictures"), [&](PictureItem& item) { item.title = text; }, m_visit);
    });
    connect(m_caption, &QLineEdit::textEdited, this, [this](const QString& text) {
        if (m_picture)
            change(
                tr("a caption"), [&](PictureItem& item) { item.pictures[size_t(*m_picture)].caption = text; },
                m_visit);
    });
    connect(m_fit, &QComboBox::activated, this, [this] {
        change(tr("how pictures meet the screen"),
               [&](PictureItem& item) { item.fit = PictureFit(m_fit->currentData().toInt()); });
    });
    connect(m_captions, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("showing captions"), [on](PictureItem& item) { item.showsCaptions = on; });
    });
    connect(m_remove, &QPushButton::clicked, this, &PicturesInService::removePicture);
    connect(more, &QPushButton::clicked, this, &PicturesInService::addPictures);
}

const PictureItem* PicturesInService::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at ? std::get_if<PictureItem>(&at->words) : nullptr;
}

void PicturesInService::setItem(const ItemId& id) {
    m_item = id;
    m_picture.reset();
    m_visit = m_session.document().startVisit();
    refresh();
}

void PicturesInService::setPicture(const std::optional<int>& picture) {
    m_picture = picture;
    m_visit = m_session.document().startVisit();
    refresh();
}

void PicturesInService::change(const QString& what, const std::function<void(PictureItem&)>& work,
                               int visit) {
    if (const PictureItem* shown = item()) {
        PictureItem changed = *shown;
        work(changed);
        m_session.document().change(m_item, changed, what, visit);
    }
}

bool PicturesInService::move(int picture, int by) {
    const PictureItem* shown = item();
    const int count = shown ? int(shown->pictures.size()) : 0;
    const int to = picture + by;
    if (picture < 0 || picture >= count || to < 0 || to >= count)
        return false;
    change(tr("moving a picture"), [&](PictureItem& item) {
        const OrderPicture moved = item.pictures[size_t(picture)];
        item.pictures.erase(item.pictures.begin() + picture);
        item.pictures.insert(item.pictures.begin() + to, moved);
    });
    return true;
}

void PicturesInService::removePicture() {
    if (!m_picture)
        return;
    const int picture = *m_picture;
    change(tr("removing a picture"),
           [&](PictureItem& item) { item.pictures.erase(item.pictures.begin() + picture); });
}

void PicturesInService::addPictures() {
    bringInSeveral(m_session, this, m_prompts.picturesToChoose(),
                   [this, id = m_item](const std::vector<Medium>& media) {
                       if (id != m_item)
                           return;
                       change(tr("adding pictures"), [&](PictureItem& item) {
                           for (const Medium& medium : media)
                               if (medium.kind == MediumKind::Picture)
                                   item.pictures.push_back(pictureOf(medium));
                       });
                   });
}

void PicturesInService::refresh() {
    const PictureItem* shown = item();
    setVisible(shown);
    if (!shown)
        return;
    if (m_picture && *m_picture >= int(shown->pictures.size()))
        m_picture.reset();
    if (m_title->text() != shown->title)
        m_title->setText(shown->title);
    m_title->setPlaceholderText(shown->pictures.empty() ? tr("Pictures") : shown->pictures.front().caption);
    m_fit->setCurrentIndex(m_fit->findData(int(shown->fit)));
    m_captions->setChecked(shown->showsCaptions);
    const QString caption = m_picture ? shown->pictures[size_t(*m_picture)].caption : QString();
    if (m_caption->text() != caption)
        m_caption->setText(caption);
    m_caption->setEnabled(m_picture.has_value());
    m_remove->setEnabled(m_picture && shown->pictures.size() > 1);
    m_caption->setPlaceholderText(m_picture ? QString() : tr("Choose a picture above"));
}

} // namespace mivanta

#include "moc_PicturesInService.cpp"
