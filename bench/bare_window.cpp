// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
// An empty Qt window that is shown and closed again, for `measure-start`.
#include <QApplication>
#include <QMainWindow>
#include <QTimer>

int main(int argc, char** argv) {
    QApplication app(argc, argv);
    QMainWindow window;
    window.resize(1280, 800);
    window.show();
    QTimer::singleShot(0, &window, &QMainWindow::close);
    return QApplication::exec();
}
