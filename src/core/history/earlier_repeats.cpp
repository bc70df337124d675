// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/earlier_repeats.h"

#include "core/days/repeatability.h"
#include "core/units/log_percent.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

constexpr double kStep_rpm = 100.0;

/// Means over the days by their degrees of freedom, at whole steps of rpm.
class ShapeNoise {
public:
    void add(const DayRecord& day) {
        const auto& v = day.shapeVariance;
        if (!(day.freedom > 0.0) || v.empty())
            return;
        m_freedom += day.freedom;
        m_length += day.freedom * day.correlation.length_rpm;
        m_nugget += day.freedom * day.correlation.nugget;
        const double high = day.varianceLow_rpm + day.step_rpm * static_cast<double>(v.size() - 1);
        for (auto k = std::lround(std::ceil(day.varianceLow_rpm / kStep_rpm));
             kStep_rpm * static_cast<double>(k) <= high; ++k) {
            const double at = (kStep_rpm * static_cast<double>(k) - day.varianceLow_rpm) / day.step_rpm;
            auto& [sum, freedom] = m_steps[k];
            sum += day.freedom * static_cast<double>(v[static_cast<size_t>(std::lround(at))]);
            freedom += day.freedom;
        }
    }
    [[nodiscard]] bool known() const { return !m_steps.empty(); }
    void putInto(EarlierRepeats& out) const {
        const long first = m_steps.begin()->first;
        out.low_rpm = kStep_rpm * static_cast<double>(first);
        out.step_rpm = kStep_rpm;
        double last_pct = 0.0;
        for (long k = first; k <= m_steps.rbegin()->first; ++k) { // a gap between articles is as what lies below it
            if (const auto at = m_steps.find(k); at != m_steps.end())
                last_pct = percentOfLog(std::sqrt(at->second.first / at->second.second));
            out.shapeSd_pct.push_back(last_pct);
        }
        out.correlation_rpm = m_length / m_freedom;
        out.nugget = m_nugget / m_freedom;
    }

private:
    std::map<long, std::pair<double, double>> m_steps; ///< sum and degrees of freedom
    double m_freedom = 0.0;
    double m_length = 0.0;
    double m_nugget = 0.0;
};

} // namespace

EarlierRepeats earlierRepeats(std::span<const DayRecord* const> days, const std::string& article) {
    std::vector<DayVariance> variances;
    ShapeNoise ofArticle;
    ShapeNoise ofAll;
    for (const DayRecord* day : days) {
        if (day->levelSd)
            variances.push_back({*day->levelSd * *day->levelSd, day->freedom});
        ofAll.add(*day);
        if (day->article == article)
            ofArticle.add(*day);
    }
    const auto usual = varianceHistory(variances);
    EarlierRepeats out;
    if (!usual || !ofAll.known())
        return out;
    out.sd_pct = percentOfLog(std::sqrt(usual->variance));
    out.freedom = usual->freedom;
    out.cautious = cautiousHistory(variances)->freedom;
    (ofArticle.known() ? ofArticle : ofAll).putInto(out);
    return out;
}

} // namespace hillrun
