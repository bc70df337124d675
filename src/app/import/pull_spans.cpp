// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/pull_spans.h"

#include <algorithm>

namespace hillrun {
namespace {

std::optional<size_t> spanWith(const RowSpans& spans, size_t row) {
    for (size_t i = 0; i < spans.size(); ++i)
        if (row >= spans[i].first && row <= spans[i].last)
            return i;
    return std::nullopt;
}

void join(RowSpans& spans, size_t left) {
    spans[left].last = std::max(spans[left].last, spans[left + 1].last);
    spans.erase(spans.begin() + static_cast<std::ptrdiff_t>(left) + 1);
}

} // namespace

std::optional<SpanEdge> edgeNear(const RowSpans& spans, size_t row, size_t reach) {
    std::optional<SpanEdge> best;
    size_t nearest = reach + 1;
    for (size_t i = 0; i < spans.size(); ++i)
        for (const bool start : {true, false}) {
            const size_t at = start ? spans[i].first : spans[i].last;
            const size_t off = at > row ? at - row : row - at;
            if (off < nearest) {
                nearest = off;
                best = SpanEdge{i, start};
            }
        }
    return best;
}

RowSpans withEdgeAt(RowSpans spans, const SpanEdge& edge, size_t row, size_t rows) {
    if (edge.span >= spans.size() || rows == 0)
        return spans;
    row = std::min(row, rows - 1);
    RowSpan& span = spans[edge.span];
    if (edge.start) {
        span.first = std::min(row, span.last - std::min(span.last, kFewestPullRows - 1));
        if (edge.span > 0 && span.first <= spans[edge.span - 1].last)
            join(spans, edge.span - 1);
    } else {
        span.last = std::max(row, std::min(span.first + kFewestPullRows - 1, rows - 1));
        if (edge.span + 1 < spans.size() && span.last >= spans[edge.span + 1].first)
            join(spans, edge.span);
    }
    return spans;
}

RowSpans splitBefore(RowSpans spans, size_t row) {
    const auto at = spanWith(spans, row);
    if (!at || row < spans[*at].first + kFewestPullRows || row + kFewestPullRows > spans[*at].last + 1)
        return spans;
    const RowSpan right{row, spans[*at].last};
    spans[*at].last = row - 1;
    spans.insert(spans.begin() + static_cast<std::ptrdiff_t>(*at) + 1, right);
    return spans;
}

RowSpans joinedAt(RowSpans spans, size_t row) {
    const auto at = spanWith(spans, row);
    if (!at || spans.size() < 2)
        return spans;
    join(spans, *at + 1 < spans.size() ? *at : *at - 1);
    return spans;
}

} // namespace hillrun
