// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/lay_logs.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kClearlyBetter = 0.5;   ///< of the misfit over what is expected
constexpr double kClocksAgree_s = 120.0; ///< the bench's time of day and the log's
constexpr double kFarther = 2.0;

/// The stretch of the log's clock that a pull lies on, and how well.
struct Claim {
    bool stands = false;
    double from_s = 0.0;
    double to_s = 0.0;
    double misfit = 0.0;               ///< over what is expected
    std::optional<double> timeApart_s; ///< time of day by the log and as noted of the pull
};

Claim claimOf(const TestDay& day, const LogOnPull& one, std::optional<double> logZero_s) {
    if (!one.fit)
        return {};
    const Pull& pull = *findPull(day, one.pull);
    const std::vector<double>& time = ownRows(pull)->find("time")->values;
    Claim out{true,
              one.fit->clock.logTime(time.front()),
              one.fit->clock.logTime(time.back()),
              one.fit->misfit_rpm / one.fit->expected_rpm,
              {}};
    if (const auto started = secondsOf(pull.started); started && logZero_s)
        out.timeApart_s = std::abs(*logZero_s + out.from_s - *started);
    return out;
}

bool claimTheSame(const Claim& a, const Claim& b) {
    const double shared = std::min(a.to_s, b.to_s) - std::max(a.from_s, b.from_s);
    return shared > 0.5 * std::min(a.to_s - a.from_s, b.to_s - b.from_s);
}

/// By the speed, else by the time of day.
bool isBetter(const Claim& a, const Claim& b) {
    if (std::abs(a.misfit - b.misfit) > kClearlyBetter)
        return a.misfit < b.misfit;
    return a.timeApart_s && b.timeApart_s &&
           *a.timeApart_s<kClocksAgree_s&& * b.timeApart_s> kFarther * *a.timeApart_s + 1.0;
}

} // namespace

LogOnPull tryLogOn(const Pull& pull, const ChannelTable& log) {
    LogOnPull out;
    out.pull = pull.id;
    try {
        if (!ownRows(pull))
            throw DataError(Problem::TooFewSamples, {std::string("0")}, {.file = pull.file});
        out.fit = fitLog(*ownRows(pull), log);
    } catch (const DataError& error) {
        out.whyNot = error;
    }
    return out;
}

void settleClaims(const TestDay& day, std::vector<LogOnPull>& tried, std::optional<double> logZero_s) {
    std::vector<Claim> claims;
    for (const LogOnPull& one : tried)
        claims.push_back(claimOf(day, one, logZero_s));
    for (size_t i = 0; i < claims.size(); ++i)
        for (size_t j = 0; j < claims.size(); ++j) {
            if (i == j || !claims[i].stands || !claims[j].stands || !claimTheSame(claims[i], claims[j]))
                continue;
            if (isBetter(claims[j], claims[i])) {
                tried[i].fit.reset();
                tried[i].whyNot = DataError(Problem::LogOfAnother, {tried[j].pull});
            } else if (!isBetter(claims[i], claims[j])) {
                tried[i].alike.push_back(tried[j].pull);
            }
        }
    // Who lost to a third is no rival any more.
    for (LogOnPull& one : tried)
        std::erase_if(one.alike, [&](const std::string& id) {
            return std::any_of(tried.begin(), tried.end(),
                               [&](const LogOnPull& other) { return other.pull == id && !other.fit; });
        });
}

std::vector<LogOnPull> tryLog(const TestDay& day, const ChannelTable& log, std::optional<double> logZero_s) {
    std::vector<LogOnPull> out;
    for (const Pull& pull : day.pulls)
        out.push_back(tryLogOn(pull, log));
    settleClaims(day, out, logZero_s);
    return out;
}

} // namespace hillrun
