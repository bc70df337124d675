// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/article_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/prepare/article_dialog.h"
#include "core/errors/data_error.h"
#include "formats/article_json.h"
#include "formats/day_store.h"

#include <algorithm>
#include <QRegularExpression>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString known(const std::optional<double>& value, const QString& pattern) {
    return value ? pattern.arg(qs(currentVoice().number(significant(*value, 6)))) : QString();
}

QString joined(QStringList parts) {
    parts.removeAll(QString());
    return parts.join(u", "_s);
}

/// Where power is measured, and whether it is carried towards the engine.
QString whereMeasured(const TestDay& day) {
    const QString at = placeTitles()[static_cast<int>(day.cell.measuredAt)];
    const QString to = placeTitles()[static_cast<int>(day.loss.to)];
    switch (day.loss.method) {
    case LossMethod::CoastDown:
        return QObject::tr("%1, carried to the %2 by coast-down").arg(at, to);
    case LossMethod::Percent:
        return QObject::tr("%1, carried to the %2 by %3 %").arg(at, to).arg(day.loss.percent);
    case LossMethod::None:
        break;
    }
    return QObject::tr("measured at the %1").arg(at);
}

} // namespace

QString articleWords(const TestDay& day) {
    const EngineCard& e = day.article.engine;
    const Vehicle& v = day.article.vehicle;
    const Fuel& f = day.article.fuel;
    QStringList gears;
    for (const double ratio : v.gears)
        gears << qs(currentVoice().number(significant(ratio, 6)));
    const QStringList lines{
        joined({known(e.displacement_cc, QObject::tr("%1 cc")),
                e.cylinders ? counted("count.cylinders", *e.cylinders) : QString(),
                aspirationTitles()[static_cast<int>(e.aspiration)],
                known(day.article.statedPower_kw, QObject::tr("stated %1 kW"))}),
        joined({fuelTitles()[static_cast<int>(f.kind)], qs(f.name), known(f.octane, QObject::tr("octane %1")),
                f.batch.empty() ? QString() : QObject::tr("batch %1").arg(qs(f.batch)),
                day.article.nitrous ? QObject::tr("nitrous") : QString()}),
        joined({known(v.mass_kg, QObject::tr("%1 kg")),
                gears.isEmpty() ? QString() : QObject::tr("gears %1").arg(gears.join(u" "_s)),
                known(v.finalDrive, QObject::tr("final drive %1")),
                known(e.redLine_rpm, QObject::tr("red line %1 rpm"))}),
        joined({qs(day.cell.name), cellKindTitles()[static_cast<int>(day.cell.kind)], whereMeasured(day)}),
    };
    QStringList out = lines;
    out.removeAll(QString());
    return out.join(u"\n"_s);
}

fs::path ArticleCards::fileOf(const QString& name) const {
    QString safe = name;
    safe.replace(QRegularExpression(u"[^\\w\\- ]"_s), u"_"_s);
    return m_folder / (safe.trimmed().toStdString() + ".json");
}

QStringList ArticleCards::names() const {
    QStringList out;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(m_folder, error))
        if (entry.path().extension() == ".json")
            out << qs(entry.path().stem().string());
    out.sort();
    return out;
}

void ArticleCards::keep(const Article& article) const {
    std::error_code error;
    fs::create_directories(m_folder, error);
    writeFileSafely(fileOf(qs(article.name)), articleCardText(article));
}

Article ArticleCards::read(const QString& name) const {
    const fs::path file = fileOf(name);
    return articleCardFrom(readFileText(file), file.string());
}

ArticlePanel::ArticlePanel(DayDocument& document, Dialogs& dialogs, ArticleCards cards, QWidget* parent)
    : QWidget(parent), m_document(document), m_dialogs(dialogs), m_cards(std::move(cards)) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Article and cell"), this);
    whole->addWidget(panel.frame);
    auto* cardsButton = new QPushButton(tr("Cards"), panel.frame);
    cardsButton->setObjectName(u"cardsButton"_s);
    cardsButton->setToolTip(tr("Articles kept for other days"));
    m_menu = new QMenu(cardsButton);
    m_menu->setObjectName(u"cardsMenu"_s);
    cardsButton->setMenu(m_menu);
    connect(m_menu, &QMenu::aboutToShow, this, &ArticlePanel::fillCards);
    auto* edit = new QPushButton(tr("Edit \u2026"), panel.frame);
    edit->setObjectName(u"editArticleButton"_s);
    edit->setToolTip(tr("Name, cell, engine, fuel, vehicle"));
    connect(edit, &QPushButton::clicked, this, &ArticlePanel::editArticle);
    panel.head->addWidget(cardsButton);
    panel.head->addWidget(edit);
    m_name = new PlainLabel(panel.frame);
    m_name->setObjectName(u"articleNameText"_s);
    m_name->setWordWrap(true);
    m_name->setStyleSheet(scaledSheet(u"font-size: 16px; font-weight: bold;"_s));
    m_words = quietLabel(u"articleText"_s, panel.frame);
    panel.column->addWidget(m_name);
    panel.column->addWidget(m_words);
    panel.column->addStretch(1);
    connect(&m_document, &DayDocument::dayChanged, this, &ArticlePanel::refresh);
    refresh();
}

void ArticlePanel::refresh() {
    const TestDay& day = m_document.day();
    m_name->setText(day.article.name.empty() ? tr("What is on the dyno?") : qs(day.article.name));
    m_words->setText(articleWords(day));
}

void ArticlePanel::fillCards() {
    m_menu->clear();
    for (const QString& name : m_cards.names())
        connect(m_menu->addAction(name), &QAction::triggered, this, [this, name] {
            try {
                const Article article = m_cards.read(name);
                m_document.edit(tr("Take the article from its card"), [&](TestDay& day) { day.article = article; });
            } catch (const DataError& error) {
                m_dialogs.showError(this, tr("This card could not be read"), errorText(error));
            }
        });
    if (!m_menu->isEmpty())
        m_menu->addSeparator();
    QAction* keep = m_menu->addAction(tr("Keep this article as a card"));
    keep->setObjectName(u"keepCard"_s);
    keep->setEnabled(!m_document.day().article.name.empty());
    connect(keep, &QAction::triggered, this, [this] {
        try {
            m_cards.keep(m_document.day().article);
        } catch (const DataError& error) {
            m_dialogs.showError(this, tr("The card could not be kept"), errorText(error));
        }
    });
}

void ArticlePanel::editArticle() {
    auto* dialog = new ArticleDialog(m_document.day(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] {
        const TestDay edited = dialog->edited();
        m_document.edit(tr("Change the article"), [&](TestDay& day) {
            day.name = edited.name;
            day.operatorName = edited.operatorName;
            day.note = edited.note;
            day.cell = edited.cell;
            day.article = edited.article;
            day.boostSchool = edited.boostSchool;
            day.loss = edited.loss;
        });
    });
    dialog->open();
}

} // namespace hillrun
