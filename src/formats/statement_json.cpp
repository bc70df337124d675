// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/statement_json.h"

#include "core/errors/data_error.h"
#include "core/units/nan.h"
#include "formats/json_writer.h"

namespace hillrun {
namespace {

/// In the order of the kinds that an argument may have.
constexpr const char* kKinds[] = {"text",      "number", "power_w", "torque_nm", "rpm",
                                  "range_rpm", "count",  "channel", "several"};
static_assert(std::size(kKinds) == std::variant_size_v<Argument::variant>);

void putFlag(Json& out, const char* key, bool flag) {
    if (flag)
        out[key] = true;
}

void putDigits(Json& out, int digits) {
    if (digits != 0)
        out["digits"] = digits;
}

struct HoleWriter {
    Json& out;
    void operator()(const std::string& text) const { out["value"] = text; }
    void operator()(const Number& number) const {
        out["value"] = numberOrNull(number.value);
        putDigits(out, number.digits);
        putFlag(out, "shortest", number.shortest);
        putFlag(out, "sign", number.sign);
        putKnown(out, "unit", number.unit);
    }
    void operator()(const Power& power) const {
        out["value"] = numberOrNull(power.value_w);
        out["half"] = numberOrNull(power.half_w);
        putDigits(out, power.digits);
        putFlag(out, "sign", power.sign);
    }
    void operator()(const Torque& torque) const {
        out["value"] = numberOrNull(torque.value_nm);
        out["half"] = numberOrNull(torque.half_nm);
        putFlag(out, "sign", torque.sign);
    }
    void operator()(const Rpm& rpm) const { out["value"] = numberOrNull(rpm.value); }
    void operator()(const RpmRange& range) const {
        out["low"] = numberOrNull(range.low);
        out["high"] = numberOrNull(range.high);
    }
    void operator()(const Count& count) const { out["value"] = count.value; }
    void operator()(const ChannelName& channel) const {
        out["value"] = channel.name;
        putFlag(out, "inside", channel.inside);
    }
    void operator()(const Several& several) const {
        out["items"] = statementsJson(several.items);
        putFlag(out, "or", several.orElse);
    }
};

Json holeJson(const Argument& hole) {
    Json out{{"is", kKinds[hole.index()]}};
    std::visit(HoleWriter{out}, hole);
    return out;
}

Argument readHole(ObjectReader in) {
    const auto number = [&](const char* key) { return in.number(key).value_or(kNaN); };
    switch (in.choice("is", {std::begin(kKinds), std::end(kKinds)})) {
    case 1:
        return Number{number("value"), in.integer("digits").value_or(0), in.flag("shortest", false),
                      in.flag("sign", false), in.text("unit")};
    case 2:
        return Power{number("value"), number("half"), in.flag("sign", false), in.integer("digits").value_or(0)};
    case 3:
        return Torque{number("value"), number("half"), in.flag("sign", false)};
    case 4:
        return Rpm{number("value")};
    case 5:
        return RpmRange{number("low"), number("high")};
    case 6:
        return Count{in.integer("value").value_or(0)};
    case 7:
        return ChannelName{in.text("value"), in.flag("inside", false)};
    case 8:
        return Several{readStatements(in, "items"), in.flag("or", false)};
    default:
        return in.text("value");
    }
}

} // namespace

Json statementsJson(const std::vector<Statement>& statements) {
    Json out = Json::array();
    for (const Statement& statement : statements) {
        Json holes = Json::array();
        for (const Argument& hole : statement.args)
            holes.push_back(holeJson(hole));
        out.push_back({{"id", statement.id}, {"holes", std::move(holes)}});
    }
    return out;
}

std::vector<Statement> readStatements(ObjectReader& in, const char* key) {
    try {
        std::vector<Statement> out;
        for (ObjectReader& one : in.objects(key)) {
            Statement statement{one.requiredText("id")};
            for (ObjectReader& hole : one.objects("holes"))
                statement.args.push_back(readHole(std::move(hole)));
            out.push_back(std::move(statement));
        }
        return out;
    } catch (const DataError&) {
        return {};
    }
}

} // namespace hillrun
