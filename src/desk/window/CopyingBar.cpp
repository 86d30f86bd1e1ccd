// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/CopyingBar.h"
#include "desk/kit/Style.h"
#include "session/library/LibraryClient.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

namespace mivanta {

namespace {
constexpr int kSoonMs = 700;
}

CopyingBar::CopyingBar(LibraryClient& library, QWidget* parent) : QFrame(parent) {
    setObjectName(QStringLiteral("copying-bar"));
    setStyleSheet(QStringLiteral("#copying-bar { background: %1 }").arg(day().side.name()));
    auto* text = new QLabel(tr("Files are being copied into the library\u2026"), this);
    auto* progress = new QProgressBar(this);
    progress->setRange(0, 0); // how long it takes is not known
    progress->setAccessibleName(tr("Files are being copied"));
    auto* stop = new QPushButton(tr("Stop copying"), this);
    stop->setObjectName(QStringLiteral("copying-stop"));
    stop->setToolTip(tr("What is not copied yet is left out; nothing half remains"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(spaced(4), spaced(1.5), spaced(4), spaced(1.5));
    row->setSpacing(spaced(3));
    row->addWidget(text);
    row->addWidget(progress, 1);
    row->addWidget(stop);
    hide();
    m_soon.setSingleShot(true);
    m_soon.setInterval(kSoonMs);
    connect(&m_soon, &QTimer::timeout, this, &QWidget::show);
    connect(stop, &QPushButton::clicked, this, [&library] { library.stopAside(); });
    connect(&library, &LibraryClient::busyAside, this, [this, &library] {
        if (library.isBusyAside()) {
            if (!isVisible() && !m_soon.isActive())
                m_soon.start();
            return;
        }
        m_soon.stop();
        hide();
    });
}

} // namespace mivanta

#include "moc_CopyingBar.cpp"
