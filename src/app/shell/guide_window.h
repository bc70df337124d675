// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/guide.h"

#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBrowser>

namespace hillrun {

/// The guide in a window of its own that may stay open beside the work: topics and search at the left, what is said at
/// the right.
class GuideWindow : public QDialog {
    Q_OBJECT
public:
    GuideWindow(std::vector<GuideTopic> topics, QWidget* parent);
    void showTopic(const QString& id);
    [[nodiscard]] QString topic() const; ///< the one that is shown

private:
    void fillList();
    void markWords();
    void openLink(const QUrl& link);

    std::vector<GuideTopic> m_topics;
    QLineEdit* m_words = nullptr;
    QListWidget* m_list = nullptr;
    QTextBrowser* m_text = nullptr;
};

} // namespace hillrun
