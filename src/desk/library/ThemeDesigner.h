// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Tools.h"
#include "desk/look/LookEditors.h"
#include "session/Session.h"
#include "session/library/ThemeDraft.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QHBoxLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSpinBox;

namespace mivanta {

class LookForm;
class PictureView;
class ReadingPanel;
class SlideCanvas;
class ThemeSample;

/// A theme being designed by looking at it: the slide with its boxes, what it is tried on, how each output
/// will show it, and every property.
class ThemeDesigner : public QWidget {
    Q_OBJECT
public:
    ThemeDesigner(const Tools& tools, ThemeDraft& draft, QWidget* parent = nullptr);
    void focusName();
    /// The picture becomes the backdrop.
    void takePicture(const QString& path);

Q_SIGNALS:
    void saveWanted();

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* buildStage();
    QWidget* buildFormColumn();
    void boxChanged(int box, const QRectF& shares);
    void addObject(const Medium& medium);
    void changeObjects(const std::function<void(std::vector<SlideObject>&)>& work);
    void set(const QString& key, const LookValue& value);
    void fillOutputs();
    void refresh();
    void showSample();
    void showOutputs(const Theme& theme);
    [[nodiscard]] QString worstInService(size_t output) const;
    void stepBy(int by);

    Session& m_session;
    Prompts& m_prompts;
    ThumbnailStore& m_thumbnails;
    ThemeDraft& m_draft;
    QLineEdit* m_name;
    QLabel* m_state;
    QPushButton* m_save;
    SlideCanvas* m_canvas;
    ThemeSample* m_sample;
    QComboBox* m_output; ///< the output that the canvas shows
    QCheckBox* m_guides;
    QLabel* m_fit;
    ReadingPanel* m_reading;
    QHBoxLayout* m_pictures;
    std::vector<PictureView*> m_views; ///< by output
    QWidget* m_formColumn;
    LookForm* m_form = nullptr;
    QTimer m_soon;
    int m_slide = 0;
};

} // namespace mivanta
