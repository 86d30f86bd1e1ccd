// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/Loops.h"
#include <QCollator>
#include <QFileInfo>

namespace mivanta {

namespace {

/// Calls it for each item behind a loop in its group.
template <typename Work>
void eachBehind(const Item& loop, const Service& service, Work work) {
    const int at = service.indexOf(loop.id);
    if (at < 0 || loop.group.isNull())
        return;
    for (size_t i = size_t(at) + 1; i < service.items.size() && service.items[i].group == loop.group; ++i)
        work(service.items[i]);
}

} // namespace

bool canBeMember(const ItemWords& words) {
    return kindOf(words).has_value() && !std::holds_alternative<MusicItem>(words);
}

const Item* loopOf(const Item& item, const Service& service) {
    if (item.group.isNull() || item.loop())
        return nullptr;
    // Groups stand together, and a loop is the first of its own.
    const auto first = std::find_if(service.items.begin(), service.items.end(),
                                    [&](const Item& other) { return other.group == item.group; });
    return first != service.items.end() && first->loop() ? &*first : nullptr;
}

const Item* loopOf(const ItemId& id, const Service& service) {
    const Item* item = service.item(id);
    return item ? loopOf(*item, service) : nullptr;
}

std::vector<bool> membersOfLoops(const Service& service) {
    std::vector<bool> isMember(service.items.size(), false);
    GroupId loop;
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        if (item.loop())
            loop = item.group;
        else
            isMember[i] = !loop.isNull() && item.group == loop;
    }
    return isMember;
}

std::vector<const Item*> membersOf(const Item& loop, const Service& service) {
    std::vector<const Item*> members;
    eachBehind(loop, service, [&](const Item& item) {
        if (canBeMember(item.words))
            members.push_back(&item);
    });
    return members;
}

std::optional<MusicItem> musicUnder(const Item& loop, const Service& service) {
    std::optional<MusicItem> under;
    eachBehind(loop, service, [&](const Item& item) {
        const auto* music = std::get_if<MusicItem>(&item.words);
        if (!music || item.plan.skipped)
            return;
        if (!under)
            under = *music;
        else
            under->pieces.insert(under->pieces.end(), music->pieces.begin(), music->pieces.end());
    });
    return under;
}

OrderPicture noticeOf(const Medium& medium) {
    OrderPicture picture = pictureOf(medium);
    const DatedName dated = datedName(medium.title);
    picture.season.to = dated.day;
    if (dated.day.isValid() && medium.caption.isEmpty())
        picture.caption = QString(dated.name).replace(u'-', u' ');
    return picture;
}

bool isNoticeBefore(const QString& path, const QString& other) {
    QCollator natural;
    natural.setNumericMode(true);
    const auto name = [](const QString& file) { return datedName(QFileInfo(file).completeBaseName()).name; };
    const int order = natural.compare(name(path), name(other));
    return order != 0 ? order < 0 : path < other;
}

bool isInSeason(const Item& member, int still, QDate day) {
    if (!member.inLoop.season.isOn(day))
        return false;
    if (const TextItem* text = member.text(); text && !Season{{}, text->text->lastDay, 0}.isOn(day))
        return false;
    const auto* set = std::get_if<PictureItem>(&member.words);
    return !set || still < 0 || still >= int(set->pictures.size()) ||
           set->pictures[size_t(still)].season.isOn(day);
}

const Item* followsLoop(const Item& loop, const Service& service) {
    const LoopItem& rule = *loop.loop();
    if (rule.then == LoopThen::Item)
        return service.item(rule.thenItem);
    if (rule.then != LoopThen::NextItem)
        return nullptr;
    for (size_t i = size_t(service.indexOf(loop.id)) + 1; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        const bool isMember = item.group == loop.group;
        if (!isMember && (item.isRun() || (item.loop() && !item.plan.skipped)))
            return &item;
    }
    return nullptr;
}

} // namespace mivanta
