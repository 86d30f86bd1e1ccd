// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/sending/PackingBar.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "media/FilmCut.h"
#include "render/FontFiles.h"
#include "store/MediaFiles.h"
#include "store/PackParts.h"
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QProgressBar>
#include <QPushButton>

namespace mivanta {

namespace {
constexpr int kThousandths = 1000;
constexpr qint64 kWorthAsking = 1'000'000; // bytes
} // namespace

QString packingText(const PackList& list) {
    int fonts = 0;
    for (const PackFile& file : list.files)
        fonts += file.entry.startsWith(QLatin1String(kFontFolder)) ? 1 : 0;
    QStringList lines{
        PackingBar::tr(
            "The packed service takes along pictures, films and sounds: %1, font files: %2; together %3.")
            .arg(int(list.files.size()) - fonts)
            .arg(fonts)
            .arg(QLocale().formattedDataSize(list.bytes()))};
    if (!list.missing.isEmpty())
        lines << PackingBar::tr("Not on this computer, and so not in it: %1.").arg(list.missing.join(u", "));
    for (const FontFile& font : list.leftOut)
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
        [service, folder = m_session.library().address().mediaFolder(),
         titles = m_session.document().mediaTitles()] {
            Planned planned{service, {}};
            planned.service.media = mediaFactsOf(service, folder, titles);
            planned.list = packListOf(planned.service, folder, fontFilesOf(fontsOf(service)));
            return planned;
        },
        [this](const Planned& planned) { ask(planned); });
}

void PackingBar::ask(const Planned& planned) {
    const QString title = planned.service.title.isEmpty() ? tr("Service") : planned.service.title;
    const qint64 saved = savedByParts(planned.service, planned.list);
    const auto how = m_prompts.packNow(
        packingText(planned.list),
        saved < kWorthAsking
            ? QString()
            : tr("Of some films only a part is played. Without the rest it is about %1 smaller.")
                  .arg(QLocale().formattedDataSize(saved)));
    QString path;
    if (how != Prompts::HowToPack::NotAtAll)
        path = m_prompts.whereToSave(tr("%1 packed.mivanta").arg(title));
    if (path.isEmpty())
        m_busy = false;
    else if (QFileInfo(path) == QFileInfo(m_session.document().path())) {
        m_busy = false;
        Q_EMIT m_session.problem({tr("The packed service needs a file of its own"), path,
                                  tr("Choose another name than that of the open service.")});
    } else
        pack(planned, path, how == Prompts::HowToPack::OnlyParts);
}

void PackingBar::pack(const Planned& planned, const QString& path, bool onlyParts) {
    *m_cancel = false;
    m_text->setText(tr("Packing %1").arg(QFileInfo(path).fileName()));
    m_progress->setRange(0, onlyParts ? 0 : kThousandths); // how long films take to be cut is not known
    m_progress->setValue(0);
    show();
    const auto progress = [this, cancel = m_cancel](qint64 done, qint64 total) {
        const int share = total > 0 ? int(done * kThousandths / total) : 0;
        QMetaObject::invokeMethod(m_progress, [this, share] {
            m_progress->setRange(0, kThousandths);
            m_progress->setValue(share);
        });
        return !*cancel;
    };
    m_worker.run(
        this,
        [planned, path, progress, onlyParts, cancel = m_cancel]() -> Result<Packed> {
            if (!onlyParts)
                return packService(planned.service, planned.list, path, {}, progress)
                    .map([](const FileStamp& stamp) {
                        return Packed{stamp, {}};
                    });
            const auto parts = cutToParts(planned.service, planned.list, path, {suffixOfCut, cutFilm},
                                          [cancel] { return !*cancel; });
            if (!parts)
                return tl::unexpected(parts.error());
            return packService(parts->service, parts->list, path, {}, progress)
                .map([&](const FileStamp& stamp) {
                    return Packed{stamp, parts->whole};
                });
        },
        [this, path](const Result<Packed>& packed) {
            m_busy = false;
            hide();
            if (!packed) {
                Q_EMIT m_session.problem(packed.error());
                return;
            }
            QString done = tr("Packed: %1, %2").arg(path, QLocale().formattedDataSize(packed->stamp.size));
            if (!packed->whole.isEmpty())
                done +=
                    u' ' +
                    tr("Could not be cut, and so went along as a whole: %1.").arg(packed->whole.join(u", "));
            Q_EMIT m_session.notice(done);
        });
}

} // namespace mivanta

#include "moc_PackingBar.cpp"
