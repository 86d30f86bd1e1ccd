// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/ReferenceParser.h"
#include <QLabel>

namespace mivanta {

/// Says how a typed reference is understood: a book's chapters, a chapter's verses, the whole of it with the
/// slides that it makes, or what is wrong. Hidden while there is nothing to say.
class ReferenceHelp : public QLabel {
    Q_OBJECT
public:
    explicit ReferenceHelp(QWidget* parent = nullptr);
    void setNight(bool night);
    /// `more` stands behind it, such as how many verses were found.
    void showUnderstanding(const Understanding& understood, const QString& more = {});
    /// Of what is understood now; 0 = not known.
    void setSlideCount(int slides);
    void showError(const Error& error);

Q_SIGNALS:
    /// The reference may mean something else as well, and that is what is meant.
    void otherWanted(const QString& reference);

private:
    void refresh();

    Understanding m_understood;
    QString m_more;
    int m_slides = 0;
    bool m_night = false;
};

} // namespace mivanta
