// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/html.h"

#include "report/page_part_bytes.h"
#include "report/svg_marks.h"

#include <boost/archive/iterators/base64_from_binary.hpp>
#include <boost/archive/iterators/transform_width.hpp>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <nlohmann/json.hpp>
#include <string_view>

namespace hillrun::report {
namespace {

std::string base64(const std::string& bytes) {
    using namespace boost::archive::iterators;
    using Letters = base64_from_binary<transform_width<std::string::const_iterator, 6, 8>>;
    std::string out(Letters(bytes.begin()), Letters(bytes.end()));
    out.append((3 - bytes.size() % 3) % 3, '=');
    return out;
}

/// Words for the page: a range of numbers stays on one line.
std::string words(const std::string& text) {
    constexpr std::string_view kDash = "\xE2\x80\x93";
    constexpr std::string_view kJoined = "\xE2\x81\xA0\xE2\x80\x93\xE2\x81\xA0"; // between word joiners
    std::string out = escaped(text);
    for (size_t at = out.find(kDash); at != std::string::npos; at = out.find(kDash, at + kJoined.size()))
        out.replace(at, kDash.size(), kJoined);
    return out;
}

std::string toneClass(const Paragraph& paragraph) {
    std::string out = paragraph.tone == Tone::Quiet ? "quiet" : paragraph.tone == Tone::Warning ? "warning" : "";
    if (paragraph.small)
        out += out.empty() ? "small" : " small";
    return out.empty() ? out : " class=\"" + out + "\"";
}

std::string readAttribute(const Readings& readings) {
    nlohmann::json out;
    out["at"] = nlohmann::json::array();
    for (const double x : readings.x) {
        const double share = (x - readings.axis.low) / (readings.axis.high - readings.axis.low);
        out["at"].push_back(std::round(10.0 * (readings.left + share * (readings.right - readings.left))) / 10.0);
    }
    out["said"] = readings.said;
    return " data-read=\"" + escaped(out.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace)) + "\"";
}

/// Writes blocks one below the other.
struct HtmlWriter {
    std::string out{};
    int figures = 0;

    void operator()(const Sentence& sentence) { out += "<h2>" + words(sentence.text) + "</h2>\n"; }

    void operator()(const Paragraph& paragraph) {
        out += "<p" + toneClass(paragraph) + ">" + words(paragraph.text) + "</p>\n";
    }

    void operator()(const BuildLine& line) {
        Page swatch{24.0, 8.0, {}};
        swatch.add(Line{{{0, 4}, {24, 4}}, buildColour(line.number), 2.0, buildDash(line.number)});
        out += fmt::format("<p class=\"build\"><span><svg viewBox=\"0 0 24 8\" aria-hidden=\"true\" "
                           "style=\"display:inline;width:2em\">{}</svg> <b style=\"color:#{:06X}\">{}</b> {}</span>"
                           "<span>{}</span></p>\n",
                           svgMarks(swatch, {}), buildColour(line.number), escaped(line.id), words(line.words),
                           escaped(line.figure));
    }

    void operator()(const Table& table) {
        out += "<div class=\"table\"><table><thead><tr>";
        for (const std::string& cell : table.head)
            out += "<th scope=\"col\">" + escaped(cell) + "</th>";
        out += "</tr></thead><tbody>\n";
        for (const std::vector<std::string>& row : table.rows) {
            out += "<tr>";
            for (const std::string& cell : row)
                out += "<td>" + words(cell) + "</td>";
            out += "</tr>\n";
        }
        out += "</tbody></table></div>\n";
    }

    void operator()(const Figure& figure) {
        const std::string prefix = fmt::format("h{}-", ++figures);
        out += fmt::format("<figure{}><svg viewBox=\"0 0 {:.1f} {:.1f}\" role=\"img\" aria-label=\"{}\"{}>{}</svg>{}"
                           "</figure>\n",
                           figure.readings ? readAttribute(*figure.readings) : "", figure.drawing.width,
                           figure.drawing.height, escaped(figure.title), figure.readings ? " tabindex=\"0\"" : "",
                           svgMarks(figure.drawing, prefix),
                           figure.readings ? "<output aria-live=\"polite\"></output>" : "");
    }

    void operator()(const Gap&) {} // a browser keeps its own distances
};

/// The text with each @name@ replaced, once: what is put in is not looked at again.
std::string filled(std::string_view text, const std::map<std::string_view, std::string>& values) {
    std::string out;
    while (!text.empty()) {
        const size_t begin = text.find('@');
        const size_t end = begin == std::string_view::npos ? begin : text.find('@', begin + 1);
        const auto value =
            end == std::string_view::npos ? values.end() : values.find(text.substr(begin + 1, end - begin - 1));
        if (value == values.end()) { // an at sign of the text itself
            const size_t kept = begin == std::string_view::npos ? text.size() : begin + 1;
            out += text.substr(0, kept);
            text.remove_prefix(kept);
            continue;
        }
        out += text.substr(0, begin);
        out += value->second;
        text.remove_prefix(end + 1);
    }
    return out;
}

std::string workshopOf(const Letterhead& head) {
    if (head.empty())
        return {};
    std::string out = "<div class=\"workshop\"><div><b>" + escaped(head.workshop) + "</b>";
    for (const std::string& line : head.address)
        out += "<p class=\"quiet\">" + escaped(line) + "</p>";
    out += "</div>";
    if (!head.png.empty())
        out += "<img alt=\"\" src=\"data:image/png;base64," + base64(head.png) + "\">";
    return out + "</div>\n";
}

} // namespace

std::string htmlOf(const Document& document, const Letterhead& head, Language language) {
    HtmlWriter writer;
    for (const Section& section : document.sections) {
        writer.out += "<section>\n";
        for (const Block& block : section.blocks)
            std::visit(writer, block);
        writer.out += "</section>\n";
    }
    return filled(pagePart("frame.html"), {{"language", languageCode(language)},
                                           {"style", std::string(pagePart("style.css"))},
                                           {"script", std::string(pagePart("script.js"))},
                                           {"name", escaped(document.name)},
                                           {"about", escaped(document.about)},
                                           {"basis", escaped(document.basis)},
                                           {"workshop", workshopOf(head)},
                                           {"sections", writer.out}});
}

} // namespace hillrun::report
