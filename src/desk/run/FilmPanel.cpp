// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/FilmPanel.h"
#include "core/base/MediaName.h"
#include "core/timing/Moment.h"
#include "desk/kit/Style.h"
#include "desk/run/KeyButton.h"
#include "media/FilmLook.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <cmath>

namespace mivanta {

namespace {

constexpr int kFilmTickMs = 200;
constexpr QSize kMoment{240, 135};

} // namespace

FilmPanel::FilmPanel(Session& session, const RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_keys(keys) {
    setObjectName(QStringLiteral("film-panel"));
    m_title = new QLabel(this);
    m_title->setFont(textFont(1.15, TextWeight::Bold));
    m_strip = new FilmStrip(this);
    m_position = new QLabel(this);
    m_position->setObjectName(QStringLiteral("film-position"));
    m_position->setFont(monoFont(1.1));
    m_left = new QLabel(this);
    m_left->setObjectName(QStringLiteral("film-left"));
    m_left->setFont(monoFont(2.2, TextWeight::Bold));
    m_left->setStyleSheet(QStringLiteral("color: %1").arg(night().marker.name()));
    m_volume = new QLabel(this);
    m_volume->setObjectName(QStringLiteral("film-volume"));
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(1));
    m_pause = addButton(row, RunAction::PauseFilm, "film-pause", tr("Pause"));
    addButton(row, RunAction::FilmBack, "film-back", tr("10 s back"));
    addButton(row, RunAction::FilmOn, "film-on", tr("10 s on"));
    addButton(row, RunAction::FilmAgain, "film-again", tr("From the beginning"));
    row->addSpacing(spaced(2));
    addButton(row, RunAction::FilmSofter, "film-softer", QStringLiteral("\u2212"));
    row->addWidget(m_volume);
    addButton(row, RunAction::FilmLouder, "film-louder", QStringLiteral("+"));
    row->addStretch();
    row->addWidget(m_position);
    row->addSpacing(spaced(2));
    row->addWidget(m_left);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(4), spaced(2), spaced(4), spaced(2));
    column->setSpacing(spaced(1));
    column->addWidget(m_title);
    column->addWidget(m_strip);
    column->addLayout(row);
    m_ticks.setInterval(kFilmTickMs);
    connect(&m_ticks, &QTimer::timeout, this, &FilmPanel::refresh);
    connect(&m_session.film(), &RunFilm::changed, this, &FilmPanel::refresh);
    connect(&m_session.loop(), &RunLoop::changed, this, &FilmPanel::refresh);
    connect(m_strip, &FilmStrip::clicked, this,
            [this](double seconds) { m_session.orders().obey(order::SeekFilm{seconds}); });
    refresh();
}

FilmPanel::~FilmPanel() {
    wantNoMoments(); // the worker ends with what it was given
}

void FilmPanel::wantNoMoments() {
    if (m_isWanted)
        *m_isWanted = false;
}

KeyButton* FilmPanel::addButton(QHBoxLayout* row, RunAction action, const char* name, const QString& words) {
    auto* button = new KeyButton(m_keys, action, name, words, this);
    connect(button, &QPushButton::clicked, this,
            [this, action] { m_session.orders().obey(*RunKeys::orderOf(action, RunKeys::Moving::Film)); });
    row->addWidget(button);
    return button;
}

void FilmPanel::refresh() {
    const auto film = m_session.loop().stand() ? std::nullopt : m_session.film().play(); // a loop has its own
    setVisible(film.has_value());
    if (!film) {
        m_film.reset();
        m_ticks.stop();
        wantNoMoments();
        return;
    }
    const Item* item = m_session.document().service().item(ItemId::fromText(film->item));
    m_title->setText(item ? item->title() : tr("Film"));
    if (const auto stands = m_session.film().stands()) {
        const auto left = m_session.film().left();
        m_position->setText(momentText(std::floor(stands->position - stands->from)));
        m_left->setText(left ? QStringLiteral("\u2212") + momentText(std::ceil(*left)) : QString());
        m_volume->setText(stands->hasSound && film->isHeard ? tr("sound %1 %").arg(stands->volume)
                                                            : tr("no sound"));
        m_pause->setWords(stands->isPaused || stands->isOver ? tr("Go on") : tr("Pause"));
        m_strip->setPlace(stands->from, stands->to, stands->position);
        if (stands->isPaused)
            m_ticks.stop();
        else if (!m_ticks.isActive())
            m_ticks.start();
        if (stands->to > 0 && m_film != film) {
            m_film = film;
            loadMoments();
        }
    } else {
        m_position->setText({});
        m_left->setText({});
    }
}

/// In the background, one after the other, until another film is on screen.
void FilmPanel::loadMoments() {
    m_strip->clearMoments();
    wantNoMoments();
    const auto stands = m_session.film().stands();
    if (!stands)
        return;
    m_isWanted = std::make_shared<std::atomic<bool>>(true);
    const QString path = mediaPath(m_session.library().address().mediaFolder(), m_film->name);
    const std::vector<double> moments = momentsOf(stands->from, stands->to);
    for (size_t i = 0; i < moments.size(); ++i)
        m_looking.run(
            this,
            [path, moment = moments[i], isWanted = m_isWanted] {
                return *isWanted ? pictureOfFilm(path, moment, kMoment).value_or(QImage()) : QImage();
            },
            [this, i, isWanted = m_isWanted](const QImage& picture) {
                if (*isWanted)
                    m_strip->setMoment(i, picture);
            });
}

} // namespace mivanta

#include "moc_FilmPanel.cpp"
