// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/Text.h"
#include <QJsonDocument>
#include <QProcess>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {

inline const QString kDemo = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo");

/// What a call of the program answered.
struct Ran {
    int code = -1;
    QByteArray out;
    QString err;
    [[nodiscard]] QJsonDocument json() const { return QJsonDocument::fromJson(out); }
};

/// The command line, with a library of its own.
class Cli : public ::testing::Test {
protected:
    Ran run(const QStringList& arguments) const {
        QProcess process;
        process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-cli"),
                      QStringList{u"--library"_s, folder.filePath(u"lib"_s)} + arguments);
        EXPECT_TRUE(process.waitForFinished(240'000));
        EXPECT_EQ(process.exitStatus(), QProcess::NormalExit);
        return {process.exitCode(), process.readAllStandardOutput(),
                QString::fromUtf8(process.readAllStandardError())};
    }
    void importDemo() const { ASSERT_EQ(run({u"import"_s, kDemo + u"/songs"_s}).code, 0); }
    void importDemoScripture() const {
        ASSERT_EQ(run({u"import"_s, kDemo + u"/scripture/quayside"_s, u"--translation"_s, u"QST"_s}).code, 0);
        ASSERT_EQ(
            run({u"import"_s, kDemo + u"/scripture/hafenmuster.osis.xml"_s, u"--translation"_s, u"HMT"_s})
                .code,
            0);
        ASSERT_EQ(run({u"import"_s, kDemo + u"/texts"_s, u"--texts"_s}).code, 0);
    }
    QTemporaryDir folder;
};

} // namespace mivanta
