// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/build_card.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"

#include <cmath>
#include <QHBoxLayout>
#include <QPainter>
#include <QSignalBlocker>

using namespace Qt::StringLiterals;

namespace hillrun {

constexpr int kNameWidth = 236; ///< pixels; the box itself cuts without an ellipsis

BuildCard::BuildCard(Look& look, const QString& role, const QString& name, QWidget* parent)
    : QFrame(parent), m_look(look) {
    setObjectName(name);
    setProperty("panel", true);
    m_choice = new QComboBox(this);
    m_choice->setObjectName(name + u"Choice"_s);
    m_choice->setAccessibleName(role);
    m_choice->setToolTip(role);
    m_choice->setProperty("flat", true);
    m_choice->setMinimumContentsLength(6);
    m_choice->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_facts = new PlainLabel(this);
    m_facts->setProperty("quiet", true);
    m_facts->setProperty("small", true);
    m_facts->setWordWrap(true);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(px(12), px(6), px(6), px(6));
    layout->setSpacing(0);
    layout->addWidget(m_choice);
    auto* inner = new QHBoxLayout;
    inner->setContentsMargins(px(9), 0, px(4), 2);
    inner->addWidget(m_facts);
    layout->addLayout(inner);
    connect(m_choice, &QComboBox::activated, this,
            [this](int index) { Q_EMIT buildChosen(m_choice->itemData(index).toString()); });
}

void BuildCard::show(const TestDay& day, const DayAnalysis* analysis, const std::string& build,
                     const DisplayUnits& units) {
    const QSignalBlocker quiet(m_choice);
    m_choice->clear();
    for (size_t i = 0; i < day.builds.size(); ++i) {
        const Build& b = day.builds[i];
        const QString whole = b.name.empty() ? qs(b.id) : u"%1   %2"_s.arg(qs(b.id), qs(b.name));
        m_choice->addItem(QFontMetrics(fonts::text(13, true)).elidedText(whole, Qt::ElideRight, kNameWidth), qs(b.id));
        m_choice->setItemData(m_choice->count() - 1, plainTip(whole), Qt::ToolTipRole);
        if (b.id != build)
            continue;
        m_number = i;
        m_choice->setCurrentIndex(static_cast<int>(i));
        m_choice->setToolTip(whole);
    }
    const BuildResult* result = analysis ? analysis->findBuild(build) : nullptr;
    if (!result) {
        m_facts->setText(tr("no pull in use"));
    } else {
        QString text = counted("count.pulls", static_cast<qsizetype>(result->pullsUsed.size()));
        text.replace(u"pull(s)"_s, result->pullsUsed.size() == 1 ? tr("pull") : tr("pulls"));
        if (!result->given.empty())
            text = tr("curve only");
        m_facts->setToolTip(qs(result->given));
        if (std::isfinite(result->peakPower_w.value))
            text += tr(" \u00B7 peak %1 %2, %3 rpm")
                        .arg(powerFigure(result->peakPower_w.value, units), qs(placePhrase(analysis->place)),
                             qs(rpmText(std::round(result->peakPower_w.rpm / 10.0) * 10.0)));
        m_facts->setText(text);
    }
    update();
}

void BuildCard::paintEvent(QPaintEvent* event) {
    QFrame::paintEvent(event);
    QPainter painter(this);
    painter.fillRect(QRect(1, 1, 5, height() - 2), m_look.theme().build(m_number));
}

} // namespace hillrun
