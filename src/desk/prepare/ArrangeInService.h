// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/look/LookEditors.h"
#include "session/Session.h"
#include "session/readings/ThumbnailStore.h"
#include <QWidget>

class QCheckBox;
class QLabel;

namespace mivanta {

class LookInService;
class ObjectsEditor;
class SlideCanvas;

/// The slide with its boxes to be moved by hand, and what stands on it besides the words, for what the look
/// is chosen for: one slide, an item, a kind of item, the service.
class ArrangeInService : public QWidget {
    Q_OBJECT
public:
    ArrangeInService(Session& session, ThumbnailStore& thumbnails, const LookSupplies& supplies,
                     LookInService& look);
    void refresh();
    [[nodiscard]] SlideCanvas* canvas() { return m_canvas; }

private:
    void boxChanged(int box, const QRectF& shares);
    void changeObjects(const std::function<void(std::vector<SlideObject>&)>& work, int visit = 0);

    Session& m_session;
    LookInService& m_look;
    int m_visit = 0; ///< moves of one box that follow one another are one step
    SlideCanvas* m_canvas;
    ObjectsEditor* m_objects;
    QLabel* m_others;
    QCheckBox* m_leaveOut;
};

} // namespace mivanta
