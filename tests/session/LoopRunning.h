// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"
#include "session/run/AutoAdvance.h"
#include "session/run/LoopArming.h"
#include "session/run/RunFilm.h"
#include "session/service/LoopPlans.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {

inline constexpr qint64 kSecond = 1000;

/// A loop of three pictures, 7 s each, and a film of 20 s behind every second round; then a countdown, then a
/// song.
struct Morning {
    ItemId loop = ItemId::create();
    ItemId set = ItemId::create();
    ItemId film = ItemId::create();
    ItemId countdown = ItemId::create();
    ItemId song = ItemId::create();

    [[nodiscard]] std::vector<Item> items(const LoopItem& rule) const {
        PictureItem pictures;
        for (int i = 0; i < 3; ++i)
            pictures.pictures.push_back(
                {QString(64, QChar(u'a' + i)) + u".png"_s, u"Notice %1"_s.arg(i + 1)});
        FilmItem harbour;
        harbour.title = u"harbour at seven"_s;
        harbour.name = QString(64, u'f') + u".mp4"_s;
        harbour.seconds = 20;
        harbour.end = FilmEnd::NextItem; // of itself; in a loop that does not count
        std::vector<Item> items{{loop, rule},
                                {set, pictures},
                                {film, harbour},
                                {countdown, CountdownItem{u"We begin in"_s, std::nullopt, 30}},
                                {song, songItem(samples::harbourSong())}};
        items[2].inLoop.everyRounds = 2;
        for (size_t i = 0; i < 3; ++i)
            items[i].group = GroupId::fromNumber(1);
        return items;
    }
};

inline LoopItem rounds(int count) {
    LoopItem rule;
    rule.title = u"Harbour notices"_s;
    rule.until = LoopUntil::Rounds;
    rule.rounds = count;
    return rule;
}

inline LoopItem lasting(int seconds) {
    LoopItem rule = rounds(1);
    rule.until = LoopUntil::Length;
    rule.length = seconds;
    return rule;
}

/// What runs a service, without windows; the clock is let jump.
struct Running {
    explicit Running(const QString& folder)
        : document(LibraryAddress(folder).mediaFolder(), Journal(folder), samples::theme()),
          book(document, {samples::theme()}),
          player({folder, {}, {}}) {
        book.setOutputs(usualOutputs());
    }
    void begin(std::vector<Item> items) {
        document.insertItems(0, std::move(items), u"x"_s);
        run.begin();
    }
    void change(const ItemId& id, const std::function<void(LoopItem&)>& work) {
        LoopItem rule = *document.service().item(id)->loop();
        work(rule);
        document.change(id, rule, u"x"_s);
    }
    [[nodiscard]] ItemId onScreen() const {
        return run.state().onScreen ? run.state().onScreen->item : ItemId();
    }
    /// "Notice 2", "harbour at seven"; empty = nothing.
    [[nodiscard]] QString shown() const {
        return run.state().onScreen ? stillName(stillOf(*run.state().onScreen, book), document.service())
                                    : QString();
    }
    /// So much later; what came meanwhile, in its order.
    QStringList pass(qint64 seconds) {
        QStringList came;
        QObject listener;
        QObject::connect(&run, &RunController::shown, &listener, [&] { came << shown(); });
        for (qint64 i = 0; i < seconds; ++i)
            Clock::the().jump(kSecond);
        return came;
    }

    ServiceDocument document;
    SlideBook book;
    PlayerClient player;
    RunController run{book, document, player};
    AutoAdvance advance{run, document};
    RunFilm film{run, document, player};
    RunLoop loop{run, document, book, player, film};
    LoopArming arming{run, document, loop};
};

class LoopTest : public testing::Test {
protected:
    LoopTest() { now.run.setDesk(u"run"_s); }

    QTemporaryDir folder;
    Morning morning;
    Running now{folder.path()};
};

} // namespace mivanta
