// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/language.h"

#include "app/look/window_text_bytes.h"
#include "words/current_voice.h"

#include <QCoreApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// The system's own locale where it speaks this language, else the language's usual one.
QLocale localeOf(Language language) {
    const QLocale system = QLocale::system();
    QLocale out(QString::fromLatin1(languageCode(language)));
    if (system.language() == out.language())
        out = system;
    out.setNumberOptions(QLocale::OmitGroupSeparator);
    return out;
}

/// One text, one translation: which class says it does not matter.
class WindowTexts : public QTranslator {
public:
    [[nodiscard]] QString translate(const char* /*context*/, const char* source, const char* disambiguation,
                                    int n) const override {
        return QTranslator::translate("", source, disambiguation, n);
    }
};

/// Two translators for the whole run: our texts and Qt's own (Cancel, Save ...).
QTranslator& ours() {
    static WindowTexts kOurs;
    return kOurs;
}
QTranslator& qtsOwn() {
    static QTranslator kQts;
    return kQts;
}

} // namespace

Language languageOf(const QString& setting) { return languageNamed(setting.toStdString()).value_or(systemLanguage()); }

void speak(Language language) {
    const QLocale locale = localeOf(language);
    QLocale::setDefault(locale);
    const QString mark = locale.decimalPoint();
    setCurrentVoice(Voice({.language = language, .decimalMark = mark == u","_s ? ',' : '.'}));
    QCoreApplication::removeTranslator(&ours());
    QCoreApplication::removeTranslator(&qtsOwn());
    const std::string_view texts = windowTextBytes(languageCode(language));
    if (texts.empty()) // English stands in the code
        return;
    if (ours().load(reinterpret_cast<const uchar*>(texts.data()), static_cast<int>(texts.size())))
        QCoreApplication::installTranslator(&ours());
    const QString folder = QLibraryInfo::path(QLibraryInfo::TranslationsPath);
    if (qtsOwn().load(u"qtbase_"_s + QString::fromLatin1(languageCode(language)), folder))
        QCoreApplication::installTranslator(&qtsOwn());
}

QString insideSentence(const QString& label) {
    return currentVoice().manner().language == Language::German ? label : label.toLower();
}

} // namespace hillrun
