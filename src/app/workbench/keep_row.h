// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <QLineEdit>
#include <QPushButton>
#include <string>

namespace hillrun {

/// Below a check: its date, and the buttons that keep it with the day's cell or clear it.
class KeepRow : public QWidget {
    Q_OBJECT
public:
    /// Parts are named `part` + "Date", "keep" + `part` and "clear" + `part`.
    KeepRow(const QString& part, QWidget* parent);
    void show(const std::string& date);
    /// ISO 8601; today for an empty text, nothing for what is no date, which is marked.
    [[nodiscard]] std::optional<std::string> date() const;
    void mayKeep(bool may);

Q_SIGNALS:
    void changed();
    void keep();
    void clear();

private:
    QLineEdit* m_date = nullptr;
    QPushButton* m_keep = nullptr;
};

} // namespace hillrun
