// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/import/log_picture.h"
#include "app/look/fields.h"
#include "core/pull/lay_logs.h"
#include "formats/import_logs.h"

#include <QDialog>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

namespace hillrun {

/// A log and the pulls it lies on. It is tried on every pull of the day, one by one while the window is open; where it
/// fits it is ticked. Its place can be set by hand too.
class LayLogDialog : public QDialog {
    Q_OBJECT
public:
    /// `first`: the pull that is shown when several could be meant.
    /// Throws DataError for a file that is no log.
    LayLogDialog(const TestDay& day, const std::string& first, const ImportFile& file, const Theme& theme,
                 QWidget* parent = nullptr);

    struct Chosen {
        std::string pull;
        LogClock clock;
    };
    [[nodiscard]] std::vector<Chosen> chosen() const;
    [[nodiscard]] const ImportFile& file() const { return m_file; }

private:
    /// A pull of the day and how the log lies on it.
    struct Row {
        LogOnPull tried;
        LogOnPull found; ///< by trying, before any hand
        bool byHand = false;
        bool ticked = false;
    };
    QWidget* makeRight();
    void tryNext();
    void finishTrying();
    void fillRow(int row);
    void pick(int row);
    void showCurrent();
    void setByHand(double lag_s);
    void findAgain();
    void validate();
    [[nodiscard]] const Pull& pullOf(size_t row) const { return m_day.pulls[row]; }
    [[nodiscard]] QString channelsText() const;

    TestDay m_day;
    ImportFile m_file;
    std::string m_name;
    std::shared_ptr<const ChannelTable> m_rows;
    std::optional<double> m_zero_s; ///< when the log's clock showed zero
    Theme m_theme;
    std::vector<Row> m_tried; ///< one a pull, as far as tried
    size_t m_current = 0;
    QLabel* m_title = nullptr;
    QTableWidget* m_table = nullptr;
    LogPicture* m_picture = nullptr;
    NumberField* m_lag = nullptr;
    QPushButton* m_findAgain = nullptr;
    QLabel* m_verdict = nullptr;
    QPushButton* m_lay = nullptr;
};

} // namespace hillrun
