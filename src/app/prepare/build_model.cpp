// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/build_model.h"

#include "app/look/plain_text.h"
#include "app/look/theme.h"
#include "app/look/typed_number.h"
#include "app/look/words.h"
#include "core/plan/design.h"
#include "formats/budget.h"

#include <algorithm>
#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr size_t kMostBuilds = 8;

const std::string* valueOf(const NamedValues& values, const std::string& name) {
    for (const auto& [key, value] : values)
        if (key == name)
            return &value;
    return nullptr;
}

/// An empty text takes the name out: "not noted".
void setValue(NamedValues& values, const std::string& name, const std::string& text) {
    const auto it = std::find_if(values.begin(), values.end(), [&](const auto& entry) { return entry.first == name; });
    if (it == values.end()) {
        if (!text.empty())
            values.emplace_back(name, text);
    } else if (text.empty()) {
        values.erase(it);
    } else {
        it->second = text;
    }
}

/// A cost or a mass, with its currency behind it; `good` is false for text that is no number.
NumberAndWord figureIn(const QString& text, bool& good) {
    if (text.isEmpty())
        return {};
    const NumberAndWord out = typedNumberAndWord(text);
    good = out.number && std::abs(*out.number) <= budget::kNumber;
    return out;
}

} // namespace

BuildModel::BuildModel(DayDocument& document, QObject* parent) : QAbstractTableModel(parent), m_document(document) {
    takeRows();
    connect(&m_document, &DayDocument::dayChanged, this, [this] {
        const auto before = m_rows;
        const int columns = m_columns;
        takeRows();
        if (before == m_rows && columns == m_columns) {
            if (!m_rows.empty() && m_columns > 0)
                Q_EMIT dataChanged(index(0, 0), index(rowCount() - 1, columnCount() - 1));
            Q_EMIT headerDataChanged(Qt::Horizontal, 0, std::max(0, m_columns - 1));
            return;
        }
        beginResetModel();
        endResetModel();
    });
}

void BuildModel::takeRows() {
    const TestDay& day = m_document.day();
    m_columns = static_cast<int>(day.builds.size());
    m_rows = {{Row::Name, {}}};
    auto add = [this](Row kind, const std::string& name) {
        const RowInfo row{kind, name};
        if (std::find(m_rows.begin(), m_rows.end(), row) == m_rows.end())
            m_rows.push_back(row);
    };
    for (const Build& build : day.builds)
        for (const auto& [name, value] : build.parts)
            add(Row::Part, name);
    for (const Build& build : day.builds)
        for (const auto& [name, value] : build.settings)
            add(Row::Setting, name);
    for (const Row kind : {Row::Cost, Row::Mass, Row::Note, Row::Attachments})
        m_rows.push_back({kind, {}});
}

int BuildModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() || m_columns == 0 ? 0 : static_cast<int>(m_rows.size());
}

int BuildModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : m_columns; }

BuildModel::Row BuildModel::kindOf(int row) const { return m_rows[static_cast<size_t>(row)].kind; }
std::string BuildModel::nameOf(int row) const { return m_rows[static_cast<size_t>(row)].name; }

QString BuildModel::text(const Build& build, const RowInfo& row) const {
    const auto known = [](const std::optional<double>& v) { return v ? QString::number(*v) : QString(); };
    switch (row.kind) {
    case Row::Name:
        return qs(build.name);
    case Row::Part:
    case Row::Setting: {
        const std::string* value = valueOf(row.kind == Row::Part ? build.parts : build.settings, row.name);
        return value ? qs(*value) : QString();
    }
    case Row::Cost:
        return build.cost ? u"%1 %2"_s.arg(known(build.cost), qs(build.currency)).trimmed() : QString();
    case Row::Mass:
        return build.mass_kg ? u"%1 kg"_s.arg(known(build.mass_kg)) : QString();
    case Row::Note:
        return qs(build.note);
    case Row::Attachments: {
        QStringList names;
        for (const std::string& file : build.attachments)
            names << qs(file).section(u'/', -1);
        return names.join(u", "_s);
    }
    }
    return {};
}

QVariant BuildModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= rowCount() || index.column() >= m_columns)
        return {};
    const TestDay& day = m_document.day();
    const auto column = static_cast<size_t>(index.column());
    if (column >= day.builds.size())
        return {};
    const RowInfo& row = m_rows[static_cast<size_t>(index.row())];
    const QString own = text(day.builds[column], row);
    switch (role) {
    case Qt::DisplayRole:
    case Qt::EditRole:
    case Qt::ToolTipRole:
        return plainTip(own);
    case DiffersRole:
        return (row.kind == Row::Part || row.kind == Row::Setting) && column > 0 && own != text(day.builds[0], row);
    case BuildRole:
        return index.column();
    default:
        return {};
    }
}

bool BuildModel::setData(const QModelIndex& index, const QVariant& value, int role) {
    if (role != Qt::EditRole || !index.isValid())
        return false;
    const RowInfo row = m_rows[static_cast<size_t>(index.row())];
    const auto column = static_cast<size_t>(index.column());
    const QString text = value.toString().trimmed();
    bool good = true;
    const auto figure = row.kind == Row::Cost || row.kind == Row::Mass ? figureIn(text, good) : NumberAndWord();
    if (!good)
        return false;
    const QString what = row.name.empty() ? headerData(index.row(), Qt::Vertical).toString() : qs(row.name);
    m_document.edit(tr("Change %1 of %2").arg(what, qs(m_document.day().builds[column].id)), [&](TestDay& day) {
        Build& build = day.builds[column];
        switch (row.kind) {
        case Row::Name:
            build.name = text.toStdString();
            break;
        case Row::Part:
            setValue(build.parts, row.name, text.toStdString());
            break;
        case Row::Setting:
            setValue(build.settings, row.name, text.toStdString());
            break;
        case Row::Cost:
            build.cost = figure.number;
            if (figure.number && !figure.word.isEmpty())
                build.currency = figure.word.toStdString();
            else if (figure.number && build.currency.empty())
                build.currency = "EUR";
            break;
        case Row::Mass:
            build.mass_kg = figure.number;
            break;
        case Row::Note:
            build.note = text.toStdString();
            break;
        case Row::Attachments:
            break;
        }
    });
    return true;
}

QVariant BuildModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (role != Qt::DisplayRole)
        return {};
    const TestDay& day = m_document.day();
    if (orientation == Qt::Horizontal) {
        if (section < 0 || section >= static_cast<int>(day.builds.size()))
            return {};
        const Build& build = day.builds[static_cast<size_t>(section)];
        return u"%1 \u00B7 %2"_s.arg(qs(build.id), qs(changesPhrase(day, build)));
    }
    if (section < 0 || section >= static_cast<int>(m_rows.size()))
        return {};
    const RowInfo& row = m_rows[static_cast<size_t>(section)];
    switch (row.kind) {
    case Row::Name:
        return tr("Name");
    case Row::Part:
    case Row::Setting: {
        const QString name = QString(qs(row.name)).replace(u'_', u' ');
        const QString acts = phrase("role_title." + std::string(partRoleName(roleOf(day, row.name))));
        return name == acts ? name : u"%1 \u00B7 %2"_s.arg(name, acts);
    }
    case Row::Cost:
        return tr("Cost");
    case Row::Mass:
        return tr("Mass");
    case Row::Note:
        return tr("Note");
    case Row::Attachments:
        return tr("Attached");
    }
    return {};
}

Qt::ItemFlags BuildModel::flags(const QModelIndex& index) const {
    if (!index.isValid())
        return Qt::NoItemFlags;
    const Qt::ItemFlags usual = Qt::ItemIsEnabled | Qt::ItemIsSelectable;
    return kindOf(index.row()) == Row::Attachments ? usual : usual | Qt::ItemIsEditable;
}

void BuildModel::addBuild(int copyOf) {
    const TestDay& day = m_document.day();
    if (day.builds.size() >= kMostBuilds)
        return;
    char id = 'A';
    while (findBuild(day, std::string(1, id)))
        ++id;
    m_document.edit(tr("Add build %1").arg(QChar::fromLatin1(id)), [&](TestDay& edited) {
        Build build;
        if (copyOf >= 0 && copyOf < m_columns)
            build = edited.builds[static_cast<size_t>(copyOf)];
        build.id = std::string(1, id);
        build.name.clear();
        build.note.clear();
        build.attachments.clear();
        edited.builds.push_back(build);
    });
}

bool BuildModel::mayRemoveBuild(int column) const {
    const TestDay& day = m_document.day();
    if (column <= 0 || column >= m_columns)
        return false;
    const std::string& id = day.builds[static_cast<size_t>(column)].id;
    return std::none_of(day.pulls.begin(), day.pulls.end(), [&](const Pull& pull) { return pull.build == id; });
}

void BuildModel::removeBuild(int column) {
    if (!mayRemoveBuild(column))
        return;
    const std::string id = m_document.day().builds[static_cast<size_t>(column)].id;
    m_document.edit(tr("Remove build %1").arg(qs(id)), [&](TestDay& day) {
        std::erase_if(day.builds, [&](const Build& build) { return build.id == id; });
        if (std::erase(day.plan.order, id) > 0) {
            day.plan.design.clear();
            day.plan.refits.clear();
        }
        std::erase_if(day.plan.pairs, [&](const auto& pair) { return pair.first == id || pair.second == id; });
    });
}

void BuildModel::addRow(bool part, const QString& name) {
    const std::string key = name.trimmed().toStdString();
    if (key.empty() || m_columns == 0)
        return;
    m_document.edit(tr("Add %1").arg(name.trimmed()), [&](TestDay& day) {
        NamedValues& values = part ? day.builds[0].parts : day.builds[0].settings;
        if (!valueOf(values, key))
            values.emplace_back(key, "standard");
        for (size_t i = 1; i < day.builds.size(); ++i) {
            NamedValues& others = part ? day.builds[i].parts : day.builds[i].settings;
            if (!valueOf(others, key))
                others.emplace_back(key, "standard");
        }
    });
}

std::optional<PartRole> BuildModel::roleOfRow(int row) const {
    if (!mayRemoveRow(row))
        return std::nullopt;
    return roleOf(m_document.day(), nameOf(row));
}

void BuildModel::setRole(int row, PartRole role) {
    if (!mayRemoveRow(row))
        return;
    const std::string name = nameOf(row);
    m_document.edit(tr("Say that %1 is %2").arg(qs(name), phrase("role_title." + std::string(partRoleName(role)))),
                    [&](TestDay& day) {
                        if (role == guessedRole(name))
                            day.partRoles.erase(name);
                        else
                            day.partRoles[name] = role;
                    });
}

bool BuildModel::mayRemoveRow(int row) const {
    return row >= 0 && row < rowCount() && (kindOf(row) == Row::Part || kindOf(row) == Row::Setting);
}

void BuildModel::removeRow(int row) {
    if (!mayRemoveRow(row))
        return;
    const RowInfo gone = m_rows[static_cast<size_t>(row)];
    m_document.edit(tr("Remove %1").arg(qs(gone.name)), [&](TestDay& day) {
        for (Build& build : day.builds)
            std::erase_if(gone.kind == Row::Part ? build.parts : build.settings,
                          [&](const auto& entry) { return entry.first == gone.name; });
    });
}

void BuildModel::attach(int column, const std::vector<std::string>& files) {
    if (column < 0 || column >= m_columns || files.empty())
        return;
    m_document.edit(tr("Attach to %1").arg(qs(m_document.day().builds[static_cast<size_t>(column)].id)),
                    [&](TestDay& day) {
                        auto& attached = day.builds[static_cast<size_t>(column)].attachments;
                        attached.insert(attached.end(), files.begin(), files.end());
                    });
}

} // namespace hillrun
