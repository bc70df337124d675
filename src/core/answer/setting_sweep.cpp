// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/setting_sweep.h"

#include "core/units/nan.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::VectorXd;

constexpr Index kUseDraws = 8000;
constexpr Index kRpmDraws = 1000;
constexpr double kFlat = 0.005; ///< a top is flat as far as it gives away no more
constexpr double kBox_rpm = 300.0;
constexpr double kRpmStep = 250.0;

class SweepWorker {
public:
    SweepWorker(const DayModel& model, const SweptSetting& setting, const VectorXd& values, const DriftSettings& drift)
        : m_model(model), m_values(values), m_drift(drift) {
        m_out.setting = setting;
        m_lowest = *std::min_element(setting.ofBuild.begin(), setting.ofBuild.end());
        m_span = *std::max_element(setting.ofBuild.begin(), setting.ofBuild.end()) - m_lowest;
    }

    std::optional<SettingSweep> work() {
        m_design = design();
        const auto response = SettingResponse::of(m_design, kUseDraws);
        if (!response)
            return std::nullopt;
        const SettingCurve curve = response->respond(m_values, kUseDraws);
        addLevels();
        addCurve(curve);
        addBest(curve);
        addOneMoreStep();
        addByRpm(*response);
        return std::move(m_out);
    }

private:
    [[nodiscard]] double settingAt(double share) const { return m_lowest + share * m_span; }
    [[nodiscard]] double shareOf(double setting) const { return (setting - m_lowest) / m_span; }

    SettingDesign design() {
        SettingDesign out;
        const auto pulls = static_cast<Index>(m_model.input.pulls.size());
        out.x.resize(pulls);
        out.hours.resize(pulls);
        std::map<double, std::vector<int>> sets; // of each step, in time order
        for (Index i = 0; i < pulls; ++i) {
            const FitPull& pull = m_model.input.pulls[static_cast<size_t>(i)];
            const double value = m_out.setting.ofBuild[static_cast<size_t>(pull.build)];
            out.x(i) = shareOf(value);
            out.hours(i) = pull.time_h;
            sets[value].push_back(pull.set);
        }
        out.driftTaken = m_out.driftTaken = std::any_of(sets.begin(), sets.end(), [](const auto& one) {
            return std::any_of(one.second.begin(), one.second.end(),
                               [&](int set) { return set != one.second.front(); });
        });
        return out;
    }

    /// One step against the lowest, by the day's own model.
    [[nodiscard]] std::optional<NumberEstimate> between(const SweepLevel& from, const SweepLevel& to) const {
        VectorXd weights = VectorXd::Zero(m_model.input.builds);
        for (const SweepLevel* level : {&from, &to})
            for (const size_t build : level->builds)
                weights(static_cast<Index>(build)) +=
                    (level == &to ? 1.0 : -1.0) / static_cast<double>(level->builds.size());
        return estimateNumber(m_model, weights, m_values, m_drift);
    }

    void addLevels() {
        std::map<double, std::vector<size_t>> builds;
        for (size_t b = 0; b < m_out.setting.ofBuild.size(); ++b)
            builds[m_out.setting.ofBuild[b]].push_back(b);
        for (const auto& [value, which] : builds)
            m_out.levels.push_back({value, which, 0.0, 0.0, kNaN});
        for (SweepLevel& level : m_out.levels)
            if (&level != &m_out.levels.front()) {
                const auto found = between(m_out.levels.front(), level);
                level.fitted = found ? found->estimate : kNaN;
                level.half = found ? found->half : kNaN;
            }
    }

    void addCurve(const SettingCurve& curve) {
        const VectorXd costs = costsAtMost(curve);
        const auto places = static_cast<double>(kSettingPoints - 1);
        std::vector<double> drawn(static_cast<size_t>(curve.draws.cols()));
        for (Index p = 0; p < kSettingPoints; ++p) {
            for (Index d = 0; d < curve.draws.cols(); ++d)
                drawn[static_cast<size_t>(d)] = curve.draws(p, d) - curve.draws(0, d);
            const auto quantile = [&](double share) {
                const auto at = drawn.begin() + static_cast<std::ptrdiff_t>(share * static_cast<double>(drawn.size()));
                std::nth_element(drawn.begin(), at, drawn.end());
                return *at;
            };
            m_out.value.push_back(settingAt(static_cast<double>(p) / places));
            m_out.gain.push_back(curve.mean(p) - curve.mean(0));
            m_out.low.push_back(quantile(0.025));
            m_out.high.push_back(quantile(0.975));
            if (costs(p) <= kFlat) {
                const double here = m_out.value.back();
                m_out.flatTop = {m_out.flatTop ? m_out.flatTop->low : here, here};
            }
        }
        for (SweepLevel& level : m_out.levels)
            level.costsAtMost = costs(static_cast<Index>(std::lround(shareOf(level.value) * places)));
        m_out.base_w = std::exp(curve.mean(0));
    }

    void addBest(const SettingCurve& curve) {
        const BestSetting best = bestSetting(curve);
        m_out.anywhere = (best.low <= 0.0 && best.high >= 1.0) || !settingMatters(m_design, m_values);
        m_out.best = {settingAt(best.named), settingAt(best.low), settingAt(best.high), best.atLowEnd, best.atHighEnd};
    }

    /// No more than the last step gave, at most: what it gives falls from step to step.
    void addOneMoreStep() {
        const auto last = between(m_out.levels[m_out.levels.size() - 2], m_out.levels.back());
        if (!last || last->degreesOfFreedom < 1)
            return;
        const double t = boost::math::quantile(boost::math::students_t(last->degreesOfFreedom), 0.95);
        m_out.oneMoreStep = last->estimate + t * last->standardError;
    }

    /// Mean log power of each pull within the box; nothing where one has no data there.
    [[nodiscard]] std::optional<VectorXd> around(double rpm) const {
        const std::vector<double>& grid = m_model.input.rpm;
        VectorXd sum = VectorXd::Zero(m_model.input.logPower.rows());
        int count = 0;
        for (size_t p = 0; p < grid.size(); ++p)
            if (std::abs(grid[p] - rpm) <= kBox_rpm) {
                sum += m_model.input.logPower.col(static_cast<Index>(p));
                ++count;
            }
        if (count == 0 || !sum.allFinite())
            return std::nullopt;
        return sum / count;
    }

    void addByRpm(const SettingResponse& response) {
        const std::vector<double>& grid = m_model.input.rpm;
        if (grid.empty())
            return;
        for (double rpm = std::ceil(grid.front() / kRpmStep) * kRpmStep; rpm <= grid.back(); rpm += kRpmStep)
            if (const auto values = around(rpm)) {
                BestSetting best = bestSetting(response.respond(*values, kRpmDraws));
                if (!settingMatters(m_design, *values)) {
                    best.low = 0.0;
                    best.high = 1.0;
                }
                m_out.byRpm.push_back({rpm, settingAt(best.named), settingAt(best.low), settingAt(best.high)});
            }
    }

    const DayModel& m_model;
    const VectorXd& m_values;
    const DriftSettings& m_drift;
    SettingSweep m_out;
    SettingDesign m_design;
    double m_lowest = 0.0;
    double m_span = 1.0;
};

} // namespace

std::optional<SettingSweep> sweepOf(const DayModel& model, const SweptSetting& setting, const VectorXd& values,
                                    const DriftSettings& drift) {
    if (!values.allFinite())
        return std::nullopt;
    return SweepWorker(model, setting, values, drift).work();
}

} // namespace hillrun
