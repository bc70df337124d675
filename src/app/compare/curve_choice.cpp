// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/curve_choice.h"

#include "app/compare/quantity_content.h"
#include "app/look/words.h"

using namespace Qt::StringLiterals;

namespace hillrun {

CurveChoice::CurveChoice(DayDocument& document, Selection& selection, const QString& name, QWidget* parent)
    : QComboBox(parent), m_document(document), m_selection(selection) {
    setObjectName(name);
    setAccessibleName(tr("Curve that is compared"));
    setToolTip(tr("Power, torque, or any other curve that the pulls have (Q: power and torque)"));
    setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    setMinimumContentsLength(10); // the tools fit a small screen in every language
    setProperty("flat", true);
    connect(this, &QComboBox::activated, this, [this] { choose(currentData().toString()); });
}

void CurveChoice::refresh() {
    const auto analysis = m_document.analysis();
    if (m_offeredOf.lock() != analysis || count() == 0) {
        m_offeredOf = analysis;
        clear();
        if (analysis && !analysis->builds.empty())
            for (const QuantityKind& kind : quantitiesOf(m_document.day(), *analysis))
                addItem(quantityNameText(kind), qs(kind.id));
    }
    const int size = findData(m_selection.quantity() == Quantity::Power ? u"power"_s : u"torque"_s);
    const int curve = m_selection.curve().empty() ? -1 : findData(qs(m_selection.curve()));
    setCurrentIndex(curve >= 0 ? curve : size); // a day without that curve shows power
}

void CurveChoice::choose(const QString& id) {
    if (id == u"power"_s || id == u"torque"_s)
        m_selection.setQuantity(id == u"power"_s ? Quantity::Power : Quantity::Torque);
    else
        m_selection.setCurve(id.toStdString());
}

} // namespace hillrun
