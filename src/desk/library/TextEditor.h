// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/text/SpokenText.h"
#include <QWidget>
#include <functional>
#include <optional>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;

namespace mivanta {

class Prompts;

/// Writes one spoken text: its details, and its words with roles, slide breaks and fields. The words undo by
/// themselves.
class TextEditor : public QWidget {
    Q_OBJECT
public:
    explicit TextEditor(Prompts& prompts, QWidget* parent = nullptr);
    void setText(const std::optional<SpokenText>& text);
    /// The text as it is written here; nothing when none is shown.
    [[nodiscard]] std::optional<SpokenText> text() const;
    void setChanged(bool changed);
    /// The text was stored; what is written here, and its undo, stays.
    void setRevision(int revision) { m_text->revision = revision; }
    void setEmptyText(const QString& text);
    void focusTitle();
    void undo();
    void redo();

Q_SIGNALS:
    void changed(); ///< by the person
    void saveWanted();
    void deleteWanted();
    void historyWanted();

private:
    QWidget* buildDetails();
    QWidget* buildRoles();
    QWidget* buildFoot();
    QLineEdit* addLine(const QString& name, const QString& label, const QString& tip);
    void addKey(const QKeySequence& key, const std::function<void()>& work);
    void setRole(const QString& role);
    void askRole();
    void insertField(const QString& field);
    void insertBreak();
    void emphasise(const QString& mark);

    Prompts& m_prompts;
    std::optional<SpokenText> m_text; ///< what is not edited here: id, revision
    bool m_filling = false;
    QWidget* m_form;
    QLabel* m_empty;
    QLineEdit* m_title;
    QComboBox* m_kind;
    QLineEdit* m_author;
    QLineEdit* m_copyright;
    QLineEdit* m_topics;
    QLineEdit* m_seasons;
    QLineEdit* m_language;
    QCheckBox* m_names;
    QPlainTextEdit* m_words;
    QLabel* m_state;
    QPushButton* m_save;
};

} // namespace mivanta
