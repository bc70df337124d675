// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board.h"
#include "app/shell/main_window.h"

#include <benchmark/benchmark.h>
#include <cmath>
#include <QApplication>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

BoardContent twelveCurves(const Theme& theme) {
    BoardContent out;
    out.title = u"Power, kW"_s;
    for (int k = 0; k < 12; ++k) {
        BoardSeries series;
        BoardBand band;
        for (double rpm = 2000.0; rpm <= 8000.0; rpm += 10.0) {
            const double y = 40.0 + 20.0 * std::sin(rpm / 2500.0) + k;
            series.x.push_back(rpm);
            series.y.push_back(y);
            band.x.push_back(rpm);
            band.low.push_back(y - 0.5);
            band.high.push_back(y + 0.5);
        }
        series.pen = theme.buildPen(static_cast<size_t>(k), 2.0);
        series.label = QString::number(k);
        band.colour = theme.build(static_cast<size_t>(k));
        band.colour.setAlpha(40);
        out.series.push_back(series);
        out.bands.push_back(band);
    }
    return out;
}

struct Shown {
    Look look;
    Board board{look, u"benchBoard"_s};
    Shown() {
        board.resize(780, 300);
        board.setContent(twelveCurves(look.theme()));
        board.show();
        QApplication::processEvents();
    }
};

void repaintTwelveCurvesWithBands(benchmark::State& state) {
    Shown shown;
    for (auto _ : state)
        shown.board.replot(QCustomPlot::rpImmediateRefresh);
}
BENCHMARK(repaintTwelveCurvesWithBands)->Unit(benchmark::kMillisecond);

void moveCursor(benchmark::State& state) {
    Shown shown;
    double rpm = 2000.0;
    for (auto _ : state) {
        rpm = rpm > 7900.0 ? 2000.0 : rpm + 10.0;
        shown.board.setCursor(rpm, u"5 000 rpm  A 61.2  B 62.0"_s);
        shown.board.repaint();
    }
}
BENCHMARK(moveCursor)->Unit(benchmark::kMillisecond);

} // namespace

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
