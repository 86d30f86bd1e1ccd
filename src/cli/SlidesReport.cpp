// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/SlidesReport.h"
#include "core/base/Said.h"
#include <QJsonArray>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

const ContentPart& partOf(const ItemSlides& slides, const Slide& slide) {
    return slides.content.parts[size_t(slides.content.entries[size_t(slide.start.entry)].part)];
}

QStringList linesOf(const Slide& slide) {
    QStringList lines;
    for (const FitRow& row : slide.rows)
        lines << row.text;
    return lines;
}

QJsonObject positionToJson(const Position& p) {
    return {{u"entry"_s, p.entry}, {u"line"_s, p.line}, {u"offset"_s, p.offset}};
}

QJsonObject outputToJson(const ItemSlides& slides, const OutputSlides& output) {
    QJsonArray list;
    for (const Slide& slide : output.slides) {
        QJsonObject json{{u"part"_s, partOf(slides, slide).key},
                         {u"number"_s, slide.number},
                         {u"of"_s, slide.of},
                         {u"start"_s, positionToJson(slide.start)},
                         {u"lines"_s, QJsonArray::fromStringList(linesOf(slide))}};
        if (!slide.credit.isEmpty())
            json.insert(u"credit"_s, slide.credit);
        list.append(json);
    }
    return {{u"name"_s, output.output.name},
            {u"width"_s, output.output.size.width()},
            {u"height"_s, output.output.size.height()},
            {u"fontSize"_s, output.fontSize},
            {u"reason"_s, output.reasonText},
            {u"slides"_s, list}};
}

bool isWanted(const OutputSlides& output, const QString& only) {
    return only.isEmpty() || output.output.name == only;
}

} // namespace

QJsonObject slidesToJson(const QString& title, const ItemSlides& slides, const QString& onlyOutput) {
    QJsonArray steps;
    for (const Step& step : slides.steps) {
        QJsonObject shown; // index of the slide that each output shows; -1 = no words there
        for (const OutputSlides& output : slides.outputs)
            if (isWanted(output, onlyOutput))
                shown.insert(output.output.name, output.slideAt(step.position).value_or(-1));
        QJsonObject json = positionToJson(step.position);
        if (step.part < int(slides.content.parts.size()))
            json.insert(u"part"_s, slides.content.parts[size_t(step.part)].key);
        json.insert(u"slides"_s, shown);
        steps.append(json);
    }
    QJsonArray outputs;
    for (const OutputSlides& output : slides.outputs)
        if (isWanted(output, onlyOutput))
            outputs.append(outputToJson(slides, output));
    return {{u"title"_s, title}, {u"steps"_s, steps}, {u"outputs"_s, outputs}};
}

QString slidesToText(const QString& title, const ItemSlides& slides, const QString& onlyOutput) {
    QString text = title + u'\n';
    for (const OutputSlides& output : slides.outputs) {
        if (!isWanted(output, onlyOutput))
            continue;
        const QString count = Said::tr("%n slides", nullptr, Said::n(output.slides.size()));
        const QString steps = Said::tr("%n steps", nullptr, Said::n(slides.steps.size()));
        text += u'\n' +
                //: %2 is "5 slides", %4 says why the words have this size, %5 is "6 steps"
                Said::tr("%1: %2 at %3 px (%4), %5")
                    .arg(output.output.label(), count, QString::number(output.fontSize), output.reasonText,
                         steps) +
                u'\n';
        for (const Slide& slide : output.slides) {
            text += u"\n  %1  %2/%3\n"_s.arg(partOf(slides, slide).label).arg(slide.number).arg(slide.of);
            for (const QString& line : linesOf(slide))
                text += u"    "_s + line + u'\n';
        }
    }
    return text;
}

} // namespace mivanta
