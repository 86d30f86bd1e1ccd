// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/sending/PackingBar.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "render/FontFiles.h"
#include "store/MediaFiles.h"
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QProgressBar>
#include <QPushButton>

namespace mivanta {

namespace {
constexpr int kThousandths = 1000;
}

QString packingText(const PackPlan& plan) {
    int fonts = 0;
    for (const PackFile& file : plan.files)
        fonts += file.entry.startsWith(QLatin1String(kFontFolder)) ? 1 : 0;
    QStringList lines{
        PackingBar::tr("The packed service takes along pictures: %1, font files: %2; together %3.")
            .arg(int(plan.files.size()) - fonts)
            .arg(fonts)
            .arg(QLocale().formattedDataSize(plan.bytes()))};
    if (!plan.missing.isEmpty())
        lines << PackingBar::tr("Not on this computer, and so not in it: %1.").arg(plan.missing.join(u", "));
    for (const FontFile& font : plan.leftOut)
        lines << PackingBar::tr("The font %1 stays here: %2.").arg(font.font.family, font.refusal);
    return lines.join(QStringLiteral("\n\n"));
}

PackingBar::PackingBar(Session& session, Prompts& prompts, QWidget* parent)
    : QFrame(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("packing-bar"));
    setStyleSheet(QStringLiteral("#packing-bar { background: %1 }").arg(day().side.name()));
    m_text = new QLabel(this);
    m_progress = new QProgressBar(this);
    m_progress->setRange(0, kThousandths);
    m_progress->setAccessibleName(tr("How far the packing is"));
    auto* stop = new QPushButton(tr("Stop packing"), this);
    stop->setObjectName(QStringLiteral("packing-stop"));
    stop->setToolTip(tr("Nothing is left behind"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(spaced(4), spaced(1.5), spaced(4), spaced(1.5));
    row->setSpacing(spaced(3));
    row->addWidget(m_text);
    row->addWidget(m_progress, 1);
    row->addWidget(stop);
    connect(stop, &QPushButton::clicked, this, &PackingBar::cancel);
    hide();
}

PackingBar::~PackingBar() {
    cancel();
    m_worker.finish();
}

void PackingBar::cancel() {
    *m_cancel = true;
}

void PackingBar::start() {
    if (m_busy)
        return;
    const Service& service = m_session.document().service();
    if (service.items.empty()) {
        Q_EMIT m_session.notice(tr("There is nothing to pack: the service is empty."));
        return;
    }
    m_busy = true;
    m_worker.run(
        this,
        [service, folder = mediaFolderOf(m_session.library().folder()),
         titles = m_session.document().mediaTitles()] {
            Planned planned{service, {}};
            planned.service.media = mediaFactsOf(service, folder, titles);
            planned.plan = planPack(planned.service, folder, fontFilesOf(fontsOf(service)));
            return planned;
        },
        [this](const Planned& planned) { ask(planned); });
}

void PackingBar::ask(const Planned& planned) {
    const QString title = planned.service.title.isEmpty() ? tr("Service") : planned.service.title;
    QString path;
    if (m_prompts.packNow(packingText(planned.plan)))
        path = m_prompts.whereToSave(tr("%1 packed.mivanta").arg(title));
    if (path.isEmpty())
        m_busy = false;
    else if (QFileInfo(path) == QFileInfo(m_session.document().path())) {
        m_busy = false;
        Q_EMIT m_session.problem({tr("The packed service needs a file of its own"), path,
                                  tr("Choose another name than that of the open service.")});
    } else
        pack(planned, path);
}

void PackingBar::pack(const Planned& planned, const QString& path) {
    *m_cancel = false;
    m_text->setText(tr("Packing %1").arg(QFileInfo(path).fileName()));
    m_progress->setValue(0);
    show();
    const auto progress = [this, cancel = m_cancel](qint64 done, qint64 total) {
        const int share = total > 0 ? int(done * kThousandths / total) : 0;
        QMetaObject::invokeMethod(m_progress, [this, share] { m_progress->setValue(share); });
        return !*cancel;
    };
    m_worker.run(
        this,
        [planned, path, progress] { return packService(planned.service, planned.plan, path, {}, progress); },
        [this, path](const Result<FileStamp>& packed) {
            m_busy = false;
            hide();
            if (packed)
                Q_EMIT m_session.notice(
                    tr("Packed: %1, %2").arg(path, QLocale().formattedDataSize(packed->size)));
            else
                Q_EMIT m_session.problem(packed.error());
        });
}

} // namespace mivanta
