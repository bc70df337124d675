// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/lay_log_dialog.h"

#include "app/import/column_table.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/channels/channels.h"

#include <algorithm>
#include <cmath>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QSignalBlocker>
#include <QSplitter>
#include <QTimer>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

enum ColumnOfPulls { Name, BuildOf, How };
constexpr double kDriftWorthSaying = 5e-5;
constexpr int kVerdict_px = 66; ///< room for three lines

QString signedText(double value, int decimals) {
    return (value < 0.0 ? u"\u2212"_s : u"+"_s) + numberText(std::abs(value), decimals);
}

/// Why not, short enough for a cell; the whole sentence stands below the picture.
QString whyNotText(const DataError& why) {
    switch (why.problem()) {
    case Problem::LogDiffers:
    case Problem::LogDiffersWidely:
        return LayLogDialog::tr("not of this pull");
    case Problem::LogOfAnother:
        return LayLogDialog::tr("fits %1 better").arg(qs(std::get<std::string>(why.details().front())));
    case Problem::LogTooShort:
        return LayLogDialog::tr("too short");
    case Problem::LogSteady:
        return LayLogDialog::tr("a speed hardly moves");
    case Problem::LogAmbiguous:
        return LayLogDialog::tr("fits in two places");
    default:
        return qs(problemStatement(why));
    }
}

/// "+4.25 s, apart by 2 rpm", or why not.
QString howItLies(const LogOnPull& one, bool byHand) {
    if (!one.fit)
        return whyNotText(*one.whyNot);
    const QString lag = signedText(one.fit->clock.lag_s, 2) + u" s"_s;
    if (byHand)
        return LayLogDialog::tr("%1, by hand").arg(lag);
    if (!one.alike.empty())
        return one.alike.size() == 1 ? LayLogDialog::tr("%1, but %2 fits alike").arg(lag, qs(one.alike.front()))
                                     : LayLogDialog::tr("%1, but others fit alike").arg(lag);
    return LayLogDialog::tr("%1, apart by %2 rpm").arg(lag).arg(numberText(one.fit->misfit_rpm, 0));
}

} // namespace

LayLogDialog::LayLogDialog(const TestDay& day, const std::string& first, const ImportFile& file, const Theme& theme,
                           QWidget* parent)
    : QDialog(parent), m_day(day), m_file(file), m_name(logNameOf(file)), m_rows(logRows(file, ambient_kpa(file))),
      m_zero_s(logZero_s(file)), m_theme(theme) {
    setObjectName(u"layLogDialog"_s);
    setWindowTitle(tr("Lay a log onto pulls"));
    const QSize wanted(1080, 600);
    resize(parent ? wanted.boundedTo(parent->window()->size() - QSize(16, 16)) : wanted);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(14), px(16), px(14));
    column->setSpacing(px(10));
    m_title = new PlainLabel(this);
    m_title->setProperty("title", true);
    column->addWidget(m_title);
    auto* halves = new QSplitter(Qt::Horizontal, this);
    halves->setChildrenCollapsible(false);
    m_table = new QTableWidget(this);
    makePlain(m_table, u"logPulls"_s, {tr("pull"), tr("build"), tr("how the log lies on it")});
    m_table->setAccessibleName(tr("Pulls and how the log lies on each"));
    m_table->setColumnWidth(Name, px(90));
    m_table->setColumnWidth(BuildOf, px(60));
    halves->addWidget(m_table);
    halves->addWidget(makeRight());
    halves->setSizes({440, 600});
    column->addWidget(halves, 1);
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    auto* cancel = new QPushButton(tr("Cancel"), this);
    cancel->setAutoDefault(false);
    m_lay = new QPushButton(tr("Lay it on"), this);
    m_lay->setObjectName(u"layLog"_s);
    m_lay->setProperty("main", true);
    buttons->addWidget(cancel);
    buttons->addWidget(m_lay);
    column->addLayout(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(m_lay, &QPushButton::clicked, this, &QDialog::accept);
    connect(m_table, &QTableWidget::currentCellChanged, this, [this](int row) { pick(row); });
    connect(m_table, &QTableWidget::itemChanged, this, [this](const QTableWidgetItem* item) {
        const auto row = static_cast<size_t>(item->row());
        if (item->column() == Name && row < m_tried.size())
            m_tried[row].ticked = item->checkState() == Qt::Checked;
        validate();
    });
    for (size_t i = 0; i < m_day.pulls.size(); ++i)
        if (m_day.pulls[i].id == first)
            m_current = i;
    tryNext();
}

QWidget* LayLogDialog::makeRight() {
    auto* right = new QWidget(this);
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(px(8), 0, 0, 0);
    column->setSpacing(px(8));
    m_picture = new LogPicture(right);
    m_picture->setObjectName(u"logPicture"_s);
    m_picture->setTheme(m_theme);
    connect(m_picture, &LogPicture::dragged, this, &LayLogDialog::setByHand);
    column->addWidget(m_picture, 1);
    auto* row = new QHBoxLayout;
    row->addWidget(new PlainLabel(tr("The log's clock at the pull's zero:"), right));
    m_lag = new NumberField(u"logLag"_s, tr("what the log's clock shows at the pull's zero"), -86400.0, 86400.0, 3,
                            u"s"_s, right);
    connect(m_lag, &NumberField::edited, this, [this] {
        if (const auto lag = m_lag->number())
            setByHand(*lag);
    });
    row->addWidget(m_lag);
    m_findAgain = new QPushButton(tr("Find it again"), right);
    m_findAgain->setObjectName(u"findLogAgain"_s);
    m_findAgain->setAutoDefault(false);
    m_findAgain->setEnabled(false); // until every pull was tried
    m_lag->setEnabled(false);
    connect(m_findAgain, &QPushButton::clicked, this, &LayLogDialog::findAgain);
    row->addWidget(m_findAgain);
    row->addStretch(1);
    column->addLayout(row);
    m_verdict = new PlainLabel(right);
    m_verdict->setObjectName(u"logVerdict"_s);
    m_verdict->setWordWrap(true);
    m_verdict->setMinimumHeight(px(kVerdict_px));
    m_verdict->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    column->addWidget(m_verdict);
    return right;
}

/// One pull a turn of the event loop, so that a long log never holds the window.
void LayLogDialog::tryNext() {
    if (m_tried.size() >= m_day.pulls.size()) {
        finishTrying();
        return;
    }
    m_title->setText(tr("Trying %1 on %2 \u2026").arg(qs(m_name), qs(pullOf(m_tried.size()).id)));
    m_lay->setEnabled(false);
    QTimer::singleShot(0, this, [this] {
        m_tried.push_back({tryLogOn(pullOf(m_tried.size()), *m_rows), {}, false, false});
        tryNext();
    });
}

void LayLogDialog::finishTrying() {
    std::vector<LogOnPull> claims;
    for (const Row& row : m_tried)
        claims.push_back(row.tried);
    settleClaims(m_day, claims, m_zero_s);
    const QSignalBlocker quiet(m_table);
    m_table->setRowCount(static_cast<int>(m_tried.size()));
    size_t fits = 0;
    size_t certain = 0;
    for (size_t i = 0; i < claims.size(); ++i) {
        m_tried[i] = {claims[i], claims[i], false, claims[i].fit && claims[i].alike.empty()};
        fits += claims[i].fit ? 1 : 0;
        certain += m_tried[i].ticked ? 1 : 0;
        if (m_tried[i].ticked && certain == 1)
            m_current = i;
        fillRow(static_cast<int>(i));
    }
    const QString count = counted("count.pulls", static_cast<qsizetype>(certain > 0 ? certain : fits));
    if (certain > 0)
        m_title->setText(tr("%1 fits %2. Its channels are added there.").arg(qs(m_name), count));
    else if (fits > 0)
        m_title->setText(tr("%1 fits %2 alike: tick the one it was recorded with.").arg(qs(m_name), count));
    else
        m_title->setText(tr("%1 fits no pull of this day.").arg(qs(m_name)));
    m_table->setCurrentCell(static_cast<int>(m_current), How);
    showCurrent();
    validate();
}

void LayLogDialog::fillRow(int row) {
    const Row& now = m_tried[static_cast<size_t>(row)];
    const Pull& pull = pullOf(static_cast<size_t>(row));
    const QSignalBlocker quiet(m_table);
    auto* name = new QTableWidgetItem(qs(pull.id));
    if (now.tried.fit) {
        name->setFlags(name->flags() | Qt::ItemIsUserCheckable);
        name->setCheckState(now.ticked ? Qt::Checked : Qt::Unchecked);
    }
    m_table->setItem(row, Name, name);
    m_table->setItem(row, BuildOf, new QTableWidgetItem(qs(pull.build)));
    auto* how = new QTableWidgetItem(howItLies(now.tried, now.byHand));
    how->setToolTip(how->text());
    if (!now.tried.fit)
        how->setForeground(m_theme.quietInk);
    m_table->setItem(row, How, how);
}

void LayLogDialog::pick(int row) {
    if (row < 0 || static_cast<size_t>(row) >= m_tried.size())
        return;
    m_current = static_cast<size_t>(row);
    showCurrent();
}

QString LayLogDialog::channelsText() const {
    const Pull& pull = pullOf(m_current);
    if (!ownRows(pull))
        return {};
    LaidLog log;
    log.name = m_name;
    log.rows = m_rows;
    QStringList out;
    for (const JoinedColumn& joined : joinedColumns(*ownRows(pull), {log}))
        out << channelText(m_rows->columns[joined.column].name);
    return out.join(u", "_s);
}

void LayLogDialog::showCurrent() {
    if (m_tried.empty())
        return;
    const Row& now = m_tried[m_current];
    const auto own = ownRows(pullOf(m_current));
    const auto& fit = now.tried.fit;
    m_picture->show(own, m_rows, fit ? std::optional(fit->clock) : std::nullopt);
    m_lag->show(fit ? fit->clock.lag_s : 0.0);
    m_lag->setEnabled(own != nullptr);
    m_findAgain->setEnabled(now.byHand);
    if (!fit) {
        m_verdict->setText(errorText(*now.tried.whyNot));
        setWarning(m_verdict, true);
        return;
    }
    QString text = tr("%1 s together; the speeds are apart by %2 rpm where %3 would be usual.")
                       .arg(numberText(fit->overlap_s, 1))
                       .arg(numberText(fit->misfit_rpm, 1))
                       .arg(numberText(fit->expected_rpm, 1));
    if (std::abs(fit->clock.drift) >= kDriftWorthSaying)
        text += u' ' + tr("The log's clock runs %1 % against the pull's.").arg(signedText(100.0 * fit->clock.drift, 2));
    text += u' ' + tr("Adds %1.").arg(channelsText());
    m_verdict->setText(text);
    setWarning(m_verdict, !fit->good());
}

void LayLogDialog::setByHand(double lag_s) {
    if (m_tried.size() < m_day.pulls.size() || !ownRows(pullOf(m_current)))
        return;
    Row& now = m_tried[m_current];
    const double drift = now.tried.fit ? now.tried.fit->clock.drift : 0.0;
    try {
        const LogFit fit = judgeLog(*ownRows(pullOf(m_current)), *m_rows, {lag_s, drift});
        now = {{now.tried.pull, fit, {}, {}}, now.found, true, true};
    } catch (const DataError& error) {
        now.tried.whyNot = error;
    }
    fillRow(static_cast<int>(m_current));
    showCurrent();
    validate();
}

void LayLogDialog::findAgain() {
    const LogOnPull found = m_tried[m_current].found;
    m_tried[m_current] = {found, found, false, found.fit && found.alike.empty()};
    fillRow(static_cast<int>(m_current));
    showCurrent();
    validate();
}

std::vector<LayLogDialog::Chosen> LayLogDialog::chosen() const {
    std::vector<Chosen> out;
    for (const Row& row : m_tried)
        if (row.ticked && row.tried.fit)
            out.push_back({row.tried.pull, row.tried.fit->clock});
    return out;
}

void LayLogDialog::validate() {
    const bool tried = m_tried.size() >= m_day.pulls.size();
    m_lay->setEnabled(tried && !chosen().empty());
}

} // namespace hillrun
