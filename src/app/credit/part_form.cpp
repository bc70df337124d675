// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/part_form.h"

#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// The name as people say it.
QString spoken(const std::string& part) { return qs(part).replace(u'_', u' '); }

} // namespace

PartForm::PartForm(DayDocument& document, Selection& selection, QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    m_facts = makeFacts();
    column->addWidget(m_facts);
    m_bound = new NumberField(u"interactionBound"_s, tr("Interactions that were not run are at most"), 0.01, 20.0, 2,
                              u"%"_s, this);
    m_bound->setToolTip(tr("Declared by you, there is no usual value: it widens every fair share that hangs on a "
                           "combination nobody ran"));
    m_boundRow = labelled(tr("Interactions that were not run are at most"), m_bound, this);
    m_bound->setMaximumWidth(m_bound->sizeHint().width());
    column->addWidget(m_boundRow);
    m_number = new QComboBox(this);
    m_number->setObjectName(u"numberOf"_s);
    m_number->setAccessibleName(tr("The number that was run in steps"));
    m_number->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_number->setMinimumContentsLength(18);
    m_numberRow = labelled(tr("The number that was run in steps"), m_number, this);
    column->addWidget(m_numberRow);
    m_countsTitle = quietLabel(u"countsTitle"_s, this);
    m_countsTitle->setText(tr("What counts as one part"));
    column->addWidget(m_countsTitle);
    m_counts = new QWidget(this);
    m_countsGrid = new QGridLayout(m_counts);
    m_countsGrid->setContentsMargins(0, 0, 0, 0);
    m_countsGrid->setColumnStretch(0, 1);
    column->addWidget(m_counts);
    connectFacts();
}

QWidget* PartForm::makeFacts() {
    auto* facts = new QWidget(this);
    auto* grid = new QGridLayout(facts);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(px(8));
    m_cost = new NumberField(u"partCost"_s, tr("Cost of the part"), 0.0, 1e6, 0, {}, facts);
    m_mass = new NumberField(u"partMass"_s, tr("Mass that it adds"), -1000.0, 1000.0, 1, u"kg"_s, facts);
    m_from = new NumberField(u"partExpectedFrom"_s, tr("Expected gain, from"), -1000.0, 1000.0, 1, {}, facts);
    m_to = new NumberField(u"partExpectedTo"_s, tr("Expected gain, to"), -1000.0, 1000.0, 1, {}, facts);
    m_cost->setToolTip(tr("Where the builds' own costs do not say it"));
    m_mass->setToolTip(tr("Where the builds' own masses do not say it"));
    m_from->setToolTip(tr("What somebody said it would give; best typed before the pulls"));
    m_to->setToolTip(m_from->toolTip());
    grid->addWidget(labelled(tr("Cost"), m_cost, facts), 0, 0);
    grid->addWidget(labelled(tr("Mass added"), m_mass, facts), 0, 1);
    grid->addWidget(labelled(tr("Expected from"), m_from, facts), 1, 0);
    grid->addWidget(labelled(tr("to"), m_to, facts), 1, 1);
    grid->setColumnStretch(2, 1);
    return facts;
}

void PartForm::connectFacts() {
    connect(m_cost, &NumberField::edited, this, [this](std::optional<double> value) {
        note(tr("Note the cost of %1").arg(spoken(m_part)), [&](PartNote& note) { note.cost = value; });
    });
    connect(m_mass, &NumberField::edited, this, [this](std::optional<double> value) {
        note(tr("Note the mass of %1").arg(spoken(m_part)), [&](PartNote& note) { note.mass_kg = value; });
    });
    connect(m_from, &NumberField::edited, this, [this](std::optional<double> value) { expect(value, m_to->number()); });
    connect(m_to, &NumberField::edited, this, [this](std::optional<double> value) { expect(m_from->number(), value); });
    connect(m_number, &QComboBox::activated, this, [this] {
        const auto number = m_number->currentData().value<size_t>();
        m_document.edit(tr("Say which number of %1 counts").arg(spoken(m_setting)),
                        [&](TestDay& day) { day.credit.numberOf[m_setting] = number; });
    });
    connect(m_bound, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(tr("Declare a bound on interactions"),
                        [&](TestDay& day) { day.credit.interactionBound_pct = value; });
    });
}

/// A note that says nothing any more goes.
void PartForm::note(const QString& what, const std::function<void(PartNote&)>& change) {
    m_document.edit(what, [&](TestDay& day) {
        change(day.credit.parts[m_part]);
        if (day.credit.parts[m_part] == PartNote{})
            day.credit.parts.erase(m_part);
    });
}

/// One end alone stands for both.
void PartForm::expect(std::optional<double> low, std::optional<double> high) {
    const bool after = !m_document.day().pulls.empty();
    const double watts = 1.0 / powerIn(m_selection.units().power, 1.0);
    note(tr("Note what %1 is expected to give").arg(spoken(m_part)), [&](PartNote& note) {
        note.expected_w.reset();
        if (low || high) {
            const double one = low.value_or(high.value_or(0.0));
            const double other = high.value_or(one);
            note.expected_w = {std::min(one, other) * watts, std::max(one, other) * watts};
        }
        note.expectedAfterLooking = note.expected_w && after;
    });
}

/// Nothing: by itself; an empty name: not at all.
void PartForm::countWith(const std::string& part, const std::optional<std::string>& with) {
    m_document.edit(tr("Change what %1 counts with").arg(spoken(part)), [&](TestDay& day) {
        auto& counts = day.credit.countsWith;
        counts.erase(part);
        if (!with)
            return;
        std::erase_if(counts, [&](const auto& one) { return one.second == part; });
        counts[part] = *with;
    });
}

void PartForm::refresh(const Credit* credit, std::optional<size_t> part) {
    const bool mayEdit = m_document.mayEdit();
    const TestDay& day = m_document.day();
    m_part = credit && part && *part < credit->sets.parts.size() ? noteKey(credit->sets.parts[*part]) : std::string();
    m_facts->setVisible(!m_part.empty());
    const auto found = day.credit.parts.find(m_part);
    const PartNote noted = found != day.credit.parts.end() ? found->second : PartNote{};
    const DisplayUnits units = m_selection.units();
    const auto inUnit = [&](double watts) { return powerIn(units.power, watts); };
    m_cost->show(noted.cost);
    m_mass->show(noted.mass_kg);
    m_from->show(noted.expected_w ? std::optional(inUnit(noted.expected_w->first)) : std::nullopt);
    m_to->show(noted.expected_w ? std::optional(inUnit(noted.expected_w->second)) : std::nullopt);
    m_cost->setUnit(qs(currencyOf(day.builds)));
    for (NumberField* field : {m_from, m_to})
        field->setUnit(QString::fromUtf8(powerUnitText(units.power)));
    m_bound->show(day.credit.interactionBound_pct);
    const bool holes = credit && std::any_of(credit->shares.begin(), credit->shares.end(),
                                             [](const CreditShare& share) { return share.boundFactor > 0.0; });
    m_boundRow->setVisible(holes || day.credit.interactionBound_pct.has_value());
    for (NumberField* field : {m_cost, m_mass, m_from, m_to, m_bound})
        field->setEnabled(mayEdit);
    refreshNumbers(credit);
    refreshCounting(credit);
}

/// "1st of 95/40: 95, 92, 90", where more than one of a setting's numbers was changed.
void PartForm::refreshNumbers(const Credit* credit) {
    const SettingNumbers* numbers = credit && credit->sets.numbers ? &*credit->sets.numbers : nullptr;
    const bool toChoose = numbers && numbers->changing.size() > 1;
    m_numberRow->setVisible(toChoose);
    m_number->clear();
    if (!toChoose)
        return;
    m_setting = numbers->part;
    for (const size_t which : numbers->changing) {
        QStringList values;
        for (const double value : numbers->all[which])
            values << qs(currentVoice().number(significant(value, 6)));
        m_number->addItem(tr("number %1: %2").arg(which + 1).arg(values.join(u", "_s)), QVariant::fromValue(which + 1));
    }
    m_number->setCurrentIndex(numbers->taken ? m_number->findData(QVariant::fromValue(*numbers->taken + 1)) : -1);
    m_number->setPlaceholderText(tr("choose"));
    m_number->setEnabled(m_document.mayEdit());
}

/// One choice for each part or setting in which builds differ; with one of them there is nothing to choose.
void PartForm::refreshCounting(const Credit* credit) {
    const std::vector<std::string> differing = credit ? credit->sets.differing : std::vector<std::string>{};
    const bool any = differing.size() > 1;
    m_countsTitle->setVisible(any);
    m_counts->setVisible(any);
    if (differing != m_differing) {
        qDeleteAll(m_counts->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
        m_choices.clear();
        m_differing = differing;
        for (size_t i = 0; i < differing.size(); ++i) {
            auto* name = quietLabel(u"countsName%1"_s.arg(i), m_counts);
            name->setText(spoken(differing[i]));
            name->setWordWrap(true);
            auto* choice = new QComboBox(m_counts);
            choice->setObjectName(u"counts%1"_s.arg(i));
            choice->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
            choice->setMinimumContentsLength(12); // long names do not widen the panel
            choice->setAccessibleName(tr("What %1 counts with").arg(spoken(differing[i])));
            m_countsGrid->addWidget(name, static_cast<int>(i), 0);
            m_countsGrid->addWidget(choice, static_cast<int>(i), 1);
            connect(choice, &QComboBox::activated, this, [this, i, choice] {
                const QVariant with = choice->currentData();
                countWith(m_differing[i], with.isValid() ? std::optional(with.toString().toStdString()) : std::nullopt);
            });
            m_choices.push_back(choice);
        }
    }
    const auto& counts = m_document.day().credit.countsWith;
    for (size_t i = 0; i < m_choices.size(); ++i) {
        QComboBox* choice = m_choices[i];
        choice->clear();
        choice->addItem(tr("by itself"));
        for (const std::string& other : differing)
            if (other != differing[i] && counts.count(other) == 0)
                choice->addItem(tr("with %1").arg(spoken(other)), qs(other));
        choice->addItem(tr("not at all"), QString());
        const auto now = counts.find(differing[i]);
        const int at = now == counts.end() ? 0 : choice->findData(qs(now->second));
        choice->setCurrentIndex(std::max(0, at));
        choice->setEnabled(m_document.mayEdit());
    }
}

} // namespace hillrun
