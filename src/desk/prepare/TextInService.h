// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;

namespace mivanta {

/// What can be changed about a text in the order: what it asked, its role names, and its words here.
class TextInService : public QWidget {
    Q_OBJECT
public:
    explicit TextInService(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();

Q_SIGNALS:
    void libraryWanted(const mivanta::FindPick& pick);

private:
    [[nodiscard]] const TextItem* item() const;
    void fillAnswers();
    void change(const QString& what, int visit,
                const std::function<void(SpokenText&, QMap<QString, QString>&)>& work);
    void compare();
    void takeLibrarys();

    Session& m_session;
    ItemId m_item;
    int m_visit = 0;
    QFormLayout* m_answers;
    std::vector<std::pair<QString, QLineEdit*>> m_fields;
    QCheckBox* m_names;
    QPlainTextEdit* m_words;
    QLabel* m_difference;
    QPushButton* m_take;
    std::optional<SpokenText> m_stored; ///< the library's, when it differs
};

} // namespace mivanta
