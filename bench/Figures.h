// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QJsonArray>
#include <QString>
#include <vector>

namespace mivanta {

/// What was measured, printed as it comes and written as JSON at the end.
class Figures {
public:
    /// Median and 99th percentile of samples in milliseconds.
    void addTimes(const QString& name, std::vector<double> milliseconds);
    void add(const QString& name, double value, const QString& unit);
    [[nodiscard]] bool write(const QString& path) const;
    /// The median of a figure added with addTimes(), for ratios.
    [[nodiscard]] double median(const QString& name) const;
    [[nodiscard]] double p99(const QString& name) const;

private:
    [[nodiscard]] double value(const QString& name, const QString& key) const;
    QJsonArray m_all;
};

} // namespace mivanta
