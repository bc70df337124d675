// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/raw_text_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "formats/gather/time_text.h"

#include <array>
#include <QGridLayout>
#include <QSignalBlocker>
#include <QTextBlock>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr size_t kLinesShown = 400;
constexpr std::array<char, 6> kSeparators{'\0', ',', ';', '\t', '|', ' '};
constexpr std::array<char, 3> kDecimals{'\0', '.', ','};

/// The file's first lines as text, read as well as can be.
std::string headOf(const ImportFile& file) {
    constexpr size_t kHead = size_t{1} << 17;
    if (file.gathered)
        return file.gathered->text.text.substr(0, kHead);
    return file.bytes ? decodeText(std::string_view(*file.bytes).substr(0, kHead), file.choices.encoding).text
                      : std::string();
}

template <size_t N> int indexOf(const std::array<char, N>& all, std::optional<char> wanted) {
    for (size_t i = 1; i < N; ++i)
        if (wanted == all[i])
            return static_cast<int>(i);
    return 0;
}

template <size_t N> std::optional<char> chosen(const std::array<char, N>& all, int index) {
    return index > 0 ? std::optional(all[static_cast<size_t>(index)]) : std::nullopt;
}

} // namespace

RawTextPanel::RawTextPanel(const Theme& theme, QWidget* parent) : QWidget(parent), m_theme(theme) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(6));
    m_text = new QPlainTextEdit(this);
    m_text->setObjectName(u"rawText"_s);
    m_text->setAccessibleName(tr("The first lines of the file"));
    m_text->setReadOnly(true);
    m_text->setLineWrapMode(QPlainTextEdit::NoWrap);
    m_text->setFont(fonts::numbers(11));
    m_text->setTabChangesFocus(true);
    column->addWidget(m_text, 1);
    column->addWidget(makeLegend());
    column->addWidget(makeChoices());
}

QWidget* RawTextPanel::makeLegend() {
    auto* legend = new QWidget(this);
    auto* row = new QHBoxLayout(legend);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(14));
    const std::pair<QString, QColor> entries[] = {{tr("title"), m_theme.quietInk},
                                                  {tr("names"), m_theme.mark},
                                                  {tr("units"), m_theme.warning},
                                                  {tr("rows"), m_theme.ink},
                                                  {tr("left out"), m_theme.stop}};
    for (const auto& [text, colour] : entries) {
        auto* label = new PlainLabel(text, legend);
        label->setProperty("small", true);
        label->setStyleSheet(u"color: %1"_s.arg(colour.name()));
        row->addWidget(label);
    }
    row->addStretch(1);
    return legend;
}

QComboBox* RawTextPanel::choice(const QString& name, const QString& label, const QStringList& texts, QLayout* into,
                                const std::function<void(int)>& take) {
    auto* box = new QComboBox(this);
    box->setObjectName(name);
    box->setAccessibleName(label);
    box->addItems(texts);
    box->setMinimumContentsLength(5);
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    connect(box, &QComboBox::activated, this, [this, take](int index) {
        take(index);
        changed();
    });
    into->addWidget(labelled(label, box, this));
    return box;
}

NumberField* RawTextPanel::line(const QString& name, const QString& label, QLayout* into,
                                const std::function<void(std::optional<long>)>& take) {
    auto* field = new NumberField(name, label, 0.0, 1e7, 0, {}, this);
    connect(field, &NumberField::edited, this, [this, take](std::optional<double> value) {
        take(value ? std::optional(static_cast<long>(*value)) : std::nullopt);
        changed();
    });
    into->addWidget(labelled(label, field, this));
    return field;
}

QWidget* RawTextPanel::makeChoices() {
    auto* choices = new QWidget(this);
    auto* rows = new QVBoxLayout(choices);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(px(6));
    auto* first = new QHBoxLayout;
    auto* second = new QHBoxLayout;
    m_encoding =
        choice(u"encodingChoice"_s, tr("written as"),
               {tr("found"), u"UTF-8"_s, u"UTF-16 LE"_s, u"UTF-16 BE"_s, u"Windows-1252"_s}, first, [this](int index) {
                   m_choices.encoding.reset();
                   if (index > 0)
                       m_choices.encoding = static_cast<TextEncoding>(index - 1);
               });
    m_separator = choice(u"separatorChoice"_s, tr("separated by"),
                         {tr("found"), tr("comma"), tr("semicolon"), tr("tab"), tr("bar"), tr("blanks")}, first,
                         [this](int index) { m_choices.table.separator = chosen(kSeparators, index); });
    m_decimal = choice(u"decimalChoice"_s, tr("decimal sign"), {tr("found"), tr("point"), tr("comma")}, first,
                       [this](int index) { m_choices.table.decimal = chosen(kDecimals, index); });
    m_header = line(u"headerLine"_s, tr("names in line"), second,
                    [this](std::optional<long> value) { m_choices.table.headerLine = value; });
    m_units = line(u"unitLine"_s, tr("units in line"), second,
                   [this](std::optional<long> value) { m_choices.table.unitLine = value; });
    m_firstRow = line(u"firstRow"_s, tr("first row in line"), second,
                      [this](std::optional<long> value) { m_choices.table.firstRow = value; });
    rows->addLayout(first);
    rows->addLayout(second);
    rows->addWidget(makeTimeChoices());
    return choices;
}

QWidget* RawTextPanel::makeTimeChoices() {
    auto* choices = new QWidget(this);
    auto* row = new QHBoxLayout(choices);
    row->setContentsMargins(0, 0, 0, 0);
    m_dates =
        choice(u"dateChoice"_s, tr("dates"), {tr("found"), tr("day first"), tr("month first")}, row,
               [this](int index) { m_choices.monthFirst = index == 0 ? std::nullopt : std::optional(index == 2); });
    m_rate = new NumberField(u"sampleRate"_s, tr("rows a second"), 0.001, 1e6, 3, {}, this);
    m_rate->setToolTip(tr("For a file without a time column, or with one that cannot be trusted"));
    connect(m_rate, &NumberField::edited, this, [this](std::optional<double> value) {
        m_choices.rate_hz = value;
        changed();
    });
    row->addWidget(labelled(tr("rows a second"), m_rate, this));
    m_started = new QLineEdit(this);
    m_started->setObjectName(u"startedAt"_s);
    m_started->setAccessibleName(tr("when the first row was recorded"));
    m_started->setPlaceholderText(u"2026-05-16 09:12"_s);
    connect(m_started, &QLineEdit::editingFinished, this, [this] {
        const std::string text = m_started->text().trimmed().toStdString();
        const bool usable = text.empty() || stampIn(text, m_choices.monthFirst.value_or(false)).has_value();
        m_started->setToolTip(usable ? QString() : tr("A date and a time, such as 2026-05-16 09:12"));
        m_started->setStyleSheet(usable ? QString() : u"color: %1"_s.arg(m_theme.stop.name()));
        if (!usable || text == m_choices.started)
            return;
        m_choices.started = text;
        Q_EMIT choicesChanged(m_choices); // the rows stay
    });
    row->addWidget(labelled(tr("first row recorded at"), m_started, this));
    return choices;
}

void RawTextPanel::changed() {
    m_choices.pulls.reset(); // rows may be others now
    Q_EMIT choicesChanged(m_choices);
}

void RawTextPanel::show(const ImportFile& file) {
    m_choices = file.choices;
    const QSignalBlocker blockers[] = {QSignalBlocker(m_encoding), QSignalBlocker(m_separator),
                                       QSignalBlocker(m_decimal), QSignalBlocker(m_dates)};
    m_encoding->setCurrentIndex(m_choices.encoding ? static_cast<int>(*m_choices.encoding) + 1 : 0);
    m_separator->setCurrentIndex(indexOf(kSeparators, m_choices.table.separator));
    m_decimal->setCurrentIndex(indexOf(kDecimals, m_choices.table.decimal));
    m_dates->setCurrentIndex(m_choices.monthFirst ? (*m_choices.monthFirst ? 2 : 1) : 0);
    const auto asNumber = [](std::optional<long> value) {
        return value ? std::optional(static_cast<double>(*value)) : std::nullopt;
    };
    const RawTable* table = file.gathered ? &file.gathered->table : nullptr;
    const auto found = [&](long value) { return table && value > 0 ? std::optional(value) : std::nullopt; };
    m_header->show(
        asNumber(m_choices.table.headerLine ? m_choices.table.headerLine : found(table ? table->headerLine : 0)));
    m_units->show(asNumber(m_choices.table.unitLine ? m_choices.table.unitLine : found(table ? table->unitLine : 0)));
    m_firstRow->show(asNumber(m_choices.table.firstRow
                                  ? m_choices.table.firstRow
                                  : found(table && table->rows() > 0 ? table->lineOfRow.front() : 0)));
    m_rate->show(m_choices.rate_hz);
    if (!m_started->hasFocus())
        m_started->setText(QString::fromStdString(m_choices.started));
    const std::string head = headOf(file);
    size_t end = 0;
    for (size_t lines = 0; lines < kLinesShown && end < head.size(); ++lines)
        end = std::min(head.find('\n', end), head.size() - 1) + 1;
    const QString text = QString::fromStdString(head.substr(0, end));
    m_text->setPlainText(text);
    colour(file, text);
}

void RawTextPanel::colour(const ImportFile& file, const QString& text) {
    std::vector<LineKind> kinds;
    if (file.gathered)
        kinds = lineKinds(text.toStdString(), file.gathered->table, kLinesShown);
    const auto colourOf = [&](LineKind kind) {
        switch (kind) {
        case LineKind::Title:
            return m_theme.quietInk;
        case LineKind::Header:
        case LineKind::HeaderAgain:
            return m_theme.mark;
        case LineKind::Units:
            return m_theme.warning;
        case LineKind::LeftOut:
            return m_theme.stop;
        default:
            return m_theme.ink;
        }
    };
    QTextCursor cursor(m_text->document());
    for (size_t i = 0; i < kinds.size(); ++i) {
        const QTextBlock block = m_text->document()->findBlockByNumber(static_cast<int>(i));
        cursor.setPosition(block.position());
        cursor.movePosition(QTextCursor::EndOfBlock, QTextCursor::KeepAnchor);
        QTextCharFormat format;
        format.setForeground(colourOf(kinds[i]));
        format.setFontWeight(kinds[i] == LineKind::Header ? QFont::Bold : QFont::Normal);
        cursor.mergeCharFormat(format);
    }
    m_text->moveCursor(QTextCursor::Start);
}

} // namespace hillrun
