// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/log_fit.h"

#include "core/errors/data_error.h"
#include "core/pull/robust.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <numeric>
#include <optional>

namespace hillrun {
namespace {

constexpr double kStep_s = 0.1;        ///< of the search for the lag
constexpr double kLongestHole_s = 1.0; ///< speed is not carried across more
constexpr double kShortestOverlap_s = 1.5;
constexpr double kShareOfRange = 0.6; ///< of the pull's speeds that the log has to cover
constexpr double kLeastRange_rpm = 300.0;
constexpr double kRateWeight_s = 0.2; ///< a rate that differs by 1 rpm/s counts as so many rpm
constexpr double kDriftSd = 0.002;    ///< clocks agree within this, before anything is seen
constexpr double kMostDrift = 0.005;
constexpr std::array kBins_s{0.3, 1.0}; ///< long enough for scatter to average out; slow and quick differences show
constexpr double kApart_s = 0.5;        ///< lags further apart are two answers
constexpr size_t kMostCandidates = 12;
constexpr double kMostLagSd_s = 0.05;
constexpr double kPickupShare = 0.0003;    ///< of the speed: what two pickups of one engine differ by
constexpr double kNormalQuantile = 1.2816; ///< of the distance from the mean, 80 %
constexpr double kMostMisfit = 1.4;        ///< times what is expected
constexpr double kMoving = 0.1;            ///< of the quickest change of speed
constexpr double kSlowEngine_rpm = 1000.0;
constexpr size_t kLeastRows = 20;

/// Speed over time without blanks, time rising.
struct Trace {
    std::vector<double> time_s;
    std::vector<double> rpm;
    double step_s = 0.0; ///< median
    double noise = 0.0;  ///< from row to row

    [[nodiscard]] size_t rows() const { return time_s.size(); }
};

Trace traceOf(const ChannelTable& table) {
    const Column* time = table.find("time");
    const Column* speed = table.find("engine_speed");
    if (!time)
        throw DataError(Problem::NoTimeChannel, {});
    if (!speed)
        throw DataError(Problem::NoSpeedChannel, {});
    Trace out;
    for (size_t i = 0; i < table.rows(); ++i) {
        const double t = time->values[i];
        if (!std::isfinite(t) || !std::isfinite(speed->values[i]) || (out.rows() > 0 && t <= out.time_s.back()))
            continue;
        out.time_s.push_back(t);
        out.rpm.push_back(speed->values[i]);
    }
    if (out.rows() < kLeastRows)
        throw DataError(Problem::LogTooShort, {Statement{"log.rows", {Count{static_cast<long>(out.rows())}}}});
    out.step_s = medianStep(out.time_s);
    out.noise = sampleNoise(out.rpm);
    return out;
}

/// Speed at a time by a straight line between the rows beside it; NaN outside and in holes.
double speedAt(const Trace& trace, double t) {
    const auto next = std::upper_bound(trace.time_s.begin(), trace.time_s.end(), t);
    if (next == trace.time_s.begin() || next == trace.time_s.end())
        return next == trace.time_s.end() && t == trace.time_s.back() ? trace.rpm.back() : std::nan("");
    const auto i = static_cast<size_t>(next - trace.time_s.begin());
    const double width = trace.time_s[i] - trace.time_s[i - 1];
    if (width > std::max(kLongestHole_s, 3.0 * trace.step_s))
        return std::nan("");
    const double share = (t - trace.time_s[i - 1]) / width;
    return trace.rpm[i - 1] + share * (trace.rpm[i] - trace.rpm[i - 1]);
}

/// Each row the mean over the rows within `half_s` of it.
Trace smoothed(Trace trace, double half_s) {
    std::vector<double> sums(trace.rows() + 1, 0.0);
    std::partial_sum(trace.rpm.begin(), trace.rpm.end(), sums.begin() + 1);
    size_t from = 0;
    size_t to = 0;
    std::vector<double> out(trace.rows());
    for (size_t i = 0; i < trace.rows(); ++i) {
        const double reach = std::min({half_s, trace.time_s[i] - trace.time_s.front(),
                                       trace.time_s.back() - trace.time_s[i]}); // even on both sides
        while (trace.time_s[from] < trace.time_s[i] - reach - 1e-9)
            ++from;
        while (to < trace.rows() && trace.time_s[to] <= trace.time_s[i] + reach + 1e-9)
            ++to;
        out[i] = (sums[to] - sums[from]) / static_cast<double>(to - from);
    }
    trace.rpm = std::move(out);
    return trace;
}

double rateAt(const Trace& trace, double t) {
    const double half = std::max(0.1, 1.5 * trace.step_s);
    return (speedAt(trace, t + half) - speedAt(trace, t - half)) / (2.0 * half);
}

/// Even steps from the first row on.
struct Even {
    double start_s = 0.0;
    std::vector<double> rpm;
    std::vector<double> rate;
};

Even evenly(const Trace& trace) {
    Even out{trace.time_s.front(), {}, {}};
    const auto steps = static_cast<size_t>((trace.time_s.back() - trace.time_s.front()) / kStep_s);
    for (size_t i = 0; i <= steps; ++i) {
        const double t = out.start_s + static_cast<double>(i) * kStep_s;
        out.rpm.push_back(speedAt(trace, t));
        out.rate.push_back(rateAt(trace, t));
    }
    return out;
}

/// Without the hundredth part at either end: a wild row is no speed.
double rangeOf(const std::vector<double>& rpm) { return quantileOf(rpm, 0.99) - quantileOf(rpm, 0.01); }

struct Candidate {
    double lag_s = 0.0;
    double cost = 0.0;
};

/// Mean distance of speed and rate at each shift of the log that covers enough of the pull, at its local minima.
std::vector<Candidate> candidates(const Trace& pull, const Trace& log) {
    const Even p = evenly(smoothed(pull, 0.1));
    const Even l = evenly(smoothed(log, 0.1));
    const auto pulls = static_cast<long>(p.rpm.size());
    const auto logs = static_cast<long>(l.rpm.size());
    const double enough = kShareOfRange * rangeOf(pull.rpm);
    std::vector<Candidate> all;
    for (long shift = -logs + 1; shift < pulls; ++shift) { // the log's first row lies at the pull's row `shift`
        double cost = 0.0;
        double rows = 0.0;
        double low = 1e300;
        double high = -1e300;
        for (long i = std::max(0L, shift); i < std::min(pulls, shift + logs); ++i) {
            const auto a = static_cast<size_t>(i);
            const auto b = static_cast<size_t>(i - shift);
            const double speed = std::abs(p.rpm[a] - l.rpm[b]);
            if (!std::isfinite(speed))
                continue;
            const double rate = std::abs(p.rate[a] - l.rate[b]);
            cost += speed + (std::isfinite(rate) ? kRateWeight_s * rate : 0.0);
            rows += 1.0;
            low = std::min(low, p.rpm[a]);
            high = std::max(high, p.rpm[a]);
        }
        const bool covered = rows * kStep_s >= kShortestOverlap_s && high - low >= enough;
        all.push_back({l.start_s - p.start_s - static_cast<double>(shift) * kStep_s, covered ? cost / rows : 1e300});
    }
    std::vector<Candidate> out;
    for (size_t i = 0; i < all.size(); ++i) {
        const double before = i > 0 ? all[i - 1].cost : 1e300;
        const double after = i + 1 < all.size() ? all[i + 1].cost : 1e300;
        if (all[i].cost < 1e300 && all[i].cost <= before && all[i].cost <= after)
            out.push_back(all[i]);
    }
    std::sort(out.begin(), out.end(), [](const Candidate& a, const Candidate& b) { return a.cost < b.cost; });
    if (out.size() > kMostCandidates)
        out.resize(kMostCandidates);
    return out;
}

/// Rows of the log that lie on the pull: its speed less the pull's there.
struct Residuals {
    std::vector<double> pull_s;
    std::vector<double> rpm;
    std::vector<double> rate; ///< of the pull
};

Residuals residualsOf(const Trace& pull, const Trace& log, const LogClock& clock) {
    Residuals out;
    for (size_t i = 0; i < log.rows(); ++i) {
        const double t = clock.pullTime(log.time_s[i]);
        const double there = speedAt(pull, t);
        if (!std::isfinite(there))
            continue;
        const double rate = rateAt(pull, t);
        out.pull_s.push_back(t);
        out.rpm.push_back(log.rpm[i] - there);
        out.rate.push_back(std::isfinite(rate) ? rate : 0.0);
    }
    return out;
}

/// One over the distance for rows far off (Huber's weights).
double weightOf(double residual, double scale) {
    return std::min(1.0, 1.5 * scale / std::max(std::abs(residual), 1e-9));
}

/// Gauss-Newton for lag and drift, the drift held near zero by what is known of clocks.
struct Refined {
    LogClock clock;
    double sd_s = 1e300; ///< of the lag
};

Refined refined(const Trace& pull, const Trace& log, double lag_s) {
    // The drift turns about the middle of the pull, so that it does not move the lag.
    const double middle = 0.5 * (pull.time_s.front() + pull.time_s.back());
    double lag = lag_s;
    Refined out{{lag_s, 0.0}};
    for (int round = 0; round < 20; ++round) {
        const Residuals now = residualsOf(pull, log, out.clock);
        if (now.rpm.size() < kLeastRows)
            break;
        const double scale = std::max(robustSd(now.rpm), 0.5);
        const double known = scale * scale / (kDriftSd * kDriftSd);
        double ll = 0.0;
        double ld = 0.0;
        double dd = known;
        double l = 0.0;
        double d = -known * out.clock.drift;
        for (size_t i = 0; i < now.rpm.size(); ++i) {
            const double w = weightOf(now.rpm[i], scale);
            const double byLag = now.rate[i]; // a larger lag reads the pull earlier
            const double byDrift = now.rate[i] * (now.pull_s[i] - middle);
            ll += w * byLag * byLag;
            ld += w * byLag * byDrift;
            dd += w * byDrift * byDrift;
            l -= w * byLag * now.rpm[i];
            d -= w * byDrift * now.rpm[i];
        }
        const double determinant = ll * dd - ld * ld;
        if (!(determinant > 0.0))
            break;
        const double lagStep = std::clamp((dd * l - ld * d) / determinant, -0.5, 0.5);
        const double driftStep = (ll * d - ld * l) / determinant;
        lag += lagStep;
        const double drift = std::clamp(out.clock.drift + driftStep, -kMostDrift, kMostDrift);
        out = {{lag - drift * middle, drift}, scale * std::sqrt(dd / determinant)};
        if (std::abs(lagStep) < 1e-5 && std::abs(driftStep) < 1e-7)
            break;
    }
    return out;
}

/// The scatter of means over bins of the pull's time, so that what differs slowly is told from noise. Only bins in
/// which the speed moves: all idling is alike. From their 80 % quantile: the few bins where a filtered reading lags at
/// a corner of the speed do not count.
double misfitOf(const Residuals& residuals, double bin_s) {
    std::vector<double> rates;
    for (const double rate : residuals.rate)
        rates.push_back(std::abs(rate));
    const double moving = kMoving * quantileOf(rates, 0.9);
    std::vector<double> means;
    for (size_t i = 0; i < residuals.rpm.size();) {
        double sum = 0.0;
        double rate = 0.0;
        double rows = 0.0;
        const double end = residuals.pull_s[i] + bin_s;
        for (; i < residuals.rpm.size() && (rows == 0.0 || residuals.pull_s[i] < end); ++i) {
            sum += residuals.rpm[i];
            rate += rates[i];
            rows += 1.0;
        }
        if (rate >= moving * rows)
            means.push_back(std::abs(sum / rows));
    }
    return quantileOf(means, 0.8) / kNormalQuantile;
}

/// What noise from row to row (uneven stamps and coarse steps show in it too, while the speed moves) leaves in such
/// means, and two pickups of one engine.
double expectedMisfit(const Trace& pull, const Trace& log, double bin_s) {
    const double logRows = std::max(1.0, bin_s / log.step_s);
    const double pullRows = std::max(1.0, bin_s / pull.step_s);
    const double scatter = log.noise * log.noise / logRows + pull.noise * pull.noise / pullRows;
    return std::sqrt(scatter + std::pow(kPickupShare * std::max(median(pull.rpm), kSlowEngine_rpm), 2.0));
}

LogFit judged(const Trace& pull, const Trace& log, const LogClock& clock) {
    const Residuals residuals = residualsOf(smoothed(pull, 0.05), log, clock);
    LogFit out{clock};
    if (residuals.pull_s.empty())
        return out;
    out.overlap_s = residuals.pull_s.back() - residuals.pull_s.front();
    for (const double bin_s : kBins_s) {
        const double misfit = misfitOf(residuals, bin_s);
        const double expected = expectedMisfit(pull, log, bin_s);
        if (misfit * out.expected_rpm >= out.misfit_rpm * expected) {
            out.misfit_rpm = misfit;
            out.expected_rpm = expected;
        }
    }
    return out;
}

} // namespace

bool LogFit::good() const { return overlap_s > 0.0 && misfit_rpm <= kMostMisfit * expected_rpm; }

LogFit judgeLog(const ChannelTable& pull, const ChannelTable& log, const LogClock& clock) {
    return judged(traceOf(pull), traceOf(log), clock);
}

static DataError differs(const std::optional<LogFit>& best) {
    if (!best)
        return {Problem::LogDiffersWidely, {}};
    return {Problem::LogDiffers, {Rpm{best->misfit_rpm}, Rpm{best->expected_rpm}}};
}

LogFit fitLog(const ChannelTable& pull, const ChannelTable& log) {
    const Trace p = traceOf(pull);
    const Trace l = traceOf(log);
    if (rangeOf(p.rpm) < kLeastRange_rpm || rangeOf(l.rpm) < kLeastRange_rpm)
        throw DataError(Problem::LogSteady, {Rpm{std::min(rangeOf(p.rpm), rangeOf(l.rpm))}});
    const std::vector<Candidate> lags = candidates(p, l);
    if (lags.empty())
        throw DataError(Problem::LogTooShort,
                        {Statement{"log.never_covers", {decimals(100.0 * kShareOfRange, 0, "%")}}});
    const Trace even = smoothed(p, 0.05);
    const double middle = 0.5 * (p.time_s.front() + p.time_s.back());
    std::vector<LogFit> fits;
    for (const Candidate& one : lags) {
        const Refined found = refined(even, l, one.lag_s);
        const double moved_s = found.clock.logTime(middle) - middle - one.lag_s;
        const LogFit fit = judged(p, l, found.clock);
        if (found.sd_s < kMostLagSd_s && std::abs(moved_s) < kApart_s && fit.overlap_s >= kShortestOverlap_s)
            fits.push_back(fit);
    }
    const auto better = [](const LogFit& a, const LogFit& b) {
        return a.misfit_rpm / a.expected_rpm < b.misfit_rpm / b.expected_rpm;
    };
    std::sort(fits.begin(), fits.end(), better);
    if (fits.empty() || !fits.front().good())
        throw differs(fits.empty() ? std::nullopt : std::optional(fits.front()));
    for (const LogFit& other : fits)
        if (other.good() && std::abs(other.clock.lag_s - fits.front().clock.lag_s) > kApart_s)
            throw DataError(Problem::LogAmbiguous, {fmt::format("{:.2f}", fits.front().clock.lag_s),
                                                    fmt::format("{:.2f}", other.clock.lag_s)});
    return fits.front();
}

} // namespace hillrun
