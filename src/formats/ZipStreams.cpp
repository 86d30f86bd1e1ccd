// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ZipStreams.h"
#include <QByteArray>
#include <QFile>
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <future>
#include <sys/stat.h>
#include <unistd.h>
#include <utility>
#include <zip.h>

namespace mivanta {

namespace {

constexpr qsizetype kPiece = 1 << 20;

/// What both have in common: the file and the last error, as libzip asks for it.
class Stream {
public:
    explicit Stream(const QString& path) : m_path(QFile::encodeName(path)) { zip_error_init(&m_error); }
    ~Stream() {
        if (m_file >= 0)
            ::close(m_file);
        zip_error_fini(&m_error);
    }
    Stream(const Stream&) = delete;
    Stream& operator=(const Stream&) = delete;

protected:
    zip_int64_t fail(int what) {
        zip_error_set(&m_error, what, errno);
        return -1;
    }
    bool openFile(int flags) {
        m_file = ::open(m_path.constData(), flags | O_CLOEXEC, 0666);
        return m_file >= 0;
    }
    bool closeFile() {
        const int file = std::exchange(m_file, -1);
        return file < 0 || ::close(file) == 0;
    }

    QByteArray m_path;
    int m_file = -1;
    zip_error_t m_error;
};

class Input : public Stream {
public:
    using Stream::Stream;
    ~Input() { stop(); }

    zip_int64_t obey(void* data, zip_uint64_t length, zip_source_cmd_t command) {
        switch (command) {
        case ZIP_SOURCE_OPEN:
            m_piece.resize(0);
            m_at = 0;
            if (!openFile(O_RDONLY))
                return fail(ZIP_ER_OPEN);
            readAhead({});
            return 0;
        case ZIP_SOURCE_READ:
            return read(static_cast<char*>(data), qsizetype(length));
        case ZIP_SOURCE_CLOSE:
            stop();
            return 0;
        case ZIP_SOURCE_STAT:
            return tellSize(static_cast<zip_stat_t*>(data));
        case ZIP_SOURCE_ERROR:
            return zip_error_to_data(&m_error, data, length);
        case ZIP_SOURCE_FREE:
            delete this;
            return 0;
        case ZIP_SOURCE_SUPPORTS:
            return zip_source_make_command_bitmap(ZIP_SOURCE_OPEN, ZIP_SOURCE_READ, ZIP_SOURCE_CLOSE,
                                                  ZIP_SOURCE_STAT, ZIP_SOURCE_ERROR, ZIP_SOURCE_FREE, -1);
        default:
            errno = 0;
            return fail(ZIP_ER_OPNOTSUPP);
        }
    }

private:
    void stop() {
        if (m_next.valid())
            m_next.wait();
        m_next = {};
        closeFile();
    }

    struct Piece {
        QByteArray bytes;
        int error = 0;
    };

    /// The next piece comes while libzip works on this one.
    void readAhead(QByteArray room) {
        m_next = std::async(std::launch::async, [file = m_file, room = std::move(room)]() mutable {
            room.resize(kPiece);
            ssize_t got = 0;
            do {
                got = ::read(file, room.data(), size_t(kPiece));
            } while (got < 0 && errno == EINTR);
            const int error = got < 0 ? errno : 0;
            room.resize(std::max<qsizetype>(0, got));
            return Piece{std::move(room), error};
        });
    }

    zip_int64_t read(char* to, qsizetype length) {
        if (m_at == m_piece.size() && m_next.valid()) {
            Piece next = m_next.get();
            errno = next.error;
            if (next.error != 0)
                return fail(ZIP_ER_READ);
            std::swap(m_piece, next.bytes);
            m_at = 0;
            if (!m_piece.isEmpty())
                readAhead(std::move(next.bytes));
        }
        const qsizetype count = std::min(length, m_piece.size() - m_at);
        std::memcpy(to, m_piece.constData() + m_at, size_t(count));
        m_at += count;
        return count;
    }

    zip_int64_t tellSize(zip_stat_t* into) {
        struct stat about {};
        if (::stat(m_path.constData(), &about) != 0)
            return fail(ZIP_ER_READ);
        zip_stat_init(into);
        into->size = zip_uint64_t(about.st_size);
        into->mtime = about.st_mtime;
        into->valid |= ZIP_STAT_SIZE | ZIP_STAT_MTIME;
        return sizeof(*into);
    }

    QByteArray m_piece;
    qsizetype m_at = 0;
    std::future<Piece> m_next;
};

class Target : public Stream {
public:
    using Stream::Stream;
    ~Target() { settle(); }

    zip_int64_t obey(void* data, zip_uint64_t length, zip_source_cmd_t command) {
        switch (command) {
        case ZIP_SOURCE_STAT: // it is made new
            errno = ENOENT;
            return fail(ZIP_ER_READ);
        case ZIP_SOURCE_BEGIN_WRITE:
            return openFile(O_WRONLY | O_CREAT | O_EXCL) ? 0 : fail(ZIP_ER_TMPOPEN);
        case ZIP_SOURCE_WRITE:
            m_piece.append(static_cast<const char*>(data), qsizetype(length));
            return m_piece.size() < kPiece || flush() ? zip_int64_t(length) : fail(ZIP_ER_WRITE);
        case ZIP_SOURCE_SEEK_WRITE:
            return seek(data, length);
        case ZIP_SOURCE_TELL_WRITE:
            return m_written + m_piece.size();
        case ZIP_SOURCE_COMMIT_WRITE:
            return flush() && settle() && ::fsync(m_file) == 0 && closeFile() ? 0 : fail(ZIP_ER_WRITE);
        case ZIP_SOURCE_ROLLBACK_WRITE:
        case ZIP_SOURCE_REMOVE:
            settle();
            closeFile();
            ::unlink(m_path.constData());
            return 0;
        case ZIP_SOURCE_ERROR:
            return zip_error_to_data(&m_error, data, length);
        case ZIP_SOURCE_FREE:
            delete this;
            return 0;
        case ZIP_SOURCE_SUPPORTS:
            return zip_source_make_command_bitmap(
                ZIP_SOURCE_OPEN, ZIP_SOURCE_READ, ZIP_SOURCE_CLOSE, ZIP_SOURCE_STAT, ZIP_SOURCE_ERROR,
                ZIP_SOURCE_FREE, ZIP_SOURCE_SEEK, ZIP_SOURCE_TELL, ZIP_SOURCE_SUPPORTS, ZIP_SOURCE_REMOVE,
                ZIP_SOURCE_BEGIN_WRITE, ZIP_SOURCE_COMMIT_WRITE, ZIP_SOURCE_ROLLBACK_WRITE,
                ZIP_SOURCE_SEEK_WRITE, ZIP_SOURCE_TELL_WRITE, ZIP_SOURCE_WRITE, -1);
        default: // there is nothing to read
            errno = 0;
            return fail(ZIP_ER_OPNOTSUPP);
        }
    }

private:
    /// Has the piece written while libzip makes the next one; false when the one before could not be.
    bool flush() {
        if (!settle())
            return false;
        m_written += m_piece.size();
        m_length = std::max(m_length, m_written);
        m_writing = std::async(std::launch::async, [file = m_file, piece = std::exchange(m_piece, {})] {
            const char* from = piece.constData();
            qsizetype left = piece.size();
            while (left > 0) {
                const ssize_t done = ::write(file, from, size_t(left));
                if (done < 0 && errno == EINTR)
                    continue;
                if (done <= 0)
                    return done < 0 ? errno : EIO;
                from += done;
                left -= done;
            }
            return 0;
        });
        return true;
    }

    /// What is being written is written.
    bool settle() {
        const int error = m_writing.valid() ? m_writing.get() : 0;
        // On its way to the disk while more comes.
        if (error == 0 && m_file >= 0)
            ::sync_file_range(m_file, 0, 0, SYNC_FILE_RANGE_WRITE);
        errno = error;
        return error == 0;
    }

    zip_int64_t seek(void* data, zip_uint64_t length) {
        if (!flush() || !settle())
            return fail(ZIP_ER_WRITE);
        const zip_int64_t to = zip_source_seek_compute_offset(zip_uint64_t(m_written), zip_uint64_t(m_length),
                                                              data, length, &m_error);
        if (to < 0 || ::lseek(m_file, to, SEEK_SET) != to)
            return to < 0 ? -1 : fail(ZIP_ER_SEEK);
        m_written = to;
        return 0;
    }

    QByteArray m_piece;
    qint64 m_written = 0;       ///< where the next piece goes
    qint64 m_length = 0;        ///< of the file so far
    std::future<int> m_writing; ///< 0, or what went wrong
};

template <typename Kind>
zip_int64_t obey(void* stream, void* data, zip_uint64_t length, zip_source_cmd_t command) {
    return static_cast<Kind*>(stream)->obey(data, length, command);
}

} // namespace

zip_source* zipSourceOf(zip* archive, const QString& path) {
    auto* input = new Input(path);
    zip_source* source = zip_source_function(archive, obey<Input>, input);
    if (!source)
        delete input;
    return source;
}

zip_source* zipTargetOf(const QString& path) {
    auto* target = new Target(path);
    zip_source* source = zip_source_function_create(obey<Target>, target, nullptr);
    if (!source)
        delete target;
    return source;
}

} // namespace mivanta
