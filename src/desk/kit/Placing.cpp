// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Placing.h"

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

/// Loads one after the other, so that they come in the order in which they were picked.
void loadFrom(size_t at, Session& session, Prompts& prompts, QObject* asker,
              const std::vector<FindPick>& picks, const std::shared_ptr<std::vector<ItemWords>>& loaded,
              const PlaceWords& place) {
    if (at < picks.size()) {
        session.library().words(asker, picks[at], [=, &session, &prompts](Result<ItemWords> words) {
            if (words)
                loaded->push_back(std::move(*words));
            else
                Q_EMIT session.problem(words.error());
            loadFrom(at + 1, session, prompts, asker, picks, loaded, place);
        });
        return;
    }
    std::vector<ItemWords> answered;
    for (ItemWords& words : *loaded)
        if (auto* text = std::get_if<TextItem>(&words); !text || askFor(*text, prompts))
            answered.push_back(std::move(words));
    if (!answered.empty())
        place(std::move(answered));
}

} // namespace

void placePicks(Session& session, Prompts& prompts, QObject* asker, const std::vector<FindPick>& picks,
                const PlaceWords& place) {
    loadFrom(0, session, prompts, asker, picks, std::make_shared<std::vector<ItemWords>>(), place);
}

} // namespace mivanta
