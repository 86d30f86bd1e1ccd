// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/LiveMend.h"

namespace mivanta {

LiveMend::LiveMend(Session& session, QObject* parent) : QObject(parent), m_session(session) {}

std::optional<LiveMend::Found> LiveMend::find() const {
    const RunState& state = m_session.run().state();
    const auto& cue = state.onScreen ? state.onScreen : state.next;
    if (!cue)
        return std::nullopt;
    const Item* item = m_session.document().service().item(cue->item);
    if (!item)
        item = m_session.book().unplannedItem(cue->item);
    const ItemSlides* slides = m_session.book().slidesOf(cue->item);
    if (!item || !slides)
        return std::nullopt;
    const auto words = mendableAt(*item, slides->content, cue->position);
    if (!words)
        return std::nullopt;
    return Found{item->id, item->title(), *words, state.onScreen.has_value(), !words->slide.has_value()};
}

void LiveMend::mend(const Found& found, const QString& words, Wishes wishes) {
    const QString what = tr("mending %1").arg(found.title);
    ServiceDocument& document = m_session.document();
    Item before;
    if (const Item* item = document.service().item(found.item)) {
        before = *item;
        const Item after = mended(*item, found.words, words);
        if (found.words.slide)
            document.changeEdits(
                {found.item}, [&](SlideEdits& edits) { edits = after.edits; }, what);
        else
            document.change(found.item, after.content, what);
    } else if (const Item* unplanned = m_session.book().unplannedItem(found.item)) {
        before = *unplanned;
        m_session.book().changeUnplanned(mended(before, found.words, words));
    } else {
        return;
    }
    if (found.isOnScreen && wishes.atOnce)
        m_session.run().showAgain();
    if (wishes.inLibrary && found.isLibrarys)
        mendInLibrary(before, found.words, words);
    else
        Q_EMIT m_session.notice(tr("Mended for this service: %1.").arg(found.title));
}

void LiveMend::mendInLibrary(const Item& item, const MendableWords& found, const QString& words) {
    const QString title = item.title();
    const auto tell = [this, title](const Result<bool>& done) {
        if (!done)
            Q_EMIT m_session.problem(done.error());
        else if (*done)
            Q_EMIT m_session.notice(tr("Mended here and in the library: %1.").arg(title));
        else
            Q_EMIT m_session.notice(
                tr("Mended here. The library has other words in this part of %1 and stays as it is.")
                    .arg(title));
    };
    const auto ask = [this, found, words, tell](auto load, auto save) {
        m_session.library().ask<bool>(
            this,
            [=](Library& library) -> Result<bool> {
                const auto stored = load(library);
                if (!stored)
                    return tl::unexpected(stored.error());
                const auto changed = mended(*stored, found, words);
                if (!changed)
                    return false;
                const auto saved = save(library, *changed);
                if (!saved)
                    return tl::unexpected(saved.error());
                return true;
            },
            tell, true);
    };
    if (const Song* song = item.song())
        ask([id = song->id](Library& library) { return library.song(id); },
            [](Library& library, const Song& changed) { return library.save(changed); });
    else if (const TextItem* text = item.text())
        ask([id = text->text->id](Library& library) { return library.texts().text(id); },
            [](Library& library, const SpokenText& changed) { return library.texts().save(changed); });
}

} // namespace mivanta
