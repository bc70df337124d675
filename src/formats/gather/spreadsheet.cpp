// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/spreadsheet.h"

#include "core/errors/data_error.h"
#include "formats/budget.h"

#include <algorithm>
#include <cctype>
#include <charconv>
#include <optional>
#include <pugixml.hpp>

namespace hillrun {
namespace {

using Parts = std::map<std::string, std::string>;
using Sheets = std::vector<std::pair<std::string, std::string>>;

constexpr size_t kRepeats = 4096; ///< of a cell that is not blank; blank ones fill whole sheets

const std::string* part(const Parts& files, const std::string& name) {
    for (const std::string& key : {name, name.starts_with("xl/") ? name.substr(3) : name})
        if (const auto at = files.find(key); at != files.end())
            return &at->second;
    return nullptr;
}

void parse(pugi::xml_document& document, const std::string& text, const std::string& file) {
    if (!document.load_buffer(text.data(), text.size(), pugi::parse_default | pugi::parse_ws_pcdata_single))
        throw DataError(Problem::ArchiveBroken, {Statement{"archive.broken_inside"}}, {.file = file});
}

/// The name without its namespace: "table:table-row" -> "table-row".
std::string_view bareName(const pugi::xml_node& node) {
    const std::string_view name = node.name();
    const size_t colon = name.find(':');
    return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

/// All text below a node, without what is struck out of it: notes and phonetic readings.
void addText(const pugi::xml_node& node, std::string& out) {
    for (const pugi::xml_node& child : node.children()) {
        if (child.type() == pugi::node_pcdata || child.type() == pugi::node_cdata)
            out += child.value();
        else if (bareName(child) != "rPh" && bareName(child) != "annotation")
            addText(child, out);
    }
}

/// A cell's text as it may stand between tabs.
std::string cellText(std::string text) {
    for (char& c : text)
        if (c == '\t' || c == '\n' || c == '\r')
            c = ' ';
    return text;
}

void addCell(std::string& line, size_t& cells, size_t column, const std::string& text, const std::string& file) {
    if (column >= budget::kColumns)
        throw DataError(Problem::TooLarge, {Statement{"size.columns"}, std::to_string(budget::kColumns)},
                        {.file = file});
    for (; cells < column; ++cells)
        line += '\t';
    line += text;
}

/// "BC12" -> 54; nothing when there is no letter.
std::optional<size_t> columnOf(const char* reference) {
    size_t column = 0;
    size_t letters = 0;
    for (; std::isalpha(static_cast<unsigned char>(*reference)) && letters < 4; ++reference, ++letters)
        column = column * 26 + static_cast<size_t>(std::toupper(static_cast<unsigned char>(*reference)) - 'A' + 1);
    return letters == 0 ? std::nullopt : std::optional(column - 1);
}

std::vector<std::string> sharedStrings(const Parts& files, const std::string& file) {
    std::vector<std::string> out;
    const std::string* text = part(files, "xl/sharedStrings.xml");
    if (!text)
        return out;
    pugi::xml_document document;
    parse(document, *text, file);
    for (const pugi::xml_node& item : document.document_element().children()) {
        out.emplace_back();
        addText(item, out.back());
        out.back() = cellText(std::move(out.back()));
    }
    return out;
}

std::string xlsxCell(const pugi::xml_node& cell, const std::vector<std::string>& strings) {
    const std::string_view kind = cell.attribute("t").value();
    std::string value;
    for (const pugi::xml_node& child : cell.children())
        if (bareName(child) == "v" || bareName(child) == "is")
            addText(child, value);
    if (kind == "s") {
        size_t index = 0;
        const auto read = std::from_chars(value.data(), value.data() + value.size(), index);
        return read.ec == std::errc() && index < strings.size() ? strings[index] : std::string();
    }
    if (kind == "b")
        return value == "1" ? "TRUE" : "FALSE";
    return cellText(std::move(value));
}

std::string xlsxSheet(const std::string& text, const std::vector<std::string>& strings, const std::string& file) {
    pugi::xml_document document;
    parse(document, text, file);
    std::string out;
    long lastRow = 0;
    for (const pugi::xml_node& data : document.document_element().children()) {
        if (bareName(data) != "sheetData")
            continue;
        for (const pugi::xml_node& row : data.children()) {
            const long number = row.attribute("r").as_llong(lastRow + 1);
            if (number > lastRow + 1 && lastRow > 0)
                out += '\n'; // however many blank rows: one break
            lastRow = number;
            std::string line;
            size_t cells = 0;
            size_t next = 0;
            for (const pugi::xml_node& cell : row.children()) {
                const size_t column = columnOf(cell.attribute("r").value()).value_or(next);
                addCell(line, cells, column, xlsxCell(cell, strings), file);
                next = column + 1;
            }
            out += line + "\n";
        }
    }
    return out;
}

Sheets xlsxSheets(const Parts& files, const std::string& workbook, const std::string& file) {
    std::map<std::string, std::string> targets;
    if (const std::string* text = part(files, "xl/_rels/workbook.xml.rels")) {
        pugi::xml_document document;
        parse(document, *text, file);
        for (const pugi::xml_node& relation : document.document_element().children()) {
            std::string target = relation.attribute("Target").value();
            target = target.starts_with('/') ? target.substr(1) : "xl/" + target;
            targets[relation.attribute("Id").value()] = target;
        }
    }
    const std::vector<std::string> strings = sharedStrings(files, file);
    pugi::xml_document document;
    parse(document, workbook, file);
    Sheets out;
    for (const pugi::xml_node& list : document.document_element().children()) {
        if (bareName(list) != "sheets")
            continue;
        for (const pugi::xml_node& sheet : list.children()) {
            std::string target;
            for (const pugi::xml_attribute& attribute : sheet.attributes())
                if (std::string_view(attribute.name()).ends_with(":id"))
                    target = targets[attribute.value()];
            if (const std::string* text = part(files, target))
                out.emplace_back(sheet.attribute("name").value(), xlsxSheet(*text, strings, file));
        }
    }
    return out;
}

pugi::xml_attribute attributeNamed(const pugi::xml_node& node, std::string_view name) {
    for (const pugi::xml_attribute& attribute : node.attributes()) {
        const std::string_view full = attribute.name();
        if (full.substr(std::min(full.size(), full.find(':') + 1)) == name)
            return attribute;
    }
    return {};
}

std::string odsCell(const pugi::xml_node& cell) {
    const std::string_view kind = attributeNamed(cell, "value-type").value();
    if (kind == "float" || kind == "percentage" || kind == "currency")
        return attributeNamed(cell, "value").value();
    if (kind == "date")
        return attributeNamed(cell, "date-value").value();
    std::string text;
    addText(cell, text);
    return cellText(std::move(text));
}

void addOdsRows(const pugi::xml_node& parent, std::string& out, const std::string& file) {
    for (const pugi::xml_node& row : parent.children()) {
        if (bareName(row) != "table-row") { // groups and header rows hold rows too
            addOdsRows(row, out, file);
            continue;
        }
        std::string line;
        size_t cells = 0;
        size_t column = 0;
        for (const pugi::xml_node& cell : row.children()) {
            const auto repeats = attributeNamed(cell, "number-columns-repeated").as_ullong(1);
            const std::string text = odsCell(cell);
            if (!text.empty())
                for (size_t i = 0; i < std::min<size_t>(repeats, kRepeats); ++i)
                    addCell(line, cells, column + i, text, file);
            column += static_cast<size_t>(std::min<unsigned long long>(repeats, budget::kColumns));
        }
        const auto repeats = line.empty() ? 1 : attributeNamed(row, "number-rows-repeated").as_ullong(1);
        for (size_t i = 0; i < std::min<size_t>(repeats, kRepeats); ++i)
            out += line + "\n";
    }
}

Sheets odsSheets(const std::string& content, const std::string& file) {
    pugi::xml_document document;
    parse(document, content, file);
    Sheets out;
    for (const pugi::xml_node& body : document.document_element().children())
        for (const pugi::xml_node& spreadsheet : body.children())
            for (const pugi::xml_node& table : spreadsheet.children())
                if (bareName(table) == "table") {
                    std::string text;
                    addOdsRows(table, text, file);
                    out.emplace_back(attributeNamed(table, "name").value(), std::move(text));
                }
    return out;
}

} // namespace

bool isSheetPart(const std::string& name) {
    return name == "content.xml" || name.ends_with("workbook.xml") || name.ends_with("workbook.xml.rels") ||
           name.ends_with("sharedStrings.xml") ||
           (name.find("worksheets/") != std::string::npos && name.ends_with(".xml"));
}

bool isWorkbook(const Parts& files) { return part(files, "xl/workbook.xml") || files.contains("content.xml"); }

Sheets sheetsOf(const Parts& files, const std::string& file) {
    if (const std::string* workbook = part(files, "xl/workbook.xml"))
        return xlsxSheets(files, *workbook, file);
    return odsSheets(files.at("content.xml"), file);
}

} // namespace hillrun
