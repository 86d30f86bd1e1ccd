// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/PartHeading.h"
#include <QRegularExpression>
#include <array>

namespace mivanta {

namespace {

struct Known {
    const char* name; ///< lower case, without spaces and hyphens
    PartKind kind;
};

constexpr std::array kKnown{
    Known{"verse", PartKind::Verse},
    Known{"stanza", PartKind::Verse},
    Known{"strophe", PartKind::Verse},
    Known{"vers", PartKind::Verse},
    Known{"couplet", PartKind::Verse},
    Known{"estrofa", PartKind::Verse},
    Known{"kehrvers", PartKind::Chorus},
    Known{"estribillo", PartKind::Chorus},
    Known{"coro", PartKind::Chorus},
    Known{"pont", PartKind::Bridge},
    Known{"puente", PartKind::Bridge},
    Known{"zwischenspiel", PartKind::Interlude},
    Known{"vorspiel", PartKind::Intro},
    Known{"chorus", PartKind::Chorus},
    Known{"refrain", PartKind::Chorus},
    Known{"prechorus", PartKind::PreChorus},
    Known{"bridge", PartKind::Bridge},
    Known{"middleeight", PartKind::Bridge},
    Known{"intro", PartKind::Intro},
    Known{"introduction", PartKind::Intro},
    Known{"interlude", PartKind::Interlude},
    Known{"instrumental", PartKind::Interlude},
    Known{"solo", PartKind::Interlude},
    Known{"tag", PartKind::Tag},
    Known{"coda", PartKind::Tag},
    Known{"ending", PartKind::Ending},
    Known{"outro", PartKind::Ending},
    Known{"end", PartKind::Ending},
};

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
    for (const Known& known : kKnown)
        if (name == QLatin1String(known.name)) {
            heading.kind = known.kind;
            heading.name.clear();
        }
    if (heading.kind == PartKind::Other && heading.name.isEmpty())
        heading.name = QStringLiteral("Part");
    return heading;
}

} // namespace mivanta
