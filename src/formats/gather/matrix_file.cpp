// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/matrix_file.h"

#include "core/errors/data_error.h"
#include "formats/budget.h"
#include "formats/gather/pull_split.h"

#include <algorithm>
#include <array>
#include <bit>
#include <charconv>
#include <cmath>
#include <cstdint>
#include <map>
#include <memory>
#include <new>
#include <optional>
#include <zlib.h>

namespace hillrun {
namespace {

constexpr int kDeepest = 4; ///< structures inside structures

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

/// Types of data elements, as level 5 of the format numbers them.
enum ElementType : std::uint32_t {
    Int8 = 1,
    UInt8 = 2,
    Int16 = 3,
    UInt16 = 4,
    Int32 = 5,
    UInt32 = 6,
    Single = 7,
    Double = 9,
    Int64 = 12,
    UInt64 = 13,
    MatrixElement = 14,
    Compressed = 15,
    Utf8 = 16,
    Utf16 = 17,
    Utf32 = 18
};
/// Classes of arrays; what is not named holds no numbers that a table could take.
enum ArrayClass : unsigned { CellArray = 1, Structure = 2, Characters = 4, FirstNumeric = 6, LastNumeric = 15 };
constexpr unsigned kComplex = 0x0800;
constexpr size_t kHeader = 128;

struct Element {
    std::uint32_t type = 0;
    std::string_view bytes;
};

/// One array with what is inside it.
struct Variable {
    std::string name;
    unsigned arrayClass = 0;
    std::vector<size_t> dimensions;
    std::vector<double> numbers;
    std::string text;
    std::vector<std::string> fields; ///< of a structure
    std::vector<Variable> inside;    ///< cells, or the fields of the first structure, then of the next
    [[nodiscard]] size_t count() const {
        size_t out = 1;
        for (const size_t d : dimensions)
            out *= d;
        return out;
    }
};

/// Reads elements one behind the other. Nothing is taken from beyond its end.
class ElementReader {
public:
    ElementReader(std::string_view bytes, bool swapped, const std::string& file)
        : m_bytes(bytes), m_swapped(swapped), m_file(file) {}

    [[nodiscard]] bool atEnd() const { return m_at >= m_bytes.size(); }
    Element next() {
        const auto first = number<std::uint32_t>(take(4));
        if (first >> 16 != 0) { // small: type and size share four bytes, the data the next four
            const size_t size = first >> 16;
            const std::string_view data = take(4);
            if (size > 4)
                broken();
            return {first & 0xFFFFU, data.substr(0, size)};
        }
        const auto size = number<std::uint32_t>(take(4));
        const Element out{first, take(size)};
        if (first != Compressed)
            m_at = std::min(m_bytes.size(), (m_at + 7) / 8 * 8);
        return out;
    }
    template <class Number> Number number(std::string_view bytes) const {
        std::array<char, sizeof(Number)> raw{};
        std::copy_n(bytes.begin(), sizeof(Number), raw.begin());
        if (m_swapped)
            std::reverse(raw.begin(), raw.end());
        return std::bit_cast<Number>(raw);
    }
    std::vector<double> numbers(const Element& element) const {
        switch (element.type) {
        case Int8:
            return all<std::int8_t>(element.bytes);
        case UInt8:
        case Utf8:
            return all<std::uint8_t>(element.bytes);
        case Int16:
            return all<std::int16_t>(element.bytes);
        case UInt16:
        case Utf16:
            return all<std::uint16_t>(element.bytes);
        case Int32:
            return all<std::int32_t>(element.bytes);
        case UInt32:
        case Utf32:
            return all<std::uint32_t>(element.bytes);
        case Single:
            return all<float>(element.bytes);
        case Double:
            return all<double>(element.bytes);
        case Int64:
            return all<std::int64_t>(element.bytes);
        case UInt64:
            return all<std::uint64_t>(element.bytes);
        default:
            broken();
        }
    }
    [[noreturn]] void broken() const {
        throw DataError(Problem::ArchiveBroken, {Statement{"archive.no_matrix"}}, {.file = m_file});
    }

private:
    std::string_view take(size_t size) {
        if (size > m_bytes.size() - std::min(m_at, m_bytes.size()))
            broken();
        const std::string_view out = m_bytes.substr(m_at, size);
        m_at += size;
        return out;
    }
    template <class Number> std::vector<double> all(std::string_view bytes) const {
        if (bytes.size() % sizeof(Number) != 0)
            broken();
        std::vector<double> out;
        out.reserve(bytes.size() / sizeof(Number));
        for (size_t at = 0; at < bytes.size(); at += sizeof(Number))
            out.push_back(static_cast<double>(number<Number>(bytes.substr(at))));
        return out;
    }

    std::string_view m_bytes;
    bool m_swapped;
    const std::string& m_file;
    size_t m_at = 0;
};

std::string inflated(std::string_view bytes, const std::string& file, size_t most) {
    z_stream stream{};
    if (inflateInit(&stream) != Z_OK)
        throw std::bad_alloc();
    const std::unique_ptr<z_stream, int (*)(z_stream*)> ends(&stream, inflateEnd);
    std::string in(bytes);
    stream.next_in = reinterpret_cast<Bytef*>(in.data());
    stream.avail_in = static_cast<uInt>(in.size());
    std::string out;
    std::array<char, 1 << 16> piece{};
    int state = Z_OK;
    while (state == Z_OK) {
        stream.next_out = reinterpret_cast<Bytef*>(piece.data());
        stream.avail_out = piece.size();
        state = inflate(&stream, Z_NO_FLUSH);
        out.append(piece.data(), piece.size() - stream.avail_out);
        if (out.size() > most)
            throw DataError(Problem::TooLarge,
                            {Statement{"size.unpacked"}, std::to_string(budget::kForeign / budget::kMiB)},
                            {.file = file});
    }
    if (state != Z_STREAM_END)
        throw DataError(Problem::ArchiveBroken, {Statement{"archive.no_matrix"}}, {.file = file});
    return out;
}

class VariableReader {
public:
    VariableReader(bool swapped, const std::string& file) : m_swapped(swapped), m_file(file) {}

    Variable read(std::string_view bytes, int depth) const {
        Variable out;
        if (bytes.empty()) // an empty field of a structure
            return out;
        ElementReader in(bytes, m_swapped, m_file);
        const std::vector<double> flags = in.numbers(in.next());
        const bool known = !flags.empty() && flags.front() >= 0.0 && flags.front() < 4294967296.0;
        if (!known || depth > kDeepest + 2)
            in.broken();
        const auto flag = static_cast<unsigned>(flags.front());
        out.arrayClass = flag & 0xFFU;
        readDimensions(in, out);
        out.name = std::string(in.next().bytes);
        if (out.arrayClass == Characters)
            out.text = textOf(in.numbers(in.next()));
        else if (out.arrayClass >= FirstNumeric && out.arrayClass <= LastNumeric && (flag & kComplex) == 0)
            readNumbers(in, out);
        else if (out.arrayClass == CellArray)
            readInside(in, out, out.count(), depth);
        else if (out.arrayClass == Structure)
            readStructure(in, out, depth);
        return out;
    }

private:
    static void readDimensions(ElementReader& in, Variable& out) {
        size_t product = 1;
        for (const double d : in.numbers(in.next())) {
            if (!(d >= 0.0 && d < 4e9))
                in.broken();
            out.dimensions.push_back(static_cast<size_t>(d));
            product = std::min(budget::kForeign, product * std::min(out.dimensions.back(), budget::kForeign));
        }
        if (out.dimensions.size() < 2 || product >= budget::kForeign)
            in.broken();
    }

    static void readNumbers(ElementReader& in, Variable& out) {
        out.numbers = in.numbers(in.next());
        if (out.numbers.size() != out.count())
            in.broken();
    }

    void readInside(ElementReader& in, Variable& out, size_t count, int depth) const {
        for (size_t i = 0; i < count; ++i) {
            const Element element = in.next();
            if (element.type != MatrixElement)
                in.broken();
            out.inside.push_back(read(element.bytes, depth + 1));
        }
    }

    void readStructure(ElementReader& in, Variable& out, int depth) const {
        const std::vector<double> width = in.numbers(in.next());
        const std::string_view names = in.next().bytes;
        if (width.size() != 1 || !(width.front() >= 1.0 && width.front() <= 1000.0))
            in.broken();
        const auto each = static_cast<size_t>(width.front());
        for (size_t at = 0; at + each <= names.size(); at += each) {
            const std::string_view name = names.substr(at, each);
            out.fields.emplace_back(name.substr(0, name.find('\0')));
        }
        if (out.fields.size() > budget::kColumns || out.count() > budget::kColumns)
            in.broken();
        readInside(in, out, out.count() * out.fields.size(), depth);
    }

    /// One line; other letters than Latin-1 become "?".
    static std::string textOf(const std::vector<double>& letters) {
        std::string out;
        for (const double letter : letters) {
            const bool control = letter < 32.0 || letter == 127.0;
            out += control ? ' ' : letter < 256.0 ? static_cast<char>(static_cast<unsigned char>(letter)) : '?';
        }
        return out;
    }

    bool m_swapped;
    const std::string& m_file;
};

std::string numberText(double value) {
    if (!std::isfinite(value))
        return {};
    char digits[32];
    return {digits, std::to_chars(digits, digits + sizeof digits, value).ptr};
}

class Collector {
public:
    void take(const Variable& variable, const std::string& name, int depth, Found& into) {
        if (variable.arrayClass == Characters)
            into.titles.push_back(name + ": " + variable.text);
        else if (variable.arrayClass == CellArray)
            takeCell(variable, into);
        else if (variable.arrayClass == Structure && depth < kDeepest)
            takeStructure(variable, name, depth, into);
        else if (!variable.numbers.empty() && variable.dimensions.size() == 2)
            takeNumbers(variable, name, into);
    }

    /// Structures with vectors of their own, each a table.
    [[nodiscard]] std::vector<std::pair<std::string, Found>>& structures() { return m_structures; }

private:
    static void takeNumbers(const Variable& variable, const std::string& name, Found& into) {
        const std::vector<double>& numbers = variable.numbers;
        const size_t rows = variable.dimensions[0];
        const size_t columns = variable.dimensions[1];
        if (numbers.size() == 1) {
            into.titles.push_back(name + ": " + numberText(numbers.front()));
        } else if (rows == 1 || columns == 1) {
            into.vectors.push_back({name, numbers});
        } else if (rows >= kFewestPullRows && columns <= budget::kColumns) {
            std::vector<NamedColumn> out;
            for (size_t c = 0; c < columns; ++c) {
                const auto first = numbers.begin() + static_cast<std::ptrdiff_t>(c * rows); // column by column
                out.push_back({"", {first, first + static_cast<std::ptrdiff_t>(rows)}});
            }
            into.matrices.emplace_back(name, std::move(out));
        }
    }

    /// A list of texts may name the columns of a matrix.
    static void takeCell(const Variable& variable, Found& into) {
        std::vector<std::string> texts;
        for (const Variable& cell : variable.inside) {
            if (cell.arrayClass != Characters)
                return;
            texts.push_back(cell.text);
        }
        into.lists.push_back(std::move(texts));
    }

    void takeStructure(const Variable& variable, const std::string& name, int depth, Found& into) {
        const size_t fields = variable.fields.size();
        const size_t count = fields > 0 ? variable.inside.size() / fields : 0;
        for (size_t i = 0; i < count; ++i) {
            Found own;
            const std::string called = count > 1 ? name + "(" + std::to_string(i + 1) + ")" : name;
            for (size_t f = 0; f < fields; ++f)
                take(variable.inside[i * fields + f], variable.fields[f], depth + 1, own);
            if (own.vectors.empty() && own.matrices.empty())
                into.titles.insert(into.titles.end(), own.titles.begin(), own.titles.end());
            else
                m_structures.emplace_back(called, std::move(own));
        }
    }

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
    if (columns.size() < 2 || columns.front().values.size() < kFewestPullRows)
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

bool looksLikeMatrixFile(std::string_view bytes) { return bytes.starts_with("MATLAB 5.0"); }

std::vector<std::pair<std::string, std::string>> tablesOfMatrixFile(std::string_view bytes, const std::string& file) {
    const std::string_view order = bytes.size() >= kHeader ? bytes.substr(kHeader - 2, 2) : std::string_view();
    if (order != "IM" && order != "MI")
        throw DataError(Problem::ArchiveBroken, {Statement{"archive.no_matrix"}}, {.file = file});
    const bool swapped = order == "MI"; // of a machine with the other order of bytes
    Found found;
    Collector collector;
    ElementReader in(bytes.substr(kHeader), swapped, file);
    const VariableReader variables(swapped, file);
    size_t left = budget::kForeign;
    while (!in.atEnd()) {
        Element element = in.next();
        std::string unpacked;
        if (element.type == Compressed) {
            unpacked = inflated(element.bytes, file, left);
            left -= unpacked.size();
            element = ElementReader(unpacked, swapped, file).next();
        }
        if (element.type != MatrixElement)
            continue;
        const Variable variable = variables.read(element.bytes, 0);
        collector.take(variable, variable.name, 0, found);
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
