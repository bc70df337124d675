// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/preferences.h"

#include "app/frame/tone.h"
#include "core/errors/data_error.h"
#include "core/weather/standards.h"
#include "formats/file_io.h"
#include "words/voice.h"

#include <algorithm>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QObject>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

const QString kFileKind = u"hillrun-settings"_s;

bool usable(double smoothing_rpm) { return smoothing_rpm >= 10.0 && smoothing_rpm <= 1000.0; }

QString valueIn(const QJsonValue& value, const QString& otherwise) { return value.toString(otherwise); }
int valueIn(const QJsonValue& value, int otherwise) { return value.toInt(otherwise); }
double valueIn(const QJsonValue& value, double otherwise) { return value.toDouble(otherwise); }
QStringList valueIn(const QJsonValue& value, const QStringList& otherwise) {
    if (!value.isArray())
        return otherwise;
    QStringList out;
    for (const QJsonValue& line : value.toArray())
        out << line.toString();
    return out;
}

QJsonValue jsonOf(const QStringList& lines) { return QJsonArray::fromStringList(lines); }
template <class T> QJsonValue jsonOf(const T& value) { return value; }

/// Choices that are places in a list, where the list may be another version's.
void keepInside(Preferences& p) {
    p.units = std::clamp(p.units, 0, static_cast<int>(kUnitChoices.size()) - 1);
    p.drift = std::clamp(p.drift, 0, 2);
    p.school = std::clamp(p.school, 0, 3);
    p.tone = QString::fromLatin1(toneName(toneNamed(p.tone)));
}

} // namespace

QString unitChoiceText(const DisplayUnits& units) {
    return QString::fromUtf8(powerUnitText(units.power)) + u" \u00B7 "_s +
           QString::fromUtf8(torqueUnitText(units.torque));
}

QStringList driftChoices() { return {QObject::tr("steady"), QObject::tr("cautious"), QObject::tr("jumps")}; }

QStringList schoolChoices() {
    return {QObject::tr("Mean of the pulls"), QObject::tr("Best pull"), QObject::tr("Median pull"),
            QObject::tr("Last settled pull")};
}

Preferences readPreferences(const SettingsStore& store) {
    Preferences out;
    eachPreference(out, [&](auto& value, const char*, const auto& setting) { value = store.get(setting); });
    keepInside(out);
    return out;
}

void keepPreferences(SettingsStore& store, const Preferences& preferences) {
    eachPreference(preferences,
                   [&](const auto& value, const char*, const auto& setting) { store.set(setting, value); });
}

void exportPreferences(const Preferences& preferences, const fs::path& target) {
    QJsonObject out{{u"kind"_s, kFileKind}};
    eachPreference(preferences, [&](const auto& value, const char* name, const auto&) {
        out[QLatin1StringView(name)] = jsonOf(value);
    });
    writeFileSafely(target, QJsonDocument(out).toJson().toStdString());
}

Preferences importPreferences(const fs::path& file, const Preferences& now) {
    const QJsonObject in = QJsonDocument::fromJson(QByteArray::fromStdString(readFileText(file))).object();
    if (in[u"kind"].toString() != kFileKind)
        throw DataError(Problem::BadValue, {std::string("kind"), Statement{"not_allowed.settings"}},
                        {.file = file.string()});
    Preferences out = now;
    eachPreference(
        out, [&](auto& value, const char* name, const auto&) { value = valueIn(in[QLatin1StringView(name)], value); });
    keepInside(out);
    (void)standardNamed(out.standard.toStdString()); // throws for one that is not known
    if (!usable(out.smoothing_rpm))
        out.smoothing_rpm = now.smoothing_rpm;
    return out;
}

AnalysisSettings analysisSettings(const Preferences& preferences, AnalysisSettings now) {
    try {
        now.reduce.standard = standardNamed(preferences.standard.toStdString());
    } catch (const DataError&) { // a standard of another version
    }
    if (usable(preferences.smoothing_rpm))
        now.reduce.smoothing_rpm = preferences.smoothing_rpm;
    now.drift.allowance = static_cast<DriftAllowance>(std::clamp(preferences.drift, 0, 2));
    return now;
}

} // namespace hillrun
