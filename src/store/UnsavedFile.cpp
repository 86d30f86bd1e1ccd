// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/UnsavedFile.h"
#include "core/base/Said.h"
#include "store/SafeFiles.h"
#include <QDateTime>
#include <QFile>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr QLatin1String kSuffix(".json");

QString pathIn(const QString& folder, const QString& what) {
    return folder + u"/unsaved-"_s + what + kSuffix;
}

} // namespace

UnsavedFile::UnsavedFile(const QString& folder, const QString& what, const QString& olderFolder)
    : m_path(pathIn(folder, what)),
      m_older(olderFolder.isEmpty() || olderFolder == folder ? QString() : pathIn(olderFolder, what)) {}

QString UnsavedFile::path() const {
    return !QFile::exists(m_path) && QFile::exists(m_older) ? m_older : m_path;
}

bool UnsavedFile::exists() const {
    return QFile::exists(path());
}

QString UnsavedFile::beside(const QString& ending) const {
    return m_path.chopped(kSuffix.size()) + ending;
}

UnsavedFile UnsavedFile::another(const QString& ending) const {
    UnsavedFile other;
    other.m_path = beside(ending) + kSuffix;
    return other;
}

Result<void> UnsavedFile::write(const QJsonObject& json) const {
    auto written = writeSafely(m_path, QJsonDocument(json).toJson(QJsonDocument::Compact));
    if (written && !m_older.isEmpty())
        QFile::remove(m_older);
    return written;
}

Error UnsavedFile::putAside(const QString& why) const {
    const QString stamp = QDateTime::currentDateTimeUtc().toString(u"yyyyMMdd-HHmmss"_s);
    QString aside;
    for (int n = 1; aside.isEmpty() || QFile::exists(aside); ++n)
        aside = beside(u"-%1-%2"_s.arg(stamp, QString::number(n)) + kSuffix);
    const QString from = path();
    const bool isAside = QFile::rename(from, aside);
    return {
        Said::tr("the work that was not saved last time cannot be read: %1").arg(why), isAside ? aside : from,
        isAside ? Said::tr("It was put aside there, as it is. Open what it was made from instead.")
                : Said::tr("Put this file somewhere else before you go on, so that it is not written over.")};
}

Result<std::optional<QJsonObject>> UnsavedFile::read() const {
    QFile file(path());
    if (!file.exists())
        return std::optional<QJsonObject>();
    if (!file.open(QIODevice::ReadOnly))
        return tl::unexpected(putAside(file.errorString()));
    const auto document = QJsonDocument::fromJson(file.readAll());
    file.close();
    if (!document.isObject())
        return tl::unexpected(putAside(Said::tr("it is damaged")));
    return std::optional(document.object());
}

void UnsavedFile::clear() const {
    QFile::remove(m_path);
    if (!m_older.isEmpty())
        QFile::remove(m_older);
}

} // namespace mivanta
