// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QListWidget;
class QToolButton;

namespace mivanta {

/// A chapter to read, verse by verse; what is chosen in it is a passage.
class VersesView : public QWidget {
    Q_OBJECT
public:
    explicit VersesView(Session& session, QWidget* parent = nullptr);
    void setTranslation(const std::optional<Translation>& translation);
    [[nodiscard]] const std::optional<Translation>& translation() const { return m_translation; }
    /// Shows the first chapter of the reference with its verses chosen.
    void showReference(const Reference& reference);
    /// The same in a translation, which may be another one.
    void showIn(const Translation& translation, const Reference& reference);
    /// The chosen verses; empty when none is.
    [[nodiscard]] Reference chosen() const;
    [[nodiscard]] const Outline& outline() const { return m_outline; }

Q_SIGNALS:
    void versesChosen(); ///< by a person
    void filled();       ///< with other verses, some of them perhaps chosen
    void wanted();       ///< double click or Enter on verses

private:
    void load();
    void fill(const std::vector<Verse>& verses);
    void bookChosen();
    void turn(int by);
    void showChapters();

    Session& m_session;
    std::optional<Translation> m_translation;
    Outline m_outline;
    std::optional<Reference> m_toChoose;
    std::vector<Verse> m_verses;
    QComboBox* m_book;
    QComboBox* m_chapter;
    QLabel* m_empty;
    QListWidget* m_list;
};

} // namespace mivanta
