// SPDX-License-Identifier: GPL-3.0-or-later
#include "Editing.h"
#include "Figures.h"
#include "SongMaker.h"
#include "Timing.h"
#include "desk/song/SongEditor.h"
#include "desk/song/Speller.h"
#include "desk/song/WordsSheet.h"
#include "session/library/RecordDraft.h"
#include <QApplication>
#include <QElapsedTimer>
#include <QKeyEvent>

namespace mivanta {

namespace {

/// As long as something is to be laid out or painted.
void settle() {
    for (int i = 0; i < 3; ++i)
        QCoreApplication::processEvents();
}

Song withChords(Song song) {
    for (Part& part : song.parts)
        for (Line& line : part.lines)
            line.chords = {{0, u"G"_s}, {int(line.words.size()) / 2, u"D/F#"_s}};
    return song;
}

Song ofManyParts(int parts) {
    SongMaker maker;
    Song song = withChords(maker.make(1));
    const std::vector<Part> some = song.parts;
    song.parts.clear();
    for (int p = 0; p < parts; ++p) {
        Part part = some[size_t(p) % some.size()];
        part.id = PartId::create();
        part.kind = PartKind::Verse;
        part.number = p + 1;
        song.parts.push_back(std::move(part));
    }
    return song;
}

double open(SongDraft& draft, const Song& song) {
    QElapsedTimer time;
    time.start();
    draft.load(song);
    settle();
    return msOf(time);
}

std::vector<double> type(SongEditor& editor, int letters) {
    QWidget* words = editor.findChild<WordsSheet*>();
    words->setFocus();
    std::vector<double> times;
    for (int i = 0; i < letters; ++i) {
        QElapsedTimer time;
        time.start();
        const QString letter(QLatin1Char("abcde "[i % 6]));
        QKeyEvent press(QEvent::KeyPress, Qt::Key_A, Qt::NoModifier, letter);
        QApplication::sendEvent(words, &press);
        settle();
        times.push_back(msOf(time));
    }
    return times;
}

} // namespace

void benchEditing(Figures& figures, const QString& folder) {
    DialogPrompts prompts(nullptr);
    Speller speller(folder + u"/own-words.txt"_s);
    SongDraft draft;
    QWidget window; // the editor adds its keys to its parent
    SongEditor editor(draft, prompts, speller, &window);
    editor.resize(700, 750);
    window.resize(700, 750);
    window.show();
    SongMaker maker;
    std::vector<double> opened;
    for (int i = 0; i < 300; ++i)
        opened.push_back(open(draft, withChords(maker.make(i))));
    opened.erase(opened.begin()); // the first one loads fonts and the dictionary
    figures.addTimes(u"opening a song in the editor, to painted"_s, opened);
    figures.addTimes(u"a letter typed into it"_s, type(editor, 200));
    for (const int parts : {100, 2000}) {
        const Song song = ofManyParts(parts);
        figures.addTimes(u"opening a song of %1 parts"_s.arg(parts),
                         {open(draft, song), open(draft, song), open(draft, song)});
        figures.addTimes(u"a letter typed into a song of %1 parts"_s.arg(parts),
                         type(editor, parts > 1000 ? 20 : 100));
    }
}

} // namespace mivanta
