// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/settings_dialog.h"

#include "app/look/fields.h"
#include "app/look/main_button.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "core/weather/standards.h"
#include "logbook/address.h"
#include "words/language.h"

#include <algorithm>
#include <QDialogButtonBox>
#include <QPushButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

const char* const kThemes[] = {"desktop", "light", "dark"};
constexpr double kTried_s = 1.5;
const char* const kPapers[] = {"a4", "letter"};

template <size_t N> int placeIn(const char* const (&names)[N], const QString& name) {
    for (size_t i = 0; i < N; ++i)
        if (name == QLatin1StringView(names[i]))
            return static_cast<int>(i);
    return 0;
}

} // namespace

SettingsDialog::SettingsDialog(const Preferences& preferences, Dialogs& dialogs, const ActionRegistry& actions,
                               TonePlayer& tones, QWidget* parent)
    : QDialog(parent), m_dialogs(dialogs), m_tones(tones) {
    setObjectName(u"settingsDialog"_s);
    setWindowTitle(tr("Settings"));
    setAttribute(Qt::WA_DeleteOnClose);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(16), px(16), px(16));
    column->setSpacing(px(10));
    auto* sides = new QHBoxLayout; // one below the other they are higher than a small screen
    auto* right = new QVBoxLayout;
    sides->setSpacing(px(10));
    right->setSpacing(px(10));
    sides->addWidget(makeFigures(), 1);
    right->addWidget(makePulling(actions));
    right->addWidget(makePaper(), 1);
    sides->addLayout(right, 1);
    column->addLayout(sides);
    auto* buttons = new QDialogButtonBox(this);
    auto* out = buttons->addButton(tr("Write to a file \u2026"), QDialogButtonBox::ResetRole);
    auto* in = buttons->addButton(tr("Read from a file \u2026"), QDialogButtonBox::ResetRole);
    out->setObjectName(u"exportSettings"_s);
    in->setObjectName(u"importSettings"_s);
    for (QPushButton* button : {out, in})
        button->setAutoDefault(false);
    QPushButton* accept = buttons->addButton(tr("Take over"), QDialogButtonBox::AcceptRole);
    accept->setObjectName(u"acceptSettings"_s);
    makeMain(accept);
    buttons->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    connect(out, &QPushButton::clicked, this, &SettingsDialog::exportFile);
    connect(in, &QPushButton::clicked, this, &SettingsDialog::importFile);
    connect(buttons, &QDialogButtonBox::accepted, this, &SettingsDialog::takeOver);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    fill(preferences);
}

QComboBox* SettingsDialog::choice(QFormLayout& form, const QString& name, const QString& label) {
    auto* out = new QComboBox(this);
    out->setObjectName(name);
    out->setAccessibleName(label);
    form.addRow(label, out);
    return out;
}

QLineEdit* SettingsDialog::line(QFormLayout& form, const QString& name, const QString& label, const QString& button,
                                const std::function<void()>& browse) {
    auto* row = new QWidget(this);
    auto* inside = new QHBoxLayout(row);
    inside->setContentsMargins(0, 0, 0, 0);
    auto* out = new QLineEdit(row);
    out->setObjectName(name);
    out->setAccessibleName(label);
    out->setMinimumWidth(px(220));
    inside->addWidget(out, 1);
    if (browse) {
        auto* look = new QPushButton(button, row);
        look->setAutoDefault(false);
        look->setAccessibleName(tr("%1: %2").arg(label, button));
        connect(look, &QPushButton::clicked, this, browse);
        inside->addWidget(look);
    }
    form.addRow(label, row);
    return out;
}

QWidget* SettingsDialog::makeFigures() {
    const Panel panel = makePanel(tr("Window and figures"), this);
    auto* form = new QFormLayout;
    m_language = choice(*form, u"languageSetting"_s, tr("Language"));
    m_language->addItem(tr("as the desktop"), u"desktop"_s);
    for (const Language language : kLanguages) // each in its own words, so that one finds back
        m_language->addItem(QString::fromUtf8(languageName(language)), QString::fromLatin1(languageCode(language)));
    m_theme = choice(*form, u"themeSetting"_s, tr("Colours"));
    m_theme->addItems({tr("as the desktop"), tr("light"), tr("dark")});
    m_units = choice(*form, u"unitsSetting"_s, tr("Units"));
    for (const DisplayUnits& units : kUnitChoices)
        m_units->addItem(unitChoiceText(units));
    m_standard = choice(*form, u"standardSetting"_s, tr("Air standard"));
    for (const StandardInfo& info : standards())
        m_standard->addItem(QString::fromUtf8(info.title), QString::fromUtf8(info.name));
    m_smoothing = choice(*form, u"smoothingSetting"_s, tr("Smoothing"));
    for (const double width : kSmoothingChoices_rpm)
        m_smoothing->addItem(tr("%1 rpm").arg(width), width);
    m_drift = choice(*form, u"driftSetting"_s, tr("Drift"));
    m_drift->addItems(driftChoices());
    m_school = choice(*form, u"schoolSetting"_s, tr("Curve of a build"));
    m_school->addItems(schoolChoices());
    m_daysFolder = line(*form, u"daysFolderSetting"_s, tr("Folder for days"), tr("Choose \u2026"), [this] {
        if (const auto folder = m_dialogs.askDayFolder(this))
            m_daysFolder->setText(*folder);
    });
    m_daysFolder->setPlaceholderText(tr("\u201CHill Run\u201D among your documents"));
    m_logbook = line(*form, u"logbookSetting"_s, tr("Logbook"), {}, nullptr);
    m_logbook->setPlaceholderText(tr("this bench's own, or postgresql://host/name"));
    m_logbook->setToolTip(tr("A file, or the address of a server that several benches share. Passwords stay where the "
                             "server's own library looks for them."));
    panel.column->addLayout(form);
    panel.column->addStretch(1);
    return panel.frame;
}

/// A button that opens another window of the program.
QPushButton* SettingsDialog::opens(QAction& action, const QString& name) {
    auto* out = new QPushButton(action.text(), this);
    out->setObjectName(name);
    out->setToolTip(action.toolTip());
    out->setEnabled(action.isEnabled());
    out->setAutoDefault(false);
    connect(out, &QPushButton::clicked, &action, &QAction::trigger);
    return out;
}

QWidget* SettingsDialog::makePulling(const ActionRegistry& actions) {
    const Panel panel = makePanel(tr("While a pull runs"), this);
    auto* form = new QFormLayout;
    form->addRow(tr("Cell and weather"), opens(*actions.get("pull.links"), u"connectionsSetting"_s));
    QPushButton* limits = opens(*actions.get("pull.limits"), u"limitsSetting"_s);
    if (!limits->isEnabled())
        limits->setToolTip(tr("They belong to the article of a day: open one first"));
    form->addRow(tr("What is watched"), limits);
    auto* row = new QWidget(this);
    auto* inside = new QHBoxLayout(row);
    inside->setContentsMargins(0, 0, 0, 0);
    m_tone = new QComboBox(row);
    m_tone->setObjectName(u"toneSetting"_s);
    m_tone->setAccessibleName(tr("Tone when a limit is passed"));
    m_tone->addItems(toneChoices());
    auto* hear = new QPushButton(tr("Hear it"), row);
    hear->setObjectName(u"tryTone"_s);
    hear->setAutoDefault(false);
    connect(hear, &QPushButton::clicked, this, &SettingsDialog::tryTone);
    inside->addWidget(m_tone, 1);
    inside->addWidget(hear);
    form->addRow(tr("Tone at a limit"), row);
    panel.column->addLayout(form);
    m_toneText = quietLabel(u"toneText"_s, panel.frame);
    m_toneText->hide();
    setWarning(m_toneText, true);
    panel.column->addWidget(m_toneText);
    connect(&m_tones, &TonePlayer::silent, this, [this](const QString& why) {
        m_toneText->setText(tr("Nothing can be heard. %1").arg(why));
        m_toneText->show();
    });
    return panel.frame;
}

/// For a moment, as it would sound.
void SettingsDialog::tryTone() {
    m_toneText->hide();
    m_tones.play(static_cast<Tone>(m_tone->currentIndex()), kTried_s);
}

QWidget* SettingsDialog::makePaper() {
    const Panel panel = makePanel(tr("Paper and letterhead"), this);
    auto* form = new QFormLayout;
    m_paper = choice(*form, u"paperSetting"_s, tr("Paper"));
    m_paper->addItems({tr("A4"), tr("Letter")});
    m_workshop = line(*form, u"workshopSetting"_s, tr("Workshop"), {}, nullptr);
    m_address = new QPlainTextEdit(this);
    m_address->setObjectName(u"addressSetting"_s);
    m_address->setAccessibleName(tr("Address, a line each"));
    m_address->setTabChangesFocus(true);
    m_address->setFixedHeight(px(68));
    form->addRow(tr("Address"), m_address);
    m_logo = line(*form, u"logoSetting"_s, tr("Picture"), tr("Choose \u2026"), [this] {
        if (const auto picture = m_dialogs.askSheet(this))
            m_logo->setText(*picture);
    });
    panel.column->addLayout(form);
    panel.column->addStretch(1);
    return panel.frame;
}

void SettingsDialog::fill(const Preferences& p) {
    m_language->setCurrentIndex(std::max(0, m_language->findData(p.language)));
    m_theme->setCurrentIndex(placeIn(kThemes, p.theme));
    m_units->setCurrentIndex(std::clamp(p.units, 0, 2));
    m_standard->setCurrentIndex(std::max(0, m_standard->findData(p.standard)));
    if (m_smoothing->findData(p.smoothing_rpm) < 0)
        m_smoothing->addItem(tr("%1 rpm").arg(p.smoothing_rpm), p.smoothing_rpm);
    m_smoothing->setCurrentIndex(m_smoothing->findData(p.smoothing_rpm));
    m_drift->setCurrentIndex(std::clamp(p.drift, 0, 2));
    m_school->setCurrentIndex(std::clamp(p.school, 0, 3));
    m_tone->setCurrentIndex(static_cast<int>(toneNamed(p.tone)));
    m_links = p.links;
    m_daysFolder->setText(p.daysFolder);
    m_logbook->setText(p.logbook);
    m_paper->setCurrentIndex(placeIn(kPapers, p.paper));
    m_workshop->setText(p.workshop);
    m_address->setPlainText(p.address);
    m_logo->setText(p.logo);
}

Preferences SettingsDialog::preferences() const {
    return {m_language->currentData().toString(),
            QString::fromLatin1(kThemes[m_theme->currentIndex()]),
            m_units->currentIndex(),
            m_standard->currentData().toString(),
            m_smoothing->currentData().toDouble(),
            m_drift->currentIndex(),
            m_school->currentIndex(),
            m_daysFolder->text().trimmed(),
            m_logbook->text().trimmed(),
            QString::fromLatin1(kPapers[m_paper->currentIndex()]),
            m_workshop->text().trimmed(),
            m_address->toPlainText().trimmed(),
            m_logo->text().trimmed(),
            QString::fromLatin1(toneName(static_cast<Tone>(m_tone->currentIndex()))),
            m_links};
}

/// An address that nobody could open is not taken over.
void SettingsDialog::takeOver() {
    try {
        if (const QString address = m_logbook->text().trimmed(); !address.isEmpty())
            (void)logbookAddress(address.toStdString());
    } catch (const DataError& error) {
        setWrong(m_logbook, errorText(error));
        m_logbook->setFocus();
        return;
    }
    accept();
}

void SettingsDialog::exportFile() {
    const auto target =
        m_dialogs.askTarget(this, tr("Write the settings"), u"hillrun-settings.json"_s, tr("Settings (*.json)"));
    if (!target)
        return;
    try {
        exportPreferences(preferences(), toPath(*target));
    } catch (const DataError& error) {
        m_dialogs.showError(this, tr("The settings could not be written"), errorText(error));
    }
}

void SettingsDialog::importFile() {
    const auto file = m_dialogs.askFile(this, tr("Read settings"), tr("Settings (*.json)"));
    if (!file)
        return;
    try {
        const Preferences read = importPreferences(toPath(*file), preferences());
        if (read.links != m_links)
            m_readLinks = read.links;
        fill(read);
    } catch (const DataError& error) {
        m_dialogs.showError(this, tr("These settings could not be read"), errorText(error));
    }
}

} // namespace hillrun
