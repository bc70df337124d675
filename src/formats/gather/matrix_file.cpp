// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/matrix_file.h"

#include "core/errors/data_error.h"
#include "formats/budget.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <cstdint>
#include <map>
#include <matio.h>
#include <memory>
#include <optional>

namespace hillrun {
namespace {

constexpr size_t kFewestRows = 5;
constexpr int kDeepest = 4; ///< structures inside structures

using VariablePointer = std::unique_ptr<matvar_t, void (*)(matvar_t*)>;

struct NamedColumn {
    std::string name;
    std::vector<double> values;
};

/// What a variable or structure holds, as far as it can become a table.
struct Found {
    std::vector<NamedColumn> vectors;
    std::vector<std::pair<std::string, std::vector<NamedColumn>>> matrices; ///< columns without names yet
    std::vector<std::vector<std::string>> lists;                            ///< of texts: names of columns
    std::vector<std::string> titles;                                        ///< "rate: 100"
};

size_t elementsOf(const matvar_t& variable) {
    size_t out = 1;
    for (int i = 0; i < variable.rank; ++i) {
        if (variable.dims[i] > 0 && out > budget::kForeign / variable.dims[i])
            return budget::kForeign; // more than is taken
        out *= variable.dims[i];
    }
    return variable.rank > 0 ? out : 0;
}

/// Numbers in a variable and everything inside it, by what is told before its data is read.
size_t numbersIn(const matvar_t& variable) {
    const size_t own = elementsOf(variable);
    const bool holds = variable.class_type == MAT_C_STRUCT || variable.class_type == MAT_C_CELL;
    if (!holds || !variable.data)
        return own;
    size_t out = 0;
    const auto* inside = static_cast<matvar_t* const*>(variable.data);
    for (size_t i = 0; i < variable.nbytes / sizeof(matvar_t*); ++i)
        if (inside[i])
            out = std::min(budget::kForeign, out + numbersIn(*inside[i]));
    return out;
}

template <class Number> std::vector<double> asDoubles(const void* data, size_t count) {
    const auto* first = static_cast<const Number*>(data);
    return std::vector<double>(first, first + count);
}

/// Empty for what holds no real numbers.
std::vector<double> numbersOf(const matvar_t& variable) {
    const size_t count = elementsOf(variable);
    if (!variable.data || variable.isComplex || variable.data_size <= 0 ||
        count * static_cast<size_t>(variable.data_size) > variable.nbytes)
        return {};
    switch (variable.data_type) {
    case MAT_T_DOUBLE:
        return asDoubles<double>(variable.data, count);
    case MAT_T_SINGLE:
        return asDoubles<float>(variable.data, count);
    case MAT_T_INT8:
        return asDoubles<std::int8_t>(variable.data, count);
    case MAT_T_UINT8:
        return asDoubles<std::uint8_t>(variable.data, count);
    case MAT_T_INT16:
        return asDoubles<std::int16_t>(variable.data, count);
    case MAT_T_UINT16:
        return asDoubles<std::uint16_t>(variable.data, count);
    case MAT_T_INT32:
        return asDoubles<std::int32_t>(variable.data, count);
    case MAT_T_UINT32:
        return asDoubles<std::uint32_t>(variable.data, count);
    case MAT_T_INT64:
        return asDoubles<std::int64_t>(variable.data, count);
    case MAT_T_UINT64:
        return asDoubles<std::uint64_t>(variable.data, count);
    default:
        return {};
    }
}

/// One line of text; other letters than Latin-1 become "?".
std::string textOf(const matvar_t& variable) {
    const size_t count = std::min<size_t>(elementsOf(variable), 1000);
    if (!variable.data || variable.data_size <= 0 || count * static_cast<size_t>(variable.data_size) > variable.nbytes)
        return {};
    std::string out;
    for (size_t i = 0; i < count; ++i) {
        unsigned letter = '?';
        if (variable.data_size == 1)
            letter = static_cast<const unsigned char*>(variable.data)[i];
        else if (variable.data_size == 2)
            letter = static_cast<const std::uint16_t*>(variable.data)[i];
        out += letter < 32 || letter == 127 ? ' ' : static_cast<char>(letter < 256 ? letter : '?');
    }
    return out;
}

std::string numberText(double value) {
    if (!std::isfinite(value))
        return {};
    char digits[32];
    return {digits, std::to_chars(digits, digits + sizeof digits, value).ptr};
}

class Collector {
public:
    explicit Collector(const std::string& file) : m_file(file) {}

    void take(matvar_t& variable, const std::string& name, int depth, Found& into) {
        switch (variable.class_type) {
        case MAT_C_CHAR:
            into.titles.push_back(name + ": " + textOf(variable));
            return;
        case MAT_C_CELL:
            takeCell(variable, into);
            return;
        case MAT_C_STRUCT:
            if (depth < kDeepest)
                takeStructure(variable, name, depth, into);
            return;
        default:
            takeNumbers(variable, name, into);
        }
    }

    /// Structures with vectors of their own, each a table.
    [[nodiscard]] std::vector<std::pair<std::string, Found>>& structures() { return m_structures; }

private:
    void takeNumbers(const matvar_t& variable, const std::string& name, Found& into) {
        const std::vector<double> numbers = numbersOf(variable);
        if (numbers.empty() || variable.rank != 2)
            return;
        const size_t rows = variable.dims[0];
        const size_t columns = variable.dims[1];
        if (numbers.size() == 1) {
            into.titles.push_back(name + ": " + numberText(numbers.front()));
        } else if (rows == 1 || columns == 1) {
            into.vectors.push_back({name, numbers});
        } else if (rows >= kFewestRows && columns <= budget::kColumns) {
            std::vector<NamedColumn> out;
            for (size_t c = 0; c < columns; ++c) {
                const auto first = numbers.begin() + static_cast<std::ptrdiff_t>(c * rows); // column by column
                out.push_back({"", {first, first + static_cast<std::ptrdiff_t>(rows)}});
            }
            into.matrices.emplace_back(name, std::move(out));
        }
    }

    /// A list of texts may name the columns of a matrix.
    static void takeCell(const matvar_t& variable, Found& into) {
        const size_t count = elementsOf(variable);
        if (!variable.data || count > budget::kColumns || count * sizeof(matvar_t*) > variable.nbytes)
            return;
        const auto* cells = static_cast<matvar_t* const*>(variable.data);
        std::vector<std::string> texts;
        for (size_t i = 0; i < count; ++i) {
            if (!cells[i] || cells[i]->class_type != MAT_C_CHAR)
                return;
            texts.push_back(textOf(*cells[i]));
        }
        into.lists.push_back(std::move(texts));
    }

    void takeStructure(matvar_t& variable, const std::string& name, int depth, Found& into) {
        const unsigned fields = Mat_VarGetNumberOfFields(&variable);
        char* const* names = Mat_VarGetStructFieldnames(&variable);
        const size_t count = elementsOf(variable);
        if (!variable.data || !names || fields == 0 || count > budget::kColumns ||
            count * fields * sizeof(matvar_t*) > variable.nbytes)
            return;
        const auto* values = static_cast<matvar_t* const*>(variable.data);
        for (size_t i = 0; i < count; ++i) {
            Found own;
            const std::string called = count > 1 ? name + "(" + std::to_string(i + 1) + ")" : name;
            for (unsigned f = 0; f < fields; ++f)
                if (matvar_t* value = values[i * fields + f]; value && names[f])
                    take(*value, names[f], depth + 1, own);
            if (own.vectors.empty() && own.matrices.empty())
                into.titles.insert(into.titles.end(), own.titles.begin(), own.titles.end());
            else
                m_structures.emplace_back(called, std::move(own));
        }
    }

    const std::string& m_file;
    std::vector<std::pair<std::string, Found>> m_structures;
};

/// Vectors of the length that most of them have; a shorter one is something else.
std::vector<NamedColumn> alikeVectors(std::vector<NamedColumn> vectors) {
    std::map<size_t, size_t> lengths;
    for (const NamedColumn& one : vectors)
        ++lengths[one.values.size()];
    size_t usual = 0;
    for (const auto& [length, count] : lengths)
        if (usual == 0 || count >= lengths[usual])
            usual = length;
    std::erase_if(vectors, [&](const NamedColumn& one) { return one.values.size() != usual; });
    return vectors;
}

std::string plain(std::string text) {
    std::replace_if(
        text.begin(), text.end(), [](char c) { return c == '\t' || c == '\n' || c == '\r'; }, ' ');
    return text;
}

std::optional<std::string> tableText(const std::vector<NamedColumn>& columns, const std::vector<std::string>& titles) {
    if (columns.size() < 2 || columns.front().values.size() < kFewestRows)
        return std::nullopt;
    std::string out;
    for (const std::string& title : titles)
        out += plain(title) + '\n';
    for (size_t c = 0; c < columns.size(); ++c)
        out += (c ? "\t" : "") + plain(columns[c].name);
    out += '\n';
    for (size_t row = 0; row < columns.front().values.size(); ++row) {
        for (size_t c = 0; c < columns.size(); ++c)
            out += (c ? "\t" : "") + numberText(columns[c].values[row]);
        out += '\n';
    }
    return out;
}

void nameColumns(const std::string& matrix, std::vector<NamedColumn>& columns,
                 const std::vector<std::vector<std::string>>& lists) {
    const auto list =
        std::find_if(lists.begin(), lists.end(), [&](const auto& names) { return names.size() == columns.size(); });
    for (size_t c = 0; c < columns.size(); ++c)
        columns[c].name = list != lists.end() ? (*list)[c] : matrix + " " + std::to_string(c + 1);
}

void addTables(const std::string& name, Found found, std::vector<std::pair<std::string, std::string>>& out) {
    if (auto text = tableText(alikeVectors(std::move(found.vectors)), found.titles))
        out.emplace_back(name, std::move(*text));
    for (auto& [matrix, columns] : found.matrices) {
        nameColumns(matrix, columns, found.lists);
        if (auto text = tableText(columns, found.titles))
            out.emplace_back(name.empty() ? matrix : name + "." + matrix, std::move(*text));
    }
}

} // namespace

bool looksLikeMatrixFile(std::string_view bytes) {
    return bytes.starts_with("MATLAB 5.0") || bytes.starts_with("MATLAB 7.3");
}

std::vector<std::pair<std::string, std::string>> tablesOfMatrixFile(const std::filesystem::path& path,
                                                                    const std::string& file) {
    const std::unique_ptr<mat_t, int (*)(mat_t*)> mat(Mat_Open(path.c_str(), MAT_ACC_RDONLY), Mat_Close);
    if (!mat)
        throw DataError(Problem::ArchiveBroken, {"not a whole matrix file"}, {.file = file});
    Found found;
    Collector collector(file);
    size_t total = 0;
    while (const VariablePointer variable{Mat_VarReadNextInfo(mat.get()), Mat_VarFree}) {
        total += numbersIn(*variable);
        if (total > budget::kForeign / sizeof(double))
            throw DataError(Problem::TooLarge,
                            {"a file of so many MiB of numbers", std::to_string(budget::kForeign / budget::kMiB)},
                            {.file = file});
        if (Mat_VarReadDataAll(mat.get(), variable.get()) == 0)
            collector.take(*variable, variable->name ? variable->name : "", 0, found);
    }
    std::vector<std::pair<std::string, std::string>> out;
    addTables("", std::move(found), out);
    for (auto& [name, structure] : collector.structures())
        addTables(name, std::move(structure), out);
    if (out.empty())
        throw DataError(Problem::NoRows, {}, {.file = file});
    return out;
}

} // namespace hillrun
