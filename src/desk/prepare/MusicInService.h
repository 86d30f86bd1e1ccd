// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QSpinBox;
class QToolButton;

namespace mivanta {

class Prompts;

/// What can be changed about music in the order: its pieces and their order, which part of each is played,
/// how they follow each other, and what comes then.
class MusicInService : public QWidget {
    Q_OBJECT
public:
    MusicInService(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override; ///< keys on the list of pieces

private:
    [[nodiscard]] const MusicItem* item() const;
    [[nodiscard]] QWidget* buildPieces();
    void buildForm(QWidget* pieces);
    void connectFields();
    void change(const QString& what, const std::function<void(MusicItem&)>& work, int visit = 0);
    void addPieces();
    void removePiece();
    void movePiece(int by);
    void takeMoment(QLineEdit* edit, double MusicPiece::*moment);
    void refreshUntil(const MusicItem& music);
    void refreshPieces(const MusicItem& music);

    Session& m_session;
    Prompts& m_prompts;
    ItemId m_item;
    int m_visit = 0;
    QLineEdit* m_title;
    QListWidget* m_pieces;
    QToolButton* m_remove;
    QToolButton* m_up;
    QToolButton* m_down;
    QLineEdit* m_from;
    QLineEdit* m_to;
    QLabel* m_length;
    QCheckBox* m_shuffled;
    QDoubleSpinBox* m_crossfade;
    QComboBox* m_end;
    QCheckBox* m_goesOn;
    QComboBox* m_until;
    QSpinBox* m_volume;
};

} // namespace mivanta
