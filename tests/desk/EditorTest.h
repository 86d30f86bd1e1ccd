// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "Window.h"
#include "desk/song/WordsSheet.h"
#include "store/Library.h"
#include <QLineEdit>
#include <QPushButton>

namespace mivanta {

/// The editor on the Library desk, driven by keys.
class Editor : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        press(Qt::Key_1, Qt::AltModifier);
    }

    /// On this desk: others have widgets of the same names.
    template <typename T>
    T* child(const QString& name) {
        T* found = window->findChild<QWidget*>(u"song-library"_s)->findChild<T*>(name);
        EXPECT_TRUE(found) << name.toStdString();
        return found;
    }

    WordsSheet* words() { return child<WordsSheet>(u"words-sheet"_s); }
    QLineEdit* order() { return child<QLineEdit>(u"order-text"_s); }
    QString titleShown() { return child<QLabel>(u"song-title"_s)->text(); }

    void openSong(const QString& query, const QString& title) {
        press(Qt::Key_F, Qt::ControlModifier);
        type(query);
        ASSERT_TRUE(waitUntil([&] { return titleShown() == title; })) << titleShown().toStdString();
        press(Qt::Key_F2);
        ASSERT_TRUE(words()->hasFocus());
    }

    void newSong(const QString& title) {
        press(Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
        auto* box = child<QLineEdit>(u"detail-title"_s);
        ASSERT_TRUE(waitUntil([&] { return box->hasFocus() && box->hasSelectedText(); }));
        type(title);
        press(Qt::Key_F2);
        ASSERT_TRUE(words()->hasFocus());
    }

    void save() {
        press(Qt::Key_S, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return !child<QPushButton>(u"save-song"_s)->isVisible(); }));
    }

    /// The song as it is in the library now.
    Song stored(const QString& title) {
        auto library = Library::open(libraryFolder);
        const auto hits = (*library)->find(title, 1);
        return hits && !hits->empty() ? *(*library)->song(hits->front().song.id) : Song();
    }

    QStringList labels() {
        QStringList result;
        for (const Part& part : words()->parts())
            result << part.label();
        return result;
    }
};

} // namespace mivanta
