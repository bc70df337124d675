// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a stranger's file: refused with a reason, or pulls whose columns are of one length and can be written.

#include "core/errors/data_error.h"
#include "formats/gather/gather.h"
#include "formats/gather/gather_summary.h"
#include "formats/gather/json_lines.h"
#include "formats/gather/spreadsheet.h"
#include "formats/pull_file.h"
#include "words/voice.h"

#include <cstdint>
#include <cstdlib>
#include <string>

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace hillrun;
    try {
        std::string bytes(reinterpret_cast<const char*>(data), size);
        if (bytes.starts_with('<'))
            for (const auto& [name, sheet] : sheetsOf({{"content.xml", bytes}, {"xl/sheet.xml", bytes}}, "any"))
                bytes = sheet;
        else if (looksLikeJson(bytes))
            bytes = tableOfJson(bytes, "any");
        GatherChoices choices;
        if (bytes.size() > 8 && bytes[0] == '\1') { // seven bytes say what somebody chose
            choices.table.separator = ",;\t| "[static_cast<unsigned char>(bytes[1]) % 5];
            choices.table.decimal = bytes[2] % 2 ? ',' : '.';
            choices.table.headerLine = bytes[3];
            choices.table.unitLine = bytes[4];
            choices.table.firstRow = bytes[5];
            choices.rate_hz = static_cast<double>(bytes[6]);
            choices.columns[static_cast<unsigned char>(bytes[7]) % 4] = {
                .header = "", .channel = "torque", .unit = "N.m"};
            choices.pulls = std::vector<RowSpan>{{0, static_cast<unsigned char>(bytes[7])}, {3, 9}};
            bytes.erase(0, 8);
        }
        const GatheredFile file = gather(bytes, "any", choices);
        (void)Voice().say(explained(file));
        for (const GatherNote& note : file.notes)
            (void)Voice().say(noteStatements(note));
        for (const GatheredPull& pull : file.pulls) {
            const ChannelTable table = tableOf(file, pull, 98.0);
            for (const Column& column : table.columns)
                if (column.values.size() != table.rows())
                    std::abort();
            (void)readPullText(writePullText(table), "again", 98.0);
        }
        if (file.problem && looksLikeCurve(file)) {
            choices.purpose = GatherPurpose::Curve;
            const ChannelTable table = curveTableOf(gather(bytes, "any", choices), 98.0);
            (void)readCurveText(writePullText(table), "again", 98.0);
        }
    } catch (const DataError&) { // said
    }
    return 0;
}
