// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/FrameBoard.h"
#include "core/base/Said.h"
#include <atomic>
#include <cstring>
#include <fcntl.h>

namespace mivanta {

namespace {

struct SlotHeader {
    std::atomic<quint32> sequence;
    quint32 width;
    quint32 height;
    quint32 unused;
};
static_assert(std::atomic<quint32>::is_always_lock_free, "shared between processes");

constexpr qint64 kSlotBytes =
    qint64(sizeof(SlotHeader)) + qint64(FrameBoard::kWidth) * FrameBoard::kHeight * 4;
constexpr int kReadTries = 50;

SlotHeader* header(uchar* memory, int slot) {
    return reinterpret_cast<SlotHeader*>(memory + slot * kSlotBytes);
}
uchar* pixels(uchar* memory, int slot) {
    return memory + slot * kSlotBytes + sizeof(SlotHeader);
}

} // namespace

Result<std::unique_ptr<FrameBoard>> FrameBoard::create(const QString& path) {
    std::unique_ptr<FrameBoard> board(new FrameBoard(path));
    QFile::remove(path); // readers of the old file keep it until they let go
    // Its room is had before it is mapped: a page that finds none would end the player with a signal.
    QString problem;
    if (!board->m_file.open(QIODevice::ReadWrite))
        problem = board->m_file.errorString();
    else if (::posix_fallocate(board->m_file.handle(), 0, kSlotBytes * kSlots) != 0)
        problem = Said::tr("there is no room");
    else if (!board->map())
        problem = board->m_file.errorString();
    else
        return board;
    QFile::remove(path);
    return failure(Said::tr("the small pictures could not be shared: %1").arg(problem), path);
}

Result<std::unique_ptr<FrameBoard>> FrameBoard::open(const QString& path) {
    std::unique_ptr<FrameBoard> board(new FrameBoard(path));
    if (!board->m_file.open(QIODevice::ReadWrite) || board->m_file.size() != kSlotBytes * kSlots ||
        !board->map())
        return failure(Said::tr("the small pictures could not be read: %1").arg(board->m_file.errorString()),
                       path);
    return board;
}

bool FrameBoard::map() {
    m_memory = m_file.map(0, kSlotBytes * kSlots);
    return m_memory != nullptr;
}

bool FrameBoard::write(int slot, QSize size, const uchar* bits, qsizetype bytesPerLine) {
    if (slot < 0 || slot >= kSlots || size.isEmpty() || size.width() > kWidth || size.height() > kHeight)
        return false;
    SlotHeader* head = header(m_memory, slot);
    head->sequence.fetch_add(1, std::memory_order_acq_rel);
    std::atomic_thread_fence(std::memory_order_seq_cst);
    head->width = quint32(size.width());
    head->height = quint32(size.height());
    for (int y = 0; y < size.height(); ++y)
        std::memcpy(pixels(m_memory, slot) + qsizetype(y) * size.width() * 4, bits + y * bytesPerLine,
                    size_t(size.width()) * 4);
    head->sequence.fetch_add(1, std::memory_order_release);
    return true;
}

FrameBoard::Picture FrameBoard::read(int slot) const {
    if (slot < 0 || slot >= kSlots)
        return {};
    const SlotHeader* head = header(m_memory, slot);
    for (int i = 0; i < kReadTries; ++i) {
        const quint32 before = head->sequence.load(std::memory_order_acquire);
        if (before == 0)
            return {};
        const QSize size(int(head->width), int(head->height));
        if (before % 2 != 0 || size.width() < 1 || size.height() < 1 || size.width() > kWidth ||
            size.height() > kHeight)
            continue;
        Picture picture{size, QByteArray(reinterpret_cast<const char*>(pixels(m_memory, slot)),
                                         qsizetype(size.width()) * size.height() * 4)};
        std::atomic_thread_fence(std::memory_order_acquire);
        if (head->sequence.load(std::memory_order_relaxed) == before)
            return picture;
    }
    return {};
}

} // namespace mivanta
