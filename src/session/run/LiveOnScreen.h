// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/outputs/LiveInputs.h"
#include "session/run/RunController.h"
#include "session/work/LeavableWorker.h"

namespace mivanta {

/// The live inputs that the screens show: which of them have no picture, and whether the words over them can
/// be read; that changes with what they show, so it is measured now and then. GUI thread.
class LiveOnScreen : public QObject {
    Q_OBJECT
public:
    LiveOnScreen(RunController& run, SlideBook& book, ServiceDocument& document, LiveInputs& inputs,
                 QObject* parent = nullptr);

    /// What was put on screen shows these, each once.
    [[nodiscard]] std::vector<LiveInputId> inputs() const;
    /// Of those that have no picture (any more): "Harbour camera: no picture since 10:41".
    [[nodiscard]] const QStringList& lost() const { return m_lost; }
    /// Has a picture of each, and measures the words over them; so it does every twenty seconds. What is
    /// hard to read twice in a row is told, with a way to mend it.
    void measure();

Q_SIGNALS:
    void changed();  ///< lost() is another
    void measured(); ///< measure() is through
    void offered(const QString& text, const QString& action, const std::function<void()>& act);

private:
    void lookAnew();
    void findLost();
    void pictureCame(LiveInputId input);
    void take(LiveInputId input, double contrast);
    void tellWeak(LiveInputId input);
    void mend(LiveInputId input, const Scene& scene);
    void darken(LiveInputId input, const LookOverrides& changes);
    [[nodiscard]] RoomLight lightOf(const Scene& scene) const;
    /// Of what is on screen, one with words over this input; null when there is none.
    [[nodiscard]] std::optional<Scene> sceneWith(LiveInputId input) const;
    /// What is on screen, and whatever else a live item that stays behind it is behind.
    [[nodiscard]] std::vector<ItemId> itemsWith(LiveInputId input) const;

    RunController& m_run;
    SlideBook& m_book;
    ServiceDocument& m_document;
    LiveInputs& m_inputs;
    LeavableWorker m_worker;
    QTimer m_now;
    QTimer m_soon;
    std::vector<LiveInputId> m_shown; ///< when that was looked at last
    QStringList m_lost;
    std::vector<LiveInputId> m_wanted; ///< whose pictures are waited for, to be measured
    QHash<LiveInputId, int> m_weak;    ///< how often in a row words over it were hard to read
};

} // namespace mivanta
