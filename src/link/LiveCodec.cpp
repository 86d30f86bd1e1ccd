// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/LiveCodec.h"
#include "core/base/Cases.h"
#include <QIODevice>

namespace mivanta {

namespace {

void writeSource(QDataStream& stream, const LiveSource& source) {
    std::visit(Cases{
                   [&](const CameraSource& it) { stream << it.device << it.size << qint32(it.rate); },
                   [&](const MonitorSource& it) { stream << it.monitor << it.hasPointer; },
                   [&](const WindowSource& it) { stream << it.program << it.title; },
                   [&](const AddressSource& it) { stream << it.address; },
                   [&](const FileSource& it) { stream << it.path; },
                   [&](const OutputSource& it) { stream << it.output; },
               },
               source);
}

void readSource(QDataStream& stream, LiveSource& source) {
    std::visit(Cases{
                   [&](CameraSource& it) { stream >> it.device >> it.size >> it.rate; },
                   [&](MonitorSource& it) { stream >> it.monitor >> it.hasPointer; },
                   [&](WindowSource& it) { stream >> it.program >> it.title; },
                   [&](AddressSource& it) { stream >> it.address; },
                   [&](FileSource& it) { stream >> it.path; },
                   [&](OutputSource& it) { stream >> it.output; },
               },
               source);
}

} // namespace

QDataStream& operator<<(QDataStream& stream, const LiveInput& input) {
    stream << input.id << input.name << quint8(input.source.index());
    writeSource(stream, input.source);
    return stream << input.part << qint32(input.turned) << input.isMirrored << qint32(input.delay)
                  << input.isHeard << qint32(input.volume) << input.card << input.isKeptOpen;
}

QDataStream& operator>>(QDataStream& stream, LiveInput& input) {
    quint8 kind = 0;
    stream >> input.id >> input.name >> kind;
    const std::vector<LiveKind> kinds = allLiveKinds();
    if (kind >= kinds.size()) {
        stream.setStatus(QDataStream::ReadCorruptData);
        return stream;
    }
    input.source = emptySource(kinds[kind]);
    readSource(stream, input.source);
    stream >> input.part >> input.turned >> input.isMirrored >> input.delay >> input.isHeard >>
        input.volume >> input.card >> input.isKeptOpen;
    if (!isInRange(input))
        stream.setStatus(QDataStream::ReadCorruptData);
    return stream;
}

QDataStream& operator<<(QDataStream& stream, const LiveSecret& secret) {
    return stream << secret.user << secret.password << secret.passphrase;
}

QDataStream& operator>>(QDataStream& stream, LiveSecret& secret) {
    return stream >> secret.user >> secret.password >> secret.passphrase;
}

} // namespace mivanta
