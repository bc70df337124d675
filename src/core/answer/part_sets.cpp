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

void addOnce(std::vector<std::string>& names, const std::string& name) {
    if (std::find(names.begin(), names.end(), name) == names.end())
        names.push_back(name);
}

std::string nameOf(const std::vector<Change>& changes) {
    std::vector<std::string> names;
    for (const Change& change : changes)
        addOnce(names, change.part);
    std::string out;
    for (size_t i = 0; i < names.size(); ++i)
        out += (i == 0 ? "" : i + 1 == names.size() ? " + " : ", ") + names[i];
    std::replace(out.begin(), out.end(), '_', ' '); // as people say it
    return out;
}

/// What follows the number of a text.
std::string unitIn(const std::string& text) {
    const size_t end = text.find_last_of("0123456789");
    return end == std::string::npos ? std::string() : text.substr(end + 1);
}

/// One setting alone is changed, and its values are three different numbers or more.
std::optional<SweptSetting> sweepIn(const std::vector<Occurrence>& all) {
    if (all.size() < 2)
        return std::nullopt;
    SweptSetting out{all.front().change.part, unitIn(all.front().change.from), {}};
    std::replace(out.name.begin(), out.name.end(), '_', ' ');
    const auto base = numberIn(all.front().change.from);
    out.ofBuild.assign(all.front().inBuild.size(), base.value_or(0.0));
    std::set<double> values{base.value_or(0.0)};
    for (const Occurrence& one : all) {
        const auto to = numberIn(one.change.to);
        if (one.change.part != all.front().change.part || !base || !to)
            return std::nullopt;
        values.insert(*to);
        if (unitIn(one.change.to) != out.unit)
            out.unit.clear();
        for (size_t b = 0; b < one.inBuild.size(); ++b)
            if (one.inBuild[b])
                out.ofBuild[b] = *to;
    }
    return values.size() == all.size() + 1 ? std::optional(out) : std::nullopt;
}

/// Takes out what counts with another part, or not at all. A note that names no part of this day, or one that does not
/// count by itself, says nothing.
std::vector<Occurrence> takeUncounted(std::vector<Occurrence>& all, const CreditNotes& notes) {
    const auto countsByItself = [&](const std::string& part) {
        return notes.countsWith.count(part) == 0 &&
               std::any_of(all.begin(), all.end(), [&](const Occurrence& one) { return one.change.part == part; });
    };
    std::set<std::string> taken;
    for (const auto& [part, with] : notes.countsWith)
        if (with.empty() || countsByItself(with))
            taken.insert(part);
    const auto counted = std::stable_partition(
        all.begin(), all.end(), [&](const Occurrence& one) { return taken.count(one.change.part) == 0; });
    std::vector<Occurrence> out(counted, all.end());
    all.erase(counted, all.end());
    return out;
}

/// What counts with a part is named among its changes.
void nameWith(const std::vector<Occurrence>& uncounted, const CreditNotes& notes, PartSets& out) {
    for (const Occurrence& one : uncounted)
        for (CreditPart& part : out.parts)
            if (std::any_of(part.changes.begin(), part.changes.end(),
                            [&](const Change& change) { return change.part == notes.countsWith.at(one.change.part); }))
                part.countedWith.push_back(one.change);
    for (CreditPart& part : out.parts) {
        std::vector<Change> all = part.changes;
        all.insert(all.end(), part.countedWith.begin(), part.countedWith.end());
        part.name = nameOf(all);
    }
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

PartSets partSetsOf(const std::vector<Build>& builds, const CreditNotes& notes) {
    PartSets out;
    out.ofBuild.assign(builds.size(), 0U);
    if (builds.size() < 2) {
        out.why = WhyNoCredit::OneBuild;
        return out;
    }
    std::vector<Occurrence> all = occurrencesIn(builds);
    for (const Occurrence& one : all)
        addOnce(out.differing, one.change.part);
    const std::vector<Occurrence> uncounted = takeUncounted(all, notes);
    out.sweep = sweepIn(all);
    if (out.sweep) {
        out.kind = CreditKind::Sweep;
        return out;
    }
    if (hasAlternatives(all)) {
        out.why = WhyNoCredit::Alternatives;
        return out;
    }
    groupParts(all, out);
    nameWith(uncounted, notes, out);
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
