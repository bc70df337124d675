// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/prepare_page.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/prepare/builds_panel.h"
#include "app/prepare/cautions_panel.h"
#include "app/prepare/protocol_panel.h"
#include "app/prepare/windows_panel.h"

#include <QStandardPaths>
#include <QToolButton>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {

namespace {
constexpr int kNarrow = 1120; ///< below this width the panels at the right stand below each other
} // namespace

PreparePage::PreparePage(DayDocument& document, Look& look, ActionRegistry& actions, Dialogs& dialogs,
                         OtherDays& otherDays, QWidget* parent)
    : PageView(parent), m_document(document), m_look(look), m_dialogs(dialogs), m_otherDays(otherDays),
      m_use(actions.get("day.use")), m_earlier(actions.get("day.earlier")) {
    setObjectName(u"preparePage"_s);
    m_stack = new QStackedLayout(this);
    m_start = new StartPanel(actions, this);
    m_stack->addWidget(m_start);
    const auto choose = [this] {
        if (m_document.isOpen() && m_stack->count() == 1)
            m_stack->addWidget(makeWhole());
        m_stack->setCurrentIndex(m_document.isOpen() ? 1 : 0);
    };
    connect(&m_document, &DayDocument::dayChanged, this, choose);
    choose();
}

QWidget* PreparePage::makeWhole() {
    auto* out = new QWidget(this);
    // Made in the order in which Tab goes through them: the builds first, the cautions last.
    auto* builds = new BuildsPanel(m_document, m_look, m_dialogs, out);
    m_order = new OrderPanel(m_document, m_look, m_dialogs, m_otherDays, m_use, m_earlier, out);
    auto* windows = new WindowsPanel(m_document, out);
    const fs::path ours = QStandardPaths::writableLocation(QStandardPaths::AppLocalDataLocation).toStdString();
    m_article = new ArticlePanel(m_document, m_dialogs, ArticleCards(ours / "articles"), out);
    auto* left = new QVBoxLayout;
    left->setSpacing(px(8));
    left->addWidget(m_article);
    left->addWidget(new ProtocolPanel(m_document, out));
    left->addWidget(new CautionsPanel(m_document, m_dialogs, out), 1);
    m_below = new QBoxLayout(QBoxLayout::LeftToRight);
    m_below->setSpacing(px(8));
    m_below->addWidget(m_order, 3);
    auto* side = new QVBoxLayout;
    side->setSpacing(px(8));
    side->addWidget(windows);
    side->addWidget(makeChanges(), 1);
    m_below->addLayout(side, 2);
    auto* right = new QVBoxLayout;
    right->setSpacing(px(8));
    right->addWidget(builds, 3);
    right->addLayout(m_below, 2);
    auto* whole = new QHBoxLayout(out);
    whole->setContentsMargins(px(16), px(12), px(16), px(12));
    whole->setSpacing(px(8));
    whole->addLayout(left, 0);
    whole->addLayout(right, 1);
    for (int i = 0; i < left->count(); ++i)
        left->itemAt(i)->widget()->setFixedWidth(px(332));
    foldBelow();
    return out;
}

/// Where the window is narrow the control windows stand below the order of the pulls.
void PreparePage::foldBelow() {
    if (m_below)
        m_below->setDirection(width() < px(kNarrow) ? QBoxLayout::TopToBottom : QBoxLayout::LeftToRight);
}

void PreparePage::resizeEvent(QResizeEvent* event) {
    foldBelow();
    PageView::resizeEvent(event);
}

/// What was really done between the sets, as it was noted on Pull.
QWidget* PreparePage::makeChanges() {
    const Panel panel = makePanel(tr("Changes as they were done"), this);
    auto* words = quietLabel(u"changesText"_s, panel.frame);
    panel.column->addWidget(words);
    panel.column->addStretch(1);
    const auto refresh = [this, words] {
        QStringList lines;
        for (const BuildChange& change : m_document.day().changes)
            lines << tr("%1 %2 \u2192 %3: %4")
                         .arg(qs(change.when).mid(11, 5), qs(change.from), qs(change.to),
                              change.note.empty() ? tr("nothing noted") : qs(change.note));
        words->setText(lines.isEmpty() ? tr("None yet. Pull asks for them when a build is changed.")
                                       : lines.join(u"\n"_s));
    };
    connect(&m_document, &DayDocument::dayChanged, this, refresh);
    refresh();
    return panel.frame;
}

} // namespace hillrun
