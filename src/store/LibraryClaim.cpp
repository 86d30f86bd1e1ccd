// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/LibraryClaim.h"
#include "store/UnsavedFile.h"
#include <QFile>
#include <QRegularExpression>
#include <cerrno>
#include <fcntl.h>
#include <sys/file.h>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostNames = 20;
constexpr qint64 kLongestHost = 64;

QString withName(const QString& name) {
    return name.isEmpty() ? name : u'-' + name;
}

/// Letters that every file system has.
QString plain(const QString& host) {
    static const QRegularExpression other(u"[^a-z0-9]+"_s);
    const QString name = host.toLower().replace(other, u"-"_s).left(kLongestHost);
    return name.isEmpty() ? u"computer"_s : name;
}

QString lockPath(const QString& folder, const QString& name) {
    return folder + u"/in-use"_s + withName(name) + u".lock"_s;
}

struct Lock {
    int file = -1;            ///< held until it is closed; -1 = not held
    bool isElsewhere = false; ///< another program holds it
};

/// `create`: O_CREAT, or 0 when a lock that nobody ever had is no lock.
Lock locked(const QString& path, int create = O_CREAT) {
    const int file = ::open(QFile::encodeName(path).constData(), O_RDWR | create | O_CLOEXEC, 0644);
    if (file < 0)
        return {};
    if (::flock(file, LOCK_EX | LOCK_NB) == 0)
        return {file, false};
    const bool isElsewhere = errno == EWOULDBLOCK;
    ::close(file);
    return {-1, isElsewhere};
}

} // namespace

LibraryClaim::LibraryClaim(const QString& libraryFolder, const QString& unsavedFolder, const QString& window,
                           const QString& host)
    : m_folder(libraryFolder),
      m_unsaved(unsavedFolder),
      m_name(window) {
    QStringList names{window};
    for (int n = 1; n < kMostNames; ++n)
        names << (window.isEmpty() ? QString() : window + u'-') + u"at-"_s + plain(host) +
                     (n > 1 ? u"-%1"_s.arg(n) : QString());
    for (const QString& name : names) {
        const Lock lock = locked(lockPath(m_folder, name));
        if (lock.isElsewhere)
            continue;
        m_lock = lock.file;
        if (m_lock >= 0)
            m_name = name;
        break; // where nothing can be locked, nobody can say who has it
    }
    if (m_lock < 0)
        return;
    if (m_name == window) {
        bringHome(names.mid(1));
    } else {
        QFile held(lockPath(m_folder, window));
        m_holder = held.open(QIODevice::ReadOnly) ? QString::fromUtf8(held.read(kLongestHost)) : QString();
        if (m_holder.isEmpty())
            m_holder = u"?"_s;
    }
    const QByteArray mine = host.toUtf8().left(kLongestHost);
    if (::ftruncate(m_lock, 0) != 0 || ::write(m_lock, mine.constData(), size_t(mine.size())) < 0)
        qWarning("the library's lock cannot be written");
}

LibraryClaim::~LibraryClaim() {
    if (m_lock >= 0)
        ::close(m_lock);
}

bool LibraryClaim::isTaken(const QString& libraryFolder, const QString& window) {
    const Lock lock = locked(lockPath(libraryFolder, window), 0);
    if (lock.file >= 0)
        ::close(lock.file);
    return lock.isElsewhere;
}

/// Of programs that are gone, and where nothing of the usual name is there.
void LibraryClaim::bringHome(const QStringList& names) const {
    for (const QString& name : names)
        for (const QString& kind : {u"service"_s, u"song"_s, u"text"_s, u"theme"_s}) {
            const UnsavedFile left(m_unsaved, kind + u'-' + name, m_folder);
            const UnsavedFile home(m_unsaved, kind + withName(m_name), m_folder);
            if (!left.exists() || home.exists())
                continue;
            const Lock lock = locked(lockPath(m_folder, name));
            if (lock.file < 0)
                continue;
            QFile::rename(left.path(), home.path());
            ::close(lock.file);
        }
}

} // namespace mivanta
