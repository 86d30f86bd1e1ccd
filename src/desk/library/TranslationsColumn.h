// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QMenu;
class QProgressBar;

namespace mivanta {

/// The translations of the library: bring in, details, which is the usual one, remove.
class TranslationsColumn : public QWidget {
    Q_OBJECT
public:
    TranslationsColumn(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    [[nodiscard]] std::optional<Translation> current() const;
    [[nodiscard]] const std::vector<TranslationSummary>& all() const { return m_all; }
    void select(const TranslationId& id);
    void bringInFile();
    void bringInFolder();
    /// A file, folder or ZIP; its details can be changed afterwards.
    void bringIn(const QString& path);

Q_SIGNALS:
    void currentChanged();
    void listed(); ///< all() is what the library has

private:
    QWidget* buildDetails();
    QWidget* buildProgress();
    QWidget* buildButtons();
    void refresh();
    void fill(std::vector<TranslationSummary> all);
    void showDetails();
    void saveDetails();
    void broughtIn(const BroughtIn& what);
    void putInBin();
    void fillMenu(QMenu* menu);

    Session& m_session;
    Prompts& m_prompts;
    std::vector<TranslationSummary> m_all;
    TranslationId m_toSelect;
    QLabel* m_heading;
    QLabel* m_empty;
    QListWidget* m_list;
    QWidget* m_details;
    QLineEdit* m_name;
    QLineEdit* m_shortName;
    QLineEdit* m_language;
    QLineEdit* m_copyright;
    QComboBox* m_copyrightOn;
    QComboBox* m_numbering;
    QWidget* m_progressRow;
    QProgressBar* m_progress;
};

} // namespace mivanta
