// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// bench_list [ADDRESS]: scrolls the window's list of days from the newest to the oldest and back, through a logbook
// such as bench_logbook fills, and says how long a place takes to be read and what memory the window holds.

#include "app/frame/dialogs.h"
#include "app/shell/main_window.h"

#include <algorithm>
#include <cstdio>
#include <fstream>
#include <QApplication>
#include <QElapsedTimer>
#include <QListView>
#include <QScrollBar>
#include <string>

using namespace hillrun;

namespace {

double resident_mb() {
    std::ifstream status("/proc/self/status");
    for (std::string line; std::getline(status, line);)
        if (line.starts_with("VmRSS:"))
            return std::stod(line.substr(6)) / 1024.0;
    return 0.0;
}

/// Until all that is seen is read.
double waitForRows_ms(QListView& list) {
    QElapsedTimer timer;
    timer.start();
    const auto seen = [&](const QPoint& at) {
        const QModelIndex index = list.indexAt(at);
        return index.isValid() && !index.data().toString().isEmpty();
    };
    const QRect room = list.viewport()->rect();
    while ((!seen(room.topLeft() + QPoint(5, 5)) || !seen(QPoint(5, room.height() - 5))) && timer.elapsed() < 5000) {
        list.viewport()->update();
        QApplication::processEvents(QEventLoop::WaitForMoreEvents, 5);
    }
    return static_cast<double>(timer.nsecsElapsed()) * 1e-6;
}

} // namespace

int main(int argc, char** argv) {
    if (argc > 1)
        qputenv("HILLRUN_LOGBOOK", argv[1]);
    const QApplication application(argc, argv);
    DesktopDialogs dialogs;
    SettingsStore settings;
    CellService cell;
    DesktopTonePlayer tones;
    MainWindow window(dialogs, settings, cell, tones);
    window.resize(1280, 800);
    window.showPage("logbook");
    window.show();
    auto* list = window.findChild<QListView*>(QStringLiteral("logbookList"));
    QElapsedTimer timer;
    timer.start();
    while (list->model()->rowCount() == 0 && timer.elapsed() < 30000)
        QApplication::processEvents(QEventLoop::WaitForMoreEvents, 20);
    (void)waitForRows_ms(*list);
    std::printf("%d days listed, %.0f MB\n", list->model()->rowCount(), resident_mb());
    constexpr int kPlaces = 300;
    std::vector<double> times;
    double most_mb = 0.0;
    for (int place = 0; place < 2 * kPlaces; ++place) { // down, and up again
        const double share =
            place < kPlaces ? place / (kPlaces - 1.0) : (2.0 * kPlaces - 1.0 - place) / (kPlaces - 1.0);
        list->verticalScrollBar()->setValue(static_cast<int>(share * list->verticalScrollBar()->maximum()));
        times.push_back(waitForRows_ms(*list));
        most_mb = std::max(most_mb, resident_mb());
        if (place % 100 == 99)
            std::printf("after %d places: %.0f MB\n", place + 1, resident_mb());
    }
    std::sort(times.begin(), times.end());
    std::printf("a place is read in %.0f ms (median), %.0f ms at worst; at most %.0f MB\n", times[times.size() / 2],
                times.back(), most_mb);
    return 0;
}
