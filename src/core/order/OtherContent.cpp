// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Said.h"
#include "core/order/ItemWords.h"

namespace mivanta {

namespace {

/// A part without a credit line, that comes once.
void addPart(ItemContent& content, ContentPart part, const QString& stageNote) {
    content.ownCredit = OwnCredit();
    content.entries.push_back({int(content.parts.size()), 1, 1, stageNote});
    content.parts.push_back(std::move(part));
}

} // namespace

ItemContent contentOf(const PictureItem& item) {
    ItemContent content;
    QHash<QString, int> times; // parts are named apart, so that slides keep their looks when they move
    for (const OrderPicture& picture : item.pictures) {
        ContentPart part;
        part.key = picture.caption.isEmpty() ? QStringLiteral("Picture") : picture.caption;
        part.label = picture.caption.isEmpty() ? Said::tr("Picture") : picture.caption;
        if (const int time = ++times[part.key]; time > 1) {
            part.key += QStringLiteral(" (%1)").arg(time);
            part.label = Said::tr("%1 (%2)", "one of several pictures of one name")
                             .arg(part.label, QString::number(time));
        }
        part.shortLabel = QString::number(content.parts.size() + 1);
        part.picture = picture.name;
        part.pictureFit = item.fit;
        part.isBlank = !item.showsCaptions || picture.caption.trimmed().isEmpty();
        if (!part.isBlank)
            part.lines.emplace_back(Line{picture.caption});
        addPart(content, std::move(part), picture.caption);
    }
    return content;
}

ItemContent contentOf(const FilmItem& item) {
    ItemContent content;
    ContentPart part;
    part.key = QStringLiteral("Film");
    part.label = Said::tr("Film");
    part.shortLabel = QString();
    part.isBlank = true;
    part.pictureFocus = item.focus;
    part.film.emplace();
    part.film->name = item.name;
    part.film->from = item.from;
    part.film->to = item.to;
    part.film->isOnce = item.end != FilmEnd::Again;
    part.film->isHeard = item.isHeard;
    part.film->volume = item.volume;
    part.film->fit = item.fit;
    part.film->fadeIn = item.fadeIn;
    part.film->fadeOut = item.fadeOut;
    part.filmIsShownOn = item.isShownOn;
    addPart(content, std::move(part), {});
    return content;
}

ItemContent contentOf(const LiveItem& item) {
    ItemContent content;
    ContentPart part;
    part.key = QStringLiteral("Live");
    part.label = Said::tr("Live picture");
    part.isBlank = true;
    part.pictureFit = item.fit;
    part.pictureFocus = item.focus;
    if (!item.input.isNull()) // else what is behind words is seen
        part.film = liveFilm(item.input);
    part.filmIsShownOn = item.isShownOn;
    addPart(content, std::move(part), givenName(item));
    return content;
}

ItemContent contentOf(const MusicItem& item) {
    ItemContent content;
    ContentPart part;
    part.key = QStringLiteral("Music");
    part.label = Said::tr("Music");
    part.isBlank = true;
    addPart(content, std::move(part), givenName(item));
    return content;
}

ItemContent contentOf(const PauseItem& item) {
    ItemContent content;
    ContentPart part;
    part.key = part.label = item.title;
    part.isBlank = true;
    addPart(content, std::move(part), item.title);
    return content;
}

ItemContent contentOf(const CountdownItem& item) {
    ItemContent content;
    ContentPart part;
    part.key = part.label = item.words;
    part.isBlank = item.words.trimmed().isEmpty();
    if (!part.isBlank)
        for (const QString& line : item.words.split(u'\n'))
            part.lines.emplace_back(Line{line});
    addPart(content, std::move(part), {});
    content.countdown = ContentCountdown{item.to, item.seconds};
    return content;
}

} // namespace mivanta
