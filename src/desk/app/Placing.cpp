// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/Placing.h"

namespace mivanta {

namespace {

/// False when a question was given up. An empty answer leaves its field out.
bool askFor(TextItem& item, Prompts& prompts) {
    for (const QString& question : askedFields(*item.text)) {
        const auto answer = prompts.answer(item.text->title, question);
        if (!answer)
            return false;
        if (!answer->isEmpty())
            item.answers.insert(question, *answer);
    }
    return true;
}

} // namespace

void placePicks(Session& session, Prompts& prompts, QObject* asker, const std::vector<FindPick>& picks,
                const std::function<void(ItemWords)>& place) {
    for (const FindPick& pick : picks)
        session.library().words(asker, pick, [&session, &prompts, place](Result<ItemWords> words) {
            if (!words) {
                Q_EMIT session.problem(words.error());
                return;
            }
            if (auto* text = std::get_if<TextItem>(&*words); text && !askFor(*text, prompts))
                return;
            place(std::move(*words));
        });
}

} // namespace mivanta
