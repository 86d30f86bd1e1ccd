// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/SungFacts.h"
#include "desk/kit/Style.h"
#include <QLocale>

namespace mivanta {

SungFacts::SungFacts(LibraryClient& library, QWidget* parent) : QLabel(parent), m_library(library) {
    setObjectName(QStringLiteral("sung-facts"));
    setWordWrap(true);
    setTextFormat(Qt::PlainText);
    setStyleSheet(QStringLiteral("color: %1").arg(day().quiet.name()));
}

void SungFacts::setSong(const SongId& id) {
    m_song = id;
    clear();
    setToolTip({});
    if (!id.isNull())
        m_library.uses(this, id, [this, id](const Result<std::vector<SongUse>>& uses) {
            if (id == m_song && uses)
                showUses(*uses);
        });
}

void SungFacts::showUses(const std::vector<SongUse>& uses) {
    if (uses.empty()) {
        setText(tr("Not sung here yet"));
        return;
    }
    const auto day = [](const SongUse& use) {
        return QLocale().toString(use.at.date(), tr("d MMMM yyyy", "date format"));
    };
    setText(uses.size() == 1
                ? tr("Sung once, on %1").arg(day(uses.front()))
                : tr("Sung %n times, last on %1", nullptr, int(uses.size())).arg(day(uses.front())));
    constexpr size_t kMostNamed = 12;
    QStringList named;
    for (size_t i = 0; i < std::min(uses.size(), kMostNamed); ++i)
        named << day(uses[i]) + (uses[i].serviceTitle.isEmpty() ? QString() : u' ' + uses[i].serviceTitle);
    setToolTip(named.join(u'\n'));
}

} // namespace mivanta

#include "moc_SungFacts.cpp"
