// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include "core/theme/Theme.h"
#include "desk/kit/ThemeBox.h"
#include <QScrollArea>

class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QSpinBox;

namespace mivanta {

/// Everything that is known of a song besides its words. Only the title is asked for; what projecting
/// lawfully needs is shown as missing, gently.
class DetailsForm : public QScrollArea {
    Q_OBJECT
public:
    explicit DetailsForm(QWidget* parent = nullptr);
    void setThemes(const std::vector<Theme>& themes) { m_theme->setThemes(themes); }
    /// Shows the song's details; fields that say the same already stay as they are. Tells nothing.
    void setSong(const Song& song);
    /// The details that are there, in a line of rich text; a link "details" stands for gaps.
    [[nodiscard]] static QString summaryOf(const Song& song);
    /// What this song still lacks, as a sentence; empty = nothing.
    [[nodiscard]] static QString gapsOf(const Song& song);

Q_SIGNALS:
    /// Several lines were pasted into the title of a song that may have no words yet.
    void songPasted(const QString& text);
    /// The work puts what was typed into a song; `field` is one number for each field, from 1.
    void edited(const QString& what, const std::function<void(mivanta::Song&)>& work, int field);

private:
    using Get = std::function<QString(const Song&)>;
    using Set = std::function<void(Song&, const QString&)>;
    void addField(const QString& name, const QString& label, const QString& tip, const Get& get,
                  const Set& set);

    struct Field {
        QLineEdit* edit;
        Get get;
        Set set;
    };
    std::vector<Field> m_fields;
    QFormLayout* m_form;
    QPlainTextEdit* m_notes;
    ThemeBox* m_theme;
    QLabel* m_gaps;
    bool m_isFresh = false; ///< the song has no words yet
};

} // namespace mivanta
