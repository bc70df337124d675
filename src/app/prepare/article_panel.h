// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"
#include "app/shell/dialogs.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>

namespace hillrun {

/// Articles kept as cards, one file each, to be used on other days.
class ArticleCards {
public:
    explicit ArticleCards(std::filesystem::path folder) : m_folder(std::move(folder)) {}
    /// Names of the cards, sorted.
    [[nodiscard]] QStringList names() const;
    /// Throws DataError.
    void keep(const Article& article) const;
    [[nodiscard]] Article read(const QString& name) const;

private:
    [[nodiscard]] std::filesystem::path fileOf(const QString& name) const;
    std::filesystem::path m_folder;
};

/// Edits name, cell and article of a day: what is on the dyno, and on which.
class ArticleDialog : public QDialog {
    Q_OBJECT
public:
    ArticleDialog(const TestDay& day, QWidget* parent);
    /// The day with what was typed.
    [[nodiscard]] TestDay edited() const;

private:
    QWidget* makeDay();
    QWidget* makeEngine();
    QWidget* makeVehicle();
    void fill(const TestDay& day);
    QLineEdit* line(const QString& name, const QString& label);
    QComboBox* choice(const QString& name, const QString& label, const QStringList& items);
    NumberField* number(const QString& name, const QString& label, double low, double high, int decimals,
                        const QString& unit);

    TestDay m_day;
    QLineEdit *m_name, *m_operator, *m_note, *m_cellName, *m_article, *m_fuelName, *m_fuelBatch, *m_gears;
    QComboBox *m_kind, *m_measuredAt, *m_sweep, *m_aspiration, *m_ignition, *m_strokes, *m_fuel;
    QCheckBox* m_nitrous;
    NumberField *m_altitude, *m_rollerLimit, *m_rollerInertia, *m_displacement, *m_cylinders, *m_strokeLength,
        *m_redLine, *m_limiter, *m_power, *m_octane, *m_mass, *m_tyre, *m_finalDrive, *m_speedLimit, *m_tyreLimit;
};

/// The article in one block, with the way to change it and the cards.
class ArticlePanel : public QWidget {
    Q_OBJECT
public:
    ArticlePanel(DayDocument& document, Dialogs& dialogs, ArticleCards cards, QWidget* parent = nullptr);
    void editArticle();

private:
    void fillCards();
    void refresh();
    DayDocument& m_document;
    Dialogs& m_dialogs;
    ArticleCards m_cards;
    QLabel* m_name = nullptr;
    QLabel* m_words = nullptr;
    QMenu* m_menu = nullptr;
};

/// "1170 cc, 2 cylinders, natural, petrol ..." : what is known of the article and the cell, line by line.
QString articleWords(const TestDay& day);

} // namespace hillrun
