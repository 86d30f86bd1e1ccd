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
    static const QRegularExpression shape(QStringLiteral("^([A-Za-z][A-Za-z \\-]*?)\\s*(\\d{1,3})?\\s*"
                                                         "(\\((?:band only|band)\\))?$"),
                                          QRegularExpression::CaseInsensitiveOption);
    const auto match = shape.match(words.trimmed());
    if (!match.hasMatch())
        return std::nullopt;
    QString name = match.captured(1).toLower();
    name.remove(u' ').remove(u'-');
    for (const Known& known : kKnown)
        if (name == QLatin1String(known.name))
            return PartHeading{known.kind, match.captured(2).toInt(), !match.captured(3).isEmpty()};
    return std::nullopt;
}

} // namespace mivanta
