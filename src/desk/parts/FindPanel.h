// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/LibraryClient.h"
#include "desk/parts/SongList.h"
#include <QLineEdit>
#include <QWidget>

class QLabel;

namespace mivanta {

class FilterRow;

/// The one search box with its results: as you type; Up and Down move through the results without leaving
/// the box, Enter chooses.
class FindPanel : public QWidget {
    Q_OBJECT
public:
    FindPanel(LibraryClient& library, const QString& placeholder, QWidget* parent = nullptr);

    void focusBox();
    /// Asks again; once it is seen, when it is hidden now.
    void refresh();
    /// Chooses the song in the list, once it is there.
    void select(const SongId& id);
    void selectOnlyCurrent();
    [[nodiscard]] std::optional<SongHit> current() const;
    /// The songs chosen in the list, in its order; the current one when it is the only one.
    [[nodiscard]] std::vector<SongSummary> selected() const;
    /// The list is being filled anew: what becomes current was not chosen by anyone.
    [[nodiscard]] bool isFilling() const { return m_filling; }
    [[nodiscard]] QLineEdit* box() { return m_box; }
    [[nodiscard]] QListView* list() { return m_list; }

Q_SIGNALS:
    void currentChanged();
    void selectionChanged();
    void chosen(const std::vector<mivanta::SongId>& ids); ///< Enter or double click
    void opened(const mivanta::SongId& id);               ///< Shift+Enter
    void counted(int songs);                              ///< how many are listed

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void found(Result<std::vector<SongHit>> hits, const QString& query);

    LibraryClient& m_library;
    QLineEdit* m_box;
    QListView* m_list;
    SongListModel* m_model;
    QLabel* m_empty;
    FilterRow* m_filter;
    SongId m_toSelect; ///< null = none waits
    bool m_filling = false;
    bool m_stale = true;     ///< not asked since the library or the query changed
    bool m_untouched = true; ///< nothing was typed since the last choice: undo means the choice
};

} // namespace mivanta
