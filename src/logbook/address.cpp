// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/address.h"

#include "core/errors/data_error.h"

#include <QStandardPaths>
#include <QUrl>
#include <QUrlQuery>

namespace hillrun {
namespace {

constexpr auto kServer = "postgresql://";

[[noreturn]] void bad(const std::string& text, const char* why) {
    throw DataError(Problem::LogbookUnreachable, {text, Statement{why}});
}

LogbookAddress serverAddress(const std::string& text) {
    const QUrl url(QString::fromStdString(text), QUrl::StrictMode);
    if (!url.isValid())
        bad(text, "logbook.bad_address");
    if (!url.password().isEmpty())
        bad(url.toString(QUrl::RemovePassword).toStdString(), "logbook.no_password");
    LogbookAddress out;
    out.onServer = true;
    out.host = url.host().toStdString();
    out.port = url.port(0);
    out.name = url.path().mid(1).toStdString();
    out.user = url.userName().toStdString();
    const auto settings = QUrlQuery(url).queryItems(QUrl::FullyDecoded);
    for (const auto& [name, value] : settings) {
        if (name == QLatin1String("password"))
            bad(url.toString(QUrl::RemoveQuery).toStdString(), "logbook.no_password");
        if (name == QLatin1String("host"))
            out.host = value.toStdString(); // the folder of a local socket
        else if (name == QLatin1String("user"))
            out.user = value.toStdString();
        else
            out.options += (out.options.empty() ? "" : ";") + name.toStdString() + "=" + value.toStdString();
    }
    if (out.name.empty() && out.options.find("service=") == std::string::npos)
        bad(text, "logbook.bad_address");
    return out;
}

} // namespace

std::string LogbookAddress::text() const {
    if (!onServer)
        return file;
    const auto encoded = [](const std::string& plain) {
        return QString::fromLatin1(QUrl::toPercentEncoding(QString::fromStdString(plain)));
    };
    const bool local = host.empty() || host.starts_with('/'); // then nothing stands before the name
    QString out = QLatin1String(kServer);
    if (!local)
        out += (user.empty() ? QString() : encoded(user) + QLatin1Char('@')) + QString::fromStdString(host) +
               (port > 0 ? QStringLiteral(":%1").arg(port) : QString());
    out += QLatin1Char('/') + encoded(name);
    QStringList settings;
    if (local && !host.empty())
        settings << QStringLiteral("host=") + encoded(host);
    if (local && !user.empty())
        settings << QStringLiteral("user=") + encoded(user);
    const auto all = QString::fromStdString(options).split(QLatin1Char(';'), Qt::SkipEmptyParts);
    for (const QString& one : all)
        settings << encoded(one.section(QLatin1Char('='), 0, 0).toStdString()) + QLatin1Char('=') +
                        encoded(one.section(QLatin1Char('='), 1).toStdString());
    return (out + (settings.isEmpty() ? QString() : QLatin1Char('?') + settings.join(QLatin1Char('&')))).toStdString();
}

LogbookAddress logbookAddress(const std::string& text) {
    if (text.starts_with(kServer))
        return serverAddress(text);
    if (text.empty() || text.find("://") != std::string::npos)
        bad(text, "logbook.bad_address");
    LogbookAddress out;
    out.file = text;
    return out;
}

LogbookAddress defaultLogbook() {
    if (const QByteArray named = qgetenv("HILLRUN_LOGBOOK"); !named.isEmpty())
        return logbookAddress(named.toStdString());
    const QString data = QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation);
    return logbookAddress((data + QStringLiteral("/hillrun/logbook.sqlite")).toStdString());
}

} // namespace hillrun
