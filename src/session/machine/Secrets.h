// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/work/Worker.h"
#include <QHash>
#include <QObject>
#include <functional>

namespace mivanta {

/// Words that only this person may know: in the desktop's key ring, or, where there is none, in a file that
/// only this user can read. Never in files that others get. GUI thread; answers come later.
class Secrets : public QObject {
    Q_OBJECT
public:
    enum class Place { KeyRing, File };
    /// `file`: for where there is no key ring. `place`: File = the key ring is not asked.
    explicit Secrets(QString file, Place place = usualPlace(), QObject* parent = nullptr);
    /// A key ring is reached over the session's bus: without one there is none.
    [[nodiscard]] static Place usualPlace();

    /// Empty when there is nothing of this name. `taken` is not called when `context` is gone by then.
    void read(const QString& name, QObject* context, const std::function<void(const QString& words)>& taken);
    /// Empty words take it away.
    void write(const QString& name, const QString& words);
    /// Where they are, as far as is known.
    [[nodiscard]] Place place() const { return m_place; }

Q_SIGNALS:
    void placeChanged();
    void problem(const QString& text); ///< it could not be kept

private:
    void useFile();
    void readFromFile(const QString& name, QObject* context,
                      const std::function<void(const QString& words)>& taken);
    void writeToFile(const QString& name, const QString& words);

    const QString m_file;
    Place m_place;
    Worker m_files{QStringLiteral("secrets")};
};

} // namespace mivanta
