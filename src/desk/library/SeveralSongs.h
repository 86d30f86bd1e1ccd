// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/ThemeBox.h"
#include "session/Session.h"
#include <QWidget>
#include <functional>

class QComboBox;
class QGridLayout;
class QLabel;
class QMenu;
class QPushButton;

namespace mivanta {

/// What can be done with several songs at once. Each change is one step of the library and can be taken back.
class SeveralSongs : public QWidget {
    Q_OBJECT
public:
    SeveralSongs(Session& session, QWidget* parent = nullptr);
    void setSongs(const std::vector<SongSummary>& songs);
    /// What sending out offers, see LibraryList.
    void setSendMenu(QMenu* menu);
    /// Takes the last change back.
    void undo();
    [[nodiscard]] bool canUndo() const { return !m_takeBack.empty(); }

Q_SIGNALS:
    void addToService(const std::vector<mivanta::SongId>& ids);
    void left(); ///< back to one song

private:
    QWidget* buildDetails();
    QWidget* buildActions();
    QComboBox* addDetail(QGridLayout& grid, const QString& name, const QString& label, const QString& tip);
    void addDetail(QGridLayout& grid, QComboBox* box, const QString& name, const QString& label,
                   const QString& tip);
    QPushButton* button(const QString& name, const QString& text, const QString& tip,
                        const std::function<void()>& work);
    void fillChoices();
    void edit(const QString& what, const std::function<void(Song&)>& change);
    void putInBin();
    void done(const QString& text, const std::function<void()>& takeBack);
    void failed(const Error& error);

    Session& m_session;
    std::vector<SongId> m_ids;
    QLabel* m_heading;
    QLabel* m_titles;
    QComboBox* m_topic;
    ThemeBox* m_theme;
    QComboBox* m_language;
    QPushButton* m_send;
    QLabel* m_result;
    QPushButton* m_undo;
    std::vector<std::function<void()>> m_takeBack; ///< the last change last
};

} // namespace mivanta
