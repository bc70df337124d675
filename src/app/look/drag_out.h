// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <QMimeData>
#include <QWidget>

namespace hillrun {

/// Lets what a widget shows be dragged into another program, or onto the desktop as files. What is carried is made when
/// the drag begins.
class DragOut : public QObject {
    Q_OBJECT
public:
    using Make = std::function<std::unique_ptr<QMimeData>()>;
    using Begin = std::function<void(QWidget* from, std::unique_ptr<QMimeData> carried)>;
    /// `held`: keys that must be down, where dragging means something else without them. Lives as long as `from`.
    DragOut(QWidget* from, Qt::KeyboardModifiers held, Make make);
    /// What begins a drag: the desktop's own, unless a test looks on.
    static void setBegin(Begin begin);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* m_from;
    Qt::KeyboardModifiers m_held;
    Make m_make;
    std::optional<QPoint> m_pressed;
};

/// Where a file of that name may be written so that it can be carried; it is gone when the program ends.
QString carriedFile(const QString& name);
/// Adds files to what is carried.
void carryFiles(QMimeData& carried, const QStringList& files);

} // namespace hillrun
