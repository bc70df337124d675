// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/pull_model.h"
#include "app/look/plain_text.h"

#include "app/check/findings.h"
#include "app/look/words.h"

#include <cmath>
#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

bool hasWarning(const PullResult& result) {
    return result.curve &&
           std::any_of(result.events.begin(), result.events.end(), [](const Event& event) { return !isRemark(event); });
}

} // namespace

PullModel::PullModel(DayDocument& document, Selection& selection, QObject* parent)
    : QAbstractTableModel(parent), m_document(document), m_selection(selection) {
    connect(&m_document, &DayDocument::dayChanged, this, &PullModel::rebuild);
    const auto refresh = [this] {
        if (rowCount() > 0)
            Q_EMIT dataChanged(index(0, 0), index(rowCount() - 1, ColumnCount - 1));
    };
    connect(&m_document, &DayDocument::analysisReady, this, refresh);
    connect(&m_selection, &Selection::viewChanged, this, refresh);
    rebuild();
}

void PullModel::rebuild() {
    const DayClock clock = dayClock(m_document.day());
    if (clock.order == m_order && setNumbers(m_document.day(), clock) == m_sets) {
        if (rowCount() > 0)
            Q_EMIT dataChanged(index(0, 0), index(rowCount() - 1, ColumnCount - 1));
        return;
    }
    beginResetModel();
    m_order = clock.order;
    m_sets = setNumbers(m_document.day(), clock);
    endResetModel();
}

std::string PullModel::pullAt(int row) const {
    if (row < 0 || row >= rowCount())
        return {};
    return m_document.day().pulls[m_order[static_cast<size_t>(row)]].id;
}

int PullModel::rowOf(const std::string& pull) const {
    for (int row = 0; row < rowCount(); ++row)
        if (pullAt(row) == pull)
            return row;
    return -1;
}

int PullModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(std::min(m_order.size(), m_document.day().pulls.size()));
}

int PullModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QString PullModel::cell(const Pull& pull, const PullResult* result, int column) const {
    const bool fitted = result && result->bandMean_w > 0.0; // not a curve that stands aside
    switch (column) {
    case Name:
        return u"%1  %2"_s.arg(qs(pull.build), qs(pull.id));
    case Time:
        return pull.started.size() >= 16 ? qs(pull.started.substr(11, 5)) : u"\u2013"_s;
    case Mean:
        return fitted ? powerFigure(result->bandMean_w, m_selection.units()) : u"\u2013"_s;
    case FromSet:
        return fitted ? percentText(result->differenceFromSet_pct) : u"\u2013"_s;
    case Remarks: {
        QStringList remarks;
        if (pull.refitted)
            remarks << tr("fitted again");
        if (const QString found = remarksOf(result); !found.isEmpty())
            remarks << found;
        return remarks.join(u"; "_s);
    }
    default:
        return {};
    }
}

QVariant PullModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= rowCount())
        return {};
    const auto row = static_cast<size_t>(index.row());
    const TestDay& day = m_document.day();
    const Pull& pull = day.pulls[m_order[row]];
    const auto analysis = m_document.analysis();
    const bool fits = analysis && m_order[row] < analysis->pulls.size() && analysis->pulls[m_order[row]].id == pull.id;
    const PullResult* result = fits ? &analysis->pulls[m_order[row]] : nullptr;
    switch (role) {
    case Qt::DisplayRole:
        return cell(pull, result, index.column());
    case Qt::ToolTipRole:
        return index.column() == Remarks ? plainTip(cell(pull, result, Remarks)) : QString();
    case Qt::TextAlignmentRole:
        return QVariant::fromValue(
            Qt::AlignVCenter | (index.column() == Name || index.column() == Remarks ? Qt::AlignLeft : Qt::AlignRight));
    case Qt::FontRole:
        return index.column() == Remarks ? fonts::text(11) : fonts::numbers(12);
    case BuildRole:
        return static_cast<int>(buildNumber(day, pull.build));
    case UsedRole:
        return result ? result->used : pull.use;
    case NewSetRole:
        return row > 0 && m_sets[m_order[row]] != m_sets[m_order[row - 1]];
    case FlaggedRole:
        return result && result->used &&
               (!result->flags.empty() || hasWarning(*result) || !analysis->doubtsAbout(result->id).empty());
    default:
        return {};
    }
}

QVariant PullModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal)
        return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(Qt::AlignVCenter |
                                   (section == Name || section == Remarks ? Qt::AlignLeft : Qt::AlignRight));
    if (role != Qt::DisplayRole)
        return {};
    const QString names[] = {tr("pull"), tr("time"), tr("mean"), tr("from set"), tr("remarks")};
    return section >= 0 && section < ColumnCount ? names[section] : QString();
}

void PullDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const Theme& t = m_look.theme();
    QStyleOptionViewItem shifted = option;
    const bool used = index.data(PullModel::UsedRole).toBool();
    shifted.palette.setColor(QPalette::Text, used ? t.ink : t.quietInk);
    if (option.state.testFlag(QStyle::State_Selected))
        paintChosen(*painter, option.rect, t);
    if (index.column() == PullModel::Name) {
        const QColor colour = t.build(index.data(PullModel::BuildRole).toUInt());
        const QRectF box(option.rect.left() + 6, option.rect.center().y() - 6, 9, 13);
        painter->setPen(QPen(colour, 1.5));
        painter->setBrush(used ? QBrush(colour) : Qt::NoBrush);
        painter->drawRect(box);
        shifted.rect.adjust(18, 0, 0, 0);
    }
    if (index.column() == PullModel::Remarks && index.data(PullModel::FlaggedRole).toBool())
        shifted.palette.setColor(QPalette::Text, t.warning);
    painter->setPen(shifted.palette.color(QPalette::Text));
    painter->setFont(index.data(Qt::FontRole).value<QFont>());
    const auto alignment = index.data(Qt::TextAlignmentRole).value<Qt::Alignment>();
    const QRect room = shifted.rect.adjusted(6, 0, -6, 0);
    painter->drawText(room, static_cast<int>(alignment),
                      painter->fontMetrics().elidedText(index.data().toString(), Qt::ElideRight, room.width()));
    if (index.data(PullModel::NewSetRole).toBool()) {
        painter->setPen(QPen(t.quietInk, 1));
        painter->drawLine(option.rect.topLeft(), option.rect.topRight());
    }
}

} // namespace hillrun
