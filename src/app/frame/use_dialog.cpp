// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/use_dialog.h"

#include "app/look/fields.h"
#include "app/look/main_button.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/named_use.h"
#include "core/road/day_road.h"

#include <cmath>
#include <QDialogButtonBox>
#include <QHBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

UseDialog::UseDialog(const TestDay& day, const RpmRange& range_rpm, const SpeedsOnCourse& onCourse, Look& look,
                     QWidget* parent)
    : QDialog(parent), m_day(day), m_range(range_rpm), m_onCourse(onCourse) {
    setObjectName(u"useDialog"_s);
    setWindowTitle(tr("What the builds are wanted for"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(16), px(16), px(16));
    column->setSpacing(px(8));
    auto* why = quietLabel(u"useWhy"_s, this);
    why->setText(
        tr("The speeds that count. Averages, which build is best and what each part gives are worked out over them."));
    column->addWidget(why);
    addChoice(*column, "useWhole", tr("Whole range"), {});
    addRange(*column);
    addHeld(*column);
    addGears(*column);
    addWeights(*column, look);
    addCourses(*column);
    if (!day.pulls.empty()) {
        auto* late = quietLabel(u"useLate"_s, this);
        late->setText(tr("The day has pulls already: the use is marked as chosen after looking."));
        column->addWidget(late);
    }
    auto* box = new QDialogButtonBox(this);
    m_ok = box->addButton(tr("Take it"), QDialogButtonBox::AcceptRole);
    makeMain(m_ok);
    box->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    connect(box, &QDialogButtonBox::accepted, this, &UseDialog::accept);
    connect(box, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(box);
    showDay();
    for (QRadioButton* choice : m_choices)
        connect(choice, &QRadioButton::toggled, this, &UseDialog::refresh);
    refresh();
}

QRadioButton* UseDialog::addChoice(QVBoxLayout& column, const char* name, const QString& text,
                                   std::initializer_list<QWidget*> beside) {
    auto* choice = new QRadioButton(text, this);
    choice->setObjectName(QLatin1StringView(name));
    auto* row = new QHBoxLayout;
    row->setSpacing(px(8));
    row->addWidget(choice);
    for (QWidget* widget : beside)
        row->addWidget(widget);
    row->addStretch(1);
    column.addLayout(row);
    m_choices[m_made++] = choice;
    return choice;
}

void UseDialog::addRange(QVBoxLayout& column) {
    m_low = new NumberField(u"useLowField"_s, tr("Lowest speed that counts"), 0, 30000, 0, u"rpm"_s, this);
    m_high = new NumberField(u"useHighField"_s, tr("Highest speed that counts"), 0, 30000, 0, u"rpm"_s, this);
    auto* to = new PlainLabel(tr("to"), this);
    QRadioButton* choice = addChoice(column, "useRange", tr("From"), {m_low, to, m_high});
    for (NumberField* field : {m_low, m_high}) {
        connect(field, &QLineEdit::textEdited, choice, [choice] { choice->setChecked(true); });
        connect(field, &QLineEdit::textChanged, this, &UseDialog::refresh);
    }
}

void UseDialog::addHeld(QVBoxLayout& column) {
    m_held = new NumberField(u"useHeldField"_s, tr("The speed that is held"), 1, 30000, 0, u"rpm"_s, this);
    m_half = new NumberField(u"useHalfField"_s, tr("By how much it goes up and down"), 1, 10000, 0, u"rpm"_s, this);
    auto* plusMinus = new PlainLabel(u"\u00B1"_s, this);
    QRadioButton* choice = addChoice(column, "useHeld", tr("One speed held"), {m_held, plusMinus, m_half});
    for (NumberField* field : {m_held, m_half}) {
        connect(field, &QLineEdit::textEdited, choice, [choice] { choice->setChecked(true); });
        connect(field, &QLineEdit::textChanged, this, &UseDialog::refresh);
    }
}

void UseDialog::addGears(QVBoxLayout& column) {
    m_gear = new QComboBox(this);
    m_gear->setObjectName(u"useGearField"_s);
    m_gear->setAccessibleName(tr("Gear"));
    for (int gear = 2; gear <= static_cast<int>(m_day.article.vehicle.gears.size()); ++gear)
        m_gear->addItem(QString::number(gear), gear);
    m_gearRange = quietLabel(u"useGearRange"_s, this);
    m_gearRange->setWordWrap(false);
    QRadioButton* choice = addChoice(column, "useGear", tr("Shift to shift in gear"), {m_gear, m_gearRange});
    const bool known = m_gear->count() > 0 && m_day.article.engine.redLine_rpm;
    choice->setEnabled(known);
    m_gear->setEnabled(known);
    if (!known)
        m_gearRange->setText(tr("needs the article's gears and red line"));
    connect(m_gear, &QComboBox::activated, choice, [choice] { choice->setChecked(true); });
    connect(m_gear, &QComboBox::currentIndexChanged, this, &UseDialog::refresh);
}

void UseDialog::addWeights(QVBoxLayout& column, Look& look) {
    m_bars = new WeightBars(look, m_range, this);
    QRadioButton* choice = addChoice(column, "useWeights", tr("Each speed as much as it counts"), {});
    column.addWidget(m_bars);
    connect(m_bars, &WeightBars::changed, choice, [this, choice] {
        m_given.clear();
        choice->setChecked(true);
        refresh();
    });
}

void UseDialog::addCourses(QVBoxLayout& column) {
    m_course = new QComboBox(this);
    m_course->setObjectName(u"useCourseField"_s);
    m_course->setAccessibleName(tr("Course"));
    m_course->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_course->setMinimumContentsLength(20);
    if (const auto own = courseOfDay(m_day); own && !own->held)
        m_courses.push_back(*own);
    for (const std::string& name : builtInCourses())
        if (m_courses.empty() || m_courses.front().name != name)
            m_courses.push_back(*builtInCourse(name));
    for (const Course& course : m_courses)
        m_course->addItem(qs(courseName(course)));
    m_courseWords = quietLabel(u"useCourseWords"_s, this);
    QRadioButton* choice = addChoice(column, "useCourse", tr("Driven on"), {m_course});
    column.addWidget(m_courseWords);
    choice->setEnabled(m_onCourse != nullptr);
    m_course->setEnabled(m_onCourse != nullptr);
    if (!m_onCourse)
        m_courseWords->setText(tr("needs curves: make the first pulls"));
    connect(m_course, &QComboBox::activated, this, [this, choice] {
        if (choice->isChecked())
            driveCourse();
        else
            choice->setChecked(true); // which drives it
    });
    connect(choice, &QRadioButton::toggled, this, [this](bool on) {
        if (on)
            driveCourse();
    });
}

void UseDialog::driveCourse() {
    const CourseSpeeds found = m_onCourse(m_courses[static_cast<size_t>(m_course->currentIndex())]);
    m_ofCourse = found.weights.empty() ? WantedUse{} : WantedUse{found.weights};
    m_courseWords->setText(found.weights.empty()
                               ? qs(found.whyNot)
                               : tr("%1 rpm").arg(rangeText({found.weights.front().rpm, found.weights.back().rpm})));
    refresh();
}

void UseDialog::showDay() {
    const WantedUse& now = m_day.plan.use;
    m_low->show(m_range.low);
    m_high->show(m_range.high);
    m_held->show(std::round((m_range.low + m_range.high) / 100.0) * 50.0);
    m_half->show(HeldSpeed{}.halfWidth_rpm);
    if (const auto* range = std::get_if<RpmRange>(&now)) {
        m_low->show(range->low);
        m_high->show(range->high);
    } else if (const auto* held = std::get_if<HeldSpeed>(&now)) {
        m_held->show(held->rpm);
        m_half->show(held->halfWidth_rpm);
    } else if (const auto* shifts = std::get_if<ShiftToShift>(&now)) {
        m_gear->setCurrentIndex(std::max(0, m_gear->findData(shifts->gear)));
    } else if (const auto* weights = std::get_if<SpeedWeights>(&now)) {
        m_bars->setWeights(*weights);
        m_given = *weights;
    }
    m_choices[now.index()]->setChecked(true);
    m_choices[now.index()]->setFocus();
}

WantedUse UseDialog::use() const {
    if (m_choices[1]->isChecked())
        return RpmRange{m_low->number().value_or(0.0), m_high->number().value_or(0.0)};
    if (m_choices[2]->isChecked())
        return HeldSpeed{m_held->number().value_or(0.0), m_half->number().value_or(0.0)};
    if (m_choices[3]->isChecked())
        return ShiftToShift{m_gear->currentData().toInt()};
    if (m_choices[4]->isChecked())
        return m_given.empty() ? m_bars->weights() : m_given;
    if (m_choices[5]->isChecked())
        return m_ofCourse;
    return {};
}

bool UseDialog::canBeMeant() const {
    const WantedUse now = use();
    if (const auto* range = std::get_if<RpmRange>(&now))
        return range->high > range->low;
    if (const auto* held = std::get_if<HeldSpeed>(&now))
        return held->rpm > held->halfWidth_rpm && held->halfWidth_rpm > 0.0;
    if (m_choices[5]->isChecked())
        return std::holds_alternative<SpeedWeights>(now);
    return !std::holds_alternative<SpeedWeights>(now) || !m_given.empty() || !m_bars->empty();
}

void UseDialog::accept() {
    if (numbersReadable(*this) && canBeMeant())
        QDialog::accept();
}

void UseDialog::refresh() {
    m_ok->setEnabled(canBeMeant() || m_choices[1]->isChecked() ||
                     m_choices[2]->isChecked()); // typing counts at the end
    if (m_gear->count() == 0 || !m_day.article.engine.redLine_rpm)
        return;
    const UsedSpeeds speeds = usedSpeeds(ShiftToShift{m_gear->currentData().toInt()}, m_day.article);
    m_gearRange->setText(speeds.use ? tr("%1 rpm").arg(rangeText(speeds.use->range_rpm)) : qs(speeds.whyNot));
}

} // namespace hillrun
