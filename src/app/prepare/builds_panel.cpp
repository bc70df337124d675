// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/builds_panel.h"

#include "app/look/fields.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/day_store.h"

#include <QHeaderView>
#include <QLineEdit>
#include <QPainter>
#include <QScrollBar>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kLeastRows = 4; ///< of the table that are shown without scrolling in it
constexpr int kMostRows = 7;

} // namespace

void BuildDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const Theme& t = m_look.theme();
    const bool differs = index.data(BuildModel::DiffersRole).toBool();
    if (option.state.testFlag(QStyle::State_Selected))
        paintChosen(*painter, option.rect, t);
    const QColor colour = t.build(index.data(BuildModel::BuildRole).toUInt());
    if (differs)
        painter->fillRect(QRect(option.rect.left(), option.rect.top() + 3, 3, option.rect.height() - 6), colour);
    painter->setFont(fonts::text(13, differs));
    painter->setPen(t.ink);
    QString text = index.data().toString();
    if (text.isEmpty()) {
        painter->setPen(t.quietInk);
        text = u"\u2013"_s;
    }
    const QRect room = option.rect.adjusted(10, 0, -6, 0);
    painter->drawText(room, Qt::AlignVCenter | Qt::AlignLeft,
                      painter->fontMetrics().elidedText(text, Qt::ElideRight, room.width()));
}

void BuildDelegate::setModelData(QWidget* editor, QAbstractItemModel* model, const QModelIndex& index) const {
    const QString text = editor->property("text").toString();
    if (!model->setData(index, text))
        Q_EMIT refused(index, text);
}

BuildsPanel::BuildsPanel(DayDocument& document, Look& look, Dialogs& dialogs, QWidget* parent)
    : QWidget(parent), m_document(document), m_dialogs(dialogs) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Builds"), this);
    whole->addWidget(panel.frame);
    m_model = new BuildModel(document, this);
    auto button = [&](const QString& name, const QString& text, const QString& tip, auto run) {
        auto* out = new QPushButton(text, panel.frame);
        out->setObjectName(name);
        out->setToolTip(tip);
        connect(out, &QPushButton::clicked, this, run);
        panel.head->addWidget(out);
        return out;
    };
    button(u"addBuildButton"_s, tr("Add build"), tr("A copy of the build that is selected"),
           [this] { m_model->addBuild(m_table->currentIndex().isValid() ? m_table->currentIndex().column() : 0); });
    button(u"addPartButton"_s, tr("Add part"), tr("A row for a part"), [this] { addRow(true); });
    button(u"addSettingButton"_s, tr("Add setting"), tr("A row for a setting"), [this] { addRow(false); });
    m_role = new QComboBox(panel.frame);
    m_role->setObjectName(u"roleChoice"_s);
    m_role->setAccessibleName(tr("What this part or setting acts on"));
    m_role->setToolTip(tr("What the selected part or setting acts on. Guessed from its name; it tells which other "
                          "differences it explains: jets the mixture, boost the pressures."));
    for (const PartRole role : partRoles())
        m_role->addItem(phrase("role_title." + std::string(partRoleName(role))));
    m_role->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_role->setMinimumContentsLength(7);
    panel.head->addWidget(m_role);
    connect(m_role, &QComboBox::activated, this, [this](int index) {
        m_model->setRole(m_table->currentIndex().row(), partRoles()[static_cast<size_t>(index)]);
    });
    m_attach = button(u"attachButton"_s, tr("Attach \u2026"), tr("Photos, sound or sheets to the selected build"),
                      [this] { attach(); });
    m_removeRow = button(u"removeRowButton"_s, tr("Remove row"), tr("Take this part or setting out of every build"),
                         [this] { m_model->removeRow(m_table->currentIndex().row()); });
    m_removeBuild = button(u"removeBuildButton"_s, tr("Remove build"), tr("Only builds without pulls can go"),
                           [this] { m_model->removeBuild(m_table->currentIndex().column()); });
    m_table = new QTableView(panel.frame);
    m_table->setObjectName(u"buildTable"_s);
    m_table->setAccessibleName(tr("Builds and what differs between them"));
    m_table->setModel(m_model);
    auto* delegate = new BuildDelegate(look, m_table);
    m_table->setItemDelegate(delegate);
    connect(delegate, &BuildDelegate::refused, this, &BuildsPanel::editAgain, Qt::QueuedConnection);
    m_table->setSelectionMode(QAbstractItemView::SingleSelection);
    m_table->setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed |
                             QAbstractItemView::AnyKeyPressed);
    m_table->verticalHeader()->setDefaultSectionSize(px(26));
    m_table->verticalHeader()->setMinimumWidth(px(96));
    m_table->verticalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    m_table->horizontalHeader()->setMinimumSectionSize(px(136));
    m_table->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    m_table->horizontalHeader()->setHighlightSections(false);
    m_table->verticalHeader()->setHighlightSections(false);
    m_table->setTabKeyNavigation(false);
    m_table->setFrameShape(QFrame::NoFrame);
    m_table->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    panel.column->addWidget(m_table, 1);
    connect(m_table->selectionModel(), &QItemSelectionModel::currentChanged, this, &BuildsPanel::refresh);
    connect(m_model, &QAbstractItemModel::modelReset, this, &BuildsPanel::refresh);
    connect(&m_document, &DayDocument::dayChanged, this, &BuildsPanel::refresh);
    connect(&look, &Look::changed, m_table->viewport(), qOverload<>(&QWidget::update));
    refresh();
}

/// So high that it ends with a whole row.
void BuildsPanel::fitTable() {
    const QHeaderView& columns = *m_table->horizontalHeader();
    const int rows = std::clamp(m_model->rowCount(), kLeastRows, kMostRows);
    int height = columns.sizeHint().height() + rows * m_table->verticalHeader()->defaultSectionSize();
    if (columns.count() * columns.minimumSectionSize() > m_table->viewport()->width())
        height += m_table->horizontalScrollBar()->sizeHint().height();
    m_table->setMinimumHeight(height);
}

void BuildsPanel::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    fitTable(); // its columns may fit now, or no longer
}

void BuildsPanel::refresh() {
    fitTable();
    const QModelIndex now = m_table->currentIndex();
    m_removeBuild->setEnabled(now.isValid() && m_model->mayRemoveBuild(now.column()));
    m_removeRow->setEnabled(now.isValid() && m_model->mayRemoveRow(now.row()));
    m_attach->setEnabled(now.isValid());
    const auto role = now.isValid() ? m_model->roleOfRow(now.row()) : std::nullopt;
    m_role->setEnabled(role.has_value());
    const auto roles = partRoles();
    m_role->setCurrentIndex(role ? static_cast<int>(std::find(roles.begin(), roles.end(), *role) - roles.begin())
                                 : m_role->count() - 1);
}

/// What the model did not take stays in its cell, marked, until it is put right or taken back with Escape.
void BuildsPanel::editAgain(const QModelIndex& index, const QString& text) {
    m_table->setCurrentIndex(index);
    m_table->edit(index);
    auto* editor = m_table->viewport()->findChild<QLineEdit*>();
    if (!editor)
        return;
    editor->setText(text);
    setWrong(editor, tr("not taken: a number is wanted here, such as 12.5"));
}

void BuildsPanel::addRow(bool part) {
    const auto name = m_dialogs.askText(this, part ? tr("Add a part") : tr("Add a setting"),
                                        part ? tr("Name of the part, such as “collector\u201D")
                                             : tr("Name of the setting, such as \u201Cignition map\u201D"),
                                        {});
    if (name)
        m_model->addRow(part, *name);
}

/// Files are copied into the day's folder at once; only their names are an edit.
void BuildsPanel::attach() {
    const int column = m_table->currentIndex().column();
    if (m_document.path().empty() || isZipPath(m_document.path())) {
        m_dialogs.showError(this, tr("Nothing was attached"),
                            tr("Save the day as a folder first: attachments live in it."));
        return;
    }
    if (!m_document.mayEdit())
        return;
    const fs::path folder = fs::is_directory(m_document.path()) ? m_document.path() : m_document.path().parent_path();
    std::vector<std::string> names;
    for (const QString& file : m_dialogs.askAttachments(this)) {
        const fs::path from(file.toStdString());
        fs::path to = folder / "attachments" / from.filename();
        for (int n = 2; fs::exists(to); ++n)
            to = folder / "attachments" / (from.stem().string() + "-" + std::to_string(n) + from.extension().string());
        std::error_code error;
        fs::create_directories(to.parent_path(), error);
        fs::copy_file(from, to, error);
        if (error) {
            m_dialogs.showError(this, tr("A file was not attached"), qs(from.string() + ": " + error.message()));
            continue;
        }
        names.push_back("attachments/" + to.filename().string());
    }
    m_model->attach(column, names);
}

} // namespace hillrun
