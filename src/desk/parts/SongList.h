// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"
#include <QAbstractListModel>
#include <QListView>
#include <QStyledItemDelegate>

namespace mivanta {

/// Songs as they were found. Dragging one carries its id.
class SongListModel : public QAbstractListModel {
    Q_OBJECT
public:
    enum Role { NumberRole = Qt::UserRole, SecondLineRole, IdRole };
    using QAbstractListModel::QAbstractListModel;

    void setHits(std::vector<SongHit> hits);
    [[nodiscard]] const SongHit* hit(const QModelIndex& index) const;
    [[nodiscard]] QModelIndex indexOf(const SongId& id) const;
    [[nodiscard]] const QStringList& queryWords() const { return m_words; }

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] Qt::ItemFlags flags(const QModelIndex& index) const override;
    [[nodiscard]] QStringList mimeTypes() const override;
    [[nodiscard]] QMimeData* mimeData(const QModelIndexList& indexes) const override;

    static constexpr const char* kMimeType = "application/x-mivanta-songs";
    /// The ids in a drag of this model.
    [[nodiscard]] static std::vector<SongId> songsIn(const QMimeData* data);

private:
    std::vector<SongHit> m_hits;
    QStringList m_words;
};

/// Two lines a song: title and number; then the line that matched, or the first line, with matches marked.
class SongDelegate : public QStyledItemDelegate {
    Q_OBJECT
public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;
};

} // namespace mivanta
