// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/credit_notes_json.h"

#include "formats/json_writer.h"

#include <charconv>

namespace hillrun {
namespace {

/// [from, to] in kW, the lower first.
std::optional<std::pair<double, double>> readExpected(ObjectReader& in) {
    if (!in.has("expected_kw"))
        return std::nullopt;
    const std::vector<double> ends = in.numbers("expected_kw");
    if (ends.size() != 2 || !(ends[0] <= ends[1]))
        throw DataError(Problem::BadValue, {std::to_string(ends.size()), Statement{"not_allowed.from_to"}},
                        in.place("expected_kw"));
    return std::pair(1000.0 * ends[0], 1000.0 * ends[1]);
}

PartNote readPartNote(ObjectReader& in) {
    PartNote out;
    out.cost = in.number("cost");
    out.mass_kg = in.number("mass_kg");
    out.expected_w = readExpected(in);
    out.expectedAfterLooking = in.flag("expected_after_looking", false);
    out.unknownKeys = in.unknownKeys();
    return out;
}

/// Which number of a text counts, from 1.
size_t readNumberOf(const std::string& text, const Place& place) {
    size_t out = 0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), out);
    if (error != std::errc() || end != text.data() + text.size() || out == 0)
        throw DataError(Problem::BadValue, {text, Statement{"not_allowed.not_above_zero"}}, place);
    return out;
}

} // namespace

CreditNotes readCreditNotes(ObjectReader in) {
    CreditNotes out;
    for (const auto& [part, with] : in.namedTexts("counts_with"))
        out.countsWith[part] = with;
    for (const auto& [setting, number] : in.namedTexts("number_of"))
        out.numberOf[setting] = readNumberOf(number, in.place("number_of"));
    out.interactionBound_pct = in.number("interaction_bound_pct");
    if (out.interactionBound_pct && !(*out.interactionBound_pct > 0.0))
        throw DataError(Problem::BadValue,
                        {significant(*out.interactionBound_pct, 6), Statement{"not_allowed.not_above_zero"}},
                        in.place("interaction_bound_pct"));
    for (ObjectReader& part : in.objects("parts")) {
        const std::string name = part.requiredText("part");
        out.parts[name] = readPartNote(part);
    }
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json creditNotesJson(const CreditNotes& notes) {
    Json out = Json::object();
    for (const auto& [part, with] : notes.countsWith)
        out["counts_with"][part] = with;
    for (const auto& [setting, number] : notes.numberOf)
        out["number_of"][setting] = number;
    putKnown(out, "interaction_bound_pct", notes.interactionBound_pct);
    for (const auto& [name, note] : notes.parts) {
        Json one = {{"part", name}};
        putKnown(one, "cost", note.cost);
        putKnown(one, "mass_kg", note.mass_kg);
        if (note.expected_w)
            one["expected_kw"] = {note.expected_w->first / 1000.0, note.expected_w->second / 1000.0};
        if (note.expected_w && note.expectedAfterLooking)
            one["expected_after_looking"] = true;
        addUnknown(one, note.unknownKeys);
        out["parts"].push_back(one);
    }
    addUnknown(out, notes.unknownKeys);
    return out;
}

} // namespace hillrun
