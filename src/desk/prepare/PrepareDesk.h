// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/find/FindPanel.h"
#include "desk/kit/Placing.h"
#include "desk/kit/Tools.h"
#include "desk/prepare/Bench.h"
#include "desk/prepare/OrderSheet.h"
#include "desk/prepare/ServiceDetails.h"
#include "desk/sending/Sender.h"
#include "session/Session.h"

class QAction;
class QStackedLayout;
class QToolButton;

namespace mivanta {

class EmptyState;

class OrderAdding;
class OrderSender;
class WordsInService;

/// Where a service is put together: the order sheet, the chosen item's bench, and Find.
class PrepareDesk : public QWidget {
    Q_OBJECT
public:
    /// `fileActions` go to the row over the sheet, before those of the sheet itself.
    PrepareDesk(const Tools& tools, const std::vector<QAction*>& fileActions, QWidget* parent = nullptr);

    void focusFind();
    /// Loads what was picked and puts it where the mark is, in its order.
    void add(const std::vector<FindPick>& picks);
    /// A picture or film is behind the words of the service from now on.
    void setBackdrop(const QString& path);
    void undo();
    void redo();
    void selectItem(const ItemId& id);

Q_SIGNALS:
    void openInLibrary(const mivanta::FindPick& pick);
    void beginWithWanted();
    void openWanted();
    void newSongWanted(const QString& text); ///< from words that were pasted
    void liveSetupWanted();

private:
    QWidget* buildSheetColumn(const std::vector<QAction*>& fileActions);
    QWidget* buildFindColumn(const Tools& tools);
    QAction* sheetAction(const QString& name, const QString& iconName, const QString& text,
                         const QString& tip);
    void addMoment(const ItemWords& words);
    void showWanted();
    void takeLook(const std::vector<ItemId>& onto, const LookDrop& drop);
    void addHeading();
    /// Every song of the service, as it stands here.
    void sendSheets(SendWay way);
    void buildSheetMenu();
    void previewFound();

    Session& m_session;
    Prompts& m_prompts;
    ServiceDetails m_details;
    Sender& m_sender;
    OrderSender* m_orderSender;
    OrderSheet* m_sheet;
    OrderAdding* m_adding;
    QStackedLayout* m_pages; ///< the order; a song's words in this service
    WordsInService* m_words;
    Bench* m_bench;
    EmptyState* m_nothing; ///< what can be done while the order is empty
    FindPanel* m_find;
    PictureView* m_preview;
};

} // namespace mivanta
