// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/pull_page.h"

#include "app/look/accessible.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/look/wrap_layout.h"
#include "core/channels/channels.h"
#include "core/plan/cautions.h"
#include "core/plan/usual_limits.h"
#include "core/weather/altitude.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {

PullPage::PullPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, CellService& cell,
                   PullFlow& flow, QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_look(look), m_cell(cell), m_flow(flow) {
    setObjectName(u"pullPage"_s);
    auto* whole = new QHBoxLayout(this);
    whole->setContentsMargins(px(16), px(12), px(16), px(12));
    whole->setSpacing(px(8));
    whole->addWidget(makeLeft(actions));
    whole->addWidget(makeMiddle(), 1);
    whole->addWidget(makeRight(actions));
    connect(&m_cell, &CellService::changed, this, &PullPage::refresh);
    connect(&m_cell, &CellService::linksSet, this, &PullPage::refresh);
    connect(&m_flow, &PullFlow::changed, this, &PullPage::refreshPlan);
    connect(&m_selection, &Selection::viewChanged, this, &PullPage::refreshPlan);
    connect(&m_look, &Look::changed, this, &PullPage::refreshPlan);
    refreshPlan();
    refresh();
}

QToolButton* PullPage::largeButton(ActionRegistry& actions, const char* id, QWidget* parent) {
    auto* out = new QToolButton(parent);
    out->setDefaultAction(actions.get(id));
    out->setObjectName(QLatin1StringView(id) + u"_large"_s);
    out->setAccessibleName(actions.get(id)->text());
    out->setToolButtonStyle(Qt::ToolButtonTextOnly);
    out->setProperty("large", true);
    out->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    out->setMinimumHeight(px(52));
    return out;
}

QWidget* PullPage::makeLeft(ActionRegistry& actions) {
    const Panel panel = makePanel(tr("Gates"), this);
    panel.frame->setMaximumWidth(px(268));
    m_verdict = largeLabel(u"gateVerdict"_s, 22, panel.frame);
    m_verdict->setWordWrap(true);
    m_verdict->setMinimumHeight(px(56));
    m_verdict->setAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    m_gates = new GateList(m_look, panel.frame);
    panel.column->addWidget(m_verdict);
    panel.column->addWidget(m_gates);
    panel.column->addStretch(1);
    panel.column->addWidget(makeWeather());
    m_links = quietLabel(u"linksText"_s, panel.frame);
    m_links->setProperty("small", true);
    m_links->setTextFormat(Qt::RichText);
    panel.column->addWidget(m_links);
    m_watched = quietLabel(u"watchedText"_s, panel.frame);
    m_watched->setProperty("small", true);
    panel.column->addWidget(m_watched);
    auto* buttons = new WrapLayout;
    for (const auto& [id, name] : {std::pair{"pull.links", u"linksButton"_s}, {"pull.limits", u"limitsButton"_s}}) {
        auto* button = new QToolButton(panel.frame);
        button->setDefaultAction(actions.get(id));
        button->setObjectName(name);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        buttons->addWidget(button);
    }
    panel.column->addLayout(buttons);
    return panel.frame;
}

QWidget* PullPage::makeWeather() {
    auto* out = new QWidget(this);
    auto* column = new QVBoxLayout(out);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(4));
    m_temperature =
        new NumberField(u"weatherTemperature"_s, tr("Air temperature at the intake"), -40, 60, 1, u"°C"_s, out);
    m_pressure = new NumberField(u"weatherPressure"_s, tr("Station pressure, not the sea-level figure"), 60, 110, 2,
                                 u"kPa"_s, out);
    m_humidity = new NumberField(u"weatherHumidity"_s, tr("Relative humidity"), 0, 100, 0, u"%"_s, out);
    auto* row = new QHBoxLayout;
    row->setSpacing(px(4));
    row->addWidget(labelled(tr("air"), m_temperature, out), 3);
    row->addWidget(labelled(tr("pressure"), m_pressure, out), 4);
    row->addWidget(labelled(tr("humidity"), m_humidity, out), 3);
    column->addLayout(row);
    m_weatherByHand = new QCheckBox(tr("typed counts, not the station"), out);
    m_weatherByHand->setObjectName(u"weatherByHand"_s);
    m_weatherByHand->setToolTip(tr("When the station is wrong or stands in the wrong place"));
    connect(m_weatherByHand, &QCheckBox::toggled, this, [this](bool on) {
        m_flow.setWeatherByHand(on);
        if (on)
            typeWeather(); // what stands in the fields is where the hand begins
    });
    column->addWidget(m_weatherByHand);
    m_weatherFrom = quietLabel(u"weatherFrom"_s, out);
    m_weatherFrom->setProperty("small", true);
    column->addWidget(m_weatherFrom);
    for (NumberField* field : {m_temperature, m_pressure, m_humidity}) {
        field->setMinimumWidth(px(56));
        connect(field, &NumberField::edited, this, &PullPage::typeWeather);
    }
    return out;
}

QWidget* PullPage::makeMiddle() {
    auto* frame = new QFrame(this);
    frame->setProperty("panel", true);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(px(12), px(6), px(12), px(6));
    column->setSpacing(2);
    auto* numbers = new WrapLayout(true);
    auto* live = new QWidget(frame);
    auto* liveRow = new QHBoxLayout(live);
    liveRow->setContentsMargins(0, 0, 0, 0);
    m_speed = largeLabel(u"liveSpeed"_s, 44, frame);
    m_value = largeLabel(u"liveValue"_s, 44, frame);
    m_valueUnit = new PlainLabel(frame);
    m_valueUnit->setProperty("quiet", true);
    auto* rpm = new PlainLabel(tr("rpm"), frame);
    rpm->setProperty("quiet", true);
    m_state = largeLabel(u"recorderState"_s, 22, frame);
    m_state->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    m_speed->setMinimumWidth(px(132));
    m_value->setMinimumWidth(px(112));
    m_speed->setAccessibleDescription(tr("engine speed, rpm"));
    m_value->setAccessibleDescription(tr("live figure, as measured"));
    for (QLabel* number : {m_speed, m_value})
        number->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    liveRow->addWidget(m_speed);
    liveRow->addWidget(rpm, 0, Qt::AlignBottom);
    liveRow->addWidget(m_value);
    liveRow->addWidget(m_valueUnit, 0, Qt::AlignBottom);
    numbers->addWidget(live);
    numbers->addWidget(m_state);
    column->addLayout(numbers);
    m_board = new Board(m_look, u"liveBoard"_s, frame);
    m_board->setMinimumSize(px(280), px(200));
    m_speedBoard = new Board(m_look, u"liveSpeedBoard"_s, frame);
    m_speedBoard->hide();
    m_trailClock.start();
    column->addWidget(m_board, 3);
    column->addWidget(m_speedBoard, 2);
    return frame;
}

QWidget* PullPage::makeRight(ActionRegistry& actions) {
    auto* right = new QWidget(this);
    right->setMaximumWidth(px(330));
    auto* whole = new QVBoxLayout(right);
    whole->setContentsMargins(0, 0, 0, 0);
    whole->setSpacing(px(8));
    const Panel next = makePanel(tr("Next"), right);
    m_next = largeLabel(u"nextStep"_s, 22, next.frame);
    m_next->setWordWrap(true);
    m_advice = quietLabel(u"nextAdvice"_s, next.frame);
    m_settling = quietLabel(u"settlingText"_s, next.frame);
    next.column->addWidget(m_next);
    next.column->addWidget(m_advice);
    next.column->addWidget(m_settling);
    m_begin = largeButton(actions, "pull.begin_day", next.frame);
    next.column->addWidget(m_begin);
    next.column->addWidget(largeButton(actions, "pull.arm", next.frame));
    auto* row = new QHBoxLayout;
    row->addWidget(largeButton(actions, "pull.change", next.frame));
    row->addWidget(largeButton(actions, "pull.by_hand", next.frame));
    next.column->addLayout(row);
    whole->addWidget(next.frame);

    m_slip = new SlipPanel(m_document, m_flow, m_look, largeButton(actions, "pull.keep", right),
                           largeButton(actions, "pull.set_aside", right), right);
    whole->addWidget(m_slip, 1);
    return right;
}

void PullPage::typeWeather() {
    m_flow.setWeather({m_temperature->number(), m_pressure->number(), m_humidity->number()});
    refresh();
}

void PullPage::refresh() {
    const LiveSnapshotPtr live = m_cell.now();
    const GateClock clock{m_flow.clock_s(), m_flow.lastPullEnded_s(), m_flow.weatherAge_s()};
    m_gates->setGates(gatesOf(m_document.day(), *live, clock));
    const bool pulling = m_cell.pulling();
    const QString verdict = pulling             ? tr("The pull runs")
                            : m_cell.hasLinks() ? gateVerdict(m_gates->gates())
                                                : tr("No cell connected");
    if (m_verdict->text() != verdict) {
        m_verdict->setText(verdict);
        speakNow(m_verdict);
    }
    setWarning(m_verdict, !pulling && !gatesOpen(m_gates->gates()));
    refreshLinks(*live);
    refreshWatched(*live);
    refreshWeather(*live);
    refreshNumbers(*live);
    if (!pulling)
        m_trail.take(0.001 * static_cast<double>(m_trailClock.elapsed()), *live);
    if (pulling || m_wasPulling || m_speedBoard->isVisible() != wantsTrail(*live) || m_speedBoard->isVisible())
        refreshBoard(*live);
    if (pulling != m_wasPulling) {
        m_wasPulling = pulling;
        refreshPlan();
    }
}

void PullPage::refreshLinks(const LiveSnapshot& live) {
    const Theme& t = m_look.theme();
    QStringList lines;
    for (const LinkStatus& link : live.links) {
        const bool silent = link.state == LinkState::Connected && link.silent_s > 2.0;
        const bool good = link.state == LinkState::Connected && !silent;
        const QString what = link.address.words();
        QString state = link.state == LinkState::Lost         ? tr("lost: %1").arg(link.words)
                        : link.state == LinkState::Connecting ? tr("connecting")
                        : silent ? tr("silent for %1").arg(ageText(std::min(link.silent_s, 86400.0)))
                                 : tr("live");
        if (good && link.address.isTelemetry())
            state = tr("%1 frames/s").arg(std::round(live.framesPerSecond));
        if (link.bad > 0)
            state += tr(", %1 bad").arg(link.bad);
        lines << coloured(good ? t.mark : t.warning, good ? u"\u25A0 "_s : u"\u25A1 "_s) + what.toHtmlEscaped() +
                     u": "_s + state.toHtmlEscaped();
    }
    for (const LiveValue& value : live.values)
        if (value.state != ChannelState::Good)
            lines << coloured(t.warning,
                              tr("%1 %2").arg(channelText(value.channel), qs(channelStatePhrase(value.state))));
    if (lines.isEmpty())
        lines << tr("No connection. Press Ctrl+L to name the cell.");
    if (!live.journalProblem.empty())
        lines << coloured(
            t.stop, tr("The journal cannot be written: %1. The pull is kept in memory.").arg(qs(live.journalProblem)));
    const QString text = lines.join(u"<br>"_s);
    if (m_links->text() != text)
        m_links->setText(text);
}

/// How many limits have a channel to be watched by.
void PullPage::refreshWatched(const LiveSnapshot& live) {
    const std::vector<WatchLimit> limits = limitsOf(m_document.day().article);
    const auto watched = std::count_if(limits.begin(), limits.end(),
                                       [&](const WatchLimit& limit) { return live.find(limit.channel) != nullptr; });
    const bool shown = m_document.isOpen() && m_cell.hasLinks();
    m_watched->setVisible(shown);
    if (!shown)
        return;
    m_watched->setText(limits.empty()
                           ? tr("No limits: nothing is watched while a pull runs.")
                           : tr("%1 of %2 limits watched. No safety device.").arg(watched).arg(limits.size()));
    setWarning(m_watched, watched == 0);
}

void PullPage::refreshWeather(const LiveSnapshot& live) {
    const bool heard = live.weather.atmosphere() && live.weatherAge_s < 120.0;
    const bool station = heard && !m_flow.weatherByHand();
    m_weatherByHand->setVisible(heard || m_flow.weatherByHand());
    if (station) {
        m_temperature->show(live.weather.temperature_c);
        m_pressure->show(live.weather.pressure_kpa);
        m_humidity->show(live.weather.humidity_pct);
    }
    for (NumberField* field : {m_temperature, m_pressure, m_humidity})
        field->setReadOnly(station);
    const QString sea =
        m_pressure->number() ? qs(seaLevelWarning(*m_pressure->number(), m_document.day().cell.altitude_m)) : QString();
    m_weatherFrom->setText(!sea.isEmpty() ? sea
                           : station
                               ? tr("from the station: %1").arg(live.weatherFrom)
                               : (m_flow.weather().empty()
                                      ? tr("type it, or connect a station; station pressure, not the sea-level figure")
                                      : tr("typed by hand; give the station pressure")));
    setWarning(m_weatherFrom, !sea.isEmpty());
}

void PullPage::refreshNumbers(const LiveSnapshot& live) {
    const LiveValue* speed = live.find("engine_speed");
    const LiveValue* torque = live.find("torque");
    const bool known = speed && std::isfinite(speed->value) && !live.stale;
    m_speed->setText(known ? numberText(10.0 * std::round(speed->value / 10.0), 0) : u"\u2013"_s);
    const bool alsoTorque = known && torque && std::isfinite(torque->value);
    m_value->setText(alsoTorque ? numberText(liveFigure(torque->value, speed->value, view()), 1) : u"\u2013"_s);
    const DisplayUnits units = m_selection.units();
    m_valueUnit->setText(QString::fromUtf8(m_selection.quantity() == Quantity::Power ? powerUnitText(units.power)
                                                                                     : torqueUnitText(units.torque)));
    QString state;
    switch (live.recorder) {
    case RecorderState::Off:
        state = tr("not armed");
        break;
    case RecorderState::Armed:
        state = live.stale ? tr("armed, no signal") : tr("armed");
        break;
    case RecorderState::Running:
        state = tr("recording %1 s").arg(numberText(live.pullSeconds, 0));
        break;
    case RecorderState::Ending:
        state = tr("ending");
        break;
    }
    const bool turned = live.recorder != m_spokenState;
    m_spokenState = live.recorder;
    m_state->setText(state);
    if (turned) // not at every second that it counts
        speakNow(m_state);
    setWarning(m_state, live.recorder == RecorderState::Off || (live.recorder == RecorderState::Armed && live.stale));
}

void PullPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    refreshPlan();
}

LiveView PullPage::view() const {
    return {m_flow.fitted(), m_flow.slip() ? m_flow.slip()->pull : std::string(), m_selection.quantity(),
            m_selection.units()};
}

BoardContent PullPage::curves(const LiveSnapshot& live) const {
    return liveContent(m_document.day(), m_document.analysis().get(), live, view(), m_look.theme());
}

/// Until there is a pull to look at, what comes in is shown over time.
bool PullPage::wantsTrail(const LiveSnapshot& live) const { return !m_trail.empty() && curves(live).series.empty(); }

void PullPage::refreshBoard(const LiveSnapshot& live) {
    if (!isVisible()) // before it has no size
        return;
    const bool trail = wantsTrail(live);
    m_speedBoard->setVisible(trail);
    if (trail)
        m_speedBoard->setContent(m_trail.speed(m_look.theme()));
    m_board->setContent(trail ? m_trail.figure(view(), m_look.theme()) : curves(live));
}

void PullPage::refreshPlan() {
    const TestDay& day = m_document.day();
    const PlanProgress plan = m_flow.progress();
    const LiveSnapshotPtr live = m_cell.now();
    const std::string fitted = m_flow.fitted();
    const bool undecided = m_flow.slip() && m_flow.slip()->suspicious && !m_flow.slipAnswered();
    m_next->setText(!m_document.isOpen() ? tr("No day is open")
                    : undecided          ? tr("Keep %1, or set it aside?").arg(qs(m_flow.slip()->pull))
                    : plan.done.empty() ? (fitted.empty() ? tr("No build yet") : tr("Pull of build %1").arg(qs(fitted)))
                                        : qs(nextStep(plan)));
    QStringList advice;
    bool warn = false;
    if (!m_document.isOpen())
        advice << tr("Open a day, or begin one here: it is kept among your days.");
    else if (undecided)
        advice << tr("K keeps it, S sets it aside with a reason.");
    else if (plan.needsChange)
        advice << tr("On the dyno: %1. Press B when %2 is fitted.").arg(qs(plan.fitted), qs(plan.build));
    else if (plan.needsRefit)
        advice << tr("Press B when %1 is fitted again.").arg(qs(plan.build));
    else if (plan.next && plan.pullsInSet > 0)
        advice << tr("%1 of %2 planned pulls are made.")
                      .arg(std::count(plan.done.begin(), plan.done.end(), 1))
                      .arg(plan.done.size());
    if (const size_t open = cautionsOpen(day).size(); m_document.isOpen() && open > 0) {
        advice << tr("%1 cautions are not ticked (Prepare).").arg(open);
        warn = true;
    }
    if (const int shortOnes = m_flow.shortOnes(); shortOnes > 0)
        advice << tr("%1 too short for a pull: kept, see \u201CWhat was kept\u201D.")
                      .arg(counted("count.recordings_were", shortOnes));
    if (!live->cellBuild.empty() && !fitted.empty() && live->cellBuild != fitted && !plan.needsChange) {
        advice << tr("The cell says build %1 is fitted, the day says %2.").arg(qs(live->cellBuild), qs(fitted));
        warn = true;
    }
    m_begin->setVisible(!m_document.isOpen());
    m_advice->setText(advice.join(u"\n"_s));
    setWarning(m_advice, warn);
    const QString settling = m_flow.settling();
    m_settling->setText(settling);
    m_settling->setVisible(!settling.isEmpty());
    setWarning(m_settling, true);
    m_slip->refresh();
    refreshBoard(*live);
}

} // namespace hillrun
