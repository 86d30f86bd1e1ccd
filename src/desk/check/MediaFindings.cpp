// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/MediaFindings.h"
#include "core/base/Said.h"
#include "core/order/UsedMedia.h"
#include "session/Session.h"
#include <QThread>

namespace mivanta {

namespace {

/// The first item that shows or plays it; null for a backdrop.
ItemId itemWith(const Service& service, const QString& name) {
    for (const Item& item : service.items)
        if (mediaOf(item).contains(name))
            return item.id;
    return {};
}

} // namespace

std::vector<Finding> mediaFindings(Session& session) {
    std::vector<Finding> findings;
    const Service& service = session.document().service();
    for (const QString& name : mediaOf(service)) {
        const Medium* medium = session.media().medium(name);
        if (!medium)
            continue; // missing, which is told elsewhere
        const ItemId item = itemWith(service, name);
        if (!medium->problem.isEmpty())
            findings.push_back(
                {Severity::Blocks, item,
                 Said::tr("\u201c%1\u201d cannot be shown or heard here").arg(medium->title),
                 Said::tr("%1. Choose another file on the Prepare desk.").arg(medium->problem)});
        const auto cores = session.filmLoads().coresOf(name);
        if (cores && *cores > FilmLoads::most())
            findings.push_back(
                {Severity::Doubt, item,
                 Said::tr("\u201c%1\u201d is more than this computer plays smoothly").arg(medium->title),
                 Said::tr(
                     "It keeps %1 of %2 processors busy. Words and keys are not held up, but the film may "
                     "stutter. Have it saved smaller, such as 1920 \u00d7 1080 at 30 pictures a second.")
                     .arg(QString::number(*cores, 'f', 1))
                     .arg(QThread::idealThreadCount())});
    }
    return findings;
}

} // namespace mivanta
