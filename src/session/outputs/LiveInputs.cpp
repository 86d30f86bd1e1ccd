// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/outputs/LiveInputs.h"
#include "core/base/Clock.h"
#include "link/PlayerClient.h"
#include "media/PictureProxies.h"
#include <QDateTime>
#include <QDir>
#include <QJsonDocument>
#include <QJsonObject>
#include <QSaveFile>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kKeptEveryMs = 60'000;

QString secretName(LiveInputId id) {
    return u"live-input/"_s + id.text();
}

QString secretToText(const LiveSecret& secret) {
    if (secret.isEmpty())
        return {};
    const QJsonObject json{
        {u"user"_s, secret.user}, {u"password"_s, secret.password}, {u"passphrase"_s, secret.passphrase}};
    return QString::fromUtf8(QJsonDocument(json).toJson(QJsonDocument::Compact));
}

LiveSecret secretFromText(const QString& text) {
    const QJsonObject json = QJsonDocument::fromJson(text.toUtf8()).object();
    return {json[u"user"_s].toString(), json[u"password"_s].toString(), json[u"passphrase"_s].toString()};
}

} // namespace

LiveInputs::LiveInputs(PlayerClient& player, ThisComputer computer, QString pictureCache, QObject* parent)
    : QObject(parent),
      m_player(player),
      m_computer(std::move(computer)),
      m_pictureCache(std::move(pictureCache)),
      m_keeper(m_computer.folder() + u"/secrets.json"_s) {
    connect(&m_player, &PlayerClient::livePictureCame, this, [this](LiveInputId id, const QImage& picture) {
        m_pictures[id] = picture;
        keepPicture(id, picture);
        Q_EMIT pictureChanged(id);
    });
    connect(&m_player, &PlayerClient::filmChanged, this, [this](const QByteArray& film) {
        for (const LiveInput& input : m_inputs)
            if (filmKey(liveFilm(input.id)) == film)
                Q_EMIT stateChanged(input.id);
    });
    connect(&m_keeper, &Secrets::problem, this, [this](const QString& text) {
        Q_EMIT problem({text, {}, {}});
    });
}

void LiveInputs::keepPicture(LiveInputId id, const QImage& picture) {
    const qint64 now = Clock::the().steady();
    if (m_keptAt.contains(id) && now - m_keptAt[id] < kKeptEveryMs)
        return;
    const bool isFirst = !m_keptAt.contains(id);
    m_keptAt[id] = now;
    m_files.run(
        this,
        [path = livePicturePath(m_pictureCache, id.text()), picture] {
            QDir().mkpath(QFileInfo(path).path());
            QSaveFile file(path); // without it, what is drawn shows another moment
            return file.open(QIODevice::WriteOnly) && picture.save(&file, "JPEG") && file.commit();
        },
        [this, id, isFirst](bool isKept) {
            if (isKept && isFirst)
                Q_EMIT firstPictureKept(id);
        });
}

void LiveInputs::load() {
    m_files.run(
        this, [computer = m_computer] { return computer.liveInputs(); },
        [this](Result<std::vector<LiveInput>> inputs) {
            if (!inputs) {
                Q_EMIT problem(inputs.error());
                return;
            }
            m_inputs = std::move(*inputs);
            readSecrets();
            tellPlayer();
            Q_EMIT changed();
        });
}

void LiveInputs::readSecrets() {
    for (const LiveInput& input : m_inputs)
        if (std::holds_alternative<AddressSource>(input.source))
            m_keeper.read(secretName(input.id), this, [this, id = input.id](const QString& text) {
                const LiveSecret secret = secretFromText(text);
                if (secret == m_secrets.value(id))
                    return;
                m_secrets[id] = secret;
                tellPlayer();
                Q_EMIT changed();
            });
}

const LiveInput* LiveInputs::find(LiveInputId id) const {
    const auto at =
        std::find_if(m_inputs.begin(), m_inputs.end(), [&](const LiveInput& each) { return each.id == id; });
    return at == m_inputs.end() ? nullptr : &*at;
}

bool LiveInputs::isCard(const QString& medium) const {
    return std::any_of(m_inputs.begin(), m_inputs.end(),
                       [&](const LiveInput& input) { return input.card == medium; });
}

QString LiveInputs::nameOf(LiveInputId id) const {
    const LiveInput* input = find(id);
    return input ? input->name : tr("a live input that this computer does not have");
}

void LiveInputs::tellPlayer() {
    std::vector<message::LiveOrder> orders;
    for (const LiveInput& input : m_inputs)
        orders.push_back({input, m_secrets.value(input.id)});
    m_player.setLiveInputs(orders);
}

void LiveInputs::set(std::vector<LiveInput> inputs) {
    if (inputs == m_inputs)
        return;
    m_inputs = std::move(inputs);
    tellPlayer();
    Q_EMIT changed();
    m_files.run(
        this, [computer = m_computer, all = m_inputs] { return computer.saveLiveInputs(all); },
        [this](const Result<void>& saved) {
            if (!saved)
                Q_EMIT problem(saved.error());
        });
}

LiveInputId LiveInputs::add(LiveKind kind) {
    LiveInput added;
    added.id = LiveInputId::create();
    added.source = emptySource(kind);
    const auto isNamed = [this](const QString& name) {
        return std::any_of(m_inputs.begin(), m_inputs.end(),
                           [&](const LiveInput& each) { return each.name == name; });
    };
    const QString usual = liveKindText(kind);
    added.name = usual;
    for (int number = 2; isNamed(added.name); ++number)
        added.name = usual + u' ' + QString::number(number);
    std::vector<LiveInput> inputs = m_inputs;
    if (inputs.size() >= kMostLiveInputs) {
        Q_EMIT problem(
            {tr("there are %n live inputs already, and no more can be kept", nullptr, int(kMostLiveInputs)),
             {},
             tr("Remove one that is not needed any more.")});
        return {};
    }
    inputs.push_back(added);
    set(std::move(inputs));
    return added.id;
}

void LiveInputs::change(const LiveInput& input) {
    if (!isInRange(input))
        return;
    std::vector<LiveInput> inputs = m_inputs;
    for (LiveInput& each : inputs)
        if (each.id == input.id)
            each = input;
    set(std::move(inputs));
}

void LiveInputs::remove(LiveInputId id) {
    std::vector<LiveInput> inputs = m_inputs;
    const auto at =
        std::find_if(inputs.begin(), inputs.end(), [&](const LiveInput& each) { return each.id == id; });
    if (at == inputs.end())
        return;
    const LiveInput removed = *at;
    const LiveSecret secret = secretOf(id);
    const auto place = at - inputs.begin();
    inputs.erase(at);
    set(std::move(inputs));
    keepSecret(id, {});
    Q_EMIT offered(tr("The live input %1 was removed.").arg(removed.name), tr("Put it back"),
                   [this, removed, secret, place] {
                       if (find(removed.id))
                           return;
                       std::vector<LiveInput> all = m_inputs;
                       all.insert(all.begin() + std::min<std::ptrdiff_t>(place, std::ssize(all)), removed);
                       keepSecret(removed.id, secret);
                       set(std::move(all));
                   });
}

void LiveInputs::keepSecret(LiveInputId id, const LiveSecret& secret) {
    if (secret == m_secrets.value(id))
        return;
    m_secrets[id] = secret;
    m_keeper.write(secretName(id), secretToText(secret));
}

void LiveInputs::setSecret(LiveInputId id, const LiveSecret& secret) {
    if (!find(id) || secret == m_secrets.value(id))
        return; // what was being typed for one that was removed goes with it
    keepSecret(id, secret);
    tellPlayer();
    Q_EMIT changed();
}

std::optional<message::FilmStands> LiveInputs::standsOf(LiveInputId id) const {
    return m_player.film(filmKey(liveFilm(id)));
}

QString LiveInputs::stateText(LiveInputId id) const {
    using Signal = message::FilmStands::Signal;
    const auto stands = standsOf(id);
    if (!stands)
        return tr("It is not open.");
    if (stands->signal == Signal::There)
        return tr("Its pictures come: %1 \u00d7 %2").arg(stands->size.width()).arg(stands->size.height());
    if (stands->signal != Signal::Lost)
        return tr("It is being opened\u2026");
    return tr("No picture since %1: %2").arg(lostSince(id), stands->problem);
}

QString LiveInputs::lostSince(LiveInputId id) const {
    const auto stands = standsOf(id);
    if (!stands || stands->signal != message::FilmStands::Signal::Lost)
        return {};
    return QDateTime::fromMSecsSinceEpoch(stands->lostAt).time().toString(u"HH:mm"_s);
}

void LiveInputs::lookAt(const QString& who, const std::vector<LiveInputId>& inputs) {
    if (m_looks.value(who) == inputs)
        return;
    m_looks[who] = inputs;
    std::vector<LiveInputId> all;
    for (const std::vector<LiveInputId>& each : std::as_const(m_looks))
        for (const LiveInputId& id : each)
            if (std::find(all.begin(), all.end(), id) == all.end())
                all.push_back(id);
    m_player.lookAtLive(all);
}

} // namespace mivanta

#include "moc_LiveInputs.cpp"
