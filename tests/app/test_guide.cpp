// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The guide says what the window does: its pages, keys and words are those of the window, in every language.

#include "app/shell/guide_window.h"
#include "app_support.h"

#include <QFile>
#include <QFileInfo>
#include <QRegularExpression>
#include <QTextDocument>
#include <QXmlStreamReader>
#include <set>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

QString markdownOf(const GuideTopic& topic) {
    QFile in(topic.file);
    REQUIRE(in.open(QIODevice::ReadOnly));
    return QString::fromUtf8(in.readAll());
}

QStringList allOf(const char16_t* pattern, const QString& text) {
    QStringList out;
    for (auto it = QRegularExpression(QString::fromUtf16(pattern)).globalMatch(text); it.hasNext();)
        out << it.next().captured(1);
    return out;
}

QString plain(QString text) { return text.remove(u" \u2026"_s).replace(QChar(0x00A0), u' ').trimmed(); }

/// Every text that the window can say in a language, from its catalogue.
std::set<QString> windowTexts(Language language) {
    const bool english = language == Language::English;
    const QString code = QLatin1StringView(english ? "de" : languageCode(language));
    QFile in(qEnvironmentVariable("HILLRUN_SOURCE", u"src"_s) + u"/app/look/window.%1.ts"_s.arg(code));
    REQUIRE(in.open(QIODevice::ReadOnly));
    QXmlStreamReader xml(&in);
    std::set<QString> out;
    while (!xml.atEnd())
        if (xml.readNext() == QXmlStreamReader::StartElement &&
            xml.name() == (english ? QStringView(u"source") : QStringView(u"translation")))
            out.insert(plain(xml.readElementText(QXmlStreamReader::IncludeChildElements)));
    return out;
}

} // namespace

TEST_CASE("the guide has a topic for every page, the same ones in every language") {
    std::vector<QString> first;
    for (const Language language : kLanguages) {
        std::vector<QString> ids;
        for (const GuideTopic& topic : guideTopics(language)) {
            INFO(languageCode(language) << " " << topic.id.toStdString());
            CHECK(topic.title.size() > 3);
            CHECK(topic.text.size() > 300);
            ids.push_back(topic.id);
        }
        for (const PageSpec& page : everyPage())
            CHECK(std::find(ids.begin(), ids.end(), QString::fromStdString(std::string(page.id))) != ids.end());
        if (first.empty())
            first = ids;
        CHECK(ids == first);
    }
    CHECK(first.size() == 13);
}

TEST_CASE("every link and picture of the guide is there, every key and every word of the window is the window's") {
    OpenWindow w(test::kNoDay);
    std::set<QString> keys;
    for (const QAction* action : w.window->registry().all())
        for (const QKeySequence& one : action->shortcuts())
            keys.insert(one.toString(QKeySequence::PortableText));
    for (const WidgetKeys& some : w.window->registry().widgetKeys())
        for (const QKeySequence& one : some.keys)
            keys.insert(one.toString(QKeySequence::PortableText));
    int links = 0, pictures = 0, words = 0, named = 0;
    for (const Language language : kLanguages) {
        const std::set<QString> texts = windowTexts(language);
        for (const GuideTopic& topic : guideTopics(language)) {
            const QString text = markdownOf(topic);
            INFO(topic.file.toStdString());
            for (const QString& target : allOf(uR"(\]\(([^)]*)\))", text)) {
                INFO(target.toStdString());
                CHECK(QFile::exists(QFileInfo(topic.file).path() + u'/' + target));
                (target.endsWith(u".png"_s) ? pictures : links)++;
            }
            for (const QString& key : allOf(u"`([^`]+)`", text)) {
                INFO(key.toStdString());
                CHECK(keys.contains(key));
                ++named;
            }
            for (const QString& word : allOf(uR"(\*\*(.+?)\*\*)", text)) {
                INFO(word.toStdString());
                CHECK(texts.contains(plain(word)));
                ++words;
            }
        }
    }
    CHECK(links > 30);
    CHECK(pictures > 20);
    CHECK(named > 100);
    CHECK(words > 60);
}

TEST_CASE("F1 opens the guide at the page that is shown; links, search and the list lead through it") {
    OpenWindow w(test::kNoDay);
    w.window->showPage("check");
    QTest::keyClick(w.window.get(), Qt::Key_F1);
    auto* guide = w.find<GuideWindow>("guideWindow");
    auto* text = w.find<QTextBrowser>("guideText");
    auto* list = w.find<QListWidget>("guideTopics");
    CHECK(guide->topic() == u"check"_s);
    CHECK(text->toPlainText().startsWith(u"Check"_s));
    CHECK(list->count() == 13);
    CHECK(list->currentItem()->text() == u"Check"_s);
    w.window->showPage("pull");
    w.trigger("help.guide"); // the same window, at the other page
    CHECK(w.window->findChildren<GuideWindow*>().size() == 1);
    CHECK(guide->topic() == u"pull"_s);
    Q_EMIT text->anchorClicked(QUrl(u"numbers.md"_s));
    CHECK(guide->topic() == u"numbers"_s);
    list->setCurrentRow(0);
    CHECK(guide->topic() == u"start"_s);
    auto* words = w.find<QLineEdit>("guideWords");
    QTest::keyClicks(words, u"wet bulb"_s);
    REQUIRE(list->count() == 1);
    CHECK(guide->topic() == u"bench"_s);
    CHECK(text->extraSelections().size() >= 2);
    words->setText(u"xyzzy"_s);
    REQUIRE(list->count() == 1);
    CHECK(list->item(0)->flags() == Qt::NoItemFlags);
    CHECK(text->extraSelections().isEmpty());
    words->clear();
    CHECK(list->count() == 13);
    CHECK(guide->topic() == u"bench"_s); // where one was
}

TEST_CASE("keys are called as the reader's keyboard calls them, whatever stands on them") {
    CHECK(withNativeKeys(u"`Ctrl+Z` and `[` or `]`."_s) ==
          u"**%1** and **\\[** or **\\]**."_s.arg(QKeySequence(u"Ctrl+Z"_s).toString(QKeySequence::NativeText)));
    QTextDocument document;
    document.setMarkdown(withNativeKeys(u"press `[` and `]`, or `Ctrl+?`."_s));
    CHECK(document.toPlainText() == u"press [ and ], or Ctrl+?."_s);
    CHECK(withNativeKeys(u"no keys"_s) == u"no keys"_s);
}

TEST_CASE("the search wants every word and puts the topic that says most first") {
    const std::vector<GuideTopic> topics{{u"a"_s, u"A"_s, {}, u"drift and band"_s},
                                         {u"b"_s, u"B"_s, {}, u"Drift, drift, and more drift; bands"_s},
                                         {u"c"_s, u"C"_s, {}, u"band"_s}};
    const auto ids = [&](const QString& words) {
        QString out;
        for (const GuideTopic& topic : topicsWith(words, topics))
            out += topic.id;
        return out;
    };
    CHECK(ids({}) == u"abc"_s);
    CHECK(ids(u"drift"_s) == u"ba"_s);
    CHECK(ids(u"band  DRIFT"_s) == u"ba"_s);
    CHECK(ids(u"band"_s) == u"abc"_s);
    CHECK(ids(u"drift air"_s).isEmpty());
}
