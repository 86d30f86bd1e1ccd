// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reader.h"
#include <QDir>
#include <QFile>
#include <gtest/gtest.h>
#include <random>

namespace mivanta::fuzz {
namespace {

class Readers : public ::testing::TestWithParam<Reader> {};

/// Some of what was there, changed as damage and strangers change it.
QByteArray changed(const std::vector<QByteArray>& from, std::mt19937& random) {
    const auto below = [&](qsizetype most) {
        return qsizetype(random() % std::max<quint64>(quint64(most), 1));
    };
    static const QByteArray signs("\\[]{}()<>\"':;,*_#-\n\t |\0\377", 26);
    QByteArray bytes = from[size_t(below(qsizetype(from.size())))];
    for (qsizetype times = 1 + below(6); times > 0; --times) {
        const qsizetype at = below(bytes.size());
        switch (below(6)) {
        case 0:
            bytes[at] = bytes.isEmpty() ? '\0' : char(bytes[at] ^ (1 << below(8)));
            break;
        case 1:
            bytes.remove(at, below(40));
            break;
        case 2:
            bytes.insert(at, bytes.mid(below(bytes.size()), below(60)));
            break;
        case 3:
            bytes.truncate(at);
            break;
        case 4: {
            const QByteArray& other = from[size_t(below(qsizetype(from.size())))];
            bytes.insert(at, other.mid(below(other.size()), below(200)));
            break;
        }
        default:
            bytes.insert(at, QByteArray(1 + below(9), signs[below(signs.size())]));
        }
        if (bytes.isEmpty())
            bytes = "x";
    }
    return bytes;
}

TEST_P(Readers, TakeGoodInputWhatOnceWentWrongAndWhatIsDamaged) {
    const Reader& reader = GetParam();
    auto all = reader.seeds();
    ASSERT_FALSE(all.empty());
    for (const QByteArray& seed : all)
        reader.read(seed);
    for (const QByteArray& find : finds(reader)) {
        reader.read(find);
        all.push_back(find);
    }
    constexpr int kTimes = 400;
    std::mt19937 random(1);
    for (int i = 0; i < kTimes; ++i) {
        const QByteArray input = changed(all, random);
        QFile last(QDir::tempPath() + QStringLiteral("/mivanta-fuzz-last-") +
                   QString::fromLatin1(reader.name));
        ASSERT_TRUE(
            last.open(QIODevice::WriteOnly)); // what is not true ends the test's program: this is left
        last.write(input);
        last.close();
        reader.read(input);
        last.remove();
    }
}

INSTANTIATE_TEST_SUITE_P(All, Readers, ::testing::ValuesIn(readers()),
                         [](const auto& info) { return std::string(info.param.name); });

} // namespace
} // namespace mivanta::fuzz
