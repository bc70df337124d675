// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/finding_list.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <cmath>
#include <QLabel>
#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun {

FindingList::FindingList(Look& look, QWidget* parent) : QScrollArea(parent), m_look(look) {
    setObjectName(u"findings"_s);
    setAccessibleName(tr("What was found on this pull"));
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
}

void FindingList::show(std::vector<Finding> findings, bool offers) {
    m_findings = std::move(findings);
    m_inside = new QWidget;
    m_inside->setProperty("panelInside", true);
    auto* column = new QVBoxLayout(m_inside);
    column->setContentsMargins(0, 0, px(4), 0);
    column->setSpacing(px(6));
    for (const Finding& finding : m_findings)
        addRow(finding, offers);
    column->addStretch(1);
    setWidget(m_inside); // deletes the one before
}

QString FindingList::text() const {
    QStringList out;
    for (const Finding& finding : m_findings)
        out << finding.text;
    return out.join(u'\n');
}

void FindingList::addRow(const Finding& finding, bool offers) {
    const Theme& t = m_look.theme();
    auto* label = new PlainLabel(m_inside);
    label->setWordWrap(true);
    label->setTextFormat(Qt::PlainText);
    QString words = finding.text;
    words.replace(u" %"_s, u"\u00A0%"_s);
    label->setText(words);
    const QColor colour =
        finding.weight == SlipWeight::Warning ? t.warning : (finding.weight == SlipWeight::Note ? t.ink : t.quietInk);
    label->setStyleSheet(u"color: %1;%2"_s.arg(
        colour.name(), finding.weight == SlipWeight::Warning ? u" font-weight: bold;"_s : QString()));
    auto* row = new QVBoxLayout;
    row->setSpacing(px(3));
    row->addWidget(label);
    if (offers)
        addOffers(finding, row);
    static_cast<QVBoxLayout*>(m_inside->layout())->addLayout(row);
}

void FindingList::addOffers(const Finding& finding, QVBoxLayout* row) {
    auto* line = new QHBoxLayout;
    line->setSpacing(px(4));
    int buttons = 0;
    auto offer = [&](const QString& name, const QString& text, const QString& tip, const auto& run) {
        auto* button = new QToolButton(m_inside);
        button->setObjectName(name);
        button->setText(text);
        button->setToolTip(tip);
        button->setAccessibleName(text);
        button->setProperty("offer", true);
        button->setFocusPolicy(Qt::StrongFocus);
        connect(button, &QToolButton::clicked, this, run);
        line->addWidget(button);
        ++buttons;
    };
    if (finding.at_rpm)
        offer(u"offerShow"_s, tr("Show"), tr("Put the cursor there"),
              [this, rpm = *finding.at_rpm] { Q_EMIT placeWanted(rpm); });
    if (finding.remedy.trimTo)
        offer(u"offerTrim"_s, tr("Trim to %1").arg(rangeText(*finding.remedy.trimTo)),
              tr("Leave that stretch out; Ctrl+Z takes it back"),
              [this, window = *finding.remedy.trimTo] { Q_EMIT trimWanted(window); });
    for (const UnitAnswer& answer : finding.remedy.units)
        offer(u"offerUnit"_s, tr("Yes: %1").arg(qs(takenFor(answer))),
              tr("Multiply its torque by %1; the recorded rows stay as they are").arg(numberText(answer.factor, 4)),
              [this, answer] { Q_EMIT unitWanted(answer.factor, qs(takenFor(answer))); });
    if (finding.remedy.setAside)
        offer(u"offerSetAside"_s, tr("Set aside"), tr("Leave the pull out with this reason"),
              [this, reason = phrase("reason." + finding.remedy.reason)] { Q_EMIT setAsideWanted(reason); });
    if (finding.doubt)
        for (const DoubtAnswer& answer : answersTo(*finding.doubt))
            offer(u"offerAnswer"_s, answer.text, answer.tip, [this, answer] { Q_EMIT answerWanted(answer); });
    line->addStretch(1);
    if (buttons > 0)
        row->addLayout(line);
    else
        delete line;
}

} // namespace hillrun
