// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/render.h"

#include "core/errors/data_error.h"
#include "formats/day_store.h"

#include <algorithm>
#include <cairo-pdf.h>
#include <cairo-svg.h>
#include <cairo.h>
#include <cmath>
#include <memory>
#include <numbers>
#include <sstream>
#include <string_view>
#include <utility>

namespace hillrun::report {
namespace {

struct SurfaceEnd {
    void operator()(cairo_surface_t* surface) const { cairo_surface_destroy(surface); }
};
struct ContextEnd {
    void operator()(cairo_t* context) const { cairo_destroy(context); }
};
using Surface = std::unique_ptr<cairo_surface_t, SurfaceEnd>;
using Context = std::unique_ptr<cairo_t, ContextEnd>;

void setColour(cairo_t* c, Colour colour, double opacity = 1.0) {
    cairo_set_source_rgba(c, ((colour >> 16) & 0xFF) / 255.0, ((colour >> 8) & 0xFF) / 255.0, (colour & 0xFF) / 255.0,
                          opacity);
}

void setFont(cairo_t* c, double size, bool bold, bool mono) {
    cairo_select_font_face(c, mono ? "B612 Mono" : "B612", CAIRO_FONT_SLANT_NORMAL,
                           bold ? CAIRO_FONT_WEIGHT_BOLD : CAIRO_FONT_WEIGHT_NORMAL);
    cairo_set_font_size(c, size);
}

void tracePath(cairo_t* c, const std::vector<Point>& points) {
    bool first = true;
    for (const Point& p : points) {
        first ? cairo_move_to(c, p.x, p.y) : cairo_line_to(c, p.x, p.y);
        first = false;
    }
}

void draw(cairo_t* c, const Text& text) {
    setFont(c, text.size, text.bold, text.mono);
    setColour(c, text.colour);
    cairo_text_extents_t extents;
    cairo_text_extents(c, text.text.c_str(), &extents);
    const double shift =
        text.align == Align::Left ? 0.0 : (text.align == Align::Right ? -extents.x_advance : -extents.x_advance / 2.0);
    cairo_save(c);
    cairo_translate(c, text.at.x, text.at.y);
    if (text.upwards)
        cairo_rotate(c, -std::numbers::pi / 2.0);
    cairo_move_to(c, shift, 0.0);
    cairo_show_text(c, text.text.c_str());
    cairo_restore(c);
}

void draw(cairo_t* c, const Line& line) {
    setColour(c, line.colour);
    cairo_set_line_width(c, line.width);
    std::vector<double> dash = line.dash;
    for (double& length : dash)
        length *= line.width;
    cairo_set_dash(c, dash.data(), static_cast<int>(dash.size()), 0.0);
    cairo_set_line_join(c, CAIRO_LINE_JOIN_ROUND);
    tracePath(c, line.points);
    cairo_stroke(c);
    cairo_set_dash(c, nullptr, 0, 0.0);
}

void drawHatch(cairo_t* c, const Area& area) {
    double left = area.points.front().x, right = left, top = area.points.front().y, bottom = top;
    for (const Point& p : area.points) {
        left = std::min(left, p.x);
        right = std::max(right, p.x);
        top = std::min(top, p.y);
        bottom = std::max(bottom, p.y);
    }
    cairo_save(c);
    tracePath(c, area.points);
    cairo_close_path(c);
    cairo_clip(c);
    setColour(c, area.colour, area.opacity);
    cairo_set_line_width(c, 0.5);
    for (double x = left - (bottom - top); x < right; x += 4.0) {
        cairo_move_to(c, x, bottom);
        cairo_line_to(c, x + (bottom - top), top);
    }
    cairo_stroke(c);
    cairo_restore(c);
}

void draw(cairo_t* c, const Area& area) {
    if (area.points.size() < 3)
        return;
    if (area.hatched)
        return drawHatch(c, area);
    setColour(c, area.colour, area.opacity);
    tracePath(c, area.points);
    cairo_close_path(c);
    cairo_fill(c);
}

/// Bytes that are read from the front.
struct Unread {
    const std::string& bytes;
    size_t at = 0;
};

cairo_status_t readOn(void* from, unsigned char* to, unsigned int size) {
    auto& unread = *static_cast<Unread*>(from);
    if (unread.bytes.size() - unread.at < size)
        return CAIRO_STATUS_READ_ERROR;
    std::copy_n(unread.bytes.begin() + static_cast<std::ptrdiff_t>(unread.at), size, to);
    unread.at += size;
    return CAIRO_STATUS_SUCCESS;
}

void draw(cairo_t* c, const Image& image) {
    Unread unread{image.png};
    const Surface picture(cairo_image_surface_create_from_png_stream(readOn, &unread));
    const double width = cairo_image_surface_get_width(picture.get());
    const double height = cairo_image_surface_get_height(picture.get());
    if (cairo_surface_status(picture.get()) != CAIRO_STATUS_SUCCESS || width < 1.0 || height < 1.0)
        return;
    const double scale = std::min(image.width / width, image.height / height);
    cairo_save(c);
    cairo_translate(c, image.at.x + image.width - scale * width, image.at.y);
    cairo_scale(c, scale, scale);
    cairo_set_source_surface(c, picture.get(), 0.0, 0.0);
    cairo_paint(c);
    cairo_restore(c);
}

void drawPage(cairo_t* c, const Page& page) {
    for (const Mark& mark : page.marks)
        std::visit([c](const auto& m) { draw(c, m); }, mark);
}

/// What a mark is to somebody who hears the page: words by their size, all else (and the figures along the axes) part
/// of a picture. Names of standard structure types, ISO 32000-1, 14.8.4.
const char* structureOf(const Mark& mark) {
    constexpr double kTitle = 12.0;
    constexpr double kAlongAxis = 7.5;
    const auto* text = std::get_if<Text>(&mark);
    if (!text || text->upwards || (text->mono && text->size <= kAlongAxis))
        return "Figure";
    if (text->size >= kTitle)
        return "H1";
    return text->bold ? "H2" : "P";
}

/// The page with its structure, in the order in which its marks were put down.
void drawTagged(cairo_t* c, const Page& page) {
    const char* open = nullptr; // a picture goes on over all its marks
    for (const Mark& mark : page.marks) {
        const char* kind = structureOf(mark);
        const bool picture = std::string_view(kind) == "Figure";
        if (open && !picture)
            cairo_tag_end(c, std::exchange(open, nullptr));
        if (!open)
            cairo_tag_begin(c, kind, "");
        std::visit([c](const auto& m) { draw(c, m); }, mark);
        if (picture)
            open = kind;
        else
            cairo_tag_end(c, kind);
    }
    if (open)
        cairo_tag_end(c, open);
}

cairo_status_t append(void* out, const unsigned char* data, unsigned int size) {
    static_cast<std::string*>(out)->append(reinterpret_cast<const char*>(data), size);
    return CAIRO_STATUS_SUCCESS;
}

} // namespace

std::vector<double> buildDash(size_t build) {
    constexpr double kPatterns[8][4] = {{0, 0, 0, 0}, {7, 2.5, 7, 2.5}, {2, 2, 2, 2},     {9, 2.5, 2, 2.5},
                                        {5, 2, 5, 2}, {12, 3, 12, 3},   {1, 2.5, 1, 2.5}, {6, 2, 1.5, 2}};
    const auto& pattern = kPatterns[(build + 3 * (build / 8)) % 8]; // the ninth has the first one's colour
    return pattern[0] == 0.0 ? std::vector<double>{} : std::vector<double>(pattern, pattern + 4);
}

double textWidth(const std::string& text, double size, bool bold, bool mono) {
    const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, 1, 1));
    const Context c(cairo_create(surface.get()));
    setFont(c.get(), size, bold, mono);
    cairo_text_extents_t extents;
    cairo_text_extents(c.get(), text.c_str(), &extents);
    return extents.x_advance;
}

std::string shortened(const std::string& text, double width, double size, bool bold) {
    if (textWidth(text, size, bold) <= width)
        return text;
    std::string kept = text;
    while (!kept.empty()) {
        while (!kept.empty() && (static_cast<unsigned char>(kept.back()) & 0xC0U) == 0x80U)
            kept.pop_back(); // the rest of a letter of several bytes
        if (!kept.empty())
            kept.pop_back();
        if (const std::string out = kept + "\xE2\x80\xA6"; textWidth(out, size, bold) <= width)
            return out;
    }
    return {};
}

std::vector<std::string> wrapped(const std::string& text, double width, double size, bool bold) {
    std::vector<std::string> out;
    std::istringstream words(text);
    std::string word;
    std::string line;
    while (words >> word) {
        const std::string longer = line.empty() ? word : line + " " + word;
        if (!line.empty() && textWidth(longer, size, bold) > width) {
            out.push_back(line);
            line = word;
        } else {
            line = longer;
        }
    }
    if (!line.empty())
        out.push_back(line);
    return out;
}

void writePdf(const std::vector<Page>& pages, const std::filesystem::path& target, const std::string& title) {
    std::string bytes;
    {
        const Page first = pages.empty() ? Page{} : pages.front();
        const Surface surface(cairo_pdf_surface_create_for_stream(append, &bytes, first.width, first.height));
        cairo_pdf_surface_set_metadata(surface.get(), CAIRO_PDF_METADATA_TITLE, title.c_str());
        cairo_pdf_surface_set_metadata(surface.get(), CAIRO_PDF_METADATA_CREATOR, "Hill Run");
        const Context c(cairo_create(surface.get()));
        cairo_tag_begin(c.get(), "Document", "");
        for (const Page& page : pages) {
            drawTagged(c.get(), page);
            cairo_show_page(c.get());
        }
        cairo_tag_end(c.get(), "Document");
        cairo_surface_finish(surface.get());
        if (const auto status = cairo_surface_status(surface.get()); status != CAIRO_STATUS_SUCCESS)
            throw DataError(Problem::CannotWrite, {std::string(cairo_status_to_string(status))},
                            {.file = target.string()});
    }
    writeFileSafely(target, bytes);
}

void writeSvg(const Page& page, const std::filesystem::path& target) {
    std::string bytes;
    {
        const Surface surface(cairo_svg_surface_create_for_stream(append, &bytes, page.width, page.height));
        const Context c(cairo_create(surface.get()));
        drawPage(c.get(), page);
        cairo_surface_finish(surface.get());
    }
    writeFileSafely(target, bytes);
}

Picture renderPicture(const Page& page, double pixelsPerPoint) {
    Picture out;
    out.width = static_cast<int>(std::ceil(page.width * pixelsPerPoint));
    out.height = static_cast<int>(std::ceil(page.height * pixelsPerPoint));
    out.pixels.assign(static_cast<size_t>(out.width) * static_cast<size_t>(out.height) * 4, 0xFF);
    const Surface surface(cairo_image_surface_create_for_data(out.pixels.data(), CAIRO_FORMAT_ARGB32, out.width,
                                                              out.height, out.width * 4));
    const Context c(cairo_create(surface.get()));
    cairo_scale(c.get(), pixelsPerPoint, pixelsPerPoint);
    drawPage(c.get(), page);
    cairo_surface_flush(surface.get());
    return out;
}

} // namespace hillrun::report
