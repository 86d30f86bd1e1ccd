// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QDoubleSpinBox;
class QSpinBox;

namespace mivanta {

class FocusFields;
class ShownOn;

/// What can be changed about a film in the order: which part of it is played, what comes at its end, how it
/// is heard and seen.
class FilmInService : public QWidget {
    Q_OBJECT
public:
    explicit FilmInService(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();

private:
    [[nodiscard]] const FilmItem* item() const;
    void change(const QString& what, const std::function<void(FilmItem&)>& work, int visit = 0);
    void takeMoment(QLineEdit* edit, double FilmItem::*moment, const QString& what);
    void buildForm();
    void connectFields();

    Session& m_session;
    ItemId m_item;
    int m_visit = 0;
    QLineEdit* m_title;
    QLineEdit* m_from;
    QLineEdit* m_to;
    QLabel* m_length;
    QComboBox* m_end;
    QComboBox* m_fit;
    QCheckBox* m_heard;
    QSpinBox* m_volume;
    QDoubleSpinBox* m_fadeIn;
    QDoubleSpinBox* m_fadeOut;
    FocusFields* m_focus;
    ShownOn* m_outputs;
};

} // namespace mivanta
