// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/road/road_page.h"

#include "app/board/board_svg.h"
#include "app/look/copied_table.h"
#include "app/look/fields.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/road/road_content.h"
#include "app/road/vehicle_panel.h"
#include "core/errors/data_error.h"
#include "core/plan/named_use.h"
#include "formats/course_file.h"

#include <cmath>
#include <QClipboard>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QScrollArea>
#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

const char* const kFirstCourse = "larkfell-hill";
constexpr QLatin1StringView kHeld("held"); ///< its place among the courses

/// As the day says it already, else the middle of its curves.
HeldSpeed firstHeld(const TestDay& day, const DayAnalysis* analysis) {
    if (day.plan.course && day.plan.course->held)
        return *day.plan.course->held;
    if (const auto* use = std::get_if<HeldSpeed>(&day.plan.use))
        return *use;
    HeldSpeed out;
    out.rpm = analysis ? std::round((analysis->common_rpm.low + analysis->common_rpm.high) / 100.0) * 50.0 : 5000.0;
    return out;
}

} // namespace

RoadPage::RoadPage(const Workplace& at, QWidget* parent)
    : PageView(parent), m_document(at.document), m_selection(at.selection), m_look(at.look), m_actions(at.actions),
      m_dialogs(at.dialogs) {
    setObjectName(u"roadPage"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(12), px(16), px(12));
    column->setSpacing(px(8));
    m_head = new AnswerHead(u"roadAnswer"_s, u"roadCaution"_s, this);
    column->addWidget(m_head);
    auto* row = new QHBoxLayout;
    row->setSpacing(px(8));
    row->addWidget(makeLeft());
    row->addWidget(makeRight(), 1);
    column->addLayout(row, 1);
    const auto whenSeen = [this] {
        if (isVisible())
            refresh();
    };
    connect(&m_document, &DayDocument::analysisReady, this, whenSeen);
    connect(&m_document, &DayDocument::dayChanged, this, whenSeen);
    connect(&m_selection, &Selection::pairChanged, this, whenSeen);
    connect(&m_look, &Look::changed, this, whenSeen);
}

QWidget* RoadPage::makeLeft() {
    auto* scroll = new QScrollArea(this);
    scroll->setObjectName(u"roadSide"_s);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFixedWidth(px(316));
    auto* left = new QWidget(scroll);
    auto* column = new QVBoxLayout(left);
    column->setContentsMargins(0, 0, px(8), 0); // clear of the scroll bar
    column->setSpacing(px(8));
    const Panel panel = makePanel(tr("Course"), left);
    m_courses = new QComboBox(panel.frame);
    m_courses->setObjectName(u"courseChoice"_s);
    m_courses->setAccessibleName(tr("Course"));
    m_courses->setSizeAdjustPolicy(
        QComboBox::AdjustToMinimumContentsLengthWithIcon); // long names are cut, not the side
    m_courses->setMinimumContentsLength(12);
    for (const std::string& name : builtInCourses())
        m_courses->addItem(phrase("course." + name), qs(name));
    m_courses->addItem(tr("One speed held (boat, aircraft)"), QString(kHeld));
    panel.column->addWidget(m_courses);
    panel.column->addWidget(makeHeld(panel.frame));
    auto* buttons = new QHBoxLayout;
    for (const char* id : {"road.file", "road.as_use"}) {
        auto* button = new QToolButton(panel.frame);
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setDefaultAction(m_actions.get(id));
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        buttons->addWidget(button);
    }
    buttons->addStretch(1);
    panel.column->addLayout(buttons);
    column->addWidget(panel.frame);
    m_vehicle = new VehiclePanel(m_document, left);
    column->addWidget(m_vehicle);
    m_timed = new TimedRunPanel(left);
    column->addWidget(m_timed);
    m_taken = quietLabel(u"roadTaken"_s, left);
    column->addWidget(m_taken);
    column->addStretch(1);
    scroll->setWidget(left);
    connect(m_courses, &QComboBox::activated, this,
            [this](int row) { takeCourse(m_courses->itemData(row).toString()); });
    connect(m_timed, &TimedRunPanel::wanted, this, &RoadPage::fit);
    return scroll;
}

QWidget* RoadPage::makeHeld(QWidget* parent) {
    m_heldRow = new QWidget(parent);
    auto* row = new QHBoxLayout(m_heldRow);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    m_heldRpm = new NumberField(u"heldRpm"_s, tr("The speed that is held"), 1, 30000, 0, u"rpm"_s, m_heldRow);
    m_heldHalf =
        new NumberField(u"heldHalf"_s, tr("By how much it goes up and down"), 1, 10000, 0, u"rpm"_s, m_heldRow);
    row->addWidget(m_heldRpm);
    row->addWidget(new PlainLabel(u"\u00B1"_s, m_heldRow));
    row->addWidget(m_heldHalf);
    for (NumberField* field : {m_heldRpm, m_heldHalf})
        connect(field, &NumberField::edited, this, &RoadPage::takeHeld);
    return m_heldRow;
}

QWidget* RoadPage::makeRight() {
    m_boards = new QFrame(this);
    m_boards->setProperty("panel", true);
    auto* column = new QVBoxLayout(m_boards);
    column->setContentsMargins(1, px(4), 1, px(6));
    column->setSpacing(0);
    m_speed = new Board(m_look, u"roadSpeed"_s, m_boards);
    m_lead = new Board(m_look, u"roadLead"_s, m_boards);
    column->addWidget(m_speed, 3);
    column->addWidget(m_lead, 2);
    auto* table = new QHBoxLayout;
    table->setContentsMargins(px(12), px(6), px(12), 0);
    table->setSpacing(px(24));
    for (size_t i = 0; i < m_columns.size(); ++i) {
        m_columns[i] = selectableLabel(u"roadColumn%1"_s.arg(i), m_boards);
        m_columns[i]->setWordWrap(false);
        m_columns[i]->setAlignment((i == 0 ? Qt::AlignLeft : Qt::AlignRight) | Qt::AlignTop);
        table->addWidget(m_columns[i], 0, Qt::AlignTop);
    }
    m_shifts = selectableLabel(u"roadShifts"_s, m_boards);
    m_shifts->setProperty("quiet", true);
    m_shifts->setMinimumWidth(px(170));
    table->addWidget(m_shifts, 1, Qt::AlignTop);
    column->addLayout(table);
    for (Board* board : {m_speed, m_lead})
        connect(board, &Board::cursorMoved, this, &RoadPage::refreshCursor);
    return m_boards;
}

void RoadPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    refresh();
}

void RoadPage::drive(const Course& course) {
    m_document.edit(course.held ? tr("Hold %1").arg(qs(courseName(course)))
                                : tr("Drive on %1").arg(qs(courseName(course))),
                    [&](TestDay& day) { day.plan.course = course; });
}

void RoadPage::takeHeld() {
    if (!m_heldRpm->number() || !m_heldHalf->number() || !(*m_heldRpm->number() > *m_heldHalf->number()))
        return refresh();
    drive({.name = kHeld.data(), .held = HeldSpeed{*m_heldRpm->number(), *m_heldHalf->number()}});
}

void RoadPage::takeCourse(const QString& nameOrFile) {
    m_timed->say({}); // it was said of another course
    try {
        if (nameOrFile == kHeld)
            drive({.name = kHeld.data(), .held = firstHeld(m_document.day(), m_document.analysis().get())});
        else if (const auto& kept = m_document.day().plan.course;
                 !kept || kept->name != nameOrFile.toStdString()) // the day's own is no file
            drive(courseNamed(nameOrFile.toStdString()));
    } catch (const DataError& error) {
        m_dialogs.showError(m_actions.window(), tr("This course could not be read"), errorText(error));
    }
    refresh();
}

void RoadPage::chooseFile() {
    if (const auto file = m_dialogs.askFile(this, tr("Course out of a file"), tr("Courses (*.csv *.gpx *.GPX)")))
        takeCourse(*file);
}

void RoadPage::fit(FittedNumber what, const TimedRun& timed) {
    const auto analysis = m_document.analysis();
    const auto engine = analysis ? courseCurve(m_road, *analysis, from()) : std::nullopt;
    if (!engine) {
        m_timed->say(qs(m_road.whyNothing()));
        return;
    }
    const RunFit found = fitToRun(m_road, *engine, what, timed);
    m_timed->say(qs(found.said));
    if (!found.value)
        return;
    const bool drag = what == FittedNumber::DragArea;
    const double places = drag ? 1000.0 : 1.0;
    const double value = std::round(*found.value * places) / places;
    m_document.edit(drag ? tr("Fit the drag area to a timed run") : tr("Fit the launch to a timed run"),
                    [&](TestDay& day) {
                        Vehicle& vehicle = day.article.vehicle;
                        if (drag)
                            vehicle.dragArea_m2 = value;
                        else
                            (vehicle.converterStall_rpm ? vehicle.converterStall_rpm : vehicle.launch_rpm) = value;
                    });
}

void RoadPage::takeAsUse() {
    const SpeedWeights weights = m_held ? SpeedWeights{} : useOnCourse(m_road, from());
    if (m_held)
        m_document.edit(tr("Take the speed held as the use"),
                        [&](TestDay& day) { nameUse(day, WantedUse(m_held->speed)); });
    else if (!weights.empty())
        m_document.edit(tr("Take the course as the use"), [&](TestDay& day) { nameUse(day, WantedUse(weights)); });
}

const RoadDifference* RoadPage::shown() const {
    const RoadDifference* looked = m_road.find(m_selection.from(), m_selection.to());
    return looked || m_road.differences.empty() ? looked : &m_road.differences.front();
}

const HeldDifference* RoadPage::shownHeld() const {
    if (!m_held)
        return nullptr;
    const HeldDifference* looked = m_held->find(m_selection.from(), m_selection.to());
    return looked || m_held->differences.empty() ? looked : &m_held->differences.front();
}

bool RoadPage::canCopy() const {
    return m_held ? !m_held->builds.empty() : m_road.whyNot.empty() && !m_road.builds.empty();
}

std::string RoadPage::from() const { return shown() ? shown()->from : m_selection.from(); }

void RoadPage::refresh() {
    const Course course = courseOfDay(m_document.day()).value_or(*builtInCourse(kFirstCourse));
    const auto analysis = m_document.analysis();
    m_held.reset();
    m_road = {};
    if (analysis && course.held)
        m_held = heldAnswer(m_document.day(), *analysis, course);
    else if (analysis)
        m_road = dayRoad(m_document.day(), *analysis, course);
    m_road.course.name = course.name;
    m_heldRow->setVisible(course.held.has_value());
    m_vehicle->setVisible(!course.held);
    m_timed->setVisible(!course.held);
    if (course.held) {
        m_heldRpm->show(course.held->rpm);
        m_heldHalf->show(course.held->halfWidth_rpm);
    }
    m_taken->setText(qs(m_road.taken));
    refreshCourses();
    refreshBoards();
    refreshAnswer();
}

/// The built-in ones, one speed held, and the day's own.
void RoadPage::refreshCourses() {
    const int builtIn = static_cast<int>(builtInCourses().size()) + 1;
    while (m_courses->count() > builtIn)
        m_courses->removeItem(builtIn);
    const QString name = qs(m_road.course.name);
    if (m_courses->findData(name) < 0)
        m_courses->addItem(name, name);
    m_courses->setCurrentIndex(m_courses->findData(name));
}

void RoadPage::refreshBoards() {
    m_lead->setVisible(!m_held);
    if (m_held)
        return refreshHeldBoards();
    const std::string first = from();
    const std::string second = shown() ? shown()->to : m_selection.to();
    const bool any = m_road.build(first) || m_road.build(second);
    m_boards->setVisible(any);
    if (!any)
        return;
    m_speed->setContent(speedBoard(m_document.day(), m_road, first, second, m_look.theme()));
    m_lead->setContent(leadBoard(*m_document.analysis(), m_road, first, second, m_look.theme()));
    showRows(roadRows(m_road, first, second));
    m_shifts->setText(shiftLines(m_road, first, second).join(u'\n'));
}

void RoadPage::refreshHeldBoards() {
    const HeldDifference* pair = shownHeld();
    const std::string first = pair ? pair->from : m_selection.from();
    const std::string second = pair ? pair->to : m_selection.to();
    const auto analysis = m_document.analysis();
    m_boards->setVisible(m_held->whyNot.empty());
    m_speed->setContent(heldBoard(m_document.day(), *analysis, *m_held, first, second, m_look.theme()));
    showRows(heldRows(*m_held, first, second));
    m_shifts->clear();
}

void RoadPage::showRows(const std::vector<RoadRow>& rows) {
    std::array<QStringList, 3> columns;
    for (const RoadRow& row : rows) {
        columns[0] << row.what;
        columns[1] << row.first;
        columns[2] << row.second;
    }
    for (size_t i = 0; i < columns.size(); ++i)
        m_columns[i]->setText(columns[i].join(u'\n'));
}

QString RoadPage::answerWords() const {
    if (!m_document.isOpen())
        return tr("No day is open.");
    if (!m_document.analysis())
        return tr("Working the day out \u2026");
    if (const HeldDifference* difference = shownHeld())
        return qs(heldSummary(*m_held, *difference));
    if (m_held)
        return m_held->whyNot.empty() ? tr("One build is held; two are compared.")
                                      : tr("Nothing can be told yet: %1.").arg(qs(m_held->whyNot));
    if (!m_road.whyNot.empty())
        return tr("Nothing can be driven yet: %1.").arg(qs(m_road.whyNot));
    if (const RoadDifference* difference = shown())
        return unbroken(qs(roadSummary(m_road, *difference)));
    if (!m_road.whyNothing().empty())
        return qs(m_road.whyNothing());
    return tr("One build is driven; two are compared.");
}

void RoadPage::refreshAnswer() {
    const Theme& t = m_look.theme();
    const RoadDifference* road = m_held ? nullptr : shown();
    const HeldDifference* held = shownHeld();
    const bool proven = (road && road->proven()) || (held && held->proven());
    const bool better = road ? road->delta_s < 0.0 : held && held->delta_w > 0.0;
    m_head->setMark(!proven ? t.unresolved : better ? t.gain : t.loss);
    m_head->caution->setText(road ? phrase("road.model") : QString());
    m_head->answer->setText(answerWords());
}

void RoadPage::refreshCursor(double distance_m) {
    if (m_held)
        return m_speed->setCursor(distance_m, qs(rpmText(std::round(distance_m / 10.0) * 10.0)) + u"\u00A0rpm"_s);
    const RoadDifference* pair = shown();
    m_speed->setCursor(distance_m, pair ? roadCursor(m_road, pair->from, pair->to, distance_m) : QString());
    m_lead->setCursor(distance_m, {});
}

void RoadPage::copyTable() const {
    CopiedTable out{m_head->answer->text(), {}, {}};
    std::vector<RoadRow> rows;
    if (const HeldDifference* held = shownHeld())
        rows = heldRows(*m_held, held->from, held->to);
    else if (const RoadDifference* pair = shown())
        rows = roadRows(m_road, pair->from, pair->to);
    for (const RoadRow& row : rows) {
        const QStringList cells{row.what, row.first, row.second};
        if (out.head.isEmpty())
            out.head = cells;
        else
            out.rows << cells;
    }
    QGuiApplication::clipboard()->setMimeData(asMime(out).release());
}

void RoadPage::copyPicture() const {
    auto mime = std::make_unique<QMimeData>();
    mime->setImageData(m_boards->grab().toImage());
    mime->setData(u"image/svg+xml"_s, m_held ? boardsAsSvg({m_speed}) : boardsAsSvg({m_speed, m_lead}));
    QGuiApplication::clipboard()->setMimeData(mime.release());
}

PageSpec roadSpec() {
    const auto declare = [](const Workplace& at) {
        const auto page = [at]() -> RoadPage& { return pageOf<RoadPage>(at.host, "road"); };
        at.actions.add(
            {.id = "road.file",
             .text = RoadPage::tr("From a file \u2026"),
             .tip = RoadPage::tr("A table of length, gradient and corner speeds, or a track with heights (GPX)"),
             .scope = {"road"}},
            &at.actions, [page] { page().chooseFile(); });
        at.actions.add({.id = "road.as_use",
                        .text = RoadPage::tr("As use"),
                        .tip = RoadPage::tr("The time that the engine spends at each speed becomes what the builds are "
                                            "wanted for"),
                        .scope = {"road"},
                        .edits = true,
                        .rule = [](const WindowState& s) { return s.analysed; }},
                       &at.actions, [page] { page().takeAsUse(); });
    };
    const auto make = [](const Workplace& at, QWidget* parent) -> PageView* { return new RoadPage(at, parent); };
    return {.id = "road",
            .title = RoadPage::tr("Road"),
            .tip = RoadPage::tr("What a curve is worth where it is driven"),
            .keys = {u"Ctrl+6"_s, u"Alt+O"_s},
            .make = make,
            .declare = declare};
}

} // namespace hillrun
