// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Session.h"
#include "desk/parts/LookEditors.h"
#include <QWidget>
#include <optional>

class QComboBox;
class QGridLayout;
class QLabel;
class QPushButton;
class QToolButton;

namespace mivanta {

class LookForm;

/// How the chosen items look in this service: the theme and single properties for a slide, an item, a kind of
/// item or the whole service; what comes of it on each output, and why.
class LookInService : public QWidget {
    Q_OBJECT
public:
    LookInService(Session& session, const PictureChooser& choosePicture, QWidget* parent = nullptr);
    /// What "this item" means when several are chosen.
    void setSelection(std::function<std::vector<ItemId>()> selection) { m_selection = std::move(selection); }
    void setItem(const ItemId& id);
    /// A slide of the main output, by its place in the item; nothing = the whole item.
    void setSlide(const std::optional<int>& slide);
    [[nodiscard]] std::optional<int> slide() const { return m_slide; }
    void refresh();
    /// Sets a property for what is chosen.
    void set(const LookProperty& property, const LookValue& value);
    void setTheme(const QString& id);

private:
    void buildTop();
    void buildForm();
    void fillLevels();
    void fillThemes();
    void showOutputs();
    void showReasons();
    void change(const QString& what, const std::function<void(LookChoice&)>& work);
    void whitenWords();
    [[nodiscard]] LookLevel level() const;
    [[nodiscard]] LookTarget target() const;
    [[nodiscard]] const ItemSlides* slides() const;

    Session& m_session;
    PictureChooser m_choosePicture;
    std::function<std::vector<ItemId>()> m_selection;
    ItemId m_item;
    std::optional<int> m_slide;
    QComboBox* m_level;
    QComboBox* m_theme;
    QPushButton* m_white;
    QPushButton* m_giveUp;
    QToolButton* m_why;
    QGridLayout* m_grid;
    std::vector<std::pair<QLabel*, QLabel*>> m_outputs; ///< an output's name and how it looks there
    QWidget* m_reasons;
    QComboBox* m_reasonsFor; ///< the output
    LookForm* m_form = nullptr;
};

} // namespace mivanta
