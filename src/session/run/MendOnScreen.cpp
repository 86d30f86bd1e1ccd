// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/MendOnScreen.h"
#include "session/library/LibraryClient.h"
#include "session/run/RunController.h"
#include "session/service/ServiceDocument.h"
#include "session/service/SlideBook.h"

namespace mivanta {

MendOnScreen::MendOnScreen(RunController& run, ServiceDocument& document, SlideBook& book,
                           LibraryClient& library, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_book(book),
      m_library(library) {}

std::optional<MendOnScreen::Found> MendOnScreen::find() const {
    const RunState& state = m_run.state();
    const auto& cue = state.onScreen ? state.onScreen : state.next;
    if (!cue)
        return std::nullopt;
    const Item* item = m_book.itemOf(cue->item);
    const ItemSlides* slides = m_book.slidesOf(cue->item);
    if (!item || !slides)
        return std::nullopt;
    const auto words = mendableAt(*item, slides->content, cue->position);
    if (!words)
        return std::nullopt;
    return Found{item->id, item->title(), *words, state.onScreen.has_value(), !words->slide.has_value()};
}

void MendOnScreen::mend(const Found& found, const QString& words, Wishes wishes) {
    const QString what = tr("mending %1").arg(found.title);
    Item before;
    if (const Item* item = m_document.service().item(found.item)) {
        before = *item;
        const Item after = mended(*item, found.words, words);
        if (found.words.slide)
            m_document.changeEdits(
                {found.item}, [&](SlideEdits& edits) { edits = after.edits; }, what);
        else
            m_document.change(found.item, after.words, what);
    } else if (const Item* unplanned = m_book.unplannedItem(found.item)) {
        before = *unplanned;
        m_book.changeUnplanned(mended(before, found.words, words));
    } else {
        return;
    }
    if (found.isOnScreen && wishes.atOnce)
        m_run.showAgain();
    if (wishes.inLibrary && found.isLibrarys)
        mendInLibrary(before, found.words, words);
    else
        Q_EMIT told(tr("Mended for this service: %1.").arg(found.title));
}

void MendOnScreen::mendInLibrary(const Item& item, const MendableWords& found, const QString& words) {
    const QString title = item.title();
    const auto tell = [this, title](const Result<bool>& done) {
        if (!done)
            Q_EMIT failed(done.error());
        else if (*done)
            Q_EMIT told(tr("Mended here and in the library: %1.").arg(title));
        else
            Q_EMIT told(tr("Mended here. The library has other words in this part of %1 and stays as it is.")
                            .arg(title));
    };
    const auto ask = [this, found, words, tell](auto load, auto save) {
        m_library.ask<bool>(
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
            tell);
    };
    if (const Song* song = item.song())
        ask([id = song->id](Library& library) { return library.song(id); },
            [](Library& library, const Song& changed) { return library.save(changed); });
    else if (const TextItem* text = item.text())
        ask([id = text->text->id](Library& library) { return library.texts().text(id); },
            [](Library& library, const SpokenText& changed) { return library.texts().save(changed); });
}

} // namespace mivanta

#include "moc_MendOnScreen.cpp"
