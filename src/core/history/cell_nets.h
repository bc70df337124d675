// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/curve_across.h"
#include "core/history/articles.h"

#include <optional>
#include <span>
#include <vector>

namespace hillrun {

/// The nets of all articles of a cell, and what they say together. Each article's table is made once.
struct CellNets {
    std::vector<ArticleNet> articles;
    std::vector<VarianceNode> nodes = varianceNodes();
    std::vector<NodeTable> tables;
    WithinVisits within;

    void add(ArticleNet net);
    [[nodiscard]] std::optional<CellModel> learn() const;
};
/// Days of one dyno, by article.
CellNets cellNets(std::span<const DayRecord* const> days);

/// Whether any pull was repeated, so that the shapes' noise is known.
bool knowsNoise(const VisitShapes& shapes);
/// The shapes of a net's visits over the speeds that all its pulls share.
VisitShapes visitShapes(const ArticleNet& net);
/// What the shapes of all these articles say; nothing where no pull was repeated.
std::optional<CellModel> learnShapes(const CellNets& nets);

} // namespace hillrun
