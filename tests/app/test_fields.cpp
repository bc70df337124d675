// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/fields.h"

#include "app_support.h"

#include <QApplication>
#include <QClipboard>
#include <QLineEdit>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

/// Puts a locale on the application and takes it away again.
struct InLocale {
    explicit InLocale(const char* name) { QLocale::setDefault(QLocale(QLatin1StringView(name))); }
    ~InLocale() { QLocale::setDefault(QLocale::system()); }
};

std::optional<double> typed(const char* text, int decimals, double low, double high, const QString& unit = u"kPa"_s) {
    NumberField field(u"field"_s, u"a number"_s, low, high, decimals, unit, nullptr);
    field.show();
    field.setFocus();
    field.selectAll();
    QTest::keyClicks(&field, QLatin1StringView(text));
    QTest::keyClick(&field, Qt::Key_Return);
    return field.number();
}

} // namespace

TEST_CASE("both decimal marks are taken in every language, and numbers are written with a point") {
    for (const char* locale : {"C", "en_GB", "de_DE", "fr_FR", "de_CH"}) {
        INFO(locale);
        const InLocale in(locale);
        CHECK(typed("98.42", 2, 50.0, 115.0) == 98.42);
        CHECK(typed("98,42", 2, 50.0, 115.0) == 98.42);
        CHECK(typed("-0,3", 1, -40.0, 60.0) == -0.3);
        CHECK(typed(",5", 1, -40.0, 60.0) == 0.5);
        CHECK(typed("1234,5", 1, 0.0, 1e6, {}) == 1234.5);
        CHECK(typed("3,000", 0, 0.0, 20000.0, u"rpm"_s) == 3000.0);
        CHECK(typed("3.000", 0, 0.0, 20000.0, u"rpm"_s) == 3000.0);
        CHECK(typed("12500", 0, 0.0, 20000.0, u"rpm"_s) == 12500.0);
        NumberField field(u"field"_s, u"a number"_s, 50.0, 115.0, 2, u"kPa"_s, nullptr);
        field.show(98.42);
        CHECK(field.text() == u"98.42\u00A0kPa"_s);
    }
}

TEST_CASE("a number is pasted as it stands elsewhere, and letters are not taken") {
    NumberField field(u"field"_s, u"a number"_s, 0.0, 1e6, 2, u"kPa"_s, nullptr);
    field.show();
    field.setFocus();
    const auto pasted = [&](const QString& text) {
        QApplication::clipboard()->setText(text);
        field.selectAll();
        QTest::keyClick(&field, Qt::Key_V, Qt::ControlModifier);
        QTest::keyClick(&field, Qt::Key_Return);
        return field.number();
    };
    CHECK(pasted(u"1.234,56"_s) == 1234.56);
    CHECK(pasted(u"1,234.56"_s) == 1234.56);
    CHECK(pasted(u"1 234,56"_s) == 1234.56);
    CHECK(pasted(u"12,75 kPa"_s) == 12.75);
    CHECK(pasted(u"twelve"_s) == 12.75);
    field.selectAll();
    QTest::keyClick(&field, Qt::Key_Delete);
    QTest::keyClick(&field, Qt::Key_Return);
    CHECK_FALSE(field.number());
}
