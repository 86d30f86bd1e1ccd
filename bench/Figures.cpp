// SPDX-License-Identifier: GPL-3.0-or-later
#include "Figures.h"
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>
#include <cstdio>

namespace mivanta {

using namespace Qt::StringLiterals;

void Figures::addTimes(const QString& name, std::vector<double> ms) {
    std::sort(ms.begin(), ms.end());
    const double median = ms[ms.size() / 2];
    const double p99 = ms[std::min(ms.size() - 1, ms.size() * 99 / 100)];
    std::printf("%-64s p50 %8.2f ms   p99 %8.2f ms   (%zu)\n", qPrintable(name), median, p99, ms.size());
    std::fflush(stdout);
    m_all.append(QJsonObject{{u"name"_s, name},
                             {u"unit"_s, u"ms"_s},
                             {u"p50"_s, median},
                             {u"p99"_s, p99},
                             {u"samples"_s, qint64(ms.size())}});
}

void Figures::add(const QString& name, double number, const QString& unit) {
    std::printf("%-64s %12.2f %s\n", qPrintable(name), number, qPrintable(unit));
    std::fflush(stdout);
    m_all.append(QJsonObject{{u"name"_s, name}, {u"unit"_s, unit}, {u"value"_s, number}});
}

bool Figures::write(const QString& path) const {
    QFile file(path);
    return file.open(QIODevice::WriteOnly) && file.write(QJsonDocument(m_all).toJson()) > 0;
}

double Figures::value(const QString& name, const QString& key) const {
    for (const QJsonValue& figure : m_all)
        if (figure[u"name"_s].toString() == name)
            return figure[key].toDouble();
    return 0;
}

double Figures::median(const QString& name) const {
    return value(name, u"p50"_s);
}
double Figures::p99(const QString& name) const {
    return value(name, u"p99"_s);
}

} // namespace mivanta
