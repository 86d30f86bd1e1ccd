// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/DraftKeeper.h"

namespace mivanta {

namespace {
constexpr int kDelayMs = 300;
}

DraftKeeper::DraftKeeper(const QString& libraryFolder, const QString& what, std::function<Writer()> unsaved,
                         QObject* parent)
    : QObject(parent),
      m_file(libraryFolder, what),
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
            if (!json) { // it stays where it is
                Q_EMIT failed(json.error());
                return;
            }
            m_mayKeep = true;
            m_holds = json->has_value();
            if (*json)
                Q_EMIT found(**json, m_file.path());
            else
                touch();
        });
}

void DraftKeeper::refuse(const Error& error) {
    m_mayKeep = false;
    Q_EMIT failed(error);
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
