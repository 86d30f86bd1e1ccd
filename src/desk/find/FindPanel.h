// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/find/FindList.h"
#include "session/library/LibraryClient.h"
#include <QLineEdit>
#include <QWidget>

class QLabel;

namespace mivanta {

class FilterRow;
class FolderFinder;
class PastedLines;
class ReferenceHelp;

/// The one search box with its results: as you type; Up and Down move through the results without leaving
/// the box, Enter chooses.
class FindPanel : public QWidget {
    Q_OBJECT
public:
    /// `kinds`: of FindKind; what is looked for.
    FindPanel(LibraryClient& library, const QString& placeholder, unsigned kinds, QWidget* parent = nullptr);

    void setNight(bool night);
    /// What is offered when several lines are pasted into the box (PastedLines::Offer); nothing at first.
    void setPasteOffers(unsigned offers);
    /// Media are found, those of watched folders as well, and shown with small pictures.
    void setMedia(MediumPictures& pictures, FolderFinder& folders);
    void focusBox();
    /// Asks again; once it is seen, when it is hidden now.
    void refresh();
    /// Chooses it in the list, once it is there.
    void select(const FindPick& pick);
    void selectOnlyCurrent();
    [[nodiscard]] std::optional<FindHit> current() const;
    /// What is chosen in the list, in its order; the current one when it is the only one.
    [[nodiscard]] std::vector<FindPick> selected() const;
    [[nodiscard]] std::vector<SongSummary> selectedSongs() const;
    /// Of the passage that the query names; said beside what it was understood as.
    void setSlideCount(int slides);
    /// Nothing is typed and nothing is filtered: what is listed is all that there is.
    [[nodiscard]] bool isAskingForAll() const;
    [[nodiscard]] QLineEdit* box() { return m_box; }
    [[nodiscard]] QListView* list() { return m_list; }

Q_SIGNALS:
    void currentChanged(); ///< another one was chosen
    void refilled();       ///< with other hits: what is current now was chosen by nobody
    void selectionChanged();
    void chosen(const std::vector<mivanta::FindPick>& picks); ///< Enter or double click
    void opened(const mivanta::FindPick& pick);               ///< Shift+Enter
    void counted(int hits);                                   ///< how many are listed
    void newSongWanted(const QString& text);                  ///< from lines that were pasted
    void orderWanted(const QString& text);                    ///< the same lines as items

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void tellOfChoices();
    void found(Result<FindResult> result, const QString& query);
    void choose(bool open);
    void moveBy(int rows);
    /// Moves on in a reference: "luk" to "Luke ", "Luke 5" to "Luke 5:".
    bool complete();
    [[nodiscard]] QString emptyText(const QString& query) const;

    LibraryClient& m_library;
    FolderFinder* m_folders = nullptr;
    QLineEdit* m_box;
    QListView* m_list;
    FindListModel* m_model;
    ReferenceHelp* m_help;
    QLabel* m_empty;
    FilterRow* m_filter;
    PastedLines* m_pasted;
    unsigned m_kinds;
    Understanding m_understood;
    std::optional<FindPick> m_toSelect;
    QMetaObject::Connection m_choosing; ///< tells of what is chosen; not while the list is filled
    bool m_stale = true;                ///< not asked since the library or the query changed
    bool m_untouched = true;            ///< nothing was typed since the last choice: undo means the choice
};

} // namespace mivanta
