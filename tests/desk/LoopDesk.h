// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/prepare/OrderSheet.h"
#include "support/Samples.h"
#include "support/TestFilm.h"
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {

/// Loops on the real window, with actions counted where that is the point.
class LoopDesk : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        session->document().setStart(QDateTime(Clock::the().date(), QTime(10, 30)));
        pictures = folder.filePath(u"notices"_s);
        QDir().mkpath(pictures);
        for (const QString& name : {u"1 bread"_s, u"2 nets"_s, u"3 choir"_s})
            save(name);
        actions = 0;
    }
    void save(const QString& name) {
        QImage image(64, 36, QImage::Format_RGB32);
        image.fill(QColor::fromHsv(int(qHash(name) % 360), 200, 200)); // another content each
        ASSERT_TRUE(image.save(pictures + u'/' + name + u".png"_s));
    }
    OrderSheet* sheet() { return window->findChild<OrderSheet*>(); }
    /// Lets something go over the sheet, below its last row; or on a row.
    void dropOnSheet(const QStringList& files, int row = -1) {
        Dropping dropping(filesToDrag(files));
        QWidget* view = sheet()->view()->viewport();
        const QRect area = row < 0 ? QRect() : sheet()->view()->visualRect(sheet()->model()->index(row, 0));
        ASSERT_TRUE(dropping.drop(view, row < 0 ? QPoint(20, view->height() - 5) : area.center()));
        ++actions;
    }
    void menu(const char* name) {
        child<QToolButton>(u"add-menu"_s)->menu()->findChild<QAction*>(QLatin1String(name))->trigger();
        ++actions;
    }
    void choose(const QString& box, const QString& text) {
        WindowTest::choose(box, text);
        ++actions;
    }
    void write(const QString& field, const QString& text) {
        auto* edit = child<QLineEdit>(field);
        edit->setFocus();
        edit->selectAll();
        type(text);
        press(Qt::Key_Return);
        ++actions; // the click into it
    }
    [[nodiscard]] const std::vector<Item>& items() const { return session->document().service().items; }
    [[nodiscard]] const Item* loop() const {
        const auto at =
            std::find_if(items().begin(), items().end(), [](const Item& item) { return item.loop(); });
        return at == items().end() ? nullptr : &*at;
    }
    void waitForItems(size_t count) {
        ASSERT_TRUE(waitUntil([&] { return items().size() == count; }, 60'000)) << items().size();
    }
    QString film() {
        const QString path = folder.filePath(u"harbour at seven.mp4"_s);
        EXPECT_TRUE(makeFilm(path));
        return path;
    }
    QString label(const QString& name) { return child<QLabel>(name)->text(); }

    QString pictures;
    int actions = 0;
};

} // namespace mivanta
