// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/find/FindList.h"
#include "desk/prepare/PasteOrder.h"
#include "formats/ServiceFile.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QTimer>

namespace mivanta {
namespace {

/// A line of the demo's order, and what is typed into Find for it.
struct DemoLine {
    const char16_t* typed;
    const char16_t* title; ///< "# …" = a heading
};

constexpr DemoLine kDemoOrder[]{
    {nullptr, u"# Gathering"},
    {u"welcome at the har", u"Words of welcome at the harbour"},
    {u"morning over", u"Morning over Quillhaven"},
    {u"lantern on", u"Lantern on the Water"},
    {u"every tide", u"Every Tide"},
    {nullptr, u"# The Word"},
    {u"luke 5:1-11", u"Luke 5:1\u201311"},
    {u"psalm 23", u"Psalm 23"},
    {u"etoile", u"Étoile du port"},
    {u"eight bells", u"Eight Bells over the Water"},
    {u"\u05d0\u05d5\u05e8 \u05e2\u05dc", u"\u05d0\u05d5\u05e8 \u05e2\u05dc \u05d4\u05de\u05d9\u05dd"},
    {nullptr, u"# Response"},
    {u"prayer of the", u"Prayer of the crew"},
    {u"nets are full", u"The Nets Are Full"},
    {u"salt and br", u"Salt and Bread"},
    {u"hold fast", u"Hold Fast the Line"},
    {nullptr, u"# Sending"},
    {u"notices for", u"Notices for the week"},
    {nullptr, u"[pictures]"},
    {u"bless the ha", u"Bless the Hands"},
    {u"all the boats", u"All the Boats Are Home"},
};

bool isPictures(const DemoLine& line) {
    return QString::fromUtf16(line.title) == u"[pictures]"_s;
}

QStringList pictureFiles() {
    QStringList files;
    for (const auto& name : {u"fleet-at-dawn"_s, u"nets-on-the-quay"_s, u"lighthouse"_s})
        files << QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/pictures/") + name + u".jpg"_s;
    return files;
}

QString headingOf(const DemoLine& line) {
    const QString title = QString::fromUtf16(line.title);
    return title.startsWith(u"# "_s) ? title.mid(2) : QString();
}

/// What a service file says, without the ids that are never twice the same.
QJsonObject withoutIds(const QString& path) {
    const auto opened = openService(path);
    EXPECT_TRUE(opened);
    QJsonObject json = serviceToJson(opened->service);
    json.remove(u"id"_s);
    QJsonArray items = json[u"items"_s].toArray();
    for (int i = 0; i < items.size(); ++i) {
        QJsonObject item = items[i].toObject();
        item.remove(u"id"_s);
        items[i] = item;
    }
    json[u"items"_s] = items;
    return json;
}

/// The demo's order, built from nothing.
class DemoByHand : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
        importDemoScripture();
    }
    QListView* results() { return desk(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s); }
    OrderView* sheet() { return static_cast<OrderView*>(window->findChild<OrderSheet*>()->view()); }
    /// Finds a line's item by keys; where it stands among the results.
    QModelIndex find(const DemoLine& line) {
        const QString title = QString::fromUtf16(line.title);
        press(Qt::Key_F, Qt::ControlModifier);
        press(Qt::Key_A, Qt::ControlModifier);
        press(Qt::Key_Delete);
        type(QString::fromUtf16(line.typed));
        EXPECT_TRUE(waitUntil([&] { return results()->currentIndex().data().toString().startsWith(title); }))
            << title.toStdString() << " " << results()->currentIndex().data().toString().toStdString();
        return results()->currentIndex();
    }
    void waitForItems(qsizetype count) {
        ASSERT_TRUE(waitUntil([&] { return titles().size() == count; })) << titles().join(u'/').toStdString();
    }
    /// The menu of everything that Find does not find, by its key and the entry's letter.
    void addPicturesByKeys() {
        answers->files = pictureFiles();
        QTimer::singleShot(300, window.get(), [] {
            ASSERT_TRUE(QApplication::activePopupWidget());
            QTest::keyClick(QApplication::activePopupWidget(), Qt::Key_P);
        });
        press(Qt::Key_A, Qt::ControlModifier | Qt::ShiftModifier);
        takeFocusBack();
    }
    /// No window manager does it when a menu or a dialog is gone.
    void takeFocusBack() {
        window->activateWindow();
        ASSERT_TRUE(waitUntil([&] { return window->isActiveWindow(); }));
    }
    /// Lets go of what is dragged between two rows: before the row, or behind the last one.
    void dropAt(QMimeData* data, int row) {
        const QAbstractItemModel* model = sheet()->model();
        const QPoint at = row < model->rowCount()
                              ? sheet()->visualRect(model->index(row, 0)).topLeft() + QPoint(60, 1)
                              : QPoint(60, sheet()->viewport()->height() - 3);
        Dropping dragged(data);
        EXPECT_TRUE(dragged.drop(sheet()->viewport(), at));
    }
    void saveAs(const QString& name) {
        takeFocusBack();
        answers->saveTo = folder.filePath(name);
        press(Qt::Key_S, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return !session->document().isModified(); }))
            << window->notices()->text().toStdString();
    }
    void nameByKeys() {
        answers->typed = u"Sea Harvest Sunday"_s;
        press(Qt::Key_T, Qt::ControlModifier | Qt::ShiftModifier);
        answers->typed = u"Quillhaven Harbour Chapel"_s;
        press(Qt::Key_W, Qt::ControlModifier | Qt::ShiftModifier);
        answers->typed = u"2026-10-04 10:30"_s;
        press(Qt::Key_B, Qt::ControlModifier | Qt::ShiftModifier);
    }
};

TEST_F(DemoByHand, KeysAloneAndDragsAloneMakeTheSameFile) {
    nameByKeys();
    for (const DemoLine& line : kDemoOrder) {
        const auto count = titles().size();
        if (const QString heading = headingOf(line); !heading.isEmpty()) {
            answers->typed = heading;
            press(Qt::Key_H, Qt::ControlModifier);
        } else if (isPictures(line)) {
            addPicturesByKeys();
        } else {
            find(line);
            press(Qt::Key_Return);
        }
        waitForItems(count + 1);
    }
    saveAs(u"keys.mivanta"_s);

    press(Qt::Key_N, Qt::ControlModifier);
    waitForItems(0);
    answers->typed = u"Sea Harvest Sunday"_s; // the names are clicked on
    QTest::mouseClick(child<QLabel>(u"sheet-title"_s), Qt::LeftButton);
    answers->typed = u"2026-10-04 10:30"_s;
    QTest::mouseClick(child<QLabel>(u"sheet-place"_s), Qt::LeftButton);
    session->document().setPlace(u"Quillhaven Harbour Chapel"_s);
    // Everything but the headings from the last to the first, each dropped before the others.
    int count = 0;
    for (auto line = std::rbegin(kDemoOrder); line != std::rend(kDemoOrder); ++line) {
        if (!headingOf(*line).isEmpty())
            continue;
        dropAt(isPictures(*line) ? filesToDrag(pictureFiles()) : results()->model()->mimeData({find(*line)}),
               0);
        waitForItems(++count);
    }
    // The headings as lines from elsewhere, where they belong.
    int row = 0;
    for (const DemoLine& line : kDemoOrder) {
        if (!headingOf(line).isEmpty()) {
            auto* text = new QMimeData;
            text->setText(QString::fromUtf16(line.title));
            dropAt(text, row);
            PasteOrder* dialog = nullptr;
            ASSERT_TRUE(waitUntil([&] {
                dialog = window->findChild<PasteOrder*>();
                return dialog && dialog->findChild<QTableWidget*>(u"paste-lines"_s)->rowCount() == 1;
            }));
            QTest::mouseClick(dialog->findChild<QPushButton*>(u"paste-take"_s), Qt::LeftButton);
            waitForItems(++count);
            ASSERT_TRUE(waitUntil([&] { return !window->findChild<PasteOrder*>(); }));
        }
        ++row;
    }
    // One is dragged away and back again.
    const auto before = titles();
    dropAt(sheet()->model()->mimeData({sheet()->model()->index(3, 0)}), 1);
    EXPECT_EQ(titles()[1], u"Lantern on the Water"_s);
    dropAt(sheet()->model()->mimeData({sheet()->model()->index(1, 0)}), 4);
    EXPECT_EQ(titles(), before);
    saveAs(u"drags.mivanta"_s);

    EXPECT_EQ(withoutIds(folder.filePath(u"keys.mivanta"_s)),
              withoutIds(folder.filePath(u"drags.mivanta"_s)));
    EXPECT_EQ(titles().size(), qsizetype(std::size(kDemoOrder)));
}

} // namespace
} // namespace mivanta
