// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/ThemeCommands.h"
#include "core/base/Said.h"
#include "core/run/RunState.h"
#include "formats/LookJson.h"
#include "formats/ThemeFile.h"
#include "formats/ThemeJson.h"
#include "media/PictureProxies.h"
#include "render/LegibilityMeasure.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <array>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString levelName(LookLevel level) {
    constexpr std::array names{"built-in", "output", "service", "kind", "live", "item", "slide", "insisted"};
    static_assert(names.size() == size_t(LookLevel::Insisted) + 1);
    return QString::fromLatin1(names[size_t(level)]);
}

QString themeText(const Theme& theme) {
    QString text = u"%1 (%2)\n"_s.arg(theme.name, theme.id);
    std::optional<LookGroup> group;
    for (const LookProperty& property : lookProperties()) {
        if (group != property.group) {
            group = property.group;
            text += u"\n%1\n"_s.arg(labelOf(property.group));
        }
        text += u"  %1 %2\n"_s.arg(property.label() + u':', -22).arg(property.text(property.get(theme.look)));
    }
    return text;
}

} // namespace

Result<Theme> themeNamed(Library& library, const QString& wanted) {
    const auto themes = library.themes().all();
    if (!themes)
        return tl::unexpected(themes.error());
    QStringList ids;
    for (const Theme& theme : *themes) {
        if (theme.id == wanted || theme.name.compare(wanted, Qt::CaseInsensitive) == 0)
            return theme;
        ids << theme.id;
    }
    return failure(Said::tr("there is no theme \"%1\"").arg(wanted), library.folder(),
                   Said::tr("There are: %1.").arg(ids.join(u", "_s)));
}

Result<int> runTheme(Library& library, const Arguments& arguments, QTextStream& out) {
    const QString what = arguments.words.value(0);
    if (what == u"list") {
        const auto themes = library.themes().all();
        if (!themes)
            return tl::unexpected(themes.error());
        QJsonArray json;
        for (const Theme& theme : *themes) {
            json.append(QJsonObject{{u"id"_s, theme.id}, {u"name"_s, theme.name}});
            if (!arguments.json)
                out << u"%1  %2\n"_s.arg(theme.id, -24).arg(theme.name);
        }
        if (arguments.json)
            out << QJsonDocument(json).toJson();
        return 0;
    }
    if (what == u"import") {
        for (const QString& path : arguments.words.mid(1)) {
            const auto theme = library.themes().bringIn(path, library.media(), checkPicture);
            if (!theme)
                return tl::unexpected(theme.error());
            out << u"%1  %2\n"_s.arg(theme->id, -24).arg(theme->name);
        }
        return 0;
    }
    const auto theme = themeNamed(library, arguments.words.value(1));
    if (!theme)
        return tl::unexpected(theme.error());
    if (what == u"show") {
        if (arguments.json)
            out << QJsonDocument(themeToJson(*theme)).toJson();
        else
            out << themeText(*theme);
        return 0;
    }
    if (const auto done = library.themes().sendOut(*theme, arguments.to, library.media()); !done)
        return tl::unexpected(done.error());
    out << arguments.to << u'\n';
    return 0;
}

QString whyText(const OutputSlides& output) {
    QString text = u"\n%1\n"_s.arg(output.output.label());
    for (const LookProperty& property : lookProperties()) {
        const LookSource& source = output.sources[indexOf(property)];
        text +=
            u"  %1 %2  %3%4\n"_s.arg(property.keyText(), -30)
                .arg(property.text(property.get(output.look)), -28)
                .arg(levelName(source.level), source.theme.isEmpty() ? QString() : u" · "_s + source.theme);
    }
    return text;
}

QJsonArray whyJson(const OutputSlides& output) {
    QJsonArray json;
    for (const LookProperty& property : lookProperties()) {
        const LookSource& source = output.sources[indexOf(property)];
        json.append(QJsonObject{{u"property"_s, property.keyText()},
                                {u"value"_s, valueToJson(property, property.get(output.look))},
                                {u"level"_s, levelName(source.level)},
                                {u"theme"_s, source.theme}});
    }
    return json;
}

QString legibilityReport(const QString& title, const ItemSlides& slides, const QString& onlyOutput,
                         const RenderSources& sources, QJsonArray* json) {
    QString text = title + u'\n';
    for (const OutputSlides& output : slides.outputs) {
        if (!onlyOutput.isEmpty() && output.output.name != onlyOutput)
            continue;
        std::optional<Legibility> worst;
        for (const Slide& slide : output.slides) {
            Legibility legibility =
                legibilityOf(letterHeights(output.lookOf(slide).words, output.fontSizeOf(slide),
                                           output.output.size.height()),
                             output.output);
            legibility.contrast = measuredContrast(
                sceneOf(slides, output, int(&slide - output.slides.data())), output.output.light, sources);
            if (!worst || legibility.readsTo < worst->readsTo)
                worst =
                    Legibility{legibility.readsTo, legibility.arcMinutes,
                               worst ? std::min(worst->contrast, legibility.contrast) : legibility.contrast,
                               legibility.backRow};
            worst->contrast = std::min(worst->contrast, legibility.contrast);
        }
        if (!worst)
            continue;
        text += u"  "_s +
                (worst->isStrongEnough() ? Said::tr("%1: %2, contrast %3:1")
                                         : Said::tr("%1: %2, contrast %3:1 (too pale)"))
                    .arg(output.output.label(), legibilityText(*worst))
                    .arg(worst->contrast, 0, 'f', 1) +
                u'\n';
        if (json)
            json->append(QJsonObject{{u"title"_s, title},
                                     {u"output"_s, output.output.name},
                                     {u"readsTo"_s, worst->readsTo},
                                     {u"backRow"_s, worst->backRow},
                                     {u"arcMinutes"_s, worst->arcMinutes},
                                     {u"contrast"_s, worst->contrast}});
    }
    return text;
}

} // namespace mivanta
