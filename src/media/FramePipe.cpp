// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FramePipe.h"
#include <QFileInfo>
#include <QMutexLocker>
#include <cerrno>
#include <csignal>
#include <fcntl.h>
#include <poll.h>
#include <sys/statvfs.h>
#include <unistd.h>

namespace mivanta {

namespace {

constexpr int kPipeBytes = 1 << 20;
constexpr int kPollMs = 100;
constexpr int kLookMs = 1000;

} // namespace

FramePipe::FramePipe(int end, QString file, QObject* parent)
    : QThread(parent),
      m_end(end),
      m_file(std::move(file)) {
    setObjectName(QStringLiteral("frame-pipe"));
}

FramePipe::~FramePipe() {
    m_isGivenUp = true;
    finish();
    wait();
}

QImage FramePipe::blank(QSize size) {
    const QMutexLocker lock(&m_mutex);
    QImage spare = std::exchange(m_spare, {});
    return spare.size() == size ? spare : QImage(size, QImage::Format_RGB32);
}

void FramePipe::write(QImage picture) {
    const QMutexLocker lock(&m_mutex);
    if (!m_next.isNull())
        m_spare = std::move(m_next);
    m_next = std::move(picture);
    m_wakes.wakeOne();
}

void FramePipe::finish() {
    const QMutexLocker lock(&m_mutex);
    m_isFinished = true;
    m_wakes.wakeOne();
}

void FramePipe::run() {
    sigset_t broken; // a reader that dies is an error here, not the end of this program
    sigemptyset(&broken);
    sigaddset(&broken, SIGPIPE);
    pthread_sigmask(SIG_BLOCK, &broken, nullptr);
    ::fcntl(m_end, F_SETPIPE_SZ, kPipeBytes);
    ::fcntl(m_end, F_SETFL, O_NONBLOCK);
    while (!m_isGivenUp) {
        QImage picture;
        {
            QMutexLocker lock(&m_mutex);
            if (m_next.isNull() && !m_isFinished)
                m_wakes.wait(&m_mutex, kLookMs);
            if (m_next.isNull() && m_isFinished)
                break;
            picture = std::exchange(m_next, {});
        }
        if (!picture.isNull() && !writeAll(picture))
            break;
        if (!picture.isNull()) {
            const QMutexLocker lock(&m_mutex);
            m_spare = std::move(picture);
        }
        lookAtDisk();
    }
    ::close(m_end);
    lookAtDisk();
}

bool FramePipe::writeAll(const QImage& picture) const {
    const uchar* from = picture.constBits();
    for (qint64 left = picture.sizeInBytes(); left > 0;) {
        const ssize_t wrote = ::write(m_end, from, size_t(left));
        if (wrote > 0) {
            from += wrote;
            left -= wrote;
            continue;
        }
        if (wrote < 0 && errno != EAGAIN && errno != EINTR)
            return false;
        pollfd ready{m_end, POLLOUT, 0};
        ::poll(&ready, 1, kPollMs);
        if (m_isGivenUp)
            return false;
    }
    return true;
}

void FramePipe::lookAtDisk() {
    m_fileSize = QFileInfo(m_file).size();
    struct statvfs disk {};
    const QByteArray folder = QFileInfo(m_file).path().toLocal8Bit();
    m_freeSpace =
        ::statvfs(folder.constData(), &disk) == 0 ? qint64(disk.f_bavail) * qint64(disk.f_frsize) : -1;
}

} // namespace mivanta

#include "moc_FramePipe.cpp"
