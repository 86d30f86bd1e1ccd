// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/work/Worker.h"
#include "store/UnsavedFile.h"
#include <QTimer>
#include <functional>

namespace mivanta {

/// Keeps what is being edited on the disk, at most 0.3 s behind the last key press, until it is saved or
/// given up.
class DraftKeeper : public QObject {
    Q_OBJECT
public:
    /// Makes the JSON of a copy, on another thread.
    using Writer = std::function<QJsonObject()>;
    /// `unsaved`: how to write what is not saved now; an empty function when everything is.
    DraftKeeper(UnsavedFile file, std::function<Writer()> unsaved, QObject* parent = nullptr);
    /// Looks for work from last time; found() answers when there is some. Before this nothing is written.
    void recover();
    /// Something was changed, saved or given up.
    void touch();
    /// What is not saved is on the disk when this returns.
    void keepNow();
    /// What was found is no such thing: it is told, and put aside.
    void refuse(const Error& error);

Q_SIGNALS:
    void found(const QJsonObject& json, const QString& where);
    void failed(const mivanta::Error& error);

private:
    void keep();

    UnsavedFile m_file;
    std::function<Writer()> m_unsaved;
    Worker m_files{QStringLiteral("unsaved work")}; // for machines
    QTimer m_soon;
    bool m_holds = false; ///< there is a file
    bool m_mayKeep = false;
};

} // namespace mivanta
