// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/MediumPanel.h"
#include "desk/kit/Columns.h"
#include "desk/kit/RowFields.h"
#include "desk/kit/Style.h"
#include "desk/media/ClipRow.h"
#include "desk/media/FilmPreview.h"
#include "session/Session.h"
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QLocale>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr QSize kMoment(120, 68); // px
constexpr int kMostUses = 3;

QLabel* quietLabel(const char* name, QWidget* parent) {
    auto* label = new QLabel(parent);
    label->setObjectName(QLatin1String(name));
    label->setWordWrap(true);
    label->setTextFormat(Qt::PlainText);
    makeQuiet(label);
    return label;
}

double lengthOf(const Medium& medium) {
    return medium.facts ? medium.facts->seconds : 0;
}

} // namespace

MediumPanel::MediumPanel(Session& session, MediumPictures& pictures, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_pictures(pictures) {
    setObjectName(QStringLiteral("medium-panel"));
    m_preview = new FilmPreview(pictures, this);
    m_facts = quietLabel("medium-facts", this);
    m_uses = quietLabel("medium-uses", this);
    QWidget* fields = buildFields();
    QWidget* buttons = buildButtons();
    QVBoxLayout* rows = sideRows(this, 66);
    rows->addWidget(m_preview);
    rows->addWidget(m_clip);
    rows->addWidget(fields);
    rows->addWidget(m_facts);
    rows->addWidget(m_uses);
    rows->addStretch(1);
    rows->addWidget(buttons);
    connect(m_preview, &FilmPreview::moved, this, [this] { m_clip->setPosition(m_preview->position()); });
    connect(m_preview, &FilmPreview::changed, this, [this] { m_clip->setPlaying(m_preview->isPlaying()); });
    connect(m_preview, &FilmPreview::failed, m_facts, &QLabel::setText);
    connect(&pictures, &MediumPictures::ready, this, &MediumPanel::showMoments);
    connect(&m_session.document(), &ServiceDocument::changed, this, &MediumPanel::showUses);
    setMedium(std::nullopt, {}, 0);
}

QWidget* MediumPanel::buildFields() {
    m_clip = new ClipRow(this);
    m_fields = new QWidget(this);
    m_title = makeField("medium-title", tr("What it is called"), m_fields);
    m_caption = makeField("medium-caption", tr("Words about it, by which it is found, too"), m_fields);
    m_star = new QToolButton(m_fields);
    m_star->setObjectName(QStringLiteral("medium-star"));
    m_star->setCheckable(true);
    m_star->setAccessibleName(tr("Starred"));
    m_star->setToolTip(tr("Starred: among the best ones (Ctrl+M)"));
    m_star->setShortcut(QKeySequence(QStringLiteral("Ctrl+M")));
    m_star->setIcon(icon(QStringLiteral("star"), day().marker));
    auto* title = new QHBoxLayout;
    title->addWidget(m_title, 1);
    title->addWidget(m_star);
    auto* form = new QFormLayout(m_fields);
    form->setContentsMargins(0, 0, 0, 0);
    form->addRow(tr("Name"), title);
    form->addRow(tr("Words"), m_caption);
    form->addRow(buildSound());
    connect(m_clip, &ClipRow::sought, m_preview, &FilmPreview::seek);
    connect(m_clip, &ClipRow::clipChanged, this, [this](double from, double to) {
        edit(tr("the part that is played"), [&](Medium& medium) {
            medium.from = from;
            medium.to = to;
        });
    });
    connect(m_clip, &ClipRow::playWanted, m_preview, &FilmPreview::playOrPause);
    connect(m_title, &QLineEdit::editingFinished, this, [this] {
        const QString text = m_title->text().trimmed();
        if (!text.isEmpty())
            edit(tr("the name of a medium"), [&](Medium& medium) { medium.title = text; });
        else if (m_shown)
            m_title->setText(m_shown->medium.title);
    });
    connect(m_caption, &QLineEdit::editingFinished, this, [this] {
        edit(tr("the words about a medium"),
             [text = m_caption->text().trimmed()](Medium& medium) { medium.caption = text; });
    });
    connect(m_star, &QToolButton::clicked, this, [this](bool on) {
        edit(tr("the star of a medium"), [on](Medium& medium) { medium.isStarred = on; });
    });
    return m_fields;
}

QWidget* MediumPanel::buildSound() {
    m_sound = new QWidget(m_fields);
    m_loudness = quietLabel("medium-loudness", m_sound);
    m_correction = new QDoubleSpinBox(m_sound);
    m_correction->setObjectName(QStringLiteral("medium-correction"));
    m_correction->setAccessibleName(tr("Louder or softer than the others"));
    m_correction->setToolTip(
        tr("Louder or softer than the others: everything is brought to the same loudness by itself"));
    m_correction->setRange(-kMostCorrection, kMostCorrection);
    m_correction->setDecimals(1);
    m_correction->setSuffix(tr(" dB", "behind a number"));
    auto* row = new QHBoxLayout(m_sound);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_loudness, 1);
    row->addWidget(m_correction);
    connect(m_correction, &QDoubleSpinBox::editingFinished, this, [this] {
        edit(tr("the loudness of a medium"),
             [correction = m_correction->value()](Medium& medium) { medium.correction = correction; });
    });
    return m_sound;
}

void MediumPanel::showLoudness() {
    const Medium& medium = m_shown->medium;
    m_sound->setVisible(medium.hasSound());
    m_loudness->setText(medium.loudness
                            ? tr("%1 LUFS, made even").arg(QString::number(medium.loudness->lufs, 'f', 1))
                            : tr("Its loudness is being measured"));
    if (!m_correction->hasFocus())
        m_correction->setValue(medium.correction);
}

QWidget* MediumPanel::buildButtons() {
    auto* buttons = new QWidget(this);
    m_backdrop = new QPushButton(tr("As a backdrop"), buttons);
    m_backdrop->setObjectName(QStringLiteral("use-as-backdrop"));
    m_backdrop->setToolTip(
        tr("Put it behind the words of the whole service; drag it to an item or a slide on the "
           "Prepare desk for less"));
    m_add = new QPushButton(tr("Add to the service"), buttons);
    m_add->setObjectName(QStringLiteral("add-medium"));
    m_add->setProperty("main", true);
    m_add->setToolTip(tr("Add it to the service order at the marker (Enter)"));
    auto* row = new QHBoxLayout(buttons);
    row->setContentsMargins(0, 0, 0, 0);
    row->addStretch(1);
    row->addWidget(m_backdrop);
    row->addWidget(m_add);
    connect(m_add, &QPushButton::clicked, this, &MediumPanel::addWanted);
    connect(m_backdrop, &QPushButton::clicked, this, &MediumPanel::backdropWanted);
    return buttons;
}

void MediumPanel::edit(const QString& what, const std::function<void(Medium&)>& work) {
    if (!m_shown || !m_shown->isInLibrary())
        return;
    Medium medium = m_shown->medium;
    work(medium);
    if (medium != m_shown->medium)
        Q_EMIT changed(medium, what);
}

void MediumPanel::playOrPause() {
    m_preview->playOrPause();
}

void MediumPanel::setMedium(const std::optional<ShownMedium>& shown, const QString& path, int chosen) {
    const bool isAnother = !shown || !m_shown || shown->key() != m_shown->key();
    m_shown = shown;
    m_preview->setMedium(shown, path);
    const bool isInLibrary = shown && shown->isInLibrary();
    m_preview->setVisible(shown && shown->medium.kind != MediumKind::Sound);
    m_clip->setVisible(shown && shown->medium.kind == MediumKind::Film);
    m_fields->setVisible(isInLibrary);
    m_add->setEnabled(shown && shown->medium.problem.isEmpty());
    m_backdrop->setVisible(!shown || shown->medium.kind != MediumKind::Sound);
    m_backdrop->setEnabled(chosen == 1 && m_add->isEnabled());
    m_add->setText(chosen > 1 ? tr("Add %n to the service", nullptr, chosen) : tr("Add to the service"));
    if (!shown) {
        m_facts->setText(tr("Choose a picture, a film or a sound."));
        m_uses->clear();
        return;
    }
    const Medium& medium = shown->medium;
    const auto put = [&](QLineEdit* edit, const QString& text) {
        if (isAnother || !edit->hasFocus())
            edit->setText(text);
    };
    put(m_title, medium.title);
    put(m_caption, medium.caption);
    m_star->setChecked(medium.isStarred);
    QStringList facts{QStringLiteral("%1 \u00b7 %2 \u00b7 %3")
                          .arg(mediumKindText(medium.kind), factsText(medium), bytesText(medium.bytes))};
    if (medium.kind == MediumKind::Film && medium.facts)
        facts << (medium.facts->hasSound ? tr("with sound") : tr("without sound"));
    if (!medium.problem.isEmpty())
        facts << medium.problem;
    if (!isInLibrary)
        facts << tr("Lies in %1. It is copied into the library when it is added.").arg(shown->folder);
    m_facts->setText(facts.join(u'\n'));
    showClip();
    showLoudness();
    showMoments();
    showUses();
}

void MediumPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    showMoments();
    showUses();
}

void MediumPanel::showClip() {
    const Medium& medium = m_shown->medium;
    m_clip->setClip(lengthOf(medium), medium.from, medium.to, m_shown->isInLibrary());
}

void MediumPanel::showMoments() {
    if (!m_shown || m_shown->medium.kind != MediumKind::Film || lengthOf(m_shown->medium) <= 0 ||
        !isVisible()) {
        m_clip->setMoments({});
        return;
    }
    // What is asked for last is made first: the large picture, and then the strip from its beginning.
    const std::vector<double> moments = momentsOf(0, lengthOf(m_shown->medium));
    std::vector<QImage> pictures(moments.size());
    for (size_t i = moments.size(); i-- > 0;)
        pictures[i] = m_pictures.get(*m_shown, moments[i], kMoment).toImage();
    m_clip->setMoments(std::move(pictures));
    (void)m_preview->picture();
}

void MediumPanel::showUses() {
    if (!m_shown || !m_shown->isInLibrary()) {
        m_uses->clear();
        return;
    }
    if (!isVisible())
        return; // showEvent() follows
    const QString name = m_shown->medium.name;
    m_session.media().uses(this, name, [this, name](const std::vector<MediumUse>& uses) {
        if (!m_shown || m_shown->medium.name != name)
            return;
        QStringList all;
        if (const int items = m_session.media().usesInService(name); items > 0)
            all << tr("this service (%n times)", nullptr, items);
        for (const LiveInput& input : m_session.liveInputs().all())
            if (input.card == name)
                all << tr("the live input %1, while it has no picture").arg(input.name);
        for (const MediumUse& use : uses)
            if (use.service != m_session.document().service().id && all.size() < kMostUses)
                all << tr("%1 (%2)").arg(use.serviceTitle,
                                         QLocale().toString(use.at.date(), QLocale::ShortFormat));
        m_uses->setText(all.isEmpty() ? tr("Used in no service yet.")
                                      : tr("Used in %1.").arg(all.join(QStringLiteral(", "))));
    });
}

} // namespace mivanta

#include "moc_MediumPanel.cpp"
