// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/label_layout.h"

#include <catch2/catch.hpp>

using namespace hillrun;

TEST_CASE("words above a curve take the lowest row in which their place is free") {
    CHECK(rowsOfWords({}, 8.0).empty());
    CHECK(rowsOfWords({{0, 40}, {60, 90}, {120, 150}}, 8.0) == std::vector<int>{0, 0, 0});
    CHECK(rowsOfWords({{0, 40}, {30, 60}, {50, 80}, {90, 120}}, 8.0) == std::vector<int>{0, 1, 0, 0});
    CHECK(rowsOfWords({{0, 100}, {10, 110}, {20, 120}}, 8.0) == std::vector<int>{0, 1, 2});
    CHECK(rowsOfWords({{0, 40}, {44, 90}}, 8.0) == std::vector<int>{0, 1}); // too near to be told apart
}

TEST_CASE("labels at the ends of curves keep their order and their distance") {
    std::vector<double> pixels{100, 102, 104};
    spreadLabels(pixels, 15.0, 0.0, 300.0);
    CHECK(pixels == std::vector<double>{100, 115, 130});
    pixels = {280, 290, 295};
    spreadLabels(pixels, 15.0, 0.0, 300.0);
    CHECK(pixels == std::vector<double>{270, 285, 300});
    pixels = {50, 200};
    spreadLabels(pixels, 15.0, 0.0, 300.0);
    CHECK(pixels == std::vector<double>{50, 200});
    pixels = {};
    spreadLabels(pixels, 15.0, 0.0, 300.0);
    CHECK(pixels.empty());
}
