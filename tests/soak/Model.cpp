// SPDX-License-Identifier: GPL-3.0-or-later
#include "soak/Model.h"
#include "formats/ServiceFile.h"
#include "formats/SongJson.h"
#include <QCryptographicHash>
#include <QJsonDocument>

namespace mivanta::soak {

using namespace Qt::StringLiterals;

namespace {

QByteArray hashOf(const QByteArray& bytes) {
    return QCryptographicHash::hash(bytes, QCryptographicHash::Sha1).toHex();
}

} // namespace

Diary::Diary(const QString& path) : m_file(path) {
    if (!m_file.open(QIODevice::WriteOnly | QIODevice::Append | QIODevice::Unbuffered))
        qFatal("no diary");
}

void Diary::write(const QByteArray& line) {
    if (m_file.write(line + '\n') != line.size() + 1)
        qFatal("the diary is full");
}

void Diary::begin(const QString& key, const QByteArray& value) {
    write("begin\t" + key.toUtf8() + '\t' + value);
}
void Diary::done(const QString& key) {
    write("done\t" + key.toUtf8());
}
void Diary::refused(const QString& key) {
    write("refused\t" + key.toUtf8());
}
void Diary::state(const QByteArray& value) {
    write("state\t" + value);
}
void Diary::kept() {
    write("kept");
}
void Diary::ready() {
    write("ready");
}

void Model::read(const QString& diary) {
    QFile file(diary);
    if (!file.open(QIODevice::ReadOnly))
        return;
    QByteArray now;
    std::map<QString, QByteArray> begun;
    for (const QByteArray& line : file.readAll().split('\n')) {
        const QList<QByteArray> words = line.split('\t');
        const QString key = QString::fromUtf8(words.value(1));
        if (words[0] == "begin") {
            begun[key] = words.value(2);
            things[key].begun.insert(words.value(2));
        } else if (words[0] == "done") {
            things[key].done = begun[key];
            things[key].begun.clear();
        } else if (words[0] == "refused") {
            things[key].begun.erase(begun[key]);
        } else if (words[0] == "state") {
            now = words.value(1);
            states.insert(now);
        } else if (words[0] == "kept") {
            states = {now};
        }
    }
}

bool Model::settle(const QString& key, const std::optional<QByteArray>& found) {
    Thing& thing = things[key];
    const bool isFine = found ? found == thing.done || thing.begun.contains(*found) : !thing.done;
    thing.done = found;
    thing.begun.clear();
    return isFine;
}

QByteArray valueOf(const Song& song) {
    return hashOf(QJsonDocument(songToJson(song)).toJson(QJsonDocument::Compact));
}

QByteArray valueOf(const Service& service) {
    return hashOf(serviceJsonBytes(service));
}

QString songKey(const SongId& id) {
    return u"song "_s + id.text();
}
QString binKey(const SongId& id) {
    return u"bin "_s + id.text();
}
QString fileKey(const QString& path) {
    return u"file "_s + path;
}

} // namespace mivanta::soak
