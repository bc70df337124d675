// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/report/report_page.h"

#include "app/look/accessible.h"
#include "app/look/drag_out.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/curves_csv.h"
#include "formats/day_store.h"
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
        const auto sheet = m_page.sheet();
        return sheet ? qs(report::pageText(*sheet)) : text();
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

} // namespace

ReportPage::ReportPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions,
                       QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_look(look) {
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

    auto* side = new QWidget(this);
    side->setFixedWidth(px(240));
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    auto* title = new PlainLabel(tr("On the sheet"), side);
    title->setProperty("title", true);
    column->addWidget(title);
    const std::pair<QString, bool report::SheetSections::*> sections[] = {
        {tr("What changed, like for like"), &report::SheetSections::changed},
        {tr("Curves"), &report::SheetSections::curves},
        {tr("Difference with its band"), &report::SheetSections::difference},
        {tr("Averages, peaks, crossovers"), &report::SheetSections::bands},
        {tr("What was left out"), &report::SheetSections::leftOut},
        {tr("How it was worked out"), &report::SheetSections::method}};
    int number = 0;
    for (const auto& [text, member] : sections) {
        auto* box = new QCheckBox(text, side);
        box->setObjectName(u"section%1"_s.arg(number++));
        box->setChecked(true);
        connect(box, &QCheckBox::toggled, this, [this, member = member](bool on) {
            m_sections.*member = on;
            refresh();
        });
        column->addWidget(box);
    }
    column->addSpacing(px(16));
    for (const char* id : {"report.print", "report.pdf", "report.csv", "day.export_zip"}) {
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
    row->addWidget(side);
    connect(&m_document, &DayDocument::analysisReady, this, &ReportPage::refresh);
    connect(&m_selection, &Selection::pairChanged, this, &ReportPage::refresh);
    connect(&m_selection, &Selection::viewChanged, this, &ReportPage::refresh);
}

std::optional<report::Page> ReportPage::sheet() const {
    const auto analysis = m_document.analysis();
    if (!analysis)
        return std::nullopt;
    const Comparison* c = analysis->find(m_selection.from(), m_selection.to());
    const report::Page drawn =
        c ? report::comparisonSheet(m_document.day(), *analysis, *c, currentVoice().in(m_selection.units()), m_sections)
          : report::daySheet(m_document.day(), *analysis, currentVoice().in(m_selection.units()));
    return report::laidOut(drawn, m_paperKind, m_head);
}

void ReportPage::recall(const SettingsStore& settings) {
    m_paperKind = settings.get(settings::kPaper) == u"letter"_s ? report::Paper::Letter : report::Paper::A4;
    m_head = letterheadOf(settings);
    refresh();
}

void ReportPage::exportPdf(const std::filesystem::path& target) const {
    if (const auto page = sheet())
        report::writePdf({*page}, target, m_document.day().name);
}

/// The sheet as it is dragged into another program: a PDF.
std::unique_ptr<QMimeData> ReportPage::carriedSheet() const {
    if (!sheet())
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
    const auto page = sheet();
    QPainter painter;
    if (!page || !painter.begin(&printer))
        return;
    constexpr double kFinest_dpi = 600.0;
    const QRectF paper = printer.pageLayout().paintRectPixels(printer.resolution());
    const double scale = std::min(paper.width() / page->width, paper.height() / page->height); // dots a point
    const double sharp = std::min(scale, kFinest_dpi / 72.0);
    const report::Picture picture = report::renderPicture(*page, sharp);
    const QImage image(picture.pixels.data(), picture.width, picture.height, picture.width * 4,
                       QImage::Format_ARGB32_Premultiplied);
    const QSizeF size(scale * page->width, scale * page->height);
    painter.drawImage(QRectF(QPointF(0.5 * (paper.width() - size.width()), 0.0), size), image);
}

void ReportPage::exportCsv(const std::filesystem::path& target) const {
    if (const auto analysis = m_document.analysis())
        writeFileSafely(target, curvesCsv(m_document.day(), *analysis, m_selection.units()));
}

void ReportPage::refresh() {
    if (!isVisible())
        return; // the sheet is drawn when somebody looks
    const auto page = sheet();
    if (!page) {
        m_paper->setPixmap({});
        m_paper->setText(m_document.isOpen() ? tr("Working the day out \u2026")
                                             : tr("No day is open. Press Ctrl+O to open one."));
        return;
    }
    const double ratio = devicePixelRatioF();
    const double width = std::clamp(m_scroll->viewport()->width() - 24.0, 400.0, 860.0);
    const report::Picture picture = report::renderPicture(*page, ratio * width / page->width);
    QImage image(picture.pixels.data(), picture.width, picture.height, picture.width * 4,
                 QImage::Format_ARGB32_Premultiplied);
    QPixmap pixmap = QPixmap::fromImage(image.copy());
    pixmap.setDevicePixelRatio(ratio);
    m_paper->setPixmap(pixmap);
}

void ReportPage::resizeEvent(QResizeEvent* event) {
    PageView::resizeEvent(event);
    refresh();
}

void ReportPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    refresh();
}

} // namespace hillrun
