// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/guide_window.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"

#include <algorithm>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QImage>
#include <QTextCursor>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kTextWidth = 640;
constexpr int kMargin = 20;

/// Shows a topic's file: its keys as the reader's keyboard calls them, its pictures as wide as the text.
class GuideText : public QTextBrowser {
public:
    explicit GuideText(QWidget* parent) : QTextBrowser(parent) {
        setObjectName(u"guideText"_s);
        setAccessibleName(GuideWindow::tr("What the guide says"));
        setOpenLinks(false);
        document()->setDocumentMargin(px(kMargin));
        document()->setIndentWidth(px(kMargin));
        setMinimumWidth(px(kTextWidth + 3 * kMargin));
    }
    QVariant loadResource(int type, const QUrl& name) override {
        const QVariant out = QTextBrowser::loadResource(type, name);
        if (type == QTextDocument::MarkdownResource)
            return withNativeKeys(QString::fromUtf8(out.toByteArray())).toUtf8();
        if (type != QTextDocument::ImageResource)
            return out;
        const QImage picture = out.canConvert<QImage>() && !out.value<QImage>().isNull()
                                   ? out.value<QImage>()
                                   : QImage::fromData(out.toByteArray());
        return picture.scaledToWidth(std::min(picture.width(), px(kTextWidth)), Qt::SmoothTransformation);
    }
};

} // namespace

GuideWindow::GuideWindow(std::vector<GuideTopic> topics, QWidget* parent)
    : QDialog(parent, Qt::Window), m_topics(std::move(topics)) {
    setObjectName(u"guideWindow"_s);
    setWindowTitle(tr("Guide"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(QSize(px(960), px(720)).boundedTo(parent->size()));
    auto* left = new QVBoxLayout;
    left->setSpacing(px(8));
    m_words = new QLineEdit(this);
    m_words->setObjectName(u"guideWords"_s);
    m_words->setPlaceholderText(tr("Search the guide"));
    m_words->setAccessibleName(tr("Search the guide"));
    m_words->setClearButtonEnabled(true);
    m_list = new QListWidget(this);
    m_list->setObjectName(u"guideTopics"_s);
    m_list->setAccessibleName(tr("Topics"));
    m_words->setFixedWidth(px(220));
    m_list->setFixedWidth(px(220));
    left->addWidget(m_words);
    left->addWidget(m_list, 1);
    m_text = new GuideText(this);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(px(12), px(12), px(12), px(12));
    row->setSpacing(px(12));
    row->addLayout(left);
    row->addWidget(m_text, 1);
    connect(m_words, &QLineEdit::textChanged, this, &GuideWindow::fillList);
    connect(m_list, &QListWidget::currentItemChanged, this, [this](const QListWidgetItem* now) {
        if (now)
            showTopic(now->data(Qt::UserRole).toString());
    });
    connect(m_text, &QTextBrowser::anchorClicked, this, &GuideWindow::openLink);
    fillList();
}

/// The topics in which every word stands; without words all. The first one is shown unless the one on view is among
/// them.
void GuideWindow::fillList() {
    const QString shown = topic();
    const auto found = topicsWith(m_words->text(), m_topics);
    const QSignalBlocker quiet(m_list);
    m_list->clear();
    for (const GuideTopic& one : found)
        (new QListWidgetItem(one.title, m_list))->setData(Qt::UserRole, one.id);
    if (found.empty()) {
        auto* none = new QListWidgetItem(tr("Nothing is said of that."), m_list);
        none->setFlags(Qt::NoItemFlags);
        return markWords();
    }
    const bool stays = std::any_of(found.begin(), found.end(), [&](const GuideTopic& one) { return one.id == shown; });
    showTopic(stays && m_words->text().isEmpty() ? shown : found.front().id);
}

QString GuideWindow::topic() const { return QFileInfo(m_text->source().path()).completeBaseName(); }

void GuideWindow::showTopic(const QString& id) {
    const auto at = std::find_if(m_topics.begin(), m_topics.end(), [&](const GuideTopic& one) { return one.id == id; });
    if (at == m_topics.end())
        return;
    if (topic() != id)
        m_text->setSource(QUrl::fromLocalFile(at->file), QTextDocument::MarkdownResource);
    const QSignalBlocker quiet(m_list);
    m_list->setCurrentRow(-1);
    for (int row = 0; row < m_list->count(); ++row)
        if (m_list->item(row)->data(Qt::UserRole).toString() == id)
            m_list->setCurrentRow(row);
    markWords();
}

void GuideWindow::markWords() {
    QList<QTextEdit::ExtraSelection> marks;
    const QPalette& colours = palette();
    for (const QString& word : m_words->text().simplified().split(u' ', Qt::SkipEmptyParts))
        for (QTextCursor at = m_text->document()->find(word); !at.isNull(); at = m_text->document()->find(word, at)) {
            QTextEdit::ExtraSelection mark;
            mark.cursor = at;
            mark.format.setBackground(colours.color(QPalette::Highlight));
            mark.format.setForeground(colours.color(QPalette::HighlightedText));
            marks << mark;
        }
    m_text->setExtraSelections(marks);
    if (!marks.isEmpty()) {
        QTextCursor first = marks.front().cursor;
        first.clearSelection();
        m_text->setTextCursor(first);
        m_text->ensureCursorVisible();
    }
}

void GuideWindow::openLink(const QUrl& link) { showTopic(QFileInfo(link.path()).completeBaseName()); }

} // namespace hillrun
