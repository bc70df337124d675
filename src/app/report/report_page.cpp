// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/report/report_page.h"

#include "app/look/accessible.h"
#include "app/look/drag_out.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "engine/day_engine.h"
#include "formats/curves_csv.h"
#include "formats/day_store.h"
#include "report/html.h"
#include "report/render.h"

#include <QBuffer>
#include <QFile>
#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

namespace {

/// The sheet's picture, and its text for those who hear it.
class Paper : public PlainLabel, public SpokenPicture {
public:
    explicit Paper(ReportPage& page) : PlainLabel(&page), m_page(page) {}
    [[nodiscard]] QString spokenName() const override { return ReportPage::tr("The sheet as it will print"); }
    [[nodiscard]] QString spokenText() const override {
        const QString shown = m_page.shownText();
        return shown.isEmpty() ? text() : shown;
    }

private:
    const ReportPage& m_page;
};

report::Letterhead letterheadOf(const SettingsStore& settings) {
    report::Letterhead out;
    out.workshop = settings.get(settings::kWorkshop).toStdString();
    for (const QString& line : settings.get(settings::kAddress).split(u'\n', Qt::SkipEmptyParts))
        out.address.push_back(line.trimmed().toStdString());
    const QString picture = settings.get(settings::kLogo);
    if (const QImage logo = picture.isEmpty() ? QImage() : QImage(picture); !logo.isNull()) {
        QBuffer bytes;
        logo.save(&bytes, "PNG");
        out.png = bytes.data().toStdString();
    }
    return out;
}

/// The pages one below the other, each so wide.
QPixmap pictureOf(const std::vector<report::Page>& pages, double ratio, double width) {
    constexpr double kBetween = 16.0;
    double height = -kBetween;
    for (const report::Page& page : pages)
        height += width * page.height / page.width + kBetween;
    QPixmap out(QSizeF(ratio * width, ratio * height).toSize());
    out.fill(Qt::transparent);
    QPainter painter(&out);
    double top = 0.0;
    for (const report::Page& page : pages) {
        const report::Picture picture = report::renderPicture(page, ratio * width / page.width);
        const QImage image(picture.pixels.data(), picture.width, picture.height, picture.width * 4,
                           QImage::Format_ARGB32_Premultiplied);
        painter.drawImage(QPointF(0.0, std::round(top)), image);
        top += ratio * (width * page.height / page.width + kBetween);
    }
    painter.end();
    out.setDevicePixelRatio(ratio);
    return out;
}

} // namespace

ReportPage::ReportPage(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays,
                       ActionRegistry& actions, QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_look(look), m_otherDays(otherDays) {
    setObjectName(u"reportPage"_s);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(px(16), px(12), px(16), px(12));
    row->setSpacing(px(16));
    m_paper = new Paper(*this);
    m_paper->setObjectName(u"paper"_s);
    m_paper->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    new DragOut(m_paper, Qt::NoModifier, [this] { return carriedSheet(); });
    m_scroll = new QScrollArea(this);
    m_scroll->setObjectName(u"paperScroll"_s);
    m_scroll->setWidget(m_paper);
    m_scroll->setWidgetResizable(true);
    m_scroll->setFrameShape(QFrame::NoFrame);
    row->addWidget(m_scroll, 1);

    row->addWidget(makeSide(actions));
    connect(&m_document, &DayDocument::analysisReady, this, &ReportPage::refresh);
    connect(&m_otherDays, &OtherDays::changed, this, &ReportPage::refresh);
    connect(&m_otherDays, &OtherDays::outdated, this, [this] {
        if (isVisible())
            want(true);
    });
    connect(&m_selection, &Selection::pairChanged, this, &ReportPage::refresh);
    connect(&m_selection, &Selection::viewChanged, this, [this] {
        if (isVisible())
            want(true);
        refresh();
    });
}

QWidget* ReportPage::makeSide(ActionRegistry& actions) {
    auto* side = new QWidget(this);
    side->setFixedWidth(px(240));
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    int number = 0;
    const auto addTitle = [&](const QString& text) {
        auto* title = new PlainLabel(text, side);
        title->setProperty("title", true);
        column->addWidget(title);
    };
    const auto addSection = [&](const QString& text, bool report::SheetSections::*member,
                                bool (*dayHas)(const TestDay&) = nullptr) {
        auto* box = new QCheckBox(text, side);
        box->setObjectName(u"section%1"_s.arg(number++));
        box->setChecked(true);
        connect(box, &QCheckBox::toggled, this, [this, member](bool on) {
            m_sections.*member = on;
            want(isVisible());
            refresh();
        });
        column->addWidget(box);
        if (dayHas)
            m_offered.emplace_back(box, dayHas);
    };
    addTitle(tr("On the sheet"));
    addSection(tr("What changed, like for like"), &report::SheetSections::changed);
    addSection(tr("Curves"), &report::SheetSections::curves);
    addSection(tr("Difference with its band"), &report::SheetSections::difference);
    addSection(tr("Averages, peaks, crossovers"), &report::SheetSections::bands);
    addSection(tr("What was left out"), &report::SheetSections::leftOut);
    addSection(tr("Checks of the cell's instruments"), &report::SheetSections::checks,
               [](const TestDay& day) { return day.cell.loadCellCheck || day.cell.stationCheck; });
    addSection(tr("How it was worked out"), &report::SheetSections::method);
    column->addSpacing(px(10));
    addTitle(tr("Pages behind it"));
    addSection(tr("The other curve of Compare"), &report::SheetSections::quantity);
    addSection(tr("All builds: the field"), &report::SheetSections::field);
    addSection(tr("What each part gives: credit"), &report::SheetSections::credit);
    addSection(tr("Builds of other days"), &report::SheetSections::otherDays,
               [](const TestDay& day) { return !day.plan.earlier.empty(); });
    addSection(tr("Worth on the day's course"), &report::SheetSections::road,
               [](const TestDay& day) { return day.plan.course.has_value(); });
    column->addSpacing(px(16));
    for (const char* id : {"report.print", "report.pdf", "report.html", "report.svg", "report.csv", "day.export_zip"}) {
        QAction* action = actions.get(id);
        auto* button = new QPushButton(action->text(), side);
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setToolTip(action->toolTip());
        button->setProperty("main", QLatin1StringView(id) == "report.pdf"_L1);
        connect(button, &QPushButton::clicked, action, &QAction::trigger);
        button->setEnabled(action->isEnabled());
        connect(action, &QAction::changed, button, [button, action] { button->setEnabled(action->isEnabled()); });
        column->addWidget(button);
    }
    column->addStretch(1);
    return side;
}

void ReportPage::want(bool shown) {
    m_document.wantCredit(shown && m_sections.credit);
    m_document.wantQuantity(shown && m_sections.quantity ? m_selection.curve() : std::string());
    if (shown && m_sections.otherDays && !m_document.day().plan.earlier.empty())
        m_otherDays.bringUpToDate();
}

std::shared_ptr<const DayAnalysis> ReportPage::complete() const {
    const auto analysis = m_document.analysis();
    if (!analysis)
        return nullptr;
    AnalysisSettings wanted = analysis->settings;
    wanted.credit = wanted.credit || m_sections.credit;
    if (m_sections.quantity)
        wanted.quantity = m_selection.curve();
    return wanted == analysis->settings ? analysis : DayEngine().analyse(m_document.day(), wanted);
}

report::Document ReportPage::documentOf(const DayAnalysis& analysis, const report::FigureStyle& style) const {
    std::vector<const Comparison*> pair;
    if (const Comparison* c = analysis.find(m_selection.from(), m_selection.to()))
        pair.push_back(c);
    else if (!analysis.comparisons.empty())
        pair.push_back(&analysis.comparisons.front()); // nobody looked at a pair yet
    return report::documentOf(m_document.day(), analysis, pair, currentVoice().in(m_selection.units()), m_sections,
                              style, &m_otherDays.answer().over);
}

std::vector<report::Page> ReportPage::pagesOf(const DayAnalysis& analysis) const {
    std::vector<report::Page> out;
    for (const report::Page& drawn : report::pagesOf(documentOf(analysis, {})))
        out.push_back(report::laidOut(drawn, m_paperKind, m_head));
    return out;
}

std::vector<report::Page> ReportPage::sheets() const {
    const auto analysis = complete();
    return analysis ? pagesOf(*analysis) : std::vector<report::Page>{};
}

QString ReportPage::shownText() const {
    QStringList out;
    for (const report::Page& page : m_shown)
        out << qs(report::pageText(page));
    return out.join(u'\n');
}

void ReportPage::recall(const SettingsStore& settings) {
    m_paperKind = settings.get(settings::kPaper) == u"letter"_s ? report::Paper::Letter : report::Paper::A4;
    m_head = letterheadOf(settings);
    refresh();
}

void ReportPage::exportPdf(const std::filesystem::path& target) const {
    if (const auto pages = sheets(); !pages.empty())
        report::writePdf(pages, target, m_document.day().name);
}

void ReportPage::exportSvg(const std::filesystem::path& target) const {
    const auto pages = sheets();
    for (size_t i = 0; i < pages.size(); ++i) {
        const std::string number = i == 0 ? std::string() : "-" + std::to_string(i + 1);
        report::writeSvg(pages[i], target.parent_path() / (target.stem().string() + number + ".svg"));
    }
}

void ReportPage::exportHtml(const std::filesystem::path& target) const {
    if (const auto analysis = complete())
        writeFileSafely(target, report::htmlOf(documentOf(*analysis, report::kScreenStyle), m_head,
                                               currentVoice().manner().language));
}

/// The sheet as it is dragged into another program: a PDF.
std::unique_ptr<QMimeData> ReportPage::carriedSheet() const {
    if (!m_document.analysis())
        return nullptr;
    const QString file = carriedFile(qs(m_document.day().name) + u".pdf"_s);
    try {
        exportPdf(file.toStdString());
    } catch (const DataError&) {
        return nullptr; // no room for it: nothing is dragged
    }
    auto out = std::make_unique<QMimeData>();
    if (QFile pdf(file); pdf.open(QIODevice::ReadOnly))
        out->setData(u"application/pdf"_s, pdf.readAll());
    carryFiles(*out, {file});
    return out;
}

void ReportPage::print(QPrinter& printer) const {
    const auto pages = sheets();
    QPainter painter;
    if (pages.empty() || !painter.begin(&printer))
        return;
    constexpr double kFinest_dpi = 600.0;
    for (size_t i = 0; i < pages.size(); ++i) {
        if (i > 0)
            printer.newPage();
        const report::Page& page = pages[i];
        const QRectF paper = printer.pageLayout().paintRectPixels(printer.resolution());
        const double scale = std::min(paper.width() / page.width, paper.height() / page.height); // dots a point
        const report::Picture picture = report::renderPicture(page, std::min(scale, kFinest_dpi / 72.0));
        const QImage image(picture.pixels.data(), picture.width, picture.height, picture.width * 4,
                           QImage::Format_ARGB32_Premultiplied);
        const QSizeF size(scale * page.width, scale * page.height);
        painter.drawImage(QRectF(QPointF(0.5 * (paper.width() - size.width()), 0.0), size), image);
    }
}

void ReportPage::exportCsv(const std::filesystem::path& target) const {
    if (const auto analysis = m_document.analysis())
        writeFileSafely(target, curvesCsv(m_document.day(), *analysis, m_selection.units()));
}

void ReportPage::refresh() {
    for (const auto& [box, dayHas] : m_offered)
        box->setVisible(dayHas(m_document.day()));
    if (!isVisible())
        return; // the sheets are drawn when somebody looks
    const auto analysis = m_document.analysis();
    m_shown = analysis ? pagesOf(*analysis) : std::vector<report::Page>{};
    if (m_shown.empty()) {
        m_paper->setPixmap({});
        m_paper->setText(m_document.isOpen() ? tr("Working the day out \u2026")
                                             : tr("No day is open. Press Ctrl+O to open one."));
        return;
    }
    m_paper->setPixmap(
        pictureOf(m_shown, devicePixelRatioF(), std::clamp(m_scroll->viewport()->width() - 24.0, 400.0, 860.0)));
}

void ReportPage::resizeEvent(QResizeEvent* event) {
    PageView::resizeEvent(event);
    refresh();
}

void ReportPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    want(true);
    refresh();
}

/// Nobody looks: later edits do not work out what only the sheets show.
void ReportPage::hideEvent(QHideEvent* event) {
    PageView::hideEvent(event);
    want(false);
}

} // namespace hillrun
