// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/given_row.h"

#include "app/look/plain_text.h"
#include "app/look/words.h"

#include <algorithm>

using namespace Qt::StringLiterals;

namespace hillrun {

GivenRow::GivenRow(QWidget* parent) : QWidget(parent) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(new PlainLabel(tr("Corrected to"), this));
    m_correctedTo = new QComboBox(this);
    m_correctedTo->setObjectName(u"correctedTo"_s);
    m_correctedTo->setAccessibleName(tr("What the curve was corrected to"));
    m_correctedTo->addItem(tr("not known"), QString());
    for (const StandardInfo& info : standards())
        m_correctedTo->addItem(qs(info.title), qs(info.name));
    row->addWidget(m_correctedTo);
    row->addWidget(new PlainLabel(tr("smoothed over"), this));
    m_smoothing = new NumberField(u"givenSmoothing"_s, tr("smoothing of the curve"), 0.0, 2000.0, 0, u"rpm"_s, this);
    row->addWidget(m_smoothing);
    row->addWidget(new PlainLabel(tr("measured at"), this));
    m_measuredAt = new QComboBox(this);
    m_measuredAt->setObjectName(u"givenMeasuredAt"_s);
    m_measuredAt->setAccessibleName(tr("Where the curve was measured"));
    m_measuredAt->addItems({tr("the same as today"), tr("crank"), tr("hub"), tr("wheel")});
    row->addWidget(m_measuredAt);
    auto* hint = new PlainLabel(tr("A curve has no repeats: it proves nothing."), this);
    hint->setProperty("quiet", true);
    hint->setProperty("small", true);
    row->addWidget(hint, 1);
    connect(m_correctedTo, &QComboBox::activated, this, &GivenRow::edited);
    connect(m_smoothing, &NumberField::edited, this, &GivenRow::edited);
    connect(m_measuredAt, &QComboBox::activated, this, &GivenRow::edited);
}

void GivenRow::show(const GivenCurve& given) {
    const QString name = given.corrected ? qs(standardInfo(*given.corrected).name) : QString();
    m_correctedTo->setCurrentIndex(std::max(0, m_correctedTo->findData(name)));
    m_smoothing->show(given.smoothing_rpm);
}

void GivenRow::putInto(GivenCurve& given) const {
    const std::string name = m_correctedTo->currentData().toString().toStdString();
    given.corrected = name.empty() ? std::nullopt : std::optional(standardNamed(name));
    given.smoothing_rpm = m_smoothing->number();
}

std::optional<MeasuredAt> GivenRow::measuredAt() const {
    const int index = m_measuredAt->currentIndex();
    return index > 0 ? std::optional(static_cast<MeasuredAt>(index - 1)) : std::nullopt;
}

QStringList buildChoices(const TestDay& day) {
    QStringList out;
    for (const Build& build : day.builds)
        out << qs(build.id);
    for (const char letter : {'A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'})
        if (const QString id = QString(QLatin1Char(letter)); !out.contains(id))
            out << id;
    return out;
}

QComboBox* makeBuildBox(const TestDay& day, const std::string& chosen, QWidget* parent) {
    auto* box = new QComboBox(parent);
    box->setEditable(true);
    box->addItems(buildChoices(day));
    box->setCurrentText(qs(chosen));
    return box;
}

} // namespace hillrun
