// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"
#include "support/Text.h"
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {

/// An empty library in a folder of its own.
class LibraryTest : public ::testing::Test {
protected:
    void SetUp() override { open(); }
    void open() {
        library.reset();
        auto opened = Library::open(path(u"library"_s));
        ASSERT_TRUE(opened) << opened.error().text().toStdString();
        library = std::move(*opened);
    }
    [[nodiscard]] QString path(const QString& name) const { return folder.filePath(name); }
    QString file(const QString& name, const QByteArray& bytes) const {
        QDir().mkpath(QFileInfo(path(name)).path());
        QFile out(path(name));
        EXPECT_TRUE(out.open(QIODevice::WriteOnly));
        out.write(bytes);
        return path(name);
    }
    [[nodiscard]] QString outcomes(const QStringList& paths) const {
        static const char* const letters = "AC=X-";
        QString result;
        for (const ImportEntry& entry : library->import(paths))
            result += QLatin1Char(letters[int(entry.outcome)]);
        return result;
    }
    QStringList found(const QString& query) const {
        const auto hits = library->find(query);
        EXPECT_TRUE(hits);
        QStringList titles;
        for (const SongHit& hit : *hits)
            titles << hit.song.title;
        return titles;
    }

    QTemporaryDir folder;
    std::unique_ptr<Library> library;
};

} // namespace mivanta
