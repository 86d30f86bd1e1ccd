// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/media/MediumPictures.h"
#include "store/MediaCatalogue.h"
#include <QWidget>

class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QToolButton;

namespace mivanta {

class ClipRow;
class FilmPreview;
class Session;

/// One medium: how it looks, what it is called, which part of it is played, who uses it.
class MediumPanel : public QWidget {
    Q_OBJECT
public:
    MediumPanel(Session& session, MediumPictures& pictures, QWidget* parent = nullptr);

    /// `path`: where its file lies; `chosen`: how many are chosen, of which this is one.
    void setMedium(const std::optional<ShownMedium>& shown, const QString& path, int chosen);
    void playOrPause();

Q_SIGNALS:
    void changed(const mivanta::Medium& medium, const QString& what); ///< by a person
    void addWanted();
    void backdropWanted();

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* buildFields();
    QWidget* buildSound();
    QWidget* buildButtons();
    void edit(const QString& what, const std::function<void(Medium&)>& work);
    void showClip();
    void showLoudness();
    void showMoments();
    void showUses();

    Session& m_session;
    MediumPictures& m_pictures;
    std::optional<ShownMedium> m_shown;
    FilmPreview* m_preview;
    ClipRow* m_clip;
    QWidget* m_fields;
    QLineEdit* m_title;
    QLineEdit* m_caption;
    QToolButton* m_star;
    QWidget* m_sound; ///< what is about its loudness
    QDoubleSpinBox* m_correction;
    QLabel* m_loudness;
    QLabel* m_facts;
    QLabel* m_uses;
    QPushButton* m_add;
    QPushButton* m_backdrop;
};

} // namespace mivanta
