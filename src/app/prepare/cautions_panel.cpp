// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/cautions_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "cell/machine_clock.h"
#include "core/plan/cautions.h"

#include <QLabel>
#include <QScrollArea>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// A tick box whose words wrap; clicking the words ticks too.
class WrappingBox : public QCheckBox {
public:
    WrappingBox(const QString& text, QWidget* parent) : QCheckBox(parent), m_label(new PlainLabel(text, this)) {
        m_label->setWordWrap(true);
        m_label->setAttribute(Qt::WA_TransparentForMouseEvents);
        m_label->installEventFilter(this);
        setAccessibleName(text);
        QSizePolicy policy(QSizePolicy::Expanding,
                           QSizePolicy::Preferred); // fixed, it keeps the height of another width
        policy.setHeightForWidth(true);
        setSizePolicy(policy);
    }
    [[nodiscard]] QSize sizeHint() const override { return {200, heightForWidth(std::max(200, width()))}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {120, 22}; }
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override {
        return std::max(24, m_label->heightForWidth(width - kIndent) + 6);
    }

protected:
    /// The label is in no layout that would tell when it gets its type.
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() == QEvent::Polish || event->type() == QEvent::FontChange)
            updateGeometry();
        return QCheckBox::eventFilter(watched, event);
    }
    void resizeEvent(QResizeEvent* event) override {
        QCheckBox::resizeEvent(event);
        m_label->setGeometry(kIndent, 0, width() - kIndent, height());
    }
    [[nodiscard]] bool hitButton(const QPoint& position) const override { return rect().contains(position); }

private:
    static constexpr int kIndent = 26;
    QLabel* m_label;
};

/// A wrapped label asks for two lines only; this one is never shown without its last.
class KeepsEveryLine : public QObject {
public:
    explicit KeepsEveryLine(QLabel* label) : QObject(label), m_label(label) { label->installEventFilter(this); }
    bool eventFilter(QObject* /*watched*/, QEvent* event) override {
        if (event->type() == QEvent::Resize)
            m_label->setMinimumHeight(m_label->heightForWidth(m_label->width()));
        return false;
    }

private:
    QLabel* m_label;
};

} // namespace

CautionsPanel::CautionsPanel(DayDocument& document, Dialogs& dialogs, QWidget* parent)
    : QWidget(parent), m_document(document), m_dialogs(dialogs) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Cautions"), this);
    whole->addWidget(panel.frame);
    m_state = new PlainLabel(panel.frame);
    m_state->setObjectName(u"cautionState"_s);
    m_state->setProperty("quiet", true);
    panel.head->addWidget(m_state);
    auto* preface = quietLabel(u"cautionPreface"_s, panel.frame);
    preface->setText(phrase("cautions.preface"));
    preface->setProperty("small", true);
    new KeepsEveryLine(preface);
    panel.column->addWidget(preface);
    auto* area = new QScrollArea(panel.frame);
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Ignored); // takes what is left over
    area->setMinimumHeight(px(100));
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inside = new QWidget(area);
    inside->setObjectName(u"cautionList"_s);
    inside->setProperty("panelInside", true);
    m_list = new QVBoxLayout(inside);
    m_list->setContentsMargins(0, 0, px(4), 0);
    m_list->setSpacing(2);
    area->setWidget(inside);
    panel.column->addWidget(area, 1);
    connect(&m_document, &DayDocument::dayChanged, this, &CautionsPanel::refresh);
    refresh();
}

void CautionsPanel::tick(const std::string& id, bool on) {
    std::string who = m_document.day().operatorName;
    if (on && who.empty()) {
        const auto asked = m_dialogs.askText(this, tr("Who ticks this?"), tr("Your name is kept with the tick."), {});
        if (!asked || asked->trimmed().isEmpty())
            return refresh();
        who = asked->trimmed().toStdString();
    }
    const std::string when = machineTimeText();
    m_document.edit(on ? tr("Tick a caution") : tr("Take a tick back"), [&](TestDay& day) {
        std::erase_if(day.cautions, [&](const CautionTick& tick) { return tick.id == id; });
        if (on)
            day.cautions.push_back({id, who, when, {}});
        if (day.operatorName.empty())
            day.operatorName = who;
    });
    refresh();
}

void CautionsPanel::refresh() {
    const TestDay& day = m_document.day();
    const auto list = cautionsFor(day);
    std::vector<std::string> ids;
    for (const Caution& caution : list)
        ids.emplace_back(caution.id);
    std::vector<std::string> shown;
    for (const auto& [id, box] : m_boxes)
        shown.push_back(id);
    if (ids != shown) {
        for (const auto& [id, box] : m_boxes) {
            box->hide();
            box->deleteLater();
        }
        m_boxes.clear();
        while (QLayoutItem* item = m_list->takeAt(0))
            delete item;
        for (const Caution& caution : list) {
            auto* box = new WrappingBox(phrase("caution." + std::string(caution.id)), m_list->parentWidget());
            box->setObjectName(u"caution_"_s + QLatin1StringView(caution.id));
            const std::string id = caution.id;
            connect(box, &QCheckBox::clicked, this, [this, id](bool on) { tick(id, on); });
            m_list->addWidget(box);
            m_boxes.emplace_back(id, box);
        }
        m_list->addStretch(1);
    }
    for (const auto& [id, box] : m_boxes) {
        const auto tick = std::find_if(day.cautions.begin(), day.cautions.end(),
                                       [&, wanted = id](const CautionTick& one) { return one.id == wanted; });
        const bool ticked = tick != day.cautions.end();
        box->setChecked(ticked);
        box->setToolTip(ticked ? tr("Ticked by %1, %2").arg(qs(tick->who), qs(tick->when).left(16).replace(u'T', u' '))
                               : QString());
    }
    const size_t open = cautionsOpen(day).size();
    setWarning(m_state, open > 0);
    m_state->setText(open == 0 ? tr("all ticked") : tr("%1 open").arg(open));
}

} // namespace hillrun
