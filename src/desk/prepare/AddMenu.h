// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemWords.h"
#include <QToolButton>

class QMenu;

namespace mivanta {

class Prompts;
class Session;

/// The button that adds to the order what Find does not find.
class AddMenu : public QToolButton {
    Q_OBJECT
public:
    /// `heading`: the action that adds one.
    AddMenu(Session& session, Prompts& prompts, QAction* heading, QWidget* parent = nullptr);

Q_SIGNALS:
    void itemWanted(const mivanta::ItemWords& words);
    void momentWanted(const mivanta::ItemWords& words); ///< an item; what it says can be typed at once
    void filesWanted(const QStringList& files);
    void loopWanted();
    void loopFolderWanted(const QString& folder);
    void noticeWanted();
    void listWanted(); ///< what is in the clipboard
    void liveSetupWanted();

private:
    void add(const char* name, const QString& text, const QString& tip, const std::function<void()>& work);
    void addFiles(Prompts& prompts);
    void addLoops(Prompts& prompts);
    void addMoments();
    void fillLive(QMenu* inputs);

    Session& m_session;
};

} // namespace mivanta
