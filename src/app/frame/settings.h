// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QByteArray>
#include <QSettings>
#include <QString>
#include <QStringList>

namespace hillrun {

/// One remembered value: its key and default are declared here and nowhere else.
template <class T> struct Setting {
    const char* key;
    T fallback;
};

namespace settings {
inline const Setting<QByteArray> kGeometry{"window/geometry", {}};
inline const Setting<QString> kPage{"window/page", QStringLiteral("compare")};
inline const Setting<QString> kLanguage{"window/language", QStringLiteral("desktop")}; ///< or a language's code
inline const Setting<QString> kTheme{"window/theme", QStringLiteral("desktop")};       ///< or light, dark
inline const Setting<QString> kDaysFolder{"days/folder", {}}; ///< empty: "Hill Run" among the documents
inline const Setting<QString> kLogbook{"days/logbook", {}};   ///< its address; empty: a file of this bench
inline const Setting<QStringList> kRecent{"days/recent", {}};
inline const Setting<QString> kStandard{"analysis/standard", QStringLiteral("sae-j1349")};
inline const Setting<double> kSmoothing{"analysis/smoothing_rpm", 100.0};
inline const Setting<int> kUnits{"view/units", 0};
inline const Setting<int> kSchool{"view/school", 0};                       ///< CurveSchool
inline const Setting<int> kDrift{"analysis/drift", 1};                     ///< DriftAllowance
inline const Setting<QString> kPaper{"print/paper", QStringLiteral("a4")}; ///< or letter
inline const Setting<QString> kWorkshop{"print/workshop", {}};
inline const Setting<QString> kAddress{"print/address", {}};                     ///< a line each
inline const Setting<QString> kLogo{"print/logo", {}};                           ///< path of a picture
inline const Setting<QStringList> kLinks{"cell/links", {}};                      ///< name, address and use, tab between
inline const Setting<QString> kTone{"pull/tone", QStringLiteral("alternating")}; ///< toneName
inline const Setting<QByteArray> kCompareSplit{"compare/split", {}};
inline const Setting<bool> kSmallBoards{"compare/small_boards", false};
inline const Setting<QByteArray> kCheckSplit{"check/split", {}};
} // namespace settings

/// What the window remembers between runs.
class SettingsStore {
public:
    SettingsStore() = default; ///< the user's own
    explicit SettingsStore(const QString& file) : m_store(file, QSettings::IniFormat) {}

    template <class T> [[nodiscard]] T get(const Setting<T>& setting) const {
        return m_store.value(QLatin1StringView(setting.key), QVariant::fromValue(setting.fallback)).template value<T>();
    }
    template <class T> void set(const Setting<T>& setting, const T& value) {
        m_store.setValue(QLatin1StringView(setting.key), QVariant::fromValue(value));
    }

private:
    QSettings m_store;
};

} // namespace hillrun
