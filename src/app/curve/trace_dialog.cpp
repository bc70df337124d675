// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_dialog.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"

#include <algorithm>
#include <cmath>
#include <QRadioButton>
#include <QShortcut>
#include <QSignalBlocker>
#include <QSplitter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kSamePoint_px = 6.0; ///< on the screen

} // namespace

TraceDialog::TraceDialog(const TestDay& day, SheetFile sheet, const DisplayUnits& units, const Theme& theme,
                         QWidget* parent)
    : QDialog(parent), m_day(day), m_sheet(std::move(sheet)), m_units(units), m_theme(theme) {
    setObjectName(u"traceDialog"_s);
    setWindowTitle(tr("Trace curves from %1").arg(qs(m_sheet.name)));
    const QSize wanted(1180, 740);
    resize(parent ? wanted.boundedTo(parent->window()->size() - QSize(16, 16)) : wanted);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(14), px(16), px(14));
    column->setSpacing(px(8));
    m_title = new PlainLabel(this);
    m_title->setObjectName(u"traceNext"_s);
    m_title->setProperty("title", true);
    column->addWidget(m_title);
    auto* halves = new QSplitter(Qt::Horizontal, this);
    halves->setChildrenCollapsible(false);
    m_view = new TraceView(theme, this);
    m_view->setObjectName(u"traceView"_s);
    halves->addWidget(m_view);
    halves->addWidget(makeRight());
    halves->setStretchFactor(0, 1);
    halves->setStretchFactor(1, 0);
    halves->setSizes({780, 380});
    column->addWidget(halves, 1);
    m_given = new GivenRow(this);
    column->addWidget(m_given);
    column->addLayout(makeButtons());
    connect(m_view, &TraceView::pointed, this, &TraceDialog::point);
    connect(m_view, &TraceView::moved, this, &TraceDialog::readOut);
    connect(m_view, &TraceView::markMoved, this, [this](int mark, PicturePoint at, bool begins) {
        if (begins)
            remember();
        m_trace.marks[m_shownMarks[static_cast<size_t>(mark)]].at = at;
        showNextStep();
        refreshPicture();
    });
    connect(new QShortcut(QKeySequence::Undo, this), &QShortcut::activated, this, &TraceDialog::undo);
    addLine();
    m_before.clear();
    showPage(0);
    m_view->setFocus();
}

QWidget* TraceDialog::makeRight() {
    auto* right = new QWidget(this);
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(px(8), 0, 0, 0);
    column->setSpacing(px(8));
    m_axes = new TraceAxesPanel(right);
    connect(m_axes, &TraceAxesPanel::valueEdited, this, [this](SheetMark mark, std::optional<double> value) {
        remember();
        m_trace.marks[static_cast<size_t>(mark)].value = value;
        refresh();
    });
    connect(m_axes, &TraceAxesPanel::typed, m_view, qOverload<>(&QWidget::setFocus));
    connect(m_axes, &TraceAxesPanel::setAsked, this, [this](SheetMark mark) {
        m_now = mark;
        m_view->setFocus();
        refresh();
    });
    connect(m_axes, &TraceAxesPanel::rightAxisChanged, this, &TraceDialog::setRightAxis);
    column->addWidget(m_axes);
    auto* head = new QHBoxLayout;
    auto* title = new PlainLabel(tr("Lines"), right);
    title->setProperty("quiet", true);
    head->addWidget(title, 1);
    auto* another = new QPushButton(tr("Another line"), right);
    another->setObjectName(u"anotherLine"_s);
    another->setAutoDefault(false);
    connect(another, &QPushButton::clicked, this, [this] {
        remember();
        addLine();
        refresh();
    });
    m_removeLine = new QPushButton(tr("Remove"), right);
    m_removeLine->setObjectName(u"removeLine"_s);
    m_removeLine->setAutoDefault(false);
    connect(m_removeLine, &QPushButton::clicked, this, &TraceDialog::removeLine);
    head->addWidget(another);
    head->addWidget(m_removeLine);
    column->addLayout(head);
    m_lines = new TraceLineTable(m_day, m_theme, right);
    connect(m_lines, &TraceLineTable::picked, this, [this](size_t line) {
        m_line = line;
        refreshPicture();
        showNextStep();
    });
    connect(m_lines, &TraceLineTable::lineChanged, this, [this](size_t line, const TracedLine& said) {
        m_trace.lines[line].build = said.build;
        m_trace.lines[line].unit = said.unit;
        m_trace.lines[line].onRightAxis = said.onRightAxis;
        refreshPicture();
    });
    column->addWidget(m_lines, 3);
    column->addLayout(makeWays());
    m_lens = new TraceLens(m_theme, right);
    column->addWidget(m_lens, 4);
    m_readout = new PlainLabel(right);
    m_readout->setObjectName(u"traceReadout"_s);
    m_readout->setFont(fonts::numbers(14, true));
    column->addWidget(m_readout);
    m_doubt = new PlainLabel(right);
    m_doubt->setObjectName(u"traceDoubt"_s);
    m_doubt->setWordWrap(true);
    setWarning(m_doubt, true);
    column->addWidget(m_doubt);
    m_allTheSame = new QCheckBox(tr("The sheet is like that: take it all the same"), right);
    m_allTheSame->setObjectName(u"traceAllTheSame"_s);
    connect(m_allTheSame, &QCheckBox::toggled, this, &TraceDialog::refreshPicture);
    column->addWidget(m_allTheSame);
    return right;
}

QLayout* TraceDialog::makeWays() {
    auto* row = new QHBoxLayout;
    m_ways = new QButtonGroup(this);
    const std::pair<TraceWay, QString> ways[] = {{TraceWay::Follow, tr("Follow the colour")},
                                                 {TraceWay::ByHand, tr("Point by point")},
                                                 {TraceWay::CutOff, tr("Cut an end off")}};
    for (const auto& [way, text] : ways) {
        auto* button = new QRadioButton(text, this);
        button->setObjectName(u"traceWay%1"_s.arg(static_cast<int>(way)));
        button->setChecked(way == TraceWay::Follow);
        m_ways->addButton(button, static_cast<int>(way));
        row->addWidget(button);
    }
    row->addStretch(1);
    connect(m_ways, &QButtonGroup::idToggled, this, [this] { showNextStep(); });
    return row;
}

QLayout* TraceDialog::makeButtons() {
    auto* row = new QHBoxLayout;
    m_problem = new PlainLabel(this);
    m_problem->setObjectName(u"traceProblem"_s);
    m_problem->setWordWrap(true);
    m_problem->setProperty("quiet", true);
    row->addWidget(m_problem, 1);
    auto* page = new QSpinBox(this);
    page->setObjectName(u"sheetPage"_s);
    page->setAccessibleName(tr("Page of the document"));
    page->setPrefix(tr("page "));
    page->hide();
    connect(page, &QSpinBox::valueChanged, this, [this](int number) {
        try {
            showPage(number - 1);
        } catch (const DataError& error) { // the page that is shown stays
            m_problem->setText(errorText(error));
        }
    });
    row->addWidget(page);
    auto* cancel = new QPushButton(tr("Cancel"), this);
    cancel->setAutoDefault(false);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    row->addWidget(cancel);
    m_take = new QPushButton(tr("Take the curves"), this);
    m_take->setObjectName(u"takeTraced"_s);
    m_take->setProperty("main", true);
    m_take->setAutoDefault(false);
    connect(m_take, &QPushButton::clicked, this, &QDialog::accept);
    row->addWidget(m_take);
    return row;
}

/// What was marked belongs to the page that it was marked on.
void TraceDialog::showPage(int page) {
    const SheetPage read = readSheet(*m_sheet.bytes, m_sheet.name, page);
    m_pixels = pictureOf(read.image);
    m_view->setImage(read.image);
    m_lens->setImage(read.image);
    auto* pages = findChild<QSpinBox*>(u"sheetPage"_s);
    const QSignalBlocker quiet(pages);
    pages->setRange(1, read.pages);
    pages->setSuffix(tr(" of %1").arg(read.pages));
    pages->setVisible(read.pages > 1);
    if (page != m_page) {
        m_before.clear(); // nothing of another page comes back
        for (MarkedPlace& mark : m_trace.marks)
            mark = {};
        for (TracedLine& line : m_trace.lines)
            line.points.clear();
    }
    m_page = page;
    m_now = nextMark(m_trace);
    refresh();
}

void TraceDialog::point(PicturePoint at) {
    remember();
    if (m_now)
        setMark(*m_now, at);
    else
        traceLine(at);
    refresh();
}

void TraceDialog::setMark(SheetMark which, PicturePoint at) {
    m_trace.marks[static_cast<size_t>(which)].at = at;
    m_now = nextMark(m_trace);
    m_axes->askForValue(which);
}

void TraceDialog::traceLine(PicturePoint at) {
    TracedLine& line = m_trace.lines[m_line];
    switch (way()) {
    case TraceWay::Follow:
        if (line.byHand)
            line.points.clear();
        line.byHand = false;
        addStretch(line, followLine(m_pixels, at));
        return;
    case TraceWay::ByHand:
        if (!line.byHand)
            line.points.clear();
        line.byHand = true;
        togglePoint(line, at,
                    kSamePoint_px / std::max(0.01, (m_view->onScreen({1, 0}) - m_view->onScreen({0, 0})).x()));
        return;
    case TraceWay::CutOff:
        cutOff(line, at.x);
        return;
    }
}

/// The next line is most often the torque beside this power, or the other build's.
void TraceDialog::addLine() {
    const std::string power = m_units.power == PowerUnit::Kilowatt     ? "kW"
                              : m_units.power == PowerUnit::Horsepower ? "hp"
                                                                       : "PS";
    const std::string torque = m_units.torque == TorqueUnit::NewtonMetre ? "N.m" : "lbf.ft";
    TracedLine line{m_day.builds.empty() ? "A" : m_day.builds.front().id, power, false, false, {}};
    if (!m_trace.lines.empty()) {
        const TracedLine& last = m_trace.lines.back();
        const bool wasTorque = isTorque({last.unit, {}});
        line.build = last.build;
        line.unit = wasTorque ? power : torque;
        line.onRightAxis = m_trace.rightAxis && !wasTorque;
        if (wasTorque) {
            const QStringList choices = buildChoices(m_day);
            if (const qsizetype next = choices.indexOf(qs(last.build)) + 1; next < choices.size())
                line.build = choices[next].toStdString();
        }
    }
    m_trace.lines.push_back(line);
    m_line = m_trace.lines.size() - 1;
}

void TraceDialog::removeLine() {
    remember();
    m_trace.lines.erase(m_trace.lines.begin() + static_cast<std::ptrdiff_t>(m_line));
    m_line = m_line > 0 ? m_line - 1 : 0;
    refresh();
}

void TraceDialog::setRightAxis(bool on) {
    remember();
    m_trace.rightAxis = on;
    for (TracedLine& line : m_trace.lines)
        line.onRightAxis = line.onRightAxis && on;
    m_now = nextMark(m_trace);
    refresh();
}

/// Work of minutes does not go with one key.
void TraceDialog::reject() {
    const bool traced = std::any_of(m_trace.lines.begin(), m_trace.lines.end(),
                                    [](const TracedLine& line) { return !line.points.empty(); });
    if (!traced || m_leaving)
        return QDialog::reject();
    m_leaving = true;
    m_title->setText(tr("What was traced would be lost. Cancel once more to leave it."));
}

void TraceDialog::undo() {
    if (m_before.empty())
        return;
    m_trace = m_before.back();
    m_before.pop_back();
    m_line = std::min(m_line, m_trace.lines.size() - 1);
    m_now = nextMark(m_trace);
    refresh();
}

void TraceDialog::refresh() {
    m_axes->show(m_trace, m_now);
    m_lines->show(m_trace, m_line);
    m_removeLine->setEnabled(m_trace.lines.size() > 1);
    showNextStep();
    refreshPicture();
}

void TraceDialog::refreshPicture() {
    std::vector<TraceMark> marks;
    m_shownMarks.clear();
    for (size_t i = 0; i < kSheetMarks; ++i) {
        const MarkedPlace& mark = m_trace.marks[i];
        if (!mark.at || (!m_trace.rightAxis && isOfRightAxis(static_cast<SheetMark>(i))))
            continue;
        m_shownMarks.push_back(i);
        marks.push_back({static_cast<TraceAxis>(i / 2), *mark.at, mark.value ? markText(*mark.value) : u"?"_s,
                         m_now && static_cast<size_t>(*m_now) == i});
    }
    std::vector<TraceLine> lines;
    for (size_t i = 0; i < m_trace.lines.size(); ++i) {
        TraceLine line{{}, i == m_line, m_trace.lines[i].byHand};
        for (const LinePoint& point : m_trace.lines[i].points)
            line.points.push_back(point.at);
        lines.push_back(std::move(line));
    }
    m_view->setPlacing(m_now.has_value());
    m_view->setOverlay(std::move(marks), std::move(lines));
    const QString wrong = traceProblem(m_trace);
    const QString doubt = wrong.isEmpty() ? traceDoubts(m_trace) : QString();
    m_doubt->setText(doubt);
    m_doubt->setVisible(!doubt.isEmpty());
    m_allTheSame->setVisible(!doubt.isEmpty());
    m_problem->setText(wrong);
    m_take->setEnabled(wrong.isEmpty() && (doubt.isEmpty() || m_allTheSame->isChecked()));
}

void TraceDialog::showNextStep() {
    m_leaving = false;
    m_title->setText(nextStep(m_trace, m_now, m_line, way()));
}

void TraceDialog::readOut(PicturePoint at) {
    m_lens->showPlace(at);
    QStringList words;
    for (const bool right : {false, true}) {
        const auto axes = right && !m_trace.rightAxis ? std::nullopt : axesOf(m_trace, right);
        if (!axes || axes->problem() != AxesProblem::None)
            continue;
        const SheetPoint here = axes->at(at);
        if (words.isEmpty())
            words << tr("%1 rpm").arg(numberText(here.rpm, 0));
        words << (right ? tr("right %1") : tr("left %1")).arg(numberText(here.value, 1));
    }
    m_readout->setText(words.join(u" \u00B7 "_s));
}

std::vector<NewCurve> TraceDialog::curves() const {
    std::vector<NewCurve> out;
    for (TracedBuild& one : tracedBuilds(m_trace)) {
        NewCurve curve;
        curve.build = one.build;
        m_given->putInto(curve.given);
        curve.measuredAt = m_given->measuredAt();
        curve.given.reading_pct = usualReading_pct(one.table);
        curve.table = std::move(one.table);
        curve.grade = PullGrade::Traced;
        curve.note = "traced from " + m_sheet.name + (m_page > 0 ? ", page " + std::to_string(m_page + 1) : "") +
                     (m_allTheSame->isChecked() && m_allTheSame->isVisibleTo(this)
                          ? "; power and torque on it do not belong together"
                          : "");
        out.push_back(std::move(curve));
    }
    return out;
}

} // namespace hillrun
