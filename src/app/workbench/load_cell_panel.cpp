// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/load_cell_panel.h"

#include "app/frame/answer_head.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QScrollArea>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr size_t kFirstRows = 9;
constexpr size_t kMostRows = 40;

/// The highest torque of the day's pulls, as the load cell was loaded: uncorrected would be nearer, but this is within
/// a few per cent of it.
std::optional<double> highestTorque(const DayDocument& document) {
    std::optional<double> out;
    if (const auto analysis = document.analysis())
        for (const BuildResult& build : analysis->builds)
            for (const double torque_nm : build.torque_nm)
                if (std::isfinite(torque_nm) && torque_nm > out.value_or(0.0))
                    out = torque_nm;
    return out;
}

BoardSeries dots(const std::vector<CheckedLoad>& loads, size_t from, size_t to, const QPen& pen, const QString& label) {
    BoardSeries out;
    for (size_t i = from; i < to; ++i) {
        out.x.push_back(loads[i].torque_nm);
        out.y.push_back(loads[i].offLine_nm);
    }
    out.pen = pen;
    out.dots = 8.0;
    out.label = label;
    return out;
}

QString newtonMetres(double value, int digits) { return numberText(value, digits) + u"\u00A0N\u00B7m"_s; }

} // namespace

BoardContent loadCellBoard(const LoadCellResult& result, const Theme& theme) {
    BoardContent out;
    out.title = QObject::tr("Shown off the straight line over what was hung, N\u00B7m");
    out.xTitle = u"N\u00B7m"_s;
    out.zeroLine = true;
    out.symmetric = true;
    out.leastSpan = 0.004 * result.highest_nm;
    size_t heaviest = 0;
    for (size_t i = 0; i < result.loads.size(); ++i)
        if (result.loads[i].torque_nm > result.loads[heaviest].torque_nm)
            heaviest = i;
    out.xRange = RpmRange{-0.04 * result.highest_nm, 1.08 * result.highest_nm};
    out.series.push_back(dots(result.loads, 0, heaviest + 1, QPen(theme.mark, 2.0), QObject::tr("up")));
    if (heaviest + 1 < result.loads.size())
        out.series.push_back(
            dots(result.loads, heaviest + 1, result.loads.size(), QPen(theme.quietInk, 2.0), QObject::tr("down")));
    return out;
}

QStringList loadCellFigures(const LoadCellResult& r) {
    QStringList out;
    const QString within = std::isfinite(r.zeroHalf_nm) ? u" \u00B1 "_s + numberText(r.zeroHalf_nm, 2) : QString();
    out << QObject::tr("zero: %1%2\u00A0N\u00B7m").arg(numberText(r.zero_nm, 2), within);
    if (r.zeroDrift_nm)
        out << QObject::tr("zero came back within %1").arg(newtonMetres(*r.zeroDrift_nm, 2));
    out << QObject::tr("off the straight line: at most %1\u00A0% of the highest").arg(numberText(r.linearity_pct, 2));
    if (r.hysteresis_pct)
        out << QObject::tr("coming down against going up: %1\u00A0%").arg(numberText(*r.hysteresis_pct, 2));
    return out;
}

LoadCellPanel::LoadCellPanel(DayDocument& document, Look& look, QWidget* parent)
    : QWidget(parent), m_document(document), m_look(look) {
    setObjectName(u"loadCellPanel"_s);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    row->addWidget(makeEntry());
    m_right = new QVBoxLayout;
    m_right->setSpacing(px(8));
    m_right->addWidget(makeAnswer(), 1);
    row->addLayout(m_right, 1);
    connect(&m_document, &DayDocument::dayChanged, this, &LoadCellPanel::takeDay);
    connect(&m_document, &DayDocument::analysisReady, this, &LoadCellPanel::refresh);
    connect(&m_look, &Look::changed, this, &LoadCellPanel::refresh);
    takeDay();
    refresh();
}

void LoadCellPanel::addBelow(QWidget* part) { m_right->addWidget(part); }

QWidget* LoadCellPanel::makeEntry() {
    auto* scroll = new QScrollArea(this);
    scroll->setObjectName(u"loadCellEntry"_s);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFixedWidth(px(330));
    auto* side = new QWidget(scroll);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, px(8), 0); // clear of the scroll bar
    const Panel panel = makePanel(tr("Masses on the arm"), side);
    auto* fields = new QGridLayout;
    fields->setHorizontalSpacing(px(8));
    fields->setVerticalSpacing(px(4));
    const auto field = [&](const QString& name, const QString& label, double low, double high, int decimals,
                           const QString& unit, const QString& tip, int at) {
        auto* out = new NumberField(name, label, low, high, decimals, unit, panel.frame);
        out->setToolTip(tip);
        fields->addWidget(labelled(label, out, panel.frame), at / 2, at % 2);
        connect(out, &NumberField::edited, this, &LoadCellPanel::refresh);
        return out;
    };
    m_arm = field(u"checkArm"_s, tr("arm"), 1, 10000, 1, u"mm"_s,
                  tr("From the middle of the shaft to where the mass hangs, level"), 0);
    m_armWithin = field(u"checkArmWithin"_s, tr("arm known within"), 0, 100, 2, u"mm"_s, tr("95\u00A0%"), 1);
    m_massWithin = field(u"checkMassWithin"_s, tr("masses known within"), 0, 10, 3, u"%"_s,
                         tr("95\u00A0%, of all masses alike"), 2);
    m_gravity =
        field(u"checkGravity"_s, tr("gravity"), 9.7, 9.9, 4, u"m/s\u00B2"_s, tr("Of the place; left open: 9.80665"), 3);
    panel.column->addLayout(fields);
    auto* words = quietLabel(u"loadCellHow"_s, panel.frame);
    words->setText(tr("As they are hung and taken off: begin and end with nothing on the arm (0). "
                      "Nobody under the load; your cell's own rules go first."));
    panel.column->addWidget(words);
    m_grid = new QGridLayout;
    m_grid->setHorizontalSpacing(px(8));
    m_grid->setVerticalSpacing(px(3));
    m_grid->addWidget(new PlainLabel(tr("hung"), panel.frame), 0, 0);
    m_grid->addWidget(new PlainLabel(tr("shown"), panel.frame), 0, 1);
    panel.column->addLayout(m_grid);
    while (m_rows.size() < kFirstRows)
        addRow();
    column->addWidget(panel.frame);
    column->addStretch(1);
    scroll->setWidget(side);
    return scroll;
}

void LoadCellPanel::addRow() {
    const auto number = m_rows.size() + 1;
    QWidget* const parent = m_grid->parentWidget();
    Row row{new NumberField(u"hungMass%1"_s.arg(number), tr("Mass %1").arg(number), 0, 10000, 3, u"kg"_s, parent),
            new NumberField(u"hungRead%1"_s.arg(number), tr("Torque shown with mass %1").arg(number), -100000, 100000,
                            2, u"N\u00B7m"_s, parent)};
    const int line = static_cast<int>(number);
    m_grid->addWidget(row.mass, line, 0);
    m_grid->addWidget(row.read, line, 1);
    for (NumberField* field : {row.mass, row.read})
        connect(field, &NumberField::edited, this, &LoadCellPanel::refresh);
    m_rows.push_back(row);
}

QWidget* LoadCellPanel::makeAnswer() {
    const Panel panel = makePanel(tr("What the load cell makes of them"), this);
    m_answer = selectableLabel(u"loadCellAnswer"_s, panel.frame);
    m_answer->setProperty("answer", true);
    panel.column->addWidget(m_answer);
    m_means = quietLabel(u"loadCellMeans"_s, panel.frame);
    panel.column->addWidget(m_means);
    m_board = new Board(m_look, u"loadCellBoard"_s, panel.frame);
    connect(m_board, &Board::cursorMoved, this,
            [this](double torque_nm) { m_board->setCursor(torque_nm, newtonMetres(torque_nm, 1)); });
    panel.column->addWidget(m_board, 1);
    m_figures = selectableLabel(u"loadCellFigures"_s, panel.frame);
    auto* below = new QHBoxLayout;
    below->addWidget(m_figures, 1);
    panel.column->addLayout(below);
    m_kept = new KeepRow(u"LoadCell"_s, panel.frame);
    below->addWidget(m_kept, 0, Qt::AlignBottom);
    connect(m_kept, &KeepRow::changed, this, &LoadCellPanel::refresh);
    connect(m_kept, &KeepRow::keep, this, &LoadCellPanel::keep);
    connect(m_kept, &KeepRow::clear, this, &LoadCellPanel::clear);
    return panel.frame;
}

/// The check that the day keeps, when it is another than the one shown last. What is being typed stays, also when
/// keeping it is undone.
void LoadCellPanel::takeDay() {
    const std::optional<LoadCellCheck>& kept = m_document.day().cell.loadCellCheck;
    const bool anotherDay = m_document.path() != m_shownDay;
    m_shownDay = m_document.path();
    if (kept == m_ofDay || (!kept && !anotherDay)) {
        m_ofDay = kept;
        return refresh();
    }
    m_ofDay = kept;
    const LoadCellCheck shown = kept.value_or(LoadCellCheck{});
    m_arm->show(kept ? std::optional(1000.0 * shown.arm_m) : std::nullopt);
    m_armWithin->show(shown.armWithin_mm);
    m_massWithin->show(shown.massWithin_pct);
    m_gravity->show(shown.gravity_ms2);
    m_kept->show(shown.date);
    while (m_rows.size() < std::min(kMostRows, shown.hung.size() + 1))
        addRow();
    for (size_t i = 0; i < m_rows.size(); ++i) {
        const bool known = i < shown.hung.size();
        m_rows[i].mass->show(known ? std::optional(shown.hung[i].mass_kg) : std::nullopt);
        m_rows[i].read->show(known ? std::optional(shown.hung[i].read_nm) : std::nullopt);
    }
    refresh();
}

LoadCellCheck LoadCellPanel::check() const {
    LoadCellCheck out;
    out.date = m_kept->date().value_or(std::string());
    out.arm_m = m_arm->number().value_or(0.0) / 1000.0;
    out.armWithin_mm = m_armWithin->number();
    out.massWithin_pct = m_massWithin->number();
    out.gravity_ms2 = m_gravity->number();
    for (const Row& row : m_rows)
        if (row.mass->number() && row.read->number())
            out.hung.push_back({*row.mass->number(), *row.read->number()});
    if (m_ofDay)
        out.unknownKeys = m_ofDay->unknownKeys;
    return out;
}

void LoadCellPanel::refresh() {
    if (m_rows.size() < kMostRows && m_rows.back().read->number())
        addRow();
    const LoadCellCheck made = check();
    const auto result = loadCellResult(made);
    m_kept->mayKeep(result && m_document.day().cell.loadCellCheck != made && m_document.isOpen() &&
                    m_document.mayEdit());
    m_board->setVisible(result.has_value());
    m_figures->setVisible(result.has_value());
    m_means->setVisible(result.has_value());
    if (!result) {
        m_answer->setText(tr("Type the arm and at least two masses with what the dyno shows."));
        return;
    }
    std::vector<Statement> summary = loadCellSummary(*result, highestTorque(m_document));
    m_answer->setText(qs(summary.front()));
    summary.erase(summary.begin());
    m_means->setText(qs(summary));
    m_board->setContent(loadCellBoard(*result, m_look.theme()));
    m_figures->setText(loadCellFigures(*result).join(u'\n'));
}

void LoadCellPanel::keep() {
    if (!numbersReadable(*this))
        return;
    const LoadCellCheck made = check();
    m_kept->show(made.date);
    m_ofDay = made; // what stands here is what the day keeps
    m_document.edit(tr("Keep the check of the load cell"), [&](TestDay& day) { day.cell.loadCellCheck = made; });
}

void LoadCellPanel::clear() {
    const bool kept = m_ofDay.has_value();
    m_ofDay.reset();
    for (NumberField* field : {m_arm, m_armWithin, m_massWithin, m_gravity})
        field->show(std::nullopt);
    for (const Row& row : m_rows) {
        row.mass->show(std::nullopt);
        row.read->show(std::nullopt);
    }
    m_kept->show({});
    if (kept && m_document.mayEdit())
        m_document.edit(tr("Take the check of the load cell away"),
                        [](TestDay& day) { day.cell.loadCellCheck.reset(); });
    refresh();
}

} // namespace hillrun
