// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"
#include <QWidget>

class QHBoxLayout;
class QMenu;
class QToolButton;

namespace mivanta {

/// Which songs are looked among: a menu to choose from, and a button for each filter that is in force, which
/// takes it away.
class FilterRow : public QWidget {
    Q_OBJECT
public:
    explicit FilterRow(LibraryClient& library, QWidget* parent = nullptr);
    [[nodiscard]] const SongFilter& filter() const { return m_filter; }
    void setFilter(const SongFilter& filter);

Q_SIGNALS:
    void changed();

private:
    void fill(QMenu* menu);
    void addValues(QMenu* menu, const QString& title, const SongFacets::Values& values,
                   QString SongFilter::*which);
    void addSung(QMenu* menu);
    void change(const std::function<void(SongFilter&)>& work);
    void showFilter();

    LibraryClient& m_library;
    SongFilter m_filter;
    QHBoxLayout* m_row;
    QToolButton* m_button;
    QList<QWidget*> m_inForce;
};

} // namespace mivanta
