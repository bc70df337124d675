// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/limits_dialog.h"

#include "app/look/main_button.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/usual_limits.h"
#include "core/pull/limit_watch.h"

#include <algorithm>
#include <QDialogButtonBox>
#include <QPushButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// What can be watched on most engines, in the order of the usual limits.
const std::pair<const char*, LimitSide> kOffered[] = {
    {"oil_pressure", LimitSide::Below},
    {"fuel_pressure", LimitSide::Below},
    {"coolant_temperature", LimitSide::Above},
    {"oil_temperature", LimitSide::Above},
    {"exhaust_gas_temperature", LimitSide::Above},
    {"knock_retard", LimitSide::Above},
    {"lambda", LimitSide::Above},
    {"air_fuel_ratio", LimitSide::Above},
    {"manifold_pressure", LimitSide::Above},
};

const WatchLimit* findLimit(const std::vector<WatchLimit>& limits, const std::string& channel, LimitSide side) {
    const auto at = std::find_if(limits.begin(), limits.end(),
                                 [&](const WatchLimit& one) { return one.channel == channel && one.side == side; });
    return at == limits.end() ? nullptr : &*at;
}

std::optional<double> valueOf(const WatchLimit* limit) { return limit ? std::optional(limit->value) : std::nullopt; }

/// With what a newer program wrote beside it.
WatchLimit limitOr(const WatchLimit* limit, const char* channel, LimitSide side) {
    return limit ? *limit : WatchLimit{channel, side, 0.0};
}

QString unitText(const std::string& channel) {
    const QString unit = qs(channelReading(channel, 0.0).unit);
    if (unit == u"1")
        return {};
    return unit == u"C" ? u"\u00B0C"_s : unit == u"deg" ? u"\u00B0"_s : unit;
}

} // namespace

LimitsDialog::LimitsDialog(const Article& article, QWidget* parent) : QDialog(parent), m_usual(usualLimits(article)) {
    setObjectName(u"limitsDialog"_s);
    setWindowTitle(tr("Limits while a pull runs"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(16), px(16), px(16));
    column->setSpacing(px(10));
    auto* why = quietLabel(u"limitsText"_s, this);
    why->setText(tr("When one is passed, the window says what it is and asks to close the throttle. The usual figures "
                    "are common practice, not your engine's: put its maker's in their place. An empty field is not "
                    "watched."));
    column->addWidget(why);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(12));
    grid->setVerticalSpacing(px(4));
    const std::vector<WatchLimit> now = limitsOf(article);
    for (const auto& [channel, side] : kOffered)
        addRow(*grid, limitOr(findLimit(now, channel, side), channel, side), valueOf(findLimit(now, channel, side)),
               valueOf(findLimit(m_usual, channel, side)));
    for (const WatchLimit& limit : now)
        if (std::none_of(m_rows.begin(), m_rows.end(), [&](const Row& row) {
                return row.limit.channel == limit.channel && row.limit.side == limit.side;
            }))
            addRow(*grid, limit, limit.value, std::nullopt);
    grid->setColumnStretch(0, 1);
    column->addLayout(grid);
    auto* safety = quietLabel(u"limitsSafety"_s, this);
    safety->setText(tr("This is no safety device: it can be late, it can miss, and it never touches the engine or the "
                       "brake. Keep your own watch, alarms and stops."));
    setWarning(safety, true);
    column->addWidget(safety);
    auto* box = new QDialogButtonBox(this);
    auto* usual = box->addButton(tr("Usual ones"), QDialogButtonBox::ResetRole);
    usual->setObjectName(u"usualLimits"_s);
    usual->setAutoDefault(false);
    QPushButton* use = box->addButton(tr("Use these"), QDialogButtonBox::AcceptRole);
    use->setObjectName(u"acceptLimits"_s);
    makeMain(use);
    box->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    column->addWidget(box);
    connect(usual, &QPushButton::clicked, this, &LimitsDialog::showUsual);
    connect(box, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(box, &QDialogButtonBox::accepted, this, [this] {
        if (numbersReadable(*this))
            accept();
    });
}

void LimitsDialog::addRow(QGridLayout& grid, const WatchLimit& limit, std::optional<double> value,
                          std::optional<double> usual) {
    const int row = grid.rowCount();
    const std::string& channel = limit.channel;
    const int digits = channelReading(channel, 0.0).digits;
    const bool above = limit.side == LimitSide::Above;
    const QString name = tr("%1 %2").arg(channelText(channel), above ? tr("above") : tr("below"));
    auto* field = new NumberField(u"limit_"_s + qs(channel), name, 0.0, 100000.0, digits, unitText(channel), this);
    field->show(value);
    auto* said = new PlainLabel(usual ? tr("usual: %1").arg(numberText(*usual, digits)) : QString(), this);
    said->setProperty("quiet", true);
    grid.addWidget(new PlainLabel(channelText(channel), this), row, 0);
    grid.addWidget(new PlainLabel(above ? tr("above") : tr("below"), this), row, 1);
    grid.addWidget(field, row, 2);
    grid.addWidget(said, row, 3);
    m_rows.push_back({limit, field});
}

void LimitsDialog::showUsual() {
    for (const Row& row : m_rows)
        row.field->show(valueOf(findLimit(m_usual, row.limit.channel, row.limit.side)));
}

std::optional<std::vector<WatchLimit>> LimitsDialog::limits() const {
    std::vector<WatchLimit> out;
    for (const Row& row : m_rows)
        if (const auto value = row.field->number()) {
            out.push_back(row.limit);
            out.back().value = *value;
        }
    if (out == m_usual)
        return std::nullopt;
    return out;
}

} // namespace hillrun
