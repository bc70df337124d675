// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/files/start_days.h"

#include "app/look/words.h"
#include "core/errors/shown_text.h"

#include <QCoreApplication>
#include <QDir>
#include <QFileInfo>
#include <QJsonDocument>
#include <QJsonObject>

using namespace Qt::StringLiterals;

namespace hillrun {

QString nameOfDay(const QString& path) {
    QFile file(path + u"/day.json"_s);
    constexpr qint64 kMostBytes = 4 << 20; // a name is not worth reading more
    QString name;
    if (file.size() <= kMostBytes && file.open(QIODevice::ReadOnly))
        name = QJsonDocument::fromJson(file.readAll())[u"name"].toString();
    return qs(shownText((name.isEmpty() ? QFileInfo(path).fileName() : name).toStdString(), 60));
}

std::vector<StartDay> demoDays() {
    const QString here = QCoreApplication::applicationDirPath();
    for (const char* place : {"/../share/hillrun/demo", "/../../data/demo"}) {
        const QDir folder(here + QLatin1StringView(place));
        std::vector<StartDay> out;
        for (const QString& name : folder.entryList({u"day-*"_s}, QDir::Dirs, QDir::Name))
            if (const QString path = QDir::cleanPath(folder.absoluteFilePath(name));
                QFile::exists(path + u"/day.json"_s))
                out.push_back({nameOfDay(path), path, true});
        if (!out.empty())
            return out;
    }
    return {};
}

} // namespace hillrun
