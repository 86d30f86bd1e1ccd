// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Placing.h"
#include "desk/kit/Tools.h"
#include "session/Session.h"

namespace mivanta {

class OrderSheet;

/// Puts things into the order: where the mark is, where they were dropped, into the chosen loop, or into the
/// place to fill. What has to be loaded or brought in first is, in the background.
class OrderAdding : public QObject {
    Q_OBJECT
public:
    OrderAdding(const Tools& tools, OrderSheet& sheet, QObject* parent = nullptr);

    /// At the mark; while a place to fill is chosen, there and in those behind it.
    void add(const std::vector<FindPick>& picks);
    void addAt(const std::vector<FindPick>& picks, int at);
    void addInto(const std::vector<FindPick>& picks, const ItemId& loop);
    void addItem(const ItemWords& words);
    void addFiles(const QStringList& files);
    void addFilesAt(const QStringList& files, int at);
    void addFilesInto(const QStringList& files, const ItemId& loop);
    void addLoop();
    void addFolder(const QString& folder);
    void addNotice();
    /// Lines from an e-mail or a table.
    void addText(const QString& text, int at);

private:
    [[nodiscard]] PlaceWords placeFrom(int at);
    [[nodiscard]] PlaceWords placeInto(const ItemId& loop);
    [[nodiscard]] PlaceWords placeAtMark();
    void addFolderAt(const QString& folder, int at);
    void fillSlots(const std::vector<FindPick>& picks);
    void fillOne(ItemWords words);

    Session& m_session;
    Prompts& m_prompts;
    ThumbnailStore& m_thumbnails;
    OrderSheet& m_sheet;
};

} // namespace mivanta
