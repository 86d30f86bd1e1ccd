// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/RecordDraft.h"
#include <QWidget>
#include <functional>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;
class QToolButton;

namespace mivanta {

class Prompts;

/// Writes one spoken text: its details, and its words with roles, slide breaks and fields. The draft undoes.
class TextEditor : public QWidget {
    Q_OBJECT
public:
    TextEditor(TextDraft& draft, Prompts& prompts, QWidget* parent = nullptr);
    void setEmptyText(const QString& text);
    void focusTitle();

Q_SIGNALS:
    void saveWanted();
    void deleteWanted();
    void historyWanted();
    void pictureWanted(); ///< another one behind the words

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* buildDetails();
    QWidget* buildPicture();
    QWidget* buildRoles();
    QWidget* buildFoot();
    QLineEdit* addLine(const QString& name, const QString& label, const QString& tip);
    void addKey(const QKeySequence& key, const std::function<void()>& work);
    void setRole(const QString& role);
    void askRole();
    void insertField(const QString& field);
    void insertBreak();
    void emphasise(const QString& mark);
    [[nodiscard]] SpokenText written(SpokenText text) const;
    void write(const QString& what, int typingPlace);
    void writeWords();
    void showText();
    void showWords(const QString& words);
    void showPicture(const QString& picture);
    void showState();

    TextDraft& m_draft;
    Prompts& m_prompts;
    int m_typedTo = -1; ///< behind what was typed last in the words
    int m_run = 0;      ///< what is typed in one go, to be undone together
    QWidget* m_form;
    QLabel* m_empty;
    QLineEdit* m_title;
    QComboBox* m_kind;
    QLineEdit* m_author;
    QLineEdit* m_copyright;
    QLineEdit* m_topics;
    QLineEdit* m_seasons;
    QLineEdit* m_language;
    QPushButton* m_picture;
    QToolButton* m_noPicture;
    QLineEdit* m_lastDay;
    QCheckBox* m_names;
    QPlainTextEdit* m_words;
    QLabel* m_state;
    QPushButton* m_save;
};

} // namespace mivanta
