// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/top_bar.h"

#include "app/frame/preferences.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/look/wrap_layout.h"

#include <cmath>
#include <QHBoxLayout>
#include <QSignalBlocker>

using namespace Qt::StringLiterals;

namespace hillrun {

TopBar::TopBar(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, QMenu* dayMenu,
               QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection), m_look(look) {
    setObjectName(u"topBar"_s);
    setAttribute(Qt::WA_StyledBackground);
    setMinimumHeight(px(48));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(px(12), 0, px(8), 0);
    row->setSpacing(px(6));
    auto* wordmark = new PlainLabel(tr("Hill Run"), this);
    wordmark->setObjectName(u"wordmark"_s);
    m_menuButton = new QToolButton(this);
    m_menuButton->setObjectName(u"dayMenuButton"_s);
    m_menuButton->setProperty("flat", true);
    m_menuButton->setText(tr("Day"));
    m_menuButton->setToolTip(tr("Open, import, save, undo"));
    m_menuButton->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
    m_menuButton->setPopupMode(QToolButton::InstantPopup);
    m_menuButton->setMenu(dayMenu);
    m_title = new ElidedLabel(this);
    m_title->setObjectName(u"dayTitle"_s);
    m_busy = new PlainLabel(tr("working \u2026"), this);
    m_busy->setObjectName(u"busy"_s);
    m_busy->setProperty("quiet", true);
    QSizePolicy keepsRoom = m_busy->sizePolicy();
    keepsRoom.setRetainSizeWhenHidden(true); // nothing jumps while a figure is worked out
    m_busy->setSizePolicy(keepsRoom);
    m_busy->setVisible(false);
    row->addWidget(wordmark);
    row->addSpacing(px(10));
    row->addWidget(m_menuButton);
    row->addSpacing(px(6));
    row->addWidget(m_title, 1);
    row->addWidget(m_busy);
    m_choices = new QWidget(this);
    m_choices->setLayout(new WrapLayout(false, px(6)));
    row->addWidget(m_choices, 0, Qt::AlignVCenter);
    m_standard = makeChoice(u"standardChoice"_s, tr("Air"), tr("Correction standard of every figure"));
    m_boost = makeChoice(u"boostChoice"_s, tr("Boost"),
                         tr("What the air factor does on a boosted engine; kept with the day"));
    m_smoothing = makeChoice(u"smoothingChoice"_s, tr("Smoothing"), tr("Width of the local regression"));
    m_allowance =
        makeChoice(u"allowanceChoice"_s, tr("Drift"), tr("How far drift may have been anything but a straight line"));
    m_units = makeChoice(u"unitChoice"_s, tr("Units"), tr("Units of every figure"));
    auto button = [&](const char* id) {
        auto* out = new QToolButton(this);
        out->setDefaultAction(actions.get(id));
        out->setObjectName(QLatin1StringView(id) + u"_button"_s);
        out->setAccessibleName(actions.get(id)->text());
        out->setProperty("flat", true);
        out->setToolButtonStyle(Qt::ToolButtonIconOnly);
        out->setIconSize({px(20), px(20)});
        row->addWidget(out);
        return out;
    };
    m_darkButton = button("view.dark");
    m_searchButton = button("view.search");
    fillChoices();
    connect(&m_look, &Look::changed, this, &TopBar::refreshIcons);
    connect(&m_document, &DayDocument::settingsChanged, this, &TopBar::showSettings);
    connect(&m_document, &DayDocument::dayChanged, this, &TopBar::showBoost);
    connect(&m_selection, &Selection::viewChanged, this, &TopBar::showSettings);
    refreshIcons();
    showSettings();
    showBoost();
}

QComboBox* TopBar::makeChoice(const QString& name, const QString& label, const QString& tip) {
    auto* pair = new QWidget(m_choices);
    auto* row = new QHBoxLayout(pair);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(6));
    auto* text = new PlainLabel(label, pair);
    text->setObjectName(name + u"Label"_s);
    text->setProperty("quiet", true);
    auto* choice = new QComboBox(pair);
    choice->setObjectName(name);
    choice->setAccessibleName(label);
    choice->setToolTip(tip);
    choice->setProperty("flat", true);
    choice->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    choice->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Preferred); // a choice cut in half says nothing
    row->addWidget(text);
    row->addWidget(choice);
    m_choices->layout()->addWidget(pair);
    m_labels.push_back({text, choice});
    return choice;
}

void TopBar::fillChoices() {
    for (const StandardInfo& info : standards())
        m_standard->addItem(QString::fromUtf8(info.title), static_cast<int>(info.id));
    for (const double width : kSmoothingChoices_rpm)
        m_smoothing->addItem(tr("%1 rpm").arg(width), width);
    for (const char* school :
         {QT_TR_NOOP("own rule"), QT_TR_NOOP("full"), QT_TR_NOOP("none"), QT_TR_NOOP("temp. only")})
        m_boost->addItem(tr(school));
    for (int i = 0; i < m_boost->count(); ++i)
        m_boost->setItemData(i, qs(boostSchoolPhrase(static_cast<BoostSchool>(i))), Qt::ToolTipRole);
    connect(m_boost, &QComboBox::activated, this, [this](int index) {
        m_document.edit(tr("Correct boosted engines: %1").arg(m_boost->itemText(index)),
                        [index](TestDay& day) { day.boostSchool = static_cast<BoostSchool>(index); });
    });
    m_allowance->addItems(driftChoices());
    for (const DisplayUnits& units : kUnitChoices)
        m_units->addItem(unitChoiceText(units));
    auto change = [this](const auto& what) {
        AnalysisSettings settings = m_document.settings();
        what(settings);
        m_document.setSettings(settings);
    };
    connect(m_standard, &QComboBox::activated, this, [this, change](int index) {
        change([&](AnalysisSettings& s) {
            s.reduce.standard = static_cast<Standard>(m_standard->itemData(index).toInt());
        });
    });
    connect(m_smoothing, &QComboBox::activated, this, [this, change](int index) {
        change([&](AnalysisSettings& s) { s.reduce.smoothing_rpm = m_smoothing->itemData(index).toDouble(); });
    });
    connect(m_allowance, &QComboBox::activated, this, [change](int index) {
        change([&](AnalysisSettings& s) { s.drift.allowance = static_cast<DriftAllowance>(index); });
    });
    connect(m_units, &QComboBox::activated, &m_selection,
            [this](int index) { m_selection.setUnits(kUnitChoices.at(static_cast<size_t>(index))); });
}

void TopBar::showSettings() {
    const AnalysisSettings& s = m_document.settings();
    m_standard->setCurrentIndex(static_cast<int>(s.reduce.standard));
    if (m_smoothing->findData(s.reduce.smoothing_rpm) < 0) // a width from a settings file
        m_smoothing->addItem(tr("%1 rpm").arg(s.reduce.smoothing_rpm), s.reduce.smoothing_rpm);
    m_smoothing->setCurrentIndex(m_smoothing->findData(s.reduce.smoothing_rpm));
    m_allowance->setCurrentIndex(static_cast<int>(s.drift.allowance));
    for (int i = 0; i < m_units->count(); ++i)
        if (kUnitChoices.at(static_cast<size_t>(i)) == m_selection.units())
            m_units->setCurrentIndex(i);
}

void TopBar::showBoost() {
    const TestDay& day = m_document.day();
    const bool boosted = m_document.isOpen() && day.article.engine.aspiration != Aspiration::Natural;
    m_boost->parentWidget()->setVisible(boosted);
    m_boost->setCurrentIndex(static_cast<int>(day.boostSchool));
    fitLabels();
}

/// Where the window is narrow the choices stand without their labels, which are their tooltips and names still.
void TopBar::fitLabels() {
    int needed = px(120); // of the day's name
    int labels = 0;
    for (const QWidget* part : findChildren<QWidget*>(Qt::FindDirectChildrenOnly))
        if (part != m_title && part != m_choices)
            needed += part->sizeHint().width() + layout()->spacing();
    for (const auto& [label, choice] : m_labels)
        if (!choice->parentWidget()->isHidden()) {
            needed += choice->sizeHint().width() + layout()->spacing();
            labels += label->sizeHint().width() + layout()->spacing();
        }
    for (const auto& [label, choice] : m_labels)
        label->setVisible(needed + labels <= width());
    m_title->setVisible(needed <= width()); // the window's title says it too
    static_cast<QHBoxLayout*>(layout())->setStretchFactor(m_choices, needed <= width() ? 0 : 1);
}

void TopBar::resizeEvent(QResizeEvent* event) {
    fitLabels();
    QWidget::resizeEvent(event);
}

void TopBar::refreshIcons() {
    const QColor ink = m_look.theme().ink;
    m_menuButton->setIcon(m_look.icon(u"day"_s, ink));
    m_darkButton->defaultAction()->setIcon(m_look.icon(u"moon"_s, ink));
    m_searchButton->defaultAction()->setIcon(m_look.icon(u"search"_s, ink));
}

void TopBar::setTitle(const QString& title, bool modified) {
    m_title->setFullText(modified ? title + tr(" \u00B7 edited") : title);
}

void TopBar::setBusy(bool busy) {
    m_busy->setText(tr("working \u2026"));
    m_busy->setVisible(busy);
}

void TopBar::setProgress(double share) {
    m_busy->setMinimumWidth(m_busy->width()); // nothing moves while it counts
    m_busy->setText(tr("%1\u00A0%").arg(std::lround(100.0 * share)));
}

} // namespace hillrun
