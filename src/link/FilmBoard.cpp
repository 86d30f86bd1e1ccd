// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/FilmBoard.h"
#include "core/base/Said.h"
#include <array>
#include <atomic>
#include <cstring>
#include <fcntl.h>
#include <sys/mman.h>
#include <sys/stat.h>
#include <unistd.h>

namespace mivanta {

namespace {

constexpr size_t kHeaderBytes = 4096; // so that pictures begin on a page
constexpr quint32 kNone = FilmBoard::kSlots;

Error noMemory() {
    return {Said::tr("there is no memory for the pictures of a film"), {}, Said::tr("Close other programs.")};
}

} // namespace

struct FilmBoard::Header {
    struct Slot {
        qint32 width;
        qint32 height;
        quint32 hasAlpha;
        quint64 number;
    };
    std::atomic<quint32> newest; ///< kNone = there is none
    std::atomic<quint32> held;   ///< by the reader
    quint64 published;
    std::array<Slot, kSlots> all;
};

Result<std::unique_ptr<FilmBoard>> FilmBoard::mapped(int descriptor, size_t bytes) {
    void* memory = ::mmap(nullptr, bytes, PROT_READ | PROT_WRITE, MAP_SHARED, descriptor, 0);
    if (memory == MAP_FAILED) {
        ::close(descriptor);
        return tl::unexpected(noMemory());
    }
    return std::unique_ptr<FilmBoard>(new FilmBoard(descriptor, bytes, static_cast<uchar*>(memory)));
}

Result<std::unique_ptr<FilmBoard>> FilmBoard::create(QSize largest) {
    static_assert(sizeof(Header) <= kHeaderBytes && std::atomic<quint32>::is_always_lock_free);
    const QSize size = largest.expandedTo({16, 16}).boundedTo({kLongestSide, kLongestSide});
    const size_t page = kHeaderBytes;
    const size_t slot = (size_t(bytesPerLine(size.width())) * size_t(size.height()) + page - 1) / page * page;
    const size_t bytes = kHeaderBytes + slot * kSlots;
    const int descriptor = ::memfd_create("film", MFD_CLOEXEC | MFD_ALLOW_SEALING);
    if (descriptor < 0)
        return tl::unexpected(noMemory());
    // Nobody can make it smaller: a page that is not there would end the reader with a signal. Pages come as
    // they are first written, by the writer: memory without a file has no limit of its own that could be met
    // later.
    if (::ftruncate(descriptor, off_t(bytes)) != 0 ||
        ::fcntl(descriptor, F_ADD_SEALS, F_SEAL_SHRINK | F_SEAL_GROW | F_SEAL_SEAL) != 0) {
        ::close(descriptor);
        return tl::unexpected(noMemory());
    }
    auto board = mapped(descriptor, bytes);
    if (board) {
        (*board)->header().newest = kNone;
        (*board)->header().held = kNone;
    }
    return board;
}

Result<std::unique_ptr<FilmBoard>> FilmBoard::open(int descriptor) {
    struct stat status {};
    if (::fstat(descriptor, &status) != 0 || status.st_size <= off_t(kHeaderBytes))
        return failure(Said::tr("this is no memory for pictures"));
    return mapped(descriptor, size_t(status.st_size));
}

FilmBoard::~FilmBoard() {
    ::munmap(m_memory, m_bytes);
    ::close(m_descriptor);
}

FilmBoard::Header& FilmBoard::header() const {
    return *reinterpret_cast<Header*>(m_memory);
}

size_t FilmBoard::slotBytes() const {
    return (m_bytes - kHeaderBytes) / kSlots;
}

uchar* FilmBoard::pixels(quint32 slot) const {
    return m_memory + kHeaderBytes + size_t(slot) * slotBytes();
}

bool FilmBoard::hasRoomFor(QSize size) const {
    return !size.isEmpty() && size.width() <= kLongestSide && size.height() <= kLongestSide &&
           size_t(bytesPerLine(size.width())) * size_t(size.height()) <= slotBytes();
}

uchar* FilmBoard::begin(QSize size, Alpha alpha) {
    Header& shared = header();
    // What is newest may be taken hold of at any moment, what is held may still be painted.
    const quint32 newest = shared.newest;
    const quint32 held = shared.held;
    m_writing = 0;
    while (m_writing == newest || m_writing == held)
        ++m_writing;
    Header::Slot& slot = shared.all[m_writing];
    slot.width = size.width();
    slot.height = size.height();
    slot.hasAlpha = alpha == Alpha::Straight ? 1 : 0;
    return pixels(m_writing);
}

void FilmBoard::publish() {
    Header& shared = header();
    shared.all[m_writing].number = ++shared.published;
    shared.newest = m_writing;
}

QImage FilmBoard::imageOf(quint32 slot) const {
    const Header::Slot said = header().all[slot];
    const QSize size(said.width, said.height);
    if (!hasRoomFor(size))
        return {};
    return {pixels(slot), size.width(), size.height(), bytesPerLine(size.width()),
            said.hasAlpha ? QImage::Format_ARGB32 : QImage::Format_RGB32};
}

QImage FilmBoard::lastWritten() const {
    const quint32 newest = header().newest;
    return newest < kSlots ? imageOf(newest) : QImage();
}

FilmPicture FilmBoard::newest() {
    Header& shared = header();
    quint32 newest = shared.newest;
    // Held before it is sure to be the newest still: from then on it is not written to.
    for (int i = 0; i < 100; ++i) {
        shared.held = newest;
        const quint32 now = shared.newest;
        if (now == newest)
            break;
        newest = now;
    }
    if (newest >= kSlots)
        return {};
    if (const QImage image = imageOf(newest); !image.isNull()) // else the picture before stays
        m_held = {image, shared.all[newest].number};
    return m_held;
}

} // namespace mivanta
