// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a matrix file: refused with a reason, or tables of text.

#include "core/errors/data_error.h"
#include "formats/gather/matrix_file.h"

#include <cstdint>
#include <cstdlib>
#include <string>

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    try {
        const std::string bytes(reinterpret_cast<const char*>(data), size);
        for (const auto& [name, text] : hillrun::tablesOfMatrixFile(bytes, "any"))
            if (text.find('\t') == std::string::npos)
                std::abort();
    } catch (const hillrun::DataError&) { // said
    }
    return 0;
}
