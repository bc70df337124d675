// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/pull_split.h"

#include <optional>
#include <vector>

namespace hillrun {

using RowSpans = std::vector<RowSpan>; ///< in order, none overlapping

/// One end of a span.
struct SpanEdge {
    size_t span = 0;
    bool start = true;
    bool operator==(const SpanEdge&) const = default;
};

/// The edge nearest to a row, within `reach` rows.
std::optional<SpanEdge> edgeNear(const RowSpans& spans, size_t row, size_t reach);
/// An edge dragged to a row of a table of `rows`; dragged onto its neighbour, the two are joined. A span keeps five
/// rows.
RowSpans withEdgeAt(RowSpans spans, const SpanEdge& edge, size_t row, size_t rows);
/// The span that holds the row cut in two before it; as it was when it is in none or too near to an end.
RowSpans splitBefore(RowSpans spans, size_t row);
/// The span that holds the row joined with the next one (or the one before, for the last).
RowSpans joinedAt(RowSpans spans, size_t row);

} // namespace hillrun
