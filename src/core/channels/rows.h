// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"

#include <memory>
#include <utility>
#include <vector>

namespace hillrun {

/// One value a row that nobody changes any more. Copies share the values; a recorded column is shared with its table.
class Rows {
public:
    Rows() : Rows(std::vector<double>()) {}
    Rows(std::vector<double> values) : m_values(std::make_shared<const std::vector<double>>(std::move(values))) {}
    Rows(const std::shared_ptr<const ChannelTable>& table, const Column& column) : m_values(table, &column.values) {}

    operator const std::vector<double>&() const { return *m_values; }
    [[nodiscard]] size_t size() const { return m_values->size(); }
    [[nodiscard]] bool empty() const { return m_values->empty(); }
    [[nodiscard]] const double* data() const { return m_values->data(); }
    [[nodiscard]] auto begin() const { return m_values->begin(); }
    [[nodiscard]] auto end() const { return m_values->end(); }
    [[nodiscard]] double front() const { return m_values->front(); }
    [[nodiscard]] double back() const { return m_values->back(); }
    double operator[](size_t row) const { return (*m_values)[row]; }

private:
    std::shared_ptr<const std::vector<double>> m_values;
};

} // namespace hillrun
