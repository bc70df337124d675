// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/foreign_bytes.h"

#include "core/errors/data_error.h"
#include "formats/budget.h"
#include "formats/file_io.h"
#include "formats/gather/json_lines.h"
#include "formats/gather/matrix_file.h"
#include "formats/gather/spreadsheet.h"
#include "formats/zip.h"

#include <algorithm>
#include <archive.h>
#include <array>
#include <cctype>
#include <map>
#include <memory>

namespace hillrun {
namespace {

struct Kind {
    std::string_view begins;
    const char* id;
};
constexpr std::array kOtherKinds{
    Kind{"%PDF", "kind.pdf"},
    Kind{"\x89PNG", "kind.picture"},
    Kind{"\xFF\xD8\xFF", "kind.picture"},
    Kind{"\xD0\xCF\x11\xE0", "kind.old_spreadsheet"},
    Kind{"MATLAB 7.3", "kind.new_matrix"},
    Kind{"\x89HDF", "kind.hdf5"},
    Kind{"SQLite format 3", "kind.database"},
    Kind{"PAR1", "kind.parquet"},
    Kind{"MDF ", "kind.mdf"},
    Kind{"TDSm", "kind.tdms"},
    Kind{"\x7F"
         "ELF",
         "kind.program"},
    Kind{"Rar!", "kind.rar"},
    Kind{"7z\xBC\xAF", "kind.7z"},
};

void refuseOtherKinds(std::string_view bytes, const std::string& file) {
    for (const Kind& kind : kOtherKinds)
        if (bytes.starts_with(kind.begins))
            throw DataError(Problem::OtherKind, {Statement{kind.id}}, {.file = file});
}

bool isPacked(std::string_view bytes) {
    using namespace std::string_view_literals;
    return bytes.starts_with("\x1F\x8B"sv) || bytes.starts_with("BZh"sv) ||
           bytes.starts_with("\xFD"
                             "7zXZ\0"sv) ||
           bytes.starts_with("\x28\xB5\x2F\xFD"sv);
}

std::string unpacked(const std::string& bytes, const std::string& file) {
    const std::unique_ptr<archive, int (*)(archive*)> reader(archive_read_new(), archive_read_free);
    archive_read_support_filter_all(reader.get());
    archive_read_support_format_raw(reader.get());
    archive_entry* entry = nullptr;
    if (archive_read_open_memory(reader.get(), bytes.data(), bytes.size()) != ARCHIVE_OK ||
        archive_read_next_header(reader.get(), &entry) != ARCHIVE_OK)
        throw DataError(Problem::ArchiveBroken, {Statement{"archive.broken_inside"}}, {.file = file});
    std::string out;
    std::array<char, 1 << 16> piece{};
    while (true) {
        const la_ssize_t count = archive_read_data(reader.get(), piece.data(), piece.size());
        if (count == 0 && !isPacked(out))
            return out;
        if (count == 0) // what is broken at its very beginning comes back as it is
            throw DataError(Problem::ArchiveBroken, {Statement{"archive.broken_inside"}}, {.file = file});
        if (count < 0)
            throw DataError(Problem::ArchiveBroken, {Statement{"archive.broken_inside"}}, {.file = file});
        if (out.size() + static_cast<size_t>(count) > budget::kForeign)
            throw DataError(Problem::TooLarge, {Statement{"size.unpacked"}, mebibytes(budget::kForeign)},
                            {.file = file});
        out.append(piece.data(), static_cast<size_t>(count));
    }
}

bool isTextName(const std::string& name) {
    const std::filesystem::path path(name);
    std::string ending = path.extension().string();
    std::transform(ending.begin(), ending.end(), ending.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    constexpr std::array<std::string_view, 8> known{".csv", ".txt", ".tsv", ".dat", ".log", ".asc", ".tab", ".prn"};
    return !path.filename().string().starts_with('.') && name.find("__MACOSX") == std::string::npos &&
           std::find(known.begin(), known.end(), ending) != known.end();
}

/// Sheets without a table (notes, charts) are passed over.
std::vector<ForeignBytes> sheetFiles(const std::map<std::string, std::string>& files, const std::string& file) {
    constexpr size_t kFewestLines = 6;
    std::vector<ForeignBytes> out;
    for (auto& [name, text] : sheetsOf(files, file))
        if (text.find('\t') != std::string::npos &&
            static_cast<size_t>(std::count(text.begin(), text.end(), '\n')) >= kFewestLines)
            out.push_back({file + "/" + name, std::move(text)});
    if (out.empty())
        throw DataError(Problem::NoRows, {}, {.file = file});
    return out;
}

std::vector<ForeignBytes> matrixTables(std::string_view bytes, const std::string& file) {
    std::vector<ForeignBytes> out;
    for (auto& [name, text] : tablesOfMatrixFile(bytes, file))
        out.push_back({name.empty() ? file : file + "/" + name, std::move(text)});
    return out;
}

std::vector<ForeignBytes> insideZip(const std::filesystem::path& path, const std::string& file) {
    std::vector<ForeignBytes> out;
    const auto files = readZip(
        path, [](const std::string& name) { return isTextName(name) || isSheetPart(name) || name == "day.json"; });
    if (files.contains("day.json"))
        throw DataError(Problem::OtherKind, {Statement{"kind.day_package"}}, {.file = file});
    if (isWorkbook(files))
        return sheetFiles(files, file);
    for (const auto& [name, bytes] : files)
        if (isTextName(name))
            out.push_back({file + "/" + name, bytes});
    if (out.empty())
        throw DataError(Problem::OtherKind, {Statement{"kind.no_text"}}, {.file = file});
    return out;
}

} // namespace

std::vector<ForeignBytes> foreignBytes(const std::filesystem::path& path) {
    const std::string file = path.filename().string();
    std::string bytes = readFileText(path, budget::kForeign);
    if (bytes.starts_with("PK\x03\x04"))
        return insideZip(path, file);
    if (isPacked(bytes))
        bytes = unpacked(bytes, file);
    if (looksLikeMatrixFile(bytes))
        return matrixTables(bytes, file);
    refuseOtherKinds(bytes, file);
    if (looksLikeJson(bytes))
        return {{file, tableOfJson(bytes, file)}};
    return {{file, std::move(bytes)}};
}

} // namespace hillrun
