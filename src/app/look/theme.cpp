// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/theme.h"

#include "app/look/scale.h"
#include "report/page.h"

#include <cmath>
#include <QFile>
#include <QFontDatabase>
#include <QPainter>
#include <QPixmap>
#include <QSvgRenderer>

using namespace Qt::StringLiterals;

/// The drawings stand in a static library: the linker must be told that they are wanted. Not in a namespace.
static void takeInDrawings() { Q_INIT_RESOURCE(resources); }

namespace hillrun {

Theme Theme::paper() {
    Theme t;
    t.ground = QColor(0xF6F4EF);
    t.panel = QColor(0xFFFFFF);
    t.ink = QColor(0x1D2A30);
    t.quietInk = QColor(0x5B6B72);
    t.rule = QColor(0xD8D3C7);
    t.edge = QColor(0x838C91);
    t.mark = QColor(0x0E6A6A);
    t.warning = QColor(0x9A5B00);
    t.stop = QColor(0xA3261D);
    t.gain = QColor(report::kGain);
    t.loss = QColor(report::kLoss);
    t.unresolved = QColor(report::kUnresolved);
    return t;
}

Theme Theme::nightCell() {
    Theme t;
    t.dark = true;
    t.ground = QColor(0x14191B);
    t.panel = QColor(0x1C2326);
    t.ink = QColor(0xE6ECEA);
    t.quietInk = QColor(0x9DABAF);
    t.rule = QColor(0x364045);
    t.edge = QColor(0x6B777C);
    t.mark = QColor(0x4DB6AC);
    t.warning = QColor(0xE0A24A);
    t.stop = QColor(0xEC7A6D);
    t.gain = QColor(0x35A893);
    t.loss = QColor(0xE0693A);
    t.unresolved = QColor(0x7B8583);
    return t;
}

QColor Theme::build(size_t number) const {
    const QColor colour(report::buildColour(number));
    if (!dark)
        return colour;
    return QColor::fromHslF(colour.hslHueF(), colour.hslSaturationF() * 0.85F, std::max(0.62F, colour.lightnessF()));
}

QPen Theme::buildPen(size_t number, double width) const {
    QPen pen(build(number), width);
    const auto dash = report::buildDash(number);
    if (!dash.empty())
        pen.setDashPattern(QList<qreal>(dash.begin(), dash.end()));
    pen.setCapStyle(dash.empty() ? Qt::RoundCap : Qt::FlatCap);
    pen.setJoinStyle(Qt::BevelJoin); // nobody sees corners of steps this small; round ones cost a third of the paint
    return pen;
}

double contrast(const QColor& one, const QColor& other) {
    const auto luminance = [](const QColor& colour) {
        const auto linear = [](double channel) {
            return channel <= 0.04045 ? channel / 12.92 : std::pow((channel + 0.055) / 1.055, 2.4);
        };
        return 0.2126 * linear(colour.redF()) + 0.7152 * linear(colour.greenF()) + 0.0722 * linear(colour.blueF());
    };
    const double a = luminance(one) + 0.05;
    const double b = luminance(other) + 0.05;
    return std::max(a, b) / std::min(a, b);
}

void paintChosen(QPainter& painter, const QRect& room, const Theme& theme) {
    painter.fillRect(room, theme.dark ? theme.rule : theme.ground);
    painter.fillRect(QRect(room.left(), room.top(), room.width(), 1), theme.mark);
    painter.fillRect(QRect(room.left(), room.bottom(), room.width(), 1), theme.mark);
}

QColor Theme::asText(const QColor& colour) const {
    constexpr double kReadable = 4.5;
    QColor out = colour;
    while (std::min(contrast(out, panel), contrast(out, ground)) < kReadable && out.lightness() > 4 &&
           out.lightness() < 251)
        out = dark ? out.lighter(104) : out.darker(104);
    return out;
}

QColor Theme::faded(const QColor& colour, double share) const {
    auto mix = [share](int a, int b) { return static_cast<int>(std::lround(share * a + (1.0 - share) * b)); };
    return {mix(colour.red(), panel.red()), mix(colour.green(), panel.green()), mix(colour.blue(), panel.blue())};
}

/// The family name of the text type. The package's regular monospaced cut also calls itself "B612", and which of the
/// two the toolkit then picks is chance. So the proportional files are registered once more under a name of their own;
/// the name is changed in memory only ("B612" as UTF-16 in the font's name table).
static QString registerTextFamily() {
    const QByteArray oldName("\0B\0"
                             "6\0"
                             "1\0"
                             "2",
                             8);
    const QByteArray newName("\0H\0"
                             "6\0"
                             "1\0"
                             "2",
                             8);
    bool found = false;
    for (const QString& cut : {u"Regular"_s, u"Bold"_s}) {
        QFile file(u"/usr/share/fonts/opentype/b612/B612-%1.otf"_s.arg(cut));
        if (!file.open(QIODevice::ReadOnly))
            continue;
        found = QFontDatabase::addApplicationFontFromData(file.readAll().replace(oldName, newName)) >= 0 || found;
    }
    return found ? u"H612"_s : u"B612"_s;
}

static const QString& textFamily() {
    static const QString family = registerTextFamily();
    return family;
}

QFont fonts::text(int pixels, bool bold) { return drawn(px(pixels), bold); }

QFont fonts::drawn(int pixels, bool bold) {
    QFont font(textFamily());
    font.setPixelSize(pixels);
    font.setBold(bold);
    return font;
}

/// B612's digits all have one width, so figures stand in columns; its point and colon sit closer to them than the
/// monospaced cut's ("54.6", not "54. 6").
QFont fonts::numbers(int pixels, bool bold) { return text(pixels, bold); }

Look::Look(QObject* parent) : QObject(parent), m_theme(Theme::paper()) { takeInDrawings(); }

void Look::setDark(bool dark) {
    if (dark == m_theme.dark)
        return;
    m_theme = dark ? Theme::nightCell() : Theme::paper();
    Q_EMIT changed();
}

QIcon Look::icon(const QString& name, const QColor& colour) const {
    QFile file(u":/icons/%1.svg"_s.arg(name));
    if (!file.open(QIODevice::ReadOnly))
        return {};
    const QByteArray svg = file.readAll().replace("currentColor", colour.name().toLatin1());
    QSvgRenderer renderer(svg);
    QPixmap pixmap(48, 48);
    pixmap.fill(Qt::transparent);
    QPainter painter(&pixmap);
    renderer.render(&painter);
    return QIcon(pixmap);
}

QPalette Look::palette() const {
    const Theme& t = m_theme;
    QPalette out;
    const std::pair<QPalette::ColorRole, QColor> roles[] = {{QPalette::Window, t.ground},
                                                            {QPalette::WindowText, t.ink},
                                                            {QPalette::Base, t.panel},
                                                            {QPalette::AlternateBase, t.ground},
                                                            {QPalette::Text, t.ink},
                                                            {QPalette::Button, t.panel},
                                                            {QPalette::ButtonText, t.ink},
                                                            {QPalette::BrightText, t.stop},
                                                            {QPalette::ToolTipBase, t.panel},
                                                            {QPalette::ToolTipText, t.ink},
                                                            {QPalette::PlaceholderText, t.quietInk},
                                                            {QPalette::Highlight, t.mark},
                                                            {QPalette::HighlightedText, t.panel},
                                                            {QPalette::Link, t.mark},
                                                            {QPalette::LinkVisited, t.mark},
                                                            {QPalette::Light, t.panel},
                                                            {QPalette::Midlight, t.rule},
                                                            {QPalette::Mid, t.edge},
                                                            {QPalette::Dark, t.edge},
                                                            {QPalette::Shadow, t.edge}};
    for (const auto& [role, colour] : roles)
        out.setColor(role, colour);
    for (const QPalette::ColorRole role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
        out.setColor(QPalette::Disabled, role, t.quietInk);
    return out;
}

QString Look::styleSheet() const {
    QFile file(u":/look/style.qss"_s);
    if (!file.open(QIODevice::ReadOnly))
        return {};
    QString sheet = QString::fromUtf8(file.readAll());
    sheet.replace("@text"_L1, textFamily());
    const Theme& t = m_theme;
    const std::pair<const char*, QColor> names[] = {
        {"@ground", t.ground}, {"@panel", t.panel}, {"@quiet", t.quietInk},  {"@ink", t.ink},  {"@rule", t.rule},
        {"@edge", t.edge},     {"@mark", t.mark},   {"@warning", t.warning}, {"@stop", t.stop}};
    for (const auto& [name, colour] : names)
        sheet.replace(QLatin1StringView(name), colour.name());
    return scaledSheet(sheet);
}

} // namespace hillrun
