// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QLayout>
#include <QWidget>

namespace hillrun {

/// Widgets in a row that goes on below where there is no room: nothing is squeezed or cut. With a title the first
/// widget stands at the left and the others at the right of their rows.
class WrapLayout : public QLayout {
public:
    explicit WrapLayout(bool titled = false, int gap = 6) : m_titled(titled), m_gap(gap) {}
    ~WrapLayout() override;
    void addItem(QLayoutItem* item) override { m_items.append(item); }
    [[nodiscard]] int count() const override { return static_cast<int>(m_items.size()); }
    [[nodiscard]] QLayoutItem* itemAt(int index) const override { return m_items.value(index); }
    QLayoutItem* takeAt(int index) override;
    [[nodiscard]] Qt::Orientations expandingDirections() const override { return Qt::Horizontal; }
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSize() const override;
    void setGeometry(const QRect& room) override;

private:
    struct Row {
        QList<QLayoutItem*> items;
        int width = 0, height = 0;
    };
    [[nodiscard]] QList<Row> rows(int width) const;

    QList<QLayoutItem*> m_items;
    bool m_titled;
    int m_gap;
};

/// A widget of a wrapped row that asks for the height of its rows itself: for parents that know no height for width,
/// such as splitters.
class WrapRow : public QWidget {
public:
    explicit WrapRow(int gap, QWidget* parent) : QWidget(parent), m_row(new WrapLayout(false, gap)) {
        setLayout(m_row);
    }
    [[nodiscard]] WrapLayout* row() const { return m_row; }

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    WrapLayout* m_row;
};

} // namespace hillrun
