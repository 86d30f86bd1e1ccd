// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/PartHeading.h"
#include <QRegularExpression>
#include <array>

namespace mivanta {

namespace {

struct KnownHeading {
    const char* name; ///< lower case, without spaces and hyphens
    PartKind kind;
};

constexpr std::array kKnown{
    KnownHeading{"verse", PartKind::Verse},
    KnownHeading{"stanza", PartKind::Verse},
    KnownHeading{"strophe", PartKind::Verse},
    KnownHeading{"vers", PartKind::Verse},
    KnownHeading{"couplet", PartKind::Verse},
    KnownHeading{"estrofa", PartKind::Verse},
    KnownHeading{"kehrvers", PartKind::Chorus},
    KnownHeading{"estribillo", PartKind::Chorus},
    KnownHeading{"coro", PartKind::Chorus},
    KnownHeading{"pont", PartKind::Bridge},
    KnownHeading{"puente", PartKind::Bridge},
    KnownHeading{"zwischenspiel", PartKind::Interlude},
    KnownHeading{"vorspiel", PartKind::Intro},
    KnownHeading{"chorus", PartKind::Chorus},
    KnownHeading{"refrain", PartKind::Chorus},
    KnownHeading{"prechorus", PartKind::PreChorus},
    KnownHeading{"bridge", PartKind::Bridge},
    KnownHeading{"middleeight", PartKind::Bridge},
    KnownHeading{"intro", PartKind::Intro},
    KnownHeading{"introduction", PartKind::Intro},
    KnownHeading{"interlude", PartKind::Interlude},
    KnownHeading{"instrumental", PartKind::Interlude},
    KnownHeading{"solo", PartKind::Interlude},
    KnownHeading{"tag", PartKind::Tag},
    KnownHeading{"coda", PartKind::Tag},
    KnownHeading{"ending", PartKind::Ending},
    KnownHeading{"outro", PartKind::Ending},
    KnownHeading{"end", PartKind::Ending},
};

constexpr std::array kShown{PartKind::Verse, PartKind::PreChorus, PartKind::Chorus, PartKind::Bridge,
                            PartKind::Intro, PartKind::Interlude, PartKind::Tag,    PartKind::Ending};

} // namespace

std::optional<PartHeading> readPartHeading(const QString& words) {
    PartHeading heading = readAnyHeading(words);
    return heading.kind == PartKind::Other ? std::nullopt : std::optional(std::move(heading));
}

PartHeading readAnyHeading(const QString& words) {
    static const QRegularExpression shape(
        QStringLiteral("^(.*?)(?:(?<=[^\\d\\s])\\s*(\\d{1,3}))?(?:\\s*\\((band only|band|sung)\\))*\\s*$"),
        QRegularExpression::CaseInsensitiveOption);
    const auto match = shape.match(words.simplified());
    PartHeading heading{PartKind::Other, match.captured(2).toInt(), match.captured(1).trimmed(), {}};
    if (!match.captured(3).isEmpty())
        heading.bandOnly = match.captured(3).startsWith(u'b', Qt::CaseInsensitive);
    const QString name = heading.name.toLower().remove(u' ').remove(u'-');
    for (const KnownHeading& known : kKnown)
        if (name == QLatin1String(known.name)) {
            heading.kind = known.kind;
            heading.name.clear();
        }
    for (const PartKind kind : kShown) // as the reader's own language calls it
        if (!heading.name.isEmpty() && heading.name.compare(partKindName(kind), Qt::CaseInsensitive) == 0) {
            heading.kind = kind;
            heading.name.clear();
        }
    if (heading.kind == PartKind::Other && heading.name.isEmpty())
        heading.name = QStringLiteral("Part");
    return heading;
}

} // namespace mivanta
