// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/part_sets.h"

#include <algorithm>
#include <bit>
#include <charconv>
#include <iterator>
#include <map>
#include <regex>
#include <set>

namespace hillrun {
namespace {

/// A change as it stands in the builds, and which of them have it.
struct Occurrence {
    Change change;
    std::vector<bool> inBuild;
};

std::vector<Occurrence> occurrencesIn(const std::vector<Build>& builds) {
    std::vector<Occurrence> out;
    for (size_t b = 1; b < builds.size(); ++b)
        for (const Change& change : changesBetween(builds.front(), builds[b])) {
            const auto known =
                std::find_if(out.begin(), out.end(), [&](const Occurrence& one) { return one.change == change; });
            Occurrence& one =
                known != out.end() ? *known : out.emplace_back(Occurrence{change, std::vector<bool>(builds.size())});
            one.inBuild[b] = true;
        }
    return out;
}

std::string nameOf(const std::vector<Change>& changes) {
    std::string out;
    for (size_t i = 0; i < changes.size(); ++i)
        out += (i == 0 ? "" : i + 1 == changes.size() ? " + " : ", ") + changes[i].part;
    std::replace(out.begin(), out.end(), '_', ' '); // as people say it
    return out;
}

/// One setting alone is changed, and its values are three different numbers or more.
bool isSweep(const std::vector<Occurrence>& all) {
    if (all.size() < 2)
        return false;
    std::set<double> values;
    for (const Occurrence& one : all) {
        const auto from = numberIn(one.change.from);
        const auto to = numberIn(one.change.to);
        if (one.change.part != all.front().change.part || !from || !to)
            return false;
        values.insert(*from);
        values.insert(*to);
    }
    return values.size() == all.size() + 1;
}

bool hasAlternatives(const std::vector<Occurrence>& all) {
    std::set<std::string> parts;
    return std::any_of(all.begin(), all.end(),
                       [&](const Occurrence& one) { return !parts.insert(one.change.part).second; });
}

/// Each set holds the one that is next smaller.
bool isChain(std::vector<PartSet> sets) {
    std::sort(sets.begin(), sets.end(), [](PartSet a, PartSet b) { return std::popcount(a) < std::popcount(b); });
    for (size_t i = 1; i < sets.size(); ++i)
        if ((sets[i] & sets[i - 1]) != sets[i - 1] || sets[i] == sets[i - 1])
            return false;
    return true;
}

void groupParts(const std::vector<Occurrence>& all, PartSets& out) {
    std::map<std::vector<bool>, size_t> known;
    for (const Occurrence& one : all) {
        const auto [at, isNew] = known.emplace(one.inBuild, out.parts.size());
        if (isNew)
            out.parts.emplace_back();
        out.parts[at->second].changes.push_back(one.change);
        for (size_t b = 0; isNew && b < one.inBuild.size(); ++b)
            if (one.inBuild[b] && at->second < kMostParts)
                out.ofBuild[b] |= 1U << at->second;
    }
    for (CreditPart& part : out.parts)
        part.name = nameOf(part.changes);
}

WhyNoCredit whyNot(const PartSets& found) {
    if (found.parts.size() > kMostParts)
        return WhyNoCredit::TooMany;
    const std::set<PartSet> different(found.ofBuild.begin(), found.ofBuild.end());
    if (std::count(found.ofBuild.begin(), found.ofBuild.end(), 0U) > 1)
        return WhyNoCredit::NothingNoted;
    return different.size() < found.ofBuild.size() ? WhyNoCredit::SameTwice : WhyNoCredit::None;
}

} // namespace

std::optional<double> numberIn(const std::string& text) {
    static const std::regex number("[+-]?[0-9]+([.,][0-9]+)?");
    const auto begin = std::sregex_iterator(text.begin(), text.end(), number);
    if (begin == std::sregex_iterator() || std::next(begin) != std::sregex_iterator())
        return std::nullopt;
    std::string found = begin->str();
    const size_t comma = found.find(',');
    if (comma != std::string::npos) {
        if (found.size() == comma + 4)
            return std::nullopt;
        found[comma] = '.';
    }
    const size_t sign = found.front() == '+' ? 1 : 0;
    double value = 0.0;
    std::from_chars(found.data() + sign, found.data() + found.size(), value);
    return value;
}

PartSets partSetsOf(const std::vector<Build>& builds) {
    PartSets out;
    out.ofBuild.assign(builds.size(), 0U);
    if (builds.size() < 2) {
        out.why = WhyNoCredit::OneBuild;
        return out;
    }
    const std::vector<Occurrence> all = occurrencesIn(builds);
    if (isSweep(all)) {
        out.kind = CreditKind::Sweep;
        return out;
    }
    if (hasAlternatives(all)) {
        out.why = WhyNoCredit::Alternatives;
        return out;
    }
    groupParts(all, out);
    out.why = whyNot(out);
    if (out.why != WhyNoCredit::None)
        return out;
    if (isChain(out.ofBuild))
        out.kind = CreditKind::Ladder;
    else
        out.kind = out.ofBuild.size() == size_t{1} << out.parts.size() ? CreditKind::Lattice : CreditKind::Partial;
    return out;
}

} // namespace hillrun
