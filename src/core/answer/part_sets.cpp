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
    return asSaid(out);
}

/// The texts of the one setting in which all builds differ, a build each; none when something else differs too.
std::vector<std::string> textsOfOne(const std::vector<Occurrence>& all) {
    if (all.size() < 2)
        return {};
    const Change& first = all.front().change;
    std::vector<std::string> out(all.front().inBuild.size(), first.from);
    for (const Occurrence& one : all) {
        if (one.change.part != first.part)
            return {};
        for (size_t b = 0; b < one.inBuild.size(); ++b)
            if (one.inBuild[b])
                out[b] = one.change.to;
    }
    return out;
}

/// As many numbers in each text as there are steps of it; none when the texts hold different counts of them.
std::vector<std::vector<NumberInText>> numbersOf(const std::vector<std::string>& texts) {
    std::vector<std::vector<NumberInText>> out;
    for (const std::string& text : texts) {
        out.push_back(numbersIn(text));
        if (out.back().empty() || out.back().size() != out.front().size())
            return {};
    }
    return out;
}

/// The unit behind a number: one word, or what ends the text where only a mark stands between it and the next number.
std::string unitAfter(const std::vector<NumberInText>& numbers, size_t which) {
    const std::string& after = numbers[which].after;
    if (which + 1 == numbers.size())
        return after;
    const bool onlyMark = after.find_first_not_of(" /-+x:,;") == std::string::npos;
    if (onlyMark)
        return numbers.back().after;
    const size_t word = after.find_first_not_of(' ');
    return after.substr(0, after.find(' ', word));
}

/// One setting alone is changed, in three steps or more that are told apart by one number. Where several of its numbers
/// change with it the notes say which counts.
void findSweep(const std::vector<Occurrence>& all, const CreditNotes& notes, PartSets& out) {
    const auto numbers = numbersOf(textsOfOne(all));
    if (numbers.empty())
        return;
    SettingNumbers found{all.front().change.part, {}, {}, {}};
    for (size_t which = 0; which < numbers.front().size(); ++which) {
        std::vector<double>& ofBuild = found.all.emplace_back();
        for (const auto& build : numbers)
            ofBuild.push_back(build[which].value);
        if (std::set<double>(ofBuild.begin(), ofBuild.end()).size() == all.size() + 1)
            found.changing.push_back(which);
    }
    if (found.changing.empty())
        return;
    const auto noted = notes.numberOf.find(found.part);
    if (found.changing.size() == 1)
        found.taken = found.changing.front();
    else if (noted != notes.numberOf.end() &&
             std::find(found.changing.begin(), found.changing.end(), noted->second - 1) != found.changing.end())
        found.taken = noted->second - 1;
    if (found.taken) {
        SweptSetting& swept = out.sweep.emplace();
        swept.name = asSaid(found.part);
        swept.ofBuild = found.all[*found.taken];
        swept.unit = unitAfter(numbers.front(), *found.taken);
        for (const auto& build : numbers)
            if (unitAfter(build, *found.taken) != swept.unit)
                swept.unit.clear();
    }
    if (found.all.size() > 1)
        out.numbers = std::move(found);
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

std::string asSaid(std::string name) {
    std::replace(name.begin(), name.end(), '_', ' ');
    return name;
}

std::vector<NumberInText> numbersIn(const std::string& text) {
    static const std::regex number("[+-]?[0-9]+([.,][0-9]+)?");
    std::vector<NumberInText> out;
    size_t end = 0; // of the number before
    for (auto at = std::sregex_iterator(text.begin(), text.end(), number); at != std::sregex_iterator(); ++at) {
        std::string found = at->str();
        const auto begin = static_cast<size_t>(at->position());
        const bool joins = begin == end && !out.empty(); // "20-25": the dash is a mark, no sign
        if (!out.empty())
            out.back().after = text.substr(end, begin - end);
        if (const size_t comma = found.find(','); comma != std::string::npos) {
            if (found.size() == comma + 4)
                return {};
            found[comma] = '.';
        }
        const size_t sign = joins || found.front() == '+' ? found.find_first_of("0123456789") : 0;
        if (joins)
            out.back().after = found.substr(0, sign);
        double value = 0.0;
        std::from_chars(found.data() + sign, found.data() + found.size(), value);
        end = begin + found.size();
        out.push_back({value, text.substr(end)});
    }
    return out;
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
    findSweep(all, notes, out);
    if (out.sweep) {
        out.kind = CreditKind::Sweep;
        return out;
    }
    if (out.numbers) {
        out.why = WhyNoCredit::WhichNumber;
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
