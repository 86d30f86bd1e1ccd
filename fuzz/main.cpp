// SPDX-License-Identifier: GPL-3.0-or-later
// mivanta-fuzz --reader=NAME [libFuzzer's options] FOLDERS
// mivanta-fuzz --seeds=NAME FOLDER     writes good input there
// mivanta-fuzz --readers               prints their names
#include "Reader.h"
#include <QDir>
#include <QLoggingCategory>
#include <QRegularExpression>
#include <QSet>
#include <cstring>

namespace {

using namespace mivanta::fuzz;

const Reader* chosen = nullptr;

void write(const QString& path, const QByteArray& bytes) {
    QFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size())
        std::exit(1);
}

/// Good input as files, and the words that it is made of, as libFuzzer wants them.
void writeSeeds(const Reader& reader, const QDir& folder) {
    constexpr qsizetype kMostWords = 400;
    constexpr qsizetype kLongestSeed = 3000;
    folder.mkpath(QStringLiteral("."));
    static const QRegularExpression word(QStringLiteral("[\\\\{<]?[A-Za-z][A-Za-z0-9_:.-]{1,22}"));
    QSet<QString> words;
    int number = 0;
    for (const QByteArray& seed : reader.seeds()) {
        if (seed.size() > kLongestSeed)
            continue; // takes so long that little is tried
        write(folder.filePath(QStringLiteral("seed-%1").arg(++number)), seed);
        auto at = word.globalMatch(QString::fromLatin1(seed));
        while (at.hasNext() && words.size() < kMostWords)
            words.insert(at.next().captured());
    }
    QByteArray dictionary;
    for (QString each : words)
        dictionary += '"' + each.replace(u'\\', QStringLiteral("\\\\")).toLatin1() + "\"\n";
    write(folder.path() + QStringLiteral(".dict"), dictionary);
}

[[noreturn]] void printReaders(int result) {
    for (const Reader& reader : readers())
        std::printf("%s\n", reader.name);
    std::exit(result);
}

const Reader& mustBe(const char* name) {
    if (const Reader* reader = readerNamed(name))
        return *reader;
    std::fprintf(stderr, "there is no reader of that name; these are:\n");
    printReaders(2);
}

} // namespace

extern "C" int LLVMFuzzerInitialize(int* count, char*** arguments) {
    QLoggingCategory::setFilterRules(QStringLiteral("*=false"));
    constexpr const char* kReader = "--reader=";
    constexpr const char* kSeeds = "--seeds=";
    for (int i = 1; i < *count; ++i) {
        const char* argument = (*arguments)[i];
        if (std::strcmp(argument, "--readers") == 0)
            printReaders(0);
        if (std::strncmp(argument, kReader, std::strlen(kReader)) == 0)
            chosen = &mustBe(argument + std::strlen(kReader));
        if (std::strncmp(argument, kSeeds, std::strlen(kSeeds)) == 0 && i + 1 < *count) {
            writeSeeds(mustBe(argument + std::strlen(kSeeds)),
                       QDir(QString::fromLocal8Bit((*arguments)[i + 1])));
            std::exit(0);
        }
    }
    if (!chosen)
        mustBe("");
    return 0;
}

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    chosen->read(QByteArray(reinterpret_cast<const char*>(data), qsizetype(size)));
    return 0;
}
