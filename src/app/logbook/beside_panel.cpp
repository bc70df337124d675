// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/logbook/beside_panel.h"

#include "app/logbook/found_days.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "core/history/days_together.h"

#include <QHBoxLayout>
#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// What became of a question: an answer, or why there is none.
struct Across {
    std::optional<AcrossAnswer> answer;
    std::string whyNot;
};

Across answerFrom(Logbook& logbook, const BuildOfDay& from, const BuildOfDay& to, const std::vector<std::string>& ids) {
    try {
        std::vector<DayRecord> records;
        for (const std::string& id : ids)
            if (auto record = logbook.record(id))
                records.push_back(std::move(*record));
        if (records.empty())
            throw DataError(Problem::UnknownDay, {from.day});
        std::vector<const DayRecord*> named;
        for (const DayRecord& record : records)
            named.push_back(&record);
        const std::vector<DayRecord> ofCell = logbook.recordsOfCell(records.front().cell);
        return {compareAcross(from, to, named, daysOfDyno(ofCell, &records.front())), {}};
    } catch (const DataError& error) {
        if (error.problem() == Problem::LogbookUnreachable)
            throw;
        return {std::nullopt, said(error)};
    }
}

QString itemData(const QComboBox& box, int role) { return box.currentData(role).toString(); }

constexpr int kDay = Qt::UserRole;
constexpr int kBuild = Qt::UserRole + 1;

} // namespace

BesidePanel::BesidePanel(LogbookLink& link, QAction* besideToday, QWidget* parent) : QWidget(parent), m_link(link) {
    setObjectName(u"besidePanel"_s);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    m_hint =
        new PlainLabel(tr("Choose two days (Ctrl+click) to put them beside each other; further ones join them."), this);
    m_hint->setProperty("quiet", true);
    m_hint->setWordWrap(true);
    row->addWidget(m_hint, 1);
    const auto box = [&](const QString& name, const QString& label) {
        auto* out = new QComboBox(this);
        out->setObjectName(name);
        out->setAccessibleName(label);
        out->setToolTip(label);
        out->setMinimumWidth(px(220));
        out->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        row->addWidget(out, 1);
        connect(out, &QComboBox::activated, this, &BesidePanel::ask);
        return out;
    };
    m_from = box(u"besideFrom"_s, tr("Build that is compared against"));
    m_to = box(u"besideTo"_s, tr("Build that is looked at"));
    auto* button = new QToolButton(this);
    button->setObjectName(u"besideTodayButton"_s);
    button->setDefaultAction(besideToday);
    button->setToolButtonStyle(Qt::ToolButtonTextOnly);
    m_besideToday = button;
    row->addWidget(button);
    setDays({});
}

void BesidePanel::setDays(const std::vector<FoundDay>& days) {
    m_days = days;
    const bool enough = days.size() >= 2;
    m_hint->setVisible(!enough);
    m_from->setVisible(!days.empty());
    m_besideToday->setVisible(!days.empty());
    m_to->setVisible(enough);
    ++m_question;
    fill();
    if (enough)
        ask();
    else
        Q_EMIT answered({}, {}, false);
}

/// All builds of the chosen days; at first the earliest day's first build against the latest one's last.
void BesidePanel::fill() {
    std::stable_sort(m_days.begin(), m_days.end(),
                     [](const FoundDay& a, const FoundDay& b) { return a.date < b.date; });
    for (QComboBox* box : {m_from, m_to}) {
        box->clear();
        for (const FoundDay& day : m_days)
            for (const FoundBuild& build : day.builds) {
                box->addItem((day.date.empty() ? nameText(day) : qs(day.date)) + u"  "_s + qs(build.text()));
                box->setItemData(box->count() - 1, qs(day.id), kDay);
                box->setItemData(box->count() - 1, qs(build.id), kBuild);
            }
    }
    m_from->setCurrentIndex(0);
    m_to->setCurrentIndex(m_to->count() - 1);
}

std::optional<BuildOfDay> BesidePanel::chosen() const {
    if (m_from->currentIndex() < 0)
        return std::nullopt;
    BuildOfDay out{itemData(*m_from, kDay).toStdString(), itemData(*m_from, kBuild).toStdString(), {}};
    for (const FoundDay& day : m_days)
        if (day.id == out.day)
            out.date = day.date;
    return out;
}

void BesidePanel::ask() {
    if (m_days.size() < 2)
        return;
    const BuildOfDay from{itemData(*m_from, kDay).toStdString(), itemData(*m_from, kBuild).toStdString(), {}};
    const BuildOfDay to{itemData(*m_to, kDay).toStdString(), itemData(*m_to, kBuild).toStdString(), {}};
    std::vector<std::string> ids;
    for (const FoundDay& day : m_days)
        ids.push_back(day.id);
    m_link.ask(
        this, [from, to, ids](Logbook& logbook) { return answerFrom(logbook, from, to, ids); },
        [this, question = ++m_question](const Across& across) {
            if (question != m_question)
                return;
            if (!across.answer)
                Q_EMIT answered(qs(across.whyNot), {}, false);
            else
                Q_EMIT answered(qs(acrossSummary(*across.answer)), qs(acrossNotes(*across.answer)),
                                across.answer->proven());
        });
}

} // namespace hillrun
