// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// One known pull in many writings: read right, or doubted aloud, or refused; never wrong in silence.

#include "english.h"
#include "formats/gather/gather.h"
#include "variants.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>

using namespace hillrun;
using hillrun::test::inEnglish;
using test::Variant;

namespace {

enum class Outcome { Right, Doubted, Refused, WrongInSilence };

struct Verdict {
    Outcome outcome = Outcome::Right;
    std::string why;
};

/// Written digits move a value by less than this.
double allowed(const std::string& channel) {
    if (channel == "engine_speed")
        return 0.6;
    if (channel == "time")
        return 0.0006;
    return channel == "manifold_pressure" || channel == "power" ? 0.06 : 0.011;
}

/// Rows before the climb of a record that goes on behind it.
size_t extraBefore(const Column& speed) {
    size_t row = 0;
    while (row + 1 < speed.values.size() && speed.values[row + 1] <= speed.values[row])
        ++row;
    return row;
}

std::string differenceOf(const ChannelTable& table, const Variant& variant) {
    for (const std::string& channel : variant.needs) {
        const Column* column = table.find(channel);
        if (!column)
            return channel + " is missing";
        size_t blanks = 0;
        // A long record holds idle rows besides: the pull is its last rows.
        if (column->values.size() < static_cast<size_t>(test::kVariantRows))
            return fmt::format("{} rows", column->values.size());
        const size_t behind = column->values.size() - test::kVariantRows;
        const size_t extra = variant.firstRowsOnly ? extraBefore(*table.find("engine_speed")) : behind;
        const double first = channel == "time" ? column->values[extra] : 0.0;
        for (int row = 0; row < test::kVariantRows; ++row) {
            const double value = column->values[extra + static_cast<size_t>(row)] - first;
            blanks += std::isfinite(value) ? 0 : 1;
            const double truth = test::variantTruth(channel, row);
            if (std::isfinite(value) && std::abs(value - truth) > allowed(channel))
                return fmt::format("{} row {}: {} for {}", channel, row, value, truth);
        }
        if (blanks > static_cast<size_t>(test::kVariantRows) / 5)
            return channel + " is mostly blank";
    }
    return "";
}

Verdict verdictOn(const Variant& variant) {
    Verdict out;
    try {
        const GatheredFile file = gather(writeSheet(variant.sheet), "v.csv");
        std::string doubts;
        for (const GatherNote& note : doubtsOf(file.notes))
            doubts += std::string(doubts.empty() ? "" : ", ") + gatherCodeName(note.code);
        if (file.pulls.size() != variant.pulls)
            out.why = fmt::format("{} pulls", file.pulls.size());
        for (const GatheredPull& pull : file.pulls)
            if (out.why.empty())
                out.why = differenceOf(tableOf(file, pull, variant.ambient_kpa), variant);
        if (!out.why.empty())
            out.outcome = doubts.empty() ? Outcome::WrongInSilence : Outcome::Doubted;
        if (!doubts.empty())
            out.why += " (" + doubts + ")";
    } catch (const DataError& error) {
        out = {Outcome::Refused, inEnglish(error)};
    }
    return out;
}

} // namespace

TEST_CASE("one pull in many writings is read right, never wrong in silence") {
    const std::vector<Variant> variants = test::allVariants();
    REQUIRE(variants.size() >= 150);
    std::string wrong;
    std::string others;
    size_t right = 0;
    for (const Variant& variant : variants) {
        const Verdict verdict = verdictOn(variant);
        const std::string line = fmt::format("{}: {}: {}\n", variant.kind, variant.name, verdict.why);
        if (verdict.outcome == Outcome::Right)
            ++right;
        else
            (verdict.outcome == Outcome::WrongInSilence ? wrong : others) += line;
    }
    INFO("wrong in silence:\n" << wrong << "doubted or refused:\n" << others);
    INFO(right << " of " << variants.size() << " right");
    CHECK(wrong.empty());
    CHECK(right == variants.size());
}
