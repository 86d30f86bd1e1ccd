// SPDX-License-Identifier: GPL-3.0-or-later
#include "soak/Checks.h"
#include "soak/Work.h"
#include "store/Backups.h"
#include "store/Database.h"
#include "store/Journal.h"
#include "store/ServicePack.h"
#include <QDir>
#include <QFileInfo>
#include <QTemporaryDir>
#include <functional>

namespace mivanta::soak {

using namespace Qt::StringLiterals;

namespace {

struct Songs {
    std::map<QString, QByteArray> values; ///< by their keys: what they hold, and whether they are in the bin
    QStringList problems;
};

Songs songsOf(const QString& libraryFolder) {
    Songs found;
    const auto library = Library::open(libraryFolder);
    if (!library) {
        found.problems << u"the library cannot be opened: "_s + library.error().text();
        return found;
    }
    if (const auto whole = checkIntegrity((*library)->database()); !whole)
        found.problems << whole.error().text();
    const auto take = [&](const Result<std::vector<SongSummary>>& songs, bool isBin) {
        if (!songs) {
            found.problems << songs.error().text();
            return;
        }
        for (const SongSummary& each : *songs) {
            const auto song = (*library)->song(each.id);
            if (!song)
                found.problems << song.error().text();
            else
                found.values[songKey(each.id)] = valueOf(*song);
            found.values[binKey(each.id)] = isBin ? "in" : "out";
        }
    };
    take((*library)->songs(), false);
    take((*library)->bin(), true);
    return found;
}

std::optional<QByteArray> valueIn(const std::map<QString, QByteArray>& values, const QString& key) {
    const auto at = values.find(key);
    return at == values.end() ? std::nullopt : std::optional(at->second);
}

QByteArray bytesOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

void put(const QString& path, const QByteArray& bytes) {
    QFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size())
        qFatal("%s cannot be written", qPrintable(path));
}

/// A bit turned, bytes gone, or the end gone.
QByteArray damaged(QByteArray bytes, std::mt19937& random) {
    const auto at = qsizetype(random() % quint32(bytes.size()));
    switch (random() % 3) {
    case 0:
        bytes[at] = char(bytes[at] ^ (1 << (random() % 8)));
        break;
    case 1:
        for (qsizetype i = at; i < std::min(at + 512, bytes.size()); ++i)
            bytes[i] = 0;
        break;
    default:
        bytes.truncate(at);
    }
    return bytes;
}

QStringList believedOfServiceFile(const QString& path, const Model& model, std::mt19937& random) {
    const QByteArray whole = bytesOf(path);
    if (whole.isEmpty())
        return {};
    put(path, damaged(whole, random));
    const auto opened = openService(path);
    QTemporaryDir away;
    const auto unpacked = unpackService(path, away.filePath(u"unpacked"_s));
    const auto again = unpacked ? openService(*unpacked) : tl::unexpected(unpacked.error());
    put(path, whole);
    QStringList wrong;
    for (const auto* read : {&opened, &again})
        if (*read && valueOf((*read)->service) != model.things.at(fileKey(path)).done)
            wrong << path + u" was damaged and read as another service"_s;
    return wrong;
}

QStringList believedOfJournal(const QString& library, const Model& model, std::mt19937& random) {
    const QString path = library + u"/unsaved-service.json"_s;
    const QByteArray whole = bytesOf(path);
    if (whole.isEmpty())
        return {};
    put(path, whole.left(qsizetype(random() % quint32(whole.size()))));
    const auto entry = Journal(library).read();
    QStringList wrong;
    if (entry && *entry && !model.states.contains(valueOf((*entry)->service)))
        wrong << u"a journal that was cut off was taken for whole"_s;
    const QStringList aside = QDir(library).entryList({u"unsaved-service-*.json"_s});
    if (!entry && aside.size() != 1)
        wrong << u"a damaged journal was not put aside"_s;
    for (const QString& name : aside)
        QFile::remove(library + u'/' + name);
    put(path, whole);
    return wrong;
}

/// A page of nothing: what cannot be read has to be said, and the rest is as it was.
QStringList believedOfLibrary(const QString& library, const Model& model, std::mt19937& random) {
    constexpr qsizetype kPage = 4096;
    QTemporaryDir away;
    const QString copy = away.filePath(u"library"_s);
    QDir().mkpath(copy);
    for (const QString& name : {u"library.db"_s, u"library.db-wal"_s})
        QFile::copy(library + u'/' + name, copy + u'/' + name);
    { // what is in the log comes into the file
        const auto opened = Library::open(copy);
        if (!opened)
            return {u"a copy of the library cannot be opened: "_s + opened.error().text()};
    }
    QByteArray bytes = bytesOf(copy + u"/library.db"_s);
    const qsizetype pages = bytes.size() / kPage;
    if (pages < 3)
        return {};
    const qsizetype page = 1 + qsizetype(random() % quint32(pages - 1));
    bytes.replace(page * kPage, kPage, QByteArray(kPage, '\0'));
    put(copy + u"/library.db"_s, bytes);
    const Songs found = songsOf(copy);
    QStringList wrong;
    for (const auto& [key, value] : found.values)
        if (value != model.things.at(key).done)
            wrong << key + u" was read from a damaged library as something else"_s;
    if (found.problems.isEmpty())
        for (const auto& [key, thing] : model.things)
            if (!key.startsWith(u"file "_s) && valueIn(found.values, key) != thing.done)
                wrong << key + u" is gone from a damaged library without a word"_s;
    return wrong;
}

} // namespace

QStringList wrongInLibrary(const QString& folder, Model& model) {
    Songs found = songsOf(libraryOf(folder));
    for (const auto& [key, value] : found.values)
        if (key.startsWith(u"bin "_s))
            model.things[key].begun.insert("out"); // as songs are that nobody ever put there
    for (auto& [key, thing] : model.things)
        if (!key.startsWith(u"file "_s) && !model.settle(key, valueIn(found.values, key)))
            found.problems << key + u" is not as it was saved"_s;
    for (const auto& [key, value] : found.values)
        if (!model.things.contains(key))
            found.problems << key + u" was never saved"_s;
    return found.problems;
}

QStringList wrongInFiles(const QString& folder, Model& model) {
    QStringList wrong;
    for (const QString& path : serviceFiles(folder)) {
        const auto opened = openService(path);
        if (!opened && QFile::exists(path))
            wrong << opened.error().text();
        const auto found = opened ? std::optional(valueOf(opened->service)) : std::nullopt;
        if (!model.settle(fileKey(path), found))
            wrong << path + u" is not as it was saved"_s;
    }
    return wrong;
}

QStringList wrongInJournal(const QString& folder, const Model& model) {
    const auto entry = Journal(libraryOf(folder)).read();
    if (!entry)
        return {entry.error().text()};
    if (!*entry)
        return model.states.empty() ? QStringList() : QStringList{u"the unsaved work is gone"_s};
    if (!model.states.contains(valueOf((*entry)->service)))
        return {u"the unsaved work is not what it was"_s};
    return {};
}

QStringList believedOfDamage(const QString& folder, Model& model, std::mt19937& random) {
    switch (random() % 3) {
    case 0:
        return believedOfServiceFile(serviceFiles(folder)[qsizetype(random() % 3)], model, random);
    case 1:
        return believedOfJournal(libraryOf(folder), model, random);
    default:
        return believedOfLibrary(libraryOf(folder), model, random);
    }
}

} // namespace mivanta::soak
