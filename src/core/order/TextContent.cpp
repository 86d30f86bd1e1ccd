// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemContent.h"

namespace mivanta {

ItemContent contentOf(const SpokenText& text, const FieldValues& values) {
    ItemContent content;
    content.isProse = true;
    content.credit = {text.title, text.author, text.copyright, {}, {}};
    QString role;
    bool isFirst = true;
    for (const SpokenLine& written : text.lines) {
        if (isFirst || written.breakBefore) {
            const QString label = QString::number(content.parts.size() + 1);
            content.entries.push_back({int(content.parts.size()), 1, 1, {}});
            content.parts.push_back({label, label, label, false, {}, {}});
            content.parts.back().picture = text.picture;
            content.parts.back().pictureFit = PictureFit::Fill;
            role.clear(); // a new page says again who speaks
        }
        isFirst = false;
        const SpokenLine line = filled(written, values, text.language);
        ContentLine shown(Line{line.words, {}, false, {}, line.emphasis});
        shown.role = line.role;
        shown.startsRole = !line.role.isEmpty() && line.role != role;
        shown.namesRole = text.namesRoles;
        if (!line.words.isEmpty())
            role = line.role;
        content.parts.back().lines.push_back(std::move(shown));
    }
    return content;
}

} // namespace mivanta
