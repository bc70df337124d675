// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/change_dialog.h"

#include "app/look/fields.h"
#include "app/look/main_button.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/progress.h"

#include <QDialogButtonBox>

using namespace Qt::StringLiterals;

namespace hillrun {

ChangeDialog::ChangeDialog(const TestDay& day, const std::string& from, const std::string& to, QWidget* parent)
    : QDialog(parent), m_day(day), m_from(from) {
    setObjectName(u"changeDialog"_s);
    setWindowTitle(tr("Change the build"));
    resize(520, 340);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(16), px(16), px(16));
    m_to = new QComboBox(this);
    m_to->setObjectName(u"changeTo"_s);
    m_to->setAccessibleName(tr("Build on the dyno now"));
    for (const Build& build : day.builds)
        m_to->addItem(build.name.empty() ? qs(build.id) : u"%1 \u00B7 %2"_s.arg(qs(build.id), qs(build.name)),
                      qs(build.id));
    m_to->setCurrentIndex(std::max(0, m_to->findData(qs(to))));
    column->addWidget(labelled(tr("On the dyno now"), m_to, this));
    m_planned = quietLabel(u"changePlanned"_s, this);
    column->addWidget(m_planned);
    m_refitted = new QCheckBox(tr("It was taken off and fitted again: a new set begins"), this);
    m_refitted->setObjectName(u"changeRefitted"_s);
    m_refitted->setChecked(planProgress(day).needsRefit);
    column->addWidget(m_refitted);
    m_note = new QPlainTextEdit(this);
    m_note->setObjectName(u"changeNote"_s);
    m_note->setAccessibleName(tr("What was really done"));
    m_note->setTabChangesFocus(true);
    m_note->setPlaceholderText(tr("What was really done, and what else was touched: lash, timing, gasket, jets, map, "
                                  "battery, bottle \u2026"));
    column->addWidget(m_note, 1);
    auto* hint = quietLabel(u"changeHint"_s, this);
    hint->setText(tr("After engine work break it in first. After a new map or battery the first pulls climb until the "
                     "control unit has settled. The time is kept with the note."));
    column->addWidget(hint);
    auto* box = new QDialogButtonBox(this);
    makeMain(box->addButton(tr("It is fitted"), QDialogButtonBox::AcceptRole));
    box->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    connect(box, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(box, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(box);
    connect(m_to, &QComboBox::currentIndexChanged, this, &ChangeDialog::showPlanned);
    showPlanned();
    m_note->setFocus();
}

std::string ChangeDialog::to() const { return m_to->currentData().toString().toStdString(); }

bool ChangeDialog::refitted() const { return to() == m_from && m_refitted->isChecked(); }

void ChangeDialog::showPlanned() {
    m_refitted->setVisible(to() == m_from);
    const Build* before = findBuild(m_day, m_from);
    const Build* after = findBuild(m_day, to());
    QStringList lines;
    if (before && after)
        for (const Change& change : changesBetween(*before, *after))
            lines << tr("%1: %2 \u2192 %3")
                         .arg(qs(change.part), qs(valuePhrase(change.from)), qs(valuePhrase(change.to)));
    m_planned->setText(lines.isEmpty() ? tr("By the plan nothing changes against %1.").arg(qs(m_from))
                                       : tr("By the plan: %1").arg(lines.join(u"; "_s)));
}

} // namespace hillrun
