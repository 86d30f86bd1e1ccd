// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/OrderAdding.h"
#include "desk/prepare/FileDrops.h"
#include "desk/prepare/LoopDrops.h"
#include "desk/prepare/NoticeForm.h"
#include "desk/prepare/OrderSheet.h"
#include "desk/prepare/PasteOrder.h"
#include <QFileInfo>
#include <algorithm>

namespace mivanta {

OrderAdding::OrderAdding(const Tools& tools, OrderSheet& sheet, QObject* parent)
    : QObject(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_thumbnails(tools.thumbnails),
      m_sheet(sheet) {}

void OrderAdding::add(const std::vector<FindPick>& picks) {
    const Item* current = m_session.document().service().item(m_sheet.current());
    if (current && current->isSlot())
        fillSlots(picks);
    else
        placePicks(m_session, m_prompts, this, picks, placeAtMark());
}

void OrderAdding::addAt(const std::vector<FindPick>& picks, int at) {
    placePicks(m_session, m_prompts, this, picks, placeFrom(at));
}

/// Puts one behind the other, from there on; what comes at once is one step of undo.
PlaceWords OrderAdding::placeFrom(int at) {
    return [this, row = std::make_shared<int>(at)](std::vector<ItemWords> words) {
        std::vector<Item> items;
        for (ItemWords& each : words)
            items.push_back({ItemId::create(), std::move(each)});
        const ItemId last = items.back().id;
        const QString what = items.size() == 1 ? tr("adding %1").arg(items.front().title())
                                               : tr("adding %n items", nullptr, int(items.size()));
        m_session.document().insertItems(*row, std::move(items), what);
        *row += int(words.size());
        m_sheet.select(last);
    };
}

/// What is added while a loop is chosen joins it.
PlaceWords OrderAdding::placeInto(const ItemId& loop) {
    return [this, loop](std::vector<ItemWords> words) {
        const Service& service = m_session.document().service();
        const Item* header = service.item(loop);
        if (!header || !header->loop())
            return;
        const QString what = tr("adding to the loop %1").arg(header->title());
        m_session.document().insertItems(behindLoop(*header, service),
                                         membersOfWords(*header, std::move(words)), what);
        m_sheet.select(loop);
    };
}

/// While a loop is chosen, what one puts into loops joins it; a song that comes then is the next item.
PlaceWords OrderAdding::placeAtMark() {
    const Item* current = m_session.document().service().item(m_sheet.current());
    if (!current || !current->loop())
        return placeFrom(m_sheet.markerRow());
    return [into = placeInto(current->id),
            behind = placeFrom(m_sheet.markerRow())](std::vector<ItemWords> words) {
        const bool hasSong = std::any_of(words.begin(), words.end(), [](const ItemWords& each) {
            return std::holds_alternative<SongItem>(each);
        });
        (hasSong ? behind : into)(std::move(words));
    };
}

void OrderAdding::addInto(const std::vector<FindPick>& picks, const ItemId& loop) {
    placePicks(m_session, m_prompts, this, picks, placeInto(loop));
}

void OrderAdding::addItem(const ItemWords& words) {
    placeAtMark()({words});
}

void OrderAdding::addFiles(const QStringList& files) {
    const Item* current = m_session.document().service().item(m_sheet.current());
    if (current && current->loop())
        addFilesInto(files, current->id);
    else
        addFilesAt(files, m_sheet.markerRow());
}

void OrderAdding::addFilesInto(const QStringList& files, const ItemId& loop) {
    placeIntoLoop(m_session, m_prompts, this, loop, files);
}

void OrderAdding::addLoop() {
    m_sheet.select(m_session.document().insert(
        m_sheet.markerRow(), usualLoop(m_session.document().service(), tr("Notices, round and round"))));
}

void OrderAdding::addFolder(const QString& folder) {
    addFolderAt(folder, m_sheet.markerRow());
}

/// The notice is kept under Texts and comes where the mark is.
void OrderAdding::addNotice() {
    auto* form = new NoticeForm(m_session, m_prompts, m_thumbnails, m_sheet.window());
    connect(form, &NoticeForm::made, this, [this](const SpokenText& text) { addItem(textItem(text)); });
    form->open();
}

/// A folder becomes a loop of what is in it.
void OrderAdding::addFilesAt(const QStringList& files, int at) {
    QStringList rest;
    for (const QString& file : files)
        if (QFileInfo(file).isDir())
            addFolderAt(file, at);
        else
            rest << file;
    if (!rest.isEmpty())
        placeFiles(m_session, this, rest, placeFrom(at));
}

void OrderAdding::addFolderAt(const QString& folder, int at) {
    placeFolderAsLoop(m_session, m_prompts, this, folder, at,
                      [this](const ItemId& loop) { m_sheet.select(loop); });
}

/// Fills the place that is chosen and goes on to the next one; what is left over when all are filled is put
/// behind the last.
void OrderAdding::fillSlots(const std::vector<FindPick>& picks) {
    placePicks(m_session, m_prompts, this, picks, [this](std::vector<ItemWords> words) {
        QUndoStack& steps = m_session.document().undoStack();
        if (words.size() > 1)
            steps.beginMacro(tr("choosing %n items", nullptr, int(words.size())));
        for (ItemWords& each : words)
            fillOne(std::move(each));
        if (words.size() > 1)
            steps.endMacro();
    });
}

void OrderAdding::fillOne(ItemWords words) {
    ServiceDocument& document = m_session.document();
    const ItemId slot = m_sheet.current();
    const Item* item = document.service().item(slot);
    if (!item || !item->isSlot()) {
        m_sheet.select(document.insert(m_sheet.markerRow(), std::move(words)));
        return;
    }
    document.fill(slot, std::move(words));
    const auto& items = document.service().items;
    const auto next = std::find_if(items.begin() + document.service().indexOf(slot), items.end(),
                                   [](const Item& each) { return each.isSlot(); });
    m_sheet.select(next == items.end() ? slot : next->id);
}

/// Lines from an e-mail or a table, at the mark.
void OrderAdding::addText(const QString& text, int at) {
    auto* dialog = new PasteOrder(m_session, text, tr("Add them to the order"), m_sheet.window());
    connect(dialog, &PasteOrder::taken, this, [this, at](const std::vector<Item>& items) {
        m_session.document().insertItems(at, items,
                                         tr("adding %n items from a list", nullptr, int(items.size())));
        if (!items.empty())
            m_sheet.select(items.back().id);
    });
    dialog->open();
}

} // namespace mivanta

#include "moc_OrderAdding.cpp"
