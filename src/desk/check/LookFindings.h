// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Findings.h"
#include <QHash>
#include <memory>

namespace mivanta {

class Session;

/// What is too small for the back row or too weak against its backdrop, as far as it has been measured.
[[nodiscard]] std::vector<Finding> readingFindings(Session& session);

/// Fonts that are not on this computer, and letters that a font, or every font, lacks. Items whose slides are
/// the same are not looked at again.
class FontFindings {
public:
    void look(Session& session);
    [[nodiscard]] const std::vector<Finding>& all() const { return m_all; }

private:
    struct Known {
        std::shared_ptr<const ItemSlides> slides;
        std::vector<Finding> findings;
    };
    QHash<ItemId, Known> m_known;
    std::vector<Finding> m_all;
};

} // namespace mivanta
