// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reader.h"
#include <QDir>
#include <algorithm>
#include <iterator>

namespace mivanta::fuzz {

const std::vector<Reader>& readers() {
    static const std::vector<Reader> all = [] {
        std::vector<Reader> made;
        for (const auto& some : {songReaders(), scriptureReaders(), planReaders(), wireReaders()})
            std::copy(some.begin(), some.end(), std::back_inserter(made));
        return made;
    }();
    return all;
}

const Reader* readerNamed(const QByteArray& name) {
    const auto found =
        std::find_if(readers().begin(), readers().end(), [&](const Reader& r) { return name == r.name; });
    return found == readers().end() ? nullptr : &*found;
}

std::vector<QByteArray> filesIn(const QString& folder) {
    std::vector<QByteArray> all;
    const QDir dir(QStringLiteral(MIVANTA_SOURCE_DIR "/") + folder);
    for (const QString& name : dir.entryList(QDir::Files, QDir::Name)) {
        QFile file(dir.filePath(name));
        if (file.open(QIODevice::ReadOnly))
            all.push_back(file.readAll());
    }
    return all;
}

std::vector<QByteArray> finds(const Reader& reader) {
    return filesIn(QStringLiteral("fuzz/finds/") + QString::fromLatin1(reader.name));
}

} // namespace mivanta::fuzz
