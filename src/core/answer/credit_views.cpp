// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/credit_views.h"

#include <algorithm>
#include <bit>
#include <cmath>

namespace hillrun {
namespace {

Stair stairAt(double from_w, const CreditAmount& amount) {
    return {{},
            {},
            amount,
            from_w,
            from_w + amount.watts(),
            from_w + amount.scale_w * amount.low,
            from_w + amount.scale_w * amount.high};
}

/// The steps of a ladder from the base up.
std::vector<const CreditStep*> climbed(const Credit& credit) {
    std::vector<const CreditStep*> out;
    for (const CreditStep& step : credit.steps)
        out.push_back(&step);
    std::sort(out.begin(), out.end(), [&](const CreditStep* a, const CreditStep* b) {
        return std::popcount(credit.sets.ofBuild[a->from]) < std::popcount(credit.sets.ofBuild[b->from]);
    });
    return out;
}

} // namespace

GainMark markOf(const CreditAmount& amount) {
    if (!amount.proven())
        return GainMark::Open;
    return amount.log > 0.0 ? GainMark::Gain : GainMark::Loss;
}

const CreditShare* shareOf(const Credit& credit, size_t part) {
    const auto at = std::find_if(credit.shares.begin(), credit.shares.end(),
                                 [&](const CreditShare& share) { return share.part == part; });
    return at == credit.shares.end() ? nullptr : &*at;
}

std::vector<const CreditStep*> stepsOf(const Credit& credit, size_t part) {
    std::vector<const CreditStep*> out;
    for (const CreditStep& step : credit.steps)
        if (step.part == part)
            out.push_back(&step);
    return out;
}

const CreditAmount* amountOf(const Credit& credit, CreditView view, size_t part) {
    const CreditShare* share = shareOf(credit, part);
    switch (view) {
    case CreditView::AsRun: {
        const auto steps = stepsOf(credit, part);
        return steps.size() == 1 ? &steps.front()->amount : nullptr;
    }
    case CreditView::Alone:
        return share && share->alone ? &*share->alone : nullptr;
    case CreditView::OnTop:
        return share && share->onTop ? &*share->onTop : nullptr;
    case CreditView::FairShare:
        return share ? &share->amount : nullptr;
    }
    return nullptr;
}

bool hasView(const Credit& credit, CreditView view) {
    if (view == CreditView::AsRun)
        return !credit.steps.empty();
    for (size_t part = 0; part < credit.sets.parts.size(); ++part)
        if (amountOf(credit, view, part))
            return true;
    return false;
}

CreditView usualView(const Credit& credit) {
    if (credit.sets.kind != CreditKind::Lattice || !hasView(credit, CreditView::FairShare))
        return CreditView::AsRun;
    return CreditView::FairShare;
}

std::vector<Stair> stairsOf(const Credit& credit, CreditView view) {
    std::vector<Stair> out;
    double height_w = credit.base_w;
    const auto climb = [&](size_t part, std::optional<size_t> build, const CreditAmount& amount) {
        out.push_back(stairAt(height_w, amount));
        out.back().part = part;
        out.back().build = build;
        height_w += amount.watts();
    };
    if (view == CreditView::FairShare)
        for (const CreditShare& share : credit.shares)
            climb(share.part, std::nullopt, share.amount);
    else if (view == CreditView::AsRun && credit.sets.kind == CreditKind::Ladder)
        for (const CreditStep* step : climbed(credit))
            climb(step->part, step->to, step->amount);
    if (std::any_of(out.begin(), out.end(), [](const Stair& stair) { return !std::isfinite(stair.amount.log); }))
        return {};
    if (credit.total && out.size() > 1)
        out.push_back(stairAt(credit.base_w, *credit.total));
    return out;
}

ShareBand bandOf(const CreditCurve& curve) {
    ShareBand out;
    for (Eigen::Index p = 0; p < curve.curve.delta.size(); ++p) {
        const double half = curve.family * curve.curve.standardError(p) + curve.curve.boundHalf;
        out.value_w.push_back(curve.scale_w(p) * curve.curve.delta(p));
        out.edges_w.low.push_back(curve.scale_w(p) * (curve.curve.delta(p) - half));
        out.edges_w.high.push_back(curve.scale_w(p) * (curve.curve.delta(p) + half));
    }
    return out;
}

} // namespace hillrun
