// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/fields.h"

#include "app/look/typed_number.h"
#include "app/prepare/article_dialog.h"
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

TEST_CASE("a number is pasted as it stands elsewhere, and what cannot be read is marked") {
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
    CHECK(pasted(u"twelve"_s) == 12.75); // the last one that could be read
    CHECK_FALSE(field.readable());
    field.selectAll();
    QTest::keyClick(&field, Qt::Key_Delete);
    QTest::keyClick(&field, Qt::Key_Return);
    CHECK_FALSE(field.number());
}

TEST_CASE("what cannot be read stays in its field, marked, until it is put right or taken back") {
    NumberField field(u"field"_s, u"a number"_s, 60.0, 110.0, 2, u"kPa"_s, nullptr);
    int edits = 0;
    QObject::connect(&field, &NumberField::edited, &field, [&] { ++edits; });
    field.show();
    field.show(98.42);
    for (const char* text : {"98.4.2", "98,42 mbar", "9842", "12", "-", "1.2.3,4"}) {
        INFO(text);
        test::typeNumber(&field, QLatin1StringView(text));
        CHECK(field.text() == QLatin1StringView(text));
        CHECK(field.property("wrong").toBool());
        CHECK(field.toolTip().contains(u"a number from 60.00 to 110.00"));
        CHECK(field.accessibleDescription() == u"not taken: a number from 60.00 to 110.00\u00A0kPa is wanted here"_s);
        field.show(98.42); // something else of the day changed
        CHECK(field.text() == QLatin1StringView(text));
        CHECK(field.number() == 98.42);
    }
    CHECK(edits == 0);
    field.setFocus();
    QTest::keyClick(&field, Qt::Key_Escape);
    CHECK(field.text() == u"98.42\u00A0kPa"_s);
    CHECK_FALSE(field.property("wrong").toBool());
    CHECK(field.toolTip() == u"a number, kPa"_s);
    test::typeNumber(&field, u"12"_s);
    QTest::keyClicks(&field, u"0"_s); // 120: still not
    CHECK_FALSE(field.readable());
    field.selectAll();
    QTest::keyClicks(&field, u"97,5"_s);
    CHECK(field.readable()); // said at once
    CHECK(edits == 0);
    QTest::keyClick(&field, Qt::Key_Return);
    CHECK(field.text() == u"97.50\u00A0kPa"_s);
    CHECK(edits == 1);
    QTest::keyClick(&field, Qt::Key_Up);
    QTest::keyClick(&field, Qt::Key_Return);
    CHECK(field.number() == 98.5);
    CHECK(edits == 2);
}

TEST_CASE("what is being typed is left alone while the rest of the day changes") {
    NumberField field(u"field"_s, u"a number"_s, 0.0, 9000.0, 0, u"rpm"_s, nullptr);
    field.show();
    field.show(std::nullopt);
    field.setFocus();
    field.selectAll();
    QTest::keyClicks(&field, u"45"_s);
    field.show(std::nullopt);
    CHECK(field.text() == u"45"_s);
    field.show(3000.0); // undone, or changed elsewhere: that counts
    CHECK(field.text() == u"3000\u00A0rpm"_s);
}

TEST_CASE("numbers as people write them") {
    const auto read = [](const char* text, bool whole = false) {
        return typedNumber(QString::fromUtf8(text), whole).value_or(-999.0);
    };
    CHECK(read("98.42") == 98.42);
    CHECK(read("98,42") == 98.42);
    CHECK(read("1 234,50") == 1234.5);
    CHECK(read("1\u202F234,50") == 1234.5);
    CHECK(read("1'234.50") == 1234.5);
    CHECK(read("1,234,567") == 1234567.0);
    CHECK(read("1.234,5") == 1234.5);
    CHECK(read("\u22123.5") == -3.5);
    CHECK(read("1,234") == 1.234); // one mark is a decimal mark
    CHECK(read("1,234", true) == 1234.0);
    CHECK(read("12,5", true) == -999.0);
    CHECK(read("1.2.3") == -999.0);
    CHECK(read("1 2") == -999.0);
    CHECK(read("12a") == -999.0);
    CHECK(read("") == -999.0);
    CHECK(read("1,23.456,7") == -999.0);
    const auto cost = typedNumberAndWord(u"1 234,50 EUR"_s);
    CHECK(cost.number == 1234.5);
    CHECK(cost.word == u"EUR"_s);
    CHECK_FALSE(typedNumberAndWord(u"EUR 12"_s).number);
    CHECK(typedNumberAndWord(u"12kg"_s).number == 12.0);
}

TEST_CASE("a friction table and gear ratios are typed with either mark, and a word that is no number is not dropped") {
    std::vector<FrictionPoint> points;
    CHECK(readFriction(u"2500:3,1, 4500:7.2"_s, points));
    CHECK(points.size() == 2);
    CHECK(points[0].power_w == 3100.0);
    std::vector<double> gears;
    CHECK(readGears(u"3,4 2.05; 1.36"_s, gears));
    CHECK(gears == std::vector<double>{3.4, 2.05, 1.36});
    CHECK_FALSE(readGears(u"3.4 2.O5"_s, gears));
    CHECK_FALSE(readGears(u"3.4 -1"_s, gears));
    CHECK(readGears(QString(), gears));
}
