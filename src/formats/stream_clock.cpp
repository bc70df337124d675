// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/stream_clock.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <vector>

namespace hillrun {
namespace {

constexpr double kJump_s = 0.3;       ///< a smaller step ahead is not told from a late row
constexpr double kJumpRows = 10.0;    ///< ... in usual steps
constexpr double kFirstStep_s = 10.0; ///< slower than this no logger is taken for sound before its pace is known
constexpr double kStill_s = 0.2;      ///< equal times are common when a clock is coarse; so long they are not
constexpr int kStillRows = 20;        ///< the same without arrivals
constexpr double kRateWindow_s = 0.5; ///< of arrivals, to learn the pace of a stream
constexpr double kHeadFade = 0.02;    ///< clocks run apart by less than this

} // namespace

ClockFaults ClockFaults::since(const ClockFaults& before) const {
    return {jumpedAhead - before.jumpedAhead, ranBack - before.ranBack, stoodStill - before.stoodStill,
            missing - before.missing};
}

Statement faultsStatement(const ClockFaults& faults) {
    Several parts;
    const auto add = [&](const char* id, int count) {
        if (count > 0)
            parts.items.push_back({id, {Count{count}}});
    };
    add("clock.jumped_ahead", faults.jumpedAhead);
    add("clock.ran_back", faults.ranBack);
    add("clock.stood_still", faults.stoodStill);
    add("clock.missing", faults.missing);
    return parts.items.empty() ? Statement{} : Statement{"clock.faults", {parts}};
}

void StreamClock::restart() {
    const ClockFaults faults = m_faults;
    *this = {};
    m_faults = faults;
}

/// How far time goes on when the logger's clock does not tell.
double StreamClock::stepOn(double waited_s) const {
    const double step = std::isfinite(m_step) ? m_step : 0.0;
    return std::isfinite(waited_s) ? std::max(waited_s * m_rate, step) : step;
}

bool StreamClock::plausible(double ahead_s, double candidate, double arrival_s) const {
    if (!std::isfinite(m_step))
        return ahead_s <= kFirstStep_s;
    if (ahead_s <= std::max(kJump_s, kJumpRows * m_step))
        return true;
    // Rows may have been lost or held up meanwhile: as far as arrivals allow.
    return std::isfinite(arrival_s) && m_rateKnown && candidate <= m_rate * arrival_s + m_head + kJump_s;
}

double StreamClock::goOn(double stream_s, double waited_s) {
    const double out = m_lastOut + stepOn(waited_s);
    m_offsetBefore = m_offset;
    m_offset = out - stream_s;
    return out;
}

/// The logger shows the same time again.
double StreamClock::stand(double waited_s) {
    ++m_stillRows;
    const bool timed = std::isfinite(waited_s);
    m_still += timed ? waited_s * m_rate : 0.0;
    const double step = std::isfinite(m_step) ? m_step : 0.0;
    const bool still = timed ? m_still > std::max(kStill_s, 3.0 * step) : m_stillRows > kStillRows;
    if (!still)
        return m_lastOut;
    if (m_standing)
        return m_lastOut + (timed ? waited_s * m_rate : step);
    m_standing = true;
    ++m_faults.stoodStill;
    return m_lastOut + (timed ? m_still : step * m_stillRows);
}

void StreamClock::learn(double ahead_s, double arrival_s, double waited_s) {
    m_step = std::isfinite(m_step) ? m_step + 0.05 * (std::min(ahead_s, 5.0 * m_step) - m_step) : ahead_s;
    if (!std::isfinite(arrival_s))
        return;
    if (!std::isfinite(m_rateFrom)) {
        m_rateFrom = arrival_s;
        m_rateIn = 0.0;
    } else {
        m_rateIn += ahead_s;
    }
    if (const double window = arrival_s - m_rateFrom; window >= kRateWindow_s) {
        const double seen = std::clamp(m_rateIn / window, 0.05, 200.0);
        const double rate = m_rateKnown ? m_rate + 0.2 * (seen - m_rate) : seen;
        if (std::isfinite(m_head))
            m_head += (m_rate - rate) * arrival_s;
        m_rate = rate;
        m_rateKnown = true;
        m_rateFrom = arrival_s;
        m_rateIn = 0.0;
    }
    const double head = m_lastOut - m_rate * arrival_s;
    const double faded = std::isfinite(waited_s) ? m_head - kHeadFade * waited_s * m_rate : m_head;
    m_head = std::isfinite(m_head) ? std::max(head, faded) : head;
}

double StreamClock::take(double stream_s, double arrival_s) {
    const double waited = arrival_s >= m_lastArrival ? arrival_s - m_lastArrival : kUnknown;
    m_lastArrival = arrival_s;
    if (!std::isfinite(stream_s)) {
        ++m_faults.missing;
        if (m_begun)
            m_lastOut += stepOn(waited);
        return m_lastOut;
    }
    if (!m_begun) {
        m_begun = true;
        m_lastIn = stream_s;
        if (m_faults.missing > 0) // rows without a time came before it
            m_offset = std::max(0.0, m_lastOut - stream_s);
        return m_lastOut = stream_s + m_offset;
    }
    const double ahead = stream_s - m_lastIn;
    const double candidate = stream_s + m_offset;
    const double back = stream_s + m_offsetBefore; // on the line before the last fault
    m_lastIn = stream_s;
    if (ahead == 0.0)
        return m_lastOut = stand(waited);
    m_still = 0.0;
    m_stillRows = 0;
    if (ahead > 0.0 && plausible(ahead, candidate, arrival_s)) {
        if (candidate < m_lastOut) // it stood still, and goes on from where it stood
            m_offset = m_lastOut + ahead - stream_s;
        m_standing = false;
        m_lastOut = stream_s + m_offset;
        learn(ahead, arrival_s, waited);
        return m_lastOut;
    }
    const double step = std::isfinite(m_step) ? m_step : 0.0;
    if (back >= m_lastOut && back <= m_lastOut + std::max(kJump_s, kJumpRows * step)) {
        m_offset = m_offsetBefore; // one odd row; its fault is counted already
        return m_lastOut = back;
    }
    ++(ahead < 0.0 ? m_faults.ranBack : m_faults.jumpedAhead);
    m_standing = false;
    return m_lastOut = goOn(stream_s, waited);
}

} // namespace hillrun
