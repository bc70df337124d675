// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/guide.h"

#include <algorithm>
#include <QCoreApplication>
#include <QDir>
#include <QKeySequence>
#include <QRegularExpression>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr const char* kOrder[] = {"start",  "prepare", "pull",  "check",  "compare", "credit", "road",
                                  "report", "logbook", "bench", "import", "numbers", "files"};

/// Beside an installed program, else in the tree that was built.
QString folderOf(Language language) {
    const QString here = QCoreApplication::applicationDirPath();
    for (const char* place : {"/../share/hillrun/guide/", "/../../docs/guide/"}) {
        const QString folder = here + QLatin1StringView(place) + QLatin1StringView(languageCode(language));
        if (QDir(folder).exists())
            return QDir::cleanPath(folder);
    }
    return {};
}

GuideTopic topicOf(const QString& id, const QString& file) {
    GuideTopic out{id, id, file, {}};
    QFile in(file);
    if (!in.open(QIODevice::ReadOnly))
        return out;
    const QString markdown = QString::fromUtf8(in.readAll());
    out.title = markdown.section(u'\n', 0, 0).remove(QRegularExpression(u"^#+ *"_s));
    static const QRegularExpression picture(uR"(!\[[^\]]*\]\([^)]*\))"_s);
    static const QRegularExpression target(uR"(\]\([^)]*\))"_s);
    static const QRegularExpression marks(u"[*`#\\[]"_s);
    out.text = QString(markdown).remove(picture).remove(target).remove(marks);
    return out;
}

} // namespace

std::vector<GuideTopic> guideTopics(Language language) {
    std::vector<GuideTopic> out;
    const QString folder = folderOf(language);
    for (const char* id : kOrder) {
        const QString file = folder + u'/' + QLatin1StringView(id) + u".md"_s;
        if (!folder.isEmpty() && QFile::exists(file))
            out.push_back(topicOf(QLatin1StringView(id), file));
    }
    return out;
}

std::vector<GuideTopic> topicsWith(const QString& words, const std::vector<GuideTopic>& topics) {
    const QStringList wanted = words.simplified().split(u' ', Qt::SkipEmptyParts);
    std::vector<std::pair<qsizetype, GuideTopic>> found;
    for (const GuideTopic& topic : topics) {
        qsizetype hits = 0;
        bool all = true;
        for (const QString& word : wanted) {
            const qsizetype here = topic.text.count(word, Qt::CaseInsensitive);
            all = all && here > 0;
            hits += here;
        }
        if (all)
            found.emplace_back(hits, topic);
    }
    std::stable_sort(found.begin(), found.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
    std::vector<GuideTopic> out;
    for (auto& [hits, topic] : found)
        out.push_back(std::move(topic));
    return out;
}

QString withNativeKeys(const QString& markdown) {
    static const QRegularExpression keys(u"`([^`]+)`"_s);
    static const QRegularExpression marks(uR"(([\[\]*_\\]))"_s);
    QString out;
    qsizetype end = 0;
    for (auto it = keys.globalMatch(markdown); it.hasNext();) {
        const auto match = it.next();
        QString native = QKeySequence(match.captured(1), QKeySequence::PortableText).toString(QKeySequence::NativeText);
        native.replace(marks, uR"(\\1)"_s); // a bracket is a key here
        out += markdown.mid(end, match.capturedStart() - end) + u"**%1**"_s.arg(native);
        end = match.capturedEnd();
    }
    return out + markdown.mid(end);
}

} // namespace hillrun
