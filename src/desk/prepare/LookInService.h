// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/look/LookEditors.h"
#include "session/Session.h"
#include "session/readings/ThumbnailStore.h"
#include <QWidget>
#include <optional>

class QComboBox;
class QGridLayout;
class QLabel;
class QPushButton;
class QToolButton;

namespace mivanta {

class ArrangeInService;
class LookForm;
class ReadingPanel;
class ThemeList;

/// How the chosen items look in this service: the theme and single properties for a slide, an item, a kind of
/// item or the whole service; what comes of it on each output, and why.
class LookInService : public QWidget {
    Q_OBJECT
public:
    LookInService(Session& session, ThumbnailStore& thumbnails, const LookSupplies& supplies,
                  QWidget* parent = nullptr);
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
    /// Changes what is chosen there; `visit`: as ServiceDocument::changeLook().
    void change(const QString& what, const std::function<void(LookChoice&)>& work, int visit = 0);

    // What the keys do: shown, or put away again.
    void toggleReasons();
    void toggleArrange();

    /// What the look is chosen for now.
    [[nodiscard]] LookTarget target() const;
    [[nodiscard]] QString targetText() const; ///< "the service", "“All songs”", "2 items", "slide 3"
    [[nodiscard]] LookTarget targetOfSlide(int slide) const;
    [[nodiscard]] const ItemSlides* slides() const; ///< of the item; null when there are none
    /// How many objects of the slide that is shown are chosen at stronger levels than this.
    [[nodiscard]] int objectsAbove() const;

private:
    void buildTop();
    void buildButtons();
    void buildForm();
    void fillLevels();
    void fillThemes();
    void showOutputs();
    void showReading();
    void showWorst();
    void showReasons();
    void showArrange(bool shown);
    void whitenWords();
    [[nodiscard]] LookLevel level() const;
    [[nodiscard]] SlidePlace placeOf(int slide) const;

    Session& m_session;
    ThumbnailStore& m_thumbnails;
    LookSupplies m_supplies;
    std::function<std::vector<ItemId>()> m_selection;
    ItemId m_item;
    std::optional<int> m_slide;
    QComboBox* m_level;
    QComboBox* m_theme;
    ThemeList* m_shelf;
    QPushButton* m_white;
    QPushButton* m_giveUp;
    QToolButton* m_arrangeButton;
    ArrangeInService* m_arrange = nullptr;
    int m_arrangeAt = 0; ///< its place in the column
    QToolButton* m_why;
    QGridLayout* m_grid;
    std::vector<std::pair<QLabel*, QLabel*>> m_outputs; ///< an output's name and how it looks there
    std::vector<std::optional<Reading>> m_readings;     ///< of the item, by output
    QLabel* m_worst;                                    ///< of the whole service
    ReadingPanel* m_reading;
    QWidget* m_reasons;
    QComboBox* m_reasonsFor; ///< the output
    LookForm* m_form = nullptr;
};

} // namespace mivanta
