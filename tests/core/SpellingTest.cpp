// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Spelling.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

rc::Gen<QString> anyWord() {
    return rc::gen::map(rc::gen::resize(8, rc::gen::container<std::string>(rc::gen::element('a', 'b', 'c'))),
                        [](const std::string& s) { return QString::fromStdString(s); });
}

/// The same by its definition: slow and plain.
int plainDistance(QStringView a, QStringView b) {
    if (a.isEmpty() || b.isEmpty())
        return int(a.size() + b.size());
    int best = std::min({plainDistance(a.chopped(1), b) + 1, plainDistance(a, b.chopped(1)) + 1,
                         plainDistance(a.chopped(1), b.chopped(1)) + (a.back() == b.back() ? 0 : 1)});
    if (a.size() > 1 && b.size() > 1 && a.back() == b[b.size() - 2] && a[a.size() - 2] == b.back())
        best = std::min(best, plainDistance(a.chopped(2), b.chopped(2)) + 1);
    return best;
}

RC_GTEST_PROP(Spelling, TheDistanceIsWhatItsDefinitionSays, ()) {
    const QString a = (*anyWord()).left(6);
    const QString b = (*anyWord()).left(6);
    const int most = *rc::gen::inRange(0, 4);
    RC_ASSERT(spellingDistance(a, b, most) == std::min(plainDistance(a, b), most + 1));
}

TEST(Spelling, LongWordsAreForgivenMore) {
    EXPECT_EQ(forgivenLetters(3), 0);
    EXPECT_EQ(forgivenLetters(5), 1);
    EXPECT_EQ(forgivenLetters(9), 2);
    EXPECT_EQ(spellingDistance(u"harbuor", u"harbour", 2), 1);
    EXPECT_EQ(spellingDistance(QString(200, u'a'), QString(200, u'a'), 2), 0);
}

} // namespace
} // namespace mivanta
