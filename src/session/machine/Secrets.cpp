// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/Secrets.h"
#include "store/SafeFiles.h"
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QPointer>
#include <qt6keychain/keychain.h>

namespace mivanta {

namespace {

const QString kRing = QStringLiteral("Mivanta");
constexpr qint64 kMostBytes = 1 << 20;

QJsonObject readSecrets(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly) || file.size() > kMostBytes)
        return {};
    return QJsonDocument::fromJson(file.readAll()).object();
}

Result<void> writeSecrets(const QString& path, const QJsonObject& secrets) {
    return writePrivately(path, QJsonDocument(secrets).toJson());
}

bool isNoRing(QKeychain::Error error) {
    return error != QKeychain::NoError && error != QKeychain::EntryNotFound &&
           error != QKeychain::AccessDeniedByUser;
}

} // namespace

Secrets::Secrets(QString file, Place place, QObject* parent)
    : QObject(parent),
      m_file(std::move(file)),
      m_place(place) {}

Secrets::Place Secrets::usualPlace() {
    const bool hasBus = qEnvironmentVariableIsSet("DBUS_SESSION_BUS_ADDRESS") ||
                        QFile::exists(qEnvironmentVariable("XDG_RUNTIME_DIR") + QStringLiteral("/bus"));
    return hasBus ? Place::KeyRing : Place::File;
}

void Secrets::useFile() {
    if (std::exchange(m_place, Place::File) != Place::File)
        Q_EMIT placeChanged();
}

void Secrets::read(const QString& name, QObject* context,
                   const std::function<void(const QString& words)>& taken) {
    if (m_place == Place::File) {
        readFromFile(name, context, taken);
        return;
    }
    auto* job = new QKeychain::ReadPasswordJob(kRing, this);
    job->setKey(name);
    connect(job, &QKeychain::Job::finished, this,
            [this, job, name, taken, context = QPointer<QObject>(context)] {
                if (!context)
                    return;
                if (!isNoRing(job->error())) {
                    taken(job->textData());
                    return;
                }
                useFile();
                readFromFile(name, context, taken);
            });
    job->start();
}

void Secrets::write(const QString& name, const QString& words) {
    if (m_place == Place::File) {
        writeToFile(name, words);
        return;
    }
    QKeychain::Job* job = nullptr;
    if (words.isEmpty()) {
        auto* away = new QKeychain::DeletePasswordJob(kRing, this);
        away->setKey(name);
        job = away;
    } else {
        auto* kept = new QKeychain::WritePasswordJob(kRing, this);
        kept->setKey(name);
        kept->setTextData(words);
        job = kept;
    }
    connect(job, &QKeychain::Job::finished, this, [this, job, name, words] {
        if (isNoRing(job->error())) {
            useFile();
            writeToFile(name, words);
        } else if (job->error() == QKeychain::AccessDeniedByUser) {
            Q_EMIT problem(tr("The key ring was not opened: the password is not kept."));
        }
    });
    job->start();
}

void Secrets::readFromFile(const QString& name, QObject* context,
                           const std::function<void(const QString& words)>& taken) {
    m_files.run(
        context, [path = m_file, name] { return readSecrets(path)[name].toString(); }, taken);
}

void Secrets::writeToFile(const QString& name, const QString& words) {
    m_files.run(
        this,
        [path = m_file, name, words] {
            QJsonObject secrets = readSecrets(path);
            if (words.isEmpty())
                secrets.remove(name);
            else
                secrets.insert(name, words);
            return writeSecrets(path, secrets);
        },
        [this](const Result<void>& written) {
            if (!written)
                Q_EMIT problem(written.error().text());
        });
}

} // namespace mivanta

#include "moc_Secrets.cpp"
