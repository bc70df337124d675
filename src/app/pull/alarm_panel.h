// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "core/pull/limit_watch.h"

#include <QPointer>
#include <QWidget>

namespace hillrun {

/// Lies over the whole window while a limit is passed: one word, the number, and what to do; large enough for the
/// other end of the room. A key, or a touch anywhere, says that it was seen.
class AlarmPanel : public QWidget, public SpokenPicture {
    Q_OBJECT
public:
    explicit AlarmPanel(QWidget* over);
    void raiseFor(const std::vector<LimitCrossing>& passed);
    void putAway();
    [[nodiscard]] QString spokenName() const override;
    [[nodiscard]] QString spokenText() const override;

Q_SIGNALS:
    void seen();

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    struct Line {
        QString text;
        double share; ///< of the height
        bool bold;
    };
    [[nodiscard]] std::vector<Line> lines() const;
    std::vector<LimitCrossing> m_passed;
    QPointer<QWidget> m_focusBefore;
};

/// The one word for it: "OIL", "LEAN".
QString alarmWord(const WatchLimit& limit);

} // namespace hillrun
