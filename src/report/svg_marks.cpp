// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/svg_marks.h"

#include <fmt/format.h>
#include <map>

namespace hillrun::report {
namespace {

std::string colourText(Colour colour) { return fmt::format("#{:06X}", colour & 0xFFFFFFU); }

std::string pointsText(const std::vector<Point>& points) {
    std::string out;
    for (const Point& point : points)
        out += fmt::format("{}{:.2f},{:.2f}", out.empty() ? "" : " ", point.x, point.y);
    return out;
}

/// Writes marks; each colour of a hatch gets a pattern.
struct MarkWriter {
    std::string prefix;
    std::string out{};
    std::map<Colour, std::string> hatches{};

    void operator()(const Text& text) {
        constexpr const char* anchors[] = {"start", "middle", "end"};
        const std::string turned =
            text.upwards ? fmt::format(" transform=\"rotate(-90 {:.2f} {:.2f})\"", text.at.x, text.at.y) : "";
        out += fmt::format(
            R"(<text x="{:.2f}" y="{:.2f}" font-size="{:.2f}" fill="{}" text-anchor="{}"{}{}{}>{}</text>)", text.at.x,
            text.at.y, text.size, colourText(text.colour), anchors[static_cast<size_t>(text.align)],
            text.bold ? " font-weight=\"bold\"" : "", text.mono ? " class=\"n\"" : "", turned, escaped(text.text));
    }

    void operator()(const Line& line) {
        std::string dash;
        for (const double length : line.dash)
            dash += fmt::format("{}{:.2f}", dash.empty() ? "" : " ", length * line.width);
        out += fmt::format(
            R"(<polyline points="{}" fill="none" stroke="{}" stroke-width="{:.2f}" stroke-linejoin="round"{}/>)",
            pointsText(line.points), colourText(line.colour), line.width,
            dash.empty() ? "" : " stroke-dasharray=\"" + dash + "\"");
    }

    void operator()(const Area& area) {
        const std::string fill = area.hatched ? "url(#" + hatch(area.colour) + ")" : colourText(area.colour);
        const std::string opacity = area.opacity < 1.0 ? fmt::format(" fill-opacity=\"{:.2f}\"", area.opacity) : "";
        out += fmt::format(R"(<polygon points="{}" fill="{}"{}/>)", pointsText(area.points), fill, opacity);
    }

    void operator()(const Image&) {}

    const std::string& hatch(Colour colour) {
        return hatches.try_emplace(colour, fmt::format("{}{:06x}", prefix, colour)).first->second;
    }
};

} // namespace

std::string escaped(const std::string& text) {
    std::string out;
    for (const char letter : text)
        switch (letter) {
        case '&':
            out += "&amp;";
            break;
        case '<':
            out += "&lt;";
            break;
        case '>':
            out += "&gt;";
            break;
        case '"':
            out += "&quot;";
            break;
        default:
            out += letter;
        }
    return out;
}

std::string svgMarks(const Page& drawing, const std::string& prefix) {
    MarkWriter writer{prefix};
    for (const Mark& mark : drawing.marks)
        std::visit(writer, mark);
    std::string patterns;
    for (const auto& [colour, name] : writer.hatches)
        patterns +=
            fmt::format(R"(<pattern id="{}" width="4" height="4" patternUnits="userSpaceOnUse" )"
                        R"-(patternTransform="rotate(45)"><path d="M0 0V4" stroke="{}" stroke-width="1"/></pattern>)-",
                        name, colourText(colour));
    return (patterns.empty() ? "" : "<defs>" + patterns + "</defs>") + writer.out;
}

} // namespace hillrun::report
