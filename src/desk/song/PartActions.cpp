// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/PartActions.h"
#include "core/song/PartEdits.h"
#include "desk/song/WordsSheet.h"
#include <QAction>
#include <QMenu>

namespace mivanta {

namespace {

constexpr PartKind kKinds[]{PartKind::Verse, PartKind::Chorus,    PartKind::PreChorus, PartKind::Bridge,
                            PartKind::Intro, PartKind::Interlude, PartKind::Tag,       PartKind::Ending};

} // namespace

PartActions::PartActions(SongDraft& draft, Prompts& prompts, Speller& speller, WordsSheet& words)
    : QObject(&words),
      m_draft(draft),
      m_prompts(prompts),
      m_speller(speller),
      m_words(words) {
    const std::pair<const char*, Which> keys[]{
        {"Ctrl+Shift+Return", Split},  {"Ctrl+J", Join},   {"Ctrl+D", Copy},
        {"Ctrl+Shift+Delete", Delete}, {"Alt+Up", MoveUp}, {"Alt+Down", MoveDown}};
    for (const auto& [key, which] : keys) {
        auto* onKey = new QAction(this);
        onKey->setShortcut(QKeySequence(QString::fromLatin1(key)));
        onKey->setShortcutContext(Qt::WidgetShortcut);
        connect(onKey, &QAction::triggered, this, [this, which = which] {
            if (!m_words.parts().empty())
                run(action(which), m_words.place().part);
        });
        m_words.addAction(onKey);
    }
    connect(&m_words, &WordsSheet::partMenuWanted, this, &PartActions::showMenu);
}

PartActions::Action PartActions::action(Which which) const {
    switch (which) {
    case Split:
        return {tr("splitting the part"),
                [place = m_words.place()](Song& song, int) { splitPart(song, place); }, 1};
    case Join:
        return {tr("joining parts"), [](Song& song, int part) { mergeWithNext(song, part); }};
    case Copy:
        return {tr("copying the part"), [](Song& song, int part) { duplicatePart(song, part); }, 1};
    case MoveUp:
        return {tr("moving the part"), [](Song& song, int part) { movePart(song, part, part - 1); }, -1};
    case MoveDown:
        return {tr("moving the part"), [](Song& song, int part) { movePart(song, part, part + 2); }, 1};
    case Delete:
        break;
    }
    return {tr("deleting the part"), [](Song& song, int part) { removePart(song, part); }};
}

void PartActions::run(const Action& action, int part) {
    const WordsPlace before = m_words.place();
    m_draft.change(action.what, [&](Song& song) {
        giveEveryPartALine(song.parts);
        action.work(song, part);
    });
    const int caret = part + action.caret;
    if (action.caret != 0 || before.part != part)
        m_words.setPlace({std::clamp(caret, 0, std::max(0, int(m_words.parts().size()) - 1)), 0, 0});
    m_words.setFocus();
}

QString PartActions::askName(const QString& before) {
    return m_prompts.text(tr("What is this part called?"), before).trimmed();
}

void PartActions::fillAddMenu(QMenu* menu) {
    const int before = m_words.parts().empty() ? 0 : m_words.place().part + 1;
    const auto add = [this, before](PartKind kind, const QString& name) {
        const Work work = [=](Song& song, int) { addPart(song, before, kind, name); };
        run({tr("a new part"), work, 1}, before - 1);
    };
    for (const PartKind kind : kKinds)
        menu->addAction(partKindName(kind), this, [add, kind] { add(kind, {}); });
    menu->addAction(tr("Another name\u2026"), this, [this, add] {
        if (const QString name = askName({}); !name.isEmpty())
            add(PartKind::Other, name);
    });
}

void PartActions::showMenuAtCaret() {
    if (!m_words.parts().empty())
        showMenu(m_words.place().part, m_words.viewport()->mapToGlobal(m_words.cursorRect().bottomLeft()));
}

void PartActions::showMenu(int part, const QPoint& globalPlace) {
    const QString wrong = m_words.wrongWord();
    if (wrong.isEmpty()) {
        popUp(part, globalPlace, {}, {});
        return;
    }
    m_speller.suggest(wrong, [this, part, globalPlace, wrong](const QStringList& better) {
        popUp(part, globalPlace, wrong, better);
    });
}

void PartActions::popUp(int part, const QPoint& globalPlace, const QString& wrong,
                        const QStringList& better) {
    if (!m_draft.record() || part < 0 || part >= int(m_words.parts().size()))
        return;
    auto* menu = new QMenu(&m_words);
    menu->setObjectName(QStringLiteral("part-actions"));
    menu->setAttribute(Qt::WA_DeleteOnClose);
    if (!wrong.isEmpty())
        addSpelling(menu, wrong, better);
    addKinds(menu, part);
    addNotes(menu, part);
    menu->addSeparator();
    const std::pair<QString, Which> actions[]{{tr("Split at the caret\tCtrl+Shift+Return"), Split},
                                              {tr("Join with the next\tCtrl+J"), Join},
                                              {tr("Copy\tCtrl+D"), Copy},
                                              {tr("Move up\tAlt+Up"), MoveUp},
                                              {tr("Move down\tAlt+Down"), MoveDown},
                                              {tr("Delete\tCtrl+Shift+Delete"), Delete}};
    for (const auto& [text, which] : actions)
        if (which != Split || m_words.place().part == part)
            menu->addAction(text, this, [this, which = which, part] { run(action(which), part); });
    menu->addSeparator();
    menu->addAction(tr("Copy the marked words\tCtrl+C"), &m_words, &WordsSheet::copy);
    menu->addAction(tr("Paste\tCtrl+V"), this, &PartActions::pasteWanted);
    menu->popup(globalPlace);
}

void PartActions::addSpelling(QMenu* menu, const QString& wrong, const QStringList& better) {
    for (const QString& word : better)
        menu->addAction(word, this, [this, word] { m_words.replaceWord(word); });
    if (better.isEmpty())
        menu->addAction(tr("No suggestion for \u201c%1\u201d").arg(wrong))->setEnabled(false);
    menu->addAction(tr("\u201c%1\u201d is right: remember it").arg(wrong), this,
                    [this, wrong] { m_speller.add(wrong); });
    menu->addSeparator();
}

void PartActions::addKinds(QMenu* menu, int part) {
    const Part now = m_words.parts()[size_t(part)];
    const auto set = [this, part](PartKind kind, const QString& name) {
        run({tr("the part's kind"), [=](Song& song, int p) { setPartKind(song, p, kind, name); }}, part);
    };
    QMenu* kinds = menu->addMenu(tr("Kind: %1").arg(now.label()));
    for (const PartKind kind : kKinds) {
        QAction* one = kinds->addAction(partKindName(kind), this, [set, kind] { set(kind, {}); });
        one->setCheckable(true);
        one->setChecked(now.kind == kind);
    }
    kinds->addAction(tr("Another name\u2026"), this, [this, set, now] {
        if (const QString name = askName(now.name); !name.isEmpty())
            set(PartKind::Other, name);
    });
}

void PartActions::addNotes(QMenu* menu, int part) {
    const Part now = m_words.parts()[size_t(part)];
    QAction* band = menu->addAction(tr("Band only, on no hall screen"), this, [this, part] {
        run({tr("band only"),
             [](Song& song, int p) { song.parts[size_t(p)].bandOnly = !song.parts[size_t(p)].bandOnly; }},
            part);
    });
    band->setCheckable(true);
    band->setChecked(now.bandOnly);
    menu->addAction(tr("Note for the musicians\u2026"), this, [this, part, now] {
        const QString note =
            m_prompts.text(tr("Note for the musicians, such as \u201csoftly\u201d"), now.comment);
        if (!note.isNull())
            run({tr("a note"),
                 [note](Song& song, int p) { song.parts[size_t(p)].comment = note.simplified(); }},
                part);
    });
}

} // namespace mivanta

#include "moc_PartActions.cpp"
