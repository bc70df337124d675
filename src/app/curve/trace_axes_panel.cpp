// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_axes_panel.h"

#include "app/curve/trace_words.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"

#include <QLineEdit>
#include <QSignalBlocker>

using namespace Qt::StringLiterals;

namespace hillrun {

TraceAxesPanel::TraceAxesPanel(QWidget* parent) : QWidget(parent) {
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(px(6));
    grid->setVerticalSpacing(px(4));
    grid->addWidget(new PlainLabel(tr("Speed axis, rpm"), this), 0, 0);
    grid->addWidget(new PlainLabel(tr("Left axis"), this), 1, 0);
    m_rightAxis = new QCheckBox(tr("Right axis"), this);
    m_rightAxis->setObjectName(u"rightAxis"_s);
    connect(m_rightAxis, &QCheckBox::toggled, this, &TraceAxesPanel::rightAxisChanged);
    grid->addWidget(m_rightAxis, 2, 0);
    addRow(grid, 0, SheetMark::SpeedLow);
    addRow(grid, 1, SheetMark::LeftLow);
    addRow(grid, 2, SheetMark::RightLow);
    grid->setColumnStretch(0, 1);
}

void TraceAxesPanel::addRow(QGridLayout* grid, int row, SheetMark low) {
    for (int i = 0; i < 2; ++i) {
        const size_t number = static_cast<size_t>(low) + static_cast<size_t>(i);
        const auto mark = static_cast<SheetMark>(number);
        const QString label =
            i == 0 ? tr("lower mark of the %1").arg(axisName(mark)) : tr("upper mark of the %1").arg(axisName(mark));
        auto* field = new NumberField(u"axisValue%1"_s.arg(number), label, -100000.0, 100000.0,
                                      low == SheetMark::SpeedLow ? 0 : 1, {}, this);
        field->setMinimumWidth(px(84));
        m_values[number] = field;
        connect(field, &NumberField::edited, this,
                [this, mark](std::optional<double> value) { Q_EMIT valueEdited(mark, value); });
        connect(field, &QLineEdit::returnPressed, this, &TraceAxesPanel::typed);
        auto* set = new QPushButton(tr("Set"), this);
        set->setObjectName(u"setMark%1"_s.arg(number));
        set->setAccessibleName(tr("Set the %1").arg(label));
        set->setAutoDefault(false);
        set->setCheckable(true);
        set->setMaximumWidth(px(52));
        m_setters[number] = set;
        connect(set, &QPushButton::clicked, this, [this, mark] { Q_EMIT setAsked(mark); });
        grid->addWidget(field, row, 1 + 2 * i);
        grid->addWidget(set, row, 2 + 2 * i);
    }
}

void TraceAxesPanel::show(const SheetTrace& trace, std::optional<SheetMark> now) {
    const QSignalBlocker quiet(m_rightAxis);
    m_rightAxis->setChecked(trace.rightAxis);
    for (size_t i = 0; i < kSheetMarks; ++i) {
        const auto mark = static_cast<SheetMark>(i);
        const bool wanted = trace.rightAxis || !isOfRightAxis(mark);
        m_values[i]->setEnabled(wanted);
        m_setters[i]->setEnabled(wanted);
        m_setters[i]->setChecked(now == mark);
        if (!m_values[i]->hasFocus())
            m_values[i]->show(trace.marks[i].value);
    }
}

void TraceAxesPanel::askForValue(SheetMark mark) {
    NumberField* field = m_values[static_cast<size_t>(mark)];
    if (field->number())
        return;
    field->setFocus();
    field->selectAll();
}

} // namespace hillrun
