// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Placement.h"
#include "player/OutputWindow.h"
#include <memory>
#include <vector>

namespace mivanta {

/// Every output's picture and window, placed on the monitors that there are. Lives on the GUI thread.
class OutputSet : public QObject {
    Q_OBJECT
public:
    OutputSet(PreparedFrames& frames, Films& films, QObject* parent = nullptr);
    ~OutputSet() override;

    /// Outputs that stay keep their pictures.
    void setOutputs(const std::vector<Output>& outputs, const QString& deskMonitor);
    /// Whether pictures may go to monitors; else they are drawn for the desks only.
    void setMayShow(bool mayShow);
    [[nodiscard]] OutputPicture* picture(const QString& name) const;
    [[nodiscard]] std::vector<OutputPicture*> pictures() const;
    /// Number of the output in the order of the setup; -1 when it is not there.
    [[nodiscard]] int indexOf(const QString& name) const;
    [[nodiscard]] const std::vector<Monitor>& monitors() const { return m_monitors; }
    [[nodiscard]] const std::vector<Placement>& placements() const { return m_placements; }
    /// Of an output's window, px on the desktop; empty when it has none.
    [[nodiscard]] QRect placeOf(const QString& name) const;
    /// That window, as the system calls it; 0 when there is none.
    [[nodiscard]] quint32 windowOf(const QString& name) const;
    /// True while a picture is for others to see: on a screen, or in a window that has a place of its own.
    [[nodiscard]] bool isSeen() const;

Q_SIGNALS:
    void pictureAdded(mivanta::OutputPicture* picture);
    void placesChanged();

private:
    struct Entry {
        Output output; ///< as it is set up
        Output opened; ///< as it was when its window was opened
        Placement placement;
        std::unique_ptr<OutputPicture> picture;
        std::unique_ptr<OutputWindow> window;
    };

    [[nodiscard]] OutputWindow* windowNamed(const QString& name) const;
    void place();
    void open(Entry& entry, int windowNumber, bool behind);

    PreparedFrames& m_frames;
    Films& m_films;
    std::vector<Entry> m_entries;
    std::vector<Monitor> m_monitors;
    std::vector<Placement> m_placements;
    Homes m_homes;
    QString m_deskMonitor;
    bool m_mayShow = true;
    QTimer m_replace; ///< monitors change in several steps; placed once they are done
};

} // namespace mivanta
