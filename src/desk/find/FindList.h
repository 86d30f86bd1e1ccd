// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/media/MediumPictures.h"
#include "store/finding/Finding.h"
#include <QAbstractListModel>
#include <QListView>
#include <QStyledItemDelegate>

namespace mivanta {

/// What was found, of every kind. Dragging it carries what it puts into an order.
class FindListModel : public QAbstractListModel {
    Q_OBJECT
public:
    enum Role { NumberRole = Qt::UserRole, SecondLineRole, IdRole };
    using QAbstractListModel::QAbstractListModel;

    /// Small pictures of media, as Qt::DecorationRole; and where their files lie, so that they can be dragged
    /// to wherever files can.
    void setMedia(MediumPictures* pictures, QString folder) {
        m_pictures = pictures;
        m_mediaFolder = std::move(folder);
    }
    static constexpr QSize kPicture{64, 36}; ///< px

    void setHits(std::vector<FindHit> hits);
    [[nodiscard]] const FindHit* hit(const QModelIndex& index) const;
    [[nodiscard]] QModelIndex indexOf(const FindPick& pick) const;
    [[nodiscard]] const QStringList& queryWords() const { return m_words; }

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] Qt::ItemFlags flags(const QModelIndex& index) const override;
    [[nodiscard]] QStringList mimeTypes() const override;
    [[nodiscard]] QMimeData* mimeData(const QModelIndexList& indexes) const override;

    static constexpr const char* kMimeType = "application/x-mivanta-found";
    /// What a drag of this model carries.
    [[nodiscard]] static std::vector<FindPick> picksIn(const QMimeData* data);

private:
    std::vector<FindHit> m_hits;
    QStringList m_words;
    MediumPictures* m_pictures = nullptr;
    QString m_mediaFolder;
};

/// Two lines each: title and what it is; then the line that matched, or the first line, with matches marked.
class FindDelegate : public QStyledItemDelegate {
    Q_OBJECT
public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void setNight(bool night) { m_night = night; }
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

private:
    bool m_night = false;
};

} // namespace mivanta
