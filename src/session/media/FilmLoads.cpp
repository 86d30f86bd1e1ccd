// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/FilmLoads.h"
#include "core/order/UsedMedia.h"
#include "media/FilmLoad.h"
#include "session/media/MediaBook.h"
#include "session/service/ServiceDocument.h"
#include <QThread>

namespace mivanta {

namespace {
constexpr double kShare = 0.7; // of all cores; the rest scales, paints and hears keys
}

FilmLoads::FilmLoads(MediaBook& book, ServiceDocument& document, QObject* parent)
    : QObject(parent),
      m_book(book),
      m_document(document) {
    connect(&m_book, &MediaBook::changed, this, &FilmLoads::measureNext);
    connect(&m_document, &ServiceDocument::changed, this, &FilmLoads::measureNext);
    connect(&m_document, &ServiceDocument::opened, this, &FilmLoads::measureNext);
}

double FilmLoads::most() {
    return kShare * QThread::idealThreadCount();
}

std::optional<double> FilmLoads::coresOf(const QString& film) const {
    const auto known = m_cores.constFind(film);
    return known == m_cores.constEnd() || *known < 0 ? std::nullopt : std::optional(*known);
}

void FilmLoads::measureNext() {
    if (m_isMeasuring)
        return;
    for (const QString& name : mediaOf(m_document.service())) {
        const Medium* medium = m_book.medium(name);
        if (!medium || medium->kind != MediumKind::Film || !medium->facts || m_cores.contains(name))
            continue;
        m_isMeasuring = true;
        m_meter.run(
            this, [path = m_book.pathOf(name), from = medium->telling()] { return coresForFilm(path, from); },
            [this, name](const Result<double>& cores) {
                m_isMeasuring = false;
                m_cores[name] = cores.value_or(-1);
                Q_EMIT changed();
                measureNext();
            });
        return;
    }
}

} // namespace mivanta

#include "moc_FilmLoads.cpp"
