// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/Timetable.h"
#include "session/service/ServiceDocument.h"
#include "store/finding/Finding.h"
#include <QAbstractListModel>
#include <QUuid>

namespace mivanta {

/// The service order as a list for the sheet. Songs and its own items can be dropped into it.
class OrderModel : public QAbstractListModel {
    Q_OBJECT
public:
    enum Role {
        IsHeadingRole = Qt::UserRole,
        SideRole,    ///< what stands at the right: the order of a song; how long a heading's items take
        NumberRole,  ///< among the items that are run
        TimeRole,    ///< "10:33"; empty when nobody said when the service begins
        SlackRole,   ///< before a fixed time: "2 min free", "1:30 min over"; else empty
        IsLateRole,  ///< true when that time is missed
        SkippedRole, ///< left out today
        IsNoteRole,  ///< for the operator, or a place to fill
        GroupRole,   ///< a GroupPlace
        IsLoopRole,
        IsMemberRole, ///< of a loop
    };
    /// Where an item stands among those that it belongs with.
    enum GroupPlace { InNone, First, Middle, Last };
    explicit OrderModel(ServiceDocument& document, QObject* parent = nullptr);

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] bool setData(const QModelIndex& index, const QVariant& value, int role) override;
    [[nodiscard]] Qt::ItemFlags flags(const QModelIndex& index) const override;
    [[nodiscard]] Qt::DropActions supportedDropActions() const override {
        return Qt::CopyAction | Qt::MoveAction;
    }
    [[nodiscard]] QStringList mimeTypes() const override;
    [[nodiscard]] QMimeData* mimeData(const QModelIndexList& indexes) const override;
    bool dropMimeData(const QMimeData* data, Qt::DropAction action, int row, int column,
                      const QModelIndex& parent) override;

    [[nodiscard]] ItemId idAt(int row) const;
    [[nodiscard]] const Timetable& timetable() const { return m_times; }

Q_SIGNALS:
    void filesDropped(const QStringList& files, int at);
    void filesDroppedInto(const QStringList& files, const mivanta::ItemId& loop);
    void picksDroppedInto(const std::vector<mivanta::FindPick>& picks, const mivanta::ItemId& loop);
    void textDropped(const QString& text, int at);
    void picksDropped(const std::vector<mivanta::FindPick>& picks, int at);
    void followed(); ///< a change of the service: rows came and went, or say something else

private:
    void follow();
    void work();
    [[nodiscard]] QString slackText(int row) const;
    [[nodiscard]] GroupPlace groupPlace(int row) const;
    [[nodiscard]] static std::vector<ItemId> ownIds(const QMimeData& data);
    bool dropInto(const QMimeData& data, const ItemId& loop);
    [[nodiscard]] bool isOwn(const QMimeData& data) const;

    ServiceDocument& m_document;
    std::vector<bool> m_isMember;
    Timetable m_times;
    std::vector<ItemId> m_ids;                              ///< by row
    std::vector<int> m_numbers;                             ///< by row; 0 = none
    const QString m_token = QUuid::createUuid().toString(); ///< tells its own drags from other windows'
};

} // namespace mivanta
