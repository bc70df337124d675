// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <array>
#include <functional>
#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <vector>

namespace hillrun {

/// A line under the top bar for what needs a word but not an interruption, with up to three answers.
class NoticeBar : public QWidget {
    Q_OBJECT
public:
    struct Answer {
        QString text;
        std::function<void()> run;
    };
    explicit NoticeBar(QWidget* parent = nullptr);
    /// Stays until answered, replaced or taken away.
    void say(const QString& text, const std::vector<Answer>& answers);
    /// Goes away by itself.
    void mention(const QString& text);

private:
    QLabel* m_text = nullptr;
    std::array<QPushButton*, 3> m_buttons{};
    std::array<std::function<void()>, 3> m_runs;
};

} // namespace hillrun
