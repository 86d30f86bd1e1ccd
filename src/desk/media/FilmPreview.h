// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/FilmClient.h"
#include "session/media/MediumPictures.h"
#include <QPixmap>
#include <QWidget>

namespace mivanta {

/// A medium in small on the desk: a picture, or a film that can be played here without its sound. Nothing of
/// it reaches a screen.
class FilmPreview : public QWidget {
    Q_OBJECT
public:
    explicit FilmPreview(MediumPictures& pictures, QWidget* parent = nullptr);

    /// `path`: where its file lies. Nothing plays until it is told to.
    void setMedium(const std::optional<ShownMedium>& shown, const QString& path);
    /// What is seen while no film is, instead of what would be made of the medium.
    void setStill(const QImage& picture);
    /// Of the medium, large; null while it is being made, which begins with the first call.
    [[nodiscard]] QPixmap picture();
    void playOrPause();
    void stop(); ///< and leave the file
    /// Seconds of the file.
    void seek(double seconds);
    [[nodiscard]] bool isPlaying() const;
    [[nodiscard]] double position() const { return m_position; }

Q_SIGNALS:
    void moved();   ///< position() is another
    void changed(); ///< isPlaying() is another
    void failed(const QString& problem);

protected:
    void paintEvent(QPaintEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override { return width * 9 / 16; }

private:
    void open();

    MediumPictures& m_pictures;
    std::optional<ShownMedium> m_shown;
    QString m_path;
    QImage m_still;
    double m_position = 0;
    std::unique_ptr<FilmClient> m_film;
};

} // namespace mivanta
