// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/ItemFacts.h"
#include "core/base/Said.h"

namespace mivanta {

namespace {

QString joined(QStringList facts) {
    facts.removeAll(QString());
    return facts.join(QStringLiteral(" \u00b7 "));
}

/// `counted` is a text for translation: "%n slides hidden".
QString countedOrNothing(size_t count, const char* counted) {
    return count == 0 ? QString() : Said::tr(counted, nullptr, Said::n(count));
}

} // namespace

QString kindFacts(const Item& item) {
    QStringList facts{
        item.isHeading() ? Said::tr("Heading \u00b7 F2 renames it")
        : item.isUnknown()
            ? Said::tr(
                  "This came from another version of Mivanta. It is kept in the order as it is, and passed "
                  "over while running.")
            : kindText(item.words)};
    if (const Passage* passage = item.passage())
        facts << passage->words.front().translation.name;
    if (const TextItem* text = item.text())
        facts << rolesOf(*text->text).join(QStringLiteral(", "));
    if (const Song* song = item.song()) {
        facts << song->authorNames().join(QStringLiteral(", "));
        if (!song->key.isEmpty())
            facts << (song->capo > 0 ? Said::tr("key %1, capo %2").arg(song->key).arg(song->capo)
                                     : Said::tr("key %1").arg(song->key));
        if (!song->bookNumbers.empty())
            facts << song->bookNumbers.front().book + u' ' + song->bookNumbers.front().number;
    }
    return joined(facts);
}

QString unusualFacts(const Item& item, const std::vector<Theme>& themes) {
    if (!item.hasPlan())
        return {};
    const ItemPlan& plan = item.plan;
    QStringList facts;
    if (plan.skipped)
        facts << Said::tr("left out today");
    if (plan.at && !(item.loop() && item.loop()->beginsByItself))
        facts << Said::tr("begins at %1").arg(plan.at->toString(QStringLiteral("HH:mm")));
    if (plan.seconds)
        facts << Said::tr("takes %1").arg(durationText(*plan.seconds));
    if (plan.advance)
        facts << (plan.goesOn ? Said::tr("every %1 by itself, then the next item")
                              : Said::tr("every %1 by itself"))
                     .arg(durationText(*plan.advance));
    if (!plan.leader.isEmpty())
        facts << Said::tr("led by %1").arg(plan.leader);
    if (!plan.note.isEmpty())
        facts << Said::tr("note: %1").arg(plan.note);
    if (item.inLoop.everyRounds > 1)
        facts << Said::tr("once every %n rounds", nullptr, item.inLoop.everyRounds);
    if (const QString season = seasonText(item.inLoop.season); !season.isEmpty())
        facts << Said::tr("goes round %1", "on some days").arg(season);
    if (plan.sound)
        facts << Said::tr("sounds %1").arg(plan.sound->title);
    if (plan.track)
        facts << Said::tr("sung to %1").arg(plan.track->title);
    const LookChoice& choice = item.look.choice;
    if (const Theme* theme = choice.theme.isEmpty() ? nullptr : themeOf(choice.theme, themes))
        facts << Said::tr("theme %1").arg(theme->name);
    else if (!choice.isEmpty())
        facts << Said::tr("a look of its own");
    facts << countedOrNothing(item.look.slides.size(),
                              QT_TRANSLATE_N_NOOP("Said", "%n slides with a look of their own"));
    facts << countedOrNothing(item.edits.hidden.size(), QT_TRANSLATE_N_NOOP("Said", "%n slides hidden"));
    facts << countedOrNothing(item.edits.words.size(),
                              QT_TRANSLATE_N_NOOP("Said", "%n slides say something else"));
    if (!item.edits.order.empty())
        facts << Said::tr("slides in another order");
    if (!item.edits.stageNote.isEmpty() || !item.edits.stageWords.isEmpty())
        facts << Said::tr("something of its own on stage");
    return joined(facts);
}

SetTabs setTabsOf(const Item& item) {
    const ItemPlan& plan = item.plan;
    const SlideEdits& edits = item.edits;
    return {!edits.hidden.empty() || !edits.words.empty() || !edits.order.empty(),
            !item.look.choice.isEmpty() || !item.look.slides.empty(),
            plan.skipped || plan.at || plan.seconds || plan.advance || !plan.leader.isEmpty() ||
                !plan.note.isEmpty(),
            !edits.stageNote.isEmpty() || !edits.stageWords.isEmpty(),
            plan.sound.has_value() || plan.track.has_value()};
}

QString wordsTabName(const Item& item) {
    if (item.song() || item.text())
        return Said::tr("Words");
    if (item.passage())
        return Said::tr("Verses");
    if (std::holds_alternative<PictureItem>(item.words))
        return Said::tr("Pictures");
    return kindText(item.words);
}

} // namespace mivanta
