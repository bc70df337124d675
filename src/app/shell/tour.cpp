// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/tour.h"

#include "app/look/accessible.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"

#include <algorithm>
#include <QKeyEvent>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

struct Stop {
    const char* page; ///< action that shows it
    const char* what; ///< widget that is spoken of
    const char* words;
};

constexpr Stop kStops[] = {
    {"page.compare", "answer",
     QT_TRANSLATE_NOOP("hillrun::Tour", "The answer, in one sentence: what the change gives, where, and how sure that "
                                        "is. When nobody can tell yet, it says so, and what would settle it.")},
    {"page.compare", "curvesBoard",
     QT_TRANSLATE_NOOP("hillrun::Tour", "The curves and, below them, the difference with its band. Drag across the "
                                        "curves to ask about a range; X swaps the builds, Q shows the torque.")},
    {"page.compare", "dayStrip",
     QT_TRANSLATE_NOOP("hillrun::Tour",
                       "The day in the order it happened. Each flag is a pull; a dot asks you to look. "
                       "Click one, and every page shows it.")},
    {"page.check", "pullTable",
     QT_TRANSLATE_NOOP("hillrun::Tour",
                       "Check: every pull against its set, with what was found on it. S sets one aside "
                       "with a reason, Ctrl+Z takes anything back.")},
    {"page.prepare", "buildTable",
     QT_TRANSLATE_NOOP("hillrun::Tour",
                       "Prepare: the builds and what differs between them, the order of the pulls, and "
                       "whether this plan can see what you look for, before the first pull.")},
    {"page.pull", "gateVerdict",
     QT_TRANSLATE_NOOP("hillrun::Tour", "Pull: connect the cell, press A, and every pull is found, recorded and kept. "
                                        "Afterwards the slip says what looks wrong.")},
    {"page.report", "paperScroll",
     QT_TRANSLATE_NOOP("hillrun::Tour",
                       "Report: the sheet as it will print. That was all; Ctrl+K finds every command.")},
};

constexpr int kGap = 12;

} // namespace

int Tour::stops() { return static_cast<int>(std::size(kStops)); }

Tour::Tour(ActionRegistry& actions, const QColor& mark, QWidget* window)
    : QFrame(window), m_actions(actions), m_ring(new QFrame(window)), m_words(new PlainLabel(this)),
      m_count(new PlainLabel(this)), m_back(new QPushButton(tr("Back"), this)),
      m_next(new QPushButton(tr("Next"), this)) {
    setObjectName(u"tour"_s);
    setProperty("panel", true);
    setAccessibleName(tr("Tour"));
    setStyleSheet(u"#tour { border: 2px solid %1; }"_s.arg(mark.name()));
    m_ring->setStyleSheet(u"border: 2px solid %1;"_s.arg(mark.name()));
    m_ring->setAttribute(Qt::WA_TransparentForMouseEvents);
    setFixedWidth(px(380));
    m_words->setObjectName(u"tourWords"_s);
    m_words->setWordWrap(true);
    m_count->setProperty("quiet", true);
    m_back->setObjectName(u"tourBack"_s);
    m_next->setObjectName(u"tourNext"_s);
    m_next->setProperty("main", true);
    auto* leave = new QPushButton(tr("Leave the tour"), this);
    leave->setObjectName(u"tourLeave"_s);
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_words);
    auto* row = new QHBoxLayout;
    row->addWidget(m_count);
    row->addStretch(1);
    row->addWidget(leave);
    row->addWidget(m_back);
    row->addWidget(m_next);
    column->addLayout(row);
    connect(leave, &QPushButton::clicked, this, &QObject::deleteLater);
    connect(m_back, &QPushButton::clicked, this, [this] { show(m_stop - 1); });
    connect(m_next, &QPushButton::clicked, this, [this] { m_stop + 1 < stops() ? show(m_stop + 1) : deleteLater(); });
    connect(this, &QObject::destroyed, m_ring, &QObject::deleteLater);
    window->installEventFilter(this);
}

void Tour::begin() { show(0); }

void Tour::show(int stop) {
    m_stop = std::clamp(stop, 0, stops() - 1);
    const Stop& now = kStops[m_stop];
    m_actions.get(now.page)->trigger();
    m_words->setText(tr(now.words));
    m_count->setText(tr("%1 of %2").arg(m_stop + 1).arg(stops()));
    m_back->setEnabled(m_stop > 0);
    m_next->setText(m_stop + 1 < stops() ? tr("Next") : tr("Done"));
    follow(parentWidget()->findChild<QWidget*>(QLatin1StringView(now.what)));
    QFrame::show();
    adjustSize();
    place();
    m_next->setFocus();
    speakNow(m_words);
}

/// Goes where the thing goes that is spoken of.
void Tour::follow(QWidget* what) {
    if (m_about)
        m_about->removeEventFilter(this);
    m_about = what;
    if (m_about)
        m_about->installEventFilter(this);
}

/// Beside what is spoken of: below it where there is room, else above, else in the middle of it.
void Tour::place() {
    QWidget* window = parentWidget();
    const QWidget* what = m_about;
    const QRect room = window->rect();
    QRect about = room.adjusted(room.width() / 4, room.height() / 3, -room.width() / 4, -room.height() / 3);
    if (what && what->isVisibleTo(window))
        about = QRect(what->mapTo(window, QPoint(0, 0)), what->size()) & room;
    m_ring->setVisible(what && what->isVisibleTo(window));
    m_ring->setGeometry(about.adjusted(-3, -3, 3, 3));
    m_ring->raise();
    const int below = about.bottom() + px(kGap);
    const int above = about.top() - px(kGap) - height();
    const int y = below + height() <= room.bottom() ? below : (above >= 0 ? above : about.center().y() - height() / 2);
    move(std::clamp(about.left(), 0, std::max(0, room.width() - width())), y);
    raise();
}

void Tour::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        deleteLater();
    else
        QFrame::keyPressEvent(event);
}

bool Tour::eventFilter(QObject* watched, QEvent* event) {
    const bool moved = event->type() == QEvent::Resize || event->type() == QEvent::Move;
    if (moved && (watched == parentWidget() || watched == m_about))
        place();
    return QFrame::eventFilter(watched, event);
}

} // namespace hillrun
