// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/articles.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace hillrun {
namespace {

/// A day whose speeds leave less than this share of what the others have is left out.
constexpr double kLeastOverlap = 0.5;

std::string folded(const std::string& text) {
    const auto from = text.find_first_not_of(" \t");
    if (from == std::string::npos)
        return {};
    std::string out = text.substr(from, text.find_last_not_of(" \t") - from + 1);
    for (char& c : out)
        c = c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c;
    return out;
}

/// Parts and settings as one text, in no order; empty when there are none.
std::string partsText(const BuildRecord& build) {
    std::set<std::string> all;
    for (const NamedValues* values : {&build.parts, &build.settings})
        for (const auto& [name, value] : *values)
            if (!value.empty())
                all.insert(folded(name) + '\x1f' + folded(value));
    std::string out;
    for (const std::string& one : all)
        out += one + '\x1e';
    return out;
}

/// What the pulls of a day have in common.
RpmRange rangeOf(const DayRecord& day) {
    RpmRange out{0.0, INFINITY};
    for (const PullRecord& pull : day.pulls) {
        out.low = std::max(out.low, pull.low_rpm);
        out.high = std::min(out.high, pull.high_rpm(day.step_rpm));
    }
    return out;
}

RpmRange common(const std::vector<const DayRecord*>& days) {
    RpmRange out{0.0, INFINITY};
    for (const DayRecord* day : days) {
        const RpmRange own = rangeOf(*day);
        out = {std::max(out.low, own.low), std::min(out.high, own.high)};
    }
    return out;
}

double width(const RpmRange& range) { return std::max(0.0, range.high - range.low); }

/// Takes the day with the fewest speeds out until the rest have enough in common.
void keepOverlapping(ArticleNet& net) {
    while (net.days.size() > 1) {
        std::vector<double> widths;
        for (const DayRecord* day : net.days)
            widths.push_back(width(rangeOf(*day)));
        std::vector<double> sorted = widths;
        std::sort(sorted.begin(), sorted.end());
        if (width(common(net.days)) >= kLeastOverlap * sorted[sorted.size() / 2])
            return;
        const auto worst = std::min_element(widths.begin(), widths.end()) - widths.begin();
        net.leftOut.push_back(net.days[static_cast<size_t>(worst)]);
        net.days.erase(net.days.begin() + worst);
    }
}

/// Gives every build of the days its number in the net.
class BuildNumbers {
public:
    explicit BuildNumbers(const std::vector<const DayRecord*>& days) {
        for (const DayRecord* day : days)
            for (const BuildRecord& build : day->builds)
                m_own[BuildOfDay{day->id, build.id}.text()] = {&build, folded(day->article)};
        for (const DayRecord* day : days) {
            std::set<std::string> ofDay; // two builds of one day are two, whatever is noted of them
            for (const BuildRecord& build : day->builds) {
                const BuildOfDay one{day->id, build.id, day->date};
                const std::string key = keyOf(one.text(), 0);
                m_keys[one.text()] = ofDay.insert(key).second ? key : one.text();
            }
        }
    }
    /// The number of a build; a new one when it has none yet.
    int of(const BuildOfDay& build, ArticleNet& net) {
        const auto [at, isNew] = m_numbers.emplace(m_keys.at(build.text()), static_cast<int>(m_numbers.size()));
        if (isNew)
            net.builds.emplace_back();
        std::vector<BuildOfDay>& same = net.builds[static_cast<size_t>(at->second)];
        if (std::find(same.begin(), same.end(), build) == same.end())
            same.push_back(build);
        return at->second;
    }

private:
    struct Known {
        const BuildRecord* build = nullptr;
        std::string article;
    };
    /// What it is the same as: another build of that name, else its article with these parts.
    std::string keyOf(const std::string& self, int depth) const {
        constexpr int kDeepest = 100; // "the same as" may go round in a circle
        const auto known = m_own.find(self);
        if (known == m_own.end())
            return "same " + self;
        const BuildRecord& build = *known->second.build;
        if (!build.sameAs.empty() && build.sameAs != self && depth < kDeepest)
            return keyOf(build.sameAs, depth + 1);
        const std::string parts = partsText(build);
        return parts.empty() ? "same " + self : known->second.article + '\x1d' + parts;
    }
    std::map<std::string, Known> m_own;
    std::map<std::string, std::string> m_keys;
    std::map<std::string, int> m_numbers;
};

/// The visits of one day, and what repeats inside them.
void addVisits(const DayRecord& day, int number, BuildNumbers& numbers, ArticleNet& out) {
    for (size_t first = 0; first < day.pulls.size();) {
        size_t end = first;
        std::vector<double> levels;
        std::vector<const PullRecord*> pulls;
        double time = 0.0;
        for (; end < day.pulls.size() && day.pulls[end].set == day.pulls[first].set; ++end) {
            const double level = levelOf(day.pulls[end], day.step_rpm, out.rpm);
            if (!std::isfinite(level))
                continue;
            levels.push_back(level);
            pulls.push_back(&day.pulls[end]);
            time += day.pulls[end].time_h;
        }
        if (!levels.empty()) {
            const auto count = static_cast<double>(levels.size());
            double mean = 0.0;
            for (const double level : levels)
                mean += level / count;
            for (const double level : levels)
                out.within.squares += (level - mean) * (level - mean);
            out.within.freedom += count - 1.0;
            const int build = numbers.of({day.id, day.pulls[first].build, day.date}, out);
            out.net.visits.push_back({number, build, time / count, static_cast<int>(levels.size()), mean});
            out.pulls.push_back(std::move(pulls));
        }
        first = end;
    }
}

} // namespace

std::optional<int> ArticleNet::find(const BuildOfDay& build) const {
    for (size_t b = 0; b < builds.size(); ++b)
        if (std::find(builds[b].begin(), builds[b].end(), build) != builds[b].end())
            return static_cast<int>(b);
    return std::nullopt;
}

double levelOf(const PullRecord& pull, double step_rpm, const RpmRange& range) {
    double sum = 0.0;
    double count = 0.0;
    for (size_t i = 0; i < pull.power_w.size(); ++i) {
        const double rpm = pull.low_rpm + step_rpm * static_cast<double>(i);
        if (rpm < range.low - 1e-6 || rpm > range.high + 1e-6 || !(pull.power_w[i] > 0.0F))
            continue;
        sum += std::log(static_cast<double>(pull.power_w[i]));
        count += 1.0;
    }
    return sum / count;
}

std::string articleKey(const DayRecord& day) { return folded(day.article); }

bool sameDyno(const DayRecord& a, const DayRecord& b) {
    return folded(a.cell) == folded(b.cell) && a.cellKind == b.cellKind && a.measuredAt == b.measuredAt &&
           a.standard == b.standard;
}

std::vector<const DayRecord*> daysOfDyno(const std::vector<DayRecord>& days, const DayRecord* day) {
    std::vector<const DayRecord*> out;
    if (days.empty())
        return out;
    if (!day)
        day = &*std::max_element(days.begin(), days.end(),
                                 [](const DayRecord& a, const DayRecord& b) { return a.date < b.date; });
    for (const DayRecord& one : days)
        if (sameDyno(one, *day))
            out.push_back(&one);
    return out;
}

std::optional<ArticleNet> articleNet(std::span<const DayRecord* const> days) {
    ArticleNet out;
    for (const DayRecord* day : days)
        if (!day->pulls.empty())
            out.days.push_back(day);
    if (out.days.empty())
        return std::nullopt;
    std::stable_sort(out.days.begin(), out.days.end(),
                     [](const DayRecord* a, const DayRecord* b) { return a->date < b->date; });
    keepOverlapping(out);
    out.rpm = common(out.days);
    BuildNumbers numbers(out.days);
    std::vector<const DayRecord*> withVisits;
    for (const DayRecord* day : out.days) {
        const size_t before = out.net.visits.size();
        addVisits(*day, static_cast<int>(withVisits.size()), numbers, out);
        if (out.net.visits.size() > before)
            withVisits.push_back(day);
    }
    out.days = std::move(withVisits);
    out.net.days = static_cast<int>(out.days.size());
    out.net.builds = static_cast<int>(out.builds.size());
    if (out.net.visits.empty())
        return std::nullopt;
    return out;
}

std::vector<std::vector<const DayRecord*>> byArticle(std::span<const DayRecord* const> days) {
    std::map<std::string, std::vector<const DayRecord*>> articles;
    for (const DayRecord* day : days)
        articles[folded(day->article)].push_back(day);
    std::vector<std::vector<const DayRecord*>> out;
    for (auto& [name, of] : articles) {
        std::stable_sort(of.begin(), of.end(),
                         [](const DayRecord* a, const DayRecord* b) { return a->date < b->date; });
        out.push_back(std::move(of));
    }
    return out;
}

} // namespace hillrun
