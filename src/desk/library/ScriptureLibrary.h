// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/find/FindList.h"
#include "desk/kit/Tools.h"
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QListView;
class QPushButton;

namespace mivanta {

class EmptyState;

class LayoutForm;
class ReferenceHelp;
class TranslationsColumn;
class VersesView;
class WordsPreview;

/// The scripture of the library: translations; verses by reference or by words; a chapter to read and to
/// choose from; how passages usually look.
class ScriptureLibrary : public QWidget {
    Q_OBJECT
public:
    explicit ScriptureLibrary(const Tools& tools, QWidget* parent = nullptr);
    void focusFind();
    void showPassage(const PassagePick& pick);
    void bringInFile();
    void bringInFolder();
    void bringIn(const QStringList& paths);

Q_SIGNALS:
    void addToService(const std::vector<mivanta::FindPick>& picks);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* buildMiddle();
    QWidget* buildSide(ThumbnailStore& thumbnails);
    void find();
    void found(Result<FindResult> result);
    void currentHitChanged();
    /// The typed reference, until verses of the chapter are chosen by hand.
    [[nodiscard]] Reference reference() const;
    void showChosen();
    void addChosen();
    enum class Adding { OneByOne, Together /**< as one passage */ };
    void addHits(Adding adding);
    [[nodiscard]] std::vector<FindPick> chosenHits() const;

    Session& m_session;
    TranslationsColumn* m_translations;
    EmptyState* m_nothing; ///< what can be done while there is no translation
    QLineEdit* m_box;
    QComboBox* m_scope;
    QComboBox* m_how;
    ReferenceHelp* m_help;
    QListView* m_list;
    FindListModel* m_model;
    QPushButton* m_each;
    QPushButton* m_together;
    VersesView* m_verses;
    WordsPreview* m_preview;
    QLabel* m_passage;
    LayoutForm* m_layout;
    QPushButton* m_add;
    Understanding m_understood;
    bool m_isTyped = false; ///< the reference comes from the box
    int m_asked = 0;
};

} // namespace mivanta
