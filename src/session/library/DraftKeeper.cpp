// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/DraftKeeper.h"

namespace mivanta {

namespace {
constexpr int kDelayMs = 300;
}

DraftKeeper::DraftKeeper(UnsavedFile file, std::function<Writer()> unsaved, QObject* parent)
    : QObject(parent),
      m_file(std::move(file)),
      m_unsaved(std::move(unsaved)) {
    m_soon.setSingleShot(true);
    m_soon.setInterval(kDelayMs);
    connect(&m_soon, &QTimer::timeout, this, &DraftKeeper::keep);
}

void DraftKeeper::touch() {
    if (m_mayKeep && !m_soon.isActive())
        m_soon.start();
}

void DraftKeeper::recover() {
    m_files.run(
        this, [file = m_file] { return file.read(); },
        [this](const Result<std::optional<QJsonObject>>& json) {
            m_mayKeep = true;
            m_holds = json && json->has_value();
            if (!json)
                Q_EMIT failed(json.error());
            else if (*json)
                Q_EMIT found(**json, m_file.path());
            else
                touch();
        });
}

void DraftKeeper::keepNow() {
    if (m_soon.isActive())
        keep();
    m_soon.stop();
    m_files.wait();
}

void DraftKeeper::refuse(const Error& error) {
    m_holds = false;
    m_files.run(
        this, [file = m_file, why = error.what] { return file.putAside(why); },
        [this](const Error& told) { Q_EMIT failed(told); });
}

void DraftKeeper::keep() {
    Writer writer = m_unsaved();
    if (!writer) {
        if (std::exchange(m_holds, false))
            m_files.run([file = m_file] { file.clear(); });
        return;
    }
    m_holds = true;
    m_files.run(
        this, [file = m_file, writer = std::move(writer)] { return file.write(writer()); },
        [this](const Result<void>& written) {
            if (!written)
                Q_EMIT failed(written.error());
        });
}

} // namespace mivanta

#include "moc_DraftKeeper.cpp"
