// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLineEdit;

namespace mivanta {

class LayoutForm;
class ReferenceHelp;

/// What can be changed about a passage in the order: its verses, its translations, its layout.
class PassageInService : public QWidget {
    Q_OBJECT
public:
    explicit PassageInService(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();

private:
    [[nodiscard]] const Passage* passage() const;
    void fillTranslations();
    void understand(const std::function<void(const Understanding&)>& then = {});
    void takeReference();
    void takeTranslations();
    void takeLayout();
    void makeUsual();
    /// Loads these verses, in the numbering of the first of these translations, and puts them into the order.
    void load(const Reference& reference, const std::vector<TranslationId>& ids, const QString& what);

    Session& m_session;
    ItemId m_item;
    QLineEdit* m_reference;
    ReferenceHelp* m_understood;
    QComboBox* m_first;
    QComboBox* m_second;
    LayoutForm* m_layout;
    std::vector<TranslationSummary> m_translations;
};

} // namespace mivanta
