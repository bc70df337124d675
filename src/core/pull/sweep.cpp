// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/sweep.h"

#include "core/errors/data_error.h"
#include "core/pull/robust.h"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr size_t kFewestRows = 20;
constexpr double kSmallestSweep_rpm = 300.0;

/// Works on one pull; row counts are made from seconds with the pull's own sampling interval.
class SweepFinder {
public:
    SweepFinder(const SweepSignals& recorded, SweepDirection direction)
        : m_s(recorded), m_sign(direction == SweepDirection::Down ? -1.0 : 1.0), m_rows(recorded.time_s.size()) {
        checkSamples();
        m_step_s = (m_s.time_s[m_rows - 1] - m_s.time_s[0]) / static_cast<double>(m_rows - 1);
        if (!(m_step_s > 0.0))
            throw DataError(Problem::NoRisingSpeed, {});
        findGaps();
    }

    Sweep find(const std::optional<RpmRange>& byHand) {
        findRun();
        Sweep out;
        out.whole_rpm = rangeOf(m_runFirst, m_runLast);
        const size_t start = byHand ? m_runFirst : settledStart();
        out.first = start;
        out.last = m_runLast;
        if (m_runFirst > 0)
            out.trims.push_back({m_s.time_s[0], m_s.time_s[m_runFirst], TrimReason::BeforeSweep});
        if (start > m_runFirst)
            out.trims.push_back({m_s.time_s[m_runFirst], m_s.time_s[start], TrimReason::UnsettledStart});
        if (byHand)
            applyWindow(out, *byHand);
        if (m_runLast + 1 < m_rows)
            out.trims.push_back({m_s.time_s[m_runLast], m_s.time_s[m_rows - 1], m_endReason});
        out.window_rpm = rangeOf(out.first, out.last);
        if (byHand)
            out.window_rpm = {std::max(out.window_rpm.low, byHand->low), std::min(out.window_rpm.high, byHand->high)};
        return out;
    }

private:
    [[nodiscard]] size_t rowsIn(double seconds) const {
        return std::max<size_t>(1, static_cast<size_t>(std::llround(seconds / m_step_s)));
    }

    void checkSamples() {
        size_t usable = 0;
        for (size_t i = 0; i < m_rows; ++i)
            usable += std::isfinite(m_s.speed_rpm[i]) && std::isfinite(m_s.torque_nm[i]) ? 1 : 0;
        if (usable < kFewestRows)
            throw DataError(Problem::TooFewSamples, {fmt::format("{}", usable)});
        for (size_t i = 1; i < m_rows; ++i)
            if (m_s.time_s[i] < m_s.time_s[i - 1])
                throw DataError(Problem::TimeRunsBack,
                                {fmt::format("{}", m_s.time_s[i - 1]), fmt::format("{}", m_s.time_s[i])});
    }

    /// Rows behind a gap: the logger missed at least a second and twenty rows there.
    void findGaps() {
        std::vector<double> steps;
        for (size_t i = 1; i < m_rows; ++i)
            if (m_s.time_s[i] > m_s.time_s[i - 1])
                steps.push_back(m_s.time_s[i] - m_s.time_s[i - 1]);
        const double usual_s = quantileOf(steps, 0.5);
        const double gap_s = std::max(1.0, 20.0 * usual_s);
        for (size_t i = 1; i < m_rows; ++i)
            if (m_s.time_s[i] - m_s.time_s[i - 1] > gap_s)
                m_gaps.push_back(i);
        if (!m_gaps.empty())
            m_step_s = usual_s; // the mean counts the gap
    }

    [[nodiscard]] bool gapBefore(size_t row) const { return std::binary_search(m_gaps.begin(), m_gaps.end(), row); }

    /// Rate of the sweep around each row, rpm/s, positive in the sweep's direction.
    [[nodiscard]] std::vector<double> sweepRate() const {
        const size_t reach = rowsIn(0.15);
        const LineFitter speed(m_s.time_s, m_s.speed_rpm);
        std::vector<double> rate(m_rows, 0.0);
        for (size_t i = 0; i < m_rows; ++i) {
            const size_t from = i > reach ? i - reach : 0;
            const auto [first, last] = withoutGap(from, i, std::min(m_rows - 1, i + reach));
            rate[i] = m_sign * speed.fit(first, last).slope;
        }
        return rate;
    }

    /// The rows from..to that lie on the same side of every gap as `row`.
    [[nodiscard]] std::pair<size_t, size_t> withoutGap(size_t from, size_t row, size_t to) const {
        for (const size_t gap : m_gaps) {
            if (gap <= row)
                from = std::max(from, gap);
            else
                to = std::min(to, gap - 1);
        }
        return {from, to};
    }

    [[nodiscard]] bool throttleKnown() const { return m_s.throttle_pct.size() == m_rows; }

    [[nodiscard]] std::vector<char> throttleOpen() const {
        std::vector<char> open(m_rows, 1);
        if (!throttleKnown())
            return open;
        std::vector<double> known;
        std::copy_if(m_s.throttle_pct.begin(), m_s.throttle_pct.end(), std::back_inserter(known),
                     [](double v) { return std::isfinite(v); });
        if (known.empty())
            return open;
        const double full = quantileOf(known, 0.9);
        for (size_t i = 0; i < m_rows; ++i)
            open[i] = !(m_s.throttle_pct[i] < 0.95 * full) ? 1 : 0;
        return open;
    }

    /// The longest stretch, in engine speed, with open throttle and moving speed; short stumbles are bridged.
    void findRun() {
        const std::vector<double> rate = sweepRate();
        const std::vector<char> open = throttleOpen();
        std::vector<double> moving;
        for (size_t i = 0; i < m_rows; ++i)
            if (open[i] && rate[i] > 5.0)
                moving.push_back(rate[i]);
        if (moving.size() < kFewestRows / 2)
            throw DataError(Problem::NoRisingSpeed, {});
        const double slowest = 0.35 * quantileOf(moving, 0.6);
        const size_t bridge = rowsIn(0.3);

        double best_rpm = 0.0;
        size_t begin = m_rows;
        size_t lastGood = 0;
        auto close = [&](size_t end) {
            if (begin == m_rows)
                return;
            const double span_rpm = m_sign * (m_s.speed_rpm[end] - m_s.speed_rpm[begin]);
            if (span_rpm > best_rpm) {
                best_rpm = span_rpm;
                m_runFirst = begin;
                m_runLast = end;
            }
            begin = m_rows;
        };
        for (size_t i = 0; i < m_rows; ++i) {
            if (gapBefore(i))
                close(lastGood);
            const bool good = open[i] && rate[i] > slowest && std::isfinite(m_s.speed_rpm[i]);
            if (good) {
                if (begin == m_rows)
                    begin = i;
                lastGood = i;
            } else if (begin != m_rows && (!open[i] || i - lastGood > bridge)) {
                close(lastGood);
            }
        }
        close(lastGood);
        if (best_rpm < kSmallestSweep_rpm)
            throw DataError(Problem::NoRisingSpeed, {});
        settleEnd(open);
    }

    /// Why the sweep ended, and a small step back from it.
    void settleEnd(const std::vector<char>& open) {
        const size_t after = withoutGap(m_runLast, m_runLast, std::min(m_rows - 1, m_runLast + rowsIn(0.2))).second;
        const bool cutByGap = std::any_of(m_gaps.begin(), m_gaps.end(), [&](size_t gap) {
            return gap > m_runLast && gap - m_runLast <= rowsIn(0.2);
        });
        if (cutByGap)
            m_endReason = TrimReason::TimeGap;
        else if (!open[after])
            m_endReason = TrimReason::ThrottleLift;
        else if (!throttleKnown() && torqueCollapsesAt(after))
            m_endReason = TrimReason::ThrottleLift;
        else if (m_runLast + rowsIn(0.25) < m_rows && openAndHeld(open))
            m_endReason = TrimReason::Limiter;
        if (!throttleKnown())
            dropTorqueLift();
        const size_t back = m_runLast + 1 < m_rows ? rowsIn(0.08) : 0;
        if (m_runLast > m_runFirst + back + kFewestRows)
            m_runLast -= back;
    }

    [[nodiscard]] bool torqueCollapsesAt(size_t row) const {
        const size_t from = m_runLast > rowsIn(1.0) ? m_runLast - rowsIn(1.0) : 0;
        const size_t to = m_runLast > rowsIn(0.5) ? m_runLast - rowsIn(0.5) : m_runLast;
        return m_s.torque_nm[row] < 0.6 * fitLine(m_s.time_s, m_s.torque_nm, from, to).meanY;
    }

    /// Throttle stays open and the speed stays where it is: the engine hangs on its limiter.
    [[nodiscard]] bool openAndHeld(const std::vector<char>& open) const {
        const size_t to = std::min(m_rows - 1, m_runLast + rowsIn(0.3));
        const double change = m_s.speed_rpm[to] - m_s.speed_rpm[m_runLast];
        return throttleKnown() && open[to] && std::abs(change) < 60.0;
    }

    /// Without a throttle channel the lift shows in the torque: rows at the end below 80 % of the torque before.
    void dropTorqueLift() {
        const size_t look = rowsIn(0.6);
        if (m_runLast < m_runFirst + 3 * look)
            return;
        const double before = fitLine(m_s.time_s, m_s.torque_nm, m_runLast - 2 * look, m_runLast - look).meanY;
        while (m_runLast > m_runFirst + look && m_s.torque_nm[m_runLast] < 0.8 * before)
            --m_runLast;
    }

    /// Relative deviation of the torque around a row from the straight line through what follows it.
    [[nodiscard]] double deviation(const LineFitter& torqueOverSpeed, size_t row) const {
        const Line line = torqueOverSpeed.fit(row + rowsIn(0.15), row + rowsIn(0.9));
        const size_t reach = rowsIn(0.04);
        const size_t from = std::max(m_runFirst, row > reach ? row - reach : 0);
        const Line here = fitLine(m_s.time_s, m_s.torque_nm, from, row + reach);
        const double expected = line.at(m_s.speed_rpm[row]);
        return expected != 0.0 ? here.meanY / expected - 1.0 : 0.0;
    }

    /// First row from which on the torque no longer shows the load being taken up. A spike (or hole) of 5 % or more
    /// at the very start is needed before anything is cut; it is then cut down to its last 1.5 %.
    [[nodiscard]] size_t settledStart() const {
        const size_t length = m_runLast - m_runFirst;
        const size_t region = std::min(rowsIn(1.5), length / 4);
        if (m_runFirst + region + rowsIn(0.9) >= m_runLast)
            return m_runFirst;
        const LineFitter torqueOverSpeed(m_s.speed_rpm, m_s.torque_nm);
        std::vector<double> off;
        double largest = 0.0;
        for (size_t i = 0; i <= region; ++i) {
            off.push_back(std::abs(deviation(torqueOverSpeed, m_runFirst + i)));
            largest = std::max(largest, off.back()); // NaN stays out
        }
        if (largest < 0.05)
            return m_runFirst;
        size_t lastUnsettled = 0;
        size_t quietRows = 0;
        bool found = false;
        for (size_t i = 0; i <= region && quietRows < rowsIn(0.15); ++i) {
            if (off[i] > 0.015) {
                lastUnsettled = i;
                quietRows = 0;
                found = true;
            } else if (found) {
                ++quietRows;
            }
        }
        return std::min(m_runLast, m_runFirst + lastUnsettled + rowsIn(0.15));
    }

    [[nodiscard]] RpmRange rangeOf(size_t first, size_t last) const {
        double low = m_s.speed_rpm[first];
        double high = low;
        for (size_t i = first; i <= last; ++i) {
            if (!std::isfinite(m_s.speed_rpm[i]))
                continue;
            low = std::min(low, m_s.speed_rpm[i]);
            high = std::max(high, m_s.speed_rpm[i]);
        }
        return {low, high};
    }

    void applyWindow(Sweep& out, const RpmRange& window) const {
        size_t first = m_runLast;
        size_t last = m_runFirst;
        for (size_t i = m_runFirst; i <= m_runLast; ++i) {
            if (!window.holds(m_s.speed_rpm[i]))
                continue;
            first = std::min(first, i);
            last = std::max(last, i);
        }
        if (last < first + kFewestRows / 2)
            throw DataError(Problem::NoRisingSpeed, {}, {.key = "window_rpm"});
        if (first > m_runFirst)
            out.trims.push_back({m_s.time_s[m_runFirst], m_s.time_s[first], TrimReason::ByHand});
        if (last < m_runLast)
            out.trims.push_back({m_s.time_s[last], m_s.time_s[m_runLast], TrimReason::ByHand});
        out.first = first;
        out.last = last;
    }

    SweepSignals m_s;
    double m_sign;
    size_t m_rows;
    double m_step_s = 0.0;
    size_t m_runFirst = 0;
    size_t m_runLast = 0;
    std::vector<size_t> m_gaps;
    TrimReason m_endReason = TrimReason::EndOfSweep;
};

} // namespace

Sweep findSweep(const SweepSignals& recorded, SweepDirection direction, const std::optional<RpmRange>& byHand) {
    assert(recorded.time_s.size() == recorded.speed_rpm.size() && recorded.time_s.size() == recorded.torque_nm.size());
    if (recorded.time_s.size() < kFewestRows)
        throw DataError(Problem::TooFewSamples, {fmt::format("{}", recorded.time_s.size())});
    return SweepFinder(recorded, direction).find(byHand);
}

Statement trimReasonPhrase(TrimReason reason) {
    constexpr const char* ids[] = {"trim.before_sweep", "trim.unsettled_start", "trim.throttle_lift", "trim.limiter",
                                   "trim.end_of_sweep", "trim.by_hand",         "trim.between_steps", "trim.time_gap"};
    return {ids[static_cast<size_t>(reason)]};
}

} // namespace hillrun
