// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Tools.h"
#include "desk/media/MediaModel.h"
#include "session/media/MediumPictures.h"
#include <QUndoStack>
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QMenu;
class QSlider;
class QToolButton;

namespace mivanta {

class EmptyState;
class MediaGrid;
class MediumPanel;
class Prompts;
class ShelfList;

/// The media of the library, and those in watched folders of this computer: found, looked at, named, added to
/// the service.
class MediaLibrary : public QWidget {
    Q_OBJECT
public:
    explicit MediaLibrary(const Tools& tools, QWidget* parent = nullptr);

    void focusFind();
    void showMedium(const QString& name);
    void bringInFiles();
    void watchFolder();
    /// A disc in a drive, an image or a folder is looked at, in a window of its own.
    void openDisc(const QString& path);
    /// Files are brought in, discs are looked at, other folders are watched.
    void bringIn(const QStringList& paths);
    void undo() { m_edits.undo(); }
    void redo() { m_edits.redo(); }

Q_SIGNALS:
    void addToService(const std::vector<mivanta::FindPick>& picks);
    void backdropWanted(const QString& path);

private:
    QWidget* buildShelves();
    QWidget* buildTools();
    QWidget* buildButtons(QWidget* parent);
    void fillDiscs(QMenu* menu);
    void connectGrid();
    void showShelf();
    void showChosen();
    void refilled();
    void chooseAgain();
    void add();
    void putInBin();
    [[nodiscard]] std::vector<ShownMedium> chosen() const;
    void change(const Medium& medium, const QString& what);
    [[nodiscard]] bool agreeToBin(const QStringList& names);

    Tools m_tools;
    Session& m_session;
    Prompts& m_prompts;
    MediaModel* m_model;
    ShelfList* m_shelves;
    QLineEdit* m_find;
    std::vector<std::pair<MediumKind, QToolButton*>> m_kinds;
    QComboBox* m_order;
    QToolButton* m_asList;
    QSlider* m_size;
    QLabel* m_count;
    MediaGrid* m_grid;
    EmptyState* m_nothing;
    MediumPanel* m_panel;
    QString m_chosen;         ///< the key of the one that is current
    QStringList m_chosenKeys; ///< of all that are chosen
    QUndoStack m_edits;
};

} // namespace mivanta
