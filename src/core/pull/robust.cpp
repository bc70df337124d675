// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/robust.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {

Run longestRun(std::span<const double> values, const std::function<bool(double)>& belongs) {
    Run best;
    Run now;
    for (size_t i = 0; i < values.size(); ++i) {
        if (!belongs(values[i])) {
            now.rows = 0;
            continue;
        }
        if (now.rows == 0)
            now.first = i;
        ++now.rows;
        if (now.rows > best.rows)
            best = now;
    }
    return best;
}

Run longestStill(std::span<const double> values) {
    Run best;
    for (size_t i = 0; i < values.size();) {
        size_t end = i + 1;
        while (end < values.size() && values[end] == values[i])
            ++end;
        if (end - i > best.rows && std::isfinite(values[i]))
            best = {i, end - i};
        i = end;
    }
    return best;
}

std::vector<double> finiteOf(std::span<const double> values) {
    std::vector<double> out;
    out.reserve(values.size());
    std::copy_if(values.begin(), values.end(), std::back_inserter(out), [](double v) { return std::isfinite(v); });
    return out;
}

double quantileInPlace(std::span<double> values, double share) {
    if (values.empty())
        return std::numeric_limits<double>::quiet_NaN();
    const auto at = static_cast<std::ptrdiff_t>(share * static_cast<double>(values.size() - 1));
    std::nth_element(values.begin(), values.begin() + at, values.end());
    return values[static_cast<size_t>(at)];
}

double quantileOf(std::vector<double> values, double share) { return quantileInPlace(values, share); }

double median(std::vector<double> values) { return quantileOf(std::move(values), 0.5); }

double medianStep(std::span<const double> values) {
    std::vector<double> steps;
    double last = std::nan("");
    for (const double value : values) {
        if (value > last)
            steps.push_back(value - last);
        if (std::isfinite(value))
            last = value;
    }
    return steps.empty() ? 0.0 : median(std::move(steps));
}

namespace {

/// The finite values inside a window that moves on, in order.
class SortedWindow {
public:
    void insert(double come) {
        if (std::isfinite(come))
            m_sorted.insert(placeOf(come), come);
    }
    void remove(double gone) {
        if (std::isfinite(gone))
            m_sorted.erase(placeOf(gone));
    }
    void replace(double gone, double come) {
        if (!std::isfinite(gone) || !std::isfinite(come)) {
            remove(gone);
            insert(come);
            return;
        }
        const auto from = placeOf(gone); // only what lies between the two places moves
        const auto to = placeOf(come);
        if (from < to)
            *std::move(from + 1, to, from) = come;
        else
            *(std::move_backward(to, from, from + 1) - 1) = come;
    }
    [[nodiscard]] double median() const {
        return m_sorted.empty() ? std::numeric_limits<double>::quiet_NaN() : m_sorted[m_sorted.size() / 2];
    }

private:
    /// The first that is not below the value. Written without branches: which way a reading goes cannot be foretold.
    [[nodiscard]] std::vector<double>::iterator placeOf(double value) {
        auto from = m_sorted.begin();
        for (auto rest = std::ssize(m_sorted); rest > 0;) {
            const auto half = (rest + 1) / 2;
            from += from[half - 1] < value ? half : 0;
            rest -= half;
        }
        return from;
    }

    std::vector<double> m_sorted;
};

} // namespace

std::vector<double> runningMedian(std::span<const double> values, size_t width) {
    std::vector<double> out(values.size());
    SortedWindow window;
    const size_t reach = std::max<size_t>(1, width / 2);
    for (size_t i = 0; i < std::min(reach, values.size()); ++i)
        window.insert(values[i]);
    for (size_t i = 0; i < values.size(); ++i) {
        const bool comes = i + reach < values.size();
        const bool goes = i > reach;
        if (comes && goes)
            window.replace(values[i - reach - 1], values[i + reach]);
        else if (comes)
            window.insert(values[i + reach]);
        else if (goes)
            window.remove(values[i - reach - 1]);
        out[i] = window.median();
    }
    return out;
}

double robustSd(std::span<const double> values) {
    std::vector<double> known = finiteOf(values);
    if (known.empty())
        return 0.0;
    const double middle = median(known);
    for (double& v : known)
        v = std::abs(v - middle);
    return 1.4826 * median(std::move(known));
}

double sampleNoise(std::span<const double> values) {
    std::vector<double> second;
    second.reserve(values.size());
    for (size_t i = 2; i < values.size(); ++i)
        if (const double d = values[i] - 2.0 * values[i - 1] + values[i - 2]; std::isfinite(d))
            second.push_back(std::abs(d));
    if (second.size() < 20)
        return 0.0;
    // White noise of sd s has second differences of sd sqrt(6) s; 80 % of |d| lie within 1.2816 of that.
    return quantileOf(std::move(second), 0.8) / (1.2816 * std::sqrt(6.0));
}

LineFitter::LineFitter(std::span<const double> x, std::span<const double> y) : m_before(1) {
    m_before.reserve(x.size() + 1);
    m_x0 = x.empty() || !std::isfinite(x[0]) ? 0.0 : x[0];
    for (size_t i = 0; i < x.size(); ++i) {
        Sums sums = m_before.back();
        if (std::isfinite(x[i]) && std::isfinite(y[i])) {
            const double u = x[i] - m_x0;
            sums.rows += 1.0;
            sums.x += u;
            sums.y += y[i];
            sums.xx += u * u;
            sums.xy += u * y[i];
        }
        m_before.push_back(sums);
    }
}

Line LineFitter::fit(size_t from, size_t to) const {
    const Sums& a = m_before[from];
    const Sums& b = m_before[to + 1];
    Line line;
    line.rows = b.rows - a.rows;
    if (line.rows == 0.0)
        return line;
    const double x = (b.x - a.x) / line.rows;
    line.meanY = (b.y - a.y) / line.rows;
    const double sxx = b.xx - a.xx - line.rows * x * x;
    const double sxy = b.xy - a.xy - line.rows * x * line.meanY;
    line.slope = sxx > 1e-12 * line.rows ? sxy / sxx : 0.0;
    line.meanX = x + m_x0;
    return line;
}

Line fitLine(std::span<const double> x, std::span<const double> y, size_t from, size_t to) {
    Line line;
    for (size_t i = from; i <= to; ++i) {
        if (!std::isfinite(x[i]) || !std::isfinite(y[i]))
            continue;
        line.meanX += x[i];
        line.meanY += y[i];
        line.rows += 1.0;
    }
    if (line.rows == 0.0)
        return line;
    line.meanX /= line.rows;
    line.meanY /= line.rows;
    double sxx = 0.0;
    double sxy = 0.0;
    for (size_t i = from; i <= to; ++i) {
        if (!std::isfinite(x[i]) || !std::isfinite(y[i]))
            continue;
        sxx += (x[i] - line.meanX) * (x[i] - line.meanX);
        sxy += (x[i] - line.meanX) * (y[i] - line.meanY);
    }
    line.slope = sxx > 0.0 ? sxy / sxx : 0.0;
    return line;
}

} // namespace hillrun
