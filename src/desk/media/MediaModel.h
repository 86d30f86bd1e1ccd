// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/media/ShownMedium.h"
#include "store/finding/Finding.h"
#include <QAbstractListModel>

namespace mivanta {

class Session;

/// The media on a shelf that pass a filter. Dragging them carries what they put into an order, and their
/// files.
class MediaModel : public QAbstractListModel {
    Q_OBJECT
public:
    explicit MediaModel(Session& session, QObject* parent = nullptr);

    void show(const MediaShelf& shelf, const MediaFilter& filter);
    [[nodiscard]] const MediaShelf& shelf() const { return m_shelf; }
    [[nodiscard]] const MediaFilter& filter() const { return m_filter; }
    [[nodiscard]] const ShownMedium* medium(const QModelIndex& index) const;
    [[nodiscard]] QModelIndex indexOf(const QString& key) const;
    /// How many lie on a shelf, whatever the filter says.
    [[nodiscard]] int countOn(const MediaShelf& shelf) const;
    /// The folders in a watched folder that hold media, as paths inside it.
    [[nodiscard]] QStringList foldersIn(const QString& watched) const;
    [[nodiscard]] FindPick pickOf(const ShownMedium& shown) const;
    /// Of its file.
    [[nodiscard]] QString pathOf(const ShownMedium& shown) const;

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] Qt::ItemFlags flags(const QModelIndex& index) const override;
    [[nodiscard]] QStringList mimeTypes() const override;
    [[nodiscard]] QMimeData* mimeData(const QModelIndexList& indexes) const override;

Q_SIGNALS:
    void reloaded(); ///< there are others, or more is known of them, whatever the filter says
    void refilled(); ///< those that are shown may be others: something may have to be chosen again

private:
    void reload();
    void select(std::vector<ShownMedium> all);

    Session& m_session;
    std::vector<ShownMedium> m_all;
    std::vector<int> m_shown; ///< indices into m_all
    QStringList m_keys;       ///< of those
    MediaShelf m_shelf;
    MediaFilter m_filter;
};

} // namespace mivanta
