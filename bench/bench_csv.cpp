// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
// Reads one table as a whole process, for `compare-pandas`.
#include "formats/csv_table.h"
#include "formats/file_io.h"

#include <fmt/format.h>

int main(int argc, char** argv) {
    if (argc != 2)
        return 2;
    const hillrun::CsvTable table = hillrun::parseCsv(hillrun::readFileText(argv[1]), argv[1]);
    fmt::print("{} rows, {} columns\n", table.rows(), table.columns.size());
}
