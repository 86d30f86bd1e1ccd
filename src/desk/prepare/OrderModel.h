// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Finding.h"
#include "desk/app/ServiceDocument.h"
#include <QAbstractListModel>

namespace mivanta {

/// The service order as a list for the sheet. Songs and its own items can be dropped into it.
class OrderModel : public QAbstractListModel {
    Q_OBJECT
public:
    enum Role { IsHeadingRole = Qt::UserRole, SideRole, NumberRole };
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

Q_SIGNALS:
    void picksDropped(const std::vector<mivanta::FindPick>& picks, int at);

private:
    ServiceDocument& m_document;
};

} // namespace mivanta
