// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/text/SpokenText.h"
#include <QDialog>

class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;

namespace mivanta {

class Prompts;
class Session;
class ThumbnailStore;
class WordsPreview;

/// A notice that is made here: a title, when, where, a few words and a picture behind them, as the hall will
/// show them. It is kept under Texts before it is placed.
class NoticeForm : public QDialog {
    Q_OBJECT
public:
    NoticeForm(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent);

    /// Asks before words are lost.
    void reject() override;

Q_SIGNALS:
    void made(const mivanta::SpokenText& text); ///< as the library has it

private:
    [[nodiscard]] QWidget* buildFields();
    void choosePicture();
    void complain(const QString& text);
    void showNotice();
    [[nodiscard]] bool hasWords() const;
    void make();
    [[nodiscard]] SpokenText notice() const;

    Session& m_session;
    Prompts& m_prompts;
    QLineEdit* m_title;
    QLineEdit* m_when;
    QLineEdit* m_where;
    QPlainTextEdit* m_words;
    QPushButton* m_choose;
    QLineEdit* m_lastDay;
    QLabel* m_wrong;
    QPushButton* m_make;
    WordsPreview* m_preview;
    const TextId m_id = TextId::create();
    QString m_picture; ///< in the media folder
};

} // namespace mivanta
