// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QBuffer>
#include <QByteArray>
#include <cstdio>
#include <cstdlib>
#include <vector>

namespace mivanta::fuzz {

/// Something that reads what strangers wrote, and what has to be true of whatever it makes of it.
struct Reader {
    const char* name;
    void (*read)(const QByteArray& bytes); ///< ends the program when something is not true
    std::vector<QByteArray> (*seeds)();    ///< good input, to begin with
};

[[nodiscard]] const std::vector<Reader>& readers();
/// Null when there is none of that name.
[[nodiscard]] const Reader* readerNamed(const QByteArray& name);

/// The files of a folder of the checkout.
[[nodiscard]] std::vector<QByteArray> filesIn(const QString& folder);
/// Inputs that were found by fuzzing, and that a reader once failed on.
[[nodiscard]] std::vector<QByteArray> finds(const Reader& reader);

inline void require(bool isTrue, const char* what) {
    if (isTrue)
        return;
    std::fprintf(stderr, "not true: %s\n", what);
    std::abort();
}

/// Prints both when they are not equal.
inline void requireEqual(QByteArray one, QByteArray other, const char* what) {
    const bool areEqual = one == other;
    if (!areEqual)
        std::fprintf(stderr, "--- one\n%s\n--- other\n%s\n---\n", one.replace('\0', "<0>").constData(),
                     other.replace('\0', "<0>").constData());
    require(areEqual, what);
}

/// What is refused says what, and never what no person can read.
inline void requireReason(const Error& error) {
    require(!error.what.trimmed().isEmpty(), "an error says what is wrong");
}

/// Calls a reader of devices.
template <typename Read>
auto fromDevice(const QByteArray& bytes, Read read) {
    QBuffer buffer;
    buffer.setData(bytes);
    buffer.open(QIODevice::ReadOnly);
    return read(buffer);
}

std::vector<Reader> songReaders();
std::vector<Reader> scriptureReaders();
std::vector<Reader> planReaders();
std::vector<Reader> wireReaders();

} // namespace mivanta::fuzz
