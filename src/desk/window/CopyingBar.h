// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFrame>
#include <QTimer>

namespace mivanta {

class LibraryClient;

/// Says that files are being copied into the library when that takes a while, and can stop it.
class CopyingBar : public QFrame {
    Q_OBJECT
public:
    explicit CopyingBar(LibraryClient& library, QWidget* parent = nullptr);

private:
    QTimer m_soon; ///< most files are there sooner
};

} // namespace mivanta
