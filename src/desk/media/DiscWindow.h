// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Disc.h"
#include "core/media/Medium.h"
#include "desk/kit/Tools.h"
#include <QDialog>

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace mivanta {

class ClipRow;
class FilmPreview;
class OpenDisc;

/// A video disc: its titles, and the part of one that is to be copied into the library.
class DiscWindow : public QDialog {
    Q_OBJECT
public:
    DiscWindow(const Tools& tools, const QString& path, QWidget* parent);

Q_SIGNALS:
    void kept(const mivanta::Medium& medium); ///< it is in the library

private:
    QWidget* buildTitles();
    QWidget* buildTitle();
    QWidget* buildFields(QWidget* parent);
    QWidget* buildButtons();
    void fill();
    void showTitle();
    void showPictures();
    void seek(double seconds);
    void setClip(double from, double to);
    void playOrPause();
    void keep(const DiscPart& part);
    [[nodiscard]] const DiscTitle* title() const;
    /// With what was chosen to be heard and read.
    [[nodiscard]] DiscPart part(double from, double to) const;
    [[nodiscard]] QString nameOf(const DiscPart& part) const;

    Session& m_session;
    OpenDisc* m_disc;
    QLabel* m_name;
    QListWidget* m_titles;
    QWidget* m_title; ///< all about the one that is chosen
    FilmPreview* m_preview;
    ClipRow* m_clip;
    QComboBox* m_sound;
    QComboBox* m_subtitles;
    QLineEdit* m_clipName;
    QLabel* m_says;
    QPushButton* m_keepPart;
    QPushButton* m_keepAll;
    double m_from = 0; ///< seconds of the title
    double m_to = 0;   ///< 0 = its end
    double m_position = 0;
    double m_excerptFrom = 0; ///< seconds of the title that lie at the begin of the excerpt's file
};

} // namespace mivanta
