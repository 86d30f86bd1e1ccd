// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/RowFields.h"
#include "session/Session.h"
#include "session/library/RecordBin.h"
#include <QMenu>
#include <QPointer>

namespace mivanta {

/// The button that opens a bin.
inline QToolButton* makeBinButton(const char* name, const QString& tip, QMenu* menu, QWidget* parent) {
    QToolButton* button = makeIconButton(name, QStringLiteral("trash-2"), tip, parent);
    button->setAccessibleName(Said::tr("Bin"));
    button->setPopupMode(QToolButton::InstantPopup);
    button->setMenu(menu);
    return button;
}

/// Adds what can be done with a bin: the records in it, each to be restored, and emptying it. `restored`: one
/// is out of it.
template <typename T>
void addBin(QMenu* menu, Session& session, Prompts& prompts,
            const std::function<void(const typename RecordBin<T>::Id&)>& restored) {
    using Bin = RecordBin<T>;
    using Id = typename Bin::Id;
    QAction* looking = menu->addAction(Said::tr("Looking\u2026"));
    looking->setEnabled(false);
    const auto restore = [&session, menu, restored](const Id& id) {
        session.library().ask<void>(
            menu, [id](Library& library) { return Bin::restore(library, id); },
            [&session, restored, id](const Result<void>& done) {
                if (done)
                    restored(id);
                else
                    Q_EMIT session.problem(done.error());
            });
    };
    const auto empty = [&session, menu] {
        session.library().ask<int>(
            menu, [](Library& library) { return Bin::empty(library); },
            [&session](const Result<int>& done) {
                if (!done)
                    Q_EMIT session.problem(done.error());
            });
    };
    session.library().ask<std::vector<Binned<Id>>>(
        menu, [](Library& library) { return Bin::all(library); },
        [menu, looking = QPointer(looking), &prompts, restore,
         empty](const Result<std::vector<Binned<Id>>>& bin) {
            if (!looking)
                return; // the menu was opened anew meanwhile
            delete looking;
            if (!bin || bin->empty()) {
                menu->addAction(Said::tr("The bin is empty"))->setEnabled(false);
                return;
            }
            constexpr size_t kMostShown = 20;
            for (size_t i = 0; i < std::min(bin->size(), kMostShown); ++i)
                menu->addAction(Said::tr("Restore \u201c%1\u201d").arg((*bin)[i].title), menu,
                                [restore, id = (*bin)[i].id] { restore(id); });
            menu->addSeparator();
            menu->addAction(Said::tr("Empty the bin\u2026"), menu,
                            [&prompts, empty, counted = Bin::counted(int(bin->size()))] {
                                if (prompts.removeForGood(counted))
                                    empty();
                            });
        });
}

} // namespace mivanta
