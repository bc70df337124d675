// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/frame/dialogs.h"
#include "app/look/fields.h"

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
