// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLocalServer>
#include <QStringList>
#include <optional>

namespace mivanta {

/// What somebody who starts the program once more wants of the one that runs already.
struct DoorRequest {
    enum class Kind {
        Raise,     ///< nothing but its window
        Open,      ///< the file at `path`
        BeginWith, ///< a service made of the file at `path`, never saved
        StartNew,
    };
    Kind kind = Kind::Raise;
    QString path{};
    friend bool operator==(const DoorRequest&, const DoorRequest&) = default;
};

/// The arguments with which the program is started for it.
[[nodiscard]] QStringList argumentsFor(const DoorRequest& request);

/// Where a second start of the program knocks: one window of each kind for a library. GUI thread.
class Door : public QObject {
    Q_OBJECT
public:
    explicit Door(QObject* parent = nullptr);

    /// `isSecond`: of the window that prepares only.
    [[nodiscard]] static QString pathOf(const QString& sessionFolder, bool isSecond);
    /// Asks whoever listens there; false when nobody answers. Waits a second at most.
    [[nodiscard]] static bool knock(const QString& path, const DoorRequest& request);
    /// Takes the place of a program that was killed; false when the place cannot be used.
    bool listen(const QString& path);

Q_SIGNALS:
    void knocked(const mivanta::DoorRequest& request);

private:
    void answer();
    QLocalServer m_server;
};

} // namespace mivanta
