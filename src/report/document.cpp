// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/document.h"

#include "report/render.h"

namespace hillrun::report {
namespace {

constexpr double kLeft = 42.0;
constexpr double kRight = 553.0;

Colour colourOf(Tone tone) { return tone == Tone::Plain ? kInk : tone == Tone::Quiet ? kQuietInk : kWarning; }

/// Puts blocks down from the top.
class Writer {
public:
    explicit Writer(const Document& document) {
        page.add(Area{{{kLeft, 40}, {kLeft + 5, 40}, {kLeft + 5, 78}, {kLeft, 78}}, 0x0E6A6A, 1.0, false});
        page.add(Text{{kLeft + 14, 52}, shortened(document.name, 430.0, 14, true), 14, kInk, true});
        page.add(Text{{kLeft + 14, 65}, shortened(document.about, 420.0, 8.5), 8.5, kQuietInk});
        page.add(Text{{kRight, 52}, "Hill Run", 9, kQuietInk, true, false, Align::Right});
        page.add(Text{{kLeft + 14, 77}, shortened(document.basis, kRight - kLeft - 14, 8.5), 8.5, kQuietInk});
        rule(86);
        m_y = 106;
    }

    Page page;

    void operator()(const Sentence& sentence) {
        for (const std::string& line : wrapped(sentence.text, kRight - kLeft, 14, true)) {
            page.add(Text{{kLeft, m_y}, line, 14, kInk, true});
            m_y += 19;
        }
        m_y += 2;
    }

    void operator()(const Paragraph& paragraph) {
        const double size = paragraph.small ? 7.5 : 8.5;
        for (const std::string& line : wrapped(paragraph.text, kRight - kLeft, size)) {
            page.add(Text{{kLeft, m_y}, line, size, colourOf(paragraph.tone)});
            m_y += size + 4.0;
        }
    }

    void operator()(const BuildLine& line) {
        const Colour colour = buildColour(line.number);
        page.add(Line{{{kLeft, m_y - 3}, {kLeft + 24, m_y - 3}}, colour, 1.6, buildDash(line.number)});
        page.add(Text{{kLeft + 30, m_y}, line.id, 10, colour, true});
        const double name = kLeft + 34 + std::max(12.0, textWidth(line.id, 10, true));
        const double figure = textWidth(line.figure, 9);
        page.add(Text{{name, m_y}, shortened(line.words, kRight - name - figure - 8.0, 9), 9, kInk});
        page.add(Text{{kRight, m_y}, line.figure, 9, kQuietInk, false, false, Align::Right});
        m_y += 14;
    }

    void operator()(const Table& table) {
        page.add(Text{{kLeft, m_y}, room(table, 0, table.head.front(), 9.5, true), 9.5, kInk, true});
        for (size_t i = 1; i < table.head.size(); ++i)
            page.add(Text{{kLeft + table.columns[i], m_y}, table.head[i], 7.5, kQuietInk});
        m_y += 4;
        rule(m_y);
        m_y += 12;
        for (const std::vector<std::string>& cells : table.rows) {
            for (size_t i = 0; i < cells.size(); ++i)
                page.add(Text{{kLeft + table.columns[i], m_y}, room(table, i, cells[i], 9, false), 9, kInk});
            m_y += 13;
        }
    }

    void operator()(const Figure& figure) {
        for (Mark mark : figure.drawing.marks) {
            std::visit([this](auto& one) { move(one); }, mark);
            page.marks.push_back(std::move(mark));
        }
        m_y += figure.drawing.height;
    }

    void operator()(const Gap& gap) { m_y += gap.height; }

    void number(const std::string& words) {
        page.add(Text{{kRight, 65}, words, 8.5, kQuietInk, false, false, Align::Right});
    }

private:
    void rule(double y) { page.add(Line{{{kLeft, y}, {kRight, y}}, kRule, 0.8, {}}); }

    /// The text as far as its column goes.
    static std::string room(const Table& table, size_t column, const std::string& text, double size, bool bold) {
        const double end = column + 1 < table.columns.size() ? table.columns[column + 1] : kRight - kLeft;
        return shortened(text, end - table.columns[column] - 4.0, size, bold);
    }

    template <class M> void move(M& mark) const {
        if constexpr (requires { mark.at; }) {
            mark.at.x += kLeft;
            mark.at.y += m_y;
        } else {
            for (Point& point : mark.points) {
                point.x += kLeft;
                point.y += m_y;
            }
        }
    }

    double m_y = 40;
};

} // namespace

std::vector<Page> pagesOf(const Document& document) {
    std::vector<Page> out;
    for (size_t i = 0; i < document.sections.size(); ++i) {
        Writer writer(document);
        for (const Block& block : document.sections[i].blocks)
            std::visit(writer, block);
        if (i < document.numbered.size())
            writer.number(document.numbered[i]);
        out.push_back(std::move(writer.page));
    }
    return out;
}

} // namespace hillrun::report
