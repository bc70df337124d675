// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a matrix file: refused with a reason, or tables of text.

#include "core/errors/data_error.h"
#include "formats/gather/matrix_file.h"

#include <cstdint>
#include <cstdlib>
#include <string>
#include <sys/mman.h>
#include <unistd.h>

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    const int file = memfd_create("matrix", 0);
    if (file < 0 || write(file, data, size) != static_cast<ssize_t>(size))
        std::abort();
    try {
        for (const auto& [name, text] : hillrun::tablesOfMatrixFile("/proc/self/fd/" + std::to_string(file), "any"))
            if (text.find('\t') == std::string::npos)
                std::abort();
    } catch (const hillrun::DataError&) { // said
    }
    close(file);
    return 0;
}
