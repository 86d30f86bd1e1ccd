// SPDX-License-Identifier: GPL-3.0-or-later
#include "FailingCalls.h"
#include <atomic>
#include <cerrno>
#include <cstdarg>
#include <cstdio>
#include <dlfcn.h>
#include <fcntl.h>
#include <sys/uio.h>
#include <unistd.h>

namespace {

constexpr int kIdle = -1;

// Of every thread: files are written on others, too, one call after the other.
std::atomic<int> callsLeft{kIdle}; ///< before the one that fails
std::atomic<int> errorThen{0};
std::atomic<bool> hasFailedOnce{false};

bool fails() {
    int left = callsLeft;
    while (left != kIdle && !callsLeft.compare_exchange_weak(left, left > 0 ? left - 1 : kIdle)) {
    }
    if (left == kIdle || left > 0)
        return false;
    hasFailedOnce = true;
    errno = errorThen;
    return true;
}

/// The C library's own.
template <typename Function>
Function* real(const char* name) {
    return reinterpret_cast<Function*>(dlsym(RTLD_NEXT, name));
}

bool isWriting(int flags) {
    return (flags & O_ACCMODE) != O_RDONLY;
}

mode_t modeFrom(int flags, va_list arguments) {
    return (flags & O_CREAT) != 0 || (flags & O_TMPFILE) == O_TMPFILE ? mode_t(va_arg(arguments, int)) : 0;
}

} // namespace

#define MIVANTA_WRAPPED_OPEN(NAME)                                                                           \
    int NAME(const char* path, int flags, ...) {                                                             \
        va_list arguments;                                                                                   \
        va_start(arguments, flags);                                                                          \
        const mode_t mode = modeFrom(flags, arguments);                                                      \
        va_end(arguments);                                                                                   \
        static auto* const next = real<int(const char*, int, ...)>(#NAME);                                   \
        return isWriting(flags) && fails() ? -1 : next(path, flags, mode);                                   \
    }

extern "C" {

MIVANTA_WRAPPED_OPEN(open)
MIVANTA_WRAPPED_OPEN(open64)

int openat(int folder, const char* path, int flags, ...) {
    va_list arguments;
    va_start(arguments, flags);
    const mode_t mode = modeFrom(flags, arguments);
    va_end(arguments);
    static auto* const next = real<int(int, const char*, int, ...)>("openat");
    return isWriting(flags) && fails() ? -1 : next(folder, path, flags, mode);
}

ssize_t write(int file, const void* bytes, size_t count) {
    static auto* const next = real<ssize_t(int, const void*, size_t)>("write");
    return fails() ? -1 : next(file, bytes, count);
}

ssize_t pwrite64(int file, const void* bytes, size_t count, off64_t at) {
    static auto* const next = real<ssize_t(int, const void*, size_t, off64_t)>("pwrite64");
    return fails() ? -1 : next(file, bytes, count, at);
}

int fsync(int file) {
    static auto* const next = real<int(int)>("fsync");
    return fails() ? -1 : next(file);
}

int fdatasync(int file) {
    static auto* const next = real<int(int)>("fdatasync");
    return fails() ? -1 : next(file);
}

int ftruncate64(int file, off64_t size) noexcept {
    static auto* const next = real<int(int, off64_t)>("ftruncate64");
    return fails() ? -1 : next(file, size);
}

int rename(const char* from, const char* to) noexcept {
    static auto* const next = real<int(const char*, const char*)>("rename");
    return fails() ? -1 : next(from, to);
}

int renameat2(int fromFolder, const char* from, int toFolder, const char* to, unsigned flags) noexcept {
    static auto* const next = real<int(int, const char*, int, const char*, unsigned)>("renameat2");
    return fails() ? -1 : next(fromFolder, from, toFolder, to, flags);
}

int linkat(int fromFolder, const char* from, int toFolder, const char* to, int flags) noexcept {
    static auto* const next = real<int(int, const char*, int, const char*, int)>("linkat");
    return fails() ? -1 : next(fromFolder, from, toFolder, to, flags);
}

} // extern "C"

namespace mivanta {

FailingCall::FailingCall(int before, int error) {
    hasFailedOnce = false;
    errorThen = error;
    callsLeft = before;
}

FailingCall::~FailingCall() {
    callsLeft = kIdle;
}

bool FailingCall::hasFailed() const {
    return hasFailedOnce;
}

} // namespace mivanta
