// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>
#include <QMutex>
#include <QString>
#include <QThread>
#include <QWaitCondition>
#include <atomic>

namespace mivanta {

/// Writes pictures into a pipe, on a thread of its own: only the newest that waits, so that a slow reader
/// costs pictures and neither time nor memory. Looks after the file that comes of it, too, whose disk may be
/// slow to answer. Used on the thread that made it.
class FramePipe : public QThread {
    Q_OBJECT
public:
    /// `end`: what is written into, closed by the thread when it is through; `file`: what grows from it.
    FramePipe(int end, QString file, QObject* parent = nullptr);
    /// Ends it; a picture on its way may be cut off.
    ~FramePipe() override;

    /// An image of this size and format to draw the next picture on; its pixels are of an earlier one.
    [[nodiscard]] QImage blank(QSize size);
    /// The picture to write next, as it is now (32 bits); it takes the place of one that still waits.
    void write(QImage picture);
    /// No more pictures come. The thread ends by itself once the last one is written.
    void finish();

    /// Bytes of the file, and those that are free on its disk, as of about a second ago; -1 = not known yet.
    [[nodiscard]] qint64 fileSize() const { return m_fileSize; }
    [[nodiscard]] qint64 freeSpace() const { return m_freeSpace; }

protected:
    void run() override;

private:
    [[nodiscard]] bool writeAll(const QImage& picture) const;
    void lookAtDisk();

    const int m_end;
    const QString m_file;
    QMutex m_mutex;
    QWaitCondition m_wakes;
    QImage m_next;  ///< waits to be written
    QImage m_spare; ///< was written, and can be drawn on
    bool m_isFinished = false;
    std::atomic<bool> m_isGivenUp = false;
    std::atomic<qint64> m_fileSize = -1;
    std::atomic<qint64> m_freeSpace = -1;
};

} // namespace mivanta
